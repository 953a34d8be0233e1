import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Section } from '../measure/section'
import { solveBand } from './band'
import { benchFor, fillTin, step, type Grid, type Matter } from './conduct'
import { cylinder, slab } from './series'
import type { Faces } from './surroundings'

const START = 20
const OVEN = 180
const DENSITY = 900
const HEAT = 2800
const CONDUCTS = 0.25
const MATTER: Matter = {
  density: DENSITY,
  made: { water: 0.3, bound: 0, fat: 0.2, sugar: 0.25, rest: 0.25 },
  rise: 1,
  evaporation: false,
  expansion: false,
  pressureShare: 1,
  boilingC: 100,
  fixed: { conductivity: CONDUCTS, heat: HEAT },
}
const NONE = 1e-9
/** Fine enough; the usual grid is coarser, and `docs/tables/bakes.md` says by how much. */
const FINE: Grid = { columns: 18, rows: 26 }
const STEP = 4
const diffusivity = CONDUCTS / (DENSITY * HEAT)

/** Largest error in °C over all cells from two minutes on, against the series; `depth` and `radius` in m. */
function worst(radius: number, depth: number, h: { ends: number; wall: number }, round: boolean): number {
  const section: Section = {
    form: round ? 'round' : 'slab',
    depth: depth * 1000,
    outer: () => radius * 1000,
    inner: () => 0,
    length: 1e9,
  }
  const grams = round ? Math.PI * radius ** 2 * depth * DENSITY * 1000 : 2 * radius * 1e6 * depth * DENSITY * 1000
  const cake = fillTin(section, grams, MATTER, START, FINE)
  const room = benchFor(FINE)
  const face = (x: number) => ({ celsius: OVEN, h: x || NONE })
  const faces: Faces = { top: { ...face(h.ends), vapour: 0, air: 0 }, bottom: face(h.ends), sides: face(h.wall), chimney: face(NONE) }
  const first = [0.5, 0.5, 1, 1, 1.5, 1.5, 2, 2]
  let seconds = 0
  let most = 0
  for (let n = 0; seconds < 3600; n++) {
    const dt = first[n] ?? STEP
    step(cake, room, faces, dt, 0, n < 4 ? 1 : undefined)
    seconds += dt
    if (seconds < 120 || n % 60) continue
    const { rows, columns } = cake.grid
    let z = 0
    for (let i = 0; i < rows; i++) {
      const middle = z + cake.dz[i]! / 2
      z += cake.dz[i]!
      for (let j = 0; j < columns; j++) {
        const at = i * (columns + 1) + j
        const r = (cake.edges[at]! + cake.edges[at + 1]!) / 2
        const half = depth / 2
        const a = h.ends ? slab((h.ends * half) / CONDUCTS, (diffusivity * seconds) / half ** 2, Math.abs(middle - half) / half) : 1
        const across = round ? cylinder : slab
        const b = h.wall ? across((h.wall * radius) / CONDUCTS, (diffusivity * seconds) / radius ** 2, r / radius) : 1
        most = Math.max(most, Math.abs(cake.t[i * columns + j]! - (OVEN + (START - OVEN) * a * b)))
      }
    }
  }
  return most
}

describe('conduction against the analytic series', () => {
  // Biot numbers from 0.1 to 20 with half a depth of 20 mm and a radius of 100 mm.
  it.each([0.1, 0.5, 1, 2, 5, 10, 20])('a slab at Biot %d: within 0.5 °C', (biot) => {
    expect(worst(0.1, 0.04, { ends: (biot * CONDUCTS) / 0.02, wall: 0 }, false)).toBeLessThan(0.5)
  })

  it.each([0.1, 0.5, 1, 2, 5, 10, 20])('a long cylinder at Biot %d: within 0.5 °C', (biot) => {
    expect(worst(0.035, 0.05, { ends: 0, wall: (biot * CONDUCTS) / 0.035 }, true)).toBeLessThan(0.5)
  })

  it.each([
    [10, 10],
    [25, 12],
    [40, 40],
    [80, 15],
  ])('a cake tin, ends at %d and wall at %d W/m²K: within 0.5 °C', (ends, wall) => {
    expect(worst(0.1, 0.05, { ends, wall }, true)).toBeLessThan(0.5)
    expect(worst(0.03, 0.04, { ends, wall }, true)).toBeLessThan(0.5)
  })

  it('a loaf drawn out along its length is the product of two slabs', () => {
    expect(worst(0.055, 0.06, { ends: 22, wall: 14 }, false)).toBeLessThan(0.5)
  })
})

describe('a band of equations', () => {
  it('is solved: what comes out gives back the right side', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 30 }),
        fc.integer({ min: 1, max: 6 }),
        fc.infiniteStream(fc.double({ min: -1, max: 1, noNaN: true })),
        (n, w, stream) => {
          const full = Array.from({ length: n }, () => new Float64Array(n))
          for (let i = 0; i < n; i++) for (let j = Math.max(0, i - w); j < i; j++) full[i]![j] = full[j]![i] = stream.next().value
          // Diagonal dominance makes it positive definite, as conduction is.
          for (let i = 0; i < n; i++) full[i]![i] = 1 + full[i]!.reduce((s, x) => s + Math.abs(x), 0)
          const want = Float64Array.from({ length: n }, () => stream.next().value)
          const b = Float64Array.from(full, (row) => row.reduce((s, x, j) => s + x * want[j]!, 0))
          const band = new Float64Array(n * (w + 1))
          for (let i = 0; i < n; i++) for (let j = Math.max(0, i - w); j <= i; j++) band[i * (w + 1) + w - i + j] = full[i]![j]!
          solveBand(band, b, n, w)
          for (let i = 0; i < n; i++) expect(b[i]).toBeCloseTo(want[i]!, 8)
        },
      ),
    )
  })
})
