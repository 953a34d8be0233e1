import { balanceOf } from '../balance/balance'
import type { CakeFamily, Family } from '../balance/families'
import { massOf } from '../balance/mass'
import type { Measures } from '../measure/kitchen'
import { HARD_NEEDS, suits, type Allergen } from '../pantry/ingredient'
import { ingredientOf, need } from '../pantry/pantry'
import type { Recipe } from '../recipe/recipe'
import { SCHOOLS } from '../swaps/schools'
import { SUGAR_SAVERS } from '../swaps/sugar/sweeteners'
import { standInsFor } from '../swaps/standins'
import { forbidden, type Rules } from './allowed'
import { assemble, type Ask } from './assemble'
import { hardNeeds, slotsOf, type Asked } from './choices'
import type { Goal } from './goals'
import { finisher } from './finish'
import { measuresOf } from './lines'
import { objective } from './objective'
import type { Option, Reformulation } from './option'
import { buildProblem, type Problem } from './problem'
import { roundToKitchen } from './round'
import { combinationOf, search } from './search'
import { isPaste, isMeringue, situationOf, withoutEgg, type Situation } from './situation'
import { solve } from './solve'
import { draft, type Combination, type Draft, type Limits } from './variables'

export interface ReformulateRequest extends Asked {
  recipe: Recipe
  measures?: Measures
  avoid: readonly string[]
  have: readonly (string | { ingredient: string; grams: number })[]
  pin: Readonly<Record<string, number | 'keep'>>
  limit: number
  family?: CakeFamily
  altitudeM?: number
  /** Milliseconds now; the core has no clock of its own. */
  now?: () => number
}

/** How far a search has come. */
export interface Progress {
  /** Combinations tried so far. */
  tried: number
  /** Answers so far, the best first. */
  options: Option[]
}

/** Costs beside the balance, in tolerances squared. */
export const STANDING_COST = 5
export const BALANCE_COST = 3
/** What a place further down the list of stand-ins costs. */
const LATER = 0.6
/** Solved combinations that are worth rounding, as a multiple of the options asked for. */
const ROUND_MORE = 1.35

interface Solved {
  combination: Combination
  draft: Draft
  problem: Problem
  optimum: Float64Array
  cost: number
}

/** Finds ways to change a recipe, in one go: see `reformulating`. */
export function reformulate(request: ReformulateRequest): Reformulation {
  const steps = reformulating(request)
  let step = steps.next()
  while (!step.done) step = steps.next()
  return step.value
}

/**
 * Finds ways to change a recipe so that its needs are met and its balance holds.
 *
 * Every combination of schools is a convex quadratic programme over all amounts together; the best are rounded to
 * kitchen measures inside the programme, judged again from their real amounts, and ranked by what they cost.
 *
 * It pauses after every combination and every answer, so that its caller can show them, or send `true` to make it
 * stop with what there is.
 */
