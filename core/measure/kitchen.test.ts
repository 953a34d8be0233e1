import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { inKitchen, nearestMeasures } from './kitchen'
import { REGIONS } from './region'

const flour = { gramsPerMl: 0.53 }
const soda = { gramsPerMl: 0.96, bySpoon: true }
const egg = { gramsPerMl: 1, piece: { grams: 50, name: 'large egg', plural: 'large eggs' } }

describe('amounts that a kitchen can measure', () => {
  it.each([
    [250, flour, 'weight', 'uk', '250 g'],
    [125.4, flour, 'us', 'us', '1 cup'],
    [2.4, soda, 'weight', 'uk', '½ tsp'],
    [0.6, soda, 'weight', 'uk', '⅛ tsp'],
    [149, egg, 'weight', 'uk', '3 large eggs'],
    [47, egg, 'us', 'us', '1 large egg'],
  ] as const)('says %d g as expected', (grams, thing, measures, region, words) => {
    expect(inKitchen(grams, thing, measures, region)).toBe(words)
  })

  it('an Australian tablespoon holds more than a British one', () => {
    const [au] = nearestMeasures(19, soda, 'metric', 'au', 1)
    const [uk] = nearestMeasures(14.4, soda, 'metric', 'uk', 1)
    expect([au!.text, uk!.text]).toEqual(['1 tbsp', '1 tbsp'])
  })

  it('is never further off than an eighth of a teaspoon or an eighth of the amount', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1.5, max: 900, noNaN: true }),
        fc.double({ min: 0.4, max: 1.4, noNaN: true }),
        fc.constantFrom(...REGIONS),
        fc.constantFrom('weight' as const, 'us' as const, 'metric' as const),
        (grams, gramsPerMl, region, measures) => {
          const [near] = nearestMeasures(grams, { gramsPerMl }, measures, region, 1)
          expect(Math.abs(near!.grams - grams)).toBeLessThanOrEqual(Math.max(0.125 * grams, 0.65 * gramsPerMl * 2))
        },
      ),
    )
  })

  it('never offers half a teaspoon step that spoon sets lack', () => {
    for (let g = 0.4; g < 12; g += 0.1) expect(inKitchen(g, soda, 'weight', 'uk')).toMatch(/^(⅛|[1-9]?[¼½¾]?) ?(tsp|tbsp)( \+ [12] tsp)?$/)
  })
})
