import type { HardNeed } from '../pantry/ingredient'
import { need } from '../pantry/pantry'
import type { Region } from '../measure/region'
import type { Part, Recipe } from '../recipe/recipe'
import { kitchenOf, newLine } from '../reformulate/lines'
import { Refusal } from '../refusal'
import { allowedOf } from './adjust'

export const SOAKS = ['syrup', 'milk', 'filled-holes'] as const
export type SoakKind = (typeof SOAKS)[number]

export interface SoakAnswer {
  grams: { low: number; best: number; high: number }
  ml: { low: number; best: number; high: number }
  pours: number
  hours: { min: number; better: number }
  recipe: Recipe
  notes: string[]
  /** Of the recipe's own soak: grams of it, against what its crumb holds. */
  own?: { grams: number; bears: 'light' | 'well' | 'full' | 'too-much' }
}

interface Kind {
  title: string
  /** g a g of cake, as taste has it: least that is felt, usual, most; what is poured until the crumb is full has none. */
  takes?: readonly [number, number, number]
  gramsPerMl: number
  hours: readonly [min: number, better: number]
  parts: readonly { any: readonly string[]; share: number }[]
  method: readonly string[]
  notes: readonly string[]
}

const KINDS: Record<SoakKind, Kind> = {
  syrup: {
    title: 'Soaking syrup',
    takes: [0.22, 0.34, 0.6],
    gramsPerMl: 1.2,
    hours: [1, 8],
    parts: [
      { any: ['sugar-white'], share: 0.42 },
      { any: ['water'], share: 0.48 },
      { any: ['lemon-juice'], share: 0.1 },
    ],
    method: ['Boil sugar and water for a minute; stir in the juice.', 'Hot syrup on a cold cake, or cold on hot: never both hot.'],
    notes: [],
  },
  milk: {
    title: 'Milk soak',
    gramsPerMl: 1.08,
    hours: [4, 12],
    parts: [
      { any: ['condensed-milk', 'condensed-coconut-milk'], share: 0.4 },
      { any: ['evaporated-milk', 'coconut-milk-can', 'soy-milk'], share: 0.35 },
      { any: ['milk-whole', 'oat-milk', 'soy-milk'], share: 0.25 },
    ],
    method: ['Whisk the milks together, cold.', 'Pour in goes, waiting until each has gone in.'],
    notes: ['Milk soaks are kept in the fridge, covered, and eaten within three days.'],
  },
  'filled-holes': {
    title: 'Filling for the holes',
    takes: [0.12, 0.2, 0.3],
    gramsPerMl: 1.15,
    hours: [2, 8],
    parts: [
      { any: ['condensed-milk', 'condensed-coconut-milk'], share: 0.75 },
      { any: ['milk-whole', 'oat-milk', 'soy-milk'], share: 0.25 },
    ],
    method: [
      'Poke holes as wide as a spoon’s handle, 2.5 cm apart, to two thirds of the depth, while the cake is warm.',
      'Pour over the holes, slowly.',
    ],
    notes: ['Kept in the fridge, covered.'],
  },
}
const EMPTY: Recipe = { title: '', yield: null, tins: [], oven: [], parts: [], method: [] }
/** One pour sinks about so deep before it pools, mm. */
const POUR_DEPTH = 16
/** Crumb without its bubbles, ml per g. */
const DENSE = 0.8
/**
 * Bubbles that open into each other, as a share of all, by porosity: in a crumb that is half bubbles most are closed, in a
 * sponge nearly none. Set so that bakers' amounts come out: a pound cake drinks a quarter to a third of its mass, a boxed
 * sheet of 900 g about a litre of milk, a sponge nearly twice its mass.
 */
const OPENS = { from: 0.45, over: 0.22, least: 0.1, most: 0.8 }
/** Crumb swells too, and grains that its little water left dry swell most, ml per g of crumb and of semolina. */
const SWELLS = { crumb: 0.25, semolina: 1 }
/** Of the most that it holds: the least that is felt everywhere, and what it bears without weeping. */
const FILLED = { least: 0.45, usual: 0.75 }
/** However open, a crumb that drinks more than this falls apart, g a g of cake. */
const BEARS = 1.8

/**
 * What a crumb holds, ml per g of cake.
 *
 * @param mlPerGram of the baked crumb
 * @param semolina share of its mass that is semolina or another coarse meal
 */
