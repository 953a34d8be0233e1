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
 * Heat that vapour carries through wet pores, as a conductivity, W/mK: it evaporates on the warm side of a bubble and
 * condenses on the cold one (de Vries 1958; in bread and cake crumb: de Cindio and Correra 1995).
 *
 * @param porosity share of gas
 * @param passes how much of a straight open pore the bubbles amount to
 */
export function vapourConductivity(celsius: number, porosity: number, pressureShare: number, passes: number): number {
  const t = Math.min(celsius, 99)
  const p = SEA_LEVEL * pressureShare
  const diffusivity = (2.6e-5 * ((t + KELVIN) / 298) ** 1.8) / pressureShare
  const crowding = Math.min(MOST_CROWDING, p / Math.max(1, p - saturation(t)))
  // It takes wet walls to evaporate from and bubbles to cross: most where there is as much of the one as of the other.
  return passes * 4 * porosity * (1 - porosity) * diffusivity * LATENT * vapourSlope(t) * crowding
}
