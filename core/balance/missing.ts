import { ingredientOf } from '../pantry/pantry'
import type { Kind } from '../pantry/ingredient'
import type { Recipe } from '../recipe/recipe'
import type { CakeFamily } from './families'
import type { Finding } from './findings'
import type { Mass } from './mass'

/** Words of a method that ask for an ingredient, and what answers them. */
const CALLED_FOR: { word: RegExp; says: string; answers: (id: string, kind: Kind) => boolean }[] = [
  {
    word: /\b(?:the |in )?eggs?\b(?! ?(?:-?free|less|replacer|white|yolk))/i,
    says: 'egg',
    answers: (id, kind) => kind === 'egg' || /replacer|aquafaba|flax|chia|tofu/.test(id) || kind === 'mix',
  },
  { word: /\bbaking powder\b/i, says: 'baking powder', answers: (id) => /baking-powder|self-raising|mix/.test(id) },
  { word: /\b(?:baking soda|bicarb\w*)\b/i, says: 'baking soda', answers: (id) => id === 'baking-soda' },
  {
    word: /\bthe flour\b|\bflour (?:mixture|and)\b|\bin the flour\b|\bfold in flour\b/i,
    says: 'flour',
    answers: (_, kind) => kind === 'flour' || kind === 'starch' || kind === 'mix',
  },
  {
    word: /\bsugars?\b/i,
    says: 'sugar',
    answers: (id, kind) => ['sugar', 'syrup', 'sweetener', 'mix'].includes(kind) || /condensed/.test(id),
  },
  {
    word: /\bbutter\b(?!milk| icing|cream| and flour the| the tin| the pan| a )/i,
    says: 'butter',
    answers: (_, kind) => kind === 'fat' || kind === 'mix',
  },
  { word: /\b(?:the |and |with |with the )milk\b/i, says: 'milk', answers: (_, kind) => kind === 'dairy' || kind === 'plant-dairy' },
]

/**
 * Ingredients that a batter of this kind cannot do without, or that its method names, and that no line gives.
 *
 * @returns findings with code `missing-ingredient`
 */
export function missingIn(recipe: Recipe, mass: Mass, family: CakeFamily, part: string): Finding[] {
  const found: Finding[] = []
  const add = (what: string, message: string, severity: Finding['severity']) => {
    if (!found.some((f) => f.message.includes(what))) found.push({ code: 'missing-ingredient', severity, metric: null, message, part })
  }
  const lines = recipe.parts.flatMap((p) => p.lines).map((l) => ingredientOf(l.ingredient))
  const method = recipe.method.join('\n')
  for (const { word, says, answers } of CALLED_FOR)
    if (word.test(method) && !lines.some((i) => i && answers(i.id, i.kind)))
      add(says, `The method speaks of ${says}, but no line has any.`, 'caution')
  // A rich fruit cake is more fruit than cake; the cake between it is what needs flour.
  const fruit = recipe.parts
    .filter((p) => p.name === part)
    .flatMap((p) => p.lines)
    .reduce((grams, l) => (ingredientOf(l.ingredient)?.inclusion ? grams + l.grams.best : grams), 0)
  const floury = mass.flour > 0.12 * Math.max(0, mass.total - fruit)
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
  if (!floury && !['flourless-nut', 'flourless-chocolate', 'cheesecake', 'custard', 'foam'].includes(family))
    add('flour', 'There is hardly any flour: was it left out?', 'caution')
  return found
}
