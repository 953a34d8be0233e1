import { heightOf, type Section } from '../measure/section'
import { solveBand } from './band'
import { conductivityOf, propertiesOf, WATER_HEAT, type Composition, type Properties } from './matter'
import { LATENT, vapourDensity, vapourSlope } from './steam'
import type { Faces } from './surroundings'

/** What the material of a cell does, beside its temperature. */
export interface Matter {
  /** Before the oven, kg/m³. */
  density: number
  /** What it is made of. */
  made: Composition
  /** A paste that does not move before it sets. */
  stiff?: boolean
  /** Volume of the baked over that of the batter. */
  rise: number
  evaporation: boolean
  expansion: boolean
  pressureShare: number
  boilingC: number
  /** Constant properties in place of the model's, for checking against the analytic solutions: W/mK and J/kgK. */
  fixed?: { conductivity: number; heat: number }
}

export interface Grid {
  columns: number
  rows: number
}
/** Within 2 % of the minutes of a grid four times as fine (`docs/model.md`). */
export const USUAL_GRID: Grid = { columns: 9, rows: 15 }

/** Water held so tightly that a crust keeps it, and where pores run out of wet walls, kg per kg of solids; and where a
 * surface begins to dry more slowly, as a share of what the batter holds at first: a skin forms at once. */
const BOUND = 0.05
const FREE = 1.1
const WET_WALLS = 0.25
/** Water creeps from wet to dry through hot crumb, m²/s: 0.4 to 2e-8 in cakes as they bake (Sakin et al. 2007). */
const WATER_CREEPS = 5.5e-9
/** No batter holds more solids than its own sugar and flour packed tight, kg/m³. */
const MOST_SOLIDS = 2000
/** Share of a cell's own square that may be crossed in one explicit step, two neighbours each way. */
const STABLE = 0.2
/** Bubbles begin to swell, and the crumb is set, °C: starch gels and egg sets by about 88 °C. */
const SWELLS_FROM = 30
const SET_BY = 88
/** Heat capacity of air by volume times the Lewis factor, J/m³K: turns heat transfer into mass transfer. */
const LEWIS = 980
/** Weight of the new time in a step: a little over one half, which is of second order, so that corners do not ring. */
const THETA = 0.52

/** A cake in its tin, cut through the middle, cell by cell; rows from the floor up, columns from the middle outward. */
export interface Cake {
  section: Section
  grid: Grid
  matter: Matter
  properties: Properties
  /** °C, by cell. */
  t: Float64Array
  /** kg of water and of solids, by cell. */
  water: Float64Array
  solids: Float64Array
  /** Swelling of each cell, 1 at first. */
  swelled: Float64Array
  /** Height of each row at first, m. */
  dz: Float64Array
  /** Edges of the columns of each row, m. */
  edges: Float64Array
  /** Length of wall over its height, by row: sloped walls are longer. */
  slope: Float64Array
  /** Floor of each cell, m² (per metre of length in a slab). */
  floors: Float64Array
  /** Wall at each column's edge, m² for each metre of height. */
  walls: Float64Array
  /** The tin's own wall at each cell, m². */
  tin: Float64Array
  /** Water flows in parts of a step so short that the thinnest cell is not crossed: their length, s. */
  creepS: number
  /** kg of water lost so far. */
  lost: number
  /** kg at first. */
  mass: number
  /** Joule that came in, and that left with steam: for the balance of energy. */
  heatIn: number
  heatOut: number
}

/** Edges of n cells in 0…1, finer towards the ends that are asked for. */
function edgesOf(n: number, fineStart: boolean, fineEnd: boolean): number[] {
  const place = (x: number) => {
    if (fineStart && fineEnd) return (1 - Math.cos(Math.PI * x)) / 2
    if (fineEnd) return Math.sin((Math.PI * x) / 2)
    return x
  }
  // Half way between even and fully bunched: corners are resolved without starving the middle.
  return Array.from({ length: n + 1 }, (_, i) => 0.4 * (i / n) + 0.6 * place(i / n))
}

