import { type Rule } from './cues'

/** The fridge and the freezer. */
export const COLD: readonly Rule[] = [
  [
    'freeze',
    (c) =>
      c.cls === 'freeze' ||
      (c.places.has('freezer') && (c.cls === 'put' || c.cls === 'wait' || c.cls === 'chill' || c.cls === 'cool' || c.cls === '')),
  ],
  [
    'chill',
    (c) =>
      c.cls === 'chill' ||
      (c.places.has('fridge') && c.cls !== 'unmould' && !/\b(?:from|out of)\b.{0,12}\b(?:fridge|refrigerator)\b/.test(c.text)),
  ],
]
