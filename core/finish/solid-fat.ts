import type { Ingredient } from '../pantry/ingredient'

/** Solid share of a fat by temperature, °C: straight between the points, level beyond them. */
type Curve = readonly (readonly [celsius: number, solid: number])[]

/**
 * Solid fat content by kind of fat: nuclear-resonance values of fats texts (butter fat, cocoa butter, coconut oil,
 * shortenings and spreads; Bockisch, "Fats and Oils Handbook"), in shares of the fat.
 */
const CURVES: Record<string, Curve> = {
  butter: [
    [5, 0.5],
    [10, 0.45],
    [15, 0.33],
    [20, 0.22],
    [25, 0.12],
    [30, 0.05],
    [35, 0],
  ],
  block: [
    [5, 0.45],
    [10, 0.38],
    [15, 0.3],
    [20, 0.22],
    [25, 0.14],
    [30, 0.08],
    [35, 0.03],
  ],
  tub: [
    [5, 0.2],
    [10, 0.17],
    [15, 0.13],
    [20, 0.09],
    [25, 0.05],
    [30, 0.02],
    [35, 0],
  ],
  shortening: [
    [5, 0.35],
    [10, 0.32],
    [15, 0.29],
    [20, 0.25],
    [25, 0.21],
    [30, 0.16],
    [35, 0.1],
    [40, 0.04],
  ],
  coconut: [
    [5, 0.9],
    [10, 0.8],
    [15, 0.65],
    [20, 0.38],
    [23, 0.18],
    [25, 0.04],
    [27, 0],
  ],
  cocoa: [
    [10, 0.88],
    [15, 0.83],
    [20, 0.76],
    [25, 0.68],
    [30, 0.42],
    [33, 0.08],
    [35, 0],
  ],
  oil: [[0, 0]],
}

/** Which fat an ingredient's is. */
function curveOf(i: Ingredient): Curve {
  const { id, kind } = i
  if (kind === 'cocoa' || id === 'cocoa-butter') return CURVES.cocoa!
  if (/coconut/.test(id)) return CURVES.coconut!
  if (/tub/.test(id)) return CURVES.tub!
  if (/shortening|lard/.test(id)) return CURVES.shortening!
  if (/block|margarine|plant-cream/.test(id)) return CURVES.block!
  if (kind === 'dairy' || /butter-(un)?salted|ghee|brown-butter|cream/.test(id)) return CURVES.butter!
  return (i.per100.plasticFat ?? 0) > (i.per100.liquidFat ?? 0) ? CURVES.block! : CURVES.oil!
}

/** Share of an ingredient's fat that is solid at a temperature. */
export function solidShare(i: Ingredient, celsius: number): number {
  const curve = curveOf(i)
  const first = curve[0]!
  if (celsius <= first[0]) return first[1]
  for (let n = 1; n < curve.length; n++) {
    const [a, b] = [curve[n - 1]!, curve[n]!]
    if (celsius <= b[0]) return a[1] + ((b[1] - a[1]) * (celsius - a[0])) / (b[0] - a[0])
  }
  return curve.at(-1)![1]
}
