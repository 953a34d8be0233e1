import type { Band, Banded, Family } from './families'
import { lift as liftOf } from './ratios'
import type { Mass } from './mass'
import type { MethodSigns } from './method'
import { banded, isCake, modelOf, type Metrics } from './metrics'

export type Severity = 'note' | 'caution' | 'fault'
export type FindingCode =
  | 'too-dry'
  | 'too-wet'
  | 'weak-set'
  | 'tough'
  | 'over-sugared'
  | 'under-sugared'
  | 'greasy'
  | 'lean'
  | 'under-leavened'
  | 'over-leavened'
  | 'soapy'
  | 'sour'
  | 'salty'
  | 'no-structure'
  | 'no-air'
  | 'too-thick'
  | 'too-thin'
  | 'label-check'
  | 'missing-ingredient'
  | 'temperature-mismatch'
  | 'splits'
  | 'runny'
  | 'stiff'
  | 'grainy'
  | 'too-sweet'
  | 'melts'

export interface Finding {
  code: FindingCode
  severity: Severity
  metric: string | null
  message: string
  part: string
}

/**
 * One tolerance: how far outside its band a ratio moves before a baker would taste or see it.
 * Half a tolerance is a note, up to two and a half a caution, beyond that a fault. Sizes are about a
 * third of a usual band's width: one spoon of liquid in a layer cake moves moisture by 0.05.
 */
export const TOLERANCE: Record<Banded, number> = {
  moisture: 0.16,
  sugarConcentration: 2.5,
  firmness: 0.045,
  lift: 2.5,
  sugarPct: 18,
  fatPct: 9,
  fluidity: 0.32,
  acidBalance: 1.2,
  setting: 0.22,
  waterPer100: 4,
  fatPer100: 3.5,
}
const NOTE_FROM = 0.15
const CAUTION_FROM = 0.75
const FAULT_FROM = 2.6

const LOW: Partial<Record<Banded, [FindingCode, string]>> = {
  moisture: ['too-dry', 'Too little liquid for what drinks it: it will eat dry and crumble.'],
  sugarConcentration: ['under-sugared', 'Little sugar against the water: it sets early, flat, pale and bready.'],
  firmness: ['weak-set', 'More tenderises than holds: it may sink or fall apart when cut.'],
  lift: ['under-leavened', 'Too little gas for this kind of cake: it will be close and heavy.'],
  sugarPct: ['under-sugared', 'Little sugar for the flour: tougher, paler and it stales sooner.'],
  fatPct: ['lean', 'Little fat for the flour: the crumb will be tough and stale soon.'],
  fluidity: ['too-thick', 'The batter is stiff: it will not level and rises unevenly.'],
  acidBalance: ['sour', 'Acid is left over: it will taste sour and brown little.'],
  setting: ['weak-set', 'Hardly anything sets the crumb: it may stay gummy and sink.'],
  waterPer100: ['too-dry', 'Little water for a mix of this kind: it will be heavy and dry.'],
  fatPer100: ['lean', 'Little fat for a mix of this kind: it sets rubbery.'],
}
const HIGH: Partial<Record<Banded, [FindingCode, string]>> = {
  moisture: ['too-wet', 'More liquid than the dry things can bind: it may set wet or gummy.'],
  sugarConcentration: ['over-sugared', 'So much sugar for the water that the crumb sets late: it rises and then sinks.'],
  firmness: ['tough', 'More toughens than tenderises: the crumb will be firm or rubbery.'],
  lift: ['over-leavened', 'More gas than the crumb can hold: it rises fast, coarsens and falls.'],
  sugarPct: ['over-sugared', 'Much sugar for the flour: late to set, sticky, with a sugary crust.'],
  fatPct: ['greasy', 'Much fat for the flour: heavy, with an oily crumb.'],
  fluidity: ['too-thin', 'The batter is thin: lift escapes before it sets.'],
  acidBalance: ['soapy', 'Soda is left over with no acid to meet it: it tastes of soap and browns dark.'],
  setting: ['tough', 'Very much sets this crumb: it turns out firm and springy.'],
  waterPer100: ['too-wet', 'Much water for a mix of this kind: it weeps or does not set.'],
  fatPer100: ['greasy', 'Much fat for a mix of this kind: it leaks and eats heavy.'],
}

