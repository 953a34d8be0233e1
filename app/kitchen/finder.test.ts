import { describe, expect, it } from 'vitest'
import { answer } from '../../core/contract/handle'
import { shortOf } from '../../core/recipe/stock'
import type { HardNeed } from '../../core/pantry/ingredient'
import type { Version } from './database'
import { familyOf, fits, needsMet, wordsOf } from './finder'

const version = (text: string, more: Partial<Version> = {}): Version => ({
  id: text,
  recipeId: text,
  parentId: null,
  name: 'As given',
  recipe: answer('parse', { text, region: 'uk' }).recipe,
  questions: [],
  source: '',
  goals: [],
  schools: [],
  note: '',
  bakedAt: null,
  boxes: [],
  createdAt: 0,
  updatedAt: 0,
  ...more,
})
const sponge = version('Pier sponge\n200 g plain flour\n200 g butter\n4 eggs', { note: 'for the lifeboat crew' })
const bun = version('Jetty bun\n200 g rice flour\n100 ml oat milk\n1 tsp baking powder')
const anything = { words: [] as string[], needs: [] as HardNeed[], now: false }
const yes = () => true

describe('finding on the shelf', () => {
  it('by title, ingredient, note, in any order of words', () => {
    expect(fits(familyOf([sponge]), { ...anything, words: wordsOf('BUTTER pier') }, yes)).toBe(true)
    expect(fits(familyOf([sponge]), { ...anything, words: wordsOf('lifeboat') }, yes)).toBe(true)
    expect(fits(familyOf([sponge]), { ...anything, words: wordsOf('walnut') }, yes)).toBe(false)
  })

  it('by need, in any version of the recipe', () => {
    expect([...needsMet(bun)]).toEqual(expect.arrayContaining(['eggless', 'vegan', 'gluten-free']))
    expect(fits(familyOf([sponge]), { ...anything, needs: ['vegan'] }, yes)).toBe(false)
    expect(fits(familyOf([sponge, bun]), { ...anything, needs: ['vegan'] }, yes)).toBe(true)
    // One version must meet everything that is asked.
    expect(fits(familyOf([sponge, bun]), { ...anything, needs: ['vegan'], words: wordsOf('butter') }, yes)).toBe(false)
  })

  it('never by what nobody knows', () => {
    expect(needsMet(version('Pier slice\n200 g rice flour\n80 g quimbel, chopped')).size).toBe(0)
    expect(needsMet(version('Pier slice\n200 g rice flour\n60 g homemade crunch')).size).toBe(0)
  })

  it('by what the cupboard holds', () => {
    const stock = new Map<string, number | null>([
      ['flour-rice', 500],
      ['oat-milk', 1000],
      ['baking-powder', null],
    ])
    const bakeable = (v: Version) => shortOf(v.recipe, stock).short.length === 0
    expect(fits(familyOf([bun]), { ...anything, now: true }, bakeable)).toBe(true)
    expect(fits(familyOf([sponge]), { ...anything, now: true }, bakeable)).toBe(false)
  })
})
