import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'
import { tinMl } from './volume'

const box = (tins: string, boxes = 1) =>
  answer('balance', {
    text: `Box cake\nTin: ${tins}\n${boxes} box${boxes > 1 ? 'es' : ''} (15.25 oz) yellow cake mix\n${3 * boxes} eggs\n${boxes} cup water\n${boxes / 2} cup oil\nMethod:\nBeat two minutes.`,
  }).boxes!

describe('boxes for tins', () => {
  it('one box is right for two small layers or a 9x13, thin in three', () => {
    expect(box('8 in round x2').wants).toBe(1)
    for (const tins of ['9x13 in', '24 cupcakes', '12-cup fluted']) expect(box(tins).wants, tins).toBe(1)
    expect(box('9 in round x3').wants).toBeGreaterThanOrEqual(2)
    expect(box('9 in round x3').message).toMatch(/thin layers/)
    expect(box('8 in round', 2).message).toMatch(/rise over/)
  })

  it('twice the boxes fill twice as much', () => {
    expect(box('9 in round x3', 2).fill / box('9 in round x3').fill).toBeCloseTo(2, 1)
  })

  it('says nothing where there is no box', () => {
    expect(answer('balance', { text: 'Cake\nTin: 20 cm round\n200 g flour\n200 g sugar\n4 eggs' }).boxes).toBeUndefined()
  })
})

describe('what a tin holds', () => {
  // Water poured to the rim of common tins.
  it.each([
    [{ shape: 'round', mm: { diameter: 203, height: 51 } }, 1650],
    [{ shape: 'rect', mm: { width: 229, length: 330, height: 51 } }, 3850],
    [{ shape: 'loaf', mm: { width: 127, length: 229, height: 70 } }, 1790],
    [{ shape: 'fluted', mm: { diameter: 250 } }, 3000],
    [{ shape: 'cupcake', mm: {} }, 100],
  ] as const)('%j holds about %d ml', (tin, ml) => {
    expect(tinMl(tin)! / ml).toBeGreaterThan(0.9)
    expect(tinMl(tin)! / ml).toBeLessThan(1.1)
  })
})