export function* reformulating(request: ReformulateRequest): Generator<Progress, Reformulation, boolean | undefined> {
  const now = request.now ?? (() => 0)
  const started = now()
  const rules: Rules = { needs: hardNeeds(request.goals), avoid: request.avoid }
  const situation = situationOf(request.recipe, request.family, request.altitudeM)
  const limits: Limits = {
    pin: request.pin,
    most: new Map(request.have.flatMap((h) => (typeof h === 'string' ? [] : [[h.ingredient, h.grams] as const]))),
  }
  const ask: Ask = {
    rules,
    goals: request.goals,
    region: request.region,
    measures: request.measures ?? measuresOf(request.recipe, request.region),
    have: new Set(request.have.map((h) => (typeof h === 'string' ? h : h.ingredient))),
    altitudeM: request.altitudeM ?? 0,
  }
  const eggsGo = situation.eggGrams > 0 && eggsMustGo(situation, request, rules)
  const family = eggsGo ? withoutEgg(situation) : situation.family
  const { slots, blocked } = slotsOf(situation, rules, request, eggsGo, family)
  const finish = (
    options: Option[],
    impossible: Reformulation['impossible'],
    combinations: number,
    solvedCount: number,
  ): Reformulation => ({
    options,
    impossible,
    timing: { ms: Math.round((now() - started) * 10) / 10, combinations, solved: solvedCount },
  })
  blocked.push(...pinnedAgainst(situation, rules, limits))
  if (blocked.length) return finish([], { because: blocked, nearest: null }, 0, 0)
  const sugarAsked = request.goals.length > 0 && request.goals.every((g) => ['less-sugar', 'less-sweet', 'sugar-swap'].includes(g))
  const nothingToDo = (slots.length === 0 && request.goals.length + request.avoid.length > 0) || (sugarAsked && unsweetened(situation))
  const own = balanceOf(request.recipe, request.family).findings
  /** Faults that no need brought: they rule nothing out, and are said of the answer as of the recipe. */
  const already = new Set(own.filter((f) => f.severity === 'fault').map((f) => f.code))
  // Who asks for nothing and has a good recipe gets it back.
  const content =
    slots.length === 0 &&
    request.goals.length + request.avoid.length + Object.keys(request.pin).length === 0 &&
    !request.altitudeM &&
    !own.some((f) => f.severity !== 'note')
  if (nothingToDo || content) return finish([keepAll(situation, ask)], null, 1, 0)

  const sweetBeside = situation.places.some((p) => !p.inBatter && p.ingredient.kind === 'sugar' && p.grams > 0)
  const solved: Solved[] = []
  const work = (combination: Combination, held = false): Solved | undefined => {
    const how = { balancing: slots.length === 0, held, faulty: already.size > 0 }
    const d =
      draft(situation, combination, rules, limits, eggsGo, family, how) ??
      // A box or a sweetened cake holds its own sugar: what can be taken away is in the icing.
      (sweetBeside
        ? draft(
            situation,
            { ...combination, changes: combination.changes.filter((c) => c.change.slot !== 'sugar') },
            rules,
            limits,
            eggsGo,
            family,
            { held },
          )
        : undefined)
    if (!d) return undefined
    const problem = buildProblem({
      family: d.family,
      variables: d.variables,
      fixed: d.fixed,
      before: situation.metrics,
      liftBefore: situation.seaLift,
      moved: d.family !== situation.family,
      trusted: slots.length > 0,
      paste: isPaste(situation.mix),
      wishes: d.wishes,
      bands: d.bands,
      altitudeM: ask.altitudeM,
    })
    const optimum = solve(problem)
    if (!optimum) return undefined
    const cost = BALANCE_COST * Math.sqrt(objective(problem, optimum)) + STANDING_COST * standingOf(combination, situation.family, request)
    return { combination, draft: d, problem, optimum, cost }
  }
  const trying = search(slots, (picks) => {
    const found = work(combinationOf(picks))
    if (found) solved.push(found)
    return found?.cost
  })
  let stopped: boolean | undefined = false
  let step = trying.next()
  while (!step.done) {
    stopped ||= yield { tried: step.value, options: [] }
    step = trying.next(stopped)
  }
  const judged = step.value
  spread(solved, 'cost', (s) => mainSetOf(s.combination))
  const finishes = finisher(situation, { rules, limits, ask, eggsGo, family })
  const seen = new Set<string>()
  const options: (Option & { mainSet: string })[] = []
  const worded = (s: Solved): Option | undefined => {
    const rounded = roundToKitchen(s.problem, s.optimum, ask.measures, request.region)
    const cost = BALANCE_COST * Math.sqrt(rounded.cost) + STANDING_COST * standingOf(s.combination, situation.family, request)
    const finished = finishes(s.combination)
    return finished && assemble(situation, { ...s, rounded, finishes: finished, cost }, ask)
  }
  for (const s of solved) {
    // Who stops a search gets the best that it had found.
    if (options.length >= Math.ceil(request.limit * ROUND_MORE) || (stopped && options.length)) break
    const key = setOf(s.combination)
    if (seen.has(key)) continue
    seen.add(key)
    const option = worded(s)
    if (!option) continue
    if (!request.schools.use.length || option.schools.some((id) => request.schools.use.includes(id)))
      options.push({ ...option, mainSet: mainSetOf(s.combination) })
    stopped ||= yield { tried: judged, options: [...options].sort((a, b) => a.score - b.score).map(withoutMainSet) }
  }
  spread(options, 'score', (o) => o.mainSet)
  // "As near to yours as the need allows" is always among the answers: a way that is not the first keeps sugar and fat.
  if (
    request.goals.every((g) => (HARD_NEEDS as readonly string[]).includes(g)) &&
    options.length > 1 &&
    !stopped &&
    !options.some(isNear)
  ) {
    const ways = solved.filter((s) => options.some((o, i) => i > 0 && o.mainSet === mainSetOf(s.combination))).slice(0, NEAR_TRIES)
    let best: (Option & { mainSet: string }) | undefined
    for (const s of ways) {
      const found = work(s.combination, true)
      const near = found && worded(found)
      if (!near || near.findings.some((f) => f.severity === 'fault')) continue
      const sound = near.findings.every((f) => f.severity === 'note')
      if (sound || !best) best = { ...near, mainSet: mainSetOf(s.combination) }
      if (sound) break
    }
    if (best) {
      options.splice(
        options.findIndex((o, i) => i > 0 && o.mainSet === best.mainSet),
        1,
        { ...best, title: `${best.title}, ${REST_AS_YOURS}` },
      )
      options.sort((a, b) => a.score - b.score)
    }
  }
  options.forEach((o, i) => (o.id = `way-${i + 1}`))

  const because = eggsGo ? hopeless(situation) : []
  const sound = options.filter((o) => !o.findings.some((f) => f.severity === 'fault' && !already.has(f.code)))
  const asks = slots.length > 0
  if (because.length || (options.length > 0 && sound.length === 0 && asks)) {
    const best = options[0] ? withoutMainSet(options[0]) : null
    const faults = best?.findings.filter((f) => f.severity === 'fault').map((f) => ({ code: f.code, message: f.message })) ?? []
    return finish([], { because: because.length ? because : faults, nearest: best }, judged, solved.length)
  }
  if (!options.length) return finish([], { because: whyNone(request), nearest: keepAll(situation, ask) }, judged, solved.length)
  const best = sound.length ? [...sound, ...options.filter((o) => !sound.includes(o))] : options
  const shown = best.slice(0, request.limit)
  const near = best.find((o) => o.title.endsWith(REST_AS_YOURS))
  if (near && !shown.includes(near) && shown.length > 1) shown[shown.length - 1] = near
  return finish(shown.map(withoutMainSet), null, judged, solved.length)
}

