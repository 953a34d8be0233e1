import { methodOf } from '../method/read'
import type { Ingredient } from '../pantry/ingredient'
import { ingredientOf } from '../pantry/pantry'
import type { Recipe } from '../recipe/recipe'
import { cautionsFor, type Caution } from './cautions'
import { hasRawEgg } from './raw-egg'

export interface AtTheTable {
  /** Hard needs somebody has. */
  needs: readonly string[]
  slices: number
  /** What is made beside it, with its own recipe: frostings of a finish. */
  beside?: readonly Recipe[]
}

/** Every caution that a recipe sets off: by what is in it, how it is made and in what it bakes. */
export function cautionsOf(recipe: Recipe, { needs, slices, beside = [] }: AtTheTable): Caution[] {
  const grams = new Map<string, number>()
  const ingredients = new Map<string, Ingredient>()
  for (const l of [recipe, ...beside].flatMap((r) => r.parts).flatMap((p) => p.lines)) {
    const i = ingredientOf(l.ingredient)
    if (!i) continue
    ingredients.set(i.id, i)
    grams.set(i.id, (grams.get(i.id) ?? 0) + l.grams.best)
  }
  return cautionsFor({
    ingredients: [...ingredients.values()],
    grams,
    needs,
    method: recipe.method.join('\n'),
    clauses: methodOf(recipe).steps.flatMap((s) => s.clauses),
    rawEgg: hasRawEgg(recipe),
    tins: recipe.tins,
    slices,
  })
}
