import type { ChangeSchool } from '../change'
import { cutAddedFat, softenFlour } from './cut'

export const cutFat: ChangeSchool = {
  id: 'cut-fat',
  slot: 'fat',
  title: 'Simply less fat',
  apply(r) {
    if (!cutAddedFat(r)) return false
    softenFlour(r)
    return true
  },
  sides: { crumb: 'Lighter, a little drier', flavour: 'Plainer', keeps: 'A day less', effort: 'None' },
  steps: [
    {
      at: 'after',
      text: 'Look five minutes early: with less fat it is done sooner, and every minute more dries it.',
      why: 'Fat slows drying.',
    },
  ],
  oven: { time: -0.12, why: 'Less fat: done sooner.' },
  cannot: 'Stales sooner than the rich cake: freeze what is not eaten in two days.',
  standing: 0.55,
  source: 'Low-fat baking practice: a third to a half of the fat may go where a tenth of the flour becomes starch',
}
