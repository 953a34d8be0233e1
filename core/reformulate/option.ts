import type { Method } from '../method/step'
import type { Allergen } from '../pantry/ingredient'
import type { Band, Banded, Family } from '../balance/families'
import type { Finding } from '../balance/findings'
import type { Metrics } from '../balance/metrics'
import type { CrumbClaim } from '../crumb/predict'
import type { Caution } from '../care/cautions'
import type { Oven, Recipe, Unknown } from '../recipe/recipe'
import type { SchoolId } from '../swaps/ids'
import type { Sides } from '../swaps/school'
import type { Handed, Undone } from './handover'
import type { Step } from './method'

export interface OptionLine {
  part: string
  partIndex: number
  ingredient: string
  name: string
  from: number
  to: number
  /** The amount as the kitchen measures it. */
  kitchen: string
  /** The amount before, as the baker wrote it. */
  was: string
  status: 'kept' | 'changed' | 'removed' | 'added'
  replaces: string[]
  /** Of a line that stands for several at once: how much for which. */
  shares?: { replaces: string[]; grams: number; kitchen: string }[]
  why: { code: string; message: string }[]
}

export interface Option {
  id: string
  schools: SchoolId[]
  title: string
  recipe: Recipe
  lines: OptionLine[]
  family: Family
  metrics: Metrics & { browning: number }
  before: Metrics
  bands: Partial<Record<Banded, Band>>
  handover: Handed[]
  undone: Undone[]
  findings: Finding[]
  crumb: CrumbClaim[]
  method: Step[]
  /** The new method as the model reads it; only in whole answers of the verb. */
  model?: Method
  oven: Oven[]
  cautions: Caution[]
  labels: { ingredient: string; message: string; for: string[] }[]
  /** Lines whose contents nobody knows: over them no need is claimed. */
  unknown: Unknown[]
  allergens: Allergen[]
  buy: string[]
  score: number
  sides: { about: keyof Sides | 'cannot'; message: string }[]
}

export interface Reformulation {
  options: Option[]
  impossible: null | { because: { code: string; message: string }[]; nearest: Option | null }
  timing: { ms: number; combinations: number; solved: number }
}
