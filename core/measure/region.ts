/** The kitchens whose cups, spoons, eggs and names differ. */
export const REGIONS = ['us', 'uk', 'eu', 'au', 'in'] as const
export type Region = (typeof REGIONS)[number]

/** Sizes of eggs as sold; recipes mostly say `medium` or `large`. */
export const EGG_SIZES = ['small', 'medium', 'large', 'extra-large', 'jumbo'] as const
export type EggSize = (typeof EGG_SIZES)[number]

export interface Kitchen {
  /** ml */
  cup: number
  /** ml */
  tablespoon: number
  /** ml */
  teaspoon: number
  /** ml; an imperial or a US fluid ounce */
  fluidOunce: number
  /** ml */
  pint: number
  /** The size that an unqualified "egg" has in recipes of this region. */
  usualEgg: EggSize
  /** Shell-free grams of one egg. */
  egg: Record<EggSize, number>
}

// US eggs: USDA weight classes (large: 24 oz a dozen in shell, 50 g shelled, USDA SR Legacy).
const US_EGGS = { small: 38, medium: 44, large: 50, 'extra-large': 56, jumbo: 63 }
// EU and UK classes S <53, M 53–63, L 63–73, XL >73 g in shell; the shell is about 11.5 %. Most XL are little over their least.
const EU_EGGS = { small: 43, medium: 51, large: 60, 'extra-large': 66, jumbo: 71 }

/**
 * Cups and spoons by law or custom: US customary cup 236.6 ml; metric cup 250 ml;
 * Indian cup sets 240 ml; the Australian tablespoon holds 20 ml, all others about 15.
 */
export const KITCHENS: Record<Region, Kitchen> = {
  us: {
    cup: 236.59,
    tablespoon: 14.79,
    teaspoon: 4.93,
    fluidOunce: 29.57,
    pint: 473.2,
    usualEgg: 'large',
    egg: US_EGGS,
  },
  uk: {
    cup: 250,
    tablespoon: 15,
    teaspoon: 5,
    fluidOunce: 28.41,
    pint: 568.3,
    usualEgg: 'medium',
    egg: EU_EGGS,
  },
  eu: {
    cup: 250,
    tablespoon: 15,
    teaspoon: 5,
    fluidOunce: 29.57,
    pint: 500,
    usualEgg: 'medium',
    egg: EU_EGGS,
  },
  au: {
    cup: 250,
    tablespoon: 20,
    teaspoon: 5,
    fluidOunce: 28.41,
    pint: 570,
    usualEgg: 'large',
    // Australian cookery assumes the 59 g shelled-out-at-51 g "large" egg.
    egg: { small: 40, medium: 44, large: 51, 'extra-large': 57, jumbo: 63 },
  },
  in: {
    cup: 240,
    tablespoon: 15,
    teaspoon: 5,
    fluidOunce: 29.57,
    pint: 473.2,
    usualEgg: 'medium',
    // Indian retail eggs run 50–55 g in shell.
    egg: { small: 38, medium: 46, large: 50, 'extra-large': 56, jumbo: 62 },
  },
}
