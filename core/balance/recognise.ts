import type { CakeFamily } from './families'
import { fluidity, lift, moisture, onFlour } from './ratios'
import type { Mass } from './mass'
import type { MethodSigns } from './method'

/** Grams of the kinds of ingredient that tell families apart. */
export interface Kinds {
  mix: number
  /** Boxes that are whipped: angel food. */
  foamMix: number
  cheese: number
  chocolate: number
  /** Chocolate in pieces: whole in a batter, melted in an icing. */
  chips: number
  nutMeal: number
  /** Nuts and seeds ground to a paste. */
  nutButter: number
  dairy: number
  /** Pastry bought made, and biscuit crumbs. */
  pastry: number
  /** Whatever holds egg, mayonnaise too. */
  eggy: number
  /** Whites without their yolks, and bean-can liquid, which whips as they do. */
  whites: number
  /** Coconut flour. */
  coconut: number
  /** Semolina and cornmeal, which drink slowly and stay grainy. */
  grits: number
  /** Oats, whole or rolled: bars of them are bound by syrup and rise by nothing. */
  oats: number
}

/** How well a batter fits a family, 0 to 1. */
export interface Fit {
  family: CakeFamily
  fit: number
  /** A loaf by name, which may be as lean as a bread. */
  breadlike?: true
}

/** 0 at or below `from`, 1 at or above `to`, straight between; `from` may be the larger. */
const ramp = (x: number, from: number, to: number): number => Math.min(1, Math.max(0, (x - from) / (to - from)))
const not = (x: number): number => 1 - x
const yes = (b: boolean, ifNot = 0): number => (b ? 1 : ifNot)

/** What a title's word adds to the fit of what it names: a baker calls a cake by its kind. */
const NAMED = 1.5
/** A best fit below this is no kind of cake that the model knows: physics alone judges it. */
const UNUSUAL = 0.2
/** Coconut flour drinks four times its weight and binds nothing: with this share of it no band on flour means anything. */
const COCONUT = 0.4
/** More than this share of oats in what is flour, unraised and eggless: a flapjack. */
const OATY = 0.6
/** Families that fit at least this share of the best are judged by too. */
const PLAUSIBLE = 0.3

/** Ground almonds and hazelnuts are half fat (USDA SR Legacy, nuts). */
const NUT_FAT = 0.55

/** Blondies and cookies of nut butter: it outweighs by far what flour there is and stands in its place. */
export const isOfPaste = (mass: Mass, kinds: Kinds): boolean =>
  kinds.nutButter > OUTWEIGHS * mass.flour && kinds.nutButter > PASTE * mass.total
/** Peanut butter cakes have up to as much of it as of flour; one whose flour was halved by a slip is to be found out. */
const OUTWEIGHS = 2
/** Less of a batter than this is a flavour. */
const PASTE = 0.15

/**
 * How much a mix is a meringue, plain or with ground nuts (dacquoise, japonaise), 0 to 1: whites with half again to
 * twice their weight in sugar, no flour, and no fat but that of the nuts.
 */
export function meringueFit(mass: Mass, kinds: Kinds): number {
  const total = mass.total || 1
  const nuts = kinds.nutMeal
  const { whites } = kinds
  return (
    ramp(whites / total, 0.15, 0.25) *
    ramp(mass.sugar / total, 0.25, 0.4) *
    (nuts > 0 ? ramp(whites > 0 ? mass.sugar / whites : 0, 1.1, 1.5) : 1) *
    ramp((mass.flour - nuts) / total, 0.06, 0.02) *
    ramp((mass.fat - NUT_FAT * nuts) / total, 0.08, 0.04)
  )
}

/**
 * Recognises the family of a batter from its ratios, the acts of its method and its title.
 *
 * Each family states how well the recipe fits it, 0 to 1; the best is its name. Confidence is the winner's share of the
 * best two. `members` are all that fit nearly as well, with their shares; a batter that fits none well is unusual.
 */
