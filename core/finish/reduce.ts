import { massOf, type Dose } from '../balance/mass'
import { need } from '../pantry/pantry'
import { SUGARS } from '../pantry/ingredient'

export interface Reduction {
  /** g in the pan before, and when it is done. */
  from: number
  to: number
  /** g of water that must boil off; none where it is thick enough already. */
  boilOff: number
}

/**
 * How far a fruit filling is boiled down: nothing but water leaves the pan.
 *
 * @param solidsPct g of sugars and what else dissolves, in 100 g of what is wanted
 */
export function reduceTo(doses: readonly Dose[], solidsPct: number): Reduction {
  const from = massOf(doses).total
  const solids = doses.reduce((sum, d) => {
    const { per100 } = need(d.ingredient)
    const all = 100 - (per100.water ?? 0) - (per100.fibre ?? 0) - (per100.starch ?? 0)
    const sugars = SUGARS.reduce((g, s) => g + (per100[s] ?? 0), 0)
    return sum + (Math.max(all, sugars) * d.grams) / 100
  }, 0)
  const to = Math.min(from, (100 * solids) / solidsPct)
  return { from: Math.round(from), to: Math.round(to), boilOff: Math.round(from - to) }
}
