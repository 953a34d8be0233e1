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
