import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'
import { classic } from '../fixtures/classics'
import { LEARNED, type Observation } from './learn'
import { lessonFor, lessonsOf } from './lessons'

const many = (kind: Observation['kind'], value: number, n = 12): Observation[] =>
  Array.from({ length: n }, () => ({ kind, family: kind === 'cup' ? 'flour' : 'butter-layer', value }))
const { text, region } = classic('one-two-three-four')
const bake = (learned?: object) =>
  answer('bake', { text, region, tin: '20 cm round', oven: { celsius: 180, mode: 'static' }, ...(learned && { learned }) })

describe('what a kitchen has taught, taken into its predictions', () => {
  it('is nothing where nothing was seen, and its requests are as without it', () => {
    expect(lessonsOf([])).toEqual({})
    expect(bake({})).toEqual(bake())
  })

  it('goes the way of what was seen, and never as far', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('minutes', 'rise', 'moistness', 'sweetness', 'cup'),
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.integer({ min: 1, max: 20 }),
        (kind, share, n) => {
          const value = share * LEARNED[kind].noise
          const lessons = lessonsOf(many(kind, value, n))
          const got = kind === 'cup' ? Math.log(lessons.cup!.factor) : lessons[kind]!.families['butter-layer']!
          const step = kind === 'minutes' || kind === 'rise' ? Math.log(got) : got
          expect(Math.abs(step)).toBeLessThanOrEqual(Math.abs(value) + 0.001)
          expect(step * value).toBeGreaterThanOrEqual(-0.001)
        },
      ),
    )
  })

  it('holds for a family that was baked, and for the kitchen where it was not', () => {
    const { minutes } = lessonsOf([...many('minutes', 0.2), ...many('minutes', 0).map((o) => ({ ...o, family: 'foam' }))])
    expect(lessonFor(minutes, 'butter-layer', 1)).toBeGreaterThan(lessonFor(minutes, 'foam', 1))
    expect(lessonFor(minutes, 'muffin', 1)).toBe(minutes!.kitchen)
    expect(lessonFor(undefined, 'foam', 1)).toBe(1)
  })

  it('draws out the minutes and raises the height, each by what it has learned', () => {
    const plain = bake()
    const slow = bake({ minutes: { kitchen: 1.2, families: {} } })
    const tall = bake({ rise: { kitchen: 1, families: { [answer('balance', { text, region }).family]: 1.1 } } })
    expect(slow.minutes!.best / plain.minutes!.best).toBeCloseTo(1.2, 1)
    expect(slow.heightMm).toBe(plain.heightMm)
    expect(tall.heightMm / plain.heightMm).toBeCloseTo(1.1, 1)
    expect(tall.minutes).toEqual(plain.minutes)
  })

  it('finds a cake sweeter where the table does, and says that bakes taught it', () => {
    const crumb = (learned: object) => answer('balance', { text, region, learned }).crumb
    const sweet = (learned: object) => crumb(learned).find((c) => c.trait === 'sweet')?.direction ?? 0
    const taught = { sweetness: { kitchen: 1.2, families: {} }, moistness: { kitchen: -1.5, families: {} } }
    expect(sweet(taught)).toBeGreaterThan(sweet({}))
    expect(crumb(taught).find((c) => c.trait === 'moist')).toMatchObject({ because: expect.arrayContaining(['learned']) })
    expect(crumb({}).flatMap((c) => c.because)).not.toContain('learned')
  })

  it('a heavy cup makes a drier mix where flour goes in by the cup, and none on the scale', () => {
    const ask = (tools: string, cup?: object) => answer('uncertainty', { text, region, tools, ...(cup && { learned: { cup } }) })
    const heavy = { factor: 1.2, sd: 0.06 }
    expect(ask('cups', heavy).metrics.moisture!.p50).toBeLessThan(0.95 * ask('cups').metrics.moisture!.p50)
    expect(ask('cups', heavy).filled[0]).toMatchObject({ ingredient: 'flour-plain' })
    const [flour] = ask('cups', heavy).filled
    expect(flour!.here / flour!.means).toBeCloseTo(1.2, 1)
    expect(ask('scale', heavy)).toEqual(ask('scale'))
  })

  it('a measured cup is surer than anybody’s', () => {
    const width = (cup?: object) => {
      const { moisture } = answer('uncertainty', { text, region, tools: 'cups', ...(cup && { learned: { cup } }) }).metrics
      return moisture!.p95 - moisture!.p5
    }
    expect(width({ factor: 1, sd: 0.06 })).toBeLessThan(0.9 * width())
  })

  it.each([
    ['minutes', { minutes: { kitchen: 9 } }],
    ['cup', { cup: { factor: 0 } }],
    ['moistness', { moistness: { kitchen: 0, families: { foam: 8 } } }],
  ])('absurd %s are refused', (_, learned) => {
    expect(() => answer('balance', { text, region, learned })).toThrow(/learned/)
  })
})
