import { NUMBER_PATTERN, readNumber } from '../measure/number'
import { UNIT_PATTERN, unitNamed, unitSize, type Unit } from '../measure/unit'
import type { EggSize, Region } from '../measure/region'

/** An amount as written at the head of a line, before anything is known of the ingredient. */
export interface WrittenAmount {
  low: number
  high: number
  /** `undefined` for counted things ("3 eggs"). */
  unit?: Unit
  size?: EggSize
  /** What one package holds, where the line says so ("1 (14 oz) can"). */
  each?: { amount: number; unit: Unit }
  /** A weight or volume that the line gives for the whole ("2 sticks (226 g)"). */
  total?: { amount: number; unit: Unit }
  /** Heaped, packed, sifted and the like, said between number and name. */
  manner: string
  rest: string
}

const RANGE = '\\s*(?:-|–|—|to|or|bis)\\s*'
const HEAD = new RegExp(
  `^(?:about|approx(?:imately)?\\.?|around|ca\\.?|circa|roughly|nearly|just over|just under|~|≈)?\\s*(up to\\s+)?(${NUMBER_PATTERN})(?:${RANGE}(${NUMBER_PATTERN}))?`,
  'i',
)
const SIZE = /^(extra[\s-]large|x-?large|large|medium|small|jumbo)(?:[\s-]sized?)?\b/i
const MANNER =
  /^(heaped|heaping|rounded|level|scant|generous|packed|firmly packed|lightly packed|sifted|big|fat|good|full|whole|even|flat)\b/i
const UNIT_HEAD = new RegExp(`^(${UNIT_PATTERN})`, 'i')
const PAREN = /^\(([^()]*)\)/
const EACH_HEAD = new RegExp(
  `^(\\d+(?:[.,]\\d+)?)\\s*-?\\s*(fl\\.?\\s*oz|oz|ounces?|g|grams?|kg|ml|l|lbs?|pounds?)\\.?[\\s-]+(?=(?:can|tin|box|package|packet|pkg|jar|bottle|carton|container|sachet|tub|bag|block|bar|envelope)s?\\b)`,
  'i',
)
const MEASURED = new RegExp(`(${NUMBER_PATTERN})\\s*-?\\s*(${UNIT_PATTERN})`, 'gi')
const JOIN = /^\s*(plus|\+|and|&|minus|less)\s+/i
/** "1 lb 2 oz", "1 kg 200 g": a smaller unit of the same kind straight after. */
const STRAIGHT = new RegExp(`^(${NUMBER_PATTERN})\\s*(?:oz|ounces?|g|grams?)\\b`, 'i')
/** What a weighed thing comes in says nothing more: "200 g tin of condensed milk". */
const COMES_IN = /^(?:tin|can|jar|pot|tub|packet|pack|bag|box|carton|bar|block|bottle|sachet)s?\s+(?:of\s+)?(?=\S)/i

function firstMeasured(text: string): { amount: number; unit: Unit } | undefined {
  let fallback: { amount: number; unit: Unit } | undefined
  for (const [, n, u] of text.matchAll(MEASURED)) {
    const amount = readNumber(n!)
    const unit = unitNamed(u!)
    if (amount === undefined || !unit) continue
    if (unit.kind === 'mass') return { amount, unit }
    if (unit.kind === 'volume') fallback ??= { amount, unit }
  }
  return fallback
}

const sizeOf = (word: string): EggSize => (/extra|x/i.test(word) ? 'extra-large' : (word.toLowerCase().replace(/-?sized?$/, '') as EggSize))

/**
 * Reads the amount that a line starts with.
 *
 * Handles mixed numbers, ranges, "a third of a cup plus 2 tbsp", "2 cups minus 2 tbsp", package sizes in
 * or out of brackets, a second measure after a slash, and a weight in brackets anywhere in the line.
 *
 * @param text a line without its bullet
 * @param region for adding amounts of different units
 * @returns the amount and the words after it, or `undefined` where the line does not start with one
 */
