import { ABBREVIATED, SHORTENED } from './item'
import type { Token } from './token'

/** What is told to be done after a time, and is no word for how long. */
const BEGINS = /^(?:cool|leave|let|turn|take|remove|lift|ice|frost|dust|poke|prick|pour|serve|slice|cut|brush|spread|drizzle|sprinkle)$/

/** Tokens [from, to) of the sentences of a step; brackets are part of theirs. */
export function sentencesOf(t: readonly Token[]): [from: number, to: number][] {
  const out: [number, number][] = []
  let from = 0
  for (let i = 0; i < t.length; i++) {
    if (!/^[.!?]$/.test(t[i]!.text) || t[i]!.depth > 0) continue
    const next = t[i + 1]
    if (next && next.from === t[i]!.to) continue
    const before = t[i - 1]
    const measured = t[i - 2]?.kind === 'number' || t[i - 2]?.kind === 'fraction'
    if (
      next &&
      t[i]!.text === '.' &&
      before &&
      ABBREVIATED.test(before.word) &&
      (measured || before.word.length <= 1) &&
      !/^\p{Lu}\p{Ll}/u.test(next.text) &&
      // "45-50 mins. cool in the tin": who writes no capitals begins a sentence all the same.
      !(/^(?:min|mins|hr|hrs|h)$/.test(before.word) && BEGINS.test(next.word))
    )
      continue
    // "Bake approx. 50 min."
    if (
      next &&
      t[i]!.text === '.' &&
      before &&
      /^(?:approx|abt|ca|min|max|no)$/.test(before.word) &&
      /^(?:number|fraction)$/.test(next.kind)
    )
      continue
    // "evap. milk": a word cut short, and the sentence goes on.
    if (next && t[i]!.text === '.' && before && SHORTENED.has(before.word) && /^[\p{Ll}&]/u.test(next.text)) continue
    out.push([from, i + 1])
    from = i + 1
  }
  if (from < t.length) out.push([from, t.length])
  return out
}