/**
 * A tin with batter in it.
 *
 * @param grams in this tin
 * @param startC batter temperature, °C
 */
export function fillTin(section: Section, grams: number, matter: Matter, startC: number, grid: Grid = USUAL_GRID): Cake {
  const { rows, columns } = grid
  const n = rows * columns
  const depth = heightOf(section, (1e6 * (grams / 1000)) / matter.density) / 1000
  const zs = edgesOf(rows, true, true).map((x) => x * depth)
  const chimney = section.inner(0) > 0
  const fs = edgesOf(columns, chimney, true)
  // A slab of finite length loses heat at its ends too: as much as one that is narrower by so much (product solution).
  const ends = section.form === 'slab' ? 1 / Math.sqrt(1 + ((2 * section.outer(1000 * depth)) / section.length) ** 2) : 1
  const cake: Cake = {
    section,
    grid,
    matter,
    properties: propertiesOf(matter.made, !matter.stiff),
    t: new Float64Array(n).fill(startC),
    water: new Float64Array(n),
    solids: new Float64Array(n),
    swelled: new Float64Array(n).fill(1),
    dz: new Float64Array(rows),
    edges: new Float64Array(rows * (columns + 1)),
    slope: new Float64Array(rows).fill(1),
    floors: new Float64Array(n),
    walls: new Float64Array(rows * (columns + 1)),
    tin: new Float64Array(n),
    creepS: Infinity,
    lost: 0,
    mass: 0,
    heatIn: 0,
    heatOut: 0,
  }
  for (let i = 0; i < rows; i++) {
    const z = 500 * (zs[i]! + zs[i + 1]!)
    const [inner, outer] = [section.inner(z) / 1000, (section.outer(z) * ends) / 1000]
    cake.dz[i] = zs[i + 1]! - zs[i]!
    const rise = section.outer(1000 * zs[i + 1]!) - section.outer(1000 * zs[i]!)
    cake.slope[i] = Math.min(4, Math.hypot(1, rise / (1000 * cake.dz[i]!)))
    for (let j = 0; j <= columns; j++) {
      const at = i * (columns + 1) + j
      cake.edges[at] = inner + (outer - inner) * fs[j]!
      cake.walls[at] = section.form === 'round' ? 2 * Math.PI * cake.edges[at]! : 1
    }
    for (let j = 0; j < columns; j++) {
      const [a, b] = [cake.edges[i * (columns + 1) + j]!, cake.edges[i * (columns + 1) + j + 1]!]
      const floor = section.form === 'round' ? Math.PI * (b * b - a * a) : b - a
      const wall = j === columns - 1 ? cake.walls[i * (columns + 1) + columns]! * cake.dz[i]! * cake.slope[i]! : 0
      cake.floors[i * columns + j] = floor
      cake.tin[i * columns + j] = (i === 0 ? floor : 0) + wall
      const thin = Math.min(cake.dz[i]!, b - a)
      cake.creepS = Math.min(cake.creepS, (STABLE * thin * thin) / WATER_CREEPS)
      const kg = floor * cake.dz[i]! * matter.density
      cake.water[i * columns + j] = kg * matter.made.water
      cake.solids[i * columns + j] = kg * (1 - matter.made.water)
      cake.mass += kg
    }
  }
  return cake
}

/** A dry skin of so many m, which conducts like dry crumb, W/mK, lies on the wet crumb below: it is what browns. */
const SKIN = { thick: 0.0012, conducts: 0.1 }

/** The skin of the top in the middle, °C: between the crumb under it and the oven. */
export function skinC(c: Cake, faces: Faces): number {
  const under = surfaceC(c, 0, faces)
  const h = faces.top.h
  return under + ((faces.top.celsius - under) * h) / (h + SKIN.conducts / SKIN.thick)
}

