import type { Mass } from './mass'

/**
 * Moisture: all the water in the batter per gram of water its dry things will bind.
 *
 * Below about 1.5 a cake eats dry and crumbles; above about 3 it sets wet or gummy.
 * Flour's own water counts on both sides, so a recipe reads the same from damp and dry sacks.
 *
 * @returns a ratio without unit; `undefined` where nothing binds water
 * @source water demand per ingredient: pantry data
 * @example moisture(massOf(pound)) // about 1.7
 */
export function moisture(mass: Mass): number | undefined {
  return mass.waterDemand > 0 ? mass.water / mass.waterDemand : undefined
}

/**
 * Sugar concentration: sugars weighted by their effect on starch, per 100 g of them and water together.
 *
 * It decides when the crumb sets: high sets late (rises more, may sink), low sets early (flat, firm).
 *
 * @returns per cent
 * @source weights in `sugar.ts`
 */
export function sugarConcentration(mass: Mass): number | undefined {
  const all = mass.effectiveSugar + mass.water
  return all > 0 ? (100 * mass.effectiveSugar) / all : undefined
}

/**
 * Temperature at which the crumb sets, °C, about 60 + 0.0092·c² for a sugar concentration c in per cent.
 *
 * @source fit to published gelatinisation temperatures of wheat starch in sucrose solutions:
 *   60 °C in water, about 79 °C at 45 %, about 92 °C at 60 %
 */
export function settingTemperature(concentration: number): number {
  return 60 + 0.0092 * concentration * concentration
}

/**
 * Firmness: what toughens (egg, other protein, starch, binders) against what tenderises (sugar, fat, emulsifier).
 *
 * @returns a ratio; plain pound about 0.40
 * @source weights of the model, `profile.ts`
 */
export function firmness(mass: Mass): number | undefined {
  return mass.tenderisers > 0 ? mass.tougheners / mass.tenderisers : undefined
}

/**
 * Gas from leaveners, mmol CO2 per 100 g of flour and cocoa (both must be raised; a black chocolate cake of
 * 215 g flour and 65 g cocoa takes the soda of 280 g flour): powder, soda met by acid, and half of any soda left over
 * (heat alone sets half of its gas free: 2 NaHCO3 → Na2CO3 + CO2 + H2O).
 */
export function lift(mass: Mass): number | undefined {
  return mass.flour > 0 ? (100 * liftMmol(mass)) / (mass.flour + mass.cocoa) : undefined
}

/** The same gas, mmol in all. */
export function liftMmol(mass: Mass): number {
  const met = Math.min(mass.acid, mass.base)
  return mass.co2 + met + Math.max(0, mass.base - met) / 2
}

/**
 * Base left over, mmol per 100 g of batter: soda less acids less what flour and cocoa soak up.
 *
 * Above about 5.5 a caution, above about 8 it tastes of soap; below about −3 sour.
 * Flour's buffer takes base but gives no sourness.
 */
export function acidBalance(mass: Mass): number | undefined {
  if (!(mass.total > 0)) return undefined
  const net = mass.base - mass.acid
  const left = net > 0 ? Math.max(0, net - mass.buffer) : net
  return (100 * left) / mass.total
}

/** Fluidity: what flows (water, dissolved sugar, oil) against what stiffens (water demand, firm fat). */
export function fluidity(mass: Mass): number | undefined {
  return mass.stiff > 0 ? mass.fluid / mass.stiff : undefined
}

/** How a batter of that fluidity leaves the spoon. */
export function consistency(value: number): string {
  if (value < 1.2) return 'a dough'
  if (value < 1.6) return 'scooped, holds its shape'
  if (value < 2.4) return 'drops from the spoon'
  if (value < 3.3) return 'falls in a ribbon'
  if (value < 5) return 'flows'
  return 'pours like cream'
}

/** Grams per 100 g of flour. */
export function onFlour(grams: number, mass: Mass): number | undefined {
  return mass.flour > 0 ? (100 * grams) / mass.flour : undefined
}

/** Setting power: protein that coagulates and binders, g per 100 g batter (weights in `profile.ts`). */
export function settingPower(mass: Mass): number {
  return mass.total > 0 ? (100 * mass.setting) / mass.total : 0
}

/** Sweetness, g of sucrose equivalents per 100 g baked. */
export function sweetness(mass: Mass, bakedGrams: number): number {
  return bakedGrams > 0 ? (100 * mass.sweet) / bakedGrams : 0
}

/**
 * A Maillard index: reducing sugars × protein, both per 100 g, quickened by alkali and slowed by acid.
 * Only its quotient against another recipe means anything.
 *
 * @source the rate about doubles per pH unit near neutral; 4 mmol/100 g is taken as one unit
 */
export function browningIndex(mass: Mass): number {
  if (!(mass.total > 0)) return 0
  const alkali = 2 ** (Math.max(-6, Math.min(8, acidBalance(mass) ?? 0)) / 4)
  return ((100 * mass.reducing) / mass.total + 0.2) * ((100 * mass.protein) / mass.total + 0.5) * alkali
}
