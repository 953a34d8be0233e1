import { has, flour, says, type Rule } from './cues'

/** What no stage has claimed, by its verb alone. */
export const LEFT: readonly Rule[] = [
  ['mix', (c) => c.cls === 'mix' || c.cls === 'whip'],
  ['fill-tin', (c) => /^(?:arrange|lay|pack)$/.test(c.verb) && c.ids.length > 0 && !c.baked],
  ['mix', (c) => c.cls === 'put' && (c.ids.length > 0 || c.group) && !c.baked],
  ['mix', (c) => c.cls === 'spread' && !c.baked && c.ids.length > 0 && !says(c, /\bfoil|film|lid\b/)],
  [
    'soak',
    (c) =>
      c.cls === 'soak' &&
      c.baked &&
      (c.role === 'soak' ||
        has(c, (id, kind) => kind === 'syrup' || /juice|spirit|coffee|syrup/.test(id)) ||
        says(c, /\bsyrup|juice|drizzle|rum|milk\b/)),
  ],
  // "drizzle down the side of the bowl"
  ['mix', (c) => (c.cls === 'soak' || c.cls === 'scatter') && !c.baked && c.places.has('bowl')],
  ['decorate', (c) => c.cls === 'soak'],
  ['spread', (c) => c.cls === 'spread' && !says(c, /\b(?:foil|film|lid|cling|cloth|paper)\b/)],
  ['decorate', (c) => c.cls === 'scatter'],
  ['decorate', (c) => c.cls === 'put' && c.baked && c.ids.length > 0],
  ['mix', (c) => c.cls === 'strain' && flour(c)],
  ['strain', (c) => c.cls === 'strain'],
  ['cut', (c) => c.cls === 'cut' || c.cls === 'divide'],
  ['mix', (c) => c.verb === '' && (c.ids.length > 0 || c.group) && !c.baked],
  ['decorate', (c) => c.verb === '' && c.ids.length > 0 && c.baked],
]
