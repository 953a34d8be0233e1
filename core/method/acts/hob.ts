import { holds, fat, whipping, chocolate, liquid, says, type Rule } from './cues'

/** Heat without an oven: melting, frying, steeping, simmering. */
export const HOB: readonly Rule[] = [
  ['melt', (c) => c.cls === 'wait' && fat(c) && says(c, /\b(?:foam|brown|nutty|sizzle|melt)\b/)],
  ['other', (c) => c.cls === 'heat' && c.ids.length > 0 && c.ids.every((id) => id.startsWith('oil'))],
  ['simmer', (c) => c.cls === 'wait' && says(c, /\b(?:bubble|boil|simmer)\b/)],
  ['melt', (c) => c.cls === 'melt' && !(c.verb === 'brown' && !fat(c))],
  [
    'melt',
    (c) =>
      chocolate(c) &&
      /^(?:heat|warm|microwave|put|pour|place|bring|stir|leave)$/.test(c.verb) &&
      (c.places.has('hob') || whipping(c)) &&
      !c.places.has('oven'),
  ],
  [
    'melt',
    (c) =>
      c.ids.every((id) => id.includes('water')) &&
      c.cls !== 'whip' &&
      /\bover (?:some |a (?:pan|pot) of )?(?:\w+ )?(?:hot|simmering|warm|boiling) water\b/.test(c.text) &&
      holds(c, (id, kind) => id.startsWith('chocolate') || kind === 'fat') &&
      !holds(c, (id) => id.startsWith('egg')),
  ],
  [
    'melt',
    (c) =>
      fat(c) && c.ids.length === 1 && /^(?:drop|put|add|throw|place)$/.test(c.verb) && says(c, /\bhot (?:skillet|pan|dish|tin|kadai)\b/),
  ],
  ['melt', (c) => (fat(c) || chocolate(c)) && /^(?:heat|warm|microwave)$/.test(c.verb) && !liquid(c)],
  [
    'fry',
    (c) =>
      c.cls === 'fry' ||
      (/^(?:cook|make|bake|pour)$/.test(c.verb) &&
        says(c, /\b(?:pancakes?|cr[eê]pes?|sheets|each side|frying pan|crepe pan|crêpe pan|griddle)\b/) &&
        !c.places.has('oven') &&
        !says(c, /\bbatter\b/)),
  ],
  ['infuse', (c) => c.cls === 'infuse' || says(c, /\bsteep|\binfus/)],
  [
    'simmer',
    (c) =>
      c.cls === 'boil' &&
      !says(c, /room temp/) &&
      !(c.verb === 'bring' && says(c, /\b(?:together|out|dough)\b/) && !says(c, /\bboil|simmer\b/)) &&
      !(c.verb === 'reduce' && c.hasHeat),
  ],
  ['simmer', (c) => c.cls === 'heat' && !c.places.has('oven') && !c.hasHeat],
  [
    'simmer',
    (c) =>
      /^(?:cook|stir|whisk|heat|put|return|place|set|return)$/.test(c.verb) &&
      says(
        c,
        /\b(?:over (?:a )?(?:low|medium|high|gentle|moderate|medium-low|medium-high|the)? ?-?(?:heat|flame|fire)|back (?:in|to|on|into) the (?:pan|heat|pot|fire)|on (?:a )?(?:low|medium|the) (?:heat|flame|fire|stove|hob)|to the pan|to the pot|on the stove)\b/,
      ) &&
      !c.places.has('oven') &&
      !says(c, /\blid\b.*\bflame\b/) &&
      !c.filled,
  ],
  [
    'simmer',
    (c) =>
      /^(?:cook|heat|put|place|set|return)$/.test(c.verb) &&
      says(c, /\bin (?:a|the) (?:heavy |small )?(?:sauce)?(?:pan|pot)\b/) &&
      // "Set aside to cool in the pan"
      !says(c, /\bto cool\b|\baside\b/) &&
      !c.places.has('oven') &&
      !says(c, /\blid\b.*\bflame\b/) &&
      !c.filled,
  ],
  [
    'simmer',
    (c) =>
      c.verb === '' &&
      c.ids.length > 0 &&
      says(c, /\b(?:over|on) (?:a )?(?:low|medium|gentle|high|moderate)[- ]?(?:\w+ )?(?:heat|flame|gas)\b/) &&
      !c.filled,
  ],
  [
    'simmer',
    (c) =>
      c.verb === 'cook' &&
      (/\b(?:thick\w*|coats|bubbl\w*|boil\w*)\b/.test(`${c.text} ${c.sign}`) || /\bstirring\b/.test(c.text)) &&
      !c.places.has('oven') &&
      !c.filled,
  ],
  [
    'simmer',
    (c) =>
      c.verb === 'cook' &&
      c.minutes > 0 &&
      !says(c, /\bmicrowave\b/) &&
      c.minutes < 15 &&
      !c.filled &&
      !c.places.has('oven') &&
      c.ids.length === 0 &&
      /^(?:simmer|melt|mix)$/.test(c.before ?? '') &&
      !c.baked,
  ],
]
