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
import { boxCrepe, boxCrumbs, boxLean, boxPudding, boxRich, boxRoll, boxTopUp } from './box/boxes'
import type { ChangeSchool } from './change'
import { cutFat } from './fat/cut-fat'
import { dairyForFat } from './fat/dairy-for-fat'
import { fruitForFat } from './fat/fruit-for-fat'
import { gfBlend } from './gluten/gf-blend'
import { gfFlours } from './gluten/gf-flours'
import { nutFlour } from './gluten/nut-flour'
import { oatFlour } from './gluten/oat-flour'
import type { School } from './school'
import { cutSugar } from './sugar/cut-sugar'
import { SUGAR_SAVERS, SWEETENER_SCHOOLS } from './sugar/sweeteners'

/** The schools that stand in for egg, in the order that breaks ties. */
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

/** Schools that change by degree, by what they change, the surest first. */
export const CHANGES = {
  gluten: [gfBlend, gfFlours, oatFlour, nutFlour],
  fat: [fruitForFat, dairyForFat, cutFat],
  /** Less of it: plainly, or with something that is no sugar in its place. */
  lessSugar: [cutSugar, ...SUGAR_SAVERS],
  sugarSwap: SWEETENER_SCHOOLS,
  boxRich: [boxRich, boxPudding, boxCrumbs],
  boxLean: [boxLean],
  /** On request only: they make another thing of the box. */
  boxOther: [boxTopUp, boxCrepe, boxRoll],
} satisfies Record<string, readonly ChangeSchool[]>
