import type { Metrics } from '../balance/metrics'
import type { Banded } from '../balance/families'
import { TOLERANCE } from '../balance/findings'
import { MARKS, LEANINGS, type Trial } from './trial'

/** One side of a comparison. */
export interface Side {
  trial: Trial
  metrics: Partial<Metrics>
}

export interface Difference {
  /** What differs, in words. */
  what: string
  from: string
  to: string
}
export interface Explained extends Difference {
  /** Differences in the mix or the baking that the model would expect this of; empty where it cannot say. */
  because: string[]
}

/** Smaller differences of a mark are a mood. */
const MARK_STEP = 1
const LEAN_STEP = 1
const MINUTES_STEP = 0.08
/** A batter that waits so much longer has lost gas, min. */
const WAIT_STEP = 10

/** What the model expects an outcome of: a ratio or a part of the record, and which way it pushes. */
const PUSHES: { outcome: string; by: (Banded | 'minutes' | 'sweetness' | 'waited')[]; sign: Partial<Record<string, 1 | -1>> }[] = [
  { outcome: 'moisture', by: ['moisture', 'fatPct', 'minutes'], sign: { moisture: 1, fatPct: 1, minutes: -1 } },
  { outcome: 'sweetness', by: ['sweetness'], sign: { sweetness: 1 } },
  { outcome: 'lift', by: ['lift', 'fluidity', 'waited'], sign: { lift: 1, fluidity: 1, waited: -1 } },
  { outcome: 'crumb', by: ['firmness', 'setting', 'waited'], sign: { firmness: -1, setting: -1, waited: -1 } },
  { outcome: 'stacking', by: ['setting', 'moisture'], sign: { setting: 1, moisture: -1 } },
]
/** Ratios of a mix whose difference is tasted, in words. */
export const MIX_WORDS: Record<string, string> = {
  moisture: 'moisture of the mix',
  fatPct: 'fat',
  lift: 'what lifts it',
  fluidity: 'thinness of the batter',
  firmness: 'firmness of the mix',
  setting: 'what sets it',
  minutes: 'minutes in the oven',
  sweetness: 'sweetness of the mix',
  waited: 'the time that the batter waited',
}
/** A step of sweetness that is tasted, g of sugar in 100 g of cake. */
export const SWEET_STEP = 2

/** Two trials: what differs in the mix and the baking, what in the outcome, and which of it the model can explain. */
export function compareTrials(a: Side, b: Side): { mix: Difference[]; process: Difference[]; outcome: Explained[] } {
  const moved = new Map<string, number>()
  const mix: Difference[] = []
  for (const key of [...Object.keys(TOLERANCE), 'sweetness'] as (Banded | 'sweetness')[]) {
    const [x, y] = [a.metrics[key], b.metrics[key]]
    if (x === undefined || y === undefined) continue
    const steps = (y - x) / (key === 'sweetness' ? SWEET_STEP : TOLERANCE[key])
    if (Math.abs(steps) < 0.75) continue
    moved.set(key, steps)
    if (MIX_WORDS[key]) mix.push({ what: MIX_WORDS[key], from: x.toFixed(2), to: y.toFixed(2) })
  }
  const process: Difference[] = []
  const [ra, rb] = [a.trial.record, b.trial.record]
  const both = (what: string, x: number | undefined, y: number | undefined, unit: string, least: number) => {
    if (x === undefined || y === undefined || Math.abs(x - y) < least) return
    process.push({ what, from: `${x} ${unit}`, to: `${y} ${unit}` })
  }
  both('in the oven', ra.minutes, rb.minutes, 'min', 1)
  both('oven', ra.ovenC, rb.ovenC, '°C', 4)
  both('middle when it came out', ra.coreC, rb.coreC, '°C', 1)
  both('waited before the oven', ra.waitedMin, rb.waitedMin, 'min', 5)
  both('liquid added', ra.addedGrams ?? 0, rb.addedGrams ?? 0, 'g', 5)
  if (ra.minutes && rb.minutes && Math.abs(Math.log(rb.minutes / ra.minutes)) > MINUTES_STEP)
    moved.set('minutes', Math.log(rb.minutes / ra.minutes) / MINUTES_STEP)
  // Gas that leaves while a batter waits is missed in the oven.
  if (ra.waitedMin !== undefined && rb.waitedMin !== undefined && Math.abs(rb.waitedMin - ra.waitedMin) >= WAIT_STEP)
    moved.set('waited', (rb.waitedMin - ra.waitedMin) / WAIT_STEP)
  const outcome: Explained[] = []
  const tell = (key: string, x: number | undefined, y: number | undefined, least: number) => {
    if (x === undefined || y === undefined || Math.abs(y - x) < least) return
    const push = PUSHES.find((p) => p.outcome === key)
    const because = (push?.by ?? []).filter((c) => moved.has(c) && Math.sign(moved.get(c)!) * (push!.sign[c] ?? 1) === Math.sign(y - x))
    outcome.push({ what: key, from: String(x), to: String(y), because: because.map((c) => MIX_WORDS[c]!) })
  }
  for (const m of MARKS) tell(m, a.trial.marks[m], b.trial.marks[m], MARK_STEP)
  for (const l of LEANINGS) tell(l, a.trial.leanings[l], b.trial.leanings[l], LEAN_STEP)
  return { mix, process, outcome }
}

/**
 * What so few paired tastings can say: the chance that as many or more would prefer one by tossing coins (a sign test,
 * both sides). Ties say nothing.
 */
export function tastings(forA: number, forB: number): { chance: number; words: string } {
  const n = forA + forB
  const most = Math.max(forA, forB)
  const choose = (k: number) => Array.from({ length: k }, (_, i) => (n - i) / (i + 1)).reduce((x, y) => x * y, 1)
  let tail = 0
  for (let k = most; k <= n; k++) tail += choose(k)
  const chance = n === 0 ? 1 : Math.min(1, (2 * tail) / 2 ** n)
  const words =
    n < 5
      ? 'Too few to tell: at least six tasters must agree before it is more than chance.'
      : chance < 0.05
        ? `Hardly chance: tossing coins would agree so well ${Math.max(1, Math.round(100 * chance))} times of 100.`
        : `It may be chance: tossing coins would agree so well ${Math.round(100 * chance)} times of 100.`
  return { chance, words }
}
