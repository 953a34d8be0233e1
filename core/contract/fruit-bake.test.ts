import { describe, expect, it } from 'vitest'
import { answer } from './handle'

/** The usual proportions of a rich fruit cake, for a 20 cm tin. */
const RICH =
  'Celebration cake\nTin: 20 cm round\nOven: 140 C\n450 g currants\n300 g sultanas\n250 g raisins\n225 g plain flour\n225 g butter\n225 g soft brown sugar\n4 large eggs\n3 tbsp brandy\nMethod:\nCream butter and sugar, beat in the eggs, fold in flour and fruit.'
const parsed = (text: string) => answer('parse', { text, region: 'uk' }).recipe
const bake = (text: string, tin?: string) =>
  answer('bake', { recipe: parsed(text), region: 'uk', oven: { celsius: 140, mode: 'static' }, ...(tin && { tin }) })
const scaled = (factor: number, tin: string) => {
  const { recipe } = answer('scale', { recipe: parsed(RICH), region: 'uk', to: { factor } })
  return answer('bake', { recipe, region: 'uk', tin, oven: { celsius: 140, mode: 'static' } }).minutes!.best
}

describe('rich fruit cakes', () => {
  it.each([
    // Usual windows at 140 °C, wrapped in paper, by the size of the tin.
    [0.5, '15 cm round', 150, 180],
    [0.75, '18 cm round', 180, 215],
    [1, '20 cm round', 210, 255],
    [1.75, '25 cm round', 270, 320],
  ])('%d times as much in %s takes %d to %d minutes, give or take a tenth', (factor, tin, low, high) => {
    const best = scaled(factor, tin)
    expect(best).toBeGreaterThan(low * 0.9)
    expect(best).toBeLessThan(high * 1.1)
  })

  it('say that the minutes are those of a wrapped tin', () => {
    expect(bake(RICH).notes.map((n) => n.code)).toContain('fruit-laden')
  })

  it('hardly rise: fruit is no batter', () => {
    const plain = RICH.replace(/^.*(currants|sultanas|raisins)\n/gm, '')
    const height = (text: string) => bake(text).heightMm
    // A kilogram of fruit in 314 cm² is some 28 mm of it.
    expect(height(RICH) - height(plain)).toBeGreaterThan(20)
    expect(height(RICH) - height(plain)).toBeLessThan(36)
  })

  it('a handful of fruit, or fresh fruit however much, is no reason for paper', () => {
    const light = RICH.replace(/^.*(currants|raisins)\n/gm, '').replace('300 g sultanas', '150 g sultanas')
    const apples = RICH.replace(/^.*(currants|raisins)\n/gm, '').replace('300 g sultanas', '800 g apples')
    for (const text of [light, apples]) expect(bake(text).notes.map((n) => n.code)).not.toContain('fruit-laden')
  })
})
