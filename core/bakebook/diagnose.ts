import type { Balance } from '../balance/balance'
import { methodOf } from '../method/read'
import type { Banded } from '../balance/families'
import { outside, TOLERANCE } from '../balance/findings'
import type { BakeAnswer } from '../oven/predict'
import type { Recipe } from '../recipe/recipe'
import { CAUSES, type Cause } from './causes'
import type { BakeRecord } from './record'
import { LINKED, SYMPTOMS, type Symptom } from './symptoms'

/** What a diagnosis stands on. */
export interface Case {
  recipe: Recipe
  balance: Balance
  /** How it should have baked; `null` where that is not known. */
  bake: BakeAnswer | null
  record: BakeRecord
  symptoms: readonly Symptom[]
}

export const GRADES = ['likely', 'possible', 'unlikely'] as const
export type Grade = (typeof GRADES)[number]
/** From these shares on a cause is likely, or possible. */
const LIKELY = 0.45
const POSSIBLE = 0.12
const gradeOf = (p: number): Grade => (p >= LIKELY ? 'likely' : p >= POSSIBLE ? 'possible' : 'unlikely')

export interface RankedCause {
  code: string
  words: string
  /** Among the causes that the network knows, 0 to 1. */
  probability: number
  /** The same in words that promise no more than such a network knows. */
  grade: Grade
  /** What speaks for it, and against it. */
  evidence: { text: string; for: boolean }[]
}

export interface Diagnosis {
  causes: RankedCause[]
  try: {
    code: string
    change: string
    expected: string
    /** What the engine is asked to move in the recipe, where the cause lies in it. */
    nudge?: Partial<Record<Banded, number>>
  } | null
}

/** A symptom is seen now and then whatever the cause. */
const LEAK = 0.03
/**
 * What is not named counts as not seen, but weakly: bakers name what bothers them. The share of the full evidence is
 * a judgement; 0 would ignore silence, 1 would believe it.
 */
const SILENCE = 0.35
/** Odds of a ratio inside its band, at its edge, and for each tolerance beyond (a caution begins at 0.75 of one). */
const INSIDE = 0.35
const EACH_TOLERANCE = 1.35
const MOST_TOLERANCES = 4
/** The most that one line of the record says. */
const MOST_ODDS = 60
/** What a second look at the same thing adds, as a share of its own evidence. */
const AGAIN = 0.35
/** Only so many causes are worth reading. */
const SHOWN = 6

interface Weighed {
  cause: Cause
  log: number
  evidence: { text: string; for: boolean }[]
}

/**
 * Ranked causes of a spoiled bake: a Bayesian network of one cause and its symptoms. Priors come from how often a
 * cause is named at all, from this recipe's own ratios, and from the record of the bake.
 */
export function diagnose(given: Case): Diagnosis {
  const groups = LINKED.map((g) => g.filter((x) => given.symptoms.includes(x))).filter((g) => g.length > 1)
  const linked = new Set(groups.flat())
  const all = CAUSES.map((cause): Weighed => {
    const evidence: Weighed['evidence'] = []
    let log = Math.log(cause.usual)
    const add = (given: number, text: string) => {
      // One line of a record is never proof, whatever was typed.
      if (!Number.isFinite(given)) return
      const odds = Math.max(1 / MOST_ODDS, Math.min(MOST_ODDS, given))
      log += Math.log(odds)
      if (Math.abs(Math.log(odds)) > 0.3) evidence.push({ text, for: odds > 1 })
    }
    ratioSays(cause, given, add)
    recordSays(cause, given, add)
    for (const [symptom, words] of Object.entries(SYMPTOMS) as [Symptom, string][]) {
      const seen = 1 - (1 - (cause.shows[symptom] ?? 0)) * (1 - LEAK)
      if (given.symptoms.includes(symptom)) {
        log += linked.has(symptom) ? 0 : Math.log(seen)
        if (seen >= 0.4) evidence.push({ text: `${words}: seen with this`, for: true })
      } else {
        log += SILENCE * Math.log(1 - seen)
        if (seen >= 0.8 && given.symptoms.length > 0) evidence.push({ text: `not said to be “${words}”`, for: false })
      }
    }
    // Of symptoms that go together the one that this cause shows most counts in full, the others in part.
    for (const group of groups) {
      const says = group.map((x) => Math.log(1 - (1 - (cause.shows[x] ?? 0)) * (1 - LEAK))).sort((a, b) => b - a)
      log += says[0]! + AGAIN * says.slice(1).reduce((sum, x) => sum + x, 0)
    }
    return { cause, log, evidence }
  })
  const top = Math.max(...all.map((w) => w.log))
  const sum = all.reduce((s, w) => s + Math.exp(w.log - top), 0)
  const ranked = all
    .map((w) => ({ ...w, probability: Math.exp(w.log - top) / sum }))
    .sort((a, b) => b.probability - a.probability || a.cause.code.localeCompare(b.cause.code))
  if (!given.symptoms.length) return { causes: [], try: null }
  const first = ranked[0]!.cause
  const by = nudgeFor(first, given.balance)
  return {
    causes: ranked.slice(0, SHOWN).map((w) => ({
      code: w.cause.code,
      words: w.cause.words,
      probability: Math.round(1000 * w.probability) / 1000,
      grade: gradeOf(w.probability),
      evidence: w.evidence,
    })),
    try: { code: first.code, change: first.change, expected: first.expected, ...(by && { nudge: by }) },
  }
}

