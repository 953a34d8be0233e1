import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'

/** A label of a mix made up from known shares, rounded as labels are. */
function labelOf(m: { flour: number; sugar: number; fat: number; cocoa: number; salt: number; leavener: number }, serving = 43) {
  const r = (x: number, step: number) => Math.round((serving * x) / step) * step
  return {
    servingGrams: serving,
    kcal: r(3.62 * m.flour + 3.9 * m.sugar + 8.84 * m.fat + 2.3 * m.cocoa, 10),
    fat: r(0.009 * m.flour + m.fat + 0.13 * m.cocoa, 0.5),
    carbs: r(0.78 * m.flour + m.sugar + 0.57 * m.cocoa + 0.28 * m.leavener, 1),
    sugars: r(0.003 * m.flour + 0.998 * m.sugar, 1),
    fibre: r(0.017 * m.flour + 0.33 * m.cocoa, 0.5),
    protein: r(0.085 * m.flour + 0.2 * m.cocoa, 0.5),
    sodiumMg: r(393 * m.salt + 106 * m.leavener, 10),
  }
}

describe('a box read from its label', () => {
  it('finds the shares of a mix that is known, within a few per cent', () => {
    fc.assert(
      fc.property(
        fc.record({
          flour: fc.double({ min: 0.36, max: 0.52, noNaN: true }),
          fat: fc.double({ min: 0.02, max: 0.1, noNaN: true }),
          cocoa: fc.double({ min: 0, max: 0.1, noNaN: true }),
        }),
        ({ flour, fat, cocoa }) => {
          const rest = { salt: 0.009, leavener: 0.024 }
          const sugar = 1 - flour - fat - cocoa - rest.salt - rest.leavener
          const { composition, residual } = answer('box', { label: labelOf({ flour, sugar, fat, cocoa, ...rest }) })
          expect(Math.abs(composition.sugar - sugar)).toBeLessThan(0.035)
          expect(Math.abs(composition.fat - fat)).toBeLessThan(0.02)
          expect(Math.abs(composition.flour + composition.starch - flour)).toBeLessThan(0.07)
          expect(residual).toBeLessThan(1.5)
        },
      ),
      { numRuns: 60 },
    )
  })

  it('adds up to one, and keeps the order of the ingredient list', () => {
    const { composition } = answer('box', {
      label: {
        ...labelOf({ flour: 0.43, sugar: 0.44, fat: 0.05, cocoa: 0.05, salt: 0.008, leavener: 0.022 }),
        ingredients: ['Sugar', 'Wheat flour', 'Cocoa', 'Palm oil', 'Salt'],
      },
    })
    expect(Object.values(composition).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 2)
    expect(composition.sugar).toBeGreaterThanOrEqual(composition.flour - 1e-4)
    expect(composition.cocoa).toBeGreaterThanOrEqual(composition.fat - 1e-4)
  })

  it('is less sure of a label that says little', () => {
    const full = answer('box', { label: labelOf({ flour: 0.46, sugar: 0.43, fat: 0.05, cocoa: 0, salt: 0.01, leavener: 0.025 }) })
    expect(answer('box', { label: { servingGrams: 43, sugars: 18 } }).confidence).toBeLessThan(full.confidence)
  })

  it.each([
    [{ servingGrams: 40, fat: 20, carbs: 30, protein: 2 }, /more than the serving/],
    [{ servingGrams: 40, carbs: 10, sugars: 20 }, /Sugars come to more/],
    [{ servingGrams: 0 }, /servingGrams/],
  ])('refuses %j in words', (label, words) => {
    expect(() => answer('box', { label })).toThrow(words)
  })

  it('stands in for the typical box in a recipe, for that request only', () => {
    const text = 'Box cake\n1 box (15.25 oz) yellow cake mix\n3 eggs\n1 cup water\n1/2 cup oil'
    const rich = { label: labelOf({ flour: 0.4, sugar: 0.4, fat: 0.16, cocoa: 0, salt: 0.01, leavener: 0.024 }) }
    const plain = answer('balance', { text }).metrics.fatPct!
    expect(answer('balance', { text, boxes: [rich] }).metrics.fatPct!).toBeGreaterThan(plain + 10)
    expect(answer('balance', { text }).metrics.fatPct!).toBe(plain)
  })

  it('a packet of the baker’s own is read, weighed and balanced', () => {
    const own = [
      {
        id: 'own-harbour-flour',
        name: 'harbour flour',
        kind: 'flour',
        contains: ['gluten', 'wheat'],
        label: { servingGrams: 100, fat: 1.2, carbs: 76, sugars: 1, fibre: 3, protein: 10, sodiumMg: 2 },
      },
    ]
    const b = answer('balance', {
      text: 'Slab\n200 g harbour flour\n200 g sugar\n200 g butter\n4 eggs\n2 tsp baking powder',
      region: 'uk',
      own,
    })
    expect(b.family).toBe('butter-layer')
    expect(b.allergens).toContain('wheat')
    expect(b.findings.filter((f) => f.severity === 'fault')).toEqual([])
  })
})
