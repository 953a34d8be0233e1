import { dietsOf, pureeShare } from '../balance/balance'
import type { CakeFamily, Family } from '../balance/families'
import { findingsOf, type Finding } from '../balance/findings'
import { massOf, type Dose } from '../balance/mass'
import { metricsOf, modelOf } from '../balance/metrics'
import { missingIn } from '../balance/missing'
import { isCake } from '../balance/metrics'
import { cautionsFor } from '../care/cautions'
import { predictCrumb } from '../crumb/predict'
import type { Measures } from '../measure/kitchen'
import type { Region } from '../measure/region'
import { HARD_NEEDS, type HardNeed } from '../pantry/ingredient'
import { ingredientOf, nameOf, need } from '../pantry/pantry'
import type { Recipe } from '../recipe/recipe'
import type { SchoolId } from '../swaps/ids'
import { SCHOOLS } from '../swaps/schools'
import { EGG_OUTSIDE_BATTER, STAND_INS, type StandIn } from '../swaps/standins'
import { forbidden, labelChecks, type Rules } from './allowed'
import type { Goal } from './goals'
import { handOver } from './handover'
import { kitchenOf, measuresOf, newLine, ownMeasure } from './lines'
import type { Option, OptionLine, Reformulation } from './option'
import { buildProblem, type Problem } from './problem'
import { rewriteMethod } from './rewrite'
import { roundToKitchen, type Rounded } from './round'
import { situationOf, withoutEgg, type Place, type Situation } from './situation'
import { solve } from './solve'
import { objective } from './objective'
import { draft, RAISED, type Combination, type Draft, type Limits } from './variables'

export interface ReformulateRequest {
  recipe: Recipe
  goals: readonly Goal[]
  region: Region
  measures?: Measures
  avoid: readonly string[]
  have: readonly (string | { ingredient: string; grams: number })[]
  pin: Readonly<Record<string, number | 'keep'>>
  schools: { use: readonly SchoolId[]; exclude: readonly SchoolId[] }
  limit: number
  family?: CakeFamily
  /** Milliseconds now; the core has no clock of its own. */
  now?: () => number
  /** Called between combinations; return `true` to stop with what there is. */
  stopped?: () => boolean
}

/** Costs beside the balance, in tolerances squared. */
const FAULT_COST = 60
const CAUTION_COST = 7
const UNDONE_COST = 2.5
/** Of a school's standing; the balance counts by its root, so that a near miss and a miss lie apart but do not drown the rest. */
const STANDING_COST = 3
const BALANCE_COST = 3
const BUY_COST = 0.55
/** Solved combinations that are worth rounding, as a multiple of the options asked for. */
const ROUND_MORE = 1.35
/** A batter with less sugar and flour than this is nothing to bind. */
const EGG_GOALS: readonly Goal[] = ['eggless', 'vegan']

interface Solved {
  combination: Combination
  draft: Draft
  problem: Problem
  optimum: Float64Array
  cost: number
}

/**
 * Finds ways to change a recipe so that its needs are met and its balance holds.
 *
 * Every combination of schools is a convex quadratic programme over all amounts together; the best are rounded to
 * kitchen measures inside the programme, judged again from their real amounts, and ranked by what they cost.
 */
