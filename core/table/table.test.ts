import fc from 'fast-check'
import { beforeAll, describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'
import { HARD_NEEDS, type HardNeed } from '../pantry/ingredient'
import { integerSolver } from './highs'
import { MOST_TIMES, type IntegerSolver } from './programme'

/** What may be in a cake beside rice flour, sugar and oil. */
const EXTRAS = ['200 g plain flour', '3 eggs', '100 ml milk', '80 g ground almonds', '100 ml soy milk'] as const
const cake = (has: readonly number[]) => ['Cake', '100 g rice flour', '100 g sugar', '60 ml oil', ...has.map((i) => EXTRAS[i]!)].join('\n')
/** The needs that such a cake breaks, by general knowledge. */
const BREAKS: Record<number, HardNeed[]> = {
  0: ['gluten-free'],
  1: ['eggless', 'vegan'],
  2: ['dairy-free', 'vegan'],
  3: ['nut-free'],
  4: ['soy-free'],
}
const breaks = (has: readonly number[]) => new Set(has.flatMap((i) => BREAKS[i]!))

interface Made {
  guests: { needs: HardNeed[]; count: number }[]
  cakes: { has: number[]; slices: number }[]
}
const made = fc.record<Made>({
  guests: fc.array(fc.record({ needs: fc.subarray<HardNeed>([...HARD_NEEDS], { maxLength: 2 }), count: fc.integer({ min: 1, max: 12 }) }), {
    minLength: 1,
    maxLength: 4,
  }),
  cakes: fc.array(fc.record({ has: fc.subarray([0, 1, 2, 3, 4]), slices: fc.integer({ min: 4, max: 16 }) }), {
    minLength: 1,
    maxLength: 5,
  }),
})
const ask = ({ guests, cakes }: Made) =>
  answer(
    'table',
    { guests, candidates: cakes.map((c, i) => ({ id: `c${i}`, text: cake(c.has), slices: c.slices })), region: 'uk' },
    { solve },
  )

let solve: IntegerSolver
beforeAll(async () => {
  solve = await integerSolver()
})

/** The fewest bakes by trying all sets from small to large; `null` where five do not do. */
function byHand({ guests, cakes }: Made): number | null {
  const eats = cakes.map((c) => guests.map((g) => g.needs.every((n) => !breaks(c.has).has(n))))
  const feeds = (set: readonly number[]) => {
    // Everybody is fed if and only if every set of groups finds slices enough (Hall).
    for (let some = 1; some < 1 << guests.length; some++) {
      const inSome = (g: number) => (some & (1 << g)) !== 0
      const wants = guests.reduce((n, g, i) => n + (inSome(i) ? g.count : 0), 0)
      const has = set.reduce((n, c) => n + (guests.some((_, g) => inSome(g) && eats[c]![g]) ? cakes[c]!.slices : 0), 0)
      if (has < wants) return false
    }
    return true
  }
  const go = (from: number, left: number, set: readonly number[]): boolean => {
    if (left === 0) return feeds(set)
    for (let c = from; c < cakes.length; c++)
      if (set.filter((x) => x === c).length < MOST_TIMES && go(c, left - 1, [...set, c])) return true
    return false
  }
  for (let size = 1; size <= 5; size++) if (go(0, size, [])) return size
  return null
}

describe('one table, many diets', () => {
  it('bakes as few as trying all of them does, and feeds everybody what they can eat', () => {
    fc.assert(
      fc.property(made, (table) => {
        const found = ask(table)
        const least = byHand(table)
        const times = found.bakes.reduce((n, b) => n + b.times, 0)
        expect(found.proven).toBe(true)
        if (least === null) {
          // More than five, or none at all: then somebody is named.
          if (!found.unfed.length) expect(times).toBeGreaterThan(5)
          for (const g of found.guests) if (found.unfed.some((u) => u.needs.join() === g.needs.join())) expect(g.portions).toEqual([])
          return
        }
        expect(times).toBe(least)
        found.guests.forEach((g) => {
          expect(g.portions.reduce((n, p) => n + p.count, 0)).toBe(g.count)
          for (const p of g.portions) {
            const at = Number(p.id.slice(1))
            expect(g.needs.filter((n) => breaks(table.cakes[at]!.has).has(n))).toEqual([])
            expect(g.can).toContain(p.id)
          }
        })
        for (const b of found.bakes) expect(b.taken).toBeLessThanOrEqual(b.slices)
        expect(found.left).toBe(found.bakes.reduce((n, b) => n + b.slices - b.taken, 0))
      }),
      { numRuns: 150 },
    )
  })

  const ELEVEN = [
    { needs: ['vegan' as const], count: 2 },
    { needs: ['gluten-free' as const], count: 2 },
    { needs: ['nut-free' as const], count: 1 },
    { needs: ['eggless' as const], count: 1 },
    { needs: ['dairy-free' as const], count: 1 },
  ]
  const CAKES = [
    { has: [0, 1, 2], slices: 12 },
    { has: [4], slices: 8 },
    { has: [0, 1, 2, 3], slices: 10 },
  ]

  it('feeds eleven guests with five needs from two bakes: one cake for all where it is large enough', () => {
    const { bakes, guests } = ask({ guests: [...ELEVEN, { needs: [], count: 4 }], cakes: CAKES })
    expect(bakes.map((b) => [b.id, b.times])).toEqual([['c1', 2]])
    expect(guests.find((g) => g.needs.includes('vegan'))!.portions).toEqual([{ id: 'c1', count: 2 }])
  })

  it('else an ordinary one beside it, the cleaner baked first', () => {
    const { bakes, order } = ask({ guests: [...ELEVEN, { needs: [], count: 12 }], cakes: CAKES })
    expect(bakes.map((b) => b.id)).toEqual(['c1', 'c0'])
    expect(order[0]!.why).toMatch(/First, in a clean kitchen/)
    expect(order[0]!.why).toMatch(/no .*gluten/)
  })

  it('feeds a hall: ninety guests of every need from many cakes', () => {
    const cakes = Array.from({ length: 60 }, (_, i) => ({ has: [0, 1, 2, 3, 4].filter((b) => (i >> b) & 1), slices: 8 + (i % 9) }))
    const guests = HARD_NEEDS.map((n) => ({ needs: [n], count: 9 }))
    const { bakes, proven, guests: fed } = ask({ guests: [...guests, { needs: [], count: 40 }], cakes })
    expect(proven).toBe(true)
    expect(fed.every((g) => g.portions.reduce((n, p) => n + p.count, 0) === g.count)).toBe(true)
    // No cake holds more than sixteen slices.
    expect(bakes.reduce((n, b) => n + b.times, 0)).toBe(Math.ceil((HARD_NEEDS.length * 9 + 40) / 16))
  })

  it('is refused without a solver, and the refusal says so', () => {
    expect(() => answer('table', { guests: [{ needs: [], count: 1 }], candidates: [{ id: 'a', text: cake([]) }] })).toThrow(/solver/)
  })

  it('names whom nothing feeds, and does not pretend', () => {
    const found = ask({ guests: [{ needs: ['gluten-free', 'vegan'], count: 2 }], cakes: [{ has: [0], slices: 12 }] })
    expect(found.bakes).toEqual([])
    expect(found.unfed).toEqual([{ needs: ['gluten-free', 'vegan'], because: 'Nothing here is gluten-free and vegan.' }])
  })

  it('plans for the others all the same', () => {
    const found = ask({
      guests: [
        { needs: ['gluten-free'], count: 1 },
        { needs: [], count: 7 },
      ],
      cakes: [{ has: [0], slices: 12 }],
    })
    expect(found.unfed).toHaveLength(1)
    expect(found.bakes.map((b) => b.taken)).toEqual([7])
    expect(found.left).toBe(5)
  })

  it('names the labels that somebody’s need hangs on', () => {
    const text = 'Cake\n200 g rice flour\n100 g dark chocolate\n100 g sugar\n100 ml water'
    const { bakes } = answer(
      'table',
      { guests: [{ needs: ['dairy-free'], count: 3 }], candidates: [{ id: 'a', text, slices: 8 }], region: 'uk' },
      { solve },
    )
    expect(bakes[0]!.labels).toContain('chocolate-dark')
  })

  it('refuses what is no table', () => {
    expect(() => answer('table', { guests: [], candidates: [] })).toThrow()
    expect(() => answer('table', { guests: [{ needs: ['sunshine'], count: 1 }], candidates: [{ id: 'a', text: 'x' }] })).toThrow()
  })
})
