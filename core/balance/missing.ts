import { methodOf } from '../method/read'
import { ingredientOf } from '../pantry/pantry'
import type { Kind } from '../pantry/ingredient'
import type { Recipe } from '../recipe/recipe'
import type { CakeFamily } from './families'
import type { Finding } from './findings'
import type { Mass } from './mass'

/** Foods that a method may ask for, and what in a recipe answers for them. */
const CALLED_FOR: { says: string; asked: (id: string, kind: Kind) => boolean; answers: (id: string, kind: Kind) => boolean }[] = [
  {
    says: 'egg',
    asked: (id) => /^egg-(?!replacer|liqueur)/.test(id),
    answers: (id, kind) => kind === 'egg' || /replacer|aquafaba|flax|chia|tofu/.test(id) || kind === 'mix',
  },
  { says: 'baking powder', asked: (id) => id === 'baking-powder', answers: (id) => /baking-powder|self-raising|mix/.test(id) },
  { says: 'baking soda', asked: (id) => id === 'baking-soda', answers: (id) => id === 'baking-soda' },
  {
    says: 'flour',
    asked: (_, kind) => kind === 'flour',
    answers: (_, kind) => kind === 'flour' || kind === 'starch' || kind === 'mix',
  },
  {
    says: 'sugar',
    asked: (_, kind) => kind === 'sugar',
    answers: (id, kind) => ['sugar', 'syrup', 'sweetener', 'mix'].includes(kind) || /condensed/.test(id),
  },
  { says: 'butter', asked: (id) => /^butter-/.test(id), answers: (_, kind) => kind === 'fat' || kind === 'mix' },
  { says: 'milk', asked: (id) => /^milk-/.test(id), answers: (_, kind) => kind === 'dairy' || kind === 'plant-dairy' },
]

/**
 * Ingredients that a batter of this kind cannot do without, or that its method names, and that no line gives.
 *
 * @param ofPaste nut butter stands in the place of its flour
 * @returns findings with code `missing-ingredient`
 */
export function missingIn(recipe: Recipe, mass: Mass, family: CakeFamily, part: string, ofPaste = false): Finding[] {
  const found: Finding[] = []
  const add = (what: string, message: string, severity: Finding['severity']) => {
    if (!found.some((f) => f.message.includes(what))) found.push({ code: 'missing-ingredient', severity, metric: null, message, part })
  }
  const lines = recipe.parts.flatMap((p) => p.lines).map((l) => ingredientOf(l.ingredient))
  const called = methodOf(recipe).unlinked.flatMap((x) => ingredientOf(x.ingredient) ?? [])
  for (const { asked, says, answers } of CALLED_FOR)
    if (called.some((i) => asked(i.id, i.kind)) && !lines.some((i) => i && answers(i.id, i.kind)))
      add(says, `The method speaks of ${says}, but no line has any.`, 'caution')
  // A rich fruit cake is more fruit than cake; the cake between it is what needs flour.
  const fruit = recipe.parts
    .filter((p) => p.name === part)
    .flatMap((p) => p.lines)
    .reduce((grams, l) => (ingredientOf(l.ingredient)?.inclusion ? grams + l.grams.best : grams), 0)
  const floury = mass.flour > 0.1 * Math.max(0, mass.total - fruit)
  if (floury && family !== 'crepe' && family !== 'pastry') {
    if (mass.sugar < 0.06 * mass.flour) add('sugar', 'There is no sugar to speak of: was it left out?', 'caution')
    if (mass.fat < 0.04 * mass.flour && family !== 'foam') add('fat', 'There is no fat to speak of: was it left out?', 'caution')
    if (mass.water < 0.35 * mass.flour) add('liquid', 'There is hardly any liquid: was it left out?', 'fault')
  }
  const binds = (id: string, kind: Kind) =>
    kind === 'egg' ||
    kind === 'binder' ||
    kind === 'fruit' ||
    /replacer|aquafaba|flax|chia|tofu|yogurt|condensed|soft-drink|sparkling/.test(id)
  if (family === 'boxed' && !lines.some((i) => i && binds(i.id, i.kind)))
    add('egg', 'The box counts on eggs, or on something in their place: was it left out?', 'caution')
  // Pastry that is bought is flour already.
  const bought = lines.some((i) => i && /^(?:puff-pastry|filo-pastry|pastry-case)/.test(i.id))
  if (!floury && !bought && !ofPaste && !['flourless-nut', 'flourless-chocolate', 'cheesecake', 'custard', 'foam'].includes(family))
    add('flour', 'There is hardly any flour: was it left out?', 'caution')
  return found
}
