import type { Banded, CakeFamily, Family } from './families'
import { grade, outside, severityOf, TOLERANCE, type Severity } from './grade'
import { lift as liftOf } from './ratios'
import type { Mass } from './mass'
import type { MethodSigns } from './method'
import type { Fit } from './recognise'
import { banded, isCake, modelOf, type Metrics } from './metrics'

export { outside, severityOf, TOLERANCE, type Severity }
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

/** A teaspoon of soda over the dates and a cup or more of self-raising flour, as date puddings have it: 33 to 39 mmol, of which a third is gone. */
const SPENT_LIFT = 40
/** Two teaspoons of powder to 225 g of self-raising flour, the usual dose where all is beaten at once: 27 mmol, and a little. */
const ALL_IN_ONE_LIFT = 30

/** Absolute limits that no family escapes (science §3). */
const LEAST_SETTING = 0.85
const LOW_SETTING = 1.1
/** Starch of this share of a wet mix makes it a pudding that can be cut (a cornflour pudding has 7–8 %). */
const GELS = 0.08
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
/** The sodium on a box counts that of its leavener, which does not taste of salt: about a third of it; instant pudding
 * brings phosphates that taste less still. */
const SALTY_BOX = 4.6
/** Where there is no flour to go by: bread dough, the saltiest thing most bakers mix, holds 1.2 % of its weight. */
const SALTY_PER_100 = 1.2
const SOAP_CAUTION = 7.8
const SOAP_FAULT = 12
/** Gas below which a cake without creamed or whipped air stays flat, mmol per 100 g flour. */
const LEAST_GAS = 2

/** A mix to be judged. */
export interface Judged {
  mass: Mass
  metrics: Metrics
  family: Family
  /** Families that fit it; the family alone where absent. */
  members?: readonly Fit[]
  signs: MethodSigns
  part: string
  /** Shares of its weight: purée, which carries water without thinning; whole pieces, which lie in it; grits on its flour. */
  puree?: number
  pieces?: number
  /** Yeast raises it. */
  yeasted?: boolean
  /** It fits no kind of cake that the model knows. */
  unusual?: boolean
  grits?: number
  /** Whites and what whips like them, g. */
  whites?: number
  /** How much it is a meringue, 0 to 1. */
  meringue?: number
  /** Nut butter stands in the place of its flour. */
  paste?: boolean
  /** Share of its flour that comes as bread. */
  bread?: number
}

/** A pudding of so much bread was raised when that was baked, and is meant to be dense. */
const OF_BREAD = 0.5
/** Batters of semolina and cornmeal drink before and while they bake, and are soaked after. */
const GRITTY = 0.4
/** From this share of fruit on its sugar counts beside the baker's. */
const FRUITY = 0.15
/** What a meringue has beyond any sponge. */
const OF_MERINGUES: ReadonlySet<Banded> = new Set([
  'sugarConcentration',
  'firmness',
  'setting',
  'sugarPct',
  'fluidity',
  'moisture',
  'fatPct',
])
/** Sugar to whites: classic meringues have 1.5 to 2. */
const MERINGUE_SUGAR = 2.3
/** Ratios that are counted on flour, and on what it drinks and holds. */
export const ON_FLOUR: ReadonlySet<Banded> = new Set(['moisture', 'firmness', 'sugarPct', 'fatPct', 'lift', 'fluidity'])
export const SURE_MERINGUE = 0.5
/** Kinds that nothing needs to raise. */
const FLAT: readonly Family[] = ['crepe', 'pastry', 'flourless-chocolate', 'custard', 'cheesecake']
/** Tolerances from which even what follows no band is out. */
const FAR = 4
/** Bars: this much sugar to little water is what makes them fudgy. */
const isBar = (mass: Mass, m: Metrics): boolean =>
  mass.flour > 0.05 * mass.total &&
  (m.sugarConcentration ?? 0) < 80 &&
  mass.sugar > 0.9 * mass.flour &&
  mass.fat > 0.45 * mass.flour &&
  (m.moisture ?? 9) < 1.75 &&
  (liftOf(mass) ?? 0) < 12

