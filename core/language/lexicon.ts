/**
 * Words of kitchen English that are neither units (`measure/unit.ts`) nor ingredients (`pantry/`), as data.
 * Every word stands in the lower case and without accents; the tokeniser brings text into that form.
 */

const words = (list: string): ReadonlySet<string> => new Set(list.trim().split(/\s+/))

/** A table that any word may be looked up in: it knows only its own keys. */
export const table = <T>(entries: Record<string, T>): Readonly<Record<string, T>> =>
  Object.assign(Object.create(null) as Record<string, T>, entries)

/** Numbers in words. */
export const NUMBER_WORDS = table<number>({
  half: 0.5,
  quarter: 0.25,
  third: 1 / 3,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  thirteen: 13,
  fourteen: 14,
  fifteen: 15,
  sixteen: 16,
  eighteen: 18,
  twenty: 20,
  thirty: 30,
  forty: 40,
  fifty: 50,
  sixty: 60,
  seventy: 70,
  eighty: 80,
  ninety: 90,
  dozen: 12,
  doz: 12,
  couple: 2,
  few: 3,
  both: 2,
})

/** Parts that follow a whole number word: "two thirds", "three-quarters". */
export const PART_WORDS = table<number>({
  half: 0.5,
  halves: 0.5,
  third: 1 / 3,
  thirds: 1 / 3,
  quarter: 0.25,
  quarters: 0.25,
  fourth: 0.25,
  fourths: 0.25,
  eighth: 0.125,
  eighths: 0.125,
})

export const FRACTION_SIGNS = table<number>({
  '½': 1 / 2,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
  '⅙': 1 / 6,
  '⅕': 1 / 5,
  '⅚': 5 / 6,
})

/** How full a spoon, cup or packet is, or how big a piece: they stand between number and unit or name. */
export const FULLNESS = words(`level lvl leveled levelled heaped heaping rounded generous scant good big small full fat slightly packed
  medium large tiny flat lightly loosely firmly well overflowing brimming very ripe extra large jumbo standard whole more additional`)
export const HEAPED = words('heaped heaping rounded overflowing')

/** Minutes of one unit of time. */
export const TIME_UNITS = table<number>(
  Object.fromEntries(
    (
      [
        [1, 'm min mins minute minutes mts mints mn mns'],
        [60, 'h hr hrs hour hours std'],
        [1 / 60, 'sec secs second seconds'],
        [1440, 'day days'],
        [10_080, 'week weeks'],
        [43_200, 'month months'],
        [720, 'night nights overnight'],
      ] as const
    ).flatMap(([minutes, list]) => list.split(' ').map((w) => [w, minutes])),
  ),
)

/** Numbers before these count nothing that goes into the bowl. */
export const NOT_AMOUNTS =
  words(`kcal cal cals calories kj serving servings people person persons portion portions watt watts rating ratings vote votes
  review reviews addition additions batch batches go goes time times layer layers part parts turn turns star stars comment comments year years`)

/** Words after which a number is a name, a page or a price. */
export const NUMBERS_AFTER = words('type typ tipo step serves serving makes page rs price no nr number')

/** What cooks do: a step begins with one of these, an ingredient hardly ever. */
export const VERBS =
  words(`preheat heat set grease line butter beat cream mix stir whisk add fold pour bake sift sieve combine put place melt spread
  cool let leave turn remove make boil bring simmer cook whip blend divide sprinkle scatter top serve cut slice press rub chill refrigerate freeze
  fill drop spoon scrape dust brush poke prick soak drain mash grate peel crush blitz process pulse knead roll invert unmold unmould demould store keep
  dissolve toss scoop tip take separate prepare spray dump cover decorate pipe frost ice drizzle arrange wash steam warm work incorporate grind
  lay repeat allow switch test transfer squeeze do start stab layer flour give return check finish assemble microwave reserve discard strain
  reduce lower raise wrap unroll spin whizz sandwich trim score swirl dollop ladle pound shake adjust alternate gather unwrap pit core zest juice
  measure empty rinse dry stack split halve break crack join bash stick tap bang open close insert loosen ease flip overturn wait proceed get build
  pop throw shape form push smooth level crumble coat dip fry saute toast roast caramelise caramelize temper rest stand set steep infuse
  gently carefully slowly meanwhile once when then next using after before while lightly generously quickly thoroughly gradually finally now first`)
/** Of these, the ones that say nothing by themselves inside a sentence: they are nouns, or stand everywhere. */
export const WEAK_VERBS =
  words(`butter cream then using cover top ice roll line set return work mix let start do put take get give keep open close when while
  after before once next now first dry core form stick rest stand level zest juice finally`)

/** Parts of speech that end a name when met on the way back from its head. */
export const STOPS = words('and or with for to from into in on plus as if the until till untill then over of than like')
