import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { OptionLine } from '../../core/reformulate/option'
import { answer } from '../../core/contract/handle'
import { CLASSICS } from '../../core/fixtures/classics'
import { mixRows, threads } from '~/composables/useThreads'

const line = (ingredient: string, from: number, to: number, more: Partial<OptionLine> = {}): OptionLine => ({
  part: 'Cake',
  partIndex: 0,
  ingredient,
  name: ingredient,
  from,
  to,
  kitchen: '',
  was: '',
  status: from > 0 ? (to > 0 ? 'kept' : 'removed') : 'added',
  replaces: [],
  why: [],
  ...more,
})
const egg = line('egg-whole', 200, 0)
const yogurt = line('yogurt-plain', 0, 180, { replaces: ['egg-whole'] })
const soda = line('baking-soda', 0, 2, { replaces: ['egg-whole'] })

/** Every line of a mix is drawn once, on either side. */
const drawn = (rows: ReturnType<typeof mixRows>) => [...new Set(rows.flatMap((r) => [r.left, r.right]).filter((l) => l !== null))]

describe('the mix in rows', () => {
  it('what takes over stands beside what left, what more it takes below', () => {
    const rows = mixRows([yogurt, line('flour-plain', 200, 200), egg, soda])
    expect(rows.map((r) => [r.left?.ingredient ?? '', r.right?.ingredient ?? ''])).toEqual([
      ['flour-plain', 'flour-plain'],
      ['egg-whole', 'yogurt-plain'],
      ['', 'baking-soda'],
    ])
  })

  it('what leaves for nothing stands alone, and so does what comes for nothing', () => {
    expect(mixRows([egg]).map((r) => [r.left, r.right])).toEqual([[egg, null]])
    const acid = line('vinegar', 0, 10)
    expect(mixRows([acid])).toMatchObject([{ left: null, right: acid }])
  })

  it('a row keeps its name whatever is added before it', () => {
    const before = mixRows([egg, line('flour-plain', 200, 200), line('flour-plain', 50, 50)]).map((r) => r.key)
    const after = mixRows([line('vinegar', 0, 5), egg, line('flour-plain', 200, 180), line('flour-plain', 50, 50)]).map((r) => r.key)
    expect(new Set(after).size).toBe(after.length)
    expect(after.slice(1)).toEqual(before)
  })

  it('eggs of the icing do not take over those of the cake', () => {
    const other = { ...yogurt, partIndex: 1 }
    const rows = mixRows([egg, other])
    expect(rows).toMatchObject([
      { left: egg, right: null },
      { left: null, right: other },
    ])
  })

  it.each(CLASSICS.slice(0, 12).map((c) => [c.name, c] as const))('loses no line of %s, whatever way it goes', (_, c) => {
    const { options } = answer('reformulate', { text: c.text, region: c.region, goals: ['vegan', 'gluten-free'], limit: 3 })
    for (const o of options) {
      const rows = mixRows(o.lines)
      expect(drawn(rows)).toHaveLength(o.lines.length)
      for (const t of threads(rows, 60, 80)) expect(t.path).not.toMatch(/NaN|undefined/)
    }
  })
})

describe('threads', () => {
  const ends = (path: string) => [...path.matchAll(/-?\d+(?:\.\d+)?/g)].map((m) => Number(m[0]))

  it('are as wide as their grams', () => {
    const rows = mixRows([line('flour-plain', 300, 300), line('sugar-white', 100, 100)])
    const height = (at: number) => {
      const ys = ends(threads(rows, 60, 80)[at]!.path).filter((_, i) => i % 2 === 1)
      return Math.max(...ys) - Math.min(...ys)
    }
    expect(height(0) / height(1)).toBeCloseTo(3, 1)
  })

  it('join what left with all that takes over, and say what is new', () => {
    const found = threads(mixRows([egg, yogurt, soda]), 60, 80)
    expect(found).toHaveLength(2)
    expect(found.every((t) => t.changed)).toBe(true)
  })

  it('there is none to what is gone', () => {
    expect(threads(mixRows([egg]), 60, 80)).toEqual([])
  })

  it('stay within their columns', () => {
    const grams = fc.integer({ min: 1, max: 900 })
    fc.assert(
      fc.property(fc.array(fc.tuple(grams, grams), { minLength: 1, maxLength: 9 }), (list) => {
        const rows = mixRows(list.map(([a, b], i) => line(`x${i}`, a, b)))
        for (const t of threads(rows, 60, 80)) {
          const xs = ends(t.path).filter((_, i) => i % 2 === 0)
          expect(Math.min(...xs)).toBeGreaterThanOrEqual(0)
          expect(Math.max(...xs)).toBeLessThanOrEqual(80)
        }
      }),
      { numRuns: 40 },
    )
  })
})
