import { describe, expect, it } from 'vitest'
import { lookUp, searchPantry } from './lookup'
import { PANTRY } from './pantry'

describe('finding an ingredient by its name', () => {
  it.each([
    ['maida', 'flour-plain'],
    ['all-purpose flour', 'flour-plain'],
    ['very ripe bananas', 'banana'],
    ['unsalted butter, softened', 'butter-unsalted'],
    ['light brown sugar', 'sugar-brown'],
    ["confectioners' sugar", 'sugar-icing'],
    ['double cream', 'cream-heavy'],
    ['fresh curd', 'yogurt-plain'],
    ['bicarb', 'baking-soda'],
    ['corn flour', 'cornstarch'],
    ['raspberry jam', 'jam'],
    ['free-range eggs', 'egg-whole'],
    ['extra virgin olive oil', 'oil-olive'],
    ['freshly squeezed lemon juice', 'lemon-juice'],
    ['chickpea liquid', 'aquafaba'],
  ])('%s', (phrase, id) => {
    const found = lookUp(phrase)
    expect(found.ingredient?.id).toBe(id)
    expect(['exact', 'likely']).toContain(found.match)
  })

  it.each([
    ['vanila extract', 'vanilla-extract'],
    ['buttermlik', 'buttermilk'],
    ['granualted sugar', 'sugar-white'],
    ['cinammon', 'spice'],
  ])('sees through the misspelling "%s" and says it is only likely', (phrase, id) => {
    const found = lookUp(phrase)
    expect(found.ingredient?.id).toBe(id)
    expect(found.match).toBe('likely')
  })

  it.each(['quillow powder', 'dragon scales', 'zzz'])('does not guess at "%s"', (phrase) => {
    expect(['none', 'unsure']).toContain(lookUp(phrase).match)
  })

  it('never takes butter, cream or milk for one another', () => {
    expect(lookUp('buttermilk').ingredient?.id).toBe('buttermilk')
    expect(lookUp('cream cheese').ingredient?.id).toBe('cream-cheese')
    expect(lookUp('coconut milk').ingredient?.id).toBe('coconut-milk-can')
    expect(lookUp('peanut butter').ingredient?.id).toBe('peanut-butter')
    expect(lookUp('cream of tartar').ingredient?.id).toBe('cream-of-tartar')
  })

  it('finds every ingredient by its own first name', () => {
    for (const i of PANTRY) expect(lookUp(i.names[0]!).ingredient?.id, i.names[0]).toBe(i.id)
  })

  it('searches by the beginnings of words', () => {
    expect(searchPantry('self rais').map((i) => i.id)).toContain('flour-self-raising')
    expect(searchPantry('').length).toBe(PANTRY.length)
    expect(searchPantry('sgar')[0]?.id).toMatch(/sugar/)
  })
})
