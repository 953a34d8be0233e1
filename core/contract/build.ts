import { balanceOf } from '../balance/balance'
import type { FinishFamily } from '../balance/families'
import { massOf } from '../balance/mass'
import type { Region } from '../measure/region'
import type { HardNeed } from '../pantry/ingredient'
import { ingredientOf, nameOf, need, packageGrams } from '../pantry/pantry'
import type { Part, Recipe } from '../recipe/recipe'
import { amounts, DENSITY, type Place, type Places } from '../finish/amounts'
import { checkBuild, USE_AT, type BuildFinding, type Placed } from '../finish/bears'
import { firmnessOf, FOR_USE, type Firmness, type Use } from '../finish/firmness'
import { FORMULAS } from '../finish/formulas'
import { frosting, type FrostingAnswer } from '../finish/frosting'
import { standing, type Cut, type Standing } from '../finish/layers'
import { leftOver } from '../finish/leftovers'
import { orderOfWork, type BuildStep } from '../finish/order'
import { phasesOf } from '../finish/phases'
import { dosesOfLines, FINISH_WANTS, type FinishWant } from '../finish/rework'
import type { SoakAnswer, SoakKind } from '../finish/soak'
import { trimmings, type Trimmings } from '../finish/trimmings'
import { Refusal } from '../refusal'
import { scaleRecipe } from '../tin/scale'
import { answerSoak } from './finish'
import { answerTin } from './tins'

/** How a component stands at the temperatures of a kitchen. */
export interface BuildComponent {
  /** A kind of formula, `own:2` for a part of the recipe, or `bought:jam`. */
  component: string
  name: string
  family: FrostingAnswer['family'] | 'jam'
  use: Use
  /** What the places take, without and with what is left over. */
  grams: number
  ml: number
  made: number
  places: { place: Place; ml: number; grams: number }[]
  recipe: Recipe | null
  reduction?: FrostingAnswer['reduction']
  labels: FrostingAnswer['labels']
  changes: string[]
  notes: string[]
  firmness: { class: Firmness; score: number } | null
  /** Firmness from a cold to a hot kitchen. */
  curve: { celsius: number; score: number }[]
  /** Warmest room in which it does its hardest work, °C. */
  holdsToC: number | null
  findings: FrostingAnswer['findings']
  left: { grams: number; use: string } | null
}

export interface Nutrients {
  sugars: number
  fat: number
  kcal: number
}
export interface BuildAnswer {
  tiers: Standing[]
  components: BuildComponent[]
  soak: SoakAnswer | null
  slices: number
  perSlice: { cake: Nutrients; finish: Nutrients }
  findings: BuildFinding[]
  steps: BuildStep[]
  trimmings: Trimmings | null
  /** g of everything that it takes, cake and finish. */
  needs: { ingredient: string; grams: number }[]
  totalGrams: number
}

export interface BuildRequest {
  recipe: Recipe
  cut: Cut
  places: Places
  /** The recipe's own, or another in its place. */
  soak?: SoakKind | 'own'
  component: string
  colours: Partial<Record<Place, number>>
  goals: (HardNeed | FinishWant)[]
  roomC: number
  sparePct: number
  wholePackages: boolean
  slices?: number
  altitudeM: number
  region: Region
}

/** From cold to the hottest kitchen in which anybody frosts, °C. */
const ROOMS = Array.from({ length: 15 }, (_, i) => 10 + 2 * i)
/** Kinds of use from the least to the most demanding of firmness. */
const HARDEST: readonly Use[] = ['pour', 'drip', 'fill', 'spread', 'pipe']
const PERISHABLE: readonly string[] = ['whipped-cream', 'cream-cheese-icing', 'custard']
const JAM_GRAMS_PER_100 = { sugars: 60, fat: 0, kcal: 250 }

