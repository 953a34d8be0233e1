import { fahrenheitToCelsius, gasMarkToCelsius } from '../measure/temperature'
import type { Region } from '../measure/region'
import { unitNamed } from '../measure/unit'
import { NOT_AMOUNTS, NUMBERS_AFTER, table, TIME_UNITS } from './lexicon'
import { isDash, spanAt, valueAt } from './number'
import { tokenise, touching, type Token } from './token'

/** Tokens [from, to). */
interface Place {
  from: number
  to: number
}

/** How long: minutes from and to. */
export interface Time extends Place {
  kind: 'time'
  low: number
  high: number
}

/** How hot, as written on the dial. */
export interface Heat extends Place {
  kind: 'heat'
  /** Degrees, or the gas mark. */
  value: number
  /** Undefined where only "degrees" or nothing is said: the kitchen decides. */
  scale?: 'C' | 'F' | 'gas'
  fan: boolean
}

/** Sides or diameter of a tin, in mm; `high` of a range of one side counts in `sides`. */
export interface Size extends Place {
  kind: 'size'
  sides: number[]
  /** The unit that was written; inches up to 20 and centimetres above where none was. */
  unit: 'in' | 'cm' | 'mm' | undefined
}

/** A number that is no amount: percentages, servings, layers, calories, gas types. */
export interface Other extends Place {
  kind: 'percent' | 'count'
  value: number
  word: string
}

export type Dial = Time | Heat | Size | Other

const INCH_MM = 25.4
const LENGTHS = table<{ unit: 'in' | 'cm' | 'mm'; mm: number }>({
  ...Object.fromEntries(['inch', 'inches', 'in', '"', '”', '″', "''", 'ins'].map((w) => [w, { unit: 'in', mm: INCH_MM } as const])),
  ...Object.fromEntries(
    ['cm', 'cms', 'centimetre', 'centimetres', 'centimeter', 'centimeters'].map((w) => [w, { unit: 'cm', mm: 10 } as const]),
  ),
  mm: { unit: 'mm', mm: 1 },
})
const DEGREES = new Set(['°', '*', 'º', '˚', '⁰', 'degree', 'degrees', 'deg', 'degs'])
const SCALES = table<'C' | 'F'>({ c: 'C', celsius: 'C', centigrade: 'C', f: 'F', fahrenheit: 'F' })
const FAN = new Set(['fan', 'convection', 'circulating', 'ventilated', 'umluft'])
const BY = new Set(['x', '×', 'by', '✕'])
/** No oven and no pan is colder or hotter, on either scale. */
const LEAST_HEAT = 30
/** A bare "C" needs at least this to be a temperature and not cups. */
const LEAST_BARE_HEAT = 90

const skipDot = (t: readonly Token[], i: number): number => (t[i]?.text === '.' ? i + 1 : i)

/**
 * "Bake 40-45.", "cool 15 in pan": who writes short leaves the minutes out where only minutes can be meant.
 *
 * @param next the token behind the number
 */
function bareMinutes(t: readonly Token[], i: number, next: number, low: number, high: number): boolean {
  const at = /^(?:for|about|approx|ca)$/.test(t[i - 1]?.word ?? '') ? i - 2 : i - 1
  const verb = t[at]?.word ?? ''
  const baked = verb === 'bake'
  if (!baked && !/^(?:cool|rest|stand)$/.test(verb)) return false
  if (low < (baked ? 8 : 2) || high > 120) return false
  const behind = t[next]
  if (!behind || /^[.,;:)]$/.test(behind.text) || /^(?:then|and|until|till|or)$/.test(behind.word)) return true
  return behind.word === 'in' && /^(?:the |its )?(?:pans?|tins?)\b/.test(`${t[next + 1]?.word ?? ''} ${t[next + 2]?.word ?? ''}`)
}

/** One length at token `i`: the unit after its number, if any. */
function lengthUnit(t: readonly Token[], i: number): { unit: 'in' | 'cm' | 'mm'; mm: number; next: number } | undefined {
  const j = isDash(t[i]) ? i + 1 : i
  const hit = LENGTHS[t[j]?.word ?? ''] ?? (t[j]?.text === "'" && t[j + 1]?.text === "'" ? LENGTHS['in'] : undefined)
  if (!hit) return undefined
  // "8 in the tin" is no length; "8 in round", "8 in." is.
  if (
    t[j]!.word === 'in' &&
    !/^(?:round|square|pan|tin|loaf|cake|springform|ring|bundt|tube|layers?|deep|\.|\)|x|×|by|,|sandwich)$/.test(t[j + 1]?.word ?? ')')
  )
    return undefined
  const after = t[j]!.text === "'" ? j + 2 : j + 1
  return { ...hit, next: hit.unit === 'in' && t[after]?.text === '.' && t[j]!.word.startsWith('in') ? after + 1 : after }
}

