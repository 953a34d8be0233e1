import { flourSchool, REST } from './flour'

export const gfFlours = flourSchool({
  id: 'gf-flours',
  title: 'Own mix of flours',
  mix: [
    { any: ['flour-rice'], share: 0.45 },
    { any: ['potato-starch', 'flour-tapioca', 'cornstarch'], share: 0.25 },
    { any: ['flour-sorghum', 'flour-buckwheat', 'flour-millet'], share: 0.3 },
  ],
  binder: { any: ['xanthan-gum', 'psyllium-husk', 'guar-gum'], per: [0.002, 0.0035, 0.006] },
  sides: {
    crumb: 'Fine, softer than a packet',
    flavour: 'A little of the grain',
    keeps: 'Two to three days',
    effort: 'Three flours to weigh',
  },
  steps: [REST],
  cannot: 'Three packets to buy.',
  standing: 0.3,
  source: 'Gluten-free baking literature: about half starchy flour, a quarter starch, a quarter to a third protein flour',
})
