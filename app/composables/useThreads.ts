import { linkHorizontal } from 'd3-shape'
import type { OptionLine } from '../../core/reformulate/option'

/** One row of the mix: what was on the left, what is on the right; either may be missing. */
export interface MixRow {
  left: OptionLine | null
  right: OptionLine | null
}

export interface Thread {
  path: string
  /** Stroke in px, in proportion to the grams that pass. */
  width: number
  changed: boolean
}

/** Stroke of the heaviest line, px. */
const WIDEST = 30
const THINNEST = 1.6

/** Puts what leaves beside what takes over, and everything else on a row of its own. */
export function mixRows(lines: readonly OptionLine[]): MixRow[] {
  const rows: MixRow[] = []
  const placed = new Set<OptionLine>()
  for (const line of lines) {
    if (placed.has(line)) continue
    if (line.status === 'removed') {
      const takers = lines.filter((l) => l.status === 'added' && l.replaces.includes(line.ingredient) && l.partIndex === line.partIndex && !placed.has(l))
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
  return rows
}

/**
 * Threads from what was to what is, as wide as their grams.
 *
 * @param rows the rows as drawn, each `rowHeight` px high
 * @param width px between the columns
 */
export function threads(rows: readonly MixRow[], rowHeight: number, width: number): Thread[] {
  const link = linkHorizontal<unknown, [number, number]>()
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
        : rows.flatMap((r, j) => (r.left?.status === 'removed' && row.right!.replaces.includes(r.left.ingredient) && r.left.partIndex === row.right!.partIndex ? [j] : []))
    for (const from of sources.slice(0, 2))
      found.push({
        path: link({ source: [0, y(from)], target: [width, y(i)] } as never) ?? '',
        width: stroke(row.right.to / Math.min(2, sources.length)),
        changed: row.right.status === 'added',
      })
  })
  return found
}
