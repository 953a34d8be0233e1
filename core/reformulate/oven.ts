import type { Oven, Recipe } from '../recipe/recipe'
import type { ChangeSchool } from '../swaps/change'

export interface OvenStep {
  text: string
  why: string
  /** What it puts in the place of the method's own numbers, where the method gives them. */
  put?: { celsius?: { from: number; to: number }; minutes?: string }
}

/** Glass and dark tins drink radiant heat: bakers set the oven about 15 °C lower for them. */
const DARK_TIN = -15
const ANY_DARK = /\b(?:dark|black|non-?stick dark|glass|pyrex|ovenproof glass)\b[^.\n]{0,20}\b(?:tin|pan|dish|mould|mold)\b/i

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
      put: { celsius: { from: Math.round(oven[0]!.celsius), to: Math.round(after[0].celsius) } },
    })
  if (minutes && after[0]?.minutes) {
    const [low, high] = after[0].minutes
    const window = low === high ? `about ${low}` : `${low} to ${high}`
    steps.push({
      text: `Bake for ${window} minutes now, ${Math.abs(minutes)} ${minutes > 0 ? 'more' : 'fewer'} than before.`,
      why,
      put: { minutes: `${window} minutes` },
    })
  }
  return { oven: after, steps }
}

/** "25 to 30 minutes", "about 40 min". */
export const MINUTES = /(?:\babout\s+)?\b\d+(?:\s*(?:to|–|-|or)\s*\d+)?\s*min(?:ute)?s?\b/i
/** "180 C", "350 °F", "180°C fan": the number and its unit. */
const TEMPERATURE = /\b(\d{2,3})\s*(°\s*[CF]?|[CF]\b|degrees(?: [CF]\b)?)/g

/** A sentence with other minutes, and another temperature where it names the old one. Fahrenheit stays Fahrenheit. */
export function putOven(text: string, put: NonNullable<OvenStep['put']>): string {
  const timed = put.minutes ? text.replace(MINUTES, put.minutes) : text
  const { celsius } = put
  if (!celsius) return timed
  return timed.replace(TEMPERATURE, (whole, number: string, unit: string) => {
    const fahrenheit = /F/.test(unit)
    const named = fahrenheit ? ((Number(number) - 32) * 5) / 9 : Number(number)
    if (Math.abs(named - celsius.from) > 3) return whole
    const to = fahrenheit ? 5 * Math.round((celsius.to * 9) / 25 + 6.4) : celsius.to
    return whole.replace(number, String(to))
  })
}
