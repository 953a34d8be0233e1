import { flourSchool } from './flour'

export const nutFlour = flourSchool({
  id: 'nut-flour',
  title: 'Ground almonds',
  mix: [
    { any: ['flour-almond', 'flour-hazelnut', 'flour-sunflower'], share: 0.7 },
    { any: ['flour-tapioca', 'cornstarch', 'potato-starch'], share: 0.3 },
  ],
  binder: { any: ['xanthan-gum', 'psyllium-husk'], per: [0, 0.0015, 0.004] },
  sides: { crumb: 'Moist, dense, rich', flavour: 'Nutty', keeps: 'Five days', effort: 'None' },
  steps: [],
  cannot: 'Rises little; costs more.',
  standing: 0.5,
  source: 'Nut cakes of Mediterranean kitchens: almonds and a little starch for flour',
})
