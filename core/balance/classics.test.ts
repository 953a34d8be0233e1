import { describe, expect, it } from 'vitest'
import { classic, CLASSICS } from '../fixtures/classics'
import { readRecipe } from '../recipe/text'
import type { Region } from '../measure/region'
import { balanceOf } from './balance'

const judge = (text: string, region: Region = 'us') => balanceOf(readRecipe(text, region).recipe)
const loud = (text: string, region: Region = 'us') =>
  judge(text, region)
    .findings.filter((f) => f.severity !== 'note')
    .map((f) => f.code)
const without = (text: string, line: RegExp) =>
  text
    .split('\n')
    .filter((l) => !line.test(l))
    .join('\n')

describe('classic formulas read as sound', () => {
  it.each(CLASSICS.map((c) => [c.name, c] as const))('%s', (_, c) => {
    const balance = judge(c.text, c.region)
    expect(balance.family).toBe(c.family)
    expect(balance.findings.filter((f) => f.severity === 'fault')).toEqual([])
    expect(balance.findings.filter((f) => f.severity === 'caution').map((f) => f.code)).toEqual([])
  })
})

describe('the same formulas, spoiled, are found out', () => {
  const oil = classic('olive-oil')
  const layer = classic('one-two-three-four')
  it.each([
    [
      'an egg dropped with nothing in its place',
      without(classic('pound').text, /eggs/),
      'us',
      ['too-dry', 'weak-set', 'missing-ingredient'],
    ],
    [
      'no leavener',
      without(oil.text.replace(/Method:[\s\S]*/, 'Method:\nStir everything together.'), /baking powder/),
      'eu',
      ['no-air', 'under-leavened'],
    ],
    ['leavener three times over', oil.text.replace('12 g baking powder', '36 g baking powder'), 'eu', ['over-leavened']],
    ['half the flour', layer.text.replace('3 cups all', '1 1/2 cups all'), 'us', ['too-wet', 'over-sugared', 'weak-set']],
    ['double the flour', layer.text.replace('3 cups all', '6 cups all'), 'us', ['too-dry', 'tough']],
    ['double the sugar', layer.text.replace('2 cups sugar', '4 cups sugar'), 'us', ['over-sugared']],
    ['no sugar', without(layer.text, /cups sugar/), 'us', ['under-sugared', 'missing-ingredient']],
    ['double the butter', layer.text.replace('1 cup butter', '2 cups butter'), 'us', ['greasy', 'weak-set']],
    ['no fat', without(layer.text, /cup butter/), 'us', ['lean', 'tough']],
    ['three times the milk', layer.text.replace('1 cup whole milk', '3 cups whole milk'), 'us', ['too-wet', 'too-thin']],
    ['soda for powder, spoon for spoon', layer.text.replace('baking powder', 'baking soda'), 'us', ['soapy', 'over-leavened']],
    ['a tablespoon of salt', layer.text.replace('1/2 tsp salt', '2 tbsp salt'), 'us', ['salty']],
    [
      'cornflour for flour without egg',
      classic('eggless curd sponge').text.replace('maida', 'cornflour'),
      'in',
      ['no-structure', 'weak-set'],
    ],
    [
      'water for the whites of an angel cake',
      classic('angel').text.replace('egg whites (360 g)', 'water'),
      'us',
      ['no-structure', 'no-air', 'weak-set'],
    ],
    ['no liquid in an eggless sponge', without(classic('eggless curd sponge').text, /cup curd/), 'in', ['too-dry', 'missing-ingredient']],
  ] as const)('%s', (_, text, region, any) => {
    const found = loud(text, region)
    expect(
      any.some((code) => found.includes(code)),
      `found only ${found.join(', ') || 'nothing'}`,
    ).toBe(true)
  })

  it('an ingredient that the method names and no line gives is missed', () => {
    expect(loud(without(layer.text, /large eggs/))).toContain('missing-ingredient')
  })

  it('an empty recipe is not called sound', () => {
    expect(judge('Cake\nquillow powder').findings.map((f) => f.severity)).toContain('fault')
  })
})

describe('what the balance says beside the ratios', () => {
  it('lists allergens and labels over all parts', () => {
    const b = judge(
      'Cake\nCake:\n200 g plain flour\n2 eggs\n100 g sugar\n100 g butter\n8 g baking powder\nFilling:\n100 g ground almonds\n50 g honey',
      'uk',
    )
    expect(b.allergens).toEqual(expect.arrayContaining(['gluten', 'wheat', 'egg', 'milk', 'tree-nut']))
    expect(b.diets.vegan).toBe('never')
    expect(b.diets['soy-free']).toBe('always')
    expect(b.labels.map((l) => l.ingredient)).toContain('baking-powder')
  })

  it('what nobody knows may hold anything', () => {
    expect(judge('Cake\n100 g plain flour\n1 cup quillow powder').diets['nut-free']).toBe('unknown')
  })

  it('counts only the batter as batter, and slices as the recipe says', () => {
    const b = judge('Cake\nMakes: 8\nCake:\n200 g plain flour\n200 g sugar\nIcing:\n300 g icing sugar', 'uk')
    expect(b.metrics.batterGrams).toBe(400)
    expect(b.perSlice.slices).toBe(8)
    expect(b.perSlice.kcal).toBeGreaterThan(200)
  })

  it('the baker may say which family it is', () => {
    const { recipe } = readRecipe(classic('muffins').text, 'us')
    expect(balanceOf(recipe, 'oil-layer').family).toBe('oil-layer')
  })
})
