import type { Alternate, Group } from '../language/group'
import { HEAPED } from '../language/lexicon'
import type { Measure } from '../language/measure'
import type { Token } from '../language/token'
import type { EggSize, Region } from '../measure/region'
import { unitSize } from '../measure/unit'
import { density, packageGrams, pieceGrams } from '../pantry/pantry'
import type { Filling, Ingredient } from '../pantry/ingredient'
import type { Grams } from './recipe'

/** What the measuring itself leaves open, as shares below and above (see `docs/model.md`, uncertainty). */
const SPREAD = {
  mass: [0.01, 0.01],
  volume: [0.05, 0.05],
  powder: [0.08, 0.13],
  spoon: [0.1, 0.1],
  piece: [0.08, 0.08],
  package: [0.12, 0.12],
} as const
type Spread = readonly [below: number, above: number]

/** Nobody knows what it is: between a powder's density and water's. */
const UNKNOWN_DENSITY = 0.8
/** A heaped spoon holds about half as much again, a scant one a fourteenth less (bench practice). */
const HEAPED_FACTOR = 1.4
const SCANT_FACTOR = 0.93
/** Flakes and coarse crystals of salt lie loosely: 3 to 4 g a teaspoon, where fine salt has 6 (kitchen weighings). */
const COARSE_SALT = 0.6
const COARSE = ['kosher', 'flaky', 'flake', 'coarse', 'fleur']
/** The pot of yogurt that measures all else in a yogurt cake holds an eighth of a litre. */
const POT_ML = 125
/** The glass of Central and Eastern European recipes, full to the brim. */
const EU_GLASS_ML = 250
/** One ounce: a square of baking chocolate in an American kitchen. */
const CHOCOLATE_SQUARE_GRAMS = 28.35
/** A leaf of gelatine (gold), a sprig or thread of a herb or spice, a slice of fruit. */
const LEAF_GRAMS = 2
const SLICE_GRAMS = 45

/** Grams of one whole spice, by the word that names it: kitchen weighings of dry spices. */
const WHOLE_SPICES: readonly [word: string, grams: number][] = [
  ['clove', 0.1],
  ['laung', 0.1],
  ['stick', 3],
  ['cinnamon', 3],
  ['pod', 0.25],
  ['cardamom', 0.25],
  ['elaichi', 0.25],
  ['ilaichi', 0.25],
  ['nutmeg', 5],
  ['jaiphal', 5],
  ['anise', 0.7],
  ['strand', 0.03],
]

export interface Weighing {
  grams: Grams
  /** The measure that decided. */
  by: Measure
  /** The size of a package was assumed. */
  assumedPackage: boolean
  /** There is no way to weigh it: a count of something that has no usual piece. */
  unweighable: boolean
}

/** What surrounds the amounts of one item. */
export interface Weighed {
  tokens: readonly Token[]
  /** Stems of the item's own words. */
  words: ReadonlySet<string>
  ingredient: Ingredient | null
  region: Region
  /** ml of cups, glasses and mugs that the page defines itself, by unit. */
  vessels?: ReadonlyMap<string, number>
}

function fillingOf(ingredient: Ingredient, manner: readonly string[], { words, tokens }: Weighed, m: Measure): Filling | undefined {
  const g = ingredient.gramsPerMl
  const said = (...list: string[]) => list.some((w) => manner.includes(w) || words.has(w))
  if (said('loosely', 'loose') && g.spooned) return 'spooned'
  if (said('packed') && g.packed) return 'packed'
  // "1 cup sifted flour" is sifted into the cup; "1 cup flour, sifted" is not.
  const next = tokens.slice(m.to, m.to + 3).map((t) => t.word)
  if (g.sifted && (next[0] === 'sifted' || next[0] === 'sieved' || manner.includes('sifted') || (next[0] === 'of' && next[1] === 'sifted')))
    return 'sifted'
  if (said('scooped') && g.scooped) return 'scooped'
  return undefined
}

export function sizeWord(words: ReadonlySet<string>): EggSize | undefined {
  if ((words.has('extra') && words.has('large')) || words.has('xl')) return 'extra-large'
  if (words.has('jumbo')) return 'jumbo'
  if (['large', 'l', 'lg', 'lge', 'big'].some((w) => words.has(w))) return 'large'
  if (words.has('small') || words.has('s')) return 'small'
  return words.has('medium') || words.has('med') || words.has('m') ? 'medium' : undefined
}

