import type { School } from '../school'
import { SMOOTH, WHITES } from './where'

export const pumpkin: School = {
  id: 'pumpkin',
  slot: 'egg',
  notFor: [...SMOOTH, ...WHITES],
  title: 'Pumpkin purée',
  brings: [{ any: ['pumpkin-puree', 'sweet-potato-puree'], per: [35, 52, 75] }],
  soda: true,
  acid: true,
  mostEggs: 4,
  sides: {
    crumb: 'Moist, dense, orange',
    flavour: 'Earthy; wants spice',
    keeps: 'Four days',
    effort: 'None; a can to open',
  },
  calledInMethod: 'the pumpkin purée',
  steps: [],
  cannot: 'Colours the crumb; holds no air.',
  standing: 1.4,
  source: 'Kitchen practice: ¼ cup an egg',
}