/** How many tolerances a value lies outside its band; negative below, 0 inside. */
export function outside(value: number, band: Band, key: Banded): number {
  if (value < band.low) return (value - band.low) / TOLERANCE[key]
  if (value > band.high) return (value - band.high) / TOLERANCE[key]
  return 0
}

export function severityOf(tolerances: number): Severity | undefined {
  const far = Math.abs(tolerances)
  if (far >= FAULT_FROM) return 'fault'
  if (far >= CAUTION_FROM) return 'caution'
  return far >= NOTE_FROM ? 'note' : undefined
}

/** A teaspoon of soda over the dates and self-raising flour, as date puddings have it: 33 mmol, of which a third is gone. */
const SPENT_LIFT = 36
/** Two teaspoons of powder to 225 g of self-raising flour, the usual dose where all is beaten at once: 27 mmol, and a little. */
const ALL_IN_ONE_LIFT = 30

/** Absolute limits that no family escapes (science §3). */
const LEAST_SETTING = 0.85
const LOW_SETTING = 1.1
const GREASY_FAT = 27
const FAT_MAY_BE_HIGH: Family[] = ['pound', 'flourless-nut', 'flourless-chocolate', 'cheesecake', 'custard', 'pastry']
const WET_WATER = 45
const WATER_MAY_BE_HIGH: Family[] = ['foam', 'crepe', 'custard', 'cheesecake', 'pastry', 'flourless-nut']

/** Fat that a batter of the family carries at most, g per 100 g; `undefined` where its bands say it. */
export const mostFatPer100 = (family: Family): number | undefined => (FAT_MAY_BE_HIGH.includes(family) ? undefined : GREASY_FAT)
/** Water that a batter of the family holds at most, g per 100 g, purée aside. */
export const mostWaterPer100 = (family: Family): number | undefined => (WATER_MAY_BE_HIGH.includes(family) ? undefined : WET_WATER)

// The design's 2.5 % plus what classic chiffon takes (1 tsp to 230 g flour, 2.6 %).
const SALTY = 2.8
/** The sodium on a box counts that of its leavener, which does not taste of salt: about a third of it. */
const SALTY_BOX = 3.6
/** Where there is no flour to go by: bread dough, the saltiest thing most bakers mix, holds 1.2 % of its weight. */
const SALTY_PER_100 = 1.2
const SOAP_CAUTION = 5.5
const SOAP_FAULT = 8
/** Gas below which a cake without creamed or whipped air stays flat, mmol per 100 g flour. */
const LEAST_GAS = 4

