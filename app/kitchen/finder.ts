import { HARD_NEEDS, suits, type HardNeed } from '../../core/pantry/ingredient'
import { ingredientOf } from '../../core/pantry/pantry'
import type { Version } from './database'

/** What is looked for on the shelf. */
export interface Wanted {
  words: string
  need: HardNeed | null
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

/** Needs that a version meets as far as its lines tell; labels to check count as met here and are named on the bench. */
export function needsMet(v: Version): ReadonlySet<HardNeed> {
  let needs = met.get(v)
  if (!needs) {
    const ingredients = v.recipe.parts.flatMap((p) => p.lines.flatMap((l) => ingredientOf(l.ingredient) ?? []))
    needs = new Set(HARD_NEEDS.filter((n) => ingredients.every((i) => suits(i, n) !== 'never')))
    met.set(v, needs)
  }
  return needs
}

/** Whether a recipe with these versions is looked for. @param bakeable whether the cupboard holds all that a version wants */
export function fits(versions: readonly Version[], wanted: Wanted, bakeable: (v: Version) => boolean): boolean {
  const words = wanted.words.trim().toLowerCase().split(/\s+/).filter(Boolean)
  return versions.some(
    (v) => (!wanted.need || needsMet(v).has(wanted.need)) && words.every((w) => haystack(v).includes(w)) && (!wanted.now || bakeable(v)),
  )
}