/** A cake put together: amounts, what stands and what does not, order of work, what to buy. Verb `build`. */
export function answerBuild(request: BuildRequest): BuildAnswer {
  const { recipe, region, goals, roomC } = request
  const balance = balanceOf(recipe, undefined, request.altitudeM)
  const fit = answerTin({ recipe, altitudeM: request.altitudeM, region })
  const { bakedGrams, batterGrams } = balance.metrics
  const tiers = standing(
    recipe.tins,
    fit.fill.map((f) => f.bakedHeightMm),
    bakedGrams,
    batterGrams,
    request.cut,
  )
  const names = new Set(
    Object.values(request.places).flatMap((p) => (p ? [(p as { component?: string }).component ?? request.component] : [])),
  )
  const usesOf = (name: string): Use[] =>
    (Object.entries(request.places) as [Place, { component?: string } | undefined][]).flatMap(([place, p]) =>
      p && (p.component ?? request.component) === name ? [USE_AT[place]] : [],
    )
  const read = new Map([...names].map((name) => [name, readComponent(name, hardest(usesOf(name)), request)] as const))
  const densityOf = (name: string) => {
    const family = read.get(name)?.family
    if (name === 'fruit-curd') return DENSITY['fruit-curd']
    return family === 'custard' ? DENSITY['pastry-cream'] : DENSITY[(family ?? 'jam') as FinishFamily | 'jam']
  }
  // Fillings lift the stack, and what goes round it goes round them too.
  const filled = tiers.map((t) => {
    const gaps = t.shape === 'roll' ? 1 : t.layers - 1
    return { ...t, mm: { ...t.mm, height: (t.mm.height ?? 0) + gaps * (request.places.filling?.mm ?? 0) } }
  })
  const perTier = filled.map((t, i) => amounts(t, placesFor(request.places, i, filled.length), request.component, 0, densityOf))
  const byPlace = new Map<string, { component: string; place: Place; ml: number; grams: number }>()
  for (const c of perTier.flatMap((a) => a.components)) {
    const seen = byPlace.get(c.place)
    if (seen) {
      seen.ml += c.ml
      seen.grams += c.grams
    } else byPlace.set(c.place, { ...c })
  }
  const components = [...read].flatMap(([name, r]): BuildComponent[] => {
    const places = [...byPlace.values()].filter((p) => p.component === name)
    const grams = places.reduce((g, p) => g + p.grams, 0)
    if (!grams) return []
    return [made(name, r, places, grams, request)]
  })
  const bottom = tiers[0]!
  const bottomArea = areaOf(bottom)
  const soak = request.soak
    ? answerSoak({
        recipe,
        depthMm: bottom.mm.height ?? 40,
        kind: request.soak === 'own' ? undefined : request.soak,
        goals: goals.filter(isNeed),
        region,
      })
    : null
  const finishGrams = components.reduce((g, c) => g + c.grams, 0)
  const trimmedGrams = tiers.reduce((g, t) => g + t.trimmedGrams, 0)
  const totalGrams = bakedGrams - trimmedGrams + finishGrams + (soak?.grams.best ?? 0)
  const layers = tiers.reduce((n, t) => n + t.layers, 0)
  const placed: Placed[] = components.flatMap((c) =>
    c.places.map((p) => ({
      place: p.place,
      name: c.name,
      family: c.family,
      score: c.firmness?.score ?? FOR_USE.fill[0] + 0.5,
      meltsAtC: holdsTo(c, USE_AT[p.place]),
      grams: p.grams,
      perishable: PERISHABLE.includes(c.family),
    })),
  )
  const height = filled.reduce((mm, t) => mm + (t.mm.height ?? 0), 0)
  const findings = checkBuild(
    {
      family: balance.family,
      firmness: balance.metrics.firmness ?? null,
      layers: bottom.shape === 'roll' || bottom.shape === 'cupcake' ? 1 : layers,
      heightMm: bottom.shape === 'cupcake' ? 0 : height,
      areaMm2: bottomArea,
      loadGrams: bottom.shape === 'cupcake' ? 0 : totalGrams * (1 - 1 / Math.max(1, layers)),
      tiers: tiers.length,
      soaked: !!soak,
      roomC,
    },
    placed,
  )
  const slices = request.slices ?? (bottom.shape === 'cupcake' ? bottom.count : balance.perSlice.slices)
  const nutrients = sumNutrients(components, soak)
  const cakeOnly = partNutrients(recipe.parts.filter((p) => p.role === 'batter' || p.role === 'crust'))
  const each = (n: Nutrients, by: number): Nutrients => ({
    sugars: Math.round((10 * n.sugars) / by) / 10,
    fat: Math.round((10 * n.fat) / by) / 10,
    kcal: Math.round(n.kcal / by),
  })
  return {
    tiers: filled,
    components,
    soak,
    slices,
    perSlice: { cake: each(cakeOnly, slices), finish: each(nutrients, slices) },
    findings,
    steps: orderOfWork(
      filled,
      components.flatMap((c) =>
        c.places.map((p) => ({
          place: p.place,
          name: c.name.toLowerCase(),
          grams: p.grams,
          perishable: PERISHABLE.includes(c.family),
          colours: request.colours[p.place] ?? 1,
        })),
      ),
      soak,
    ),
    trimmings: trimmedGrams >= 30 ? trimmings(trimmedGrams, 'frosting', 'rolls') : null,
    needs: needsOf([
      ...recipe.parts.filter((p) => p.role === 'batter' || p.role === 'crust'),
      ...components.flatMap((c) => c.recipe?.parts ?? []),
      ...(soak?.recipe.parts ?? []),
    ]).concat(components.filter((c) => !c.recipe).map((c) => ({ ingredient: c.component.replace(/^bought:/, ''), grams: c.grams }))),
    totalGrams: Math.round(totalGrams),
  }
}

