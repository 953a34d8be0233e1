import { describe, expect, it } from 'vitest'
import type { Time } from '../language/dial'
import { scan } from '../language/item'
import { heatsOf, reheated, retimed } from './clock'
import { applyEdits } from './text'

const put = (text: string, celsius: number, minutes: number, us = false): string => {
  const s = scan(text, us ? 'us' : 'uk')
  const heats = celsius ? heatsOf(s).map((h) => reheated(s, h, celsius, us)) : []
  const times = minutes ? s.dials.filter((d): d is Time => d.kind === 'time').map((d) => retimed(s, d, minutes)) : []
  return applyEdits(text, [...heats, ...times])
}

describe('times and temperatures that move', () => {
  it.each([
    ['Bake at 180 C for 25 to 30 minutes.', 'Bake at 170 C for 29 to 34 minutes.'],
    ['Bake at 180C/160C fan/gas 4 for 35 mins', 'Bake at 170C/150C fan/gas 3 for 39 mins'],
    ['Bake at 350 °F about 30 min', 'Bake at 330 °F about 34 min'],
    ['Bake for 1 hour.', 'Bake for 1 hour 5 minutes.'],
  ])('“%s” becomes “%s”', (given, wanted) => {
    expect(put(given, -10, 4)).toBe(wanted)
  })

  it('leaves a sentence alone that names neither', () => {
    expect(put('Fold in 2 spoons of the batter.', -10, 4)).toBe('Fold in 2 spoons of the batter.')
  })

  it('takes a bare number for Fahrenheit where the kitchen does', () => {
    expect(put('Bake at 350 for 30 minutes.', -15, 0, true)).toBe('Bake at 325 for 30 minutes.')
  })
})