export function readAmount(text: string, region: Region): WrittenAmount | undefined {
  const first = readSingle(text)
  if (!first) return undefined
  let amount = first
  const joinOf = (rest: string) => JOIN.exec(rest) ?? (/^(?:lb|kg)$/.test(amount.unit?.id ?? '') && STRAIGHT.test(rest) ? ['', '+'] : null)
  for (let join = joinOf(amount.rest); join; join = joinOf(amount.rest)) {
    const next = readSingle(amount.rest.slice(join[0]!.length))
    // "1 tbsp + 1 tsp lemon juice" adds up; "1 cup and 2 eggs" does not.
    if (!next?.unit || !amount.unit || next.unit.kind !== amount.unit.kind) break
    const scale = unitSize(next.unit, region)! / unitSize(amount.unit, region)!
    const sign = /minus|less/i.test(join[1]!) ? -1 : 1
    if (!Number.isFinite(scale)) break
    amount = {
      ...amount,
      low: amount.low + sign * next.low * scale,
      high: amount.high + sign * next.high * scale,
      total: amount.total ?? next.total,
      rest: next.rest,
    }
  }
  if (!amount.total && !amount.each) {
    const later = [...amount.rest.matchAll(/\(([^()]*)\)/g)].map((m) => firstMeasured(m[1]!)).find(Boolean)
    // "eggs (200 g without shells)" weighs the whole; "cans (400 g each)" weighs one.
    if (later) {
      if (amount.unit?.kind === 'package' || /\beach\b/i.test(amount.rest)) amount = { ...amount, each: later }
      else amount = { ...amount, total: later }
    }
  }
  return amount.low >= 0 && amount.high >= amount.low ? amount : undefined
}

function readSingle(text: string): WrittenAmount | undefined {
  let rest = text.trim()
  let low: number
  let high: number
  const head = HEAD.exec(rest)
  if (head) {
    const a = readNumber(head[2]!)
    const b = head[3] === undefined ? a : readNumber(head[3])
    if (a === undefined || b === undefined) return undefined
    ;[low, high] = head[1] ? [0, b] : [Math.min(a, b), Math.max(a, b)]
    rest = rest.slice(head[0].length)
    if (/^[a-zA-Z]/.test(rest) && /[a-zA-Z]$/.test(head[0])) return undefined
  } else {
    // "pinch of salt": a unit without a number is one of it.
    const bare = /^(pinch|dash|splash|drop|handful|knob)\b/i.exec(rest)
    if (!bare) return undefined
    ;[low, high] = [1, 1]
  }
  rest = rest.replace(/^\s*[x×]\s*(?=\d)/i, ' ').trimStart()
  let each: WrittenAmount['each']
  let total: WrittenAmount['total']
  let size: EggSize | undefined
  let manner = ''
  // "3 x 400 g cans": the first number counts, the second sizes.
  const sized = EACH_HEAD.exec(rest)
  if (sized) {
    each = { amount: Number(sized[1]!.replace(',', '.')), unit: unitNamed(sized[2]!)! }
    rest = rest.slice(sized[0].length)
  }
  const bracket = PAREN.exec(rest)
  const bracketed = bracket && firstMeasured(bracket[1]!)
  if (bracket && bracketed) {
    each = bracketed
    rest = rest.slice(bracket[0].length).trimStart()
  }
  // "half a teaspoon", "a third of a cup", "a good pinch": small words between number and unit.
  for (;;) {
    const before = rest
    rest = rest.replace(/^-?(?:of\s+)?(?:an?\s+)(?=\S)/i, '')
    const s = SIZE.exec(rest)
    if (s) {
      size = sizeOf(s[1]!)
      rest = rest.slice(s[0].length).trimStart()
    }
    const m = MANNER.exec(rest)
    if (m && UNIT_HEAD.test(rest.slice(m[0].length).trimStart())) {
      manner = m[1]!.toLowerCase()
      rest = rest.slice(m[0].length).trimStart()
    }
    if (rest === before) break
  }
  const unitHit = UNIT_HEAD.exec(rest.replace(/^-\s*/, ''))
  const unit = unitHit ? unitNamed(unitHit[1]!) : undefined
  if (unit) {
    rest = rest.replace(/^-\s*/, '').slice(unitHit![0].length).trimStart()
    // A second measure of the same thing: "225 g / 8 oz", "1 cup | 240 ml".
    const other = new RegExp(`^[/|]\\s*(${NUMBER_PATTERN})\\s*(${UNIT_PATTERN})`, 'i').exec(rest)
    if (other) {
      const alternative = { amount: readNumber(other[1]!)!, unit: unitNamed(other[2]!)! }
      if (alternative.unit.kind === 'mass' && unit.kind !== 'mass') total = alternative
      rest = rest.slice(other[0].length).trimStart()
    }
    const after = PAREN.exec(rest)
    const measured = after && firstMeasured(after[1]!)
    if (after && measured) {
      if (unit.kind === 'package') each = measured
      else if (unit.kind !== 'mass' || unit.id === 'stick') total = measured
      rest = rest.slice(after[0].length).trimStart()
    }
    const m = MANNER.exec(rest)
    if (m && /packed|sifted|level|heap/i.test(m[1]!)) manner = m[1]!.toLowerCase()
  } else if (each) {
    // "2 (20 cm) …": a bracket that sized no package is a note.
    if (!size && each.unit.kind === 'volume') each = undefined
  }
  if (unit?.kind === 'mass') rest = rest.replace(COMES_IN, '')
  return { low, high, unit, size, each, total, manner, rest: rest.replace(/^of\s+/i, '').trim() }
}
