import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'
import { readTin } from '../language/tin'
import { atOnce, batchesOf } from './batches'

const tin = (text: string) => readTin(text)!

describe('batches', () => {
  it('two sandwich tins go in together, four do not without a fan', () => {
    expect(atOnce(tin('20 cm round'), false)).toBe(2)
    expect(batchesOf([tin('20 cm round x2')], false).count).toBe(1)
    expect(batchesOf([tin('20 cm round x4')], false)).toEqual({ count: 2, each: 2 })
    expect(batchesOf([tin('20 cm round x4')], true).count).toBe(1)
    expect(batchesOf([tin('24 cupcakes')], false).count).toBeGreaterThan(1)
  })

  it('more tins never make fewer batches, a larger tin never more at once', () => {
    for (let n = 1; n < 12; n++)
      expect(batchesOf([tin(`20 cm round x${n + 1}`)], false).count).toBeGreaterThanOrEqual(
        batchesOf([tin(`20 cm round x${n}`)], false).count,
      )
    for (let cm = 12; cm < 30; cm++)
      expect(atOnce(tin(`${cm + 1} cm round`), false)).toBeLessThanOrEqual(atOnce(tin(`${cm} cm round`), false))
  })

  it('a bake says how long the second batch waits, and what its batter bears', () => {
    const bake = (family: string, tin: string) =>
      answer('bake', { recipe: undefined, batterGrams: 1800, family, tin, oven: { celsius: 180, mode: 'static' } })
    const note = (a: ReturnType<typeof bake>) => a.notes.find((n) => n.code === 'second-batch')?.message
    expect(note(bake('butter-layer', '20 cm round x4'))).toMatch(/2 at a time, 2 batches.*fridge/)
    expect(note(bake('foam', '20 cm round x4'))).toMatch(/half done/)
    expect(note(bake('butter-layer', '20 cm round x2'))).toBeUndefined()
  })
})
