import type { Dose } from '../balance/mass'
import type { Region } from '../measure/region'
import type { HardNeed } from '../pantry/ingredient'
import type { Recipe } from '../recipe/recipe'
import { kitchenOf, newLine } from '../reformulate/lines'
import { Refusal } from '../refusal'
import { allowedOf, amountFor } from './adjust'
import { firmnessOf, FOR_USE, useC, type Use } from './firmness'
import { BOIL_TO, FORMULAS, KIND_FOR } from './formulas'
import { phasesOf } from './phases'
import { need } from '../pantry/pantry'
import { reduceTo } from './reduce'
import { solidShare } from './solid-fat'

export interface FormulaRequest {
  kind?: string
  /** g that are wanted, 600 where not said; of a fruit filling, boiled down. */
  grams?: number
  use: Use
  goals: readonly HardNeed[]
  roomC: number
  region: Region
  /** Which chocolate a ganache is made of, as an ingredient id. */
  chocolate?: string
}

/** A fat holds an icing up with this much of it solid (see `firmness.ts`). */
const STANDS = 0.1
/** How far inside a use's range of firmness a formula is brought. */
const INSIDE = 0.35
/** What is in the pan when it has boiled down to so many g of solids in 100 g. */
export function boiled(doses: readonly Dose[], solidsPct: number | undefined): readonly Dose[] {
  const off = solidsPct ? reduceTo(doses, solidsPct).boilOff : 0
  return off > 0 ? [...doses, { ingredient: 'water', grams: -off }] : doses
}

/** A frosting made up from nothing: a classic formula for the needs, moved to the firmness of its use in this room. */
export function formulate(request: FormulaRequest): Recipe {
  const kind = request.kind ?? KIND_FOR[request.use]
  const formula = Object.hasOwn(FORMULAS, kind) ? FORMULAS[kind] : undefined
  if (!formula)
    throw new Refusal('bad-request', `“${kind}” cannot be made up from nothing here: ${Object.keys(FORMULAS).join(', ')} can.`, 'kind')
  const picked = formula.parts.map((part) => {
    const any = part.any.includes('chocolate-dark') && request.chocolate ? [request.chocolate] : part.any
    // In a warm kitchen the first fat that still stands, where there is one.
    const firm = any.includes('shortening') ? any.filter((id) => solidShare(need(id), request.roomC) >= STANDS) : any
    const id = allowedOf(firm, request.goals) ?? allowedOf(any, request.goals)
    if (!id) throw new Refusal('bad-request', `No ${formula.title.toLowerCase()} meets these needs: try another kind.`, 'goals')
    return { part, id }
  })
  const doses: Dose[] = picked.map(({ part, id }) => ({ ingredient: id, grams: part.grams }))
  const phases = phasesOf(doses, request.roomC)
  const { family } = phases
  const roomC = useC(phases, request.use, request.roomC)
  const boils = BOIL_TO[kind]
  const scoreNow = () => firmnessOf(phasesOf(boiled(doses, boils), roomC, family), roomC)
  // A classic that suits the use stays as it is; else it is brought to where the use begins, and a little further.
  const [low, high] = FOR_USE[request.use]
  const wanted = Math.max(low + INSIDE, Math.min(high - INSIDE, scoreNow()))
  // First what stiffens, then what loosens, each between half and twice the classic amount.
  for (const moves of ['stiffens', 'loosens'] as const) {
    const at = picked.findIndex(({ part }) => part.moves === moves)
    if (at < 0 || Math.abs(scoreNow() - wanted) < 0.02) continue
    const { grams: usual, most } = picked[at]!.part
    const to = amountFor(doses, at, wanted, roomC, usual * 0.5, most ?? usual * (moves === 'loosens' ? 2.2 : 1.6), family, (d) =>
      boiled(d, boils),
    )
    doses[at] = { ...doses[at]!, grams: to }
  }
  const total = boils ? reduceTo(doses, boils).to : doses.reduce((g, d) => g + d.grams, 0)
  const times = (request.grams ?? 600) / total
  return {
    title: formula.title,
    yield: null,
    tins: [],
    oven: [],
    parts: [
      {
        name: formula.title,
        role: 'frosting',
        lines: doses.flatMap((d, i) => {
          const grams = d.grams * times
          if (grams < 0.3) return []
          return newLine(d.ingredient, grams, kitchenOf(d.ingredient, grams, 'weight', request.region), request.region, {
            prep: picked[i]!.part.prep ?? null,
          })
        }),
      },
    ],
    method: [...formula.method],
  }
}
