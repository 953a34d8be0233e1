import { describe, expect, it } from 'vitest'
import { Refusal } from '../refusal'
import { answer } from './handle'
import type { Verb } from './schema'

const text = 'Cake\n200 g flour\n200 g sugar\n4 eggs'
const refused = (verb: Verb, request: unknown): Refusal => {
  try {
    answer(verb, request)
  } catch (error) {
    expect(error).toBeInstanceOf(Refusal)
    return error as Refusal
  }
  throw new Error(`${verb} was not refused`)
}

describe('bad requests are refused in words, with their place', () => {
  it.each<[string, Verb, unknown, RegExp]>([
    ['no recipe at all', 'balance', {}, /Give the recipe/],
    ['a recipe twice', 'balance', { text, jsonld: {} }, /once/],
    ['empty text', 'parse', { text: '  \n ' }, /paste a recipe|no text/i],
    ['a kitchen that is none', 'parse', { text, region: 'moon' }, /region/],
    ['negative grams', 'balance', { recipe: { parts: [{ lines: [{ ingredient: 'flour-plain', grams: -5 }] }] } }, /grams/],
    ['absurd grams', 'balance', { recipe: { parts: [{ lines: [{ ingredient: 'flour-plain', grams: 1e9 }] }] } }, /grams/],
    [
      'an ingredient that nobody knows',
      'balance',
      { recipe: { parts: [{ lines: [{ ingredient: 'moon-dust', grams: 5 }] }] } },
      /no ingredient/,
    ],
    ['a wish that nobody knows', 'reformulate', { text, goals: ['taller'] }, /goals/],
    ['the same wish twice', 'reformulate', { text, goals: ['vegan', 'vegan'] }, /goals/],
    ['more than all of the sugar', 'reformulate', { text, goals: ['less-sugar'], amount: { 'less-sugar': 1.5 } }, /less-sugar/],
    ['a school that nobody keeps', 'reformulate', { text, schools: ['magic'] }, /schools/],
    ['a tug at what is no ratio', 'reformulate', { text, nudge: { fame: 1 } }, /nudge/],
    ['no option wanted', 'reformulate', { text, limit: 0 }, /limit/],
    ['tools that are none', 'uncertainty', { text, tools: 'thumbs' }, /tools/],
    ['too few samples', 'uncertainty', { text, samples: 1 }, /samples/],
    ['a label without a serving', 'box', { label: { fat: 3 } }, /servingGrams/],
    ['a box that is no mix', 'balance', { text, boxes: [{ ingredient: 'flour-plain', label: { servingGrams: 40 } }] }, /boxes/],
    [
      'a packet of one’s own with a stolen id',
      'balance',
      { text, own: [{ id: 'flour-plain', name: 'x', label: { servingGrams: 40 } }] },
      /own/,
    ],
    ['a mountain that is too high', 'balance', { text, altitudeM: 9000 }, /altitudeM/],
    ['a file that is no recipe', 'parse', { jsonld: { '@type': 'Car' } }, /no recipe/],
  ])('%s', (_, verb, request, words) => {
    expect(refused(verb, request).message).toMatch(words)
  })

  it('a label of the baker’s own is believed for one request only', () => {
    const own = [{ id: 'own-pier-flour', name: 'pier flour', kind: 'flour', label: { servingGrams: 100, carbs: 76, protein: 10 } }]
    expect(answer('parse', { text: 'Slab\n200 g pier flour', own }).recipe.parts[0]!.lines[0]!.ingredient).toBe('own-pier-flour')
    expect(answer('parse', { text: 'Slab\n200 g pier flour' }).recipe.parts[0]!.lines[0]!.ingredient).not.toBe('own-pier-flour')
  })

  it('a refused request leaves nothing of its own behind', () => {
    const own = [{ id: 'own-pier-flour', name: 'pier flour', kind: 'flour', label: { servingGrams: 100, carbs: 76 } }]
    refused('balance', { text, own, altitudeM: 9000 })
    expect(answer('parse', { text: 'Slab\n200 g pier flour' }).recipe.parts[0]!.lines[0]!.ingredient).not.toBe('own-pier-flour')
  })
})

describe('what the contract promises of every answer', () => {
  it('reformulate has options or a reason, timing, and distinct sets of schools', () => {
    const { options, impossible, timing } = answer('reformulate', {
      text: `${text}\n150 g butter\n2 tsp baking powder`,
      goals: ['eggless'],
    })
    expect(options.length > 0).toBe(impossible === null)
    expect(timing.combinations).toBeGreaterThan(0)
    const sets = options.map((o) => [...o.schools].sort().join('+'))
    expect(new Set(sets).size).toBe(sets.length)
    for (const o of options)
      for (const field of [
        'id',
        'title',
        'recipe',
        'lines',
        'metrics',
        'before',
        'bands',
        'handover',
        'undone',
        'findings',
        'crumb',
        'method',
        'oven',
        'cautions',
        'labels',
        'score',
        'sides',
      ] as const)
        expect(o[field], field).toBeDefined()
  })

  it('a structured recipe comes through parse unchanged', () => {
    const { recipe } = answer('parse', { text })
    expect(answer('parse', { recipe }).recipe).toEqual(recipe)
  })
})
