import { dietsOf, kindsOf, sharesOf } from '../balance/balance'
import type { Band, Banded, Family, FamilyModel } from '../balance/families'
import { findingsOf, type Finding } from '../balance/findings'
import { massOf, type Dose, type Mass } from '../balance/mass'
import type { MethodSigns } from '../balance/method'
import { isCake, metricsOf, modelOf } from '../balance/metrics'
import { missingIn } from '../balance/missing'
import { isOfPaste, recognise, type Fit, type Kinds } from '../balance/recognise'
import { cautionsOf } from '../care/of-recipe'
import { predictCrumb } from '../crumb/predict'
import type { Measures } from '../measure/kitchen'
import type { Region } from '../measure/region'
import { nameOf, need } from '../pantry/pantry'
import type { Recipe } from '../recipe/recipe'
import type { Sides } from '../swaps/school'
import { unknownChecks, labelChecks, type Rules } from './allowed'
import type { FinishedPart } from './finish'
import type { Goal } from './goals'
import { handOver } from './handover'
import { kitchenOf, newLine, ownMeasure } from './lines'
import type { Option, OptionLine } from './option'
import { rewriteMethod } from './method'
import { ovenAfter } from './oven'
import type { Problem } from './problem'
import type { Rounded } from './round'
import type { Place, Situation } from './situation'
import { stateKept } from './state'
import type { Combination, Draft } from './variables'

/** What every answer of one request shares. */
export interface Ask {
  rules: Rules
  goals: readonly Goal[]
  region: Region
  measures: Measures
  /** What is in the cupboard. */
  have: ReadonlySet<string>
  altitudeM: number
}

/** A worked-out combination, rounded. */
export interface Worked {
  combination: Combination
  draft: Draft
  problem: Problem
  rounded: Rounded
  finishes: readonly FinishedPart[]
  cost: number
}

const FAULT_COST = 60
const CAUTION_COST = 12
const NOTE_COST = 0.5
const UNDONE_COST = 2.5
const BUY_COST = 0.55
/** Of jobs left undone, those that a baker sees count whole. */
const LESSER_JOB = 0.3

interface Outcome {
  key: string
  ingredient: string
  from: number
  to: number
  kitchen: string | null
  replaces: string[]
  portions?: { replaces: string[]; grams: number }[]
  why: { code: string; message: string }[]
}

interface Group {
  outcomes: Map<string, Outcome>
  removed: Draft['removed']
  /** What came in and has no place in the recipe yet. */
  added: Outcome[]
}

const outcomesOf = (variables: Problem['variables'], rounded: Rounded): Outcome[] =>
  variables.map((v, i) => ({
    key: v.key,
    ingredient: v.ingredient.id,
    from: v.from,
    to: rounded.grams[i]!,
    kitchen: rounded.texts[i]!,
    replaces: v.replaces,
    ...(v.portions && { portions: v.portions }),
    why: v.why,
  }))

const groupOf = (draft: Draft, problem: Problem, rounded: Rounded): Group => {
  const all = outcomesOf(problem.variables, rounded)
  return {
    outcomes: new Map(all.map((o) => [o.key, o])),
    removed: draft.removed,
    added: all.filter((o) => o.from === 0 && o.key.startsWith('+') && o.to > 0),
  }
}

