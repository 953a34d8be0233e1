import type { IntegerSolver } from '../table/programme'
import { answerLeftovers, type LeftoversAnswer, type LeftoversRequest } from './leftovers'
import { crumbShift, type Lessons } from '../bakebook/lessons'
import type Joi from 'joi'
import { balanceOf, type Balance } from '../balance/balance'
import type { Caution } from '../care/cautions'
import { cautionsOf } from '../care/of-recipe'
import type { Banded, CakeFamily } from '../balance/families'
import { predictCrumb, type CrumbClaim } from '../crumb/predict'
import { uncertaintyOf, type Tools, type Uncertainty } from '../crumb/uncertainty'
import { frosting, type FrostingAnswer, type FrostingRequest } from '../finish/frosting'
import type { SoakAnswer } from '../finish/soak'
import { readJsonLd } from '../formats/jsonld'
import { readMany } from '../formats/many'
import type { Measures } from '../measure/kitchen'
import type { Region } from '../measure/region'
import type { Ingredient } from '../pantry/ingredient'
import { searchPantry } from '../pantry/lookup'
import { boxIngredient, estimateBox, type BoxEstimate, type Label } from '../pantry/box'
import { ownIngredient, type OwnIngredient } from '../pantry/own'
import { ingredientOf, withIngredients } from '../pantry/pantry'
import { answerAmounts, answerSoak, type AmountsAnswer } from './finish'
import { answerBuild, type BuildAnswer, type BuildRequest } from './build'
import { counterOf, type CounterAnswer, type CounterRequest } from '../counter/steps'
import { answerDiagnose, type DiagnoseAnswer, type DiagnoseRequest } from './diagnose'
import { answerSchedule, type ScheduleAnswer, type ScheduleRequest } from './schedule'
import { answerBake, answerTin, tinOf, type TinAnswer } from './tins'
import { ingredientAnswer, type IngredientAnswer } from './ingredients'
import { readLine } from '../recipe/line'
import { unknownLines } from '../recipe/unknown'
import type { Line, ParsedRecipe, Question, Recipe, Tin } from '../recipe/recipe'
import { kitchenOf, LONGEST_TEXT, type Kitchen } from '../recipe/text'
import { readGiven } from '../method/given'
import type { Goal, SoftGoal } from '../reformulate/goals'
import type { Reformulation } from '../reformulate/option'
import { reformulating, type Progress } from '../reformulate/reformulate'
import type { SchoolId } from '../swaps/ids'
import { tableFor, type Candidate, type Guests, type TableAnswer } from '../table/table'
import { boxesForTins, type BoxesForTins } from '../tin/boxes'
import { factorFor, scaleRecipe, type ScaleTo } from '../tin/scale'
import { trimmings, type Binder, type Dough, type Trimmings } from '../finish/trimmings'
import { methodOf, readMethod } from '../method/read'
import type { Method } from '../method/step'
import { nourish, type Nourishment } from '../nourish/nourish'
import type { BakeAnswer } from '../oven/predict'
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
export interface LineAnswer {
  /** Two where the line names two ingredients; none where it says nothing. */
  lines: Line[]
  questions: Omit<Question, 'part'>[]
}
export interface ScaleAnswer {
  factor: number
  recipe: Recipe
}

export interface Answers {
  parse: ParseAnswer
  method: Method
  balance: BalanceAnswer
  ingredients: { ingredients: IngredientAnswer[] }
  reformulate: Reformulation
  uncertainty: Uncertainty
  nourish: Nourishment
  line: LineAnswer
  scale: ScaleAnswer
  frosting: FrostingAnswer
  amounts: AmountsAnswer
  soak: SoakAnswer
  build: BuildAnswer
  trimmings: Trimmings
  schedule: ScheduleAnswer
  counter: CounterAnswer
  diagnose: DiagnoseAnswer
  table: TableAnswer
  leftovers: LeftoversAnswer
  tin: TinAnswer
  bake: BakeAnswer
  import: { recipes: ParsedRecipe[] }
  box: BoxAnswer
}

/** Where the handlers get what the core must not have by itself. */
export interface Surroundings {
  /** A clock. */
  now?: () => number
  /** A solver that was read in beforehand, for the verbs of `SOLVED`. */
  solve?: IntegerSolver
}
/** Verbs that want an integer solver in their surroundings. */
export const SOLVED: ReadonlySet<Verb> = new Set(['table'])

