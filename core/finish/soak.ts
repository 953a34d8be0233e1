import type { HardNeed } from '../pantry/ingredient'
import { need } from '../pantry/pantry'
import type { Region } from '../measure/region'
import type { Recipe } from '../recipe/recipe'
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
}

interface Kind {
  title: string
  /** g a g of cake: least that is felt, usual, most that a sound crumb holds (science §9: 25 to 70 %). */
  takes: readonly [number, number, number]
  gramsPerMl: number
  hours: readonly [min: number, better: number]
  parts: readonly { any: readonly string[]; share: number }[]
  method: readonly string[]
  notes: readonly string[]
}

const KINDS: Record<SoakKind, Kind> = {
  syrup: {
    title: 'Soaking syrup',
    takes: [0.25, 0.36, 0.5],
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
    takes: [0.45, 0.6, 0.75],
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
/** One pour sinks about so deep before it pools, mm. */
const POUR_DEPTH = 16

/** How much of a soak a cake takes, in how many goes, and how long it needs to even out. */
export function soak(
  cakeGrams: number,
  depthMm: number,
  kind: SoakKind,
  goals: readonly HardNeed[],
  region: Region,
  holds = 1,
): SoakAnswer {
  const k = KINDS[kind]
  const [low, best, high] = k.takes.map((t) => cakeGrams * t * holds) as [number, number, number]
  const ids = k.parts.map((part) => {
    const id = allowedOf(part.any, goals)
    if (!id) throw new Refusal('bad-request', `No ${k.title.toLowerCase()} meets these needs.`, 'goals')
    return { id, share: part.share }
  })
  const round5 = (x: number) => Math.round(x / 5) * 5
  const ml = (g: number) => round5(g / k.gramsPerMl)
  const recipe: Recipe = {
    title: k.title,
    yield: null,
    tins: [],
    oven: [],
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
  const pours = Math.max(2, Math.round((depthMm / POUR_DEPTH) * (kind === 'milk' ? 1.4 : 1)))
  return {
    grams: { low: round5(low), best: round5(best), high: round5(high) },
    ml: { low: ml(low), best: ml(best), high: ml(high) },
    pours,
    hours: { min: k.hours[0], better: k.hours[1] },
    recipe,
    notes: [
      `Pour a ${pours === 2 ? 'half' : `${pours}th`} at a time, from the edge inward; stop when it no longer goes in.`
        .replace('3th', 'third')
        .replace('4th', 'quarter')
        .replace('5th', 'fifth'),
      ...k.notes,
      ...(holds < 0.9 ? ['Its crumb is tender: take the lower amount, and do not stack it.'] : []),
    ],
  }
}
