import type { School } from '../school'
import { SMOOTH, WHITES } from './where'

export const aquafaba: School = {
  id: 'aquafaba',
  slot: 'egg',
  // Its foam has nothing to do in a thin sheet, nor in what is set smooth.
  notFor: ['crepe', ...SMOOTH],
  title: 'Whipped bean-can liquid',
  // 3 tbsp (45 g) an egg.
  brings: [{ any: ['aquafaba'], per: [28, 43, 62] }],
  acid: true,
  foams: true,
  sides: {
    crumb: 'Fine, light crumb',
    flavour: 'Tasteless once baked',
    keeps: 'Two days',
    effort: 'Eight minutes more at the mixer',
  },
  calledInMethod: 'the whipped bean-can liquid',
  steps: [
    {
      at: 'before-mixing',
      text: 'Whip the {carrier} with a pinch of cream of tartar or a few drops of lemon juice until it holds soft peaks, 6 to 8 minutes. Fold it in last, in thirds.',
      why: 'It traps air as egg white does, but the foam is weaker: fold, do not beat.',
      minutes: 8,
    },
  ],
  atOnce: true,
  cannot: 'Its foam does not set as egg does: the cake falls a little while cooling.',
  surestIn: [...WHITES],
  standing: 1.4,
  source: 'Vegan practice: 3 tbsp an egg, reduced by a third where it is thin',
}
