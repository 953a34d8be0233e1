import { HARD_NEEDS, suits, type HardNeed, type Ingredient } from '../pantry/ingredient'
import { need } from '../pantry/pantry'
import { SCHOOLS } from './schools'
import { EGG_OUTSIDE_BATTER, FLOUR_OUTSIDE_BATTER, standInsFor } from './standins'

/** What can be used instead of an ingredient, and where it does for whom. */
export interface Instead {
  /** Grams of each for 100 g of the ingredient; for egg, of what its school brings. */
  brings: { ingredient: string; gramsPer100: number }[]
  why: string
  /** Needs that it can meet (by its label, where brands differ) and the ingredient never does, or meets for sure where the ingredient may. */
  opens: HardNeed[]
  /** In a batter, or only outside one (creams, crusts). */
  where: 'anywhere' | 'batter' | 'outside'
}

/** Grams of an egg that a school's amounts are for: its unit (science §4). */
const EGG_UNIT = 50

/** What may stand in for an ingredient, the surest first; the Bench corrects the rest of the mix for it. */
export function insteadOf(ingredient: Ingredient): Instead[] {
  const opens = (ids: readonly string[]): HardNeed[] =>
    HARD_NEEDS.filter((n) => {
      const was = suits(ingredient, n)
      const is = ids.map((id) => suits(need(id), n))
      return was === 'never' ? !is.includes('never') : was === 'label' && is.every((s) => s === 'always')
    })
  const found: Instead[] = []
  const add = (brings: Instead['brings'], why: string, where: Instead['where']) =>
    found.push({ brings, why, where, opens: opens(brings.map((b) => b.ingredient)) })
  for (const s of standInsFor(ingredient))
    add(
      s.brings.map((b) => ({ ingredient: b.ingredient, gramsPer100: Math.round(100 * b.ratio) })),
      s.why,
      'anywhere',
    )
  if (ingredient.id === 'egg-whole')
    for (const s of SCHOOLS.slice(0, 9))
      add(
        s.brings.map((b) => ({ ingredient: b.any[0]!, gramsPer100: Math.round((100 * b.per[1]) / EGG_UNIT) })),
        `${s.title}. ${s.sides.crumb}`,
        'batter',
      )
  for (const s of EGG_OUTSIDE_BATTER[ingredient.id] ?? [])
    add(
      s.brings.map((b) => ({ ingredient: b.ingredient, gramsPer100: Math.round(100 * b.ratio) })),
      s.why,
      'outside',
    )
  if (ingredient.kind === 'flour' && ingredient.contains?.includes('gluten'))
    for (const s of FLOUR_OUTSIDE_BATTER)
      add(
        s.brings.map((b) => ({ ingredient: b.ingredient, gramsPer100: Math.round(100 * b.ratio) })),
        s.why,
        s.brings[0]!.ingredient === 'cornstarch' ? 'outside' : 'anywhere',
      )
  return found
}
