import type { FinishFamily } from '../balance/families'
import type { Dose } from '../balance/mass'
import type { Region } from '../measure/region'
import type { HardNeed } from '../pantry/ingredient'
import { nameOf, need } from '../pantry/pantry'
import { allowedOf } from './adjust'
import { classOf, firmnessOf } from './firmness'
import { phasesOf, type Phases } from './phases'

/** What one spoonful more would do now. */
export interface Spoonful {
  add: string
  grams: number
  effect: string
}

/** Spoonfuls that a baker has at hand: grams of each. */
const SPOONS: readonly { any: readonly string[]; grams: number; words: string }[] = [
  { any: ['milk-whole', 'soy-milk', 'oat-milk', 'water'], grams: 15, words: 'a tablespoon of' },
  { any: ['sugar-icing'], grams: 16, words: 'two tablespoons of' },
  { any: ['butter-unsalted', 'plant-butter-block', 'shortening'], grams: 14, words: 'a tablespoon of soft' },
]
const BOILED: typeof SPOONS = [
  { any: ['water'], grams: 15, words: 'a tablespoon of' },
  { any: ['cornstarch'], grams: 8, words: 'a tablespoon, slaked and boiled, of' },
  { any: ['sugar-white'], grams: 13, words: 'a tablespoon of' },
]
const SPOONS_FOR: Partial<Record<FinishFamily, typeof SPOONS>> = {
  compote: BOILED,
  'pastry-cream': BOILED,
  ganache: [
    { any: ['cream-heavy', 'coconut-cream', 'plant-cream'], grams: 15, words: 'a tablespoon of warm' },
    { any: ['chocolate-dark'], grams: 15, words: 'a square and a half of melted' },
  ],
  'whipped-cream': [
    { any: ['sugar-icing'], grams: 8, words: 'a tablespoon of' },
    { any: ['cream-heavy', 'plant-cream', 'coconut-cream'], grams: 30, words: 'two tablespoons of cold' },
  ],
}

/** What one spoonful more of each thing at hand would do to this bowl. */
export function nextSpoon(
  doses: readonly Dose[],
  p: Phases,
  score: number,
  roomC: number,
  goals: readonly HardNeed[],
  region: Region,
): Spoonful[] {
  return (SPOONS_FOR[p.family] ?? SPOONS).flatMap((s) => {
    const id = allowedOf(s.any, goals)
    if (!id) return []
    const after = firmnessOf(phasesOf([...doses, { ingredient: id, grams: s.grams }], roomC, p.family), roomC)
    const by = after - score
    const how =
      Math.abs(by) < 0.08
        ? 'hardly changes it'
        : `${by > 0 ? 'firmer' : 'looser'}: ${score.toFixed(1)} to ${after.toFixed(1)}, ${classOf(after)}`
    return [{ add: `${s.words} ${nameOf(need(id), region)}`, grams: s.grams, effect: how }]
  })
}
