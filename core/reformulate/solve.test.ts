import { describe, expect, it } from 'vitest'
import { CLASSICS } from '../fixtures/classics'
import { readRecipe } from '../recipe/text'
import { SCHOOLS } from '../swaps/schools'
import { buildProblem, type Problem } from './problem'
import { objective } from './objective'
import { roundToKitchen } from './round'
import { situationOf, withoutEgg } from './situation'
import { solve } from './solve'
import { draft } from './variables'

function problems(): Problem[] {
  const found: Problem[] = []
  for (const c of CLASSICS) {
    const s = situationOf(readRecipe(c.text, c.region).recipe)
    if (!s.eggGrams) continue
    const family = withoutEgg(s)
    for (const egg of SCHOOLS) {
      const d = draft(
        s,
        { egg, standIns: new Map(), changes: [] },
        { needs: ['eggless'], avoid: [] },
        { pin: {}, most: new Map() },
        true,
        family,
      )
      if (d)
        found.push(
          buildProblem({ family, variables: d.variables, fixed: d.fixed, before: s.metrics, moved: family !== s.family, wishes: {} }),
        )
    }
  }
  return found
}

describe('the quadratic programme', () => {
  const all = problems()

  it('finds a point that no small step improves', () => {
    for (const p of all.slice(0, 60)) {
      const x = solve(p)!
      const best = objective(p, x)
      p.variables.forEach((v, i) => {
        if (v.fixed || v.tie || p.variables.some((t) => t.tie?.to === v.key)) return
        for (const step of [-0.02, 0.02]) {
          const moved = Float64Array.from(x)
          moved[i] = Math.min(v.high, Math.max(v.low, x[i]! + step * v.give))
          expect(objective(p, moved)).toBeGreaterThanOrEqual(best - 2e-3 * (1 + best))
        }
      })
    }
  })

  it('keeps every limit', () => {
    for (const p of all) {
      const x = solve(p)!
      p.variables.forEach((v, i) => {
        expect(x[i]!).toBeGreaterThanOrEqual((v.tie ? 0 : v.low) - 1e-6)
        if (!v.tie) expect(x[i]!).toBeLessThanOrEqual(v.high + 1e-6)
      })
    }
  })

  it('rounds to the kitchen within 5 % of the unrounded optimum, at the median', () => {
    const gaps = all
      .map((p) => {
        const x = solve(p)!
        const r = roundToKitchen(p, x, 'weight', 'uk')
        return r.cost / r.unrounded - 1
      })
      .sort((a, b) => a - b)
    expect(gaps[Math.floor(gaps.length / 2)]!).toBeLessThan(0.05)
  })
})
