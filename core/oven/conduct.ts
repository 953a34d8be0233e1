import { heightOf, type Section } from '../tin/section'
import { solveBand } from './band'
import { LATENT, vapourConductivity, vapourDensity, vapourSlope } from './steam'
import type { Faces } from './surroundings'

/** What the material of a cell does, beside its temperature. */
export interface Matter {
  /** Before the oven, kg/m³. */
  density: number
  /** Water, as a share of the mass. */
  water: number
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
/** Within 2 % of minutes of a grid three times as fine (`docs/model.md`). */
export const USUAL_GRID: Grid = { columns: 8, rows: 13 }

/** Batter without its bubbles: flour, sugar, egg and fat together, kg/m³. */
const DENSE = 1200
/** Conductivity of that, W/mK, and how it falls with porosity: 0.22–0.26 measured in batters, 0.10–0.12 in cool crumb (Baik et al. 1999; Rask 1989). */
const DENSE_CONDUCTS = 0.38
const POROSITY_POWER = 1.25
/** Specific heats, J/kgK: dry cake solids (sugar 1240, starch 1550, fat 2000, protein 1700) and water. */
const DRY_HEAT = 1650
const WATER_HEAT = 4180
/** Bubbles as pores for vapour: most are closed, so a part of the open value; set so that ordinary bakes take their ordinary time (`docs/model.md`). */
const PASSES = 0.13
/** Sugar raises the boiling point of a batter's water by about so much, °C (Raoult, 45 % sucrose). */
const SUGAR_RAISES = 1.2
/** Water held so tightly that a crust keeps it, where the surface begins to dry more slowly, and where pores run out of wet walls: kg per kg of solids. */
const BOUND = 0.05
const FREE = 0.5
const WET_WALLS = 0.25
/** Water creeps from wet to dry through hot crumb, m²/s: 0.4 to 2e-8 in cakes as they bake (Sakin et al. 2007). */
const WATER_CREEPS = 0.9e-8
/** Bubbles begin to swell, and the crumb is set, °C: starch gels and egg sets by about 88 °C. */
const SWELLS_FROM = 30
const SET_BY = 88
/** Vapour in the air of an oven with a cake in it, kg/m³. */
const OVEN_VAPOUR = 0.03
/** Heat capacity of air by volume times the Lewis factor, J/m³K: turns heat transfer into mass transfer. */
const LEWIS = 980
/** Of the air's share of a top face's heat transfer; the rest is radiant and carries no vapour. */
const AIR_SHARE = 0.36
/** Weight of the new time in a step: a little over one half, which is of second order, so that corners do not ring. */
const THETA = 0.52

/** A cake in its tin, cut through the middle, cell by cell; rows from the floor up, columns from the middle outward. */
export interface Cake {
  section: Section
  grid: Grid
  matter: Matter
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
    t: new Float64Array(n).fill(startC),
    water: new Float64Array(n),
    solids: new Float64Array(n),
    swelled: new Float64Array(n).fill(1),
    dz: new Float64Array(rows),
    edges: new Float64Array(rows * (columns + 1)),
    slope: new Float64Array(rows).fill(1),
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
    for (let j = 0; j <= columns; j++) cake.edges[i * (columns + 1) + j] = inner + (outer - inner) * fs[j]!
    for (let j = 0; j < columns; j++) {
      const kg = floorOf(cake, i, j) * cake.dz[i]! * matter.density
      cake.water[i * columns + j] = kg * matter.water
      cake.solids[i * columns + j] = kg * (1 - matter.water)
      cake.mass += kg
    }
  }
  return cake
}

