import { methodOf } from '../method/read'
import type { Act } from '../method/step'
import type { Recipe } from '../recipe/recipe'

/** One setting of the oven within a bake. */
export interface Stage {
  celsius: number
  fan: boolean
  minutes: [low: number, high: number] | null
}
/** A stay in the oven, as its recipe tells it. */
export interface Stay {
  stages: Stage[]
  /** In all; `null` where it is not told how long. */
  minutes: [low: number, high: number] | null
}

/** What ends a stay: what follows goes in anew. */
const ENDS: ReadonlySet<Act> = new Set<Act>(['fill-tin', 'cool', 'unmould', 'chill', 'freeze'])

/**
 * The bake of a recipe's cake as it is told: of several stays (a crust, then its filling) the longest; a hot start and
 * what it is turned to are stages of one.
 *
 * @returns `null` where the recipe tells of no oven
 */
export function stayOf(recipe: Recipe): Stay | null {
  const stays: Stage[][] = []
  const first = recipe.oven[0]
  let heat: { celsius: number; fan: boolean } | undefined = first
  let open = false
  for (const { text, clauses } of methodOf(recipe).steps)
    for (const c of clauses) {
      // For other tins, or if need be: not this cake.
      if (c.condition && CASE.test(text.slice(...c.condition))) continue
      const said = c.oven?.find((o) => !o.fan) ?? c.oven?.[0]
      if (said) heat = { celsius: said.celsius, fan: said.fan }
      if (ENDS.has(c.act)) open = false
      if (c.act !== 'bake' || !heat) continue
      const stage: Stage = { ...heat, minutes: c.minutes ?? null }
      if (open) stays.at(-1)!.push(stage)
      else stays.push([stage])
      open = true
    }
  const timed = stays.map((stages) => stages.filter((x, i) => x.minutes || i === stages.length - 1))
  const inSteps = timed.reduce((a, b) => ((sumOf(b)?.[1] ?? 0) > (sumOf(a)?.[1] ?? 0) ? b : a), timed[0] ?? [])
  const ofPage = recipe.oven.map((o) => ({ celsius: o.celsius, fan: o.fan, minutes: o.minutes }))
  const stages = believed(inSteps, ofPage, stays.length)
  return stages.length ? { stages, minutes: sumOf(stages) } : null
}

/** Words that tell of another case than the usual. */
const CASE = /^(?:if|for|when|in case|unless|otherwise)\b/i
/** Two readings of one time so far apart are of two things, and nothing bakes in less than this, min. */
const FAR_APART = 1.6
const SHORTEST = 8

/** The steps tell best, but for what one clause tells in a breath, and for a time that the page as a whole reads otherwise. */
function believed(inSteps: Stage[], ofPage: Stage[], stays: number): Stage[] {
  const [steps, page] = [sumOf(inSteps)?.[1], sumOf(ofPage)?.[1]]
  if (!steps) return ofPage
  if (!page) return inSteps
  if (inSteps.length > 1) return inSteps
  if (ofPage.length > 1) return stays > 1 ? inSteps : ofPage
  return page >= SHORTEST && Math.max(page / steps, steps / page) > FAR_APART ? ofPage : inSteps
}

function sumOf(stages: readonly Stage[]): [number, number] | null {
  const told = stages.flatMap((s) => (s.minutes ? [s.minutes] : []))
  return told.length ? [told.reduce((n, m) => n + m[0], 0), told.reduce((n, m) => n + m[1], 0)] : null
}
