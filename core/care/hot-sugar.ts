import { isLine, type Clause } from '../method/step'
import type { Ingredient } from '../pantry/ingredient'
import { ingredientOf } from '../pantry/pantry'

const SWEET: ReadonlySet<string> = new Set(['sugar', 'syrup'])
/** What may be in a pan of boiling sugar without making a custard or a batter of it. */
const THIN: ReadonlySet<string> = new Set(['water', 'acid', 'salt', 'flavour', 'leavener'])
/** Fat of the thinnest cream, per cent. */
const CREAM = 15
/** With fat or cream in the pan it is hot sugar only where it boils. */
const BOILS: ReadonlySet<string> = new Set(['boil', 'bubble', 'caramelise', 'caramelize'])

/**
 * Whether sugar is boiled or melted in a clause: a syrup, a caramel, a toffee.
 *
 * Milk, egg, flour or starch in the pan make it something else that burns no worse than soup.
 */
export function boilsSugar(clause: Clause): boolean {
  if (clause.act !== 'simmer' && clause.act !== 'melt') return false
  const pan = clause.things.flatMap((t) => (isLine(t) ? (ingredientOf(t.ingredient) ?? []) : []))
  if (!pan.some((i) => SWEET.has(i.kind))) return false
  const rich = ({ per100 }: Ingredient) => (per100.plasticFat ?? 0) + (per100.liquidFat ?? 0) > CREAM
  return pan.every((i) => SWEET.has(i.kind) || THIN.has(i.kind) || (BOILS.has(clause.verb) && rich(i)))
}
