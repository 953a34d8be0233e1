import type { School } from '../school'

export const nutButter: School = {
  id: 'nut-butter',
  slot: 'egg',
  raisedOnly: true,
  title: 'Nut or seed butter',
  brings: [{ any: ['almond-butter', 'seed-butter', 'tahini', 'peanut-butter'], per: [14, 24, 36], with: [{ any: ['water'], ratio: 1 }] }],
  acid: true,
  mostEggs: 3,
  sides: {
    crumb: 'Rich, tender, dense',
    flavour: 'Nutty',
    keeps: 'Four days',
    effort: 'Stir until smooth',
  },
  calledInMethod: 'the nut butter',
  steps: [
    {
      at: 'before-mixing',
      text: 'Beat the {carrier} with its water until loose and smooth.',
      mixes: true,
      why: 'Stiff nut butter does not spread through the batter.',
      minutes: 3,
    },
  ],
  cannot: 'Gives no lift; brings an allergen of its own.',
  standing: 1.6,
  source: 'Kitchen practice: 2–3 tbsp an egg',
}
