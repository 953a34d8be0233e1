import { nearestMeasures, type Measured, type Measures } from '../measure/kitchen'
import type { Region } from '../measure/region'
import { measurableOf } from '../pantry/measurable'
import { objective, Tally } from './objective'
import type { Problem, Variable } from './problem'
import { solve } from './solve'

/** A measure's fuss counts like this many tolerances squared. */
const FUSS_COST = 0.35
/** Keeping the baker's own amount is worth this much, in tolerances squared. */
const KEEP_WORTH = 0.22
/**
 * Below this a new ingredient is not worth taking out of the cupboard, g: two teaspoons of a liquid,
 * one of an oil, an eighth of a teaspoon of what works by the pinch.
 */
function leastWorth(v: Variable): number {
  if (v.from > 0 || v.low > 0 || v.tie) return 0
  if (['water', 'dairy', 'plant-dairy', 'fruit'].includes(v.ingredient.kind)) return 10
  return v.ingredient.kind === 'fat' ? 5 : 0.35
}
/** Lines settled between two solves; the coarsest first. */
const SOLVES = 3
const EXCHANGES = 4

export interface Rounded {
  grams: Float64Array
  texts: (string | null)[]
  cost: number
  /** Cost of the unrounded optimum, for the benchmark of the gap. */
  unrounded: number
}

/**
 * Rounds an optimum to what a kitchen can measure, inside the programme: the line whose measure comes nearest is
 * settled and the rest solved again; then single lines and pairs are exchanged while that lowers the cost.
 */
export function roundToKitchen(problem: Problem, optimum: Float64Array, measures: Measures, region: Region): Rounded {
  const { variables } = problem
  const free = variables.map((v, i) => ({ v, i })).filter(({ v }) => !v.fixed)
  const pinned = new Map<number, number>()
  const menus = new Map<number, Measured[]>()
  let current: Float64Array = Float64Array.from(optimum)
  const menuFor = (i: number, grams: number): Measured[] => {
    const v = variables[i]!
    const list = grams > 0.05 ? nearestMeasures(grams, measurableOf(v.ingredient, region), measures, region, 5) : []
    const within = list.filter(
      (m) =>
        m.grams <= (v.from > 0 ? v.high + 0.05 : v.high * 1.03 + 0.5) &&
        (m.grams >= v.low * (v.from > 0 ? 0.999 : 0.95) - (v.from > 0 ? 0 : 0.5) || v.tie),
    )
    const menu = (within.length ? within : list.slice(0, 1)).filter((m) => m.grams >= leastWorth(v))
    if (!menu.length) menu.push({ grams: 0, text: '', fuss: 0 })
    // What it was is no choice where more of it must be: starch that now sets for the eggs as well.
    if (v.from > 0 && v.from >= v.low * 0.999 && v.from <= v.high + 0.05)
      menu.unshift({ grams: v.from, text: '', fuss: -KEEP_WORTH / FUSS_COST })
    if (v.from === 0 && v.low <= 0 && !v.tie) menu.push({ grams: 0, text: '', fuss: 0 })
    return menu
  }
  const pick = (i: number, grams: number): Measured => {
    const menu = menus.get(i)!
    const give = variables[i]!.give
    return menu.reduce((best, m) =>
      Math.abs(m.grams - grams) / give + Math.max(0, m.fuss) * 0.1 < Math.abs(best.grams - grams) / give + Math.max(0, best.fuss) * 0.1
        ? m
        : best,
    )
  }

  for (const { v, i } of free) if (current[i]! < leastWorth(v)) pinned.set(i, 0)
  if (pinned.size) current = solve(problem, pinned) ?? current
  for (const i of pinned.keys()) menus.set(i, menuFor(i, 0))
  let open = free.map(({ i }) => i).filter((i) => !pinned.has(i))
  for (let round = 0; round < SOLVES && open.length; round++) {
    for (const i of open) menus.set(i, menuFor(i, current[i]!))
    // Which lines can be settled with the least harm: nearest to a measure, in their own give.
    const harm = (i: number) => Math.abs(pick(i, current[i]!).grams - current[i]!) / variables[i]!.give
    open.sort((a, b) => harm(a) - harm(b))
    const now = round === SOLVES - 1 ? open.length : Math.ceil(open.length / 2)
    for (const i of open.slice(0, now)) pinned.set(i, pick(i, current[i]!).grams)
    open = open.slice(now)
    if (open.length) current = solve(problem, pinned) ?? current
  }
  const chosen = new Map(free.map(({ i }) => [i, menus.get(i)!.find((m) => m.grams === pinned.get(i)) ?? menus.get(i)![0]!]))
  const grams = Float64Array.from(variables, (v, i) => (v.fixed ? v.start : (chosen.get(i)?.grams ?? 0)))
  const tally = new Tally(problem, grams)
  let fuss = [...chosen.values()].reduce((sum, m) => sum + m.fuss * FUSS_COST, 0)
  const ties = variables.flatMap((v, i) => (v.tie ? [{ i, leader: variables.findIndex((x) => x.key === v.tie!.to), tie: v.tie }] : []))
  const tieCost = (moves: readonly [number, Measured][]) => {
    const of = (i: number) => moves.find(([at]) => at === i)?.[1].grams ?? grams[i]!
    return ties.reduce((sum, { i, leader, tie }) => {
      const wanted = Math.max(0, of(leader) - tie.beyond) * tie.ratio
      return wanted > 0 ? sum + ((of(i) - wanted) / (0.2 * wanted)) ** 2 : sum
    }, 0)
  }
  let best = tally.costWith() + fuss + tieCost([])
  const tryMoves = (moves: [number, Measured][]): boolean => {
    const put = moves.map(([i, m]) => [i, m.grams] as const)
    const fussNow = moves.reduce((sum, [i, m]) => sum + (m.fuss - chosen.get(i)!.fuss) * FUSS_COST, fuss)
    const now = tally.costWith(put[0], put[1]) + fussNow + (ties.length ? tieCost(moves) : 0)
    if (now >= best - 1e-9) return false
    best = now
    fuss = fussNow
    tally.put(put)
    for (const [i, m] of moves) chosen.set(i, m)
    return true
  }
  for (let pass = 0; pass < EXCHANGES; pass++) {
    let moved = false
    for (const { i } of free) {
      menus.set(i, menuFor(i, grams[i]! || current[i]!))
      for (const m of menus.get(i)!) if (tryMoves([[i, m]])) moved = true
    }
    if (pass > 0 && !moved) {
      for (const { i } of free)
        for (const { i: j } of free) {
          if (j <= i) continue
          // What does not move is a single exchange, and those are done.
          for (const m of menus.get(i)!.slice(0, 3)) {
            if (m.grams === grams[i]) continue
            for (const k of menus.get(j)!.slice(0, 3)) {
              const pair: [number, Measured][] = [
                [i, m],
                [j, k],
              ]
              if (k.grams !== grams[j] && tryMoves(pair)) moved = true
            }
          }
        }
    }
    if (!moved && pass > 0) break
  }
  return {
    grams,
    texts: variables.map((v, i) => (v.fixed ? null : chosen.get(i)!.text || null)),
    cost: objective(problem, grams),
    unrounded: objective(problem, optimum),
  }
}
