import type { ChangeSchool } from '../change'
import { swapSchool, type Swap } from './swap'

const COOLER = { celsius: -10, why: 'Fruit sugar browns early: a little cooler, and foil if the top darkens.' }

const honey: Swap = {
  id: 'honey',
  title: 'Honey',
  any: ['honey'],
  most: 0.6,
  per: [0.72, 0.9, 1.15],
  soda: true,
  sides: { crumb: 'Moist, a little dense', flavour: 'Honey', keeps: 'Four to five days', effort: 'Weigh it in an oiled spoon' },
  oven: COOLER,
  cannot: 'Does not cream: half of the sugar should stay where the batter is creamed.',
  standing: 0.15,
  source: 'Extension-service baking tables: ¾ to ⅞ cup honey a cup of sugar, 2–4 tbsp less liquid, ¼ tsp soda, 25 °F cooler',
}

const maple: Swap = {
  id: 'maple',
  title: 'Maple or date syrup',
  any: ['maple-syrup', 'date-syrup', 'golden-syrup'],
  most: 0.6,
  per: [0.75, 0.95, 1.2],
  soda: true,
  sides: { crumb: 'Moist', flavour: 'Caramel', keeps: 'Four days', effort: 'None' },
  oven: COOLER,
  cannot: 'Brings water: the batter loses liquid elsewhere.',
  standing: 0.3,
  source: 'Extension-service baking tables: ¾ cup maple syrup a cup of sugar, 3 tbsp less liquid',
}

const brownCoconutSugar: Swap = {
  id: 'brown-coconut-sugar',
  title: 'Coconut or brown sugar',
  any: ['coconut-sugar', 'sugar-brown', 'jaggery'],
  most: 1,
  per: [0.9, 1, 1.1],
  sides: { crumb: 'Moist, a little coarser', flavour: 'Toffee', keeps: 'As before', effort: 'Sift out lumps' },
  cannot: 'Browner and less fine; as much sugar as before.',
  standing: 0.1,
  source: 'General practice: weight for weight',
}

const polyol: Swap = {
  id: 'polyol',
  title: 'Erythritol or xylitol',
  any: ['erythritol', 'xylitol', 'maltitol'],
  most: 0.6,
  per: [0.68, 0.85, 1.05],
  sides: { crumb: 'Drier, crisper edge', flavour: 'Clean, cooling', keeps: 'Two days', effort: 'Powder it first' },
  steps: [
    {
      at: 'start',
      text: 'Grind the {brought} to powder: coarse crystals stay gritty.',
      why: 'It dissolves poorly and comes back out as the cake cools.',
      minutes: 2,
    },
  ],
  cannot: 'Does not brown and holds little water: pale, and it stales soon.',
  standing: 0.9,
  source: 'Reduced-sugar baking literature: up to half of the sucrose by erythritol without loss of volume',
}

const allulose: Swap = {
  id: 'allulose',
  title: 'Allulose',
  any: ['allulose'],
  most: 0.75,
  per: [0.7, 0.85, 1.05],
  sides: { crumb: 'Soft, moist', flavour: 'Clean, mild', keeps: 'Four days', effort: 'None' },
  steps: [
    { at: 'after', text: 'It darkens fast: cover with foil as soon as it is golden.', why: 'Allulose browns more than any other sugar.' },
  ],
  oven: { celsius: -15, why: 'Allulose browns very early.' },
  cannot: 'Browns fast; not sold everywhere.',
  standing: 0.7,
  // A novel food without approval in the EU and the UK at the time of writing.
  soldIn: ['us'],
  source: 'Reduced-sugar baking literature: allulose lowers the setting temperature and browns strongly',
}

const steviaBulk: Swap = {
  id: 'stevia-bulk',
  title: 'Stevia blend',
  any: ['stevia-blend'],
  most: 0.6,
  per: [0.8, 1, 1.15],
  sides: { crumb: 'Drier', flavour: 'Slightly bitter after', keeps: 'Two days', effort: 'None' },
  cannot: 'Sweetens like sugar but does not brown or hold water as it does.',
  standing: 1,
  source: 'Label practice of bulked blends: spoon for spoon, at most half',
}

/** Syrups and sugars by the school that uses them as it uses its own first choice. */
const KIN: Readonly<Record<string, Swap>> = {
  honey,
  'maple-syrup': maple,
  'date-syrup': maple,
  'golden-syrup': maple,
  'agave-syrup': maple,
  'rice-syrup': maple,
  'corn-syrup': maple,
  molasses: maple,
  'coconut-sugar': brownCoconutSugar,
  'sugar-brown': brownCoconutSugar,
  jaggery: brownCoconutSugar,
  'date-sugar': brownCoconutSugar,
  erythritol: polyol,
  xylitol: polyol,
  maltitol: polyol,
  sorbitol: polyol,
  allulose,
  'stevia-blend': steviaBulk,
}

/** Every way to put another sweetener in the place of sugar, the surest first. */
export const SWEETENER_SCHOOLS: readonly ChangeSchool[] = [honey, brownCoconutSugar, maple, allulose, polyol, steviaBulk].map((s) =>
  swapSchool(s),
)

/** Those that bring fewer sugars rather than others. */
export const SUGAR_SAVERS: readonly ChangeSchool[] = [allulose, polyol, steviaBulk].map((s) => swapSchool(s))

/** The school of a sweetener that the baker names, using just that one; `undefined` where no school knows it. */
export function schoolForSweetener(id: string): ChangeSchool | undefined {
  const kin = KIN[id]
  // Xylitol and maltitol dissolve as sugar does and may take its whole place.
  return kin && swapSchool(/^(xylitol|maltitol)$/.test(id) ? { ...kin, most: 1 } : kin, id)
}