/** Puts an answer together: its lines with reasons, its recipe, what it is like, what it costs. */
export function assemble(s: Situation, worked: Worked, ask: Ask): Option {
  const { combination, draft, rounded } = worked
  const { egg, changes } = combination
  const { family } = draft
  const batter = groupOf(draft, worked.problem, rounded)
  const { lines, recipe } = linesOf(s, batter, worked.finishes, ask)
  const others = worked.finishes.filter((f) => f.batter)
  const untouched = s.places.filter((p) => p.inBatter && !p.main && !others.some((f) => f.batch === p.batch))
  const outcomes: { ingredient: string; to: number }[] = [
    ...batter.outcomes.values(),
    ...others.flatMap((f) => outcomesOf(f.problem.variables, f.rounded)),
    ...untouched.map((p) => ({ ingredient: p.ingredient.id, to: p.grams })),
  ]

  // What is judged is what the kitchen will weigh, not what the programme wanted.
  const doses: Dose[] = outcomes.filter((o) => o.to > 0).map((o) => ({ ingredient: o.ingredient, grams: o.to, melted: s.signs.melted }))
  const mass = massOf(doses)
  const kinds = kindsOf(doses)
  const metrics = metricsOf(mass, family, ask.altitudeM)
  const signs = { ...s.signs, whipped: s.signs.whipped && (!egg || Boolean(egg.foams)) }
  const findings = soften(
    findingsOf({
      mass,
      metrics,
      family,
      members: membersAfter(family, mass, kinds, signs),
      signs,
      part: s.mix.name,
      ...sharesOf({ doses, mass, kinds }),
    }),
    draft.bands,
    metrics,
    modelOf(family),
  )
  if (isCake(family)) findings.push(...missingIn({ ...recipe, method: [] }, mass, family, s.mix.name, isOfPaste(mass, kinds)))

  const { handover, undone } = handOver(changesIn(s, lines))
  const oven = ovenAfter(s.recipe.oven, changes, s.recipe)
  const method = rewriteMethod({
    region: ask.region,
    recipe: s.recipe,
    lines,
    ...(egg && { egg }),
    changes: changes.map((c) => ({ school: c.change, brought: draft.brought.get(c.change) ?? [] })),
    oven: { before: s.recipe.oven, after: oven.oven, why: oven.steps.map((x) => x.why).filter(Boolean)[0] ?? '', says: oven.steps },
    foam: family === 'foam' || (s.signs.whipped && !egg),
    baked: isCake(family) && family !== 'crepe',
    rules: ask.rules,
    glutenFree: ask.rules.needs.includes('gluten-free'),
    dairyFree: ask.rules.needs.some((n) => n === 'vegan' || n === 'dairy-free'),
  })
  recipe.method = method.map((m) => m.text)
  recipe.oven = oven.oven
  const diets = dietsOf(recipe)
  const ids = recipe.parts.flatMap((p) => p.lines.map((l) => l.ingredient)).filter((id): id is string => id !== null)
  const owned = new Set(s.places.map((p) => p.ingredient.id))
  const buy = [...new Set(lines.filter((l) => l.status === 'added').map((l) => l.ingredient))].filter(
    (id) => id !== 'water' && !ask.have.has(id) && !owned.has(id),
  )
  const standIns = [...new Set(combination.standIns.values())]
  const schools = [
    ...new Set([...(egg ? [egg.id] : []), ...changes.flatMap((c) => c.change.id ?? []), ...standIns.flatMap((t) => t.school ?? [])]),
  ]
  const slices = recipe.yield?.count ?? 10
  return {
    id: '',
    schools,
    title: titleOf(combination, ask.region),
    recipe,
    lines,
    family,
    metrics: { ...metrics, browning: Math.round((metrics.browningIndex / Math.max(0.05, s.whole.metrics.browningIndex)) * 100) / 100 },
    before: s.whole.metrics,
    bands: modelOf(family).bands,
    handover,
    undone,
    findings,
    crumb: predictCrumb(metrics, family, { metrics: s.whole.metrics, family: s.family }),
    method,
    oven: recipe.oven,
    cautions: cautionsOf(recipe, { needs: ask.rules.needs, slices: slices > 1 ? slices : 10 }),
    labels: [...labelChecks(ids, ask.rules), ...unknownChecks(diets.unknown, ask.rules)],
    unknown: diets.unknown,
    allergens: diets.allergens,
    buy,
    score: Math.round(scoreOf(worked.cost, findings, undone, buy) * 100) / 100,
    sides: sidesOf(combination),
  }
}

