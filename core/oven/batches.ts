import type { CakeFamily } from '../balance/families'
import type { Tin } from '../recipe/recipe'

/** A shelf of a usual 60 cm oven, mm, and what stays free round it and between tins for the air. */
const SHELF = { width: 450, depth: 360, edge: 12, between: 20 }
/** Cupcakes bake in trays of twelve. */
const TRAY = { count: 12, width: 265, depth: 350 }
/** A fan carries heat to a second shelf; still air does not, evenly. */
const SHELVES = { fan: 2, still: 1 }

/** How many of a tin go in at once. */
export function atOnce(tin: Tin, fan: boolean): number {
  const { diameter, width, length } = tin.mm
  const cup = tin.shape === 'cupcake'
  const [a, b] = cup ? [TRAY.width, TRAY.depth] : diameter ? [diameter, diameter] : [width ?? 200, length ?? width ?? 200]
  const row = (room: number, one: number) => Math.floor((room - 2 * SHELF.edge + SHELF.between) / (one + SHELF.between))
  const laid = (x: number, y: number) => row(SHELF.width, x) * row(SHELF.depth, y)
  return Math.max(1, laid(a, b), laid(b, a)) * (cup ? TRAY.count : 1) * (fan ? SHELVES.fan : SHELVES.still)
}

export interface Batches {
  /** How many times the oven is filled. */
  count: number
  /** Tins in a full one. */
  each: number
}

/** How many batches a set of tins makes; tins of several sizes are laid one size after the other. */
export function batchesOf(tins: readonly Tin[], fan: boolean): Batches {
  const share = tins.reduce((sum, t) => sum + t.count / atOnce(t, fan), 0)
  const all = tins.reduce((n, t) => n + t.count, 0)
  const count = Math.max(1, Math.ceil(share - 1e-9))
  return { count, each: Math.ceil(all / count) }
}

/** Batters whose air or gas does not wait for an oven. */
const HASTY: readonly CakeFamily[] = ['foam', 'eggless-raised', 'flourless-nut', 'flourless-chocolate']

/** What to do with the batter of the second batch while the first is baked. */
export function whileItWaits(family: CakeFamily, b: Batches, minutes: number): string {
  const rest = b.count > 2 ? 'the others wait in turn' : 'the second waits'
  const first = `They do not all fit at once: ${b.each} at a time, ${b.count} batches, and ${rest} about ${Math.round(minutes + 5)} minutes.`
  return HASTY.includes(family)
    ? `${first} Its air does not keep so long: mix the next batch when the one before is half done.`
    : `${first} Keep its batter in the fridge, in its tin; it then takes some minutes longer. Let the oven come back to its heat between.`
}