/** "9 x 13 in", "25 by 38 cm", "9x5x3-inch", "20 cm", "8-inch", "9in/23cm" (the first of the two). */
function sizeAt(t: readonly Token[], i: number): Size | undefined {
  const bare = spanAt(t, i)
  if (bare && bareMinutes(t, i, bare.next, bare.low, bare.high)) return undefined
  const sides: { value: number; unit?: 'in' | 'cm' | 'mm' }[] = []
  let j = i
  for (;;) {
    const side = spanAt(t, j) ?? undefined
    if (!side || side.article) break
    const unit = lengthUnit(t, side.next)
    sides.push({ value: (side.low + side.high) / 2, ...(unit && { unit: unit.unit }) })
    j = unit?.next ?? side.next
    if (sides.length === 3) break
    const by = isDash(t[j]) && BY.has(t[j + 1]?.word ?? '') ? j + 1 : j
    if (!BY.has(t[by]?.word ?? '') || !spanAt(t, by + 1)) break
    j = by + 1
  }
  if (!sides.length || countsTins(t, sides, j)) return undefined
  const unit = sides.findLast((s) => s.unit)?.unit
  // Two bare numbers are a tin's sides when both are as long as one: "9x13". One bare number is nothing.
  if (
    !unit &&
    (sides.length < 2 ||
      sides.some((s, n) => n < 2 && s.value < (/^(?:loaf|bread|pan|tin)/.test(t[j]?.word ?? '') ? 4 : 5)) ||
      unitAfter(t, j))
  )
    return undefined
  // No home oven takes a tin of 15 inches and more a side.
  const assumed =
    unit ?? (Math.max(sides[0]!.value, sides[1]!.value) <= 20 && Math.min(sides[0]!.value, sides[1]!.value) < 15 ? 'in' : 'cm')
  return { kind: 'size', sides: sides.map((s) => s.value * LENGTHS[s.unit ?? assumed]!.mm), unit: unit ?? undefined, from: i, to: j }
}

const SEVERAL = /^(?:tins|pans|mou?lds|rounds|rings|layers|forms|squares|trays|ramekins|dishes|loaves|cakes)$/
/** A count is this much smaller than what it counts, unless what is counted is called round. */
const MUCH_SMALLER = 0.4

/** "3 x 20 cm sandwich tins": three of them, and no side of three. */
function countsTins(t: readonly Token[], sides: readonly { value: number; unit?: string }[], to: number): boolean {
  const [first, second] = sides
  if (!first || !second || sides.length > 2 || first.unit || !second.unit || !Number.isInteger(first.value) || first.value > 12)
    return false
  if (first.value === 1) return true
  const after = t.slice(to, to + 7)
  const end = after.findIndex((x) => /^[.;]$/.test(x.text))
  const words = (end < 0 ? after : after.slice(0, end)).map((x) => x.word)
  return words.some((w) => SEVERAL.test(w)) && (first.value < MUCH_SMALLER * second.value || words.includes('round'))
}

/** An amount follows, so the number is none of a size. */
const unitAfter = (t: readonly Token[], i: number): boolean => {
  const unit = unitNamed(t[i]?.text ?? '')
  return unit !== undefined && (unit.kind === 'mass' || (unit.kind === 'volume' && !['glass', 'mug'].includes(unit.id)))
}

/** "a (good) quarter of an hour", "three-quarters of an hour", "¾ of an hour". */
function partOfAnHour(t: readonly Token[], i: number): Time | undefined {
  const article = /^an?$/.test(t[i]?.word ?? '') ? 1 : 0
  const at = i + article + (article && /^(?:good|full|bare|scant|short)$/.test(t[i + 1]?.word ?? '') ? 1 : 0)
  const part = valueAt(t, at)
  if (!part || !(part.value > 0 && part.value < 1) || t[part.next]?.word !== 'of') return undefined
  if (!/^an?$/.test(t[part.next + 1]?.word ?? '') || !/^hours?$/.test(t[part.next + 2]?.word ?? '')) return undefined
  const minutes = Math.round(part.value * 60)
  return { kind: 'time', low: minutes, high: minutes, from: i, to: part.next + 3 }
}

