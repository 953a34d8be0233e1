/** How a dough of crumbs should feel. */
export const DOUGHS = ['crumbly', 'rolls', 'soft'] as const
export type Dough = (typeof DOUGHS)[number]
export const BINDERS = ['frosting', 'jam', 'liquid'] as const
export type Binder = (typeof BINDERS)[number]

export interface Trimmings {
  crumbGrams: number
  /** g of the binder in all, and what to begin with. */
  binderGrams: number
  firstGrams: number
  spoonGrams: number
  pieces: number
  coatGrams: number
  steps: string[]
}

/**
 * g of binder to a g of crumbs of a usual cake (baked, a third water), bench practice: a third of the frosting that
 * people begin with is already too much; liquid counts three to four times as strong, jam stands between.
 */
const BINDS: Record<Binder, Record<Dough, number>> = {
  frosting: { crumbly: 0.12, rolls: 0.2, soft: 0.3 },
  jam: { crumbly: 0.1, rolls: 0.16, soft: 0.24 },
  liquid: { crumbly: 0.04, rolls: 0.07, soft: 0.1 },
}
/** Water of a usual baked crumb, share; a drier one wants more to bind it, g a g of crumbs for each share of water less. */
const USUAL_WATER = 0.32
const DRIER = 0.9
/** A ball of two bites, g, and what a coat of its size takes: 4 cm across, 1.5 mm thick. */
const PIECE = 32
const COAT = 9

/** What becomes of trimmings: crumbs bound little by little to a dough, shaped and coated. */
export function trimmings(crumbGrams: number, binder: Binder, dough: Dough, crumbWater = USUAL_WATER): Trimmings {
  const strength = binder === 'liquid' ? 0.35 : 1
  const share = Math.max(0.02, BINDS[binder][dough] + DRIER * strength * (USUAL_WATER - crumbWater))
  const binderGrams = Math.round(crumbGrams * share)
  const firstGrams = Math.round(binderGrams * 0.6)
  const spoonGrams = binder === 'liquid' ? 5 : 15
  const pieces = Math.max(1, Math.round((crumbGrams + binderGrams) / PIECE))
  return {
    crumbGrams: Math.round(crumbGrams),
    binderGrams,
    firstGrams,
    spoonGrams,
    pieces,
    coatGrams: pieces * COAT,
    steps: [
      `Rub the trimmings to fine crumbs; take out hard edges.`,
      `Work in ${firstGrams} g first, then ${spoonGrams} g at a time, up to about ${binderGrams} g: press a little in the fist after each.`,
      dough === 'crumbly'
        ? 'Stop when it only just clings: for a base or to scatter.'
        : dough === 'rolls'
          ? 'Stop when a ball holds without sticking to the hand.'
          : 'Stop when it spreads like a soft dough: for pressing into a mould.',
      `Shape ${pieces} of ${PIECE} g, chill for 30 minutes, and coat with about ${pieces * COAT} g of melted chocolate.`,
    ],
  }
}