/** What the recipe's own ratio says of a cause. */
function ratioSays(cause: Cause, { balance }: Case, add: (odds: number, text: string) => void): void {
  if (!cause.ratio) return
  const { metric, side } = cause.ratio
  const band = balance.bands[metric]
  const value = balance.metrics[metric]
  if (!band || value === undefined) return
  const sign = side === 'high' ? 1 : -1
  const out = sign * outside(value, band, metric)
  if (out > 0) {
    add(
      Math.exp(EACH_TOLERANCE * Math.min(MOST_TOLERANCES, out)),
      `${METRIC_WORDS[metric] ?? metric} lies ${side === 'high' ? 'above' : 'below'} what such a cake wants`,
    )
    return
  }
  // 1 at this edge of the band, −1 at the other.
  const place = (sign * (value - (band.low + band.high) / 2)) / Math.max(1e-9, (band.high - band.low) / 2)
  add(
    Math.exp(Math.log(INSIDE) * (1 - Math.max(0, Math.min(1, place)))),
    `${METRIC_WORDS[metric] ?? metric} is within what such a cake wants`,
  )
}

const METRIC_WORDS: Partial<Record<Banded, string>> = {
  moisture: 'its moisture',
  sugarConcentration: 'its sugar against its water',
  firmness: 'its firmness',
  lift: 'its lift',
  acidBalance: 'its acid and soda',
  fluidity: 'its thinness',
  fatPct: 'its fat',
  setting: 'what sets it',
}

/** A gas oven or a small one may be off by this and nobody notices, °C. */
const OVEN_OFF = 8
/** A cake may be out so much sooner or later than predicted, as a share, before it says anything. */
const MINUTES_OFF = 0.1

