import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'
import { readTin } from '../language/tin'
import { refitted } from './refit'

const refit = (method: string, tin: string, hotter: number, minutes: [number, number]) => {
  const { recipe } = answer('parse', { text: `Cake\n200 g butter\n200 g sugar\n4 eggs\n200 g flour\n\nMethod:\n${method}`, region: 'uk' })
  return refitted(recipe, { tins: [readTin(tin)!], hotter, minutes }, 'uk').join(' ')
}

describe('a method for other tins and another oven', () => {
  it.each([
    [
      'Heat the oven to 180 °C. Grease two 20 cm round tins. Cream the butter and sugar. Bake for 25 to 30 minutes.',
      '20x30 cm',
      0,
      [30, 38],
      'Grease a 20x30 cm tin. Cream the butter and sugar. Bake for 30 to 38 minutes.',
    ],
    [
      'Pour into a greased and floured 9 x 13 inch pan. Bake at 180 °C for 30 minutes.',
      '20 cm round x2',
      -20,
      [28, 34],
      'Pour into two greased and floured 20 cm round tins. Bake at 160 °C for 28 to 34 minutes.',
    ],
    [
      'Pour into a 23 cm round tin. Bake at 200 °C for 10 minutes, then at 160 °C for 40 minutes more.',
      '12 cupcakes',
      0,
      [30, 36],
      'tray of 12 cases. Bake at 200 °C for 10 minutes, then at 160 °C for 20 to 26 minutes more.',
    ],
  ] as const)('%s', (method, tin, hotter, minutes, wanted) => {
    expect(refit(method, tin, hotter, [...minutes])).toContain(wanted)
  })

  it('leaves alone what names neither, and what only speaks of cooling', () => {
    const method = 'Cream the butter and sugar for 5 minutes. Cool in the tin for 10 minutes.'
    expect(refit(method, '20 cm round', -10, [20, 25])).toBe(method)
  })
})
