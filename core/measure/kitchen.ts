import { writeNumber } from './number'
import { KITCHENS, type Region } from './region'

export const MEASURES = ['weight', 'us', 'metric'] as const
export type Measures = (typeof MEASURES)[number]

/** What must be known of a thing to measure it: no more than the pantry can say. */
export interface Measurable {
  gramsPerMl: number
  /** Taken by the spoon even in a kitchen with scales: leaveners, salt, gums, spices, extracts. */
  bySpoon?: boolean
  /** Bought and cracked whole. */
  piece?: { grams: number; name: string; plural: string }
}

/** An amount that a kitchen can measure, and how it is said. */
export interface Measured {
  grams: number
  text: string
  /** How fiddly it is: 0 for one spoon or cup, more for a sum of measures. */
  fuss: number
}

const CUP_PARTS = [0, 1 / 4, 1 / 3, 1 / 2, 2 / 3, 3 / 4]
const FUSS_OF_SUM = 0.12
const FUSS_OF_EIGHTH = 0.1

const MOST_SPOONS = 6.5
/** A scale reads to 1 g; below this a spoon is surer than the scale. */
const SCALE_FROM = 12
/** Step that is read and remembered easily, by amount. */
const scaleStep = (grams: number): number => (grams < 20 ? 1 : 5)

function spoons(ml: number, region: Region): { ml: number; text: string; fuss: number }[] {
  const { teaspoon, tablespoon } = KITCHENS[region]
  const found: { ml: number; text: string; fuss: number }[] = []
  const teaspoons = ml / teaspoon
  if (teaspoons <= 4.2)
    for (let eighths = 1; eighths <= 32; eighths++) {
      const count = eighths / 8
      // Spoon sets have ¼ tsp steps; ⅛ is only sold for the smallest amounts.
      if (eighths % 2 && eighths > 1) continue
      // "3½ tsp" is said and measured; a whole tablespoon is called one.
      if (Math.abs(count * teaspoon - tablespoon) < 0.1 || count * teaspoon > 1.3 * tablespoon) continue
      found.push({
        ml: count * teaspoon,
        text: `${writeNumber(count)} tsp`,
        fuss: eighths % 2 || count * teaspoon > tablespoon ? FUSS_OF_EIGHTH : 0,
      })
    }
  for (let halves = 2; halves <= 12; halves++) {
    const count = halves / 2
    found.push({ ml: count * tablespoon, text: `${writeNumber(count)} tbsp`, fuss: halves % 2 || halves > 6 ? FUSS_OF_EIGHTH : 0 })
  }
  for (let whole = 1; whole <= 3; whole++)
    // Three teaspoons make a tablespoon, in Australia four.
    for (let extra = 1; (extra + 0.5) * teaspoon < tablespoon; extra++)
      found.push({ ml: whole * tablespoon + extra * teaspoon, text: `${whole} tbsp + ${extra} tsp`, fuss: FUSS_OF_SUM })
  return found
}

function cups(ml: number, region: Region): { ml: number; text: string; fuss: number }[] {
  const { cup, tablespoon } = KITCHENS[region]
  const found: { ml: number; text: string; fuss: number }[] = []
  const whole = Math.floor(ml / cup)
  for (let n = Math.max(0, whole - 1); n <= whole + 1; n++)
    for (const part of CUP_PARTS) {
      const base = n + part
      if (base === 0) continue
      const name = base > 1 ? 'cups' : 'cup'
      for (const extra of part === 3 / 4 || part === 1 / 3 ? [0, 1, 2, 3] : [0, 1, 2]) {
        const total = base * cup + extra * tablespoon
        found.push({
          ml: total,
          text: `${writeNumber(base)} ${name}${extra ? ` + ${extra} tbsp` : ''}`,
          fuss: extra ? FUSS_OF_SUM : 0,
        })
      }
    }
  return found
}

function forms(grams: number, thing: Measurable, measures: Measures, region: Region): Measured[] {
  if (thing.piece) {
    const { grams: one, name, plural } = thing.piece
    const near = Math.max(1, Math.round(grams / one))
    return [near - 1, near, near + 1]
      .filter((n) => n > 0)
      .map((n) => ({ grams: n * one, text: `${n} ${n === 1 ? name : plural}`, fuss: 0 }))
  }
  const spooned = () =>
    spoons(grams / thing.gramsPerMl, region).map((s) => ({ grams: s.ml * thing.gramsPerMl, text: s.text, fuss: s.fuss }))
  if (measures === 'weight') {
    // Nobody counts out more spoons than that, with a scale at hand.
    const few = grams / thing.gramsPerMl <= MOST_SPOONS * KITCHENS[region].tablespoon
    if ((thing.bySpoon && few) || grams < SCALE_FROM) return spooned()
    const step = scaleStep(grams)
    const near = Math.round(grams / step)
    return [near - 2, near - 1, near, near + 1, near + 2]
      .filter((n) => n > 0)
      .map((n) => ({ grams: n * step, text: `${n * step} g`, fuss: 0 }))
  }
  const ml = grams / thing.gramsPerMl
  const quarterCup = KITCHENS[region].cup / 4
  return [
    ...(ml < quarterCup * 1.4 ? spooned() : []),
    ...(ml > quarterCup * 0.8 ? cups(ml, region).map((c) => ({ grams: c.ml * thing.gramsPerMl, text: c.text, fuss: c.fuss })) : []),
  ]
}

/**
 * The measurable amounts nearest to a wanted one, nearest first.
 *
 * @param grams wanted, above 0
 * @param most how many to return
 * @returns at least one amount; grams of each and its words ("1¼ cups + 1 tbsp", "185 g")
 */
export function nearestMeasures(grams: number, thing: Measurable, measures: Measures, region: Region, most = 5): Measured[] {
  const all = forms(grams, thing, measures, region).sort(
    (a, b) => Math.abs(a.grams - grams) * (1 + a.fuss) - Math.abs(b.grams - grams) * (1 + b.fuss),
  )
  const seen = new Set<string>()
  const distinct = all.filter((m) => !seen.has(m.text) && seen.add(m.text))
  return distinct.slice(0, most)
}

/** How an amount is said in a kitchen: the nearest measurable form. */
export function inKitchen(grams: number, thing: Measurable, measures: Measures, region: Region): string {
  if (!(grams > 0)) return 'none'
  return nearestMeasures(grams, thing, measures, region, 1)[0]?.text ?? `${Math.round(grams)} g`
}
