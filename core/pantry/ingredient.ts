import type { EggSize, Region } from '../measure/region'

/** Sugars by kind; each has its own effect on starch, sweetness and water (see `balance/sugar.ts`). */
export const SUGARS = [
  'sucrose',
  'glucose',
  'fructose',
  'lactose',
  'maltose',
  'allulose',
  'erythritol',
  'xylitol',
  'maltitol',
  'sorbitol',
  'bulkFibre',
] as const
export type Sugar = (typeof SUGARS)[number]

export const PROTEINS = ['gluten', 'egg', 'casein', 'whey', 'legume', 'otherProtein'] as const
export type Protein = (typeof PROTEINS)[number]

/**
 * What an ingredient is made of, per 100 g. Grams unless said otherwise.
 *
 * `plasticFat` is fat that is firm or spreadable at 20 °C, `liquidFat` is oil at 20 °C.
 * `acid` and `base` are mmol of neutralising power; `co2` is mmol of gas that needs no other
 * ingredient (baking powder, fizz); `buffer` is mmol of base that the ingredient soaks up
 * without giving gas. `binder` is in grams of xanthan that would bind as well.
 */
export const COMPONENTS = [
  'water',
  'plasticFat',
  'liquidFat',
  ...SUGARS,
  'starch',
  'pregelStarch',
  ...PROTEINS,
  'fibre',
  'binder',
  'emulsifier',
  'cocoaSolids',
  'acid',
  'base',
  'buffer',
  'co2',
  'salt',
  'alcohol',
  'saturates',
  'sweetPower',
] as const
export type Component = (typeof COMPONENTS)[number]

/** The EU's fourteen (Regulation 1169/2011, Annex II) and the US nine (FALCPA, FASTER Act); wheat is both. */
export const ALLERGENS = [
  'gluten',
  'wheat',
  'crustaceans',
  'egg',
  'fish',
  'peanut',
  'soy',
  'milk',
  'tree-nut',
  'celery',
  'mustard',
  'sesame',
  'sulphites',
  'lupin',
  'molluscs',
] as const
export type Allergen = (typeof ALLERGENS)[number]

export const KINDS = [
  'flour',
  'starch',
  'sugar',
  'syrup',
  'sweetener',
  'fat',
  'egg',
  'dairy',
  'plant-dairy',
  'water',
  'fruit',
  'nut',
  'cocoa',
  'leavener',
  'acid',
  'binder',
  'mix',
  'flavour',
  'salt',
  'finish',
] as const
export type Kind = (typeof KINDS)[number]

/** Grams per ml by the way it gets into the cup. */
export type Filling = 'poured' | 'spooned' | 'scooped' | 'packed' | 'sifted'

export interface Ingredient {
  id: string
  kind: Kind
  /** The first is the name on a card; the rest are what kitchens call it. */
  names: readonly string[]
  /** Where a region's own name differs from the first. */
  called?: Partial<Record<Region, string>>
  per100: Partial<Record<Component, number>>
  /** Grams of water that one gram binds before it reads as wet. */
  waterDemand?: number
  gramsPerMl: Partial<Record<Filling, number>>
  /** Grams of one piece; `egg` sizes come from the region. */
  pieces?: Partial<Record<EggSize | 'each', number>>
  /** Share of a whole egg that one piece is, for parts of eggs. */
  ofEgg?: number
  /** Grams of the usual package by region. */
  packages?: Partial<Record<Region | 'any', number>>
  /** Share that counts as flour (1 for flours, less for mixes and crumbs). */
  flourShare?: number
  /** Share of its water that reaches the batter; grated carrot and chopped fruit keep the rest. */
  waterRelease?: number
  /** Stays whole in the batter: counts in weight, energy and allergens, not in the ratios. */
  inclusion?: boolean
  /** Can be whipped to a foam that carries a batter: egg and bean-can liquid. */
  foams?: boolean
  contains?: readonly Allergen[]
  /** What some brands hold: read the label. `animal` covers bone char, carmine, shellac, rennet. */
  labels?: readonly (Allergen | 'animal')[]
  /** From an animal, though neither milk nor egg. */
  animal?: boolean
  source: string
}

export type DietStatus = 'always' | 'label' | 'never'
/** Of a whole recipe: `unknown` where something in it is not known, and nothing that is rules the need out. */
export type RecipeDiet = DietStatus | 'unknown'
export const HARD_NEEDS = ['eggless', 'vegan', 'dairy-free', 'gluten-free', 'nut-free', 'soy-free'] as const
export type HardNeed = (typeof HARD_NEEDS)[number]

const FORBIDDEN: Record<HardNeed, readonly (Allergen | 'animal')[]> = {
  eggless: ['egg'],
  vegan: ['egg', 'milk', 'fish', 'crustaceans', 'molluscs', 'animal'],
  'dairy-free': ['milk'],
  'gluten-free': ['gluten', 'wheat'],
  'nut-free': ['tree-nut', 'peanut'],
  'soy-free': ['soy'],
}

/** Whether an ingredient suits a need: always, never, or as its label says. */
export function suits(ingredient: Ingredient, need: HardNeed): DietStatus {
  const forbidden = FORBIDDEN[need]
  if (ingredient.animal && forbidden.includes('animal')) return 'never'
  if (ingredient.contains?.some((a) => forbidden.includes(a))) return 'never'
  return ingredient.labels?.some((a) => forbidden.includes(a)) ? 'label' : 'always'
}
