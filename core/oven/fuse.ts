import type { BakeAnswer } from './predict'

/**
 * Spread of the simulation against ordinary bakes that it had not seen, as a standard deviation of the logarithm of minutes:
 * nine of ten lie within a quarter (`docs/model.md`).
 */
const SIMULATION_STRAYS = 0.145
/** Spread of what recipes tell: written for another oven, and rounded to fives. */
const TELLING_STRAYS = 0.1
/** Told for a tin or an oven that the recipe leaves open. */
const OPEN_STRAYS = 0.15
/** Of a change of tin or oven that the simulation makes, so much may be wrong, as a share of its logarithm. */
const CHANGE_STRAYS = 0.3
/** Further apart than two and a half spreads of both, one of the two speaks of something else: what is told counts less and less. */
const AGREE = 0.4
/** A window holds nine of ten: so many standard deviations each way. */
const NINE_OF_TEN = 1.645
/** How long before the window a careful baker looks, as a share of its beginning. */
const LOOK_BEFORE = 0.08

type Window = Pick<BakeAnswer, 'minutes' | 'firstLook'>

/** The window round a best guess, whose logarithm strays by so much: that of the oven, and that of the guess itself. */
export function windowOf(best: number, oven: number, strays = SIMULATION_STRAYS): Window {
  const by = Math.exp(NINE_OF_TEN * Math.hypot(strays, oven))
  const whole = (x: number) => Math.max(1, Math.round(x))
  return {
    minutes: { low: whole(best / by), best: Math.round(best * 10) / 10, high: whole(best * by) },
    firstLook: Math.max(1, Math.floor((best / by) * (1 - LOOK_BEFORE))),
  }
}

/** What a recipe tells of its bake, and how that compares with what is asked. */
export interface Telling {
  minutes: readonly [low: number, high: number]
  /** Minutes by the simulation in the tin and oven it is told for. */
  simulated: number
  /** By what factor the simulation takes longer in the tin and oven that are asked for. */
  ratio: number
  /** It leaves its tin or its oven open. */
  open: boolean
}

/**
 * A simulated bake with what its recipe tells: two measurements of one time, weighed by their spreads. What is asked for in
 * another tin or oven takes the simulated ratio from there.
 */
export function fused(answer: BakeAnswer, { minutes: [low, high], simulated, ratio, open }: Telling): BakeAnswer {
  if (!answer.minutes) return answer
  const middle = (low + high) / 2
  // A range is taken for even between its ends.
  const range = Math.log(high / low) / Math.sqrt(12)
  const apart = Math.abs(Math.log(middle / simulated))
  const telling = Math.hypot(TELLING_STRAYS, range, open ? OPEN_STRAYS : 0) * Math.max(1, apart / AGREE) ** 2
  const weight = SIMULATION_STRAYS ** 2 / (SIMULATION_STRAYS ** 2 + telling ** 2)
  const own = Math.exp((1 - weight) * Math.log(simulated) + weight * Math.log(middle))
  const best = own * ratio
  const strays = Math.hypot(SIMULATION_STRAYS * Math.sqrt(1 - weight), CHANGE_STRAYS * Math.log(ratio), Math.max(0, apart - AGREE) / 2)
  const oven = Math.log((answer.minutes.best + answer.sensitivity.cooler) / (answer.minutes.best + answer.sensitivity.hotter)) / 2
  return {
    ...drawnOut(answer, best / answer.minutes.best),
    ...windowOf(best, oven, strays),
    from: { told: [low, high], simulated: Math.round(answer.minutes.best * 10) / 10 },
  }
}

/** A bake that takes so much longer, as a factor, and rises so much higher. */
export function drawnOut(bake: BakeAnswer, by: number, rise = 1): BakeAnswer {
  if (by === 1 && rise === 1) return bake
  const { minutes } = bake
  const tenth = (x: number) => Math.round(x * by * 10) / 10
  return {
    ...bake,
    heightMm: Math.round(bake.heightMm * rise),
    minutes: minutes && { low: Math.round(minutes.low * by), best: tenth(minutes.best), high: Math.round(minutes.high * by) },
    firstLook: bake.firstLook === null ? null : Math.max(1, Math.round(bake.firstLook * by)),
    edgeOverbake: tenth(bake.edgeOverbake),
    sensitivity: { hotter: tenth(bake.sensitivity.hotter), cooler: tenth(bake.sensitivity.cooler) },
    curve: bake.curve.map((p) => ({ ...p, min: Math.round(p.min * by * 100) / 100 })),
  }
}
