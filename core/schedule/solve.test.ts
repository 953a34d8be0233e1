import highsLoader from 'highs'
import { describe, expect, it } from 'vitest'
import type { Activity, Kitchen, Quiet } from './activity'
import { day, programme, QUIET, SERVE } from '../fixtures/days'
import { changeHeat, plan } from './solve'

/** Everything that a plan must keep, checked anew. */
function expectKept(activities: readonly Activity[], quiet: readonly Quiet[], kitchen: Kitchen, p: ReturnType<typeof plan>) {
  const by = new Map(p.activities.map((a) => [a.id, a]))
  expect(by.size).toBe(activities.length)
  for (const a of p.activities) {
    expect(a.end).toBeLessThanOrEqual(SERVE)
    expect(a.end - a.start).toBe(Math.round(a.minutes.best))
    for (const x of a.after) {
      const gap = a.start - by.get(x.id)!.end
      expect(gap).toBeGreaterThanOrEqual(x.min ?? 0)
      if (x.max !== undefined) expect(gap).toBeLessThanOrEqual(x.max)
    }
    if (a.handsOn && !a.night)
      for (const q of quiet)
        for (let d = Math.floor(a.start / 1440) - 1; d <= Math.floor(a.end / 1440); d++) {
          const from = d * 1440 + q.from
          expect(a.start >= from + ((q.to - q.from + 1440) % 1440) || a.end <= from, a.label).toBe(true)
        }
  }
  for (const thing of new Set(p.activities.flatMap((a) => [...a.needs, ...(a.handsOn ? ['hands'] : [])]))) {
    const users = p.activities.filter((a) => a.needs.includes(thing) || (thing === 'hands' && a.handsOn))
    for (const a of users)
      expect(users.filter((b) => b.start <= a.start && b.end > a.start && b.end > b.start).length).toBeLessThanOrEqual(kitchen[thing] ?? 1)
    if (thing === 'oven')
      for (const a of users)
        for (const b of users)
          if (a !== b && a.oven && b.oven && a.oven.celsius !== b.oven.celsius && a.start >= b.end)
            expect(a.start - b.end).toBeGreaterThanOrEqual(changeHeat(a.oven, b.oven))
  }
}

describe('plans against the exact optimum', () => {
  // The bench runs 200.
  const CASES = 30
  it(
    `is as short as HiGHS can make it in 95 of 100 small days, and feasible where any is (${CASES} days)`,
    { timeout: 600_000 },
    async () => {
      const highs = await highsLoader()
      let equal = 0
      let feasible = 0
      let worst = 0
      for (let seed = 1; seed <= CASES; seed++) {
        const activities = day(seed, 14)
        const quiet = seed % 2 ? QUIET : []
        const exact = highs.solve(programme(activities, quiet), { time_limit: 20 })
        const mine = plan(activities, SERVE, quiet, {})
        if (exact.Status !== 'Optimal') {
          if (exact.Status === 'Infeasible') expect(mine.conflicts.length, `day ${seed}`).toBeGreaterThan(0)
          continue
        }
        feasible++
        expect(mine.conflicts, `day ${seed}`).toEqual([])
        expectKept(activities, quiet, {}, mine)
        const best = Math.round(exact.ObjectiveValue)
        expect(mine.span, `day ${seed}`).toBeGreaterThanOrEqual(best)
        if (mine.span === best) equal++
        worst = Math.max(worst, mine.span / best - 1)
      }
      expect(feasible).toBeGreaterThan(0.8 * CASES)
      expect(equal / feasible, `${equal} of ${feasible}, worst ${Math.round(100 * worst)} % longer`).toBeGreaterThanOrEqual(0.95)
    },
  )
})

describe('plans', () => {
  it('keep every gap, thing and quiet hour on large days too', () => {
    for (let seed = 1; seed <= 12; seed++) {
      const activities = day(seed, 80)
      const kitchen = { hands: 2, fridge: 3 }
      const p = plan(activities, SERVE, QUIET, kitchen, { tries: 20 })
      expect(p.conflicts, `day ${seed}`).toEqual([])
      expectKept(activities, QUIET, kitchen, p)
    }
  })

  it('say what clashes, and what would resolve it', () => {
    const a = (id: string, more: Partial<Activity> = {}): Activity => ({
      id,
      label: id,
      bake: '',
      minutes: { low: 60, best: 60, high: 60 },
      handsOn: true,
      needs: [],
      after: [],
      ...more,
    })
    const late = plan([a('mix'), a('frost', { after: [{ id: 'mix' }] })], SERVE, [], {}, { notBefore: SERVE - 90 })
    expect(late.conflicts[0]).toMatchObject({ code: 'no-time' })
    expect(late.conflicts[0]!.try.length).toBeGreaterThan(0)
    expect(plan([a('x', { after: [{ id: 'y' }] }), a('y', { after: [{ id: 'x' }] })], SERVE, [], {}).conflicts[0]).toMatchObject({
      code: 'cycle',
    })
    expect(plan([a('whip', { needs: ['mixer'] })], SERVE, [], { mixer: 0 }).conflicts[0]).toMatchObject({ code: 'missing' })
  })
})
