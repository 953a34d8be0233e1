import { recogniseFinish } from '../balance/finish'
import { kindsOf } from '../balance/balance'
import { massOf, type Dose } from '../balance/mass'
import type { FinishFamily } from '../balance/families'
import { SUGARS, type Ingredient } from '../pantry/ingredient'
import { need } from '../pantry/pantry'
import { solidShare } from './solid-fat'

/** What of a frosting matters to how it stands: fat, water and sugar, and what of each is solid. */
export interface Phases {
  family: FinishFamily
  grams: number
  /** Per cents of the whole. */
  fatPct: number
  sugarPct: number
  waterPct: number
  /** Fat that is solid at the room's temperature. */
  solidFatPct: number
  waterToFat: number
  sugarToWater: number
  /** Sucrose equivalents per 100 g. */
  sweetness: number
  /** Share of the fat that is solid. */
  solidShare: number
  /** g of sugar that the water cannot dissolve, and of it what stays gritty (polyols). */
  crystals: number
  grit: number
  /** g of water that cooked starch and gels hold. */
  bound: number
  cocoa: number
  crumbs: number
  /** g of protein that gives body: cheese, milk. */
  body: number
  /** g of a foam: egg white or bean-can liquid. */
  foam: number
  /** g of stabiliser: gelatine, agar, gums, starch in a cream. */
  stabiliser: number
}

/** Grams of sucrose that a gram of water holds at room temperature; polyols hold less (handbook solubilities at 20 °C). */
const SOLUBLE = { sugar: 2, erythritol: 0.4, xylitol: 1.7, maltitol: 1.5, sorbitol: 2.2, allulose: 2.3 }
/** Grams of water that a gram of cooked starch holds as a paste that stands, and a gram of a gel. */
const STARCH_HOLDS = 9
const GEL_HOLDS = 45
/** Egg cooked into a custard: about a yolk to 60 ml of milk stands (classic pastry cream with its starch). */
const EGG_HOLDS = 2.2
/** Milk fat or oil beside cocoa butter lets it melt so much lower, °C where there is little cocoa butter (eutectic of the two). */
const SOFTENS = 5
const EGG = /^egg-(yolk|whole)$/
const COOKED = /^(flour-|cornstarch|potato-starch|custard-powder|semolina)/
const GELS = /^(gelatine|agar|xanthan-gum|guar-gum|psyllium|pectin)/
const CRUMBS = /crumb|cookie|biscuit/

/** Fat, water and sugar of a frosting, at a room temperature, °C. */
export function phasesOf(doses: readonly Dose[], roomC: number, asFamily?: FinishFamily): Phases {
  const mass = massOf(doses)
  const ids = new Set(doses.filter((d) => d.grams > 0).map((d) => d.ingredient))
  const family = asFamily ?? recogniseFinish(mass, kindsOf([...doses]), ids)
  const sum = (of: (i: Ingredient) => number) => doses.reduce((total, d) => total + (of(need(d.ingredient)) * d.grams) / 100, 0)
  const fatOf = (i: Ingredient) => (i.per100.plasticFat ?? 0) + (i.per100.liquidFat ?? 0)
  const fat = sum(fatOf)
  // Oil in the bowl softens firm fat: it dissolves some of its crystals.
  const cocoaFat = sum((i) => (i.kind === 'cocoa' ? fatOf(i) : 0))
  const softens = fat > 0 ? SOFTENS * (1 - cocoaFat / fat) : 0
  const solid = sum((i) => fatOf(i) * solidShare(i, roomC + (i.kind === 'cocoa' ? softens : 0)))
  // In a bowl all water counts, that of fruit too.
  const water = sum((i) => i.per100.water ?? 0)
  const polyols = ['erythritol', 'xylitol', 'maltitol', 'sorbitol', 'allulose'] as const
  const sugars = sum((i) => SUGARS.reduce((g, s) => g + (i.per100[s] ?? 0), 0))
  let left = water
  let crystals = 0
  let grit = 0
  for (const p of polyols) {
    const grams = sum((i) => i.per100[p] ?? 0)
    const dissolved = Math.min(grams, left * SOLUBLE[p])
    crystals += grams - dissolved
    if (p === 'erythritol') grit += grams - dissolved
    left = Math.max(0, left - dissolved / SOLUBLE[p])
  }
  const plain = sugars - polyols.reduce((g, p) => g + sum((i) => i.per100[p] ?? 0), 0)
  // Sugar in chocolate stays in its fat; what is stirred into water dissolves.
  crystals += Math.max(0, plain - left * SOLUBLE.sugar)
  // Steam that has left counts with its minus.
  const total = doses.reduce((g, d) => g + d.grams, 0)
  const grams = total || 1
  const of = (pattern: RegExp) => doses.reduce((g, d) => g + (pattern.test(d.ingredient) ? d.grams : 0), 0)
  const round = (x: number, digits = 1) => Math.round(x * 10 ** digits) / 10 ** digits
  return {
    family,
    grams: total,
    fatPct: round((100 * fat) / grams),
    sugarPct: round((100 * sugars) / grams),
    waterPct: round((100 * water) / grams),
    solidFatPct: round((100 * solid) / grams),
    waterToFat: round(fat > 0 ? water / fat : 99, 2),
    sugarToWater: round(water > 0 ? sugars / water : 99, 2),
    sweetness: round((100 * mass.sweet) / grams),
    solidShare: fat > 0 ? solid / fat : 0,
    crystals,
    grit,
    bound: Math.min(water, of(COOKED) * STARCH_HOLDS * 0.8 + of(GELS) * GEL_HOLDS + of(EGG) * EGG_HOLDS),
    cocoa: sum((i) => i.per100.cocoaSolids ?? 0),
    crumbs: of(CRUMBS),
    body: mass.milkProtein,
    foam: of(/^(aquafaba|egg-white)$/),
    // A gram of jelly powder does what three grams of starch do.
    stabiliser: 3 * of(GELS) + 0.3 * of(/^cornstarch$/) + 0.3 * of(/cream-cheese|mascarpone/),
  }
}
