import {
  MIXED,
  has,
  holds,
  fat,
  egg,
  white,
  sugar,
  flour,
  whipping,
  liquid,
  leavener,
  says,
  AIRY,
  PEAKS,
  PALE,
  TIN_TARGET,
  type Rule,
} from './cues'

/** Things come together: rubbed, strained, softened, folded, whipped, creamed, mixed. */
export const MIXING: readonly Rule[] = [
  [
    'rub-in',
    (c) =>
      (c.cls === 'rub' &&
        !says(c, /\b(?:sieve|strainer|muslin)\b/) &&
        !(has(c, (id) => id === 'zest' || id === 'vanilla-extract') && !flour(c))) ||
      ((flour(c) || c.group) &&
        fat(c) &&
        /\b(?:crumb\w*|sandy|breadcrumbs|meal|peas?)\b/.test(`${c.text} ${c.sign}`) &&
        c.cls !== 'scatter') ||
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
  // "Pour the yolk mixture over the whites, folding": one goes to the other, in the bowl.
  ['fold', (c) => c.cls === 'put' && !c.filled && !c.baked && says(c, /\bfold(?:ing|ed)?\b/) && !TIN_TARGET.test(c.text)],
  [
    'mix',
    (c) =>
      c.cls === 'put' &&
      !c.filled &&
      !c.baked &&
      says(
        c,
        /\b(?:over|into|onto|to|on) (?:the |your )?(?:\w+ )?(?:whites|yolks|meringue|foam|flour|eggs?|sugar|(?:dry|wet|egg|yolk|flour|butter|chocolate) (?:ingredients|mixture|mix))\b/,
      ),
  ],
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
  // "Dry in 3, wet in 2": by turns.
  ['mix', (c) => c.verb === '' && !c.filled && says(c, /\b(?:dry|wet|flour|milk|liquid)s? in (?:two|three|four|[234]|thirds|halves)\b/)],
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
  // "Make a well, pour in the jug": what the jug holds.
  [
    'mix',
    (c) =>
      c.cls === 'put' &&
      c.ids.length === 0 &&
      !c.filled &&
      !c.baked &&
      says(c, /^(?:and |then )?\w+ in (?:the |that )?(?:jug|bowl|wet|liquid|contents)\b/),
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
]
