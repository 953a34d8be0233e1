import { describe, expect, it } from 'vitest'
import { answer } from '../../core/contract/handle'
import { placeOn, STRIPS } from './strips'
import { verdictOf } from './verdict'
import { compareLines, compareRatios } from './versions'
import { degreeWord, WISHES, wishWords } from './wishes'
import { GOALS } from '../../core/reformulate/goals'

const SPONGE =
  'Sponge\nTin: 20 cm round x2\n200 g butter\n200 g caster sugar\n200 g plain flour\n2 tsp baking powder\n4 eggs\nMethod:\nCream, beat in eggs, fold in flour.'
const balance = (text: string) => answer('balance', { text, region: 'uk' })
const eggless = () => answer('reformulate', { text: SPONGE, region: 'uk', goals: ['eggless'] })

describe('a strip of the board', () => {
  const band = { low: 1, high: 2 }
  it('has its band in the middle and its marks within the ends', () => {
    for (const value of [-100, 0.5, 1, 1.5, 2, 3, 100]) {
      const p = placeOn(band, undefined, value, 1.2)
      expect(p.from).toBeLessThan(p.to)
      for (const x of [p.now, p.before!, p.from, p.to]) {
        expect(x).toBeGreaterThan(0)
        expect(x).toBeLessThan(1)
      }
    }
  })

  it('says on which side of the band a value lies', () => {
    expect(placeOn(band, undefined, 0.9, undefined).side).toBe('low')
    expect(placeOn(band, undefined, 1.5, undefined).side).toBe('in')
    expect(placeOn(band, undefined, 2.1, undefined).side).toBe('high')
  })

  it('further right means more, always', () => {
    const places = [0.2, 0.9, 1.1, 1.9, 2.4].map((v) => placeOn(band, undefined, v, undefined).now)
    expect([...places].sort((a, b) => a - b)).toEqual(places)
  })

  it('writes every ratio in words or numbers', () => {
    const { metrics } = balance(SPONGE)
    for (const s of STRIPS) {
      const value = metrics[s.key]
      if (value !== undefined) expect(s.write(value)).not.toMatch(/NaN|undefined/)
    }
  })
})

describe('the one sentence at the foot', () => {
  it('calls a sound recipe sound, and a spoiled one by its fault', () => {
    expect(verdictOf(balance(SPONGE), null, null)).toMatchObject({ headline: 'Sound as it is.', tone: 'sound' })
    const spoiled = verdictOf(balance(SPONGE.replace('200 g caster', '600 g caster')), null, null)
    expect(spoiled.tone).toBe('stop')
    expect(spoiled.headline).toMatch(/sugar/i)
  })

  it('says how the new cake differs, and what is left undone', () => {
    const found = eggless()
    const { headline, detail, tone } = verdictOf(balance(SPONGE), found, found.options[0]!)
    expect(headline).toMatch(/than the original\.$/)
    expect(detail).toMatch(/left undone|goes missing/)
    expect(tone).toBe('sound')
  })

  it('stops where there is no way, with the reason', () => {
    const angel = 'Angel\n360 g egg whites\n300 g sugar\n115 g cake flour\nMethod:\nWhip the whites to peaks.'
    const none = answer('reformulate', { text: angel, region: 'uk', goals: ['eggless'] })
    const v = verdictOf(balance(angel), none, none.impossible!.nearest)
    expect(v.tone).toBe('stop')
    expect(v.detail).toMatch(/egg foam/)
  })

  it('calls nothing in balance whose mark stands outside its band', () => {
    const found = eggless()
    for (const option of found.options) {
      const { detail } = verdictOf(balance(SPONGE), found, option)
      const off = STRIPS.some((s) => {
        const band = s.key === 'sweetness' ? undefined : option.bands[s.key]
        const value = option.metrics[s.key as keyof typeof option.metrics] as number | undefined
        return band !== undefined && value !== undefined && (value < band.low || value > band.high)
      })
      expect(detail.startsWith('In balance.')).toBe(!off && !option.findings.some((f) => f.severity !== 'note'))
    }
  })

  it('waits for the sums', () => expect(verdictOf(null, null, null).headline).toBe('Weighing…'))
})

describe('version against version', () => {
  const parsed = answer('parse', { text: SPONGE, region: 'uk' }).recipe
  const other = eggless().options[0]!.recipe

  it('has every ingredient of both once, with its grams', () => {
    const lines = compareLines([parsed, other], 'uk')
    const total = (at: number) => lines.reduce((sum, l) => sum + l.grams[at]!, 0)
    const grams = (r: typeof parsed) => r.parts.flatMap((p) => p.lines).reduce((sum, l) => sum + l.grams.best, 0)
    expect(total(0)).toBeCloseTo(grams(parsed), 6)
    expect(total(1)).toBeCloseTo(grams(other), 6)
    expect(new Set(lines.map((l) => `${l.part}${l.name}`)).size).toBe(lines.length)
    expect(lines.find((l) => /egg/.test(l.name))!.grams[1]).toBe(0)
  })

  it('marks the ratios that differ, and none against itself', () => {
    const [a, b] = [balance(SPONGE), answer('balance', { recipe: other, region: 'uk' })]
    const differs = (of: (typeof a)[]) => compareRatios(of).some((r) => new Set(r.values).size > 1)
    expect(differs([a, b])).toBe(true)
    expect(differs([a, a, a])).toBe(false)
  })
})

describe('wishes', () => {
  it('are goals that the engine knows, each once', () => {
    for (const w of WISHES) expect(GOALS).toContain(w.id)
    expect(new Set(WISHES.map((w) => w.id)).size).toBe(WISHES.length)
  })

  it('have degrees in words, the middle one the usual', () => {
    for (const w of WISHES) for (const d of w.degrees ?? []) expect(degreeWord(d)).not.toMatch(/%/)
    expect(degreeWord(0.37)).toBe('37 %')
  })

  it('are written on the card in their own words', () => {
    expect(wishWords(['eggless', 'less-sugar', 'softer'])).toEqual(['less sugar', 'softer'])
  })
})
