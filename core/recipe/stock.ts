import { ingredientOf } from '../pantry/pantry'
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
