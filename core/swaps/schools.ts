import { applesauce } from './egg/applesauce'
import { aquafaba } from './egg/aquafaba'
import { banana } from './egg/banana'
import { chiaGel } from './egg/chia-gel'
import { condensedMilk } from './egg/condensed-milk'
import { firmTofu } from './egg/firm-tofu'
import { flaxGel } from './egg/flax-gel'
import { nutButter } from './egg/nut-butter'
import { pumpkin } from './egg/pumpkin'
import { replacerPowder } from './egg/replacer-powder'
import { silkenTofu } from './egg/silken-tofu'
import { souredMilkSoda } from './egg/soured-milk-soda'
import { sparklingWater } from './egg/sparkling-water'
import { starchGum } from './egg/starch-gum'
import { yogurtSoda } from './egg/yogurt-soda'
import type { SchoolId } from './ids'
import type { School } from './school'

/** Every school that is built, in the order that breaks ties. */
export const SCHOOLS: readonly School[] = [
  yogurtSoda,
  souredMilkSoda,
  condensedMilk,
  sparklingWater,
  flaxGel,
  aquafaba,
  silkenTofu,
  applesauce,
  starchGum,
  replacerPowder,
  chiaGel,
  banana,
  pumpkin,
  firmTofu,
  nutButter,
]

const BY_ID = new Map(SCHOOLS.map((s) => [s.id, s]))

export function schoolOf(id: SchoolId): School | undefined {
  return BY_ID.get(id)
}
