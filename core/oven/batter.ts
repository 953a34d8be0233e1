import type { CakeFamily } from '../balance/families'
import type { Composition } from './matter'

/** What the oven must know of a batter. */
export interface Batter {
  family: CakeFamily
  /** In one tin, g. */
  grams: number
  /** Before the oven, g per ml. */
  gramsPerMl: number
  made: Composition
  /** Volume of the baked cake over that of the batter. */
  rise: number
  /** Temperature of the slowest point when it is done, °C. */
  doneC: number
  /** How readily it browns: 1 as a plain butter cake. */
  browns: number
}

export interface Usual {
  gramsPerMl: number
  water: number
  fat: number
  sugar: number
  rise: number
  doneC: number
}

/**
 * Usual batters by family. Densities: foam 0.35–0.45, creamed 0.85–0.95, oil and boxed 0.95–1.05 g/ml (cake-technology
 * texts and test kitchens). Water: mass balance of a classic of each family. Rise: specific volume of baked cakes of
 * 2.2–2.8 ml/g for layers, 1.7–1.9 for pound, 3.5–4.5 for sponges (AACC 10-90 results in the literature), times the
 * batter's density. Done: probe temperatures of test kitchens (science §8).
 */
export const BATTERS: Record<CakeFamily, Usual> = {
  pound: { gramsPerMl: 0.87, water: 0.24, fat: 0.24, sugar: 0.24, rise: 1.5, doneC: 98.5 },
  'butter-layer': { gramsPerMl: 0.9, water: 0.27, fat: 0.2, sugar: 0.26, rise: 1.95, doneC: 97 },
  'high-ratio': { gramsPerMl: 0.95, water: 0.34, fat: 0.14, sugar: 0.3, rise: 2.1, doneC: 97 },
  'oil-layer': { gramsPerMl: 1, water: 0.34, fat: 0.17, sugar: 0.26, rise: 1.95, doneC: 96.5 },
  loaf: { gramsPerMl: 1, water: 0.34, fat: 0.13, sugar: 0.2, rise: 1.75, doneC: 97 },
  'syrup-spice': { gramsPerMl: 1.02, water: 0.3, fat: 0.13, sugar: 0.3, rise: 1.75, doneC: 98 },
  foam: { gramsPerMl: 0.4, water: 0.36, fat: 0.05, sugar: 0.27, rise: 1.55, doneC: 98 },
  'eggless-raised': { gramsPerMl: 1, water: 0.35, fat: 0.14, sugar: 0.22, rise: 1.9, doneC: 97.5 },
  boxed: { gramsPerMl: 0.98, water: 0.4, fat: 0.13, sugar: 0.26, rise: 2.05, doneC: 96 },
  'flourless-nut': { gramsPerMl: 0.65, water: 0.33, fat: 0.2, sugar: 0.27, rise: 1.35, doneC: 96 },
  'flourless-chocolate': { gramsPerMl: 0.85, water: 0.22, fat: 0.28, sugar: 0.33, rise: 1.2, doneC: 91.5 },
  cheesecake: { gramsPerMl: 1.04, water: 0.5, fat: 0.24, sugar: 0.19, rise: 1.05, doneC: 70 },
  custard: { gramsPerMl: 1.05, water: 0.65, fat: 0.04, sugar: 0.1, rise: 1, doneC: 79 },
  crepe: { gramsPerMl: 1.05, water: 0.62, fat: 0.09, sugar: 0.04, rise: 1.1, doneC: 96 },
  pastry: { gramsPerMl: 1.08, water: 0.4, fat: 0.22, sugar: 0.08, rise: 1.1, doneC: 95 },
}

/** Flours without gluten hold more water and set later: done a little hotter (science §8). */
export const GLUTEN_FREE_DONE = 98

/** A usual batter of a family. */
export function usualBatter(family: CakeFamily, grams: number): Batter {
  const { gramsPerMl, rise, doneC, water, fat, sugar } = BATTERS[family]
  return { family, grams, browns: 1, gramsPerMl, rise, doneC, made: { water, bound: 0, fat, sugar, rest: 1 - water - fat - sugar } }
}
