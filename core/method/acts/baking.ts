import { says, type Rule } from './cues'

/** The bake, however it is told. */
export const BAKING: readonly Rule[] = [
  ['bake', (c) => c.verb === 'bake' && !/\bbake[ -](?:it )?(?:offs?|beans)\b/.test(c.text)],
  // "cook until the underside browns, flip"
  [
    'fry',
    (c) =>
      c.cls === 'cook' &&
      !c.places.has('oven') &&
      /\b(?:underside|flip|(?:each|per|other|one|both|second) sides?)\b/.test(`${c.text} ${c.sign}`),
  ],
  [
    'bake',
    (c) =>
      c.cls === 'cook' &&
      !c.baked &&
      (c.minutes > 0 || c.places.has('oven') || c.hasHeat || c.filled) &&
      !(c.verb === 'toast' || (c.verb === 'microwave' && c.ids.length > 0 && c.minutes < 1)),
  ],
  ['bake', (c) => c.cls === 'cook' && c.places.has('oven')],
  [
    'bake',
    (c) =>
      (c.cls === 'put' || c.cls === 'wait' || c.cls === 'other' || c.cls === 'mix') &&
      /\b(?:in|into|to|back in|back into|inside)\b/.test(c.text) &&
      c.places.has('oven') &&
      !(
        /^(?:adjust|position|move|set|place|put|arrange)$/.test(c.verb) &&
        says(c, /\b(?:oven )?(?:racks?|shelf|shelves)\b/) &&
        c.ids.length === 0 &&
        !says(c, /\b(?:tins?|pans?|cakes?|it|them|moulds?) (?:in|on|into)\b/)
      ) &&
      !says(c, /\b(?:open|ajar|turned off|switched off|off oven|cooling oven|hot water|tray of|out of|from the)\b/) &&
      !/^(?:remove|have|get|do|test|check)$/.test(c.verb),
  ],
  [
    'bake',
    (c) =>
      c.minutes >= 5 &&
      c.filled &&
      !c.baked &&
      (c.cls === 'wait' || c.cls === 'put' || c.verb === '' || c.cls === 'other' || c.verb === 'cover') &&
      (c.hasHeat ||
        c.fired ||
        says(c, /\b(?:low heat|slow heat|medium heat|oven|flame|lid|cooker|degrees|gas|coals?|charcoal)\b/) ||
        (c.verb === '' && !says(c, /\b(?:rest|fridge|freezer|cool|chill|stand)\b/))),
  ],
  [
    'bake',
    (c) =>
      c.verb === 'give' && (c.filled || c.before === 'fold') && !c.baked && c.minutes >= 5 && !c.places.has('fridge') && c.ids.length === 0,
  ],
  // "Oven 50 min"
  ['bake', (c) => c.verb === '' && !c.baked && c.minutes >= 5 && /^\W*(?:in(?:to)? (?:the )?)?oven\b/.test(c.text)],
  // "45-50 mins till risen and brown.": how long and how it looks then, and nothing else.
  [
    'bake',
    (c) =>
      c.verb === '' &&
      !c.baked &&
      c.minutes >= 8 &&
      c.ids.length === 0 &&
      /\b(?:risen|brown|browned|golden|skewer|springs? back|springy)\b/.test(`${c.text} ${c.sign}`),
  ],
  // "Take the foil off for the last 5 min.": still in the oven.
  [
    'bake',
    (c) =>
      c.before === 'bake' &&
      c.ids.length === 0 &&
      /^(?:take|remove|uncover|lift|turn|switch|rotate|cover|tent)$/.test(c.verb) &&
      says(c, /\b(?:foil|lid|uncover|grill|paper|tent)\b/) &&
      says(c, /\b(?:for|after|in) (?:the )?(?:last|final|first)? ?\d/),
  ],
  // "In the tin, in the oven, 55–60 mins."

  ['bake', (c) => c.verb === '' && c.places.has('oven') && c.minutes >= 5 && c.ids.length === 0 && !says(c, /\b(?:off|out of)\b/)],
  ['bake', (c) => c.minutes > 0 && /(?:^|, )(?:and )?back in\b/.test(c.text) && !c.places.has('fridge') && !c.places.has('freezer')],
  [
    'bake',
    (c) =>
      c.minutes > 0 &&
      c.hasHeat &&
      (c.verb === '' || c.cls === 'wait' || /^(?:give|lower|reduce|turn|raise|increase|continue)$/.test(c.verb)),
  ],
  [
    'bake',
    (c) =>
      c.minutes > 0 &&
      (c.before === 'bake' || (c.baked && /\b(?:back in|back into|oven)\b/.test(c.text)) || (c.before === 'unmould' && !says(c, /rack/))) &&
      /\b(?:more|another|further|longer)\b/.test(c.text) &&
      !says(c, /\bcool|rack|stand\b/),
  ],
]