/** "1 hour 20 minutes", "1¼ hours", "an hour and a half", "50 mins–1 hr", "1h20", "overnight". */
function timeAt(t: readonly Token[], i: number): Time | undefined {
  if (t[i]?.word === 'overnight') return { kind: 'time', low: 480, high: 720, from: i, to: i + 1 }
  const from = i
  let low: number
  let high: number
  let j: number
  if (t[i]?.word === 'half' && (t[i + 1]?.word === 'an' || t[i + 1]?.word === 'a') && t[i + 2]?.word.startsWith('hour'))
    return { kind: 'time', low: 30, high: 30, from: i, to: i + 3 }
  const share = partOfAnHour(t, i)
  if (share) return share
  const amount = spanAt(t, i)
  if (!amount) return undefined
  j = amount.next
  if (isDash(t[j]) && t[j + 1] && t[j + 1]!.word in TIME_UNITS) j++
  // "another 5 or so minutes", "20 more minutes"
  while (/^(?:more|or|so|good|full|further|extra|solid|long)$/.test(t[j]?.word ?? '') && j < amount.next + 2) j++
  const unit = TIME_UNITS[t[j]?.word ?? '']
  if (unit === undefined && bareMinutes(t, i, amount.next, amount.low, amount.high))
    return { kind: 'time', low: amount.low, high: amount.high, from: i, to: amount.next }
  if (unit === undefined || (amount.article && t[j]!.word.length === 1)) return undefined
  // "1 m" inside brackets is an egg's size, "5 M" too.
  if (t[j]!.word === 'm' && (t[j]!.text === 'M' || t[j]!.depth > 0)) return undefined
  ;[low, high] = [amount.low * unit, amount.high * unit]
  const ends = t[j + 1]?.text === '.' && t[j]!.word.length > 3
  j = ends ? j + 1 : skipDot(t, j + 1)
  if (unit === 60 && !ends) {
    const joint = /^(?:and|&|,|plus)$/.test(t[j]?.word ?? '') ? j + 1 : j
    const more = spanAt(t, joint)
    const half = t[joint]?.word === 'a' ? { half: 30, quarter: 15 }[t[joint + 1]?.word ?? ''] : t[joint]?.word === 'half' ? 30 : undefined
    if (half) {
      ;[low, high] = [low + half, high + half]
      j = t[joint]?.word === 'a' ? joint + 2 : joint + 1
    } else if (more && TIME_UNITS[t[more.next]?.word ?? ''] === 1) {
      ;[low, high] = [low + more.low, high + more.high]
      j = skipDot(t, more.next + 1)
    } else if (
      more &&
      more.next === joint + 1 &&
      t[joint]!.kind === 'number' &&
      more.low >= 5 &&
      more.low < 60 &&
      joint === j &&
      t[j]!.from - t[j - 1]!.to <= 1 &&
      !unitAfter(t, more.next)
    ) {
      // "1hr 15", "1h20"
      ;[low, high] = [low + more.low, high + more.high]
      j = more.next
    }
  }
  if (t[j]?.word === 'and' && t[j + 1]?.word === 'a' && t[j + 2]?.word === 'half' && unit === 1) j += 3
  // "an hour and three-quarters"
  const part = t[j]?.word === 'and' && low === high ? valueAt(t, j + 1) : undefined
  if (part && part.value > 0 && part.value < 1 && !unitAfter(t, part.next)) {
    ;[low, high] = [low + part.value * unit, high + part.value * unit]
    j = part.next
  }
  return { kind: 'time', low, high, from, to: j }
}

/** No fan is set hotter, °C. */
const MOST_FAN = 260

