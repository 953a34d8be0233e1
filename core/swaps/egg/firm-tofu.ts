import type { School } from '../school'
import { WHITES } from './where'

export const firmTofu: School = {
  id: 'firm-tofu',
  slot: 'egg',
  notFor: ['pastry-cream', ...WHITES],
  title: 'Whizzed firm tofu',
  brings: [{ any: ['tofu-firm'], per: [22, 32, 48], with: [{ any: ['soy-milk', 'water'], ratio: 0.6 }] }],
  acid: true,
  sides: {
    crumb: 'Firm enough to stack; close',
    flavour: 'Faint bean',
    keeps: 'Four days',
    effort: 'A blender to wash',
  },
  calledInMethod: 'the whizzed tofu',
  steps: [
    {
      at: 'before-mixing',
      text: 'Whizz the {carrier} with its liquid until as smooth as cream.',
      mixes: true,
      why: 'Grains of tofu do not melt away in the oven.',
      minutes: 4,
    },
  ],
  cannot: 'Heavy: needs all its lift from powder.',
  standing: 1.7,
  source: 'Protein of an egg is about that of 55 g firm tofu; bakers use half to two thirds',
}
