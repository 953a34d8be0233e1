import { methodOf } from '../method/read'
import { isGroup, isLine, type Act } from '../method/step'
import { balanceOf } from '../balance/balance'
import type { Family } from '../balance/families'
import { cautionsInStep, type Caution } from '../care/cautions'
import { cautionsOf } from '../care/of-recipe'
import type { Region } from '../measure/region'
import { ingredientOf, nameOf } from '../pantry/pantry'
import type { Line, Recipe } from '../recipe/recipe'
import { kitchenOf, ownMeasure, wholeGrams } from '../reformulate/lines'
import type { Activity } from '../schedule/activity'
import { activitiesOf, type MethodOptions } from '../schedule/method'
import { batterLook, coolLook, doneLook, lookOf, type Look } from './look'
import { usesOf, type Use } from './uses'

export type StepKind = 'do' | 'wait' | 'bake' | 'cool'

/** Something that nobody writes into a step and everybody forgets. */
export interface Reminder {
  code: 'preheat' | 'line' | 'soften'
  text: string
}

export interface CounterStep {
  id: string
  text: string
  kind: StepKind
  handsOn: boolean
  minutes: { low: number; best: number; high: number }
  /** Minutes in the tin, where it is turned out in this step. */
  inTin?: number
  uses: Use[]
  look: Look | null
  cautions: Caution[]
  reminders: Reminder[]
  /** The batter is ready after it: more liquid goes in here, by the spoon. */
  ready: boolean
}

export interface CounterAnswer {
  family: Family
  steps: CounterStep[]
  /** What loosens this batter by the spoon, and how many spoons it bears; `null` where nothing is mixed. */
  spoon: { ingredient: string; name: string; gramsEach: number; most: number } | null
  oven: { celsius: number; fan: boolean } | null
  cautions: Caution[]
}

export interface CounterRequest extends Omit<MethodOptions, 'bake'> {
  recipe: Recipe
  region: Region
  altitudeM: number
  /** Hard needs somebody at the table has. */
  needs: readonly string[]
  /** What is made for the finish, with its own recipe. */
  components?: readonly { name: string; recipe: Recipe }[]
}

/** Acts in which something goes into something. */
const MIXES: ReadonlySet<Act> = new Set<Act>([
  'cream',
  'foam',
  'melt',
  'rub-in',
  'mix',
  'fold',
  'soften',
  'infuse',
  'simmer',
  'soak',
  'spread',
  'pipe',
  'decorate',
  'fry',
])
/** Acts after which the batter is ready. */
const BATTER: ReadonlySet<Act> = new Set<Act>(['cream', 'foam', 'melt', 'rub-in', 'mix', 'fold'])
/** Ready to pour: what may still loosen it, by the kind of the recipe's own liquid. */
const LOOSENS = [
  'milk-whole',
  'milk-semi-skimmed',
  'milk-skimmed',
  'soy-milk',
  'oat-milk',
  'almond-milk',
  'buttermilk',
  'water',
  'coffee-brewed',
  'orange-juice',
]
/** A tablespoon of a thin liquid, g. */
const SPOON = 15
/** Nobody counts further. */
const MOST_SPOONS = 200
/** More than this share of the batter is no correction but another recipe. */
const MOST_SHARE = 0.05

/** Parts that the method never speaks of get a sentence, so that nothing stays in the cupboard. */
function spokenFor(recipe: Recipe): Recipe {
  const method = recipe.method.filter((m) => m.trim())
  const clauses = methodOf(recipe).steps.flatMap((s) => s.clauses)
  const bakedAt = clauses.findIndex((c) => c.act === 'bake')
  const before = method.length ? [] : recipe.parts.filter((p) => ['batter', 'crust'].includes(p.role) && p.lines.length)
  const after = recipe.parts.filter((p, part) => {
    if (['batter', 'crust'].includes(p.role) || !p.lines.length) return false
    const name = p.name.toLowerCase().replace(/^(for )?the /, '')
    // A paragraph tells of the cake and of what goes on it in one breath.
    const told = clauses.some(
      (c, i) =>
        c.act !== 'ready-tin' &&
        (i > bakedAt || c.part === part) &&
        c.things.some((t) => (isLine(t) ? t.part === part : isGroup(t) && c.part === part)),
    )
    return !told && !method.some((m) => name.length > 2 && m.toLowerCase().includes(name))
  })
  if (!before.length && !after.length) return recipe
  const make = (name: string) => `Make the ${name.toLowerCase().replace(/^(for )?the /, '') || 'rest'}: mix everything for it.`
  return {
    ...recipe,
    method: [
      ...before.map((p) => make(p.name || 'batter')),
      ...(method.length ? method : before.length ? ['Bake.'] : []),
      ...after.map((p) => make(p.name)),
    ],
  }
}

