import { lessonFor, type Lessons } from '../bakebook/lessons'
import { balanceOf } from '../balance/balance'
import { besideTheBatter } from '../balance/batter'
import { methodSigns } from '../balance/method'
import type { CakeFamily } from '../balance/families'
import { methodOf } from '../method/read'
import { isLine } from '../method/step'
import { ingredientOf, packageGrams } from '../pantry/pantry'
import type { Line, Recipe, Tin } from '../recipe/recipe'
import { readTin } from '../language/tin'
import { usualBatter, type Batter } from '../oven/batter'
import type { BakeSetup, OvenSetting } from '../oven/bake'
import { batchesOf, whileItWaits, type Batches } from '../oven/batches'
import { batterOf } from '../oven/from-recipe'
import { drawnOut, fused } from '../oven/fuse'
import { coarseMinutes, predictBake, type BakeAnswer } from '../oven/predict'
import { stayOf } from '../oven/told'
import { Refusal } from '../refusal'
import type { Region } from '../measure/region'
import { fit, scaleBetween, type Fit } from '../tin/fit'
import { eggsIn, scaleRecipe } from '../tin/scale'
import { sectionOf } from '../measure/section'

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
  const across = read.mm.diameter ?? Math.min(read.mm.width ?? Infinity, read.mm.length ?? Infinity)
  if (across < LEAST_ACROSS) throw new Refusal('bad-request', `A tin ${across} mm across bakes nothing: are these centimetres?`, path)
  return read
}
/** The smallest moulds are 25 to 30 mm across. */
const LEAST_ACROSS = 15
const tinWords = (t: Tin): string => {
  const cm = (mm: number) => Math.round(mm) / 10
  const size = t.mm.diameter ? `${cm(t.mm.diameter)} cm` : t.mm.width ? `${cm(t.mm.width)}x${cm(t.mm.length ?? t.mm.width)} cm` : ''
  return `${size} ${t.shape}`.trim()
}

