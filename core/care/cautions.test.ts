import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'

const codes = (text: string) => answer('balance', { text, region: 'uk' }).cautions.map((c) => c.code)
const base = 'Cake\n200 g plain flour\n200 g sugar\n200 g butter\n4 eggs\n2 tsp baking powder'

describe('where it can hurt somebody, it says so', () => {
  it.each([
    ['raw flour in every batter', base, 'raw-flour'],
    ['raw egg in an icing', `${base}\nIcing:\n2 egg whites\n300 g icing sugar\nMethod:\nWhip the whites into the icing.`, 'raw-egg'],
    ['honey and infants', `${base}\n50 g honey`, 'honey-infants'],
    ['xylitol and dogs', `${base}\n50 g xylitol`, 'xylitol-dogs'],
    [
      'much erythritol',
      'Cake\nMakes: 8 slices\n200 g flour\n150 g erythritol\n200 g butter\n4 eggs\n2 tsp baking powder',
      'sugar-alcohols',
    ],
    ['bean-can liquid and legume allergies', `${base}\n100 g aquafaba`, 'legume-liquid'],
    ['nut butter', `${base}\n60 g almond butter`, 'flax-nuts'],
    ['whole nuts and small children', `${base}\n100 g walnuts`, 'whole-nuts'],
    ['cream that must keep cold', `${base}\nFilling:\n300 ml double cream`, 'chilled-filling'],
    ['boiling sugar', `${base}\nMethod:\nBoil the sugar to soft ball.`, 'hot-sugar'],
  ])('%s', (_, text, code) => {
    expect(codes(text)).toContain(code)
  })

  it('stays quiet where nothing calls for it', () => {
    for (const code of ['xylitol-dogs', 'honey-infants', 'sugar-alcohols', 'hot-sugar', 'legume-liquid'])
      expect(codes(base)).not.toContain(code)
  })

  it('names whom to check with, and claims no safety', () => {
    const { cautions } = answer('reformulate', { text: base, region: 'uk', goals: ['vegan', 'gluten-free'] }).options[0]!
    expect(cautions.map((c) => c.code)).toEqual(expect.arrayContaining(['hard-need', 'coeliac']))
    for (const c of cautions) {
      expect(c.checkWith.length).toBeGreaterThan(3)
      expect(c.text).not.toMatch(/\bsafe to eat\b|guarantee|certified/i)
    }
  })
})
