import type { School } from '../school'

export const yogurtSoda: School = {
  id: 'yogurt-soda',
  slot: 'egg',
  raisedOnly: true,
  title: 'Yogurt and soda',
  // Eggless bakers of South Asia use ¼ cup (60 g) curd an egg; below 40 g there is too little acid to lift.
  brings: [{ any: ['yogurt-plain', 'soy-yogurt', 'coconut-yogurt'], per: [38, 58, 90] }],
  soda: true,
  sides: {
    crumb: 'Soft, moist, close',
    flavour: 'Slight tang',
    keeps: 'Two to three days, well wrapped',
    effort: 'Quick: two spoons and a whisk',
  },
  calledInMethod: 'the foaming {carrier}',
  steps: [
    {
      at: 'before-mixing',
      text: 'Take the {carrier} out of the fridge half an hour ahead. Just before it goes in, whisk the {soda} into it: it foams within a minute.',
      takes: 'baking-soda',
      why: 'Soda meets the acid of the yogurt; the gas that the eggs would have held comes from here.',
      minutes: 2,
    },
  ],
  atOnce: true,
  cannot: 'Sets less firmly than egg: two layers stack, a tall cake slumps.',
  standing: 0,
  source: 'Common eggless practice: ¼ cup curd and ⅛–¼ tsp soda an egg',
}