/** Findings of one mix from its ratios, absolute rules and method. */
export function findingsOf(mix: Judged): Finding[] {
  const { mass, metrics, family, signs, part } = mix
  const found: Finding[] = []
  const add = (code: FindingCode, severity: Severity, metric: string | null, message: string) =>
    found.push({ code, severity, metric, message, part })
  const model = modelOf(family)
  const members = mix.members?.length ? mix.members : isCake(family) ? [{ family: family as CakeFamily, fit: 1 }] : []
  const gritty = (mix.grits ?? 0) > GRITTY
  const bar = signs.bar && isBar(mass, metrics)
  const whole = Math.min(0.85, mix.pieces ?? 0)
  const meringue =
    family === 'foam' && signs.whipped && (mix.meringue ?? 0) > SURE_MERINGUE && mass.sugar < MERINGUE_SUGAR * (mix.whites ?? mass.egg)
  for (const key of Object.keys(model.bands) as Banded[]) {
    const value = banded(metrics, key)
    if (value === undefined || key === 'acidBalance') continue
    // Pieces lie in the batter and are no part of what must set.
    const judged = grade(key === 'setting' || key === 'waterPer100' ? value / (1 - whole) : value, key, members)
    if (!judged) continue
    let { severity } = judged
    const { side } = judged
    if (side === 'low' && gritty && (key === 'moisture' || key === 'fluidity')) continue
    if (side === 'high' && gritty && key === 'firmness') continue
    // Semolina cakes are close, and soaked: a teaspoon of powder is much for them.
    if (side === 'low' && gritty && key === 'lift' && severity === 'caution') severity = 'note'
    // Dense and sweet, with hardly any water: that is what a bar is.
    if (bar && key !== 'lift' && key !== 'setting' && severity !== 'fault') severity = 'note'
    // Doughs and bought sheets take what is poured over them.
    if (family === 'pastry' && severity === 'fault') severity = 'caution'
    // A mug of batter and a loaf of coconut flour follow no band: physics alone judges them.
    if (mix.unusual && severity === 'caution' && judged.far < FAR) severity = 'note'
    if (signs.mug && severity === 'caution') severity = 'note'
    if (signs.unbaked && key === 'setting') continue
    // Counted on a spoonful of flour beside a jar of nut butter no ratio says anything.
    if (mix.paste && ON_FLOUR.has(key)) continue
    // Twice its whites in sugar is what makes a meringue.
    if (meringue && OF_MERINGUES.has(key)) continue
    // Everything at once leaves little air: such sponges take more powder, and without a method one cannot know.
    if (key === 'lift' && side === 'high' && value <= ALL_IN_ONE_LIFT && model.air === 'creamed' && (signs.allInOne || signs.silent))
      severity = signs.allInOne ? 'note' : severity
    if (key === 'lift' && side === 'high' && value <= SPENT_LIFT && signs.sodaSpent) severity = 'note'
    // Sugar acts by how strong it is in the water: what fruit brings is much for the flour, and no fault where it is not strong.
    if (key === 'sugarPct' && side === 'high' && severity === 'caution' && (mix.puree ?? 0) > FRUITY) {
      const strength = grade(metrics.sugarConcentration ?? 0, 'sugarConcentration', members)
      if (!strength || strength.side === 'low') severity = 'note'
    }
    const says = side === 'low' ? LOW[key] : HIGH[key]
    if (says) add(says[0], severity, key, says[1])
  }
  if (!isCake(family)) return found
  // Yeast lifts by itself, and dough is meant to be dry and lean beside a cake.
  if (mix.yeasted || (mix.bread ?? 0) > OF_BREAD) {
    for (const f of found) if (f.severity !== 'note') f.severity = 'note'
    return found.filter((f) => f.code !== 'under-leavened')
  }

  // Gluten alone holds no more sugar than its own flour: without egg a crumb so sweet sets too late to stand.
  if (
    family === 'eggless-raised' &&
    found.some((f) => f.metric === 'sugarConcentration' && f.code === 'over-sugared' && f.severity !== 'note')
  )
    add('weak-set', 'caution', 'setting', 'So much sugar and no egg: the crumb sets late, and little holds it when it does.')

  const acid = metrics.acidBalance ?? 0
  // Cocoa, molasses and spice hide alkali that a plain cake shows.
  const per100 = (grams: number) => (mass.total > 0 ? (100 * grams) / mass.total : 0)
  const hidden = Math.min(2, per100(mass.cocoa) / 3 + per100(mass.syrup) / 20 + per100(mass.spice) * 6) + (signs.sodaSpent ? 1 : 0)
  if (acid > SOAP_FAULT + hidden) add('soapy', 'fault', 'acidBalance', HIGH.acidBalance![1])
  else if (acid > SOAP_CAUTION + hidden) add('soapy', 'caution', 'acidBalance', HIGH.acidBalance![1])
  const sourBand = model.bands.acidBalance
  const sour = sourBand ? severityOf(Math.min(0, outside(acid, sourBand, 'acidBalance'))) : undefined
  // Sourness is a taste, never a failed cake; in a lemon cake it is what was wanted.
  if (sour) add('sour', signs.citrus ? 'note' : sour, 'acidBalance', LOW.acidBalance![1])

  const setting = metrics.setting / (1 - whole)
  // Starch in plenty of water thickens as it cooks: porridges and puddings set by it.
  const gelled = mass.total > 0 && mass.starch > GELS * mass.total && metrics.waterPer100 > WET_WATER
  if (setting < LEAST_SETTING && !gelled && !signs.unbaked && family !== 'pastry' && !meringue)
    add('no-structure', 'fault', 'setting', 'Nothing in it sets a crumb: no egg, gluten, binder or other protein in strength.')
  else if (setting < LOW_SETTING && !meringue && !gelled && !signs.unbaked && !found.some((f) => f.code === 'weak-set'))
    add('weak-set', 'caution', 'setting', LOW.setting![1])
  const mostFat = mostFatPer100(family)
  const mostWater = signs.crepe ? undefined : mostWaterPer100(family)
  if (mostFat !== undefined && metrics.fatPer100 > mostFat && !found.some((f) => f.code === 'greasy'))
    add('greasy', metrics.fatPer100 > mostFat * 1.5 ? 'fault' : 'caution', 'fatPer100', HIGH.fatPct![1])
  if (
    mostWater !== undefined &&
    metrics.waterPer100 > mostWater + 30 * (mix.puree ?? 0) &&
    !found.some((f) => f.code === 'too-wet' && f.severity !== 'note')
  )
    add('too-wet', 'caution', 'waterPer100', HIGH.moisture![1])
  const salty = family === 'boxed' ? SALTY_BOX : SALTY
  // A foam has little flour to count its salt by: what is tasted is the salt of the whole.
  const onFlour = metrics.saltPct === undefined ? Infinity : metrics.saltPct / salty
  const salt = Math.min(onFlour, per100(mass.salt) / SALTY_PER_100)
  if (salt > 1) add('salty', salt > 2.5 ? 'fault' : 'caution', 'saltPct', 'More salt than a cake carries: check the amount.')

  const gas = liftOf(mass) ?? 0
  // Egg white that a box brings dried counts as what it was: an eighth of it is protein.
  const egg = Math.max(mass.egg, mass.eggProtein / 0.125)
  const foamable = egg > 0 || signs.whipped
  const creamed = signs.creamed && mass.plasticFat > 0.25 * mass.flour
  const carried =
    (model.air === 'foam' && foamable && (signs.whipped || signs.silent)) ||
    (model.air === 'creamed' && (creamed || signs.silent) && mass.plasticFat > 0.25 * mass.flour) ||
    (signs.whipped && egg > 0.5 * mass.flour) ||
    creamed
  const needsAir = !FLAT.includes(family) && !bar
  if (needsAir && gas < LEAST_GAS && !carried)
    // Small almond cakes are meant to be dense.
    add(
      'no-air',
      family === 'flourless-nut' ? 'caution' : 'fault',
      'lift',
      'Nothing raises it: no leavener, and neither creamed butter nor a whipped foam.',
    )
  if (model.air === 'foam' && family === 'foam' && egg < 0.2 * mass.flour && gas < 8 && !meringue)
    add('no-air', 'fault', 'lift', 'A foam cake with hardly any egg to whip: nothing carries it.')
  return found
}
