import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'
import { minuteOf } from '../measure/day'
import { aPage } from '../fixtures/sentences'
import { scan } from '../language/item'
import type { Goal } from './goals'

const NEEDS = fc.constantFrom<Goal[]>(['eggless'], ['vegan'], ['gluten-free'], ['dairy-free'], ['nut-free'], ['vegan', 'gluten-free'])
const RUNS = { numRuns: 40 }
/** What a need takes out, under the names that the pages give it. */
const GONE: Record<string, RegExp> = {
  eggless: /\beggs?\b/i,
  vegan: /\beggs?\b|(?<!plant |soya? |oat |almond )\b(?:butter|milk)\b/i,
  'dairy-free': /(?<!plant |soya? |oat |almond )\b(?:butter|milk)\b/i,
  'nut-free': /\bwalnuts?\b/i,
  'gluten-free': /\bplain flour\b/i,
}

describe('methods put together from known sentences, made anew', () => {
  it('name nothing that a need took out', () => {
    fc.assert(
      fc.property(aPage, NEEDS, ({ text }, goals) => {
        const [o] = answer('reformulate', { text, region: 'uk', goals, limit: 1 }).options
        for (const g of goals) expect(o!.recipe.method.join('\n')).not.toMatch(GONE[g]!)
      }),
      RUNS,
    )
  })

  it('name everything that stays and was named', () => {
    fc.assert(
      fc.property(aPage, NEEDS, ({ text }, goals) => {
        const [o] = answer('reformulate', { text, region: 'uk', goals, limit: 1 }).options
        const named = (steps: readonly string[]) => new Set(steps.flatMap((s) => scan(s, 'uk').mentions.map((m) => m.id)))
        const before = named(answer('parse', { text, region: 'uk' }).recipe.method)
        const now = named(o!.recipe.method)
        for (const l of o!.lines)
          if (l.status !== 'added' && l.to > 0 && before.has(l.ingredient))
            expect(now.has(l.ingredient), `${l.ingredient}: ${o!.recipe.method.join(' | ')}`).toBe(true)
      }),
      RUNS,
    )
  })

  it('leave no broken words', () => {
    fc.assert(
      fc.property(aPage, NEEDS, ({ text }, goals) => {
        const [o] = answer('reformulate', { text, region: 'uk', goals, limit: 1 }).options
        for (const s of o!.recipe.method)
          expect(s).not.toMatch(/ {2}|\s[,.;]|[,;]\s*[,.;]|\b(?:and|with|the|then)\s*[.,;]|\b(\w+) \1\b|^[,;.]|undefined/)
      }),
      RUNS,
    )
  })

  it('plan the bake that the recipe tells, after the mixing and before the cooling', () => {
    fc.assert(
      fc.property(aPage, ({ text, minutes }) => {
        const { activities, conflicts } = answer('schedule', { text, region: 'uk', serveAt: '2027-06-12T15:00' })
        expect(conflicts).toEqual([])
        const bake = activities.findIndex((a) => a.needs.includes('oven') && !/^Heat the oven/.test(a.label))
        const long = minuteOf(activities[bake]!.end) - minuteOf(activities[bake]!.start)
        expect(long).toBeGreaterThanOrEqual(minutes[0])
        expect(long).toBeLessThanOrEqual(minutes[1])
        const start = minuteOf(activities[bake]!.start)
        for (const a of activities)
          if (/^(?:Cream|Beat|Fold|Sift|Stir|Add|Whisk|Loosen|Spread|Scrape|Spoon)/.test(a.label))
            expect(minuteOf(a.end)).toBeLessThanOrEqual(start)
        expect(activities.some((a) => minuteOf(a.start) >= minuteOf(activities[bake]!.end) && /^(?:Cool|Leave|Turn)/.test(a.label))).toBe(
          true,
        )
      }),
      RUNS,
    )
  })

  it('ask at the counter for every gram exactly once, all of it before the oven', () => {
    fc.assert(
      fc.property(aPage, ({ text }) => {
        const { steps } = answer('counter', { text, region: 'uk' })
        const uses = steps.flatMap((s, i) => s.uses.map((u) => ({ id: u.id, at: i })))
        expect(uses.map((u) => u.id).sort()).toEqual(Array.from({ length: 8 }, (_, i) => `0.${i}`))
        const bake = steps.findIndex((s) => s.kind === 'bake')
        expect(uses.every((u) => u.at < bake)).toBe(true)
      }),
      RUNS,
    )
  })
})
