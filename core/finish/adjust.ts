import type { FinishFamily } from '../balance/families'
import type { Dose } from '../balance/mass'
import { suits, type HardNeed } from '../pantry/ingredient'
import { ingredientOf, need } from '../pantry/pantry'
import { firmnessOf } from './firmness'
import { phasesOf } from './phases'

/** The first ingredient that no need rules out; where that hangs on its brand, the answer names the label to read. */
export const allowedOf = (ids: readonly string[], goals: readonly HardNeed[]): string | undefined =>
  ids.find((id) => ingredientOf(id) && goals.every((g) => suits(need(id), g) !== 'never'))

/** Steps in which an amount is looked for at first. */
const GRID = 16

/**
 * How much of one ingredient brings a frosting to a firmness.
 *
 * @param done what becomes of the bowl before it is used: a fruit filling boils down
 * @returns grams of it in all; the nearest reachable amount between the two limits
 */
export function amountFor(
  doses: readonly Dose[],
  at: number,
  wanted: number,
  roomC: number,
  low: number,
  high: number,
  family?: FinishFamily,
  done: (doses: readonly Dose[]) => readonly Dose[] = (d) => d,
): number {
  const scoreAt = (grams: number) => firmnessOf(phasesOf(done(doses.map((d, i) => (i === at ? { ...d, grams } : d))), roomC, family), roomC)
  // Firmness need not rise with an amount all the way: the nearest of a grid first, then closer round it.
  const off = (grams: number) => Math.abs(scoreAt(grams) - wanted)
  const step = (high - low) / GRID
  let best = low
  for (let i = 1; i <= GRID; i++) if (off(low + i * step) < off(best) - 1e-6) best = low + i * step
  let [a, b] = [Math.max(low, best - step), Math.min(high, best + step)]
  for (let i = 0; i < 30; i++) {
    const [l, r] = [a + (b - a) / 3, b - (b - a) / 3]
    if (off(l) <= off(r)) b = r
    else a = l
  }
  return (a + b) / 2
}
