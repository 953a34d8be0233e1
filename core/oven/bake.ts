import { boilingPoint, pressureShare } from '../balance/altitude'
import type { Tin } from '../recipe/recipe'
import { heightOf, sectionOf } from '../measure/section'
import type { Batter } from './batter'
import { benchFor, energyOf, fillTin, heightAt, step, skinC, USUAL_GRID, type Cake, type Grid } from './conduct'
import { facesIn, STORED, type OvenMode, type Wrapping } from './surroundings'

/** What the oven is set to, and how it heats. */
export interface OvenSetting {
  celsius: number
  mode: OvenMode
  /** One after another; the last goes on. */
  stages?: readonly { celsius: number; minutes: number }[]
  /** How much hotter than its dial the oven runs, °C. */
  offsetC?: number
  /** Tins that go in at once: each cools the oven a little more. */
  together?: number
}

export interface BakeSetup {
  batter: Batter
  tin: Pick<Tin, 'shape' | 'mm' | 'material'>
  oven: OvenSetting
  wrapping?: Wrapping
  /** Temperature of the batter, °C. */
  startC: number
  altitudeM: number
  evaporation?: boolean
  expansion?: boolean
  grid?: Grid
  /** Length of a usual step, s. */
  stepS?: number
  /** Stop when it is done, where nobody looks at the curve. */
  untilDone?: boolean
}

export interface CurvePoint {
  /** Minutes since it went in. */
  min: number
  /** The slowest point, the wall half way up, the surface of the top: °C. */
  core: number
  edge: number
  crust: number
  /** Height in the middle, mm. */
  height: number
}

export interface Baked {
  /** Minutes until the slowest point is done; `null` where it never is. */
  doneAt: number | null
  curve: CurvePoint[]
  /** Share of the batter's mass that left as steam when it was done. */
  lost: number
  /** Minutes for which the outer centimetre was done before the middle was. */
  edgeEarly: number
  /** Colour of the top: minutes with a skin of 120 °C that would brown a plain butter cake as much. */
  colour: number
  heightMm: number
  boilingC: number
  /** Heat in and heat found again, relative to what came in: how well the sums close. */
  energyError: number
}

/** First steps are short: the surface changes fastest at once. */
const FIRST_STEPS = [0.5, 0.5, 1, 1, 1.5, 1.5, 2, 2]
/** Length of a usual step, s; and once the surface is warm and all goes slowly, from that minute on. */
const STEP = 10
const LATER = { from: 12, step: 30 }
/** Rows are no thinner on average, mm, and no fewer. */
const ROW_AT_LEAST = 0.2
const FEWEST_ROWS = 3
/** A thin sheet follows its oven within seconds: steps are no longer than this, s for each mm of depth. */
const STEP_BY_DEPTH = 5
/** A film thinner than a third of a millimetre is no cake, and is not followed more closely, s. */
const SHORTEST = 1.5
/** Points of the curve are this far apart, s. */
const EVERY = 30
/** How much cooler an oven is just after a cake went in, °C, and in what time most of that is back, minutes (domestic ovens, probe in the middle). */
const DOOR_DROP = { static: 45, fan: 35 }
const DOOR_BACK = 7
/** What every further tin adds to that, as a share: cold metal and batter take the heat of the walls. */
const EACH_MORE = 0.15
/** Starch and egg take their time to set: a thin sheet that is hot at once is held so long, s, within so many °C of done. */
const HOLD = 150
const NEARLY = 6
/** In a bath done lies at least so far under the boiling point, °C. */
const BATH_SETS = 12
/** A cake that is not done by then will never be, minutes. */
const LONGEST = 300
/** Nor one that is warm through and rises no further: °C within so many seconds, after an hour. */
const STANDS = { from: 3600, every: 1200, warm: 40, rises: 0.3 }
/** The curve goes on a little past done, so that the window can be seen. */
const BEYOND = 1.2
const LEAST_BEYOND = 6
/** Browning doubles every 12 °C or so (Maillard and caramel reactions on crusts, Purlis 2010: Q10 about 1.8 to 2). */
const BROWN_SCALE = 17.5
const BROWN_AT = 120

/**
 * Bakes one tin of batter: transient conduction in its section, with steam, swelling and the heat of its oven.
 *
 * @returns the curve until a little past done (or five hours), one point each half minute
 * @throws RangeError where the tin has no known size
 */
