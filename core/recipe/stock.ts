import type { Region } from '../measure/region'
import { ingredientOf, packageGrams } from '../pantry/pantry'
import type { Recipe } from './recipe'

/** What of a recipe is not in the house, and how much of it is there. */
export interface Short {
  ingredient: string
  /** g that the recipe wants. */
  wants: number
  /** g in the house. */
  has: number
}

/** From the tap, or there in every kitchen's tap: never missing. */
const ALWAYS = new Set(['water'])

/** Something to buy. */
export interface ToBuy extends Short {
  /** g still wanted. */
  buy: number
  /** Whole packages of the region that hold it, where it comes in any. */
  packages: number | null
  packageGrams: number | null
}

/**
 * What to buy for amounts that are wanted, less what is in the house.
 *
 * @param wants g by ingredient id
 * @param stock grams in the house by ingredient id; `null` where it is there in plenty
 */
export function shoppingFor(
  wants: readonly { ingredient: string; grams: number }[],
  stock: ReadonlyMap<string, number | null>,
  region: Region,
): ToBuy[] {
  return wants.flatMap(({ ingredient, grams }) => {
    const has = stock.get(ingredient)
    if (ALWAYS.has(ingredient) || has === null || (has ?? 0) + 0.5 >= grams) return []
    const i = ingredientOf(ingredient)
    const one = i ? packageGrams(i, region) : undefined
    const buy = grams - (has ?? 0)
    return [{ ingredient, wants: grams, has: has ?? 0, buy, packages: one ? Math.ceil(buy / one - 0.02) : null, packageGrams: one ?? null }]
  })
}

/**
 * What a recipe wants that the house has not enough of.
 *
 * @param stock grams in the house by ingredient id; `null` where it is there in plenty
 * @returns what is short, in the order of the recipe, optional lines left out; `unknown` counts lines that nobody knows
 */
export function shortOf(recipe: Recipe, stock: ReadonlyMap<string, number | null>): { short: Short[]; unknown: number } {
  const wants = new Map<string, number>()
  let unknown = 0
  for (const line of recipe.parts.flatMap((p) => p.lines)) {
    if (line.optional) continue
    if (line.made) continue
    if (!line.ingredient || !ingredientOf(line.ingredient)) unknown++
    else wants.set(line.ingredient, (wants.get(line.ingredient) ?? 0) + line.grams.best)
  }
  const short: Short[] = []
  for (const [ingredient, grams] of wants) {
    if (ALWAYS.has(ingredient)) continue
    const has = stock.get(ingredient)
    if (has === null || (has !== undefined && has + 0.5 >= grams)) continue
    short.push({ ingredient, wants: grams, has: has ?? 0 })
  }
  return { short, unknown }
}
