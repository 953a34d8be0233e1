import { seeded } from '../schedule/solve'

/** What a kitchen scale shows. */
export interface Reading {
  grams: number
  /** It has settled. */
  stable: boolean
}

/** One thing poured onto a simulated scale. */
export interface Pour {
  /** What stands on it before, g. */
  from: number
  /** What stands on it after, g. */
  to: number
  /** g a second while it is poured. */
  rate: number
  /** Smallest step that it shows, g. */
  resolution: number
  seed: number
}

/** Zero creeps as the cell warms: g an hour, as cheap kitchen scales do. */
const DRIFT_PER_HOUR = 2
/** Swing after a change, as a share of it, and how fast it dies, 1/s. */
const SWING = { share: 0.06, dies: 2.2, hertz: 1.6 }
/** Unsteady while something falls on it, g. */
const FALLING = 1.2
/** Settled once the swing is below half a step and nothing falls any more. */
export const LONGEST_POUR_S = 90

/** Seconds that a pour takes. */
export const pourSeconds = (p: Pour): number => Math.min(LONGEST_POUR_S, Math.abs(p.to - p.from) / Math.max(1, p.rate))

/**
 * What a simulated scale shows some seconds after a pour began: it rises, swings, settles and drifts, and is read
 * to its resolution. A stand-in for a real one, and plainly called so wherever it is shown.
 *
 * @param seconds since the pour began
 */
export function scaleReading(p: Pour, seconds: number): Reading {
  const long = pourSeconds(p)
  const t = Math.max(0, seconds)
  const share = long > 0 ? Math.min(1, t / long) : 1
  const load = p.from + (p.to - p.from) * share
  const noise = seeded(p.seed + Math.round(t * 10) * 7919)
  const falling = share < 1 ? (noise() - 0.5) * 2 * FALLING : 0
  const since = t - long
  // It swings by the weight of the last second of the pour.
  const last = Math.min(Math.abs(p.to - p.from), p.rate) * Math.sign(p.to - p.from)
  const swing = since >= 0 ? last * SWING.share * Math.exp(-SWING.dies * since) * Math.cos(2 * Math.PI * SWING.hertz * since) : 0
  const drift = (DRIFT_PER_HOUR * t) / 3600
  const shown = Math.round((load + falling + swing + drift) / p.resolution) * p.resolution
  const stable = share >= 1 && Math.abs(last * SWING.share * Math.exp(-SWING.dies * since)) < p.resolution / 2
  return { grams: Math.round(shown * 10) / 10, stable }
}
