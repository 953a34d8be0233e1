import { seeded } from '../schedule/solve'

/** Temperature of the middle of a cake over time, as predicted: minutes and °C. */
export interface CorePoint {
  min: number
  core: number
}

export interface ProbeOptions {
  /** How fast this oven bakes against the prediction: 1.05 is five percent quicker. */
  pace: number
  /** Time in which a probe follows two thirds of a change, minutes. */
  lagMin: number
  /** Largest error of one reading, °C. */
  noiseC: number
  seed: number
}
/** A thermometer's tip follows within about half a minute. */
export const PROBE: ProbeOptions = { pace: 1.04, lagMin: 0.5, noiseC: 0.3, seed: 11 }

/** Predicted middle of the cake at a minute, °C; beyond the curve its last value. */
export function coreAt(curve: readonly CorePoint[], minute: number): number {
  const first = curve[0]
  if (!first) return NaN
  if (minute <= first.min) return first.core
  const at = curve.findIndex((p) => p.min >= minute)
  if (at < 0) return curve.at(-1)!.core
  const [a, b] = [curve[at - 1]!, curve[at]!]
  return a.core + ((b.core - a.core) * (minute - a.min)) / Math.max(1e-9, b.min - a.min)
}

/** What a simulated probe reads: the bake as predicted, at this oven's pace, late by the lag, with a little noise. */
export function probeReading(curve: readonly CorePoint[], minute: number, o: ProbeOptions = PROBE): number {
  const noise = seeded(o.seed + Math.round(minute * 60))
  // A first-order lag on a slow rise is a delay by the lag.
  const core = coreAt(curve, Math.max(0, minute * o.pace - o.lagMin))
  return Math.round(10 * (core + (noise() - 0.5) * 2 * o.noiseC)) / 10
}

export interface Pace {
  /** This bake against the prediction: above 1 it is quicker. */
  pace: number
  /** When the middle reaches its mark, minutes from the start; `null` while it cannot be told. */
  doneAt: number | null
}
/** Ovens and tins differ by no more than this from a prediction that fits them at all. */
const PACES = { from: 0.6, to: 1.6, step: 0.005 }
/** Below this rise above the start the curve says nothing about the pace, °C. */
const TOLD = 12

/**
 * How this bake goes against its prediction, from what a probe read so far: the pace whose curve lies nearest.
 *
 * @param readings minutes since it went in, and °C
 * @param doneC middle of the cake when it is done
 */
export function paceOf(curve: readonly CorePoint[], readings: readonly CorePoint[], doneC: number): Pace {
  const start = curve[0]?.core ?? 20
  const told = readings.filter((r) => r.core > start + TOLD && r.core < doneC + 1.5)
  const doneMin = curve.find((p) => p.core >= doneC)?.min
  if (told.length < 3 || doneMin === undefined) return { pace: 1, doneAt: null }
  let best = { pace: 1, error: Infinity }
  for (let pace = PACES.from; pace <= PACES.to + 1e-9; pace += PACES.step) {
    const error = told.reduce((sum, r) => sum + (coreAt(curve, r.min * pace) - r.core) ** 2, 0)
    if (error < best.error) best = { pace, error }
  }
  return { pace: Math.round(best.pace * 1000) / 1000, doneAt: doneMin / best.pace }
}
