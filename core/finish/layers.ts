import type { CakeShape } from './amounts'
import type { Tin } from '../recipe/recipe'
import { sectionOf } from '../measure/section'

export interface Cut {
  /** Each cake cut across into so many. */
  split: number
  /** Taken off the top of each to level it, mm. */
  trimMm: number
  /** A sheet is rolled. */
  rolled: boolean
  /** How many sheets a stack of thin cakes has, where it is not the count of the tins. */
  sheets?: number
}

/** The cake as it stands before anything goes on it. */
export interface Standing extends CakeShape {
  /** One layer's height, mm. */
  layerMm: number
  /** g taken off to level, of all cakes together. */
  trimmedGrams: number
}

/** A crêpe is about so thick, mm, and holds so much batter a mm² (45 g on a 24 cm pan, bench practice). */
const CREPE_MM = 1.6
const CREPE_GRAMS_PER_MM2 = 0.001
const CUPCAKE_MM = 65

/**
 * The cake that comes out of its tins, levelled, split and stacked: tiers from the widest up.
 *
 * @param baked height of the cake in each tin, mm, in the order of the tins
 * @param bakedGrams of all of it
 */
export function standing(tins: readonly Tin[], baked: readonly number[], bakedGrams: number, batterGrams: number, cut: Cut): Standing[] {
  const groups = new Map<string, { tin: Tin; height: number; count: number }>()
  tins.forEach((tin, i) => {
    const key = `${tin.shape} ${tin.mm.diameter ?? `${tin.mm.width}x${tin.mm.length}`}`
    const seen = groups.get(key)
    if (seen) seen.count += tin.count
    else groups.set(key, { tin, height: baked[i] ?? 40, count: tin.count })
  })
  const all = [...groups.values()].sort((a, b) => area(b.tin) - area(a.tin))
  const whole = all.reduce((v, g) => v + area(g.tin) * g.height * g.count, 0)
  return all.map(({ tin, height, count }) => {
    const { diameter, width, length } = tin.mm
    if (tin.shape === 'cupcake')
      return { shape: 'cupcake', mm: { diameter: diameter ?? CUPCAKE_MM, height }, layers: 1, count, layerMm: height, trimmedGrams: 0 }
    if (tin.shape === 'crepe') {
      const across = diameter ?? 240
      const sheets = cut.sheets ?? Math.max(1, Math.round(batterGrams / ((CREPE_GRAMS_PER_MM2 * (Math.PI * across ** 2)) / 4)))
      return {
        shape: 'crepe',
        mm: { diameter: across, height: sheets * CREPE_MM },
        layers: sheets,
        count: 1,
        layerMm: CREPE_MM,
        trimmedGrams: 0,
      }
    }
    const trim = Math.min(cut.trimMm, height * 0.4)
    const left = height - trim
    const trimmedGrams = whole > 0 ? Math.round((bakedGrams * area(tin) * trim * count) / whole) : 0
    if (tin.shape === 'sheet' && cut.rolled)
      return { shape: 'roll', mm: { width, length, height: left }, layers: 1, count, layerMm: left, trimmedGrams }
    const shape =
      tin.shape === 'ring' || tin.shape === 'fluted'
        ? 'ring'
        : tin.shape === 'square'
          ? 'square'
          : tin.shape === 'sheet'
            ? 'sheet'
            : tin.shape === 'rect' || tin.shape === 'loaf'
              ? 'rect'
              : 'round'
    // Loaves, rings and tray cakes are not stacked; rounds and squares of one size are.
    const stacked = shape === 'round' || shape === 'square'
    const layers = (stacked ? count : 1) * cut.split
    const inner = shape === 'ring' ? 2 * (sectionOf(tin)?.inner(0) ?? 0) : undefined
    return {
      shape,
      mm: { diameter, width, length, inner, height: layers * (left / cut.split) },
      layers,
      count: stacked ? 1 : count,
      layerMm: left / cut.split,
      trimmedGrams,
    }
  })
}

const area = (t: Tin): number =>
  t.mm.diameter ? (Math.PI * t.mm.diameter ** 2) / 4 : (t.mm.width ?? CUPCAKE_MM) * (t.mm.length ?? t.mm.width ?? CUPCAKE_MM)
