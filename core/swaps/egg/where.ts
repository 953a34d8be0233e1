import type { Family } from '../../balance/families'

/** Set by heat to a smooth cream: specks, gels that pull threads and foams spoil it, starch makes it. */
export const SMOOTH: readonly Family[] = ['custard', 'pastry-cream', 'cheesecake']
/** Nothing but a foam of whites, or what whips like them. */
export const WHITES: readonly Family[] = ['foam-butter-icing', 'meringue-icing', 'glaze']
