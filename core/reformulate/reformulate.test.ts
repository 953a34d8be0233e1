import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { massOf } from '../balance/mass'
import { answer } from '../contract/handle'
import { classic, CLASSICS } from '../fixtures/classics'
import { ALLERGENS, suits, type HardNeed } from '../pantry/ingredient'
import { ingredientOf, nameOf, need, PANTRY } from '../pantry/pantry'
import { readLine } from '../recipe/line'
import type { Option } from './option'

const NEEDS: HardNeed[] = ['eggless', 'vegan', 'dairy-free', 'nut-free', 'soy-free']
const change = (name: string, more: Record<string, unknown> = {}) => {
  const c = classic(name)
  return answer('reformulate', { text: c.text, region: c.region, goals: ['eggless'], ...more })
}
const way = (name: string, school: string, more: Record<string, unknown> = {}): Option => {
  const found = change(name, { schools: [school], ...more }).options[0]
  if (!found) throw new Error(`${name} has no way by ${school}`)
  return found
}
const grams = (o: Option, pattern: RegExp) => o.lines.filter((l) => pattern.test(l.ingredient)).reduce((sum, l) => sum + l.to, 0)

describe('eggless, as experienced bakers do it', () => {
  it.each([
    [
      'sandwich',
      'yogurt-soda',
      { '^butter': [130, 195], '^sugar': [150, 200], '^yogurt|^milk': [170, 310], '^baking-soda': [0.6, 4], '^baking-powder': [4, 14] },
    ],
    ['sandwich', 'condensed-milk', { '^condensed': [130, 380], '^sugar': [40, 130], '^butter': [110, 190] }],
    ['sandwich', 'soured-milk-soda', { '^milk': [140, 260], '^vinegar': [6, 18], '^baking-soda': [0.5, 3] }],
    ['sandwich', 'flax-gel', { '^flax': [14, 38], '^water': [40, 115] }],
    ['sandwich', 'aquafaba', { '^aquafaba': [110, 260] }],
    ['sandwich', 'silken-tofu', { '^tofu': [150, 310] }],
    ['olive-oil', 'yogurt-soda', { '^oil': [95, 140], '^yogurt': [110, 270] }],
    ['olive-oil', 'applesauce', { '^applesauce': [110, 230] }],
    ['muffins', 'yogurt-soda', { '^yogurt': [70, 180], '^milk': [120, 260] }],
    ['muffins', 'banana', { '^banana': [65, 150] }],
    ['gingerbread', 'flax-gel', { '^flax': [4, 10] }],
    ['yellow box', 'sparkling-water', { '^sparkling': [85, 210], '^cake-mix': [425, 440], '^oil': [50, 115] }],
  ] as const)('%s by %s', (name, school, ranges) => {
    const option = way(name, school)
    for (const [pattern, [low, high]] of Object.entries(ranges)) {
      const to = grams(option, new RegExp(pattern))
      expect(to, pattern).toBeGreaterThanOrEqual(low)
      expect(to, pattern).toBeLessThanOrEqual(high)
    }
    expect(option.findings.filter((f) => f.severity === 'fault')).toEqual([])
  })

  it('lifts an eggless sponge more than its egg version, and keeps the flour', () => {
    for (const o of change('sandwich').options) {
      expect(o.metrics.lift!).toBeGreaterThan(o.before.lift!)
      expect(grams(o, /^flour/)).toBe(200)
    }
  })

  it('offers at least eight different ways for a plain sponge, best first', () => {
    const { options } = change('sandwich', { limit: 12 })
    expect(new Set(options.map((o) => o.schools.join('+'))).size).toBeGreaterThanOrEqual(8)
    const scores = options.map((o) => o.score)
    expect([...scores].sort((a, b) => a - b)).toEqual(scores)
  })

  it('says honestly that an angel cake cannot do without egg', () => {
    const { options, impossible } = change('angel')
    expect(options).toEqual([])
    expect(impossible?.because[0]?.message).toMatch(/foam/)
    expect(impossible?.nearest?.undone.length).toBeGreaterThan(0)
  })

  it('a cheesecake is set by starch or tofu, never raised by soda', () => {
    for (const o of change('cheesecake').options) expect(o.schools.join()).not.toMatch(/soda|sparkling|banana/)
  })
})

describe('what the baker says goes', () => {
  it('a recipe that already does what is asked comes back whole', () => {
    const { options } = change('eggless curd sponge')
    expect(options).toHaveLength(1)
    expect(options[0]!.lines.every((l) => l.status === 'kept')).toBe(true)
  })

  it('keeps a pinned line to the gram', () => {
    for (const o of change('sandwich', { pin: { 'butter-unsalted': 'keep', 'sugar-white': 180 } }).options) {
      expect(grams(o, /^butter/)).toBe(200)
      expect(grams(o, /^sugar/)).toBe(180)
    }
  })

  it('never uses more than there is', () => {
    for (const o of change('sandwich', { have: [{ ingredient: 'yogurt-plain', grams: 120 }] }).options)
      expect(grams(o, /^yogurt-plain/)).toBeLessThanOrEqual(124)
  })

  it('insists on, and leaves out, the schools that are named', () => {
    expect(change('sandwich', { schools: ['banana'] }).options.map((o) => o.schools)).toEqual([['banana']])
    for (const o of change('sandwich', { schools: { exclude: ['yogurt-soda', 'aquafaba'] } }).options)
      expect(o.schools.some((s) => s === 'yogurt-soda' || s === 'aquafaba')).toBe(false)
  })

  it('with no goal only brings a mix into balance', () => {
    const c = classic('one-two-three-four')
    const wet = c.text.replace('1 cup whole milk', '3 cups whole milk')
    const [option] = answer('reformulate', { text: wet, region: c.region, goals: [] }).options
    expect(option!.metrics.moisture!).toBeLessThan(option!.before.moisture!)
  })

  it('refuses a wish that nobody knows, in words', () => {
    expect(() => change('sandwich', { goals: ['bigger'] })).toThrow(/goals/)
  })
})

