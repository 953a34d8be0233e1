import type { Choice, Slot } from './choices'
import type { Combination } from './variables'
import type { StandIn } from '../swaps/standins'

/** All combinations are tried up to this many; beyond, the promising ones. */
const TRY_ALL = 72
/** The best of each slot that are crossed with the best of the others. */
const KEEP_EGG = 6
const KEEP = 3
const CROSS = 64

/** The order in which changes act on a batter: what it is made of first, degrees after. */
const ORDER = ['gluten', 'box', 'fat', 'sugar', 'want']

/** Where the other slots' first choices could not be made, nothing is known of this one: its first few are crossed. */
const firstOf = (slot: Slot): number[] => slot.choices.slice(0, slot.key === 'egg' ? KEEP_EGG : KEEP).map((_, i) => i)

export function combinationOf(picks: readonly Choice[]): Combination {
  const standIns = new Map<string, StandIn>()
  for (const p of picks) if (p.kind === 'stand-in') for (const id of p.ingredients) standIns.set(id, p.standIn)
  const egg = picks.find((p) => p.kind === 'egg')
  return {
    egg: egg?.kind === 'egg' ? egg.school : undefined,
    standIns,
    changes: picks
      .flatMap((p) => (p.kind === 'change' ? [{ change: p.change, share: p.share }] : []))
      .sort((a, b) => ORDER.indexOf(a.change.slot) - ORDER.indexOf(b.change.slot)),
  }
}

/** Where a search stands; answered with `true`, it makes do with what it has. */
export type Tried = number

/**
 * Tries combinations of one choice a slot, the promising ones where there are too many, and pauses after each.
 *
 * First every choice of every slot while the others stay at their best so far, then the best few of each slot
 * crossed, by the sum of their ranks. Choices rarely change each other's order much: the flour school that suits a
 * cake with yogurt suits it with flax.
 *
 * @param judge the cost of a combination, `undefined` where it cannot be made
 * @yields how many were judged; send `true` back to stop
 * @returns how many were judged
 */
export function* search(
  slots: readonly Slot[],
  judge: (picks: readonly Choice[]) => number | undefined,
): Generator<Tried, number, boolean | undefined> {
  let judged = 0
  let stopped = false
  const seen = new Set<string>()
  const at = (index: readonly number[]) => index.map((i, s) => slots[s]!.choices[i]!)
  function* look(index: readonly number[]): Generator<Tried, number, boolean | undefined> {
    const key = index.join()
    if (seen.has(key) || stopped) return Infinity
    seen.add(key)
    judged++
    const cost = judge(at(index)) ?? Infinity
    if (yield judged) stopped = true
    return cost
  }
  const all = slots.reduce((n, s) => n * s.choices.length, 1)
  if (all <= TRY_ALL) {
    const index = slots.map(() => 0)
    for (let n = 0; n < all; n++) {
      let rest = n
      slots.forEach((s, k) => {
        index[k] = rest % s.choices.length
        rest = Math.floor(rest / s.choices.length)
      })
      yield* look(index)
    }
    return judged
  }
  const best = slots.map(() => 0)
  let bestCost = Infinity
  const ranked: number[][] = []
  for (const [k, slot] of slots.entries()) {
    const costs: { i: number; cost: number }[] = []
    for (const i of slot.choices.keys()) {
      const index = best.map((b, s) => (s === k ? i : b))
      costs.push({ i, cost: seen.has(index.join()) ? bestCost : yield* look(index) })
    }
    costs.sort((a, b) => a.cost - b.cost)
    ranked.push(
      costs
        .filter((c) => c.cost < Infinity)
        .slice(0, slot.key === 'egg' ? KEEP_EGG : KEEP)
        .map((c) => c.i),
    )
    if (costs[0]!.cost < Infinity) {
      best[k] = costs[0]!.i
      bestCost = costs[0]!.cost
    }
  }
  const crosses: { index: number[]; ranks: number }[] = []
  const build = (k: number, index: number[], ranks: number) => {
    if (k === slots.length) crosses.push({ index, ranks })
    else (ranked[k]!.length ? ranked[k]! : firstOf(slots[k]!)).forEach((i, rank) => build(k + 1, [...index, i], ranks + rank))
  }
  build(0, [], 0)
  crosses.sort((a, b) => a.ranks - b.ranks)
  for (const c of crosses.slice(0, CROSS)) yield* look(c.index)
  return judged
}
