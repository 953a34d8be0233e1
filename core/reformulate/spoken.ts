import type { Region } from '../measure/region'
import { ingredientOf, nameOf, need } from '../pantry/pantry'

/** What a cook says at the bowl, where the card's name is longer than that. */
const SHORT: Readonly<Record<string, string>> = {
  'plant-butter-block': 'plant butter',
  'plant-spread-tub': 'plant spread',
  'oil-vegetable': 'oil',
  'flour-gf-blend': 'gluten-free flour',
  'flour-gf-blend-no-gum': 'gluten-free flour',
  'condensed-milk': 'condensed milk',
  'condensed-coconut-milk': 'coconut condensed milk',
  'yogurt-plain': 'yogurt',
  'butter-unsalted': 'butter',
  'milk-whole': 'milk',
  'egg-replacer-powder': 'egg replacer',
  'psyllium-husk': 'psyllium',
}

/** The name of an ingredient as a method says it. */
export function spoken(id: string, region: Region): string {
  const short = SHORT[id]
  if (short) return short
  const ingredient = ingredientOf(id)
  return ingredient ? nameOf(ingredient, region).replace(/\s*\(.*?\)/g, '') : id
}

const DRY_KINDS = new Set(['flour', 'starch', 'sugar', 'sweetener', 'leavener', 'binder', 'cocoa', 'mix', 'salt'])
/** Whether it goes in with the dry things. */
export const isDry = (id: string): boolean =>
  DRY_KINDS.has(need(id).kind) && !['aquafaba', 'flaxseed-ground', 'chia-seed', 'egg-replacer-powder'].includes(id)