function eggsMustGo(s: Situation, request: ReformulateRequest, rules: Rules): boolean {
  return (
    s.places.some((p) => p.inBatter && p.ingredient.kind === 'egg' && forbidden(p.ingredient, rules)) ||
    request.schools.use.some((id) => SCHOOLS.some((x) => x.id === id))
  )
}

/** What the baker holds and a need rules out: one of the two must give way. */
function pinnedAgainst(s: Situation, rules: Rules, limits: Limits): { code: string; message: string }[] {
  return Object.entries(limits.pin).flatMap(([id, amount]) => {
    const i = ingredientOf(id)
    const held = amount === 'keep' ? s.places.some((p) => p.ingredient.id === id) : amount > 0
    if (!i || !held || !forbidden(i, rules)) return []
    const by = [
      ...rules.needs.filter((n) => suits(i, n) === 'never'),
      ...rules.avoid.filter((a) => a === id || i.contains?.includes(a as Allergen)),
    ]
    return [
      {
        code: 'pinned',
        message: `You hold ${i.names[0]}, which ${by.join(' and ') || 'what is asked'} rules out: let go of one of the two.`,
      },
    ]
  })
}

/** No sugar, syrup or sweetened thing in it: there is nothing to take less of. */
const unsweetened = (s: Situation): boolean =>
  s.places.every((p) => {
    if (['fruit', 'dairy', 'plant-dairy'].includes(p.ingredient.kind)) return !/condensed|dulce|sweetened/.test(p.ingredient.id)
    const { sucrose = 0, glucose = 0, fructose = 0, maltose = 0 } = p.ingredient.per100
    return sucrose + glucose + fructose + maltose < SWEET_FROM
  })
