import type { Banded } from '../../balance/families'
import type { ChangeSchool, Rework } from '../change'

/** How far each ratio moves for a want: about what a baker notices, a third to two thirds of a band. */
const NUDGES: Readonly<Record<string, { title: string; by: Partial<Record<Banded, number>>; step?: string }>> = {
  fudgier: {
    title: 'Fudgier',
    by: { lift: -4, fatPct: 10, fatPer100: 2, sugarConcentration: 1.5, firmness: -0.03 },
    step: 'Take it out while a skewer still comes out with damp crumbs.',
  },
  lighter: { title: 'Lighter', by: { lift: 3, fatPct: -8, moisture: 0.1 } },
  softer: { title: 'Softer', by: { firmness: -0.06, moisture: 0.15, setting: -0.5 } },
  firmer: { title: 'Firmer for stacking', by: { firmness: 0.06, moisture: -0.12, sugarConcentration: -1.5 } },
  richer: { title: 'Richer', by: { fatPct: 12, fatPer100: 3 } },
  'keeps-longer': { title: 'Keeps longer', by: { moisture: 0.15, fatPct: 5 } },
}

/** A want as a change: the ratios move as far as their bands allow. */
export function wantSchool(goal: string): ChangeSchool | undefined {
  const want = NUDGES[goal]
  if (!want) return undefined
  return {
    id: null,
    slot: 'want',
    title: want.title,
    apply(r: Rework) {
      for (const [metric, by] of Object.entries(want.by) as [Banded, number][]) r.nudge(metric, by)
      // More lift needs something that gives it, where the flour brought it all.
      const powder = r.allowed(['baking-powder'])
      if ((want.by.lift ?? 0) > 0 && powder && r.before.lift && !r.movers.some((m) => m.ingredient.kind === 'leavener'))
        r.bring(powder, 0, 0.01 * r.flour, 0.03 * r.flour, { code: 'lift', message: 'a little more lift' })
      return true
    },
    sides: { crumb: '', flavour: '', keeps: '', effort: '' },
    steps: want.step ? [{ at: 'after', text: want.step, why: 'A fudgy crumb is one that is not quite dry.' }] : [],
    cannot: '',
    standing: 0,
    source: 'Differences between neighbouring classic formulas of one family',
  }
}

/** The baker's own tug at a ratio: so much higher or lower, as far as the band goes. */
export function nudgeSchool(by: Readonly<Partial<Record<Banded, number>>>): ChangeSchool {
  return {
    id: null,
    slot: 'want',
    title: '',
    apply(r) {
      for (const [metric, change] of Object.entries(by) as [Banded, number][]) r.nudge(metric, change)
      return true
    },
    sides: { crumb: '', flavour: '', keeps: '', effort: '' },
    steps: [],
    cannot: '',
    standing: 0,
    source: 'The baker',
  }
}

/** Takes all leavener out: only what creamed butter or whipped egg carries stays up. */
export const noLeavener: ChangeSchool = {
  id: null,
  slot: 'want',
  title: 'Without leavener',
  apply(r) {
    let any = false
    for (const m of r.movers) {
      if (m.ingredient.kind === 'leavener' && m.start > 0) {
        r.remove(m, { code: 'need', message: 'no leavener, as you wished' })
        any = true
      }
      if (m.ingredient.id === 'flour-self-raising' && m.start > 0) {
        const plain = r.allowed(['flour-plain'])
        if (!plain) return false
        r.bring(plain, m.start, m.start, m.start, { code: 'flour', message: 'plain flour, without raising agents' })
        r.remove(m, { code: 'need', message: 'holds raising agents' })
        any = true
      }
    }
    if (any) r.become((r.before.fatPct ?? 0) > 50 ? 'pound' : 'foam')
    return any
  },
  sides: { crumb: 'Closer, finer', flavour: '', keeps: '', effort: 'Cream or whip for ten minutes' },
  steps: [
    {
      at: 'start',
      text: 'Cream the fat with the sugar, or whip the eggs, until quite pale: this air is all the lift there is.',
      why: 'Without leavener nothing else raises it.',
      minutes: 8,
    },
  ],
  cannot: 'Rises a third less.',
  standing: 0.2,
  source: 'Classic pound and sponge cakes',
}
