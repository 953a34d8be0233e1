import type { ChangeSchool, Mover, Rework } from '../change'
import { scale } from '../change'
import { SUGAR_EFFECT } from '../../balance/sugar'
import { SUGARS, type Ingredient } from '../../pantry/ingredient'
import type { SchoolId } from '../ids'
import type { AddedStep, Sides } from '../school'

/** Sugars that bakers weigh in as such. */
const added = (r: Rework, kinds: readonly string[], not?: string): Mover[] =>
  r.movers.filter((m) => m.start > 0 && kinds.includes(m.ingredient.kind) && m.ingredient.id !== not)

/** What a swap takes the place of: sugars, or syrups where there is no sugar. */
const swapped = (r: Rework, not: string): Mover[] => {
  const dry = added(r, ['sugar'], not)
  return dry.length ? dry : added(r, ['syrup'], not)
}

const grams100 = (i: Ingredient, weigh: (s: (typeof SUGARS)[number]) => number): number =>
  SUGARS.reduce((sum, s) => sum + (i.per100[s] ?? 0) * weigh(s), 0) / 100

/** Sucrose equivalents of a gram. */
export const sweetOf = (i: Ingredient): number => grams100(i, (s) => SUGAR_EFFECT[s].sweet) + (i.per100.sweetPower ?? 0) / 100
/** Effect on starch of a gram, sucrose being 1. */
export const effectOf = (i: Ingredient): number => grams100(i, (s) => SUGAR_EFFECT[s].starch)

/** A layer cake still holds at this concentration: sets sooner, flatter, a little firmer (science §3). */
const LOWEST_CONCENTRATION = 34

/**
 * Takes a share of the added sugar out.
 *
 * @returns grams taken, by what they sweeten and do to starch
 */
export function takeSugar(
  r: Rework,
  share: number,
  lines = added(r, ['sugar', 'syrup']),
  stays = 'less, as you wished',
): { grams: number; sweet: number; effect: number } {
  const taken = { grams: 0, sweet: 0, effect: 0 }
  for (const m of lines) {
    const out = m.start * share
    taken.grams += out
    taken.sweet += out * sweetOf(m.ingredient)
    taken.effect += out * effectOf(m.ingredient)
    scale(m, 1 - share, { code: 'less-sugar', message: share > 0.97 ? 'gives way to another' : stays })
    if (share > 0.97) m.low = m.start = m.high = 0
  }
  return taken
}

export interface Swap {
  id: SchoolId
  title: string
  /** Pantry ids, best first. */
  any: readonly string[]
  /** The share of the sugar that it takes over well, at most. */
  most: number
  /** Grams against equal sweetness: the least and the most of it. */
  per: readonly [least: number, usual: number, most: number]
  /** Soda may be added to meet its acid. */
  soda?: boolean
  sides: Sides
  steps?: readonly AddedStep[]
  oven?: ChangeSchool['oven']
  cannot: string
  standing: number
  soldIn?: ChangeSchool['soldIn']
  source: string
}

/** A school that puts another sweetener in the place of sugar; `only` insists on one. */
export function swapSchool(s: Swap, only?: string): ChangeSchool {
  const any = only ? [only] : s.any
  return {
    id: s.id,
    title: s.title,
    sides: s.sides,
    oven: s.oven,
    cannot: s.cannot,
    standing: s.standing,
    ...(s.soldIn && { soldIn: s.soldIn }),
    source: s.source,
    slot: 'sugar',
    steps: s.steps ?? [],
    apply(r) {
      const sweetener = r.allowed(any)
      if (!sweetener) return false
      const share = Math.min(r.share, s.most)
      const sugars = swapped(r, sweetener.id)
      // More was asked for than it can take over: the rest stays, and the reason with it.
      const stays =
        r.share > s.most + 0.02 ? `what stays must: ${s.cannot.replace(/[.;:].*$/s, '').replace(/^./, (c) => c.toLowerCase())}` : undefined
      const taken = takeSugar(r, share, sugars, stays)
      if (!(taken.grams > 5)) return false
      const equal = taken.sweet / Math.max(0.2, sweetOf(sweetener))
      const [least, usual, most] = s.per
      r.bring(
        sweetener,
        equal * least,
        equal * usual,
        equal * most,
        { code: 'sweetens', message: 'sweetens in the sugar’s place' },
        {
          ...(share > 0.97 && { replaces: sugars.map((m) => m.ingredient.id) }),
        },
      )
      r.tolerate('sugarConcentration', LOWEST_CONCENTRATION)
      r.tolerate('sugarPct', (r.before.sugarPct ?? 80) * 0.6)
      const soda = r.allowed(['baking-soda'])
      const acid = ((sweetener.per100.acid ?? 0) / 100) * equal * usual
      // A pinch beyond what its acid needs is usual practice: syrups taste sharp.
      if (s.soda && soda && r.before.lift)
        r.bring(soda, (acid / 11.9) * 0.8, (acid / 11.9) * 1.4, (acid / 11.9) * 2 + 0.002 * r.flour, {
          code: 'acid',
          message: 'meets the acid of the syrup',
        })
      return true
    },
  }
}
