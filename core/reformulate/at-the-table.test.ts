import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'
import type { Goal } from './goals'

const BISCUITS =
  'Oat squares\n200 g plain flour\n120 g butter\n150 g brown sugar\n80 g oats\n1 egg\n\nMethod\nBeat the butter and sugar, then the egg. Work in the flour and oats to a stiff dough. Press into a 20 cm square tin and bake at 180 C for 25 minutes.'
const options = (text: string, goals: Goal[], more: object = {}) =>
  answer('reformulate', { text, region: 'uk', goals, limit: 8, ...more }).options
const told = (text: string, goals: Goal[]) =>
  options(text, goals)[0]!
    .method.map((s) => s.text)
    .join('\n')

describe('what stands beside the cake', () => {
  it.each([
    ['Serve with strawberry ice-cream.', /dairy-free ice-cream/],
    ['Eats best lukewarm, with a spoon of clotted cream.', /plant cream/],
    ['Tastes even better with yogurt.', /soya yogurt/],
  ])('%s suits the table too', (last, expected) => {
    const text = told(`${BISCUITS} ${last}`, ['vegan'])
    expect(text).toMatch(expected)
    expect(text).not.toMatch(/(?<!plant )(?<!dairy-free ice-)cream\b|ice-plant/)
  })

  it('words on how it tastes are no cooling', () => {
    const acts = answer('method', { text: `${BISCUITS} Tastes best lukewarm with jam.`, region: 'uk' }).steps.flatMap((s) =>
      s.clauses.map((c) => c.act),
    )
    expect(acts.at(-1)).toBe('serve')
  })
})

describe('doughs that are pressed by hand', () => {
  it('have nothing that a foam could be folded into, unless it is asked for', () => {
    const ids = (more: object = {}) =>
      options(BISCUITS, ['eggless'], more).flatMap((o) => o.lines.filter((l) => l.to > 0).map((l) => l.ingredient))
    expect(ids()).not.toContain('aquafaba')
    expect(ids({ schools: { use: ['aquafaba'] } })).toContain('aquafaba')
  })
})

describe('“the extra sugar”', () => {
  it('is of the line that lists some more', () => {
    const text =
      'Nut roll\n3 eggs\n90 g caster sugar, plus a little more for the cloth\n90 g plain flour\n\nFilling\n200 ml double cream\n2 tbsp icing sugar\n\nMethod\nWhisk the eggs and sugar for 8 minutes until thick. Fold in the flour. Spread in a 23 x 33 cm tin and bake at 200 C for 10 minutes. Sprinkle a cloth with the extra sugar and turn the sponge out on to it. Roll up and leave to cool. Whip the cream with the icing sugar. Unroll, spread with the cream and roll up again.'
    const steps = answer('counter', { text, region: 'uk' }).steps
    const icing = steps.filter((s) => s.uses.some((u) => u.ingredient === 'sugar-icing'))
    expect(icing.map((s) => s.text)).toEqual([expect.stringMatching(/^Whip the cream/)])
  })
})

describe('a tin that is floured', () => {
  it.each([
    ['Butter & flour a ring pan.', /dust a ring pan with gluten-free flour/],
    ['Grease and flour the tins.', /dust the tins with gluten-free flour/],
    ['Grease the tin and flour it well.', /dust it well with gluten-free flour/],
  ])('%s takes flour without gluten where no line has flour', (first, expected) => {
    const text = `Box cake\n1 box yellow cake mix\n3 eggs\n120 ml oil\n240 ml water\n\nMethod\n${first} Beat all for 2 minutes, pour into the tins and bake at 180 C for 35 minutes.`
    expect(told(text, ['gluten-free'])).toMatch(expected)
  })
})

describe('milk of two batters', () => {
  it('is changed in each', () => {
    const text =
      'Two-tone ring\n200 g butter\n200 g sugar\n4 eggs\n300 g plain flour\n2 tsp baking powder\n90 ml milk\n\nDark batter\n25 g cocoa\n30 g sugar\n3 tbsp milk\n\nMethod\nBeat the butter and sugar, add the eggs, then the flour and baking powder by turns with the milk. Put half in a ring tin. Stir cocoa, sugar and milk into the rest and spread on top. Bake at 175 C for 50 minutes.'
    const milk = options(text, ['dairy-free'])[0]!.lines.filter((l) => l.ingredient === 'soy-milk')
    expect(milk.map((l) => l.partIndex)).toEqual([0, 1])
    for (const l of milk) expect(l.to).toBeGreaterThan(35)
  })
})
