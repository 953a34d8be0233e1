import { ingredientOf } from '../pantry/pantry'
import { PROFILE_KEYS, profileOf, type Profile } from './profile'

/** An amount of a known ingredient. */
export interface Dose {
  ingredient: string
  grams: number
  /** Goes in melted. */
  melted?: boolean
}

/** The sums of a mix, in grams and mmol. */
export type Mass = Profile

const EMPTY = Object.fromEntries(PROFILE_KEYS.map((k) => [k, 0])) as unknown as Mass

export function emptyMass(): Mass {
  return { ...EMPTY }
}

/**
 * The mass balance of a mix: every ingredient's grams taken apart and added up.
 *
 * @param doses amounts; ingredients not in the pantry are left out
 * @returns sums in grams; gas, acid and base in mmol; energy in kcal
 */
export function massOf(doses: readonly Dose[]): Mass {
  const sum = emptyMass()
  for (const dose of doses) {
    const ingredient = ingredientOf(dose.ingredient)
    if (!ingredient || !(dose.grams > 0)) continue
    const profile = profileOf(ingredient, dose.melted)
    for (const key of PROFILE_KEYS) sum[key] += profile[key] * dose.grams
  }
  return sum
}
