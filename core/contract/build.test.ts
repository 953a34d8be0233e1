import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { suits } from '../pantry/ingredient'
import { need } from '../pantry/pantry'
import { answer } from './handle'

const VEGAN = (tin: string) => `Vegan vanilla layers
Makes: 12 slices
Tin: ${tin}
Oven: 175 C 28 min
360 g plain flour
300 g caster sugar
360 ml soy milk
120 ml oil
3 tsp baking powder
1 tbsp vinegar
Method:
Whisk the wet, stir in the dry, bake.`
const build = (tin: string, more: object) => answer('build', { text: VEGAN(tin), region: 'uk', goals: ['vegan'], ...more })
const LAYERS = {
  filling: { mm: 6, component: 'fruit-curd' },
  dam: { nozzleMm: 12 },
  crumbCoat: { mm: 2 },
  coat: { mm: 5 },
  border: { nozzleMm: 10 },
}

describe('a cake put together', () => {
  it('three vegan layers: every place has its grams, every bowl its recipe, no need is broken', () => {
    const b = build('20 cm round x3', { places: LAYERS })
    expect(b.tiers[0]).toMatchObject({ shape: 'round', layers: 3 })
    expect(b.components.map((c) => c.component).sort()).toEqual(['butter-icing', 'fruit-curd'])
    for (const c of b.components) {
      expect(c.places.reduce((g, p) => g + p.grams, 0)).toBeCloseTo(c.grams, -1)
      expect(c.made).toBeGreaterThanOrEqual(c.grams)
      const lines = c.recipe!.parts.flatMap((p) => p.lines)
      expect(lines.reduce((g, l) => g + l.grams.best, 0) / c.made).toBeCloseTo(1, 1)
      for (const l of lines) expect(suits(need(l.ingredient!), 'vegan')).not.toBe('never')
    }
    expect(b.findings.filter((f) => f.severity === 'fault')).toEqual([])
    const order = b.steps.map((s) => s.text).join('\n')
    expect(order.indexOf('ring of')).toBeLessThan(order.indexOf('and stack'))
    expect(order.indexOf('Crumb coat')).toBeLessThan(order.indexOf('Last coat'))
    expect(order.indexOf('Last coat')).toBeLessThan(order.indexOf('border'))
    const sugar = b.needs.find((n) => n.ingredient === 'sugar-white')!.grams
    expect(sugar).toBeGreaterThan(350)
  })

  it('a filling that runs cannot carry two layers without a dam', () => {
    const places = { filling: { mm: 6, component: 'bought:jam' } }
    const soft = answer('build', {
      text: `${VEGAN('20 cm round x3')}`.replace('Method:', 'Sauce:\n200 ml water\n100 g sugar\nMethod:'),
      region: 'uk',
      places: { filling: { mm: 6, component: 'own:1' } },
    })
    expect(soft.findings[0]).toMatchObject({ code: 'slides', severity: 'fault' })
    expect(build('20 cm round x3', { places }).findings.map((f) => f.code)).not.toContain('slides')
  })

  it('a tall narrow stack is told of, a flat one is not', () => {
    const codes = (tin: string, split: number) => build(tin, { places: { filling: { mm: 8 } }, cut: { split } }).findings.map((f) => f.code)
    expect(codes('10 cm round x5', 1)).toContain('tall')
    expect(codes('20 cm round x2', 1)).not.toContain('tall')
  })

  it('cupcakes are counted, wells and swirls each', () => {
    const b = build('12 cupcakes', {
      places: { wells: { ml: 8, component: 'bought:jam' }, swirls: { nozzleMm: 12 } },
      colours: { swirls: 2 },
    })
    expect(b.slices).toBe(12)
    expect(b.components.find((c) => c.component === 'bought:jam')!.grams).toBe(125)
    expect(b.steps.some((s) => /in 2 of \d+ g/.test(s.text))).toBe(true)
    expect(b.needs.find((n) => n.ingredient === 'jam')!.grams).toBe(125)
  })

  it('sheets of a crêpe stack and its cream end together', () => {
    fc.assert(
      fc.property(fc.integer({ min: 6, max: 30 }), (sheets) => {
        const b = build('24 cm crepe', { cut: { sheets }, places: { filling: { mm: 2, component: 'whipped-cream' } } })
        const each = Number(/Spread (\d+) g/.exec(b.steps.map((s) => s.text).join(' '))![1])
        expect(Math.abs(each * (sheets - 1) - b.components[0]!.grams)).toBeLessThanOrEqual(sheets)
      }),
      { numRuns: 10 },
    )
  })

  it('levelling gives trimmings, and less cake; a soak makes it heavier and weaker', () => {
    const plain = build('20 cm round x3', { places: { coat: { mm: 5 } } })
    const cut = build('20 cm round x3', { places: { coat: { mm: 5 } }, cut: { trimMm: 6 } })
    expect(plain.trimmings).toBeNull()
    expect(cut.trimmings!.crumbGrams).toBeGreaterThan(100)
    expect(cut.totalGrams).toBeLessThan(plain.totalGrams)
    const soaked = build('9x13 in', { soak: 'milk', places: { top: { mm: 5, component: 'whipped-cream' } } })
    expect(soaked.soak!.grams.best).toBeGreaterThan(300)
    expect(soaked.steps.some((s) => /Pour in the soak/.test(s.text))).toBe(true)
    expect(soaked.findings.map((f) => f.code)).toContain('keep-cold')
  })

  it('whole packages are used up, and what is over has a use', () => {
    const b = build('20 cm round x3', { places: { coat: { mm: 5 }, filling: { mm: 6 } }, wholePackages: true })
    const fat = b.components[0]!.recipe!.parts[0]!.lines.find((l) => l.ingredient === 'plant-butter-block')!
    expect(fat.grams.best % 250).toBeLessThan(6)
    expect(b.components[0]!.left!.use).toMatch(/cupcake/)
  })

  it('more finish is more sugar and fat in a slice, of the finish alone', () => {
    const [thin, thick] = [3, 6].map((mm) => build('20 cm round x3', { places: { coat: { mm } } }).perSlice)
    expect(thick!.finish.sugars).toBeGreaterThan(thin!.finish.sugars)
    expect(thick!.cake).toEqual(thin!.cake)
  })

  it('a ganache takes the more of a chocolate the less cocoa is in it', () => {
    const share = (chocolate: string) => {
      const { recipe } = build('20 cm round x2', { goals: [], places: { coat: { mm: 4, component: `ganache:${chocolate}` } } })
        .components[0]!
      const lines = recipe!.parts[0]!.lines
      const of = lines.find((l) => l.ingredient === chocolate)!.grams.best
      return of / lines.reduce((g, l) => g + l.grams.best, 0)
    }
    expect(share('chocolate-white')).toBeGreaterThan(share('chocolate-dark'))
    expect(share('chocolate-dark-50')).toBeGreaterThanOrEqual(share('chocolate-dark-85'))
    expect(() => build('20 cm round', { places: { coat: { mm: 4, component: 'ganache:mud' } } })).toThrow(/no kind of finish/)
  })

  it('tiers stand one upon the other, the widest below', () => {
    const b = answer('build', {
      text: VEGAN('20 cm round x2').replace('20 cm round x2', '15 cm round x2; 23 cm round x2'),
      region: 'uk',
      places: { coat: { mm: 5 }, filling: { mm: 6 } },
    })
    expect(b.tiers.map((t) => t.mm.diameter)).toEqual([230, 150])
    expect(b.findings.some((f) => /supports/.test(f.message))).toBe(true)
  })
})

describe('trimmings', () => {
  it('take little of what is wet and more of what is thick, and more the softer they should be', () => {
    const of = (binder: string, dough: string) => answer('trimmings', { crumbGrams: 300, binder, dough }).binderGrams
    expect(of('liquid', 'rolls')).toBeLessThan(of('jam', 'rolls'))
    expect(of('jam', 'rolls')).toBeLessThan(of('frosting', 'rolls'))
    for (const binder of ['frosting', 'jam', 'liquid']) expect(of(binder, 'crumbly')).toBeLessThan(of(binder, 'soft'))
  })
})
