import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'
import { TIN_SHAPES } from '../recipe/recipe'
import { readTin } from '../language/tin'
import { usualBatter } from '../oven/batter'
import { fit, scaleBetween } from './fit'
import { heightOf, mlBelow, sectionOf } from '../measure/section'

const tin = (text: string) => readTin(text)!
const codes = (request: object) => answer('tin', request).warnings.map((w) => w.code)

describe('the section of a tin', () => {
  it('height and volume are each other’s inverse, in every shape, above the rim too', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...TIN_SHAPES),
        fc.integer({ min: 60, max: 350 }),
        fc.double({ min: 0.02, max: 1.4, noNaN: true }),
        (shape, mm, share) => {
          const flat = ['square', 'rect', 'loaf', 'sheet'].includes(shape)
          const s = sectionOf({ shape, mm: shape === 'cupcake' ? {} : flat ? { width: mm, length: mm * 1.4 } : { diameter: mm } })!
          const z = share * s.depth
          expect(heightOf(s, mlBelow(s, z))).toBeCloseTo(z, 3)
        },
      ),
    )
  })
})

describe('one tin for another', () => {
  // The usual tables of tins: same depth of batter.
  it.each([
    ['20 cm round', '23 cm round', 1.32],
    ['20 cm round', '18 cm round', 0.81],
    ['23 cm round', '20 cm square', 0.96],
    ['8 in square', '9x13 in', 1.83],
    ['20 cm round x2', '20 cm round x3', 1.5],
  ])('%s to %s is about %d times', (from, to, times) => {
    expect(scaleBetween([tin(from)], [tin(to)], 1.9, 900)! / times).toBeGreaterThan(0.96)
    expect(scaleBetween([tin(from)], [tin(to)], 1.9, 900)! / times).toBeLessThan(1.04)
  })

  it('there and back is one, among tins that are filled alike', () => {
    const flat = ['20 cm round', '23 cm square', '9x13 in', '25x38 cm sheet'].map(tin)
    fc.assert(
      fc.property(fc.constantFrom(...flat), fc.constantFrom(...flat), (a, b) => {
        expect(scaleBetween([a], [b], 1.8, 900)! * scaleBetween([b], [a], 1.8, 900)!).toBeCloseTo(1, 9)
      }),
    )
    expect(scaleBetween([tin('450 g loaf')], [tin('900 g loaf')], 1.8, 500)!).toBeGreaterThan(1.5)
  })

  it('into another shape it fills the new tins well, however full the old ones were', () => {
    for (const grams of [500, 900, 1400]) {
      const a = answer('tin', { batterGrams: grams, family: 'butter-layer', from: ['20 cm round x2'], to: ['12 cupcakes'] })
      expect(a.fill[0]!.batterGrams).toBeGreaterThan(40)
      expect(a.fill[0]!.batterGrams).toBeLessThan(65)
      expect(a.warnings).toEqual([])
    }
  })
})

describe('batter in its tins', () => {
  it('is all there: what the tins hold is what was made, shared by floor', () => {
    fc.assert(
      fc.property(fc.integer({ min: 200, max: 3000 }), fc.integer({ min: 1, max: 4 }), (grams, count) => {
        const tins = [{ ...tin('20 cm round'), count }, tin('15 cm round')]
        const f = fit(usualBatter('butter-layer', grams), tins, 1)
        const sum = f.fill.reduce((s, x, i) => s + x.batterGrams * tins[i]!.count, 0)
        expect(Math.abs(sum - grams)).toBeLessThan(4)
        expect(f.fill[0]!.depthMm).toBeCloseTo(f.fill[1]!.depthMm, 0)
      }),
    )
  })

  it('says what a baker would: over the rim, too thin, through the base, up the wall, glass', () => {
    expect(codes({ batterGrams: 2300, family: 'loaf', to: ['9x5 in loaf'] })[0]).toBe('overfull')
    expect(codes({ batterGrams: 200, family: 'butter-layer', to: ['23 cm round'] })).toContain('too-big')
    expect(
      codes({ batterGrams: 1100, family: 'boxed', to: [{ shape: 'round', mm: { diameter: 230, height: 60 }, loose: true }] }),
    ).toContain('leak')
    expect(codes({ batterGrams: 500, family: 'foam', to: ['25 cm ring'] })).toContain('do-not-grease')
    expect(
      codes({ batterGrams: 900, family: 'oil-layer', to: [{ shape: 'rect', mm: { width: 200, length: 300 }, material: 'glass' }] }),
    ).toContain('thermal-shock')
    expect(codes({ batterGrams: 450, family: 'butter-layer', to: ['20 cm round'] })).toEqual([])
  })

  it('what is too much is what is left over, and what it takes out again fits', () => {
    const over = answer('tin', { batterGrams: 1500, family: 'butter-layer', to: ['20 cm round'] })
    expect(over.leftoverMl).toBeGreaterThan(100)
    expect(over.leftoverCupcakes).toBe(Math.floor(over.leftoverMl / 60))
    const rest = over.batterMl - over.leftoverMl
    expect(codes({ batterGrams: rest * 0.9, family: 'butter-layer', to: ['20 cm round'] })).not.toContain('overfull')
  })

  it('scales a whole recipe to other tins, counts and all', () => {
    const text = 'Sponge\nTin: 20 cm round x2\nOven: 180 C\n200 g butter\n200 g sugar\n4 medium eggs\n200 g self-raising flour'
    const a = answer('tin', { text, region: 'uk', to: ['23 cm round x2'] })
    expect(a.scale).toBeCloseTo(1.323, 2)
    expect(a.recipe!.parts[0]!.lines[2]!.text).toMatch(/^5¼ medium eggs/)
    expect(a.recipe!.tins[0]!.text).toBe('23 cm round x2')
  })

  it('settles on whole eggs where that is wanted', () => {
    const text = 'Sponge\nTin: 20 cm round x2\n200 g butter\n200 g sugar\n4 medium eggs\n200 g self-raising flour'
    const a = answer('tin', { text, region: 'uk', to: ['23 cm round x2'], whole: 'eggs' })
    expect(a.recipe!.parts[0]!.lines[2]!.text).toBe('5 medium eggs')
    expect(a.scale).toBeCloseTo(1.25, 5)
  })

  it('knows tins by the cake they make', () => {
    expect(tin('half-kilo tin').mm.diameter).toBe(150)
    expect(tin('1 kg round').mm.diameter).toBe(212)
    expect(tin('450 g loaf').shape).toBe('loaf')
    for (const [text, grams] of [
      ['half kg tin', 500],
      ['1 kg tin', 1000],
    ] as const) {
      const a = answer('tin', { batterGrams: grams, family: 'butter-layer', to: [text] })
      expect(
        a.warnings.filter((w) => w.code === 'overfull' || w.code === 'too-big'),
        text,
      ).toEqual([])
    }
  })

  it('refuses in words', () => {
    expect(() => answer('tin', { batterGrams: 500, family: 'foam', to: ['a big one'] })).toThrow(/is no tin/)
    expect(() => answer('tin', { batterGrams: 500, to: ['20 cm round'] })).toThrow(/which family/)
    expect(() => answer('bake', { text: 'Bun\n100 g flour\n1 egg', tin: '20 cm round' })).toThrow(/how hot/)
    expect(() => answer('bake', { batterGrams: 500, family: 'foam', tin: '20 cm round', oven: { celsius: 900 } })).toThrow()
  })
})
