import type { Dose } from '../balance/mass'
import { massOf, type Mass } from '../balance/mass'
import { ingredientOf } from '../pantry/pantry'

/** What an ingredient does in a mix (science §4). */
export const JOBS = ['set', 'moisture', 'lift', 'emulsify', 'richness', 'sweetness', 'tenderness', 'browning', 'flavour', 'body'] as const
export type Job = (typeof JOBS)[number]

export interface Handed {
  job: Job
  from: string
  /** An ingredient id, or `less-to-hold` where fat and sugar went down so that less must be set. */
  to: string
  /** Share of the job, 0 to 1. */
  amount: number
}

export interface Undone {
  job: Job
  /** Share of the job that nobody took, 0 to 1. */
  share: number
  message: string
}

/** Gas that whipped or beaten egg holds, in mmol-equivalents per g: a whipped 50 g egg swells to about 250 ml, of which a beaten one in a creamed batter keeps a fifth. */
const EGG_AIR = 0.035
/** Bean-can liquid foams nearly as far but keeps half of it. */
const AQUAFABA_AIR = 0.02
/** Flavour that is missed when it goes, per gram: egg and butter are tasted, flour is not. */
const FLAVOUR: Record<string, number> = { egg: 0.3, dairy: 0.25, fat: 0.35, cocoa: 1, syrup: 0.6, fruit: 0.3, sugar: 0.05 }

const jobOf: Record<Job, (m: Mass, id: string) => number> = {
  set: (m) => m.setting,
  moisture: (m) => m.water,
  lift: (m, id) =>
    m.co2 + 0.5 * m.base + (id.startsWith('egg-') ? EGG_AIR * m.total : id === 'aquafaba' ? AQUAFABA_AIR * m.total : 0) + 0.25 * m.acid,
  emulsify: (m) => m.emulsifier,
  richness: (m) => m.fat + 0.3 * m.milkProtein,
  sweetness: (m) => m.sweet,
  tenderness: (m) => m.tenderisers,
  browning: (m) => m.reducing + m.protein,
  flavour: (m, id) => (FLAVOUR[ingredientOf(id)?.kind ?? ''] ?? 0) * m.total,
  body: (m) => m.total - m.water,
}

/** Below this share of the whole recipe's job, losing it is not worth a word. */
const NEGLIGIBLE = 0.12

/** What a baker would mention first: a cake that falls apart before one that is paler. */
const MATTERS: Record<Job, number> = {
  set: 1,
  lift: 1,
  moisture: 0.9,
  emulsify: 0.3,
  richness: 0.4,
  sweetness: 0.4,
  tenderness: 0.6,
  browning: 0.25,
  flavour: 0.3,
  body: 0.3,
}

const SAYS: Record<Job, string> = {
  set: 'of the setting is left undone: a more fragile crumb',
  moisture: 'of the moisture is left undone',
  lift: 'of the lift is left undone: a closer crumb',
  emulsify: 'of the emulsifying is left undone: mix a little longer',
  richness: 'of its richness goes missing',
  sweetness: 'of its sweetness goes missing',
  tenderness: 'of its tenderness goes missing',
  browning: 'of its browning goes missing: a paler crust',
  flavour: 'of its flavour goes missing',
  body: 'of its body goes missing',
}

export interface Change {
  ingredient: string
  from: number
  to: number
}

/**
 * Who takes over the jobs of what was removed, and what is left undone.
 *
 * For each job, what left is shared out among everything that came or grew, in proportion to how much of the job each
 * brings, never more than the whole; where fat and sugar went down, part of the setting is no longer needed.
 * Shares of takers and what is undone add up to 1 for every job that mattered.
 */
export function handOver(changes: readonly Change[]): { handover: Handed[]; undone: Undone[] } {
  const moved = (c: Change, grams: number): Dose => ({ ingredient: c.ingredient, grams })
  const gone = changes.filter((c) => c.to === 0 && c.from > 0)
  const grown = changes.filter((c) => c.to > c.from)
  const before = massOf(changes.filter((c) => c.from > 0).map((c) => moved(c, c.from)))
  const after = massOf(changes.filter((c) => c.to > 0).map((c) => moved(c, c.to)))
  const handover: Handed[] = []
  const undone: Undone[] = []
  if (!gone.length) return { handover, undone }
  const source = gone.reduce((a, b) => (a.from >= b.from ? a : b)).ingredient
  const firmness = (m: Mass) => (m.tenderisers > 0 ? m.tougheners / m.tenderisers : Infinity)
  const tenderEnough = firmness(after) <= firmness(before) * 1.08
  const masses = new Map(changes.map((c) => [c, { from: massOf([moved(c, c.from)]), to: massOf([moved(c, c.to)]) }]))
  for (const job of JOBS) {
    const amountOf = (c: Change, at: 'from' | 'to') => jobOf[job](masses.get(c)![at], c.ingredient)
    const left = gone.reduce((sum, c) => sum + amountOf(c, 'from'), 0)
    const whole = changes.reduce((sum, c) => sum + amountOf(c, 'from'), 0)
    if (!(left > 0) || left < NEGLIGIBLE * whole) continue
    const takers = grown.map((c) => ({ to: c.ingredient, amount: Math.max(0, amountOf(c, 'to') - amountOf(c, 'from')) }))
    if (job === 'set' && before.tenderisers > 0)
      takers.push({ to: 'less-to-hold', amount: left * Math.max(0, 1 - after.tenderisers / before.tenderisers) })
    const brought = takers.reduce((sum, t) => sum + t.amount, 0)
    const scale = brought > left ? 1 / brought : 1 / left
    let taken = 0
    for (const t of takers) {
      const share = t.amount * scale
      taken += share
      if (share >= 0.01) handover.push({ job, from: source, to: t.to, amount: Math.round(share * 100) / 100 })
    }
    const share = Math.round((1 - Math.min(1, taken)) * 100) / 100
    // Nothing is missed of tenderness while the mix as a whole is as tender as it was.
    if (job === 'tenderness' && tenderEnough) continue
    if (share >= 0.08) undone.push({ job, share, message: `${fractionWord(share)} ${SAYS[job]}` })
  }
  return { handover, undone: undone.sort((a, b) => b.share * MATTERS[b.job] - a.share * MATTERS[a.job]) }
}

function fractionWord(share: number): string {
  if (share > 0.9) return 'Nearly all'
  if (share > 0.7) return 'Most'
  if (share > 0.55) return 'More than half'
  if (share > 0.42) return 'About half'
  if (share > 0.28) return 'About a third'
  if (share > 0.18) return 'About a quarter'
  return 'A little'
}
