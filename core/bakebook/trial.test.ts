import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { compareTrials, tastings } from './compare'
import { trial } from '../fixtures/trials'
import { observationsOf, overall, type Trial } from './trial'

describe('what a trial teaches', () => {
  it('is how it differed from what was expected, in the measure of each kind', () => {
    const seen = observationsOf(trial({ record: { minutes: 33, ovenC: 190, heightMm: { centre: 44 } }, leanings: { moisture: -1 } }), 180)
    expect(Object.fromEntries(seen.map((o) => [o.kind, Math.round(1000 * o.value) / 1000]))).toEqual({
      minutes: 0.095,
      rise: 0.095,
      oven: 10,
      moistness: -1,
    })
  })

  it('is nothing of the oven where it was not taken out when it was done', () => {
    for (const symptom of ['raw', 'dry'] as const)
      expect(observationsOf(trial({ record: { minutes: 20 }, symptoms: [symptom] }), 180).some((o) => o.kind === 'minutes')).toBe(false)
    expect(observationsOf(trial({ record: { minutes: 40, preheated: false } }), 180)).toEqual([])
    expect(observationsOf(trial({ record: { minutes: 33 }, expected: null }), 180)).toEqual([])
  })

  it('sums up to one number from 1 to 5 that falls with everything that went wrong', () => {
    expect(overall(trial())).toBeNull()
    expect(overall(trial({ marks: { crumb: 5, taste: 5 }, leanings: { moisture: 0 } }))).toBe(5)
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5 }), fc.integer({ min: -2, max: 2 }), (crumb, moisture) => {
        const fine = overall(trial({ marks: { crumb }, leanings: { moisture } }))!
        const worse = overall(trial({ marks: { crumb }, leanings: { moisture }, symptoms: ['sank'] }))!
        expect(worse).toBeLessThanOrEqual(fine)
        expect(worse).toBeGreaterThanOrEqual(1)
      }),
    )
  })
})

describe('trial against trial', () => {
  const side = (t: Partial<Trial>, metrics: object) => ({ trial: trial(t), metrics })

  it('explains what the model can, and says where it cannot', () => {
    const { mix, process, outcome } = compareTrials(
      side({ record: { minutes: 36 }, leanings: { moisture: -1 }, marks: { taste: 2 } }, { moisture: 1.6, lift: 12 }),
      side({ record: { minutes: 28 }, leanings: { moisture: 1 }, marks: { taste: 5 } }, { moisture: 2, lift: 12.2 }),
    )
    expect(mix.map((d) => d.what)).toEqual(['moisture of the mix'])
    expect(process).toEqual([{ what: 'in the oven', from: '36 min', to: '28 min' }])
    expect(outcome.find((o) => o.what === 'moisture')!.because).toEqual(['moisture of the mix', 'minutes in the oven'])
    expect(outcome.find((o) => o.what === 'taste')!.because).toEqual([])
  })

  it('blames the batter that waited', () => {
    const { outcome } = compareTrials(
      side({ record: { waitedMin: 25 }, marks: { lift: 2 } }, {}),
      side({ record: { waitedMin: 4 }, marks: { lift: 4 } }, {}),
    )
    expect(outcome).toEqual([{ what: 'lift', from: '2', to: '4', because: ['the time that the batter waited'] }])
  })

  it('is the same backwards, and nothing against itself', () => {
    const a = side({ record: { minutes: 30 }, leanings: { sweetness: 1 } }, { sweetness: 30 })
    const b = side({ record: { minutes: 35 }, leanings: { sweetness: -1 } }, { sweetness: 24 })
    const [there, back] = [compareTrials(a, b), compareTrials(b, a)]
    expect(back.outcome.map((o) => [o.what, o.to, o.from, o.because])).toEqual(there.outcome.map((o) => [o.what, o.from, o.to, o.because]))
    expect(compareTrials(a, a)).toEqual({ mix: [], process: [], outcome: [] })
  })

  it('says honestly what a few tastings can say', () => {
    expect(tastings(2, 1).words).toMatch(/Too few/)
    expect(tastings(4, 0).words).toMatch(/Too few/)
    expect(tastings(6, 0).chance).toBeCloseTo(2 / 64)
    expect(tastings(6, 0).words).toMatch(/Hardly chance/)
    expect(tastings(5, 3).words).toMatch(/may be chance/)
    expect(tastings(3, 5).chance).toBe(tastings(5, 3).chance)
    expect(tastings(0, 0).chance).toBe(1)
  })
})
