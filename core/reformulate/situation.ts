import { familiesOf, isCakeLike, isYeasted, mainMix, type Mix } from '../balance/balance'
import { battersOf, besideTheBatter } from '../balance/batter'
import type { CakeFamily, Family } from '../balance/families'
import { methodSigns, type MethodSigns } from '../balance/method'
import { SURE_MERINGUE } from '../balance/findings'
import { isOfPaste, meringueFit } from '../balance/recognise'
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
  /** Part of a batter; lines of fillings and frostings are not. */
  inBatter: boolean
  /** Of the batter that is solved first; a second batter is solved in itself, like a filling. */
  main: boolean
  /** What is mixed together: the part, or what of a batter's list goes beside the batter. */
  batch: string
}

/** The recipe as the reformulator sees it before anything changes. */
export interface Situation {
  recipe: Recipe
  signs: MethodSigns
  places: Place[]
  /** The batter that is solved first. */
  mix: Mix
  family: Family
  metrics: Metrics
  /** All batters together, as the baker sees the cake. */
  whole: { mix: Mix; metrics: Metrics }
  /** Lift by the sea, where recipes are written. */
  seaLift: number | undefined
  /** Yeast raises it: no powder and no soda takes its place. */
  yeasted: boolean
  /** Shell-free egg in the batter, g; dried egg counted as made up with water. */
  eggGrams: number
}

/** Dried egg takes three parts water to be egg again (packet directions). */
const DRIED_EGG_MADE_UP = 4

/** Shell-free egg of some lines, g; dried egg counted as made up with water. */
export const eggGramsOf = (places: readonly Place[]): number =>
  places
    .filter((p) => p.ingredient.kind === 'egg')
    .reduce((sum, p) => sum + p.grams * (/dried/.test(p.ingredient.id) ? DRIED_EGG_MADE_UP : 1), 0)

const gramsOf = (recipe: Recipe, parts: readonly number[]): number =>
  parts.reduce((sum, p) => sum + recipe.parts[p]!.lines.reduce((g, l) => g + l.grams.best, 0), 0)

export function situationOf(recipe: Recipe, asFamily?: CakeFamily, altitudeM = 0): Situation {
  const signs = methodSigns(recipe)
  const batter = isCakeLike(recipe)
  const batters = battersOf(recipe).sort((a, b) => gramsOf(recipe, b) - gramsOf(recipe, a))
  const all = new Set(batters.flat())
  const first = new Set(batters[0])
  const beside = besideTheBatter(recipe)
  const places: Place[] = []
  recipe.parts.forEach((part, p) =>
    part.lines.forEach((line, index) => {
      const ingredient = ingredientOf(line.ingredient)
      const key = `${p}:${index}`
      const inBatter = all.has(p) && !beside.has(key)
      const main = inBatter && first.has(p)
      if (ingredient)
        places.push({
          key,
          part: p,
          index,
          line,
          ingredient,
          grams: line.grams.best,
          inBatter,
          main,
          batch: beside.has(key) ? `${p} beside` : `${p}`,
        })
    }),
  )
  const together = mainMix(recipe, signs)
  const mix = batters.length > 1 ? mainMix(recipe, signs, batters[0]) : together
  const family: Family = (batter && asFamily) || familiesOf(recipe, mix, signs).family
  const eggGrams = eggGramsOf(places.filter((p) => p.main))
  const metrics = metricsOf(mix.mass, family, altitudeM)
  const whole = { mix: together, metrics: metricsOf(together.mass, family, altitudeM) }
  return {
    recipe,
    signs,
    places,
    mix,
    family,
    metrics,
    whole,
    yeasted: isYeasted(mix.doses),
    seaLift: metricsOf(mix.mass, family).lift,
    eggGrams,
  }
}

/** A meringue is whipped from bean-can liquid as well: sugar holds it up, and it dries rather than sets. */
export const isMeringue = (mix: Mix): boolean => meringueFit(mix.mass, mix.kinds) > SURE_MERINGUE

/** A batter of nut butter is what it was without its eggs too: nothing in it is counted on flour. */
export const isPaste = (mix: Mix): boolean => isOfPaste(mix.mass, mix.kinds)

/** Gas per 100 g of flour below which a bar hardly rises, mmol: about half a teaspoon of powder to a cup. */
const DENSE_LIFT = 9
/** Sugar of a brownie or blondie: more than its flour, per cent. */
const DENSE_SUGAR = 110

/**
 * The family that a batter belongs to once its eggs are gone.
 *
 * A brownie or blondie stays one: no foam held it up, and it stands on its sugar and fat as it cools.
 */
export function withoutEgg({
  family,
  signs,
  seaLift,
  metrics,
  yeasted,
  mix,
}: Pick<Situation, 'family' | 'signs' | 'seaLift' | 'metrics' | 'yeasted' | 'mix'>): Family {
  if (yeasted || isPaste(mix) || (family === 'foam' && isMeringue(mix))) return family
  if (signs.bar && !signs.whipped && (seaLift ?? 0) < DENSE_LIFT && (metrics.sugarPct ?? 0) > DENSE_SUGAR) return family
  return ['pound', 'butter-layer', 'high-ratio', 'oil-layer', 'loaf', 'foam'].includes(family) ? 'eggless-raised' : family
}
