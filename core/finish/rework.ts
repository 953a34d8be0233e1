import type { Dose } from '../balance/mass'
import type { Region } from '../measure/region'
import { SUGARS, suits, type HardNeed, type Ingredient } from '../pantry/ingredient'
import { ingredientOf, nameOf, need } from '../pantry/pantry'
import type { Line, Recipe } from '../recipe/recipe'
import { kitchenOf, newLine } from '../reformulate/lines'
import { Refusal } from '../refusal'
import { EGG_OUTSIDE_BATTER, standInsFor } from '../swaps/standins'
import { allowedOf, amountFor } from './adjust'
import { findingsFor } from './findings'
import { firmnessOf, FOR_USE, type Use } from './firmness'
import { phasesOf } from './phases'

export const FINISH_WANTS = ['low-fat', 'less-sugar', 'sugar-swap', 'less-sweet'] as const
export type FinishWant = (typeof FINISH_WANTS)[number]

export interface Rework {
  recipe: Recipe
  goals: readonly HardNeed[]
  wants: readonly FinishWant[]
  /** Share taken away, by want. */
  amount: Partial<Record<FinishWant, number>>
  sweetener?: string
  use: Use
  roomC: number
  region: Region
}

/** Shares taken away where the baker does not say: those of the cakes (contract), and for sweetness what is tasted at once. */
const USUAL: Record<FinishWant, number> = { 'low-fat': 0.5, 'less-sugar': 0.3, 'sugar-swap': 1, 'less-sweet': 0.2 }
/** Salt that takes the edge off sweetness, g per g: a scant pinch to a bowl. */
const PINCH = 0.002
/** A starch paste that takes the place of fat: g of starch to a g of milk, boiled (a thick white sauce: one to eight). */
const PASTE = { milk: 0.88, starch: 0.11 }
const DRY_SUGARS = /^sugar-(icing|white|brown)|^coconut-sugar$/
const FIRM_FATS = /^(butter-|plant-butter|plant-spread|shortening|margarine|oil-coconut|ghee)/
const CREAMS = /^(cream-heavy|cream-double|plant-cream|coconut-cream|mascarpone|plant-mascarpone)$/
const STARCHES = /^(cornstarch|potato-starch|custard-powder|flour-)/
const LIQUIDS = /^(milk-|soy-milk|oat-milk|almond-milk|water|cream-heavy|cream-double|coffee-brewed)/

const STARCH_STEP =
  'Whisk the starch in while the milk is cold, and let it boil for a full minute, whisking: only boiled starch stays thick.'
const all = <K>(bowls: ReadonlyMap<K, Bowl[]>): Bowl[] => [...bowls.values()].flat()

interface Bowl {
  dose: Dose
  prep: string | null
}

const fatOf = (i: Ingredient) => ((i.per100.plasticFat ?? 0) + (i.per100.liquidFat ?? 0)) / 100
const sugarOf = (i: Ingredient) => SUGARS.reduce((g, s) => g + (i.per100[s] ?? 0), 0) / 100

/** The lines that are the frosting: all but the batter, or all where there is nothing else. */
export function finishLines(recipe: Recipe): Line[] {
  return finishParts(recipe).flatMap((p) => p.lines)
}
const finishParts = (recipe: Recipe) => {
  const parts = recipe.parts.filter((p) => p.role !== 'batter' && p.role !== 'crust')
  return parts.length ? parts : recipe.parts
}
export const dosesOfLines = (lines: readonly Line[]): Dose[] =>
  lines.flatMap((l) =>
    l.ingredient && ingredientOf(l.ingredient) && l.grams.best > 0 ? [{ ingredient: l.ingredient, grams: l.grams.best }] : [],
  )

