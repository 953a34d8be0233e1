import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'
import { HARD_NEEDS, suits } from '../pantry/ingredient'
import { need } from '../pantry/pantry'

const cake = { shape: 'round', mm: { diameter: 180, height: 90 }, layers: 2 }

describe('amounts', () => {
  it('add up over places, whichever they are', () => {
    const places = {
      filling: { mm: 6 },
      crumbCoat: { mm: 2 },
      coat: { mm: 5 },
      top: { mm: 3 },
      border: { nozzleMm: 10 },
      rosettes: { count: 8, nozzleMm: 12 },
    }
    fc.assert(
      fc.property(fc.subarray(Object.keys(places) as (keyof typeof places)[], { minLength: 1 }), (keys) => {
        const whole = answer('amounts', { cake, places: Object.fromEntries(keys.map((k) => [k, places[k]])) })
        const apart = keys.reduce((ml, k) => ml + answer('amounts', { cake, places: { [k]: places[k] } }).totalMl, 0)
        expect(whole.totalMl).toBe(apart)
      }),
    )
  })

  it('grow with area, thickness, layers and cakes', () => {
    fc.assert(
      fc.property(fc.integer({ min: 100, max: 350 }), fc.integer({ min: 2, max: 8 }), (diameter, mm) => {
        const of = (d: number, t: number, layers = 2, count = 1) =>
          answer('amounts', { cake: { ...cake, mm: { diameter: d, height: 90 }, layers, count }, places: { filling: { mm: t } } }).totalMl
        expect(of(2 * diameter, mm) / of(diameter, mm)).toBeCloseTo(4, 0)
        expect(of(diameter, mm, 3) / of(diameter, mm)).toBeCloseTo(2, 0)
        expect(of(diameter, mm, 2, 5) / of(diameter, mm)).toBeCloseTo(5, 0)
      }),
    )
  })

  it('are those that bakers know: a covered 18 cm cake half a litre, a swirl 30 to 45 ml, a rosette 10 to 18', () => {
    expect(answer('amounts', { cake, places: { coat: { mm: 5 }, filling: { mm: 6 } } }).totalMl).toBeCloseTo(535, -1.5)
    const cupcakes = answer('amounts', {
      cake: { shape: 'cupcake', count: 12 },
      places: { swirls: { nozzleMm: 12 }, wells: { ml: 8, component: 'jam' } },
    })
    expect(cupcakes.components[0]!.ml / 12).toBeGreaterThan(28)
    expect(cupcakes.components[0]!.ml / 12).toBeLessThan(48)
    expect(cupcakes.components[1]!).toMatchObject({ component: 'jam', ml: 96, grams: 125 })
    const one = answer('amounts', { cake, places: { rosettes: { count: 10, nozzleMm: 12 } } }).totalMl / 10
    expect(one).toBeGreaterThan(9)
    expect(one).toBeLessThan(18)
  })

  it('come with a recipe for each component that has one, in that amount', () => {
    const a = answer('amounts', { cake, places: { coat: { mm: 5 }, filling: { mm: 6, component: 'ganache' } }, sparePct: 10 })
    expect(a.recipes.map((r) => r.component).sort()).toEqual(['butter-icing', 'ganache'])
    for (const r of a.recipes) expect(r.recipe.parts[0]!.lines.reduce((g, l) => g + l.grams.best, 0) / r.grams).toBeCloseTo(1, 1)
  })

  it('want to know the size', () => {
    expect(() => answer('amounts', { cake: { shape: 'round', layers: 2 }, places: { filling: { mm: 5 } } })).toThrow(/size of the cake/)
    expect(() => answer('amounts', { cake: { shape: 'round', mm: { diameter: 180 } }, places: { coat: { mm: 5 } } })).toThrow(/how high/)
  })
})

describe('soaks', () => {
  it('grow with the cake and meet the needs', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 200, max: 4000 }),
        fc.constantFrom('syrup', 'milk', 'filled-holes'),
        fc.subarray([...HARD_NEEDS]),
        (cakeGrams, kind, goals) => {
          const a = answer('soak', { cakeGrams, kind, goals })
          expect(a.grams.low).toBeLessThan(a.grams.best)
          expect(a.grams.best).toBeLessThan(a.grams.high)
          expect(a.grams.high / cakeGrams).toBeLessThan(kind === 'milk' ? 2 : 0.7)
          for (const l of a.recipe.parts[0]!.lines) for (const g of goals) expect(suits(need(l.ingredient!), g)).not.toBe('never')
          expect(a.hours.better).toBeGreaterThan(a.hours.min)
        },
      ),
    )
  })

  const SPONGE =
    'Sponge\n120 g flour\n120 g caster sugar\n4 eggs\nMethod:\nWhisk the eggs and sugar until thick and pale. Fold in the flour.'
  const POUND =
    'Pound\n250 g butter\n250 g sugar\n5 eggs\n250 g flour\nMethod:\nCream the butter and sugar, beat in the eggs, fold in the flour.'

  it('a foam drinks more than its own mass, a pound cake half of it, a deep one in more goes', () => {
    const share = (text: string) => {
      const a = answer('soak', { text, kind: 'milk' })
      return a.grams.best / answer('balance', { text }).metrics.bakedGrams
    }
    expect(share(SPONGE)).toBeGreaterThan(1)
    expect(share(POUND)).toBeLessThan(0.6)
    expect(answer('soak', { cakeGrams: 900, depthMm: 90 }).pours).toBeGreaterThan(answer('soak', { cakeGrams: 900, depthMm: 30 }).pours)
  })

  it('the recipe’s own is judged first, and keeps its grams', () => {
    const milks = (litres: number) =>
      `${SPONGE}\nBake. Pour the milks over.\n\nSoak:\n${400 * litres} g condensed milk\n${350 * litres} g evaporated milk\n${250 * litres} g whole milk`
    const bears = [0.1, 0.4, 1.5].map((litres) => {
      const a = answer('soak', { text: milks(litres) })
      expect(a.own!.grams).toBeCloseTo(1000 * litres, -1)
      expect(a.recipe.parts[0]!.lines).toHaveLength(3)
      return a.own!.bears
    })
    expect(bears).toEqual(['light', 'well', 'too-much'])
    expect(answer('soak', { text: milks(1), kind: 'syrup' }).own).toBeUndefined()
  })

  it('what has no crumb is told so', () => {
    expect(() => answer('soak', { text: 'Cheesecake\n600 g cream cheese\n150 g sugar\n3 eggs\nMethod:\nMix and bake.' })).toThrow(
      /no crumb/,
    )
  })
})
