import type { FinishFamily } from './families'
import type { Mass } from './mass'
import type { Kinds } from './recognise'

/** Which kind of frosting, filling or soak a mix is, from what it is mostly made of. */
export function recogniseFinish(mass: Mass, kinds: Kinds, ids: Set<string>): FinishFamily {
  const total = mass.total || 1
  const chocolate = kinds.chocolate + kinds.chips
  const fat = mass.fat / total
  const sugar = mass.sugar / total
  const has = (pattern: RegExp) => [...ids].some((id) => pattern.test(id))
  const cream = has(/^(cream-heavy|cream-double|cream-single|plant-cream|coconut-cream|mascarpone|whipped-topping)$/)
  // Cheese folded into cream is a cream with body, not an icing.
  if (cream && sugar < 0.25 && !has(/^egg-(yolk|whole)$/) && !has(/butter|spread|shortening/) && chocolate / total < 0.2)
    return 'whipped-cream'
  if (kinds.cheese / total > 0.15) return 'cream-cheese-icing'
  if (chocolate / total >= 0.2 && mass.water / total > 0.08) return 'ganache'
  if (has(/crumb|cookie|biscuit/) && fat > 0.1) return 'crumb-icing'
  if (fat > 0.12 && has(/^(aquafaba|egg-white)$/) && has(/butter|spread|shortening/)) return 'foam-butter-icing'
  // Whites and sugar beaten to a foam, boiled or not; with butter it is another thing.
  if (fat < 0.03 && sugar > 0.3 && !ids.has('sugar-icing') && has(/^(aquafaba|egg-white|meringue-powder)$/) && !has(/flour-|starch/))
    return 'meringue-icing'
  const fruit = has(/^(jam|berries|apple|rhubarb|stone-fruit|fruit-puree)$/)
  // Set by starch or egg with little fat: pastry cream, curd, custard.
  if (!fruit && fat < 0.17 && mass.water / total > 0.4 && has(/^flour-|cornstarch|custard-powder|^egg-(yolk|whole)$/)) return 'pastry-cream'
  if (fat > 0.12 && has(/^flour-|cornstarch|custard-powder/) && has(/butter|spread|shortening/)) return 'cooked-butter-icing'
  if (cream && sugar < 0.4) return 'whipped-cream'
  if (fat > 0.12 || (fat > 0.05 && has(/butter|spread|shortening/))) return 'butter-icing'
  if (ids.has('sugar-icing') && sugar > 0.5) return 'glaze'
  if (fruit) return 'compote'
  return mass.water / total > 0.3 ? 'soak' : 'glaze'
}
