import type { School } from '../school'
import { SMOOTH, WHITES } from './where'

export const starchGum: School = {
  id: 'starch-gum',
  slot: 'egg',
  notFor: [...WHITES],
  title: 'Cornflour and a pinch of gum',
  brings: [
    {
      any: ['cornstarch', 'potato-starch', 'arrowroot', 'flour-tapioca'],
      per: [5, 8, 12],
      with: [
        { any: ['water'], ratio: 4 },
        { any: ['xanthan-gum', 'guar-gum'], ratio: 0.03 },
      ],
    },
  ],
  sides: {
    crumb: 'Tender and fine; springy when fresh',
    flavour: 'None',
    keeps: 'Two days, then stales',
    effort: 'Stir and use',
  },
  calledInMethod: 'the starch mixture',
  steps: [
    {
      at: 'before-mixing',
      text: 'Stir the {gum} into the dry {carrier}, then whisk both into the water.',
      mixes: true,
      why: 'Gum clumps when it meets water alone.',
      minutes: 2,
    },
  ],
  cannot: 'Brings no richness and no colour.',
  surestIn: [...SMOOTH],
  standing: 2.4,
  source: 'Eggless practice: 1 tbsp cornflour and 2–3 tbsp water an egg, xanthan 0.25–0.5 % of flour',
}
