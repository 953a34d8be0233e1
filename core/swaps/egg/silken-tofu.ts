import type { School } from '../school'
import { WHITES } from './where'

export const silkenTofu: School = {
  id: 'silken-tofu',
  slot: 'egg',
  notFor: [...WHITES],
  title: 'Silken tofu',
  brings: [{ any: ['tofu-silken'], per: [38, 56, 75] }],
  acid: true,
  sides: {
    crumb: 'Firm, moist, close; low rise',
    flavour: 'None',
    keeps: 'Four days',
    effort: 'A blender to wash',
  },
  calledInMethod: 'the whizzed tofu',
  steps: [
    {
      at: 'before-mixing',
      text: 'Whizz the {carrier} with the other liquid until no grain is left.',
      mixes: true,
      why: 'Lumps of tofu stay white in the crumb.',
      minutes: 3,
    },
  ],
  cannot: 'Heavy: needs all its lift from powder.',
  standing: 1.1,
  source: 'Vegan practice: ¼ cup an egg',
}
