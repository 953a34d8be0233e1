import type { Scan } from '../language/item'
import { MANNER } from '../language/manner'
import type { Mention } from '../language/name'

/** One change in a sentence: characters [from, to) give way to other words. */
export interface TextEdit {
  from: number
  to: number
  words: string
}

/**
 * Puts edits into a text. What no edit touches comes back letter by letter; a larger edit swallows those inside it.
 */
export function applyEdits(text: string, edits: readonly TextEdit[]): string {
  const inside = (e: TextEdit, o: TextEdit) =>
    e.from === e.to ? o.from < e.from && o.to > e.to : o.from <= e.from && o.to >= e.to && (o.from < e.from || o.to > e.to)
  const kept = edits.filter(
    (e, i) => !edits.some((o, j) => j !== i && (inside(e, o) || (j < i && o.from === e.from && o.to === e.to && e.from < e.to))),
  )
  let out = text
  // From the end; what is put in before a word that gives way itself comes before its new words.
  for (const e of [...kept].sort((a, b) => b.from - a.from || b.to - a.to)) out = out.slice(0, e.from) + e.words + out.slice(e.to)
  return out
}

const DETERMINERS = new Set([
  'the',
  'a',
  'an',
  'all',
  'both',
  'my',
  'your',
  'our',
  'some',
  'these',
  'those',
  'each',
  'any',
  'remaining',
  'rest',
  'other',
  'half',
  'little',
  'more',
  'well',
  'lightly',
  'softly',
  'whole',
  'freshly',
])
/** Sorts that leave with the thing that they describe. */
const ADJECTIVE = /(?:ed|en)$/

/** A thing with the words that belong to it: "the 4 large beaten eggs". */
export interface NounPhrase {
  from: number
  to: number
  /** "the" or another word that points. */
  determined: boolean
  /** Characters of an amount within it. */
  amount?: [number, number]
  /** The amount is a weight or a count, not a spoonful of the whole. */
  whole?: true
}

/** The noun phrase around a mention. */
export function phraseOf(s: Scan, m: Mention, limit = 0): NounPhrase {
  const t = s.tokens
  let from = m.from
  let determined = false
  let amount: [number, number] | undefined
  let whole = false
  for (;;) {
    const before = t[from - 1]
    if (!before || from - 1 < limit || before.depth !== t[m.head]!.depth) break
    const measure = s.measures.find((x) => x.to === from || (x.to === from - 1 && before.word === 'of'))
    if (measure && measure.from >= limit && !amount) {
      amount = [t[measure.from]!.from, t[measure.to - 1]!.to]
      whole = measure.unit.kind === 'mass' || /cup/.test(measure.unit.id)
      from = measure.from
      continue
    }
    if (before.kind !== 'word') break
    const w = before.word
    if (w === 'the' || w === 'your' || w === 'my' || w === 'these') determined = true
    if (
      DETERMINERS.has(w) ||
      (MANNER.has(w) && !/^(?:in|into|with|for|to|at|and|or|from|of|then|about|not|but|as|if|plus|you|it|use|using|cut|half)$/.test(w)) ||
      (ADJECTIVE.test(w) && w.length > 4 && !/^(?:then|when|often|seven|spread)$/.test(w))
    ) {
      from--
      continue
    }
    if (w === 'of' && /^(?:rest|half|remainder|third|quarter|all|most|some)$/.test(t[from - 2]?.word ?? '')) {
      from -= 2
      continue
    }
    break
  }
  // A verb is no adjective: "Add softened butter" keeps its "Add".
  return { from: t[from]!.from, to: t[m.to - 1]!.to, determined, ...(amount && { amount }), ...(whole && { whole: true as const }) }
}

const JOINER_BEFORE = /(?:,\s*(?:and\s+|then\s+(?:the\s+)?)?|\s+(?:and|&|with|plus|or)\s+|\s*\+\s*|\s*&\s*)$/i
const JOINER_AFTER = /^(?:\s*,\s*(?:and\s+)?|\s+(?:and|&|plus|with)\s+|\s*\+\s*)/i

