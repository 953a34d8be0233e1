import type { Tin } from './tin'

/** Usual depth of a tin whose height is not given, mm, by shape: what shops sell most. */
export const USUAL_DEPTH: Record<Tin['shape'], number> = {
  round: 50,
  square: 50,
  rect: 50,
  loaf: 65,
  ring: 95,
  fluted: 95,
  cupcake: 35,
  sheet: 20,
  crepe: 3,
  bowl: 90,
}
/** A standard cupcake hollow is 50 mm across below and 70 mm above: about 100 ml to the rim. */
const CUPCAKE_BELOW = 50
const CUPCAKE_FLARE = 1.4
/** Loaf tins narrow downwards: a nine-by-five holds 88 % of its box. */
const LOAF_BELOW = 0.82
const LOAF_ABOVE = 0.94
/** A chimney is about 28 % of the tin across; flutes and slope take more: two thirds of the cylinder stay (a 10-cup tin of 25 cm holds 2.4 l). */
const CHIMNEY = 0.28
const RING_BELOW = 0.79
const RING_ABOVE = 0.93

/** A tin cut through the middle: how far its walls stand from the middle at every height. mm. */
export interface Section {
  /** Turned about its axis, or drawn out along its length. */
  form: 'round' | 'slab'
  depth: number
  /** Radius, or half the width, at height z. */
  outer: (z: number) => number
  /** Radius of the chimney at height z; 0 where there is none. */
  inner: (z: number) => number
  /** Length of a slab; 0 for what is round. */
  length: number
}

/**
 * The section of one tin.
 *
 * @returns `undefined` where its sizes are not known
 */
export function sectionOf(tin: Pick<Tin, 'shape' | 'mm'>): Section | undefined {
  const { diameter, width, length } = tin.mm
  const depth = tin.mm.height ?? USUAL_DEPTH[tin.shape]
  if (!(depth > 0)) return undefined
  const none = () => 0
  const sloped = (below: number, above: number) => (z: number) => below + ((above - below) * Math.min(z, depth)) / depth
  if (tin.shape === 'cupcake') {
    const below = (diameter ?? CUPCAKE_BELOW) / 2
    return { form: 'round', depth, outer: sloped(below, below * CUPCAKE_FLARE), inner: none, length: 0 }
  }
  if (diameter) {
    const r = diameter / 2
    if (tin.shape === 'ring' || tin.shape === 'fluted')
      return { form: 'round', depth, outer: sloped(r * RING_BELOW, r * RING_ABOVE), inner: () => r * CHIMNEY, length: 0 }
    // Half an ellipsoid standing on its pole.
    if (tin.shape === 'bowl')
      return {
        form: 'round',
        depth,
        outer: (z) => r * Math.sqrt(Math.max(0.02, 1 - (1 - Math.min(z, depth) / depth) ** 2)),
        inner: none,
        length: 0,
      }
    return { form: 'round', depth, outer: () => r, inner: none, length: 0 }
  }
  if (!width) return undefined
  const long = Math.max(width, length ?? width)
  const half = Math.min(width, length ?? width) / 2
  if (tin.shape === 'loaf') return { form: 'slab', depth, outer: sloped(half * LOAF_BELOW, half * LOAF_ABOVE), inner: none, length: long }
  return { form: 'slab', depth, outer: () => half, inner: none, length: long }
}

/** Area of the tin at height z, mm². */
export function areaAt(s: Section, z: number): number {
  return s.form === 'round' ? Math.PI * (s.outer(z) ** 2 - s.inner(z) ** 2) : 2 * s.outer(z) * s.length
}

const SLICES = 40

/** What fits below height z, ml; above the rim the walls are taken to go on. */
export function mlBelow(s: Section, z: number): number {
  // Simpson's rule: exact for straight and sloped walls.
  const h = z / SLICES
  let sum = areaAt(s, 0) + areaAt(s, z)
  for (let i = 1; i < SLICES; i++) sum += areaAt(s, i * h) * (i % 2 ? 4 : 2)
  return (sum * h) / 3 / 1000
}

/** How high so many ml stand, mm; beyond the rim where there is more than the tin holds. */
export function heightOf(s: Section, ml: number): number {
  if (!(ml > 0)) return 0
  let low = 0
  let high = s.depth
  while (mlBelow(s, high) < ml && high < 100 * s.depth) high *= 2
  for (let i = 0; i < 50; i++) {
    const middle = (low + high) / 2
    if (mlBelow(s, middle) < ml) low = middle
    else high = middle
  }
  return (low + high) / 2
}
