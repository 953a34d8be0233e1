import { balanceOf } from '../balance/balance'
import type { BakeRecord } from '../bakebook/record'
import { diagnose, type Diagnosis } from '../bakebook/diagnose'
import type { Symptom } from '../bakebook/symptoms'
import type { Recipe } from '../recipe/recipe'
import type { BakeAnswer } from '../oven/predict'
import type { Option } from '../reformulate/option'

export interface DiagnoseAnswer extends Diagnosis {
  /** The recipe with the one change in it, as the engine solves it; `null` where the change is not in the recipe. */
  option: Option | null
}

export interface DiagnoseRequest {
  recipe: Recipe
  record: BakeRecord
  symptoms: Symptom[]
  altitudeM: number
}

/**
 * What went wrong, and the one thing to try: verb `diagnose`.
 *
 * @param bake how it should have baked, where a tin and an oven are known
 * @param solve asks the engine for the recipe with a ratio moved
 */
export function answerDiagnose(
  request: DiagnoseRequest,
  bake: () => BakeAnswer | null,
  solve: (nudge: NonNullable<NonNullable<Diagnosis['try']>['nudge']>) => Option | null,
): DiagnoseAnswer {
  const { recipe, record, symptoms, altitudeM } = request
  const found = diagnose({ recipe, balance: balanceOf(recipe, undefined, altitudeM), bake: bake(), record, symptoms })
  return { ...found, option: found.try?.nudge ? solve(found.try.nudge) : null }
}
