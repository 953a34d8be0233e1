import type { School } from '../school'

export const condensedMilk: School = {
  id: 'condensed-milk',
  slot: 'egg',
  raisedOnly: true,
  title: 'Condensed milk and a little acid',
  // A 397 g can to 200–250 g flour is the classic; it takes the place of 4–5 eggs and most of the sugar.
  brings: [{ any: ['condensed-milk', 'condensed-coconut-milk'], per: [45, 72, 115] }],
  soda: true,
  acid: true,
  sides: {
    crumb: 'Rich, tender, even',
    flavour: 'Milky, sweeter',
    keeps: 'Four days',
    effort: 'Quick; a can to open',
  },
  calledInMethod: 'the {carrier}',
  steps: [
    {
      at: 'last',
      text: 'Stir in the {acid} last, just before the tin.',
      why: 'The gas starts as soon as it meets the soda.',
      minutes: 1,
    },
  ],
  atOnce: true,
  cannot: 'Brings its own sugar: the cake cannot be made much less sweet. Browns early.',
  standing: 0.9,
  source: 'Classic condensed-milk sponge: 1 can, 200–250 g flour, 100–120 g butter, soda and acid',
}