/** Part-wise findings of one mix from its ratios, absolute rules and method. */
export function findingsOf(mass: Mass, metrics: Metrics, family: Family, signs: MethodSigns, part: string, pureeShare = 0): Finding[] {
  const found: Finding[] = []
  const add = (code: FindingCode, severity: Severity, metric: string | null, message: string) =>
    found.push({ code, severity, metric, message, part })
  const model = modelOf(family)
  for (const key of Object.keys(model.bands) as Banded[]) {
    const value = banded(metrics, key)
    const band = model.bands[key]!
    if (value === undefined || key === 'acidBalance') continue
    const far = outside(value, band, key)
    let severity = severityOf(far)
    // Everything at once leaves little air: such sponges take more powder, and without a method one cannot know.
    if (key === 'lift' && far > 0 && value <= ALL_IN_ONE_LIFT && model.air === 'creamed' && (signs.allInOne || signs.silent))
      severity = signs.allInOne ? 'note' : severity && 'caution'
    if (key === 'lift' && far > 0 && value <= SPENT_LIFT && signs.sodaSpent) severity = 'note'
    const says = far < 0 ? LOW[key] : HIGH[key]
    // A cake short of sugar is bready and pale; it does not fail.
    if (severity && says) add(says[0], severity === 'fault' && says[0] === 'under-sugared' ? 'caution' : severity, key, says[1])
  }
  if (!isCake(family)) return found

  const acid = metrics.acidBalance ?? 0
  // Cocoa, molasses and spice hide alkali that a plain cake shows.
  const per100 = (grams: number) => (mass.total > 0 ? (100 * grams) / mass.total : 0)
  const hidden = Math.min(2, per100(mass.cocoa) / 3 + per100(mass.syrup) / 20 + per100(mass.spice) * 6) + (signs.sodaSpent ? 1 : 0)
  if (acid > SOAP_FAULT + hidden) add('soapy', 'fault', 'acidBalance', HIGH.acidBalance![1])
  else if (acid > SOAP_CAUTION + hidden) add('soapy', 'caution', 'acidBalance', HIGH.acidBalance![1])
  const sourBand = model.bands.acidBalance
  const sour = sourBand ? severityOf(Math.min(0, outside(acid, sourBand, 'acidBalance'))) : undefined
  // Sourness is a taste, never a failed cake; in a lemon cake it is what was wanted.
  if (sour)
    add('sour', signs.citrus && sour === 'caution' ? 'note' : sour === 'fault' ? 'caution' : sour, 'acidBalance', LOW.acidBalance![1])

  if (metrics.setting < LEAST_SETTING)
    add('no-structure', 'fault', 'setting', 'Nothing in it sets a crumb: no egg, gluten, binder or other protein in strength.')
  else if (metrics.setting < LOW_SETTING && !found.some((f) => f.code === 'weak-set'))
    add('weak-set', 'caution', 'setting', LOW.setting![1])
  const mostFat = mostFatPer100(family)
  const mostWater = mostWaterPer100(family)
  if (mostFat !== undefined && metrics.fatPer100 > mostFat && !found.some((f) => f.code === 'greasy'))
    add('greasy', metrics.fatPer100 > mostFat + 4 ? 'fault' : 'caution', 'fatPer100', HIGH.fatPct![1])
  if (
    mostWater !== undefined &&
    metrics.waterPer100 > mostWater + 30 * pureeShare &&
    !found.some((f) => f.code === 'too-wet' && f.severity !== 'note')
  )
    add('too-wet', 'caution', 'waterPer100', HIGH.moisture![1])
  const salty = family === 'boxed' ? SALTY_BOX : SALTY
  const salt = metrics.saltPct === undefined ? per100(mass.salt) / SALTY_PER_100 : metrics.saltPct / salty
  if (salt > 1) add('salty', salt > 1.8 ? 'fault' : 'caution', 'saltPct', 'More salt than a cake carries: check the amount.')

  const gas = liftOf(mass) ?? 0
  const foamable = mass.egg > 0 || signs.whipped
  const creamed = signs.creamed && mass.plasticFat > 0.25 * mass.flour
  const carried =
    (model.air === 'foam' && foamable && (signs.whipped || signs.silent)) ||
    (model.air === 'creamed' && (creamed || signs.silent) && mass.plasticFat > 0.25 * mass.flour) ||
    (signs.whipped && mass.egg > 0.5 * mass.flour) ||
    creamed
  const needsAir = !['crepe', 'custard', 'cheesecake', 'pastry', 'flourless-chocolate'].includes(family)
  if (needsAir && gas < LEAST_GAS && !carried)
    // Small almond cakes are meant to be dense.
    add(
      'no-air',
      family === 'flourless-nut' ? 'caution' : 'fault',
      'lift',
      'Nothing raises it: no leavener, and neither creamed butter nor a whipped foam.',
    )
  if (model.air === 'foam' && family === 'foam' && mass.egg < 0.2 * mass.flour && gas < 8)
    add('no-air', 'fault', 'lift', 'A foam cake with hardly any egg to whip: nothing carries it.')
  return found
}
