import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { errorBody, Refusal } from '../refusal'
import { answer, answerInSteps, isVerb } from './handle'

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

describe('a packet of the baker’s own', () => {
  const own = [
    { id: 'own-spread', name: 'zorgle spread', kind: 'fat', label: { servingGrams: 100, fat: 70, carbs: 1 }, contains: ['milk'] },
  ]
  const text = 'Bun\n200 g plain flour\n120 g zorgle spread\n100 g sugar\n2 eggs\n2 tsp baking powder\n100 ml water'

  it('is read by its name, weighed by its label, and given up for what it acts like', () => {
    expect(answer('line', { text: '2 tbsp zorgle spread', region: 'uk', own }).lines[0]).toMatchObject({ ingredient: 'own-spread' })
    const { metrics } = answer('balance', { text, region: 'uk', own })
    expect(metrics.fatPct).toBeGreaterThan(42)
    const { options } = answer('reformulate', { text, region: 'uk', own, goals: ['dairy-free'] })
    expect(options.length).toBeGreaterThan(1)
    for (const o of options) expect(o.lines.filter((l) => l.ingredient === 'own-spread' && l.to > 0)).toEqual([])
  })

  it('is known only to the request that brings it', () => {
    expect(answer('line', { text: '2 tbsp zorgle spread', region: 'uk' }).lines[0]!.ingredient).not.toBe('own-spread')
  })
})

describe('an answer in steps', () => {
  const request = {
    text: 'Sponge\n200 g butter\n200 g sugar\n4 eggs\n200 g flour\n2 tsp baking powder',
    region: 'uk',
    goals: ['vegan', 'gluten-free'],
  }

  it('ends with the same answer, having told how far it was', () => {
    const steps = answerInSteps('reformulate', request)
    let told = 0
    let step = steps.next()
    while (!step.done) {
      expect(step.value.tried).toBeGreaterThanOrEqual(told)
      told = step.value.tried
      step = steps.next()
    }
    const whole = answer('reformulate', request)
    expect(told).toBe(whole.timing.combinations)
    expect(step.value.options.map((o) => o.title)).toEqual(whole.options.map((o) => o.title))
  })

  it('that is stopped gives the best it had, none of it breaking a need', () => {
    const steps = answerInSteps('reformulate', request)
    let step = steps.next()
    for (let n = 0; !step.done; n++) step = steps.next(n > 20)
    expect(step.value.options.length).toBeGreaterThan(0)
    for (const o of step.value.options)
      expect(o.lines.filter((l) => /^(egg-(whole|white|yolk)|butter-unsalted|flour-plain)$/.test(l.ingredient) && l.to > 0)).toEqual([])
  })
})
