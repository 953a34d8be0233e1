import { type Cues, type Rule } from './acts/cues'
import { AFTER } from './acts/after'
import { BAKING } from './acts/baking'
import { COLD } from './acts/cold'
import { FILLING } from './acts/filling'
import { HOB } from './acts/hob'
import { LEFT } from './acts/left'
import { MIXING } from './acts/mixing'
import { OVEN } from './acts/oven'
import { TIN } from './acts/tin'
import { TABLE, WAITING } from './acts/waiting'
import { PLACES, VERB_CLASS, type Place, type VerbClass } from './lexicon'
import type { Act } from './step'

export { MIXED, type Cues } from './acts/cues'

/** By stage of a bake; the first rule that holds decides, from the particular to the general. */
const RULES: readonly Rule[] = [...TABLE, ...OVEN, ...TIN, ...HOB, ...BAKING, ...COLD, ...AFTER, ...MIXING, ...FILLING, ...WAITING, ...LEFT]

/** Names what a piece does. */
export function actOf(c: Cues): Act {
  return RULES.find(([, when]) => when(c))?.[0] ?? 'other'
}

export function placesIn(text: string): Set<Place> {
  const found = new Set<Place>()
  for (const [place, words] of Object.entries(PLACES) as [Place, RegExp][]) if (words.test(text)) found.add(place)
  return found
}

export const classOf = (verb: string): VerbClass | '' => VERB_CLASS[verb] ?? ''
