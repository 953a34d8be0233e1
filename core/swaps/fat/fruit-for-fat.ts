import type { ChangeSchool } from '../change'
import { cutAddedFat } from './cut'

export const fruitForFat: ChangeSchool = {
  id: 'fruit-for-fat',
  slot: 'fat',
  title: 'Fruit purée for fat',
  apply(r) {
    const dark = r.movers.some((m) => m.ingredient.kind === 'cocoa' && m.start > 0.05 * r.flour)
    // Prune hides in chocolate and spice; apple in everything pale.
    const fruit = r.allowed(dark ? ['prune-puree', 'applesauce', 'pumpkin-puree'] : ['applesauce', 'pumpkin-puree', 'banana'])
    const out = fruit ? cutAddedFat(r) : 0
    if (!fruit || !out) return false
    // Half to the whole of the fat's weight: beyond it the crumb turns rubbery and wet.
    r.bring(fruit, out * 0.45, out * 0.72, out * 1.1, {
      code: 'keeps-moist',
      message: 'its pectin holds water where fat kept the crumb soft',
    })
    return true
  },
  sides: { crumb: 'Moist, a little springy', flavour: 'Mild fruit', keeps: 'Three days, moist', effort: 'A jar to open' },
  steps: [
    { at: 'after', text: 'Look five minutes early: with less fat it is done sooner.', why: 'Fat slows drying.' },
    {
      at: 'last',
      text: 'Stop as soon as the flour is in: with so little fat it toughens fast.',
      warns: true,
      wheat: true,
      why: 'Fat keeps gluten short.',
    },
  ],
  oven: { time: -0.1, why: 'Less fat: done sooner.' },
  cannot: 'Does not cream: the crumb is closer and springier.',
  standing: 0.1,
  source: 'Reduced-fat baking practice: half of the fat to three quarters of its weight in purée',
}