/** The surface of the top at a column, °C, from the flow through its upper half cell. */
export function surfaceC(c: Cake, column: number, faces: Faces): number {
  const i = c.grid.rows - 1
  const k = i * c.grid.columns + column
  const inside = (2 * conductivity(c, k)) / (c.dz[i]! * c.swelled[k]!)
  return (inside * c.t[k]! + faces.top.h * faces.top.celsius) / (inside + faces.top.h)
}

function conductivity(c: Cake, k: number): number {
  const { matter } = c
  if (matter.fixed) return matter.fixed.conductivity
  const dry = c.solids[k]!
  // Its solids take no more room than at first; what swells is gas.
  const density = (matter.density * (1 - matter.made.water) * (1 + c.water[k]! / dry)) / c.swelled[k]!
  // A crust that has dried carries no vapour.
  const wet = matter.evaporation ? Math.min(1, c.water[k]! / (WET_WALLS * dry)) : 0
  return conductivityOf(c.properties, c.t[k]!, c.water[k]! / dry, density, wet, matter.pressureShare)
}
const heatOf = (c: Cake, k: number): number =>
  c.matter.fixed ? (c.water[k]! + c.solids[k]!) * c.matter.fixed.heat : c.solids[k]! * c.properties.dryHeat + c.water[k]! * WATER_HEAT

/** Room to work in, kept between steps. */
export interface Bench {
  band: Float64Array
  right: Float64Array
  conducts: Float64Array
  /** Heat that flows for each degree to the faces, W/K, by cell, and towards what, W. */
  toFaces: Float64Array
  fromFaces: Float64Array
}
export function benchFor(grid: Grid): Bench {
  const n = grid.rows * grid.columns
  const made = () => new Float64Array(n)
  return { band: new Float64Array(n * (grid.columns + 1)), right: made(), conducts: made(), toFaces: made(), fromFaces: made() }
}

/**
 * One step of time.
 *
 * Conduction is solved implicitly with the properties of the beginning of the step; steam leaves the top as its vapour
 * pressure drives it, and any cell that would pass its boiling point while it is wet boils instead.
 *
 * @param seconds length of the step
 * @param stored heat that the wall of the tin takes up, J/m²K
 * @param theta weight of the new time, 1 for the first steps
 */
