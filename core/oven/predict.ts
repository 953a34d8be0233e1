import type { BakeSetup, Baked, CurvePoint } from './bake'
import { bake } from './bake'
import type { Grid } from './conduct'
import { windowOf } from './fuse'

export interface BakeAnswer {
  /** Done between low and high, most likely at best; minutes. All null where it is never done in this oven. */
  minutes: { low: number; best: number; high: number } | null
  /** When to look the first time, minutes. */
  firstLook: number | null
  /** Temperature in the middle when it is done, °C. */
  doneC: number
  curve: CurvePoint[]
  /** Share of the batter's mass that is lost as steam, in the oven and while it cools, per cent. */
  waterLossPct: number
  /** Minutes for which the outer centimetre was done before the middle. */
  edgeOverbake: number
  /** 0 pale, 5 golden, 10 burnt. */
  browning: number
  browningWords: string
  heightMm: number
  /** Minutes fewer and more in an oven that runs 10 °C hotter or cooler than it says. */
  sensitivity: { hotter: number; cooler: number }
  notes: { code: string; message: string }[]
  /** What the minutes come from, where a recipe tells its own: what it says, and what the simulation alone gives for its oven and tin. */
  from?: { told: [low: number, high: number]; simulated: number }
}

/** Ovens at home stray by so much from their dials (consumer tests: ±10 °C and more is common). */
const OVEN_STRAYS = 10
/** An oven in which it is never done takes at least so much longer, as a factor. */
const NEVER_LATER = 1.25
/** For differences, a coarse grid will do. */
const COARSE: Grid = { columns: 5, rows: 8 }
const COARSE_STEP = 20
/** A cake that cools gives a quarter of its warmth off as steam, the rest to the air. */
const COOLS_BY_STEAM = 0.27
const HEAT_OF_CAKE = 2400
const LATENT = 2.26e6
const ROOM = 25
/** Colour of the median of ordinary bakes: golden. */
const GOLDEN = 9
/** From so many minutes on, an edge that waits for its middle goes dry; and from so brown, colour is a worry. */
const EDGE_DRY = 25
const DARK = 8

const WORDS: [most: number, words: string][] = [
  [2, 'pale'],
  [4, 'pale gold'],
  [6.5, 'golden'],
  [8.5, 'deep brown'],
  [Infinity, 'very dark'],
]

/** What a bake will be like: window, first look, colour, and how a wrong oven would move it. */
export function predictBake(setup: BakeSetup): BakeAnswer {
  const main = bake(setup)
  const coarse = { ...setup, grid: COARSE, stepS: COARSE_STEP, untilDone: true }
  const shifted = (by: number): number | null =>
    bake({ ...coarse, oven: { ...setup.oven, offsetC: (setup.oven.offsetC ?? 0) + by } }).doneAt
  const base = bake(coarse).doneAt
  const best = main.doneAt
  const hot = shifted(OVEN_STRAYS)
  const cold = shifted(-OVEN_STRAYS)
  const score = brownness(main, setup.batter.browns)
  const strays = base && hot ? Math.log((cold ?? base * NEVER_LATER) / hot) / 2 : 0
  const window = best === null ? { minutes: null, firstLook: null } : windowOf(best, strays)
  const done = Math.min(setup.batter.doneC, main.boilingC - 1)
  return {
    ...window,
    doneC: round(done, 1),
    curve: main.curve,
    waterLossPct: round(
      100 * (main.lost + (setup.evaporation === false ? 0 : (COOLS_BY_STEAM * HEAT_OF_CAKE * Math.max(0, done - ROOM)) / LATENT)),
      1,
    ),
    edgeOverbake: round(main.edgeEarly, 1),
    browning: round(score, 1),
    browningWords: WORDS.find(([most]) => score < most)![1],
    heightMm: Math.round(main.heightMm),
    sensitivity: {
      hotter: best !== null && base && hot ? round(best * (hot / base - 1), 1) : 0,
      cooler: best !== null && base && cold ? round(best * (cold / base - 1), 1) : 0,
    },
    notes: notesOf(setup, main, score),
  }
}

/** How long one bake takes, on a coarse grid: for comparing two. */
export const coarseMinutes = (setup: BakeSetup): number | null =>
  bake({ ...setup, grid: COARSE, stepS: COARSE_STEP, untilDone: true }).doneAt

function brownness(main: Baked, browns: number): number {
  const at = main.colour * browns
  return Math.max(0, Math.min(10, at > 0 ? 5 + Math.log2(at / GOLDEN) : 0))
}

function notesOf(setup: BakeSetup, main: Baked, score: number): BakeAnswer['notes'] {
  const notes: BakeAnswer['notes'] = []
  const note = (code: string, message: string) => notes.push({ code, message })
  if (main.doneAt === null) note('never-done', 'In this oven its middle never gets there: bake it hotter, or in a shallower tin.')
  if (main.edgeEarly > EDGE_DRY && !setup.wrapping?.strips)
    note(
      'edge-waits',
      `Its edge is done ${Math.round(main.edgeEarly)} minutes before its middle: damp strips round the tin, two shallower tins or a cooler oven help.`,
    )
  if (score >= DARK && !setup.wrapping?.foil)
    note('browns', 'It browns before it is done: lay foil over it once it has colour, or go 10 to 15 °C cooler.')
  if ((setup.oven.together ?? 1) > 2)
    note(
      'crowded',
      'More than two tins shade each other: leave a hand’s breadth between them, and let them change places after two thirds of the time.',
    )
  if (setup.oven.mode === 'waterbath')
    note('waterbath', 'Water half way up the tin, foil round a loose base, and the water already hot when it goes in.')
  if (setup.oven.mode === 'stovetop')
    note('stovetop', 'On the lowest flame, lid lined with a cloth so that it does not drip; look through as few times as you can.')
  if (setup.tin.material === 'glass' || setup.tin.material === 'ceramic')
    note('slow-tin', 'Glass and ceramic warm slowly and then go on baking out of the oven: take it out early.')
  if (setup.altitudeM >= 600)
    note('altitude', `At ${setup.altitudeM} m water boils at ${Math.round(main.boilingC)} °C: done is cooler, and it dries faster.`)
  return notes
}

const round = (x: number, digits: number): number => Math.round(x * 10 ** digits) / 10 ** digits
