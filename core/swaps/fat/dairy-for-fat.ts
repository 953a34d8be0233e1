import type { ChangeSchool } from '../change'
import { cutAddedFat, cutRichDairy } from './cut'

export const dairyForFat: ChangeSchool = {
  id: 'dairy-for-fat',
  slot: 'fat',
  title: 'Yogurt for fat',
  apply(r) {
    const thick = r.allowed(['yogurt-greek', 'tofu-silken'])
    const rich = thick ? cutRichDairy(r) : 0
    if (thick && rich) {
      r.bring(
        thick,
        rich * 0.9,
        rich,
        rich * 1.1,
        { code: 'keeps-body', message: 'as thick, with a tenth of the fat' },
        { looseness: 0.05 },
      )
      // Thick yogurt is wetter than cheese: a spoon of starch holds what it would weep.
      const starch = r.allowed(['cornstarch', 'potato-starch'])
      if (starch) r.bring(starch, rich * 0.02, rich * 0.04, rich * 0.07, { code: 'set', message: 'holds the water of the yogurt' })
      r.tolerate('waterPer100', r.before.waterPer100 + 12)
      return true
    }
    const cultured = r.allowed(['yogurt-plain', 'soy-yogurt', 'coconut-yogurt'])
    const soda = r.allowed(['baking-soda'])
    const out = cultured ? cutAddedFat(r) : 0
    if (!cultured || !out) return false
    const grams = out * 0.8
    r.bring(cultured, out * 0.45, grams, out * 1.25, { code: 'keeps-moist', message: 'water and milk solids keep the crumb soft' })
    const meets = (((cultured.per100.acid ?? 0) / 100) * grams) / 11.9
    if (soda && r.before.lift) r.bring(soda, 0, meets * 0.6, meets * 1.3, { code: 'acid', message: 'meets the acid of the yogurt' })
    return true
  },
  sides: { crumb: 'Soft, close, moist', flavour: 'Slight tang', keeps: 'Two to three days', effort: 'None' },
  steps: [{ at: 'after', text: 'Look five minutes early: with less fat it is done sooner.', why: 'Fat slows drying.' }],
  oven: { time: -0.1, why: 'Less fat: done sooner.' },
  cannot: 'Does not cream: beat the sugar with the eggs instead, or expect a closer crumb.',
  standing: 0.2,
  source: 'Reduced-fat baking practice: cultured dairy for half of the fat, soda to meet its acid',
}