/** Floor of a cell, m² (per metre of length in a slab). */
function floorOf(c: Cake, i: number, j: number): number {
  const at = i * (c.grid.columns + 1) + j
  const [a, b] = [c.edges[at]!, c.edges[at + 1]!]
  return c.section.form === 'round' ? Math.PI * (b * b - a * a) : b - a
}
/** Wall at a column's edge, m² for each metre of height. */
const wallAt = (c: Cake, i: number, j: number): number =>
  c.section.form === 'round' ? 2 * Math.PI * c.edges[i * (c.grid.columns + 1) + j]! : 1

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
  const density = matter.density / c.swelled[k]!
  const solid = Math.min(1, density / DENSE)
  const dry = DENSE_CONDUCTS * solid ** POROSITY_POWER
  if (!matter.evaporation) return dry
  // A crust that has dried carries no vapour.
  const wet = Math.min(1, c.water[k]! / (WET_WALLS * c.solids[k]!))
  return dry + wet * vapourConductivity(c.t[k]!, 1 - solid, matter.pressureShare, PASSES)
}
const heatOf = (c: Cake, k: number): number =>
  c.matter.fixed ? (c.water[k]! + c.solids[k]!) * c.matter.fixed.heat : c.solids[k]! * DRY_HEAT + c.water[k]! * WATER_HEAT

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
    const i = Math.floor(k / columns)
    const j = k % columns
    const heat = heatOf(c, k) + wallHeat(c, i, j, stored)
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
        link(k, k + 1, (wallAt(c, i, j + 1) * height) / (wide / (2 * conducts[k]!) + next / (2 * conducts[k + 1]!)))
      }
      if (i < rows - 1) {
        const above = c.dz[i + 1]! * c.swelled[k + columns]!
        const area = (floorOf(c, i, j) + floorOf(c, i + 1, j)) / 2
        link(k, k + columns, area / (tall / (2 * conducts[k]!) + above / (2 * conducts[k + columns]!)))
      }
      if (i === 0) face(k, floorOf(c, i, j), tall / 2, faces.bottom)
      if (i === rows - 1) face(k, floorOf(c, i, j), tall / 2, faces.top)
      if (j === columns - 1) face(k, wallAt(c, i, columns) * tall * c.slope[i]!, wide / 2, faces.sides)
      if (j === 0 && c.edges[at]! > 0) face(k, wallAt(c, i, 0) * tall, wide / 2, faces.chimney)
    }
  const evaporates = c.matter.evaporation ? evaporation(c, faces) : undefined
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
      c.t[k]! += (joule - kg * LATENT) / (heatOf(c, k) + wallHeat(c, rows - 1, j, stored))
      take(c, k, kg)
    }
  if (c.matter.evaporation) {
    creep(c, seconds, stored)
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

/** Steam from the open top, by column: J/s now, and how it rises with temperature. */
function evaporation(c: Cake, faces: Faces): { flow: Float64Array; slope: Float64Array } {
  const { rows, columns } = c.grid
  const flow = new Float64Array(columns)
  const slope = new Float64Array(columns)
  const h = faces.top.h * AIR_SHARE
  for (let j = 0; j < columns; j++) {
    const k = (rows - 1) * columns + j
    const dryness = c.water[k]! / c.solids[k]!
    const active = Math.max(0, Math.min(1, (dryness - BOUND) / (FREE - BOUND)))
    const area = floorOf(c, rows - 1, j)
    const t = Math.min(c.t[k]!, c.matter.boilingC)
    const drive = active * vapourDensity(t) - OVEN_VAPOUR
    if (active <= 0 || drive <= 0) continue
    flow[j] = (LATENT * h * area * drive) / LEWIS
    slope[j] = (LATENT * h * area * active * vapourSlope(t)) / LEWIS
  }
  return { flow, slope }
}

/** Water evens out between cells, slowly: the crust is fed from below for as long as it lasts. */
function creep(c: Cake, seconds: number, stored: number): void {
  const { rows, columns } = c.grid
  const move = (k: number, m: number, area: number, far: number) => {
    const solids = Math.min(c.solids[k]! / (floorOf(c, Math.floor(k / columns), k % columns) * c.dz[Math.floor(k / columns)]!), 2000)
    const wet = c.water[k]! / c.solids[k]! - c.water[m]! / c.solids[m]!
    const kg = (seconds * WATER_CREEPS * area * solids * wet) / far
    // Water carries its warmth to where it goes.
    const [from, to] = kg > 0 ? [k, m] : [m, k]
    const heat = heatOf(c, to)
    const warmth = Math.abs(kg) * WATER_HEAT
    const i = Math.floor(to / columns)
    const all = heat + wallHeat(c, i, to % columns, stored)
    c.t[to] = (all * c.t[to]! + warmth * c.t[from]!) / (all + warmth)
    c.water[k]! -= kg
    c.water[m]! += kg
  }
  for (let i = 0; i < rows; i++)
    for (let j = 0; j < columns; j++) {
      const k = i * columns + j
      const at = i * (columns + 1) + j
      if (i < rows - 1) move(k, k + columns, floorOf(c, i, j), (c.dz[i]! + c.dz[i + 1]!) / 2)
      if (j < columns - 1) move(k, k + 1, wallAt(c, i, j + 1) * c.dz[i]!, (c.edges[at + 2]! - c.edges[at]!) / 2)
    }
}

/** What would be hotter than boiling while it is wet boils: heat turns to steam, which finds its way out. */
function boil(c: Cake, n: number, stored: number): void {
  const limit = c.matter.boilingC + SUGAR_RAISES
  for (let k = 0; k < n; k++) {
    const over = c.t[k]! - limit
    if (over <= 0) continue
    const free = Math.max(0, c.water[k]! - BOUND * c.solids[k]!)
    const heat = heatOf(c, k) + wallHeat(c, Math.floor(k / c.grid.columns), k % c.grid.columns, stored)
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
function wallHeat(c: Cake, i: number, j: number, stored: number): number {
  if (c.matter.fixed) return 0
  const floor = i === 0 ? floorOf(c, i, j) : 0
  const side = j === c.grid.columns - 1 ? wallAt(c, i, c.grid.columns) * c.dz[i]! * c.slope[i]! : 0
  return stored * (floor + side)
}

/** Joule in cake and tin above 0 °C. */
export function energyOf(c: Cake, stored: number): number {
  let sum = 0
  for (let k = 0; k < c.t.length; k++)
    sum += (heatOf(c, k) + wallHeat(c, Math.floor(k / c.grid.columns), k % c.grid.columns, stored)) * c.t[k]!
  return sum
}

/** Height in the middle of the cake, or at its edge, m. */
export function heightAt(c: Cake, column: number): number {
  let sum = 0
  for (let i = 0; i < c.grid.rows; i++) sum += c.dz[i]! * c.swelled[i * c.grid.columns + column]!
  return sum
}
