import { describe, expect, it } from 'vitest'
import { readRecipe } from '../recipe/text'
import { writeJsonLd, writeText } from './jsonld'
import { readMany } from './many'

const ONE = 'Pier sponge\n100 g flour\n100 g sugar\n2 eggs\n\nMethod:\n1. Beat all and bake.'
const TWO = 'Jetty bun\n200 g flour\n50 g butter\n100 ml milk'
const titles = (text: string) => readMany(text, 'uk').map((r) => r.recipe.title)

describe('many recipes at once', () => {
  it('are parted by a rule', () => {
    expect(titles(`${ONE}\n\n---\n\n${TWO}\n=====\n`)).toEqual(['Pier sponge', 'Jetty bun'])
    expect(titles(`From my aunt, with love\n---\n${ONE}\n***\n${TWO}`)).toEqual(['Pier sponge', 'Jetty bun'])
  })

  it('a rule inside one recipe parts nothing', () => {
    expect(titles(ONE.replace('\n\nMethod', '\n---\nMethod'))).toEqual(['Pier sponge'])
    expect(readMany(ONE.replace('\n\nMethod', '\n---\nMethod'), 'uk')[0]!.recipe.method).toHaveLength(1)
  })

  it('come back from the file that they were written to', () => {
    const recipes = [ONE, TWO].map((t) => readRecipe(t, 'uk').recipe)
    const graph = JSON.stringify({ '@context': 'https://schema.org', '@graph': recipes.map(writeJsonLd) })
    expect(readMany(graph, 'uk').map((r) => writeText(r.recipe))).toEqual(recipes.map(writeText))
    expect(titles(recipes.map(writeText).join('\n---\n'))).toEqual(['Pier sponge', 'Jetty bun'])
  })

  it('nothing in it is said', () => {
    expect(() => readMany('  ', 'uk')).toThrow(/no text/)
    expect(() => readMany('{"@graph":[]}', 'uk')).toThrow(/no recipe/)
  })
})
