import { describe, expect, it } from 'vitest'
import { trial } from '../fixtures/trials'
import { panelsOf } from './panels'
import type { Trial } from './trial'

const side = (more: Partial<Trial>, metrics: object = {}) => ({ metrics, trial: trial(more) })
const names = (sides: ReturnType<typeof side>[]) => panelsOf(sides).map((p) => p.what)

describe('several bakes as small multiples', () => {
  it('has a place for every bake in every panel, empty where nothing was written down', () => {
    const sides = [side({ record: { minutes: 30 } }), side({ marks: { lift: 2 } }), side({ record: { minutes: 40 }, marks: { lift: 5 } })]
    const panels = panelsOf(sides)
    for (const p of panels) {
      expect(p.got).toHaveLength(3)
      expect(p.expected).toHaveLength(3)
    }
    expect(panels.find((p) => p.what === 'minutes')).toMatchObject({ got: [30, null, 40], expected: [30, 30, 30] })
    expect(panels.find((p) => p.what === 'lift')!.got).toEqual([null, 2, 5])
  })

  it('leaves out what nobody wrote down, and ratios that are the same in all', () => {
    expect(names([side({}), side({})])).toEqual([])
    const same = { moisture: 1.6, sweetness: 25 }
    expect(names([side({}, same), side({}, same), side({}, { ...same, sweetness: 31 })])).toEqual(['sweetness of the mix'])
  })

  it('reckons the water lost from the weights, beside what was expected', () => {
    const [lost] = panelsOf([side({ record: { grams: { before: 800, after: 700 } } }), side({ record: { grams: { before: 800 } } })])
    expect(lost).toMatchObject({ what: 'water lost', got: [12.5, null], expected: [10, 10] })
  })

  it('lays leanings around what is right', () => {
    const [moisture] = panelsOf([side({ leanings: { moisture: -2 } }), side({ leanings: { moisture: 1 } })])
    expect(moisture).toMatchObject({ what: 'moisture', got: [-2, 1], expected: [0, 0] })
  })
})
