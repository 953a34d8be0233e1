import { gasFactor } from './altitude'
import { CAKE_FAMILIES, FAMILIES, type Banded, type Family, type FamilyModel } from './families'
import type { Mass } from './mass'
import * as ratios from './ratios'

/** The numbers of one mix; a ratio that has no meaning for it (no flour) is absent. */
export interface Metrics {
  moisture?: number
  sugarConcentration?: number
  settingTemperatureC?: number
  firmness?: number
  lift?: number
  acidBalance?: number
  fluidity?: number
  sweetness: number
  sugarPct?: number
  fatPct?: number
  liquidPct?: number
  eggPct?: number
  setting: number
  saltPct?: number
  waterPer100: number
  fatPer100: number
  sugarPer100: number
  crumbSolids: number
  browningIndex: number
  batterGrams: number
  bakedGrams: number
}

export const isCake = (family: Family): family is keyof typeof FAMILIES => (CAKE_FAMILIES as readonly string[]).includes(family)

/** The model of a family; finishes have their own in `finish/`. */
export function modelOf(family: Family): FamilyModel {
  return isCake(family) ? FAMILIES[family] : { title: family, basis: 'batter', bands: {}, bakeLoss: 0, air: 'none' }
}

const round = (x: number | undefined, digits: number): number | undefined =>
  x === undefined ? undefined : Math.round(x * 10 ** digits) / 10 ** digits

/**
 * Every ratio of the model for one mix.
 *
 * @param mass its mass balance
 * @param family for the bake loss and whether ratios stand on flour
 * @param altitudeM metres above the sea: the same gas lifts further in thin air
 * @returns per cents of flour in `…Pct`, per 100 g of batter in `…Per100`, °C, mmol, grams
 */
export function metricsOf(mass: Mass, family: Family, altitudeM = 0): Metrics {
  const model = modelOf(family)
  const onFlour = model.basis === 'flour' && mass.flour > 0
  const baked = mass.total * (1 - model.bakeLoss)
  const concentration = ratios.sugarConcentration(mass)
  const lift = ratios.lift(mass)
  const per100 = (grams: number) => (mass.total > 0 ? (100 * grams) / mass.total : 0)
  const flourOnly = (value: number | undefined, digits: number) => (onFlour ? round(value, digits) : undefined)
  return {
    moisture: round(ratios.moisture(mass), 3),
    sugarConcentration: round(concentration, 2),
    settingTemperatureC: concentration === undefined ? undefined : round(ratios.settingTemperature(concentration), 1),
    firmness: round(ratios.firmness(mass), 3),
    lift: flourOnly(lift === undefined ? undefined : lift * gasFactor(altitudeM), 2),
    acidBalance: round(ratios.acidBalance(mass), 2),
    fluidity: round(ratios.fluidity(mass), 3),
    sweetness: round(ratios.sweetness(mass, baked), 2)!,
    sugarPct: flourOnly(ratios.onFlour(mass.sugar, mass), 1),
    fatPct: flourOnly(ratios.onFlour(mass.fat, mass), 1),
    liquidPct: flourOnly(ratios.onFlour(mass.water, mass), 1),
    eggPct: flourOnly(ratios.onFlour(mass.egg, mass), 1),
    setting: round(ratios.settingPower(mass), 3)!,
    saltPct: flourOnly(ratios.onFlour(mass.salt, mass), 2),
    waterPer100: round(per100(mass.water), 2)!,
    fatPer100: round(per100(mass.fat), 2)!,
    sugarPer100: round(per100(mass.sugar), 2)!,
    crumbSolids: baked > 0 ? round((100 * (mass.total - mass.water)) / baked, 1)! : 0,
    browningIndex: round(ratios.browningIndex(mass), 2)!,
    batterGrams: round(mass.total, 1)!,
    bakedGrams: round(baked, 1)!,
  }
}

/** The value that a band is laid on. */
export function banded(metrics: Metrics, key: Banded): number | undefined {
  return metrics[key]
}
