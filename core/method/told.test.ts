import { describe, expect, it } from 'vitest'
import { readGiven } from './given'
import { readMethod } from './read'
import { isLine } from './step'

const LINES =
  '200 g butter\n150 g sugar\n3 eggs\n200 g flour\n1 tsp baking powder\n100 ml milk\n60 ml oil\n1 tbsp vinegar\n1 tsp vanilla extract'
const read = (method: string, lines = LINES) => {
  const { recipe } = readGiven(`Cake\n${lines}\n\nMethod\n${method}`, 'uk')
  return readMethod(recipe, 'uk').steps.flatMap((s) =>
    s.clauses.map((c) => ({ act: c.act, minutes: c.minutes, things: c.things.flatMap((t) => (isLine(t) ? [t.ingredient] : [])) })),
  )
}
const acts = (method: string, lines?: string) => read(method, lines).map((c) => c.act)

describe('methods that are told rather than ordered', () => {
  it('"one takes … and works them" is one act with its things', () => {
    const [first] = read('One takes butter and sugar and works them a good quarter of an hour until white.')
    expect(first).toMatchObject({ act: 'cream', minutes: [15, 15], things: ['butter-unsalted', 'sugar-white'] })
  })

  it('what stands, waits or cools may be the subject', () => {
    expect(acts('Bake the first tray for 10 minutes at 200 °C, the second waits meanwhile in the fridge.')).toEqual(['bake', 'chill'])
    expect(acts('Bake for 30 minutes at 180 °C. The cake keeps four days in a tin.')).toEqual(['bake'])
  })

  it('a wait that only an "after" tells is a wait', () => {
    const told = read('Pour the milk over the cake. After 3 hours in the fridge, spread with butter.')
    expect(told.map((c) => c.act)).toContain('chill')
    expect(told.find((c) => c.act === 'chill')!.minutes).toEqual([180, 180])
  })

  it('the time of a meal ends with the meal', () => {
    expect(acts('Shortly before dinner get the oven to 200C. Bake for 12 minutes.')).toEqual(['heat-oven', 'bake'])
  })

  it('terse places follow each other', () => {
    expect(acts('Mix everything for one minute and straight into a lined tin and a 170 °C fan oven for 45 minutes.')).toEqual([
      'mix',
      'fill-tin',
      'bake',
    ])
    expect(acts('Mix everything. In the tin, in the oven, 55-60 mins.')).toEqual(['mix', 'bake'])
  })

  it('a warning ends at its colon, and how long it keeps is no time of anybody', () => {
    expect(acts('Do not heat the oven before the batter is mixed: 170 °C. Beat the eggs with the sugar until thick.')[0]).toBe('heat-oven')
    expect(read('Bake at 180 °C. Stays moist for a week.').every((c) => !c.minutes || c.minutes[1] < 1000)).toBe(true)
  })

  it('holes in the batter are no tins', () => {
    const put = read(
      'Sift the flour into a tin and make three holes: put the vinegar in one, the vanilla in another and the oil in the third.',
    )
    expect(put.find((c) => c.things.includes('vinegar'))!.act).toBe('mix')
  })
})
