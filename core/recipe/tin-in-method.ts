import type { Tin } from './recipe'
import { readTin } from './tin'

const LENGTH = '\\d+(?:[.,]\\d+)?(?:\\s*[½¼¾])?'
const UNIT = '(?:\\s*(?:cm|mm)\\b|\\s*-?\\s*in(?:ch(?:es)?)?\\b|\\s*["”″])'
const SIDES = `${LENGTH}${UNIT}?(?:\\s*(?:x|×|by)\\s*${LENGTH}${UNIT}?){1,2}`
const WEIGHT = '\\d+(?:[.,]\\d+)?\\s*-?\\s*(?:g|kg|lb)\\b'
const HOLES = '\\d+\\s*-?\\s*(?:hole|cup)\\b'
const SIZE = `(?:${SIDES}|${LENGTH}${UNIT}|${WEIGHT}|${HOLES})`
const WORDS = (most: number) => `(?:[\\s-]+(?!(?:until|for|at|and then)\\b)[a-zà-ÿ-]+){0,${most}}?`
const NOUN = '(?:tins?|pans?|mou?lds?|springform|dish(?:es)?|cases|rings?)\\b'
const TIN = new RegExp(`(${SIZE})(${WORDS(4)}[\\s-]+${NOUN})`, 'i')
/** "Bake in a 9x13": two sides can only be a tin's. */
const BARE = new RegExp(`\\b(?:bake|pour|spread|scrape|tip|turn)\\b[^.]*?\\b(?:in|into|to)\\s+(?:an?\\s+|the\\s+)?(${SIDES})`, 'i')
/** How many of them, before what else is said of them: "two greased and lined". */
const COUNT = /(?:^|[^\d.,½¼¾])\b(one|two|three|four|six|\d)\s+(?:[a-zà-ÿ-]+\s+){0,4}$/i
/** A tin that holds water, or what is cooked on the hob, bakes no cake. */
const NO_CAKE = /\b(?:roasting|sauce|water|frying)\b/i

/** What the same size is in other units: "20cm/8in", "20 cm (8 inch)". */
const OTHERWISE = /\s*\/\s*\d+(?:[.,]\d+)?\s*(?:-?\s*in(?:ch(?:es)?)?\b|cm\b|["”″])|\([^)]*\)/gi

/**
 * The tin that a method names: "grease and line two 20cm sandwich tins", "bake in a 9x5 inch loaf pan".
 *
 * @param steps sentences of a method, in order
 * @returns the first one that a size is given for; `undefined` where there is none
 */
export function tinInMethod(steps: readonly string[]): Tin | undefined {
  for (const step of steps) {
    const text = step.replace(OTHERWISE, ' ').replace(/\s+/g, ' ')
    const said = TIN.exec(text)
    if (said && !NO_CAKE.test(said[0]) && !NO_CAKE.test(/\S*\s*$/.exec(text.slice(0, said.index))![0])) {
      const count = COUNT.exec(text.slice(0, said.index))?.[1] ?? ''
      const tin = readTin(`${count} ${said[1]!}${said[2]!}`.trim())
      if (tin) return tin
    }
    const bare = BARE.exec(text)
    const tin = bare && readTin(bare[1]!)
    if (tin) return tin
  }
  return undefined
}
