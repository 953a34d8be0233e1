import type { BalanceAnswer } from '../../core/contract/handle'
import type { Region } from '../../core/measure/region'
import { ingredientOf, nameOf } from '../../core/pantry/pantry'
import type { Recipe } from '../../core/recipe/recipe'
import { STRIPS, valueOf } from './strips'

export interface ComparedLine {
  part: string
  name: string
  left: number
  right: number
}

export interface ComparedRatio {
  label: string
  left: string
  right: string
  differs: boolean
}

/** Grams of each ingredient of each part in two recipes, side by side, in the order of the first. */
export function compareLines(left: Recipe, right: Recipe, region: Region): ComparedLine[] {
  const rows = new Map<string, ComparedLine>()
  const put = (recipe: Recipe, side: 'left' | 'right') =>
    recipe.parts.forEach((part) =>
      part.lines.forEach((l) => {
        const i = ingredientOf(l.ingredient)
        const key = `${part.role}|${l.ingredient ?? l.text}`
        const row = rows.get(key) ?? { part: part.name, name: i ? nameOf(i, region) : l.text, left: 0, right: 0 }
        row[side] += l.grams.best
        rows.set(key, row)
      }),
    )
  put(left, 'left')
  put(right, 'right')
  return [...rows.values()]
}

/** The ratios of two balances, as the board writes them. */
export function compareRatios(left: BalanceAnswer, right: BalanceAnswer): ComparedRatio[] {
  return STRIPS.flatMap((s) => {
    const [a, b] = [valueOf(left.metrics, s.key), valueOf(right.metrics, s.key)]
    if (a === undefined && b === undefined) return []
    const write = (v: number | undefined) => (v === undefined ? '–' : s.write(v))
    return [{ label: s.label, left: write(a), right: write(b), differs: write(a) !== write(b) }]
  })
}
