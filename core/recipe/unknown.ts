import { ingredientOf } from '../pantry/pantry'
import { opaque } from './identity'
import type { Recipe, Unknown } from './recipe'

/**
 * The lines whose contents nobody knows: no hard need may be claimed over them.
 *
 * A line counts until somebody has said what it is (its `match` is then `exact`), or given its word that it is free of
 * what matters (`vouched`).
 */
export function unknownLines(recipe: Recipe): Unknown[] {
  return recipe.parts.flatMap((p, part) =>
    p.lines.flatMap((l, line): Unknown[] => {
      if (l.vouched) return []
      const ingredient = ingredientOf(l.ingredient)
      if (!ingredient || l.match === 'none') return [{ part, line, why: 'unidentified' }]
      if (l.match === 'unsure') return [{ part, line, why: 'unsure' }]
      return opaque(ingredient) ? [{ part, line, why: 'hidden' }] : []
    }),
  )
}
