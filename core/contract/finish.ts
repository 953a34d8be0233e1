import { balanceOf } from '../balance/balance'
import type { HardNeed } from '../pantry/ingredient'
import type { Recipe } from '../recipe/recipe'
import type { Region } from '../measure/region'
import { amounts, type Amounts, type CakeShape, type Places } from '../finish/amounts'
import { FORMULAS } from '../finish/formulas'
import { formulate } from '../finish/formulate'
import { soak, type SoakAnswer, type SoakKind } from '../finish/soak'
import { Refusal } from '../refusal'

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
      FORMULAS[name]
        ? [{ component: name, grams: g, recipe: formulate({ kind: name, grams: g, use: 'spread', goals: [], roomC: 20, region }) }]
        : [],
    ),
  }
}

/** Crumbs hold a soak by their pores; what is dense or already moist holds less, as a share of the usual. */
const HOLDS: Record<string, number> = {
  foam: 1.2,
  pound: 0.75,
  'flourless-nut': 0.8,
  'flourless-chocolate': 0.4,
  'oil-layer': 0.85,
  loaf: 0.9,
  cheesecake: 0,
  custard: 0,
}
/** Below this firmness a crumb falls apart when it is soaked. */
const TENDER = 0.3

/** How much of a soak a cake takes: verb `soak`. */
export function answerSoak(request: {
  recipe?: Recipe
  cakeGrams?: number
  depthMm: number
  kind: SoakKind
  goals: HardNeed[]
  region: Region
}): SoakAnswer {
  const { depthMm, kind, goals, region } = request
  if (!request.recipe) return soak(request.cakeGrams!, depthMm, kind, goals, region)
  const balance = balanceOf(request.recipe)
  const holds = (HOLDS[balance.family] ?? 1) * ((balance.metrics.firmness ?? 1) < TENDER ? 0.85 : 1)
  if (holds <= 0) throw new Refusal('bad-request', 'This has no crumb that could take a soak.', 'recipe')
  return soak(balance.metrics.bakedGrams, depthMm, kind, goals, region, holds)
}
