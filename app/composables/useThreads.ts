import { area, curveBumpX } from 'd3-shape'
import type { OptionLine } from '../../core/reformulate/option'

/** One row of the mix: what was on the left, what is on the right; either may be missing. */
export interface MixRow {
  /** The same for a line of the recipe whatever the answer: rows that are added or go leave the others where they were. */
  key: string
  left: OptionLine | null
  right: OptionLine | null
}

export interface Thread {
  /** Outline of the ribbon, as wide at either end as the grams there. */
  path: string
  changed: boolean
}

/** Stroke of the heaviest line, px. */
const WIDEST = 30
const THINNEST = 1.6

/** A row's name: the line of the recipe that it begins with, counted where a recipe has the same thing twice. */
function keyed(rows: readonly Omit<MixRow, 'key'>[]): MixRow[] {
  const seen = new Map<string, number>()
  return rows.map((r) => {
    const name = r.left?.ingredient ?? `+ ${r.right?.ingredient}`
    const nth = seen.get(name) ?? 0
    seen.set(name, nth + 1)
    return { ...r, key: `${name} ${nth}` }
  })
}

/** Puts what leaves beside what takes over, and everything else on a row of its own. */
export function mixRows(lines: readonly OptionLine[]): MixRow[] {
  const rows: Omit<MixRow, 'key'>[] = []
  const placed = new Set<OptionLine>()
  for (const line of lines) {
    if (placed.has(line)) continue
    if (line.status === 'removed') {
      const takers = lines.filter(
        (l) => l.status === 'added' && l.replaces.includes(line.ingredient) && l.partIndex === line.partIndex && !placed.has(l),
      )
      rows.push({ left: line, right: takers[0] ?? null })
      takers.slice(1).forEach((t) => rows.push({ left: null, right: t }))
      takers.forEach((t) => placed.add(t))
      placed.add(line)
    } else if (line.status === 'added') {
      const source = lines.find((l) => l.status === 'removed' && line.replaces.includes(l.ingredient) && l.partIndex === line.partIndex)
      if (source && !placed.has(source)) continue
      rows.push({ left: null, right: line })
      placed.add(line)
    } else {
      rows.push({ left: line, right: line })
      placed.add(line)
    }
  }
  return keyed(rows)
}

/**
 * Threads from what was to what is, as wide as their grams.
 *
 * @param rows the rows as drawn, each `rowHeight` px high
 * @param width px between the columns
 */
export function threads(rows: readonly MixRow[], rowHeight: number, width: number): Thread[] {
  const ribbon = area<{ x: number; y: number; half: number }>()
    .x((p) => p.x)
    .y0((p) => p.y - p.half)
    .y1((p) => p.y + p.half)
    .curve(curveBumpX)
  const heaviest = Math.max(1, ...rows.flatMap((r) => [r.left?.from ?? 0, r.right?.to ?? 0]))
  // Area says grams: a tenth of the weight is a tenth of the width.
  const stroke = (grams: number) => Math.max(THINNEST, (WIDEST * grams) / heaviest)
  const y = (index: number) => (index + 0.5) * rowHeight
  const found: Thread[] = []
  rows.forEach((row, i) => {
    if (!row.right || row.right.to <= 0) return
    const sources =
      row.left === row.right || (row.left && row.left.status !== 'removed')
        ? [i]
        : rows.flatMap((r, j) =>
            r.left?.status === 'removed' && row.right!.replaces.includes(r.left.ingredient) && r.left.partIndex === row.right!.partIndex
              ? [j]
              : [],
          )
    for (const from of sources.slice(0, 2)) {
      const left = rows[from]!.left
      const takers = rows.filter(
        (r) => r.right && left && r.right.replaces.includes(left.ingredient) && r.right.partIndex === left.partIndex,
      )
      const share =
        left?.status === 'removed'
          ? row.right.to /
            Math.max(
              1,
              takers.reduce((sum, r) => sum + r.right!.to, 0),
            )
          : 1
      found.push({
        path:
          ribbon([
            { x: 0, y: y(from), half: stroke((left?.from ?? row.right.to) * share) / 2 },
            { x: width, y: y(i), half: stroke(row.right.to / Math.min(2, sources.length)) / 2 },
          ]) ?? '',
        changed: row.right.status === 'added',
      })
    }
  })
  return found
}
