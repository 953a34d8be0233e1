import type { BalanceAnswer } from '../../core/contract/handle'
import type { Region } from '../../core/measure/region'
import { ingredientOf, nameOf } from '../../core/pantry/pantry'
import type { Recipe } from '../../core/recipe/recipe'
import { STRIPS, valueOf } from './strips'

export interface ComparedLine {
  part: string
  name: string
  /** By recipe, g; 0 where it has none of it. */
  grams: number[]
}

export interface ComparedRatio {
  label: string
  values: string[]
}

/** Grams of each ingredient of each part in several recipes, side by side, in the order of the first that has it. */
export function compareLines(recipes: readonly Recipe[], region: Region): ComparedLine[] {
  const rows = new Map<string, ComparedLine>()
  recipes.forEach((recipe, at) =>
    recipe.parts.forEach((part) =>
      part.lines.forEach((l) => {
        const i = ingredientOf(l.ingredient)
        const key = `${part.role}|${l.ingredient ?? l.text}`
        const row = rows.get(key) ?? { part: part.name, name: i ? nameOf(i, region) : l.text, grams: recipes.map(() => 0) }
        row.grams[at]! += l.grams.best
        rows.set(key, row)
      }),
    ),
  )
  return [...rows.values()]
}

/** The ratios of several balances, as the board writes them. */
export function compareRatios(balances: readonly BalanceAnswer[]): ComparedRatio[] {
  return STRIPS.flatMap((s) => {
    const values = balances.map((b) => valueOf(b.metrics, s.key))
    if (values.every((v) => v === undefined)) return []
    return [{ label: s.label, values: values.map((v) => (v === undefined ? '–' : s.write(v))) }]
  })
}

/** Steps of a recipe, each with whether the first one says it word for word. */
export function compareSteps(first: Recipe, other: Recipe): { text: string; same: boolean }[] {
  const said = new Set(first.method.map((step) => step.trim()))
  return other.method.map((text) => ({ text, same: said.has(text.trim()) }))
}
