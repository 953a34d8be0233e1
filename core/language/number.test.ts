import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { writeNumber } from '../measure/number'
import { numberOf } from './number'

describe('numbers as bakers write them', () => {
  it.each([
    ['2', 2],
    ['2.5', 2.5],
    ['2,5', 2.5],
    ['1,000', 1000],
    ['0,125', 0.125],
    [' 180 ', 180],
    ['1/2', 0.5],
    ['1 1/2', 1.5],
    ['1-1/4', 1.25],
    ['1½', 1.5],
    ['2 ¼', 2.25],
    ['⅔', 2 / 3],
    ['half', 0.5],
    ['a third', 1 / 3],
    ['three quarters', 0.75],
    ['two and a half', 2.5],
    ['1 and a half', 1.5],
    ['2 and 1/4', 2.25],
    ['1 & ½', 1.5],
    ['one + a third', 4 / 3],
    ['twelve', 12],
    ['a hundred and seventy-five', 175],
    ['two hundred and fifty', 250],
  ])('reads %s as %d', (text, value) => {
    expect(numberOf(text)).toBeCloseTo(value, 6)
  })

  it.each(['', ' ', 'flour', '1/0x', 'one two', '--', '-5', '1 kg'])('does not take "%s" for a number', (text) => {
    expect(numberOf(text)).toBeUndefined()
  })

  it('reads back what it writes, for every step that spoons and cups have', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 20 }), fc.constantFrom(0, 1 / 8, 1 / 4, 1 / 3, 1 / 2, 2 / 3, 3 / 4), (whole, part) => {
        fc.pre(whole + part > 0)
        expect(numberOf(writeNumber(whole + part))).toBeCloseTo(whole + part, 2)
      }),
    )
  })
})