/**
 * A recipe as it is baked along: one thing at a time, each line of the recipe at exactly one step, what it should
 * look like, and what is easily forgotten at the moment it is due. Verb `counter`.
 */
export function counterOf(request: CounterRequest): CounterAnswer {
  const { region, altitudeM } = request
  const laid = request.finish?.length && request.components ? request.components : []
  // What the finish makes anew takes the place of the recipe's own frostings.
  const cake: Recipe = laid.length
    ? { ...request.recipe, parts: request.recipe.parts.filter((p) => ['batter', 'crust', 'other'].includes(p.role)) }
    : request.recipe
  const recipe = spokenFor(cake)
  const balance = balanceOf(request.recipe, undefined, altitudeM)
  const options: MethodOptions = { ...request, bake: 'cake' }
  const all = activitiesOf(recipe, options)
  const own = all.filter((a) => !/:(preheat|soften)$/.test(a.id))
  // Of several stays in the oven the longest is the cake's.
  const stays = own.flatMap((a, i) => (a.needs.includes('oven') ? [{ i, minutes: a.minutes.best }] : []))
  const bakeAt = stays.length ? stays.reduce((a, b) => (b.minutes > a.minutes ? b : a)).i : -1
  const coolAt = own.findIndex((a) => a.id.endsWith(':cool'))
  const kindOf = (a: Activity, i: number): StepKind => (i === bakeAt ? 'bake' : i === coolAt ? 'cool' : a.handsOn ? 'do' : 'wait')
  // Amounts that were worked out carry fractions that no scale shows.
  const kitchen = (l: Line) =>
    l.quantity?.unit === 'g' && l.quantity.low === l.quantity.high
      ? `${wholeGrams(l.quantity.low)} g`
      : l.quantity
        ? ownMeasure(l)
        : l.ingredient && l.grams.best > 0
          ? kitchenOf(l.ingredient, l.grams.best, 'weight', region)
          : ''
  const uses = usesOf(
    recipe,
    own.map((a, i) => ({
      clauses: a.clauses ?? [],
      baked: bakeAt >= 0 && i > bakeAt,
      mixes: a.handsOn && (a.clauses ?? []).some((c) => MIXES.has(c.act)),
    })),
    kitchen,
  )
  const isMixing = (i: number) =>
    i < (bakeAt < 0 ? own.length : bakeAt) && own[i]!.handsOn && (own[i]!.clauses ?? []).some((c) => BATTER.has(c.act))
  const lastMix = own.findLastIndex((_, i) => isMixing(i))
  const spoon = lastMix >= 0 ? loosening(request.recipe, region, altitudeM) : null
  const fluidity = balance.metrics.fluidity
  const method = methodOf(recipe)
  const steps: CounterStep[] = own.map((a, i) => ({
    id: a.id.replace(/^cake:/, ''),
    text: a.label,
    kind: kindOf(a, i),
    handsOn: a.handsOn,
    minutes: a.minutes,
    ...(a.inTin !== undefined && { inTin: a.inTin }),
    uses: uses[i]!,
    look:
      i === bakeAt
        ? doneLook(balance.family)
        : i === coolAt
          ? coolLook(
              balance.family,
              a.clauses ?? [],
              own.slice(0, i).some((x) => (x.clauses ?? []).some((c) => c.act === 'unmould')),
            )
          : i === lastMix && fluidity !== undefined && spoon
            ? batterLook(fluidity, { liquid: spoon.name, most: spoon.most })
            : lookOf(method, a.clauses ?? []),
    cautions: cautionsInStep(a.label, a.clauses),
    reminders: [],
    ready: i === lastMix,
  }))
  remind(steps, all, request.recipe, balance.family, bakeAt)
  for (const c of laid) steps.splice(insertAt(steps, coolAt), 0, ...componentSteps(c, kitchen))
  return {
    family: balance.family,
    steps,
    spoon,
    oven: request.recipe.oven[0] ? { celsius: request.recipe.oven[0].celsius, fan: request.recipe.oven[0].fan } : null,
    cautions: cautionsOf(request.recipe, {
      needs: request.needs,
      slices: balance.perSlice.slices,
      beside: laid.map((c) => c.recipe),
    }),
  }
}

/** Frostings are made while the cake cools: after the step of its cooling, or at the end. */
const insertAt = (steps: readonly CounterStep[], coolAt: number): number => {
  const made = steps.findLastIndex((s) => s.id.startsWith('made:'))
  return made >= 0 ? made + 1 : coolAt >= 0 ? coolAt + 1 : steps.length
}

