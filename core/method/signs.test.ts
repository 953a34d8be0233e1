import { describe, expect, it } from 'vitest'
import { isAside, signsIn } from './signs'

describe('how an act is done', () => {
  it.each([
    ['Turn it out while still warm', { warm: true, onWarm: true }],
    ['Chill overnight', { overnight: true }],
    ['Steam the pudding for an hour and a half', { steamed: true }],
    ['Fry 18 to 20 thin crêpes, a minute each side', { sheets: [18, 20], sides: 2 }],
    ['Roll it at once', { warm: true }],
    ['Cool on a wire rack', { where: 'rack' }],
    ['Leave to cool completely in the tin', { where: 'tin', cold: true, thenCold: true }],
    ['Leave to cool in the tin for 5 minutes, then', { where: 'tin', cold: true }],
    ['Mark into 12 after 15 minutes', { after: true }],
    ['Stab it as it comes out', { warm: true, onWarm: true }],
    ['Warm the jam and brush it on', { warm: true }],
    ['Fold in the flour', undefined],
    ['Put it on a steamer rack', undefined],
  ])('%s', (words, signs) => {
    expect(signsIn(words)).toEqual(signs)
  })

  it('tips and warnings are nothing to do', () => {
    for (const aside of ['Note: it keeps three days', 'Tip: use ripe fruit', 'Do not open the door', 'Serves eight'])
      expect(isAside(aside)).toBe(true)
    for (const task of ['Bake for 20 minutes', 'Notch the edge', 'Make the icing', 'Tip in the flour']) expect(isAside(task)).toBe(false)
  })
})