export function bake(setup: BakeSetup): Baked {
  const section = sectionOf(setup.tin)
  if (!section) throw new RangeError('The size of the tin is not known.')
  const { batter, oven } = setup
  const evaporation = setup.evaporation ?? true
  const expansion = setup.expansion ?? true
  const boilingC = boilingPoint(setup.altitudeM)
  const share = pressureShare(setup.altitudeM)
  const asked = setup.grid ?? USUAL_GRID
  // A film has no inside: rows thinner than a fifth of a millimetre tell nothing more.
  const depth = heightOf(section, batter.grams / batter.gramsPerMl)
  const grid = { ...asked, rows: Math.min(asked.rows, Math.max(FEWEST_ROWS, Math.floor(depth / ROW_AT_LEAST))) }
  const longestStep = Math.max(SHORTEST, STEP_BY_DEPTH * depth)
  const material = setup.tin.material ?? 'aluminium'
  const cake = fillTin(
    section,
    batter.grams,
    {
      density: 1000 * batter.gramsPerMl,
      made: batter.made,
      stiff: batter.family === 'cheesecake',
      // Gas swells as pressure falls.
      rise: 1 + (batter.rise - 1) / share,
      evaporation,
      expansion,
      pressureShare: share,
      boilingC,
    },
    setup.startC,
    grid,
  )
  const room = benchFor(grid)
  const stored = STORED[material]
  // A cake cannot pass the boiling point of its water while it is wet: high up, done is cooler.
  // What stands in water bakes at what water gives it: such cakes and creams are set by egg.
  const doneC = Math.min(batter.doneC, boilingC - (oven.mode === 'waterbath' ? BATH_SETS : 1))
  let hotSince: number | null = null
  const curve: CurvePoint[] = []
  const energyAtFirst = energyOf(cake, stored)
  let seconds = 0
  let doneAt: number | null = null
  let atDone = { lost: 0, edgeEarly: 0, colour: 0, height: 0 }
  let colour = 0
  let edgeDoneAt: number | null = null
  let nextPoint = 0
  let before = { s: 0, core: setup.startC }
  let stands = before
  for (let n = 0; seconds < LONGEST * 60; n++) {
    const ovenC = celsiusAt(oven, seconds / 60)
    const top = cake.t[(grid.rows - 1) * grid.columns]!
    const faces = facesIn(
      oven.mode,
      ovenC,
      Math.max(top, 60),
      material,
      setup.wrapping ?? {},
      boilingC,
      setup.tin.shape,
      batter.family === 'cheesecake',
    )
    const now = readings(cake, skinC(cake, faces))
    if (seconds >= nextPoint - 1e-6) {
      curve.push({
        min: round(seconds / 60, 2),
        core: round(now.core, 1),
        edge: round(now.edge, 1),
        crust: round(now.crust, 1),
        height: round(1000 * heightAt(cake, 0), 1),
      })
      nextPoint += EVERY
    }
    if (edgeDoneAt === null && now.edge >= doneC) edgeDoneAt = seconds / 60
    // When the middle crossed a temperature, between two steps by the straight line.
    const crossing = (celsius: number) =>
      before.core >= celsius
        ? before.s
        : before.s + ((seconds - before.s) * (celsius - before.core)) / Math.max(1e-9, now.core - before.core)
    if (hotSince === null && now.core >= doneC - NEARLY) hotSince = crossing(doneC - NEARLY)
    if (doneAt === null && now.core >= doneC && seconds - hotSince! >= HOLD) {
      doneAt = Math.max(crossing(doneC), hotSince! + HOLD) / 60
      atDone = {
        lost: cake.lost / cake.mass,
        edgeEarly: Math.max(0, doneAt - (edgeDoneAt ?? doneAt)),
        colour,
        height: 1000 * heightAt(cake, 0),
      }
    }
    if (doneAt !== null && (setup.untilDone || seconds / 60 > Math.max(doneAt * BEYOND, doneAt + LEAST_BEYOND))) break
    if (doneAt === null && seconds >= stands.s + STANDS.every) {
      if (seconds > STANDS.from && now.core > STANDS.warm && now.core - stands.core < STANDS.rises) break
      stands = { s: seconds, core: now.core }
    }
    before = { s: seconds, core: now.core }
    const dt = Math.min(longestStep, FIRST_STEPS[n] ?? setup.stepS ?? (seconds < 60 * LATER.from ? STEP : LATER.step))
    step(cake, room, faces, dt, stored, n < 4 ? 1 : undefined)
    colour += (dt / 60) * batter.browns * Math.exp((now.crust - BROWN_AT) / BROWN_SCALE)
    seconds += dt
  }
  if (doneAt === null) atDone = { lost: cake.lost / cake.mass, edgeEarly: 0, colour, height: 1000 * heightAt(cake, 0) }
  const error = cake.heatIn - cake.heatOut - (energyOf(cake, stored) - energyAtFirst)
  return {
    doneAt,
    curve,
    lost: atDone.lost,
    edgeEarly: atDone.edgeEarly,
    colour: atDone.colour,
    heightMm: atDone.height,
    boilingC,
    energyError: Math.abs(error) / Math.max(1, cake.heatIn),
  }
}

/** What the oven really is at a minute, °C. */
export function celsiusAt(oven: OvenSetting, minute: number): number {
  let from = 0
  let celsius = oven.celsius
  for (const s of oven.stages ?? []) {
    celsius = s.celsius
    from += s.minutes
    if (minute < from) break
  }
  // Opening the door lets the heat out; a domestic oven has it back within some minutes.
  const drop =
    oven.mode === 'stovetop'
      ? 0
      : DOOR_DROP[oven.mode === 'fan' ? 'fan' : 'static'] * (1 + EACH_MORE * ((oven.together ?? 1) - 1)) * Math.exp(-minute / DOOR_BACK)
  return celsius + (oven.offsetC ?? 0) - drop
}

/** The slowest point anywhere, the outer column half way up, the surface: °C. */
function readings(c: Cake, crust: number): { core: number; edge: number; crust: number } {
  const { rows, columns } = c.grid
  let core = Infinity
  for (const t of c.t) if (t < core) core = t
  const middle = Math.floor(rows / 2)
  return { core, edge: c.t[middle * columns + columns - 1]!, crust }
}

const round = (x: number, digits: number): number => Math.round(x * 10 ** digits) / 10 ** digits
