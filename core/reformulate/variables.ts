import { isWheatFlour } from '../swaps/gluten/flour'
import { emptyMass, type Mass } from '../balance/mass'
import type { Band, Banded, Family } from '../balance/families'
import { isCake, modelOf } from '../balance/metrics'
import type { Ingredient } from '../pantry/ingredient'
import { need } from '../pantry/pantry'
import { isNutButter, isThinLiquid } from '../pantry/traits'
import type { ChangeSchool } from '../swaps/change'
import type { School } from '../swaps/school'
import type { StandIn } from '../swaps/standins'
import { firstAllowed, type Rules } from './allowed'
import type { Variable } from './problem'
import { rework, widenedBands, type Reworked } from './rework'
import { isMeringue, type Place, type Situation } from './situation'

/** One way through all that is asked: a school for the eggs, stand-ins for what else must go, changes by degree. */
export interface Combination {
  egg?: School
  /** By ingredient id. */
  standIns: ReadonlyMap<string, StandIn>
  /** In the order in which they are applied; `share` is how much of it is to go. */
  changes: readonly { change: ChangeSchool; share: number }[]
}

export interface Limits {
  pin: Readonly<Record<string, number | 'keep'>>
  /** The most there is of an ingredient, g. */
  most: ReadonlyMap<string, number>
}

export interface Draft {
  variables: Variable[]
  fixed: Mass
  family: Family
  /** Batter lines that leave, by key, with the reason where a change gave one. */
  removed: Map<string, { code: string; message: string } | undefined>
  wishes: Reworked['wishes']
  /** The family's bands, widened as far as the goals reach. */
  bands: Partial<Record<Banded, Band>>
  brought: Reworked['brought']
}

/** Shell-free grams of the egg that recipes and schools count by (US large). */
export const EGG_UNIT = 50
/** More than one egg to 40 g flour is foam, which a carrier cannot replace gram by gram. */
const FLOUR_PER_EGG = 40
/** Of nut flour twice that: it binds a third of its weight, and nut cakes without egg take two thirds of it in liquid. */
const NUT_PER_EGG = 70

const NUT_FLOUR = /^flour-(?:almond|hazelnut|walnut|pistachio|pecan|cashew|chestnut|sunflower|pumpkin-seed)/
/** How far each of several things that stand in together may move from its share. */
const TOGETHER = 0.15
/** Below this share of the flour an eggless crumb wants fat (low end of its band, science §3). */
const LEAN = 0.3
/** Families whose eggless form is raised by leavener. */
export const RAISED: readonly Family[] = ['eggless-raised', 'syrup-spice', 'boxed', 'flourless-nut']

/** Water in whole egg (76 %: USDA), and the least that loosens a batter at all, g. */
const EGG_WATER = 0.76
const LEAST_LOOSENING = 20
/** What another flour may drink more than wheat, g per g: rice and starch blends about a fifth of their weight. */
const DRINKS_MORE = 0.2

/** Batters that a spoon of milk loosens; cheese and custard only get wetter, and a foam falls. */
const loosened = (family: Family): boolean => isCake(family) && !['cheesecake', 'custard', 'pastry', 'crepe', 'foam'].includes(family)

/** Share of the most gas that a family bears, where its foam is gone. */
const GAS_FOR_FOAM = 0.75

/** How far a stand-in may move from its measure where nothing else is asked: a spoon in a cup. */
const SWAP_LEEWAY = 0.08
/** And how reluctantly: half of that costs a tolerance. */
const SWAP_GIVE = 0.04
/** What stays of a thin liquid where a stand-in holds more water, as a share. */
const KEPT_LIQUID = 0.85
/** Water in butter (USDA: 16 %), which oil does not bring. */
const BUTTER_WATER = 0.16

/** What makes a cake the baker's own. */
const HELD: ReadonlySet<Ingredient['kind']> = new Set(['sugar', 'syrup', 'fat'])
/** Fat may grow so little where only eggs were to go. */
const MOST_FAT = 1.06
/** Bakers who leave the eggs out take a tenth of the sugar and fat away at most, and mostly none. */
const LEAST_KEPT = 0.9

const sugarIn = (i: Ingredient): number => ((i.per100.sucrose ?? 0) + (i.per100.glucose ?? 0) + (i.per100.fructose ?? 0)) / 100
const fatIn = (i: Ingredient): number => ((i.per100.liquidFat ?? 0) + (i.per100.plasticFat ?? 0)) / 100

