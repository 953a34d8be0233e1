import type { Family } from '../balance/families'
import { recogniseFinish } from '../balance/finish'
import { kindsOf, mixOf } from '../balance/balance'
import { metricsOf } from '../balance/metrics'
import { forbidden, type Rules } from './allowed'
import type { Ask } from './assemble'
import { buildProblem, type Problem } from './problem'
import { roundToKitchen, type Rounded } from './round'
import { eggGramsOf, type Place, type Situation } from './situation'
import { solve } from './solve'
import { isThinLiquid } from '../pantry/traits'
import { draft, type Combination, type Draft, type Limits } from './variables'

/** A filling, frosting, soak or crust, worked out for the same needs as the batter. */
export interface FinishedPart {
  /** It is a second batter. */
  batter: boolean
  part: number
  batch: string
  draft: Draft
  problem: Problem
  rounded: Rounded
}

/** How far a stand-in may move from the weight of what it stands for. */
const FINISH_LEEWAY = 0.05
const SOAK_LEEWAY = 0.03

/** Of the changes by degree, those that make sense in a frosting: what creams or dissolves in it. */
const IN_FINISHES = ['cut-sugar', 'cut-fat', 'allulose', 'polyol', 'stevia-bulk']

/** What all parts of one request share. */
export interface Whole {
  rules: Rules
  limits: Limits
  ask: Ask
  /** The eggs of the batters go, and what family the batters then are. */
  eggsGo: boolean
  family: Family
}

/**
 * Reworks every part beside the first batter: a second batter as a batter, all else with its own fat, sugar and water
 * held against each other as they were, and stand-ins for what must go. Answers are kept, since most combinations
 * share them.
 *
 * @returns for a combination its parts; `undefined` where some part cannot be brought to the needs
 */
export function finisher(s: Situation, whole: Whole): (c: Combination) => FinishedPart[] | undefined {
  const batches = [...new Set(s.places.filter((p) => !p.main).map((p) => p.batch))]
  const known = new Map<string, FinishedPart | undefined>()
  return (combination) => {
    const out: FinishedPart[] = []
    for (const batch of batches) {
      const places = s.places.filter((p) => p.batch === batch && !p.main)
      const batter = places[0]!.inBatter
      const changes = batter
        ? combination.changes
        : s.recipe.parts[places[0]!.part]!.role === 'crust'
          ? []
          : combination.changes.filter((c) => c.change.id && IN_FINISHES.includes(c.change.id))
      const standIns = new Map([...combination.standIns].filter(([id]) => places.some((p) => p.ingredient.id === id)))
      const egg = batter && whole.eggsGo && places.some((p) => p.ingredient.kind === 'egg') ? combination.egg : undefined
      if (!standIns.size && !changes.length && !egg) continue
      const key = `${batch}|${egg?.id ?? ''}|${[...standIns].map(([id, t]) => `${id}>${t.brings.map((b) => b.ingredient).join()}`).join('|')}|${changes.map((c) => c.change.title).join()}`
      if (!known.has(key)) known.set(key, rework(s, places, { ...(egg && { egg }), standIns, changes }, whole, batter))
      const done = known.get(key)
      if (done) out.push(done)
      else if (places.some((p) => forbidden(p.ingredient, whole.rules))) return undefined
    }
    return out
  }
}

function rework(s: Situation, places: Place[], combination: Combination, whole: Whole, batter: boolean): FinishedPart | undefined {
  const { rules, limits, ask } = whole
  const part = places[0]!.part
  const mix = mixOf([{ ...s.recipe.parts[part]!, lines: places.map((p) => p.line) }], s.signs)
  const family = batter ? s.family : recogniseFinish(mix.mass, kindsOf(mix.doses), new Set(mix.doses.map((d) => d.ingredient)))
  const metrics = metricsOf(mix.mass, family, batter ? ask.altitudeM : 0)
  const eggsGo = batter && whole.eggsGo
  const own: Situation = {
    ...s,
    places: places.map((p) => ({ ...p, inBatter: true, main: true })),
    mix,
    family,
    metrics,
    seaLift: batter ? metricsOf(mix.mass, family).lift : undefined,
    eggGrams: batter ? eggGramsOf(places) : 0,
  }
  const d =
    draft(own, combination, rules, limits, eggsGo, batter ? whole.family : family) ??
    // A change that has nothing to do here leaves the stand-ins to do.
    (batter ? undefined : draft(own, { ...combination, changes: [] }, rules, limits, false, family))
  if (!d || d.variables.some((v) => v.start > 0 && forbidden(v.ingredient, rules))) return undefined
  // Juice and zest are there for their taste. Where something only gives way to its stand-in, the rest stays as it was,
  // but for the thin liquid that brings it back to its firmness.
  const swapsOnly = combination.changes.length === 0
  for (const v of d.variables) {
    if (batter || v.from <= 0 || v.replaces.length) continue
    // An icing with less sugar keeps its butter.
    const held = v.ingredient.kind === 'fat' && combination.changes.every((c) => c.change.slot === 'sugar')
    if (held || ['acid', 'flavour', 'fruit'].includes(v.ingredient.kind) || (swapsOnly && !isThinLiquid(v.ingredient))) v.fixed = true
    else if (swapsOnly) Object.assign(v, { low: Math.max(v.low, 0.7 * v.from), high: Math.min(v.high, 1.3 * v.from + 15) })
  }
  // Gram for gram, or nearly: an icing keeps its weight, and what soaks a cake its litre.
  const { role } = s.recipe.parts[part]!
  const leeway = role === 'soak' ? 2 * SOAK_LEEWAY : FINISH_LEEWAY
  if (!batter && swapsOnly)
    for (const v of d.variables)
      if (v.from === 0 && v.start > 0)
        Object.assign(v, {
          low: Math.max(v.low, v.start * (role === 'soak' ? 1 : 1 - leeway)),
          high: Math.min(Math.max(v.high, v.start), v.start * (1 + leeway)),
        })
  const problem = buildProblem({
    trusted: true,
    family: d.family,
    variables: d.variables,
    fixed: d.fixed,
    before: metrics,
    ...(own.seaLift !== undefined && { liftBefore: own.seaLift }),
    moved: batter && d.family !== own.family,
    wishes: d.wishes,
    bands: d.bands,
    altitudeM: batter ? ask.altitudeM : 0,
  })
  const optimum = solve(problem)
  return (
    optimum && {
      batter,
      part,
      batch: places[0]!.batch,
      draft: d,
      problem,
      rounded: roundToKitchen(problem, optimum, ask.measures, ask.region),
    }
  )
}