const isNeed = (g: HardNeed | FinishWant): g is HardNeed => !(FINISH_WANTS as readonly string[]).includes(g)
const hardest = (uses: readonly Use[]): Use => uses.reduce((a, b) => (HARDEST.indexOf(b) > HARDEST.indexOf(a) ? b : a), 'pour')

/** Lower tiers are covered where the next one stands: only the topmost has a whole top. */
function placesFor(places: Places, tier: number, tiers: number): Places {
  if (tier === tiers - 1) return places
  return { ...places, rosettes: undefined, top: undefined, drip: undefined }
}

/** A kind of formula, and the chocolate of a ganache: `ganache:chocolate-dark-85`. */
const kindOf = (component: string): { kind: string; chocolate?: string } => {
  const [kind = '', chocolate] = component.split(':')
  return chocolate && /^chocolate-(dark(-50|-85)?|milk|white)$/.test(chocolate) ? { kind, chocolate } : { kind: component }
}

interface ReadComponent {
  name: string
  family: FrostingAnswer['family'] | 'jam'
  use: Use
  /** Made in an amount of about 600 g, or as the recipe has it. */
  base: FrostingAnswer | null
  own: boolean
}

function readComponent(name: string, use: Use, request: BuildRequest): ReadComponent {
  const { recipe, goals, roomC, region } = request
  const bought = /^bought:(.+)$/.exec(name)?.[1]
  if (bought) {
    const i = ingredientOf(bought)
    if (!i) throw new Refusal('bad-request', `There is no “${bought}” in the pantry.`, 'places')
    const called = nameOf(i, region)
    return { name: called.charAt(0).toUpperCase() + called.slice(1), family: 'jam', use, base: null, own: false }
  }
  const at = /^own:(\d+)$/.exec(name)?.[1]
  if (at !== undefined) {
    const part = recipe.parts[Number(at)]
    if (!part) throw new Refusal('bad-request', `The recipe has no part ${Number(at) + 1}.`, 'places')
    const alone: Recipe = { ...recipe, tins: [], oven: [], method: [], parts: [part] }
    const base = frosting({ recipe: alone, use, goals, amount: {}, roomC, region })
    return { name: part.name, family: base.family, use, base, own: true }
  }
  const { kind, chocolate } = kindOf(name)
  const formula = Object.hasOwn(FORMULAS, kind) ? FORMULAS[kind] : undefined
  if (!formula) throw new Refusal('bad-request', `“${name}” is no kind of finish: ${Object.keys(FORMULAS).join(', ')} are.`, 'places')
  const base = frosting({ kind, chocolate, use, goals, amount: {}, roomC, region })
  return { name: formula.title, family: base.family, use, base, own: false }
}

/** Less than this no bowl and no pan makes well, g. */
const LEAST_BATCH = 80
/** What a formula makes where no grams are said. */
const USUAL_GRAMS = 600

