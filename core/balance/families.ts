/** A family's sound range on one ratio, and how far outside it a recipe may stray before it matters. */
export interface Band {
  low: number
  high: number
}

export const CAKE_FAMILIES = [
  'pound',
  'butter-layer',
  'high-ratio',
  'oil-layer',
  'loaf',
  'syrup-spice',
  'foam',
  'eggless-raised',
  'boxed',
  'flourless-nut',
  'flourless-chocolate',
  'cheesecake',
  'custard',
  'crepe',
  'pastry',
] as const
export const FINISH_FAMILIES = [
  'butter-icing',
  'cooked-butter-icing',
  'foam-butter-icing',
  'meringue-icing',
  'cream-cheese-icing',
  'whipped-cream',
  'ganache',
  'crumb-icing',
  'glaze',
  'pastry-cream',
  'compote',
  'soak',
] as const
export type CakeFamily = (typeof CAKE_FAMILIES)[number]
export type FinishFamily = (typeof FINISH_FAMILIES)[number]
export type Family = CakeFamily | FinishFamily

export const BANDED = [
  'moisture',
  'sugarConcentration',
  'firmness',
  'lift',
  'sugarPct',
  'fatPct',
  'fluidity',
  'acidBalance',
  'setting',
  'waterPer100',
  'fatPer100',
] as const
export type Banded = (typeof BANDED)[number]

export interface FamilyModel {
  /** As a baker would say it. */
  title: string
  /** Ratios stand on flour, or on the whole batter where there is none. */
  basis: 'flour' | 'batter'
  bands: Partial<Record<Banded, Band>>
  /** Where a sound recipe usually sits, for solving towards; the middle of the band where not given. */
  aims?: Partial<Record<Banded, number>>
  /** Share of the batter's mass lost as steam in the oven. */
  bakeLoss: number
  /** Air whipped or creamed in carries the rise, so leavener may be absent. */
  air: 'creamed' | 'foam' | 'none'
}

const band = (low: number, high: number): Band => ({ low, high })
/** Acid that bakers accept without calling it sour, and alkali without soap (science §2). */
const NEUTRAL = band(-3, 5.5)

/**
 * Bands on each ratio by family: the design's starting bands (science §3), widened or narrowed only where
 * classic formulas fell outside; `docs/model.md` lists every such change. Bake losses: usual weighings,
 * 9–12 % for layers, more for foams, less for dense set cakes.
 */
