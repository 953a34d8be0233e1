import { lessonFor, type Lessons } from '../bakebook/lessons'
import { balanceOf } from '../balance/balance'
import type { CakeFamily } from '../balance/families'
import { ingredientOf, packageGrams } from '../pantry/pantry'
import type { Line, Recipe, Tin } from '../recipe/recipe'
import { readTin } from '../language/tin'
import { usualBatter, type Batter } from '../oven/batter'
import type { OvenSetting } from '../oven/bake'
import { batchesOf, whileItWaits } from '../oven/batches'
import { batterOf } from '../oven/from-recipe'
import { predictBake, type BakeAnswer } from '../oven/predict'
import { Refusal } from '../refusal'
import type { Region } from '../measure/region'
import { fit, scaleBetween, type Fit } from '../tin/fit'
import { eggsIn, scaleRecipe } from '../tin/scale'
import { sectionOf } from '../tin/section'

export interface TinAnswer extends Fit {
  /** The recipe in its new size, where one was given. */
  recipe?: Recipe
}

/** What a tin or bake request says, its recipe already read. */
export interface BatterRequest {
  recipe?: Recipe
  batterGrams?: number
  family?: CakeFamily
  altitudeM: number
  region: Region
}

/** A tin in structured form, whichever way it was written. */
export function tinOf(tin: string | Tin, path: string): Tin {
  const read = typeof tin === 'string' ? readTin(tin) : { ...tin, text: tin.text || tinWords(tin) }
  if (!read || !sectionOf(read))
    throw new Refusal(
      'bad-request',
      typeof tin === 'string'
        ? `“${tin}” is no tin: write it like 20 cm round x2, 9x13 in or 12 cupcakes.`
        : 'The size of this tin is not known: give its diameter, or its width and length, in mm.',
      path,
    )
  return read
}
const tinWords = (t: Tin): string => {
  const cm = (mm: number) => Math.round(mm) / 10
  const size = t.mm.diameter ? `${cm(t.mm.diameter)} cm` : t.mm.width ? `${cm(t.mm.width)}x${cm(t.mm.length ?? t.mm.width)} cm` : ''
  return `${size} ${t.shape}`.trim()
}

interface Known {
  batter: Batter
  fluidity?: number
  /** Share of it that is dried fruit. */
  dried: number
}

/** The batter of a request: from its recipe, or a usual one of its family. */
function known(request: BatterRequest): Known {
  if (!request.recipe) {
    if (!request.family) throw new Refusal('bad-request', 'Say which family of cake it is, or give the recipe.', 'family')
    return { batter: usualBatter(request.family, request.batterGrams!), dried: 0 }
  }
  const balance = balanceOf(request.recipe, request.family, request.altitudeM)
  const lines = request.recipe.parts.filter((p) => p.role === 'batter').flatMap((p) => p.lines)
  const glutenFree = !lines.some((l) => ingredientOf(l.ingredient)?.contains?.includes('gluten'))
  const grams = balance.metrics.batterGrams
  if (!(grams > 0)) throw new Refusal('empty-recipe', 'Nothing in this recipe weighs anything yet: there is no batter to bake.', 'recipe')
  return {
    batter: batterOf(balance, grams, glutenFree, piecesIn(lines)),
    fluidity: balance.metrics.fluidity,
    dried: piecesIn(lines, MOST_DRY),
  }
}

/** Fruit that is sold dried holds less water than this, g in 100. */
const MOST_DRY = 35
/** Fruit and nuts that stay whole, as a share of a batter's mass; fruit of no more water than that alone, where it is said. */
function piecesIn(lines: readonly Line[], mostWater?: number): number {
  const sum = (some: readonly Line[]) => some.reduce((g, l) => g + l.grams.best, 0)
  const whole = lines.filter((l) => {
    const i = ingredientOf(l.ingredient)
    return i?.inclusion && (mostWater === undefined || (i.kind === 'fruit' && (i.per100.water ?? 0) < mostWater))
  })
  return sum(whole) / Math.max(1, sum(lines))
}

/** Batter into tins: verb `tin`. */
export function answerTin(
  request: BatterRequest & { from?: (string | Tin)[]; to?: (string | Tin)[]; whole?: 'eggs' | 'boxes' },
): TinAnswer {
  const { batter, fluidity } = known(request)
  const given = request.recipe?.tins.filter((t) => sectionOf(t)) ?? []
  const to = request.to?.map((t, i) => tinOf(t, `to.${i}`)) ?? given
  if (!to.length) throw new Refusal('bad-request', 'The recipe names no tin of known size: say which tin it goes into.', 'to')
  const from = request.from?.map((t, i) => tinOf(t, `from.${i}`)) ?? (request.to ? given : [])
  const wanted = from.length ? (scaleBetween(from, to, batter.rise, batter.grams / batter.gramsPerMl) ?? 1) : 1
  const scale = request.whole && request.recipe ? toWhole(request.recipe, wanted, request.whole, request.region) : wanted
  const fitted = fit({ ...batter, fluidity }, to, scale)
  return { ...fitted, ...(request.recipe && { recipe: { ...scaleRecipe(request.recipe, scale, request.region), tins: to } }) }
}

