import { ingredientOf } from '../pantry/pantry'
import type { Role } from '../recipe/recipe'
import { PLACES, VERB_CLASS, type Place, type VerbClass } from './lexicon'
import type { Act } from './step'

/** All that tells what a piece of a sentence means. */
export interface Cues {
  verb: string
  cls: VerbClass | ''
  /** In lower case, without masked words. */
  text: string
  /** Words of doneness, in lower case. */
  sign: string
  ids: readonly string[]
  /** What the bowl holds that it is done with, where the piece names nothing. */
  held: readonly string[]
  places: ReadonlySet<Place>
  minutes: number
  hasHeat: boolean
  /** The first heat, 0 where none. */
  celsius: number
  group: boolean
  /** The role of the part that its things belong to. */
  role: Role | undefined
  /** What was done just before in the same method. */
  before: Act | undefined
  baked: boolean
  filled: boolean
  foamed: boolean
}

const has = (c: Cues, test: (id: string, kind: string) => boolean): boolean => c.ids.some((id) => test(id, ingredientOf(id)?.kind ?? ''))
const holds = (c: Cues, test: (id: string, kind: string) => boolean): boolean => c.held.some((id) => test(id, ingredientOf(id)?.kind ?? ''))
const fat = (c: Cues) => has(c, (id, kind) => kind === 'fat' && !id.startsWith('oil') && !/mayonnaise|ghee/.test(id))
const egg = (c: Cues) => has(c, (id) => /^egg-(?!replacer|liqueur)|aquafaba/.test(id))
const white = (c: Cues) => has(c, (id) => /^egg-white|aquafaba|meringue-powder/.test(id))
const sugar = (c: Cues) => has(c, (_, kind) => kind === 'sugar' || kind === 'sweetener')
const flour = (c: Cues) => has(c, (id, kind) => kind === 'flour' || kind === 'mix' || (kind === 'starch' && !/cornstarch|custard/.test(id)))
const whipping = (c: Cues) => has(c, (id) => /^cream-(?:heavy|double|single)|plant-cream|coconut-cream|whipped-topping/.test(id))
const chocolate = (c: Cues) => has(c, (id) => id.startsWith('chocolate'))
const liquid = (c: Cues) => has(c, (id, kind) => kind === 'water' || /milk|juice/.test(id) || kind === 'plant-dairy')
const leavener = (c: Cues) => has(c, (_, kind) => kind === 'leavener')
const says = (c: Cues, words: RegExp) => words.test(c.text)

/** In what the bowl holds: something made elsewhere. */
export const MIXED = 'mixed'

/** An oven is at least this hot; syrups and custards are told cooler, or with a thermometer. */
const OVEN_LEAST = 140

const AIRY =
  /\b(?:thick|peaks?|ribbon|foam\w*|frothy|doubled?|tripled?|triple|stiff|mousse|voluminous|volume|trail|billowy|mounds|fluffy|pale|light|white|creamy|hook|whitened?|airy|puffy|snow|shiny|glossy)\b/
const PEAKS = /\b(?:peaks?|stiff|snow|foam\w*|frothy|mounds|hook|glossy)\b/
const PALE = /\b(?:pale|fluffy|creamy|light|white|airy|smooth|soft)\b/
const TIN_TARGET =
  /\b(?:the |your |a |an |two |both |three |lined |greased |prepared |buttered )*(?:tins?|pans?|mou?lds?|trays?|cases|dish|springform|sheet|base|sides|paper|bundt|skillet|ring|form|cups|holes|plates?|basin|moulds)\b/
const OVER = /\b(?:over|onto|on top|on to|on the|into the holes|over it|on it|around|on both|on each|on one|all over)\b/

/** An act with the cues that speak for it; the first that holds decides, from the particular to the general. */
type Rule = readonly [act: Act, when: (c: Cues) => boolean]