/** The component in the amount that its places take, or the whole packages above it. */
function made(name: string, r: ReadComponent, places: BuildComponent['places'], grams: number, request: BuildRequest): BuildComponent {
  const { goals, roomC, region } = request
  const wanted = Math.max(grams * (1 + request.sparePct / 100), r.base && !r.own ? LEAST_BATCH : 0)
  const ml = places.reduce((g, p) => g + p.ml, 0)
  const nothing = { component: name, name: r.name, family: r.family, use: r.use, grams: Math.round(grams), ml: Math.round(ml), places }
  if (!r.base)
    return {
      ...nothing,
      made: Math.round(wanted),
      recipe: null,
      labels: [],
      changes: [],
      notes: [],
      firmness: null,
      curve: [],
      holdsToC: null,
      findings: [],
      left: null,
    }
  const has = r.base.reduction?.to ?? totalOf(r.base.recipe)
  let factor = wanted / has
  if (request.wholePackages) factor = toPackages(r.base.recipe, factor, region)
  const recipe = r.own
    ? scaleRecipe(r.base.recipe, factor, region)
    : frosting({ ...kindOf(name), grams: USUAL_GRAMS * factor, use: r.use, goals, amount: {}, roomC, region }).recipe
  const doses = dosesOfLines(recipe.parts.flatMap((p) => p.lines))
  const off = r.base.reduction ? r.base.reduction.boilOff * factor : 0
  const bowl = off > 0 ? [...doses, { ingredient: 'water', grams: -off }] : doses
  const curve = ROOMS.map((celsius) => ({ celsius, score: firmnessOf(phasesOf(bowl, celsius), celsius) }))
  const spare = has * factor - grams
  const component: BuildComponent = {
    ...nothing,
    made: Math.round(has * factor),
    recipe,
    ...(r.base.reduction && {
      reduction: {
        from: Math.round(r.base.reduction.from * factor),
        to: Math.round(r.base.reduction.to * factor),
        boilOff: Math.round(r.base.reduction.boilOff * factor),
      },
    }),
    labels: r.base.labels,
    changes: r.base.changes,
    notes: r.base.notes,
    firmness: { class: r.base.firmness.class, score: r.base.firmness.score },
    curve,
    holdsToC: null,
    findings: r.base.findings,
    left: leftOver(r.family, spare),
  }
  return { ...component, holdsToC: holdsTo(component, r.use) }
}

/** The warmest room in which a component still does for a use; none where it never melts in a kitchen. */
function holdsTo(c: BuildComponent, use: Use): number | null {
  const [low] = FOR_USE[use]
  const gone = c.curve.find((p) => p.score < low)
  if (!gone || c.curve[0]!.score < low) return null
  return gone.celsius - 2
}

const totalOf = (recipe: Recipe) => dosesOfLines(recipe.parts.flatMap((p) => p.lines)).reduce((g, d) => g + d.grams, 0)

/** A package that would more than half as much again is not worth emptying. */
const MOST_OVER = 1.5

/** The factor at which what comes in packages is used up: by the package that would leave most. */
function toPackages(recipe: Recipe, factor: number, region: Region): number {
  const most = dosesOfLines(recipe.parts.flatMap((p) => p.lines)).flatMap((d) => {
    const pack = packageGrams(need(d.ingredient), region)
    const grams = d.grams * factor
    // What keeps for months is no reason to make more icing than the cake takes.
    if (
      !pack ||
      grams < 0.2 * pack ||
      !/^(butter|plant-butter|shortening|chocolate|cream|plant-cream|coconut-cream|mascarpone)/.test(d.ingredient)
    )
      return []
    const times = (Math.ceil(grams / pack - 0.03) * pack) / grams
    return times > 0 && times <= MOST_OVER ? [times] : []
  })
  return most.length ? factor * Math.min(...most) : factor
}

const areaOf = (t: Standing): number => {
  const { diameter, width, length, inner } = t.mm
  return diameter ? (Math.PI * (diameter ** 2 - (inner ?? 0) ** 2)) / 4 : (width ?? 65) * (length ?? width ?? 65)
}

function partNutrients(parts: readonly Part[]): Nutrients {
  const { sugar, fat, kcal } = massOf(dosesOfLines(parts.flatMap((p) => p.lines)))
  return { sugars: sugar, fat, kcal }
}
function sumNutrients(components: readonly BuildComponent[], soak: SoakAnswer | null): Nutrients {
  const sum: Nutrients = { sugars: 0, fat: 0, kcal: 0 }
  const add = (n: Nutrients, times: number) => {
    sum.sugars += n.sugars * times
    sum.fat += n.fat * times
    sum.kcal += n.kcal * times
  }
  // What is left in the bowl is not eaten with the slice.
  for (const c of components)
    if (c.recipe) add(partNutrients(c.recipe.parts), c.grams / Math.max(1, c.made))
    else add(JAM_GRAMS_PER_100, c.grams / 100)
  if (soak) add(partNutrients(soak.recipe.parts), 1)
  return sum
}
function needsOf(parts: readonly Part[]): { ingredient: string; grams: number }[] {
  const map = new Map<string, number>()
  for (const d of dosesOfLines(parts.flatMap((p) => p.lines))) map.set(d.ingredient, (map.get(d.ingredient) ?? 0) + d.grams)
  return [...map].map(([ingredient, grams]) => ({ ingredient, grams: Math.round(grams) }))
}
