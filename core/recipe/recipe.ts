import type { Region } from '../measure/region'
import type { Tin } from '../measure/tin'
import type { Match } from '../pantry/lookup'

export { MATERIALS, TIN_SHAPES, type Material, type Tin, type TinShape } from '../measure/tin'

export const ROLES = ['batter', 'soak', 'filling', 'frosting', 'topping', 'crust', 'other'] as const
export type Role = (typeof ROLES)[number]

export interface Quantity {
  low: number
  high: number
  /** Unit id of `measure/unit.ts`, `piece` for counted things. */
  unit: string
}

export interface Grams {
  low: number
  high: number
  best: number
}

/** One ingredient line: the baker's own words, and what was read in them. */
export interface Line {
  text: string
  quantity: Quantity | null
  grams: Grams
  ingredient: string | null
  /** What the baker calls it: the words of the line without amount and preparation. */
  named?: string
  match: Match
  /** Other ingredients that the line allows in its place ("butter or margarine"). */
  allowed?: string[]
  prep: string | null
  optional: boolean
  /** The baker gave their word that nothing in it breaks the needs at the table. */
  vouched?: boolean
  /** It is made in another part of this recipe, by that name: "4 tbsp of the caramel". It has no contents of its own. */
  made?: string
}

export interface Part {
  name: string
  role: Role
  lines: Line[]
}

export interface Oven {
  celsius: number
  fan: boolean
  /** From and to. */
  minutes: [number, number] | null
  /** The page says how long, and not how hot. */
  assumed?: boolean
}

export interface Yield {
  text: string
  count: number | null
}

export interface Recipe {
  title: string
  yield: Yield | null
  tins: Tin[]
  oven: Oven[]
  parts: Part[]
  method: string[]
  /** Headings that stand in the method: before which step, and what they say. */
  sections?: { at: number; title: string }[]
  /** The kitchen whose cups, spoons, eggs and names its page uses; apart from how this baker likes amounts written. */
  region?: Region
}

export type QuestionAbout = 'ingredient' | 'amount' | 'size' | 'temperature' | 'part'

/** Something the reader was not sure of; `part` and `line` are indices into the recipe. */
export interface Question {
  part: number | null
  line: number | null
  about: QuestionAbout
  message: string
  choices: { value: string; label: string }[]
}

/** What one line of a pasted page was taken for. */
export interface PageLine {
  text: string
  kind: 'title' | 'heading' | 'ingredient' | 'step' | 'yield' | 'oven' | 'tin' | 'note' | 'nutrition' | 'clutter'
}

/** A line whose contents nobody knows; `part` and `line` are indices into the recipe. */
export interface Unknown {
  part: number
  line: number
  /** The baker's words. */
  text: string
  /** Nothing in the pantry fits; something may; or brands fill it as they like. */
  why: 'unidentified' | 'unsure' | 'hidden'
}

export interface ParsedRecipe {
  recipe: Recipe
  questions: Question[]
  /** Every line of what was pasted that is not blank, where there was a page. */
  page?: PageLine[]
  /** Whose measures were taken, what the page showed, and by which of its words. */
  region?: { used: Region; found: Region | null; because: string[] }
  unknown?: Unknown[]
}
