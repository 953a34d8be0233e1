import { isGroup, isLine, type Clause, type Group } from '../method/step'
import type { Ingredient, Kind } from '../pantry/ingredient'
import { ingredientOf } from '../pantry/pantry'
import type { Line, Recipe, Role } from '../recipe/recipe'

/** One line of the recipe that goes in at a step. */
export interface Use {
  /** `part.line`, by which a tick is kept. */
  id: string
  part: number
  line: number
  ingredient: string | null
  name: string
  /** The baker's own measure: "¾ cup". */
  kitchen: string
  grams: number
  /** The method does not name it: it is told here so that it is not forgotten. */
  unnamed: boolean
}

/** A step at the counter, as the method was understood. */
export interface Sentence {
  clauses: readonly Clause[]
  /** After the cake left the oven. */
  baked: boolean
  /** Something is put together in it. */
  mixes: boolean
}

const DRY: readonly Kind[] = ['flour', 'starch', 'cocoa', 'leavener', 'binder', 'salt', 'mix']
/** Sugar dissolves, so bakers count it with what is wet. */
/** What takes one line up in another. */
const TAKEN_UP = /\b(?:dissolved|mixed|blended|soaked|stirred|slaked|beaten) (?:in|into|with)\b/i
const WET: readonly Kind[] = ['water', 'dairy', 'plant-dairy', 'egg', 'acid', 'syrup', 'sugar', 'flavour']
/** What a method calls several lines at once. */
const GROUPED: Record<Group, (i: Ingredient | undefined) => boolean> = {
  dry: (i) => !!i && (DRY.includes(i.kind) || i.id === 'spice'),
  wet: (i) => !!i && ((WET.includes(i.kind) && i.id !== 'spice') || /^oil-|puree|applesauce/.test(i.id)),
  all: () => true,
  rest: () => true,
}

/** Roles that are made for after the oven. */
const AFTER: readonly Role[] = ['frosting', 'topping']

/**
 * Which lines go in at which sentence: each line that weighs anything exactly once, where it is named first.
 *
 * A line that no sentence names goes to the last mixing of its part, and says so.
 *
 * @returns for each sentence its uses, in the order of the recipe
 */
export function usesOf(recipe: Recipe, sentences: readonly Sentence[], kitchen: (line: Line) => string): Use[][] {
  const left = recipe.parts.flatMap((p, part) =>
    p.lines.flatMap((line, at) => (line.grams.best > 0 || line.quantity || line.ingredient ? [{ part, at, line, role: p.role }] : [])),
  )
  type Open = (typeof left)[number]
  const found: Open[][] = sentences.map(() => [])
  const open = new Set(left)
  const give = (n: number, all: readonly Open[]) =>
    all.forEach((o) => {
      found[n]!.push(o)
      open.delete(o)
    })
  // "Butter the tin" uses no butter of the mix.
  const linesOf = (s: Sentence) => s.clauses.filter((c) => c.act !== 'ready-tin').flatMap((c) => c.things.filter(isLine))
  sentences.forEach((s, n) => {
    const here = linesOf(s)
    give(
      n,
      left.filter((o) => open.has(o) && here.some((t) => t.part === o.part && t.line === o.at)),
    )
    for (const c of s.clauses)
      for (const g of c.things.filter(isGroup)) {
        // Where nothing is called wet, sugar is one of the dry things.
        const sweet =
          g.group === 'dry' &&
          !sentences.some((x) => x.clauses.some((y) => y.part === c.part && y.things.some((t) => isGroup(t) && t.group === 'wet')))
        const later = sentences.slice(n + 1).flatMap(linesOf)
        give(
          n,
          left.filter(
            (o) =>
              open.has(o) &&
              o.part === c.part &&
              (GROUPED[g.group](ingredientOf(o.line.ingredient)) || (sweet && ingredientOf(o.line.ingredient)?.kind === 'sugar')) &&
              !later.some((t) => t.part === o.part && t.line === o.at),
          ),
        )
      }
  })
  const unnamed = new Set(open)
  for (const o of [...open]) {
    // What the method forgets of the dry things goes in with the flour.
    const dry = DRY.includes(ingredientOf(o.line.ingredient)?.kind ?? 'finish') || o.line.ingredient === 'spice'
    // "espresso dissolved in hot water": the water goes with it.
    const before = o.at > 0 ? recipe.parts[o.part]!.lines[o.at - 1]! : undefined
    const along =
      before && before.text === o.line.text && TAKEN_UP.test(o.line.text)
        ? found.findIndex((uses) => uses.some((u) => u.part === o.part && u.at === o.at - 1))
        : -1
    const flour = dry
      ? found.findIndex((uses) => uses.some((u) => u.part === o.part && ingredientOf(u.line.ingredient)?.kind === 'flour'))
      : -1
    const same = found.findLastIndex((uses, n) => sentences[n]!.mixes && uses.some((u) => u.part === o.part))
    const early = !AFTER.includes(o.role) && o.role !== 'filling' && o.role !== 'soak'
    const mixing = sentences.findLastIndex((s) => s.mixes && s.baked === !early)
    const any = sentences.findLastIndex((s) => s.baked === !early)
    const at = [along, flour, same, mixing, any, sentences.length - 1].find((n) => n >= 0)
    if (at !== undefined) give(at, [o])
  }
  return found.map((uses) =>
    uses
      .sort((a, b) => a.part - b.part || a.at - b.at)
      .map((o) => ({
        id: `${o.part}.${o.at}`,
        part: o.part,
        line: o.at,
        ingredient: o.line.ingredient,
        name: o.line.named || ingredientOf(o.line.ingredient)?.names[0] || o.line.text,
        kitchen: kitchen(o.line),
        grams: o.line.grams.best,
        unnamed: unnamed.has(o) && !o.line.made,
      })),
  )
}
