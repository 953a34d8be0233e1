import type { Region } from '../measure/region'
import type { FinishFamily } from '../balance/families'
import type { Dose } from '../balance/mass'
import { suits, type HardNeed } from '../pantry/ingredient'
import { need } from '../pantry/pantry'
import type { Recipe } from '../recipe/recipe'
import { Refusal } from '../refusal'
import { bandsFor, findingsFor, type FinishBands, type FinishFinding } from './findings'
import { classOf, firmnessOf, useC, type Firmness, type Use } from './firmness'
import { boiled, formulate } from './formulate'
import { phasesOf, type Phases } from './phases'
import { reduceTo, type Reduction } from './reduce'
import { rescueFor, type RescueStep, type Trouble } from './rescue'
import { BOIL_TO } from './formulas'
import { dosesOfLines, FINISH_WANTS, finishLines, rework, type FinishWant } from './rework'
import { nextSpoon, type Spoonful } from './spoons'

export interface FrostingAnswer {
  /** A starch-set cream counts as `custard`, the family of its kind among cakes. */
  family: Exclude<FinishFamily, 'pastry-cream'> | 'custard'
  use: Use
  metrics: Pick<Phases, 'fatPct' | 'sugarPct' | 'waterPct' | 'solidFatPct' | 'waterToFat' | 'sugarToWater' | 'sweetness'>
  bands: FinishBands
  findings: FinishFinding[]
  /** As it is when it is used: `atC` where that is warmer than the room. */
  firmness: { roomC: number; class: Firmness; score: number; atC?: number }
  recipe: Recipe
  /** What one spoonful more would do now. */
  nextSpoon: Spoonful[]
  /** What was changed for needs and wants, in words. */
  changes: string[]
  /** What to mind in making it. */
  notes: string[]
  /** How far a fruit filling is boiled down. */
  reduction?: Reduction
  /** Ingredients whose fitness for the needs hangs on their brand. */
  labels: { ingredient: string; for: HardNeed[] }[]
  rescue?: RescueStep[]
}

export interface FrostingRequest {
  recipe?: Recipe
  kind?: string
  grams?: number
  chocolate?: string
  use: Use
  goals: readonly (HardNeed | FinishWant)[]
  amount: Partial<Record<FinishWant, number>>
  sweetener?: string
  roomC: number
  trouble?: Trouble
  region: Region
}

const isWant = (g: string): g is FinishWant => (FINISH_WANTS as readonly string[]).includes(g)

/** A frosting read for its use: firmness in the room, what is wrong with it, what a spoonful does, how to rescue it. */
export function frosting(request: FrostingRequest): FrostingAnswer {
  const { use, region } = request
  const goals = request.goals.filter((g) => !isWant(g)) as HardNeed[]
  const wants = request.goals.filter(isWant)
  const from = request.recipe ?? formulate({ ...request, goals })
  // What is poured is judged warm.
  const celsius = useC(phasesOf(dosesOfLines(finishLines(from)), request.roomC), use, request.roomC)
  const { recipe, changes } = rework({ ...request, roomC: celsius, recipe: from, goals, wants })
  const raw = dosesOfLines(finishLines(recipe))
  if (!raw.length) throw new Refusal('empty-recipe', 'Nothing in this frosting weighs anything yet.', 'recipe')
  const boils = boilsTo(raw, celsius)
  const reduction = boils ? reduceTo(raw, boils) : undefined
  const doses = boiled(raw, boils)
  const p = phasesOf(doses, celsius)
  const score = firmnessOf(p, celsius)
  const { fatPct, sugarPct, waterPct, solidFatPct, waterToFat, sugarToWater, sweetness } = p
  return {
    family: p.family === 'pastry-cream' ? 'custard' : p.family,
    use,
    metrics: { fatPct, sugarPct, waterPct, solidFatPct, waterToFat, sugarToWater, sweetness },
    bands: bandsFor(p.family, use),
    findings: findingsFor(p, use, celsius),
    firmness: { roomC: request.roomC, class: classOf(score), score, ...(celsius !== request.roomC && { atC: celsius }) },
    recipe,
    changes,
    notes: [...warmth(use, celsius, request.roomC), ...notesOn(raw, p)],
    labels: raw.flatMap(({ ingredient }) => {
      const hangs = goals.filter((g) => suits(need(ingredient), g) === 'label')
      return hangs.length ? [{ ingredient, for: hangs }] : []
    }),
    ...(reduction && reduction.boilOff > 0 && { reduction }),
    nextSpoon: nextSpoon(doses, p, score, celsius, goals, region),
    ...(request.trouble && { rescue: rescueFor(request.trouble, doses, use, celsius, [...goals, ...keptBy(doses)], region) }),
  }
}

/** What a bowl already is, and must stay when it is rescued. */
const keptBy = (doses: readonly Dose[]): HardNeed[] =>
  (['vegan', 'dairy-free'] as const).filter((n) => doses.every((d) => suits(need(d.ingredient), n) !== 'never'))

/** How warm it is used, where that is not as the room is. */
const warmth = (use: Use, celsius: number, roomC: number): string[] =>
  celsius > roomC
    ? [
        `${use === 'drip' ? 'Let it drip' : 'Pour it'} at about ${celsius} °C, when a drop on the lip feels neither warm nor cold; it sets as it cools. Too thick again: stand the bowl in warm water.`,
      ]
    : []

function notesOn(doses: readonly Dose[], p: Phases): string[] {
  const has = (pattern: RegExp) => doses.some((d) => pattern.test(d.ingredient) && d.grams > 0)
  if (p.family !== 'pastry-cream') return []
  if (has(/^egg-(yolk|whole)$/))
    return [
      `Temper the eggs: whisk a ladle of the hot milk into them, then all of it, and back into the pan; ${
        has(/^cornstarch|flour-|custard-powder/) ? 'with starch in it, let it boil for a full minute' : 'stop at 82 °C, before it curdles'
      }.`,
    ]
  return ['Set by starch alone: it is thick only after a full minute at the boil, and thins if it is beaten hard when cold.']
}

/** Fruit with this much sugar to its weight is boiled to a jam; with less, to a filling. */
const JAM_SUGAR = 0.4
const RAW_FRUIT = /^(berries|apple|rhubarb|stone-fruit|fruit-puree|pineapple-crushed)$/

/** What a fruit filling is boiled down to, solids in 100 g; none for what is no fruit filling. */
function boilsTo(doses: readonly Dose[], roomC: number): number | undefined {
  const fruit = doses.reduce((g, d) => g + (RAW_FRUIT.test(d.ingredient) ? d.grams : 0), 0)
  if (!fruit || phasesOf(doses, roomC).family !== 'compote') return undefined
  const sugar = doses.reduce((g, d) => g + (/^sugar-|^(allulose|erythritol|xylitol)$/.test(d.ingredient) ? d.grams : 0), 0)
  return BOIL_TO[sugar / fruit >= JAM_SUGAR ? 'jam' : 'compote']
}
