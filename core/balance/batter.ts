import { methodOf } from '../method/read'
import { isGroup, isLine, type Act, type Clause, type LineThing, type Method } from '../method/step'
import type { Ingredient } from '../pantry/ingredient'
import { need } from '../pantry/pantry'
import { isThinLiquid } from '../pantry/traits'
import type { Part, Recipe } from '../recipe/recipe'

/** Acts by which a thing goes over, under or round a batter instead of into it. */
const NOT_INTO: ReadonlySet<Act> = new Set([
  'decorate',
  'soak',
  'spread',
  'pipe',
  'poke',
  'serve',
  'ready-tin',
  'roll',
  'hollow',
  'unmould',
  'cool',
  'cut',
])
/** A batter is in its tin once its flour and this share of the lines have gone in. */
const MOST = 0.45
/** Acts that put things together. */
const MIXING: ReadonlySet<Act> = new Set(['mix', 'cream', 'foam', 'fold', 'rub-in', 'melt', 'simmer', 'infuse', 'soften', 'rest', 'strain'])

/**
 * The lines of a recipe's batters that are no part of what is mixed: sauce poured over a pudding cake, sugar and fruit
 * under an upside-down cake, crumbs on top, milk that a baked cake drinks, icing that a page lists with the cake.
 *
 * A line is out when every clause that uses it puts it over, under or round the batter, or mixes it after the batter is
 * in its tin without going back to that batter. What no clause names is in.
 *
 * @returns keys `part:line`
 */
export function besideTheBatter(recipe: Recipe): ReadonlySet<string> {
  const method = methodOf(recipe)
  const kept = known.get(method)
  if (kept) return kept
  const found = findBeside(recipe, method)
  known.set(method, found)
  return found
}

/** By reading: a recipe that changes is read anew. */
const known = new WeakMap<Method, ReadonlySet<string>>()

function findBeside(recipe: Recipe, method: Method): ReadonlySet<string> {
  const out = new Set<string>()
  const clauses = method.steps.flatMap((s) => s.clauses.filter((c) => !c.lists))
  for (const key of dippedInto(clauses)) out.add(key)
  recipe.parts.forEach((p, part) => {
    if (p.role !== 'batter') return
    const here = clauses
    // The tin is filled with batter once something was mixed; what lies there before lies under it.
    // "Beat the remaining ingredients": what no clause names goes in there.
    const rest = here.findIndex((c) => c.part === part && c.things.some((x) => isGroup(x) && (x.group === 'rest' || x.group === 'all')))
    const usedBy = p.lines.map((_, index) => {
      const named = here.findIndex((c) => c.things.some((x) => isLine(x) && x.part === part && x.line === index))
      return named >= 0 ? named : rest
    })
    // "Bake the mix with water, oil and eggs": the bowl is not told of.
    const first = here.findIndex(
      (c) => (MIXING.has(c.act) || c.act === 'bake') && c.things.some((x) => isLine(x) && x.part === part && isDry(p, x.line)),
    )
    const mixed = first >= 0 ? first : rest
    if (mixed < 0) return
    const complete = (i: number) => {
      const known = p.lines.flatMap((l, index) =>
        l.ingredient && usedBy[index]! >= 0 ? [{ flour: /^flour|^cake-mix|^semolina/.test(l.ingredient), at: usedBy[index]! }] : [],
      )
      return known.every((k) => !k.flour || k.at < i) && known.filter((k) => k.at < i).length >= MOST * known.length
    }
    const atOnce = here[mixed]!.act === 'bake'
    const baked = atOnce ? mixed : here.findIndex((c, i) => i > mixed && (c.act === 'bake' || c.act === 'fry') && complete(i))
    const filled = atOnce ? -1 : here.findIndex((c, i) => i > mixed && c.act === 'fill-tin' && complete(i))
    const end = filled >= 0 ? filled : baked
    if (end < 0) return
    // "Melt the butter in a 9 in pan, sprinkle sugar over it", before anything is mixed: it lies under the batter.
    const laid = here.findIndex(
      (c, i) => i < mixed && c.tin && c.act !== 'ready-tin' && c.act !== 'heat-oven' && c.things.some((x) => isLine(x) && x.part === part),
    )
    const begun = here.findIndex((c, i) => i > laid && (i === mixed || ['cream', 'foam', 'rub-in', 'heat-oven'].includes(c.act)))
    p.lines.forEach((line, index) => {
      // What raises is never beside. Eggs on top are a meringue's, whose part a page mostly names; in a list of its own they are the batter's.
      if (!line.ingredient || /^egg-|^baking-|^yeast|^cream-of-tartar/.test(line.ingredient)) return
      const uses = here.flatMap((c, i) => (c.things.some((x) => isLine(x) && x.part === part && x.line === index) ? [{ c, i }] : []))
      if (!uses.length) return
      const into = uses.some(({ c, i }) => {
        if (laid >= 0 && i >= laid && i < begun) return false
        if (i < end || (atOnce && i === end)) return c.act !== 'ready-tin' && (c.act !== 'fill-tin' || i > mixed)
        if (NOT_INTO.has(c.act) || c.act === 'fill-tin') return false
        // The water of a bath, the salt of a pot: not told to go over anything.
        if (!MIXING.has(c.act)) return true
        // "Stir the cocoa into the rest": back to the batter.
        return MIXING.has(c.act) && c.things.some((x) => !isLine(x) && (!isGroup(x) || x.group === 'rest')) && (baked < 0 || i < baked)
      })
      if (!into) out.add(`${part}:${index}`)
    })
  })
  return out
}

