import type { Material, Tin, TinShape } from '../measure/tin'
import { dialsIn, type Dial, type Size } from './dial'
import { valueAt } from './number'
import { capacityIn, holding, lowWallIn, SORTS, vesselsIn } from './tin-sorts'
import { tokenise, wordsBetween, type Token } from './token'

const INCH = 25.4

/** A tin that a text names, and how likely the cake is baked in it. */
export interface TinMention {
  tin: Tin
  score: number
  /** No size was said: the usual one is taken. */
  assumed: boolean
}

/** Words that name a shape, the particular before the general. */
const SHAPE_WORDS: readonly (readonly [TinShape, RegExp])[] = [
  ['fluted', /\b(?:bundt|gugelhupf|gugelhopf|kugelhopf|kugelhupf|fluted|turban)\b/i],
  [
    'ring',
    /\b(?:ring (?:tin|pan|mou?ld)|ring|savarin|tube (?:pan|tin)|tube|angel (?:food )?(?:cake )?(?:pan|tin)|chimney|hole in the (?:middle|centre|center)|funnel)\b/i,
  ],
  [
    'cupcake',
    /\b(?:muffins?|cup-?cakes?|patty|bun tin|fairy cakes?|paper (?:cases|liners|cups|capsules)|madeleines?|magdalenas?|friands?|financiers?|idli|cases|liners|capsules)\b/i,
  ],
  ['loaf', /\b(?:loaf|loaves|\d ?-?(?:lb|pound) (?:tins?|pans?)|bread (?:pan|tin)|box tin|long (?:one|tin)|the long|cake form \(long)\b/i],
  ['square', /\b(?:square|sq\b\.?|brownie (?:pan|tin))/i],
  ['sheet', /\b(?:jelly[- ]?roll|swiss[- ]?roll|sheet pan|baking sheet|baking tray|half sheet|oven tray|rimmed|roll tin|sheet)\b/i],
  ['rect', /\b(?:rectang\w*|slice (?:tin|pan)|lamington|traybake|oblong|tray|lasagne|roasting pan)\b/i],
  ['crepe', /\b(?:cr[eê]pe (?:pan)?|crêpes?|crepe|pancake pan)\b/i],
  ['bowl', /\b(?:mugs?|basin|pudding bowl|pudding mou?ld)\b/i],
  [
    'round',
    /\b(?:round|springform|spring[- ]?form|sandwich (?:tins?|pans?)|layer(?: cake)? (?:pans?|tins?)|layers|loose[- ](?:bottom|base)\w*|hinged?\w*|deep cake|cake (?:tins?|pans?|mou?lds?|form)|ramekins?|flan dish|pie (?:dish|plate)|victoria|kadai|cooker|casserole|diameter|tart (?:tin|pan)|skillet|pot|dutch oven|sufuria|dabba|tiffin)\b|[Øø]/i,
  ],
]
const TIN_WORDS =
  /\b(?:tins?|pans?|mou?lds?|trays?|dish(?:es)?|springform|spring[- ]?form|sheet|skillet|bundt|ramekins?|mugs?|plate|basin|pudding bowl|tube|ring|cases|liners|papers|form|forms|gugelhupf|cooker|kadai|casserole|capsules|loaf|rounds?|squares?|layers?|madeleines?|friands?|savarin|cup-?cakes?|muffins?|kilo)\b|[Øø]/i
/** What holds water, or is cooked on the hob, bakes no cake. */
const NO_CAKE = /\b(?:roasting|saucepan|water|frying|large pan|small pan|heavy pan|same pan)\b/i
const PREPARES =
  /\b(?:grease[sd]?|greasing|line[ds]?|butter(?:ed)?|flour(?:ed)?|pour|spread|scrape|spray|bake|tip|turn|tin:|pan:|divide|oil(?:ed)?|prepare|spoon)\b/i

const MATERIALS: readonly (readonly [Material, RegExp])[] = [
  ['glass', /\bglass\b/i],
  ['silicone', /\bsilicone\b/i],
  ['ceramic', /\b(?:ceramic|porcelain|stoneware|earthenware)\b/i],
  ['dark', /\b(?:dark|non-?stick|cast[- ]iron|skillet)\b/i],
]
const LOOSE = /\b(?:spring[- ]?form|loose[- ](?:bottom|base)\w*|removable (?:bottom|base))\b/i

/** Loaf tins sold by the weight of cake they hold: usual inside sizes, mm (British tin makers' 1 lb and 2 lb). */
const SMALL_LOAF = { length: 150, width: 90, height: 70 }
const LARGE_LOAF = { length: 210, width: 110, height: 70 }
/** Loaf tins under this weight, g, are the small ones. */
const LARGE_LOAF_GRAMS = 700
/** A tin called "half kilo" is a 15 cm round, 7.5 cm deep: what it bakes, filled, weighs about that. Larger ones by area. */
const HALF_KILO_MM = 150
/** The usual sizes where none is said: 20 cm round and square, 23 × 33 cm, 2 lb loaf, 24 cm ring. */
const USUAL: Readonly<Record<TinShape, Tin['mm']>> = {
  round: { diameter: 200, height: 50 },
  square: { width: 200, length: 200, height: 50 },
  rect: { width: 229, length: 330, height: 50 },
  loaf: LARGE_LOAF,
  ring: { diameter: 240, height: 90 },
  fluted: { diameter: 240, height: 90 },
  cupcake: { diameter: 50, height: 35 },
  sheet: { width: 250, length: 380, height: 25 },
  crepe: { diameter: 240, height: 2 },
  bowl: { diameter: 160, height: 90 },
}
/** A mug of 300 ml. */
const MUG = { diameter: 80, height: 90 }
/** What two sides are, where no word says it. */
function shapeOfSides(sides: readonly number[]): TinShape {
  const [a, b] = [Math.min(...sides.slice(0, 2)), Math.max(...sides.slice(0, 2))]
  if (b / a < 1.08) return 'square'
  // A short second side is a depth: "23 x 5 cm round".
  if (a <= 107 && b >= 150 && b <= 280 && b / a > 2.4) return 'round'
  if (a <= 5.6 * INCH && b <= 14 * INCH) return 'loaf'
  return a >= 9.6 * INCH && b >= 14.5 * INCH ? 'sheet' : 'rect'
}

function mmOf(shape: TinShape, size: Size): Tin['mm'] {
  const [first, second, third] = size.sides.map(Math.round)
  if (second === undefined) {
    if (shape === 'square') return { width: first!, length: first!, height: 50 }
    if (shape === 'rect' || shape === 'sheet' || shape === 'loaf') return { ...USUAL[shape], length: first! }
    return { diameter: first!, height: shape === 'round' ? (first! >= 220 ? 60 : 50) : shape === 'crepe' ? 2 : 90 }
  }
  const [a, b] = [Math.min(first!, second), Math.max(first!, second)]
  if (shape === 'round' || shape === 'ring' || shape === 'fluted' || shape === 'bowl')
    return { diameter: b, height: a < b * 0.7 ? a : (third ?? (shape === 'round' ? 50 : 90)) }
  return { width: a, length: b, height: third ?? (shape === 'loaf' ? 65 : shape === 'sheet' ? 25 : 50) }
}

/** Kilograms of cake that a tin is named by: "half-kilo tin", "900 g loaf", "2 lb tin". */
function kilosIn(text: string): number | undefined {
  if (/half[\s-]*(?:a\s+)?kilo|half[\s-]*kg|½\s*kg/i.test(text)) return 0.5
  const weight = /(\d+(?:[.,]\d+)?|one|two)[\s-]*(kg|kilos?|g|lb|pound)\b/i.exec(text)
  if (!weight) return undefined
  const n = { one: 1, two: 2 }[weight[1]!.toLowerCase()] ?? Number(weight[1]!.replace(',', '.'))
  const unit = weight[2]!.toLowerCase()
  const kilos = unit === 'g' ? n / 1000 : unit === 'lb' || unit === 'pound' ? n * 0.4536 : n
  return kilos >= 0.2 && kilos <= 5 ? kilos : undefined
}

const COUNT_NOUN =
  /^(?:tins?|pans?|mou?lds?|sandwich|layers?|loaf|loaves|rounds?|trays?|springforms?|cakes?|squares?|ramekins?|mugs?|dish(?:es)?|cases|forms?)$/
/** Between a count and its tin stand words that describe it, at most so many. */
const DESCRIBED = 7

/** How many of them: "two greased 20 cm tins", "20 cm round x2", "2 x 8 inch". */
function countIn(t: readonly Token[], sizes: readonly Size[], dials: readonly Dial[]): number {
  const times = t.findIndex(
    (x, i) =>
      /^[x×]$/.test(x.word) &&
      t[i + 1]?.kind === 'number' &&
      t[i + 1]!.value! <= 12 &&
      !sizes.some((s) => i > s.from && i < s.to) &&
      (i + 2 >= t.length || !/^(?:\d|cm|in|inch|mm|x|")/.test(t[i + 2]!.word)),
  )
  if (times > 0 && t[times + 1]!.value! <= 12 && t.length - times <= 3) return t[times + 1]!.value!
  for (let i = 0; i < t.length; i++) {
    if (dials.some((d) => i >= d.from && i < d.to)) continue
    const n = valueAt(t, i)
    if (!n || n.article || !Number.isInteger(n.value) || n.value < 2 || n.value > 12) continue
    const after = t[n.next]
    if (
      !after ||
      /^(?:lb|pound|kg|serves|pan|time|line|,|\/|litre|l|inch|cm|mm|cup|hole|minutes?|hours?|mins?|tbsp|tsp|g|%|°|-)$/.test(after.word) ||
      after.text === '"'
    )
      continue
    // "press 2/3 into a tin" counts no tins.
    if (t[i - 1]?.text === '/') continue
    const crossed = /^[x×]$/.test(after.word)
    for (let j = n.next + (crossed ? 1 : 0), seen = 0; j < t.length && seen <= DESCRIBED; j++) {
      if (/^[.;]$/.test(t[j]!.text) || /^(?:an?|the|your)$/.test(t[j]!.word)) break
      const size = sizes.find((s) => s.from === j)
      if (size) {
        j = size.to - 1
        if (crossed) return n.value
        continue
      }
      if (COUNT_NOUN.test(t[j]!.word)) {
        // "two layers of paper", "3 cakes" are no tins unless a tin is what is counted.
        if (/^(?:layers?|cakes?|rounds?)$/.test(t[j]!.word) && !sizes.length && !/tins?|pans?/.test(wordsBetween(t, j, j + 2))) break
        return n.value
      }
      seen++
    }
  }
  return t.some((x) => x.word === 'both') && /\b(?:both|two) (?:tins|pans)\b/.test(wordsBetween(t, 0, t.length)) ? 2 : 1
}

/** "12-hole muffin tin", "12 cupcakes", "24 paper cases"; a dozen where none is said. */
function holesIn(t: readonly Token[]): number | undefined {
  let trays = 1
  const times = t.findIndex(
    (x, i) =>
      /^[x×]$/.test(x.word) &&
      t[i + 1]?.kind === 'number' &&
      t[i + 1]!.value! <= 6 &&
      /^(?:tins?|pans?|trays?|sheets?)$/.test(t[i - 1]?.word ?? ''),
  )
  if (times > 0) trays = t[times + 1]!.value!
  for (let i = 0; i < t.length; i++) {
    const n = valueAt(t, i)
    if (!n || n.article || !Number.isInteger(n.value) || n.value < 2 || n.value > 60) continue
    const after = wordsBetween(t, n.next, n.next + 4)
    // "two muffin pans with 18 liners": what is counted are trays.
    // So are those of "2 x 12 hole trays".
    if (n.value <= 6 && /^[x×] \d+ (?:- )?(?:hole|cup)/.test(after)) {
      trays = n.value
      i = n.next
      continue
    }
    if (n.value <= 4 && TRAYS.test(after)) {
      trays = n.value
      continue
    }
    if (
      /^(?:- )?(?:x )?(?:small |large |mini |standard |regular |paper |deep )*(?:cup|hole|case|standard|liner|muffin|cup-?cake|paper|magdalena|patty|capsule|bun|fairy|piece|mini)/.test(
        after,
      )
    )
      // "a 12-hole tin ×2", "two 12-hole tins"; liners are counted all together.
      return n.value * (/^(?:- )?(?:cup|hole)/.test(after) ? trays : 1)
  }
  return trays > 1 ? trays * 12 : undefined
}
const TRAYS = /^(?:\w+ )?(?:muffin|cup-?cake|patty|bun|fairy cake) (?:tins?|pans?|trays?|sheets?)/

/** Nothing narrower is a tin, mm: it is a depth, a border or a thickness. */
const LEAST_ACROSS = 95
const DEEP = /^(?:deep|high|tall|in depth|sides)\b/

/** "Six moulds, stood on a baking sheet": what tins stand on is no tin. */
const standing = (text: string): string => {
  // "A big sheet of baking paper" lines the tin.
  const sentence = text.replace(/\b(?:sheets?|squares?|rounds?|rings?|circles?) of (?:\w+ )?(?:paper|parchment|foil|card)\b/gi, 'paper')
  return /\b(?:mou?lds?|basins?|ramekins?|tins|cups|rings?)\b/i.test(sentence)
    ? sentence.replace(/\b(?:up)?on(?:to)? (?:a|the|one) (?:\w+ )?(?:baking |oven )?(?:sheet|tray)\b/gi, '')
    : sentence
}

/** "Grease a 20 cm sufuria": what is greased and has a size is baked in, whatever it is called. */
const READIED = /\b(?:grease|butter|oil|line)s?(?: and \p{L}+)? (?:an?|your|the|two|one) \d/iu

/** The tin that one sentence names. */
function tinOf(written: string): TinMention | undefined {
  // "a 28er tin" is one of 28 cm.
  const sentence = standing(written.replace(/\b([1-3]\d)er\b/gi, '$1 cm'))
  const t = tokenise(sentence)
  const dials = dialsIn(t)
  const sized = dials.filter((d): d is Size => d.kind === 'size')
  const sizes = sized.filter((d) => Math.max(...d.sides) >= LEAST_ACROSS)
  const long = sizes.find((s) => s.sides.length >= 2 && Math.max(...s.sides) >= 100)
  const size = long ?? sizes[0]
  const named = TIN_WORDS.test(sentence) || (size !== undefined && READIED.test(sentence))
  const round = size !== undefined && /\b(?:square|round|loaf|bundt|springform|sq|layers|sheet|fluted|ring|crepe|crêpe)\b/i.test(sentence)
  if (!named && !long && !round) return undefined
  // "Roll out to a 30 cm round"
  if (/^(?:roll|cut|pat|press|shape)\b/i.test(sentence) && !/\b(?:tins?|pans?|mou?lds?|dish|springform|sheet|tray)\b/i.test(sentence))
    return undefined
  if (
    NO_CAKE.test(sentence) &&
    !(long && !/water/i.test(sentence)) &&
    !/\b(?:cake|loaf|springform|round|square|bundt|muffin|sandwich|9 ?x ?13)\b/i.test(sentence)
  )
    return undefined
  let shape: TinShape | undefined
  let score = 0
  const worded = SHAPE_WORDS.find(([, words]) => words.test(sentence))
  if (worded) {
    shape = worded[0]
    score = shape === 'round' ? 1.5 : 1.8
  }
  // "a 9x13 or bundt": the first that is named.
  if (long && (shape === 'fluted' || shape === 'ring') && Math.min(...long.sides.slice(0, 2)) > 0.6 * Math.max(...long.sides.slice(0, 2)))
    shape = undefined
  if (long && !['loaf', 'fluted', 'ring', 'cupcake', 'bowl'].includes(shape ?? '')) {
    const bySides = shapeOfSides(long.sides)
    const asRound = shape === 'round' && (bySides === 'round' || Math.min(...long.sides) < 4.6 * INCH)
    if (!asRound && !(bySides === 'round' && shape)) shape = shape === 'sheet' ? 'sheet' : bySides
    score += 1.5
  }
  const kilos = size ? undefined : kilosIn(sentence)
  if (!shape && (size ?? kilos)) {
    shape = 'round'
    score = 1
  }
  // "A 1.5-litre ovenproof dish": flat and four-cornered, as most are.
  if (!shape && capacityIn(sentence) !== undefined && /\bdish\b/i.test(sentence)) {
    shape = 'rect'
    score = 1
  }
  const prepares = PREPARES.test(sentence)
  let assumed = !size && !kilos
  if (!shape) {
    if (!(prepares && /\b(?:tins?|pans?|mou?lds?)\b/i.test(sentence))) return undefined
    shape = 'round'
    score = 0.2
  }
  if (size) score += 1
  if (prepares) score += 0.7
  if (/\b(?:saucepan|frying pan|cooling)\b/i.test(sentence) && !size) score -= 1
  const sort = size ? undefined : SORTS.find((x) => x.words.test(sentence))
  if (sort) shape = sort.shape
  let mm = size ? mmOf(shape, size) : /\bmugs?\b/i.test(sentence) ? MUG : (sort?.mm ?? USUAL[shape])
  if (shape === 'loaf' && kilos) mm = kilos * 1000 < LARGE_LOAF_GRAMS ? SMALL_LOAF : LARGE_LOAF
  else if (kilos && (shape === 'round' || shape === 'square')) {
    const across = Math.round(HALF_KILO_MM * Math.sqrt(kilos / 0.5))
    mm =
      shape === 'square'
        ? { width: Math.round(across * 0.9), length: Math.round(across * 0.9), height: 75 }
        : { diameter: across, height: 75 }
  }
  let count = countIn(t, sizes, dials)
  if (shape === 'cupcake') {
    const holes = vesselsIn(sentence) ?? holesIn(t)
    count = holes ?? 12
    if (holes) assumed = false
    mm = sort?.mm ?? USUAL.cupcake
  }
  const ml = size || kilos ? undefined : capacityIn(sentence)
  if (ml && shape === 'cupcake' && (vesselsIn(sentence) !== undefined || /\bholes?\s*\(/i.test(sentence))) mm = holding(shape, mm, ml)
  if (ml && shape !== 'cupcake') {
    mm = holding(shape, mm, ml)
    assumed = false
    if (shape !== 'round' && shape !== 'loaf') count = 1
    count = vesselsIn(sentence) ?? count
  } else if (sort) assumed = false
  const depth = sized.find((d) => DEEP.test(wordsBetween(t, d.to, d.to + 2)))?.sides[0] ?? (size && lowWallIn(sentence))
  if (depth && shape !== 'cupcake') mm = { ...mm, height: Math.round(depth) }
  const material = MATERIALS.find(([, words]) => words.test(sentence))?.[0] ?? sort?.material
  return {
    tin: { text: written.trim(), shape, mm, count, ...(material && { material }), ...(LOOSE.test(sentence) && { loose: true }) },
    score,
    assumed,
  }
}

/** What the same size is in other units: "20cm/8in", "20 cm (8 inch)". */
const OTHERWISE =
  /(?<=\d\s*(?:cm|mm|in|inch|")?)\s*\/\s*\d+(?:[.,]\d+)?\s*(?:-?\s*in(?:ch(?:es)?)?\b|cm\b|["”″])|\((?:about |approx\.? |ca\.? )?\d[^)a-z]*(?:cm|mm|in(?:ch(?:es)?)?|["”″])[^)]*\)/gi
const SENTENCE_END = /(?<=[.;!?])\s+(?=[A-Z\d])|\n/

/** Where the words for a tin begin: behind the verb and what is poured. */
const BEFORE_TIN =
  /^.*\b(?:into|onto|in|on|over|between|among|grease|butter|line|flour|oil|dust|prepare|spray|ready|use|using|take|out|to|and)\s+(?=(?:the |a |an |your |two |three |four |\d|greased|lined|buttered|deep|round|square|loaf|bundt|large|prepared|well|non))/i
/** The words of a sentence that are of its tin: "two lined 20 cm tins", not what is done with them. */
function phraseIn(sentence: string): string {
  const end = /\b(?:tins?|pans?|mou?lds?|trays?|dish(?:es)?|cases|form|springforms?|bundts?|skillet|cups|sufuria)\b/i.exec(sentence)
  if (!end || !/\d/.test(sentence) || sentence.length < 28) return sentence
  const tail = /^(?:(?! (?:and|with|for|until|then) )[^,;.]){0,40}/.exec(sentence.slice(end.index + end[0].length))?.[0] ?? ''
  const sized = /\d/.test(sentence.slice(0, end.index))
  const upTo = sentence.slice(0, end.index + end[0].length) + (sized ? '' : tail)
  const short = upTo
    .replace(/^.*\((?=[^)]*$)/, '')
    .replace(BEFORE_TIN, '')
    .replace(/^(?:a|an|the|your)\s+/i, '')
  return short.length < sentence.length && /\d/.test(short) ? short.trim() : sentence
}

/**
 * The tins that texts name, in the order of how likely the cake is baked in them.
 *
 * @param texts steps, headings and other lines, in order
 */
export function tinsIn(texts: readonly string[]): TinMention[] {
  const found: TinMention[] = []
  for (const text of texts)
    for (const sentence of text.split(SENTENCE_END)) {
      const once = sentence.replace(OTHERWISE, ' ').replace(/\s+/g, ' ')
      // A bracket that holds the only size is no second unit.
      const hit = tinOf(/\d/.test(once) || !/\d/.test(sentence) ? once : sentence)
      if (hit)
        found.push({
          ...hit,
          score: hit.score - found.length * 0.12,
          tin: {
            ...hit.tin,
            text: phraseIn(sentence.replace(/^\W*(?:tins?|pans?|moulds?|molds?)\s*:\s*/i, '').trim()).slice(0, 200),
          },
        })
    }
  return found.sort((a, b) => b.score - a.score)
}

/**
 * Reads a tin as bakers write it: `20 cm round x2`, `9x13 in`, `12 cupcakes`, `900 g loaf`, `two 9 in layers`.
 *
 * @returns the tin with sizes in mm, or `undefined` where no shape or size is said
 */
export function readTin(text: string): Tin | undefined {
  const hit = tinOf(text.replace(OTHERWISE, ' '))
  if (!hit || (hit.assumed && !SHAPE_WORDS.some(([s, words]) => s !== 'round' && words.test(text)))) return undefined
  return { ...hit.tin, text: text.trim() }
}
