import { NUMBER_WORDS, PART_WORDS } from './lexicon'
import { tokenise, touching, type Token } from './token'

/** A number at a place in the text; `next` is the token after it. */
export interface Value {
  value: number
  next: number
  /** It was only "a" or "an". */
  article?: true
}

/** An amount as written: low and high differ in "1 to 2". */
export interface Span {
  low: number
  high: number
  next: number
  article?: true
}

const DENOMINATORS = new Set([2, 3, 4, 5, 6, 8, 10, 16])
const SLASHES = new Set(['/', '⁄', '∕'])
const DASHES = new Set(['-', '–', '—', '‐', '‑', '−'])
const ANDS = new Set(['and', '&', '+'])

export const isDash = (token: Token | undefined): boolean => token !== undefined && DASHES.has(token.text)

/** "1/2", "½". */
function fractionAt(t: readonly Token[], i: number): Value | undefined {
  const a = t[i]
  const b = t[i + 2]
  if (a?.kind === 'fraction') return { value: a.value!, next: i + 1 }
  if (a?.kind !== 'number' || b?.kind !== 'number' || !SLASHES.has(t[i + 1]!.text)) return undefined
  return a.value! < b.value! && DENOMINATORS.has(b.value!) ? { value: a.value! / b.value!, next: i + 3 } : undefined
}

/** "and a half", "& ¼", "and one third" after a whole. */
function halfAfter(t: readonly Token[], i: number): Value | undefined {
  if (!t[i] || !ANDS.has(t[i]!.word)) return undefined
  const sign = fractionAt(t, i + 1)
  if (sign && sign.value < 1) return sign
  let j = i + 1
  if (t[j]?.word === 'a' || t[j]?.word === 'one') j++
  const part = isCream(t, j) ? undefined : PART_WORDS[t[j]?.word ?? '']
  return part === undefined || t[j]!.word.endsWith('s') ? undefined : { value: part, next: j + 1 }
}

function digitsAt(t: readonly Token[], i: number): Value {
  const whole = t[i]!.value!
  let more = fractionAt(t, i + 1)
  // "1½", "1 1/2"
  if (more && more.value < 1) return { value: whole + more.value, next: more.next }
  // "1-1/2": a whole tied to a fraction; "1 - 1½" is a range.
  if (isDash(t[i + 1]) && touching(t[i], t[i + 1]) && Number.isInteger(whole) && whole >= 1) {
    more = fractionAt(t, i + 2)
    if (more && more.value < 1 && touching(t[i + 1], t[i + 2])) return { value: whole + more.value, next: more.next }
  }
  const half = halfAfter(t, i + 1)
  if (half) return { value: whole + half.value, next: half.next }
  if (t[i + 1]?.word === 'dozen' || t[i + 1]?.word === 'doz') return { value: whole * 12, next: i + 2 }
  return { value: whole, next: i + 1 }
}

/** What may follow a hundred: "two hundred and fifty", "a hundred and seventy-five". */
function hundredAt(t: readonly Token[], at: number, hundreds: number): Value {
  let total = hundreds
  let next = at
  const j = t[next]?.word === 'and' ? next + 1 : next
  const tens = NUMBER_WORDS[t[j]?.word ?? '']
  if (tens !== undefined && tens >= 1) {
    total += tens
    next = j + 1
    const k = isDash(t[next]) ? next + 1 : next
    const ones = NUMBER_WORDS[t[k]?.word ?? '']
    if (tens >= 20 && ones !== undefined && ones >= 1 && ones < 10) {
      total += ones
      next = k + 1
    }
  }
  return { value: total, next }
}

/** "half and half" is a cream. */
const isCream = (t: readonly Token[], i: number): boolean =>
  t[i]?.word === 'half' &&
  ((/^(?:and|&|-)$/.test(t[i + 1]?.word || t[i + 1]?.text || '') && [2, 3, 4].some((n) => t[i + n]?.word === 'half')) ||
    [2, 3, 4].some((n) => t[i - n]?.word === 'half' && /^(?:and|&|-)$/.test(t[i - n + 1]?.word || t[i - n + 1]?.text || '')))

function wordAt(t: readonly Token[], i: number): Value | undefined {
  if (isCream(t, i)) return undefined
  const word = t[i]!.word
  const second = t[i + 1]?.word ?? ''
  if (word === 'half' && (second === 'a' || second === 'an'))
    return t[i + 2]?.word === 'dozen' || t[i + 2]?.word === 'doz' ? { value: 6, next: i + 3 } : { value: 0.5, next: i + 2 }
  if (word === 'a' || word === 'an') {
    if (second in PART_WORDS && !second.endsWith('s')) return { value: PART_WORDS[second]!, next: i + 2 }
    if (second === 'dozen') return { value: 12, next: i + 2 }
    if (second === 'hundred') return hundredAt(t, i + 2, 100)
    if (second === 'couple') return { value: 2, next: i + 2 }
    return { value: 1, next: i + 1, article: true }
  }
  const value = NUMBER_WORDS[word]
  if (value === undefined) return undefined
  if (second === 'hundred' && value >= 1) return hundredAt(t, i + 2, value * 100)
  // "twenty five", "twenty-five"
  const j = isDash(t[i + 1]) ? i + 2 : i + 1
  const after = t[j]?.word ?? ''
  if (value >= 20 && value % 10 === 0 && (NUMBER_WORDS[after] ?? 0) >= 1 && NUMBER_WORDS[after]! < 10)
    return { value: value + NUMBER_WORDS[after]!, next: j + 1 }
  // "two thirds", "three-quarters"
  if (value >= 1 && after in PART_WORDS && value > 1 === after.endsWith('s')) return { value: value * PART_WORDS[after]!, next: j + 1 }
  const half = value >= 1 ? halfAfter(t, i + 1) : undefined
  if (half) return { value: value + half.value, next: half.next }
  return { value, next: i + 1 }
}

/**
 * The number that starts at token `i`: digits, fraction signs, mixed numbers, words.
 *
 * @example valueAt(tokenise('1-1/2 cups'), 0) // { value: 1.5, next: 5 }
 */
export function valueAt(t: readonly Token[], i: number): Value | undefined {
  const token = t[i]
  if (!token) return undefined
  const fraction = fractionAt(t, i)
  if (fraction) return fraction
  if (token.kind === 'number') return digitsAt(t, i)
  return token.kind === 'word' ? wordAt(t, i) : undefined
}

const TO = new Set(['to', 'or', '~', 'bis', 'till', 'until', 'upto'])
/** "2 to 3" is a range, "1 to 40" is two numbers. */
const WIDEST_RANGE = 6

/** The amount at token `i`, with its range where it has one. */
export function spanAt(t: readonly Token[], i: number): Span | undefined {
  const first = valueAt(t, i)
  if (!first) return undefined
  const { value: low, next, article } = first
  const joint = t[next]
  if (joint && (isDash(joint) || TO.has(joint.word)) && !article) {
    const second = valueAt(t, next + 1)
    if (
      second &&
      !second.article &&
      second.value > low &&
      second.value <= low * WIDEST_RANGE &&
      (joint.word !== 'or' || second.value - low <= 2 || low >= 10)
    )
      return { low, high: second.value, next: second.next }
  }
  return { low, high: low, next, ...(article && { article }) }
}

/**
 * The number that a field holds and nothing else, as bakers write it.
 *
 * @returns `undefined` where the text is empty or no number
 * @example numberOf('1½') // 1.5
 */
export function numberOf(text: string): number | undefined {
  const t = tokenise(text.trim())
  const value = valueAt(t, 0)
  return value?.next === t.length ? value.value : undefined
}
