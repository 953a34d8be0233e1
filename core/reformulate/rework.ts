import type { Band, Banded, Family } from '../balance/families'
import { modelOf, type Metrics } from '../balance/metrics'
import type { Ingredient } from '../pantry/ingredient'
import type { ChangeSchool, Rework } from '../swaps/change'
import { firstAllowed, type Rules } from './allowed'
import type { Variable } from './problem'

/** What the changes made of a draft, beside its amounts. */
export interface Reworked {
  family: Family
  wishes: Partial<Record<Banded | 'sweetness', number>>
  tolerated: Partial<Record<Banded, number>>
  /** Lines that a change took out, with its reason. */
  gone: Map<Variable, { code: string; message: string }>
  /** What each change brought, by ingredient id. */
  brought: Map<ChangeSchool, string[]>
}

/** Room that a nudge leaves inside a band, as a share of its width. */
const ROOM = 0.06

/**
 * Applies changes to the variables of a draft, one after another.
 *
 * @param add puts a new variable into the draft
 * @returns `undefined` where one of them finds nothing to do, so that the combination is none
 */
export function rework(
  variables: Variable[],
  changes: readonly { change: ChangeSchool; share: number }[],
  given: { flour: number; family: Family; before: Metrics; rules: Rules },
  add: (ingredient: Ingredient, low: number, start: number, high: number, why: { code: string; message: string }, give: number) => Variable,
): Reworked | undefined {
  const state: Reworked = { family: given.family, wishes: {}, tolerated: {}, gone: new Map(), brought: new Map() }
  for (const { change, share } of changes) {
    const brought: string[] = []
    const r: Rework = {
      flour: given.flour,
      get family() {
        return state.family
      },
      before: given.before,
      share,
      get movers() {
        return variables.filter((v) => !state.gone.has(v))
      },
      allowed: (ids) => firstAllowed(ids, given.rules),
      bring(ingredient, low, start, high, why, { looseness = 0.3, replaces = [] } = {}) {
        const give = Math.max(1, looseness * start)
        brought.push(ingredient.id)
        const has = variables.find((v) => v.ingredient.id === ingredient.id && !v.tie && !state.gone.has(v))
        if (!has) {
          add(ingredient, low, start, high, why, give).replaces.push(...replaces)
          return
        }
        const base = has.fixed ? has.start : has.low
        has.high = (has.fixed ? has.start : Math.max(has.high, has.start)) + high
        has.low = base + low
        has.start += start
        has.give = Math.max(has.give, give)
        has.fixed = false
        has.why.push(why)
        // How much of it stands for what, where it stands for several things.
        if (replaces.length && (has.replaces.length || has.from > 0))
          has.portions = [
            ...(has.portions ?? [{ replaces: has.from > 0 ? [has.ingredient.id] : [...has.replaces], grams: has.start - start }]),
            { replaces: [...replaces], grams: start },
          ]
        has.replaces.push(...replaces)
      },
      remove(mover, why) {
        const v = mover as Variable
        v.start = v.low = v.high = 0
        state.gone.set(v, why)
      },
      become: (family) => (state.family = family),
      nudge(metric, by) {
        const band = modelOf(state.family).bands[metric]
        const old = given.before[metric]
        if (!band || old === undefined) return
        const room = ROOM * (band.high - band.low)
        const inside = Math.min(band.high - room, Math.max(band.low + room, old + by))
        // A want never pulls the other way because the recipe lies at the edge already.
        if ((inside - old) * by > 0) state.wishes[metric] = inside
      },
      wish: (metric, value) => (state.wishes[metric] = value),
      tolerate: (metric, value) => (state.tolerated[metric] = value),
    }
    if (!change.apply(r)) return undefined
    state.brought.set(change, brought)
  }
  return state
}

/** The bands of a family, widened as far as the goals reach: what was asked for is no fault. */
export function widenedBands(r: Pick<Reworked, 'family' | 'wishes' | 'tolerated'>): Partial<Record<Banded, Band>> {
  const bands: Partial<Record<Banded, Band>> = { ...modelOf(r.family).bands }
  for (const reach of [r.wishes, r.tolerated])
    for (const [metric, value] of Object.entries(reach)) {
      const band = bands[metric as Banded]
      if (band) bands[metric as Banded] = { low: Math.min(band.low, value), high: Math.max(band.high, value) }
    }
  return bands
}