export function step(c: Cake, b: Bench, faces: Faces, seconds: number, stored: number, theta = THETA): void {
  const { rows, columns } = c.grid
  const n = rows * columns
  const w = columns
  const row = w + 1
  const { band, right, conducts, toFaces, fromFaces } = b
  band.fill(0)
  toFaces.fill(0)
  fromFaces.fill(0)
  for (let k = 0; k < n; k++) conducts[k] = conductivity(c, k)
  for (let k = 0; k < n; k++) {
    const heat = heatOf(c, k) + wallHeat(c, k, stored)
    band[k * row + w] = heat / seconds
    right[k] = (heat / seconds) * c.t[k]!
  }
  // Flow between two cells, W/K, spread over old and new time.
  const link = (k: number, m: number, g: number) => {
    band[k * row + w]! += theta * g
    band[m * row + w]! += theta * g
    band[m * row + w - (m - k)]! -= theta * g
    const flow = (1 - theta) * g * (c.t[m]! - c.t[k]!)
    right[k]! += flow
    right[m]! -= flow
  }
  const face = (k: number, area: number, half: number, f: { celsius: number; h: number }) => {
    const g = area / (half / conducts[k]! + 1 / f.h)
    toFaces[k]! += g
    fromFaces[k]! += g * f.celsius
  }
  for (let i = 0; i < rows; i++)
    for (let j = 0; j < columns; j++) {
      const k = i * columns + j
      const tall = c.dz[i]! * c.swelled[k]!
      const at = i * (columns + 1) + j
      const wide = c.edges[at + 1]! - c.edges[at]!
      if (j < columns - 1) {
        const next = c.edges[at + 2]! - c.edges[at + 1]!
        const height = (tall + c.dz[i]! * c.swelled[k + 1]!) / 2
        link(k, k + 1, (c.walls[at + 1]! * height) / (wide / (2 * conducts[k]!) + next / (2 * conducts[k + 1]!)))
      }
      if (i < rows - 1) {
        const above = c.dz[i + 1]! * c.swelled[k + columns]!
        const area = (c.floors[k]! + c.floors[k + columns]!) / 2
        link(k, k + columns, area / (tall / (2 * conducts[k]!) + above / (2 * conducts[k + columns]!)))
      }
      if (i === 0) face(k, c.floors[k]!, tall / 2, faces.bottom)
      if (i === rows - 1) face(k, c.floors[k]!, tall / 2, faces.top)
      if (j === columns - 1)
        face(
          k,
          c.walls[at + 1]! * tall * c.slope[i]!,
          wide / 2,
          faces.above && i + 0.5 > faces.above.from * rows ? faces.above : faces.sides,
        )
      if (j === 0 && c.edges[at]! > 0) face(k, c.walls[at]! * tall, wide / 2, faces.chimney)
    }
  const evaporates = c.matter.evaporation ? evaporation(c, faces, seconds) : undefined
  for (let k = 0; k < n; k++) {
    band[k * row + w]! += theta * toFaces[k]!
    right[k]! += fromFaces[k]! - (1 - theta) * toFaces[k]! * c.t[k]!
  }
  if (evaporates)
    for (let j = 0; j < columns; j++) {
      const k = n - columns + j
      // Linear in the new temperature, so that a quick surface does not overshoot.
      band[k * row + w]! += evaporates.slope[j]!
      right[k]! -= evaporates.flow[j]! - evaporates.slope[j]! * c.t[k]!
    }
  const old = c.t
  c.t = Float64Array.from(right)
  solveBand(band, c.t, n, w)
  for (let k = 0; k < n; k++) c.heatIn += seconds * (fromFaces[k]! - toFaces[k]! * (theta * c.t[k]! + (1 - theta) * old[k]!))
  if (evaporates)
    for (let j = 0; j < columns; j++) {
      const k = n - columns + j
      const joule = seconds * (evaporates.flow[j]! + evaporates.slope[j]! * (c.t[k]! - old[k]!))
      const kg = Math.min(joule / LATENT, c.water[k]!)
      // What was drawn beyond the water that was there is given back.
      c.t[k]! += (joule - kg * LATENT) / (heatOf(c, k) + wallHeat(c, k, stored))
      take(c, k, kg)
    }
  if (c.matter.evaporation) {
    const parts = Math.ceil(seconds / c.creepS)
    for (let part = 0; part < parts; part++) creep(c, seconds / parts, stored)
    boil(c, n, stored)
  }
  if (c.matter.expansion) swell(c, n)
}

function take(c: Cake, k: number, kg: number): void {
  // The water takes its own warmth along.
  c.heatOut += kg * (LATENT + WATER_HEAT * c.t[k]!)
  c.water[k]! -= kg
  c.lost += kg
}

/** Steam from the open top, by column: J/s now, and how it rises with temperature; `seconds` is the step it is reckoned for. */
function evaporation(c: Cake, faces: Faces, seconds: number): { flow: Float64Array; slope: Float64Array } {
  const { rows, columns } = c.grid
  const flow = new Float64Array(columns)
  const slope = new Float64Array(columns)
  const free = Math.max(2 * BOUND, (FREE * c.matter.made.water) / (1 - c.matter.made.water))
  const h = faces.top.air
  for (let j = 0; j < columns; j++) {
    const k = (rows - 1) * columns + j
    const dryness = c.water[k]! / c.solids[k]!
    const t = Math.min(c.t[k]!, c.matter.boilingC)
    // Damp air condenses on what is colder than its dew point, wet or dry.
    const condenses = vapourDensity(t) < faces.top.vapour
    const active = condenses ? 1 : c.properties.activity * Math.max(0, Math.min(1, (dryness - BOUND) / (free - BOUND)))
    const area = c.floors[k]!
    const drive = active * vapourDensity(t) - faces.top.vapour
    if (active <= 0 || (drive <= 0 && !condenses)) continue
    flow[j] = (LATENT * h * area * drive) / LEWIS
    slope[j] = (LATENT * h * area * active * vapourSlope(t)) / LEWIS
    // A surface gives no more than it holds: what is left goes evenly within the step, however warm it grows.
    const most = (LATENT * Math.max(0, c.water[k]! - BOUND * c.solids[k]!)) / seconds
    if (flow[j]! > most) {
      flow[j] = most
      slope[j] = 0
    }
  }
  return { flow, slope }
}

