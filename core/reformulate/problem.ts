import { BANDED, type Band, type Banded, type Family } from '../balance/families'
import { mostFatPer100, mostWaterPer100, ON_FLOUR, TOLERANCE } from '../balance/findings'
import { CONCENTRATION_PER_KM, CORRECT_FROM, gasFactor, MOISTURE_PER_KM } from '../balance/altitude'
import { modelOf, type Metrics } from '../balance/metrics'
import { PROFILE_KEYS, profileOf, type Profile } from '../balance/profile'
import type { Mass } from '../balance/mass'
import type { Ingredient } from '../pantry/ingredient'
import { need } from '../pantry/pantry'

/** One amount that the programme may move. */
export interface Variable {
  key: string
  ingredient: Ingredient
  melted: boolean
  /** Grams before, 0 for what is new. */
  from: number
  /** Where it wants to be, g. */
  start: number
  low: number
  high: number
  /** Grams away from `start` that cost as much as one tolerance of a ratio. */
  give: number
  /** Moves in a fixed ratio with what of another variable is beyond so many grams: those that the recipe had before. */
  tie?: { to: string; ratio: number; beyond: number }
  /** A package, a whole egg, a pinned line: not to be moved at all. */
  fixed: boolean
  /** What it takes the place of. */
  replaces: string[]
  /** Where several things are replaced by the same one: how much was brought for which, g. */
  portions?: { replaces: string[]; grams: number }[]
  why: { code: string; message: string }[]
}

/** A ratio wanted near a value: numerator and denominator as sums of profiles. */
interface Aim {
  key: string
  value: number
  weight: number
  band?: Band
  tolerance: number
  top: (m: Mass) => number
  bottom: (m: Mass) => number
}

/** A linear row over the variables: Σ coefficient·grams + constant, in tolerances. */
export interface Row {
  key: string
  coefficients: Float64Array
  constant: number
  weight: number
  /** `aim`: squared; `below`/`above`: only what lies past the limit is squared. */
  kind: 'aim' | 'hinge'
}

export interface Problem {
  family: Family
  variables: Variable[]
  profiles: Profile[]
  /** What is not to be moved, summed. */
  fixed: Mass
  rows: Row[]
  /** Gas is not linear: powder + ½ base + ½ min(acid, base), wanted per 100 g of flour and cocoa. */
  gas: { aim: number; band?: Band; weight: number; tolerance: number; flour: number } | undefined
}

/** How much each ratio counts beside the others. Lift, moisture and set decide whether a cake holds. */
const WEIGHT: Partial<Record<Banded, number>> = {
  moisture: 1,
  sugarConcentration: 0.8,
  firmness: 0.9,
  fluidity: 0.25,
  sugarPct: 0.1,
  fatPct: 0.35,
  acidBalance: 0.5,
  setting: 0.04,
  waterPer100: 0.6,
  fatPer100: 0.6,
}
/** A tolerance outside a band costs this many times a tolerance off its aim. */
export const HINGE_WEIGHT = 9
const SWEET_TOLERANCE = 4
const BATTER_TOLERANCE = 0.09
/** Aims stay this share of the band's width inside it. */
const INSIDE = 0.14

const TOP: Record<Banded, (m: Mass) => number> = {
  moisture: (m) => m.water,
  sugarConcentration: (m) => 100 * m.effectiveSugar,
  firmness: (m) => m.tougheners,
  lift: (m) => m.co2,
  sugarPct: (m) => 100 * m.sugar,
  fatPct: (m) => 100 * m.fat,
  fluidity: (m) => m.fluid,
  acidBalance: (m) => 100 * (m.base - m.acid - 0.6 * m.buffer),
  setting: (m) => 100 * m.setting,
  waterPer100: (m) => 100 * m.water,
  fatPer100: (m) => 100 * m.fat,
}
const BOTTOM: Record<Banded, (m: Mass) => number> = {
  moisture: (m) => m.waterDemand,
  sugarConcentration: (m) => m.effectiveSugar + m.water,
  firmness: (m) => m.tenderisers,
  lift: (m) => m.flour,
  sugarPct: (m) => m.flour,
  fatPct: (m) => m.flour,
  fluidity: (m) => m.stiff,
  acidBalance: (m) => m.total,
  setting: (m) => m.total,
  waterPer100: (m) => m.total,
  fatPer100: (m) => m.total,
}

/**
 * Where a ratio should come to lie: near the old character, inside the band, and two thirds of the way to the family's
 * own aim when the family changes.
 *
 * @param how.noHigher a crumb that sets more weakly than before never wants more of it than it had
 * @param how.trusted the cake stays what it was and its baker likes it: the old value stands up to the band's very edge
 */
