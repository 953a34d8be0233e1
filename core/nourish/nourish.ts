import { profileOf } from '../balance/profile'
import { PROTEINS, type Ingredient, type Sugar } from '../pantry/ingredient'
import { ingredientOf } from '../pantry/pantry'
import type { Line, Recipe } from '../recipe/recipe'

/** What a label tells of a food, in its order. Energy in kcal, all else in grams; salt as 2.5 times the sodium. */
export const NUTRIENTS = ['energy', 'fat', 'saturates', 'carbohydrate', 'sugars', 'polyols', 'fibre', 'protein', 'salt'] as const
export type Nutrient = (typeof NUTRIENTS)[number]

export interface Spread {
  best: number
  low: number
  high: number
}

/** What is in a recipe, in one portion and in 100 g as it is eaten. */
export interface Nourishment {
  /** Portions that it is cut into. */
  slices: number
  /** Grams of one, after the oven has taken its water. */
  sliceGrams: number
  perSlice: Record<Nutrient, Spread>
  per100: Record<Nutrient, Spread>
  /** Lines that are not in the sums: nothing is known of them, or they tell no amount. */
  left: string[]
  /** The lines that bring the most of each, most first, with their share of it, 0 to 1. */
  from: Partial<Record<Nutrient, { name: string; share: number }[]>>
}

const SUGARS_ON_LABELS: readonly Sugar[] = ['sucrose', 'glucose', 'fructose', 'lactose', 'maltose', 'allulose']
const POLYOLS: readonly Sugar[] = ['erythritol', 'xylitol', 'maltitol', 'sorbitol']

/** 84 g of soda hold 23 g of sodium, and labels tell 2.5 times that as salt: grams per mmol. */
const SALT_PER_SODA = 0.0575
/** The acid salts of baking powder bring about half as much sodium again as its soda (SAPP, sodium aluminium sulphate). */
const ACID_SALTS = 1.5

/**
 * How far the food in the house is from the one in the table, each by itself: half of the ±20 % that food law lets a
 * label differ from the food (EU guidance on tolerances, 2012), as brands differ about half as much as they may.
 */
const TABLES_DIFFER = 0.1

/** Grams per 100 g of each nutrient in an ingredient, and its kcal. */
export function nutrientsOf(i: Ingredient): Record<Nutrient, number> {
  const of = (key: keyof Ingredient['per100']) => i.per100[key] ?? 0
  const sum = (keys: readonly (keyof Ingredient['per100'])[]) => keys.reduce((n, k) => n + of(k), 0)
  const sugars = sum(SUGARS_ON_LABELS)
  const polyols = sum(POLYOLS)
  const protein = sum(PROTEINS)
  // Yeast brings no soda, and the fizz of a drink is no salt.
  const raised = i.kind === 'flour' || i.kind === 'mix' || (i.kind === 'leavener' && protein < 1)
  const soda = raised ? SALT_PER_SODA * (of('base') + ACID_SALTS * of('co2')) : 0
  return {
    energy: profileOf(i).kcal * 100,
    fat: of('plasticFat') + of('liquidFat'),
    saturates: of('saturates'),
    carbohydrate: sugars + polyols + of('starch') + of('pregelStarch'),
    sugars,
    polyols,
    fibre: of('fibre') + of('bulkFibre'),
    protein,
    salt: of('salt') + soda,
  }
}

/**
 * What a recipe nourishes, as an estimate with its spread.
 *
 * Amounts are as far off as their measuring, foods as far as brands differ from tables; both, and all lines, are taken to
 * err by themselves, so that they add up in squares.
 *
 * @param slices portions that it is cut into, over 0
 * @param eatenGrams weight of all of it as it is eaten
 */
export function nourish(recipe: Recipe, slices: number, eatenGrams: number): Nourishment {
  const { whole, left, from } = sumOf(recipe.parts.flatMap((p) => p.lines))
  const part = (by: number) => Object.fromEntries(NUTRIENTS.map((n) => [n, rounded(n, whole[n], by)])) as Record<Nutrient, Spread>
  return {
    slices,
    sliceGrams: Math.round(eatenGrams / slices),
    perSlice: part(1 / slices),
    per100: part(eatenGrams > 0 ? 100 / eatenGrams : 0),
    left,
    from,
  }
}

/** All of a row of lines, unrounded. */
function sumOf(lines: readonly Line[]): { whole: Record<Nutrient, Spread> } & Pick<Nourishment, 'left' | 'from'> {
  const known: { line: Line; of: Record<Nutrient, number>; off: number }[] = []
  const left: string[] = []
  for (const line of lines) {
    const ingredient = line.ingredient === null ? undefined : ingredientOf(line.ingredient)
    const { low, best, high } = line.grams
    if (!ingredient || !(best > 0)) {
      // A pinch of salt or a drop of colour is too little to be missed.
      if (!ingredient || !['salt', 'flavour', 'water'].includes(ingredient.kind)) left.push(line.text)
      continue
    }
    known.push({ line, of: nutrientsOf(ingredient), off: Math.hypot((high - low) / 2 / best, TABLES_DIFFER) })
  }
  const whole = {} as Record<Nutrient, Spread>
  const from: Nourishment['from'] = {}
  for (const n of NUTRIENTS) {
    const brought = known.map(({ line, of, off }) => ({ line, amount: (of[n] / 100) * line.grams.best, off }))
    const best = brought.reduce((sum, b) => sum + b.amount, 0)
    const half = Math.sqrt(brought.reduce((sum, b) => sum + (b.amount * b.off) ** 2, 0))
    whole[n] = { best, low: Math.max(0, best - half), high: best + half }
    if (best > 0)
      from[n] = brought
        .filter((b) => b.amount / best >= LEAST_SHARE)
        .sort((a, b) => b.amount - a.amount)
        .slice(0, MOST_NAMED)
        .map((b) => ({ name: b.line.named ?? b.line.text, share: Math.round((100 * b.amount) / best) / 100 }))
  }
  return { whole, left, from }
}

/** Who brings less than a tenth is not named, nor more than three. */
const LEAST_SHARE = 0.1
const MOST_NAMED = 3

/** As labels round: energy to whole kcal, salt to hundredths, the rest to tenths. */
function rounded(n: Nutrient, { best, low, high }: Spread, by: number): Spread {
  const step = n === 'energy' ? 1 : n === 'salt' ? 100 : 10
  const to = (x: number) => Math.round(x * by * step) / step
  return { best: to(best), low: to(low), high: to(high) }
}
