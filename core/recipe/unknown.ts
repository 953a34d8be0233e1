import { ingredientOf } from '../pantry/pantry'
import { opaque } from './identity'
import type { Recipe, Unknown } from './recipe'

/** What a card or an answer says of a line that nobody knows. */
export const unknownWords = (u: Unknown): string =>
  `We do not know what is in “${u.text}”: read its label, say what it is, or leave it out.`

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
      if (!ingredient || l.match === 'none') return [{ part, line, text: l.text, why: 'unidentified' }]
      if (l.match === 'unsure') return [{ part, line, text: l.text, why: 'unsure' }]
      return opaque(ingredient) ? [{ part, line, text: l.text, why: 'hidden' }] : []
    }),
  )
}
