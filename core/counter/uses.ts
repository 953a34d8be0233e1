import { HEATS_OVEN } from '../recipe/words'
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

/** A sentence of the method, as it is matched with lines. */
export interface Sentence {
  text: string
  /** After the cake left the oven. */
  baked: boolean
  /** Something is put together in it. */
  mixes: boolean
}

const DRY: readonly Kind[] = ['flour', 'starch', 'cocoa', 'leavener', 'binder', 'salt', 'mix']
/** Sugar dissolves, so bakers count it with what is wet. */
const WET: readonly Kind[] = ['water', 'dairy', 'plant-dairy', 'egg', 'acid', 'syrup', 'sugar', 'flavour']
/** What a method calls several lines at once. */
const GROUPS: { words: RegExp; has: (i: Ingredient | undefined) => boolean }[] = [
  {
    words: /\bdry\b|\bflour (?:mixture|mix)\b|\bflours\b/i,
    has: (i) => !!i && (DRY.includes(i.kind) || i.id === 'spice'),
  },
  {
    words: /\b(?:wet|liquids?)\b/i,
    has: (i) => !!i && ((WET.includes(i.kind) && i.id !== 'spice') || /^oil-|puree|applesauce/.test(i.id)),
  },
]
const ALL =
  /\b(?:everything|all (?:of )?(?:the )?(?:ingredients|things)|all together|all in one|(?:add|mix in|stir in|beat in|with) the rest|remaining (?:ingredients|things)|rest of the (?:ingredients|things))\b/i

/** Last words of names that say nothing alone. */
const VAGUE = new Set([
  'powder',
  'extract',
  'mix',
  'paste',
  'ground',
  'plain',
  'white',
  'cream',
  'drink',
  'block',
  'whole',
  'liquid',
  'can',
  'spread',
  'butter',
  'cheese',
  'milk',
  'syrup',
])
const KIND_WORDS: Partial<Record<string, string>> = {
  flour: 'flours?',
  sugar: 'sugars?',
  nut: 'nuts?',
  fat: 'fat',
  'baking-powder': 'raising agents?',
}
/** Two words for one thing, where the pantry's names do not have them. */
const ALSO: Record<string, string> = {
  'baking-soda': 'soda|bicarb(?:onate)?',
  'baking-powder': 'powder',
  'butter-unsalted': 'butter(?!milk)',
  'butter-salted': 'butter(?!milk)',
  'egg-white': '(?:egg )?whites?',
  'egg-yolk': '(?:egg )?yolks?',
  'egg-whole': 'eggs?|(?:egg )?yolks?|(?:egg )?whites?',
  'cream-cheese': '(?:cream )?cheese',
  'sour-cream': '(?:soured? )?cream(?! (?:the|together|until|cheese|butter|of))',
  'cream-heavy': 'cream(?! (?:the|together|until|cheese|butter|of))',
  'milk-whole': '(?<!condensed |evaporated |soured |coconut |soy |oat |almond )milk(?! powder)',
  'milk-semi-skimmed': '(?<!condensed |evaporated |soured |coconut |soy |oat |almond )milk(?! powder)',
}
const escape = (s: string) => s.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')

/** Whatever a method may call a line. */
export function wordsFor(line: Line): RegExp | null {
  const i = ingredientOf(line.ingredient)
  const names = [line.named ?? '', ...(i?.names ?? [])]
    .map((n) =>
      n
        .toLowerCase()
        .replace(/\(.*?\)/g, '')
        .trim(),
    )
    .filter((n) => n.length > 2)
  const words = new Set(names.map((n) => escape(n).replace(/s$/, '')))
  for (const n of names) {
    const last = n
      .split(/[\s-]+/)
      .at(-1)!
      .replace(/s$/, '')
    if (last.length > 2 && !VAGUE.has(last)) words.add(escape(last))
  }
  const own = i && (ALSO[i.id] ?? (/^(?:soy|oat|almond|coconut)-milk/.test(i.id) ? 'milk(?! powder)' : undefined))
  const kind = i && (KIND_WORDS[i.id] ?? KIND_WORDS[i.kind])
  const all = [...[...words].map((w) => `${w}(?:e?s)?`), ...(own ? [own] : []), ...(kind ? [kind] : [])]
  return all.length ? new RegExp(`\\b(?:${all.join('|')})\\b`, 'i') : null
}

