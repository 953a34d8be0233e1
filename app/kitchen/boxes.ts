import { ingredientOf } from '../../core/pantry/pantry'
import type { Region } from '../../core/measure/region'

/** Kinds of boxes that the pantry knows, and what such a box usually asks for (typical back panels). */
export const BOXES = [
  { id: 'cake-mix', label: 'yellow or vanilla', eggs: 3, oilMl: 120, waterMl: 240 },
  { id: 'cake-mix-white', label: 'white', eggs: 3, oilMl: 80, waterMl: 240 },
  { id: 'cake-mix-chocolate', label: 'chocolate', eggs: 3, oilMl: 120, waterMl: 300 },
  { id: 'cake-mix-angel', label: 'angel', eggs: 0, oilMl: 0, waterMl: 300 },
] as const
export type BoxId = (typeof BOXES)[number]['id']

/** Net weight that older recipes for boxes mean, g: 18.25 oz, before the boxes shrank. */
export const OLD_BOX_GRAMS = 517

export interface BoxStart {
  id: BoxId
  netGrams: number
  eggs: number
  oilMl: number
  waterMl: number
  tin: string
}

/** A recipe text for a box as its panel has it; the reader takes it like any other. */
export function boxText(b: BoxStart, title: string): string {
  const name = ingredientOf(b.id)!.names[0]!
  return [
    title,
    `Tin: ${b.tin}`,
    'Oven: 175 °C, 28 to 34 minutes',
    '',
    `1 box (${Math.round(b.netGrams)} g) ${name}`,
    ...(b.eggs ? [`${b.eggs} eggs`] : []),
    ...(b.oilMl ? [`${b.oilMl} ml vegetable oil`] : []),
    ...(b.waterMl ? [`${b.waterMl} ml water`] : []),
    '',
    'Method:',
    '1. Grease and line the tin.',
    `2. Beat the mix with the ${[b.eggs && 'eggs', b.oilMl && 'oil', b.waterMl && 'water']
      .filter(Boolean)
      .join(', ')
      .replace(/, ([^,]*)$/, ' and $1')} for 2 minutes.`,
    '3. Bake at 175 °C for 28 to 34 minutes, until a skewer comes out clean.',
  ].join('\n')
}

/** What an old recipe's box lacks today, in words; empty where nothing worth a word. */
export function shrunkWords(netGrams: number, region: Region): string {
  const missing = OLD_BOX_GRAMS - netGrams
  if (missing < 20) return ''
  const spoons = Math.round(missing / 8)
  return region === 'us' || missing > 60
    ? `Older recipes mean a box of ${OLD_BOX_GRAMS} g: this one is ${Math.round(missing)} g short, about ${spoons} tablespoons of mix from a second box. The bench can top it up from flour, sugar and leavener: try the way “top up the box”.`
    : ''
}