/** The families that a changed batter fits, the one that it was worked out as first. */
function membersAfter(family: Family, mass: Mass, kinds: Kinds, signs: MethodSigns): Fit[] {
  if (!isCake(family)) return []
  const others = recognise(mass, kinds, signs).members.filter((m) => m.family !== family)
  return [{ family, fit: 0.5 }, ...others.map((m) => ({ ...m, fit: m.fit * 0.5 }))]
}

function scoreOf(cost: number, findings: readonly Finding[], undone: Option['undone'], buy: readonly string[]): number {
  return (
    cost +
    findings.reduce((sum, f) => sum + { fault: FAULT_COST, caution: CAUTION_COST, note: NOTE_COST }[f.severity], 0) +
    undone.reduce((sum, u) => sum + UNDONE_COST * u.share * (u.job === 'set' || u.job === 'lift' ? 1 : LESSER_JOB), 0) +
    buy.length * BUY_COST
  )
}

/** A finding about what was asked for is a note: a cake with half its fat is lean, and meant to be. */
function soften(findings: Finding[], asked: Partial<Record<Banded, Band>>, metrics: Option['before'], model: FamilyModel): Finding[] {
  return findings.map((f) => {
    const band = f.metric === null ? undefined : asked[f.metric as Banded]
    const value = f.metric === null ? undefined : metrics[f.metric as Banded]
    if (!band || value === undefined || f.severity === 'note') return f
    const own = model.bands[f.metric as Banded]
    // Within the family's own band the finding is about something else: a nut cake that nothing raises.
    if (!own || (value >= own.low && value <= own.high)) return f
    const near = 0.1 * (band.high - band.low)
    return value >= band.low - near && value <= band.high + near ? { ...f, severity: 'note' } : f
  })
}

function titleOf(c: Combination, region: Region): string {
  // A school that has its title already is not said again by what it brings elsewhere.
  const told = new Set(c.changes.map((x) => x.change.id))
  const standIns = [
    ...new Set(
      [...c.standIns.values()].filter((t) => !t.school || !told.has(t.school)).map((t) => nameOf(need(t.brings[0]!.ingredient), region)),
    ),
  ]
  const words = [c.egg?.title, ...c.changes.map((x) => x.change.title), ...standIns].filter((t): t is string => Boolean(t))
  return (
    words
      .map((w, i) => (i ? w.replace(/^./, (first) => first.toLowerCase()) : w.replace(/^./, (first) => first.toUpperCase())))
      .join(', ') || 'Brought into balance'
  )
}

/** What the schools of one answer cost and give, said once for each thing. */
function sidesOf(c: Combination): Option['sides'] {
  const schools = [...(c.egg ? [c.egg] : []), ...c.changes.map((x) => x.change)]
  const about: (keyof Sides | 'cannot')[] = ['crumb', 'flavour', 'keeps', 'effort', 'cannot']
  return about.flatMap((a) => {
    const words = [...new Set(schools.map((x) => (a === 'cannot' ? x.cannot : x.sides[a])).filter(Boolean))]
    return words.length ? [{ about: a, message: words.join(a === 'cannot' ? ' ' : '; ') }] : []
  })
}

function changesIn(s: Situation, lines: readonly OptionLine[]): { ingredient: string; from: number; to: number }[] {
  const changes = new Map<string, { ingredient: string; from: number; to: number }>()
  for (const l of lines) {
    if (!s.places.some((p) => p.part === l.partIndex && p.inBatter)) continue
    const c = changes.get(l.ingredient) ?? { ingredient: l.ingredient, from: 0, to: 0 }
    c.from += l.from
    c.to += l.to
    changes.set(l.ingredient, c)
  }
  return [...changes.values()]
}

