import { describe, expect, it } from 'vitest'
import { CLASSICS } from '../fixtures/classics'
import { Refusal } from '../refusal'
import { readRecipe } from '../recipe/text'
import { plainWords, readJsonLd, writeJsonLd } from './jsonld'

const DOCUMENT = {
  '@context': 'https://schema.org',
  '@type': 'Recipe',
  name: 'Harbour sponge',
  recipeYield: ['8', '8 slices'],
  recipeIngredient: ['200 g plain flour', '200 g butter &amp; nothing else', '4 eggs'],
  recipeInstructions: [{ '@type': 'HowToSection', itemListElement: [{ '@type': 'HowToStep', text: '<p>Cream.</p>' }, 'Bake at 180 C.'] }],
}

describe('schema.org recipes', () => {
  it('reads name, yield, lines and nested steps', () => {
    const { recipe } = readJsonLd(DOCUMENT, 'uk')
    expect(recipe.title).toBe('Harbour sponge')
    expect(recipe.parts[0]!.lines.map((l) => l.ingredient)).toEqual(['flour-plain', 'butter-unsalted', 'egg-whole'])
    expect(recipe.method).toEqual(['Cream.', 'Bake at 180 C.'])
    expect(recipe.oven[0]?.celsius).toBe(180)
  })

  it('finds the recipe in a graph, in a list, in text and in a saved page', () => {
    const page = `<html><script type="application/ld+json">{broken</script><script type='application/ld+json'>${JSON.stringify({ '@graph': [{ '@type': 'WebPage' }, DOCUMENT] })}</script></html>`
    for (const form of [[{}, DOCUMENT], { '@graph': [DOCUMENT] }, JSON.stringify(DOCUMENT), page])
      expect(readJsonLd(form, 'uk').recipe.title).toBe('Harbour sponge')
  })

  it.each(CLASSICS.map((c) => [c.name, c] as const))('%s: an import of an export is the same recipe', (_, c) => {
    const { recipe } = readRecipe(c.text, c.region)
    const back = readJsonLd(JSON.parse(JSON.stringify(writeJsonLd(recipe))), c.region).recipe
    expect(back.title).toBe(recipe.title)
    expect(back.method).toEqual(recipe.method)
    expect(back.parts.map((p) => p.lines.map((l) => l.grams.best))).toEqual(recipe.parts.map((p) => p.lines.map((l) => l.grams.best)))
  })

  it.each(['{"@type":"Car"}', '<html>nothing</html>', 'not json', '[]', '{"@graph":[{"@graph":[]}]}'])('refuses %s in words', (text) => {
    expect(() => readJsonLd(text, 'uk')).toThrow(Refusal)
  })

  it('is not caught in a cycle', () => {
    const loop: Record<string, unknown> = { '@type': 'Thing' }
    loop.mainEntity = loop
    expect(() => readJsonLd(loop, 'uk')).toThrow(Refusal)
  })

  it('takes markup for words, never for markup', () => {
    expect(plainWords('<img src=x onerror=alert(1)>1 cup &frac12; milk<script>x</script>')).toBe('1 cup ½ milkx')
  })
})