export function reformulate(request: ReformulateRequest): Reformulation {
  const now = request.now ?? (() => 0)
  const started = now()
  const needs = request.goals.filter((g): g is HardNeed => (HARD_NEEDS as readonly string[]).includes(g))
  const rules: Rules = { needs, avoid: request.avoid }
  const situation = situationOf(request.recipe, request.family)
  const measures = request.measures ?? measuresOf(request.recipe, request.region)
  const limits: Limits = {
    pin: request.pin,
    most: new Map(request.have.flatMap((h) => (typeof h === 'string' ? [] : [[h.ingredient, h.grams] as const]))),
  }
  const have = new Set(request.have.map((h) => (typeof h === 'string' ? h : h.ingredient)))
  const insisted = request.schools.use.filter((id) => SCHOOLS.some((s) => s.id === id))
  const eggForbidden = situation.places.some((p) => p.inBatter && p.ingredient.kind === 'egg' && forbidden(p.ingredient, rules))
  const eggsGo =
    situation.eggGrams > 0 &&
    (eggForbidden || request.goals.some((g) => EGG_GOALS.includes(g)) || (request.goals.length === 0 && insisted.length > 0))
  const finish = (options: Option[], impossible: Reformulation['impossible'], combinations: number, solved: number): Reformulation => ({
    options,
    impossible,
    timing: { ms: Math.round((now() - started) * 10) / 10, combinations, solved },
  })

  const breaking = situation.places.filter((p) => forbidden(p.ingredient, rules))
  const nothingToDo = !eggsGo && breaking.length === 0 && request.goals.length > 0
  if (nothingToDo) return finish([keepAll(situation, request, rules, measures)], null, 1, 0)

  const blocked: { code: string; message: string }[] = []
  const menus = standInMenus(situation, rules, eggsGo, blocked, request)
  const family = eggsGo ? withoutEgg(situation.family) : situation.family
  const eggSchools = eggsGo
    ? SCHOOLS.filter(
        (s) =>
          s.slot === 'egg' &&
          (!s.raisedOnly || RAISED.includes(family)) &&
          !request.schools.exclude.includes(s.id) &&
          (!insisted.length || insisted.includes(s.id)),
      )
    : [undefined]
  if (blocked.length) return finish([], { because: blocked, nearest: null }, 0, 0)
  const combinations: Combination[] = []
  for (const egg of eggSchools) for (const standIns of crossed(menus)) combinations.push({ egg, standIns })

  const solved: Solved[] = []
  for (const combination of combinations) {
    if (request.stopped?.()) break
    const d = draft(situation, combination, rules, limits, eggsGo, family)
    if (!d) continue
    const problem = buildProblem({
      family,
      variables: d.variables,
      fixed: d.fixed,
      before: situation.metrics,
      moved: family !== situation.family,
      wishes: {},
    })
    const optimum = solve(problem)
    if (!optimum) continue
    solved.push({
      combination,
      draft: d,
      problem,
      optimum,
      cost: BALANCE_COST * Math.sqrt(objective(problem, optimum)) + STANDING_COST * (combination.egg?.standing ?? 0),
    })
  }
  solved.sort((a, b) => a.cost - b.cost)
  const seen = new Set<string>()
  const options: Option[] = []
  for (const s of solved) {
    if (options.length >= Math.ceil(request.limit * ROUND_MORE) || request.stopped?.()) break
    const rounded = roundToKitchen(s.problem, s.optimum, measures, request.region)
    const option = describe(situation, s, rounded, request, rules, measures, have)
    const set = [...option.schools].sort().join('+')
    if (seen.has(set)) continue
    seen.add(set)
    options.push(option)
  }
  options.sort((a, b) => a.score - b.score)
  options.forEach((o, i) => (o.id = `way-${i + 1}`))

  const because = eggsGo ? hopeless(situation) : []
  const sound = options.filter((o) => !o.findings.some((f) => f.severity === 'fault'))
  if (because.length || (options.length > 0 && sound.length === 0 && eggsGo)) {
    const best = options[0] ?? null
    const faults = best?.findings.filter((f) => f.severity === 'fault').map((f) => ({ code: f.code, message: f.message })) ?? []
    return finish([], { because: because.length ? because : faults, nearest: best }, combinations.length, solved.length)
  }
  if (!options.length)
    return finish(
      [],
      {
        because: [
          { code: 'no-school', message: 'No school fits these needs and limits: loosen a pin, a limit or the list of what to avoid.' },
        ],
        nearest: null,
      },
      combinations.length,
      solved.length,
    )
  return finish(
    (sound.length ? [...sound, ...options.filter((o) => !sound.includes(o))] : options).slice(0, request.limit),
    null,
    combinations.length,
    solved.length,
  )
}

/** A cake that is hardly anything but egg foam has no eggless form worth the name (science §4). */
const FOAM_ONLY_EGG = 230
const FOAM_ONLY_FAT = 12

function hopeless(s: Situation): { code: string; message: string }[] {
  const { eggPct = 0, fatPct = 0 } = s.metrics
  if (s.family === 'foam' && eggPct > FOAM_ONLY_EGG && fatPct < FOAM_ONLY_FAT)
    return [
      {
        code: 'foam-is-all',
        message:
          'This cake is little else than egg foam with some flour to set it. Without egg there is no such cake: nothing else whips up, sets in the oven and stays up.',
      },
    ]
  return []
}

