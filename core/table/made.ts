import { balanceOf } from '../balance/balance'
import { FINISH_FAMILIES, type FinishFamily } from '../balance/families'
import { leftOver } from '../finish/leftovers'
import { trimmings } from '../finish/trimmings'
import type { Recipe } from '../recipe/recipe'
import { usesOf, type Keeping, type LeftoverUse } from './leftovers'

/** What was made and not used: a batter, what was cut off, or a frosting by its family. */
export const MADE = ['batter', 'trimmings', ...FINISH_FAMILIES] as const
export type Made = (typeof MADE)[number]

export interface MadeLeftover {
  kind: Made
  grams: number
  keeping: Keeping
  /** What it becomes by itself, with amounts. */
  becomes: string[]
  /** Recipes at hand with a part of the same kind. */
  uses: LeftoverUse[]
}

/** How bakers call what was made; the first that fits, from what is most particular. */
const CALLED: readonly [RegExp, Made][] = [
  [/\bbatter\b|\bcake mixture\b/, 'batter'],
  [/\btrimmings?\b|\boff-?cuts?\b|\bcake crumbs?\b|\bcake scraps?\b|\bstale cake\b/, 'trimmings'],
  [/\bcream[- ]cheese (frosting|icing)\b/, 'cream-cheese-icing'],
  [/\b(whipped|chantilly) cream\b|\bcream, whipped\b/, 'whipped-cream'],
  [/\bganache\b/, 'ganache'],
  [/\b(flour|cooked|boiled|custard)[- ](butter ?cream|frosting|icing)\b/, 'cooked-butter-icing'],
  [/\b(seven[- ]minute|boiled white|royal)[- ](frosting|icing)\b/, 'meringue-icing'],
  [/\b(meringue|foam)[- ](butter ?cream|frosting|icing)\b/, 'foam-butter-icing'],
  [/\b(glaze|glacé icing|drizzle)\b/, 'glaze'],
  [/\b(pastry cream|custard)\b(?! powder)/, 'pastry-cream'],
  [/\bcompote\b/, 'compote'],
  [/\b(soak|soaking syrup)\b/, 'soak'],
  [/\bbutter ?cream\b|\bbutter icing\b|\bfrosting\b|\bicing\b(?! sugar)/, 'butter-icing'],
]
/** The kind of what was made, from a baker's words; none where they name an ingredient. */
export const madeFrom = (words: string): Made | undefined => CALLED.find(([called]) => called.test(words.toLowerCase()))?.[1]

/** A fairy cake in a paper case, g of batter: two thirds of a case of about 65 ml. */
const FAIRY_CAKE = 40
/** A griddle cake as wide as a palm, g of batter. */
const GRIDDLE_CAKE = 30
/** Fewer crumbs than these are no ball, g. */
const ONE_BALL = 25
/** A layer of crumbs in a glass, with as much cream, g. */
const GLASS = 45

/** Keeping: the lower end of what food agencies' storage tables give for the ingredient that spoils first. */
const KEEPS: Partial<Record<Made, Keeping>> & { other: Keeping } = {
  batter: { fridgeDays: 0, freezerDays: null, how: 'bake it within the hour, or from the fridge today: what lifts it is at work already' },
  trimmings: { fridgeDays: 3, freezerDays: 90, how: 'wrapped, not where it dries' },
  'butter-icing': { fridgeDays: 7, freezerDays: 90, how: 'covered; beat it again at room temperature' },
  'cooked-butter-icing': { fridgeDays: 4, freezerDays: null, how: 'covered; beat it again at room temperature' },
  'meringue-icing': { fridgeDays: 1, freezerDays: null, how: 'it weeps: make it on the day' },
  'foam-butter-icing': { fridgeDays: 4, freezerDays: 30, how: 'covered; whip it again at room temperature' },
  'cream-cheese-icing': { fridgeDays: 4, freezerDays: null, how: 'covered and always cold' },
  'whipped-cream': { fridgeDays: 1, freezerDays: null, how: 'covered; it weeps' },
  ganache: { fridgeDays: 7, freezerDays: 60, how: 'covered, film on its face' },
  'crumb-icing': { fridgeDays: 5, freezerDays: 60, how: 'covered' },
  glaze: { fridgeDays: 7, freezerDays: null, how: 'in a jar with its lid on' },
  'pastry-cream': { fridgeDays: 2, freezerDays: null, how: 'film on its face, always cold' },
  compote: { fridgeDays: 5, freezerDays: 90, how: 'in a clean jar' },
  soak: { fridgeDays: 7, freezerDays: null, how: 'in a clean jar; with milk in it two days' },
  other: { fridgeDays: 2, freezerDays: null, how: 'covered' },
}

const several = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`

/**
 * What becomes of something that was made: by itself, and within the recipes at hand that have a part of its kind.
 *
 * @param also what else is left over: a frosting binds trimmings
 */
export function madeLeftover(
  kind: Made,
  grams: number,
  candidates: readonly { id: string; title: string; recipe: Recipe }[],
  also: readonly { kind: Made; grams: number }[] = [],
): MadeLeftover {
  const keeping = KEEPS[kind] ?? KEEPS.other
  const common = { kind, grams, keeping }
  if (kind === 'batter') return { ...common, becomes: ofBatter(grams), uses: [] }
  if (kind === 'trimmings') return { ...common, becomes: ofTrimmings(grams, also), uses: [] }
  const own = leftOver(kind === 'pastry-cream' ? 'custard' : kind, grams)
  return { ...common, becomes: own ? [own.use] : ['hardly more than clings to the bowl'], uses: usesOf(grams, candidates, partsOf(kind)) }
}

function ofBatter(grams: number): string[] {
  const cakes = Math.floor(grams / FAIRY_CAKE)
  return [
    cakes
      ? `${several(cakes, 'fairy cake', 'fairy cakes')} of ${FAIRY_CAKE} g beside the cake, 15 to 18 minutes; look after 12`
      : 'less than one fairy cake',
    `${several(Math.max(1, Math.floor(grams / GRIDDLE_CAKE)), 'griddle cake', 'griddle cakes')}, on low heat with a lid`,
  ]
}

function ofTrimmings(grams: number, also: readonly { kind: Made; grams: number }[]): string[] {
  const scattered = 'dried at 100 °C until crisp, to scatter or for a base'
  if (grams < ONE_BALL) return [scattered]
  const { binderGrams, firstGrams, pieces } = trimmings(grams, 'frosting', 'rolls')
  const has = also.find((a) => a.kind !== 'batter' && a.kind !== 'trimmings' && a.grams >= firstGrams)
  const jam = trimmings(grams, 'jam', 'rolls').binderGrams
  return [
    `${several(pieces, 'ball', 'balls')}: rubbed fine and bound with about ${binderGrams} g of frosting, ${firstGrams} g first${has ? ', which you have' : ''}; or with ${jam} g of jam`,
    `${several(Math.max(1, Math.floor(grams / GLASS)), 'glass', 'glasses')}, in layers with as much cream or custard and fruit`,
    scattered,
  ]
}

/** Grams of parts of one kind in a recipe. */
const partsOf = (kind: FinishFamily) => (recipe: Recipe) =>
  balanceOf(recipe).parts.reduce((sum, part) => sum + (part.family === kind && part.role !== 'batter' ? part.grams : 0), 0)
