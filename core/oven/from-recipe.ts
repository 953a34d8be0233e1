import type { Balance } from '../balance/balance'
import { FAMILIES, type CakeFamily } from '../balance/families'
import { isCake, modelOf } from '../balance/metrics'
import { BATTERS, GLUTEN_FREE_DONE, type Batter } from './batter'

/** Browning index of a plain butter cake (`core/balance/ratios.ts`). */
const PLAIN_BROWNS = 20
/** How far lift moves the rise: gas that is not held is lost, so less than in proportion. */
const LIFT_POWER = { none: 0.6, creamed: 0.3, foam: 0.1 }

/**
 * The batter of a recipe as the oven sees it.
 *
 * @param balance of the recipe
 * @param grams in one tin
 * @param glutenFree whether its flour is without gluten
 */
export function batterOf(balance: Balance, grams: number, glutenFree: boolean): Batter {
  const family: CakeFamily = isCake(balance.family) ? balance.family : 'butter-layer'
  const usual = BATTERS[family]
  const { metrics } = balance
  const band = FAMILIES[family].bands.lift
  const middle = band && Math.max(1, (band.low + band.high) / 2)
  const lift = metrics.lift
  const factor = middle && lift !== undefined ? Math.max(0.35, Math.min(1.6, lift / middle)) ** LIFT_POWER[modelOf(family).air] : 1
  const doneC = glutenFree && usual.doneC > 94 ? Math.max(usual.doneC, GLUTEN_FREE_DONE) : usual.doneC
  return {
    family,
    grams,
    gramsPerMl: usual.gramsPerMl,
    water: metrics.waterPer100 > 0 ? metrics.waterPer100 / 100 : usual.water,
    rise: 1 + (usual.rise - 1) * factor,
    doneC,
    browns: Math.max(0.4, Math.min(4, metrics.browningIndex / PLAIN_BROWNS)),
  }
}
