import { SUGARS, type Ingredient } from '../pantry/ingredient'
import { SUGAR_EFFECT } from './sugar'

/**
 * What one gram of an ingredient adds to each sum that a ratio is made of.
 *
 * Every ratio of the model is a quotient of two of these sums, so the same numbers serve
 * the balance of a recipe and the rows of the quadratic programme. Grams per gram, unless
 * said otherwise; `co2`, `acid`, `base`, `buffer` in mmol per gram, `kcal` per gram.
 */
export interface Profile {
  total: number
  flour: number
  egg: number
  water: number
  waterDemand: number
  sugar: number
  effectiveSugar: number
  sweet: number
  reducing: number
  fat: number
  plasticFat: number
  liquidFat: number
  saturates: number
  starch: number
  gluten: number
  eggProtein: number
  milkProtein: number
  protein: number
  tougheners: number
  tenderisers: number
  setting: number
  fluid: number
  stiff: number
  emulsifier: number
  binder: number
  co2: number
  acid: number
  base: number
  buffer: number
  salt: number
  alcohol: number
  cocoa: number
  syrup: number
  spice: number
  fibre: number
  kcal: number
}

export const PROFILE_KEYS = [
  'total',
  'flour',
  'egg',
  'water',
  'waterDemand',
  'sugar',
  'effectiveSugar',
  'sweet',
  'reducing',
  'fat',
  'plasticFat',
  'liquidFat',
  'saturates',
  'starch',
  'gluten',
  'eggProtein',
  'milkProtein',
  'protein',
  'tougheners',
  'tenderisers',
  'setting',
  'fluid',
  'stiff',
  'emulsifier',
  'binder',
  'co2',
  'acid',
  'base',
  'buffer',
  'salt',
  'alcohol',
  'cocoa',
  'syrup',
  'spice',
  'fibre',
  'kcal',
] as const satisfies readonly (keyof Profile)[]

/** Toughening and tenderising weights of the design (science §2), checked on classic formulas. */
const OTHER_PROTEIN_TOUGHENS = 0.55
const STARCH_TOUGHENS = 0.16
const SUGAR_TENDERISES = 0.28
const FAT_TENDERISES = 0.5

/**
 * One gram of xanthan steadies a crumb about as ten grams of egg protein do: 0.4 % on flour stands in for
 * roughly half of the gluten's work (gluten-free practice, 1–2 g per 225 g flour).
 */
export const BINDER_POWER = 10

/**
 * Setting power per gram of protein, egg at 100 °C being 1. Gluten sets at 0.55 of that (as in firmness);
 * soy curd and other legume proteins coagulate about half as firmly; whey gels, casein hardly sets;
 * seed and grain proteins without gluten do little.
 */
const SETS = { egg: 1, gluten: 0.55, legume: 0.5, whey: 0.5, casein: 0.15, otherProtein: 0.15, pregelStarch: 0.12 }

/** Sugars swell the liquid they dissolve in by 0.62 ml/g (partial volume of sucrose); oil flows at nine tenths. */
const SUGAR_FLOWS = 0.62
const OIL_FLOWS = 0.9
const PLASTIC_FAT_STIFFENS = 0.5

/** Energy, kcal/g (general Atwater factors; fibre 2 and alcohol 7 as in Regulation (EU) 1169/2011). */
const KCAL = { fat: 9, protein: 4, starch: 4, fibre: 2, alcohol: 7 }

/** By ingredient, not by id: a box of the baker's own stands under the id of the typical one. */
const cache = { firm: new WeakMap<Ingredient, Profile>(), melted: new WeakMap<Ingredient, Profile>() }

/**
 * The profile of an ingredient.
 *
 * @param melted its firm fat goes in melted, so it flows instead of stiffening
 */
