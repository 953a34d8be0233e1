import { OVEN_LEAST, says, type Rule } from './cues'

/** The oven is heated, or set to another heat. */
export const OVEN: readonly Rule[] = [
  ['heat-oven', (c) => c.verb === 'preheat' || /\bpre\s?-?\s?heat(?:ed)?\b(?! oven)/.test(c.text)],
  [
    'heat-oven',
    (c) =>
      c.places.has('oven') &&
      !/\b(?:put|place|return|slide|pop|into|in) (?:the |it |them |a |your )*(?:hot |preheated |warm )?(?:oven|owen)\b/.test(c.text) &&
      /^(?:heat|set|turn|light|switch|put|have|reduce|lower|drop|raise|adjust|warm|bring|start|increase|get|)$/.test(c.verb) &&
      (c.minutes === 0 || /\b(?:down|up|reduce|lower|turn)\b/.test(c.text)) &&
      !/\b(?:off|out of)\b/.test(c.text) &&
      (c.hasHeat || /\boven (?:on|to|at)\b|heat (?:the |your )?oven|oven hot|hot oven|moderate|oven should/.test(c.text)),
  ],
  [
    'heat-oven',
    (c) =>
      c.hasHeat &&
      c.minutes === 0 &&
      /^(?:reduce|lower|turn|raise|increase|drop|heat|set)$/.test(c.verb) &&
      !/\b(?:syrup|milk|thermometer|sugar)\b/.test(c.text) &&
      c.ids.length === 0,
  ],
  [
    'heat-oven',
    (c) =>
      c.verb === '' && c.hasHeat && c.ids.length === 0 && !c.filled && !c.baked && says(c, /\boven (?:at|to|on)\b/) && !says(c, /\bbak/),
  ],
  [
    'heat-oven',
    (c) => c.places.has('oven') && c.ids.length === 0 && says(c, /\b(?:empty|dry) (?:[\w-]+ ){0,3}(?:skillet|pan|tin|dish|tray|stone)\b/),
  ],
  // A pot on the fire as an oven, with its bed of salt.
  [
    'heat-oven',
    (c) =>
      !c.filled &&
      !c.baked &&
      c.ids.length > 0 &&
      c.ids.every((id) => id.startsWith('salt')) &&
      says(c, /\b(?:inside|kadai|cooker|pot|base|bottom|vessel)\b/),
  ],
  [
    'heat-oven',
    (c) =>
      c.hasHeat &&
      /^(?:let|bring|get|have|want)$/.test(c.verb) &&
      c.ids.length === 0 &&
      c.minutes === 0 &&
      c.celsius >= OVEN_LEAST &&
      !c.filled,
  ],
  ['heat-oven', (c) => c.verb === '' && c.hasHeat && c.minutes === 0 && c.ids.length === 0 && !says(c, /\binto\b|\btin\b.*\bbake\b/)],
]
