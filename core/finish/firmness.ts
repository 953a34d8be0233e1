import type { FinishFamily } from '../balance/families'
import type { Phases } from './phases'

export const USES = ['pour', 'drip', 'spread', 'fill', 'pipe', 'whip', 'roll'] as const
export type Use = (typeof USES)[number]
export const FIRMNESS = ['pours', 'drips', 'spreads', 'pipes', 'rolls', 'too-stiff'] as const
export type Firmness = (typeof FIRMNESS)[number]

/** Where each class ends, on a scale of 0 (runs) to 10 (a block). */
const CLASSES: readonly (readonly [most: number, name: Firmness])[] = [
  [2, 'pours'],
  [3.4, 'drips'],
  [5.4, 'spreads'],
  [7.4, 'pipes'],
  [9.2, 'rolls'],
  [Infinity, 'too-stiff'],
]
export const classOf = (score: number): Firmness => CLASSES.find(([most]) => score < most)![1]

/** The range of firmness that suits a use. */
export const FOR_USE: Record<Use, readonly [low: number, high: number]> = {
  pour: [0.3, 3],
  drip: [1.8, 4],
  spread: [3.3, 7.2],
  fill: [3, 7.2],
  pipe: [4.6, 8],
  whip: [1.2, 6.4],
  roll: [6.8, 9.4],
}

/** How much each solid stiffens, by mass: fat crystals make a network, sugar crystals only crowd. */
const WEIGHS = { solidFat: 1.6, crystals: 0.8, cocoa: 0.8, crumbs: 0.8, body: 3, bound: 0.35 }
/**
 * Sugar stands only as long as some fat is firm round it: under this share of solid fat the crystals swim, and the icing
 * slides (butter icing fails between 28 and 30 °C, where butter has about a twentieth of its fat solid).
 */
const NETWORK = 0.12
const SWIMS = 0.3
/** From the share of solids to the scale, by family: set on the classic of each (`core/fixtures/frostings.ts`). */
const SCALE: Partial<Record<FinishFamily, readonly [at0: number, perShare: number]>> = {
  'butter-icing': [1, 11],
  'cream-cheese-icing': [1.8, 11],
  'cooked-butter-icing': [2, 11],
  'foam-butter-icing': [3.1, 13],
  'crumb-icing': [1, 10],
  glaze: [0.2, 6],
}
/** Ganache: cocoa butter sets hard, cocoa drinks (white chocolate has none, and wants twice as much of it), water loosens. */
const GANACHE = { perShare: 15, cocoa: 0.8, water: 0.2, loosens: 12, wet: 0.14 }
/** Cream stands by its fat: under 18 % never, 36 % well, and never like a block; warm rooms and much sugar soften it. */
const CREAM = { from: 18, per: 3, most: 7, coldC: 18, warms: 0.14, stabilises: 0.35 }
/** Above this its butterfat melts, and what stood runs within the hour; a gel holds some of it, °C. */
export const CREAM_MELTS = { from: 23, per: 0.6 }
/**
 * Whites beaten with sugar: from a soft foam upward as its syrup thickens, sugar to water; once that is saturated, icing sugar
 * that stays grains makes it stiff (two parts of sugar to a white stand in peaks, six make royal icing).
 */
const MERINGUE = { foam: 3, syrup: 1.2, saturated: 2.5, grains: 0.35, least: 0.09, thin: 30, beaten: 0.04 }
/** Fat that is poured or drips is warm: chocolate at about 32 °C, just before it sets; icing sugar and water as the room. */
const POURS_AT = 32
const POURED: readonly Use[] = ['pour', 'drip']

/** The temperature at which a frosting is put to its use, °C. */
export const useC = (p: Pick<Phases, 'fatPct' | 'family'>, use: Use, roomC: number): number =>
  POURED.includes(use) && p.family !== 'whipped-cream' && p.fatPct > LEAST_FAT ? Math.max(roomC, POURS_AT) : roomC
/** Less fat than this does not decide how it flows, per cent. */
const LEAST_FAT = 8
/** So much of a gel, as a share of the cream, keeps it from running. */
const GELLED = 0.005
/** Custards, soaks, compotes and other wet things: what starch, egg and gels hold of their water; jam sets by fruit and sugar. */
const WET = { at0: 0.4, bound: 6.5, sugar: 0.02, fat: 0.05, jamFrom: 52, jam: 0.3 }

/** Firmness at the room's temperature, 0 (runs) to 10 (a block). */
export function firmnessOf(p: Phases, roomC: number): number {
  const { grams } = p
  if (!(grams > 0)) return 0
  const solidFat = (p.solidFatPct * grams) / 100
  const network = p.fatPct > 12 ? SWIMS + (1 - SWIMS) * Math.min(1, p.solidShare / NETWORK) : 1
  const share =
    (WEIGHS.solidFat * solidFat +
      WEIGHS.crystals * p.crystals * network +
      WEIGHS.cocoa * p.cocoa +
      WEIGHS.crumbs * p.crumbs +
      WEIGHS.body * p.body +
      WEIGHS.bound * p.bound) /
    grams
  const clamp = (x: number) => Math.round(Math.max(0, Math.min(10, x)) * 100) / 100
  // The milk in it gives no body: it is dissolved.
  if (p.family === 'ganache') {
    const water = p.waterPct / 100
    // Without water to drink its cocoa only thickens, and melted fat carries it.
    const wet = Math.min(1, water / GANACHE.wet)
    const swims = (1 - wet) * (1 - network) * WEIGHS.cocoa * p.cocoa
    return clamp(
      GANACHE.perShare * (share + (GANACHE.cocoa * wet * p.cocoa - swims - WEIGHS.body * p.body) / grams) -
        GANACHE.loosens * wet * (water - GANACHE.water),
    )
  }
  if (p.family === 'whipped-cream') {
    // Sugar and flavour do not thin the cream that stands: fat counts against cream alone.
    const fat = (100 * p.fatPct) / Math.max(40, 100 - p.sugarPct)
    const stands = (fat - CREAM.from) / CREAM.per + CREAM.stabilises * Math.min(4, (100 * p.stabiliser) / grams)
    const melts = CREAM_MELTS.per * Math.max(0, roomC - CREAM_MELTS.from) * (p.stabiliser / grams > GELLED ? 0.5 : 1)
    return clamp(Math.min(CREAM.most, stands) - CREAM.warms * Math.max(0, roomC - CREAM.coldC) - melts)
  }
  if (p.family === 'meringue-icing' || (p.family === 'glaze' && p.foam / grams > MERINGUE.beaten)) {
    const { foam, syrup, saturated, grains, least, thin } = MERINGUE
    const short = Math.max(0, least - p.foam / grams)
    return clamp(foam + syrup * Math.min(saturated, p.sugarToWater) + grains * Math.max(0, p.sugarToWater - saturated) - thin * short)
  }
  const scale = SCALE[p.family]
  if (scale) return clamp(scale[0] + scale[1] * share)
  const sets = p.family === 'compote' ? WET.jam * Math.max(0, p.sugarPct - WET.jamFrom) : 0
  return clamp(WET.at0 + WET.bound * (p.bound / grams) + WET.sugar * p.sugarPct + WET.fat * p.solidFatPct + sets)
}
