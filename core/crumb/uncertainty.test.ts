import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'
import { CLASSICS, classic } from '../fixtures/classics'

const ask = (name: string, tools: string) => {
  const c = classic(name)
  return answer('uncertainty', { text: c.text, region: c.region, tools, samples: 400 })
}
const width = (u: ReturnType<typeof ask>, key: 'moisture' | 'firmness') => u.metrics[key]!.p95 - u.metrics[key]!.p5

describe('how sure a cake measured so is', () => {
  it('scales leave less open than cups', () => {
    for (const name of ['one-two-three-four', 'muffins', 'carrot']) {
      expect(width(ask(name, 'scale'), 'moisture')).toBeLessThan(0.6 * width(ask(name, 'cups'), 'moisture'))
    }
  })

  it('names the flour of a cake measured in cups as the thing to weigh', () => {
    expect(ask('one-two-three-four', 'cups').weigh[0]).toBe('flour-plain')
  })

  it('has the recipe as given in its middle, and percentiles in order', () => {
    for (const c of CLASSICS) {
      const given = answer('balance', { text: c.text, region: c.region }).metrics
      const { metrics } = answer('uncertainty', { text: c.text, region: c.region, tools: 'mixed', samples: 300 })
      for (const [key, m] of Object.entries(metrics)) {
        expect(m.p5).toBeLessThanOrEqual(m.p50)
        expect(m.p50).toBeLessThanOrEqual(m.p95)
        const value = given[key as keyof typeof given] as number
        // Gas and acid bend at their meeting point, so their middle may lie a little off.
        expect(value).toBeGreaterThanOrEqual(m.p5 - 0.02 * Math.abs(m.p5) - 0.01)
        expect(value).toBeLessThanOrEqual(m.p95 + 0.02 * Math.abs(m.p95) + 0.01)
      }
    }
  })

  it('gives the same answer to the same question', () => {
    expect(ask('muffins', 'cups')).toEqual(ask('muffins', 'cups'))
  })
})
