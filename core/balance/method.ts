import { isLine, type Clause } from '../method/step'
import { methodOf } from '../method/read'
import { ingredientOf } from '../pantry/pantry'
import type { Recipe } from '../recipe/recipe'
import { mainParts } from './batter'
import type { CakeFamily } from './families'

/** What the method and the title say about how the mix is made. */
export interface MethodSigns {
  /** Butter is creamed or beaten with sugar. */
  creamed: boolean
  /** Everything is beaten together at once: less air than in creamed butter, so such cakes take more powder. */
  allInOne: boolean
  /** Eggs, whites or bean-can liquid are whipped to a foam. */
  whipped: boolean
  /** Firm fat goes in melted. */
  melted: boolean
  /** Nothing is said about mixing at all. */
  silent: boolean
  /** Soda goes into hot water or onto fruit before it is mixed in: much of its gas is gone by then. */
  sodaSpent: boolean
  /** Lemon or lime is what it should taste of. */
  citrus: boolean
  /** Fat is rubbed into the flour: a dough, no batter. */
  rubbed: boolean
  crepe: boolean
  muffin: boolean
  /** One portion in a mug, or cooked by microwave. */
  mug: boolean
  /** It is rolled out before it bakes, as a dough is. */
  rolled: boolean
  /** Baked in a tray and cut up: a brownie, a blondie, a slice. */
  bar: boolean
  /** It is cooked in a pot before it is baked: a porridge, a choux, a boiled cake. */
  cooked: boolean
  /** Nothing is baked or fried: what sets it is cold. */
  unbaked: boolean
  /** Families that its title names. */
  named: readonly CakeFamily[]
}

/** What a cake is called, where that says what kind it is. */
const TITLES: readonly [RegExp, readonly CakeFamily[]][] = [
  [/\b(?:pound|madeira|quatre[- ]quarts|four[- ]quarters)\b/i, ['pound']],
  [/\b(?:genoise|g[ée]noise|angel|chiffon|swiss roll|roulade|jelly roll|savoy|sponge fingers?)\b/i, ['foam']],
  [/\bcheese ?cake\b/i, ['cheesecake']],
  [/\bbrownies?\b/i, ['flourless-chocolate', 'oil-layer']],
  [/\bblondies?\b/i, ['pound']],
  [/\b(?:muffins?|loaf|tea ?bread|banana bread)\b/i, ['loaf']],
  [/\b(?:gingerbread|parkin|lekach|honey cake|treacle)\b/i, ['syrup-spice']],
  [/\b(?:scones?|shortbread|shortcakes?|rock (?:cakes?|buns?)|biscuits?|cookies?|tart|pie|pastry|baklava|filo)\b/i, ['pastry']],
  [/\b(?:custard|flan|pudding|clafoutis|clafouti|far breton)\b/i, ['custard']],
]
/** Families that a title names. */
export const namedIn = (title: string): CakeFamily[] => TITLES.flatMap(([words, families]) => (words.test(title) ? [...families] : []))

const idsOf = (c: Clause): string[] => c.things.flatMap((x) => (isLine(x) ? [x.ingredient] : []))
const kindOf = (id: string) => ingredientOf(id)?.kind
const foams = (id: string) => /^egg-(?!replacer|liqueur)|aquafaba|meringue-powder/.test(id)
const firmFat = (id: string) => (ingredientOf(id)?.per100.plasticFat ?? 0) >= FIRM_FAT
/** Firm fat that makes an ingredient one that is melted or creamed: butters, block fats, coconut oil, chocolate apart. */
const FIRM_FAT = 40
/** Acts that tell how a batter is made. */
const MIXES: ReadonlySet<string> = new Set(['mix', 'cream', 'foam', 'melt', 'fold', 'rub-in', 'simmer'])
/** A dough is shaped by hand, a batter is not. */
/** A dough that a tin is lined with: "line the springform with it and pull up an edge". */
const LINES_TIN =
  /\b(?:line|cover)\b[^.]{0,40}\b(?:tin|pan|springform|form|dish|mou?ld|base)\b[^.]{0,12}\bwith (?:it|the (?:dough|pastry))\b|\b(?:pull|press|draw|bring|work) (?:it |the dough |the pastry )?up (?:an? |the )?(?:edge|rim|side|border)s?\b/i
const SHAPED = /\b(?:into|in|make|form|roll) (?:\S+ ){0,4}(?:balls?|logs?|discs?)\b|\b(?:cookie|biscuit|round|\d ?cm) cutters?\b/i
const sweetens = (id: string) => ['sugar', 'sweetener', 'syrup'].includes(kindOf(id) ?? '')

