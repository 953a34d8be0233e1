import { unitById, unitNamed, type Unit } from '../measure/unit'
import type { Dial } from './dial'
import { FULLNESS, HEAPED, table } from './lexicon'
import { isDash, spanAt, valueAt, type Span } from './number'
import { touching, type Token } from './token'

/** One measure in a text: a number with its unit, or a bare count. */
export interface Measure {
  low: number
  high: number
  unit: Unit
  /** Heaped, scant, packed, large … as said between the number and what follows. */
  manner: string[]
  /** Tokens [from, to). */
  from: number
  to: number
  /** What a package holds, where it is said beside it: "2 x 200 g tubs", "half a 400 ml tin". */
  packed?: boolean
  /** Only a word such as "pinch" or "handful", without a number. */
  bare?: boolean
  article?: boolean
}

export const COUNT: Unit = unitById('piece')!
const SPOONS = table({ table: 'tbsp', tea: 'tsp', dessert: 'dessertspoon', coffee: 'tsp', soup: 'tbsp' })
const TIMES = new Set(['x', '×', '✕', '*'])
const BEFORE_NUMBER = new Set(['g', 'gr', 'kg', 'ml', 'cl', 'dl', 'gm', 'gms', 'rs'])
/** Units that are said without a number: one of it is meant. */
const ALONE = new Set(['pinch', 'dash', 'handful', 'knob', 'splash', 'drop', 'strand'])
const VESSELS = new Set([
  'pot',
  'glass',
  'mug',
  'jar',
  'can',
  'tin',
  'box',
  'bag',
  'cup',
  'carton',
  'bottle',
  'tub',
  'container',
  'slice',
  'square',
  'ring',
  'sheet',
  'spoon',
  'block',
  'bar',
  'packet',
])
const ONE_LETTER = new Set(['c', 'l', 'g', 't'])
const COUNTED = new Set([
  'egg',
  'lemon',
  'orange',
  'banana',
  'lime',
  'apple',
  'carrot',
  'yolk',
  'white',
  'vanilla',
  'cinnamon',
  'potato',
  'pear',
  'mango',
  'avocado',
  'beetroot',
  'courgette',
  'zucchini',
])

/** The unit at token `i`: one or two words, with the full stop of an abbreviation. */
export function unitAt(t: readonly Token[], i: number): { unit: Unit; next: number } | undefined {
  const token = t[i]
  if (token?.text === '#') return { unit: unitById('lb')!, next: i + 1 }
  if (token?.kind !== 'word') return undefined
  let j = t[i + 1]?.text === '.' ? i + 2 : i + 1
  if (token.word === 'fl' || token.word === 'fluid') {
    if (isDash(t[j])) j++
    const ounce = unitNamed(t[j]?.word ?? '')
    if (ounce?.id !== 'oz') return undefined
    j = t[j + 1]?.text === '.' ? j + 2 : j + 1
    return { unit: unitById('fl-oz')!, next: j }
  }
  // "2 table spoon", "1 water glass"
  const second = t[i + 1]?.stem ?? ''
  if ((second === 'spoon' || second === 'spoonful') && token.word in SPOONS) return { unit: unitById(SPOONS[token.word]!)!, next: i + 2 }
  if (second === 'glass' && (token.word === 'water' || token.word === 'steel')) return { unit: unitById('glass')!, next: i + 2 }
  if (/^cups?$/.test(t[i + 1]?.word ?? '') && token.word === 'breakfast') return { unit: unitById('breakfast-cup')!, next: i + 2 }
  const unit = unitNamed(token.text)
  if (!unit) return undefined
  if (token.word === 'no' && t[i + 1]?.text !== '.') return undefined
  return { unit, next: t[i + 1]?.text === '.' && token.text.length <= 5 ? i + 2 : i + 1 }
}

/** Past words of fullness and size, which are collected. */
function skipManner(t: readonly Token[], from: number, manner: string[]): number {
  let j = from
  while (
    t[j] &&
    (FULLNESS.has(t[j]!.word) || (isDash(t[j]) && FULLNESS.has(t[j + 1]?.word ?? '')) || (t[j]!.text === '.' && manner.length)) &&
    j < from + 4
  ) {
    if (t[j]!.kind === 'word') manner.push(t[j]!.word)
    j++
  }
  return j
}

/** A package word straight behind a weight: "200 g tubs", "14-oz can". */
function packageAfter(t: readonly Token[], i: number): number | undefined {
  const j = isDash(t[i]) ? i + 1 : i
  const pack = unitAt(t, j)
  return pack?.unit.kind === 'package' ? pack.next : undefined
}

function multiple(t: readonly Token[], times: Span): Measure | undefined {
  // "2 x 200 g tubs", "half a 400 ml tin": so many of a package that says what it holds.
  const after = TIMES.has(t[times.next]?.word ?? '') ? times.next + 1 : times.next
  const crossed = after > times.next
  const each = t[after]?.kind === 'number' || t[after]?.kind === 'fraction' ? spanAt(t, after) : undefined
  if (!each) return undefined
  const j = isDash(t[each.next]) ? each.next + 1 : each.next
  const unit = unitAt(t, j)
  if (!unit || (unit.unit.kind !== 'mass' && unit.unit.kind !== 'volume')) return undefined
  const pack = packageAfter(t, unit.next)
  if (!crossed && pack === undefined) return undefined
  return {
    low: times.low * each.low,
    high: times.high * each.high,
    unit: unit.unit,
    manner: [],
    from: 0,
    to: pack ?? unit.next,
    packed: true,
  }
}

