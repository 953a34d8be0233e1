/** Latent heat of water near its boiling point, J/kg. */
export const LATENT = 2.26e6
/** Gas constant of water vapour, J/kgK. */
const VAPOUR = 461.5
const KELVIN = 273.15
/** Standard atmosphere, Pa. */
const SEA_LEVEL = 101_325

/** Saturation pressure of water, Pa (Magnus form after Alduchov and Eskridge 1996; within 1 % from 0 to 110 °C). */
export const saturation = (celsius: number): number => 610.94 * Math.exp((17.625 * celsius) / (celsius + 243.04))

/** Density of saturated vapour, kg/m³. */
export const vapourDensity = (celsius: number): number => saturation(celsius) / (VAPOUR * (celsius + KELVIN))

/** How vapour density rises with temperature, kg/m³K. */
export function vapourSlope(celsius: number): number {
  const t = celsius + KELVIN
  return vapourDensity(celsius) * ((17.625 * 243.04) / (celsius + 243.04) ** 2 - 1 / t)
}

/** Vapour in air crowds out the air near boiling; past this the pores are open enough to let it through, as a factor. */
const MOST_CROWDING = 4

/**
 * Heat that vapour carries across a wet pore, as a conductivity, W/mK: it evaporates on the warm side of a bubble and
 * condenses on the cold one (de Vries 1958; in bread and cake crumb: de Cindio and Correra 1995).
 *
 * @param pressureShare of the air, against the sea's
 */
export function vapourConductivity(celsius: number, pressureShare: number): number {
  let table = TABLES.get(pressureShare)
  if (!table)
    TABLES.set(pressureShare, (table = Float64Array.from({ length: BOILS + 2 }, (_, t) => across(Math.min(t, BOILS), pressureShare))))
  const t = Math.max(0, Math.min(celsius, BOILS))
  const below = Math.floor(t)
  return table[below]! + (t - below) * (table[below + 1]! - table[below]!)
}

/** By whole degrees, for each pressure that was asked for: it is asked of every cell in every step. */
const TABLES = new Map<number, Float64Array>()
/** From here on it no longer rises, °C. */
const BOILS = 99

function across(t: number, pressureShare: number): number {
  const p = SEA_LEVEL * pressureShare
  const diffusivity = (2.6e-5 * ((t + KELVIN) / 298) ** 1.8) / pressureShare
  const crowding = Math.min(MOST_CROWDING, p / Math.max(1, p - saturation(t)))
  return diffusivity * LATENT * vapourSlope(t) * crowding
}
