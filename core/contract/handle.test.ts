import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { errorBody, Refusal } from '../refusal'
import { answer, isVerb } from './handle'

const refused = (verb: Parameters<typeof answer>[0], request: unknown): Refusal => {
  try {
    answer(verb, request)
  } catch (error) {
    if (error instanceof Refusal) return error
    throw error
  }
  throw new Error('was not refused')
}

describe('the contract', () => {
  it.each([
    ['balance', {}, 'bad-request'],
    ['balance', { text: 'x', recipe: { parts: [{}] } }, 'bad-request'],
    ['balance', { text: '   \n ' }, 'empty-recipe'],
    ['balance', { text: 'x', region: 'moon' }, 'bad-request'],
    ['balance', { text: 'x\n'.repeat(700) }, 'too-large'],
    ['parse', { text: 'x'.repeat(250_000) }, 'bad-request'],
    ['balance', { recipe: { parts: [] } }, 'bad-request'],
    ['balance', { recipe: { parts: [{ lines: [{ ingredient: 'moon-dust', grams: 5 }] }] } }, 'bad-request'],
    ['balance', { recipe: { parts: [{ lines: [{ ingredient: 'flour-plain', grams: -5 }] }] } }, 'bad-request'],
    ['balance', { recipe: { parts: [{ lines: [{ ingredient: 'flour-plain', grams: 1e12 }] }] } }, 'bad-request'],
    ['balance', { recipe: { parts: [{ lines: [{ ingredient: 'flour-plain', grams: NaN }] }] } }, 'bad-request'],
    ['reformulate', { text: 'Cake\n1 egg', goals: ['immortal'] }, 'bad-request'],
    ['reformulate', { text: 'Cake\n1 egg', schools: ['wishful'] }, 'bad-request'],
    ['reformulate', { text: 'Cake\n1 egg', limit: 0 }, 'bad-request'],
    ['parse', { jsonld: {} }, 'bad-file'],
  ] as const)('%s refuses %j', (verb, request, code) => {
    const refusal = refused(verb, request)
    expect(refusal.code).toBe(code)
    expect(refusal.message.length).toBeGreaterThan(10)
  })

  it('says where in the request the trouble is', () => {
    expect(refused('balance', { recipe: { parts: [{ lines: [{ grams: -1 }] }] } }).path).toContain('grams')
  })

  it('takes a recipe in all three forms to the same balance', () => {
    const text = 'Cake\n200 g plain flour\n200 g sugar\n200 g butter\n4 eggs'
    const { recipe } = answer('parse', { text, region: 'uk' })
    const jsonld = { '@type': 'Recipe', name: 'Cake', recipeIngredient: text.split('\n').slice(1) }
    const metrics = [{ text }, { recipe }, { jsonld }].map((r) => answer('balance', { ...r, region: 'uk' }).metrics)
    expect(metrics[1]).toEqual(metrics[0])
    expect(metrics[2]).toEqual(metrics[0])
  })

  it('accepts grams as a plain number in a structured recipe', () => {
    const { metrics } = answer('balance', { recipe: { parts: [{ lines: [{ ingredient: 'flour-plain', grams: 100 }] }] } })
    expect(metrics.batterGrams).toBe(100)
  })

  it('answers for ingredients with their components, diets and sources', () => {
    const { ingredients } = answer('ingredients', { query: 'maida', region: 'in' })
    expect(ingredients[0]).toMatchObject({ id: 'flour-plain', waterDemand: 0.62, diets: { 'gluten-free': 'never' } })
    expect(ingredients[0]!.per100).toHaveProperty('sugars')
  })

  it('never shows a stack, and calls only refusals by name', () => {
    expect(errorBody(new Error('secret path'))).toEqual({
      error: { code: 'internal', message: expect.not.stringContaining('secret') as string },
    })
    expect(isVerb('parse')).toBe(true)
    expect(isVerb('toString')).toBe(false)
  })

  it('whatever is sent, it answers or refuses; it never breaks', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('parse' as const, 'balance' as const, 'ingredients' as const),
        fc.object({ maxDepth: 3 }),
        (verb, request) => {
          try {
            answer(verb, request)
          } catch (error) {
            expect(error).toBeInstanceOf(Refusal)
          }
        },
      ),
      { numRuns: 200 },
    )
    fc.assert(
      fc.property(fc.array(fc.string({ maxLength: 60 }), { maxLength: 30 }), (rows) => {
        try {
          answer('balance', { text: rows.join('\n') })
        } catch (error) {
          expect(error).toBeInstanceOf(Refusal)
        }
      }),
      { numRuns: 200 },
    )
  })
})