function measureAt(t: readonly Token[], i: number): Measure | undefined {
  // "g 200", "kg 1"
  const first = unitAt(t, i)
  if (first && BEFORE_NUMBER.has(t[i]!.word) && t[first.next]?.kind === 'number' && t[i - 1]?.kind !== 'number') {
    const amount = spanAt(t, first.next)!
    const again = unitAt(t, amount.next)
    if (!again) return { low: amount.low, high: amount.high, unit: first.unit, manner: [], from: i, to: amount.next }
  }
  const amount = spanAt(t, i)
  if (!amount) {
    const bare = t[i]?.kind === 'word' ? unitAt(t, i) : undefined
    return bare && ALONE.has(bare.unit.id) && t[i]!.word !== 'drop' && t[i]!.word !== 'drops'
      ? { low: 1, high: 1, unit: bare.unit, manner: [], from: i, to: bare.next, bare: true }
      : undefined
  }
  // "in a pot", "into a glass": a vessel, and no amount.
  if (amount.article && /^(?:in|into|on|onto|from|over|with|to)$/.test(t[i - 1]?.word ?? '') && VESSELS.has(t[amount.next]?.stem ?? ''))
    return undefined
  const many = multiple(t, amount)
  if (many) return { ...many, from: i }
  let j = TIMES.has(t[amount.next]?.word ?? '') ? amount.next + 1 : amount.next
  const manner: string[] = []
  j = skipManner(t, j, manner)
  if (t[j]?.word === 'of' && (amount.article || amount.low < 1)) j++
  if ((t[j]?.word === 'a' || t[j]?.word === 'an') && amount.low < 1) j = skipManner(t, j + 1, manner)
  if (isDash(t[j]) && touching(t[j - 1], t[j]) && unitAt(t, j + 1)) j++
  // "a scant half pint"
  if (amount.article && manner.length) {
    const half = valueAt(t, j)
    if (half && !half.article && half.value < 1 && unitAt(t, half.next)) {
      amount.low = amount.high = half.value
      j = half.next
    }
  }
  let unit = unitAt(t, j)
  if (unit && amount.article && ONE_LETTER.has(t[j]!.word)) unit = undefined
  if (unit) {
    let { low, high } = amount
    let to = unit.next
    for (; FULLNESS.has(t[to]?.word ?? '') && HEAPED.has(t[to]!.word); to++) manner.push(t[to]!.word)
    // "a stick and a half", "a cup and a half"
    if (/^(?:and|&)$/.test(t[to]?.word ?? '') && low >= 1) {
      const half = valueAt(t, to + 1)
      const bareHalf = t[to + 1]?.word === 'half' ? { value: 0.5, next: to + 2 } : undefined
      const more = half && !half.article && half.value < 1 ? half : bareHalf
      if (more && !unitAt(t, more.next)) {
        low += more.value
        high += more.value
        to = more.next
      }
    }
    // "200 g x 2 tubs"
    if (TIMES.has(t[to]?.word ?? '') && t[to + 1]?.kind === 'number' && unit.unit.kind !== 'piece') {
      const times = spanAt(t, to + 1)!
      if (!unitAt(t, times.next) || packageAfter(t, times.next) !== undefined) {
        const packs = packageAfter(t, times.next)
        return { low: low * times.low, high: high * times.high, unit: unit.unit, manner, from: i, to: packs ?? times.next, packed: true }
      }
    }
    const pack = unit.unit.kind === 'mass' || unit.unit.kind === 'volume' ? packageAfter(t, to) : undefined
    return {
      low,
      high,
      unit: unit.unit,
      manner,
      from: i,
      to: pack ?? to,
      ...(pack && { packed: true }),
      ...(amount.article && { article: true }),
    }
  }
  const named = t[skipManner(t, amount.next, [])]?.stem ?? ''
  const behind = t[amount.next + 1]?.stem ?? ''
  if (amount.article)
    return COUNTED.has(named) || (COUNTED.has(behind) && /(?:ed|en|whole|fresh)$/.test(t[amount.next]?.word ?? ''))
      ? { low: 1, high: 1, unit: COUNT, manner, from: i, to: amount.next }
      : undefined
  if (t[i]!.word === 'one' && t[amount.next]?.word === 'at') return undefined
  // "½ a lemon"
  const article = amount.low < 1 && /^an?$/.test(t[amount.next]?.word ?? '') ? 1 : 0
  return { low: amount.low, high: amount.high, unit: COUNT, manner, from: i, to: amount.next + article }
}

/**
 * Every measure of a text, in order: numbers with units, counts, and words such as "pinch".
 *
 * @param dials tokens that belong to times, temperatures and sizes are left out
 */
export function measuresIn(t: readonly Token[], dials: readonly Dial[]): Measure[] {
  const taken = new Set<number>()
  for (const d of dials) for (let i = d.from; i < d.to; i++) taken.add(i)
  const found: Measure[] = []
  for (let i = 0; i < t.length; i++) {
    if (taken.has(i)) continue
    const hit = measureAt(t, i)
    if (!hit) continue
    found.push(hit)
    i = hit.to - 1
  }
  return found
}
