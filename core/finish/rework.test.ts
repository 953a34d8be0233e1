import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'
import type { FrostingAnswer } from './frosting'
import { FORMULAS } from './formulas'
import { reduceTo } from './reduce'

const of = (kind: string, goals: string[], more: object = {}) => answer('frosting', { kind, goals, use: 'spread', region: 'uk', ...more })
const grams = (a: FrostingAnswer, pattern: RegExp) =>
  a.recipe.parts.flatMap((p) => p.lines).reduce((g, l) => g + (pattern.test(l.ingredient ?? '') ? l.grams.best : 0), 0)

describe('less fat, less sugar, other sugar', () => {
  it.each(['butter-icing', 'firm-icing', 'cooked-butter-icing', 'cream-cheese-icing', 'ganache', 'fruit-curd'])(
    '%s with less fat has less, and says where it had to stop',
    (kind) => {
      const [before, after] = [of(kind, []), of(kind, ['low-fat'])]
      const kept = after.metrics.fatPct / before.metrics.fatPct
      expect(kept).toBeLessThan(0.95)
      if (kept > 0.75 && kind !== 'ganache') expect(after.changes.join(' ')).toMatch(/Only \d+ % less fat/)
      expect(after.findings.filter((f) => f.severity === 'fault')).toEqual([])
      expect(after.changes.length).toBeGreaterThan(0)
    },
  )

  it.each(['butter-icing', 'cream-cheese-icing', 'foam-butter-icing', 'whipped-cream', 'fruit-curd'])(
    '%s with less sugar loses what was asked and holds as before',
    (kind) => {
      fc.assert(
        fc.property(fc.integer({ min: 10, max: 40 }), (percent) => {
          const [before, after] = [of(kind, []), of(kind, ['less-sugar'], { amount: { 'less-sugar': percent / 100 } })]
          expect(grams(after, /^sugar-/) / grams(before, /^sugar-/)).toBeCloseTo(1 - percent / 100, 1)
          expect(Math.abs(after.firmness.score - before.firmness.score)).toBeLessThan(0.9)
        }),
        { numRuns: 8 },
      )
    },
  )

  it('a ganache gets less sweet by a darker chocolate', () => {
    const after = of('ganache', ['less-sugar'])
    expect(grams(after, /^chocolate-dark-85$/)).toBeGreaterThan(50)
    expect(after.metrics.sugarPct).toBeLessThan(0.8 * of('ganache', []).metrics.sugarPct)
  })

  it('a polyol that does not dissolve is found out, allulose is not', () => {
    const codes = (sweetener?: string) => of('butter-icing', ['sugar-swap'], { sweetener }).findings.map((f) => f.code)
    expect(codes('erythritol')).toContain('grainy')
    expect(codes()).not.toContain('grainy')
    expect(grams(of('butter-icing', ['sugar-swap']), /^sugar-/)).toBe(0)
  })

  it('leaves alone what nothing asks to change', () => {
    for (const kind of Object.keys(FORMULAS)) expect(of(kind, ['nut-free']).changes).toEqual([])
  })
})

describe('eggs in a filling', () => {
  it('pastry cream without egg is set by starch, and carries a layer', () => {
    const text = 'Pastry cream\n500 ml milk\n4 egg yolks\n100 g sugar\n40 g cornflour\n25 g butter'
    for (const goals of [['eggless'], ['vegan']]) {
      const a = answer('frosting', { text, region: 'uk', use: 'fill', goals })
      expect(a.family).toBe('custard')
      expect(grams(a, /^egg/)).toBe(0)
      expect(grams(a, /^cornstarch$/)).toBeGreaterThan(40)
      expect(a.findings.filter((f) => f.severity !== 'note')).toEqual([])
    }
  })
})

describe('warm kitchens', () => {
  it('butter icing and ganache give up by 32 °C, warm-day icing does not', () => {
    const at = (kind: string, roomC: number) =>
      answer('frosting', { recipe: of(kind, [], { use: 'pipe' }).recipe, use: 'pipe', roomC, region: 'uk' }).findings.map((f) => f.code)
    for (const kind of ['butter-icing', 'ganache', 'cream-cheese-icing']) {
      expect(at(kind, 20), kind).not.toContain('runny')
      expect(at(kind, 32), kind).toContain('runny')
    }
    expect(at('firm-icing', 30)).not.toContain('runny')
  })
})

describe('fruit boiled down', () => {
  it('when it stays thin, is thickened by boiling, never by icing sugar', () => {
    const text = 'Compote\n400 g berries\n60 g sugar'
    const thin = answer('frosting', { text, region: 'uk', use: 'fill', trouble: 'runny' })
    expect(thin.rescue!.map((s) => s.ingredient)).not.toContain('sugar-icing')
    const starch = thin.rescue!.find((s) => s.ingredient === 'cornstarch')!
    const mended = answer('frosting', { text: `${text}\n${starch.grams} g cornflour`, region: 'uk', use: 'fill' })
    expect(mended.findings).toEqual([])
  })

  it('loses water and nothing else: its dissolved solids end at the mark', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 200, max: 900 }),
        fc.integer({ min: 40, max: 600 }),
        fc.integer({ min: 30, max: 68 }),
        (fruit, sugar, solids) => {
          const doses = [
            { ingredient: 'berries', grams: fruit },
            { ingredient: 'sugar-white', grams: sugar },
          ]
          const r = reduceTo(doses, solids)
          expect(r.to).toBeLessThanOrEqual(r.from)
          expect(r.from - r.to - r.boilOff).toBeLessThanOrEqual(1)
          expect(reduceTo(doses, solids - 5).to).toBeGreaterThanOrEqual(r.to)
        },
      ),
    )
  })

  it('a jam keeps about two thirds of what went into the pan, and carries a layer', () => {
    const jam = answer('frosting', { kind: 'jam', use: 'fill', grams: 400, region: 'uk' })
    expect(jam.reduction!.to).toBeCloseTo(400, -1)
    expect(jam.reduction!.to / jam.reduction!.from).toBeGreaterThan(0.55)
    expect(jam.reduction!.to / jam.reduction!.from).toBeLessThan(0.8)
    expect(jam.findings).toEqual([])
  })
})
