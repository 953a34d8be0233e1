import type { Ingredient } from '../../pantry/ingredient'
import type { ChangeSchool, Rework } from '../change'
import type { SchoolId } from '../ids'
import { standInsFor } from '../standins'
import type { AddedStep, Sides } from '../school'

/** Raising agents in 100 g of British self-raising flour. */
const POWDER_IN_SELF_RAISING = 0.046

export interface FlourMix {
  id: SchoolId
  title: string
  /** Shares of the wheat flour's weight; the first of each that the needs allow. */
  mix: readonly { any: readonly string[]; share: number }[]
  /** Grams of binder per gram of flour: least, usual, most; the blend may hold some already. */
  binder: { any: readonly string[]; per: readonly [number, number, number] }
  sides: Sides
  steps: readonly AddedStep[]
  cannot: string
  standing: number
  source: string
}

/** Rice and tuber starch take their water slowly: half an hour makes the difference between gritty and smooth. */
export const REST: AddedStep = {
  at: 'last',
  text: 'Let the batter stand for 20 to 30 minutes.',
  why: 'Flours without gluten drink slowly: without the rest they stay gritty.',
  minutes: 25,
  rests: true,
}

/** A school that puts other flours in the place of wheat, by weight, with a binder in gluten's place. */
export function flourSchool(f: FlourMix): ChangeSchool {
  return {
    id: f.id,
    slot: 'gluten',
    title: f.title,
    sides: f.sides,
    steps: f.steps,
    oven: { time: 0.12, why: 'It holds more water: bake a little longer, and test with a skewer.' },
    cannot: f.cannot,
    standing: f.standing,
    source: f.source,
    apply: (r) => apply(f, r),
  }
}

/** Wheat that another flour takes the place of; grits and crumbs keep their bite by other grits and crumbs. */
export const isWheatFlour = (i: Ingredient): boolean =>
  (i.kind === 'flour' || i.kind === 'starch') && Boolean(i.contains?.includes('gluten')) && !standInsFor(i).length

function apply(f: FlourMix, r: Rework): boolean {
  const wheat = r.movers.filter((m) => m.from > 0 && m.start > 0 && isWheatFlour(m.ingredient))
  const parts = f.mix.map((p) => ({ share: p.share, flour: r.allowed(p.any) }))
  if (!wheat.length || parts.some((p) => !p.flour)) return false
  for (const w of wheat) {
    const raising = w.ingredient.id === 'flour-self-raising'
    const flour = w.from * (raising ? 1 - POWDER_IN_SELF_RAISING : 1)
    for (const { share, flour: other } of parts)
      r.bring(
        other!,
        flour * share * 0.95,
        flour * share,
        flour * share * 1.05,
        { code: 'flour', message: 'stands in for the wheat, weight for weight' },
        { looseness: 0.03, replaces: [w.ingredient.id] },
      )
    const powder = r.allowed(['baking-powder'])
    const grams = w.from * POWDER_IN_SELF_RAISING
    if (raising && powder)
      r.bring(powder, grams * 0.6, grams, grams * 1.5, { code: 'lift', message: 'the raising agents that were in the flour' })
    r.remove(w, { code: 'need', message: 'holds gluten' })
  }
  const total = wheat.reduce((sum, w) => sum + w.from, 0)
  const binder = r.allowed(f.binder.any)
  const [least, usual, most] = f.binder.per
  if (binder && most > 0) {
    // Egg binds too: with plenty of it half the gum will do.
    const much = (r.before.eggPct ?? 0) > 60 && r.movers.some((m) => m.ingredient.kind === 'egg' && m.start > 0) ? 0.5 : 1
    const scale = binder.id === 'psyllium-husk' ? 4 : 1
    r.bring(binder, total * least * scale * much, total * usual * scale * much, total * most * scale, {
      code: 'binder',
      message: 'holds the crumb together where gluten did',
    })
  }
  r.tolerate('moisture', (r.before.moisture ?? 1.7) * 0.9)
  return true
}
