import type { Tin } from '../recipe/recipe'

/** A standard muffin cup is 50 mm across below and 70 mm above, 35 mm deep: about 100 ml to the rim. */
const CUPCAKE = { below: 50, flare: 1.4, depth: 35 }
/** Usual depth of a tin whose height is not given, mm, by shape: what shops sell most. */
const USUAL_DEPTH: Record<Tin['shape'], number> = {
  round: 50,
  square: 50,
  rect: 50,
  loaf: 65,
  ring: 95,
  fluted: 95,
  cupcake: CUPCAKE.depth,
  sheet: 20,
  crepe: 3,
  bowl: 90,
}
/** Ring and fluted tins lose their chimney and their flutes: two thirds of the cylinder (10-cup tin of 25 cm: 2.4 l). */
const RING_SHARE = 0.66
/** Loaf tins narrow downwards. */
const LOAF_SHARE = 0.88
/** A bowl is about half an ellipsoid: two thirds of the cylinder. */
const BOWL_SHARE = 0.67

/**
 * Volume to the rim of one tin.
 *
 * @returns ml; `undefined` where its sizes are not known
 */
export function tinMl(tin: Pick<Tin, 'shape' | 'mm'>): number | undefined {
  const { diameter, width, length } = tin.mm
  const depth = tin.mm.height ?? USUAL_DEPTH[tin.shape]
  if (tin.shape === 'cupcake') {
    const below = diameter ?? CUPCAKE.below
    const above = below * CUPCAKE.flare
    return (Math.PI * depth * (below ** 2 + below * above + above ** 2)) / 12 / 1000
  }
  const base = diameter ? Math.PI * (diameter / 2) ** 2 : width ? width * (length ?? width) : undefined
  if (base === undefined) return undefined
  const share = { ring: RING_SHARE, fluted: RING_SHARE, loaf: LOAF_SHARE, bowl: BOWL_SHARE }[tin.shape as string] ?? 1
  return (base * depth * share) / 1000
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
