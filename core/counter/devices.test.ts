import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { coreAt, paceOf, probeReading, PROBE, type CorePoint } from './probe'
import { pourSeconds, scaleReading, type Pour } from './scale'
import { poured, progress, targetReading, tooMuch } from './tare'

describe('tare sums', () => {
  it('come out the same on one sum or back to nought', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 3000 }),
        fc.integer({ min: 0, max: 3000 }),
        fc.integer({ min: 1, max: 2000 }),
        (bowlGrams, inside, grams) => {
          const bowl = { bowlGrams, inside }
          for (const taring of ['sum', 'zero'] as const) {
            const target = targetReading(bowl, grams, taring)
            expect(poured(bowl, target, taring)).toBe(grams)
            expect(progress(grams, poured(bowl, target, taring), 1).state).toBe('there')
          }
          expect(targetReading(bowl, grams, 'sum') - targetReading(bowl, grams, 'zero')).toBe(bowlGrams + inside)
        },
      ),
    )
  })

  it('go from empty over more and slowly to there, and then over', () => {
    const states = [0, 100, 180, 199, 215].map((g) => progress(200, g, 1).state)
    expect(states).toEqual(['empty', 'more', 'slowly', 'there', 'over'])
  })

  it('are stricter with a spoonful of soda than with flour', () => {
    expect(progress(5, 6, 0.1).state).toBe('over')
    expect(progress(500, 510, 1).state).toBe('there')
    expect(tooMuch(5, 6)).toMatch(/Well over/)
    expect(tooMuch(500, 520)).toMatch(/leave it/)
  })
})

describe('the simulated scale', () => {
  const pour = fc.record<Pour>({
    from: fc.integer({ min: 0, max: 2000 }),
    to: fc.integer({ min: 0, max: 3000 }),
    rate: fc.integer({ min: 5, max: 80 }),
    resolution: fc.constantFrom(0.1, 1, 2, 5),
    seed: fc.integer({ min: 0, max: 1e6 }),
  })

  it('settles at what lies on it, to its resolution and its drift', () => {
    fc.assert(
      fc.property(pour, (p) => {
        const end = pourSeconds(p) + 6
        const reading = scaleReading(p, end)
        expect(reading.stable).toBe(true)
        expect(Math.abs(reading.grams - p.to)).toBeLessThanOrEqual(p.resolution / 2 + (2 * end) / 3600 + 0.06)
      }),
    )
  })

  it('is not settled while something falls, and shows only its own steps', () => {
    const p: Pour = { from: 700, to: 900, rate: 20, resolution: 1, seed: 3 }
    for (let t = 0; t < 9.5; t += 0.5) {
      const r = scaleReading(p, t)
      expect(r.stable).toBe(false)
      expect(Number.isInteger(r.grams)).toBe(true)
    }
  })

  it('drifts when it is left alone', () => {
    const p: Pour = { from: 0, to: 500, rate: 50, resolution: 0.1, seed: 1 }
    expect(scaleReading(p, 3600).grams - scaleReading(p, 16).grams).toBeGreaterThan(1)
  })
})

describe('the probe against the prediction', () => {
  const curve: CorePoint[] = Array.from({ length: 61 }, (_, min) => ({ min, core: 20 + 80 * (1 - Math.exp(-((min / 22) ** 2))) }))

  it('recovers the pace of an oven from what was read', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.75, max: 1.3, noNaN: true }), fc.integer({ min: 0, max: 1e6 }), (pace, seed) => {
        const o = { ...PROBE, pace, lagMin: 0, seed }
        const read = Array.from({ length: 40 }, (_, i) => ({ min: i / 2 + 2, core: probeReading(curve, i / 2 + 2, o) }))
        const found = paceOf(curve, read, 97)
        expect(Math.abs(found.pace - pace)).toBeLessThan(0.02)
        expect(Math.abs(found.doneAt! - curve.find((p) => p.core >= 97)!.min / pace)).toBeLessThan(1)
      }),
      { numRuns: 40 },
    )
  })

  it('says nothing before the middle has begun to warm', () => {
    expect(paceOf(curve, [{ min: 1, core: 20.4 }], 97).doneAt).toBeNull()
  })

  it('reads between two points of the curve, and stays at its ends', () => {
    expect(coreAt(curve, -5)).toBe(curve[0]!.core)
    expect(coreAt(curve, 500)).toBe(curve.at(-1)!.core)
    expect(coreAt(curve, 10.5)).toBeGreaterThan(curve[10]!.core)
    expect(coreAt(curve, 10.5)).toBeLessThan(curve[11]!.core)
  })
})
