import type { CakeFamily } from './families'
import { fluidity, lift, moisture, onFlour } from './ratios'
import type { Mass } from './mass'
import type { MethodSigns } from './method'

/** Grams of the kinds of ingredient that tell families apart. */
export interface Kinds {
  mix: number
  cheese: number
  chocolate: number
  nutMeal: number
  dairy: number
  pastry: number
}

/** 0 at or below `from`, 1 at or above `to`, straight between; `from` may be the larger. */
const ramp = (x: number, from: number, to: number): number => Math.min(1, Math.max(0, (x - from) / (to - from)))
const not = (x: number): number => 1 - x
const yes = (b: boolean, ifNot = 0): number => (b ? 1 : ifNot)

/**
 * Recognises the family of a batter from its ratios and the words of its method.
 *
 * Each family states how well the recipe fits it, 0 to 1; the best wins. Confidence is
 * the winner's share of the best two.
 */
export function recognise(mass: Mass, kinds: Kinds, signs: MethodSigns): { family: CakeFamily; confidence: number } {
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
  const creamable = yes(signs.creamed, signs.melted ? 0.15 : signs.silent ? 0.75 : 0.45) * ramp(firmFat, 0.35, 0.6)
  const nutty = ramp(nut, 0.45, 0.65)
  const chocolate = ramp(kinds.chocolate / total, 0.15, 0.25)
  // Brownies: little flour under much sugar and chocolate, whatever they are called.
  const dense = ramp(sugar, 170, 230) * ramp(mass.cocoa / total, 0.012, 0.03) * ramp(wet, 2.6, 2)
  const foamy = Math.max(
    ramp(egg, 95, 125) * yes(!signs.creamed, 0.15) * ramp(fat, 110, 60),
    yes(signs.whipped) * ramp(egg, 60, 95) * yes(!signs.creamed, 0.3) * ramp(fat, 85, 45),
    // A sponge meant to stand on foam whose egg was left out is still judged as one.
    yes(signs.whipped) * ramp(egg, 20, 0) * ramp(gas, 6, 2) * 0.8,
  )
  const thin = yes(signs.crepe, 0.55) * ramp(wet, 3, 3.8) * ramp(flow, 3, 4.2) * ramp(gas, 14, 8) * ramp(sugar, 80, 60)
  const eggless = ramp(egg, 12, 3)
  const cakey = floury * not(box) * not(cheese) * not(nutty) * not(dense * 0.8)
  const poundLike = cakey * ramp(fat, 55, 72) * ramp(firmFat, 0.4, 0.6) * ramp(egg, 45, 62) * ramp(wet, 2.25, 1.95)
  const fits: [CakeFamily, number][] = [
    ['boxed', box],
    ['cheesecake', cheese * ramp(flourShare, 0.2, 0.12)],
    ['flourless-chocolate', Math.max(chocolate * not(floury), dense) * not(box)],
    ['flourless-nut', nutty * ramp(flourShare, 0.05, 0.12) * not(box)],
    ['custard', not(floury) * not(cheese) * not(chocolate) * ramp(kinds.dairy / total, 0.25, 0.45)],
    // Scones, rock buns and rubbed-in biscuits are doughs too stiff for a cake.
    ['pastry', Math.max(ramp(kinds.pastry / total, 0.2, 0.35), yes(signs.rubbed) * ramp(wet, 1.25, 1))],
    ['crepe', thin * floury * not(box)],
    [
      'foam',
      foamy *
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
    ['pound', poundLike * ramp(gas, 8.5, 6) * Math.max(creamable, 0.5) * not(foamy)],
    [
      'high-ratio',
      cakey *
        ramp(sugar, 108, 120) *
        ramp(wet, 1.9, 2.2) *
        Math.max(creamable, yes(signs.whipped, 0.35)) *
        ramp(fat, 85, 70) *
        ramp(firmFat, 0.3, 0.5) *
        0.95,
    ],
    [
      'butter-layer',
      cakey *
        creamable *
        ramp(sugar, 55, 75) *
        Math.max(ramp(gas, 3, 7), not(poundLike)) *
        ramp(fat, 15, 38) *
        not(foamy * 0.8) *
        not(ramp(sugar, 118, 132) * ramp(wet, 1.9, 2.2)) *
        0.97,
    ],
    // Equal weights baked in a loaf tin are still a butter cake, however they are called.
    ['loaf', cakey * 0.8 * Math.max(yes(signs.muffin), ramp(sugar, 85, 60)) * ramp(sugar, 125, 105) * ramp(fat, 85, 68) * not(foamy * 0.8)],
    ['oil-layer', cakey * 0.75 * Math.max(ramp(firmFat, 0.6, 0.4), yes(signs.melted), 0.55) * ramp(sugar, 55, 78) * not(foamy * 0.8)],
    ['butter-layer', 0.02],
  ]
  fits.sort((a, b) => b[1] - a[1])
  const [best, second] = [fits[0]!, fits.find(([name]) => name !== fits[0]![0])!]
  const confidence = best[1] / (best[1] + second[1] || 1)
  return { family: best[0], confidence: Math.round(confidence * best[1] ** 0.3 * 100) / 100 }
}
