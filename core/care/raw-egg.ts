import { methodOf } from '../method/read'
import { isLine, type Act } from '../method/step'
import type { Recipe } from '../recipe/recipe'

/** Acts that heat what they are done to until egg is safe: told with a fire or an oven. */
const HEATS: ReadonlySet<Act> = new Set(['bake', 'simmer', 'fry'])

/**
 * Whether some egg of a recipe is never heated after it went in: a mousse, a tiramisu cream, a raw icing.
 *
 * A part is heated by what is done to itself; a batter also by any bake behind it, since that is what a tin holds.
 * Without a method nothing is said.
 */
export function hasRawEgg(recipe: Recipe): boolean {
  const clauses = methodOf(recipe).steps.flatMap((s) => s.clauses)
  if (!clauses.length) return false
  return clauses.some((c, i) =>
    c.things.some((x) => {
      if (!isLine(x) || !/^egg-(?:whole|yolk|white)$/.test(x.ingredient)) return false
      const role = recipe.parts[x.part]?.role
      const baked = role === 'batter' || role === 'crust'
      return !clauses.slice(i).some((y) => HEATS.has(y.act) && (y.part === x.part || (baked && y.act === 'bake')))
    }),
  )
}
