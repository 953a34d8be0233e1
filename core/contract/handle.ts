import type Joi from 'joi'
import { balanceOf, type Balance } from '../balance/balance'
import { cautionsFor, type Caution } from '../care/cautions'
import type { Banded, CakeFamily } from '../balance/families'
import { predictCrumb, type CrumbClaim } from '../crumb/predict'
import { uncertaintyOf, type Tools, type Uncertainty } from '../crumb/uncertainty'
import { readJsonLd } from '../formats/jsonld'
import type { Measures } from '../measure/kitchen'
import type { Region } from '../measure/region'
import { SUGARS, suits, HARD_NEEDS, type Ingredient } from '../pantry/ingredient'
import { searchPantry } from '../pantry/lookup'
import { boxIngredient, estimateBox, type BoxEstimate, type Label } from '../pantry/box'
import { ownIngredient, type OwnIngredient } from '../pantry/own'
import { ingredientOf, nameOf, withIngredients } from '../pantry/pantry'
import { profileOf } from '../balance/profile'
import type { ParsedRecipe, Recipe } from '../recipe/recipe'
import { MOST_LINES, readRecipe } from '../recipe/text'
import type { Goal, SoftGoal } from '../reformulate/goals'
import type { Reformulation } from '../reformulate/option'
import { reformulate } from '../reformulate/reformulate'
import type { SchoolId } from '../swaps/ids'
import { boxesForTins, type BoxesForTins } from '../tin/boxes'
import { Refusal } from '../refusal'
import { SCHEMAS, type Verb } from './schema'

interface Common {
  text?: string
  recipe?: Recipe
  jsonld?: unknown
  region: Region
  measures?: Measures
  family?: CakeFamily
  altitudeM: number
  boxes?: { ingredient: string; label: Label; netGrams?: number }[]
  own?: OwnIngredient[]
}

export interface BoxAnswer extends BoxEstimate {
  netGrams?: number
}

export interface ParseAnswer extends ParsedRecipe {
  recipe: Recipe
}
export interface BalanceAnswer extends Balance {
  /** How many boxes its tins want, where it is made from a box. */
  boxes?: BoxesForTins
  crumb: CrumbClaim[]
  cautions: Caution[]
}
export interface IngredientAnswer {
  id: string
  names: readonly string[]
  name: string
  kind: string
  per100: Record<string, unknown>
  waterDemand: number
  gramsPerMl: Ingredient['gramsPerMl']
  pieces: Ingredient['pieces']
  allergens: readonly string[]
  labels: readonly string[]
  diets: Record<string, string>
  source: string
}

export interface Answers {
  parse: ParseAnswer
  balance: BalanceAnswer
  ingredients: { ingredients: IngredientAnswer[] }
  reformulate: Reformulation
  uncertainty: Uncertainty
  box: BoxAnswer
}

/** Where the handlers get what the core must not have: a clock, and word that an answer is no longer wanted. */
export interface Surroundings {
  now?: () => number
  stopped?: () => boolean
}