/** Roles that are mixed before the oven, and those that are made for after it; the rest go where they are named. */
const BEFORE: readonly Role[] = ['batter', 'crust']
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
    p.lines.flatMap((line, at) =>
      line.grams.best > 0 || line.quantity || line.ingredient ? [{ part, at, line, role: p.role, words: wordsFor(line) }] : [],
    ),
  )
  type Open = (typeof left)[number]
  const found: Open[][] = sentences.map(() => [])
  const open = new Set(left)
  const give = (n: number, all: readonly Open[]) =>
    all.forEach((o) => {
      found[n]!.push(o)
      open.delete(o)
    })
  const named = recipe.parts.map((p) => {
    const name = p.name
      .toLowerCase()
      .replace(/^for the |^the /, '')
      .trim()
    return name.length > 2 && recipe.parts.length > 1 ? new RegExp(`\\b${escape(name)}\\b`, 'i') : null
  })
  /** The parts that a sentence can be about, likeliest first. */
  const partsFor = (s: Sentence): number[] => {
    const score = (p: number) =>
      (named[p]?.test(s.text) ? 4 : 0) +
      (BEFORE.includes(recipe.parts[p]!.role) ? (s.baked ? -2 : 2) : 0) +
      (AFTER.includes(recipe.parts[p]!.role) ? (s.baked ? 2 : -2) : 0)
    return recipe.parts.map((_, i) => i).sort((a, b) => score(b) - score(a) || a - b)
  }
  sentences.forEach((s, n) => {
    if (!s.mixes && !s.baked && !/\b(grease|dust|line)\b/i.test(s.text) && !left.some((o) => open.has(o) && o.words?.test(s.text))) return
    // "Grease the tin with butter" uses no butter of the mix.
    if ((/\b(grease|line|dust)\b/i.test(s.text) || HEATS_OVEN.test(s.text)) && !s.mixes) return
    const parts = partsFor(s)
    const taken = new Set<string>()
    for (const part of parts) {
      const here = left.filter((o) => open.has(o) && o.part === part)
      const byName = here.filter((o) => o.words?.test(s.text) && !taken.has(o.line.ingredient ?? o.line.text))
      // A thing that stands twice in a part is for two steps, where two steps speak of it.
      const again = (o: Open) => sentences.slice(n + 1).some((later) => o.words!.test(later.text) && later.baked === s.baked)
      const firsts = byName.filter((o, i) => byName.findIndex((x) => x.line.ingredient === o.line.ingredient) === i || !again(o))
      if (!firsts.length) continue
      firsts.forEach((o) => taken.add(o.line.ingredient ?? o.line.text))
      give(n, firsts)
      // One thing belongs to one part: butter of the batter is not butter of the icing.
      if (!named[part]?.test(s.text) && parts.indexOf(part) === 0 && !s.baked) break
    }
    const home = found[n]![0]?.part ?? parts[0]!
    for (const g of GROUPS)
      if (g.words.test(s.text))
        give(
          n,
          left.filter((o) => open.has(o) && o.part === home && g.has(ingredientOf(o.line.ingredient))),
        )
    if (ALL.test(s.text))
      give(
        n,
        left.filter((o) => open.has(o) && o.part === home),
      )
  })
  const unnamed = new Set(open)
  for (const o of [...open]) {
    // What the method forgets of the dry things goes in with the flour.
    const dry = DRY.includes(ingredientOf(o.line.ingredient)?.kind ?? 'finish') || o.line.ingredient === 'spice'
    const flour = dry
      ? found.findIndex((uses) => uses.some((u) => u.part === o.part && ingredientOf(u.line.ingredient)?.kind === 'flour'))
      : -1
    const same = found.findLastIndex((uses, n) => sentences[n]!.mixes && uses.some((u) => u.part === o.part))
    const before = !AFTER.includes(o.role) && o.role !== 'filling' && o.role !== 'soak'
    const mixing = sentences.findLastIndex((s) => s.mixes && s.baked === !before)
    const any = sentences.findLastIndex((s) => s.baked === !before)
    const at = [flour, same, mixing, any, sentences.length - 1].find((n) => n >= 0)
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
        unnamed: unnamed.has(o),
      })),
  )
}
