import type { Clause } from '../method/step'

/** Things of a kitchen that one activity at a time can use, or as many as there are of them. */
export const THINGS = ['hands', 'oven', 'mixer', 'hob', 'fridge', 'freezer'] as const
export type Thing = (typeof THINGS)[number]

/** One thing to do, or to wait for. Times in whole minutes. */
export interface Activity {
  id: string
  label: string
  /** Which bake it belongs to, by name. */
  bake: string
  minutes: { low: number; best: number; high: number }
  /** Somebody stands there all the time; else it waits by itself. */
  handsOn: boolean
  /** Things that are used as long as it lasts; tins as `tin:20 cm round`. */
  needs: string[]
  /** The oven is set to this; two heats at once are not to be had. */
  oven?: { celsius: number; fan: boolean }
  /** What must be over before, with the least and the longest gap. */
  after: { id: string; min?: number; max?: number }[]
  /** Waits are better when longer, up to this many minutes. */
  better?: number
  /** Minutes of it in the tin, before the cake is turned out, where it goes on elsewhere. */
  inTin?: number
  /** What it says of hands is allowed in quiet hours. */
  night?: boolean
  /** Line of the method that it comes from. */
  step?: number
  /** What the method says is done in it. */
  clauses?: readonly Clause[]
  /** The part of the recipe that it makes: of a cake its first batter. What puts parts together belongs to none. */
  part?: number
  /** It must be over by this minute: what is made the evening before. */
  by?: number
  /** The baker wants it to start at this minute, and nowhen else. */
  at?: number
}

export interface Placed extends Activity {
  start: number
  end: number
}

/** Hours of the day in which hands rest, as minutes after midnight; they may run over midnight. */
export interface Quiet {
  from: number
  to: number
}

/** How many of each thing there are; what is not named is there once, tins as many as the recipe says. */
export type Kitchen = Partial<Record<string, number>>

export interface Conflict {
  code: 'no-time' | 'not-before' | 'gap' | 'missing' | 'cycle' | 'held'
  /** Activities that cannot all be had. */
  ids: string[]
  message: string
  /** What would resolve it. */
  try: string[]
}

export interface Plan {
  activities: Placed[]
  /** First minute of the day's work. */
  start: number
  conflicts: Conflict[]
  /** Minutes from the first start to serving. */
  span: number
}

/** How long waits are: the least that does, what is usual, or longer where that is better. */
export const WAITS = ['least', 'usual', 'better'] as const
export type Waits = (typeof WAITS)[number]
