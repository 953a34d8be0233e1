import { ingredientOf } from '../../pantry/pantry'
import type { Role } from '../../recipe/recipe'
import type { Place, VerbClass } from '../lexicon'
import type { Act } from '../step'

/** All that tells what a piece of a sentence means. */
export interface Cues {
  verb: string
  cls: VerbClass | ''
  /** In lower case, without masked words. */
  text: string
  /** Words of doneness, in lower case. */
  sign: string
  ids: readonly string[]
  /** What the bowl holds that it is done with, where the piece names nothing. */
  held: readonly string[]
  places: ReadonlySet<Place>
  minutes: number
  hasHeat: boolean
  /** The first heat, 0 where none. */
  celsius: number
  group: boolean
  /** The role of the part that its things belong to. */
  role: Role | undefined
  /** What was done just before in the same method. */
  before: Act | undefined
  baked: boolean
  filled: boolean
  /** Since the tin was filled, a fire under it or over it was told of. */
  fired: boolean
  foamed: boolean
}

export const has = (c: Cues, test: (id: string, kind: string) => boolean): boolean =>
  c.ids.some((id) => test(id, ingredientOf(id)?.kind ?? ''))
export const holds = (c: Cues, test: (id: string, kind: string) => boolean): boolean =>
  c.held.some((id) => test(id, ingredientOf(id)?.kind ?? ''))
export const fat = (c: Cues) => has(c, (id, kind) => kind === 'fat' && !id.startsWith('oil') && !/mayonnaise|ghee/.test(id))
export const egg = (c: Cues) => has(c, (id) => /^egg-(?!replacer|liqueur)|aquafaba/.test(id))
export const white = (c: Cues) => has(c, (id) => /^egg-white|aquafaba|meringue-powder/.test(id))
export const sugar = (c: Cues) => has(c, (_, kind) => kind === 'sugar' || kind === 'sweetener')
export const flour = (c: Cues) =>
  has(c, (id, kind) => kind === 'flour' || kind === 'mix' || (kind === 'starch' && !/cornstarch|custard/.test(id)))
export const whipping = (c: Cues) => has(c, (id) => /^cream-(?:heavy|double|single)|plant-cream|coconut-cream|whipped-topping/.test(id))
export const chocolate = (c: Cues) => has(c, (id) => id.startsWith('chocolate'))
export const liquid = (c: Cues) => has(c, (id, kind) => kind === 'water' || /milk|juice/.test(id) || kind === 'plant-dairy')
export const leavener = (c: Cues) => has(c, (_, kind) => kind === 'leavener')
export const says = (c: Cues, words: RegExp) => words.test(c.text)

/** In what the bowl holds: something made elsewhere. */
export const MIXED = 'mixed'

/** An oven is at least this hot; syrups and custards are told cooler, or with a thermometer. */
export const OVEN_LEAST = 140

export const AIRY =
  /\b(?:thick|peaks?|ribbon|foam\w*|frothy|doubled?|tripled?|triple|stiff|mousse|voluminous|volume|trail|billowy|mounds|fluffy|pale|light|white|creamy|hook|whitened?|airy|puffy|snow|shiny|glossy)\b/
export const PEAKS = /\b(?:peaks?|stiff|snow|foam\w*|frothy|mounds|hook|glossy)\b/
export const PALE = /\b(?:pale|fluffy|creamy|light|white|airy|smooth|soft)\b/
export const TIN_TARGET =
  /\b(?:the |your |a |an |two |both |three |lined |greased |prepared |buttered )*(?:tins?|pans?|mou?lds?|trays?|cases|dish|springform|sheet|base|sides|paper|bundt|skillet|ring|form|cups|holes|plates?|basin|moulds|\d{1,2} ?x ?\d{1,2})\b/
export const OVER = /\b(?:over|onto|on top|on to|on the|into the holes|over it|on it|around|on both|on each|on one|all over)\b/

/** An act with the cues that speak for it; the first that holds decides, from the particular to the general. */
export type Rule = readonly [act: Act, when: (c: Cues) => boolean]
