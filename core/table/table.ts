import { dietsOf } from '../balance/balance'
import { suits, type Allergen, type HardNeed } from '../pantry/ingredient'
import { ingredientOf } from '../pantry/pantry'
import type { Recipe, Unknown } from '../recipe/recipe'
import { fewest, MOST_BAKES, type IntegerSolver } from './programme'

/** Guests with the same needs; never names. */
export interface Guests {
  needs: readonly HardNeed[]
  count: number
}

/** Something that could stand on the table. */
export interface Candidate {
  id: string
  title: string
  /** Slices of one bake. */
  slices: number
  recipe: Recipe
}

export interface TableBake {
  id: string
  title: string
  /** How many times it is baked. */
  times: number
  slices: number
  /** Portions taken of it. */
  taken: number
  /** Labels to read for somebody's need, by ingredient. */
  labels: string[]
  allergens: Allergen[]
  /** Lines that nobody knows, in the baker's words: nobody with a need is given of it. */
  unknown: string[]
}

export interface TableAnswer {
  /** In the order in which they are best baked: what must be kept clean first. */
  bakes: TableBake[]
  /** For each group of guests, in their order: what they can eat, and how many portions of each. */
  guests: { needs: readonly HardNeed[]; count: number; can: string[]; portions: { id: string; count: number }[] }[]
  /** Cross-contact, step by step. */
  order: { id: string; why: string }[]
  left: number
  /** Nothing better can be had; false where the time ran out before that was certain. */
  proven: boolean
  /** Groups that nothing here feeds; the bakes are for the others. */
  unfed: { needs: readonly HardNeed[]; because: string }[]
  /** Candidates that nobody with a need could be given, and the lines that nobody knows in them. */
  unknown: { id: string; title: string; lines: string[] }[]
}

export interface Known extends Candidate {
  /** Groups that can eat it, as bits. */
  eats: number
  labels: string[]
  allergens: Allergen[]
  /** Its lines that nobody knows. */
  unknown: Unknown[]
}

/**
 * The fewest bakes that feed everybody, among these the one with the fewest labels to read, the fewest different cakes
 * and the fewest slices left: the exact optimum of an integer programme.
 *
 * @param portions slices each guest has
 */
export function tableFor(guests: readonly Guests[], candidates: readonly Candidate[], portions: number, solve: IntegerSolver): TableAnswer {
  const groups = guests.filter((g) => g.count > 0)
  const known = candidates.filter((c) => c.slices > 0).map((c) => read(c, groups))
  const unfed = groups.flatMap((g, i) =>
    known.some((c) => c.eats & (1 << i))
      ? []
      : [{ needs: g.needs, because: g.needs.length ? `Nothing here is ${g.needs.join(' and ')}.` : 'There is nothing to eat.' }],
  )
  // Whom nothing feeds is named; the others are planned for all the same.
  const wants = groups.map((g) => (unfed.some((u) => u.needs === g.needs) ? 0 : g.count * portions))
  const unknown = known.filter((c) => c.unknown.length).map((c) => ({ id: c.id, title: c.title, lines: c.unknown.map((u) => u.text) }))
  const nothing: TableAnswer = {
    bakes: [],
    guests: groups.map((g) => ({ ...g, can: [], portions: [] })),
    order: [],
    left: 0,
    proven: true,
    unfed,
    unknown,
  }
  if (!wants.some((n) => n > 0)) return nothing
  const found = fewest(known, wants, solve)
  if (!found)
    return { ...nothing, unfed: [{ needs: [], because: `Even ${MOST_BAKES} bakes are not enough for so many: make them larger.` }] }
  const { chosen, proven } = found
  const shares = share(chosen, wants)
  const times = new Map<string, number>()
  for (const c of chosen) times.set(c.id, (times.get(c.id) ?? 0) + 1)
  const distinct = [...new Map(chosen.map((c) => [c.id, c])).values()].sort(cleanFirst)
  return {
    bakes: distinct.map((c) => ({
      id: c.id,
      title: c.title,
      times: times.get(c.id)!,
      slices: c.slices * times.get(c.id)!,
      taken: shares.reduce((n, s) => n + (s.get(c.id) ?? 0), 0),
      labels: c.labels,
      allergens: c.allergens,
      unknown: c.unknown.map((u) => u.text),
    })),
    unknown,
    guests: groups.map((g, i) => ({
      ...g,
      can: distinct.filter((c) => c.eats & (1 << i)).map((c) => c.id),
      portions: [...shares[i]!].map(([id, count]) => ({ id, count })),
    })),
    order: distinct.map((c, n) => ({ id: c.id, why: whyThen(c, n, distinct) })),
    left: chosen.reduce((n, c) => n + c.slices, 0) - wants.reduce((a, b) => a + b, 0),
    proven,
    unfed,
  }
}

