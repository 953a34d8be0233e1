import { has, says, TIN_TARGET, type Rule } from './cues'

/** Tins are greased, lined, dusted; and what lines them is pastry. */
export const TIN: readonly Rule[] = [
  [
    'ready-tin',
    (c) => c.cls === 'grease' && TIN_TARGET.test(c.text) && !says(c, /\b(?:pastry|dough|crumb mixture|sponge|biscuits?|phyllo|filo)\b/),
  ],
  [
    'ready-tin',
    (c) =>
      c.cls === 'grease' &&
      c.ids.every((id) => /butter|oil|flour|cocoa|margarine|shortening|breadcrumbs|sugar/.test(id)) &&
      !c.baked &&
      says(c, /\b(?:paper|parchment|it|them|sides|bottom|well|moulds?)\b/) &&
      c.verb !== 'cream',
  ],
  [
    'ready-tin',
    (c) =>
      /^(?:dust|brush|sprinkle|cover|coat|set|have|get)$/.test(c.verb) &&
      TIN_TARGET.test(c.text) &&
      !c.baked &&
      !c.filled &&
      !says(c, /\b(?:pour|batter|mixture|crumbs? over|over the batter)\b/) &&
      // "Sprinkle the pecans into a greased pan": they lie under the batter.
      !(says(c, /\b(?:into|in the bottom|over the (?:base|bottom))\b/) && has(c, (_, kind) => kind === 'nut' || kind === 'fruit')) &&
      says(c, /\b(?:tins?|pans?|mou?lds?|cases|trays?)\b/) &&
      !c.hasHeat &&
      (c.cls !== 'other' || says(c, /greas|lined|line|butter|ready|out/)),
  ],
  [
    'ready-tin',
    (c) =>
      /^(?:put|set|fit|fill|place|shake|have|arrange|drop)$/.test(c.verb) &&
      says(
        c,
        /\b(?:paper )?(?:cases|liners|papers|breadcrumbs?)\b|\b(?:circle|round|disc|sheet|square|strip) of (?:\w+ )?(?:paper|parchment)\b/,
      ) &&
      says(c, /\b(?:tins?|pans?|mou?lds?|tray|round|in it|bottom|base)\b/) &&
      !c.filled &&
      !c.baked &&
      !c.ids.some((id) => !/breadcrumbs|flour|sugar/.test(id)),
  ],
  [
    'ready-tin',
    (c) =>
      c.verb === '' &&
      says(c, /\b(?:greased|lined|buttered|floured|ungreased|line)\b/) &&
      TIN_TARGET.test(c.text) &&
      c.minutes === 0 &&
      !says(c, /\b(?:into|in the|in a|pour)\b/),
  ],
  [
    'ready-tin',
    (c) =>
      c.before === 'ready-tin' &&
      !c.filled &&
      !c.baked &&
      (c.cls === 'scatter' || c.verb === 'coat' || c.cls === 'grease') &&
      c.ids.every((id) => /^(?:flour|cocoa|sugar|breadcrumbs|biscuit|semolina|coconut-des|starch|cornstarch|almond)/.test(id)) &&
      !says(c, /\bmixture|batter|crumbs over\b/),
  ],
  // "Grease and flour a tin": both are done to the tin.
  [
    'ready-tin',
    (c) => /^(?:grease|oil|butter|line|flour)$/.test(c.verb) && c.ids.length === 0 && /^\w+(?: and| &| ,)*$/.test(c.text.trim()),
  ],
  // "Let the oil run in while mixing, then the milk."
  [
    'mix',
    (c) =>
      /^(?:let|allow)$/.test(c.verb) &&
      c.ids.length > 0 &&
      !c.baked &&
      c.minutes === 0 &&
      (says(c, /\b(?:run|flow|trickle|stream|drip|fall|rain) (?:in|into)\b/) || /^(?:and )?then\b/.test(c.text)),
  ],
  ['fill-tin', (c) => c.verb === 'line' && says(c, /\b(?:pastry|dough|sponge|biscuits?|phyllo|filo)\b/)],
]