/** Grams of one of a measure, with the spread of measuring so; 0 where there is no telling. */
function oneOf(m: Measure, w: Weighed): { grams: number; spread: Spread } {
  const { ingredient, region, words } = w
  const { unit } = m
  if (unit.kind === 'mass') return { grams: unitSize(unit, region)!, spread: SPREAD.mass }
  if (unit.kind === 'volume') {
    const ml = w.vessels?.get(unit.id) ?? (unit.id === 'glass' && region === 'eu' ? EU_GLASS_ML : unitSize(unit, region)!)
    const perMl = ingredient ? density(ingredient, fillingOf(ingredient, m.manner, w, m)) : UNKNOWN_DENSITY
    const fullness = m.manner.some((x) => HEAPED.has(x)) ? HEAPED_FACTOR : m.manner.includes('scant') ? SCANT_FACTOR : 1
    const coarse = ingredient?.kind === 'salt' && COARSE.some((c) => words.has(c)) ? COARSE_SALT : 1
    const spoon = unit.id === 'tsp' || unit.id === 'tbsp'
    const spread = spoon ? SPREAD.spoon : ingredient?.gramsPerMl.poured !== undefined ? SPREAD.volume : SPREAD.powder
    return { grams: ml * perMl * fullness * coarse, spread }
  }
  if (unit.kind === 'package') {
    // "1 pot of sugar" in a yogurt cake: the empty pot measures what comes in none.
    if (words.has('pot') && ingredient && ingredient.kind !== 'dairy' && ingredient.kind !== 'plant-dairy')
      return { grams: POT_ML * density(ingredient), spread: SPREAD.powder }
    return { grams: (ingredient && packageGrams(ingredient, region)) ?? 0, spread: SPREAD.package }
  }
  if (!ingredient) return { grams: 0, spread: SPREAD.piece }
  if (unit.id === 'square') return { grams: ingredient.id.startsWith('chocolate') ? CHOCOLATE_SQUARE_GRAMS : 15, spread: SPREAD.piece }
  if (unit.id === 'sheet' && ingredient.id === 'gelatine') return { grams: LEAF_GRAMS, spread: SPREAD.piece }
  if (ingredient.id === 'spice') {
    const whole = WHOLE_SPICES.find(([word]) => words.has(word))
    if (whole) return { grams: whole[1], spread: SPREAD.piece }
  }
  const piece = pieceGrams(ingredient, region, sizeWord(words))
  if (unit.id === 'slice') return { grams: piece ?? SLICE_GRAMS, spread: SPREAD.package }
  return { grams: piece ?? 0, spread: SPREAD.piece }
}

/** Which of two measures of one amount is believed: weight before volume before count. */
function rank({ unit }: Measure): number {
  if (unit.kind === 'mass') return unit.id === 'g' || unit.id === 'kg' ? 5 : 4
  // A splash is whatever the spoons beside it say.
  if (VAGUE.has(unit.id)) return 0.5
  if (unit.kind === 'volume') return unit.id === 'ml' || unit.id === 'l' || unit.id === 'dl' ? 3.5 : 3
  return unit.kind === 'package' ? 1 : 0
}

const VAGUE = new Set(['glass', 'mug', 'spoon', 'teacup', 'katori', 'splash', 'handful', 'pinch', 'dash', 'knob', 'wineglass'])
const DECLINED = /^(?:plus|extra|or|for|from|approximately)$/
/** A second measure is of the same thing only within these factors of the first; more narrowly where it stands apart. */
const BELIEVED = { beside: [0.3, 3.3], apart: [0.55, 1.8] } as const

function believable(a: Alternate, base: Measure, w: Weighed): boolean {
  const m = a.measure
  const counts = base.unit.kind === 'piece' || base.unit.kind === 'package'
  // "7 slices (1 20-oz can)": the can that they come from.
  if (m.packed && base.unit.kind === 'piece' && base.low > 1) return false
  if (a.apart) {
    if (m.unit.kind !== 'mass' && !(m.unit.kind === 'volume' && (counts || VAGUE.has(base.unit.id)))) return false
    if (w.tokens.slice(Math.max(0, m.from - 2), m.from).some((t) => DECLINED.test(t.word))) return false
  }
  if (counts || VAGUE.has(base.unit.id)) return m.unit.kind === 'mass' || m.unit.kind === 'volume'
  const share = (m.low * oneOf(m, w).grams) / (base.low * oneOf(base, w).grams)
  const [least, most] = BELIEVED[a.apart ? 'apart' : 'beside']
  return share > least && share < most
}

