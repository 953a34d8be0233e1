import type { Balance } from '../balance/balance'
import { FAMILIES, type CakeFamily } from '../balance/families'
import { isCake, modelOf } from '../balance/metrics'
import { BATTERS, GLUTEN_FREE_DONE, type Batter } from './batter'

/** Browning index of a plain butter cake (`core/balance/ratios.ts`). */
const PLAIN_BROWNS = 20
/** How far lift moves the rise: gas that is not held is lost, so less than in proportion. */
const LIFT_POWER = { none: 0.6, creamed: 0.3, foam: 0.1 }

/** Fruit and nuts that stay whole: raisins 1.4, nuts 1.0, berries and apples 0.9 to 1, g per ml. */
const PIECES_GRAMS_PER_ML = 1.15

/**
 * The batter of a recipe as the oven sees it.
 *
 * @param balance of the recipe
 * @param grams in one tin
 * @param glutenFree whether its flour is without gluten
 * @param pieces share of its mass that stays whole: it fills the tin and must be heated through, and it does not rise
 */
export function batterOf(balance: Balance, grams: number, glutenFree: boolean, pieces = 0): Batter {
  const family: CakeFamily = isCake(balance.family) ? balance.family : 'butter-layer'
  const usual = BATTERS[family]
  const { metrics } = balance
  const band = FAMILIES[family].bands.lift
  const middle = band && Math.max(1, (band.low + band.high) / 2)
  const lift = metrics.lift
  const factor = middle && lift !== undefined ? Math.max(0.35, Math.min(1.6, lift / middle)) ** LIFT_POWER[modelOf(family).air] : 1
  const doneC = glutenFree && usual.doneC > 94 ? Math.max(usual.doneC, GLUTEN_FREE_DONE) : usual.doneC
  const batterMl = (1 - pieces) / usual.gramsPerMl
  const ml = batterMl + pieces / PIECES_GRAMS_PER_ML
  return {
    family,
    grams,
    gramsPerMl: 1 / ml,
    water: metrics.waterPer100 > 0 ? metrics.waterPer100 / 100 : usual.water,
    rise: 1 + ((usual.rise - 1) * factor * batterMl) / ml,
    doneC,
    browns: Math.max(0.4, Math.min(4, metrics.browningIndex / PLAIN_BROWNS)),
  }
}
