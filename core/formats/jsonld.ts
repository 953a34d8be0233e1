import { Refusal } from '../refusal'
import type { Region } from '../measure/region'
import type { ParsedRecipe, Recipe } from '../recipe/recipe'
import { readGiven } from '../method/given'
import type { Kitchen } from '../recipe/text'

/** How deep a foreign document is searched for a recipe. */
const DEEPEST = 8
/** Longest text taken from one field of a foreign document. */
const LONGEST_FIELD = 20_000

type Node = Record<string, unknown>

const isNode = (x: unknown): x is Node => typeof x === 'object' && x !== null && !Array.isArray(x)

function isRecipeNode(node: Node): boolean {
  const type = node['@type']
  return type === 'Recipe' || (Array.isArray(type) && type.includes('Recipe'))
}

/** The schema.org Recipes in a document, a list or an `@graph`, in order; cycles and depth are cut off. */
function findRecipes(value: unknown, most: number, depth = 0, seen = new Set<unknown>()): Node[] {
  if (depth > DEEPEST || seen.has(value) || most <= 0) return []
  if (Array.isArray(value)) {
    seen.add(value)
    const found: Node[] = []
    for (const item of value) {
      found.push(...findRecipes(item, most - found.length, depth + 1, seen))
      if (found.length >= most) break
    }
    return found
  }
  if (!isNode(value)) return []
  seen.add(value)
  if (isRecipeNode(value)) return [value]
  const found: Node[] = []
  for (const key of ['@graph', 'mainEntity', 'mainEntityOfPage', 'itemListElement', 'item', 'hasPart'])
    found.push(...findRecipes(value[key], most - found.length, depth + 1, seen))
  return found
}

const ENTITIES: Record<string, string> = {
  amp: '&',
  lt: '<',
  gt: '>',
  quot: '"',
  apos: "'",
  nbsp: ' ',
  deg: '°',
  frac12: '½',
  frac14: '¼',
  frac34: '¾',
  ndash: '–',
  mdash: '—',
  eacute: 'é',
  egrave: 'è',
  ecirc: 'ê',
}

/** Text without tags and entities; never rendered as HTML, only read as words. */
export function plainWords(value: unknown): string {
  return String(value ?? '')
    .slice(0, LONGEST_FIELD)
    .replace(/<\/(?:p|li|div|h\d)>|<br\s*\/?>/gi, '\n')
    .replace(/<[^>]*>/g, '')
    .replace(/&(#x?[\da-f]+|\w+);/gi, (whole, name: string) => {
      if (name.startsWith('#')) {
        const code = name[1]?.toLowerCase() === 'x' ? parseInt(name.slice(2), 16) : Number(name.slice(1))
        return code > 31 && code < 0x10ffff ? String.fromCodePoint(code) : ' '
      }
      return ENTITIES[name.toLowerCase()] ?? whole
    })
    .replace(/[ \t]+/g, ' ')
    .trim()
}

const words = (value: unknown): string[] =>
  (Array.isArray(value) ? value : [value]).flatMap((v) =>
    typeof v === 'string' || typeof v === 'number'
      ? plainWords(v)
          .split('\n')
          .map((s) => s.trim())
          .filter(Boolean)
      : [],
  )

function stepsOf(value: unknown, depth = 0): string[] {
  if (depth > DEEPEST) return []
  if (typeof value === 'string') return words(value)
  if (Array.isArray(value)) return value.flatMap((v) => stepsOf(v, depth + 1))
  if (!isNode(value)) return []
  if (value.itemListElement) return stepsOf(value.itemListElement, depth + 1)
  return words(value.text ?? value.name)
}

/** Every JSON-LD block of a saved web page. */
export function jsonLdIn(html: string): unknown[] {
  const blocks: unknown[] = []
  // From tag to tag: a page that never closes its scripts must not be searched once for each of them.
  for (const tag of html.matchAll(/<script[^<>]*\bapplication\/ld\+json\b[^<>]*>/gi)) {
    const from = tag.index + tag[0].length
    const to = html.indexOf('</script', from)
    if (to < 0) break
    try {
      blocks.push(
        JSON.parse(
          html
            .slice(from, to)
            .replace(/^\s*<!--|-->\s*$/g, '')
            .trim(),
        ),
      )
    } catch {
      // One broken block must not hide a good one.
    }
  }
  return blocks
}

