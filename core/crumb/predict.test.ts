import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'
import { classic } from '../fixtures/classics'
import { predictCrumb } from './predict'

const balance = (name: string, edit: (text: string) => string = (t) => t) => {
  const c = classic(name)
  return answer('balance', { text: edit(c.text), region: c.region })
}
const claim = (name: string, edit: (text: string) => string, trait: string) => {
  const [before, after] = [balance(name), balance(name, edit)]
  const claims = predictCrumb(after.metrics, after.family, { metrics: before.metrics, family: before.family })
  return claims.find((c) => c.trait === trait)?.direction ?? 0
}

describe('what a change does to the crumb, as a baker would guess', () => {
  it.each([
    ['more milk is moister', 'one-two-three-four', (t: string) => t.replace('1 cup whole milk', '1 1/2 cups whole milk'), 'moist', 1],
    ['less milk is drier', 'one-two-three-four', (t: string) => t.replace('1 cup whole milk', '1/3 cup whole milk'), 'moist', -1],
    [
      'more butter is richer',
      'sandwich',
      (t: string) => t.replace('200 g unsalted butter', '260 g unsalted butter').replace('200 g butter', '260 g butter'),
      'greasy',
      1,
    ],
    ['less sugar is less sweet', 'sandwich', (t: string) => t.replace('200 g caster sugar', '140 g caster sugar'), 'sweet', -1],
    ['more sugar is sweeter', 'sandwich', (t: string) => t.replace('200 g caster sugar', '260 g caster sugar'), 'sweet', 1],
    ['an egg less is more tender', 'sandwich', (t: string) => t.replace('4 medium eggs', '2 medium eggs'), 'tender', 1],
    ['an egg less holds together less', 'sandwich', (t: string) => t.replace('4 medium eggs', '2 medium eggs'), 'whole', -1],
    ['twice the powder is more open', 'olive-oil', (t: string) => t.replace('12 g baking powder', '24 g baking powder'), 'fine', -1],
    ['honey for sugar is browner', 'olive-oil', (t: string) => t.replace('230 g sugar', '230 g honey'), 'brown', 1],
  ] as const)('%s', (_, name, edit, trait, sign) => {
    expect(Math.sign(claim(name, edit, trait))).toBe(sign)
  })

  it('says nothing of what did not change', () => {
    expect(claim('sandwich', (t) => t, 'moist')).toBe(0)
    const b = balance('sandwich')
    expect(predictCrumb(b.metrics, b.family, b)).toEqual([])
  })

  it('claims with a confidence below certainty, and names the ratio behind', () => {
    for (const name of ['pound', 'carrot', 'muffins', 'genoise'])
      for (const c of balance(name).crumb) {
        expect(c.confidence).toBeGreaterThan(0)
        expect(c.confidence).toBeLessThan(1)
        expect(c.because.length).toBeGreaterThan(0)
        expect(Math.abs(c.direction)).toBeLessThanOrEqual(2)
        expect(c.words).not.toMatch(/a little holds|very holds/)
      }
  })

  it('knows a pound cake for dense and fine, and an angel cake for sweet and lean', () => {
    const words = (name: string) =>
      balance(name)
        .crumb.map((c) => c.words)
        .join(' ')
    expect(words('pound')).toMatch(/dense/)
    expect(words('pound')).toMatch(/fine/)
    expect(words('angel')).toMatch(/sweet/)
    expect(words('angel')).toMatch(/lean/)
  })
})
