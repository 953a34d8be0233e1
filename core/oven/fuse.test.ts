import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'
import { BAKES } from '../fixtures/bakes'
import { fused, windowOf } from './fuse'
import type { BakeAnswer } from './predict'

const TEXT = (bake: string) =>
  `Sponge\n225 g butter\n225 g sugar\n4 eggs\n225 g self-raising flour\n2 tbsp milk\n\nMethod:\nHeat the oven to 180 °C. Grease two 20 cm round tins.\nCream the butter and sugar. Beat in the eggs, fold in the flour and milk. Divide between the tins.\n${bake}`
const bakeOf = (bake: string, more: object = {}) => answer('bake', { text: TEXT(bake), region: 'uk', ...more }) as BakeAnswer
const codes = (b: BakeAnswer) => b.notes.map((n) => n.code)

/** A simulated bake of so many minutes, of which nothing else matters. */
const simulated = (minutes: number): BakeAnswer => ({
  ...windowOf(minutes, 0.07),
  doneC: 97,
  curve: [],
  waterLossPct: 9,
  edgeOverbake: 4,
  browning: 5,
  browningWords: 'golden',
  heightMm: 40,
  sensitivity: { hotter: -0.07 * minutes, cooler: 0.07 * minutes },
  notes: [],
})

describe('what a recipe tells of its bake', () => {
  it('draws the simulation towards it, and narrows the window', () => {
    const alone = bakeOf('Bake.').minutes!
    const told = bakeOf('Bake for 24 minutes.')
    expect(told.minutes!.best).toBeLessThan(alone.best)
    expect(told.minutes!.best).toBeGreaterThan(24)
    expect(told.minutes!.high / told.minutes!.low).toBeLessThan(alone.high / alone.low)
    expect(told.from).toEqual({ told: [24, 24], simulated: alone.best })
    expect(codes(told)).not.toContain('not-as-told')
  })

  it('counts less the further it is from what can be, and is said to be wrong', () => {
    const wild = bakeOf('Bake for 60 minutes.')
    expect(wild.minutes!.best).toBeLessThan(40)
    expect(codes(wild)).toContain('not-as-told')
  })

  it('is for its own tin and oven: another takes the simulated ratio from there', () => {
    const own = bakeOf('Bake for 24 minutes.')
    const deep = bakeOf('Bake for 24 minutes.', { tin: '20 cm round' })
    const alone = bakeOf('Bake.', { tin: '20 cm round' }).minutes!.best / bakeOf('Bake.').minutes!.best
    expect(deep.minutes!.best / own.minutes!.best).toBeCloseTo(alone, 1)
    expect(codes(deep)).toContain('not-as-told')
    const { recipe } = answer('parse', { text: TEXT('Bake for 24 minutes.'), region: 'uk' })
    const resized = answer('bake', {
      recipe: { ...recipe, tins: [{ ...recipe.tins[0]!, count: 1 }] },
      written: recipe,
      region: 'uk',
    }) as BakeAnswer
    expect(resized.minutes!.best).toBeCloseTo(deep.minutes!.best, 0)
  })

  it('lies between both, and moves with each', () => {
    fc.assert(
      fc.property(fc.integer({ min: 12, max: 120 }), fc.double({ min: 0.6, max: 1.6, noNaN: true }), (minutes, by) => {
        const told = minutes * by
        const { best, low, high } = fused(simulated(minutes), {
          minutes: [told, told],
          simulated: minutes,
          ratio: 1,
          open: false,
        }).minutes!
        expect(best).toBeGreaterThanOrEqual(Math.min(minutes, told) - 0.1)
        expect(best).toBeLessThanOrEqual(Math.max(minutes, told) + 0.1)
        expect(low).toBeLessThan(best)
        expect(high).toBeGreaterThan(best)
      }),
    )
  })

  // Spreads that are not the model's own: ovens up to 15 °C off either way, cooks who write a round number from within or a little
  // beyond the usual window, and bakes whose simulation is the real one.
  it('a window holds nine of ten bakes', () => {
    let seed = 7
    const chance = () => (seed = (seed * 16807) % 2147483647) / 2147483647
    let held = 0
    let all = 0
    for (const b of BAKES.filter((_, i) => i % 2 === 1)) {
      const alone = answer('bake', {
        text: `${b.what}\n${b.lines.split('; ').join('\n')}\n\nMethod:\n${b.method ?? 'Mix.'} Bake.`,
        region: /cup|in /.test(b.tin) ? 'us' : 'uk',
        tin: b.tin,
        oven: { celsius: b.celsius, mode: b.mode ?? 'static' },
      }) as BakeAnswer
      const within = () => b.usual[0] * (b.usual[1] / b.usual[0]) ** chance()
      for (let i = 0; i < 40; i++) {
        const true_ = within() * Math.exp(0.007 * (30 * chance() - 15))
        const written = 5 * Math.max(1, Math.round((within() * (0.9 + 0.2 * chance())) / 5))
        const { low, high } = fused(alone, {
          minutes: [written, written + (chance() < 0.5 ? 5 : 0)],
          simulated: alone.minutes!.best,
          ratio: 1,
          open: false,
        }).minutes!
        all++
        if (true_ >= low - 0.5 && true_ <= high + 0.5) held++
      }
    }
    expect(held / all).toBeGreaterThanOrEqual(0.9)
    expect(held / all).toBeLessThan(0.99)
    console.info(`windows hold ${Math.round((100 * held) / all)} %`)
  })
})