/** The batter of a request as the oven sees it. */
export const batterFor = (request: BatterRequest): Batter => known(request).batter

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
  const lines = inTheTin(request.recipe)
  const signs = methodSigns(request.recipe)
  const glutenFree = !lines.some((l) => ingredientOf(l.ingredient)?.contains?.includes('gluten'))
  const laid = laidOn(request.recipe)
  const grams = balance.metrics.batterGrams + laid
  if (!(grams > 0)) throw new Refusal('empty-recipe', 'Nothing in this recipe weighs anything yet: there is no batter to bake.', 'recipe')
  return {
    batter: batterOf(balance, grams, {
      glutenFree,
      pieces: piecesIn(lines),
      allWater: shareIn(lines, 'water'),
      starch: shareIn(lines, 'starch'),
      whipped: signs.whipped || signs.silent,
      foamed: signs.whipped,
    }),
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

/** Keys of what goes under, over or round the batter before it bakes: it is in the tin, and must be heated through. */
function besideInTin(recipe: Recipe): ReadonlySet<string> {
  const clauses = methodOf(recipe).steps.flatMap((s) => s.clauses)
  const baked = clauses.findLastIndex((c) => c.act === 'bake')
  const bake = baked < 0 ? clauses.length : baked
  return new Set(
    [...besideTheBatter(recipe)].filter((key) => {
      const [part, line] = key.split(':').map(Number)
      return clauses.some(
        (c, i) => i < bake && c.act !== 'ready-tin' && c.things.some((t) => isLine(t) && t.part === part && t.line === line),
      )
    }),
  )
}

/** Lines of the batter, and of what lies in the tin with it. */
function inTheTin(recipe: Recipe): Line[] {
  const beside = besideTheBatter(recipe)
  const with_ = besideInTin(recipe)
  return recipe.parts.flatMap((p, part) =>
    p.role === 'batter' ? p.lines.filter((_, line) => !beside.has(`${part}:${line}`) || with_.has(`${part}:${line}`)) : [],
  )
}

/** Grams of what lies in the tin beside its batter. */
const laidOn = (recipe: Recipe): number =>
  [...besideInTin(recipe)].reduce((g, key) => {
    const [part, line] = key.split(':').map(Number)
    return g + (recipe.parts[part!]?.lines[line!]?.grams.best ?? 0)
  }, 0)

/** Share of a batter's mass that is water or starch, what is in its fruit too. */
function shareIn(lines: readonly Line[], of: 'water' | 'starch'): number {
  const all = lines.reduce((g, l) => g + l.grams.best, 0)
  return lines.reduce((g, l) => g + (l.grams.best * (ingredientOf(l.ingredient)?.per100[of] ?? 0)) / 100, 0) / Math.max(1, all)
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

/** What a bake request says beside its batter. */
type BakeRequest = BatterRequest & {
  tin?: string | Tin
  /** What it leaves out is as the recipe has it. */
  oven?: Partial<OvenSetting>
  startC: number
  lined: boolean
  strips: boolean
  foil: boolean
  physics: { evaporation: boolean; expansion: boolean }
  learned?: Lessons
  /** The recipe as it is written, where `recipe` is the same in another size: the time that it tells is for its own tins. */
  written?: Recipe
}

/** A bake: verb `bake`. */
export function answerBake(request: BakeRequest): BakeAnswer {
  const asked = bakeOf(request)
  const answer = asTaught(withTelling(request, asked), request.learned, asked.setup.batter.family)
  if ((asked.setup.wrapping?.paper ?? 0) > 0)
    answer.notes = [
      {
        code: 'fruit-laden',
        message:
          'More fruit than cake: the minutes are those of a tin lined and wrapped in double paper, as such cakes are baked. Go by the skewer; unwrapped it is done much sooner, and dry outside.',
      },
      ...answer.notes,
    ]
  const { batches, setup } = asked
  if (batches.count < 2 || setup.oven.mode === 'stovetop') return answer
  const message = whileItWaits(setup.batter.family, batches, answer.minutes?.best ?? 30)
  return { ...answer, notes: [{ code: 'second-batch', message }, ...answer.notes] }
}

/** The bake of a request as the simulation needs it, and in how many goes. */
function bakeOf(request: BakeRequest): { setup: BakeSetup; batches: Batches } {
  const { batter, dried } = known(request)
  const tins = request.tin !== undefined ? [tinOf(request.tin, 'tin')] : (request.recipe?.tins.filter((t) => sectionOf(t)) ?? [])
  if (!tins.length) throw new Refusal('bad-request', 'Say which tin it bakes in.', 'tin')
  const told = request.recipe && ovenOf(request.recipe)
  const set = request.oven?.celsius !== undefined ? request.oven : { ...told, ...request.oven }
  if (set.celsius === undefined) throw new Refusal('bad-request', 'Say how hot the oven is, like {"celsius":180,"mode":"static"}.', 'oven')
  const oven: OvenSetting = { ...set, celsius: set.celsius, mode: set.mode ?? 'static' }
  // The tin that takes longest decides: the one that holds most.
  const share = fit(batter, tins, 1).fill
  const slowest = share.reduce((a, b, i) => (b.depthMm > share[a]!.depthMm ? i : a), 0)
  if (share[slowest]!.depthMm < FILM)
    throw new Refusal(
      'bad-request',
      'So little batter in so wide a tin is a film and no cake: take a smaller tin, or fewer of them.',
      'tin',
    )
  const batches = batchesOf(tins, oven.mode === 'fan')
  const all = tins.reduce((n, t) => n + (t.shape === 'cupcake' ? 1 : t.count), 0)
  return {
    setup: {
      batter: { ...batter, grams: share[slowest]!.batterGrams },
      tin: tins[slowest]!,
      // A tray of cupcakes goes in as one.
      oven: { together: Math.min(MOST_TOGETHER, Math.ceil(all / batches.count)), ...oven },
      wrapping: {
        lined: request.lined,
        strips: request.strips,
        foil: request.foil,
        paper: wrappedFor(dried),
        ...(tins[slowest]!.shape === 'cupcake' && { cases: papered(tins[slowest]!) }),
      },
      startC: request.startC,
      altitudeM: request.altitudeM,
      evaporation: request.physics.evaporation,
      expansion: request.physics.expansion,
    },
    batches,
  }
}
const MOST_TOGETHER = 12
/** Batter thinner than this, mm, is not baked but dried: a crêpe has twice as much. */
const FILM = 0.5

/** Paper cases are sold for cups so deep, mm; shallower moulds, and what is of china, glass or silicone, are greased. */
const CASED = 26
const papered = ({ material = 'aluminium', mm }: Tin): boolean =>
  (material === 'aluminium' || material === 'dark') && (mm.height ?? CASED) >= CASED

/** A prediction with the time that the recipe itself tells, for the tins and the oven it tells it for. */
function withTelling(request: BakeRequest, { setup }: { setup: BakeSetup }): BakeAnswer {
  const answer = predictBake(setup)
  const recipe = request.written ?? request.recipe
  const told = recipe && request.physics.evaporation && request.physics.expansion ? stayOf(recipe)?.minutes : null
  if (!recipe || !told || !answer.minutes) return answer
  const tins = recipe.tins.filter((t) => sectionOf(t))
  // On a flame, or in an oven of unknown heat, what is told is for what is asked.
  const oven = recipe.oven[0]?.assumed ? undefined : ovenOf(recipe)
  const asWritten: BakeRequest = {
    ...request,
    recipe,
    batterGrams: undefined,
    tin: tins.length ? undefined : request.tin,
    oven: oven ?? request.oven,
    // As recipes are written: a room's batter at the sea, nothing round the tin.
    startC: USUAL_START,
    altitudeM: 0,
    strips: false,
    foil: false,
  }
  const own = refusedOr(() => bakeOf(asWritten).setup)
  if (!own) return answer
  const same = JSON.stringify(own) === JSON.stringify(setup)
  const [there, here] = same ? [1, 1] : [coarseMinutes(own), coarseMinutes(setup)]
  if (!there || !here) return answer
  const ratio = here / there
  const found = fused(answer, { minutes: told, simulated: answer.minutes.best / ratio, ratio, open: !tins.length || !oven })
  return { ...found, notes: [...whyNotAsTold(told, found, ratio), ...found.notes] }
}
const USUAL_START = 20

/** A recipe whose own tin makes no bake tells nothing about another. */
function refusedOr<T>(make: () => T): T | undefined {
  try {
    return make()
  } catch (error) {
    if (error instanceof Refusal) return undefined
    throw error
  }
}

/** Why the minutes are not those of the recipe, where they are not. */
function whyNotAsTold(told: readonly [number, number], { minutes }: BakeAnswer, ratio: number): BakeAnswer['notes'] {
  if (!minutes || (minutes.best >= told[0] * (1 - NEARLY_TOLD) && minutes.best <= told[1] * (1 + NEARLY_TOLD))) return []
  const says = told[0] === told[1] ? `${told[0]}` : `${told[0]} to ${told[1]}`
  const about = Math.round(minutes.best)
  const message =
    Math.abs(Math.log(ratio)) > NEARLY_TOLD
      ? `The recipe’s ${says} minutes are for its own tin and oven: here it is about ${about}.`
      : minutes.best > told[1]
        ? `The recipe says ${says} minutes; so much batter in such a tin usually takes longer, about ${about}. Look when the recipe says, and go by the skewer.`
        : `The recipe says ${says} minutes; this batter in this tin is usually done sooner, at about ${about}. Look early, and go by the skewer.`
  return [{ code: 'not-as-told', message }]
}
/** So near to what is told, as a share, nothing need be said. */
const NEARLY_TOLD = 0.06

/** From this share of dried fruit on bakers line and wrap a tin in double paper; at the second all of them do. */
const LADEN = [0.3, 0.48] as const
const wrappedFor = (dried: number): number => Math.min(1, Math.max(0, (dried - LADEN[0]) / (LADEN[1] - LADEN[0])))

/** A prediction with its time drawn out or drawn in, and its height, as this kitchen has taught. */
const asTaught = (bake: BakeAnswer, lessons: Lessons | undefined, family: string): BakeAnswer =>
  drawnOut(bake, lessonFor(lessons?.minutes, family, 1), lessonFor(lessons?.rise, family, 1))

/** The oven as a recipe tells of it: the stages of its cake's own bake. */
function ovenOf(recipe: Recipe): OvenSetting | undefined {
  const stages = stayOf(recipe)?.stages
  const first = stages?.[0]
  if (!stages || !first) return undefined
  const turned = stages.some((s) => s.celsius !== first.celsius)
  return {
    celsius: first.celsius,
    mode: first.fan ? 'fan' : 'static',
    ...(turned && {
      stages: stages.map((s) => ({ celsius: s.celsius, minutes: s.minutes ? (s.minutes[0] + s.minutes[1]) / 2 : UNTOLD_STAGE })),
    }),
  }
}
const UNTOLD_STAGE = 20
