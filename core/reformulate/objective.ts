import type { Problem, Variable } from './problem'
import { HINGE_WEIGHT } from './problem'

/** Gas of given amounts, mmol: powder, and soda as far as acid meets it, and half of what is left over. */
function gasOf(problem: Problem, grams: ArrayLike<number>): number {
  let co2 = problem.fixed.co2
  let acid = problem.fixed.acid
  let base = problem.fixed.base
  for (let i = 0; i < problem.profiles.length; i++) {
    const p = problem.profiles[i]!
    const x = grams[i]!
    co2 += p.co2 * x
    acid += p.acid * x
    base += p.base * x
  }
  return co2 + 0.5 * (base + Math.min(acid, base))
}

/** What it costs that so much gas, mmol, is not what is wanted. */
function costOfGas({ gas }: Problem, mmol: number): number {
  if (!gas) return 0
  const lift = (100 * mmol) / gas.flour
  const off = (lift - gas.aim) / gas.tolerance
  const past = gas.band ? Math.max(lift - gas.band.high, gas.band.low - lift, 0) / gas.tolerance : 0
  return gas.weight * off * off + HINGE_WEIGHT * past * past
}

/**
 * What an answer costs: weighted squared distance of every ratio from its aim in tolerances, nine times as much
 * for what lies outside a band, and the square of every move away from the baker's own or the school's usual amount.
 *
 * @param grams one amount per variable
 */
export function objective(problem: Problem, grams: ArrayLike<number>): number {
  let cost = 0
  for (const row of problem.rows) {
    let value = row.constant
    const c = row.coefficients
    for (let i = 0; i < c.length; i++) value += c[i]! * grams[i]!
    if (row.kind === 'aim') cost += row.weight * value * value
    else if (value > 0) cost += row.weight * value * value
  }
  cost += costOfGas(problem, gasOf(problem, grams))
  problem.variables.forEach((v, i) => (cost += costOfMove(v, grams[i]!)))
  return cost
}

/** What it costs that one amount is another than its own. */
function costOfMove(v: Variable, grams: number): number {
  if (v.fixed) return 0
  const off = (grams - v.start) / v.give
  const past = Math.max(v.low - grams, grams - v.high, 0) / v.give
  return off * off + HINGE_WEIGHT * past * past
}

/** One amount put in place of another. */
export type Move = readonly [variable: number, grams: number]

/**
 * The objective of a set of amounts, kept up to date as single amounts move: a try costs the rows, not the rows times
 * the lines.
 */
export class Tally {
  /** Of each row, with the amounts as they stand. */
  private readonly values: Float64Array
  /** Of each variable, its coefficients down the rows. */
  private readonly columns: readonly Float64Array[]
  private readonly weights: Float64Array
  /** 1 for an aim, which costs on both sides. */
  private readonly both: Uint8Array
  private gas: { co2: number; acid: number; base: number }
  private own = 0

  /** @param grams one amount per variable; moved in place by `put` */
  constructor(
    private readonly problem: Problem,
    readonly grams: Float64Array,
  ) {
    const { rows, variables, profiles } = problem
    this.weights = Float64Array.from(rows, (r) => r.weight)
    this.both = Uint8Array.from(rows, (r) => (r.kind === 'aim' ? 1 : 0))
    this.columns = variables.map((_, i) => Float64Array.from(rows, (r) => r.coefficients[i]!))
    this.values = Float64Array.from(rows, (row) => {
      let value = row.constant
      for (let i = 0; i < row.coefficients.length; i++) value += row.coefficients[i]! * grams[i]!
      return value
    })
    const { co2, acid, base } = problem.fixed
    this.gas = { co2, acid, base }
    variables.forEach((v, i) => {
      const p = profiles[i]!
      this.gas.co2 += p.co2 * grams[i]!
      this.gas.acid += p.acid * grams[i]!
      this.gas.base += p.base * grams[i]!
      this.own += costOfMove(v, grams[i]!)
    })
  }

  /** The objective as it would be after one move, or two. */
  costWith(first?: Move, second?: Move): number {
    const { values, weights, both, gas } = this
    let cost = this.own
    let { co2, acid, base } = gas
    const step = (move: Move | undefined): number => {
      if (!move) return 0
      const [i, to] = move
      const by = to - this.grams[i]!
      const p = this.problem.profiles[i]!
      co2 += p.co2 * by
      acid += p.acid * by
      base += p.base * by
      const v = this.problem.variables[i]!
      cost += costOfMove(v, to) - costOfMove(v, this.grams[i]!)
      return by
    }
    const a = step(first)
    const b = step(second)
    const x = first ? this.columns[first[0]]! : values
    const y = second ? this.columns[second[0]]! : values
    for (let r = 0; r < values.length; r++) {
      const value = values[r]! + a * x[r]! + b * y[r]!
      if (value > 0 || both[r]) cost += weights[r]! * value * value
    }
    return cost + costOfGas(this.problem, co2 + 0.5 * (base + Math.min(acid, base)))
  }

  put(moves: readonly Move[]): void {
    const { variables, profiles } = this.problem
    for (const [i, to] of moves) {
      const by = to - this.grams[i]!
      const p = profiles[i]!
      this.gas.co2 += p.co2 * by
      this.gas.acid += p.acid * by
      this.gas.base += p.base * by
      this.own += costOfMove(variables[i]!, to) - costOfMove(variables[i]!, this.grams[i]!)
      const column = this.columns[i]!
      for (let r = 0; r < column.length; r++) this.values[r]! += column[r]! * by
      this.grams[i] = to
    }
  }
}
