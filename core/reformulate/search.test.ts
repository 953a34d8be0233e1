import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { yogurtSoda } from '../swaps/egg/yogurt-soda'
import type { Choice, Slot } from './choices'
import { search as searchInSteps } from './search'

/** Slots whose choices are told apart by a number; what they are does not matter here. */
const slotsOf = (sizes: readonly number[]): Slot[] =>
  sizes.map((n, k) => ({
    key: k === 0 ? 'egg' : `slot ${k}`,
    choices: Array.from({ length: n }, (_, i): Choice => ({ kind: 'egg', school: { ...yogurtSoda, standing: k * 100 + i } })),
  }))
const number = (c: Choice) => (c.kind === 'egg' ? c.school.standing % 100 : 0)

/** Runs a search to its end, or until told to stop. */
function search(slots: Slot[], judge: (picks: readonly Choice[]) => number | undefined, stopped: () => boolean): number {
  const steps = searchInSteps(slots, judge)
  let step = steps.next()
  while (!step.done) step = steps.next(stopped())
  return step.value
}

describe('the search over combinations', () => {
  it('tries every one where there are few', () => {
    const seen = new Set<string>()
    const judged = search(
      slotsOf([5, 3, 2]),
      (picks) => {
        seen.add(picks.map(number).join())
        return 1
      },
      () => false,
    )
    expect(judged).toBe(30)
    expect(seen.size).toBe(30)
  })

  it('finds the best of thousands while trying fewer than a hundred and fifty, where choices keep their order', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 2, max: 15 }), { minLength: 3, maxLength: 5 }),
        fc.infiniteStream(fc.double({ min: 0, max: 10, noNaN: true })),
        (sizes, stream) => {
          const costs = sizes.map((n) => Array.from({ length: n }, () => stream.next().value))
          let best = Infinity
          let tried = 0
          search(
            slotsOf(sizes),
            (picks) => {
              tried++
              const cost = picks.reduce((sum, p, k) => sum + costs[k]![number(p)]!, 0)
              best = Math.min(best, cost)
              return cost
            },
            () => false,
          )
          const least = costs.reduce((sum, c) => sum + Math.min(...c), 0)
          expect(best).toBeCloseTo(least, 9)
          expect(tried).toBeLessThanOrEqual(150)
        },
      ),
      { numRuns: 60 },
    )
  })

  it('gets round choices that cannot be made', () => {
    let best = Infinity
    search(
      slotsOf([15, 6, 6]),
      (picks) => {
        const n = picks.map(number)
        if (n[0] === 0 || n[1] === 0) return undefined
        best = Math.min(
          best,
          n.reduce((a, b) => a + b, 0),
        )
        return n.reduce((a, b) => a + b, 0)
      },
      () => false,
    )
    expect(best).toBeLessThan(Infinity)
  })

  it('stops when told to', () => {
    let tried = 0
    search(
      slotsOf([15, 6, 6]),
      () => ++tried,
      () => tried >= 7,
    )
    expect(tried).toBe(7)
  })
})
