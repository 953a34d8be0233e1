import type { Banded } from '../balance/families'
import type { Symptom } from './symptoms'

/** How strongly something speaks for a symptom, as the chance to see it where that is the cause. */
const S = { nearly: 0.85, often: 0.6, half: 0.4, some: 0.2 } as const

/** One thing that can go wrong, and what is seen of it. */
export interface Cause {
  code: string
  /** As a baker would say it. */
  words: string
  /** How often it is the cause of a spoiled home bake, against the others (general baking advice, ranked by how often it is named). */
  usual: number
  shows: Partial<Record<Symptom, number>>
  /** The ratio that stands behind it, and to which side. */
  ratio?: { metric: Banded; side: 'low' | 'high' }
  /** What to do differently; the ratio is solved for by the engine where there is one. */
  change: string
  expected: string
}

/**
 * Causes and their symptoms: data, from what baking textbooks and extension services say of each fault, in the
 * words of home bakers. Chances are stated judgement in four steps, no measurements.
 */
export const CAUSES: readonly Cause[] = [
  {
    code: 'underbaked',
    words: 'It came out too early.',
    usual: 1.4,
    shows: { raw: S.nearly, gummy: S.often, sank: S.often, pale: S.half, 'sticky-top': S.some, soft: S.some, eggy: S.some },
    change: 'Bake until the middle reaches its mark, and look every four minutes from the first look on.',
    expected: 'A middle that is set and does not sink.',
  },
  {
    code: 'overbaked',
    words: 'It stayed in too long.',
    usual: 1.4,
    shows: { dry: S.nearly, crumbly: S.half, dark: S.half, shrank: S.half, 'cracked-roll': S.half, tough: S.some },
    change: 'Look earlier: five minutes before the time that you used, and take it out at the first clean skewer.',
    expected: 'A moister crumb and a softer edge.',
  },
  {
    code: 'oven-hot',
    words: 'The oven was hotter than it said.',
    usual: 1,
    shows: { domed: S.nearly, dark: S.nearly, raw: S.half, dry: S.some, tunnels: S.some, gummy: S.some },
    change: 'Set the oven 15 °C lower, or hang a thermometer in it.',
    expected: 'A flatter top and an even colour, some minutes later.',
  },
  {
    code: 'oven-cool',
    words: 'The oven was cooler than it said.',
    usual: 0.8,
    shows: { pale: S.nearly, dense: S.half, coarse: S.half, sank: S.half, dry: S.half, flat: S.half, 'sticky-top': S.some, greasy: S.some },
    change: 'Set the oven 15 °C higher, or hang a thermometer in it.',
    expected: 'More height and colour, some minutes sooner.',
  },
  {
    code: 'not-preheated',
    words: 'The oven was not hot when it went in.',
    usual: 0.7,
    shows: { flat: S.often, dense: S.often, pale: S.half, coarse: S.half, sank: S.some, greasy: S.some },
    change: 'Heat the oven for twenty minutes before the batter is ready; the Counter reminds you.',
    expected: 'It rises at once and sets while it is high.',
  },
  {
    code: 'opened-early',
    words: 'The door was opened before it had set.',
    usual: 0.6,
    shows: { sank: S.nearly, dense: S.some, gummy: S.some },
    change: 'Keep the door shut until the first look.',
    expected: 'It stays where it rose to.',
  },
  {
    code: 'too-much-lift',
    words: 'There is more powder or soda in it than the crumb can hold.',
    usual: 0.9,
    shows: { sank: S.nearly, coarse: S.often, overflowed: S.half, crumbly: S.half, soapy: S.half, domed: S.some, dark: S.some },
    ratio: { metric: 'lift', side: 'high' },
    change: 'Less leavener, back to the middle of what such a cake wants.',
    expected: 'A level top and a finer crumb.',
  },
  {
    code: 'too-little-lift',
    words: 'There is too little in it that lifts.',
    usual: 0.9,
    shows: { flat: S.nearly, dense: S.nearly, tough: S.some, gummy: S.some },
    ratio: { metric: 'lift', side: 'low' },
    change: 'More leavener, up to the middle of what such a cake wants.',
    expected: 'More height and a lighter crumb.',
  },
  {
    code: 'stale-leavener',
    words: 'The powder or soda has lost its strength.',
    usual: 0.5,
    shows: { flat: S.nearly, dense: S.nearly, tough: S.some },
    change: 'Test a pinch: powder in hot water, soda in vinegar. No lively hiss: a fresh packet.',
    expected: 'The height that the recipe promises.',
  },
  {
    code: 'batter-waited',
    words: 'The batter stood too long before the oven.',
    usual: 0.5,
    shows: { flat: S.nearly, dense: S.often, coarse: S.some, tunnels: S.some },
    change: 'Into the oven within ten minutes of the wet meeting the soda: heat the oven and line the tin first.',
    expected: 'More height from the same mix.',
  },
  {
    code: 'soda-left-over',
    words: 'There is soda in it that no acid has met.',
    usual: 0.6,
    shows: { soapy: S.nearly, dark: S.half, coarse: S.some, sank: S.some },
    ratio: { metric: 'acidBalance', side: 'high' },
    change: 'Less soda, or a little more acid for it.',
    expected: 'No taste of soap, a lighter colour.',
  },
  {
    code: 'acid-left-over',
    words: 'There is more acid in it than the soda meets.',
    usual: 0.4,
    shows: { sour: S.nearly, pale: S.half, flat: S.some, dense: S.some },
    ratio: { metric: 'acidBalance', side: 'low' },
    change: 'A little more soda, or less of what is sour.',
    expected: 'Milder, browner, and a little higher.',
  },
  {
    code: 'too-wet',
    words: 'There is more liquid in it than the flour can bind.',
    usual: 1,
    shows: {
      gummy: S.nearly,
      dense: S.half,
      sank: S.half,
      soft: S.half,
      'sticky-top': S.half,
      'fruit-sank': S.some,
      leaked: S.some,
      raw: S.some,
    },
    ratio: { metric: 'moisture', side: 'high' },
    change: 'Less liquid, or a spoon more of what drinks it.',
    expected: 'A crumb that is set through, without a wet layer.',
  },
  {
    code: 'too-dry',
    words: 'There is too little liquid in it for what drinks.',
    usual: 1,
    shows: { dry: S.nearly, crumbly: S.often, domed: S.half, tough: S.some, dense: S.some, 'cracked-roll': S.half },
    ratio: { metric: 'moisture', side: 'low' },
    change: 'A little more liquid.',
    expected: 'A moister crumb that holds together.',
  },
  {
    code: 'too-much-sugar',
    words: 'There is so much sugar in it that it sets late.',
    usual: 0.6,
    shows: { sank: S.often, 'too-sweet': S.often, 'sticky-top': S.often, dark: S.half, stuck: S.half, gummy: S.some, coarse: S.some },
    ratio: { metric: 'sugarConcentration', side: 'high' },
    change: 'Less sugar, as far as the crumb needs.',
    expected: 'It sets in time and stays up; the top is not sticky.',
  },
  {
    code: 'too-little-sugar',
    words: 'There is little sugar in it.',
    usual: 0.4,
    shows: { 'not-sweet': S.nearly, pale: S.often, tough: S.half, dry: S.half, domed: S.some },
    ratio: { metric: 'sugarConcentration', side: 'low' },
    change: 'A little more sugar, or some of it as syrup.',
    expected: 'More colour, a softer crumb that keeps longer.',
  },
  {
    code: 'too-much-fat',
    words: 'There is more fat in it than it can hold.',
    usual: 0.5,
    shows: { greasy: S.nearly, dense: S.half, soft: S.half, crumbly: S.half, flat: S.some, leaked: S.some },
    ratio: { metric: 'fatPct', side: 'high' },
    change: 'Less fat.',
    expected: 'A drier hand and a lighter crumb.',
  },
  {
    code: 'weak-set',
    words: 'There is too little in it that holds the crumb.',
    usual: 0.8,
    shows: { sank: S.half, crumbly: S.often, soft: S.often, gummy: S.half, 'fruit-sank': S.some, 'cracked-roll': S.some },
    ratio: { metric: 'setting', side: 'low' },
    change: 'More of what sets: egg, its stand-in, or a binder.',
    expected: 'Slices that hold, layers that stack.',
  },
  {
    code: 'too-firm',
    words: 'More in it toughens than makes tender.',
    usual: 0.4,
    shows: { tough: S.nearly, dry: S.half, domed: S.half, eggy: S.half },
    ratio: { metric: 'firmness', side: 'high' },
    change: 'A little more fat or sugar against flour and egg.',
    expected: 'A more tender crumb.',
  },
  {
    code: 'overmixed',
    words: 'It was mixed too long once the flour was in.',
    usual: 0.8,
    shows: { tough: S.nearly, tunnels: S.nearly, domed: S.half, dense: S.half, shrank: S.some },
    change: 'Stop as soon as no dry flour is seen.',
    expected: 'A tender crumb without tunnels.',
  },
  {
    code: 'too-little-air',
    words: 'Too little air was beaten in, or it was lost in the folding.',
    usual: 0.8,
    shows: { dense: S.nearly, flat: S.often, gummy: S.some, greasy: S.some, tough: S.some, 'cracked-roll': S.some },
    change: 'Beat or whip longer at the start, and fold with fewer, larger turns.',
    expected: 'A lighter, finer crumb.',
  },
  {
    code: 'flour-heavy',
    words: 'More flour went in than the recipe means: a cup scooped and packed.',
    usual: 0.6,
    shows: { dry: S.nearly, dense: S.often, crumbly: S.half, domed: S.half, tough: S.half },
    change: 'Weigh the flour, or spoon it into the cup and strike it off.',
    expected: 'A moister and lighter crumb from the same recipe.',
  },
  {
    code: 'tin-too-small',
    words: 'The tin was too full.',
    usual: 0.6,
    shows: { overflowed: S.nearly, raw: S.half, domed: S.half, dark: S.half, sank: S.some },
    change: 'Fill it to two thirds; the Tins say what goes in yours.',
    expected: 'It stays in the tin and bakes through.',
  },
  {
    code: 'tin-too-big',
    words: 'The batter lay too shallow in its tin.',
    usual: 0.4,
    shows: { flat: S.nearly, dry: S.often, dark: S.half, tough: S.some },
    change: 'A smaller tin, or more batter.',
    expected: 'A deeper and moister cake.',
  },
  {
    code: 'not-lined',
    words: 'The tin was not greased or lined as it wanted.',
    usual: 0.7,
    shows: { stuck: S.nearly },
    change: 'Grease, line the base with paper, and dust the side.',
    expected: 'It comes out whole.',
  },
  {
    code: 'out-too-soon',
    words: 'It came out of its tin too soon or too late.',
    usual: 0.5,
    shows: { stuck: S.often, crumbly: S.half, soft: S.some, gummy: S.some, shrank: S.some },
    change: 'Ten minutes in the tin, then out onto a rack; foam cakes hang upside down until cold.',
    expected: 'It comes out whole, without a wet base.',
  },
  {
    code: 'leaky-tin',
    words: 'The batter was too thin for a tin whose base comes out.',
    usual: 0.3,
    shows: { leaked: S.nearly, flat: S.some },
    change: 'Foil round the outside, or a tin in one piece.',
    expected: 'Everything stays in the tin.',
  },
  {
    code: 'batter-thin-for-fruit',
    words: 'The batter is too thin, or the pieces too heavy, to carry them.',
    usual: 0.5,
    shows: { 'fruit-sank': S.nearly, leaked: S.some, flat: S.some },
    ratio: { metric: 'fluidity', side: 'high' },
    change: 'Smaller pieces, dried and tossed in a spoon of the flour; a stiffer batter.',
    expected: 'Fruit right through the slice.',
  },
  {
    code: 'not-rested',
    words: 'Flour without gluten had no time to drink.',
    usual: 0.3,
    shows: { gritty: S.nearly, crumbly: S.half, dry: S.some },
    change: 'Let the batter stand 20 to 30 minutes before the tin.',
    expected: 'No grit, a crumb that holds.',
  },
  {
    code: 'sugar-undissolved',
    words: 'The sugar was coarse, or had not dissolved.',
    usual: 0.3,
    shows: { gritty: S.often, 'sticky-top': S.half, coarse: S.some },
    change: 'Finer sugar, or beat until no grain is felt.',
    expected: 'A smooth crumb and a dry top.',
  },
  {
    code: 'worked-warm',
    words: 'It was filled, cut or stacked while it was warm.',
    usual: 0.5,
    shows: { soft: S.nearly, crumbly: S.half, gummy: S.some },
    change: 'Let it become quite cold, an hour on the rack and half an hour in the fridge.',
    expected: 'Firm layers that stack.',
  },
  {
    code: 'rolled-cold',
    words: 'It was rolled too late, or its edges were dry.',
    usual: 0.4,
    shows: { 'cracked-roll': S.nearly },
    change: 'Roll it warm in its cloth, edges trimmed, and let it cool rolled.',
    expected: 'It bends without a crack.',
  },
]
