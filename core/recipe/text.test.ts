import { describe, expect, it } from 'vitest'
import { writeText } from '../formats/jsonld'
import { CLASSICS } from '../fixtures/classics'
import { readTin } from '../language/tin'
import { readRecipe } from './text'

const LAYERED = `Celebration layers
Makes: 12 slices
Tin: 20 cm round x2
Oven: 180 C, 25 to 30 minutes

For the cake:
200 g plain flour
180 g caster sugar

Filling
150 g raspberry jam

# Icing
250 g icing sugar
Beat the icing until it is smooth and white.
2 tbsp orange juice

Method:
1. Cream, then fold.
2. Bake, cool and fill.`

describe('reading a pasted recipe', () => {
  const { recipe, questions } = readRecipe(LAYERED, 'uk')

  it('finds title, yield, tin and oven', () => {
    expect(recipe.title).toBe('Celebration layers')
    expect(recipe.yield?.count).toBe(12)
    expect(recipe.tins[0]).toMatchObject({ shape: 'round', count: 2, mm: { diameter: 200 } })
    expect(recipe.oven[0]).toEqual({ celsius: 180, fan: false, minutes: [25, 30] })
  })

  it.each([
    ['A sponge for the harbour fair', 'A sponge for the harbour fair'],
    ['3-ingredient tray', '3-ingredient tray'],
    ['a pinch of salt', 'Recipe without a name'],
  ])('takes “%s” as a title only where it names no amount', (first, title) => {
    expect(readRecipe(`${first}\n200 g flour\n100 g sugar`, 'uk').recipe.title).toBe(title)
  })

  it('opens parts at headings with and without a colon, and knows their roles', () => {
    expect(recipe.parts.map((p) => [p.name, p.role, p.lines.length])).toEqual([
      ['Cake', 'batter', 2],
      ['Filling', 'filling', 1],
      ['Icing', 'frosting', 2],
    ])
    expect(questions).toEqual([])
  })

  it('never makes an ingredient of a sentence between the lines', () => {
    expect(recipe.method).toEqual(['Beat the icing until it is smooth and white.', 'Cream, then fold.', 'Bake, cool and fill.'])
  })

  it('keeps identical lines', () => {
    expect(readRecipe('Cake\n1 egg\n1 egg\n100 g flour', 'us').recipe.parts[0]!.lines).toHaveLength(3)
  })

  it('takes the oven from the method where no line gives it', () => {
    const { recipe: r } = readRecipe('Loaf\n200 g flour\nMethod:\nBake at 170 C (fan 150 C) for 50 to 55 minutes.', 'uk')
    expect(r.oven[0]).toEqual({ celsius: 170, fan: false, minutes: [50, 55] })
  })

  it('notices temperatures that cannot both be meant', () => {
    const asked = readRecipe('Sponge\nOven: 175 C (150 F)\n100 g flour', 'eu').questions
    expect(asked.map((q) => q.about)).toContain('temperature')
  })

  it('reads an icing as an icing and a cheesecake filling as what is baked', () => {
    expect(readRecipe('Vanilla butter icing\n250 g butter\n500 g icing sugar', 'uk').recipe.parts[0]!.role).toBe('frosting')
    const cheesecake = readRecipe(CLASSICS.find((c) => c.name === 'cheesecake')!.text, 'uk').recipe
    expect(cheesecake.parts.map((p) => p.role)).toEqual(['crust', 'batter'])
  })

  it.each(CLASSICS.map((c) => [c.name, c] as const))('%s: what is written out is read back the same', (_, c) => {
    const first = readRecipe(c.text, c.region).recipe
    const again = readRecipe(writeText(first), c.region).recipe
    expect(again.title).toBe(first.title)
    expect(again.method).toEqual(first.method)
    expect(again.parts.map((p) => p.lines.map((l) => [l.ingredient, l.grams.best]))).toEqual(
      first.parts.map((p) => p.lines.map((l) => [l.ingredient, l.grams.best])),
    )
  })

  it('survives what is no recipe', () => {
    for (const text of ['', '\n\n\n', '%%%%', '{"a":', '<script>alert(1)</script>', '-5 g flour', '1e99 cups sugar', '\u0000\u0001'])
      expect(() => readRecipe(text, 'us')).not.toThrow()
  })
})

describe('reading a tin', () => {
  it.each([
    ['20 cm round x2', { shape: 'round', count: 2, mm: { diameter: 200 } }],
    ['9x13 in', { shape: 'rect', count: 1, mm: { width: 229, length: 330 } }],
    ['12 cupcakes', { shape: 'cupcake', count: 12 }],
    ['9x5 in loaf', { shape: 'loaf', mm: { width: 127, length: 229 } }],
    ['25 cm fluted', { shape: 'fluted', mm: { diameter: 250 } }],
    ['25x38 cm sheet', { shape: 'sheet', mm: { width: 250, length: 380 } }],
    ['24 cm crepe', { shape: 'crepe', mm: { diameter: 240 } }],
    ['9 in square', { shape: 'square', mm: { width: 229, length: 229 } }],
    ['900 g loaf', { shape: 'loaf' }],
    ['two 9 in layers', { shape: 'round', count: 2 }],
  ])('%s', (text, tin) => {
    expect(readTin(text)).toMatchObject(tin)
  })
})
