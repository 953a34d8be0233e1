import { dietsOf } from '../../core/balance/balance'
import { HARD_NEEDS, type HardNeed } from '../../core/pantry/ingredient'
import { ingredientOf } from '../../core/pantry/pantry'
import type { Version } from './database'

/** What is looked for on the shelf. */
export interface Wanted {
  /** Lower case, from `wordsOf`. */
  words: readonly string[]
  /** All of them, in one version. */
  needs: readonly HardNeed[]
  /** Only what the cupboard holds everything for. */
  now: boolean
}

const hay = new WeakMap<Version, string>()
const met = new WeakMap<Version, ReadonlySet<HardNeed>>()

/** Everything that a version may be found by: its title, its name, its lines and what they are. */
export function haystack(v: Version): string {
  let text = hay.get(v)
  if (text === undefined) {
    const lines = v.recipe.parts.flatMap((p) => p.lines)
    text = [v.recipe.title, v.name, v.note, ...lines.map((l) => `${l.text} ${ingredientOf(l.ingredient)?.names[0] ?? ''}`)]
      .join('\n')
      .toLowerCase()
    hay.set(v, text)
  }
  return text
}

/** Needs that a version meets; labels to check count as met here and are named on the bench, what nobody knows does not. */
export function needsMet(v: Version): ReadonlySet<HardNeed> {
  let needs = met.get(v)
  if (!needs) {
    const { diets } = dietsOf(v.recipe)
    needs = new Set(HARD_NEEDS.filter((n) => diets[n] === 'always' || diets[n] === 'label'))
    met.set(v, needs)
  }
  return needs
}

/** The words that were typed, each to be found somewhere. */
export const wordsOf = (typed: string): string[] => typed.trim().toLowerCase().split(/\s+/).filter(Boolean)

/** The versions of a recipe, with the words of each once they were gathered. */
export interface Family {
  versions: readonly Version[]
  texts: (string | undefined)[]
}
export const familyOf = (versions: readonly Version[]): Family => ({ versions, texts: [] })

/** Whether a recipe with these versions is looked for. @param bakeable whether the cupboard holds all that a version wants */
export function fits(family: Family, wanted: Wanted, bakeable: (v: Version) => boolean): boolean {
  // Plain loops and plain fields: at every key this runs over each version of a shelf of thousands.
  for (let i = 0; i < family.versions.length; i++) {
    const v = family.versions[i]!
    if (wanted.needs.length && !wanted.needs.every((n) => needsMet(v).has(n))) continue
    if (wanted.words.length && !hasAll((family.texts[i] ??= haystack(v)), wanted.words)) continue
    if (wanted.now && !bakeable(v)) continue
    return true
  }
  return false
}
function hasAll(text: string, words: readonly string[]): boolean {
  for (const word of words) if (!text.includes(word)) return false
  return true
}
