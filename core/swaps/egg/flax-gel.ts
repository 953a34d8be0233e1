import type { School } from '../school'
import { SMOOTH, WHITES } from './where'

export const flaxGel: School = {
  id: 'flax-gel',
  slot: 'egg',
  notFor: [...SMOOTH, ...WHITES],
  title: 'Ground flax gel',
  // 1 tbsp ground seed (7 g) and 3 tbsp water an egg.
  brings: [{ any: ['flaxseed-ground'], per: [6, 7, 9], with: [{ any: ['water'], ratio: 3 }] }],
  acid: true,
  sides: {
    crumb: 'Holds together well; denser',
    flavour: 'Nutty, brown specks',
    keeps: 'Three days, stays moist',
    effort: 'Ten minutes standing',
  },
  calledInMethod: 'the flax gel',
  steps: [
    {
      at: 'before-mixing',
      text: 'Stir the {carrier} into its water and let it stand 10 minutes, until it pulls in threads.',
      mixes: true,
      why: 'The seed coat needs time to give up its gel; without it nothing binds.',
      minutes: 10,
    },
  ],
  mostEggs: 4,
  cannot: 'Gives no lift and no richness; specks show in a pale cake.',
  standing: 0.8,
  source: 'Vegan practice: 1 seed to 3 water by volume of gel; mucilage 3–9 % of the seed',
}