/** Checks a request against its verb's schema, and fills in the defaults that stand there. */
function checked<T>(verb: Verb, request: unknown): T {
  const schema: Joi.Schema = SCHEMAS[verb]
  const { value, error } = schema.validate(request ?? {}, { abortEarly: true, convert: false }) as { value: T; error?: Joi.ValidationError }
  if (!error) return value
  const detail = error.details[0]!
  throw new Refusal('bad-request', detail.message.replace(/"/g, '“').replace(/“([^“]*)“/g, '“$1”'), detail.path.join('.') || undefined)
}

/** The recipe of a request, however it was given, with the questions of its reader. */
function recipeOf(request: Common): ParsedRecipe {
  if (request.text !== undefined) {
    const rows = request.text.split('\n').length
    if (!request.text.trim()) throw new Refusal('empty-recipe', 'There is no text to read: paste a recipe.', 'text')
    if (rows > MOST_LINES)
      throw new Refusal(
        'too-large',
        `This has ${rows} lines; a recipe has at most ${MOST_LINES}. Paste one recipe at a time.`,
        'text',
        MOST_LINES,
      )
    return readRecipe(request.text, request.region)
  }
  if (request.jsonld !== undefined) return readJsonLd(request.jsonld, request.region)
  return settled(request.recipe!)
}

/** A structured recipe may leave grams, ids and steps in short forms; here they are made whole. */
function settled(recipe: Recipe): ParsedRecipe {
  const whole: Recipe = {
    ...recipe,
    method: (recipe.method as (string | { text: string })[]).map((m) => (typeof m === 'string' ? m : m.text)),
    parts: recipe.parts.map((part) => ({
      ...part,
      lines: part.lines.map((line) => {
        if (line.ingredient !== null && !ingredientOf(line.ingredient))
          throw new Refusal('bad-request', `There is no ingredient “${line.ingredient}” in the pantry.`, 'recipe.parts')
        const grams = line.grams as number | { low: number; high: number; best: number }
        return { ...line, grams: typeof grams === 'number' ? { low: grams, high: grams, best: grams } : grams }
      }),
    })),
  }
  return { recipe: whole, questions: [] }
}

const handlers: { [V in Verb]: (request: never, around: Surroundings) => Answers[V] } = {
  parse: (raw) => recipeOf(checked<Common>('parse', raw)),

  balance: (raw) => {
    const request = checked<Common>('balance', raw)
    const { recipe, questions } = recipeOf(request)
    const balance = balanceOf(recipe, request.family, request.altitudeM)
    for (const q of questions)
      if (q.about === 'temperature')
        balance.findings.push({
          code: 'temperature-mismatch',
          severity: 'caution',
          metric: null,
          message: q.message,
          part: recipe.parts[0]?.name ?? '',
        })
    const ingredients = recipe.parts.flatMap((p) => p.lines).flatMap((l) => ingredientOf(l.ingredient) ?? [])
    const grams = new Map<string, number>()
    for (const l of recipe.parts.flatMap((p) => p.lines))
      if (l.ingredient) grams.set(l.ingredient, (grams.get(l.ingredient) ?? 0) + l.grams.best)
    const boxes = boxesForTins(recipe, request.region)
    return {
      ...balance,
      ...(boxes && { boxes }),
      crumb: predictCrumb(balance.metrics, balance.family),
      cautions: cautionsFor({ ingredients, grams, needs: [], method: recipe.method.join('\n'), slices: balance.perSlice.slices }),
    }
  },

  ingredients: (raw) => {
    const request = checked<{ query: string; region: Region }>('ingredients', raw)
    return { ingredients: searchPantry(request.query).map((i) => ingredientAnswer(i, request.region)) }
  },

  reformulate: (raw, around) => {
    const request = checked<
      Common & {
        goals: Goal[]
        avoid: string[]
        have: (string | { ingredient: string; grams: number })[]
        pin: Record<string, number | 'keep'>
        schools?: SchoolId[] | { use: SchoolId[]; exclude: SchoolId[] }
        limit: number
        amount: Partial<Record<SoftGoal, number>>
        sweetener?: string
        nudge: Partial<Record<Banded, number>>
      }
    >('reformulate', raw)
    const { recipe } = recipeOf(request)
    return reformulate({
      recipe,
      goals: request.goals,
      region: request.region,
      measures: request.measures,
      avoid: request.avoid,
      have: request.have,
      pin: request.pin,
      schools: Array.isArray(request.schools) ? { use: request.schools, exclude: [] } : (request.schools ?? { use: [], exclude: [] }),
      limit: request.limit,
      family: request.family,
      amount: request.amount,
      sweetener: request.sweetener,
      nudge: request.nudge,
      altitudeM: request.altitudeM,
      ...around,
    })
  },

  uncertainty: (raw) => {
    const request = checked<Common & { tools: Tools; samples: number }>('uncertainty', raw)
    const { recipe } = recipeOf(request)
    const { family } = balanceOf(recipe, request.family, request.altitudeM)
    return uncertaintyOf(recipe, family, request.tools, request.samples, request.altitudeM)
  },

  box: (raw) => {
    const request = checked<{ label: Label; netGrams?: number }>('box', raw)
    return { ...estimated(request.label, 'label'), ...(request.netGrams !== undefined && { netGrams: request.netGrams }) }
  },
}

/** The boxes and packets that a request describes by their labels. */
function described(request: Pick<Common, 'boxes' | 'own'>): Ingredient[] {
  const boxes = (request.boxes ?? []).map((b, i) => {
    const like = ingredientOf(b.ingredient)
    if (!like) throw new Refusal('bad-request', `There is no box “${b.ingredient}” in the pantry.`, `boxes.${i}.ingredient`)
    return boxIngredient(like, estimated(b.label, `boxes.${i}.label`), b.netGrams)
  })
  return [...boxes, ...(request.own ?? []).map(ownIngredient)]
}

function estimated(label: Label, path: string): BoxEstimate {
  const parts = (label.fat ?? 0) + (label.carbs ?? 0) + (label.protein ?? 0)
  if (parts > label.servingGrams * 1.05)
    throw new Refusal(
      'bad-request',
      `Fat, carbohydrate and protein come to more than the serving of ${label.servingGrams} g: check the label.`,
      path,
    )
  if ((label.sugars ?? 0) > (label.carbs ?? Infinity) + 0.5)
    throw new Refusal('bad-request', 'Sugars come to more than all carbohydrate: check the label.', path)
  const estimate = estimateBox(label)
  if (!estimate) throw new Refusal('bad-request', 'No mix fits this label: check its numbers.', path)
  return estimate
}

function ingredientAnswer(i: Ingredient, region: Region): IngredientAnswer {
  const p = profileOf(i)
  const per = (x: number) => Math.round(x * 1000) / 10
  const c = i.per100
  return {
    id: i.id,
    names: i.names,
    name: nameOf(i, region),
    kind: i.kind,
    per100: {
      water: c.water ?? 0,
      fat: (c.plasticFat ?? 0) + (c.liquidFat ?? 0),
      saturates: c.saturates ?? 0,
      sugars: Object.fromEntries(SUGARS.flatMap((s) => (c[s] ? [[s, c[s]]] : []))),
      starch: (c.starch ?? 0) + (c.pregelStarch ?? 0),
      protein:
        Math.round(((c.gluten ?? 0) + (c.egg ?? 0) + (c.casein ?? 0) + (c.whey ?? 0) + (c.legume ?? 0) + (c.otherProtein ?? 0)) * 100) /
        100,
      fibre: c.fibre ?? 0,
      salt: c.salt ?? 0,
      acid: c.acid ?? 0,
      base: c.base ?? 0,
      co2: c.co2 ?? 0,
      kcal: per(p.kcal),
    },
    waterDemand: i.waterDemand ?? 0,
    gramsPerMl: i.gramsPerMl,
    pieces: i.pieces,
    allergens: i.contains ?? [],
    labels: i.labels ?? [],
    diets: Object.fromEntries(HARD_NEEDS.map((n) => [n, suits(i, n)])),
    source: i.source,
  }
}

export const isVerb = (verb: string): verb is Verb => Object.hasOwn(handlers, verb)

/**
 * Answers one request: the only door to the core for command line, server and workers.
 *
 * @throws Refusal where the request cannot be answered
 */
export function answer<V extends Verb>(verb: V, request: unknown, around: Surroundings = {}): Answers[V] {
  const given = request as Pick<Common, 'boxes' | 'own'> | undefined
  if (!given?.boxes?.length && !given?.own?.length) return handlers[verb](request as never, around)
  // Labels are checked before they are believed.
  return withIngredients(described(checked<Common>(verb, request)), () => handlers[verb](request as never, around))
}
