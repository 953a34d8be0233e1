import type { Sugar } from '../pantry/ingredient'

/**
 * What a gram of each sugar does, relative to a gram of sucrose.
 *
 * `starch`: how far it raises the temperature at which starch sets (design values, after the cereal-science
 * finding that effect grows with molecular size and number of equatorial hydroxyls; erythritol is held low by
 * its solubility, 37 g in 100 g water). `sweet`: relative sweetness (handbook values at 10 % solutions).
 * `reducing`: takes part in browning. `kcal` per gram: Regulation (EU) 1169/2011 Annex XIV; allulose 0.4 (FDA guidance 2020).
 */
export const SUGAR_EFFECT: Record<Sugar, { starch: number; sweet: number; reducing: number; kcal: number }> = {
  // A tenth of the sucrose in a sour, hot batter is taken as inverted.
  sucrose: { starch: 1, sweet: 1, reducing: 0.1, kcal: 4 },
  glucose: { starch: 0.8, sweet: 0.72, reducing: 1, kcal: 4 },
  fructose: { starch: 0.75, sweet: 1.2, reducing: 1.3, kcal: 4 },
  lactose: { starch: 0.9, sweet: 0.2, reducing: 0.8, kcal: 4 },
  maltose: { starch: 0.95, sweet: 0.35, reducing: 0.7, kcal: 4 },
  allulose: { starch: 0.7, sweet: 0.7, reducing: 1.6, kcal: 0.4 },
  erythritol: { starch: 0.6, sweet: 0.65, reducing: 0, kcal: 0 },
  xylitol: { starch: 0.7, sweet: 1, reducing: 0, kcal: 2.4 },
  maltitol: { starch: 1, sweet: 0.85, reducing: 0, kcal: 2.4 },
  sorbitol: { starch: 0.75, sweet: 0.6, reducing: 0, kcal: 2.4 },
  bulkFibre: { starch: 1, sweet: 0.05, reducing: 0.1, kcal: 2 },
}