export function holdsOf(mlPerGram: number, semolina = 0): number {
  const pores = Math.max(0, mlPerGram - DENSE)
  const open = Math.max(OPENS.least, Math.min(OPENS.most, (pores / mlPerGram - OPENS.from) / OPENS.over))
  return Math.min(BEARS, pores * open + SWELLS.crumb + SWELLS.semolina * semolina)
}
/** A layer cake's crumb, ml per g (AACC 10-90 results in the literature). */
export const USUAL_CRUMB = 2.35

/** How much a soak of its own is for a crumb, as a share of the most it holds. */
const bears = (share: number): NonNullable<SoakAnswer['own']>['bears'] =>
  share < 0.2 ? 'light' : share <= 0.85 ? 'well' : share <= 1.1 ? 'full' : 'too-much'
const BEARS_WORDS: Record<NonNullable<SoakAnswer['own']>['bears'], string> = {
  light: 'a light soak, and this crumb could take more',
  well: 'this crumb holds it well',
  full: 'about all that this crumb holds: it will weep a little into the dish',
  'too-much': 'more than this crumb holds: what is left stands in the dish; keep it to pour round the slices',
}

/**
 * How much of a soak a cake takes, in how many goes, and how long it needs to even out.
 *
 * @param crumb ml per g of the baked cake
 * @param semolina share of it that is coarse meal
 * @param tender 1, or less for a crumb that falls apart
 * @param own the recipe's own soak, judged in place of a usual one
 */
export function soak(
  cakeGrams: number,
  depthMm: number,
  kind: SoakKind,
  goals: readonly HardNeed[],
  region: Region,
  { crumb = USUAL_CRUMB, semolina = 0, tender = 1, own }: { crumb?: number; semolina?: number; tender?: number; own?: Part } = {},
): SoakAnswer {
  const k = KINDS[kind]
  const most = cakeGrams * holdsOf(crumb, semolina) * tender * k.gramsPerMl
  const [least, usual, much] = (k.takes ?? [Infinity, Infinity, Infinity]).map((t) => cakeGrams * t) as [number, number, number]
  const high = Math.min(most, much)
  const [low, best] = [Math.min(least, FILLED.least * high), Math.min(usual, FILLED.usual * high)]
  const round5 = (x: number) => Math.round(x / 5) * 5
  const ml = (g: number) => round5(g / k.gramsPerMl)
  const pours = Math.max(2, Math.round((depthMm / POUR_DEPTH) * (kind === 'milk' ? 1.4 : 1)))
  const inGoes = (n: number) =>
    `Pour a ${['', '', 'half', 'third', 'quarter', 'fifth'][n] ?? `${n}th`} at a time, from the edge inward; stop when it no longer goes in.`
  if (own) {
    const grams = own.lines.reduce((g, l) => g + l.grams.best, 0)
    const share = bears(grams / most)
    const goes = Math.max(1, Math.ceil((pours * grams) / best))
    return {
      grams: { low: round5(low), best: round5(grams), high: round5(most) },
      ml: { low: ml(low), best: ml(grams), high: ml(most) },
      pours: goes,
      hours: { min: k.hours[0], better: k.hours[1] },
      recipe: { ...EMPTY, title: own.name || k.title, parts: [own] },
      notes: [
        `Your ${round5(grams)} g: in ${goes === 1 ? 'one go' : `${goes} goes`}, better left ${k.hours[1]} hours; ${BEARS_WORDS[share]}.`,
        ...k.notes,
      ],
      own: { grams: round5(grams), bears: share },
    }
  }
  const ids = k.parts.map((part) => {
    const id = allowedOf(part.any, goals)
    if (!id) throw new Refusal('bad-request', `No ${k.title.toLowerCase()} meets these needs.`, 'goals')
    return { id, share: part.share }
  })
  const recipe: Recipe = {
    ...EMPTY,
    title: k.title,
    parts: [
      {
        name: k.title,
        role: 'soak',
        lines: ids.map(({ id, share }) =>
          newLine(need(id).id, best * share, kitchenOf(id, best * share, 'weight', region), region, { prep: null }),
        ),
      },
    ],
    method: [...k.method],
  }
  return {
    grams: { low: round5(low), best: round5(best), high: round5(high) },
    ml: { low: ml(low), best: ml(best), high: ml(high) },
    pours,
    hours: { min: k.hours[0], better: k.hours[1] },
    recipe,
    notes: [inGoes(pours), ...k.notes, ...(tender < 1 ? ['Its crumb is tender: take the lower amount, and do not stack it.'] : [])],
  }
}
