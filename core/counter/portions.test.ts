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
})
