import { RAISED } from './variables'
import type { Banded, Family } from '../balance/families'
import { HARD_NEEDS, type HardNeed, type Ingredient } from '../pantry/ingredient'
import { ingredientOf, nameOf, need } from '../pantry/pantry'
import type { Region } from '../measure/region'
import type { ChangeSchool } from '../swaps/change'
import { isWheatFlour } from '../swaps/gluten/flour'
import type { SchoolId } from '../swaps/ids'
import type { School } from '../swaps/school'
import { CHANGES, SCHOOLS } from '../swaps/schools'
import { EGG_OUTSIDE_BATTER, FLOUR_IN_DOUGH, FLOUR_OUTSIDE_BATTER, standInsFor, type StandIn } from '../swaps/standins'
import { schoolForSweetener } from '../swaps/sugar/sweeteners'
import { noLeavener, nudgeSchool, wantSchool } from '../swaps/want/wants'
import { forbidden, type Rules } from './allowed'
import type { Goal, SoftGoal } from './goals'
import type { Place, Situation } from './situation'

/** One way to deal with one thing. */
export type Choice =
  | { kind: 'egg'; school: School }
  | { kind: 'stand-in'; ingredients: readonly string[]; standIn: StandIn }
  | { kind: 'change'; change: ChangeSchool; share: number }

/** Fat of a foam of whites alone, per cent of its flour. */
const FATLESS = 3
/** Water per gram of what drinks it under which a mix is a dough and does not fold: cookie doughs have 0.4 to 0.7, brownies from 0.8. */
const FOLDS = 0.75

/** One thing to deal with, and the ways to do it. */
export interface Slot {
  key: string
  choices: Choice[]
}

export interface Asked {
  goals: readonly Goal[]
  /** How much of it, by soft goal, 0 to 1. */
  amount: Readonly<Partial<Record<SoftGoal, number>>>
  sweetener?: string
  /** Ratios that the baker wants so much higher or lower. */
  nudge?: Readonly<Partial<Record<Banded, number>>>
  schools: { use: readonly SchoolId[]; exclude: readonly SchoolId[] }
  region: Region
}

/** Shares taken away where the baker names none (contract). Half of the sugar is as far as most syrups go. */
const USUAL_SHARE: Readonly<Partial<Record<SoftGoal, number>>> = {
  'low-fat': 0.5,
  'less-sugar': 0.3,
  'less-sweet': 0.15,
  'sugar-swap': 1,
}

export const hardNeeds = (goals: readonly Goal[]): HardNeed[] =>
  goals.filter((g): g is HardNeed => (HARD_NEEDS as readonly string[]).includes(g))

/** Flours of the batter change together, by a school; elsewhere and in crumbs each has its stand-in. */
const isBatterWheat = (p: Place): boolean => p.inBatter && isWheatFlour(p.ingredient)

/**
 * Everything that is asked of a recipe, slot by slot.
 *
 * @returns the slots, and what cannot be met because nothing can take its place
 */
export function slotsOf(
  s: Situation,
  rules: Rules,
  asked: Asked,
  eggsGo: boolean,
  family: Family,
): { slots: Slot[]; blocked: { code: string; message: string }[] } {
  const blocked: { code: string; message: string }[] = []
  const slots: Slot[] = []
  const named = new Set(asked.schools.use)
  const usable = (id: SchoolId | null) => id === null || !asked.schools.exclude.includes(id)
  const wanted = <T extends { id: SchoolId | null }>(all: readonly T[]): T[] => {
    const left = all.filter((x) => usable(x.id))
    const insisted = left.filter((x) => x.id !== null && named.has(x.id))
    return insisted.length ? insisted : left
  }
  const open = (key: string, choices: Choice[]) => choices.length && slots.push({ key, choices })

  // A dough that is pressed or shaped by hand has nothing that a foam could be folded into.
  const stiff = s.family !== 'foam' && (s.metrics.moisture ?? FOLDS) < FOLDS
  if (eggsGo) {
    const schools = wanted(
      SCHOOLS.filter(
        (x) =>
          (!x.raisedOnly || RAISED.includes(family)) &&
          !x.notFor?.includes(family) &&
          !(x.foams && (s.signs.mug || (stiff && !named.has(x.id)))),
      ),
    )
    if (schools.length)
      open(
        'egg',
        schools.map((school) => ({ kind: 'egg', school })),
      )
  }

  const changes = (key: string, all: readonly ChangeSchool[], share: number) =>
    open(
      key,
      wanted(all).map((change) => ({ kind: 'change', change, share })),
    )
  const asks = (all: readonly ChangeSchool[]) => all.some((c) => c.id !== null && named.has(c.id))
  const goal = (g: SoftGoal) => asked.goals.includes(g)
  const share = (g: SoftGoal) => asked.amount[g] ?? USUAL_SHARE[g] ?? 0.5
  const wheat = s.places.filter(isBatterWheat)
  const wheatGoes = wheat.some((p) => forbidden(p.ingredient, rules))
  // The fat of nuts sinks a foam that has none: an angel cake stays one on starch.
  const fatless = s.family === 'foam' && (s.metrics.fatPct ?? 0) < FATLESS && !named.has('nut-flour')
  if (wheatGoes || (asks(CHANGES.gluten) && wheat.length))
    changes('gluten', fatless ? CHANGES.gluten.filter((x) => x.id !== 'nut-flour') : CHANGES.gluten, 1)
  const boxed = s.places.some((p) => p.inBatter && p.ingredient.id.startsWith('cake-mix'))
  if (boxed && goal('from-scratch-taste')) changes('box', CHANGES.boxRich, 1)
  else if (boxed && goal('low-fat')) changes('box', CHANGES.boxLean.concat(CHANGES.fat), share('low-fat'))
  else if (boxed) {
    const special = [...CHANGES.boxRich, ...CHANGES.boxLean, ...CHANGES.boxOther].filter((c) => c.id !== null && named.has(c.id))
    if (special.length) changes('box', special, 1)
  }
  if ((goal('low-fat') && !boxed) || (!goal('low-fat') && asks(CHANGES.fat))) changes('fat', CHANGES.fat, share('low-fat'))
  if (goal('less-sugar')) changes('sugar', CHANGES.lessSugar, share('less-sugar'))
  else if (goal('less-sweet')) changes('sugar', CHANGES.lessSugar.slice(0, 1), share('less-sweet'))
  else if (goal('sugar-swap') || asks(CHANGES.sugarSwap) || asks(CHANGES.lessSugar)) {
    const own = asked.sweetener ? schoolForSweetener(asked.sweetener) : undefined
    if (asked.sweetener && !own)
      blocked.push({
        code: 'no-sweetener',
        message: `${ingredientOf(asked.sweetener)?.names[0] ?? asked.sweetener} is not a sweetener that the pantry can put in the place of sugar.`,
      })
    const all = own ? [own] : asks(CHANGES.lessSugar) && !goal('sugar-swap') ? CHANGES.lessSugar : CHANGES.sugarSwap
    changes('sugar', all, share('sugar-swap'))
  }
  if (goal('no-added-leavener')) open('leavener', [{ kind: 'change', change: noLeavener, share: 1 }])
  for (const g of asked.goals) {
    const want = wantSchool(g) ?? (g === 'from-scratch-taste' && !boxed ? wantSchool('richer') : undefined)
    if (want) open(`want ${g}`, [{ kind: 'change', change: want, share: 1 }])
  }

  if (asked.nudge && Object.keys(asked.nudge).length) open('nudge', [{ kind: 'change', change: nudgeSchool(asked.nudge), share: 1 }])

  for (const { ids, choices } of standInMenus(s, rules, eggsGo, wheatGoes, asked, named, blocked))
    open(
      `for ${ids.join(', ')}`,
      choices.map((standIn) => ({ kind: 'stand-in', ingredients: ids, standIn })),
    )
  return { slots, blocked }
}

