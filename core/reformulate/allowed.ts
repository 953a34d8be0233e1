import type { Unknown } from '../recipe/recipe'
import { unknownWords } from '../recipe/unknown'
import { ingredientOf } from '../pantry/pantry'
import { ALLERGENS, suits, type HardNeed, type Ingredient } from '../pantry/ingredient'

/** What no answer may contain: hard needs, and whatever the baker wants to avoid. */
export interface Rules {
  needs: readonly HardNeed[]
  /** Ingredient ids or allergens. */
  avoid: readonly string[]
}

/** Whether an ingredient breaks a hard need or stands on the avoid list. */
export function forbidden(ingredient: Ingredient, rules: Rules): boolean {
  if (rules.needs.some((n) => suits(ingredient, n) === 'never')) return true
  return rules.avoid.some(
    (a) => a === ingredient.id || ((ALLERGENS as readonly string[]).includes(a) && ingredient.contains?.some((c) => c === a)),
  )
}

/** The first of several ingredients that the rules allow. */
export function firstAllowed(ids: readonly string[], rules: Rules): Ingredient | undefined {
  for (const id of ids) {
    const i = ingredientOf(id)
    if (i && !forbidden(i, rules)) return i
  }
  return undefined
}

/** Lines that nobody knows, where a need would otherwise be claimed over them. */
export function unknownChecks(unknown: readonly Unknown[], rules: Rules): { ingredient: string; message: string; for: string[] }[] {
  const all = [...rules.needs, ...rules.avoid]
  return all.length ? unknown.map((u) => ({ ingredient: 'unknown', for: all, message: unknownWords(u) })) : []
}

/** Labels to read: ingredients whose status under a need, or whose avoided allergen, depends on the brand. */
export function labelChecks(ids: Iterable<string>, rules: Rules): { ingredient: string; message: string; for: string[] }[] {
  const found: { ingredient: string; message: string; for: string[] }[] = []
  for (const id of new Set(ids)) {
    const i = ingredientOf(id)
    if (!i?.labels) continue
    const needs = rules.needs.filter((n) => suits(i, n) === 'label')
    const allergens = rules.avoid.filter((a) => i.labels!.some((l) => l === a))
    const all = [...needs, ...allergens]
    if (all.length)
      found.push({
        ingredient: id,
        for: all,
        message: `${i.names[0]}: some brands hold ${i.labels.join(', ')}. Read the label (${all.join(', ')}).`,
      })
  }
  return found
}
