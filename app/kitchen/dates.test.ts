import { describe, expect, it } from 'vitest'
import { dateName, dayName, hourName, momentName } from '~/kitchen/dates'

describe('days and hours as the region writes them', () => {
  it('a British kitchen says the day before the month and counts to 24, an American one does not', () => {
    expect(dayName('2027-06-12T15:00', 'uk')).toBe('Saturday 12 June')
    expect(dayName('2027-06-12', 'us')).toBe('Saturday, June 12')
    expect(momentName('2027-06-12T15:05', 'uk', '2027-06-12T20:00')).toBe('15:05')
    expect(momentName('2027-06-12T15:05', 'us', '2027-06-12T20:00')).toMatch(/^3:05\sPM$/)
  })

  it('another day is named, the day that is meant anyway is not', () => {
    expect(momentName('2027-06-11T15:05', 'uk', '2027-06-12T20:00')).toBe('Fri 15:05')
  })

  it('whole hours on an axis are short', () => {
    expect(hourName('2027-06-12T15:00', 'uk')).toBe('15:00')
    expect(hourName('2027-06-12T15:00', 'us')).toMatch(/^3\sPM$/)
    expect(hourName('2027-06-12T15:30', 'us')).toMatch(/^3:30\sPM$/)
  })

  it('a date that may be long past has its year', () => {
    const at = new Date('2027-06-12T12:00').getTime()
    expect(dateName(at, 'uk')).toBe('12 Jun 2027')
    expect(dateName(at, 'us', false)).toBe('Jun 12')
  })
})
