import { ingredientOf } from '../pantry/pantry'
import type { Recipe } from '../recipe/recipe'

/** How long something opened or spare keeps, days, in the fridge and frozen; `null` where it does not freeze well. */
export interface Keeping {
  fridgeDays: number
  freezerDays: number | null
  how: string
}

/**
 * Keeping times once opened or separated: the lower end of what food agencies' storage tables give (cold food
 * storage charts for egg, dairy and opened cans). A label that says less is right.
 */
const KEEPS: { any: RegExp; keeping: Keeping }[] = [
  { any: /^egg-white$/, keeping: { fridgeDays: 2, freezerDays: 90, how: 'covered; freeze two to a bag' } },
  { any: /^egg-yolk$/, keeping: { fridgeDays: 2, freezerDays: 90, how: 'under a spoon of water; freeze with a pinch of sugar' } },
  { any: /^egg-whole$/, keeping: { fridgeDays: 2, freezerDays: 90, how: 'beaten, covered' } },
  { any: /^aquafaba$/, keeping: { fridgeDays: 3, freezerDays: 90, how: 'out of the can, covered; freeze by the spoon' } },
  {
    any: /^(coconut-milk-can|coconut-cream)$/,
    keeping: { fridgeDays: 3, freezerDays: 60, how: 'out of the can; it parts and comes back when stirred' },
  },
  { any: /^condensed-/, keeping: { fridgeDays: 7, freezerDays: null, how: 'out of the can, covered' } },
  { any: /^evaporated-milk$/, keeping: { fridgeDays: 3, freezerDays: null, how: 'out of the can, covered' } },
  { any: /^(pumpkin-puree|applesauce|carrot)/, keeping: { fridgeDays: 3, freezerDays: 90, how: 'out of the can, covered' } },
  { any: /^banana$/, keeping: { fridgeDays: 2, freezerDays: 90, how: 'mashed, covered; it darkens and is none the worse' } },
  { any: /^buttermilk$/, keeping: { fridgeDays: 7, freezerDays: 60, how: 'shut; freeze in spoonfuls, for baking' } },
  { any: /^(yogurt|sour-cream|soy-yogurt|coconut-yogurt|creme-fraiche)/, keeping: { fridgeDays: 5, freezerDays: null, how: 'shut' } },
  { any: /^cream-cheese$/, keeping: { fridgeDays: 7, freezerDays: null, how: 'shut' } },
  { any: /^(cream|plant-cream)/, keeping: { fridgeDays: 3, freezerDays: 60, how: 'shut; frozen cream whips no more' } },
  { any: /milk/, keeping: { fridgeDays: 3, freezerDays: 30, how: 'shut' } },
  { any: /^tofu/, keeping: { fridgeDays: 2, freezerDays: null, how: 'under fresh water, changed daily' } },
  { any: /^(lemon|orange)-juice$/, keeping: { fridgeDays: 3, freezerDays: 90, how: 'covered; freeze by the spoon' } },
]
const DRY: Keeping = { fridgeDays: 90, freezerDays: null, how: 'dry, shut and dark; no need of the fridge' }
const FRESH: Keeping = { fridgeDays: 3, freezerDays: null, how: 'covered' }

export interface LeftoverUse {
  id: string
  title: string
  /** What one bake takes, g. */
  takes: number
  /** How large the bake would be to use it all up, against the recipe; 1 is as written. */
  scale: number
  /** What of it a bake as written uses, g, and what is left then. */
  uses: number
  left: number
}
export interface Leftover {
  ingredient: string
  grams: number
  keeping: Keeping
  uses: LeftoverUse[]
}

/** Smaller or larger than this nobody bakes a recipe to use something up. */
const SCALES = { from: 0.45, to: 2.2 }
const SHOWN = 6

export const keepingOf = (id: string): Keeping => {
  const found = KEEPS.find((k) => k.any.test(id))?.keeping
  if (found) return found
  const kind = ingredientOf(id)?.kind
  return kind && ['flour', 'starch', 'sugar', 'nut', 'cocoa', 'leavener', 'salt', 'binder', 'sweetener'].includes(kind) ? DRY : FRESH
}

/**
 * Recipes that use something up: those first that take it nearest to their own size, then those that use most of it.
 *
 * @param takes grams of it that a recipe as written takes
 */
export function usesOf(
  grams: number,
  candidates: readonly { id: string; title: string; recipe: Recipe }[],
  takesOf: (recipe: Recipe) => number,
): LeftoverUse[] {
  const uses = candidates.flatMap((c): LeftoverUse[] => {
    const takes = takesOf(c.recipe)
    if (!(takes > 0)) return []
    const used = Math.min(grams, takes)
    return [
      {
        id: c.id,
        title: c.title,
        takes: Math.round(takes),
        scale: Math.round((100 * grams) / takes) / 100,
        uses: Math.round(used),
        left: Math.round(grams - used),
      },
    ]
  })
  const apt = (u: LeftoverUse) =>
    u.scale >= SCALES.from && u.scale <= SCALES.to ? Math.abs(Math.log(u.scale)) : 9 + Math.abs(Math.log(u.scale))
  return uses.sort((a, b) => apt(a) - apt(b) || b.uses - a.uses || a.title.localeCompare(b.title)).slice(0, SHOWN)
}

/** Ingredients that are left over: how long each keeps, and what uses it up. */
export function leftovers(
  left: readonly { ingredient: string; grams: number }[],
  candidates: readonly { id: string; title: string; recipe: Recipe }[],
): Leftover[] {
  return left.map(({ ingredient, grams }) => ({
    ingredient,
    grams,
    keeping: keepingOf(ingredient),
    uses: usesOf(grams, candidates, (recipe) =>
      recipe.parts.flatMap((p) => p.lines).reduce((g, l) => g + (l.ingredient === ingredient ? l.grams.best : 0), 0),
    ),
  }))
}
