import type { Trait } from '../crumb/predict'
import { calibrate, type Calibration, type Observation } from './learn'

/** An offset for the kitchen, and for families that were baked in it. */
export interface ByFamily {
  kitchen: number
  families: Record<string, number>
}
/** What a kitchen has taught, as predictions take it. */
export interface Lessons {
  /** Actual minutes for each predicted one. */
  minutes?: ByFamily
  /** Actual height for each predicted one. */
  rise?: ByFamily
  /** Steps towards moist. */
  moistness?: ByFamily
  /** Steps towards sweet, as this table tastes it. */
  sweetness?: ByFamily
  /** Grams in this kitchen's cup of flour for each usual one, and the standard deviation left between its fillings. */
  cup?: { factor: number; sd: number }
}

/** Between two fillings by the same hand a cup of flour differs by less than between bakers (test kitchens' repeated cups). */
const OWN_CUP_SD = 0.06

/** What holds for a family; `none` where nothing was learned. */
export const lessonFor = (l: ByFamily | undefined, family: string, none: number): number => (l ? (l.families[family] ?? l.kitchen) : none)

/** Observations of a kitchen as what its predictions take; kinds of which nothing was seen are left out. */
export function lessonsOf(observations: readonly Observation[]): Lessons {
  const round = (x: number) => Math.round(1000 * x) / 1000
  const taught = (kind: Observation['kind'], write: (mean: number) => number): ByFamily | undefined => {
    const c: Calibration = calibrate(observations, kind)
    if (!c.kitchen.from) return undefined
    return {
      kitchen: round(write(c.kitchen.mean)),
      families: Object.fromEntries(Object.entries(c.families).map(([f, o]) => [f, round(write(o.mean))])),
    }
  }
  const same = (x: number) => x
  const [minutes, rise] = [taught('minutes', Math.exp), taught('rise', Math.exp)]
  const [moistness, sweetness] = [taught('moistness', same), taught('sweetness', same)]
  const cup = calibrate(observations, 'cup').kitchen
  return {
    ...(minutes && { minutes }),
    ...(rise && { rise }),
    ...(moistness && { moistness }),
    ...(sweetness && { sweetness }),
    ...(cup.from && { cup: { factor: round(Math.exp(cup.mean)), sd: round(Math.hypot(OWN_CUP_SD, cup.sd)) } }),
  }
}

/** How a kitchen's lessons move a crumb, in steps by trait. */
export const crumbShift = (lessons: Lessons | undefined, family: string): Partial<Record<Trait, number>> => ({
  moist: lessonFor(lessons?.moistness, family, 0),
  sweet: lessonFor(lessons?.sweetness, family, 0),
})