export function aimFor(
  old: number | undefined,
  band: Band | undefined,
  familyAim: number | undefined,
  how: { noHigher?: boolean; trusted?: boolean } = {},
): number | undefined {
  if (!band) return old
  const width = band.high - band.low
  const middle = (band.low + band.high) / 2
  const between = old === undefined ? (familyAim ?? middle) : familyAim === undefined ? old : 0.35 * old + 0.65 * familyAim
  const wanted = how.noHigher && old !== undefined ? Math.min(old, between) : between
  const inside = how.trusted ? 0 : INSIDE * width
  return Math.min(band.high - inside, Math.max(band.low + inside, wanted))
}

export function sumOf(problem: Pick<Problem, 'variables' | 'profiles' | 'fixed'>, grams: ArrayLike<number>): Mass {
  const sum = { ...problem.fixed }
  for (let i = 0; i < problem.variables.length; i++) {
    const p = problem.profiles[i]!
    const x = grams[i]!
    if (x) for (const k of PROFILE_KEYS) sum[k] += p[k] * x
  }
  return sum
}

export interface ProblemInput {
  family: Family
  variables: Variable[]
  fixed: Mass
  before: Metrics
  /** The recipe's lift where it was written for, where that is not here. */
  liftBefore?: number
  /** The family is another than before: pull towards its own aims. */
  moved: boolean
  /** Only what is asked for is to change: the rest of the recipe is as its baker wants it. */
  trusted?: boolean
  /** Nut butter stands in the place of its flour: what counts is the whole. */
  paste?: boolean
  /** Ratios that the goals want elsewhere. */
  wishes: Partial<Record<Banded | 'sweetness', number>>
  /** Bands, widened where the goals reach beyond them; the family's own where absent. */
  bands?: Partial<Record<Banded, Band>>
  /** Metres above the sea. */
  altitudeM?: number
}

/** How sweet and how rich is the baker's own, as long as the new kind of cake bears it. */
const OWN_TASTE: ReadonlySet<Banded> = new Set(['sugarConcentration', 'sugarPct', 'fatPct'])

/** A trusted recipe may lie outside a band: then the band reaches to it. */
const reaching = (band: Band | undefined, value: number | undefined): Band | undefined =>
  band && value !== undefined ? { low: Math.min(band.low, value), high: Math.max(band.high, value) } : band

/** A line of the recipe that sets less than this per 100 g of it only dilutes. */
const SETS = 1

/** Brought in the place of eggs. */
const forEgg = (v: Variable): boolean => v.replaces.some((id) => need(id).kind === 'egg')

/** So many parts of water go with what a flour drinks more or less than the one before; what lies beyond stands free, as in a custard. */
const GOES_WITH = 2

/** The moisture that keeps the free water of a batter whose dry things drink otherwise now. */
function moistureKept(before: Metrics, demand: number): number | undefined {
  const old = before.moisture
  if (old === undefined || old <= GOES_WITH || !(demand > LEAST_SUM)) return old
  const drank = (before.waterPer100 * before.batterGrams) / 100 / old
  return (old * drank + GOES_WITH * (demand - drank)) / demand
}

/** A sum below this, in grams, is dust on the scale: no ratio is made of it. */
const LEAST_SUM = 0.05

