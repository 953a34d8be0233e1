import type { Tin } from '../recipe/recipe'
import { mlBelow, sectionOf } from '../measure/section'

/**
 * Volume to the rim of one tin.
 *
 * @returns ml; `undefined` where its sizes are not known
 */
export function tinMl(tin: Pick<Tin, 'shape' | 'mm'>): number | undefined {
  const section = sectionOf(tin)
  return section && mlBelow(section, section.depth)
}

/** All tins of a recipe together, ml; `undefined` where one is not known. */
export function tinsMl(tins: readonly Tin[]): number | undefined {
  let sum = 0
  for (const t of tins) {
    const one = tinMl(t)
    if (one === undefined) return undefined
    sum += one * t.count
  }
  return tins.length ? sum : undefined
}
