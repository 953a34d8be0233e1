import { balanceOf } from '../balance/balance'
import type { HardNeed } from '../pantry/ingredient'
import { methodOf } from '../method/read'
import type { Line, Part, Recipe } from '../recipe/recipe'
import type { Region } from '../measure/region'
import { amounts, type Amounts, type CakeShape, type Places } from '../finish/amounts'
import { FORMULAS } from '../finish/formulas'
import { formulate } from '../finish/formulate'
import { soak, type SoakAnswer, type SoakKind } from '../finish/soak'
import { Refusal } from '../refusal'
import { batterFor } from './tins'

export interface AmountsAnswer extends Amounts {
  /** A recipe for each component that has a formula, in the amount that is wanted. */
  recipes: { component: string; grams: number; recipe: Recipe }[]
}

/** How much of each component a cake takes: verb `amounts`. */
export function answerAmounts(request: {
  cake: CakeShape & { wells?: number }
  places: Places
  component: string
  sparePct: number
  region: Region
}): AmountsAnswer {
  const { cake, places, component, sparePct, region } = request
  const { diameter, width } = cake.mm
  if (cake.shape !== 'cupcake' && !diameter && !width)
    throw new Refusal('bad-request', 'The size of the cake is not known: give its diameter, or its width and length, in mm.', 'cake.mm')
  if ((places.coat || places.crumbCoat) && !['sheet', 'cupcake'].includes(cake.shape) && !cake.mm.height)
    throw new Refusal('bad-request', 'A coat goes up the sides: say how high the whole cake stands, in mm.', 'cake.mm.height')
  const found = amounts(cake, cake.wells && !places.wells ? { ...places, wells: { ml: cake.wells } } : places, component, sparePct)
  const grams = new Map<string, number>()
  for (const c of found.components) grams.set(c.component, (grams.get(c.component) ?? 0) + c.grams)
  return {
    ...found,
    recipes: [...grams].flatMap(([name, g]) =>
      Object.hasOwn(FORMULAS, name)
        ? [{ component: name, grams: g, recipe: formulate({ kind: name, grams: g, use: 'spread', goals: [], roomC: 20, region }) }]
        : [],
    ),
  }
}

/** Below this firmness a crumb falls apart when it is soaked: it takes so much less, as a share. */
const TENDER = { below: 0.3, takes: 0.85 }
/** What has no crumb: it would only swim. */
const NO_CRUMB: readonly string[] = ['cheesecake', 'custard', 'pastry-cream', 'crepe']
const MILKS = /milk|cream|condensed/

/** Meals that stay grains in the crumb, and drink. */
const COARSE = /^(?:semolina|flour-(?:semolina|maize|corn)|polenta|cornmeal)/
const gramsOf = (recipe: Recipe, test: (id: string) => boolean): number =>
  recipe.parts
    .filter((p) => p.role === 'batter')
    .flatMap((p) => p.lines)
    .reduce((g, l) => g + (l.ingredient && test(l.ingredient) ? l.grams.best : 0), 0)

/** The soak that a recipe brings along, and of which kind it is. */
function ownSoak(recipe: Recipe): { part: Part; kind: SoakKind } | undefined {
  const at = recipe.parts.findIndex((p) => p.role === 'soak' && p.lines.some((l) => l.grams.best > 0))
  const part = recipe.parts[at]
  if (!part) return undefined
  const grams = (some: readonly Line[]) => some.reduce((g, l) => g + l.grams.best, 0)
  const milky = grams(part.lines.filter((l) => MILKS.test(l.ingredient ?? ''))) > grams(part.lines) / 2
  const poked = methodOf(recipe).steps.some((s) => s.clauses.some((c) => c.act === 'poke'))
  const thick = part.lines.some((l) => l.ingredient?.startsWith('condensed'))
  return { part, kind: milky ? (poked && thick && grams(part.lines) < THICK_FILLING ? 'filled-holes' : 'milk') : 'syrup' }
}
/** Less than this of a thick milk goes into holes rather than into crumb, g. */
const THICK_FILLING = 500

/** How much of a soak a cake takes, its own first: verb `soak`. */
export function answerSoak(request: {
  recipe?: Recipe
  cakeGrams?: number
  depthMm: number
  /** Another than its own. */
  kind?: SoakKind
  goals: HardNeed[]
  region: Region
}): SoakAnswer {
  const { depthMm, goals, region, recipe } = request
  if (!recipe) return soak(request.cakeGrams!, depthMm, request.kind ?? 'syrup', goals, region)
  const { metrics, family } = balanceOf(recipe)
  if (NO_CRUMB.includes(family)) throw new Refusal('bad-request', 'This has no crumb that could take a soak.', 'recipe')
  const batter = batterFor({ recipe, altitudeM: 0, region })
  const own = request.kind ? undefined : ownSoak(recipe)
  return soak(metrics.bakedGrams, depthMm, request.kind ?? own?.kind ?? 'syrup', goals, region, {
    crumb: ((batter.rise / batter.gramsPerMl) * metrics.batterGrams) / metrics.bakedGrams,
    semolina: gramsOf(recipe, (id) => COARSE.test(id)) / metrics.bakedGrams,
    tender: (metrics.firmness ?? 1) < TENDER.below ? TENDER.takes : 1,
    own: own?.part,
  })
}
