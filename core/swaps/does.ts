import { SUGARS, type Component, type Ingredient } from '../pantry/ingredient'

/** One thing that an ingredient does in a mix, in words; the strongest first. */
export interface Does {
  job: string
  words: string
}

type Rule = { job: string; from: (per: (c: Component) => number, i: Ingredient) => boolean; words: (i: Ingredient) => string }

/**
 * What a component does once there is enough of it, per 100 g of ingredient (general baking science; the strengths
 * themselves are in the pantry's data and `docs/model.md`).
 */
const RULES: readonly Rule[] = [
  {
    job: 'foam',
    from: (_, i) => Boolean(i.foams),
    words: () => 'Whips to a foam that can carry a batter.',
  },
  {
    job: 'set',
    from: (per) => per('egg') > 5,
    words: () => 'Sets in the oven and holds the crumb together.',
  },
  {
    job: 'gluten',
    from: (per) => per('gluten') > 5,
    words: () => 'Makes gluten: a stretchy net that holds gas, and toughness where it is worked too long.',
  },
  { job: 'starch', from: (per) => per('starch') > 40, words: () => 'Its starch drinks water in the heat and sets the crumb.' },
  {
    job: 'thicken',
    from: (per) => per('pregelStarch') > 15,
    words: () => 'Thickens cold, and keeps water in the crumb.',
  },
  { job: 'bind', from: (per) => per('binder') > 8, words: () => 'Binds: a little of it holds a crumb that has no gluten or egg.' },
  {
    job: 'cream',
    from: (per) => per('plasticFat') > 50,
    words: () => 'Holds air when creamed with sugar, and shortens: a tender, fine crumb.',
  },
  { job: 'moisten', from: (per) => per('liquidFat') > 50, words: () => 'Coats the flour: soft and moist for days, but it holds no air.' },
  { job: 'enrich', from: (per) => within(per('plasticFat') + per('liquidFat'), 12, 50), words: () => 'Enriches and tenders with its fat.' },
  {
    job: 'sweeten',
    from: (per) => SUGARS.reduce((sum, s) => sum + per(s), 0) > 40,
    words: () => 'Sweetens, holds water, keeps the crumb tender, and makes it set later in the oven.',
  },
  {
    job: 'brown',
    from: (per) => per('fructose') + per('glucose') > 20,
    words: () => 'Browns early and draws damp: cooler oven, keeps longer.',
  },
  { job: 'sweet', from: (per) => per('sweetPower') > 200, words: () => 'Sweetens without the bulk of sugar.' },
  { job: 'raise', from: (per) => per('co2') > 40, words: () => 'Makes gas of its own in the damp and the heat.' },
  {
    job: 'soda',
    from: (per) => per('base') > 400,
    words: () => 'Makes gas with something sour; too much of it tastes of soap and browns.',
  },
  { job: 'acid', from: (per) => per('acid') > 8, words: () => 'Sour: wakes soda, keeps whites and fruit bright, softens gluten.' },
  { job: 'emulsify', from: (per) => per('emulsifier') > 2, words: () => 'Keeps fat and water together.' },
  { job: 'cocoa', from: (per) => per('cocoaSolids') > 8, words: () => 'Chocolate taste and colour; its solids drink like flour and dry.' },
  { job: 'season', from: (per) => per('salt') > 50, words: () => 'Lifts taste; a little is enough.' },
  {
    job: 'wet',
    from: (per) => per('water') > 70,
    words: (i) => (i.kind === 'fruit' ? 'Brings water, some of it late in the oven.' : 'Wets the flour and makes the steam that lifts.'),
  },
  {
    job: 'alcohol',
    from: (per) => per('alcohol') > 8,
    words: () => 'Its alcohol leaves in the oven, its taste stays; not all of it leaves.',
  },
]

const within = (x: number, from: number, to: number): boolean => x >= from && x < to

/** What an ingredient does in a mix, from what it is made of. */
export function doesOf(ingredient: Ingredient): Does[] {
  const per = (c: Component) => ingredient.per100[c] ?? 0
  const found = RULES.filter((r) => r.from(per, ingredient)).map((r) => ({ job: r.job, words: r.words(ingredient) }))
  if (ingredient.inclusion) found.push({ job: 'whole', words: 'Stays whole in the crumb: taste and bite, not balance.' })
  if (!found.length && ingredient.kind === 'flavour') found.push({ job: 'flavour', words: 'There for its taste.' })
  return found
}
