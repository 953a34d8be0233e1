import type { Mention } from '../language/name'
import { isNameWord } from '../language/name'
import { VERBS } from '../language/lexicon'
import { HIDING, MANNER, SORTS } from '../language/manner'
import type { Token } from '../language/token'
import { unitNamed } from '../measure/unit'
import type { Ingredient } from '../pantry/ingredient'
import type { Match } from '../pantry/lookup'

const PREPARATION = /(?:ed|ing|en)$/
/** What ends the name of a thing: from here on it is preparation, purpose or company. */
const ENDS =
  /^(?:,|;|\(|\)|\[|\.|:|-|–|—|\/|\||\+|&|and|or|for|with|in|into|to|from|at|if|until|that|which|such|on|off|of|as|not|plus|mixed|dissolved|cut|each|used|leftover|x)$/

const explains = (t: Token): boolean =>
  t.kind !== 'word' ||
  MANNER.has(t.word) ||
  MANNER.has(t.stem) ||
  SORTS.has(t.word) ||
  SORTS.has(t.stem) ||
  isNameWord(t.stem) ||
  unitNamed(t.word) !== undefined ||
  PREPARATION.test(t.word) ||
  VERBS.has(t.word) ||
  t.word.length <= 1

/**
 * How sure it is that a mention says what an item is.
 *
 * A word that nobody knows right behind the name is the thing itself ("chocolate zorgles" are no chocolate): unsure.
 * One before it may be a brand or a sort ("Blenheim butter"): likely.
 *
 * @param from first token of the item, `to` the one after its last
 */
export function identityOf(t: readonly Token[], m: Mention, from: number, to: number): Match {
  for (let i = from; i < to; i++) if (HIDING.has(t[i]!.word) || (t[i]!.word === 'home' && t[i + 1]?.word === 'made')) return 'unsure'
  for (let i = m.to; i < to; i++) {
    const x = t[i]!
    if (ENDS.test(x.word) || x.kind === 'number' || x.kind === 'fraction') break
    if (!explains(x)) return 'unsure'
  }
  if (m.misspelt) return 'likely'
  for (let i = m.from - 1; i >= from; i--) {
    const x = t[i]!
    if (x.kind === 'mark' && /^[,;)]$/.test(x.text)) break
    if (!explains(x) && !m.cover.includes(i)) return 'likely'
  }
  return 'exact'
}

/** Names that several brands fill quite differently: identified, and yet nobody knows what is in it. */
const OPAQUE = new Set(['sprinkles', 'candy', 'icing-bought', 'cake-crumbs'])

/** Why the contents of an identified ingredient stay unknown; `undefined` where its label can be trusted to say. */
export const opaque = (ingredient: Ingredient | undefined): boolean => ingredient !== undefined && OPAQUE.has(ingredient.id)
