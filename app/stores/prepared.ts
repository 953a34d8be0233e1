import type { BakeAnswer } from '../../core/oven/predict'
import type { BuildAnswer } from '../../core/contract/build'
import type { StepFix } from '../../core/schedule/method'
import { ask } from '~/kitchen/core'
import { database, type Version } from '~/kitchen/database'
import { useBook } from './book'
import { useCupboard } from './cupboard'
import { useFinish } from './finish'
import { useKitchen } from './kitchen'

/** Everything that a day or a bake needs to know of a version. */
export interface Prepared {
  /** What the baker put right in its steps. */
  kept: Partial<Record<number, StepFix>>
  /** How it bakes, where it has a tin and an oven. */
  bake: BakeAnswer | null
  /** How it is finished, where that was set up. */
  build: BuildAnswer | null
}

export async function preparedOf(v: Version): Promise<Prepared> {
  const kitchen = useKitchen()
  const oven = v.recipe.oven[0]
  const recipe = JSON.parse(JSON.stringify(v.recipe)) as Version['recipe']
  const kept = (await database.steps.get(v.id).catch(() => undefined))?.fixes ?? {}
  const bake =
    oven && v.recipe.tins.length
      ? await ask('bake', {
          recipe,
          ...useCupboard().common(),
          altitudeM: kitchen.altitudeM,
          boxes: v.boxes,
          oven: { celsius: oven.celsius, mode: oven.fan ? 'fan' : 'static', offsetC: kitchen.oven.offsetC },
          ...useBook().lessons(),
        }).catch(() => null)
      : null
  const setup = (await database.finishes.get(v.id).catch(() => undefined))?.setup
  const build = setup ? await ask('build', useFinish().request(v, setup)).catch(() => null) : null
  return { kept, bake, build }
}
