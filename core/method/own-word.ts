import { VERBS } from '../language/lexicon'
import type { Draft } from './read'
import type { LineKey } from './thing'

/** Words of a line that say how much of it, how big, how ready: they name no food. */
const NO_NAME = new Set(
  'cup spoon tablespoon teaspoon gram large small medium fresh freshly ripe soft softened cold warm strong whole pure good best pinch level heaped about room temperature plus more extra taste optional note piece pack packet sticks grated chopped melted beaten sifted drained plain natural dark light fine finely roughly thick thin double single divided quality premium'.split(
    ' ',
  ),
)
/** Shorter words are measures and little words. */
const LEAST_LETTERS = 4
/** As sure as a name by words beside the food's own. */
const SCORE = 1.7

/**
 * Lines that the method speaks of by a word of their own alone: "calamansi" for the calamansi juice of the list.
 *
 * Only a line that no sentence names otherwise is looked for, by words that no other line has; the first clause that has one
 * gets it.
 *
 * @param drafts their candidates are added to
 */
export function byOwnWords(drafts: readonly Draft[], keys: readonly LineKey[]): void {
  const named = new Set(drafts.flatMap((d) => d.candidates.flatMap((c) => c.lines.map((l) => `${l.part}:${l.line}`))))
  for (const k of keys) {
    if (named.has(`${k.part}:${k.line}`)) continue
    const own = [...k.words].filter(
      (w) =>
        w.length >= LEAST_LETTERS && !NO_NAME.has(w) && !VERBS.has(w) && !keys.some((x) => x !== k && (x.words.has(w) || x.named.has(w))),
    )
    if (!own.length) continue
    for (const d of drafts) {
      const t = d.scan.tokens
      const at = t.findIndex(
        (x, i) =>
          i >= d.piece.from &&
          i < d.piece.to &&
          i !== d.piece.at &&
          !d.piece.masked.has(i) &&
          x.kind === 'word' &&
          own.includes(x.stem) &&
          !d.scan.mentions.some((m) => i >= m.from && i < m.to),
      )
      if (at < 0) continue
      const mention = { id: k.id, words: [t[at]!.stem], head: at, from: at, to: at + 1, score: 1, cover: [at], misspelt: false }
      d.candidates.push({ mention, lines: [{ part: k.part, line: k.line, score: SCORE }], target: false, all: false })
      d.candidates.sort((a, b) => a.mention.from - b.mention.from)
      break
    }
  }
}
