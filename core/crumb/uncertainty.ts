import { dosesOf } from '../balance/balance'
import { type Banded, type Family } from '../balance/families'
import { TOLERANCE } from '../balance/findings'
import { massOf, type Dose } from '../balance/mass'
import { banded, metricsOf, modelOf, type Metrics } from '../balance/metrics'
import { methodSigns } from '../balance/method'
import { ingredientOf } from '../pantry/pantry'
import type { Line, Recipe } from '../recipe/recipe'

export const TOOLS = ['scale', 'cups', 'mixed'] as const
export type Tools = (typeof TOOLS)[number]

/** This kitchen's cup of flour against the usual one, and what its fillings differ by, as shares. */
export interface OwnCup {
  factor: number
  sd: number
}

export interface Uncertainty {
  metrics: Partial<Record<Banded, { outside: number; p5: number; p50: number; p95: number }>>
  /** The one or two lines whose measure decides most. */
  weigh: string[]
  /** Lines for which this kitchen fills its cup otherwise: the grams that the recipe means, and those of as many cups here. */
  filled: { ingredient: string; means: number; here: number }[]
}

/**
 * Standard deviation of a measured amount as a share of it. Cups of flour vary by a tenth and more between bakers,
 * spoons by less, scales hardly (test-kitchen comparisons of scooped and spooned cups; kitchen scales read to 1 g).
 */
const CUP_SD: Record<string, number> = {
  flour: 0.1,
  starch: 0.1,
  cocoa: 0.12,
  sugar: 0.04,
  nut: 0.08,
  mix: 0.05,
  finish: 0.08,
  dairy: 0.03,
}
const OTHER_CUP_SD = 0.035
const SPOON_SD = 0.08
const PIECE_SD = 0.06
const SCALE_SD = 0.008
const SCALE_STEP = 0.6
/** Below this a baker uses a spoon even beside a scale, g. */
const SPOONED_BELOW = 8
const VOLUME_SPOON = /^(tsp|tbsp|pinch|dash|drop)/
const VOLUME = /^(tsp|tbsp|cup|ml|dl|cl|l|pint|quart|fl-?oz|pinch|dash|drop|splash)/

/** How uncertain the grams of a line are, as a share. */
function deviation(line: Line, tools: Tools, cup: OwnCup | undefined): number {
  const i = ingredientOf(line.ingredient)
  const unit = line.quantity?.unit ?? 'g'
  const grams = Math.max(0.1, line.grams.best)
  if (unit === 'piece') return PIECE_SD
  const spooned = VOLUME_SPOON.test(unit) || grams < SPOONED_BELOW
  const byVolume = tools === 'cups' || (tools === 'mixed' && VOLUME.test(unit))
  if (spooned && (byVolume || grams < SPOONED_BELOW)) return SPOON_SD
  if (byVolume) return cup && i?.kind === 'flour' ? cup.sd : (CUP_SD[i?.kind ?? ''] ?? OTHER_CUP_SD)
  return SCALE_SD + SCALE_STEP / grams
}

/** Whether a line is flour that goes in by the cup. */
function cupOfFlour(line: Line, tools: Tools): boolean {
  const unit = line.quantity?.unit ?? 'g'
  const flour = ingredientOf(line.ingredient)?.kind === 'flour'
  return flour && unit !== 'piece' && line.grams.best >= SPOONED_BELOW && (tools === 'cups' || (tools === 'mixed' && /^cup/.test(unit)))
}

/** A small seeded generator (mulberry32): the same recipe gives the same answer. */
function seeded(seed: number): () => number {
  let a = seed
  return () => {
    a = (a + 0x6d2b79f5) | 0
    let t = Math.imul(a ^ (a >>> 15), 1 | a)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

/** Standard normal, by Box and Muller. */
const normal = (random: () => number): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())

/**
 * What measuring errors do to a recipe: samples them and says how often each ratio leaves its band.
 *
 * @param samples how many mixes to weigh out
 * @param cup how this kitchen fills its cup of flour, where that was learned
 * @returns shares and percentiles by ratio, and the lines worth weighing
 */
export function uncertaintyOf(recipe: Recipe, family: Family, tools: Tools, samples: number, altitudeM = 0, cup?: OwnCup): Uncertainty {
  const signs = methodSigns(recipe)
  const batter = recipe.parts.some((p) => p.role === 'batter')
  const parts = recipe.parts.filter((p, i) => (batter ? p.role === 'batter' : i === 0))
  const lines = parts.flatMap((p) => p.lines).filter((l) => l.ingredient && l.grams.best > 0)
  const doses: Dose[] = parts.flatMap((p) => dosesOf(p, signs))
  const sds = lines.map((l) => deviation(l, tools, cup))
  const usual = lines.map((l) => (cup && cupOfFlour(l, tools) ? cup.factor : 1))
  const keys = Object.keys(modelOf(family).bands) as Banded[]
  const bands = modelOf(family).bands
  const metricsFor = (factors: readonly number[]): Metrics =>
    metricsOf(massOf(doses.map((d, i) => ({ ...d, grams: d.grams * factors[i]! }))), family, altitudeM)

  const random = seeded(20261124)
  const values: Partial<Record<Banded, number[]>> = {}
  for (let n = 0; n < samples; n++) {
    const m = metricsFor(sds.map((sd, i) => usual[i]! * Math.max(0.2, 1 + sd * normal(random))))
    for (const key of keys) {
      const value = banded(m, key)
      if (value !== undefined) (values[key] ??= []).push(value)
    }
  }
  const metrics: Uncertainty['metrics'] = {}
  for (const key of keys) {
    const all = values[key]?.sort((a, b) => a - b)
    const band = bands[key]
    if (!all?.length || !band) continue
    const at = (share: number) => Math.round(all[Math.min(all.length - 1, Math.floor(share * all.length))]! * 1000) / 1000
    const outside = all.filter((v) => v < band.low || v > band.high).length / all.length
    metrics[key] = { outside: Math.round(outside * 1000) / 1000, p5: at(0.05), p50: at(0.5), p95: at(0.95) }
  }

  const ones = lines.map(() => 1)
  const base = metricsFor(ones)
  const effect = lines.map((_, i) => {
    const moved = metricsFor(ones.map((x, j) => (j === i ? x + sds[i]! : x)))
    return keys.reduce((sum, k) => sum + (((banded(moved, k) ?? 0) - (banded(base, k) ?? 0)) / TOLERANCE[k]) ** 2, 0)
  })
  const whole = effect.reduce((a, b) => a + b, 0)
  const weigh = lines
    .map((l, i) => ({ id: l.ingredient!, share: whole > 0 ? effect[i]! / whole : 0 }))
    .sort((a, b) => b.share - a.share)
    .filter((x) => x.share > 0.15)
    .slice(0, 2)
    .map((x) => x.id)
  const filled = lines.flatMap((l, i) =>
    usual[i] === 1 ? [] : [{ ingredient: l.ingredient!, means: Math.round(l.grams.best), here: Math.round(l.grams.best * usual[i]!) }],
  )
  return { metrics, weigh: [...new Set(weigh)], filled }
}
