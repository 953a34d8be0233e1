import type { Region } from '../measure/region'
import { ingredientOf } from '../pantry/pantry'
import { readLine } from '../recipe/line'
import type { Recipe } from '../recipe/recipe'
import { Refusal } from '../refusal'
import { leftovers, type Leftover } from '../table/leftovers'
import { madeFrom, madeLeftover, type Made, type MadeLeftover } from '../table/made'

export interface LeftoversAnswer {
  leftovers: Leftover[]
  /** Batter, trimmings and frostings. */
  made: MadeLeftover[]
  /** Lines of the text that name nothing known, or no amount. */
  unread: string[]
}

export interface LeftoversRequest<C> {
  text?: string
  left: { ingredient: string; grams: number }[]
  made: { kind: Made; grams: number }[]
  candidates: C[]
  region: Region
}

/** More lines than these are no leftovers but a shopping list. */
const MOST_LINES = 40

/**
 * What is left over, as ingredients, as something made, or in the baker's own words: verb `leftovers`.
 *
 * @param atHand reads the candidates
 * @throws Refusal `bad-request` where there is nothing left over, or an ingredient is unknown
 */
export function answerLeftovers<C>(
  request: LeftoversRequest<C>,
  atHand: (given: readonly C[], region: Region) => { id: string; title: string; recipe: Recipe }[],
): LeftoversAnswer {
  const { region } = request
  for (const [i, { ingredient }] of request.left.entries())
    if (!ingredientOf(ingredient))
      throw new Refusal('bad-request', `There is no ingredient “${ingredient}” in the pantry.`, `left.${i}.ingredient`)
  const read = readLeftovers(request.text ?? '', region)
  const left = [...request.left, ...read.left]
  const made = [...request.made, ...read.made]
  if (!left.length && !made.length && !read.unread.length)
    throw new Refusal('bad-request', 'Say what is left over, and how much: “left”, “made” or “text”.', 'left')
  const candidates = atHand(request.candidates, region)
  return {
    leftovers: leftovers(left, candidates),
    made: made.map((m) => madeLeftover(m.kind, m.grams, candidates, made)),
    unread: read.unread,
  }
}

/** A line each, or several parted by "and" or a comma. */
function readLeftovers(text: string, region: Region): Pick<LeftoversRequest<never>, 'left' | 'made'> & { unread: string[] } {
  const found: ReturnType<typeof readLeftovers> = { left: [], made: [], unread: [] }
  const said = text
    .split(/\n|,|\band\b(?!\s+(?:a\s+)?half)/)
    .map((line) => line.trim())
    .filter(Boolean)
  for (const line of said.slice(0, MOST_LINES)) {
    const kind = madeFrom(line)
    const lines = readLine(line, region).lines.filter((l) => l.quantity && l.grams.best > 0)
    const grams = Math.round(lines.reduce((g, l) => g + l.grams.best, 0))
    const known = lines.flatMap((l) => (l.ingredient ? [{ ingredient: l.ingredient, grams: Math.round(l.grams.best) }] : []))
    if (kind && grams) found.made.push({ kind, grams })
    else if (known.length) found.left.push(...known.filter((k) => k.grams > 0))
    else found.unread.push(line)
  }
  return found
}
