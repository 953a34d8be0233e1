import type { Family } from '../balance/families'
import type { SchoolId } from './ids'

/** The job in the recipe that a school takes over. */
export type Slot = 'egg' | 'butter' | 'dairy' | 'gluten' | 'nut' | 'fat' | 'sugar' | 'box'

/** What comes with every gram of a carrier in a fixed ratio: water to a seed, vinegar to milk. */
export interface Tied {
  any: readonly string[]
  ratio: number
  /** It goes with all that there is of the leader, not only with what the school brings: milk is soured whole. */
  all?: true
}

/** One ingredient that a school brings, per unit of what it replaces. */
export interface Bring {
  /** Ingredients that can do it, best first; the first that the needs allow is taken. */
  any: readonly string[]
  /** Grams per unit (per egg for egg schools, per gram replaced for others): least that does anything, usual, most. */
  per: readonly [least: number, usual: number, most: number]
  with?: readonly Tied[]
}

/** What a school costs or gives beside the balance, in a few words each; empty where there is nothing to say. */
export interface Sides {
  crumb: string
  flavour: string
  keeps: string
  effort: string
}

/** A step that a school adds to the method. `{carrier}`, `{tied}`, `{gum}`, `{brought}`, `{fat}`, `{acid}` and `{soda}` stand for what it brings. */
export interface AddedStep {
  at: 'start' | 'before-mixing' | 'last' | 'after'
  text: string
  why: string
  minutes?: number
  /** Lets the batter stand: not for a whipped one, which falls. */
  rests?: boolean
  /** It warns, and does nothing to the batter. */
  warns?: true
  /** Said only where there is wheat enough to toughen. */
  wheat?: true
  /** All of its `{carrier}` goes into a bowl of its own here, and into the batter from there. */
  mixes?: true
}

/**
 * A school: one way of doing without something, as its followers practise it.
 *
 * Data only; the reformulator turns it into variables and limits of its programme.
 */
export interface School {
  id: SchoolId
  slot: Slot
  title: string
  brings: readonly Bring[]
  /** Makes sense only in a cake raised by leavener, not in a custard, cheesecake, crêpe or brownie. */
  raisedOnly?: boolean
  /** Soda may be added to meet its acid. */
  soda?: boolean
  /** A little acid may be added to meet soda. */
  acid?: boolean
  /** Families that it does nothing for. */
  notFor?: readonly Family[]
  /** Replaces at most so many eggs well. */
  mostEggs?: number
  /** Whips to a foam: can stand in for egg foam in part. */
  foams?: boolean
  sides: Sides
  /** What the method calls the thing that goes in where the eggs went in. */
  calledInMethod: string
  /** A thin liquid that would split creamed butter: it goes in by turns with the flour. */
  inTurns?: boolean
  steps: readonly AddedStep[]
  /** In the oven within minutes: its lift starts at once. */
  atOnce?: boolean
  cannot: string
  /** Families in which it is what bakers reach for first, whatever else may do. */
  surestIn?: readonly Family[]
  /** How far down the list its usual results, keeping and work put it, other things equal: 0 for the surest. */
  standing: number
  source: string
}
