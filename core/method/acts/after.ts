import { has, holds, fat, egg, flour, leavener, says, TIN_TARGET, OVER, type Rule } from './cues'

/** What is done to what is baked: poked, hollowed, rolled, soaked, turned out, cooled, cut, spread. */
export const AFTER: readonly Rule[] = [
  // "Loosen with a thin knife": from its tin; a batter is loosened with milk.
  ['unmould', (c) => c.verb === 'loosen' && c.ids.length === 0 && says(c, /\b(?:knife|spatula|edges?|sides?|tins?|pans?|moulds?)\b/)],
  [
    'poke',
    (c) => c.cls === 'poke' || (/\b(?:prick|holes (?:all over|in|with))\b/.test(c.text) && c.cls !== 'soak' && !/\bpour\b/.test(c.text)),
  ],
  [
    'hollow',
    (c) =>
      (c.cls === 'hollow' && c.baked) ||
      (/^(?:scoop|cut|make|dig|remove|press|take)$/.test(c.verb) &&
        says(c, /\b(?:hollows?|wells?|centres?|centers?|cone|middle out|out of the middle|from the middle|cavity)\b/) &&
        (c.baked || says(c, /\bcup-?cakes?|each cake|muffins?\b/))),
  ],
  ['bake', (c) => c.cls === 'hollow' && c.minutes >= 15],
  ['fill-tin', (c) => c.cls === 'hollow'],
  ['roll', (c) => c.cls === 'roll' && c.verb !== 'coat'],
  ['pipe', (c) => c.cls === 'pipe' || says(c, /\bpiping bag\b/)],
  [
    'soften',
    (c) =>
      has(c, (id) => /gelatine|agar/.test(id)) &&
      (c.verb === 'soak' ||
        (c.cls === 'scatter' && c.ids.every((id) => /gelatine|agar|water|juice|milk|cream/.test(id)) && says(c, /\b(?:over|on)\b/))),
  ],
  // "pour in the melted gelatine": into a bowl, however far the cake is.
  [
    'mix',
    (c) =>
      /^(?:pour|drizzle|trickle|stream|add)$/.test(c.verb) &&
      c.ids.length > 0 &&
      /^(?:foam|cream|mix|melt|simmer|fold)$/.test(c.before ?? '') &&
      says(c, /^(?:and |then |gradually |slowly )*\w+ in (?!the (?:holes|hollows|centre|center|middle|tin|pan)|a (?:ring|line))/) &&
      !c.places.has('cake') &&
      !c.places.has('tin'),
  ],
  ['soak', (c) => c.verb === 'dip' && !says(c, /\b(?:knife|spoon|blade|spatula|scoop|cutter|finger in)\b/)],
  ['soak', (c) => c.verb === 'soak' || c.verb === 'drench' || c.verb === 'imbibe' || c.verb === 'moisten' || c.verb === 'feed'],
  [
    'soak',
    (c) =>
      c.baked &&
      /^(?:pour|spoon|brush|drizzle|ladle|sprinkle|put|add)$/.test(c.verb) &&
      (c.role === 'soak' ||
        says(c, /\bsyrup|soak\b/) ||
        !(
          c.role === 'frosting' ||
          c.role === 'topping' ||
          has(c, (id) => id === 'sugar-icing') ||
          holds(c, (id) => id === 'sugar-icing')
        )) &&
      (c.role === 'soak' || says(c, /\b(?:syrup|soak|milks?|sherbet|into the holes|over the (?:hot|warm) cake|drizzle)\b/)) &&
      (OVER.test(c.text) || c.places.has('cake')),
  ],
  [
    'unmould',
    (c) =>
      c.cls === 'unmould' &&
      !/\b(?:from (?:the )?(?:heat|fire|stove|oven|flame|fridge|freezer)|off (?:the )?(?:heat|fire)|foil|film|skin|seeds|pan from)\b/.test(
        c.text,
      ) &&
      !(/^(?:remove|lift|free|unwrap)$/.test(c.verb) && says(c, /\b(?:paper|cloth)\b/)) &&
      !(c.verb === 'lift' && !c.baked) &&
      !(c.verb === 'remove' && !c.baked) &&
      !(c.verb === 'peel') &&
      !says(c, /\b(?:the pan|the tin|pan) (?:upside|over)\b/),
  ],
  [
    'unmould',
    (c) =>
      /^(?:turn|tip|take|slide|ease|pop|flip|ease|put|set|get|run|transfer|move|invert)$/.test(c.verb) &&
      says(
        c,
        /\b(?:turn(?:ed)? (?:it |them |the \w+ |each |\w+ )?(?:out|over|upside)|turn (?:it |them |the \w+ |hot \w+ |(?:\w+ )?(?:- )?(?:side )?down )*(?:out )?(?:onto|on to)|turn out|tip (?:it |them )?out|pop (?:off )?the ring|out of the tin|out of the pan|out onto|onto a (?:wire |cooling )?rack|on to a rack|from the (?:tin|pan)|out of (?:its|their) (?:tins?|pans?)|upside down)\b/,
      ) &&
      !says(c, /\b(?:into|pan upside|tin upside|pan over a bottle)\b/) &&
      (c.baked || says(c, /\b(?:turn out|rack)\b/)) &&
      !/^run$/.test(c.verb),
  ],
  ['unmould', (c) => c.verb === '' && c.baked && says(c, /^(?:and |then )?out of (?:the|its|their) (?:tins?|pans?|mou?lds?)\b/)],
  ['cool', (c) => c.cls === 'cool'],
  [
    'cool',
    (c) =>
      // "Pour the cooled syrup over": cool already.
      says(c, /\b(?:cools?|cooling|cold|lukewarm|tepid|(?<!\b(?:the|your|with|of) )cooled)\b/) &&
      (c.cls === 'wait' || c.cls === 'put' || c.verb === '' || c.cls === 'unmould') &&
      !says(c, /\bcold (?:water|milk|butter|cakes?|cream|layers?)\b|\b(?:over|on|onto) (?:the |each |your )?(?:cool|cold|cooled)\b/) &&
      !c.places.has('fridge'),
  ],
  ['cool', (c) => /\b(?:cold|cool|cools|cooled|completely)\b/.test(c.sign) && (c.cls === 'wait' || c.cls === 'put')],
  [
    'cool',
    (c) =>
      c.baked &&
      (c.cls === 'wait' || c.cls === 'put' || c.verb === '') &&
      (c.places.has('rack') ||
        (c.places.has('tin') && c.minutes > 0) ||
        (c.minutes > 0 && c.before === 'bake' && c.minutes <= 30 && c.cls === 'wait')),
  ],
  ['cool', (c) => c.verb === 'hang' || says(c, /\bupside down (?:on|over) a bottle|pan upside down|over a bottle/)],
  [
    'cut',
    (c) =>
      (c.cls === 'cut' || (c.cls === 'divide' && c.baked)) &&
      !(c.verb === 'cut' && says(c, /\bcut (?:in|the butter|butter|in the)\b/) && fat(c)) &&
      !(c.verb === 'slice' && !c.baked && c.ids.length > 0 && !c.foamed) &&
      (c.baked || c.ids.length === 0 || says(c, /\bsquares|portions|layers|pieces\b/)),
  ],
  [
    'mix',
    (c) =>
      /^(?:drop|tip|put|add|throw)$/.test(c.verb) &&
      /^\w+ in\b/.test(c.text) &&
      /^(?:simmer|melt|mix|foam|cream|infuse)$/.test(c.before ?? '') &&
      // "Tip in tin"
      !/^\w+ in (?:an? |the |your |its )?(?:\w+ ){0,2}(?:tins?|pans?|mou?lds?|tray)\b/.test(c.text) &&
      !OVER.test(c.text),
  ],
  // What raises, or flour in quantity, is sprinkled into a mix and never on a cake.
  ['mix', (c) => (c.cls === 'scatter' || c.cls === 'put') && (leavener(c) || egg(c)) && !c.filled && !says(c, /\bfold(?:ing|ed)?\b/)],
  [
    'decorate',
    (c) =>
      (c.cls === 'scatter' &&
        (c.baked || !c.filled) &&
        !says(c, /\b(?:bowl|into the (?:mixture|batter)|over the (?:mixture|batter|whites|eggs|egg))\b/) &&
        (c.baked || c.role === 'topping' || c.role === 'frosting' || c.role === 'filling' || says(c, /\bserv/) || c.verb === 'decorate') &&
        c.verb !== 'sprinkle') ||
      (c.verb === 'sprinkle' && c.baked) ||
      (/^(?:sieve|sift|grate|shave)$/.test(c.verb) &&
        has(c, (id, kind) => kind === 'sugar' || kind === 'cocoa' || id.startsWith('chocolate')) &&
        !flour(c) &&
        (c.baked || c.filled) &&
        says(c, /\b(?:over|on top|on it)\b(?! the (?:rest|whites|mixture|batter|foam|eggs))/)),
  ],
  ['decorate', (c) => /^(?:decorate|garnish)$/.test(c.verb)],
  // "sprinkle with cinnamon": what is already in the tin.
  [
    'decorate',
    (c) =>
      c.cls === 'scatter' &&
      !c.baked &&
      c.filled &&
      has(c, () => true) &&
      !has(c, (_, kind) => !/^(?:sugar|spice|flavour|nut|cocoa|finish)$/.test(kind)) &&
      says(c, /^(?:and |then )?\w+ with\b/),
  ],
  ['fill-tin', (c) => c.cls === 'scatter' && !c.baked && (c.filled || TIN_TARGET.test(c.text)) && !says(c, /\b(?:towel|cloth)\b/)],
  [
    'spread',
    (c) =>
      c.cls === 'spread' &&
      (c.baked || c.role === 'frosting' || c.role === 'filling' || c.role === 'topping') &&
      !says(c, /\b(?:foil|lid|cling|film|wrap|cloth|towel)\b/),
  ],
  [
    'spread',
    (c) =>
      c.verb === 'spread' && c.filled && (c.ids.length > 0 || c.role === 'filling') && says(c, /\bspread (?:it |them )?(?:with|on|over)\b/),
  ],
  [
    'spread',
    (c) =>
      c.baked && /^(?:spoon|pour|ladle|pipe)$/.test(c.verb) && says(c, /\b(?:round|around|along) (?:the |its )?(?:edges?|sides?|rim)\b/),
  ],
  [
    'spread',
    (c) =>
      (c.cls === 'put' || c.verb === 'sandwich' || c.cls === 'other') &&
      (c.baked || c.before === 'spread' || c.before === 'cut') &&
      /^(?:fill|put|spoon|pile|pour|place|press|swirl|lay|smooth|top|sandwich|use)$/.test(c.verb) &&
      (c.role === 'frosting' ||
        c.role === 'filling' ||
        c.role === 'topping' ||
        says(c, /\b(?:jam|cream|icing|frosting|ganache|glaze|buttercream|filling|caramel|curd|custard|compote)\b/)) &&
      (OVER.test(c.text) || c.places.has('cake') || c.verb === 'fill' || says(c, /\b(?:together|between|with)\b/)),
  ],
]
