import quadprog from 'quadprog'
import { objective } from './objective'
import { HINGE_WEIGHT, type Problem } from './problem'

/** Keeps the Hessian strictly convex in the slack variables, as the solver needs. */
const RIDGE = 1e-6

/**
 * The unrounded optimum of a problem, by a dense active-set solver (Goldfarb and Idnani).
 *
 * Tied amounts are one column; every hinge has a slack; the gas has a helper variable for min(acid, base).
 *
 * @param pinned amounts that are settled already, by variable index
 * @returns grams per variable, or `undefined` where limits contradict each other
 */
export function solve(problem: Problem, pinned: ReadonlyMap<number, number> = new Map()): Float64Array | undefined {
  // Without soda there is nothing to meet.
  if (!problem.profiles.some((p) => p.base > 0)) return solveWith(problem, pinned, 'base')?.grams
  const free = solveWith(problem, pinned, 'free')
  if (!free || !problem.gas) return free?.grams
  const relaxed = free.grams
  const meets = (key: 'acid' | 'base') => problem.profiles.reduce((sum, p, i) => sum + p[key] * relaxed[i]!, problem.fixed[key])
  // Where the helper is as large as it may be, no oven grants more: that is the optimum.
  if (free.met >= Math.min(meets('acid'), meets('base')) - MET_WITHIN) return relaxed
  // The helper may stay below min(acid, base) where less gas is wanted, which no oven grants. Then the side that
  // is scarcer counts in full: both ways of saying so are linear, and the cheaper of the two is the answer.
  const answers = [relaxed, solveWith(problem, pinned, 'acid')?.grams, solveWith(problem, pinned, 'base')?.grams].filter(
    (x) => x !== undefined,
  )
  return answers.reduce((best, x) => (objective(problem, x) < objective(problem, best) ? x : best))
}

/** What of soda and acid is taken to be met: as much as the programme likes, all the acid, or all the soda. */
type Met = 'free' | 'acid' | 'base'

/** Soda and acid that meet are known this well, mmol. */
const MET_WITHIN = 0.02

