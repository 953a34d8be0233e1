import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'
import { stayOf } from './told'

const told = (method: string) =>
  stayOf(
    answer('parse', {
      text: `Cake\n\n200 g butter\n200 g sugar\n4 eggs\n200 g self-raising flour\n\nMethod:\nHeat the oven to 180 °C. Cream the butter and sugar, mix in the rest.\n${method}`,
      region: 'uk',
    }).recipe,
  )

describe('the bake that a recipe tells', () => {
  it.each([
    ['Bake for 25 to 30 minutes.', [25, 30]],
    ['Bake for an hour and a quarter.', [75, 75]],
    ['Bake 20 minutes, scatter the almonds over and bake another 15 minutes.', [35, 35]],
    ['Bake for 40 minutes. Cool in the tin for 10 minutes.', [40, 40]],
    ['Bake for 30 minutes. If you make cupcakes, bake them for 18 minutes.', [30, 30]],
  ])('%s', (method, minutes) => {
    expect(told(method)!.minutes).toEqual(minutes)
  })

  it('a hot start and what it is turned to are stages of one stay', () => {
    const stay = told('Bake at 200 °C for 10 minutes, then turn the oven down to 160 °C and bake 40 minutes more.')!
    expect(stay.stages.map((s) => [s.celsius, s.minutes?.[0]])).toEqual([
      [200, 10],
      [160, 40],
    ])
    expect(stay.minutes).toEqual([50, 50])
  })

  it('a crust that is baked before its filling is another stay', () => {
    const { recipe } = answer('parse', {
      text: `Cheesecake\n\nBase:\n200 g digestive biscuits\n90 g butter\n\nFilling:\n750 g cream cheese\n200 g sugar\n4 eggs\n\nMethod:\nHeat the oven to 180 °C. Press the crumbs and butter into a 23 cm springform and bake for 10 minutes. Cool.\nBeat the filling, pour it onto the base. Turn the oven down to 150 °C and bake for 1 hour.`,
      region: 'uk',
    })
    expect(stayOf(recipe)!.minutes).toEqual([60, 60])
  })

  it('what is not baked has none', () => {
    const { recipe } = answer('parse', { text: 'Mousse\n200 g cream\n100 g dark chocolate\n\nMethod:\nMelt, fold and chill overnight.' })
    expect(stayOf(recipe)).toBeNull()
  })
})
