import type { School } from '../school'

export const banana: School = {
  id: 'banana',
  slot: 'egg',
  raisedOnly: true,
  title: 'Mashed banana',
  brings: [{ any: ['banana'], per: [35, 52, 70] }],
  soda: true,
  mostEggs: 3,
  sides: {
    crumb: 'Moist, dense, tender',
    flavour: 'Banana, plainly',
    keeps: 'Four days, better on the second',
    effort: 'A fork',
  },
  calledInMethod: 'the mashed banana',
  steps: [{ at: 'before-mixing', text: 'Mash the {carrier} until it runs.', mixes: true, why: 'Lumps turn into wet spots.', minutes: 2 }],
  cannot: 'Cannot be hidden: it tastes of banana and browns.',
  standing: 1.2,
  source: 'Kitchen practice: half a banana an egg',
}