export const FAMILIES: Record<CakeFamily, FamilyModel> = {
  pound: {
    title: 'pound cake',
    basis: 'flour',
    bands: {
      moisture: band(1.45, 2.0),
      sugarConcentration: band(43, 58),
      firmness: band(0.32, 0.48),
      // American pound cakes take as much sugar as flour by the cup: three of each to a pound of fat and six eggs.
      sugarPct: band(75, 168),
      fatPct: band(70, 112),
      lift: band(0, 7),
      fluidity: band(1.3, 2.2),
      acidBalance: NEUTRAL,
      setting: band(2.2, 7),
    },
    bakeLoss: 0.1,
    air: 'creamed',
  },
  'butter-layer': {
    title: 'butter layer cake',
    basis: 'flour',
    bands: {
      // Two and a half cups of flour to one and a quarter of milk, as American yellow cakes have it: 2.5.
      moisture: band(1.25, 2.45),
      sugarConcentration: band(33, 52),
      firmness: band(0.33, 0.54),
      sugarPct: band(60, 145),
      fatPct: band(42, 99),
      lift: band(4.5, 17),
      fluidity: band(1.4, 2.9),
      acidBalance: NEUTRAL,
      setting: band(1.9, 7),
    },
    bakeLoss: 0.1,
    air: 'creamed',
  },
  'high-ratio': {
    title: 'high-ratio layer cake',
    basis: 'flour',
    bands: {
      moisture: band(2.0, 3.1),
      sugarConcentration: band(41, 52),
      firmness: band(0.32, 0.52),
      sugarPct: band(112, 178),
      fatPct: band(33, 70),
      // 5–7 % double-acting powder on cake flour is the trade's high-ratio dose.
      lift: band(8, 21),
      fluidity: band(2.1, 4.4),
      acidBalance: NEUTRAL,
      setting: band(1.5, 6),
    },
    bakeLoss: 0.11,
    air: 'creamed',
  },
  'oil-layer': {
    title: 'oil cake or traybake',
    basis: 'flour',
    bands: {
      moisture: band(1.5, 3.1),
      // The high end is that of American courgette and pumpkin loaves.
      sugarConcentration: band(32, 55),
      firmness: band(0.27, 0.58),
      sugarPct: band(75, 190),
      fatPct: band(22, 122),
      lift: band(10, 32),
      fluidity: band(2.1, 6),
      acidBalance: NEUTRAL,
      setting: band(1.3, 6),
    },
    bakeLoss: 0.1,
    air: 'none',
  },
  loaf: {
    title: 'loaf, muffin or snack cake',
    basis: 'flour',
    bands: {
      // The low end is the German stirred cake: twice as much flour as butter, five eggs, half a cup of milk.
      moisture: band(1.35, 2.9),
      sugarConcentration: band(22, 50),
      firmness: band(0.38, 0.85),
      sugarPct: band(35, 112),
      fatPct: band(18, 70),
      lift: band(9, 25),
      fluidity: band(1.35, 3.9),
      acidBalance: NEUTRAL,
      setting: band(1.4, 6),
    },
    bakeLoss: 0.1,
    air: 'none',
  },
  'syrup-spice': {
    title: 'syrup, honey or spice cake',
    basis: 'flour',
    bands: {
      // Parkin and its kin hold a spoon of milk and as much syrup as flour: syrup keeps them soft, not water.
      moisture: band(0.7, 2.6),
      sugarConcentration: band(36, 63),
      firmness: band(0.28, 0.95),
      sugarPct: band(75, 155),
      fatPct: band(4, 65),
      lift: band(4, 26),
      fluidity: band(1.8, 3.9),
      acidBalance: band(-3, 6.5),
      setting: band(1.2, 6),
    },
    bakeLoss: 0.1,
    air: 'none',
  },
  foam: {
    title: 'foam cake',
    basis: 'flour',
    bands: {
      // The high ends of moisture, sugar and fluidity are angel cakes: three times their flour of sugar, four of whites.
      moisture: band(1.9, 6.6),
      // The low end is Japanese chiffon: 60 g sugar to the 170 g of water in its eggs and milk.
      sugarConcentration: band(26, 52),
      firmness: band(0.48, 1.5),
      sugarPct: band(75, 300),
      // Chiffon of as much oil as half its flour, with the fat of its yolks.
      fatPct: band(0, 76),
      // Chiffon of seven eggs with a tablespoon of powder to 200 g of flour.
      lift: band(0, 21),
      fluidity: band(2.2, 9.7),
      acidBalance: band(-4, 5.5),
      setting: band(3, 12),
    },
    bakeLoss: 0.13,
    air: 'foam',
  },
  'eggless-raised': {
    title: 'eggless cake, raised by leavener',
    basis: 'flour',
    bands: {
      moisture: band(1.3, 3.0),
      sugarConcentration: band(30, 49),
      firmness: band(0.3, 0.68),
      sugarPct: band(62, 118),
      fatPct: band(4, 90),
      lift: band(14, 28),
      // Condensed-milk sponges pour.
      fluidity: band(1.5, 4.8),
      acidBalance: NEUTRAL,
      setting: band(1.25, 5),
    },
    aims: { lift: 20, sugarConcentration: 41, moisture: 2.15, firmness: 0.42 },
    bakeLoss: 0.11,
    air: 'none',
  },
  boxed: {
    title: 'boxed mix',
    basis: 'flour',
    bands: {
      moisture: band(1.5, 3.2),
      sugarConcentration: band(27, 46),
      firmness: band(0.3, 0.64),
      // A third to half a cup of oil to a box is what their panels ask for.
      fatPct: band(5, 115),
      lift: band(10, 26),
      fluidity: band(1.7, 4.4),
      acidBalance: NEUTRAL,
      setting: band(1, 6),
    },
    bakeLoss: 0.11,
    air: 'none',
  },
  'flourless-nut': {
    title: 'nut cake without wheat',
    basis: 'flour',
    bands: {
      // The low ends are those of butter-and-almond cakes (equal butter, sugar and almonds to three eggs), the high
      // ends those of egg-foam tortes.
      moisture: band(1.2, 4.2),
      // The low end is the cake of whole boiled oranges.
      sugarConcentration: band(27, 58),
      firmness: band(0.13, 0.66),
      sugarPct: band(60, 110),
      // From egg-foam tortes with the fat of their nuts alone to equal weights of butter and almonds.
      fatPct: band(30, 170),
      lift: band(0, 11),
      fluidity: band(1.7, 8),
      acidBalance: NEUTRAL,
      setting: band(3.2, 10),
    },
    bakeLoss: 0.11,
    air: 'foam',
  },
  'flourless-chocolate': {
    title: 'dense chocolate cake or brownie',
    basis: 'batter',
    // Brownies and other bars go to 75 and more, and are told by their tin or title.
    bands: { sugarConcentration: band(36, 60), firmness: band(0.15, 0.46), setting: band(2, 7), fatPer100: band(18, 40) },
    bakeLoss: 0.08,
    air: 'foam',
  },
  cheesecake: {
    title: 'baked cheesecake',
    basis: 'batter',
    bands: { sugarConcentration: band(20, 37), fatPer100: band(6, 31), waterPer100: band(42, 66), setting: band(1.5, 7) },
    bakeLoss: 0.04,
    air: 'none',
  },
  custard: {
    title: 'set custard',
    basis: 'batter',
    bands: { sugarConcentration: band(8, 36), fatPer100: band(2, 30), waterPer100: band(42, 80), setting: band(1, 7) },
    bakeLoss: 0.04,
    air: 'none',
  },
  crepe: {
    title: 'crêpe or pancake sheet',
    basis: 'flour',
    bands: {
      // The high end is the stack of thin sheets: two cups of milk and four eggs to a cup of flour.
      moisture: band(3.6, 7.8),
      sugarConcentration: band(0, 22),
      sugarPct: band(0, 62),
      fatPct: band(6, 65),
      lift: band(0, 12),
      fluidity: band(3.4, 8),
      setting: band(1.6, 7),
      acidBalance: NEUTRAL,
    },
    bakeLoss: 0.15,
    air: 'none',
  },
  pastry: {
    title: 'pastry or rubbed-in dough',
    basis: 'flour',
    // From shortbread without a drop to scones; fat up to three quarters of the flour, a spoon of powder to a cup.
    bands: { moisture: band(0.1, 1.95), fatPct: band(0, 85), sugarPct: band(0, 110), lift: band(0, 26), setting: band(0.8, 9) },
    bakeLoss: 0.08,
    air: 'none',
  },
}

/**
 * Loaves, muffins and buns that their title calls so may be as lean and as little sweet as a bread: brack, malt loaf,
 * corn bread, muffins sweetened by fruit. Under another title the same numbers are a cake with too much flour.
 */
export const BREADLIKE: FamilyModel['bands'] = {
  ...FAMILIES.loaf.bands,
  moisture: band(1.1, 2.9),
  sugarConcentration: band(14, 54),
  firmness: band(0.38, 1.05),
  sugarPct: band(15, 112),
  fatPct: band(2, 70),
  lift: band(7, 30),
}