/**
 * Reads a schema.org Recipe: an object, a list, a `@graph`, their text, or a saved web page that holds one.
 *
 * Its words go through the same reader as pasted text, so every line is weighed and questioned alike.
 * @throws Refusal `bad-file` where there is no recipe in it
 */
export const readJsonLd = (input: unknown, region: Region | Kitchen): ParsedRecipe => readJsonLdAll(input, region, 1)[0]!

/** Reads the first `most` schema.org Recipes of a document: see `readJsonLd`. */
export function readJsonLdAll(input: unknown, region: Region | Kitchen, most: number): ParsedRecipe[] {
  let value = input
  if (typeof input === 'string') {
    const text = input.trim()
    if (text.startsWith('<')) value = jsonLdIn(text)
    else
      try {
        value = JSON.parse(text)
      } catch {
        throw new Refusal('bad-file', 'This is neither a recipe file nor a saved web page: nothing was taken from it.', 'jsonld')
      }
  }
  const nodes = findRecipes(value, most)
  if (!nodes.length)
    throw new Refusal('bad-file', 'There is no recipe in this file. If the page shows one, copy its text and paste it.', 'jsonld')
  return nodes.map((node) => readNode(node, region))
}

function readNode(node: Node, region: Region | Kitchen): ParsedRecipe {
  const ingredients = words(node.recipeIngredient ?? node.ingredients)
  const steps = stepsOf(node.recipeInstructions)
  const makes = words(node.recipeYield).find((y) => /\D/.test(y)) ?? words(node.recipeYield)[0]
  const text = [
    words(node.name)[0] ?? 'Recipe without a name',
    ...(makes ? [`Makes: ${makes}`] : []),
    '',
    ...ingredients,
    '',
    'Method:',
    ...steps,
  ].join('\n')
  return readGiven(text, region)
}

/** A recipe as schema.org JSON-LD. Parts are kept as heading lines, which `readJsonLd` reads back. */
export function writeJsonLd(recipe: Recipe): Record<string, unknown> {
  const several = recipe.parts.length > 1
  return {
    '@context': 'https://schema.org',
    '@type': 'Recipe',
    name: recipe.title,
    ...(recipe.yield && { recipeYield: recipe.yield.text }),
    recipeIngredient: recipe.parts.flatMap((p) => [
      ...(several ? [`${p.name}:`] : []),
      ...p.lines.filter(firstOfItsText).map((l) => l.text),
    ]),
    recipeInstructions: recipe.method.map((text) => ({ '@type': 'HowToStep', text })),
    ...(recipe.oven[0] && { cookingMethod: `Baking at ${recipe.oven[0].celsius} °C${recipe.oven[0].fan ? ' fan' : ''}` }),
  }
}

/** A line that named two ingredients stands twice in a part; it is written once. */
function firstOfItsText(
  line: { text: string; ingredient: string | null },
  index: number,
  all: { text: string; ingredient: string | null }[],
): boolean {
  const previous = all[index - 1]
  return !previous || previous.text !== line.text || previous.ingredient === line.ingredient
}

/** A recipe as plain text that the reader takes back. */
export function writeText(recipe: Recipe): string {
  const rows: string[] = [recipe.title]
  if (recipe.yield) rows.push(`Makes: ${recipe.yield.text}`)
  if (recipe.tins.length) rows.push(`Tin: ${recipe.tins.map((t) => t.text).join('; ')}`)
  if (recipe.oven.length)
    rows.push(
      `Oven: ${recipe.oven
        .map(
          (o) =>
            `${o.celsius} °C${o.fan ? ' fan' : ''}${o.minutes ? `, ${o.minutes[0] === o.minutes[1] ? o.minutes[0] : `${o.minutes[0]} to ${o.minutes[1]}`} minutes` : ''}`,
        )
        .join(', then ')}`,
    )
  const several = recipe.parts.length > 1
  for (const part of recipe.parts) {
    rows.push('', ...(several ? [`# ${part.name}`] : []))
    rows.push(...part.lines.filter(firstOfItsText).map((l) => l.text))
  }
  if (recipe.method.length) rows.push('', 'Method:', ...recipe.method.map((step, i) => `${i + 1}. ${step}`))
  return rows.join('\n') + '\n'
}