/** Every line before and after with its reason, and the recipe that they make. */
function linesOf(s: Situation, batter: Group, finishes: readonly FinishedPart[], ask: Ask): { lines: OptionLine[]; recipe: Recipe } {
  const lines: OptionLine[] = []
  const recipe = JSON.parse(JSON.stringify(s.recipe)) as Recipe
  recipe.parts.forEach((p) => (p.lines = []))
  const groups = new Map(finishes.map((f) => [f.batch, { part: f.part, ...groupOf(f.draft, f.problem, f.rounded) }]))
  const places = new Map(s.places.map((p) => [p.key, p]))
  const groupFor = (place: Place) => (place.main ? batter : groups.get(place.batch))
  const name = (id: string) => nameOf(need(id), ask.region)

  /** What comes in stands where that stood which it replaces; `null` for the rest. */
  const placeAdded = (group: Group, part: number, gone: string | null) => {
    const here = group.added.filter((o) => gone === null || o.replaces.includes(gone))
    group.added = group.added.filter((o) => !here.includes(o))
    for (const whole of here) {
      const o = ownShare(group, whole, part, gone)
      const same = lines.find((l) => l.status === 'added' && l.partIndex === part && l.ingredient === o.ingredient)
      if (same) {
        // Two schools bring the same: one line.
        same.to = round1(same.to + o.to)
        same.kitchen = kitchenOf(o.ingredient, same.to, ask.measures, ask.region)
        same.replaces = [...new Set([...same.replaces, ...o.replaces])]
        same.why.push(...o.why)
        const at = recipe.parts[part]!.lines.findLastIndex((l) => l.ingredient === o.ingredient)
        const { prep } = recipe.parts[part]!.lines[at]!
        recipe.parts[part]!.lines[at] = newLine(o.ingredient, same.to, same.kitchen, ask.region, { prep })
        continue
      }
      const kitchen = o.kitchen ?? kitchenOf(o.ingredient, o.to, ask.measures, ask.region)
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
        ...sharesOfLine(o, (grams) => kitchenOf(o.ingredient, grams, ask.measures, ask.region)),
        why: o.why,
      })
      const stoodFor = s.recipe.parts[part]!.lines.filter((l) => l.ingredient && o.replaces.includes(l.ingredient))
      recipe.parts[part]!.lines.push(newLine(o.ingredient, o.to, kitchen, ask.region, { prep: stateKept(stoodFor, o.ingredient) }))
    }
  }

  /** Milk of two batters goes in as much of each as was there: what is left for later parts waits. Eggs are whisked in one bowl. */
  function ownShare(group: Group, o: Outcome, part: number, gone: string | null): Outcome {
    if (gone === null || need(gone).kind === 'egg') return o
    const left = [...group.removed.keys()].flatMap((key) => places.get(key) ?? []).filter((p) => p.ingredient.id === gone && p.part >= part)
    const grams = (all: readonly Place[]) => all.reduce((sum, p) => sum + p.grams, 0)
    const later = left.filter((p) => p.part > part)
    const share = grams(left) > 0 ? 1 - grams(later) / grams(left) : 1
    const step = o.to > 40 ? 5 : 1
    const own = Math.round((o.to * share) / step) * step
    if (!later.length || own <= 0 || own >= o.to) return o
    group.added.push({ ...o, to: o.to - own, kitchen: null })
    return { ...o, to: own, kitchen: null }
  }

  s.recipe.parts.forEach((part, p) =>
    part.lines.forEach((line, index) => {
      const place = places.get(`${p}:${index}`)
      const group = place && groupFor(place)
      const o = place && group?.outcomes.get(place.key)
      if (!place) {
        recipe.parts[p]!.lines.push({ ...line })
        return
      }
      const base = {
        part: part.name,
        partIndex: p,
        ingredient: place.ingredient.id,
        name: line.named || name(place.ingredient.id),
        from: round1(place.grams),
        was: ownMeasure(line),
      }
      const keep = () => {
        lines.push({ ...base, to: round1(place.grams), kitchen: base.was, status: 'kept', replaces: [], why: [] })
        recipe.parts[p]!.lines.push({ ...line })
      }
      if (!group) keep()
      else if (group.removed.has(place.key) || !o) {
        const why = group.removed.get(place.key) ?? { code: 'need', message: reasonGone(place, ask.rules) }
        lines.push({ ...base, to: 0, kitchen: '', status: 'removed', replaces: [], why: [why] })
        placeAdded(group, p, place.ingredient.id)
      } else if (Math.abs(o.to - o.from) < Math.max(0.05, 0.004 * o.from)) keep()
      else if (o.to <= 0)
        lines.push({ ...base, to: 0, kitchen: '', status: 'removed', replaces: [], why: reasonsFor(o, place, 0, batter.removed.size > 0) })
      else {
        const kitchen = o.kitchen ?? kitchenOf(place.ingredient.id, o.to, ask.measures, ask.region)
        const why = reasonsFor(o, place, o.to, batter.removed.size > 0)
        const shares = sharesOfLine(o, (grams) => kitchenOf(o.ingredient, grams, ask.measures, ask.region))
        lines.push({ ...base, to: round1(o.to), kitchen, status: 'changed', replaces: [...new Set(o.replaces)], ...shares, why })
        recipe.parts[p]!.lines.push(newLine(place.ingredient.id, o.to, kitchen, ask.region, line))
      }
    }),
  )
  placeAdded(batter, s.places.find((p) => p.main)?.part ?? 0, null)
  for (const group of groups.values()) placeAdded(group, group.part, null)
  return { lines, recipe }
}

