import type { Oven, Recipe } from '../recipe/recipe'
import { ingredientOf } from '../pantry/pantry'
import type { ChangeSchool } from '../swaps/change'

export interface OvenStep {
  text: string
  why: string
}

/** Glass and dark tins drink radiant heat: bakers set the oven about 15 °C lower for them. */
const DARK_TIN = -15
const ANY_DARK = /\b(?:dark|black|non-?stick dark|glass|ovenproof glass)\b[^.\n]{0,20}\b(?:tin|pan|dish|mould|mold)\b/i

/** Where flour is this share of what is baked, a change of flour has its whole effect: an ordinary butter cake holds more. */
const FLOURED = 0.2

/** Less than this share of the time is within what ovens differ by. */
const NO_DIFFERENCE = 0.02

/** How much of a change of flour there is to feel, 0 to 1: two spoonfuls in a cheesecake bake no longer for being another flour. */
function flourFelt(recipe: Recipe): number {
  const lines = recipe.parts.filter((p) => p.role === 'batter').flatMap((p) => p.lines)
  const grams = (of: typeof lines) => of.reduce((sum, l) => sum + l.grams.best, 0)
  const all = grams(lines)
  if (!(all > 0)) return 1
  return Math.min(1, grams(lines.filter((l) => ingredientOf(l.ingredient)?.kind === 'flour')) / all / FLOURED)
}

/**
 * The oven after the changes: cooler for what browns early, longer for what holds more water.
 *
 * @returns settings, and what the method must say of them
 */
export function ovenAfter(
  oven: readonly Oven[],
  changes: readonly { change: ChangeSchool }[],
  recipe: Recipe,
): { oven: Oven[]; steps: OvenStep[] } {
  const steps: OvenStep[] = []
  let celsius = 0
  let time = 0
  for (const { change } of changes) {
    if (!change.oven) continue
    // Two reasons to go cooler do not add up: the cooler one covers both.
    celsius = Math.min(celsius, change.oven.celsius ?? 0)
    time += (change.oven.time ?? 0) * (change.slot === 'gluten' ? flourFelt(recipe) : 1)
  }
  const why = changes.flatMap(({ change }) => (change.oven ? [change.oven.why] : [])).join(' ')
  const dark = changes.length > 0 && ANY_DARK.test([recipe.title, ...recipe.tins.map((t) => t.text), ...recipe.method].join('\n'))
  if (dark) steps.push({ text: `In a dark or glass tin, set the oven ${-DARK_TIN} °C lower still.`, why: 'It drinks more radiant heat.' })
  const longer = (minutes: number) => Math.max(1, minutes + (Math.abs(time) < NO_DIFFERENCE ? 0 : Math.round(minutes * time)))
  const after = oven.map((o) => ({
    ...o,
    celsius: o.celsius + celsius,
    minutes: o.minutes && ([longer(o.minutes[0]), longer(o.minutes[1])] as [number, number]),
  }))
  if (celsius && after[0])
    steps.unshift({
      text: `Set the oven to ${Math.round(after[0].celsius)} °C, ${-celsius} °C lower than before.`,
      why,
    })
  const more = (after[0]?.minutes?.[1] ?? 0) - (oven[0]?.minutes?.[1] ?? 0)
  if (more && after[0]?.minutes) {
    const [low, high] = after[0].minutes
    const window = low === high ? `about ${low}` : `${low} to ${high}`
    steps.push({
      text: `Bake for ${window} minutes now, ${Math.abs(more)} ${more > 0 ? 'more' : 'fewer'} than before.`,
      why,
    })
  }
  return { oven: after, steps }
}
