import type { Signs } from './signs'

/** Characters [from, to) of the baker's own sentence. */
export type Span = readonly [from: number, to: number]

/** What is done. */
export const ACTS = [
  'heat-oven',
  'ready-tin',
  'cream',
  'foam',
  'melt',
  'rub-in',
  'mix',
  'fold',
  'soften',
  'infuse',
  'simmer',
  'strain',
  'divide',
  'fill-tin',
  'bake',
  'fry',
  'cool',
  'unmould',
  'chill',
  'freeze',
  'rest',
  'soak',
  'poke',
  'hollow',
  'cut',
  'spread',
  'pipe',
  'roll',
  'decorate',
  'serve',
  'other',
] as const
export type Act = (typeof ACTS)[number]

export type Group = 'dry' | 'wet' | 'all' | 'rest'

/** A line of the recipe that goes in. */
export interface LineThing {
  span: Span
  part: number
  line: number
  ingredient: string
  /** What of it, where not all: 0.5 for half. */
  share?: number
  /** What is left of it. */
  rest?: true
  as?: 'yolk' | 'white' | 'wash'
}
/** Words for several lines at once. */
export interface GroupThing {
  span: Span
  group: Group
  /** The part that is headed so: "dry", where the bowls of a batter are parts. */
  part?: number
  /** No word says it: what stands in the list above goes in where its first verb stands. */
  implied?: true
}
/** Something made by an earlier clause, as indices of step and clause. */
export interface MadeThing {
  span: Span
  made: readonly [step: number, clause: number]
}
export type Thing = LineThing | GroupThing | MadeThing

export const isLine = (t: Thing): t is LineThing => 'line' in t
export const isGroup = (t: Thing): t is GroupThing => 'group' in t

/** One thing that is done, with all that is said of it. */
export interface Clause {
  span: Span
  act: Act
  /** The verb as written, in lower case; empty where none is. */
  verb: string
  part: number
  things: Thing[]
  minutes?: [number, number]
  oven?: { celsius: number; fan: boolean; span: Span }[]
  tin?: Span
  until?: Span
  condition?: Span
  /** It is said to be left out by who likes. */
  optional?: true
  /** Its things are only laid ready: "You need 4 eggs, …". */
  lists?: true
  /** How it is done, where that is said. */
  signs?: Signs
}

export interface Step {
  text: string
  clauses: Clause[]
}

/** A method understood: its steps, and what of them was not. */
export interface Method {
  steps: Step[]
  unread: { step: number; span: Span }[]
  /** Foods that a clause names and no line gives; what is only for the tin, or done only if need be, is left out. */
  unlinked: { step: number; span: Span; ingredient: string }[]
}
