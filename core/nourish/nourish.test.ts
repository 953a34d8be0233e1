import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'
import { ingredientOf } from '../pantry/pantry'
import { NUTRIENTS, nutrientsOf, type Nutrient } from './nourish'

const SPONGE = `Sandwich sponge
Makes 8 slices
225 g butter
225 g caster sugar
4 medium eggs
225 g self-raising flour
2 tbsp milk

Method
Cream the butter and sugar, beat in the eggs, fold in the flour and loosen with the milk. Bake in two 20 cm tins at 180 C for 25 minutes.`
const of = (text: string, more: object = {}) => answer('nourish', { text, region: 'uk', ...more })

describe('what a food table says of single things, per 100 g', () => {
  // Public composition tables (USDA SR Legacy; CoFID): energy within a tenth, salt of leaveners by their sodium.
  it.each<[string, Partial<Record<Nutrient, [number, number]>>]>([
    ['butter-unsalted', { energy: [690, 760], fat: [79, 84], saturates: [48, 56] }],
    ['sugar-white', { energy: [380, 410], sugars: [98, 100] }],
    ['flour-plain', { energy: [330, 375], protein: [8.5, 12], fibre: [2, 4] }],
    ['egg-whole', { energy: [130, 165], fat: [8.5, 11], protein: [11, 14] }],
    ['baking-soda', { salt: [65, 72] }],
    ['baking-powder', { salt: [18, 34] }],
    ['flour-self-raising', { salt: [0.6, 1.6] }],
    ['yeast-dry', { salt: [0, 0.5] }],
    ['erythritol', { energy: [0, 15], sugars: [0, 0.1], polyols: [98, 100] }],
  ])('%s', (id, expected) => {
    const found = nutrientsOf(ingredientOf(id)!)
    for (const [n, [low, high]] of Object.entries(expected) as [Nutrient, [number, number]][]) {
      expect(found[n], n).toBeGreaterThanOrEqual(low)
      expect(found[n], n).toBeLessThanOrEqual(high)
    }
  })

  it('parts are no more than their wholes, and nothing is more than it weighs', () => {
    for (const i of answer('ingredients', { query: 'a', region: 'uk' }).ingredients) {
      const n = nutrientsOf(ingredientOf(i.id)!)
      expect(n.saturates, i.id).toBeLessThanOrEqual(n.fat + 0.5)
      expect(n.sugars + n.polyols, i.id).toBeLessThanOrEqual(n.carbohydrate + 1e-9)
      expect(n.fat + n.carbohydrate + n.protein + n.fibre, i.id).toBeLessThanOrEqual(101)
    }
  })
})

describe('what is in a slice', () => {
  it('of a sandwich sponge is what bakers’ books say: some 420 to 480 kcal in one of eight', () => {
    const { perSlice, sliceGrams, slices } = of(SPONGE)
    expect(slices).toBe(8)
    expect(sliceGrams).toBeGreaterThan(90)
    expect(sliceGrams).toBeLessThan(115)
    expect(perSlice.energy.best).toBeGreaterThan(400)
    expect(perSlice.energy.best).toBeLessThan(490)
    expect(perSlice.sugars.best).toBeCloseTo(28.3, 0)
  })

  it('is the whole, whatever it is cut into', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), (slices) => {
        const { perSlice, sliceGrams } = of(SPONGE, { slices })
        expect(Math.abs(perSlice.energy.best * slices - of(SPONGE, { slices: 1 }).perSlice.energy.best)).toBeLessThanOrEqual(slices)
        expect(Math.abs(sliceGrams * slices - of(SPONGE, { slices: 1 }).sliceGrams)).toBeLessThanOrEqual(slices)
      }),
    )
  })

  it('has a spread that holds its best, wider where cups measure than where scales do', () => {
    const weighed = of(SPONGE)
    for (const n of NUTRIENTS) {
      expect(weighed.perSlice[n].low).toBeLessThanOrEqual(weighed.perSlice[n].best)
      expect(weighed.perSlice[n].high).toBeGreaterThanOrEqual(weighed.perSlice[n].best)
    }
    const cups = of(SPONGE.replace('225 g caster sugar', '1 cup caster sugar'))
    const width = (x: typeof cups) => (x.perSlice.sugars.high - x.perSlice.sugars.low) / x.perSlice.sugars.best
    expect(width(cups)).toBeGreaterThan(width(weighed))
  })

  it('counts what stays whole in the batter, and names what it cannot count', () => {
    const plain = of(SPONGE).perSlice
    const fruit = of(SPONGE.replace('2 tbsp milk', '2 tbsp milk\n160 g raisins\n100 g zorgle'))
    expect(fruit.perSlice.sugars.best - plain.sugars.best).toBeGreaterThan(9)
    expect(fruit.left).toEqual(['100 g zorgle'])
  })

  it('says where it comes from', () => {
    const { from } = of(SPONGE)
    expect(from.fat![0]).toMatchObject({ name: 'butter' })
    expect(from.fat![0]!.share).toBeGreaterThan(0.7)
    expect(from.sugars![0]).toMatchObject({ name: 'caster sugar' })
  })

  it('another fat is less of it where less is asked', () => {
    const o = answer('reformulate', { text: SPONGE, region: 'uk', goals: ['low-fat'], limit: 1 }).options[0]!
    const less = answer('nourish', { recipe: o.recipe, region: 'uk', slices: 8 })
    expect(less.perSlice.fat.best).toBeLessThan(0.8 * of(SPONGE).perSlice.fat.best)
  })

  it('agrees with the balance', () => {
    const { perSlice } = answer('balance', { text: SPONGE, region: 'uk' })
    const mine = of(SPONGE).perSlice
    expect(perSlice).toMatchObject({ kcal: mine.energy.best, fat: mine.fat.best, salt: mine.salt.best, sugars: mine.sugars.best })
  })
})
