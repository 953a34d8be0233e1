import type { School } from '../school'

export const replacerPowder: School = {
  id: 'replacer-powder',
  slot: 'egg',
  notFor: ['foam-butter-icing', 'pastry-cream'],
  title: 'Egg-replacer powder',
  // Labels: 1½ tsp (5 g) powder and 2–3 tbsp water an egg.
  brings: [{ any: ['egg-replacer-powder'], per: [3.5, 5, 7], with: [{ any: ['water'], ratio: 7 }] }],
  sides: {
    crumb: 'Even and neutral; a little dry',
    flavour: 'None',
    keeps: 'Two days',
    effort: 'Stir and use',
  },
  calledInMethod: 'the egg replacer',
  steps: [
    {
      at: 'before-mixing',
      text: 'Whisk the {carrier} into its water until it is smooth and foamy.',
      mixes: true,
      why: 'Dry powder in the batter makes lumps.',
      minutes: 2,
    },
  ],
  cannot: 'Brings no richness or colour; follow the packet where it says otherwise.',
  standing: 1.3,
  source: 'Labels of starch-based replacers',
}