/** Checks a request against its verb's schema, and fills in the defaults that stand there. */
function checked<T>(verb: Verb, request: unknown): T {
  const schema: Joi.Schema = SCHEMAS[verb]
  const said = (request ?? {}) as { region?: unknown }
  const { value, error } = schema.validate(request ?? {}, { abortEarly: true, convert: false }) as { value: T; error?: Joi.ValidationError }
  if (!error) return said.region === undefined ? foundRegion(value) : value
  const detail = error.details[0]!
  throw new Refusal('bad-request', detail.message.replace(/"/g, '“').replace(/“([^“]*)“/g, '“$1”'), detail.path.join('.') || undefined)
}

/** Where no region was given, the page that was sent along shows whose kitchen it is. */
function foundRegion<T>(value: T): T {
  const request = value as { text?: unknown; recipe?: Recipe; region?: Region; home?: Region }
  if (typeof value !== 'object' || value === null || !('region' in value)) return value
  const page =
    typeof request.text === 'string'
      ? kitchenOf(request.text.slice(0, LONGEST_TEXT), request.home ? { home: request.home } : {}).used
      : undefined
  return { ...value, region: page ?? request.recipe?.region ?? request.home ?? request.region }
}

/** The recipe of a request, however it was given, with the questions of its reader. */
function recipeOf(request: Common): ParsedRecipe {
  if (request.text !== undefined) return readGiven(request.text, request.region)
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
  return { recipe: whole, questions: [], unknown: unknownLines(whole) }
}

/** One of the recipes at hand, however it was given. */
interface AtHand {
  id: string
  title: string
  recipe?: Recipe
  text?: string
  slices?: number
}
function atHand(given: readonly AtHand[], region: Region): { id: string; title: string; recipe: Recipe; slices?: number }[] {
  if (new Set(given.map((c) => c.id)).size < given.length)
    throw new Refusal('bad-request', 'Two candidates have the same id.', 'candidates')
  return given.map(({ text, recipe: structured, ...c }) => {
    const { recipe } = text !== undefined ? readGiven(text, region) : settled(structured!)
    return { ...c, title: c.title || recipe.title, recipe }
  })
}

const handlers: { [V in Verb]: (request: never, around: Surroundings) => Answers[V] } = {
  parse: (raw) => {
    const request = checked<Common>('parse', raw)
    const read = recipeOf(request)
    // The page's own kitchen is shown beside the one that was used.
    const shown = request.text === undefined ? read.region : { ...kitchenOf(request.text, {}), used: request.region }
    return { ...read, ...(shown && { region: shown }) }
  },

  method: (raw) => {
    const request = checked<Common>('method', raw)
    return readMethod(recipeOf(request).recipe, request.region)
  },

  balance: (raw) => {
    const request = checked<Common & { learned?: Lessons }>('balance', raw)
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
    const boxes = boxesForTins(recipe, request.region)
    return {
      ...balance,
      ...(boxes && { boxes }),
      crumb: predictCrumb(balance.metrics, balance.family, undefined, crumbShift(request.learned, balance.family)),
      cautions: cautionsOf(recipe, { needs: [], slices: balance.perSlice.slices }),
    }
  },

  ingredients: (raw) => {
    const request = checked<{ query: string; region: Region }>('ingredients', raw)
    return { ingredients: searchPantry(request.query).map((i) => ingredientAnswer(i, request.region)) }
  },

  reformulate: (raw, around) => {
    const found = ended(reformulateInSteps(raw, around))
    return { ...found, options: found.options.map((o) => ({ ...o, model: methodOf(o.recipe) })) }
  },

  nourish: (raw) => {
    const request = checked<Common & { slices?: number }>('nourish', raw)
    const { recipe } = recipeOf(request)
    const { metrics, perSlice } = balanceOf(recipe, request.family, request.altitudeM)
    const all = recipe.parts.flatMap((p) => p.lines).reduce((sum, l) => sum + l.grams.best, 0)
    // What the batter loses in the oven is water; all else is eaten as it is mixed.
    return nourish(recipe, request.slices ?? perSlice.slices, all - (metrics.batterGrams - metrics.bakedGrams))
  },

  line: (raw) => {
    const request = checked<{ text: string; region: Region }>('line', raw)
    return request.text.trim() ? readLine(request.text, request.region) : { lines: [], questions: [] }
  },

  scale: (raw) => {
    const request = checked<Common & { to: ScaleTo | { tins: (string | Tin)[] } }>('scale', raw)
    const { recipe } = recipeOf(request)
    const to: ScaleTo = 'tins' in request.to ? { tins: request.to.tins.map((t, i) => tinOf(t, `to.tins.${i}`)) } : request.to
    const factor = factorFor(recipe, to, request.region)
    const scaled = scaleRecipe(recipe, factor, request.region)
    return { factor, recipe: 'tins' in to ? { ...scaled, tins: [...to.tins] } : scaled }
  },

  tin: (raw) => {
    const request = checked<Common & Parameters<typeof answerTin>[0]>('tin', raw)
    return answerTin({ ...request, recipe: request.batterGrams === undefined ? recipeOf(request).recipe : undefined })
  },

  bake: (raw) => {
    const request = checked<Common & Parameters<typeof answerBake>[0]>('bake', raw)
    return answerBake({
      ...request,
      recipe: request.batterGrams === undefined ? recipeOf(request).recipe : undefined,
      ...(request.written && { written: settled(request.written).recipe }),
    })
  },

  frosting: (raw) => {
    const request = checked<Common & FrostingRequest>('frosting', raw)
    return frosting({ ...request, recipe: request.kind === undefined ? recipeOf(request).recipe : undefined })
  },

  amounts: (raw) => answerAmounts(checked('amounts', raw)),

  soak: (raw) => {
    const request = checked<Common & Parameters<typeof answerSoak>[0]>('soak', raw)
    return answerSoak({ ...request, recipe: request.cakeGrams === undefined ? recipeOf(request).recipe : undefined })
  },

  build: (raw) => {
    const request = checked<Common & BuildRequest>('build', raw)
    return answerBuild({ ...request, recipe: recipeOf(request).recipe })
  },

  trimmings: (raw) => {
    const { crumbGrams, binder, dough } = checked<{ crumbGrams: number; binder: Binder; dough: Dough }>('trimmings', raw)
    return trimmings(crumbGrams, binder, dough)
  },

  schedule: (raw) => {
    const request = checked<Common & ScheduleRequest>('schedule', raw)
    const bakes = request.bakes?.map((b) => ({ ...b, recipe: settled(b.recipe).recipe }))
    return answerSchedule({ ...request, bakes, recipe: request.activities || bakes ? undefined : recipeOf(request).recipe })
  },

  counter: (raw) => {
    const request = checked<Common & CounterRequest>('counter', raw)
    const components = request.components?.map((c) => ({ ...c, recipe: settled(c.recipe).recipe }))
    return counterOf({ ...request, ...(components && { components }), recipe: recipeOf(request).recipe })
  },

  diagnose: (raw, around) => {
    const request = checked<Common & DiagnoseRequest & { goals: Goal[]; avoid: string[] }>('diagnose', raw)
    const { recipe } = recipeOf(request)
    const oven = recipe.oven[0]
    const { region, altitudeM } = request
    return answerDiagnose(
      { ...request, recipe },
      () => {
        if (!oven || !recipe.tins.length) return null
        try {
          return handlers.bake(
            { recipe, region, altitudeM, oven: { celsius: oven.celsius, mode: oven.fan ? 'fan' : 'static' } } as never,
            around,
          )
        } catch (error) {
          // A tin or an oven that cannot be simulated says nothing of the bake; the rest of the evidence stands.
          if (error instanceof Refusal) return null
          throw error
        }
      },
      (nudge) => {
        const { goals, avoid, measures } = request
        const asked = { recipe, region, altitudeM, nudge, goals, avoid, limit: 1, ...(measures && { measures }) }
        return handlers.reformulate(asked as never, around).options[0] ?? null
      },
    )
  },

  table: (raw, { solve }) => {
    const request = checked<{ guests: Guests[]; candidates: AtHand[]; portions: number; region: Region; altitudeM: number }>('table', raw)
    const candidates = atHand(request.candidates, request.region).map((c): Candidate => ({
      ...c,
      slices: c.slices ?? balanceOf(c.recipe, undefined, request.altitudeM).perSlice.slices,
    }))
    if (!solve) throw new Refusal('no-solver', 'The solver for tables is not at hand.')
    return tableFor(request.guests, candidates, request.portions, solve)
  },

  leftovers: (raw) => answerLeftovers(checked<LeftoversRequest<AtHand>>('leftovers', raw), atHand),

  import: (raw) => {
    const request = checked<{ content: string; region: Region; home?: Region }>('import', raw)
    const said = (raw as { region?: Region } | undefined)?.region
    const kitchen: Kitchen = { ...(said && { region: said }), home: request.home ?? request.region }
    return { recipes: readMany(request.content, kitchen) }
  },

  uncertainty: (raw) => {
    const request = checked<Common & { tools: Tools; samples: number; learned?: Lessons }>('uncertainty', raw)
    const { recipe } = recipeOf(request)
    const { family } = balanceOf(recipe, request.family, request.altitudeM)
    return uncertaintyOf(recipe, family, request.tools, request.samples, request.altitudeM, request.learned?.cup)
  },

  box: (raw) => {
    const request = checked<{ label: Label; netGrams?: number }>('box', raw)
    return { ...estimated(request.label, 'label'), ...(request.netGrams !== undefined && { netGrams: request.netGrams }) }
  },
}

function* reformulateInSteps(raw: unknown, around: Surroundings): Steps<Reformulation> {
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
  return yield* reformulating({
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
}

/** An answer that comes in steps; `true` sent back makes it do with what it has. */
export type Steps<T> = Generator<Progress, T, boolean | undefined>

function ended<T>(steps: Steps<T>): T {
  let step = steps.next()
  while (!step.done) step = steps.next()
  return step.value
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

/**
 * Answers one request in steps, so that whoever asks may show how far it is, or stop it.
 *
 * Only a search takes long enough to have steps; every other verb answers at once. Between steps other requests may
 * be answered: the baker's own packets are in force only while a step runs.
 *
 * @throws Refusal where the request cannot be answered
 */
export function* answerInSteps<V extends Verb>(verb: V, request: unknown, around: Surroundings = {}): Steps<Answers[V]> {
  if (verb !== 'reformulate') return answer(verb, request, around)
  const given = request as Pick<Common, 'boxes' | 'own'> | undefined
  const own = given?.boxes?.length || given?.own?.length ? described(checked<Common>(verb, request)) : []
  const steps = reformulateInSteps(request, around)
  let stop: boolean | undefined
  for (;;) {
    const step = withIngredients(own, () => steps.next(stop))
    if (step.done) return step.value as Answers[V]
    stop = yield step.value
  }
}
