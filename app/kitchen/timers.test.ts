import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { callsDue, clockText, standing, type Timer } from './timers'

const timer = (more: Partial<Timer> = {}): Timer => ({
  id: 't',
  label: 'Bake',
  step: 's',
  began: 1_000_000,
  minutes: 30,
  called: 0,
  ...more,
})

describe('a timer kept as a moment', () => {
  it('stands where it would, however long nobody looked', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e5 }), fc.integer({ min: 1, max: 600 }), (seconds, minutes) => {
        const now = standing(timer({ minutes }), 1_000_000 + seconds * 1000)
        expect(now.left).toBe(minutes * 60 - seconds)
        expect(now.state).toBe(seconds >= minutes * 60 ? 'over' : 'runs')
      }),
    )
  })

  it('calls to look first, then that it is time', () => {
    const t = timer({ look: 24 })
    const at = (min: number) => callsDue(t, t.began + min * 60_000)
    expect([0, 23.9, 24, 29.9, 30, 300].map(at)).toEqual([0, 0, 1, 1, 2, 2])
  })

  it('does not run backwards where the clock of the machine is put back', () => {
    expect(standing(timer(), 0).left).toBe(1800)
  })

  it.each([
    [0, '0:00'],
    [59, '0:59'],
    [754, '12:34'],
    [3905, '1:05:05'],
    [-130, '−2:10'],
  ])('%i s reads %s', (seconds, text) => {
    expect(clockText(seconds)).toBe(text)
  })
})
