import type { Balance } from '../balance/balance'
import { FAMILIES, type CakeFamily } from '../balance/families'
import { isCake, modelOf } from '../balance/metrics'
import { BATTERS, GLUTEN_FREE_DONE, type Batter, type Usual } from './batter'
import type { Composition } from './matter'

/** Browning index of a plain butter cake (`core/balance/ratios.ts`). */
const PLAIN_BROWNS = 20
/** How far lift moves the rise: gas that is not held is lost, so less than in proportion. */
const LIFT_POWER = { none: 0.6, creamed: 0.3, foam: 0.1 }

/** What the oven must know of a recipe beside its balance. */
export interface Known {
  /** Its flour is without gluten. */
  glutenFree: boolean
  /** Share of its mass that stays whole: it fills the tin and must be heated through, and it does not rise. */
  pieces?: number
  /** Share of its mass that is water, that in fruit too. */
  allWater?: number
  /** Share of its mass that is starch: with some of it cheese and custard set later. */
  starch?: number
  /** Eggs are whipped to a foam for it, or may be, since nothing is said. */
  whipped?: boolean
  /** Its method says that they are. */
  foamed?: boolean
}

/** Cheese and custard that starch sets with the egg: done at this, °C, from this share of starch on all of the way. */
const BY_STARCH = { at: 84, from: 0.01, all: 0.04 }

/** A crumb is done some way above where it sets, °C; the probe reads so in sponges and in rich cakes alike (science §8). */
const DONE = { at: 97.5, by: 0.41, sets: 78, least: 85, most: 99.3 }

/** Brownies, mud cakes and cakes of little but chocolate are taken out while their middle is moist, °C (science §8 has 88 to 93 for what holds no flour at all; brownies clear a little above). */
const MOIST = 95

/** Batters that are usually whipped, stirred: brownies and mud cakes, heavy in the tin, that puff up by a quarter. */
const STIRRED = { gramsPerMl: 1.1, rise: 1.26 }

/** Cakes that may be raised by leavener or by a foam: chiffon and castella are of both. */
const LAYERS: readonly CakeFamily[] = ['butter-layer', 'oil-layer', 'loaf', 'high-ratio', 'eggless-raised', 'syrup-spice']
/** Egg on flour, per cent, from which whipped whites begin to make a batter a foam, and where it is one. */
const FOAMS = { from: 110, all: 190 }

/** A usual batter into which so much egg was whipped. */
function lightened(usual: Usual, eggPct: number): Usual {
  const share = Math.max(0, Math.min(1, (eggPct - FOAMS.from) / (FOAMS.all - FOAMS.from)))
  const between = (a: number, b: number) => a ** (1 - share) * b ** share
  return { ...usual, gramsPerMl: between(usual.gramsPerMl, BATTERS.foam.gramsPerMl), rise: between(usual.rise, BATTERS.foam.rise) }
}

/** Cheese and custard set by egg alone, at their own temperatures; puff and crêpes dry rather than set. */
const SET_OTHERWISE: readonly CakeFamily[] = ['cheesecake', 'custard', 'pastry', 'crepe']

/** Fruit and nuts that stay whole: raisins 1.4, nuts 1.0, berries and apples 0.9 to 1, g per ml. */
const PIECES_GRAMS_PER_ML = 1.15

/**
 * The batter of a recipe as the oven sees it.
 *
 * @param balance of the recipe
 * @param grams in one tin
 */
export function batterOf(
  balance: Balance,
  grams: number,
  { glutenFree, pieces = 0, allWater = 0, starch = 0, whipped = true, foamed = false }: Known,
): Batter {
  const family: CakeFamily = isCake(balance.family) ? balance.family : balance.family === 'pastry-cream' ? 'custard' : 'butter-layer'
  const stirred = !whipped && (family === 'flourless-chocolate' || family === 'flourless-nut')
  const { metrics } = balance
  const usual = stirred
    ? { ...BATTERS[family], ...STIRRED }
    : foamed && LAYERS.includes(family)
      ? lightened(BATTERS[family], metrics.eggPct ?? 0)
      : BATTERS[family]
  const band = FAMILIES[family].bands.lift
  const middle = band && Math.max(1, (band.low + band.high) / 2)
  const lift = metrics.lift
  const factor = middle && lift !== undefined ? Math.max(0.35, Math.min(1.6, lift / middle)) ** LIFT_POWER[modelOf(family).air] : 1
  const starchy = Math.max(0, Math.min(1, (starch - BY_STARCH.from) / (BY_STARCH.all - BY_STARCH.from)))
  const sets = SET_OTHERWISE.includes(family)
    ? usual.doneC + Math.max(0, BY_STARCH.at - usual.doneC) * starchy
    : Math.max(DONE.least, Math.min(DONE.most, DONE.at + DONE.by * ((metrics.settingTemperatureC ?? DONE.sets) - DONE.sets)))
  const moist = family === 'flourless-chocolate' ? Math.min(sets, MOIST) : sets
  const doneC = glutenFree && moist > 94 ? Math.max(moist, GLUTEN_FREE_DONE) : moist
  const batterMl = (1 - pieces) / usual.gramsPerMl
  const ml = batterMl + pieces / PIECES_GRAMS_PER_ML
  return {
    family,
    grams,
    gramsPerMl: 1 / ml,
    made: madeOf(balance, usual, allWater),
    rise: 1 + ((usual.rise - 1) * factor * batterMl) / ml,
    doneC,
    browns: Math.max(0.4, Math.min(4, metrics.browningIndex / PLAIN_BROWNS)),
  }
}

/** What the batter of a recipe is made of; of a recipe that says nothing, what its family usually is. */
function madeOf({ metrics }: Balance, usual: Usual, allWater: number): Composition {
  const water = metrics.waterPer100 > 0 ? metrics.waterPer100 / 100 : usual.water
  const fat = metrics.waterPer100 > 0 ? metrics.fatPer100 / 100 : usual.fat
  const sugar = metrics.waterPer100 > 0 ? metrics.sugarPer100 / 100 : usual.sugar
  const bound = Math.max(0, Math.min(1 - water - fat - sugar, allWater - water))
  return { water, bound, fat, sugar, rest: Math.max(0, 1 - water - bound - fat - sugar) }
}
