import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'

const judged = (text: string) => answer('balance', { text, region: 'uk' })
const said = (text: string) =>
  judged(text)
    .findings.filter((f) => f.severity !== 'note')
    .map((f) => f.code)

describe('doughs and batters by what is done with them', () => {
  it('fat worked into the dry things in a machine is rubbed in: a dough, and judged as one', () => {
    const text =
      'Shortcakes\n350 g plain flour\n60 g sugar\n1 tbsp baking powder\n150 g cold butter\n220 ml double cream\n1 egg\n\nMethod\nPulse the dry ingredients with the butter to pea-size bits. Whisk the cream and egg, drizzle over and pulse until clumps form. Pat into a 23 x 33 cm tray and bake at 200 C for 22 minutes.'
    expect(judged(text).family).toBe('pastry')
    expect(said(text)).toEqual([])
  })

  it('a semolina cake is close, and a teaspoon of powder is enough for it', () => {
    const text =
      'Namoura\n350 g coarse semolina\n200 g sugar\n250 g yogurt\n150 g melted ghee\n80 g desiccated coconut\n1 tsp baking powder\n\nMethod\nMix semolina, coconut, sugar and baking powder. Stir in ghee and yogurt. Press into a tray, rest 30 minutes and bake at 180 C for 35 minutes. Pour cold syrup over.'
    expect(said(text)).not.toContain('under-leavened')
  })

  it('a chiffon bears a tablespoon of powder, and three are too much', () => {
    const chiffon = (powder: string) =>
      `Chiffon\n7 egg yolks\n100 ml oil\n170 ml water\n200 g cake flour\n230 g sugar\n${powder} baking powder\n7 egg whites\n\nMethod\nWhisk yolks, oil, water, flour, powder and half the sugar. Whip the whites with the other half to stiff peaks and fold in. Bake in a 25 cm tube tin at 165 C for 55 minutes.`
    expect(said(chiffon('1 tbsp'))).not.toContain('over-leavened')
    expect(said(chiffon('3 tbsp'))).toContain('over-leavened')
  })

  it('salt is tasted in the whole: a little in little flour is none too much', () => {
    const roll = (salt: string) =>
      `Pumpkin roll\n3 eggs\n200 g sugar\n160 g pumpkin puree\n95 g plain flour\n1 tsp baking powder\n${salt} salt\n\nMethod\nWhip the eggs and sugar to a ribbon. Fold in pumpkin, flour, powder and salt. Bake on a 25 x 38 cm sheet at 190 C for 14 minutes. Roll up.`
    expect(said(roll('½ tsp'))).not.toContain('salty')
    expect(said(roll('2 tbsp'))).toContain('salty')
  })
})