const RULES: readonly Rule[] = [
  // --- the oven
  ['heat-oven', (c) => c.verb === 'preheat' || /\bpre-?heat\b/.test(c.text)],
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
      c.ids.every((id) => id === 'salt') &&
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
  // --- the tin
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
  ['ready-tin', (c) => /^(?:grease|oil|butter|line|flour)$/.test(c.verb) && c.ids.length === 0 && /^\w+(?: and| ,)*$/.test(c.text.trim())],
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
  // --- heat on the hob
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
  // --- baking
  ['bake', (c) => c.verb === 'bake' && !/\bbake (?:it )?(?:off|beans)\b/.test(c.text)],
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
        says(c, /\b(?:low heat|slow heat|medium heat|oven|flame|lid|cooker|degrees|gas|coals?|charcoal)\b/) ||
        (c.verb === '' && !says(c, /\b(?:rest|fridge|cool|chill|stand)\b/))),
  ],
  [
    'bake',
    (c) =>
      c.verb === 'give' && (c.filled || c.before === 'fold') && !c.baked && c.minutes >= 5 && !c.places.has('fridge') && c.ids.length === 0,
  ],
  // "In the tin, in the oven, 55–60 mins."
  ['bake', (c) => c.verb === '' && c.places.has('oven') && c.minutes >= 5 && c.ids.length === 0 && !says(c, /\b(?:off|out of)\b/)],
  ['bake', (c) => c.minutes > 0 && /(?:^|, )(?:and )?back in\b/.test(c.text)],
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
  // --- cold
  [
    'freeze',
    (c) =>
      c.cls === 'freeze' || (c.places.has('freezer') && (c.cls === 'put' || c.cls === 'wait' || c.cls === 'chill' || c.cls === 'cool')),
  ],
  [
    'chill',
    (c) =>
      c.cls === 'chill' ||
      (c.places.has('fridge') && c.cls !== 'unmould' && !/\b(?:from|out of)\b.{0,12}\b(?:fridge|refrigerator)\b/.test(c.text)),
  ],
  // --- after the bake
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
        /\b(?:turn(?:ed)? (?:it |them |the \w+ |each |\w+ )?(?:out|over|upside)|turn (?:it |them |the \w+ |hot \w+ )*(?:out )?(?:onto|on to)|turn out|tip (?:it |them )?out|pop (?:off )?the ring|out of the tin|out of the pan|out onto|onto a (?:wire |cooling )?rack|on to a rack|from the (?:tin|pan)|out of (?:its|their) (?:tins?|pans?)|upside down)\b/,
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
      says(c, /\b(?:cools?|cooling|cold|lukewarm|tepid|cooled)\b/) &&
      (c.cls === 'wait' || c.cls === 'put' || c.verb === '' || c.cls === 'unmould') &&
      !says(c, /\bcold (?:water|milk|butter|cakes?|cream|layers?)\b/) &&
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
      !OVER.test(c.text),
  ],
  // What raises, or flour in quantity, is sprinkled into a mix and never on a cake.
  ['mix', (c) => (c.cls === 'scatter' || c.cls === 'put') && (leavener(c) || egg(c)) && !c.filled],
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
  // --- mixing
  [
    'rub-in',
    (c) =>
      (c.cls === 'rub' &&
        !says(c, /\b(?:sieve|strainer|muslin)\b/) &&
        !(has(c, (id) => id === 'zest' || id === 'vanilla-extract') && !flour(c))) ||
      (flour(c) && fat(c) && /\b(?:crumb\w*|sandy|breadcrumbs|meal|pea-?size\w*)\b/.test(`${c.text} ${c.sign}`) && c.cls !== 'scatter') ||
      (c.verb === 'cut' && (fat(c) || says(c, /\bpastry (?:blender|cutter)|cut in\b/))),
  ],
  [
    'strain',
    (c) =>
      (c.cls === 'strain' &&
        !(c.verb !== 'strain' && (flour(c) || c.group || leavener(c) || has(c, (_, kind) => kind === 'cocoa' || kind === 'sugar'))) &&
        c.verb !== 'drain') ||
      (/^(?:pass|rub|push|press|pour)$/.test(c.verb) && says(c, /\bsieve|strainer|muslin\b/) && !flour(c)),
  ],
  ['soften', (c) => c.cls === 'soften' || says(c, /\b(?:to (?:reach |come to )?room temp\w*|to soften)\b/)],
  ['fold', (c) => c.verb === 'fold'],
  [
    'fold',
    (c) =>
      (c.cls === 'fold' || /^(?:lift|pull|turn|stir)$/.test(c.verb)) &&
      !c.baked &&
      says(c, /\b(?:in last|under|through (?:it )?(?:by|with))\b/),
  ],
  ['fold', (c) => /^(?:heave|lift|draw)$/.test(c.verb) && !c.baked && (egg(c) || (c.verb === 'heave' && flour(c))) && says(c, /\bin\b/)],
  ['mix', (c) => (c.cls === 'fold' || c.cls === 'rub') && !c.baked],
  ['fold', (c) => /^(?:sift|sieve|add|stir|mix)$/.test(c.verb) && flour(c) && c.foamed && says(c, /\bover|fold/)],
  [
    'foam',
    (c) =>
      c.cls === 'whip' &&
      white(c) &&
      !flour(c) &&
      !fat(c) &&
      (PEAKS.test(`${c.text} ${c.sign}`) ||
        c.verb === 'whip' ||
        c.minutes >= 2 ||
        sugar(c) ||
        c.ids.every((id) => /egg-white|cream-of-tartar|salt|lemon-juice|vinegar|aquafaba/.test(id))),
  ],
  [
    'foam',
    (c) => c.cls === 'whip' && egg(c) && !flour(c) && !fat(c) && c.verb !== 'work' && (AIRY.test(`${c.text} ${c.sign}`) || c.minutes >= 3),
  ],
  [
    'foam',
    (c) =>
      c.cls === 'whip' &&
      egg(c) &&
      sugar(c) &&
      !flour(c) &&
      !fat(c) &&
      !liquid(c) &&
      c.verb !== 'work' &&
      !has(c, (id) => /starch|custard|oil|cheese/.test(id)) &&
      c.verb !== 'mix' &&
      (c.verb === 'whip' || c.verb === 'beat' || c.verb === 'whisk') &&
      !c.places.has('hob') &&
      c.ids.length <= 4 &&
      !says(c, /\bjust|combined|smooth\b/),
  ],
  ['foam', (c) => c.cls === 'whip' && whipping(c) && !flour(c) && !egg(c) && !has(c, (id) => /cheese|starch/.test(id)) && !fat(c)],
  [
    'foam',
    (c) =>
      c.cls === 'whip' &&
      c.ids.length === 0 &&
      c.before !== 'cream' &&
      (/\b(?:tripled?|triple|ribbon|trail)\b/.test(`${c.text} ${c.sign}`) ||
        (c.foamed && /\b(?:peaks?|stiff|glossy|meringue)\b/.test(`${c.text} ${c.sign}`))),
  ],
  ['foam', (c) => c.cls === 'whip' && c.ids.length === 0 && c.before === 'foam'],
  [
    'foam',
    (c) => c.before === 'foam' && (c.verb === 'keep' || c.verb === 'continue') && says(c, /\b(?:going|beating|whisking|whipping)\b/),
  ],
  [
    'foam',
    (c) =>
      c.cls === 'whip' &&
      c.ids.length === 0 &&
      holds(c, (id) => /^egg-(?!replacer|liqueur)|aquafaba/.test(id)) &&
      holds(c, (_, kind) => kind === 'sugar') &&
      !holds(c, (id, kind) => kind === 'flour' || kind === 'fat' || id === MIXED || /milk|juice|starch/.test(id)),
  ],
  [
    'foam',
    (c) => (c.verb === 'add' || c.verb === 'mix') && c.before === 'foam' && sugar(c) && !flour(c) && PEAKS.test(`${c.text} ${c.sign}`),
  ],
  [
    'foam',
    (c) =>
      /^(?:stir|mix|work)$/.test(c.verb) &&
      egg(c) &&
      sugar(c) &&
      !flour(c) &&
      !fat(c) &&
      AIRY.test(`${c.text} ${c.sign}`) &&
      !c.places.has('hob'),
  ],
  ['foam', (c) => c.verb === 'mix' && egg(c) && sugar(c) && !flour(c) && !fat(c) && (c.minutes >= 3 || PEAKS.test(c.sign))],
  ['cream', (c) => c.verb === 'cream' && !flour(c)],
  ['mix', (c) => c.cls === 'whip' && says(c, /\b(?:whisk|beat|stir) in\b/) && /^(?:simmer|melt|strain|infuse)$/.test(c.before ?? '')],
  ['cream', (c) => c.cls === 'whip' && fat(c) && !flour(c) && !liquid(c)],
  ['cream', (c) => c.cls === 'whip' && c.before === 'soften' && sugar(c) && holds(c, (_, kind) => kind === 'fat') && !flour(c) && !egg(c)],
  [
    'cream',
    (c) =>
      c.cls === 'whip' &&
      c.ids.length === 0 &&
      c.minutes >= 2 &&
      holds(c, (_, kind) => kind === 'fat') &&
      !holds(c, (id, kind) => kind === 'flour' || id.startsWith('egg')),
  ],
  [
    'cream',
    (c) =>
      /^(?:stir|mix|blend|combine|make)$/.test(c.verb) &&
      fat(c) &&
      sugar(c) &&
      !flour(c) &&
      !egg(c) &&
      !liquid(c) &&
      PALE.test(`${c.text} ${c.sign}`),
  ],
  ['cream', (c) => c.cls === 'whip' && c.ids.length === 0 && c.before === 'cream' && PALE.test(`${c.text} ${c.sign}`)],
  ['mix', (c) => /^(?:finish|end|start|begin)$/.test(c.verb) && c.ids.length > 0 && !c.baked && !c.filled],
  ['cut', (c) => c.verb === 'level' && c.baked],
  ['mix', (c) => c.cls === 'put' && c.ids.length > 0 && c.group],
  // "Pour in the hot butter mixture": one mixture goes to another, into the bowl.
  [
    'mix',
    (c) =>
      /^(?:pour|add|tip|scrape)$/.test(c.verb) &&
      !c.filled &&
      !c.baked &&
      says(
        c,
        /^(?:pour|add|tip|scrape) in (?:the )?(?:\w+ ){0,2}(?:butter|oil|milk|cream|egg|yolk|chocolate|wet|liquid|hot|warm|sugar|syrup) mixture\b/,
      ),
  ],
  // "Pour half in, beat a minute, add the rest": into the bowl.
  [
    'mix',
    (c) => c.cls === 'put' && !c.baked && !c.filled && says(c, /^\w+ (?:half|a third|a quarter|some|a little|most)(?: of it)? in\W*$/),
  ],
  // "Make three holes: put vinegar in one, vanilla in another"
  [
    'mix',
    (c) =>
      c.cls === 'put' &&
      c.ids.length > 0 &&
      !c.baked &&
      says(c, /\bin(?:to)? (?:one|another|the (?:first|second|third|other|last))\b(?! (?:tin|pan|layer|half|bowl|batter))/),
  ],
  // --- into the tin
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
      /^(?:drop|dollop|scoop|spoon|scrape)$/.test(c.verb) && says(c, /\b(?:batter|dough|mixture)\b/) && !c.baked && !says(c, /\bbowl\b/),
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
      !says(c, /\b(?:into the (?:mixture|flour|milk|bowl|yolks|eggs|well)|bowl|syrup over|on the (?:flour|mixture))\b/),
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
  // --- waiting
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
  // --- all that is left
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

/** Names what a piece does. */
export function actOf(c: Cues): Act {
  return RULES.find(([, when]) => when(c))?.[0] ?? 'other'
}

export function placesIn(text: string): Set<Place> {
  const found = new Set<Place>()
  for (const [place, words] of Object.entries(PLACES) as [Place, RegExp][]) if (words.test(text)) found.add(place)
  return found
}

export const classOf = (verb: string): VerbClass | '' => VERB_CLASS[verb] ?? ''
