import type { BakeAnswer } from '../../core/oven/predict'
import { useBook } from '~/stores/book'
import { useCupboard } from '~/stores/cupboard'
import { useKitchen } from '~/stores/kitchen'
import { ask } from './core'
import type { Version } from './database'

/**
 * How a version bakes in this kitchen, as its recipe has it: one time for the Card, the Clock and the Counter.
 *
 * @param learned whether what the kitchen has taught counts
 * @returns `null` where it names no tin or oven, or no tin can hold it: the Tins say why
 */
export async function bakeOf(v: Version, learned = true): Promise<BakeAnswer | null> {
  if (!v.recipe.oven.length || !v.recipe.tins.length) return null
  const kitchen = useKitchen()
  return ask('bake', {
    recipe: v.recipe,
    ...useCupboard().common(),
    altitudeM: kitchen.altitudeM,
    boxes: v.boxes,
    oven: { offsetC: kitchen.oven.offsetC },
    ...(learned && useBook().lessons()),
  }).catch(() => null)
}
