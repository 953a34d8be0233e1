import type { Ingredient } from './ingredient'

/** Milks, drinks and water: what a baker adds by the spoon to loosen a batter. */
export const isThinLiquid = (i: Ingredient): boolean =>
  i.kind === 'water' ||
  ((i.kind === 'dairy' || i.kind === 'plant-dairy') &&
    (i.per100.acid ?? 0) <= 3 &&
    !/cream|cheese|mascarpone|ricotta|paneer|khoya|tofu|condensed|powder/.test(i.id))

/** Nuts and seeds ground to a paste: fat, and what would be flour in its place. */
export const isNutButter = (i: Ingredient): boolean =>
  i.kind === 'fat' && /^(?:peanut|almond|cashew|hazelnut|pistachio|seed)-butter$|^tahini$/.test(i.id)
