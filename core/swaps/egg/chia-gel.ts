import type { School } from '../school'
import { SMOOTH, WHITES } from './where'

export const chiaGel: School = {
  id: 'chia-gel',
  slot: 'egg',
  notFor: [...SMOOTH, ...WHITES],
  title: 'Chia gel',
  brings: [{ any: ['chia-seed'], per: [3.5, 5, 7.5], with: [{ any: ['water'], ratio: 6 }] }],
  acid: true,
  sides: {
    crumb: 'Binds well; seeds can be felt',
    flavour: 'Mild, dark specks',
    keeps: 'Three days',
    effort: 'Fifteen minutes standing',
  },
  calledInMethod: 'the chia gel',
  steps: [
    {
      at: 'before-mixing',
      text: 'Stir the {carrier} into its water, wait 5 minutes, stir again, and let it stand 10 more. Grind the seeds first if they should not be felt.',
      mixes: true,
      why: 'Chia swells slowly and clumps when it is not stirred twice.',
      minutes: 15,
    },
  ],
  mostEggs: 4,
  cannot: 'Gives no lift and no richness.',
  standing: 1.2,
  source: 'Vegan practice: 2 tsp seed and 2 tbsp water an egg',
}
