import { recogniseFinish } from '../balance/finish'
import { kindsOf, mixOf } from '../balance/balance'
import { metricsOf } from '../balance/metrics'
import { forbidden, type Rules } from './allowed'
import type { Ask } from './assemble'
import { buildProblem, type Problem } from './problem'
import { roundToKitchen, type Rounded } from './round'
import type { Place, Situation } from './situation'
import { solve } from './solve'
import { draft, isThinLiquid, type Combination, type Draft, type Limits } from './variables'

/** A filling, frosting, soak or crust, worked out for the same needs as the batter. */
export interface FinishedPart {
  part: number
  batch: string
  draft: Draft
  problem: Problem
  rounded: Rounded
}

/** Of the changes by degree, those that make sense in a frosting: what creams or dissolves in it. */
const IN_FINISHES = ['cut-sugar', 'cut-fat', 'allulose', 'polyol', 'stevia-bulk']

/**
 * Reworks every part that is no batter: its own fat, sugar and water held against each other as they were, with
 * stand-ins for what must go. Answers are kept, since most combinations share them.
 */
export function finisher(s: Situation, rules: Rules, limits: Limits, ask: Ask): (c: Combination) => FinishedPart[] {
  const batches = [...new Set(s.places.filter((p) => !p.inBatter).map((p) => p.batch))]
  const known = new Map<string, FinishedPart | undefined>()
  return (combination) =>
    batches.flatMap((batch) => {
      const places = s.places.filter((p) => p.batch === batch && !p.inBatter)
      const part = places[0]!.part
      const changes =
        s.recipe.parts[part]!.role === 'crust' ? [] : combination.changes.filter((c) => c.change.id && IN_FINISHES.includes(c.change.id))
      const standIns = new Map([...combination.standIns].filter(([id]) => places.some((p) => p.ingredient.id === id)))
      if (!standIns.size && !changes.length) return []
      const key = `${batch}|${[...standIns].map(([id, t]) => `${id}>${t.brings.map((b) => b.ingredient).join()}`).join('|')}|${changes.map((c) => c.change.title).join()}`
      if (!known.has(key)) known.set(key, rework(s, places, { standIns, changes }, rules, limits, ask))
      const done = known.get(key)
      return done ? [done] : []
    })
}

function rework(s: Situation, places: Place[], combination: Combination, rules: Rules, limits: Limits, ask: Ask): FinishedPart | undefined {
  const part = places[0]!.part
  const mix = mixOf([{ ...s.recipe.parts[part]!, lines: places.map((p) => p.line) }], s.signs)
  const family = recogniseFinish(mix.mass, kindsOf(mix.doses), new Set(mix.doses.map((d) => d.ingredient)))
  const metrics = metricsOf(mix.mass, family)
  const own: Situation = {
    ...s,
    places: places.map((p) => ({ ...p, inBatter: true })),
    mix,
    family,
    metrics,
    seaLift: undefined,
    eggGrams: 0,
  }
  const d =
    draft(own, combination, rules, limits, false, family) ??
    // A change that has nothing to do here leaves the stand-ins to do.
    draft(own, { ...combination, changes: [] }, rules, limits, false, family)
  if (!d || d.variables.some((v) => v.start > 0 && forbidden(v.ingredient, rules))) return undefined
  // Juice and zest are there for their taste. Where something only gives way to its stand-in, the rest stays as it was,
  // but for the thin liquid that brings it back to its firmness.
  const swapsOnly = combination.changes.length === 0
  for (const v of d.variables) {
    if (v.from <= 0 || v.replaces.length) continue
    if (['acid', 'flavour', 'fruit'].includes(v.ingredient.kind) || (swapsOnly && !isThinLiquid(v.ingredient))) v.fixed = true
    else if (swapsOnly) Object.assign(v, { low: Math.max(v.low, 0.7 * v.from), high: Math.min(v.high, 1.3 * v.from + 15) })
  }
  const problem = buildProblem({
    trusted: true,
    family,
    variables: d.variables,
    fixed: d.fixed,
    before: metrics,
    moved: false,
    wishes: d.wishes,
    bands: d.bands,
  })
  const optimum = solve(problem)
  return (
    optimum && { part, batch: places[0]!.batch, draft: d, problem, rounded: roundToKitchen(problem, optimum, ask.measures, ask.region) }
  )
}
