import { methodOf, readMethod } from '../method/read'
import { followOven } from './rewriting/dials'
import { stepsOf } from './rewriting/edit'
import { placeFoam, retellFoams } from './rewriting/eggs'
import { unfold, unmakeMeringue } from './rewriting/foams'
import { retellGels } from './rewriting/gels'
import { renameAll, restAmounts, rewordAll } from './rewriting/mentions'
import { bring, missing, placeNew } from './rewriting/place'
import { collectSchoolSteps, ownRest, restWith } from './rewriting/schools'
import { Sheet, type Rewriting, type Step } from './rewriting/sheet'
import { ownMethod, untold } from './rewriting/untold'

export type { Rewriting, Step, StepRole } from './rewriting/sheet'

/**
 * Rewrites a method for what changed: each mention of what left gives way, what is new goes in where its kind goes in,
 * times and temperatures follow the oven. What is not touched comes back letter by letter.
 */
export function rewriteMethod(r: Rewriting): Step[] {
  const own = (r.recipe.region ?? 'uk') === r.region
  const sheet = new Sheet(r, own ? methodOf(r.recipe) : readMethod(r.recipe, r.region))
  sheet.resting = restWith(sheet)
  sheet.sodaAfter = ownRest(sheet)
  collectSchoolSteps(sheet)
  if (r.changes.some((c) => c.school.ownMethod)) return ownMethod(sheet)
  if (!r.recipe.method.length) return untold(sheet)
  placeFoam(sheet)
  unmakeMeringue(sheet)
  // What was whipped first: words and mentions within such a clause are told anew with it.
  for (const work of sheet.works) retellFoams(sheet, work)
  unfold(sheet)
  retellGels(sheet)
  for (const work of sheet.works) {
    restAmounts(sheet, work)
    rewordAll(sheet, work)
  }
  for (const work of sheet.works) renameAll(sheet, work)
  followOven(sheet)
  placeNew(sheet)
  for (const l of missing(sheet, stepsOf(sheet))) bring(sheet, l)
  return stepsOf(sheet)
}
