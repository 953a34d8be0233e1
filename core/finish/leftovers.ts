import type { FinishFamily } from '../balance/families'

/** Less than this is what clings to the bowl, g. */
const CLINGS = 40

const count = (n: number, what: string) => `${Math.max(1, Math.floor(n))} ${what}${n >= 2 ? 's' : ''}`
const USES: Partial<Record<FinishFamily | 'custard' | 'jam', (grams: number) => string>> = {
  'butter-icing': (g) => `tops ${count(g / 35, 'cupcake')}, or freezes flat for three months; beat it again when thawed`,
  'cooked-butter-icing': (g) => `fills ${count(g / 20, 'biscuit')}; keeps four days in the fridge`,
  'meringue-icing': () => 'does not keep: pipe it into kisses and dry them at 90 °C for two hours',
  'foam-butter-icing': (g) => `tops ${count(g / 30, 'cupcake')}; freezes for a month and whips up again`,
  'cream-cheese-icing': (g) => `binds ${Math.round(g * 5)} g of trimmings, or spreads on buns within four days, kept cold`,
  'whipped-cream': () => 'goes with fruit today; it does not keep',
  ganache: (g) => `rolls into ${count(g / 12, 'truffle')}; keeps a week in the fridge`,
  'crumb-icing': (g) => `rolls into ${count(g / 20, 'small ball')}`,
  glaze: () => 'keeps a week in a jar with its lid on; stir in a drop of water',
  compote: () => 'goes on porridge; keeps five days in the fridge',
  jam: () => 'goes back in its jar',
  custard: () => 'fills small tarts; keeps two days in the fridge',
}

/** What is left over, and what it could become; none where it is hardly more than clings to the bowl. */
export function leftOver(family: FinishFamily | 'custard' | 'jam', grams: number): { grams: number; use: string } | null {
  if (grams < CLINGS) return null
  return { grams: Math.round(grams), use: USES[family]?.(grams) ?? 'keeps two days in the fridge' }
}