describe('every answer, whatever the recipe and the needs', () => {
  const recipe = fc.constantFrom(...CLASSICS)
  const goals = fc.subarray(NEEDS, { minLength: 1 })
  const avoid = fc.subarray(['yogurt-plain', 'milk', 'soy', 'tree-nut', 'aquafaba', 'condensed-milk', 'sugar-white', 'gluten'], {
    maxLength: 3,
  })
  const ask = (c: (typeof CLASSICS)[number], g: HardNeed[], a: string[]) =>
    answer('reformulate', { text: c.text, region: c.region, goals: g, avoid: a, limit: 4 })

  it('never breaks a hard need nor an avoid, and names every label to read', () => {
    fc.assert(
      fc.property(recipe, goals, avoid, (c, g, a) => {
        for (const o of ask(c, g, a).options) {
          const named = new Set(o.labels.map((l) => l.ingredient))
          for (const l of o.recipe.parts.flatMap((p) => p.lines)) {
            const i = ingredientOf(l.ingredient)
            if (!i) continue
            for (const n of g) {
              expect(suits(i, n), `${i.id} for ${n}`).not.toBe('never')
              if (suits(i, n) === 'label') expect(named).toContain(i.id)
            }
            expect(a).not.toContain(i.id)
            for (const allergen of a.filter((x) => (ALLERGENS as readonly string[]).includes(x)))
              expect(i.contains ?? []).not.toContain(allergen)
          }
        }
      }),
      { numRuns: 60 },
    )
  })

  it('adds up: the lines are the recipe, the metrics are its metrics, every change has its reason', () => {
    fc.assert(
      fc.property(recipe, goals, (c, g) => {
        for (const o of ask(c, g, []).options) {
          const lines = o.lines.filter((l) => l.to > 0).reduce((sum, l) => sum + l.to, 0)
          const recipeGrams = o.recipe.parts.flatMap((p) => p.lines).reduce((sum, l) => sum + l.grams.best, 0)
          expect(lines).toBeCloseTo(recipeGrams, -0.5)
          const batter = massOf(
            o.recipe.parts
              .filter((p) => p.role === 'batter')
              .flatMap((p) => p.lines.map((l) => ({ ingredient: l.ingredient!, grams: l.grams.best }))),
          )
          expect(Math.abs(batter.total - o.metrics.batterGrams)).toBeLessThan(1)
          for (const l of o.lines) if (l.status !== 'kept') expect(l.why.length, `${l.ingredient} ${l.status}`).toBeGreaterThan(0)
        }
      }),
      { numRuns: 40 },
    )
  })

  it('hands over no more of a job than there was, and accounts for the rest', () => {
    fc.assert(
      fc.property(recipe, (c) => {
        for (const o of ask(c, ['eggless'], []).options)
          for (const job of new Set(o.handover.map((h) => h.job))) {
            const taken = o.handover.filter((h) => h.job === job).reduce((sum, h) => sum + h.amount, 0)
            const left = o.undone.find((u) => u.job === job)?.share ?? 0
            expect(taken + left).toBeLessThanOrEqual(1.06)
          }
      }),
      { numRuns: 17 },
    )
  })

  it('can be measured: every new amount reads back from its own words to its own grams', () => {
    for (const c of CLASSICS)
      for (const o of ask(c, ['eggless'], []).options)
        for (const l of o.recipe.parts.flatMap((p) => p.lines)) {
          const read = readLine(l.text, c.region).lines[0]!
          expect(read.ingredient, l.text).toBe(l.ingredient)
          expect(Math.abs(read.grams.best - l.grams.best), l.text).toBeLessThanOrEqual(Math.max(0.6, 0.02 * l.grams.best))
        }
  })

  it('forgets nothing: what is new is spoken of in the method, and no egg is left in it', () => {
    for (const c of CLASSICS)
      for (const o of ask(c, ['eggless'], []).options) {
        if (!o.lines.some((l) => l.status === 'removed')) continue
        const told = o.method.map((m) => m.text.toLowerCase()).join('\n')
        expect(told).not.toMatch(/\b(the eggs?(?! replacer)|egg whites?|yolks)\b/)
        for (const l of o.lines.filter(
          (x) => x.status === 'added' && x.partIndex === o.lines.find((y) => y.status === 'removed')!.partIndex,
        )) {
          const words = nameOf(need(l.ingredient), c.region).split(' ')
          expect(
            words.some((w) => told.includes(w.toLowerCase().slice(0, 5))),
            `${l.ingredient} in the method of ${c.name} by ${o.title}`,
          ).toBe(true)
        }
      }
  })

  it('stays calm over nonsense', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            ingredient: fc.constantFrom(...PANTRY.map((i) => i.id)),
            grams: fc.oneof(fc.constant(0), fc.double({ min: 0, max: 5000, noNaN: true })),
          }),
          { maxLength: 14 },
        ),
        goals,
        (lines, g) => {
          const result = answer('reformulate', { recipe: { parts: [{ lines }] }, goals: g, limit: 2 })
          for (const o of result.options) for (const l of o.lines) expect(Number.isFinite(l.to) && l.to >= 0).toBe(true)
        },
      ),
      { numRuns: 60 },
    )
  })
})
