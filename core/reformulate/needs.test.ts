import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'
import { classic, CLASSICS } from '../fixtures/classics'
import { EVERYDAY } from '../fixtures/everyday'
import { HARD_NEEDS, suits } from '../pantry/ingredient'
import { ingredientOf } from '../pantry/pantry'
import { readLine } from '../recipe/line'
import { SOFT_GOALS, type Goal } from './goals'
import type { Option } from './option'

const ALL = [...CLASSICS, ...EVERYDAY]
const ways = (name: string, more: Record<string, unknown>) => {
  const c = ALL.find((x) => x.name === name)!
  return answer('reformulate', { text: c.text, region: c.region, ...more })
}
const way = (name: string, school: string, more: Record<string, unknown>): Option => {
  const found = ways(name, { schools: [school], ...more }).options[0]
  if (!found) throw new Error(`${name} has no way by ${school}`)
  return found
}
const grams = (o: Option, pattern: RegExp, from = false) =>
  o.lines.filter((l) => pattern.test(l.ingredient)).reduce((sum, l) => sum + (from ? l.from : l.to), 0)

describe('each need, as experienced bakers meet it', () => {
  it.each([
    ['gluten-free layers by a blend, weight for weight', 'sandwich', 'gf-blend', { goals: ['gluten-free'] }, { '^flour-gf': [190, 210] }],
    [
      'gluten-free by three flours and a little gum',
      'sandwich',
      'gf-flours',
      { goals: ['gluten-free'] },
      { '^flour-|starch': [185, 215], xanthan: [0.3, 1.3] },
    ],
    [
      'half the butter gives way to apple',
      'madeira',
      'fruit-for-fat',
      { goals: ['low-fat'] },
      { '^butter': [65, 105], '^applesauce': [30, 110] },
    ],
    ['half the oil gives way to yogurt', 'olive-oil', 'dairy-for-fat', { goals: ['low-fat'] }, { '^oil': [45, 90], '^yogurt': [30, 100] }],
    ['a third less sugar is a third less', 'sandwich', 'cut-sugar', { goals: ['less-sugar'] }, { '^sugar': [125, 150] }],
    [
      'half honey, with less liquid',
      'one-two-three-four',
      'honey',
      { goals: ['sugar-swap'], sweetener: 'honey', amount: { 'sugar-swap': 0.5 } },
      { '^honey': [150, 300], '^sugar-white': [170, 230] },
    ],
    [
      'erythritol for half',
      'sandwich',
      'polyol',
      { goals: ['sugar-swap'], sweetener: 'erythritol', amount: { 'sugar-swap': 0.5 } },
      { '^erythritol': [60, 170], '^sugar-white': [85, 115] },
    ],
    [
      'a doctored box',
      'yellow box',
      'box-rich',
      { goals: ['from-scratch-taste'] },
      { '^milk': [200, 290], '^butter': [95, 150], '^egg-yolk': [15, 40], '^oil': [0, 0] },
    ],
    [
      'a box with a whole pudding packet',
      'yellow box',
      'box-pudding',
      { goals: ['from-scratch-taste'] },
      { '^pudding': [95, 97], '^sour-cream': [100, 270] },
    ],
    [
      'a shrunken box topped up',
      'yellow box',
      'box-top-up',
      { goals: [] },
      { '^flour': [38, 50], '^sugar': [32, 45], '^baking-powder': [1, 5] },
    ],
  ] as const)('%s', (_, name, school, more, ranges) => {
    const option = way(name, school, more)
    for (const [pattern, [low, high]] of Object.entries(ranges)) {
      const to = grams(option, new RegExp(pattern))
      expect(to, pattern).toBeGreaterThanOrEqual(low)
      expect(to, pattern).toBeLessThanOrEqual(high)
    }
    expect(option.findings.filter((f) => f.severity === 'fault')).toEqual([])
  })

  it('changes nothing that nobody asked to change', () => {
    const o = way('carrot', 'gf-blend', { goals: ['gluten-free'] })
    for (const id of ['sugar-white', 'egg-whole', 'carrot'])
      expect(grams(o, new RegExp(`^${id}$`))).toBeCloseTo(grams(o, new RegExp(`^${id}$`), true), 0)
  })

  it('never makes a cake sweeter that was asked for something else', () => {
    for (const goals of [['eggless'], ['gluten-free'], ['low-fat'], ['vegan', 'gluten-free']])
      for (const o of ways('yogurt-pot', { goals }).options) expect(grams(o, /^sugar-white$/)).toBeLessThanOrEqual(250.5)
  })

  it('says no to less fat where there is none to take, and shows the cake as it is', () => {
    const { options, impossible } = ways('roulade', { goals: ['low-fat'] })
    expect(options).toEqual([])
    expect(impossible?.because[0]?.message).toMatch(/no added fat/)
    expect(impossible?.nearest?.lines.every((l) => l.status === 'kept')).toBe(true)
  })

  it('refuses a sweetener that is none', () => {
    expect(ways('sandwich', { goals: ['sugar-swap'], sweetener: 'salt' }).impossible?.because[0]?.code).toBe('no-sweetener')
  })
})