/** What a school brings of something in the place of all eggs, as a share of what the batter has of it: condensed milk is sugar itself, nut butter fat. */
function broughtShare(s: Situation, school: School | undefined, of: (i: Ingredient) => number): number {
  const has = s.places.reduce((g, p) => (p.main ? g + p.grams * of(p.ingredient) : g), 0)
  const comes = (school?.brings ?? []).reduce((g, b) => g + b.per[1] * of(need(b.any[0]!)), 0)
  return has > 0 ? (comes * s.eggGrams) / EGG_UNIT / has : 0
}

type Freedom = { low: number; high: number; give: number; fixed?: boolean }

/** How far each kind of line may move, and how reluctantly (`give` costs one tolerance). */
function freedomOf(i: Ingredient, grams: number, flour: number, foamLost: boolean, balancing = false): Freedom {
  const share = (low: number, high: number, give: number): Freedom => ({
    low: grams * low,
    high: grams * high,
    give: Math.max(1, grams * give),
  })
  const still: Freedom = { low: grams, high: grams, give: 1, fixed: true }
  if (!(grams > 0)) return still
  switch (i.kind) {
    case 'flour':
    case 'starch':
      // Bakers keep the flour and move the rest; only where the foam is gone must flour take its place.
      return foamLost ? share(1, 1.5, 0.2) : still
    case 'sugar':
    case 'syrup':
      // Nobody who asks for another cake asks for a sweeter one; only an unbalanced recipe may want more.
      return share(0.5, balancing ? 1.2 : 1, 0.17)
    case 'fat':
      // Nut butter is what the cake tastes of, mayonnaise what it is called after.
      return isNutButter(i) || /mayonnaise$|spread-hazelnut/.test(i.id) ? still : share(0.5, 1.15, 0.17)
    case 'water':
    case 'dairy':
    case 'plant-dairy':
      // Cheese is bought by the brick and is what the cake is made of.
      if (/cheese|mascarpone|ricotta|quark|paneer|khoya/.test(i.id)) return still
      // A pot of sour cream is a pot: drinks and water move before it.
      if (!isThinLiquid(i)) return share(0.6, 1.4, 0.12)
      return { low: grams * 0.2, high: grams + flour * 0.9, give: Math.max(25, grams * 0.3) }
    case 'leavener':
      return i.id === 'baking-soda'
        ? { low: 0, high: Math.max(grams * 1.3, flour * 0.012), give: Math.max(0.8, grams * 0.25) }
        : { low: 0, high: Math.max(grams * 2.2, flour * 0.07), give: 4 }
    case 'acid':
      // Juice is what the cake tastes of; vinegar only sets gas free.
      if (/juice/.test(i.id)) return share(0.85, 1.5, 0.12)
      return { low: 0, high: grams * 2.5, give: Math.max(4, grams * 0.4) }
    default:
      return still
  }
}

/**
 * The variables of one combination: what stays and how far it may move, what comes and between which limits.
 *
 * @param how.balancing nothing is asked but balance, so that sugar may grow too
 * @param how.faulty the recipe has faults: more may move than what is swapped
 * @param how.held the baker's own sugar and fat stay as they are; what is poured and what raises makes up for it
 * @returns `undefined` where the rules leave no ingredient for a part of it
 */
