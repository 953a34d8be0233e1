import type { Banded, Family } from '../balance/families'
import type { Metrics } from '../balance/metrics'
import type { Ingredient } from '../pantry/ingredient'
import type { SchoolId } from './ids'
import type { Region } from '../measure/region'
import type { AddedStep, Sides, Slot } from './school'

/** An amount that a change may move: where it was, where it wants to be, and between which limits. Grams. */
export interface Mover {
  ingredient: Ingredient
  readonly from: number
  start: number
  low: number
  high: number
  /** Grams away from `start` that cost as much as one tolerance of a ratio. */
  give: number
  fixed: boolean
  why: { code: string; message: string }[]
}

export interface Brought {
  /** Share of its amount that it gives for one tolerance, 0.3 where not said. */
  looseness?: number
  /** Ids of what it takes the whole place of. */
  replaces?: readonly string[]
}

/** What a change sees of a batter and may do to it. */
export interface Rework {
  /** Flour basis, g. */
  readonly flour: number
  readonly family: Family
  /** The ratios as given. */
  readonly before: Metrics
  /** Everything that is in the mix so far, in the order of the recipe. */
  readonly movers: readonly Mover[]
  /** How much of it is to go, 0 to 1. */
  readonly share: number
  /** The first that the needs allow, or `undefined`. */
  allowed: (ids: readonly string[]) => Ingredient | undefined
  /** Adds an ingredient, or raises the line that is there already. */
  bring: (ingredient: Ingredient, low: number, start: number, high: number, why: { code: string; message: string }, how?: Brought) => void
  /** Takes a line out. */
  remove: (mover: Mover, why: { code: string; message: string }) => void
  /** The mix becomes another family. */
  become: (family: Family) => void
  /** Wants a ratio by so much higher or lower, as far as its band goes. */
  nudge: (metric: Banded, by: number) => void
  /** Wants a ratio near a value; its band is widened to hold it, and no finding complains of what was asked for. */
  wish: (metric: Banded | 'sweetness', value: number) => void
  /** Lets a ratio lie beyond its band on the side of a value, without wanting it there. */
  tolerate: (metric: Banded, value: number) => void
}

/** Oven changes that a school asks for. */
export interface OvenChange {
  /** °C, negative for cooler. */
  celsius?: number
  /** Share of the baking time that comes on top, negative for sooner. */
  time?: number
  why: string
}

/**
 * A school that changes what is there by degree: less fat, another sugar, a doctored box, a softer crumb.
 *
 * Its `apply` moves amounts and wishes; the programme settles the numbers.
 */
export interface ChangeSchool {
  /** `null` for a want that belongs to no school. */
  id: SchoolId | null
  slot: Slot | 'want'
  title: string
  /** @returns false where there is nothing in this mix for it to do */
  apply: (rework: Rework) => boolean
  sides: Sides
  /** What it brings may be named as `{carrier}`. */
  steps: readonly AddedStep[]
  oven?: OvenChange
  /** Makes another thing of the mix: its steps are the whole method. */
  ownMethod?: boolean
  cannot: string
  standing: number
  /** Where what it brings stands in ordinary shops; everywhere where not said. */
  soldIn?: readonly Region[]
  source: string
}

/** Grams of fat in all that may move. */
export const fatOf = (m: { ingredient: Ingredient; start: number }): number =>
  (((m.ingredient.per100.plasticFat ?? 0) + (m.ingredient.per100.liquidFat ?? 0)) / 100) * m.start

/** Moves an amount to a share of itself, within a tenth either way. */
export function scale(m: Mover, share: number, why: { code: string; message: string }): void {
  m.start = m.start * share
  m.low = m.start * 0.9
  m.high = m.start * 1.1
  m.give = Math.max(1, m.start * 0.12)
  m.fixed = false
  m.why.push(why)
}