/** The baker's own frosting for other needs and wants, brought back to its firmness; what was done is said in words. */
export function rework(r: Rework): { recipe: Recipe; changes: string[] } {
  if (!r.goals.length && !r.wants.length) return { recipe: r.recipe, changes: [] }
  const changes: string[] = []
  const parts = finishParts(r.recipe)
  const bowls = new Map(parts.map((p) => [p, bowlOf(p.lines)]))
  const before = dosesOfLines(finishLines(r.recipe))
  const was = firmnessOf(phasesOf(before, r.roomC), r.roomC)
  const name = (id: string) => nameOf(need(id), r.region)
  for (const [, bowl] of bowls) replaceBroken(bowl, r, changes)
  const method: string[] =
    changes.some((c) => /^egg/i.test(c)) && all(bowls).some((b) => b.dose.ingredient === 'cornstarch') ? [STARCH_STEP] : []
  for (const want of r.wants) for (const [part, bowl] of bowls) bowls.set(part, applied(want, bowl, r, changes, method, name))
  if (!changes.length) return { recipe: r.recipe, changes }
  const bowl = all(bowls)
  const [low, high] = FOR_USE[r.use]
  const wanted = Math.max(low + 0.2, Math.min(high - 0.2, was))
  steady(bowl, wanted, r, changes, name)
  if (r.wants.includes('less-sweet')) {
    const grams = bowl.reduce((g, b) => g + b.dose.grams, 0) * PINCH
    const salt = bowl.find((b) => b.dose.ingredient === 'salt')
    if (salt) salt.dose = { ...salt.dose, grams: salt.dose.grams + grams }
    else [...bowls.values()][0]!.push({ dose: { ingredient: 'salt', grams }, prep: null })
    changes.push('A pinch of salt takes the edge off what sweetness is left.')
  }
  for (const [part, bowl] of bowls) bowls.set(part, together(bowl))
  return {
    recipe: {
      ...r.recipe,
      parts: r.recipe.parts.map((p) => {
        const bowl = bowls.get(p)
        return bowl ? { ...p, lines: linesOf(p.lines, bowl, r.region) } : p
      }),
      method: [...r.recipe.method, ...method],
    },
    changes,
  }
}

const bowlOf = (lines: readonly Line[]): Bowl[] => dosesAndPrep(lines)
const dosesAndPrep = (lines: readonly Line[]): Bowl[] =>
  lines.flatMap((l) =>
    l.ingredient && ingredientOf(l.ingredient) && l.grams.best > 0
      ? [{ dose: { ingredient: l.ingredient, grams: l.grams.best }, prep: l.prep }]
      : [],
  )

/** Lines anew from a bowl; those of which nothing changed keep the baker's words. */
function linesOf(lines: readonly Line[], bowl: readonly Bowl[], region: Region): Line[] {
  const left = [...lines]
  const kept = bowl
    .filter((b) => b.dose.grams > 0.2)
    .map(({ dose, prep }) => {
      const at = left.findIndex((l) => l.ingredient === dose.ingredient)
      const old = at >= 0 ? left.splice(at, 1)[0] : undefined
      if (old && Math.abs(old.grams.best - dose.grams) < 0.05) return old
      return newLine(dose.ingredient, dose.grams, kitchenOf(dose.ingredient, dose.grams, 'weight', region), region, old ?? { prep })
    })
  // What nobody knows, or weighs nothing, is left where it is.
  return [...kept, ...lines.filter((l) => !l.ingredient || !ingredientOf(l.ingredient) || !(l.grams.best > 0))]
}

function replaceBroken(bowl: Bowl[], r: Rework, changes: string[]) {
  const broken = (id: string) => r.goals.some((g) => suits(need(id), g) === 'never')
  for (let i = bowl.length - 1; i >= 0; i--) {
    const { dose, prep } = bowl[i]!
    if (!broken(dose.ingredient)) continue
    const stands = EGG_OUTSIDE_BATTER[dose.ingredient] ?? standInsFor(need(dose.ingredient))
    const stand = stands.find((s) => s.brings.every((b) => !broken(b.ingredient)))
    if (!stand)
      throw new Refusal(
        'bad-request',
        `Nothing in the pantry can take the place of ${nameOf(need(dose.ingredient), r.region)} in a frosting.`,
        'goals',
      )
    bowl.splice(i, 1, ...stand.brings.map((b) => ({ dose: { ingredient: b.ingredient, grams: dose.grams * b.ratio }, prep })))
    changes.push(`${nameOf(need(dose.ingredient), r.region)}: ${stand.why}`)
  }
}

/** One entry for each ingredient. */
function together(bowl: readonly Bowl[]): Bowl[] {
  const map = new Map<string, Bowl>()
  for (const b of bowl) {
    const seen = map.get(b.dose.ingredient)
    if (seen) seen.dose = { ...seen.dose, grams: seen.dose.grams + b.dose.grams }
    else map.set(b.dose.ingredient, { ...b })
  }
  return [...map.values()]
}

