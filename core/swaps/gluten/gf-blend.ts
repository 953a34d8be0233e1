import { flourSchool, REST } from './flour'

export const gfBlend = flourSchool({
  id: 'gf-blend',
  title: 'Gluten-free blend',
  mix: [{ any: ['flour-gf-blend'], share: 1 }],
  // Bought blends hold about 0.4 % gum already.
  binder: { any: ['xanthan-gum', 'psyllium-husk'], per: [0, 0.001, 0.004] },
  sides: { crumb: 'Even, a little short', flavour: 'Neutral', keeps: 'Two days', effort: 'One packet' },
  steps: [REST],
  cannot: 'Stales in two days: freeze slices.',
  standing: 0,
  source: 'General gluten-free practice: weight for weight, binder 0.25–0.5 % xanthan of the flour, rest 20–30 minutes',
})
