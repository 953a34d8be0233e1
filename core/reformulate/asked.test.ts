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
