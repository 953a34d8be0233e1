import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { dietsOf } from '../balance/balance'
import { answer } from '../contract/handle'
import { CLASSICS } from '../fixtures/classics'
import type { HardNeed } from '../pantry/ingredient'

/** A part that no need concerns, beside a cake that most do. */
const FRUIT = 'For the fruit filling:\n400 g strawberries\n120 g caster sugar\n2 tsp lemon juice\n20 g cornflour'
const NEEDS = ['eggless', 'dairy-free', 'gluten-free', 'vegan', 'nut-free'] as const satisfies readonly HardNeed[]
const WANTS = ['less-sugar', 'low-fat', 'softer', 'lighter'] as const
const cakes = CLASSICS.filter((c) => ['butter-layer', 'loaf', 'oil-layer', 'pound', 'high-ratio'].includes(c.family))
const withFruit = (text: string) => text.replace(/\nMethod:/, `\n\n${FRUIT}\n\nMethod:`)
const reformulated = (text: string, region: string, goals: readonly string[]) =>
  answer('reformulate', { text, region, goals, limit: 3 } as never)

describe('as near to yours as the need allows', () => {
  it.each([
    [
      'a fudge cake',
      'Fudge cake\n225 g plain flour\n350 g caster sugar\n85 g cocoa\n1½ tsp baking powder\n1½ tsp bicarbonate of soda\n2 eggs\n250 ml milk\n125 ml oil\n250 ml boiling water\nMethod:\nWhisk it all. Bake in two 20 cm round tins at 180 C for 30 minutes.',
    ],
    [
      'a sponge',
      'Sponge\n225 g butter\n225 g caster sugar\n4 eggs\n225 g self-raising flour\nMethod:\nCream the butter and sugar. Beat in the eggs. Fold in the flour. Bake in two 20 cm round tins at 180 C for 25 minutes.',
    ],
    [
      'blondies',
      'Blondies\n115 g butter, melted\n200 g light muscovado sugar\n1 egg\n130 g plain flour\n¼ tsp bicarbonate of soda\n150 g dark chocolate chips\nMethod:\nWhisk the butter and sugar. Whisk in the egg. Fold in the flour and soda, then the chips. Bake in a 20 cm square tin at 170 C for 24 minutes.',
    ],
  ])('%s: some way keeps its sugar and its fat', (_, text) => {
    const { options } = answer('reformulate', { text, region: 'uk', goals: ['eggless'] })
    const kept = options.some((o) =>
      o.lines.filter((l) => /^sugar|^butter|^oil/.test(l.ingredient)).every((l) => Math.abs(l.to - l.from) <= 0.1 * l.from),
    )
    expect(kept).toBe(true)
  })

  it('set is never bought by taking the butter out', () => {
    const text =
      'Almond tray\n150 g soft butter\n150 g caster sugar\n3 eggs\n150 g ground almonds\n40 g self-raising flour\nMethod:\nCream the butter and sugar, beat in the eggs, fold in the almonds and flour. Bake in a 20 cm square tin at 180 C for 30 minutes.'
    const { options } = answer('reformulate', { text, region: 'uk', goals: ['eggless'] })
    const butter = options[0]!.lines.find((l) => l.ingredient === 'butter-unsalted')!
    expect(butter.to).toBeGreaterThan(0.85 * butter.from)
  })
})

describe('whatever is asked', () => {
  it('no part changes that was not concerned', () => {
    fc.assert(
      fc.property(fc.constantFrom(...cakes), fc.constantFrom(...NEEDS), (c, need) => {
        for (const o of reformulated(withFruit(c.text), c.region, [need]).options.slice(0, 3)) {
          const fruit = o.lines.filter((l) => /fruit/i.test(l.part))
          expect(fruit.length, `${c.name} ${need}`).toBe(4)
          for (const l of fruit) {
            expect(l.status, `${c.name} ${need} ${l.ingredient}`).toBe('kept')
            expect(l.to).toBeCloseTo(l.from, 5)
          }
        }
      }),
      { numRuns: 12 },
    )
  })

  it('a need that is met already changes nothing', () => {
    fc.assert(
      fc.property(fc.constantFrom(...cakes), fc.constantFrom(...NEEDS), (c, need) => {
        const [first] = reformulated(c.text, c.region, [need]).options
        if (!first) return
        const again = answer('reformulate', { recipe: first.recipe, region: c.region, goals: [need] } as never).options
        // What was changed for its sake is fit for it: nothing gives way a second time.
        for (const l of again[0]?.lines ?? []) expect(l.status, `${c.name} ${need} ${l.ingredient}`).not.toBe('removed')
      }),
      { numRuns: 10 },
    )
  })

  it('another wish never loses a need', () => {
    fc.assert(
      fc.property(fc.constantFrom(...cakes), fc.constantFrom(...NEEDS), fc.constantFrom(...WANTS), (c, need, want) => {
        for (const o of reformulated(c.text, c.region, [need, want]).options) {
          expect(['always', 'label'], `${c.name} ${need} ${want}`).toContain(dietsOf(o.recipe).diets[need])
        }
      }),
      { numRuns: 12 },
    )
  })
})
