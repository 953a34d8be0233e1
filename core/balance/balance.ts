import { HARD_NEEDS, suits, type Allergen, type RecipeDiet, type HardNeed } from '../pantry/ingredient'
import { nourish } from '../nourish/nourish'
import { ingredientOf } from '../pantry/pantry'
import { isNutButter } from '../pantry/traits'
import type { Part, Recipe, Unknown } from '../recipe/recipe'
import { unknownLines } from '../recipe/unknown'
import { COOLEST_OVEN, HOTTEST_OVEN } from '../measure/temperature'
import { FAMILIES, type Band, type Banded, type CakeFamily, type Family } from './families'
import { findingsOf, type Finding } from './findings'
import { recogniseFinish } from './finish'
import { emptyMass, massOf, type Dose, type Mass } from './mass'
import { methodSigns, namedIn, type MethodSigns } from './method'
import { metricsOf, modelOf, type Metrics } from './metrics'
import { missingIn } from './missing'
import { besideTheBatter, mainParts } from './batter'
import { bandOf } from './grade'
import { isOfPaste, meringueFit, recognise, type Fit, type Kinds } from './recognise'

export interface PartBalance {
  name: string
  role: Part['role']
  family: Family
  grams: number
  metrics: Metrics
}

export interface PerSlice {
  slices: number
  kcal: number
  fat: number
  saturates: number
  sugars: number
  protein: number
  fibre: number
  salt: number
  note: string
}

export interface Balance {
  family: Family
  familyConfidence: number
  basis: 'flour' | 'batter'
  parts: PartBalance[]
  metrics: Metrics
  bands: Partial<Record<Banded, Band>>
  findings: Finding[]
  allergens: Allergen[]
  /** Allergens that some brands of what is in it hold. */
  labels: { ingredient: string; for: string[] }[]
  diets: Record<HardNeed, RecipeDiet>
  /** Lines whose contents nobody knows: no need is claimed over them. */
  unknown: Unknown[]
  perSlice: PerSlice
}

/** The doses of a part, with firm fat marked as melted where the words say so; `without` names lines by index. */
export function dosesOf(part: Part, signs: MethodSigns, without: (index: number) => boolean = () => false): Dose[] {
  return part.lines.flatMap((line, index) => {
    if (without(index)) return []
    if (!line.ingredient || !(line.grams.best > 0)) return []
    return [{ ingredient: line.ingredient, grams: line.grams.best, melted: signs.melted }]
  })
}

export function kindsOf(doses: readonly Dose[]): Kinds {
  const kinds: Kinds = {
    mix: 0,
    foamMix: 0,
    cheese: 0,
    chocolate: 0,
    chips: 0,
    nutMeal: 0,
    nutButter: 0,
    dairy: 0,
    pastry: 0,
    eggy: 0,
    grits: 0,
    oats: 0,
    coconut: 0,
    whites: 0,
  }
  for (const { ingredient: id, grams } of doses) {
    const i = ingredientOf(id)
    if (!i) continue
    if (id.startsWith('cake-mix')) kinds[i.foams ? 'foamMix' : 'mix'] += grams
    if (
      /^(cream-cheese|mascarpone|ricotta|quark|cottage-cheese|fromage-frais|plant-cream-cheese|plant-mascarpone|paneer|yogurt-greek)$/.test(
        id,
      )
    )
      kinds.cheese += id === 'yogurt-greek' ? grams * 0.3 : grams
    if (id.startsWith('chocolate')) kinds[i.inclusion ? 'chips' : 'chocolate'] += grams
    if (i.flourShare === 1 && (i.contains?.includes('tree-nut') || /sunflower|pumpkin-seed/.test(id))) kinds.nutMeal += grams
    if (isNutButter(i)) kinds.nutButter += grams
    if (i.kind === 'dairy' || i.kind === 'plant-dairy') kinds.dairy += grams
    if (/^(?:pastry-case|puff-pastry|filo-pastry|biscuit-crumbs)$/.test(id)) kinds.pastry += grams
    if (/^(?:egg-white|aquafaba)$/.test(id)) kinds.whites += grams
    if (id === 'flour-coconut') kinds.coconut += grams * (i.flourShare ?? 1)
    if (i.contains?.includes('egg')) kinds.eggy += grams
    if (/^oats?-/.test(id)) kinds.oats += grams
    if (/^semolina|^flour-cornmeal|^polenta/.test(id)) kinds.grits += grams
  }
  return kinds
}

/** Share of the mix that is fruit or vegetable purée, which carries water without thinning. */
export function pureeShare(doses: readonly Dose[], total: number): number {
  if (!total) return 0
  const puree = doses.reduce((sum, d) => (ingredientOf(d.ingredient)?.kind === 'fruit' ? sum + d.grams : sum), 0)
  return puree / total
}