/** From this share of sugar on an ingredient is a sweet one, per cent: bitter chocolate has a tenth. */
const SWEET_FROM = 15

/** What costs an answer that its shops do not sell. */
const NOT_SOLD = 2
/** Who asks for less sugar is told first to take less, then what else sweetens. */
const SECOND_TO_LESS = 2

const standingOf = (c: Combination, family: Family, request: ReformulateRequest): number =>
  (c.egg && !c.egg.surestIn?.includes(family) ? c.egg.standing : 0) +
  c.changes.reduce(
    (sum, { change }) =>
      sum +
      change.standing +
      (change.soldIn && !change.soldIn.includes(request.region) ? NOT_SOLD : 0) +
      (request.goals.includes('less-sugar') && SUGAR_SAVERS.some((x) => x.id === change.id) ? SECOND_TO_LESS : 0),
    0,
  ) +
  // Stand-ins are listed as bakers rank them.
  LATER * [...c.standIns].reduce((sum, [id, t]) => sum + Math.max(0, standInsFor(need(id)).indexOf(t)), 0)

/** What makes an option distinct: its set of schools, whatever brand of milk goes with it. */
function setOf(c: Combination): string {
  const ids = [c.egg?.id, ...c.changes.map((x) => x.change.id), ...[...c.standIns.values()].map((t) => t.school)]
  return [...new Set(ids.filter(Boolean))].sort().join('+')
}

/** The schools that a baker would tell two answers apart by; another plant fat makes no other cake. */
const mainSetOf = (c: Combination): string => [c.egg?.id, ...c.changes.map((x) => x.change.id ?? x.change.title)].join('+')

function withoutMainSet({ mainSet, ...option }: Option & { mainSet: string }): Option {
  void mainSet
  return option
}

/** Ways that are tried for it: the likeliest. */
const NEAR_TRIES = 5
const REST_AS_YOURS = 'sugar and fat as yours'
/** A sum that moved by less than this share is as it was. */
const AS_IT_WAS = 0.1
const KEPT_KINDS: readonly (readonly string[])[] = [['sugar', 'syrup'], ['fat']]

/** Whether the sugar and the fat of an answer are what the baker's were. */
const isNear = (o: Option): boolean =>
  KEPT_KINDS.every((kinds) => {
    const of = (which: 'from' | 'to') => o.lines.reduce((g, l) => (kinds.includes(need(l.ingredient).kind) ? g + l[which] : g), 0)
    return Math.abs(of('to') - of('from')) <= AS_IT_WAS * of('from')
  })

/** A near-copy of a better answer stands behind answers that are worse by this much. */
const NEAR_COPY = 4

/** Sorts by a cost to which every better one of the same main schools has added. */
function spread<T, K extends keyof T>(list: T[], cost: T[K] extends number ? K : never, mainSet: (x: T) => string): void {
  const of = (x: T) => x[cost] as number
  list.sort((a, b) => of(a) - of(b))
  const before = new Map<string, number>()
  for (const x of list) {
    const copies = before.get(mainSet(x)) ?? 0
    before.set(mainSet(x), copies + 1)
    ;(x[cost] as number) = Math.round((of(x) + NEAR_COPY * copies) * 100) / 100
  }
  list.sort((a, b) => of(a) - of(b))
}

