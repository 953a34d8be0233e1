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
  calledInMethod: 'the {carrier}',
  steps: [
    {
      at: 'start',
      text: 'Take the {carrier} out of the fridge half an hour ahead.',
      why: 'Cold, it would stiffen the fat and slow the soda, which meets its acid in the bowl.',
    },
  ],
  atOnce: true,
  cannot: 'Sets less firmly than egg: two layers stack, a tall cake slumps.',
  standing: 0,
  source: 'Common eggless practice: ¼ cup curd and ⅛–¼ tsp soda an egg',
}
