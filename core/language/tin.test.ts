import { describe, expect, it } from 'vitest'
import { mlBelow, sectionOf } from '../measure/section'
import { readTin, tinsIn } from './tin'

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
    ['Line two muffin pans with 18 liners.', { shape: 'cupcake', count: 18 }],
    ['line 2 x 12 hole muffin trays w cases', { shape: 'cupcake', count: 24 }],
    ['Roll out on a greased baking sheet (30 x 40 cm).', { shape: 'sheet', mm: { width: 300, length: 400 } }],
    ['Butter a 12-hole mini muffin tin x2.', { shape: 'cupcake', count: 24 }],
    ['Line a 20 x 20 tin.', { shape: 'square', mm: { width: 200 } }],
    ['Spread in a 23 x 33 cm swiss roll tin.', { shape: 'sheet', mm: { width: 230, length: 330 } }],
    ['Grease ten ½-cup (125 ml) friand pans.', { shape: 'cupcake', count: 10 }],
    ['Pour into six 1-cup mini bundt tins.', { shape: 'fluted', count: 6 }],
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

describe('tins by name', () => {
  it.each([
    ['8 mini loaf tins', { shape: 'loaf', count: 8, mm: { length: 145 } }],
    ['24-hole mini muffin tin', { shape: 'cupcake', count: 24, mm: { diameter: 32 } }],
    ['6-hole jumbo muffin tin', { shape: 'cupcake', count: 6, mm: { diameter: 64 } }],
    ['half sheet pan', { shape: 'sheet', mm: { length: 460 } }],
    ['six ramekins', { count: 6, material: 'ceramic', mm: { diameter: 85 } }],
    ['23cm springform, 7 cm deep', { loose: true, mm: { diameter: 230, height: 70 } }],
    ['9 inch pie dish', { mm: { diameter: 229, height: 38 } }],
    ['25 cm savarin ring', { shape: 'ring', mm: { diameter: 250, height: 45 } }],
    ['10-inch tube pan', { shape: 'ring', mm: { diameter: 254 } }],
    ['two 9-inch rounds', { shape: 'round', count: 2 }],
    ['28er Springform', { mm: { diameter: 280 } }],
    ['three loose-based 18 cm sandwich tins', { count: 3, loose: true }],
    ['glass 9x13', { shape: 'rect', material: 'glass' }],
    ['half-kilo loaf tin', { shape: 'loaf', mm: { length: 150 } }],
    ['3 x 20 cm sandwich tins', { shape: 'round', count: 3, mm: { diameter: 200 } }],
    ['1 x 23cm tin', { shape: 'round', count: 1, mm: { diameter: 230, height: 60 } }],
    ['2 x 20 cm square tins', { shape: 'square', count: 2, mm: { width: 200 } }],
    ['4 x 6 inch round tins', { shape: 'round', count: 4, mm: { diameter: 152 } }],
    ['6 x 4 inch tin', { shape: 'loaf', count: 1, mm: { length: 152, width: 102 } }],
    ['9 x 13 inch pans', { shape: 'rect', count: 1 }],
  ])('%s', (text, tin) => {
    expect(readTin(text)).toMatchObject(tin)
  })

  it.each([
    ['2 litre pudding basin', 2000],
    ['1.2 litre pudding bowl', 1200],
    ['12-cup bundt', 2840],
    ['900 ml loaf tin', 900],
    ['1.5 quart casserole', 1419],
  ] as const)('%s holds what it says', (text, ml) => {
    const section = sectionOf(readTin(text)!)!
    expect(mlBelow(section, section.depth) / ml).toBeCloseTo(1, 1)
  })
})