/** A can of fruit, beans or milk, grams: the usual one of every country. */
const CAN_GRAMS = 400

/** "2 small pots (300 g)": what stands in the bracket is nearer to the usual package when it is shared out among them. */
function ofAll(base: Measure, pick: Measure, w: Weighed): boolean {
  const canned = w.words.has('can') || w.words.has('tin')
  const usual = canned ? CAN_GRAMS : w.ingredient && packageGrams(w.ingredient, w.region)
  if (!usual || pick.packed) return false
  const off = (grams: number) => Math.abs(Math.log(grams / usual))
  const grams = pick.low * oneOf(pick, w).grams
  return grams > 0 && off(grams / base.low) < off(grams)
}

/** "2 cans (14 oz)": what stands in the bracket is of one of them. */
function ofEach(group: Group, pick: Measure, w: Weighed): boolean {
  const { base } = group
  if (pick === base || base.low === 1) return false
  // "2 pots (220 g) sugar": the pot is the measure, and the bracket what it comes to.
  if (w.words.has('pot') && w.ingredient && w.ingredient.kind !== 'dairy' && w.ingredient.kind !== 'plant-dairy') return false
  const t = w.tokens
  if (t.slice(pick.to, pick.to + 3).some((x) => x.word === 'each') || t[pick.from - 1]?.word === 'each') return true
  if (base.low < 1) {
    // "½ can (14 oz)", "1/2 can (from a 14 oz can)" is half of one; "½ sachet (4 g)" is what goes in.
    return base.unit.kind === 'package' && (pick.packed === true || w.tokens.slice(pick.from - 3, pick.from).some((x) => x.word === 'from'))
  }
  if (base.unit.kind === 'package') return !ofAll(base, pick, w)
  // "2 (8 oz) packages", "3 x (200 g) tubs"
  if (base.unit.id !== 'piece' || t[base.to]?.text !== '(') return false
  const close = t.findIndex((x, i) => i > base.to && x.text === ')')
  return /^(?:cans?|box(?:es)?|pkgs?|packages?|packets?|jars?|tins?|bags?|blocks?|bars?|containers?|envelopes?|tubs?|sachets?|cartons?|pots?|bricks?)$/.test(
    t[close + 1]?.word ?? '',
  )
}

/** A hen's egg without its shell, of its weight with it (measure/region.ts: the shell is about 11.5 %). */
export const IN_SHELL = 0.88

/**
 * Grams of the measures of one item, with what the measuring leaves uncertain.
 *
 * Of several measures of one amount the surest is taken, unless it contradicts the first beyond belief.
 */
export function weigh(group: Group, w: Weighed): Weighing {
  const { base } = group
  let pick = base
  for (const a of group.alternates) if (rank(a.measure) > rank(pick) && believable(a, base, w)) pick = a.measure
  const one = oneOf(pick, w)
  const count = ofEach(group, pick, w) ? { low: base.low, high: base.high } : { low: 1, high: 1 }
  let low = pick.low * count.low * one.grams
  let high = pick.high * count.high * one.grams
  if (pick === base)
    for (const { measure, minus } of group.sums) {
      const more = oneOf(measure, w).grams
      const sign = minus ? -1 : 1
      low += sign * measure.low * more
      high += sign * measure.high * more
    }
  // "4 eggs in their shells (240 g)": the shell is on the scale too.
  if (pick.unit.kind === 'mass' && w.ingredient?.id === 'egg-whole' && w.words.has('shell') && !w.words.has('without')) {
    low *= IN_SHELL
    high *= IN_SHELL
  }
  low = Math.max(0, low)
  high = Math.max(low, high)
  const [below, above] = one.spread
  const unweighable = one.grams === 0 && pick.low > 0
  return {
    grams: { low: low * (1 - below), high: high * (1 + above), best: (low + high) / 2 },
    by: pick,
    assumedPackage: pick.unit.kind === 'package' && !w.words.has('pot'),
    unweighable,
  }
}
