import { familiesOf, isCakeLike, mainMix, type Mix } from '../balance/balance'
import { besideTheBatter, mainParts } from '../balance/batter'
import type { CakeFamily, Family } from '../balance/families'
import { methodSigns, type MethodSigns } from '../balance/method'
import { metricsOf, type Metrics } from '../balance/metrics'
import type { Ingredient } from '../pantry/ingredient'
import { ingredientOf } from '../pantry/pantry'
import type { Line, Recipe } from '../recipe/recipe'

/** One line of the recipe with what is known of it. */
export interface Place {
  key: string
  part: number
  index: number
  line: Line
  ingredient: Ingredient
  grams: number
  /** Part of the batter that the programme balances; lines of fillings and frostings are not. */
  inBatter: boolean
  /** What is mixed together: the part, or what of a batter's list goes beside the batter. */
  batch: string
}

/** The recipe as the reformulator sees it before anything changes. */
export interface Situation {
  recipe: Recipe
  signs: MethodSigns
  places: Place[]
  mix: Mix
  family: Family
  metrics: Metrics
  /** Lift by the sea, where recipes are written. */
  seaLift: number | undefined
  /** Shell-free egg in the batter, g; dried egg counted as made up with water. */
  eggGrams: number
}

/** Dried egg takes three parts water to be egg again (packet directions). */
const DRIED_EGG_MADE_UP = 4

export function situationOf(recipe: Recipe, asFamily?: CakeFamily, altitudeM = 0): Situation {
  const signs = methodSigns(recipe)
  const batter = isCakeLike(recipe)
  const main = new Set(mainParts(recipe))
  const beside = besideTheBatter(recipe)
  const places: Place[] = []
  recipe.parts.forEach((part, p) =>
    part.lines.forEach((line, index) => {
      const ingredient = ingredientOf(line.ingredient)
      const key = `${p}:${index}`
      const inBatter = main.has(p) && !beside.has(key)
      if (ingredient)
        places.push({
          key,
          part: p,
          index,
          line,
          ingredient,
          grams: line.grams.best,
          inBatter,
          batch: beside.has(key) ? `${p} beside` : `${p}`,
        })
    }),
  )
  const mix = mainMix(recipe, signs)
  const family: Family = (batter && asFamily) || familiesOf(recipe, mix, signs).family
  const eggGrams = places
    .filter((p) => p.inBatter && p.ingredient.kind === 'egg')
    .reduce((sum, p) => sum + p.grams * (/dried/.test(p.ingredient.id) ? DRIED_EGG_MADE_UP : 1), 0)
  const metrics = metricsOf(mix.mass, family, altitudeM)
  return { recipe, signs, places, mix, family, metrics, seaLift: metricsOf(mix.mass, family).lift, eggGrams }
}

/** The family that a batter belongs to once its eggs are gone. */
export function withoutEgg(family: Family): Family {
  return ['pound', 'butter-layer', 'high-ratio', 'oil-layer', 'loaf', 'foam'].includes(family) ? 'eggless-raised' : family
}