/** Steps down from the fat that was asked for to what the water in the bowl allows. */
const STEPS = [1, 0.8, 0.6, 0.4, 0.2]

/** A want met as far as the bowl bears it: an icing that has lost too much fat splits, a cream does not stand. */
function applied(want: FinishWant, bowl: Bowl[], r: Rework, changes: string[], method: string[], name: (id: string) => string): Bowl[] {
  const fails = (b: readonly Bowl[]) => {
    const p = phasesOf(
      b.map((x) => x.dose),
      r.roomC,
    )
    return findingsFor(p, r.use, r.roomC).some((f) => f.code === 'splits' || (f.severity === 'fault' && f.code === 'runny'))
  }
  const asked = r.amount[want] ?? USUAL[want]
  for (const step of want === 'low-fat' ? STEPS : [1]) {
    const next = bowl.map((b) => ({ ...b }))
    const said: string[] = []
    const steps: string[] = []
    apply(want, next, { ...r, amount: { ...r.amount, [want]: asked * step } }, said, steps, name)
    if (want === 'low-fat' && step > STEPS.at(-1)! && fails(next) && !fails(bowl)) continue
    changes.push(...said)
    if (step < 1 && said.length) changes.push(`Only ${Math.round(100 * asked * step)} % less fat: with less it would split or run.`)
    method.push(...new Set(steps))
    return next
  }
  return bowl
}

function apply(want: FinishWant, bowl: Bowl[], r: Rework, changes: string[], method: string[], name: (id: string) => string) {
  const share = Math.max(0, Math.min(1, r.amount[want] ?? USUAL[want]))
  const doses = () => bowl.map((b) => b.dose)
  const { family } = phasesOf(doses(), r.roomC)
  const percent = `${Math.round(share * 100)} %`
  if (want === 'low-fat') {
    const of = (pattern: RegExp) => bowl.filter((b) => pattern.test(b.dose.ingredient))
    if (family === 'ganache' || family === 'whipped-cream') {
      const light = allowedOf(
        family === 'ganache' ? ['milk-whole', 'soy-milk', 'oat-milk'] : ['yogurt-greek', 'soy-yogurt', 'coconut-yogurt'],
        r.goals,
      )
      if (!light) return
      const creams = of(CREAMS)
      for (const b of creams) {
        const moved = b.dose.grams * Math.min(0.9, share * 1.15)
        bowl.push({ dose: { ingredient: light, grams: moved * (family === 'ganache' ? 0.75 : 1) }, prep: null })
        b.dose = { ...b.dose, grams: b.dose.grams - moved }
        changes.push(`${Math.round(moved)} g of ${name(b.dose.ingredient)} became ${name(light)}.`)
      }
      const set = family === 'whipped-cream' ? allowedOf(['gelatine', 'agar'], r.goals) : undefined
      if (set && creams.length) {
        bowl.push({ dose: { ingredient: set, grams: 0.012 * doses().reduce((g, d) => g + d.grams, 0) }, prep: 'dissolved' })
        method.push(`Whip the cream alone; fold in the yogurt and the dissolved ${name(set)}, and chill for an hour.`)
      }
      return
    }
    if (family === 'pastry-cream') {
      for (const b of of(FIRM_FATS)) {
        changes.push(`${name(b.dose.ingredient)} down by ${percent}: the starch holds it without.`)
        b.dose = { ...b.dose, grams: b.dose.grams * (1 - share) }
      }
      return
    }
    const milk = allowedOf(['milk-whole', 'soy-milk', 'oat-milk', 'water'], r.goals)
    const starch = allowedOf(['cornstarch'], r.goals)
    if (!milk || !starch) return
    for (const b of of(FIRM_FATS)) {
      const moved = b.dose.grams * share
      bowl.push({ dose: { ingredient: milk, grams: moved * PASTE.milk }, prep: null })
      bowl.push({ dose: { ingredient: starch, grams: moved * PASTE.starch }, prep: null })
      b.dose = { ...b.dose, grams: b.dose.grams - moved }
      changes.push(`${Math.round(moved)} g of ${name(b.dose.ingredient)} became a boiled paste of ${name(milk)} and ${name(starch)}.`)
      method.push(
        `Boil the ${name(milk)} and ${name(starch)} to a thick paste, whisking, and cool it to the warmth of the room; beat it into the creamed fat by the spoon.`,
      )
    }
    return
  }
  if (want === 'sugar-swap') {
    // Allulose dissolves like sugar; the others stay gritty in a bowl that is not boiled.
    const into = [r.sweetener ?? 'allulose']
    for (const id of into)
      if (!ingredientOf(id)) throw new Refusal('bad-request', `There is no ingredient “${id}” in the pantry.`, 'sweetener')
    for (const b of bowl.filter((x) => DRY_SUGARS.test(x.dose.ingredient))) {
      const moved = b.dose.grams * share
      for (const id of into) bowl.push({ dose: { ingredient: id, grams: moved / into.length }, prep: 'ground to powder' })
      b.dose = { ...b.dose, grams: b.dose.grams - moved }
    }
    changes.push(
      `The sugar became ${into.map(name).join(' and ')}, weight for weight, ground to powder: its mass is what gives the icing body.`,
    )
    return
  }
  // Less sugar, or less sweet: of a ganache by a darker chocolate, else by less of it.
  if (family === 'ganache') {
    for (const b of bowl.filter((x) => /^chocolate-dark(-50)?$/.test(x.dose.ingredient))) {
      const dark = need('chocolate-dark-85')
      const has = sugarOf(need(b.dose.ingredient))
      const t = Math.min(1, share / (1 - sugarOf(dark) / has))
      bowl.push({ dose: { ingredient: dark.id, grams: b.dose.grams * t }, prep: b.prep })
      b.dose = { ...b.dose, grams: b.dose.grams * (1 - t) }
      changes.push(`${Math.round(t * 100)} % of the chocolate is a darker one, with less sugar in it.`)
    }
    return
  }
  if (family === 'glaze') return void changes.push('A glaze is nearly all sugar: make less of it, and let it lie thinner.')
  for (const b of bowl.filter((x) => DRY_SUGARS.test(x.dose.ingredient))) b.dose = { ...b.dose, grams: b.dose.grams * (1 - share) }
  changes.push(`${percent} less sugar.`)
}

