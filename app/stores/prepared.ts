import type { BakeAnswer } from '../../core/oven/predict'
import type { BuildAnswer } from '../../core/contract/build'
import type { StepFix } from '../../core/schedule/method'
import { bakeOf } from '~/kitchen/baking'
import { ask } from '~/kitchen/core'
import { database, type Version } from '~/kitchen/database'
import { useFinish } from './finish'

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
  const kept = (await database.steps.get(v.id).catch(() => undefined))?.fixes ?? {}
  const bake = await bakeOf(v)
  const setup = (await database.finishes.get(v.id).catch(() => undefined))?.setup
  const build = setup ? await ask('build', useFinish().request(v, setup)).catch(() => null) : null
  return { kept, bake, build }
}
