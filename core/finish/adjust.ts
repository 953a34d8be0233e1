import type { FinishFamily } from '../balance/families'
import type { Dose } from '../balance/mass'
import { suits, type HardNeed } from '../pantry/ingredient'
import { ingredientOf, need } from '../pantry/pantry'
import { firmnessOf, FOR_USE, type Use } from './firmness'
import { phasesOf } from './phases'

/** The first ingredient that meets the needs for sure, else the first that may by its label. */
export function allowedOf(ids: readonly string[], goals: readonly HardNeed[]): string | undefined {
  const known = ids.filter((id) => ingredientOf(id))
  return (
    known.find((id) => goals.every((g) => suits(need(id), g) === 'always')) ??
    known.find((id) => goals.every((g) => suits(need(id), g) !== 'never'))
  )
}

/** The middle of what suits a use. */
export const aimFor = (use: Use): number => (FOR_USE[use][0] + FOR_USE[use][1]) / 2

/**
 * How much of one ingredient brings a frosting to a firmness.
 *
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
): number {
  const scoreAt = (grams: number) =>
    firmnessOf(
      phasesOf(
        doses.map((d, i) => (i === at ? { ...d, grams } : d)),
        roomC,
        family,
      ),
      roomC,
    )
  const rising = scoreAt(high) >= scoreAt(low)
  let [a, b] = [low, high]
  for (let i = 0; i < 40; i++) {
    const m = (a + b) / 2
    if (scoreAt(m) < wanted === rising) a = m
    else b = m
  }
  return (a + b) / 2
}