function componentSteps(c: { name: string; recipe: Recipe }, kitchen: (l: Line) => string): CounterStep[] {
  const method = c.recipe.method.length ? c.recipe.method : [`Make the ${c.name.toLowerCase()}: mix everything for it.`]
  const read = methodOf({ ...c.recipe, method })
  const uses = usesOf(
    c.recipe,
    method.map((_, i) => ({ clauses: read.steps[i]?.clauses ?? [], baked: false, mixes: true })),
    kitchen,
  )
  return method.map((text, i) => ({
    id: `made:${c.name}:${i}`,
    text: i === 0 && c.recipe.method.length ? `For the ${c.name.toLowerCase()}: ${text.charAt(0).toLowerCase()}${text.slice(1)}` : text,
    kind: 'do' as const,
    handsOn: true,
    minutes: { low: 2, best: 4, high: 8 },
    uses: uses[i]!.map((u) => ({ ...u, id: `${c.name}:${u.id}` })),
    look: lookOf(read, read.steps[i]?.clauses ?? []),
    cautions: cautionsInStep(text, read.steps[i]?.clauses),
    reminders: [],
    ready: false,
  }))
}

/** Puts what is easily forgotten where it is due: the oven so early that it is hot when the batter is ready. */
function remind(steps: CounterStep[], all: readonly Activity[], recipe: Recipe, family: Family, bakeAt: number): void {
  const first = steps[0]
  if (!first) return
  const preheat = all.find((a) => a.id.endsWith(':preheat'))
  if (preheat && bakeAt >= 0) {
    let left = 0
    let at = bakeAt
    while (at > 0 && left < preheat.minutes.best) left += steps[--at]!.minutes.best
    steps[at]!.reminders.push({ code: 'preheat', text: `${preheat.label} now: it is hot in about ${preheat.minutes.best} minutes.` })
  }
  const tins = recipe.tins.map((t) => t.text).filter(Boolean)
  if (bakeAt >= 0 && tins.length && !methodOf(recipe).steps.some((m) => m.clauses.some((c) => c.act === 'ready-tin'))) {
    first.reminders.push({ code: 'line', text: lining(recipe.tins, family) })
  }
  if (all.some((a) => a.id.endsWith(':soften')))
    first.reminders.push({ code: 'soften', text: 'Is the butter soft? A thumb must sink in. If not: in small pieces, half an hour.' })
}

/** How the tins are made ready: paper where there is a flat base for it. */
function lining(tins: Recipe['tins'], family: Family): string {
  const names = tins.map((t) => t.text).join(', ')
  const shapes = new Set(tins.map((t) => t.shape))
  if (family === 'foam' && shapes.has('ring')) return 'Leave the tin as it is, without grease: the foam climbs its side.'
  if (shapes.has('cupcake')) return `Put the paper cases into the tray: ${names}.`
  if (shapes.has('fluted') || shapes.has('ring')) return `Grease every fold and dust it with flour: ${names}.`
  if (shapes.has('crepe')) return `Wipe the pan with a little fat: ${names}.`
  return `Grease and line: ${names}.`
}

/** What loosens a batter, and how many spoons of it may go in before it is too wet or too thin. */
function loosening(recipe: Recipe, region: Region, altitudeM: number): CounterAnswer['spoon'] {
  const part = recipe.parts.findIndex((p) => p.role === 'batter')
  if (part < 0) return null
  const own = recipe.parts[part]!.lines.find((l) => l.ingredient && LOOSENS.includes(l.ingredient))
  const ingredient = own?.ingredient ?? 'water'
  const name = own?.named || nameOf(ingredientOf(ingredient)!, region)
  const tooLoose = (r: Recipe) =>
    balanceOf(r, undefined, altitudeM).findings.some((f) => f.severity !== 'note' && ['too-wet', 'too-thin', 'weak-set'].includes(f.code))
  const batter = recipe.parts[part]!.lines.reduce((g, l) => g + l.grams.best, 0)
  // Each spoon makes it looser, so the last that it bears is found by halving.
  let most = 0
  let tooMany = Math.min(MOST_SPOONS, Math.floor((batter * MOST_SHARE) / SPOON)) + 1
  while (tooMany - most > 1) {
    const middle = Math.floor((most + tooMany) / 2)
    if (tooLoose(withSpoons(recipe, part, ingredient, middle * SPOON))) tooMany = middle
    else most = middle
  }
  return { ingredient, name, gramsEach: SPOON, most }
}

/** The recipe with something more in one part, g. */
export function withSpoons(recipe: Recipe, part: number, ingredient: string, grams: number): Recipe {
  const more: Line = {
    text: `${grams} g ${ingredient}`,
    quantity: { low: grams, high: grams, unit: 'g' },
    grams: { low: grams, high: grams, best: grams },
    ingredient,
    match: 'exact',
    prep: null,
    optional: false,
  }
  return { ...recipe, parts: recipe.parts.map((p, i) => (i === part ? { ...p, lines: [...p.lines, more] } : p)) }
}