/** Fat, egg, flour and sugar beaten in one clause, by name or as "all the ingredients". */
function atOnce(c: Clause): boolean {
  if (!['mix', 'cream', 'foam'].includes(c.act)) return false
  if (c.things.some((x) => 'group' in x && x.group === 'all')) return true
  const ids = idsOf(c)
  return [firmFat, foams, (id: string) => kindOf(id) === 'flour', sweetens].every((test) => ids.some(test))
}

/** Soda alone with hot or boiling water, tea or fruit, before any flour or acid. */
function spendsSoda(c: Clause, hot: (words: Clause) => boolean): boolean {
  const ids = idsOf(c)
  if (!ids.includes('baking-soda') || ids.some((id) => kindOf(id) === 'flour' || id === 'vinegar')) return false
  const fruit = ids.some((id) => /^(?:date|dried)/.test(id))
  const wet = ids.some((id) => kindOf(id) === 'water' || /^(?:tea|coffee)/.test(id))
  return fruit || ['simmer', 'soak', 'infuse', 'melt'].includes(c.act) || (wet && hot(c))
}

/**
 * The signs of a recipe: how its batter is made, from the one reading of its method; from the title what it is meant to be.
 */
export function methodSigns(recipe: Recipe): MethodSigns {
  const title = recipe.title
  const main = new Set(mainParts(recipe))
  const batter = (part: number) => main.has(part) || !recipe.parts[part]
  const steps = methodOf(recipe).steps
  const clauses = steps
    .flatMap((s) => s.clauses.map((clause) => ({ clause, text: s.text.slice(...clause.span) })))
    .filter((x) => batter(x.clause.part))
  const some = (test: (c: Clause) => boolean) => clauses.some((x) => test(x.clause))
  const lines = recipe.parts.flatMap((p, part) => (batter(part) ? p.lines : []))
  const first = clauses.find(({ clause: c }) => ['mix', 'cream', 'foam', 'rub-in', 'melt', 'simmer'].includes(c.act) && c.things.length > 0)
  const allInOne = first !== undefined && atOnce(first.clause)
  const hot = (c: Clause) => /\b(?:hot|boil\w*)\b/i.test(clauses.find((x) => x.clause === c)!.text)
  return {
    creamed: allInOne || some((c) => c.act === 'cream'),
    allInOne,
    whipped: some((c) => c.act === 'foam' && (c.things.length === 0 || c.things.some((x) => !isLine(x) || foams(x.ingredient)))),
    melted:
      some((c) => (c.act === 'melt' || c.act === 'simmer') && idsOf(c).some(firmFat)) ||
      lines.some((l) => l.ingredient && firmFat(l.ingredient) && /\bmelted\b/i.test(`${l.text} ${l.prep ?? ''}`)),
    silent: !some((c) => MIXES.has(c.act)),
    sodaSpent: some((c) => spendsSoda(c, hot)) || soakedWithSoda(recipe),
    citrus: /\b(?:lemon|lime|citrus|key lime)\b/i.test(title),
    rubbed: some((c) => c.act === 'rub-in'),
    crepe: some((c) => c.act === 'fry') || /cr[eê]pe|pancake/i.test(title) || recipe.tins.some((t) => t.shape === 'crepe'),
    mug: /\bmug\b|\bmicrowave\b/i.test(title),
    rolled:
      (some((c) => c.act === 'roll') ||
        clauses.some((x) => SHAPED.test(x.text)) ||
        (steps.some((s) => LINES_TIN.test(s.text)) && steps.some((s) => /\b(?:knead|rub)/i.test(s.text)))) &&
      !steps.some((s) => s.clauses.some((c) => c.act === 'foam')),
    bar:
      /\b(?:brownies?|blondies?|bars?|slices?|squares|flapjacks?|traybake)\b/i.test(title) ||
      recipe.tins.some((t) => t.shape === 'square' || t.shape === 'rect'),
    cooked: some((c) => c.act === 'simmer'),
    unbaked:
      recipe.oven.length === 0 &&
      steps.some((s) => s.clauses.some((c) => c.act === 'chill' || c.act === 'freeze')) &&
      !steps.some((s) => s.clauses.some((c) => c.act === 'bake' || c.act === 'fry' || c.act === 'heat-oven')),
    named: namedIn(title),
    muffin: /muffin|loaf|snack|bread|scone|bun/i.test(title) || recipe.tins.some((t) => t.shape === 'loaf'),
  }
}

/** A recipe without a word on mixing may say it in its lines: "dates, soaked in boiling water with the soda". */
function soakedWithSoda(recipe: Recipe): boolean {
  return recipe.parts.some((p) => p.lines.some((l) => l.ingredient?.startsWith('date') && /\bboiling\b/i.test(`${l.text} ${l.prep ?? ''}`)))
}