/** For each forbidden ingredient its possible stand-ins; ingredients with the same table choose together. */
function standInMenus(
  s: Situation,
  rules: Rules,
  eggsGo: boolean,
  blocked: { code: string; message: string }[],
  request: ReformulateRequest,
): Map<readonly StandIn[], string[]> {
  const menus = new Map<readonly StandIn[], string[]>()
  const byTable = new Map<readonly StandIn[], readonly StandIn[]>()
  for (const p of s.places) {
    if (!forbidden(p.ingredient, rules)) continue
    if (p.ingredient.kind === 'egg' && p.inBatter && eggsGo) continue
    const table =
      (p.ingredient.kind === 'egg' && !p.inBatter ? EGG_OUTSIDE_BATTER[p.ingredient.id] : undefined) ?? STAND_INS[p.ingredient.id] ?? []
    let allowed = byTable.get(table)
    if (!allowed) {
      allowed = table.filter(
        (t) => t.brings.every((b) => !forbidden(need(b.ingredient), rules)) && !(t.school && request.schools.exclude.includes(t.school)),
      )
      byTable.set(table, allowed)
    }
    if (!allowed.length) {
      blocked.push({
        code: 'no-stand-in',
        message: `Nothing in the pantry can take the place of ${nameOf(p.ingredient, request.region)} under these needs.`,
      })
      continue
    }
    const ids = menus.get(allowed) ?? []
    if (!ids.includes(p.ingredient.id)) ids.push(p.ingredient.id)
    menus.set(allowed, ids)
  }
  return menus
}

function crossed(menus: Map<readonly StandIn[], string[]>): ReadonlyMap<string, StandIn>[] {
  let all: Map<string, StandIn>[] = [new Map()]
  for (const [choices, ids] of menus)
    all = all.flatMap((base) =>
      choices.map((choice) => {
        const next = new Map(base)
        for (const id of ids) next.set(id, choice)
        return next
      }),
    )
  return all
}

interface Outcome {
  key: string
  ingredient: string
  from: number
  to: number
  kitchen: string | null
  replaces: string[]
  why: { code: string; message: string }[]
}

function describe(
  s: Situation,
  solved: Solved,
  rounded: Rounded,
  request: ReformulateRequest,
  rules: Rules,
  measures: Measures,
  have: ReadonlySet<string>,
): Option {
  const { variables } = solved.problem
  const outcomes = variables.map((v, i): Outcome => ({
    key: v.key,
    ingredient: v.ingredient.id,
    from: v.from,
    to: rounded.grams[i]!,
    kitchen: rounded.texts[i]!,
    replaces: v.replaces,
    why: v.why,
  }))
  const egg = solved.combination.egg
  return assemble(
    s,
    outcomes,
    solved.draft.removed,
    solved.draft.family,
    solved.combination,
    request,
    rules,
    measures,
    have,
    BALANCE_COST * Math.sqrt(rounded.cost) + STANDING_COST * (egg?.standing ?? 0),
  )
}

const REASON_DIRECTION = (from: number, to: number): string => (to > from ? 'more' : 'less')

/** Why an amount of what the recipe already had moved, in a baker's words. */
function reasonFor(ingredient: string, from: number, to: number, egg: boolean): { code: string; message: string } {
  const kind = ingredientOf(ingredient)?.kind
  const way = REASON_DIRECTION(from, to)
  if (kind === 'fat')
    return way === 'less'
      ? { code: 'less-to-hold', message: 'less to hold, since less sets the crumb' }
      : { code: 'tenderness', message: 'a little more, to keep it tender' }
  if (kind === 'sugar' || kind === 'syrup')
    return way === 'less'
      ? { code: 'sets-in-time', message: 'less, so that it sets before it sinks' }
      : { code: 'sweetness', message: 'more, to keep it as sweet' }
  if (kind === 'leavener')
    return way === 'more'
      ? { code: 'lift', message: egg ? 'more, since no foam carries it' : 'to bring the lift into range' }
      : { code: 'lift', message: 'less, since other gas takes over' }
  if (kind === 'flour' || kind === 'starch')
    return { code: 'structure', message: way === 'more' ? 'more flour to hold what the eggs held' : 'a little less, to keep it moist' }
  if (kind === 'acid') return { code: 'acid', message: 'to meet the soda' }
  return { code: 'moisture', message: way === 'more' ? 'more, for the water that left' : 'less, since others bring water' }
}