/**
 * Takes a thing out of an enumeration, with the comma or "and" that it leaves behind.
 *
 * @returns `undefined` where it stands alone: then what is done with it has nothing left to act on
 */
export function dropFromList(
  text: string,
  np: { from: number; to: number },
  start: number,
  end: number,
  others: readonly { from: number; to: number }[],
): TextEdit[] | undefined {
  const before = text.slice(start, np.from)
  const after = text.slice(np.to, end)
  const lead = JOINER_BEFORE.exec(before)
  const tail = JOINER_AFTER.exec(after)
  const earlier = others.filter((o) => o.to <= np.from && o.to >= start)
  const later = others.filter((o) => o.from >= np.to && o.from < end)
  if (lead && earlier.some((o) => np.from - lead[0].length - o.to <= 24)) {
    const edits: TextEdit[] = [{ from: np.from - lead[0].length, to: np.to, words: '' }]
    // "A, B and C" without C is "A and B".
    const last = !(tail && later.length && /^\s*(?:,|and|&)/.test(tail[0]))
    if (last && /and|&/.test(lead[0])) {
      const b = earlier.at(-1)!
      const a = earlier.at(-2)
      const comma = a && /,\s*$/.exec(text.slice(a.to, b.from))
      if (a && comma) edits.push({ from: b.from - comma[0].length, to: b.from, words: ' and ' })
    }
    return edits
  }
  if (tail && later.some((o) => o.from - np.to - tail[0].length <= 24)) return [{ from: np.from, to: np.to + tail[0].length, words: '' }]
  return undefined
}

/** "a, b and c". */
export const joined = (words: readonly string[]): string =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`

export const capital = (s: string): string => s.replace(/^(["“(]*)(\p{Ll})/u, (_, a: string, b: string) => a + b.toUpperCase())

/** Mends what taking words out leaves behind: spaces, commas, joints without a thing, a small letter at a start. */
export function mended(text: string, original: string): string {
  if (text === original) return text
  let out = text
    .replace(/\s+([,.;:!?])/g, '$1')
    .replace(/(?<!\.)\.\s*\.(?!\.)/g, (all: string) => (original.includes(all) ? all : '.'))
    .replace(/([,;])\s*(?=[,;.!?])/g, '')
    .replace(/\b(?:and|or)\s+(?=and\b)|\bthen\s+(?=(?:and|then)\b)/gi, '')
    .replace(/(?<=(\S+\s)?)\b(?:and|then|with)\s*(?=[.;!?]|$)/gi, (all: string, word: string | undefined, at: number, now: string) =>
      word && original.includes(`${word}${all}${now[at + all.length] ?? ''}`) ? all : '',
    )
    .replace(/([.;:!?])\s*(?:and|then|,)\s+/gi, (all: string, mark: string) => (original.includes(all) ? all : `${mark} `))
    .replace(/^\s*(?:and|then|,|;)\s+/i, '')
    .replace(/\bthe the\b/gi, 'the')
    .replace(/\b(a|an) (?=(?:a|an|the)\b)/gi, '')
    .replace(/\(\s*\)/g, '')
    .replace(/[ \t]{2,}/g, ' ')
    .replace(/\s+([,.;:!?])/g, '$1')
    .trim()
  out = out.replace(/^[.;,:!?\s]+/, '')
  out = out.replace(/([.!?]\s+)(\p{Ll})/gu, (_, a: string, b: string) =>
    /\b(?:c|tsp|tbsp|oz|lb|min|hr|approx|g)\.\s+$/i.test(a) ? a + b : a + (/[.!?]\s+\p{Ll}/u.test(original) ? b : b.toUpperCase()),
  )
  return /^\p{Ll}/u.test(original) ? out : capital(out)
}
