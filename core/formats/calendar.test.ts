import ICAL from 'ical.js'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { isoOf } from '../measure/day'
import { toCalendar } from './calendar'

describe('the calendar file', () => {
  it('read back by another parser says the same', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            start: fc.integer({ min: 26_000_000, max: 40_000_000 }),
            minutes: fc.integer({ min: 1, max: 900 }),
            title: fc.string({ minLength: 1, maxLength: 60 }),
          }),
          { minLength: 1, maxLength: 12 },
        ),
        (days) => {
          const entries = days.map((d, i) => ({
            id: `bake:${i}`,
            title: d.title,
            notes: 'hands',
            start: isoOf(d.start),
            end: isoOf(d.start + d.minutes),
            handsOn: i % 2 === 0,
          }))
          const file = toCalendar('Regatta tea', entries, 1_800_000_000_000)
          const read = new ICAL.Component(ICAL.parse(file) as unknown as string).getAllSubcomponents('vevent').map((v) => new ICAL.Event(v))
          expect(read.map((e) => [e.summary.trim(), e.startDate.toString().slice(0, 16), e.endDate.toString().slice(0, 16)])).toEqual(
            entries.map((e) => [e.title.trim(), e.start, e.end]),
          )
          expect(new Set(read.map((e) => e.uid)).size).toBe(entries.length)
          for (const line of file.split('\r\n')) expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(76)
        },
      ),
    )
  })
})