/** What is bought baked, and drinks. */
const DRINKS = /biscuit|crumbs|wafer/
/** What it drinks: coffee, juice, milk, and what sweetens and flavours them. */
const isDrink = (id: string): boolean => isThinLiquid(need(id))
const IN_DRINK: ReadonlySet<Ingredient['kind']> = new Set<Ingredient['kind']>(['flavour', 'sugar', 'syrup', 'acid', 'cocoa'])

/**
 * Coffee for sponge fingers: mixed by itself and drunk up by what is dipped, it is no part of the cream between.
 *
 * @returns keys `part:line`
 */
function dippedInto(clauses: readonly Clause[]): string[] {
  const drink = (c: Clause): LineThing[] => {
    const lines = c.things.filter(isLine)
    return lines.some((x) => isDrink(x.ingredient)) && lines.every((x) => isDrink(x.ingredient) || IN_DRINK.has(need(x.ingredient).kind))
      ? lines
      : []
  }
  return clauses.flatMap((c, i) => {
    if (c.act !== 'soak' || !c.things.some((x) => isLine(x) && DRINKS.test(x.ingredient))) return []
    const named = c.things.filter(isLine).filter((x) => isDrink(x.ingredient))
    const into = named.length
      ? named
      : (clauses
          .slice(0, i)
          .map(drink)
          .findLast((x) => x.length) ?? [])
    const elsewhere = (x: LineThing) =>
      clauses.some((o) => o !== c && !drink(o).length && o.things.some((y) => isLine(y) && y.part === x.part && y.line === x.line))
    return into.filter((x) => !elsewhere(x)).map((x) => `${x.part}:${x.line}`)
  })
}

/** A line that makes a batter a batter: flour, meal, nuts ground, a box, cheese or eggs in quantity. */
function isDry(part: Part, index: number): boolean {
  const line = part.lines[index]
  const id = line?.ingredient ?? ''
  return /^flour|^cake-mix|^semolina|^oat|^cream-cheese|^egg-|^chocolate|starch|^cocoa|^biscuit/.test(id)
}

/**
 * The parts that a cake is judged by: its batters; of a cake without one, the filling that it is made of, or its base.
 */
export function mainParts(recipe: Recipe): number[] {
  const all = recipe.parts.map((p, part) => ({ part, role: p.role, grams: p.lines.reduce((sum, l) => sum + l.grams.best, 0) }))
  const batters = all.filter((p) => p.role === 'batter')
  // Butter, sugar and fruit for the tin stand under a heading of their own, and are no batter beside one.
  const made = batters.filter(({ part }) =>
    recipe.parts[part]!.lines.some((l) =>
      /^flour|^cake-mix|^egg-|starch|^semolina|^cream-cheese|^chocolate|^cocoa|^oil-/.test(l.ingredient ?? ''),
    ),
  )
  if (made.length) return made.map((p) => p.part)
  if (batters.length) return batters.map((p) => p.part)
  const crusts = all.filter((p) => p.role === 'crust')
  const body = all.filter((p) => p.role === 'filling').sort((a, b) => b.grams - a.grams)[0]
  // A base and what fills it: a cheesecake, a tart. A base and its icing: a slice.
  if (crusts.length && body && body.grams > crusts.reduce((sum, p) => sum + p.grams, 0) * 0.5) return [body.part]
  if (crusts.length && !body) return [crusts[0]!.part]
  return all.length ? [0] : []
}

/**
 * The batters that are mixed each in its own bowl: two doughs of a marble cake, a sponge and a choux; one group of parts
 * for each. Halves of one batter ("dry", "the rest") are one group.
 */
export function battersOf(recipe: Recipe): number[][] {
  const parts = mainParts(recipe)
  const has = (part: number, test: RegExp) => recipe.parts[part]!.lines.some((l) => test.test(l.ingredient ?? ''))
  const whole = (part: number) =>
    recipe.parts[part]!.role === 'batter' &&
    has(part, /^flour|^cake-mix|^semolina/) &&
    has(part, /^egg|butter|^oil|margarine|spread|milk|yogurt|^water/)
  return parts.length > 1 && parts.every(whole) ? parts.map((p) => [p]) : parts.length ? [parts] : []
}
