import type { Match } from '../pantry/lookup'

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
  prep: string | null
  optional: boolean
}

export interface Part {
  name: string
  role: Role
  lines: Line[]
}

export const TIN_SHAPES = ['round', 'square', 'rect', 'loaf', 'ring', 'fluted', 'cupcake', 'sheet', 'crepe', 'bowl'] as const
export type TinShape = (typeof TIN_SHAPES)[number]

export const MATERIALS = ['aluminium', 'dark', 'glass', 'silicone', 'ceramic'] as const
export type Material = (typeof MATERIALS)[number]

export interface Tin {
  text: string
  shape: TinShape
  mm: { diameter?: number; width?: number; length?: number; height?: number }
  count: number
  /** Bright metal where not said. */
  material?: Material
  /** Its base comes out. */
  loose?: boolean
}

export interface Oven {
  celsius: number
  fan: boolean
  /** From and to. */
  minutes: [number, number] | null
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

export interface ParsedRecipe {
  recipe: Recipe
  questions: Question[]
}
