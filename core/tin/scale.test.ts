import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CLASSICS } from '../fixtures/classics'
import { readLine } from '../recipe/line'
import { readRecipe } from '../recipe/text'
import { eggsIn, factorFor, inMeasures, scaleRecipe } from './scale'

const SPONGE = readRecipe(
  'Sponge\nMakes: 8 slices\nTin: 20 cm round x2\n225 g butter, soft\n225 g caster sugar\n4 medium eggs\n225 g self-raising flour\n1 tsp baking powder\n2 tbsp milk\n1 lemon zest',
  'uk',
).recipe
const gramsOf = (r: typeof SPONGE) => r.parts.flatMap((p) => p.lines.map((l) => l.grams.best))
const texts = (r: typeof SPONGE) => r.parts.flatMap((p) => p.lines.map((l) => l.text))

describe('scaling', () => {
  it('writes what a baker would measure', () => {
    expect(texts(scaleRecipe(SPONGE, 1.5, 'uk'))).toEqual([
      expect.stringMatching(/^(?:335|340) g butter, soft$/),
      expect.stringMatching(/^(?:335|340) g caster sugar$/),
      '6 medium eggs',
      expect.stringMatching(/^(?:335|340) g self-raising flour$/),
      expect.stringMatching(/^1½ tsp/),
      expect.stringMatching(/^3 tbsp/),
      expect.stringMatching(/^1½ lemon zest/),
    ])
    expect(scaleRecipe(SPONGE, 1.5, 'uk').yield).toEqual({ count: 12, text: '12 slices' })
    expect(texts(scaleRecipe(SPONGE, 0.625, 'uk'))[2]).toBe('2½ medium eggs (128 g)')
  })

  it('scales by eggs, by a line and by tins', () => {
    expect(eggsIn(SPONGE, 'uk')).toBeCloseTo(4)
    expect(factorFor(SPONGE, { eggs: 6 }, 'uk')).toBeCloseTo(1.5)
    expect(factorFor(SPONGE, { part: 0, line: 0, grams: 450 }, 'uk')).toBeCloseTo(2)
    expect(factorFor(SPONGE, { tins: [{ text: '', shape: 'round', mm: { diameter: 200, height: 50 }, count: 1 }] }, 'uk')).toBeCloseTo(0.5)
  })

  it('refuses what cannot be scaled by, in words', () => {
    const eggless = readRecipe('Plain\n200 g flour\n100 g sugar', 'uk').recipe
    expect(() => factorFor(eggless, { eggs: 3 }, 'uk')).toThrow(/no whole egg/)
    expect(() => factorFor(eggless, { tins: SPONGE.tins }, 'uk')).toThrow(/names no tin/)
    expect(() => factorFor(SPONGE, { factor: 1e6 }, 'uk')).toThrow(/times as much/)
    expect(() => factorFor(SPONGE, { part: 3, line: 9, grams: 10 }, 'uk')).toThrow(/weighs nothing/)
  })

  it('multiplies every amount, as near as measures go, and each new line reads back as what it weighs', () => {
    const recipes = CLASSICS.map((c) => ({ region: c.region, recipe: readRecipe(c.text, c.region).recipe }))
    fc.assert(
      fc.property(fc.constantFrom(...recipes), fc.double({ min: 0.5, max: 4, noNaN: true }), ({ recipe, region }, factor) => {
        const scaled = scaleRecipe(recipe, factor, region)
        const [before, after] = [gramsOf(recipe), gramsOf(scaled)]
        after.forEach((g, i) => {
          if (before[i]! * factor < 8) return
          const counted = ['piece', 'can', 'box', 'packet', 'stick', 'sheet'].includes(
            scaled.parts.flatMap((p) => p.lines)[i]!.quantity?.unit ?? '',
          )
          expect(Math.abs(g / (before[i]! * factor) - 1), texts(scaled)[i]).toBeLessThan(counted ? 0.26 : 0.12)
          const read = readLine(texts(scaled)[i]!, region).lines[0]!
          if (read.grams.best > 0 && !counted) expect(Math.abs(read.grams.best / g - 1), texts(scaled)[i]).toBeLessThan(0.13)
        })
      }),
      { numRuns: 80 },
    )
  })

  it('shows the same weights in cups and by the scale', () => {
    const cups = inMeasures(SPONGE, 'us', 'us')
    expect(texts(cups)[0]).toMatch(/cup/)
    expect(gramsOf(cups)).toEqual(gramsOf(SPONGE))
    expect(texts(inMeasures(cups, 'weight', 'uk'))[0]).toMatch(/^225 g/)
  })
})