describe('how much, and which way', () => {
  it('the more fat is to go, the less is left', () => {
    const left = [0.2, 0.35, 0.5].map((share) =>
      grams(way('olive-oil', 'cut-fat', { goals: ['low-fat'], amount: { 'low-fat': share } }), /^oil/),
    )
    expect(left[0]).toBeGreaterThan(left[1]!)
    expect(left[1]).toBeGreaterThan(left[2]!)
  })

  it.each([
    ['softer', 'firmness', -1, 'butter sponge slab'],
    ['firmer', 'firmness', 1, 'butter sponge slab'],
    ['richer', 'fatPct', 1, 'butter sponge slab'],
    ['keeps-longer', 'moisture', 1, 'butter sponge slab'],
    ['lighter', 'lift', 1, 'butter sponge slab'],
    ['fudgier', 'lift', -1, 'one-two-three-four'],
    ['less-sweet', 'sweetness', -1, 'butter sponge slab'],
  ] as const)('%s moves %s', (goal, metric, sign, name) => {
    const [o] = ways(name, { goals: [goal] }).options
    expect(Math.sign(o!.metrics[metric]! - o!.before[metric]!)).toBe(sign)
  })

  it.each([
    ['moisture', 0.16],
    ['firmness', -0.045],
    ['fatPct', 9],
    ['lift', 2.5],
  ] as const)('a tug at %s moves it that way, and adds to a need', (metric, by) => {
    for (const goals of [[], ['gluten-free']]) {
      const [plain] = ways('one-two-three-four', { goals, ...(goals.length === 0 && { nudge: { sugarPct: 0 } }) }).options
      const [tugged] = ways('one-two-three-four', { goals, nudge: { [metric]: by } }).options
      expect(Math.sign(tugged!.metrics[metric]! - plain!.metrics[metric]!)).toBe(Math.sign(by))
      expect(tugged!.findings.filter((f) => f.severity === 'fault')).toEqual([])
    }
  })

  it('without leavener only what creaming and eggs carry is left', () => {
    const [o] = ways('sandwich', { goals: ['no-added-leavener'] }).options
    expect(grams(o!, /^baking/)).toBe(0)
    expect(o!.method.map((m) => m.text).join(' ')).not.toMatch(/baking powder/i)
  })

  it('a named school is applied though nobody asked for a need', () => {
    expect(way('sandwich', 'oil', { goals: [] }).lines.some((l) => l.ingredient === 'oil-vegetable' && l.to > 100)).toBe(true)
  })

  it('near-copies stand behind other ways', () => {
    const eggs = ways('sandwich', { goals: ['vegan'], limit: 6 }).options.map((o) => o.schools[0])
    expect(new Set(eggs).size).toBeGreaterThanOrEqual(4)
  })
})

