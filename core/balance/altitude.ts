/**
 * What height above the sea does to a bake.
 *
 * Pressure of the standard atmosphere (ICAO): 101.325 kPa · (1 − 2.25577e-5 · h)^5.2559. Gas swells as pressure
 * falls; water boils about 1 °C lower for every 300 m and dries the crumb faster.
 */
export function pressureShare(metres: number): number {
  return (1 - 2.25577e-5 * Math.max(-430, Math.min(6000, metres))) ** 5.2559
}

/** How much further the same gas lifts: 1 at the sea, about 1.2 at 1,500 m. */
export const gasFactor = (metres: number): number => 1 / pressureShare(metres)

/** Boiling point of water, °C, from Clausius and Clapeyron with 40.7 kJ/mol. */
export function boilingPoint(metres: number): number {
  return 1 / (1 / 373.15 - (8.314 * Math.log(pressureShare(metres))) / 40_700) - 273.15
}

/**
 * Liquid and sugar wanted per kilometre, as shares and as points of concentration: 1 to 2 tablespoons of liquid
 * more and about half a tablespoon of sugar less a cup for every kilometre (extension-service high-altitude
 * tables), taken on all water and sugar of a layer cake.
 */
export const MOISTURE_PER_KM = 0.04
export const CONCENTRATION_PER_KM = -0.8
/** Below this nobody corrects, m. */
export const CORRECT_FROM = 600
