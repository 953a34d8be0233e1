import { describe, expect, it } from 'vitest'
import { CHANGES } from '../swaps/schools'
import type { Oven, Recipe } from '../recipe/recipe'
import { ovenAfter } from './oven'

const oven: Oven[] = [{ celsius: 180, fan: false, minutes: [25, 30] }]
const recipe = (method: string[] = []): Recipe => ({ title: 'Cake', yield: null, tins: [], oven, parts: [], method })
const school = (id: string) =>
  Object.values(CHANGES)
    .flat()
    .find((c) => c.id === id)!
const after = (ids: string[], r = recipe()) =>
  ovenAfter(
    oven,
    ids.map((id) => ({ change: school(id) })),
    r,
  )

describe('the oven after a change', () => {
  it('stays as it was where nothing asks for another', () => {
    expect(after([])).toEqual({ oven, steps: [] })
  })

  it.each([
    ['honey', 170, 25],
    ['allulose', 165, 25],
    ['gf-blend', 180, 28],
    ['cut-fat', 180, 22],
  ])('%s bakes at %d °C from %d minutes', (id, celsius, minutes) => {
    const { oven: now } = after([id])
    expect(now[0]!.celsius).toBe(celsius)
    expect(now[0]!.minutes![0]).toBe(minutes)
  })

  it('two reasons to go cooler do not add up, minutes do', () => {
    const { oven: now } = after(['honey', 'allulose', 'gf-blend'])
    expect(now[0]!.celsius).toBe(165)
    expect(now[0]!.minutes).toEqual([28, 34])
  })

  it('says so in words, and warns of a dark tin that the method names', () => {
    const { steps } = after(['honey'], recipe(['Pour into a dark metal tin and bake.']))
    expect(steps[0]!.text).toMatch(/170 °C, 10 °C lower/)
    expect(steps.some((s) => /dark or glass tin/.test(s.text))).toBe(true)
  })

  it('takes its share of the time: a thin sheet hardly longer, a loaf minutes more, a cheesecake with a spoonful of flour none', () => {
    const gf = [{ change: school('gf-blend') }]
    const of = (minutes: [number, number], r = recipe()) => ovenAfter([{ celsius: 180, fan: false, minutes }], gf, r).oven[0]!.minutes!
    expect(of([10, 12])).toEqual([11, 13])
    expect(of([60, 70])[0]).toBeGreaterThan(65)
    const line = (ingredient: string, grams: number) =>
      ({
        text: '',
        ingredient,
        name: '',
        grams: { low: grams, high: grams, best: grams },
      }) as unknown as Recipe['parts'][number]['lines'][number]
    const cheesecake = {
      ...recipe(),
      parts: [{ name: 'Filling', role: 'batter', lines: [line('cream-cheese', 900), line('flour-plain', 24)] }],
    } as unknown as Recipe
    expect(of([50, 60], cheesecake)).toEqual([50, 60])
  })

  it('never bakes for less than a minute', () => {
    const { oven: now } = ovenAfter([{ celsius: 200, fan: false, minutes: [2, 3] }], [{ change: school('cut-fat') }], recipe())
    expect(now[0]!.minutes!.every((m) => m >= 1)).toBe(true)
  })
})
