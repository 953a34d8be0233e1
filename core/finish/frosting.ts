import type { FinishFamily } from '../balance/families'
import type { Dose } from '../balance/mass'
import type { Region } from '../measure/region'
import { suits, type HardNeed } from '../pantry/ingredient'
import { ingredientOf, nameOf, need } from '../pantry/pantry'
import type { Line, Recipe } from '../recipe/recipe'
import { kitchenOf, newLine } from '../reformulate/lines'
import { Refusal } from '../refusal'
import { standInsFor } from '../swaps/standins'
import { aimFor, allowedOf, amountFor } from './adjust'
import { bandsFor, findingsFor, type FinishBands, type FinishFinding } from './findings'
import { classOf, firmnessOf, FOR_USE, type Firmness, type Use } from './firmness'
import { FORMULAS, KIND_FOR } from './formulas'
import { phasesOf, type Phases } from './phases'
import { rescueFor, type RescueStep, type Trouble } from './rescue'

export interface FrostingAnswer {
  family: FinishFamily
  use: Use
  metrics: Pick<Phases, 'fatPct' | 'sugarPct' | 'waterPct' | 'solidFatPct' | 'waterToFat' | 'sugarToWater' | 'sweetness'>
  bands: FinishBands
  findings: FinishFinding[]
  firmness: { roomC: number; class: Firmness; score: number }
  recipe: Recipe
  /** What one spoonful more would do now. */
  nextSpoon: { add: string; grams: number; effect: string }[]
  rescue?: RescueStep[]
}

export interface FrostingRequest {
  recipe?: Recipe
  kind?: string
  grams?: number
  use: Use
  goals: readonly HardNeed[]
  roomC: number
  trouble?: Trouble
  region: Region
}

/** The lines that are the frosting: all but the batter, or all where there is nothing else. */
export function finishLines(recipe: Recipe): Line[] {
  const parts = recipe.parts.filter((p) => p.role !== 'batter' && p.role !== 'crust')
  return (parts.length ? parts : recipe.parts).flatMap((p) => p.lines)
}
const dosesOf = (lines: readonly Line[]): Dose[] =>
  lines.flatMap((l) =>
    l.ingredient && ingredientOf(l.ingredient) && l.grams.best > 0 ? [{ ingredient: l.ingredient, grams: l.grams.best }] : [],
  )

/** A frosting read for its use: firmness in the room, what is wrong with it, what a spoonful does, how to rescue it. */
export function frosting(request: FrostingRequest): FrostingAnswer {
  const { use, roomC, region } = request
  const recipe = request.recipe ? withNeeds(request.recipe, request.goals, use, roomC, region) : formulate(request)
  const doses = dosesOf(finishLines(recipe))
  if (!doses.length) throw new Refusal('empty-recipe', 'Nothing in this frosting weighs anything yet.', 'recipe')
  const p = phasesOf(doses, roomC)
  const score = firmnessOf(p, roomC)
  const { fatPct, sugarPct, waterPct, solidFatPct, waterToFat, sugarToWater, sweetness } = p
  return {
    family: p.family,
    use,
    metrics: { fatPct, sugarPct, waterPct, solidFatPct, waterToFat, sugarToWater, sweetness },
    bands: bandsFor(p.family, use),
    findings: findingsFor(p, use, roomC),
    firmness: { roomC, class: classOf(score), score },
    recipe,
    nextSpoon: nextSpoon(doses, p, score, roomC, request.goals, region),
    ...(request.trouble && { rescue: rescueFor(request.trouble, doses, use, roomC, request.goals, region) }),
  }
}

/** Spoonfuls that a baker has at hand: grams of each. */
const SPOONS: readonly { any: readonly string[]; grams: number; words: string }[] = [
  { any: ['milk-whole', 'soy-milk', 'oat-milk', 'water'], grams: 15, words: 'a tablespoon of' },
  { any: ['sugar-icing'], grams: 16, words: 'two tablespoons of' },
  { any: ['butter-unsalted', 'plant-butter-block', 'shortening'], grams: 14, words: 'a tablespoon of soft' },
]
const SPOONS_FOR: Partial<Record<FinishFamily, typeof SPOONS>> = {
  ganache: [
    { any: ['cream-heavy', 'coconut-cream', 'plant-cream'], grams: 15, words: 'a tablespoon of warm' },
    { any: ['chocolate-dark'], grams: 15, words: 'a square and a half of melted' },
  ],
  'whipped-cream': [
    { any: ['sugar-icing'], grams: 8, words: 'a tablespoon of' },
    { any: ['cream-heavy', 'plant-cream', 'coconut-cream'], grams: 30, words: 'two tablespoons of cold' },
  ],
}