/** For each ingredient that must go, or whose school is insisted on, its stand-ins; those with one table choose together. */
function standInMenus(
  s: Situation,
  rules: Rules,
  eggsGo: boolean,
  wheatGoes: boolean,
  asked: Asked,
  named: ReadonlySet<SchoolId>,
  blocked: { code: string; message: string }[],
): { ids: string[]; choices: readonly StandIn[] }[] {
  const menus = new Map<readonly StandIn[], string[]>()
  const allowedOf = new Map<readonly StandIn[], readonly StandIn[]>()
  for (const p of s.places) {
    if (p.ingredient.kind === 'egg' && p.inBatter && eggsGo) continue
    if (isBatterWheat(p) && wheatGoes) continue
    const id = p.ingredient.id
    const outside = !p.inBatter
      ? p.ingredient.kind === 'egg'
        ? EGG_OUTSIDE_BATTER[id]
        : isWheatFlour(p.ingredient)
          ? s.places.some((x) => x.ingredient.id === id && isDough(s, x))
            ? FLOUR_IN_DOUGH
            : FLOUR_OUTSIDE_BATTER
          : undefined
      : undefined
    const table = outside ?? standInsFor(p.ingredient)
    const must = forbidden(p.ingredient, rules)
    const insisted = table.some((t) => t.school !== null && named.has(t.school))
    if (!must && !insisted) continue
    let allowed = allowedOf.get(table)
    if (!allowed) {
      // What sets an icing, a crust or a crumble is firm fat: oil does not.
      const firm = s.places.some(
        (x) => !x.inBatter && x.ingredient.kind === 'fat' && !x.ingredient.id.startsWith('oil-') && standInsFor(x.ingredient) === table,
      )
      const able = table.filter(
        (t) =>
          !(firm && t.school === 'oil') &&
          t.brings.every((b) => b.ingredient !== id && !forbidden(need(b.ingredient), rules)) &&
          !(t.school && asked.schools.exclude.includes(t.school)),
      )
      const only = able.filter((t) => t.school !== null && named.has(t.school))
      allowed = only.length ? only : able
      allowedOf.set(table, allowed)
    }
    if (!allowed.length) {
      if (must)
        blocked.push({
          code: 'no-stand-in',
          message: `Nothing in the pantry can take the place of ${nameOf(p.ingredient, asked.region)} under these needs.`,
        })
      continue
    }
    const ids = menus.get(allowed) ?? []
    if (!ids.includes(id)) ids.push(id)
    menus.set(allowed, ids)
  }
  return [...menus].map(([choices, ids]) => ({ ids, choices }))
}

/** From this share of flour on a part outside the batter is a dough or a crumble; below it, flour only thickens. */
const DOUGH = 0.25
function isDough(s: Situation, p: Place): boolean {
  if (p.inBatter) return false
  const own = s.places.filter((x) => x.part === p.part && x.batch === p.batch)
  const grams = (list: readonly Place[]) => list.reduce((sum, x) => sum + x.grams, 0)
  return grams(own.filter((x) => isFlour(x.ingredient))) >= DOUGH * grams(own)
}

const isFlour = (i: Ingredient): boolean => i.kind === 'flour' || i.kind === 'starch'