function read(c: Candidate, groups: readonly Guests[]): Known {
  const { diets, allergens, unknown } = dietsOf(c.recipe)
  let eats = 0
  groups.forEach((g, i) => {
    // Nobody with a need is served what nobody knows.
    if (g.needs.every((n) => diets[n] === 'always' || diets[n] === 'label')) eats |= 1 << i
  })
  const needed = new Set(groups.flatMap((g, i) => (eats & (1 << i) ? g.needs : [])))
  const labels = new Set<string>()
  for (const l of c.recipe.parts.flatMap((p) => p.lines)) {
    const i = ingredientOf(l.ingredient)
    if (i && [...needed].some((n) => suits(i, n) === 'label')) labels.add(i.id)
  }
  return { ...c, eats, labels: [...labels], allergens, unknown }
}

/** Portions of each cake for each group: an assignment by augmenting paths, the hardest to feed first. */
function share(chosen: readonly Known[], wants: readonly number[]): Map<string, number>[] {
  const left = chosen.map((c) => c.slices)
  const given = wants.map(() => chosen.map(() => 0))
  const place = (g: number, seen: Set<number>): boolean => {
    for (const [c, cake] of chosen.entries()) {
      if (!(cake.eats & (1 << g)) || seen.has(c)) continue
      seen.add(c)
      if (left[c]! > 0) {
        left[c]!--
        given[g]![c]!++
        return true
      }
      // Somebody else who has of it may take another.
      for (let other = 0; other < wants.length; other++) {
        if (other === g || given[other]![c]! === 0) continue
        given[other]![c]!--
        if (place(other, seen)) {
          given[g]![c]!++
          return true
        }
        given[other]![c]!++
      }
    }
    return false
  }
  const hardest = wants
    .map((_, g) => g)
    .sort((a, b) => chosen.filter((c) => c.eats & (1 << a)).length - chosen.filter((c) => c.eats & (1 << b)).length)
  for (const g of hardest) for (let n = 0; n < wants[g]!; n++) place(g, new Set())
  return given.map((row) => {
    const map = new Map<string, number>()
    row.forEach((n, c) => n > 0 && map.set(chosen[c]!.id, (map.get(chosen[c]!.id) ?? 0) + n))
    return map
  })
}

/** What hurts most in traces, first to be kept away: gluten as dust, then nuts and peanuts, milk, egg. */
const DUSTY: readonly Allergen[] = ['wheat', 'gluten', 'peanut', 'tree-nut', 'sesame', 'milk', 'egg', 'soy'] as Allergen[]
const weight = (c: Known): number => DUSTY.reduce((n, a, i) => n + (c.allergens.includes(a) ? 2 ** (DUSTY.length - i) : 0), 0)
const cleanFirst = (a: Known, b: Known): number => weight(a) - weight(b) || a.title.localeCompare(b.title)

function whyThen(c: Known, n: number, all: readonly Known[]): string {
  const later = all
    .slice(n + 1)
    .flatMap((x) => x.allergens)
    .filter((a) => !c.allergens.includes(a))
  const without = [...new Set(later)]
  if (n === 0 && without.length)
    return `First, in a clean kitchen with clean tins and cloths: it holds no ${without.join(', ')}. Wrap it before anything else is opened.`
  if (without.length) return `Then this, which holds no ${without.join(', ')}; wash up in between.`
  return n === 0 ? 'Any time: nothing on this table is kept from another.' : 'Last; cut it with its own knife, on its own board.'
}
