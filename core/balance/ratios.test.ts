import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { PANTRY } from '../pantry/pantry'
import { massOf, type Dose } from './mass'
import { acidBalance, consistency, firmness, fluidity, lift, liftMmol, moisture, settingTemperature, sugarConcentration } from './ratios'

const pound: Dose[] = [
  { ingredient: 'flour-plain', grams: 450 },
  { ingredient: 'butter-unsalted', grams: 450 },
  { ingredient: 'sugar-white', grams: 450 },
  { ingredient: 'egg-whole', grams: 450 },
]

const doses = fc.array(
  fc.record({ ingredient: fc.constantFrom(...PANTRY.map((i) => i.id)), grams: fc.double({ min: 1, max: 500, noNaN: true }) }),
  { minLength: 1, maxLength: 12 },
)
const batter = doses.map((d) => [...d, { ingredient: 'flour-plain', grams: 200 }, { ingredient: 'sugar-white', grams: 100 }])
const and = (d: Dose[], ingredient: string, grams: number) => massOf([...d, { ingredient, grams }])

describe('ratios of a plain pound cake', () => {
  const mass = massOf(pound)
  it.each([
    ['moisture', moisture(mass), 1.6, 1.8],
    ['sugar concentration', sugarConcentration(mass), 47, 51],
    ['firmness', firmness(mass), 0.37, 0.42],
    ['lift', lift(mass), 0, 0],
    ['fluidity', fluidity(mass), 1.5, 2],
  ])('%s lies where bakers know it', (_, value, low, high) => {
    expect(value).toBeGreaterThanOrEqual(low)
    expect(value).toBeLessThanOrEqual(high)
  })

  it('sets near 80 °C, and later the more sugar there is', () => {
    expect(settingTemperature(45)).toBeGreaterThan(76)
    expect(settingTemperature(55)).toBeGreaterThan(settingTemperature(45))
    expect(consistency(fluidity(mass)!)).toMatch(/drops/)
  })
})

describe('facts that no recipe escapes', () => {
  it('mass is conserved: the whole is the sum of its parts', () => {
    fc.assert(
      fc.property(doses, doses, (a, b) => {
        const [x, y, both] = [massOf(a), massOf(b), massOf([...a, ...b])]
        for (const key of ['total', 'water', 'sugar', 'fat', 'protein', 'acid', 'base'] as const)
          expect(both[key]).toBeCloseTo(x[key] + y[key], 6)
      }),
    )
  })

  it('scaling a recipe leaves every ratio alone', () => {
    fc.assert(
      fc.property(batter, fc.double({ min: 0.2, max: 8, noNaN: true }), (d, factor) => {
        const scaled = massOf(d.map((x) => ({ ...x, grams: x.grams * factor })))
        const mass = massOf(d)
        for (const ratio of [moisture, sugarConcentration, firmness, lift, acidBalance, fluidity])
          expect(ratio(scaled)).toBeCloseTo(ratio(mass)!, 6)
      }),
    )
  })

  it('more water never reads drier, and never thicker', () => {
    fc.assert(
      fc.property(batter, fc.double({ min: 1, max: 300, noNaN: true }), (d, more) => {
        expect(moisture(and(d, 'water', more))!).toBeGreaterThanOrEqual(moisture(massOf(d))!)
        expect(fluidity(and(d, 'water', more))!).toBeGreaterThanOrEqual(fluidity(massOf(d))!)
        expect(sugarConcentration(and(d, 'water', more))!).toBeLessThanOrEqual(sugarConcentration(massOf(d))!)
      }),
    )
  })

  it('more soda never gives less gas nor less alkali; vinegar never gives more alkali', () => {
    fc.assert(
      fc.property(batter, fc.double({ min: 0.1, max: 15, noNaN: true }), (d, more) => {
        expect(liftMmol(and(d, 'baking-soda', more))).toBeGreaterThan(liftMmol(massOf(d)))
        expect(acidBalance(and(d, 'baking-soda', more))! * (massOf(d).total + more)).toBeGreaterThanOrEqual(
          acidBalance(massOf(d))! * massOf(d).total - 1e-6,
        )
        expect(acidBalance(and(d, 'vinegar', more))!).toBeLessThanOrEqual(Math.max(acidBalance(massOf(d))!, 0) + 1e-9)
      }),
    )
  })

  it('more flour never makes a cake weaker than its fat and sugar would', () => {
    fc.assert(
      fc.property(batter, fc.double({ min: 5, max: 200, noNaN: true }), (d, more) => {
        fc.pre(firmness(massOf(d))! < 0.55)
        expect(firmness(and(d, 'flour-plain', more))!).toBeGreaterThanOrEqual(firmness(massOf(d))! - 1e-9)
      }),
    )
  })

  it('whole nuts ride along: they weigh, and change no ratio', () => {
    const mass = massOf(pound)
    const nutty = and(pound, 'walnut', 100)
    expect(nutty.total).toBe(mass.total + 100)
    expect(nutty.kcal).toBeGreaterThan(mass.kcal)
    expect(moisture(nutty)).toBeCloseTo(moisture(mass)!, 9)
    expect(firmness(nutty)).toBeCloseTo(firmness(mass)!, 9)
  })
})
