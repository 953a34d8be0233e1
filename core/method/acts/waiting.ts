import { says, type Rule } from './cues'

/** What is told of the table, whatever its words do elsewhere. */
export const TABLE: readonly Rule[] = [
  // "Lovely with custard.", "Tastes best lukewarm with whipped cream."
  [
    'serve',
    (c) =>
      c.verb === '' &&
      /^\W*(?:it is |it's |so |very |really )*(?:nice|good|lovely|great|delicious|best|wonderful|perfect)\b[^.]*\b(?:with|alongside)\b/.test(
        c.text,
      ),
  ],
  [
    'serve',
    (c) => /^\W*(?:it |they |the cake |this )?(?:tastes?|eats?) (?:best|better|good|great|wonderful|well|nice|lovely|even)\b/.test(c.text),
  ],
]

/** Resting, serving, and what merely stands. */
export const WAITING: readonly Rule[] = [
  [
    'rest',
    (c) =>
      c.verb === 'rest' ||
      (c.cls === 'wait' && (c.minutes > 0 || says(c, /\b(?:aside|stand|rest|overnight)\b/)) && !says(c, /\baside\b(?!.*\d)/)),
  ],
  [
    'rest',
    (c) =>
      (c.cls === 'put' || c.cls === 'other' || c.verb === '') &&
      c.minutes >= 5 &&
      says(c, /\b(?:aside|rest|stand|room temperature|counter|leave)\b/),
  ],
  ['other', (c) => c.cls === 'wait' || (c.cls === 'put' && says(c, /\baside\b/))],
  ['serve', (c) => says(c, /\bto (?:the )?table\b/) && (c.cls === 'put' || c.cls === 'serve')],
  ['serve', (c) => c.cls === 'serve' || (c.verb === '' && /^\W*serves?\b/.test(c.text))],
]
