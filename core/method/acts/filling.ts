import { says, TIN_TARGET, type Rule } from './cues'

/** The batter goes into its tin. */
export const FILLING: readonly Rule[] = [
  [
    'fill-tin',
    (c) =>
      c.verb === '' &&
      !c.baked &&
      /^[^,;.]{0,24}\b(?:batter|mixture|dough)\b[^,;.]{0,8}\b(?:in|goes)\b/.test(c.text) &&
      !says(c, /\bbowl|\bfridge/),
  ],
  [
    'fill-tin',
    (c) =>
      /^(?:drop|dollop|scoop|spoon|scrape)$/.test(c.verb) &&
      says(c, /\b(?:batter|dough|mixture|mounds?|heaps?|spoonfuls)\b/) &&
      !c.baked &&
      !says(c, /\bbowl\b/),
  ],
  ['divide', (c) => c.cls === 'divide' && !c.baked && !c.places.has('tin')],
  [
    'fill-tin',
    (c) =>
      (c.cls === 'put' || c.cls === 'divide' || c.cls === 'spread' || c.cls === 'unmould' || c.verb === 'drop' || c.verb === 'dump') &&
      (TIN_TARGET.test(c.text) || c.places.has('tin')) &&
      !c.baked &&
      !says(c, /\b(?:saucepan|bowl|heavy pan|water|on the rack|paper on)\b/) &&
      !(c.verb === 'turn' && says(c, /\bout\b/)) &&
      !(c.cls === 'put' && c.ids.length >= 2 && says(c, /\b(?:in|into) a (?:large |big |heavy |small |medium )?pan\b/)),
  ],
  [
    'fill-tin',
    (c) =>
      /^(?:level|smooth|spread|pour|scrape|press|tap|bang|swirl|fill|spoon)$/.test(c.verb) &&
      !c.baked &&
      (c.ids.length === 0 || c.filled) &&
      !c.group &&
      (c.filled || c.verb === 'pour' || c.verb === 'spread' || c.verb === 'press' || c.verb === 'fill' || c.verb === 'spoon') &&
      !says(
        c,
        /\b(?:into the (?:mixture|flour|milk|bowl|yolks|eggs|well)|bowl|syrup over|on the (?:flour|mixture)|(?:on|onto|into|over|to) (?:the )?(?:dry|wet))\b/,
      ),
  ],
  [
    'fill-tin',
    (c) =>
      c.verb === '' &&
      says(c, /\b(?:into|in) (?:a |the |your |an |two |both )*(?:\w+ ){0,4}(?:tins?|pans?|mou?ld|form|cases|tray)\b/) &&
      !c.baked &&
      c.minutes === 0,
  ],
  ['fill-tin', (c) => c.cls === 'put' && c.filled && !c.baked && c.ids.length > 0 && !says(c, /\b(?:bowl|pan|pot)\b/)],
]