function assemble(
  s: Situation,
  outcomes: Outcome[],
  removed: ReadonlySet<string>,
  family: Family,
  combination: Combination,
  request: ReformulateRequest,
  rules: Rules,
  measures: Measures,
  have: ReadonlySet<string>,
  cost: number,
): Option {
  const { region } = request
  const egg = combination.egg
  const lines: OptionLine[] = []
  const recipe: Recipe = structuredCloneRecipe(s.recipe)
  recipe.parts.forEach((p) => (p.lines = []))
  const byKey = new Map(outcomes.map((o) => [o.key, o]))
  const added = outcomes.filter((o) => o.key.startsWith('+') && o.to > 0)
  let addedPlaced = false
  const name = (id: string) => nameOf(need(id), region)
  const placeAdded = (part: number) => {
    if (addedPlaced) return
    addedPlaced = true
    for (const o of added) {
      const kitchen = o.kitchen ?? kitchenOf(o.ingredient, o.to, measures, region)
      lines.push({
        part: s.recipe.parts[part]!.name,
        partIndex: part,
        ingredient: o.ingredient,
        name: name(o.ingredient),
        from: 0,
        to: round1(o.to),
        kitchen,
        was: '',
        status: 'added',
        replaces: [...new Set(o.replaces)],
        why: o.why,
      })
      recipe.parts[part]!.lines.push(newLine(o.ingredient, o.to, kitchen, region, { prep: null }))
    }
  }
  const placesByKey = new Map(s.places.map((p) => [p.key, p]))
  s.recipe.parts.forEach((part, p) => {
    part.lines.forEach((line, index) => {
      const key = `${p}:${index}`
      const place = placesByKey.get(key)
      if (!place) {
        recipe.parts[p]!.lines.push({ ...line })
        return
      }
      const { ingredient } = place
      const was = ownMeasure(line)
      const base = {
        part: part.name,
        partIndex: p,
        ingredient: ingredient.id,
        name: line.named || name(ingredient.id),
        from: round1(place.grams),
        was,
      }
      if (!place.inBatter) {
        outsideBatter(place, base)
        return
      }
      const o = byKey.get(key)
      if (removed.has(key) || !o) {
        lines.push({
          ...base,
          to: 0,
          kitchen: '',
          status: 'removed',
          replaces: [],
          why: [{ code: 'need', message: reasonGone(place, rules) }],
        })
        placeAdded(p)
        return
      }
      const same = Math.abs(o.to - o.from) < Math.max(0.05, 0.004 * o.from)
      if (same) {
        lines.push({ ...base, to: round1(o.from), kitchen: was, status: 'kept', replaces: [], why: [] })
        recipe.parts[p]!.lines.push({ ...line })
      } else if (o.to <= 0) {
        lines.push({
          ...base,
          to: 0,
          kitchen: '',
          status: 'removed',
          replaces: [],
          why: [reasonFor(ingredient.id, o.from, 0, Boolean(egg))],
        })
      } else {
        const kitchen = o.kitchen ?? kitchenOf(ingredient.id, o.to, measures, region)
        const why = [...o.why, reasonFor(ingredient.id, o.from, o.to, Boolean(egg))]
        lines.push({ ...base, to: round1(o.to), kitchen, status: 'changed', replaces: [...new Set(o.replaces)], why })
        recipe.parts[p]!.lines.push(newLine(ingredient.id, o.to, kitchen, region, line))
      }
    })
  })
  if (added.length && !addedPlaced) placeAdded(s.places.find((p) => p.inBatter)?.part ?? 0)

  function outsideBatter(place: Place, base: Pick<OptionLine, 'part' | 'partIndex' | 'ingredient' | 'name' | 'from' | 'was'>) {
    const standIn = combination.standIns.get(place.ingredient.id)
    if (!standIn) {
      lines.push({ ...base, to: round1(place.grams), kitchen: base.was, status: 'kept', replaces: [], why: [] })
      recipe.parts[place.part]!.lines.push({ ...place.line })
      return
    }
    lines.push({ ...base, to: 0, kitchen: '', status: 'removed', replaces: [], why: [{ code: 'need', message: reasonGone(place, rules) }] })
    for (const b of standIn.brings) {
      const grams = place.grams * b.ratio
      const kitchen = kitchenOf(b.ingredient, grams, measures, region)
      lines.push({
        part: base.part,
        partIndex: base.partIndex,
        ingredient: b.ingredient,
        name: name(b.ingredient),
        from: 0,
        to: round1(grams),
        kitchen,
        was: '',
        status: 'added',
        replaces: [place.ingredient.id],
        why: [{ code: 'stand-in', message: standIn.why }],
      })
      recipe.parts[place.part]!.lines.push(newLine(b.ingredient, grams, kitchen, region, { prep: place.line.prep }))
    }
  }

  // What is judged is what the kitchen will weigh, not what the programme wanted.
  const batter = outcomes.filter((o) => o.to > 0)
  const doses: Dose[] = batter.map((o) => ({ ingredient: o.ingredient, grams: o.to, melted: s.signs.melted }))
  const mass = massOf(doses)
  const metrics = metricsOf(mass, family)
  const part = s.mix.name
  const findings: Finding[] = findingsOf(
    mass,
    metrics,
    family,
    { ...s.signs, whipped: s.signs.whipped && (!egg || Boolean(egg.foams)) },
    part,
    pureeShare(doses, mass.total),
  )
  if (isCake(family)) findings.push(...missingIn({ ...recipe, method: [] }, mass, family, part))
  const changes = new Map<string, { ingredient: string; from: number; to: number }>()
  for (const l of lines) {
    if (!s.recipe.parts[l.partIndex] || !isBatterPart(s, l.partIndex)) continue
    const c = changes.get(l.ingredient) ?? { ingredient: l.ingredient, from: 0, to: 0 }
    c.from += l.from
    c.to += l.to
    changes.set(l.ingredient, c)
  }
  const { handover, undone } = handOver([...changes.values()])
  const replaced = lines
    .filter((l) => l.status === 'added')
    .flatMap((l) => l.replaces.filter((r) => !r.startsWith('egg-')).map((from) => ({ from, to: l.ingredient })))
  const method = rewriteMethod(s.recipe.method, {
    region,
    egg,
    added: lines
      .filter((l) => l.status === 'added' || (l.status === 'changed' && l.replaces.length > 0))
      .map((l) => ({ ingredient: l.ingredient, kitchen: l.kitchen })),
    replaced,
    powderAdded: false,
  })
  recipe.method = method.map((m) => m.text)
  const diets = dietsOf(recipe)
  const ids = recipe.parts.flatMap((p) => p.lines.map((l) => l.ingredient)).filter((id): id is string => id !== null)
  const buy = [...new Set(added.map((o) => o.ingredient).filter((id) => id !== 'water' && !have.has(id)))]
  const schools = [
    ...new Set([...(egg ? [egg.id] : []), ...[...combination.standIns.values()].flatMap((t) => (t.school ? [t.school] : []))]),
  ]
  const score =
    cost +
    findings.reduce((sum, f) => sum + (f.severity === 'fault' ? FAULT_COST : f.severity === 'caution' ? CAUTION_COST : 0.5), 0) +
    undone.reduce((sum, u) => sum + UNDONE_COST * u.share * (u.job === 'set' || u.job === 'lift' ? 1 : 0.3), 0) +
    buy.length * BUY_COST
  const slices = recipe.yield?.count ?? 10
  const standInTitles = [...new Set([...combination.standIns.entries()].map(([, t]) => name(t.brings[0]!.ingredient)))]
  return {
    id: '',
    schools,
    title: [egg?.title, ...standInTitles].filter(Boolean).join(', with ') || 'Brought into balance',
    recipe,
    lines,
    family,
    metrics: { ...metrics, browning: Math.round((metrics.browningIndex / Math.max(0.05, s.metrics.browningIndex)) * 100) / 100 },
    before: s.metrics,
    bands: modelOf(family).bands,
    handover,
    undone,
    findings,
    crumb: predictCrumb(metrics, family, { metrics: s.metrics, family: s.family }),
    method,
    oven: recipe.oven,
    cautions: cautionsFor({
      ingredients: ids.map(need),
      grams: new Map(outcomes.map((o) => [o.ingredient, o.to])),
      needs: rules.needs,
      method: recipe.method.join('\n'),
      slices: slices > 1 ? slices : 10,
    }),
    labels: labelChecks(ids, rules),
    allergens: diets.allergens,
    buy,
    score: Math.round(score * 100) / 100,
    sides: egg
      ? [
          ...(Object.entries(egg.sides) as ['crumb', string][]).map(([about, message]) => ({ about, message })),
          { about: 'cannot' as const, message: egg.cannot },
        ]
      : [],
  }
}

const isBatterPart = (s: Situation, part: number): boolean => s.places.some((p) => p.part === part && p.inBatter)
const round1 = (grams: number): number => Math.round(grams * 10) / 10

function reasonGone(place: Place, rules: Rules): string {
  const needs = rules.needs.length ? rules.needs.join(', ') : 'the school'
  return rules.avoid.includes(place.ingredient.id) ? 'to be avoided' : `out, for ${needs}`
}

/** A recipe that already does what is asked comes back whole. */
function keepAll(s: Situation, request: ReformulateRequest, rules: Rules, measures: Measures): Option {
  const outcomes = s.places
    .filter((p) => p.inBatter)
    .map((p): Outcome => ({ key: p.key, ingredient: p.ingredient.id, from: p.grams, to: p.grams, kitchen: null, replaces: [], why: [] }))
  const option = assemble(s, outcomes, new Set(), s.family, { standIns: new Map() }, request, rules, measures, new Set(), 0)
  return { ...option, id: 'way-1', title: 'Already as wished' }
}

function structuredCloneRecipe(recipe: Recipe): Recipe {
  return JSON.parse(JSON.stringify(recipe)) as Recipe
}
