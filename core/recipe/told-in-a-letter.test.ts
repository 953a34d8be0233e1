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

describe('weights that are told by the eggs', () => {
  const page = (weigh: string) =>
    `Grandma's sponge\n\n${weigh} Cream the butter and sugar. Beat in the eggs. Fold in the flour. Divide between two 20 cm tins and bake at 180 C for 22 minutes. When cold fill with 100 g jam.`
  const grams = (weigh: string) =>
    answer('parse', { text: page(weigh), region: 'uk' }).recipe.parts.map((p) =>
      p.lines.map((l) => [l.ingredient, Math.round(l.grams.best)]),
    )

  it.each([
    ['Weigh 3 eggs in their shells (180 g). Take that weight of butter, caster sugar and SR flour.', 158, 180],
    ['Weigh 3 eggs (160 g without shells). Use the same weight of butter, caster sugar and SR flour.', 160, 160],
  ])('%s', (weigh, eggs, each) => {
    expect(grams(weigh)[0]).toEqual([
      ['egg-whole', eggs],
      ['butter-unsalted', each],
      ['sugar-white', each],
      ['flour-self-raising', each],
    ])
  })

  it('an icing told with words cut short is a part of its own', () => {
    const { parts } = answer('parse', {
      text: 'Fudge cake\n\n1 c. butter\n2 c. sugar\n4 eggs\n½ c. cocoa\n1½ c. flour\n\nMelt butter & cocoa. Stir in sugar and eggs, then flour. Bake 350 for 35 min.\n\nIcing: 1 lb. conf. sugar, ½ c. milk, ⅓ c. cocoa. Mix until smooth & spread on the hot cake.',
      region: 'us',
    }).recipe
    expect(parts.map((p) => p.lines.map((l) => l.ingredient))).toEqual([
      ['butter-unsalted', 'sugar-white', 'egg-whole', 'cocoa-natural', 'flour-plain'],
      ['sugar-icing', 'milk-whole', 'cocoa-natural'],
    ])
  })
})
