import type { Recipe } from '../recipe/recipe'

/** What the words of a method and a title say about how the mix is made. */
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
}

const FOAM =
  /\b(whip|whisk|beat)\w*\b[^.]*\b(egg|white|yolk|aquafaba|chickpea|liquid)s?\b[^.]*\b(thick|pale|ribbon|peak|stiff|foam|volume|light|triple|frothy|fluffy|mousse|rest)|\b(ribbon|stiff peaks?|soft peaks?)\b|\bwhip\w*\b[^.]*\b(egg|white|yolk|aquafaba|sugar)/i
const CREAM =
  /\bcream\b(?![ -]cheese|\s+of\b)[^.]*\b(butter|sugar|fat|margarine|block|until|then|together|them)\b|\bcream,|\bbeat\b[^.]*\b(butter|fat|margarine)\b[^.]*\b(sugar|pale|light|fluffy|until|white)/i
const SPENT =
  /\b(?:soak|boil|simmer|dissolve|pour|cover)\w*\b[^.]*\b(?:soda|bicarb\w*)|\b(?:soda|bicarb\w*)\b[^.]*\b(?:over the dates|the dates|boiling water|hot water)/i
const ALL_IN_ONE =
  /all[- ]in[- ]one|\b(?:all (?:of )?the (?:cake |sponge )?ingredients|everything)\b[^.]*\b(?:bowl|mixer|processor|together|beat|whisk|mix)|\b(?:beat|whisk|mix|measure|put|place)\b[^.]*\b(?:all (?:of )?the (?:cake |sponge )?ingredients|everything)\b/i
const MELT = /\bmelt\w*\b[^.]*\b(butter|margarine|fat|block|coconut oil|together|with)|\b(butter|margarine|fat)\b[^.,]*\bmelt/i

/** Reads the signs from method, title and preparation words. */
export function methodSigns(recipe: Recipe): MethodSigns {
  const method = recipe.method.join('\n')
  const title = recipe.title
  const allInOne = ALL_IN_ONE.test(method)
  const preps = recipe.parts.flatMap((p) => p.lines.map((l) => `${l.text} ${l.prep ?? ''}`)).join('\n')
  return {
    creamed: allInOne || CREAM.test(method),
    allInOne,
    whipped: FOAM.test(method),
    melted:
      MELT.test(method) ||
      /\b(butter|margarine|block|coconut oil)\b[^\n]*\bmelted\b|\bmelted\b[^\n]*\b(butter|margarine|coconut oil)\b/i.test(preps),
    silent: recipe.method.length === 0,
    sodaSpent: SPENT.test(method) || (/\bdates?\b/i.test(preps) && /\bboiling\b/i.test(preps)),
    citrus: /\b(?:lemon|lime|citrus|key lime)\b/i.test(title),
    rubbed: /\brub(?:bed)?\b[^.]*\b(?:butter|fat|margarine|block|flour|breadcrumbs|crumbs|fingertips)\b/i.test(method),
    crepe: /cr[eê]pe|pancake/i.test(title) || recipe.tins.some((t) => t.shape === 'crepe'),
    muffin: /muffin|loaf|snack|bread|scone|bun/i.test(title) || recipe.tins.some((t) => t.shape === 'loaf'),
  }
}
