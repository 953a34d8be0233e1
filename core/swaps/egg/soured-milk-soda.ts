import type { School } from '../school'

export const souredMilkSoda: School = {
  id: 'soured-milk-soda',
  slot: 'egg',
  raisedOnly: true,
  title: 'Soured milk and soda',
  // One tablespoon of vinegar sours a cup (240 g) of milk: ratio 0.06 by weight.
  brings: [
    {
      any: ['milk-whole', 'milk-semi-skimmed', 'soy-milk', 'oat-milk', 'pea-milk', 'almond-milk', 'rice-milk', 'coconut-drink'],
      per: [35, 50, 75],
      with: [{ any: ['vinegar', 'lemon-juice'], ratio: 0.062, all: true }],
    },
  ],
  soda: true,
  sides: {
    crumb: 'Light and plain',
    flavour: 'Neutral once baked',
    keeps: 'Dries by day two',
    effort: 'Ten minutes standing',
  },
  calledInMethod: 'the soured milk',
  inTurns: true,
  steps: [
    {
      at: 'before-mixing',
      text: 'Stir the {tied} into the {carrier} and let it stand 10 minutes: it thickens and curdles a little.',
      mixes: true,
      why: 'The sour milk is what the soda works against; soy milk curdles best, the thinner drinks hardly at all.',
      minutes: 10,
    },
  ],
  atOnce: true,
  cannot: 'Brings no binding of its own: the crumb is fragile while warm.',
  standing: 0.8,
  source: 'Depression-era and vegan practice: 1 tbsp vinegar a cup of milk, ½–1 tsp soda',
}
