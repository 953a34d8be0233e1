import type { School } from '../school'

export const sparklingWater: School = {
  id: 'sparkling-water',
  slot: 'egg',
  raisedOnly: true,
  title: 'Sparkling water',
  brings: [{ any: ['sparkling-water'], per: [30, 48, 70] }],
  sides: {
    crumb: 'Very soft, a little open',
    flavour: 'None',
    keeps: 'Best the same day',
    effort: 'The least of all',
  },
  calledInMethod: 'half the sparkling water',
  inTurns: true,
  steps: [
    {
      at: 'last',
      text: 'Pour in the rest of the sparkling water last, freshly opened, and fold only until even.',
      why: 'Its bubbles are gone in minutes; most of the lift is the powder.',
      minutes: 1,
    },
  ],
  atOnce: true,
  cannot: 'Neither binds nor enriches: too tender to stack high.',
  standing: 2,
  source: 'Kitchen practice: ¼ cup an egg; keeps about a third of its gas through mixing',
}
