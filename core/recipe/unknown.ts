import { ingredientOf } from '../pantry/pantry'
import { opaque } from './identity'
import { scan } from '../language/item'
import type { Line, Recipe, Unknown } from './recipe'

/** What a card or an answer says of a line that nobody knows. */
export const unknownWords = (u: Unknown): string =>
  `We do not know what is in “${u.text}”: read its label, say what it is, or leave it out.`

/**
 * A food that holds an allergen, with an amount of its own beside it, that no line read from the same words is named
 * by: something was lost, and what was lost may be what somebody must not have.
 */
function lost(text: string, lines: readonly Line[]): boolean {
  const s = scan(text)
  if (s.measures.length < 2) return false
  const named = lines.filter((l) => l.text === text).map((l) => (l.named ?? '').toLowerCase())
  return s.mentions.some((m) => {
    const i = ingredientOf(m.id)
    const head = s.tokens[m.head]!
    // "custard powder for 500 ml milk" says what it is for.
    const own = s.measures.some((x) => (x.to === m.from && s.tokens[x.from - 1]?.word !== 'for') || x.from === m.to)
    return own && head.depth === 0 && Boolean(i?.contains?.length || i?.animal) && !named.some((n) => n.includes(head.word.slice(0, -1)))
  })
}

/**
 * The lines whose contents nobody knows: no hard need may be claimed over them.
 *
 * A line counts until somebody has said what it is (its `match` is then `exact`), or given its word that it is free of
 * what matters (`vouched`).
 */
export function unknownLines(recipe: Recipe): Unknown[] {
  return recipe.parts.flatMap((p, part) =>
    p.lines.flatMap((l, line): Unknown[] => {
      if (l.vouched || l.made) return []
      const ingredient = ingredientOf(l.ingredient)
      if (!ingredient || l.match === 'none') return [{ part, line, text: l.text, why: 'unidentified' }]
      if (l.match === 'unsure') return [{ part, line, text: l.text, why: 'unsure' }]
      if (lost(l.text, p.lines)) return [{ part, line, text: l.text, why: 'unsure' }]
      return opaque(ingredient) ? [{ part, line, text: l.text, why: 'hidden' }] : []
    }),
  )
}
