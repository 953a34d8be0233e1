import type { Problem } from './problem'
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
  const gas = problem.gas
  if (gas) {
    const lift = (100 * gasOf(problem, grams)) / gas.flour
    const off = (lift - gas.aim) / gas.tolerance
    cost += gas.weight * off * off
    if (gas.band) {
      const past = Math.max(lift - gas.band.high, gas.band.low - lift, 0) / gas.tolerance
      cost += HINGE_WEIGHT * past * past
    }
  }
  problem.variables.forEach((v, i) => {
    if (v.fixed) return
    const off = (grams[i]! - v.start) / v.give
    cost += off * off
    const past = Math.max(v.low - grams[i]!, grams[i]! - v.high, 0) / v.give
    cost += HINGE_WEIGHT * past * past
  })
  return cost
}
