import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CLASSICS } from '../fixtures/classics'
import { shortOf } from './stock'
import { readRecipe } from './text'

const recipe = readRecipe(
  'Bun\n200 g plain flour\n100 g butter\n50 g butter, for the top\n100 ml water\n20 g walnuts (optional)\n1 pinch salt',
  'uk',
).recipe

describe('what the house is short of', () => {
  it('adds up lines, forgives water and what is optional, and takes plenty for plenty', () => {
    const { short } = shortOf(
      recipe,
      new Map([
        ['flour-plain', 500],
        ['butter-unsalted', 120],
        ['salt', null],
      ]),
    )
    expect(short).toEqual([{ ingredient: 'butter-unsalted', wants: 150, has: 120 }])
  })

  it('counts lines that nobody knows apart', () => {
    expect(shortOf(readRecipe('Bun\n100 g flour\n3 zorgles', 'uk').recipe, new Map()).unknown).toBe(1)
  })

  it('is nothing where there is as much as it wants, and everything in an empty house', () => {
    fc.assert(
      fc.property(fc.constantFrom(...CLASSICS), (c) => {
        const r = readRecipe(c.text, c.region).recipe
        const lines = r.parts.flatMap((p) => p.lines).filter((l) => l.ingredient && !l.optional)
        const wants = new Map<string, number | null>()
        for (const l of lines) wants.set(l.ingredient!, (wants.get(l.ingredient!) ?? 0) + l.grams.best)
        expect(shortOf(r, wants).short).toEqual([])
        expect(
          shortOf(r, new Map())
            .short.map((s) => s.ingredient)
            .sort(),
        ).toEqual([...wants.keys()].filter((k) => k !== 'water').sort())
      }),
    )
  })
})
