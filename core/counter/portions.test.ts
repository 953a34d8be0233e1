import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'

const HEAD = `Cake
200 g butter, soft
1 cup caster sugar
4 eggs, separated
200 g plain flour
2 tsp baking powder
160 ml milk
`
const goesIn = (method: string, ingredient: string) =>
  answer('counter', { text: `${HEAD}\nMethod\n${method}`, region: 'uk' }).steps.flatMap((s) =>
    s.uses
      .filter((u) => u.ingredient === ingredient)
      .map((u) => ({ at: s.text, kitchen: u.kitchen, grams: u.grams, name: u.name, id: u.id })),
  )
const whole = (ingredient: string) =>
  answer('parse', { text: HEAD, region: 'uk' }).recipe.parts[0]!.lines.find((l) => l.ingredient === ingredient)!.grams.best

describe('a line that goes in by portions', () => {
  it('is asked for as each sentence tells', () => {
    const sugar = goesIn(
      'Cream the butter with ¾ cup of the sugar.\nBeat in the yolks, then the flour and the milk.\nWhisk the whites with the remaining sugar and fold in.\nBake for 40 minutes.',
      'sugar-white',
    )
    expect(sugar.map((u) => u.kitchen)).toEqual(['¾ cup', '¼ cup'])
  })

  it('gives yolks and whites to their own sentences', () => {
    const eggs = goesIn(
      'Cream the butter and sugar.\nBeat in the egg yolks.\nFold in the flour and milk.\nWhisk the egg whites until stiff and fold in.\nBake for 40 minutes.',
      'egg-whole',
    )
    expect(eggs.map((u) => u.name)).toEqual(['egg yolks', 'egg whites'])
    expect(eggs[1]!.grams).toBeGreaterThan(eggs[0]!.grams)
  })

  it('holds back what is told to be held back', () => {
    const milk = goesIn(
      'Reserve 2 tbsp of the milk.\nCream the butter and sugar, then the eggs.\nFold in the flour and the milk.\nBake for 40 minutes.\nBrush with the reserved milk.',
      'milk-whole',
    )
    expect(milk).toHaveLength(2)
    expect(milk[0]!.grams).toBeGreaterThan(milk[1]!.grams * 3)
  })

  it('adds up to the line, whatever the shares and their number', () => {
    const shares = [
      'half of the',
      'a third of the',
      '2 tbsp of the',
      'the',
      'the remaining',
      '50 g of the',
      '2 of the',
      'three quarters of the',
    ]
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...shares), { minLength: 1, maxLength: 4 }), fc.constantFrom('sugar', 'milk'), (some, food) => {
        const id = food === 'milk' ? 'milk-whole' : 'sugar-white'
        const method = some.map((x, i) => `${['Beat', 'Stir', 'Whisk', 'Fold'][i]} in ${x} ${food}.`).join('\n')
        const found = goesIn(`Cream the butter.\n${method}\nStir in the flour and the eggs.\nBake for 40 minutes.`, id)
        expect(found.reduce((g, u) => g + u.grams, 0)).toBeCloseTo(whole(id), 6)
        expect(new Set(found.map((u) => u.id)).size).toBe(found.length)
        for (const u of found) expect(u.grams).toBeGreaterThan(0)
      }),
      { numRuns: 60 },
    )
  })

  it('flour for the fruit is held back from “the dry ingredients”', () => {
    const text =
      'Cake\n200 g flour\n2 tsp baking powder\n150 g raisins\n100 g butter\n100 g sugar\n2 eggs\n\nMethod\nCream the butter and sugar, then the eggs.\nSift in the dry ingredients.\nDredge the raisins in a little of the flour and stir in.\nBake at 170 C for 50 minutes.'
    const flour = answer('counter', { text, region: 'uk' }).steps.flatMap((s) => s.uses.filter((u) => u.ingredient === 'flour-plain'))
    expect(flour.map((u) => Math.round(u.grams))).toEqual([180, 20])
  })

  it('a part that is only called by its name goes in there', () => {
    const text =
      'Buckle\nTopping:\n100 g brown sugar\n40 g flour\n60 g cold butter\nBatter:\n150 g sugar\n60 g butter\n1 egg\n250 g flour\n2 tsp baking powder\n120 ml milk\n\nMethod\nMix topping with a fork to crumbs.\nCream the sugar and butter, beat in the egg and milk, stir in the flour and baking powder.\nSpread in a 9 inch square tin. Sprinkle with topping. Bake at 190 C for 45 minutes.'
    const step = answer('counter', { text, region: 'uk' }).steps.find((s) => /^Mix topping/.test(s.text))!
    expect(step.uses.map((u) => u.part)).toEqual([0, 0, 0])
  })

  it('the crust’s minutes are not the cake’s bake', () => {
    const text =
      'Bars\nCrust:\n150 g biscuit crumbs\n85 g butter\nFilling:\n450 g cream cheese\n130 g sugar\n2 eggs\n\nMethod\nStir the crust ingredients, press into an 8-inch square pan. Bake 10 minutes.\nBeat the cream cheese, sugar and eggs. Pour over.\nBake at 160 C for 35 minutes.'
    const bakes = answer('counter', { text, region: 'uk' }).steps.filter((s) => s.kind === 'bake')
    expect(bakes.map((s) => s.minutes.best)).toEqual([35])
  })
})