/** The multiple next to the wanted one that needs whole eggs, or whole boxes; at least one. */
function toWhole(recipe: Recipe, scale: number, whole: 'eggs' | 'boxes', region: Region): number {
  const box = recipe.parts.flatMap((p) => p.lines).find((l) => l.ingredient?.startsWith('cake-mix'))
  const one = whole === 'boxes' && box && ingredientOf(box.ingredient)
  const has = whole === 'eggs' ? eggsIn(recipe, region) : one ? box.grams.best / (packageGrams(one, region) ?? box.grams.best) : 0
  return has > 0 ? Math.max(1, Math.round(has * scale)) / has : scale
}

/** A bake: verb `bake`. */
export function answerBake(
  request: BatterRequest & {
    tin?: string | Tin
    oven?: OvenSetting
    startC: number
    lined: boolean
    strips: boolean
    foil: boolean
    physics: { evaporation: boolean; expansion: boolean }
    learned?: Lessons
  },
): BakeAnswer {
  const { batter, dried } = known(request)
  const tins = request.tin !== undefined ? [tinOf(request.tin, 'tin')] : (request.recipe?.tins.filter((t) => sectionOf(t)) ?? [])
  if (!tins.length) throw new Refusal('bad-request', 'Say which tin it bakes in.', 'tin')
  const set = request.oven ?? ovenOf(request.recipe)
  if (!set) throw new Refusal('bad-request', 'Say how hot the oven is, like {"celsius":180,"mode":"static"}.', 'oven')
  // The tin that takes longest decides: the one that holds most.
  const share = fit(batter, tins, 1).fill
  const slowest = share.reduce((a, b, i) => (b.depthMm > share[a]!.depthMm ? i : a), 0)
  const batches = batchesOf(tins, set.mode === 'fan')
  const all = tins.reduce((n, t) => n + (t.shape === 'cupcake' ? 1 : t.count), 0)
  const predicted = predictBake({
    batter: { ...batter, grams: share[slowest]!.batterGrams },
    tin: tins[slowest]!,
    // A tray of cupcakes goes in as one.
    oven: {
      together: Math.min(12, Math.ceil(all / batches.count)),
      ...set,
    },
    wrapping: { lined: request.lined, strips: request.strips, foil: request.foil },
    startC: request.startC,
    altitudeM: request.altitudeM,
    evaporation: request.physics.evaporation,
    expansion: request.physics.expansion,
  })
  const wrapped = wrappedFor(dried)
  const answer = asTaught(drawnOut(predicted, wrapped), request.learned, batter.family)
  if (wrapped > 1)
    answer.notes = [
      {
        code: 'fruit-laden',
        message:
          'More fruit than cake: the minutes are those of a tin lined and wrapped in double paper, as such cakes are baked. Go by the skewer; unwrapped it is done much sooner, and dry outside.',
      },
      ...answer.notes,
    ]
  if (batches.count < 2 || set.mode === 'stovetop') return answer
  const message = whileItWaits(batter.family, batches, answer.minutes?.best ?? 30)
  return { ...answer, notes: [{ code: 'second-batch', message }, ...answer.notes] }
}

/**
 * Rich fruit cakes bake about 1.9 times as long as their matter would take in a bare tin (15 to 30 cm at 140 °C: usual
 * 2 3/4 to 6 hours): double paper round and over them keeps the heat out, and they are baked past set, to keep.
 */
const WRAPPED = 1.9
const LADEN = [0.32, 0.48] as const
const wrappedFor = (dried: number): number => 1 + (WRAPPED - 1) * Math.min(1, Math.max(0, (dried - LADEN[0]) / (LADEN[1] - LADEN[0])))

/** A prediction with its time drawn out or drawn in, and its height, as this kitchen has taught. */
const asTaught = (bake: BakeAnswer, lessons: Lessons | undefined, family: string): BakeAnswer =>
  drawnOut(bake, lessonFor(lessons?.minutes, family, 1), lessonFor(lessons?.rise, family, 1))

function drawnOut(bake: BakeAnswer, by: number, rise = 1): BakeAnswer {
  if (by === 1 && rise === 1) return bake
  const { minutes } = bake
  return {
    ...bake,
    heightMm: Math.round(bake.heightMm * rise),
    minutes: minutes && {
      low: Math.round(minutes.low * by),
      best: Math.round(minutes.best * by * 10) / 10,
      high: Math.round(minutes.high * by),
    },
    firstLook: bake.firstLook === null ? null : Math.max(1, Math.round(bake.firstLook * by)),
    curve: bake.curve.map((p) => ({ ...p, min: Math.round(p.min * by * 100) / 100 })),
  }
}

function ovenOf(recipe: Recipe | undefined): OvenSetting | undefined {
  const first = recipe?.oven[0]
  if (!first) return undefined
  return {
    celsius: first.celsius,
    mode: first.fan ? 'fan' : 'static',
    ...(recipe.oven.length > 1 && {
      stages: recipe.oven.map((o) => ({ celsius: o.celsius, minutes: o.minutes ? (o.minutes[0] + o.minutes[1]) / 2 : 20 })),
    }),
  }
}
