import { need } from '../pantry/pantry'
import type { Line } from '../recipe/recipe'

/** How a thing is to be when it goes in, whatever it is made of. */
const STATES: Readonly<Record<'fat' | 'milk' | 'dry', RegExp>> = {
  fat: /\b(?:soft(?:ened)?|melted|brown(?:ed)?|cold|chilled|cubed|diced|cooled|(?:at )?room temp(?:erature)?)\b/gi,
  milk: /\b(?:cold|chilled|warm(?:ed)?|lukewarm|hot|boiling|(?:at )?room temp(?:erature)?)\b/gi,
  dry: /\b(?:sifted|chopped|melted|toasted|grated)\b/gi,
}

const sort = (id: string): keyof typeof STATES | undefined => {
  const i = need(id)
  // Oil is neither soft nor melted.
  if (i.kind === 'fat') return (i.per100.plasticFat ?? 0) > 0 ? 'fat' : undefined
  if (i.kind === 'dairy' || i.kind === 'plant-dairy') return 'milk'
  return ['flour', 'starch', 'cocoa', 'nut', 'inclusion'].includes(i.kind) ? 'dry' : undefined
}

/**
 * What a baker's line says of how its thing is to be ("softened", "melted and cooled"), as far as it holds for what takes
 * its place. Plant fat has no milk solids that brown: it is melted where butter is browned.
 *
 * @returns `null` where it says nothing, or the two are of different sorts
 */
export function stateKept(lines: readonly Line[], id: string): string | null {
  const [line] = lines
  if (lines.length !== 1 || !line?.ingredient) return null
  const kind = sort(id)
  if (!kind || sort(line.ingredient) !== kind) return null
  const words = [...line.text.matchAll(STATES[kind])].map(([w]) =>
    w
      .toLowerCase()
      .replace(/^brown(?:ed)?$/, 'melted')
      .replace(/^soft$/, 'softened'),
  )
  return [...new Set(words)].join(' and ') || null
}
