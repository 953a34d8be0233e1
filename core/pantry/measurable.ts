import type { Measurable } from '../measure/kitchen'
import { KITCHENS, type Region } from '../measure/region'
import type { Ingredient } from './ingredient'
import { density, pieceGrams } from './pantry'

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
    piece: egg
      ? {
          grams: egg,
          name: `${size} ${ingredient.names[0]!}`,
          plural: `${size} ${ingredient.id === 'egg-whole' ? 'eggs' : ingredient.id === 'egg-white' ? 'egg whites' : 'egg yolks'}`,
        }
      : undefined,
  }
}
