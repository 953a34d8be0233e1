import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'

const LETTER = `hello dear, here it is, the honey loaf

oven 160. warm 120g honey with 90g butter, let it cool a bit, beat in 2 eggs and 100ml milk. mix 220g plain flour, 1 tsp bicarb and 2 tsp mixed spice in a bowl then pour the lot together. into a lined loaf tin, 40-45 mins. leave in the tin, then glaze with 100g icing sugar stirred w/ 1 tbsp orange juice.

better next day!`
const { recipe } = answer('parse', { text: LETTER, region: 'uk' })

describe('a cake told in a letter', () => {
  it('keeps what it is dressed with apart from the batter', () => {
    expect(recipe.parts.map((p) => p.lines.map((l) => l.ingredient))).toEqual([
      ['honey', 'butter-unsalted', 'egg-whole', 'milk-whole', 'flour-plain', 'baking-soda', 'spice'],
      ['sugar-icing', 'orange-juice'],
    ])
  })

  it('where a thing goes is no part of its name', () => {
    expect(recipe.parts[0]!.lines.at(-1)).toMatchObject({ text: '2 tsp mixed spice', named: 'mixed spice' })
  })

  it('a time behind the tin is the bake', () => {
    const acts = answer('method', { text: LETTER, region: 'uk' }).steps.flatMap((s) => s.clauses)
    expect(acts.find((c) => c.act === 'bake')?.minutes).toEqual([40, 45])
    expect(acts.map((c) => c.act).slice(-1)).toEqual(['spread'])
  })

  it('what stands for the eggs is told with its amount, as all is', () => {
    const [option] = answer('reformulate', { text: LETTER, region: 'uk', goals: ['eggless'], limit: 1 }).options
    const stands = option!.lines.find((l) => l.replaces.includes('egg-whole') && l.to > 20)!
    expect(option!.method.map((m) => m.text).join(' ')).toContain(`${stands.kitchen} `)
  })
})