/** Portions for one and the same thing are one. */
function byThing(portions: readonly { replaces: string[]; grams: number }[]): { replaces: string[]; grams: number }[] {
  const found = new Map<string, { replaces: string[]; grams: number }>()
  for (const p of portions) {
    const key = [...new Set(p.replaces)].sort().join('+')
    found.set(key, { replaces: p.replaces, grams: (found.get(key)?.grams ?? 0) + p.grams })
  }
  return [...found.values()]
}

/** What of a line stands for what, where it stands for several things that went in apart. */
function sharesOfLine(o: Outcome, kitchen: (grams: number) => string): Pick<OptionLine, 'shares'> {
  const portions = byThing((o.portions ?? []).filter((p) => p.grams > 0 && p.replaces.length))
  const sum = portions.reduce((n, p) => n + p.grams, 0)
  if (portions.length < 2 || !(sum > 0)) return {}
  return {
    shares: portions.map((p) => ({
      replaces: [...new Set(p.replaces)],
      grams: round1((p.grams / sum) * o.to),
      kitchen: kitchen((p.grams / sum) * o.to),
    })),
  }
}

const round1 = (grams: number): number => Math.round(grams * 10) / 10

function reasonGone(place: Place, rules: Rules): string {
  if (rules.avoid.includes(place.ingredient.id)) return 'to be avoided'
  return rules.needs.length ? `out, for ${rules.needs.join(', ')}` : 'gives way to another'
}

/** Why an amount of what the recipe already had moved, in a baker's words: what was asked of it, else what the balance asked. */
function reasonsFor(o: Outcome, place: Place, to: number, eggs: boolean): Outcome['why'] {
  if (o.why.length) return o.why
  const { kind } = place.ingredient
  const more = to > o.from
  const because = (code: string, message: string) => [{ code, message }]
  if (!place.inBatter) return because('firmness', `a little ${more ? 'more' : 'less'}, so that it stays as firm as it was`)
  if (kind === 'fat')
    return more ? because('tenderness', 'a little more, to keep it tender') : because('less-to-hold', 'the new crumb holds less fat')
  if (kind === 'sugar' || kind === 'syrup')
    return more ? because('sweetness', 'more, to keep it as sweet') : because('sets-in-time', 'less, so that it sets before it sinks')
  if (kind === 'leavener')
    return more
      ? because('lift', eggs ? 'more, since no foam carries it' : 'to bring the lift into range')
      : because('lift', 'less, since other gas takes over')
  if (kind === 'flour' || kind === 'starch')
    return because('structure', more ? 'more flour to hold what the eggs held' : 'a little less, to keep it moist')
  if (kind === 'acid') return because('acid', 'to meet the soda')
  return because('moisture', more ? 'more, for the water that left' : 'less, since others bring water')
}
