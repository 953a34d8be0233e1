import { describe, expect, it } from 'vitest'
import { tinsIn } from './tin'

/** The first tin of a method that a size is given for. */
const tinInMethod = (steps: readonly string[]) => tinsIn(steps).find((f) => !f.assumed)?.tin

describe('tins that a method names', () => {
  it.each([
    ['Grease and line two 20cm sandwich tins.', { shape: 'round', count: 2, mm: { diameter: 200 } }],
    ['Butter two 9-inch round pans and flour them', { shape: 'round', count: 2, mm: { diameter: 229 } }],
    ['Bake in a 9x5 inch loaf pan at 350F for 60 minutes', { shape: 'loaf', count: 1, mm: { width: 127, length: 229 } }],
    ['Pour into a greased and lined 900g loaf tin.', { shape: 'loaf', count: 1 }],
    ['Line a 20cm/8in square tin with paper', { shape: 'square', count: 1, mm: { width: 200 } }],
    ['Grease a deep 23 cm (9 inch) springform tin', { shape: 'round', mm: { diameter: 230 } }],
    ['Line a 12-hole muffin tin with paper cases.', { shape: 'cupcake', count: 12 }],
    ['Spread in a 23 x 33 cm swiss roll tin.', { shape: 'sheet', mm: { width: 230, length: 330 } }],
    ['Bake in a 10 cup bundt pan at 325F', { shape: 'fluted', count: 1 }],
    ['Divide between three 8" cake pans', { shape: 'round', count: 3, mm: { diameter: 203 } }],
    ['Divide between 2 greased and lined 18 cm round tins and bake for 25 minutes', { shape: 'round', count: 2, mm: { diameter: 180 } }],
    ['Bake for 35 minutes in 8 inch round pans.', { shape: 'round', count: 1 }],
    ['Bake in 9x13 at 325F, 40 minutes', { shape: 'rect', count: 1 }],
    ['Bake in 9x13 pan 350F 30 minutes', { shape: 'rect', count: 1 }],
  ])('%s', (step, tin) => {
    expect(tinInMethod(['Cream the butter.', step])).toMatchObject(tin)
  })

  it.each([
    'Melt the butter in a large pan.',
    'Bake at 180 C for 25 minutes.',
    'Stand it in a 30 cm roasting tin of water.',
    'Roll out to a 30 cm round.',
    'Warm 200 ml milk in a pan.',
  ])('says nothing of a tin: %s', (step) => {
    expect(tinInMethod([step])).toBeUndefined()
  })
})
