import { KITCHENS, type EggSize, type Region } from '../measure/region'
import { COCOA } from './data/cocoa'
import { DAIRY } from './data/dairy'
import { EGGS } from './data/eggs'
import { FATS } from './data/fats'
import { FINISH } from './data/finish'
import { FLAVOUR } from './data/flavour'
import { FLOURS } from './data/flours'
import { FRUIT } from './data/fruit'
import { INSTEAD } from './data/instead'
import { LIFT } from './data/lift'
import { MIXES } from './data/mixes'
import { MORE } from './data/more'
import { NUTS } from './data/nuts'
import { PLANT } from './data/plant'
import { SUGARS_DATA } from './data/sugars'
import type { Ingredient } from './ingredient'

/** Every ingredient that ships with the product. */
export const PANTRY: readonly Ingredient[] = [
  ...FLOURS,
  ...SUGARS_DATA,
  ...FATS,
  ...EGGS,
  ...DAIRY,
  ...PLANT,
  ...FRUIT,
  ...NUTS,
  ...COCOA,
  ...LIFT,
  ...FLAVOUR,
  ...MIXES,
  ...FINISH,
  ...MORE,
  ...INSTEAD,
]

const BY_ID = new Map(PANTRY.map((i) => [i.id, i]))

/** Boxes and packets of one request's own, over the shared pantry while that request is answered. */
let own: ReadonlyMap<string, Ingredient> = new Map()

/**
 * Answers something with ingredients of the baker's own: new ones, or a box in place of the typical one.
 * Answers are made in one go, so no other request sees them.
 */
export function withIngredients<T>(ingredients: readonly Ingredient[], work: () => T): T {
  const before = own
  own = new Map([...before, ...ingredients.map((i) => [i.id, i] as const)])
  try {
    return work()
  } finally {
    own = before
  }
}

/** Makes the baker's own ingredients known for good, where one kitchen is all there is: on a screen, to name them. */
export function introduce(ingredients: readonly Ingredient[]): void {
  own = new Map(ingredients.map((i) => [i.id, i]))
}

/** The ingredients of the baker's own that are in play. */
export const ownIngredients = (): Ingredient[] => [...own.values()]

/** The ingredient of that id, or `undefined`. */
export function ingredientOf(id: string | null | undefined): Ingredient | undefined {
  return id == null ? undefined : (own.get(id) ?? BY_ID.get(id))
}

/** The ingredient of that id; throws for an id that is not in the pantry (a defect, not bad input). */
export function need(id: string): Ingredient {
  const found = ingredientOf(id)
  if (!found) throw new Error(`no ingredient "${id}" in the pantry`)
  return found
}

/** What a region calls it, with the general name beside it where they differ. */
export function nameOf(ingredient: Ingredient, region: Region): string {
  return ingredient.called?.[region] ?? ingredient.names[0]!
}

/** Shell-free grams of one piece, or `undefined` where it has no usual piece. */
export function pieceGrams(ingredient: Ingredient, region: Region, size?: EggSize): number | undefined {
  if (ingredient.ofEgg) {
    const kitchen = KITCHENS[region]
    return kitchen.egg[size ?? kitchen.usualEgg] * ingredient.ofEgg
  }
  const pieces = ingredient.pieces
  if (!pieces) return undefined
  return (size && pieces[size]) ?? pieces.each ?? pieces.medium
}

/** Grams of the usual package in a region, or `undefined`. */
export function packageGrams(ingredient: Ingredient, region: Region): number | undefined {
  return ingredient.packages?.[region] ?? ingredient.packages?.any
}

/** Grams per ml as a baker of plain words would measure it: a sugar that packs is packed (213 to 220 g a US cup of brown sugar). */
export function density(ingredient: Ingredient, how?: keyof Ingredient['gramsPerMl']): number {
  const g = ingredient.gramsPerMl
  return (
    (how && g[how]) ??
    (ingredient.kind === 'sugar' ? g.packed : undefined) ??
    g.spooned ??
    g.poured ??
    g.packed ??
    g.scooped ??
    g.sifted ??
    1
  )
}
