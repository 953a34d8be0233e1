import { flourSchool, REST } from './flour'

export const oatFlour = flourSchool({
  id: 'oat-flour',
  title: 'Oat flour',
  mix: [
    { any: ['flour-oat'], share: 0.8 },
    { any: ['cornstarch', 'potato-starch', 'flour-tapioca'], share: 0.2 },
  ],
  binder: { any: ['psyllium-husk', 'xanthan-gum'], per: [0.001, 0.002, 0.005] },
  sides: { crumb: 'Tender, moist, a little dense', flavour: 'Oats', keeps: 'Three days', effort: 'Grind rolled oats, or one packet' },
  steps: [REST],
  cannot: 'Only oats that say gluten-free, and some coeliacs bear none.',
  standing: 0.3,
  source: 'Gluten-free baking practice: four parts oat flour to one of starch',
})
