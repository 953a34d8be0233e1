import { vapourConductivity } from './steam'

/** What a batter is made of, as shares of its mass; with its water they make one. */
export interface Composition {
  /** Water that is free to move and to steam. */
  water: number
  /** Water shut up in fruit and other pieces: it warms and conducts, and stays. */
  bound: number
  fat: number
  /** Sugars that are dissolved in the free water. */
  sugar: number
  /** Starch, protein, fibre, ash, and sugar inside pieces. */
  rest: number
}

/** Densities, kg/m³ (Choi and Okos 1986, at 60 °C, rounded). */
const DENSITY = { water: 985, fat: 905, carbohydrate: 1580 }
/** Specific heats, J/kgK (the same, at 60 °C): sugars in solution, starch and protein as they come in flour and egg. */
const HEAT = { water: 4180, fat: 2040, sugar: 1500, rest: 1750 }

/** Conductivities, W/mK, at a temperature (Choi and Okos 1986). */
const conducts = {
  water: (t: number) => 0.571 + 0.001763 * t - 6.7036e-6 * t * t,
  fat: (t: number) => 0.1807 - 2.76e-4 * t,
  carbohydrate: (t: number) => 0.2014 + 0.001387 * t - 4.3312e-6 * t * t,
}
/** Air in a bubble, W/mK. */
const AIR = 0.028

/** Molar mass of sucrose, kg/mol, and of water over a kilogram. */
const SUCROSE = 0.342
const WATER_MOL = 0.018
/** Ebullioscopic constant of water, K kg/mol. */
const RAISES = 0.512
/** Syrups boil higher than their dilute law says, by a third at cake strength (sugar boiling tables: 75 % at 107 °C). */
const BEYOND_DILUTE = 1.3
/** No cake's syrup is stronger than this before its crust: beyond it the law says nothing. */
const MOST_RAISED = 8

/** How much of a straight open pore a bubble of crumb amounts to: most are closed by films that vapour must cross anew (`docs/model.md`). */
const PASSES = 0.22
/** In a finer foam fewer walls are whole: from this porosity on, 1 − 1/2.4, bubbles open to each other and carry less. */
const WALLS = 2.4
/** A batter that is still liquid circulates as it warms, and carries more heat than it conducts: until it sets, between these °C. */
const STIRS = 0.9
/** A paste does not circulate, a batter that pours does: from this share of water on, and from that on fully. */
const RUNNY = { from: 0.15, all: 0.5 }
const SETS = { from: 68, to: 88 }

/** Water, fat, sugar and the rest of one cell, worked out once for a batter. */
export interface Properties {
  /** J/kgK of everything but the free water. */
  dryHeat: number
  /** Volume of everything but the free water, m³/kg of it, and the shares of it that are water, fat and carbohydrate. */
  dryVolume: number
  dryShares: { water: number; fat: number; carbohydrate: number }
  /** How readily its water steams, against pure water. */
  activity: number
  /** What dissolved sugar adds to the boiling point, K. */
  raisedBy: number
  /** How much it circulates while it warms, until it sets, 0 to 1; a paste of cheese does not. */
  moves: number
}

/** Molality of the dissolved sugar, mol/kg of water. */
const molality = (c: Composition): number => c.sugar / SUCROSE / Math.max(0.05, c.water)

export function propertiesOf(c: Composition, moves = true): Properties {
  const dry = Math.max(1e-6, c.bound + c.fat + c.sugar + c.rest)
  const volumes = {
    water: c.bound / DENSITY.water,
    fat: c.fat / DENSITY.fat,
    carbohydrate: (c.sugar + c.rest) / DENSITY.carbohydrate,
  }
  const all = volumes.water + volumes.fat + volumes.carbohydrate
  const m = molality(c) * BEYOND_DILUTE
  const runny = Math.max(0, Math.min(1, (c.water + c.bound - RUNNY.from) / (RUNNY.all - RUNNY.from)))
  return {
    dryHeat: (c.bound * HEAT.water + c.fat * HEAT.fat + c.sugar * HEAT.sugar + c.rest * HEAT.rest) / dry,
    dryVolume: all / dry,
    dryShares: { water: volumes.water / all, fat: volumes.fat / all, carbohydrate: volumes.carbohydrate / all },
    // Raoult: each mole of sugar hides its share of the water.
    activity: 1 / (1 + WATER_MOL * m),
    raisedBy: Math.min(MOST_RAISED, RAISES * m),
    moves: moves ? runny : 0,
  }
}

/**
 * Conductivity of a cell, W/mK: the dense phase by what it is made of, bubbles in it as spheres that conduct by their air
 * and, while their walls are wet, by vapour that evaporates on the warm side and condenses on the cold (Maxwell–Eucken).
 *
 * A batter of few bubbles is so carried by little steam: that is why pound cakes and brownies are slow.
 *
 * @param celsius of the cell
 * @param water free water over everything else, kg/kg
 * @param density as it is now, with its bubbles, kg/m³
 * @param wet how wet the walls of its bubbles are, 0 to 1; 0 where no steam is to be reckoned with
 * @param pressureShare of the air, against the sea's
 */
export function conductivityOf(p: Properties, celsius: number, water: number, density: number, wet: number, pressureShare: number): number {
  const t = Math.min(100, celsius)
  const free = water / DENSITY.water
  const all = free + p.dryVolume
  const waterShare = (free + p.dryVolume * p.dryShares.water) / all
  const fatShare = (p.dryVolume * p.dryShares.fat) / all
  const carbohydrateShare = (p.dryVolume * p.dryShares.carbohydrate) / all
  const along = waterShare * conducts.water(t) + fatShare * conducts.fat(t) + carbohydrateShare * conducts.carbohydrate(t)
  // Water is the continuous part, so heat runs along the layers rather than across them.
  const moves = p.moves * Math.max(0, Math.min(1, (SETS.to - celsius) / (SETS.to - SETS.from)))
  const dense = along * (1 + STIRS * moves)
  const porosity = Math.max(0, 1 - (density * all) / (1 + water))
  const walls = Math.min(1, WALLS * (1 - porosity))
  const bubble = AIR + PASSES * p.activity * wet * walls * vapourConductivity(celsius, pressureShare)
  return (dense * (2 * dense + bubble - 2 * porosity * (dense - bubble))) / (2 * dense + bubble + porosity * (dense - bubble))
}

export const WATER_HEAT = HEAT.water
