import type { Oven, Recipe } from '../recipe/recipe'
import type { ChangeSchool } from '../swaps/change'

export interface OvenStep {
  text: string
  why: string
}

/** Glass and dark tins drink radiant heat: bakers set the oven about 15 °C lower for them. */
const DARK_TIN = -15
const ANY_DARK = /\b(?:dark|black|non-?stick dark|glass|ovenproof glass)\b[^.\n]{0,20}\b(?:tin|pan|dish|mould|mold)\b/i

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
  let minutes = 0
  for (const { change } of changes) {
    if (!change.oven) continue
    // Two reasons to go cooler do not add up: the cooler one covers both.
    celsius = Math.min(celsius, change.oven.celsius ?? 0)
    minutes += change.oven.minutes ?? 0
  }
  const why = changes.flatMap(({ change }) => (change.oven ? [change.oven.why] : [])).join(' ')
  const dark = changes.length > 0 && ANY_DARK.test([recipe.title, ...recipe.tins.map((t) => t.text), ...recipe.method].join('\n'))
  if (dark) steps.push({ text: `In a dark or glass tin, set the oven ${-DARK_TIN} °C lower still.`, why: 'It drinks more radiant heat.' })
  const after = oven.map((o) => ({
    ...o,
    celsius: o.celsius + celsius,
    minutes: o.minutes && ([Math.max(1, o.minutes[0] + minutes), Math.max(1, o.minutes[1] + minutes)] as [number, number]),
  }))
  if (celsius && after[0])
    steps.unshift({
      text: `Set the oven to ${Math.round(after[0].celsius)} °C, ${-celsius} °C lower than before.`,
      why,
    })
  if (minutes && after[0]?.minutes) {
    const [low, high] = after[0].minutes
    const window = low === high ? `about ${low}` : `${low} to ${high}`
    steps.push({
      text: `Bake for ${window} minutes now, ${Math.abs(minutes)} ${minutes > 0 ? 'more' : 'fewer'} than before.`,
      why,
    })
  }
  return { oven: after, steps }
}