/** Water evens out between cells, slowly: the crust is fed from below for as long as it lasts. */
function creep(c: Cake, seconds: number, stored: number): void {
  const { rows, columns } = c.grid
  const move = (k: number, m: number, i: number, area: number, far: number) => {
    const solids = Math.min(c.solids[k]! / (c.floors[k]! * c.dz[i]!), MOST_SOLIDS)
    const wet = c.water[k]! / c.solids[k]! - c.water[m]! / c.solids[m]!
    const kg = (seconds * WATER_CREEPS * area * solids * wet) / far
    // Water carries its warmth to where it goes.
    const from = kg > 0 ? k : m
    const to = kg > 0 ? m : k
    const warmth = Math.abs(kg) * WATER_HEAT
    const all = heatOf(c, to) + wallHeat(c, to, stored)
    c.t[to] = (all * c.t[to]! + warmth * c.t[from]!) / (all + warmth)
    c.water[k]! -= kg
    c.water[m]! += kg
  }
  for (let i = 0; i < rows; i++)
    for (let j = 0; j < columns; j++) {
      const k = i * columns + j
      const at = i * (columns + 1) + j
      if (i < rows - 1) move(k, k + columns, i, c.floors[k]!, (c.dz[i]! + c.dz[i + 1]!) / 2)
      if (j < columns - 1) move(k, k + 1, i, c.walls[at + 1]! * c.dz[i]!, (c.edges[at + 2]! - c.edges[at]!) / 2)
    }
}

/** What would be hotter than boiling while it is wet boils: heat turns to steam, which finds its way out. */
function boil(c: Cake, n: number, stored: number): void {
  const limit = c.matter.boilingC + c.properties.raisedBy
  for (let k = 0; k < n; k++) {
    const over = c.t[k]! - limit
    if (over <= 0) continue
    const free = Math.max(0, c.water[k]! - BOUND * c.solids[k]!)
    const heat = heatOf(c, k) + wallHeat(c, k, stored)
    const kg = Math.min(free, (over * heat) / LATENT)
    c.t[k]! -= (kg * LATENT) / heat
    take(c, k, kg)
  }
}

function swell(c: Cake, n: number): void {
  const { rise } = c.matter
  for (let k = 0; k < n; k++) {
    const share = Math.max(0, Math.min(1, (c.t[k]! - SWELLS_FROM) / (SET_BY - SWELLS_FROM)))
    // Set crumb does not shrink back.
    c.swelled[k] = Math.max(c.swelled[k]!, 1 + (rise - 1) * share)
  }
}

/** Heat that the wall of the tin at a cell takes up for each degree, J/K. */
const wallHeat = (c: Cake, k: number, stored: number): number => (c.matter.fixed ? 0 : stored * c.tin[k]!)

/** Joule in cake and tin above 0 °C. */
export function energyOf(c: Cake, stored: number): number {
  let sum = 0
  for (let k = 0; k < c.t.length; k++) sum += (heatOf(c, k) + wallHeat(c, k, stored)) * c.t[k]!
  return sum
}

/** Height in the middle of the cake, or at its edge, m. */
export function heightAt(c: Cake, column: number): number {
  let sum = 0
  for (let i = 0; i < c.grid.rows; i++) sum += c.dz[i]! * c.swelled[i * c.grid.columns + column]!
  return sum
}
