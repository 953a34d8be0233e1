import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fuzzed, hollow } from '../fixtures/fuzz'
import { Refusal } from '../refusal'
import { ingredientOf } from '../pantry/pantry'
import { answer } from './handle'

/** What a need rules out, by what an ingredient contains. */
const RULED_OUT: Record<string, readonly string[]> = {
  eggless: ['egg'],
  vegan: ['egg', 'milk'],
  'dairy-free': ['milk'],
  'gluten-free': ['gluten'],
  'nut-free': ['tree-nut', 'peanut'],
  'soy-free': ['soy'],
}

describe('whatever is sent', () => {
  // Five hundred here; `npm run fuzz` sends twenty thousand.
  it('is answered whole or refused in words, and no need is broken', () => {
    fc.assert(
      fc.property(fuzzed, ({ verb, request }) => {
        let a: unknown
        try {
          a = answer(verb, request as never)
        } catch (error) {
          if (!(error instanceof Refusal)) throw error
          expect(error.message.length).toBeGreaterThan(10)
          return
        }
        expect(hollow(a)).toBeUndefined()
        if (verb !== 'reformulate') return
        const { options } = a as { options: { lines: { ingredient: string; to: number }[] }[] }
        const goals = (request as { goals?: string[] }).goals ?? []
        const out = new Set(goals.flatMap((g) => RULED_OUT[g] ?? []))
        for (const o of options)
          for (const l of o.lines) {
            if (l.to > 0) expect((ingredientOf(l.ingredient)?.contains ?? []).filter((x) => out.has(x))).toEqual([])
          }
      }),
      { numRuns: 500, seed: 11 },
    )
  }, 240_000)
})