describe('the rest of a recipe follows', () => {
  const layered =
    'Harbour layers\n200 g butter\n200 g caster sugar\n200 g self-raising flour\n4 eggs\nIcing:\n150 g butter\n300 g icing sugar\n2 tbsp milk\nMethod:\nCream, beat in eggs, fold in flour, bake at 180 C for 25 minutes.'

  it('an icing meets the same needs, with its own fat and sugar held', () => {
    const [o] = answer('reformulate', { text: layered, region: 'uk', goals: ['vegan'] }).options
    const icing = o!.lines.filter((l) => l.part === 'Icing' && l.to > 0)
    expect(icing.find((l) => l.ingredient === 'plant-butter-block' || l.ingredient === 'oil-coconut')!.to).toBeGreaterThan(110)
    expect(icing.find((l) => l.ingredient === 'sugar-icing')!.to).toBeGreaterThan(250)
  })

  it('a gluten-free batter rests, and a honey cake bakes cooler', () => {
    const gf = way('sandwich', 'gf-blend', { goals: ['gluten-free'] })
    expect(gf.method.some((m) => m.changed && /20 to 30 minutes/.test(m.text))).toBe(true)
    const sweet = answer('reformulate', { text: layered, region: 'uk', goals: ['sugar-swap'], sweetener: 'honey' }).options[0]!
    expect(sweet.oven[0]!.celsius).toBe(170)
    expect(sweet.method.some((m) => m.changed && /170 °?C/.test(m.text))).toBe(true)
  })

  it('high up, less gas and more liquid', () => {
    const low = way('one-two-three-four', 'yogurt-soda', { goals: ['eggless'] })
    const high = way('one-two-three-four', 'yogurt-soda', { goals: ['eggless'], altitudeM: 2000 })
    const lifts = (o: Option) => 3 * grams(o, /^baking-powder/) + 11.9 * grams(o, /^baking-soda/)
    expect(lifts(high)).toBeLessThan(0.95 * lifts(low))
    expect(high.metrics.moisture!).toBeGreaterThan(low.metrics.moisture!)
  })
})

describe('every answer to any wishes', () => {
  const recipe = fc.constantFrom(...ALL)
  const goals = fc
    .tuple(fc.subarray([...HARD_NEEDS], { maxLength: 3 }), fc.subarray([...SOFT_GOALS], { maxLength: 2 }))
    .map(([a, b]): Goal[] => [...a, ...b])

  it('breaks no hard need in any part, names every label, weighs what can be weighed', () => {
    fc.assert(
      fc.property(recipe, goals, fc.constantFrom('weight' as const, 'us' as const), (c, g, measures) => {
        const { options, impossible } = answer('reformulate', { text: c.text, region: c.region, goals: g, measures, limit: 3 })
        expect(options.length > 0 || impossible !== null).toBe(true)
        for (const o of options) {
          const labelled = new Set(o.labels.map((l) => l.ingredient))
          for (const l of o.recipe.parts.flatMap((p) => p.lines)) {
            const i = ingredientOf(l.ingredient)
            if (!i) continue
            for (const n of HARD_NEEDS.filter((x) => g.includes(x))) {
              expect(suits(i, n), `${i.id} for ${n}`).not.toBe('never')
              if (suits(i, n) === 'label') expect(labelled).toContain(i.id)
            }
            const read = readLine(l.text, c.region).lines.find((x) => x.ingredient === l.ingredient)
            expect(read, l.text).toBeDefined()
            expect(Math.abs(read!.grams.best - l.grams.best), l.text).toBeLessThanOrEqual(Math.max(0.6, 0.02 * l.grams.best))
          }
          for (const l of o.lines) if (l.status !== 'kept') expect(l.why.length, `${l.ingredient} ${l.status}`).toBeGreaterThan(0)
        }
      }),
      { numRuns: 70 },
    )
  })

  it('a spoon more of water never reads drier, a spoon more of soda never less alkaline', () => {
    fc.assert(
      fc.property(recipe, fc.integer({ min: 1, max: 60 }), (c, spoons) => {
        const plus = (line: string) =>
          answer('balance', { text: c.text.replace(/\nMethod:/, `\n${line}\nMethod:`), region: c.region }).metrics
        const plain = answer('balance', { text: c.text, region: c.region }).metrics
        expect(plus(`${spoons} tbsp water`).moisture ?? 1).toBeGreaterThanOrEqual((plain.moisture ?? 1) - 1e-9)
        expect(plus(`${spoons / 4} tsp baking soda`).acidBalance!).toBeGreaterThanOrEqual(plain.acidBalance! - 1e-9)
      }),
      { numRuns: 40 },
    )
  })

  it('leaves the classic angel cake alone where its needs are met', () => {
    const c = classic('angel')
    expect(
      answer('reformulate', { text: c.text, region: c.region, goals: ['dairy-free'] }).options[0]!.lines.every((l) => l.status === 'kept'),
    ).toBe(true)
  })
})
