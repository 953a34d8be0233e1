import { isGroup, isLine, type Clause, type Group } from '../method/step'
import { portionsOf, type Portion } from './portions'
import type { Ingredient, Kind } from '../pantry/ingredient'
import { isNutButter } from '../pantry/traits'
import { ingredientOf } from '../pantry/pantry'
import type { Line, Recipe, Role } from '../recipe/recipe'

/** One line of the recipe that goes in at a step. */
export interface Use {
  /** `part.line`, by which a tick is kept; of a line that goes in by portions `part.line.2` from the second on. */
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
/** What takes one line up in another. */
const TAKEN_UP = /\b(?:dissolved|mixed|blended|soaked|stirred|slaked|beaten) (?:in|into|with)\b/i
/** Sugar dissolves, so bakers count it with what is wet. */
const WET: readonly Kind[] = ['water', 'dairy', 'plant-dairy', 'egg', 'acid', 'syrup', 'sugar', 'flavour']
/** What a method calls several lines at once. */
const GROUPED: Record<Group, (i: Ingredient | undefined) => boolean> = {
  dry: (i) => !!i && (DRY.includes(i.kind) || i.id === 'spice'),
  wet: (i) => !!i && ((WET.includes(i.kind) && i.id !== 'spice') || isNutButter(i) || /^oil-|puree|applesauce/.test(i.id)),
  all: () => true,
  rest: () => true,
}

const OF_TIN = /\b(?:pan|tin|mould|mold|tray)\b/i

const AT_LAST = /\b(?:to (?:serve|finish|decorate|garnish|dust|sprinkle)|for (?:serving|dusting|finishing|decoration|sprinkling))\b/i

/** Roles that are made for after the oven. */
const AFTER: readonly Role[] = ['frosting', 'topping']

/**
 * Which lines go in at which sentence: each line that weighs anything exactly once, where it is named first, or in
 * the portions that the method tells.
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
  const portions = new Map(left.map((o) => [o, portionsOf(sentences, o.part, o.at, groupedAt(o))]))
  for (const o of left) if (portions.get(o)!.length) give(portions.get(o)![0]!.sentence, [o])
  // What no sentence names goes in with its kind.
  for (const o of [...open]) {
    const n = groupedAt(o)[0]
    if (n !== undefined) give(n, [o])
  }
  // "For the pan: butter and sugar" is used where the tin is made ready.
  const readied = sentences.findIndex((s) => s.clauses.some((c) => c.act === 'ready-tin'))
  if (readied >= 0)
    give(
      readied,
      [...open].filter((o) => OF_TIN.test(recipe.parts[o.part]!.name)),
    )
  // "Cocoa for dusting", where the moulds are dusted.
  for (const o of [...open]) {
    const n = sentences.findIndex((s) =>
      s.clauses.some((c) => c.act === 'ready-tin' && c.things.some((t) => isLine(t) && t.part === o.part && t.line === o.at)),
    )
    if (n >= 0) give(n, [o])
  }
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
    // "Extra icing sugar, to serve" waits for the end.
    const last = AT_LAST.test(o.line.text) ? sentences.length - 1 : -1
    const at = [last, along, flour, same, mixing, any, sentences.length - 1].find((n) => n >= 0)
    if (at !== undefined) give(at, [o])
  }
  return found.map((uses, n) => {
    const here = uses.filter((o) => portions.get(o)!.length < 2).map((o) => ({ o, use: useOf(o, 'all', 1) }))
    const shared = left.flatMap((o) => {
      const all = portions.get(o)!
      const at = all.findIndex((p) => p.sentence === n)
      return all.length > 1 && at >= 0 ? [{ o, use: useOf(o, all[at]!, at + 1) }] : []
    })
    return [...here, ...shared].sort((a, b) => a.o.part - b.o.part || a.o.at - b.o.at).map((x) => x.use)
  })

  /** Sentences that mean a line by a word for several. */
  function groupedAt(o: Open): number[] {
    return sentences.flatMap((s, n) =>
      s.clauses.some((c) => c.things.some((t) => isGroup(t) && (t.part ?? c.part) === o.part && inGroup(t.group, o))) ? [n] : [],
    )
  }

  function inGroup(group: Group, o: Open): boolean {
    const i = ingredientOf(o.line.ingredient)
    return GROUPED[group](i) || (group === 'dry' && i?.kind === 'sugar' && noneWet(o.part))
  }

  /** Where nothing is called wet, sugar is one of the dry things. */
  function noneWet(part: number): boolean {
    return !sentences.some((s) => s.clauses.some((c) => c.part === part && c.things.some((t) => isGroup(t) && t.group === 'wet')))
  }

  function useOf(o: Open, portion: Portion | 'all', nth: number): Use {
    const all = portion === 'all'
    const name = o.line.named || ingredientOf(o.line.ingredient)?.names[0] || o.line.text
    return {
      id: `${o.part}.${o.at}${nth > 1 ? `.${nth}` : ''}`,
      part: o.part,
      line: o.at,
      ingredient: o.line.ingredient,
      name: all || !portion.as ? name : `egg ${portion.as}s`,
      kitchen: kitchen(all || portion.as ? o.line : some(o.line, portion.share)),
      grams: all ? o.line.grams.best : o.line.grams.best * portion.share,
      unnamed: unnamed.has(o) && !o.line.made,
    }
  }
}

/** A portion of a line, as a line. */
function some(line: Line, share: number): Line {
  const { quantity, grams } = line
  return {
    ...line,
    ...(quantity && { quantity: { ...quantity, low: quantity.low * share, high: quantity.high * share } }),
    grams: { low: grams.low * share, high: grams.high * share, best: grams.best * share },
  }
}
