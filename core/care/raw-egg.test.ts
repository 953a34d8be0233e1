import { describe, expect, it } from 'vitest'
import { readRecipe } from '../recipe/text'
import { hasRawEgg } from './raw-egg'

const of = (text: string) => hasRawEgg(readRecipe(text, 'uk').recipe)

const CREAM = 'Coffee layers\n\nCream:\n3 egg yolks\n80 g sugar\n250 g mascarpone\n\nMethod:\n'
describe('egg that is never heated', () => {
  it('is found in a cream that nobody cooks', () => {
    expect(
      of(`${CREAM}Whisk the yolks with the sugar until pale. Fold in the mascarpone. Spread on the sponge fingers and chill for 6 hours.`),
    ).toBe(true)
  })
  it('is not claimed of one that is cooked, or of a cake that is baked', () => {
    expect(of(`${CREAM}Whisk the yolks with the sugar and simmer over low heat until thick. Cool, then fold in the mascarpone.`)).toBe(
      false,
    )
    expect(
      of(
        'Sponge\n4 eggs\n120 g sugar\n120 g plain flour\n\nMethod:\nWhisk the eggs and sugar until thick. Fold in the flour. Turn into a tin and bake at 180C for 25 minutes.',
      ),
    ).toBe(false)
  })
})