function solveWith(problem: Problem, pinned: ReadonlyMap<number, number>, met: Met): { grams: Float64Array; met: number } | undefined {
  const { variables, rows, gas } = problem
  const indexOf = new Map(variables.map((v, i) => [v.key, i]))
  // Columns: free, untied variables; tied ones ride on their leader.
  const column = new Int32Array(variables.length).fill(-1)
  const ratio = new Float64Array(variables.length).fill(1)
  const offset = new Float64Array(variables.length)
  const settled = new Float64Array(variables.length)
  let columns = 0
  variables.forEach((v, i) => {
    if (pinned.has(i)) settled[i] = pinned.get(i)!
    else if (v.fixed) settled[i] = v.start
    else if (!v.tie) column[i] = columns++
  })
  variables.forEach((v, i) => {
    if (!v.tie || pinned.has(i) || v.fixed) return
    const leader = indexOf.get(v.tie.to)!
    if (column[leader]! >= 0) {
      column[i] = column[leader]!
      ratio[i] = v.tie.ratio
      offset[i] = -v.tie.ratio * v.tie.beyond
    } else settled[i] = Math.max(0, settled[leader]! - v.tie.beyond) * v.tie.ratio
  })
  const hinges = rows.filter((r) => r.kind === 'hinge')
  const byKey = new Map<string, number>()
  for (const h of hinges) if (!byKey.has(h.key)) byKey.set(h.key, byKey.size)
  const slackFrom = columns
  const gasAt = gas ? slackFrom + byKey.size : -1
  const gasSlack = gas?.band ? gasAt + 1 : -1
  const n = slackFrom + byKey.size + (gas ? 1 : 0) + (gasSlack >= 0 ? 1 : 0)
  if (columns === 0) return { grams: settled, met: Infinity }

  const D: number[][] = Array.from({ length: n + 1 }, () => new Array<number>(n + 1).fill(0))
  const d = new Array<number>(n + 1).fill(0)
  const A: number[][] = Array.from({ length: n + 1 }, () => [0])
  const b: number[] = [0]
  const constrain = (entries: [number, number][], least: number) => {
    for (let r = 1; r <= n; r++) A[r]!.push(0)
    const at = b.length
    for (const [c, value] of entries) A[c + 1]![at]! += value
    b.push(least)
  }
  const project = (coefficients: ArrayLike<number>, constant: number): { c: Float64Array; k: number } => {
    const c = new Float64Array(n)
    let k = constant
    for (let i = 0; i < variables.length; i++) {
      if (column[i]! >= 0) {
        c[column[i]!]! += coefficients[i]! * ratio[i]!
        k += coefficients[i]! * offset[i]!
      } else k += coefficients[i]! * settled[i]!
    }
    return { c, k }
  }
  const addSquare = (c: Float64Array, k: number, weight: number) => {
    for (let i = 0; i < n; i++) {
      if (!c[i]) continue
      for (let j = 0; j < n; j++) if (c[j]) D[i + 1]![j + 1]! += 2 * weight * c[i]! * c[j]!
      d[i + 1]! -= 2 * weight * k * c[i]!
    }
  }

  for (const row of rows) {
    const { c, k } = project(row.coefficients, row.constant)
    if (row.kind === 'aim') addSquare(c, k, row.weight)
    else {
      // value ≤ slack
      const entries: [number, number][] = [[slackFrom + byKey.get(row.key)!, 1]]
      for (let i = 0; i < columns; i++) if (c[i]) entries.push([i, -c[i]!])
      constrain(entries, k)
    }
  }
  for (const at of byKey.values()) {
    D[slackFrom + at + 1]![slackFrom + at + 1]! += 2 * HINGE_WEIGHT + RIDGE
    constrain([[slackFrom + at, 1]], 0)
  }
  if (gas) {
    const perFlour = 100 / (gas.flour * gas.tolerance)
    const part = (key: 'co2' | 'acid' | 'base') =>
      project(
        problem.profiles.map((p) => p[key]),
        problem.fixed[key],
      )
    const [co2, acid, base] = [part('co2'), part('acid'), part('base')]
    const c = new Float64Array(n)
    const side = met === 'acid' ? acid : base
    const linear = met === 'free' ? 0 : 0.5
    for (let i = 0; i < columns; i++) c[i] = perFlour * (co2.c[i]! + 0.5 * base.c[i]! + linear * side.c[i]!)
    c[gasAt] = met === 'free' ? perFlour * 0.5 : 0
    const k = perFlour * (co2.k + 0.5 * base.k + linear * side.k) - gas.aim / gas.tolerance
    addSquare(c, k, gas.weight)
    // A nudge so that what acid meets is counted in full, and a ridge for convexity.
    if (met === 'free') d[gasAt + 1]! += 1e-3
    D[gasAt + 1]![gasAt + 1]! += RIDGE
    for (const side of met === 'free' ? [acid, base] : []) {
      const entries: [number, number][] = [[gasAt, -1]]
      for (let i = 0; i < columns; i++) if (side.c[i]) entries.push([i, side.c[i]!])
      constrain(entries, -side.k)
    }
    if (gasSlack >= 0) {
      const high = (gas.band!.high - gas.aim) / gas.tolerance
      const low = (gas.band!.low - gas.aim) / gas.tolerance
      const entries = (sign: number): [number, number][] => [
        [gasSlack, 1],
        ...Array.from(c, (value, i): [number, number] => [i, sign * value]).filter(([, value]) => value !== 0),
      ]
      constrain(entries(-1), k - high)
      constrain(entries(1), low - k)
      D[gasSlack + 1]![gasSlack + 1]! += 2 * HINGE_WEIGHT
      constrain([[gasSlack, 1]], 0)
    }
  }
  variables.forEach((v, i) => {
    const at = column[i]!
    if (at < 0 || v.tie) return
    const weight = 1 / (v.give * v.give)
    D[at + 1]![at + 1]! += 2 * weight
    d[at + 1]! += 2 * weight * v.start
    constrain([[at, 1]], v.low)
    if (Number.isFinite(v.high)) constrain([[at, -1]], -v.high)
  })
  const result = quadprog.solveQP(D, d, A, b)
  if (result.message) return undefined
  const grams = new Float64Array(variables.length)
  for (let i = 0; i < variables.length; i++)
    grams[i] = column[i]! >= 0 ? Math.max(0, result.solution[column[i]! + 1]! * ratio[i]! + offset[i]!) : settled[i]!
  return { grams, met: gas && met === 'free' ? result.solution[gasAt + 1]! : Infinity }
}
