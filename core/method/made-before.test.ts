import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'

const counter = (text: string) => answer('counter', { text, region: 'uk' }).steps.filter((s) => s.kind !== 'bake')
const where = (text: string, ingredient: string) =>
  counter(text)
    .filter((s) => s.uses.some((u) => u.ingredient === ingredient))
    .map((s) => s.text)

const BLONDIES =
  'Two-nut blondies\n150 g white chocolate\n120 g butter\n2 eggs\n150 g sugar\n150 g plain flour\n80 g dark chocolate, in pieces\n60 g fudge pieces\n\nMethod\nMelt the white chocolate and butter and leave to cool. Whisk the eggs and sugar for 3 minutes until thick. Pour the cooled chocolate mixture over the egg foam and fold together. Fold in the flour. Stir in the pieces, scrape into a 20 cm square tin and bake at 170 C for 28 minutes.'

describe('what was made before', () => {
  it('“the chocolate mixture” is what was melted, not the chocolate that is left', () => {
    expect(where(BLONDIES, 'chocolate-dark')).toEqual([expect.stringMatching(/^Stir in the pieces/)])
    expect(where(BLONDIES, 'chocolate-white')).toEqual([expect.stringMatching(/^Melt/)])
  })

  it('what is poured cooled is not cooled again', () => {
    const step = counter(BLONDIES).find((s) => s.text.startsWith('Pour the cooled'))!
    expect(step.minutes.high).toBeLessThan(20)
  })

  it('“pieces” are of all lines that list some, and none where things are cut into pieces', () => {
    expect(counter(BLONDIES).find((s) => s.text.startsWith('Stir in the pieces'))!.uses).toHaveLength(2)
    const cut = BLONDIES.replace('Stir in the pieces, scrape', 'Cut into pieces. Scrape')
    expect(counter(cut).find((s) => s.text.startsWith('Cut into pieces'))?.uses ?? []).toEqual([])
  })
})

describe('lines that the method speaks of by a word of their own', () => {
  it('are laid out there', () => {
    const text =
      'Yuzu sponge\n120 g butter\n120 g sugar\n2 eggs\n120 g self-raising flour\n2 tbsp yuzu juice\n\nMethod\nCream the butter and sugar, beat in the eggs, then the yuzu. Fold in the flour. Bake in an 18 cm tin at 170 C for 30 minutes.'
    expect(where(text, 'orange-juice')).toEqual([expect.stringMatching(/yuzu/i)])
  })
})
