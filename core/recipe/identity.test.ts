import { describe, expect, it } from 'vitest'
import { PANTRY } from '../pantry/pantry'
import { readLine } from './line'

const named = (phrase: string) => readLine(`100 g ${phrase}`, 'uk').lines[0]!

describe('finding an ingredient by its name', () => {
  it.each([
    ['maida', 'flour-plain'],
    ['all-purpose flour', 'flour-plain'],
    ['very ripe bananas', 'banana'],
    ['unsalted butter, softened', 'butter-unsalted'],
    ['light brown sugar', 'sugar-brown'],
    ["confectioners' sugar", 'sugar-icing'],
    ['double cream', 'cream-double'],
    ['fresh curd', 'yogurt-plain'],
    ['bicarb', 'baking-soda'],
    ['corn flour', 'cornstarch'],
    ['raspberry jam', 'jam'],
    ['free-range eggs', 'egg-whole'],
    ['extra virgin olive oil', 'oil-olive'],
    ['freshly squeezed lemon juice', 'lemon-juice'],
    ['chickpea liquid', 'aquafaba'],
  ])('%s', (phrase, id) => {
    const found = named(phrase)
    expect(found.ingredient).toBe(id)
    expect(['exact', 'likely']).toContain(found.match)
  })

  it.each([
    ['vanila extract', 'vanilla-extract'],
    ['buttermlik', 'buttermilk'],
    ['caster suger', 'sugar-white'],
    ['cinammon', 'spice'],
  ])('sees through the misspelling "%s" and says it is only likely', (phrase, id) => {
    const found = named(phrase)
    expect(found.ingredient).toBe(id)
    expect(found.match).toBe('likely')
  })

  it.each(['quillow powder', 'dragon scales', 'zzz'])('does not guess at "%s"', (phrase) => {
    expect(['none', 'unsure']).toContain(named(phrase).match)
  })

  it('never takes butter, cream or milk for one another', () => {
    expect(named('buttermilk').ingredient).toBe('buttermilk')
    expect(named('cream cheese').ingredient).toBe('cream-cheese')
    expect(named('coconut milk').ingredient).toBe('coconut-milk-can')
    expect(named('peanut butter').ingredient).toBe('peanut-butter')
    expect(named('cream of tartar').ingredient).toBe('cream-of-tartar')
  })

  it('finds every ingredient by its own first name', () => {
    for (const i of PANTRY) expect(named(i.names[0]!).ingredient, i.names[0]).toBe(i.id)
  })
})
