import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { PANTRY } from '../pantry/pantry'
import { handOver, JOBS } from './handover'

const change = (ingredient: string, from: number, to: number) => ({ ingredient, from, to })
const sponge = [change('flour-plain', 200, 200), change('sugar-white', 200, 200), change('butter-unsalted', 200, 200)]

describe('who takes over', () => {
  it('nobody, where an egg leaves and nothing comes: all its jobs are undone', () => {
    const { handover, undone } = handOver([...sponge, change('egg-whole', 200, 0)])
    expect(handover.filter((h) => h.job === 'set' && h.amount > 0.1)).toEqual([])
    for (const job of ['set', 'lift', 'moisture'] as const) expect(undone.find((u) => u.job === job)!.share).toBeGreaterThan(0.8)
  })

  it('yogurt takes the water, soda the lift, neither the setting', () => {
    const { handover, undone } = handOver([
      ...sponge,
      change('egg-whole', 200, 0),
      change('yogurt-plain', 0, 220),
      change('baking-soda', 0, 2),
    ])
    expect(handover.find((h) => h.job === 'moisture')).toMatchObject({ from: 'egg-whole', to: 'yogurt-plain' })
    expect(handover.filter((h) => h.job === 'lift').map((h) => h.to)).toContain('baking-soda')
    expect(undone[0]!.job).toBe('set')
  })

  it('where fat and sugar went down there is less to hold', () => {
    const { handover } = handOver([
      change('flour-plain', 200, 200),
      change('sugar-white', 200, 140),
      change('butter-unsalted', 200, 140),
      change('egg-whole', 200, 0),
      change('yogurt-plain', 0, 200),
    ])
    expect(handover.find((h) => h.job === 'set' && h.to === 'less-to-hold')!.amount).toBeGreaterThan(0.1)
  })

  it('oil for butter leaves its flavour undone, not its richness', () => {
    const { undone } = handOver([change('flour-plain', 200, 200), change('butter-unsalted', 180, 0), change('oil-vegetable', 0, 145)])
    expect(undone.map((u) => u.job)).not.toContain('richness')
  })

  it('speaks of nothing where nothing left', () => {
    expect(handOver([...sponge, change('water', 0, 50)])).toEqual({ handover: [], undone: [] })
  })

  it('never gives out more of a job than there was', () => {
    const id = fc.constantFrom(...PANTRY.map((i) => i.id))
    const grams = fc.integer({ min: 0, max: 400 })
    fc.assert(
      fc.property(
        fc.array(fc.record({ ingredient: id, from: grams, to: fc.oneof(fc.constant(0), grams) }), { minLength: 1, maxLength: 9 }),
        (changes) => {
          const { handover, undone } = handOver(changes)
          for (const job of JOBS) {
            const taken = handover.filter((h) => h.job === job).reduce((sum, h) => sum + h.amount, 0)
            const left = undone.find((u) => u.job === job)?.share ?? 0
            expect(taken + left).toBeLessThanOrEqual(1.08)
          }
          for (const h of [...handover]) expect(Number.isFinite(h.amount) && h.amount > 0).toBe(true)
        },
      ),
      { numRuns: 200 },
    )
  })
})
