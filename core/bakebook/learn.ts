/** What a kitchen teaches, each with its own measure. */
export const LEARNED = {
  /** Actual minutes against predicted, natural logarithm: family and noise as the simulation strays on bakes it has not seen (`docs/model.md`). */
  minutes: { kitchen: 0.1, family: 0.11, noise: 0.15 },
  /** Height against predicted, natural logarithm. */
  rise: { kitchen: 0.08, family: 0.1, noise: 0.1 },
  /** Steps of moistness against the prediction, −2 … 2. */
  moistness: { kitchen: 0.5, family: 0.4, noise: 0.8 },
  /** Steps of sweetness against the prediction, −2 … 2: what this table likes. */
  sweetness: { kitchen: 0.6, family: 0.3, noise: 0.8 },
  /** Grams in this kitchen's cup of flour against the usual, natural logarithm. */
  cup: { kitchen: 0.1, family: 0, noise: 0.06 },
  /** What a thermometer says above the dial, °C. */
  oven: { kitchen: 10, family: 0, noise: 4 },
} as const
export type Learned = keyof typeof LEARNED
export const LEARNED_KINDS = Object.keys(LEARNED) as Learned[]

/** One observation: how a bake differed from its prediction. */
export interface Observation {
  kind: Learned
  family: string
  /** In the measure of its kind. */
  value: number
}

export interface Offset {
  /** Best guess, in the measure of its kind. */
  mean: number
  /** Standard deviation of the guess. */
  sd: number
  /** Bakes that it stands on. */
  from: number
}

export interface Calibration {
  kind: Learned
  /** What holds for the kitchen, whatever is baked. */
  kitchen: Offset
  /** What holds for one family in it: kitchen and family together. */
  families: Record<string, Offset>
}

/**
 * What a kitchen has taught: shrunken offsets for the kitchen and for each family in it.
 *
 * Each observation is kitchen + family + noise, all normal, with spreads as in `LEARNED` (stated judgement: home
 * ovens are off by some 10 °C, a timer and an eye by some minutes). With few bakes the estimate stays near nothing, and its
 * uncertainty says so; with many the data decide. The posterior is exact (a conjugate normal model with two levels).
 */
export function calibrate(observations: readonly Observation[], kind: Learned): Calibration {
  const { kitchen, family, noise } = LEARNED[kind]
  const groups = new Map<string, { n: number; sum: number }>()
  for (const o of observations) {
    if (o.kind !== kind || !Number.isFinite(o.value)) continue
    const g = groups.get(o.family) ?? { n: 0, sum: 0 }
    g.n++
    g.sum += held(o.value, kind)
    groups.set(o.family, g)
  }
  const [k2, f2, n2] = [kitchen ** 2, family ** 2, noise ** 2]
  // Given the kitchen's offset, the mean of a family has variance f² + n²/count: families are independent witnesses.
  let precision = 1 / k2
  let weighted = 0
  for (const g of groups.values()) {
    const v = f2 + n2 / g.n
    precision += 1 / v
    weighted += g.sum / g.n / v
  }
  const mean = weighted / precision
  const variance = 1 / precision
  const from = [...groups.values()].reduce((n, g) => n + g.n, 0)
  const families: Record<string, Offset> = {}
  for (const [name, g] of groups) {
    // Given the kitchen, the family's own part is a shrunken mean of what is left; then the kitchen's doubt is added.
    const shrink = f2 / (f2 + n2 / g.n)
    families[name] = {
      mean: mean + shrink * (g.sum / g.n - mean),
      sd: Math.sqrt(shrink * (n2 / g.n) + (1 - shrink) ** 2 * variance),
      from: g.n,
    }
  }
  return { kind, kitchen: { mean, sd: Math.sqrt(variance), from }, families }
}

/** What holds for a family: its own where it was baked, else the kitchen's with the doubt between families. */
export function offsetFor(c: Calibration, family: string): Offset {
  return c.families[family] ?? { ...c.kitchen, sd: Math.hypot(c.kitchen.sd, LEARNED[c.kind].family), from: 0 }
}

/** One slip of the pen must not teach a kitchen: beyond so many spreads a value is held, in spreads of all it may differ by. */
const HELD_AT = 3
function held(value: number, kind: Learned): number {
  const { kitchen, family, noise } = LEARNED[kind]
  const most = HELD_AT * Math.hypot(kitchen, family, noise)
  return Math.max(-most, Math.min(most, value))
}
