import type { FinishFamily } from '../balance/families'

export interface CakeShape {
  shape: 'round' | 'square' | 'rect' | 'sheet' | 'cupcake' | 'ring' | 'roll' | 'crepe'
  /** Outer sizes; `height` of the whole stack. */
  mm: { diameter?: number; width?: number; length?: number; height?: number; inner?: number }
  layers: number
  count: number
}
export interface Places {
  filling?: { mm: number; component?: string }
  /** A piped ring that keeps a soft filling in. */
  dam?: { nozzleMm: number; component?: string }
  crumbCoat?: { mm: number; component?: string }
  coat?: { mm: number; component?: string }
  top?: { mm: number; component?: string }
  border?: { nozzleMm: number; component?: string }
  rosettes?: { count: number; nozzleMm: number; component?: string }
  swirls?: { nozzleMm: number; component?: string }
  wells?: { ml: number; component?: string }
  /** Runs down the sides; as many as fit, where not said. */
  drip?: { count?: number; component?: string }
}
export type Place = keyof Places
export interface Amounts {
  components: { place: Place; component: string; ml: number; grams: number }[]
  totalMl: number
  totalGrams: number
}

/** Grams in a ml as it is spread (science §9). */
export const DENSITY: Record<FinishFamily | 'fruit-curd' | 'jam', number> = {
  'butter-icing': 0.92,
  'cooked-butter-icing': 0.88,
  'foam-butter-icing': 0.8,
  'meringue-icing': 0.35,
  'cream-cheese-icing': 1,
  'whipped-cream': 0.5,
  ganache: 1.2,
  'crumb-icing': 1.05,
  glaze: 1.35,
  'pastry-cream': 1.05,
  'fruit-curd': 1.12,
  compote: 1.1,
  soak: 1.1,
  jam: 1.3,
}
/** A rope from a nozzle swells a little over the nozzle's own section. */
const ROPE = 1.15
/** A rosette is a rope of one and a third turns of a circle four nozzles across; a swirl three turns, each smaller, on a standard cake. */
const ROSETTE_TURNS = 1.3
const ROSETTE_ACROSS = 2.1
const SWIRL_TURNS = [1, 0.7, 0.4]
const CUPCAKE_ACROSS = 65
/** Drips: so far apart, so thick (a band of 10 by 4 mm), reaching this share of the height on average, from a rim as thick. */
const DRIP = { apart: 28, section: 40, reach: 0.45 }

/** Top of one cake, mm². */
function topOf(c: CakeShape): number {
  const { diameter, width, length, inner } = c.mm
  if (c.shape === 'cupcake') return (Math.PI * (diameter ?? CUPCAKE_ACROSS) ** 2) / 4
  if (diameter) return (Math.PI * (diameter ** 2 - (inner ?? 0) ** 2)) / 4
  return (width ?? 0) * (length ?? width ?? 0)
}
function roundOf(c: CakeShape): number {
  const { diameter, width, length, inner } = c.mm
  if (diameter) return Math.PI * (diameter + (inner ?? 0))
  return 2 * ((width ?? 0) + (length ?? width ?? 0))
}

/** Sides that a coat goes up, mm²; of a roll all round it, as thick as its sheet and filling make it. */
function sidesOf(c: CakeShape): number {
  if (c.shape === 'sheet' || c.shape === 'cupcake') return 0
  if (c.shape === 'roll') {
    const { width = 0, length = width, height = 0 } = c.mm
    return Math.PI * Math.sqrt((4 * Math.max(width, length) * height) / Math.PI) * Math.min(width, length)
  }
  return roundOf(c) * (c.mm.height ?? 0)
}

/**
 * How much of each component a cake takes, from its geometry.
 *
 * @param densityOf g in a ml of a component as it is spread
 *
 * Areas in mm², thicknesses in mm; a coat goes over top and sides, fillings between layers.
 */
export function amounts(
  cake: CakeShape,
  places: Places,
  component: string,
  sparePct: number,
  densityOf: (component: string) => number = (name) => DENSITY[name as FinishFamily] ?? 1,
): Amounts {
  const top = topOf(cake)
  const sides = sidesOf(cake)
  const over = cake.shape === 'roll' ? 0 : top
  const rope = (nozzle: number, length: number) => ROPE * ((Math.PI * nozzle ** 2) / 4) * length
  const swirl = (nozzle: number) => {
    const across = Math.max(nozzle, (cake.mm.diameter ?? CUPCAKE_ACROSS) - 1.4 * nozzle)
    return SWIRL_TURNS.reduce((ml, share) => ml + rope(nozzle, Math.PI * across * share * 0.8), 0)
  }
  const roll = cake.shape === 'roll'
  // A roll is filled over its whole sheet; a stack between its layers.
  const gaps = roll ? 1 : Math.max(0, cake.layers - 1)
  const dam = places.dam && !roll ? Math.min(places.dam.nozzleMm, Math.sqrt(top) / 4) : 0
  const inside = dam ? top * (1 - dam / Math.sqrt(top / Math.PI)) ** 2 : top
  const drips = places.drip ? (places.drip.count ?? Math.round(roundOf(cake) / DRIP.apart)) : 0
  const mm3: Partial<Record<Place, number>> = {
    filling: places.filling && inside * gaps * places.filling.mm,
    crumbCoat: places.crumbCoat && (over + sides) * places.crumbCoat.mm,
    dam: dam ? (top - inside) * gaps * (places.filling?.mm ?? places.dam!.nozzleMm) : 0,
    drip: drips ? DRIP.section * (roundOf(cake) + drips * DRIP.reach * (cake.mm.height ?? 0)) : 0,
    coat: places.coat && (over + sides) * places.coat.mm,
    top: places.top && top * places.top.mm,
    border: places.border && rope(places.border.nozzleMm, roundOf(cake)),
    rosettes:
      places.rosettes &&
      places.rosettes.count * rope(places.rosettes.nozzleMm, ROSETTE_TURNS * Math.PI * ROSETTE_ACROSS * places.rosettes.nozzleMm),
    swirls: places.swirls && swirl(places.swirls.nozzleMm),
    wells: places.wells && places.wells.ml * 1000,
  }
  const components = (Object.entries(mm3) as [Place, number | undefined][]).flatMap(([place, each]) => {
    if (!each || each <= 0) return []
    const name = places[place]?.component ?? component
    const density = densityOf(name)
    const ml = ((each * cake.count) / 1000) * (1 + sparePct / 100)
    return [{ place, component: name, ml: Math.round(ml), grams: Math.round(ml * density) }]
  })
  return {
    components,
    totalMl: components.reduce((s, c) => s + c.ml, 0),
    totalGrams: components.reduce((s, c) => s + c.grams, 0),
  }
}