/** What was written down says of a cause. */
function recordSays(cause: Cause, c: Case, add: (odds: number, text: string) => void): void {
  const { record: r, bake, recipe } = c
  const says: Partial<Record<string, () => void>> = {
    underbaked: () => {
      if (bake && r.coreC !== undefined)
        add(r.coreC < bake.doneC - 2 ? 12 : 0.12, `the middle was at ${r.coreC} °C, done is ${Math.round(bake.doneC)}`)
      else if (bake?.minutes && r.minutes !== undefined) {
        const share = r.minutes / bake.minutes.best
        if (share < 1 - MINUTES_OFF) add(5, `${r.minutes} minutes, where ${Math.round(bake.minutes.best)} were expected`)
        if (share > 1 + MINUTES_OFF) add(0.3, `${r.minutes} minutes were long enough`)
      }
    },
    overbaked: () => {
      if (bake?.minutes && r.minutes !== undefined) {
        const share = r.minutes / bake.minutes.best
        if (share > 1 + MINUTES_OFF) add(5, `${r.minutes} minutes, where ${Math.round(bake.minutes.best)} were expected`)
        if (share < 1 + MINUTES_OFF / 2) add(0.4, `${r.minutes} minutes were not long`)
      }
      if (bake && r.grams?.before && r.grams.after) {
        const lost = (100 * (r.grams.before - r.grams.after)) / r.grams.before
        add(
          lost > bake.waterLossPct + 3 ? 4 : 0.5,
          `it lost ${Math.round(lost)} % of its weight, ${Math.round(bake.waterLossPct)} were expected`,
        )
      }
    },
    'oven-hot': () => {
      const set = recipe.oven[0]?.celsius
      if (set !== undefined && r.ovenC !== undefined)
        add(r.ovenC > set + OVEN_OFF ? 15 : 0.1, `the oven stood at ${r.ovenC} °C, set to ${set}`)
      else if (
        bake?.minutes &&
        r.minutes !== undefined &&
        r.coreC !== undefined &&
        r.coreC >= bake.doneC - 1 &&
        r.minutes < bake.minutes.best * (1 - MINUTES_OFF)
      )
        add(4, `done in ${r.minutes} minutes, sooner than expected`)
    },
    'oven-cool': () => {
      const set = recipe.oven[0]?.celsius
      if (set !== undefined && r.ovenC !== undefined)
        add(r.ovenC < set - OVEN_OFF ? 15 : 0.1, `the oven stood at ${r.ovenC} °C, set to ${set}`)
      else if (
        bake?.minutes &&
        r.minutes !== undefined &&
        r.minutes > bake.minutes.best * (1 + MINUTES_OFF) &&
        r.coreC !== undefined &&
        r.coreC <= bake.doneC + 1
      )
        add(4, `it took ${r.minutes} minutes, longer than expected`)
    },
    'not-preheated': () => {
      if (r.preheated !== undefined) add(r.preheated ? 0.05 : 40, r.preheated ? 'the oven was hot' : 'the oven was not hot')
    },
    'opened-early': () => {
      if (r.opened !== undefined) add(r.opened ? 12 : 0.1, r.opened ? 'the door was opened early' : 'the door stayed shut')
    },
    'stale-leavener': () => {
      if (r.oldLeavener !== undefined) add(r.oldLeavener ? 10 : 0.2, r.oldLeavener ? 'the packet is old' : 'the packet is fresh')
    },
    'batter-waited': () => {
      if (r.waitedMin !== undefined) add(r.waitedMin > 15 ? 10 : 0.15, `the batter waited ${r.waitedMin} minutes`)
    },
    'flour-heavy': () => {
      if (r.cups !== undefined) add(r.cups ? 3 : 0.08, r.cups ? 'measured with cups' : 'it was weighed')
      if (r.batter === 'stiff') add(2.5, 'the batter was stiffer than expected')
    },
    'too-wet': () => {
      if (r.addedGrams) add(1 + r.addedGrams / 20, `${Math.round(r.addedGrams)} g of liquid were added`)
      if (r.batter === 'thin') add(2.5, 'the batter was thinner than expected')
    },
    'too-dry': () => {
      if (r.batter === 'stiff') add(2, 'the batter was stiffer than expected')
    },
    'batter-thin-for-fruit': () => {
      if (r.batter === 'thin') add(2, 'the batter was thinner than expected')
    },
    'worked-warm': () => {
      if (r.warm !== undefined) add(r.warm ? 15 : 0.1, r.warm ? 'it was worked while warm' : 'it was cold when it was worked')
    },
    'out-too-soon': () => {
      if (r.cooledInTinMin !== undefined)
        add(r.cooledInTinMin < 5 || r.cooledInTinMin > 45 ? 6 : 0.25, `it stood ${r.cooledInTinMin} minutes in its tin`)
    },
    'leaky-tin': () => {
      const loose = recipe.tins.some((t) => t.loose)
      add(loose ? 3 : 0.4, loose ? 'the base of the tin comes out' : 'the tin is in one piece')
    },
    'rolled-cold': () => {
      const roll =
        recipe.tins.some((t) => t.shape === 'sheet') ||
        /\broll/i.test(recipe.title) ||
        methodOf(recipe).steps.some((s) => s.clauses.some((c) => c.act === 'roll'))
      if (!roll) add(0.2, 'nothing here is rolled')
    },
    'not-rested': () => {
      const gf = recipe.parts.some((p) =>
        p.lines.some((l) => /^flour-(gf|rice|oat|buckwheat|cornmeal|sorghum|tapioca|coconut)/.test(l.ingredient ?? '')),
      )
      add(gf ? 6 : 0.05, gf ? 'it is made with flour without gluten' : 'its flour has gluten')
    },
    overmixed: () => {
      const gluten = recipe.parts.some((p) => p.lines.some((l) => /^flour-(plain|bread|self|whole|cake|spelt)/.test(l.ingredient ?? '')))
      if (!gluten) add(0.1, 'there is no gluten to toughen')
    },
  }
  says[cause.code]?.()
  // Without leavener there is none to go stale, nor too much of it.
  const leavened = recipe.parts.some((p) => p.lines.some((l) => /^baking-|self-raising|cake-mix/.test(l.ingredient ?? '')))
  if (!leavened && /lift|leavener|soda/.test(cause.code) && cause.code !== 'too-little-lift') add(0.05, 'there is no leavener in it')
}

/** How far the ratio behind a cause is moved: to the middle of its band, two tolerances at most. */
function nudgeFor(cause: Cause, balance: Balance): Partial<Record<Banded, number>> | null {
  if (!cause.ratio) return null
  const { metric, side } = cause.ratio
  const band = balance.bands[metric]
  const value = balance.metrics[metric]
  if (!band || value === undefined) return null
  const sign = side === 'high' ? -1 : 1
  const wish = sign * ((band.low + band.high) / 2 - value)
  // A ratio that is in the middle already moves by one tolerance: the tongue has spoken against the table.
  const by = Math.min(
    Math.max(wish, TOLERANCE[metric]),
    2 * Math.max(TOLERANCE[metric], Math.abs(outside(value, band, metric)) * TOLERANCE[metric]),
  )
  return { [metric]: Math.round(1000 * sign * by) / 1000 }
}
