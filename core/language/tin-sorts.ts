import { FRACTION_SIGNS } from './lexicon'
import type { Tin, TinShape } from '../measure/tin'
import { mlBelow, sectionOf } from '../measure/section'

/** Tins that a word alone makes smaller, larger or shallower than others of their shape: usual inside sizes of shops, mm. */
export const SORTS: readonly { words: RegExp; shape: TinShape; mm: Tin['mm']; material?: Tin['material'] }[] = [
  { words: /\bmini(?:ature)? (?:loaf|loaves)\b/i, shape: 'loaf', mm: { length: 145, width: 80, height: 50 } },
  { words: /\b(?:jumbo|giant|texas|extra[- ]large)\b.*\b(?:muffin|cupcake)s?\b/i, shape: 'cupcake', mm: { diameter: 64, height: 45 } },
  { words: /\bmini\b.*\b(?:muffin|cupcake)s?\b/i, shape: 'cupcake', mm: { diameter: 32, height: 22 } },
  { words: /\b(?:madeleines?|magdalenas?)\b/i, shape: 'cupcake', mm: { diameter: 44, height: 18 } },
  { words: /\b(?:friands?|financiers?)\b/i, shape: 'cupcake', mm: { diameter: 48, height: 30 } },
  // A pudding for one holds 175 to 200 ml.
  {
    words: /\b(?:dariole|castle pudding|(?:individual|mini|single|small|\d{2,3} ?ml) pudding (?:mou?ld|basin|tin))/i,
    shape: 'round',
    mm: { diameter: 72, height: 55 },
  },
  { words: /\bramekins?\b/i, shape: 'round', mm: { diameter: 85, height: 48 }, material: 'ceramic' },
  { words: /\bhalf[- ]sheet\b/i, shape: 'sheet', mm: { width: 330, length: 460, height: 25 } },
  { words: /\bquarter[- ]sheet\b/i, shape: 'sheet', mm: { width: 229, length: 330, height: 25 } },
]

/** Walls that are lower than those of a cake tin of the same width, mm. */
const LOW: readonly (readonly [RegExp, number])[] = [
  [/\b(?:pie|flan) (?:dish|plate|tin|pan)\b/i, 38],
  [/\b(?:tart|quiche) (?:tin|pan|dish)\b|\bsavarin\b/i, 45],
  [/\bskillet\b/i, 50],
]
export const lowWallIn = (text: string): number | undefined => LOW.find(([words]) => words.test(text))?.[1]

/** Millilitres in the measures that a tin's capacity is told in. */
const ML: readonly (readonly [RegExp, number])[] = [
  [/^(?:ml|millilit(?:re|er)s?)$/i, 1],
  [/^(?:l|lit(?:re|er)s?)$/i, 1000],
  [/^(?:qt|quarts?)$/i, 946],
  [/^(?:pt|pints?)$/i, 568],
  [/^(?:cups?)$/i, 237],
]
const CAPACITY =
  /(\d\s*\/\s*\d|\d+(?:[.,]\d+)?|[½⅓¼¾⅔]|\d+\s*½)\s*-?\s*(ml|millilit(?:re|er)s?|l|lit(?:re|er)s?|qt|quarts?|pt|pints?|cups?)\b(?!\s+(?:of|water|batter|sugar|flour|milk))/gi
/** What stands behind the capacity of a tin, at most three words away. */
const HOLDS = /^[\s-]*(?:capacity )?\)?\s*(?:[\p{L}-]+ ){0,3}?(?:tins?|pans?|mou?lds?|dish|bundt|basins?|ramekins?|ring|tube|loaf|bowl)\b/iu

/** What a tin is said to hold, ml; nothing under 60 ml is a tin. */
export function capacityIn(text: string): number | undefined {
  const all = [...text.matchAll(CAPACITY)]
  // "Sprinkle 1 cup of pecans into a 14-cup Bundt pan": the measure that stands before a tin is the tin's.
  const found = all.find((m) => HOLDS.test(text.slice(m.index + m[0].length))) ?? all[0]
  if (!found) return undefined
  const [over, under] = found[1]!.split('/').map(Number)
  const n = under ? over! / under : (FRACTION_SIGNS[found[1]!] ?? Number(found[1]!.replace(',', '.').replace(/\s*½/, '.5')))
  const ml = n * (ML.find(([unit]) => unit.test(found[2]!))?.[1] ?? 0)
  return ml >= 60 && ml <= 12_000 ? ml : undefined
}

const COUNTS = 'one two three four five six seven eight nine ten eleven twelve'.split(' ')
const VESSELS = new RegExp(
  `\\b(\\d{1,2}|${COUNTS.join('|')})\\s+(?:x\\s+)?(?:individual |small |mini )?(?:\\d+(?:[./]\\d+)?|[½⅓¼¾⅔])\\s*-?\\s*(?:cups?|ml)\\b[^.]{0,40}?\\b(?:pans|tins|mou?lds|basins|ramekins|dishes|rings)\\b`,
  'i',
)

/** "Ten ½-cup friand pans", "eight 150 ml basins": how many of what each holds so much. */
export function vesselsIn(text: string): number | undefined {
  const said = VESSELS.exec(text)?.[1]?.toLowerCase()
  return said === undefined ? undefined : /\d/.test(said) ? Number(said) : COUNTS.indexOf(said) + 1
}

/** A tin of the same proportions that holds so many ml to its rim. */
export function holding(shape: TinShape, mm: Tin['mm'], ml: number): Tin['mm'] {
  const section = sectionOf({ shape, mm })
  if (!section) return mm
  const by = Math.cbrt(ml / mlBelow(section, section.depth))
  return Object.fromEntries(Object.entries(mm).map(([side, x]) => [side, Math.round(x! * by)]))
}