export function recognise(
  mass: Mass,
  kinds: Kinds,
  signs: MethodSigns,
): { family: CakeFamily; confidence: number; members: readonly Fit[]; unusual: boolean } {
  const total = mass.total || 1
  const pct = (grams: number) => onFlour(grams, mass) ?? 0
  const flourShare = mass.flour / total
  const egg = pct(mass.egg)
  const fat = pct(mass.fat)
  const sugar = pct(mass.sugar)
  const gas = lift(mass) ?? 0
  const flow = fluidity(mass) ?? 0
  const wet = moisture(mass) ?? 0
  const nut = mass.flour > 0 ? kinds.nutMeal / mass.flour : 0
  const firmFat = mass.fat > 0 ? mass.plasticFat / mass.fat : 0
  const syrup = mass.sugar > 0 ? mass.syrup / mass.sugar : 0
  const floury = ramp(flourShare, 0.08, 0.14)
  const box = ramp(kinds.mix / total, 0.2, 0.35)
  const cheese = ramp(kinds.cheese / total, 0.22, 0.38)
  // Firm fat that is neither melted nor creamed is rubbed or beaten into the flour: still a butter cake.
  const creamable = yes(signs.creamed, signs.melted ? 0.15 : 0.75) * ramp(firmFat, 0.35, 0.6)
  const nutty = ramp(nut, 0.45, 0.65)
  const chocolate = ramp(kinds.chocolate / total, 0.15, 0.25)
  // Brownies: little flour under much sugar and chocolate, whatever they are called.
  const dense =
    ramp(sugar, 170, 230) *
    Math.max(ramp(mass.cocoa / total, 0.012, 0.03), ramp(mass.flour > 0 ? mass.cocoa / mass.flour : 0, 0.06, 0.12) * ramp(gas, 6, 2)) *
    ramp(wet, 2.6, 2)
  // Mud cakes: chocolate melted with as much fat as flour, hardly raised and meant to be close.
  const muddy =
    ramp(mass.flour > 0 ? kinds.chocolate / mass.flour : 0, 0.4, 0.7) *
    ramp(mass.cocoa / total, 0.012, 0.03) *
    ramp(fat, 85, 105) *
    ramp(gas, 7, 4) *
    yes(!signs.creamed, 0.3)
  const foamy = Math.max(
    ramp(egg, 95, 125) * yes(!signs.creamed, 0.15) * ramp(fat, 110, 60),
    // A chiffon of much egg and little flour has all the fat of its yolks.
    yes(signs.whipped) * ramp(egg, 60, 95) * yes(!signs.creamed, 0.3) * ramp(fat, Math.max(85, 0.45 * egg), Math.max(45, 0.3 * egg)),
    // A sponge meant to stand on foam whose egg was left out is still judged as one.
    yes(signs.whipped) * ramp(egg, 20, 0) * ramp(gas, 6, 2) * 0.8,
  )
  // Clafoutis, far, flan: eggs and flour in so much milk are a custard, however they are whisked.
  const milky =
    ramp(mass.flour > 0 ? kinds.dairy / mass.flour : 0, 2.4, 3.6) *
    ramp(mass.egg > 0 ? kinds.dairy / mass.egg : 0, 0.9, 1.4) *
    ramp(gas, 3, 1)
  const thin = yes(signs.crepe, 0.55) * ramp(wet, 3, 3.8) * ramp(flow, 3, 4.2) * ramp(gas, 14, 8) * ramp(sugar, 80, 60)
  const meringue = yes(signs.whipped) * meringueFit(mass, kinds)
  const eggless = ramp(egg, 12, 3) * ramp(kinds.eggy / total, 0.04, 0.01)
  const oaty = ramp(kinds.oats / (mass.flour || 1), OATY - 0.1, OATY + 0.1) * ramp(gas, 3, 1) * ramp(egg, 15, 5)
  const cakey = floury * not(oaty) * not(box) * not(cheese) * not(nutty) * not(Math.max(dense, muddy) * 0.8)
  const poundLike = cakey * ramp(fat, 55, 72) * ramp(firmFat, 0.4, 0.6) * ramp(egg, 45, 62) * ramp(wet, 2.25, 1.95)
  const fits: [CakeFamily, number][] = [
    ['boxed', box],
    [
      'cheesecake',
      Math.max(cheese, yes(signs.named.includes('cheesecake')) * ramp(kinds.cheese / total, 0.05, 0.12) * 0.7) *
        ramp(flourShare, 0.2, 0.12),
    ],
    // Ground nuts beside much chocolate make it no nut cake.
    [
      'flourless-chocolate',
      Math.max(
        chocolate * not(ramp((mass.flour - kinds.nutMeal) / total, 0.08, 0.14)) * yes(kinds.chocolate > kinds.nutMeal),
        dense,
        muddy,
      ) * not(box),
    ],
    [
      'flourless-nut',
      nutty * ramp(flourShare, 0.05, 0.12) * not(box) * not(chocolate * yes(kinds.chocolate > kinds.nutMeal)) * not(meringue),
    ],
    [
      'custard',
      Math.max(
        // What has leavener in it was meant to rise, however wet it is.
        not(floury) * not(cheese) * not(chocolate) * ramp(kinds.dairy / total, 0.25, 0.45) * ramp(gas * flourShare, 3.2, 1.8),
        milky * not(thin * yes(signs.crepe)) * not(cheese),
        // Porridges that set: cornmeal and rice puddings, more water than any crumb holds and nothing that lifts.
        yes(signs.cooked) * ramp((100 * mass.water) / total, 42, 48) * ramp(gas, 4, 1) * not(foamy) * not(thin) * ramp(egg, 60, 20),
      ),
    ],
    // Scones, rock buns and rubbed-in biscuits are doughs too stiff for a cake.
    [
      'pastry',
      Math.max(
        ramp(kinds.pastry / total, 0.2, 0.35),
        yes(signs.rubbed) *
          Math.max(ramp(wet, 1.25, 1), ramp(wet, 1.8, 1.5) * ramp(egg, 25, 12) * ramp(sugar, 60, 45)) *
          ramp(kinds.grits / (mass.flour || 1), 0.6, 0.3),
        yes(signs.rolled) * ramp(wet, 1.3, 1.05),
      ),
    ],
    // Oats bound with syrup and butter rise by nothing: bars, pressed like a dough.
    ['pastry', oaty * floury],
    // A box thinned with milk and fried in sheets is a crêpe batter as well.
    ['crepe', Math.max(thin * floury * not(box), yes(signs.crepe, 0) * box * ramp(flow, 3, 4.2) * 0.95)],
    ['foam', ramp(kinds.foamMix / total, 0.2, 0.35)],
    ['foam', meringue],
    // A roulade of eggs, sugar and cocoa or nothing: foam without flour to speak of.
    [
      'foam',
      yes(signs.whipped) *
        ramp(mass.egg / total, 0.35, 0.48) *
        ramp(flourShare, 0.1, 0.05) *
        ramp(mass.fat / total, 0.16, 0.1) *
        not(chocolate) *
        not(kinds.nutMeal / total > 0.08 ? 1 : 0) *
        not(cheese) *
        not(meringue),
    ],
    [
      'foam',
      foamy *
        not(milky) *
        ramp(flourShare, 0.05, 0.1) *
        not(box) *
        not(nutty) *
        not(thin * yes(signs.crepe)) *
        not(chocolate * not(floury)) *
        not(eggless * 0.5),
    ],
    ['eggless-raised', eggless * cakey * ramp(gas, 4, 9) * ramp(sugar, 25, 45) * not(thin) * not(syrup > 0.5 && !signs.muffin ? 0.6 : 0)],
    ['syrup-spice', cakey * ramp(syrup, 0.25, 0.4) * not(foamy * 0.7) * not(signs.muffin ? eggless * 0.5 : 0)],
    // A pound cake is carried by creamed air and much egg, and is never runny: a layer cake whose powder was left out is none.
    ['pound', poundLike * ramp(gas, 8.5, 6) * Math.max(creamable, 0.75) * not(foamy * 0.7)],
    // A title that says pound of a rich cake that hardly rises.
    ['pound', yes(signs.named.includes('pound')) * cakey * ramp(gas, 11, 8) * ramp(fat, 40, 55) * ramp(egg, 25, 40) * 0.85],
    // Bars of much sugar and butter, little egg and no more liquid than that: dense, and meant to be.
    ['pound', cakey * ramp(sugar, 105, 130) * ramp(fat, 50, 65) * ramp(wet, 1.6, 1.3) * ramp(gas, 10, 6) * 0.9],
    [
      'high-ratio',
      cakey *
        ramp(sugar, 108, 120) *
        ramp(wet, 1.9, 2.2) *
        Math.max(creamable, yes(signs.whipped, 0.35)) *
        ramp(fat, 125, 100) *
        ramp(firmFat, 0.3, 0.5) *
        0.95,
    ],
    [
      'butter-layer',
      cakey *
        creamable *
        // German stirred cakes for a tray are creamed with two fifths of their flour in sugar.
        ramp(sugar, signs.creamed ? 34 : 42, 62) *
        Math.max(ramp(gas, 3, 7), not(poundLike)) *
        ramp(fat, 15, 38) *
        not(foamy * 0.8) *
        not(ramp(sugar, 118, 132) * ramp(wet, 1.9, 2.2)) *
        0.97,
    ],
    // Equal weights baked in a loaf tin are still a butter cake, however they are called.
    [
      'loaf',
      cakey *
        0.8 *
        Math.max(yes(signs.muffin), ramp(sugar, 85, 60) * not(creamable * yes(signs.creamed) * ramp(fat, 25, 40) * 0.6)) *
        ramp(sugar, 125, 105) *
        ramp(fat, 85, 68) *
        not(foamy * 0.8),
    ],
    ['oil-layer', cakey * 0.75 * Math.max(ramp(firmFat, 0.6, 0.4), yes(signs.melted), 0.55) * ramp(sugar, 55, 78) * not(foamy * 0.8)],
    ['butter-layer', 0.02],
  ]
  for (const f of fits) if (signs.named.includes(f[0]) && f[1] > 0) f[1] = Math.min(1, f[1] * NAMED)
  fits.sort((a, b) => b[1] - a[1])
  const [best, second] = [fits[0]!, fits.find(([name]) => name !== fits[0]![0])!]
  const confidence = best[1] / (best[1] + second[1] || 1)
  const plausible = new Map<CakeFamily, number>()
  for (const [family, fit] of fits) if (fit >= PLAUSIBLE * best[1]) plausible.set(family, Math.max(fit, plausible.get(family) ?? 0))
  const sum = [...plausible.values()].reduce((a, b) => a + b, 0) || 1
  return {
    family: best[0],
    confidence: Math.round(confidence * best[1] ** 0.3 * 100) / 100,
    members: [...plausible].map(([family, fit]) => ({
      family,
      fit: fit / sum,
      ...(family === 'loaf' && signs.muffin && { breadlike: true as const }),
    })),
    unusual: best[1] < UNUSUAL || signs.mug || kinds.coconut > COCONUT * mass.flour || isOfPaste(mass, kinds),
  }
}