function nextSpoon(
  doses: readonly Dose[],
  p: Phases,
  score: number,
  roomC: number,
  goals: readonly HardNeed[],
  region: Region,
): FrostingAnswer['nextSpoon'] {
  return (SPOONS_FOR[p.family] ?? SPOONS).flatMap((s) => {
    const id = allowedOf(s.any, goals)
    if (!id) return []
    const after = firmnessOf(phasesOf([...doses, { ingredient: id, grams: s.grams }], roomC, p.family), roomC)
    const by = after - score
    const how =
      Math.abs(by) < 0.08
        ? 'hardly changes it'
        : `${by > 0 ? 'firmer' : 'looser'}: ${score.toFixed(1)} to ${after.toFixed(1)}, ${classOf(after)}`
    return [{ add: `${s.words} ${nameOf(need(id), region)}`, grams: s.grams, effect: how }]
  })
}

/** A frosting made up from nothing: a classic formula for the needs, moved to the firmness of its use in this room. */
export function formulate(request: FrostingRequest): Recipe {
  const kind = request.kind ?? KIND_FOR[request.use]
  const formula = FORMULAS[kind]
  if (!formula)
    throw new Refusal('bad-request', `“${kind}” cannot be made up from nothing here: ${Object.keys(FORMULAS).join(', ')} can.`, 'kind')
  const picked = formula.parts.map((part) => {
    const id = allowedOf(part.any, request.goals)
    if (!id) throw new Refusal('bad-request', `No ${formula.title.toLowerCase()} meets these needs: try another kind.`, 'goals')
    return { part, id }
  })
  const doses: Dose[] = picked.map(({ part, id }) => ({ ingredient: id, grams: part.grams }))
  const { family } = phasesOf(doses, request.roomC)
  const wanted = aimFor(request.use)
  // First what stiffens, then what loosens, each between half and twice the classic amount.
  for (const moves of ['stiffens', 'loosens'] as const) {
    const at = picked.findIndex(({ part }) => part.moves === moves)
    if (at < 0) continue
    const usual = doses[at]!.grams
    doses[at] = {
      ...doses[at]!,
      grams: amountFor(doses, at, wanted, request.roomC, usual * 0.5, usual * (moves === 'loosens' ? 2.2 : 1.6), family),
    }
  }
  const total = doses.reduce((g, d) => g + d.grams, 0)
  const times = (request.grams ?? 600) / total
  return {
    title: formula.title,
    yield: null,
    tins: [],
    oven: [],
    parts: [
      {
        name: formula.title,
        role: 'frosting',
        lines: doses.map((d, i) => {
          const grams = d.grams * times
          return newLine(d.ingredient, grams, kitchenOf(d.ingredient, grams, 'weight', request.region), request.region, {
            prep: picked[i]!.part.prep ?? null,
          })
        }),
      },
    ],
    method: [...formula.method],
  }
}

/** The baker's own frosting without what the needs rule out, brought back to its firmness by its liquid or its sugar. */
function withNeeds(recipe: Recipe, goals: readonly HardNeed[], use: Use, roomC: number, region: Region): Recipe {
  if (!goals.length) return recipe
  const broken = (id: string) => goals.some((g) => suits(need(id), g) === 'never')
  const parts = recipe.parts.map((part) => {
    if (part.role === 'batter' && recipe.parts.some((x) => x.role !== 'batter')) return part
    return {
      ...part,
      lines: part.lines.flatMap((l): Line[] => {
        if (!l.ingredient || !ingredientOf(l.ingredient) || !broken(l.ingredient)) return [l]
        const stand = standInsFor(need(l.ingredient)).find((s) => s.brings.every((b) => !broken(b.ingredient)))
        if (!stand)
          throw new Refusal(
            'bad-request',
            `Nothing in the pantry can take the place of ${l.named || nameOf(need(l.ingredient), region)} in a frosting.`,
            'goals',
          )
        return stand.brings.map((b) => {
          const grams = l.grams.best * b.ratio
          return newLine(b.ingredient, grams, kitchenOf(b.ingredient, grams, 'weight', region), region, { prep: l.prep })
        })
      }),
    }
  })
  const changed = { ...recipe, parts }
  const before = dosesOf(finishLines(recipe))
  const lines = finishLines(changed)
  const doses = dosesOf(lines)
  const was = firmnessOf(phasesOf(before, roomC), roomC)
  const [low, high] = FOR_USE[use]
  const wanted = Math.max(low, Math.min(high, was))
  const at = doses.findIndex((d) => d.ingredient === 'sugar-icing' || d.ingredient.startsWith('chocolate-'))
  if (at < 0 || Math.abs(firmnessOf(phasesOf(doses, roomC), roomC) - wanted) < 0.3) return changed
  const id = doses[at]!.ingredient
  const grams = amountFor(doses, at, wanted, roomC, doses[at]!.grams * 0.75, doses[at]!.grams * 1.35)
  return {
    ...changed,
    parts: changed.parts.map((p) => ({
      ...p,
      lines: p.lines.map((l) =>
        l.ingredient === id && lines.includes(l) ? newLine(id, grams, kitchenOf(id, grams, 'weight', region), region, l) : l,
      ),
    })),
  }
}
