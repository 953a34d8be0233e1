import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'
import { CLASSICS } from '../fixtures/classics'
import { EVERYDAY } from '../fixtures/everyday'
import type { CounterRequest } from './steps'

const SPONGE = `Sandwich
Tin: 20 cm round x2
Oven: 180 C
Sponge:
200 g butter, soft
200 g caster sugar
4 eggs
200 g plain flour
2 tsp baking powder
Icing:
120 g butter
240 g icing sugar
Method:
Cream the butter and sugar until pale.
Beat in the eggs one at a time.
Fold in the flour.
Divide between the tins and bake 25 minutes.
Cool on a rack.
Beat the icing and fill the cold cake.`
const counter = (text: string, more: Partial<CounterRequest> = {}) => answer('counter', { text, region: 'uk', ...more })
const step = (text: string, word: RegExp) => counter(text).steps.find((s) => word.test(s.text))!
const names = (text: string, word: RegExp) => step(text, word).uses.map((u) => u.name)

describe('a recipe baked along', () => {
  const all = [...CLASSICS.map((c) => [c.name, c.text] as const), ...EVERYDAY.map((e) => [e.name, e.text] as const)]
  it.each(all)('%s: every line that weighs anything is at exactly one step', (_, text) => {
    const { recipe } = answer('parse', { text, region: 'uk' })
    const lines = recipe.parts.flatMap((p, part) => p.lines.flatMap((l, at) => (l.grams.best > 0 ? [`${part}.${at}`] : [])))
    const used = counter(text).steps.flatMap((s) => s.uses.map((u) => u.id))
    expect(new Set(used).size).toBe(used.length)
    expect(lines.filter((l) => !used.includes(l))).toEqual([])
  })

  it('keeps that however the steps are shuffled, cut or missing', () => {
    const steps = SPONGE.split('Method:\n')[1]!.split('\n')
    const head = SPONGE.split('Method:\n')[0]!
    fc.assert(
      fc.property(fc.shuffledSubarray(steps), (some) => {
        const used = counter(some.length ? `${head}Method:\n${some.join('\n')}` : head).steps.flatMap((s) => s.uses.map((u) => u.id))
        return new Set(used).size === used.length && used.length === 7
      }),
      { numRuns: 60 },
    )
  })

  it('gives butter to the batter before the oven and to the icing after it', () => {
    expect(step(SPONGE, /^Cream/).uses.map((u) => u.part)).toEqual([0, 0])
    expect(step(SPONGE, /^Beat the icing/).uses.map((u) => `${u.part} ${u.ingredient}`)).toEqual(['1 butter-unsalted', '1 sugar-icing'])
  })

  it('tells what the method forgets, with the flour, and says that it does', () => {
    const powder = step(SPONGE, /^Fold/).uses.find((u) => u.ingredient === 'baking-powder')
    expect(powder?.unnamed).toBe(true)
  })

  it('knows wet from dry', () => {
    const muffins =
      'Muffins\n200 g flour\n2 tsp baking powder\n100 g sugar\n1 egg\n180 ml milk\n60 ml oil\nMethod:\nWhisk the wet things.\nStir in the dry.\nBake.'
    expect(names(muffins, /wet/)).toEqual(['sugar', 'egg', 'milk', 'oil'])
    expect(names(muffins, /dry/)).toEqual(['flour', 'baking powder'])
  })

  it('heats the oven so early that it is hot when the batter is ready', () => {
    const { steps } = counter(SPONGE)
    const at = steps.findIndex((s) => s.reminders.some((r) => r.code === 'preheat'))
    const bake = steps.findIndex((s) => s.kind === 'bake')
    const before = steps.slice(at, bake).reduce((m, s) => m + s.minutes.best, 0)
    expect(at).toBeGreaterThanOrEqual(0)
    expect(before >= 18 || at === 0).toBe(true)
  })

  it('reminds of the tins only where the method does not, and greases no tin that a foam climbs', () => {
    const lined = (text: string) =>
      counter(text)
        .steps.flatMap((s) => s.reminders)
        .find((r) => r.code === 'line')?.text
    expect(lined(SPONGE)).toMatch(/Grease and line: 20 cm round/)
    expect(lined(SPONGE.replace('Cream the', 'Line the tins. Cream the'))).toBeUndefined()
    const angel =
      'Angel cake\nTin: 25 cm ring\nOven: 175 C\n12 egg whites\n300 g sugar\n120 g cake flour\n1 tsp cream of tartar\nMethod:\nWhip the whites to soft peaks with the sugar.\nFold in the flour.\nBake.'
    expect(lined(angel)).toMatch(/without grease/)
  })

  it('bears fewer spoons the wetter the batter is', () => {
    const spoons = (milk: number) => counter(SPONGE.replace('4 eggs', `4 eggs\n${milk} ml milk`)).spoon!.most
    const found = [0, 40, 80, 120, 160].map(spoons)
    expect(found.every((n, i) => i === 0 || n <= found[i - 1]!)).toBe(true)
    expect(found[0]).toBeGreaterThan(0)
    expect(found.at(-1)).toBe(0)
  })

  it('says before it begins what can hurt somebody, and only that is grave', () => {
    const grave = (needs: CounterRequest['needs']) =>
      counter(SPONGE, { needs })
        .cautions.filter((c) => c.grave)
        .map((c) => c.code)
    expect(grave([])).toEqual([])
    expect(grave(['gluten-free'])).toEqual(['hard-need', 'coeliac'])
  })

  it('keeps the rest of the milk apart from the rest of the recipe', () => {
    const { recipe } = answer('frosting', { kind: 'pastry-cream', grams: 300, region: 'uk' })
    const { steps } = counter(SPONGE, {
      finish: [{ text: 'Spread it.', hands: 10, wait: 0, cold: false }],
      components: [{ name: 'Pastry cream', recipe }],
    })
    const [first, , third] = steps.filter((s) => s.id.startsWith('made:'))
    expect(first!.uses.map((u) => u.ingredient)).not.toContain('vanilla-extract')
    expect(third!.uses.map((u) => u.ingredient)).toContain('vanilla-extract')
    for (const u of steps.flatMap((s) => s.uses)) expect(u.kitchen).not.toMatch(/\d{2,}\.\d+ g|[½⅓¼] g/)
  })

  it('makes the components of a finish while the cake cools, in place of the recipe’s own icing', () => {
    const { recipe } = answer('frosting', { kind: 'butter-icing', grams: 400, region: 'uk' })
    const { steps } = counter(SPONGE, {
      finish: [{ text: 'Spread it.', hands: 10, wait: 0, cold: false }],
      components: [{ name: 'Butter icing', recipe }],
    })
    const made = steps.findIndex((s) => s.id.startsWith('made:'))
    expect(made).toBeGreaterThan(steps.findIndex((s) => s.kind === 'cool'))
    expect(steps.flatMap((s) => s.uses).some((u) => u.id.startsWith('1.'))).toBe(false)
    expect(steps.slice(made).flatMap((s) => s.uses.map((u) => u.ingredient))).toContain('sugar-icing')
  })

  it('what one line is dissolved in goes along with it', () => {
    const icing =
      'Loaf\n150 g soft butter\n150 g sugar\n3 eggs\n150 g self-raising flour\nFor the icing: 75 g soft butter, 150 g icing sugar, 2 tsp instant espresso dissolved in 2 tsp hot water\n\nMethod\nBeat the butter, sugar, eggs and flour. Bake for 50 minutes. Cool.\nBeat the butter and icing sugar for the icing with the coffee. Spread over the cake.'
    expect(names(icing, /icing with the coffee/)).toContain('hot water')
  })

  it('“make a dough” uses what is for it, and yeast is no failed cake', () => {
    const bun =
      'Tray bun\nDough: 500 g flour, 7 g dried yeast, 250 ml milk, 75 g sugar, 75 g butter, 1 egg\nTopping: 100 g butter, 100 g sugar, 100 g flaked almonds\n\nMethod\nKnead a dough, let it rise 45 min. Roll out on a tray.\nHeat the butter and sugar, stir in the almonds, spread on the dough. Bake at 200 C for 25 min.'
    expect(names(bun, /Knead/)).toEqual(['flour', 'dried yeast', 'milk', 'sugar', 'butter', 'egg'])
    expect(answer('balance', { text: bun, region: 'uk' }).findings.filter((f) => f.severity !== 'note')).toEqual([])
    const vegan = answer('reformulate', { text: bun, region: 'uk', goals: ['eggless'] }).options[0]!
    expect(vegan.lines.filter((l) => /^baking-/.test(l.ingredient) && l.to > 0)).toEqual([])
  })

  it('what is served warm does not wait until it is cold', () => {
    const mug =
      'Mug cake\n4 tbsp self-raising flour\n4 tbsp sugar\n1 egg\n3 tbsp milk\n3 tbsp oil\n\nMethod\nMix all the dry ingredients in a mug. Add the egg, milk and oil. Microwave for 3 minutes. Eat warm.'
    expect(counter(mug).steps.map((s) => s.kind)).not.toContain('cool')
    expect(names(mug, /dry/)).toContain('sugar')
  })
})