/** Whether yeast raises some doses. */
export const isYeasted = (doses: readonly Dose[]): boolean => doses.some((d) => d.ingredient.startsWith('yeast') && d.grams > 0)

/** Flour that comes as bread, which was raised and set once, g. */
const breadFlour = (doses: readonly Dose[]): number =>
  doses.reduce(
    (sum, d) => (/^bread(?:crumbs)?(?:-gf)?$/.test(d.ingredient) ? sum + d.grams * (ingredientOf(d.ingredient)?.flourShare ?? 0) : sum),
    0,
  )

/** Shares that a mix is judged with: purée and whole pieces of its weight, grits of its flour, how much it is a meringue. */
export function sharesOf(mix: Pick<Mix, 'doses' | 'mass' | 'kinds'>): {
  puree: number
  pieces: number
  grits: number
  yeasted: boolean
  meringue: number
  whites: number
  bread: number
  paste: boolean
} {
  const { total, flour } = mix.mass
  const pieces = mix.doses.reduce((sum, d) => (ingredientOf(d.ingredient)?.inclusion ? sum + d.grams : sum), 0)
  return {
    puree: pureeShare(mix.doses, total),
    pieces: total ? pieces / total : 0,
    yeasted: isYeasted(mix.doses),
    grits: flour ? mix.kinds.grits / flour : 0,
    meringue: meringueFit(mix.mass, mix.kinds),
    whites: mix.kinds.whites,
    bread: flour ? breadFlour(mix.doses) / flour : 0,
    paste: isOfPaste(mix.mass, mix.kinds),
  }
}

/** The batter of a recipe: all parts with that role together. */
export interface Mix {
  name: string
  doses: Dose[]
  mass: Mass
  kinds: Kinds
}

export function mixOf(parts: readonly Part[], signs: MethodSigns): Mix {
  return mixFrom(
    parts,
    parts.flatMap((p) => dosesOf(p, signs)),
  )
}

/** What is in the bowl of a recipe's batters, or of the part that stands for them. */
export function mainMix(recipe: Recipe, signs: MethodSigns, parts: readonly number[] = mainParts(recipe)): Mix {
  const beside = besideTheBatter(recipe)
  return mixFrom(
    parts.map((p) => recipe.parts[p]!),
    parts.flatMap((p) => dosesOf(recipe.parts[p]!, signs, (index) => beside.has(`${p}:${index}`))),
  )
}

/** Whether the parts that are judged make a cake, and not an icing, a filling or a soak by itself. */
export function isCakeLike(recipe: Recipe): boolean {
  return (
    recipe.parts.some((p) => p.role === 'batter' || p.role === 'crust') ||
    namedIn(recipe.title).includes('cheesecake') ||
    (namedIn(recipe.title).length > 0 && recipe.oven.length > 0)
  )
}

/** The family of what is judged: a base that stands alone is a pastry, whatever its sugar. */
export function familiesOf(recipe: Recipe, mix: Mix, signs: MethodSigns): ReturnType<typeof recognise> {
  if (!isCakeLike(recipe))
    return {
      family: recogniseFinish(mix.mass, mix.kinds, new Set(mix.doses.map((d) => d.ingredient))) as CakeFamily,
      confidence: 0.7,
      members: [],
      unusual: false,
    }
  const known = recognise(mix.mass, mix.kinds, signs)
  const base = mainParts(recipe).every((p) => recipe.parts[p]!.role === 'crust')
  return base && mix.mass.total > 0 ? { family: 'pastry', confidence: 0.8, members: [{ family: 'pastry', fit: 1 }], unusual: false } : known
}

function mixFrom(parts: readonly Part[], doses: Dose[]): Mix {
  return { name: parts[0]?.name ?? '', doses, mass: massOf(doses), kinds: kindsOf(doses) }
}

/**
 * Balances a recipe: its family, every ratio against its band, and what a baker would object to.
 *
 * @param recipe as read or given
 * @param asFamily the baker's own word for the family, where the recognised one is wrong
 * @param altitudeM metres above the sea
 */