/** A cake that is hardly anything but egg foam has no eggless form worth the name (science §4). */
const FOAM_ONLY_EGG = 230
const FOAM_ONLY_FAT = 12
/** A chocolate cake with less flour than this and more egg than that is set by egg alone, shares of the batter. */
const NO_FLOUR = 0.04
const ALL_EGG = 0.18

function hopeless(s: Situation): { code: string; message: string }[] {
  const { eggPct = 0, fatPct = 0 } = s.metrics
  if (s.family === 'foam' && eggPct > FOAM_ONLY_EGG && fatPct < FOAM_ONLY_FAT && !isMeringue(s.mix))
    return [
      {
        code: 'foam-is-all',
        message:
          'This cake is little else than egg foam with some flour to set it. Without egg there is no such cake: nothing else whips up, sets in the oven and stays up.',
      },
    ]
  if (s.family === 'flourless-chocolate' && s.mix.mass.flour < NO_FLOUR * s.mix.mass.total && s.eggGrams > ALL_EGG * s.mix.mass.total)
    return [
      {
        code: 'egg-is-all',
        message:
          'Nothing but egg sets this cake: there is no flour in it to hold. Without egg it stays a cream; start from a brownie with flour instead.',
      },
    ]
  return []
}

/** What there may be none of, by the goal that would take it away. */
const NOTHING_TO_TAKE: Partial<Record<Goal, { code: string; message: string }>> = {
  'low-fat': {
    code: 'no-added-fat',
    message: 'There is no added fat in it to take away: what fat there is comes with the eggs, the nuts or the chocolate.',
  },
  'less-sugar': {
    code: 'no-added-sugar',
    message: 'There is no added sugar in it to take away: what is sweet comes with something that it needs.',
  },
  'less-sweet': {
    code: 'no-added-sugar',
    message: 'There is no added sugar in it to take away: what is sweet comes with something that it needs.',
  },
  'sugar-swap': { code: 'no-added-sugar', message: 'There is no added sugar in it that another could take the place of.' },
  'no-added-leavener': { code: 'no-leavener', message: 'There is no leavener in it to leave out.' },
}

function whyNone(request: ReformulateRequest): { code: string; message: string }[] {
  const named = request.goals.flatMap((g) => NOTHING_TO_TAKE[g] ?? [])
  if (named.length && !Object.keys(request.pin).length) return named
  return [{ code: 'no-school', message: 'No school fits these needs and limits: loosen a pin, a limit or the list of what to avoid.' }]
}

/** A recipe that already does what is asked comes back whole. */
function keepAll(s: Situation, ask: Ask): Option {
  const variables: Draft['variables'] = s.places
    .filter((p) => p.main)
    .map((p) => ({
      key: p.key,
      ingredient: p.ingredient,
      melted: s.signs.melted,
      from: p.grams,
      start: p.grams,
      low: p.grams,
      high: p.grams,
      give: 1,
      fixed: true,
      replaces: [],
      why: [],
    }))
  const problem = buildProblem({ family: s.family, variables, fixed: massOf([]), before: s.metrics, moved: false, wishes: {} })
  const grams = Float64Array.from(variables, (v) => v.from)
  const option = assemble(
    s,
    {
      combination: { standIns: new Map(), changes: [] },
      draft: { variables, fixed: massOf([]), family: s.family, removed: new Map(), wishes: {}, bands: {}, brought: new Map() },
      problem,
      rounded: { grams, texts: variables.map(() => null), cost: 0, unrounded: 0 },
      finishes: [],
      cost: 0,
    },
    ask,
  )
  // What nobody knows can never be vouched for.
  return { ...option, id: 'way-1', title: option.unknown.length ? 'Nothing to change that we know of' : 'Already as wished' }
}
