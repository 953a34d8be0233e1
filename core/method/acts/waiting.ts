import { says, type Rule } from './cues'

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
  // "Lovely with custard."
  [
    'serve',
    (c) =>
      c.verb === '' &&
      /^\W*(?:it is |it's |so |very |really )*(?:nice|good|lovely|great|delicious|best|wonderful|perfect)\b[^.]*\b(?:with|alongside)\b/.test(
        c.text,
      ),
  ],
  ['serve', (c) => c.cls === 'serve' || (c.verb === '' && /^\W*serves?\b/.test(c.text))],
]
