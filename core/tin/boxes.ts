import { ingredientOf, packageGrams } from '../pantry/pantry'
import type { Region } from '../measure/region'
import type { Recipe, Tin } from '../recipe/recipe'
import { tinsMl } from './volume'

/** Batter of a box weighs about a gram a millilitre. */
const BATTER_PER_ML = 0.98
/**
 * Share of a tin that one box fills where the panels of boxes send it: two 8 or 9 in rounds or one 9x13 in flat tin,
 * 24 cupcakes, one 10 or 12 cup ring. Boxes are meant for shallow layers that rise to double.
 */
const USUAL_FILL: Partial<Record<Tin['shape'], number>> = { cupcake: 0.4, ring: 0.38, fluted: 0.38, loaf: 0.5, bowl: 0.5 }
const FLAT_FILL = 0.3
/** Below this share of the usual, layers bake like biscuits; above the other they rise over. */
const THIN = 0.72
const FULL = 2

export interface BoxesForTins {
  /** Boxes in the recipe. */
  has: number
  /** Boxes that fill its tins well, in halves. */
  wants: number
  /** Share of the tins that the batter fills. */
  fill: number
  message: string
}

/**
 * How many boxes the tins of a recipe want: boxes have shrunk, tins have not.
 *
 * @returns `undefined` where there is no box or the tins are not known
 */
export function boxesForTins(recipe: Recipe, region: Region): BoxesForTins | undefined {
  const ml = tinsMl(recipe.tins)
  const lines = recipe.parts.filter((p) => p.role === 'batter').flatMap((p) => p.lines)
  const box = lines.find((l) => l.ingredient?.startsWith('cake-mix'))
  const ingredient = box && ingredientOf(box.ingredient)
  const one = ingredient && packageGrams(ingredient, region)
  if (!ml || !box || !one) return undefined
  const batter = lines.reduce((sum, l) => sum + l.grams.best, 0)
  const has = box.grams.best / one
  const fill = batter / BATTER_PER_ML / ml
  const usual = USUAL_FILL[recipe.tins[0]!.shape] ?? FLAT_FILL
  const wants = Math.max(0.5, Math.round((2 * has * usual) / fill) / 2)
  const tins = recipe.tins.reduce((n, t) => n + t.count, 0)
  const many = `${wants} ${wants === 1 ? 'box' : 'boxes'}`
  const message =
    fill < THIN * usual
      ? `The batter fills ${Math.round(fill * 100)} % of ${tins === 1 ? 'the tin' : `${tins} tins`}: thin layers. About ${many} would fill ${tins === 1 ? 'it' : 'them'}.`
      : fill > FULL * usual
        ? `The batter fills ${Math.round(fill * 100)} % of ${tins === 1 ? 'the tin' : `${tins} tins`}: it will rise over. About ${many} is enough.`
        : `${tins === 1 ? 'The tin takes' : `${tins} tins take`} it well.`
  return { has: Math.round(has * 100) / 100, wants, fill: Math.round(fill * 100) / 100, message }
}