export function balanceOf(recipe: Recipe, asFamily?: CakeFamily, altitudeM = 0): Balance {
  const signs = methodSigns(recipe)
  const mix = mainMix(recipe, signs)
  const isBatter = isCakeLike(recipe)
  const known = familiesOf(recipe, mix, signs)
  const family: Family = asFamily && isBatter ? asFamily : known.family
  const metrics = metricsOf(mix.mass, family, altitudeM)
  const findings: Finding[] = []
  if (mix.mass.total > 0) {
    findings.push(
      ...findingsOf({
        mass: mix.mass,
        metrics,
        family,
        members: asFamily ? [] : known.members,
        unusual: !asFamily && known.unusual,
        signs,
        part: mix.name,
        ...sharesOf(mix),
      }),
    )
    if (isBatter) findings.push(...missingIn(recipe, mix.mass, family as CakeFamily, mix.name, isOfPaste(mix.mass, mix.kinds)))
  } else
    findings.push({
      code: 'missing-ingredient',
      severity: 'fault',
      metric: null,
      message: 'No line could be weighed, so there is nothing to judge yet.',
      part: mix.name,
    })
  // What was not read may be what seems to be missing: the question comes first.
  if (
    mainParts(recipe).some((p) => recipe.parts[p]!.lines.some((l) => (!l.ingredient && !l.made) || l.match === 'unsure')) &&
    mix.mass.total > 0
  )
    for (const f of findings) if (f.severity === 'fault') f.severity = 'caution'
  findings.push(...ovenFindings(recipe))

  const parts: PartBalance[] = recipe.parts.map((p) => {
    const doses = dosesOf(p, signs)
    const mass = massOf(doses)
    const partFamily: Family =
      p.role === 'batter'
        ? family
        : p.role === 'crust'
          ? 'pastry'
          : recogniseFinish(mass, kindsOf(doses), new Set(doses.map((d) => d.ingredient)))
    return { name: p.name, role: p.role, family: partFamily, grams: Math.round(mass.total), metrics: metricsOf(mass, partFamily) }
  })
  const model = modelOf(family)
  return {
    family,
    familyConfidence: asFamily ? 1 : known.confidence,
    basis: model.basis,
    parts,
    metrics,
    bands: bandsFor(family, asFamily ? [] : known.members),
    findings: findings.sort((a, b) => WEIGHT[b.severity] - WEIGHT[a.severity]),
    ...dietsOf(recipe),
    perSlice: perSlice(recipe, signs),
  }
}

/** The bands that a verdict was made with: each ratio's range over the families that fit. */
function bandsFor(family: Family, members: readonly Fit[]): Balance['bands'] {
  const own = modelOf(family).bands
  return Object.fromEntries((Object.keys(own) as Banded[]).map((key) => [key, bandOf(key, members) ?? own[key]!]))
}

const WEIGHT = { note: 0, caution: 1, fault: 2 }

function ovenFindings(recipe: Recipe): Finding[] {
  return recipe.oven
    .filter((o) => o.celsius < COOLEST_OVEN || o.celsius > HOTTEST_OVEN)
    .map((o) => ({
      code: 'temperature-mismatch' as const,
      severity: 'caution' as const,
      metric: null,
      message: `No cake bakes at ${o.celsius} °C: were °C and °F mixed up?`,
      part: recipe.parts[0]?.name ?? '',
    }))
}

/** Allergens, label checks and diet status over all parts of a recipe. */
export function dietsOf(recipe: Recipe): Pick<Balance, 'allergens' | 'labels' | 'diets' | 'unknown'> {
  const allergens = new Set<Allergen>()
  const labels = new Map<string, Set<string>>()
  const diets = Object.fromEntries(HARD_NEEDS.map((n) => [n, 'always'])) as Record<HardNeed, RecipeDiet>
  for (const line of recipe.parts.flatMap((p) => p.lines)) {
    const i = ingredientOf(line.ingredient)
    if (!i) continue
    i.contains?.forEach((a) => allergens.add(a))
    if (i.labels?.length) labels.set(i.id, new Set(i.labels))
    for (const need of HARD_NEEDS) {
      const status = suits(i, need)
      if (status === 'never' || (status === 'label' && diets[need] === 'always')) diets[need] = status
    }
  }
  // What is not known may hold anything: only what is known can rule a need out.
  const unknown = unknownLines(recipe)
  if (unknown.length) for (const need of HARD_NEEDS) if (diets[need] !== 'never') diets[need] = 'unknown'
  return {
    unknown,
    allergens: [...allergens],
    labels: [...labels].map(([ingredient, what]) => ({ ingredient, for: [...what] })),
    diets,
  }
}

/** One slice of a cake whose recipe says nothing, g: a usual portion of layer cake. */
const USUAL_SLICE = 90

function perSlice(recipe: Recipe, signs: MethodSigns): PerSlice {
  const mass = recipe.parts.length ? massOf(recipe.parts.flatMap((p) => dosesOf(p, signs))) : emptyMass()
  const cupcakes = recipe.tins.find((t) => t.shape === 'cupcake')?.count
  const count = recipe.yield?.count
  const slices = Math.max(1, (count && count > 1 ? count : undefined) ?? cupcakes ?? Math.round((mass.total * 0.9) / USUAL_SLICE))
  const { energy, fat, saturates, sugars, polyols, protein, fibre, salt } = nourish(recipe, slices, mass.total).perSlice
  return {
    slices,
    kcal: energy.best,
    fat: fat.best,
    saturates: saturates.best,
    sugars: Math.round(10 * (sugars.best + polyols.best)) / 10,
    protein: protein.best,
    fibre: fibre.best,
    salt: salt.best,
    note: 'An estimate from food tables, not a measurement.',
  }
}

export { FAMILIES }