export function draft(
  situation: Situation,
  combination: Combination,
  rules: Rules,
  limits: Limits,
  eggsGo: boolean,
  family: Family,
  { balancing = false, held = false, faulty = false }: { balancing?: boolean; held?: boolean; faulty?: boolean } = {},
): Draft | undefined {
  const flour = Math.max(situation.mix.mass.flour, situation.mix.mass.total * 0.12)
  const foamLost = eggsGo && situation.family === 'foam'
  const nuts = situation.places.reduce((sum, p) => sum + (p.inBatter && NUT_FLOUR.test(p.ingredient.id) ? p.grams : 0), 0)
  /** Eggs that the flours carry. */
  const carries = Math.max(0, flour - nuts) / FLOUR_PER_EGG + Math.min(flour, nuts) / NUT_PER_EGG
  const melted = situation.signs.melted
  const variables: Variable[] = []
  const removed: Draft['removed'] = new Map()
  const byIngredient = new Map<string, Variable>()
  const pinned = (id: string, from: number): number | undefined => {
    const pin = limits.pin[id]
    return pin === 'keep' ? from : pin
  }

  const add = (v: Omit<Variable, 'melted' | 'fixed'> & { fixed?: boolean }): Variable => {
    const made: Variable = { ...v, melted, fixed: v.fixed ?? false }
    variables.push(made)
    if (!byIngredient.has(v.ingredient.id)) byIngredient.set(v.ingredient.id, made)
    return made
  }
  /** Adds an ingredient, or raises the line that the recipe already has of it. */
  const bring = (
    ingredient: Ingredient,
    low: number,
    start: number,
    high: number,
    give: number,
    replaces: string[],
    why: Variable['why'],
    tie?: Variable['tie'],
  ): Variable => {
    const has = byIngredient.get(ingredient.id)
    if (has && !tie && !has.tie) {
      // Starch that would stay as it is must still take what is put to it.
      has.fixed = false
      has.start = has.start + start
      has.low = has.low + low
      has.high = Math.max(has.high, has.from) + high
      has.give = Math.max(has.give, give)
      has.portions = [
        ...(has.portions ?? [{ replaces: has.from > 0 ? [has.ingredient.id] : [...has.replaces], grams: has.start - start }]),
        { replaces, grams: start },
      ]
      has.replaces.push(...replaces)
      has.why.push(...why)
      return has
    }
    return add({ key: `+${ingredient.id}${tie ? `@${tie.to}` : ''}`, ingredient, from: 0, start, low, high, give, tie, replaces, why })
  }

  // Whites and sugar in their proportion are all that a meringue is: nothing is moved but the foam itself.
  const meringue = eggsGo && isMeringue(situation.mix)
  const brought = { sugar: broughtShare(situation, combination.egg, sugarIn), fat: broughtShare(situation, combination.egg, fatIn) }
  const asked = (slot: string) => combination.changes.some((c) => c.change.slot === slot)
  /** Who asks for no egg asks for no more butter, and for a cake that is still as sweet and as rich. */
  const kept = (f: Freedom, i: Ingredient, grams: number): Freedom => {
    if (meringue || (held && HELD.has(i.kind))) return { low: grams, high: grams, give: 1, fixed: true }
    // Nor does who asks for less sugar.
    if (!eggsGo && i.kind === 'fat' && asked('sugar') && !f.fixed) return { ...f, high: Math.min(f.high, grams) }
    if (!eggsGo || f.fixed || !HELD.has(i.kind)) return f
    const low = asked(i.kind === 'fat' ? 'fat' : 'sugar')
      ? f.low
      : Math.max(f.low, grams * (LEAST_KEPT - (i.kind === 'fat' ? brought.fat : brought.sugar)))
    return { ...f, low, high: i.kind === 'fat' ? Math.min(f.high, grams * MOST_FAT) : f.high }
  }
  // Milk for milk and fat for fat is what a baker measures the same: what only changes places keeps its measure, and
  // the rest of the recipe with it, but for the thin liquid that makes up for what the stand-in holds otherwise. Another
  // flour drinks more, never less.
  const swaps = !faulty && !eggsGo && combination.standIns.size > 0 && combination.changes.every((c) => c.change.slot === 'gluten')
  const thirsty = combination.changes.length > 0
  const fatLeaves = situation.places.reduce(
    (g, p) => (p.main && p.ingredient.kind === 'fat' && combination.standIns.has(p.ingredient.id) ? g + p.grams : g),
    0,
  )
  const swapped = (f: Freedom, i: Ingredient, grams: number, comes: boolean): Freedom => {
    if (!swaps || f.fixed) return f
    const thin = isThinLiquid(i)
    const low = Math.max(f.low, grams * (comes || thirsty ? 1 - SWAP_LEEWAY : KEPT_LIQUID))
    if (comes && !(thirsty && thin))
      return { ...f, low, high: Math.min(f.high, grams * (1 + SWAP_LEEWAY)), give: Math.max(1, grams * SWAP_GIVE) }
    if (thirsty) return thin ? { ...f, low } : f
    if (!thin)
      return i.kind === 'leavener' || (i.kind === 'acid' && !/juice/.test(i.id)) ? f : { low: grams, high: grams, give: 1, fixed: true }
    return { ...f, low, high: Math.min(f.high, grams * (2 - KEPT_LIQUID) + BUTTER_WATER * fatLeaves) }
  }
  // The flour of the batter changes by its school; a stand-in for the same flour is for the crumbs and the crust.
  const byGluten = combination.changes.some((c) => c.change.slot === 'gluten')
  const standInFor = (place: Place): StandIn | undefined =>
    // Nor do whites for a meringue stand for the eggs of the batter, whose school carries them all.
    (byGluten && isWheatFlour(place.ingredient)) || (eggsGo && combination.egg && place.ingredient.kind === 'egg')
      ? undefined
      : combination.standIns.get(place.ingredient.id)
  const leaving: Place[] = []
  for (const place of situation.places) {
    if (!place.main) continue
    const standIn = standInFor(place)
    const goes = (eggsGo && place.ingredient.kind === 'egg') || standIn !== undefined
    if (goes) {
      removed.set(place.key, undefined)
      leaving.push(place)
      continue
    }
    const free = kept(freedomOf(place.ingredient, place.grams, flour, foamLost, balancing), place.ingredient, place.grams)
    const f = swapped(free, place.ingredient, place.grams, false)
    add({
      key: place.key,
      ingredient: place.ingredient,
      from: place.grams,
      start: place.grams,
      low: f.low,
      high: f.high,
      give: f.give,
      fixed: f.fixed,
      replaces: [],
      why: [],
    })
  }
  for (const place of leaving) {
    const standIn = standInFor(place)
    if (!standIn) continue
    for (const b of standIn.brings) {
      const grams = place.grams * b.ratio
      const f = swapped(
        kept(freedomOf(need(b.ingredient), grams, flour, foamLost), need(b.ingredient), grams),
        need(b.ingredient),
        grams,
        true,
      )
      // What stands in together stays together: each near its own share.
      const together = standIn.brings.length > 1 && !f.fixed
      bring(
        need(b.ingredient),
        f.fixed ? grams : together ? Math.max(f.low, grams * (1 - TOGETHER)) : f.low,
        grams,
        f.fixed ? grams : together ? Math.min(Math.max(f.high, grams), grams * (1 + TOGETHER)) : f.high,
        // Weight for weight, but a whole packet need not be cut open for a few grams.
        f.fixed ? Math.max(1, grams * 0.03) : f.give,
        [place.ingredient.id],
        [{ code: 'stand-in', message: standIn.why }],
      )
    }
  }

  if (combination.egg && situation.eggGrams > 0) {
    const school = combination.egg
    const units = Math.min(situation.eggGrams / EGG_UNIT, meringue ? Infinity : carries)
    const held = Math.min(units, school.mostEggs ?? Infinity)
    const eggs = [...new Set(leaving.filter((p) => p.ingredient.kind === 'egg').map((p) => p.ingredient.id))]
    let acid = 0
    for (const b of school.brings) {
      const carrier = firstAllowed(b.any, rules)
      if (!carrier) return undefined
      const [least, usual, most] = b.per
      const leader = bring(
        carrier,
        (meringue ? usual : least) * held,
        usual * held,
        (meringue ? usual : most) * held,
        Math.max(1, 0.3 * usual * held),
        eggs,
        [{ code: 'takes-over', message: 'stands in for the eggs' }],
      )
      acid += ((carrier.per100.acid ?? 0) / 100) * usual * held
      for (const t of b.with ?? []) {
        const tied = firstAllowed(t.any, rules)
        if (!tied) return undefined
        bring(
          tied,
          0,
          (usual * held + (t.all ? leader.from : 0)) * t.ratio,
          (most * held + (t.all ? leader.from : 0)) * t.ratio * 1.2,
          Math.max(1, 0.3 * usual * held * t.ratio),
          eggs,
          [{ code: 'goes-with', message: `goes with the ${carrier.names[0]}` }],
          { to: leader.key, ratio: t.ratio, beyond: t.all ? 0 : leader.from },
        )
        acid += ((tied.per100.acid ?? 0) / 100) * usual * held * t.ratio
      }
    }
    const soda = firstAllowed(['baking-soda'], rules)
    if (school.soda && soda && !situation.yeasted) {
      // Soda to meet the acid that the school brings; where it brings none, what its followers use (0.8 % of flour).
      const meets = acid > 2 ? acid / 11.9 : flour * 0.008
      bring(soda, acid > 2 ? meets * 0.4 : 0, meets * 0.85, meets * 1.3 + flour * 0.002, Math.max(0.5, meets * 0.4), eggs, [
        { code: 'lift', message: 'meets the acid and gives the lift that the eggs gave' },
      ])
    }
    if (school.acid && school.soda && !situation.yeasted) {
      const sour = firstAllowed(['vinegar', 'lemon-juice'], rules)
      if (sour)
        bring(sour, flour * 0.03, flour * 0.05, flour * 0.13, Math.max(4, flour * 0.05), eggs, [
          { code: 'acid', message: 'sets the soda’s gas free' },
        ])
    }
    const powder = firstAllowed(['baking-powder'], rules)
    if (powder && !byIngredient.has('baking-powder') && RAISED.includes(family))
      bring(powder, 0, 0, flour * 0.07, Math.max(3, flour * 0.022), eggs, [
        { code: 'lift', message: 'an eggless batter has no foam: its lift comes from powder' },
      ])
    const fatLeft = variables.reduce(
      (sum, v) => sum + (((v.ingredient.per100.plasticFat ?? 0) + (v.ingredient.per100.liquidFat ?? 0)) / 100) * v.start,
      0,
    )
    if (family === 'eggless-raised' && fatLeft < LEAN * flour) {
      const oil = firstAllowed(['oil-vegetable', 'oil-olive', 'oil-coconut'], rules)
      if (oil)
        bring(oil, 0, 0, flour * 0.45, flour * 0.2, eggs, [
          { code: 'tenderness', message: 'without foam the crumb needs fat to be tender' },
        ])
    }
  }
  const state = rework(
    variables,
    combination.changes,
    { flour, family, before: situation.metrics, rules },
    (ingredient, low, start, high, why, give) =>
      add({ key: `+${ingredient.id}`, ingredient, from: 0, start, low, high, give, replaces: [], why: [why] }),
  )
  if (!state) return undefined
  // A nut cake that stood on whipped egg and keeps its family needs gas instead.
  const lift = modelOf(state.family).bands.lift
  if (eggsGo && combination.egg && !combination.egg.foams && state.family === situation.family && situation.signs.whipped && lift) {
    state.wishes.lift ??= Math.max(situation.seaLift ?? 0, GAS_FOR_FOAM * lift.high)
    // What a foam held in its walls, and dried out of as it baked, would lie wet in a batter without one.
    const { moisture } = modelOf(state.family).bands
    if (moisture && situation.metrics.moisture !== undefined && situation.metrics.moisture > (moisture.low + moisture.high) / 2)
      state.wishes.moisture ??= (moisture.low + moisture.high) / 2
  }
  if ((combination.egg && situation.eggGrams > 0) || combination.changes.some((c) => c.change.slot !== 'want')) loosen()
  const staying = variables.filter((v) => !state.gone.has(v))
  for (const [v, why] of state.gone) if (v.from > 0) removed.set(v.key, why)
  // Agar boils in the water that the gelatine was soaked in: all of it is needed. So is that of an agar that was there.
  if (
    combination.standIns.get('gelatine')?.brings.some((b) => b.ingredient === 'agar') ||
    situation.places.some((p) => p.main && p.ingredient.id === 'agar')
  )
    for (const v of staying) if (v.ingredient.kind === 'water' && v.from > 0) v.low = Math.max(v.low, v.from)
  // What the baker holds, and what there is, goes before everything but a hard need.
  for (const v of staying) {
    const pin = pinned(v.ingredient.id, v.from)
    const most = limits.most.get(v.ingredient.id) ?? Infinity
    if (pin !== undefined) Object.assign(v, { start: pin, low: pin, high: pin, fixed: true, tie: undefined })
    else if (v.start > most || v.high > most) {
      v.start = Math.min(v.start, most)
      v.low = Math.min(v.low, most)
      v.high = Math.min(v.high, most)
    }
  }
  return {
    variables: staying,
    fixed: emptyMass(),
    family: state.family,
    removed,
    wishes: state.wishes,
    bands: widenedBands(state),
    brought: state.brought,
  }

  /** What replaces egg, wheat or fat may need loosening where the recipe has no liquid to move. */
  function loosen() {
    if (!loosened(family) || variables.some((v) => !v.tie && !v.fixed && v.start > 0 && isThinLiquid(v.ingredient))) return
    // Milk only where the recipe has milk already: no allergen comes in by the back door.
    const milky = situation.places.some((p) => p.ingredient.contains?.includes('milk'))
    const wet = firstAllowed(milky ? ['milk-whole', 'soy-milk', 'oat-milk', 'water'] : ['water'], rules)
    const why = combination.egg ? 'the water that the eggs carried' : 'loosens what now drinks more'
    // No more than the eggs carried; another kind of cake, another flour or less fat asks for its own.
    const came = variables.reduce(
      (sum, v) => sum + (v.replaces.some((id) => need(id).kind === 'egg') ? ((v.ingredient.per100.water ?? 0) / 100) * v.start : 0),
      0,
    )
    const drier = combination.standIns.size > 0 || combination.changes.some((c) => c.change.slot !== 'want')
    const room =
      combination.egg && family === situation.family
        ? Math.max(LEAST_LOOSENING, EGG_WATER * Math.min(situation.eggGrams, carries * EGG_UNIT) - came) + (drier ? DRINKS_MORE * flour : 0)
        : Infinity
    if (wet) bring(wet, 0, 0, Math.min(flour * 0.9, room), flour * 0.22, [], [{ code: 'moisture', message: why }])
  }
}