export function profileOf(ingredient: Ingredient, melted = false): Profile {
  const known = (melted ? cache.melted : cache.firm).get(ingredient)
  if (known) return known
  const made = build(ingredient, melted)
  ;(melted ? cache.melted : cache.firm).set(ingredient, made)
  return made
}

function build(ingredient: Ingredient, melted: boolean): Profile {
  const g = (component: keyof Ingredient['per100']) => (ingredient.per100[component] ?? 0) / 100
  const release = ingredient.waterRelease ?? (ingredient.inclusion ? 0 : 1)
  // What stays whole in the batter takes no part in its balance.
  const share = ingredient.inclusion ? 0 : 1
  let sugar = 0
  let effectiveSugar = 0
  let sweet = g('sweetPower')
  let reducing = 0
  let kcal = 0
  for (const s of SUGARS) {
    const grams = g(s)
    if (!grams) continue
    const effect = SUGAR_EFFECT[s]
    sugar += grams
    effectiveSugar += grams * effect.starch
    sweet += grams * effect.sweet
    reducing += grams * effect.reducing
    kcal += grams * effect.kcal
  }
  const fat = g('plasticFat') + g('liquidFat')
  const egg = g('egg')
  const gluten = g('gluten')
  const milkProtein = g('casein') + g('whey')
  const other = g('legume') + g('otherProtein')
  const protein = egg + gluten + milkProtein + other
  const starch = g('starch') + g('pregelStarch')
  const binder = g('binder')
  const plastic = melted ? 0 : g('plasticFat')
  const liquid = fat - plastic
  // Seed, grain and cocoa proteins without gluten hardly set, so they toughen less than gluten does.
  const tougheners =
    egg +
    OTHER_PROTEIN_TOUGHENS * (gluten + milkProtein * 0.6 + g('legume') + g('otherProtein') * 0.4) +
    STARCH_TOUGHENS * starch +
    BINDER_POWER * binder
  kcal += KCAL.fat * fat + KCAL.protein * protein + KCAL.starch * starch + KCAL.fibre * g('fibre') + KCAL.alcohol * g('alcohol')
  const demand = ingredient.waterDemand ?? 0
  return {
    total: 1,
    flour: ingredient.flourShare ?? 0,
    egg: ingredient.kind === 'egg' ? 1 : 0,
    water: g('water') * release,
    waterDemand: demand * share,
    sugar: sugar * share,
    effectiveSugar: effectiveSugar * share,
    sweet,
    reducing: reducing * share,
    fat: fat * share,
    plasticFat: g('plasticFat') * share,
    liquidFat: g('liquidFat') * share,
    saturates: g('saturates'),
    starch: starch * share,
    gluten: gluten * share,
    eggProtein: egg * share,
    milkProtein: milkProtein * share,
    protein: protein * share,
    tougheners: tougheners * share,
    tenderisers: (SUGAR_TENDERISES * sugar + FAT_TENDERISES * fat + g('emulsifier')) * share,
    setting:
      (egg * SETS.egg +
        gluten * SETS.gluten +
        g('legume') * SETS.legume +
        g('whey') * SETS.whey +
        g('casein') * SETS.casein +
        g('otherProtein') * SETS.otherProtein +
        g('pregelStarch') * SETS.pregelStarch +
        binder * BINDER_POWER) *
      share,
    fluid: g('water') * release + (SUGAR_FLOWS * sugar + OIL_FLOWS * liquid) * share,
    stiff: (demand + PLASTIC_FAT_STIFFENS * plastic) * share,
    emulsifier: g('emulsifier') * share,
    binder: binder * share,
    co2: g('co2'),
    acid: g('acid') * release,
    base: g('base'),
    buffer: g('buffer') * share,
    salt: g('salt'),
    alcohol: g('alcohol'),
    cocoa: g('cocoaSolids') * share,
    syrup: ingredient.kind === 'syrup' ? sugar : 0,
    spice: ingredient.id === 'spice' ? 1 : 0,
    fibre: g('fibre'),
    kcal,
  }
}
