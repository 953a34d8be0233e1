import type { School } from '../school'

export const applesauce: School = {
  id: 'applesauce',
  slot: 'egg',
  raisedOnly: true,
  title: 'Apple purée',
  brings: [{ any: ['applesauce'], per: [38, 55, 75] }],
  soda: true,
  mostEggs: 3,
  sides: {
    crumb: 'Moist, a little dense',
    flavour: 'Mild fruit',
    keeps: 'Four days',
    effort: 'None',
  },
  calledInMethod: 'the apple purée',
  steps: [],
  cannot: 'Holds no air and sets nothing: gummy if there is too much.',
  standing: 1,
  source: 'Kitchen practice: ¼ cup an egg',
}
