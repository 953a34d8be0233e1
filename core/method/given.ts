import type { Region } from '../measure/region'
import { MODERATE } from '../recipe/oven'
import type { ParsedRecipe, Recipe } from '../recipe/recipe'
import { kitchenOf, readRecipe, refuseTooMuch, type Kitchen } from '../recipe/text'
import { unknownLines } from '../recipe/unknown'
import { Refusal } from '../refusal'
import { readMethod } from './read'
import type { Clause, Step } from './step'

/**
 * Reads one recipe that somebody gives: its page (see `readRecipe`), and of its lines what only the method tells.
 *
 * @throws Refusal where there is no text, or more than one recipe can be
 */
export function readGiven(text: string, kitchen: Region | Kitchen): ParsedRecipe {
  if (!text.trim()) throw new Refusal('empty-recipe', 'There is no text to read: paste a recipe.', 'text')
  refuseTooMuch(text)
  const region = kitchenOf(text, typeof kitchen === 'string' ? { region: kitchen } : kitchen)
  const read = readRecipe(text, region.used)
  settle(read.recipe, region.used)
  const made = madeHere(read.recipe)
  return {
    ...read,
    recipe: { ...read.recipe, region: region.used },
    questions: read.questions.filter((q) => !(q.part !== null && q.line !== null && made.has(`${q.part}:${q.line}`))),
    unknown: made.size ? unknownLines(read.recipe) : read.unknown,
    region,
  }
}

/** "4 tbsp of the caramel", "the rest of the custard": by its whole name. */
const OF_MADE = /^(?:.{0,24}\b(?:of|from) the|the (?:rest of the|remaining)?) ?(\p{L}[\p{L} ]{2,28}?)(?: (?:above|below|from above))?\s*$/iu

/**
 * Lines that only take up what another part of the recipe makes: they have no contents of their own.
 *
 * @returns their places, `part:line`
 */
function madeHere(recipe: Recipe): Set<string> {
  const found = new Set<string>()
  const plainName = (name: string) =>
    name
      .toLowerCase()
      .replace(/^(?:for |to make )?(?:the )?/, '')
      .trim()
  recipe.parts.forEach((p, part) =>
    p.lines.forEach((line, at) => {
      const said = OF_MADE.exec(line.text.trim())?.[1]
      const other = said && recipe.parts.find((q) => q !== p && plainName(q.name) === plainName(said))
      if (!other) return
      Object.assign(line, { ingredient: null, match: 'exact', made: other.name, grams: { low: 0, high: 0, best: 0 } })
      found.add(`${part}:${at}`)
    }),
  )
  return found
}

/** What a line is and where it belongs, as far as only the method shows it. */
function settle(recipe: Recipe, region: Region): void {
  const whites = recipe.parts.flatMap((p, part) =>
    p.role === 'topping' && p.lines.some((l) => /^(?:egg-white|aquafaba)/.test(l.ingredient ?? '')) ? [part] : [],
  )
  const nuts = recipe.parts.some((p) => p.lines.some((l) => l.ingredient && l.ingredient in MEALS))
  const unheated = recipe.method.length > 0 && (!recipe.oven.length || (recipe.oven.length === 1 && recipe.oven[0]!.assumed))
  if (!nuts && !whites.length && !unheated) return
  const { steps } = readMethod(recipe, region)
  if (unheated) bakeTime(recipe, steps)
  foldIn(
    recipe,
    whites,
    steps.flatMap((s) => s.clauses),
  )
  if (nuts) groundFirst(recipe, steps)
}

/** Less than this is a mug in the microwave, min. */
const LEAST_BAKE = 8

/** Where no heat is told (on coals, in a pot), the time is that of the act that bakes. */
function bakeTime(recipe: Recipe, steps: readonly Step[]): void {
  const bakes = steps.flatMap((s) => s.clauses).filter((c) => c.act === 'bake' && c.minutes && c.minutes[0] >= LEAST_BAKE)
  const same = bakes.some((c) => c.minutes![0] === recipe.oven[0]?.minutes?.[0] && c.minutes![1] === recipe.oven[0].minutes[1])
  if (!bakes.length || same) return
  const [low, high] = bakes[0]!.minutes!
  recipe.oven = [{ celsius: MODERATE, fan: false, ...recipe.oven[0], minutes: [Math.round(low), Math.round(high)], assumed: true }]
}

/**
 * Whites under a heading of their own ("Meringue:") that are whipped before the batter is in its tin, and never used
 * again, are folded into it: they are batter, not what goes on top.
 */
function foldIn(recipe: Recipe, whites: readonly number[], clauses: readonly Clause[]): void {
  if (!recipe.parts.some((p) => p.role === 'batter')) return
  for (const part of whites) {
    const foamed = clauses.findLastIndex((c) => c.part === part && c.act === 'foam')
    const filled = clauses.findIndex((c) => c.act === 'fill-tin' || c.act === 'bake')
    const later = clauses.slice(filled).some((c) => c.things.some((x) => 'line' in x && x.part === part))
    if (foamed >= 0 && filled > foamed && !later) recipe.parts[part]!.role = 'batter'
  }
}

/** Nuts that have a meal of their own. */
const MEALS: Readonly<Record<string, string>> = { almond: 'flour-almond', hazelnut: 'flour-hazelnut', walnut: 'flour-walnut' }
const GRINDS: ReadonlySet<string> = new Set(['grind', 'whizz', 'blitz', 'process', 'pulse', 'mash', 'blend'])
/** "Chop the almonds finely with the sugar in a food processor" */
const GRINDER = /\b(?:processor|blender|grinder|chopper|mill)\b/i

/** Nuts that the method grinds, alone or with sugar or flour, are a meal in the batter and no pieces in it. */
function groundFirst(recipe: Recipe, steps: readonly Step[]): void {
  for (const { text, c } of steps.flatMap((s) => s.clauses.map((c) => ({ text: s.text, c })))) {
    if (!GRINDS.has(c.verb) && !(c.verb === 'chop' && GRINDER.test(text.slice(...c.span)))) continue
    const lines = c.things.flatMap((t) => ('line' in t ? (recipe.parts[t.part]?.lines[t.line] ?? []) : []))
    if (!lines.every((l) => /^(?:almond|hazelnut|walnut|sugar|flour|zest|salt|starch|potato-starch|cornstarch)/.test(l.ingredient ?? '')))
      continue
    for (const l of lines) l.ingredient = MEALS[l.ingredient ?? ''] ?? l.ingredient
  }
}