/** "180C", "350°F", "160 fan", "gas mark 4", "gas ½", "th. 6" is none; "325 degrees". */
function heatAt(t: readonly Token[], i: number, last?: Dial): Heat | undefined {
  if (t[i]?.word === 'gas' || (t[i]?.word === 'mark' && t[i - 1]?.word !== 'gas')) {
    let j = i + 1
    while (/^(?:mark|no|number|reg|regulo|[.:])$/.test(t[j]?.word ?? '')) j++
    const mark = valueAt(t, j)
    return mark && mark.value <= 10 ? { kind: 'heat', value: mark.value, scale: 'gas', fan: false, from: i, to: mark.next } : undefined
  }
  // In words only where degrees are said: "a hundred and seventy degrees".
  const said = t[i]?.kind === 'number' || t[i]?.kind === 'word' ? spanAt(t, i) : undefined
  const amount = said && (t[i]!.kind === 'number' || DEGREES.has(t[said.next]?.word ?? '')) ? said : undefined
  if (!amount || amount.low < LEAST_HEAT) return undefined
  let j = amount.next
  let degrees = false
  while (DEGREES.has(t[j]?.word ?? '')) {
    degrees = true
    j = skipDot(t, j + 1)
  }
  const scale = SCALES[t[j]?.word ?? '']
  const near = t[j] !== undefined && t[j]!.from - t[j - 1]!.to <= 1
  // "160F (71C)": the same heat on the other scale, however low.
  const again = last?.kind === 'heat' && t.slice(last.to, i).every((x) => /^[(/,=]$/.test(x.text))
  const named =
    scale !== undefined &&
    (t[j]!.word.length > 1 ||
      degrees ||
      (near && (again || amount.low >= LEAST_BARE_HEAT) && (t[j]!.text === t[j]!.text.toUpperCase() || touching(t[j - 1], t[j]))))
  // "170 (fan 160)": a number beside the fan's.
  const fanned =
    /^[(/,]$/.test(t[j]?.text ?? '') && FAN.has(t[j + 1]?.word ?? '') && t[j + 2]?.kind === 'number' && amount.low >= LEAST_BARE_HEAT
  const fans = last?.kind === 'heat' && FAN.has(t[i - 1]?.word ?? '') && last.to >= i - 2 && amount.low >= LEAST_BARE_HEAT
  // "160 fan. Line the tin.": a heat by its oven, where nothing else is counted.
  const alone =
    FAN.has(t[j]?.word ?? '') &&
    amount.low >= LEAST_BARE_HEAT &&
    amount.low <= MOST_FAN &&
    (t[i - 1] === undefined || /^(?:oven|owen|at|to|[).:;,])$/.test(t[i - 1]!.word || t[i - 1]!.text))
  if ((fanned || fans || alone) && !named && !degrees) return { kind: 'heat', value: amount.low, fan: false, from: i, to: j }
  if (!named && !degrees) return undefined
  if (named) j = t[j + 1]?.text === '.' && t[j]!.word.length === 1 && t[j + 2] && /^\p{Ll}/u.test(t[j + 2]!.text) ? j + 2 : j + 1
  return { kind: 'heat', value: amount.low, ...(named && { scale }), fan: false, from: i, to: j }
}

/** Whether "fan" or its like stands right before or behind a temperature. */
function markFan(t: readonly Token[], heats: readonly Heat[]): void {
  heats.forEach((h, n) => {
    const next = heats[n + 1]
    const before = (t[h.from - 1]?.word === ':' ? t[h.from - 2] : t[h.from - 1])?.word ?? ''
    const b2 = t[h.from - 2]?.word ?? ''
    let k = h.to
    while (/^[(/,-]$/.test(t[k]?.text ?? '') && k < h.to + 1) k++
    const after = t[k]?.word ?? ''
    // "180C fan 160C": the fan belongs to what follows it.
    const leads = next !== undefined && (next.from === k + 1 || (next.from === k + 2 && t[k + 1]?.word === 'air'))
    // "170 °C, fan off", "no fan, 170 °C"
    const off = (FAN.has(after) && t[k + 1]?.word === 'off') || (FAN.has(before) && /^(?:no|without)$/.test(b2))
    h.fan =
      h.scale !== 'gas' &&
      !off &&
      (FAN.has(before) ||
        (before === 'air' && /^(?:circulating|hot|circulated|recirculating)$/.test(b2)) ||
        (before === 'forced' && b2 === '-') ||
        (before === 'oven' && FAN.has(b2)) ||
        (FAN.has(after) && !leads))
  })
}

function otherAt(t: readonly Token[], i: number): Other | undefined {
  const amount = spanAt(t, i)
  if (!amount) return undefined
  const after = t[amount.next]?.word ?? ''
  if (after === '%') return { kind: 'percent', value: amount.low, word: '%', from: i, to: amount.next + 1 }
  if (NOT_AMOUNTS.has(after) && !amount.article) return { kind: 'count', value: amount.high, word: after, from: i, to: amount.next + 1 }
  // "2 lb loaf tin": what the tin is called by, and no amount.
  const weight = isDash(t[amount.next]) ? amount.next + 1 : amount.next
  const named = unitNamed(t[weight]?.text ?? '')
  const dot = t[weight + 1]?.text === '.' ? weight + 2 : weight + 1
  if (
    named?.kind === 'mass' &&
    (/^(?:loaf|loaves)$/.test(t[dot]?.word ?? '') || (named.id === 'lb' && /^(?:tins?|pans?)$/.test(t[dot]?.word ?? '')))
  )
    return { kind: 'count', value: amount.low, word: 'tin', from: i, to: dot }
  // "a 12 cup bundt pan", "12-hole muffin tin"
  if (
    /^(?:cup|hole)s?$/.test(t[weight]?.word ?? '') &&
    (/^(?:bundt|ring|tube|fluted|muffin|gugelhupf|pan|tin|bun|cup-?cake|patty)$/.test(t[weight + 1]?.word ?? '') ||
      // "12-cup mini muffin tin", but "2 cups mini chips".
      (/^(?:mini|standard)$/.test(t[weight + 1]?.word ?? '') &&
        /^(?:muffin|bundt|cup-?cake|loaf|bun|tart|tin|pan)$/.test(t[weight + 2]?.word ?? '')))
  )
    return { kind: 'count', value: amount.low, word: 'tin', from: i, to: weight + 1 }
  const before = t[i - 1]?.text === '.' || t[i - 1]?.text === ':' ? t[i - 2] : t[i - 1]
  if (t[i]!.kind === 'number' && before && NUMBERS_AFTER.has(before.word))
    return { kind: 'count', value: amount.high, word: before.word, from: i, to: amount.next }
  return undefined
}

/** Joins "50 min - 1 hr" and "20 minutes to half an hour" into one time. */
function joined(t: readonly Token[], dials: Dial[]): Dial[] {
  const out: Dial[] = []
  for (const dial of dials) {
    const last = out.at(-1)
    if (dial.kind === 'time' && last?.kind === 'time') {
      const between = t.slice(last.to, dial.from).map((x) => x.word)
      if ((between.length === 1 && (/^(?:to|or)$/.test(between[0]!) || isDash(t[last.to]))) || between.join(' ') === 'up to') {
        if (dial.high > last.high) {
          last.high = dial.high
          last.to = dial.to
          continue
        }
      }
    }
    out.push(dial)
  }
  return out
}

/**
 * Times, temperatures, sizes and other numbers that are no amounts of a thing, in the order of the text.
 */
export function dialsIn(t: readonly Token[]): Dial[] {
  const dials: Dial[] = []
  for (let i = 0; i < t.length; i++) {
    const hit = timeAt(t, i) ?? heatAt(t, i, dials.at(-1)) ?? sizeAt(t, i) ?? otherAt(t, i)
    if (hit) {
      dials.push(hit)
      i = hit.to - 1
    } else {
      const amount = valueAt(t, i)
      if (amount && !amount.article) i = amount.next - 1
    }
  }
  const all = joined(t, dials)
  markFan(
    t,
    all.filter((d) => d.kind === 'heat'),
  )
  return all
}

/** Bare degrees are taken for Fahrenheit from here on: no oven has so many Celsius. */
const SURELY_FAHRENHEIT = 280
/** In a kitchen of Fahrenheit dials no oven is set below this. */
const LEAST_US_OVEN = 200

/** °C of a temperature; where its scale is not said, the kitchen and the number decide. */
export function celsiusOf(heat: Pick<Heat, 'value' | 'scale'>, region: Region): number {
  if (heat.scale === 'gas') return Math.round(gasMarkToCelsius(heat.value))
  const f =
    heat.scale === 'F' ||
    (heat.scale === undefined && (heat.value >= SURELY_FAHRENHEIT || (region === 'us' && heat.value >= LEAST_US_OVEN)))
  return Math.round(f ? fahrenheitToCelsius(heat.value) : heat.value)
}

/** Every time in a text, minutes. */
export const timesIn = (text: string): Time[] => dialsIn(tokenise(text)).filter((d) => d.kind === 'time')
/** Every temperature in a text. */
export const heatsIn = (text: string): Heat[] => dialsIn(tokenise(text)).filter((d) => d.kind === 'heat')