/** Brings a bowl to a firmness: first by its liquid, then by what stiffens without sugar, then by what loosens. */
function steady(all: Bowl[], wanted: number, r: Rework, changes: string[], name: (id: string) => string) {
  const doses = () => all.map((b) => b.dose)
  const score = () => firmnessOf(phasesOf(doses(), r.roomC), r.roomC)
  const family = phasesOf(doses(), r.roomC).family
  const move = (at: number, low: number, high: number) => {
    const b = all[at]!
    const from = b.dose.grams
    const grams = amountFor(doses(), at, wanted, r.roomC, low, high, family)
    b.dose = { ...b.dose, grams }
    if (Math.abs(grams - from) > 1)
      changes.push(`${name(b.dose.ingredient)} ${grams < from ? 'down' : 'up'} to ${Math.round(grams)} g, so that it holds as before.`)
  }
  // Fruit is boiled down until it holds.
  if (family === 'compote' || Math.abs(score() - wanted) < 0.3) return
  const starch = family === 'pastry-cream' ? all.findIndex((b) => STARCHES.test(b.dose.ingredient)) : -1
  if (starch >= 0) return move(starch, all[starch]!.dose.grams * 0.6, all[starch]!.dose.grams * 1.6)
  const liquid = all.findIndex((b) => LIQUIDS.test(b.dose.ingredient) && fatOf(need(b.dose.ingredient)) < 0.4)
  if (liquid >= 0) {
    const g = all[liquid]!.dose.grams
    move(liquid, score() < wanted ? g * 0.3 : g, score() < wanted ? g : g * 1.8 + 20)
  }
  if (Math.abs(score() - wanted) < 0.3) return
  // Sugar is a stiffener too, unless it is what the baker wants less of; chocolate is.
  const sugarFree = r.wants.some((w) => w !== 'low-fat')
  const firm = all.findIndex((b) => b.dose.ingredient.startsWith('chocolate-') || (!sugarFree && b.dose.ingredient === 'sugar-icing'))
  if (firm >= 0) move(firm, all[firm]!.dose.grams * 0.75, all[firm]!.dose.grams * 1.35)
  if (score() > wanted - 0.3) return
  const fat = all.findIndex((b) => FIRM_FATS.test(b.dose.ingredient))
  if (fat >= 0 && !r.wants.includes('low-fat')) return move(fat, all[fat]!.dose.grams, all[fat]!.dose.grams * 1.35)
}
