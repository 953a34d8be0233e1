import type { Measurable } from '../measure/kitchen'
import { KITCHENS, type Region } from '../measure/region'
import type { Ingredient } from './ingredient'
import { density, packageGrams, pieceGrams } from './pantry'

const BY_SPOON = new Set(['leavener', 'salt', 'flavour'])
const SPOONED_IDS = new Set([
  'xanthan-gum',
  'guar-gum',
  'psyllium-husk',
  'cream-of-tartar',
  'vinegar',
  'lemon-juice',
  'egg-replacer-powder',
  'agar',
  'gelatine',
  'lecithin',
  'citric-acid',
  'flaxseed-ground',
  'chia-seed',
])

/** What a kitchen needs to know to measure an ingredient. */
export function measurableOf(ingredient: Ingredient, region: Region): Measurable {
  const packed = ingredient.gramsPerMl.packed !== undefined && ingredient.kind === 'sugar'
  const egg = ingredient.kind === 'egg' && ingredient.ofEgg ? pieceGrams(ingredient, region) : undefined
  const size = KITCHENS[region].usualEgg
  return {
    gramsPerMl: density(ingredient, packed ? 'packed' : undefined),
    bySpoon: BY_SPOON.has(ingredient.kind) || SPOONED_IDS.has(ingredient.id),
    piece: egg ? { grams: egg, ...namesOfEgg(ingredient, size) } : wholePacket(ingredient, region),
  }
}

function namesOfEgg(ingredient: Ingredient, size: string): { name: string; plural: string } {
  const plural = { 'egg-whole': 'eggs', 'egg-white': 'egg whites' }[ingredient.id] ?? 'egg yolks'
  return { name: `${size} ${ingredient.names[0]!}`, plural: `${size} ${plural}` }
}

/** Mixes go in by the whole packet: what is left of one is nobody's. */
function wholePacket(ingredient: Ingredient, region: Region): Measurable['piece'] {
  const grams = ingredient.kind === 'mix' ? packageGrams(ingredient, region) : undefined
  if (!grams) return undefined
  return ingredient.id.startsWith('cake-mix') ? { grams, name: 'box', plural: 'boxes' } : { grams, name: 'packet', plural: 'packets' }
}
