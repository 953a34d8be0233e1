import fc from 'fast-check'
import { expect, it } from 'vitest'
import { isoOf, minuteOf } from './day'

it('there and back, as the platform’s own calendar has it', () => {
  fc.assert(
    fc.property(fc.integer({ min: -30_000_000, max: 90_000_000 }), (minute) => {
      expect(minuteOf(isoOf(minute))).toBe(minute)
      expect(isoOf(minute)).toBe(new globalThis.Date(minute * 60_000).toISOString().slice(0, 16))
    }),
  )
  for (const bad of ['2027-02-30T10:00', '2027-13-01T10:00', '2027-01-01T25:00', 'soon']) expect(minuteOf(bad)).toBeNaN()
})