/** Builds the rows of the programme: each ratio against its aim and band, sweetness and batter weight against before. */
export function buildProblem(input: ProblemInput): Problem {
  const { family, variables, fixed, before, moved, wishes } = input
  const model = modelOf(family)
  const bands = input.bands ?? model.bands
  const altitudeM = input.altitudeM ?? 0
  const trusted = Boolean(input.trusted) && !moved
  const km = altitudeM >= CORRECT_FROM ? altitudeM / 1000 : 0
  const profiles = variables.map((v) => profileOf(v.ingredient, v.melted))
  const problem: Problem = { family, variables, profiles, fixed, rows: [], gas: undefined }
  const guess = sumOf(
    problem,
    variables.map((v) => v.start),
  )
  // A profile is the mass of one gram, so the ratio functions read it as it is.
  const unit: Mass[] = profiles

  const addRatio = (a: Aim) => {
    const d0 = a.bottom(guess)
    if (!(d0 > LEAST_SUM)) return
    const row = (value: number, weight: number, kind: Row['kind'], sign: number, key: string) => {
      const scale = sign / (d0 * a.tolerance)
      const coefficients = new Float64Array(variables.length)
      let constant = scale * (a.top(fixed) - value * a.bottom(fixed))
      for (let i = 0; i < variables.length; i++) {
        const slope = scale * (a.top(unit[i]!) - value * a.bottom(unit[i]!))
        // Set is bought with what sets, never by taking the butter out.
        if (key === 'setting' && !forEgg(variables[i]!) && a.top(unit[i]!) < SETS * a.bottom(unit[i]!))
          constant += slope * variables[i]!.start
        else coefficients[i] = slope
      }
      problem.rows.push({ key, coefficients, constant, weight, kind })
    }
    row(a.value, a.weight, 'aim', 1, a.key)
    if (a.band) {
      row(a.band.high, HINGE_WEIGHT, 'hinge', 1, a.key)
      row(a.band.low, HINGE_WEIGHT, 'hinge', -1, a.key)
    }
  }

  for (const key of BANDED) {
    if (key === 'lift' || (input.paste && ON_FLOUR.has(key))) continue
    const band = trusted
      ? reaching(bands[key], before[key])
      : // A cake that was lean or little sweet before stays so.
        OWN_TASTE.has(key) && moved && bands[key]
        ? { low: Math.min(bands[key].low, before[key] ?? bands[key].low), high: bands[key].high }
        : bands[key]
    // Another kind of cake is best near neutral; the same cake stays as sour or alkaline as its baker likes it.
    const old =
      key === 'acidBalance' && moved
        ? Math.min(2, Math.max(-1, before.acidBalance ?? 0))
        : key === 'moisture' && trusted
          ? moistureKept(before, guess.waterDemand)
          : before[key]
    const wished = wishes[key]
    const sea =
      wished ??
      aimFor(old, band, moved && !OWN_TASTE.has(key) ? model.aims?.[key] : undefined, { noHigher: key === 'sugarConcentration', trusted })
    const value =
      sea === undefined || !km
        ? sea
        : key === 'moisture'
          ? sea * (1 + MOISTURE_PER_KM * km)
          : key === 'sugarConcentration'
            ? sea + CONCENTRATION_PER_KM * km
            : sea
    const weight = WEIGHT[key] ?? 0
    if (value === undefined || !weight || (!band && model.basis === 'flour' && !input.paste && /Per100$/.test(key))) continue
    addRatio({
      key,
      value,
      weight: wished === undefined ? weight : weight * 2.5,
      band,
      tolerance: TOLERANCE[key],
      top: TOP[key],
      bottom: BOTTOM[key],
    })
  }
  // Limits that no batter on flour escapes (balance/findings.ts): a little inside, since amounts are rounded.
  if (model.basis === 'flour') {
    const limit = (key: 'waterPer100' | 'fatPer100', high: number) =>
      addRatio({
        key: `most ${key}`,
        value: high,
        weight: 0,
        band: { low: -1e3, high },
        tolerance: TOLERANCE[key],
        top: TOP[key],
        bottom: BOTTOM[key],
      })
    const mostFat = mostFatPer100(family)
    const mostWater = mostWaterPer100(family)
    if (mostWater !== undefined) limit('waterPer100', mostWater - 0.5)
    if (mostFat !== undefined) limit('fatPer100', mostFat - 0.5)
  }
  const baked = 1 - model.bakeLoss
  addRatio({
    key: 'sweetness',
    value: wishes.sweetness ?? before.sweetness,
    weight: wishes.sweetness === undefined ? 0.35 : 1,
    tolerance: SWEET_TOLERANCE,
    top: (m) => 100 * m.sweet,
    bottom: (m) => m.total * baked,
  })
  const grams = before.batterGrams
  if (grams > LEAST_SUM)
    problem.rows.push({
      key: 'batterGrams',
      coefficients: Float64Array.from(profiles, (p) => p.total / (grams * BATTER_TOLERANCE)),
      constant: (fixed.total - grams) / (grams * BATTER_TOLERANCE),
      weight: 0.3,
      kind: 'aim',
    })
  const liftBand = trusted ? reaching(bands.lift, input.liftBefore ?? before.lift) : bands.lift
  if (liftBand && guess.flour > LEAST_SUM && !input.paste) {
    const aim = wishes.lift ?? aimFor(input.liftBefore ?? before.lift, liftBand, moved ? model.aims?.lift : undefined, { trusted })!
    // What lifts so far up there is less gas than down here.
    const thin = gasFactor(altitudeM)
    problem.gas = {
      aim: aim / thin,
      band: { low: liftBand.low / thin, high: liftBand.high / thin },
      weight: 1,
      tolerance: TOLERANCE.lift / thin,
      flour: guess.flour + guess.cocoa,
    }
  }
  return problem
}
