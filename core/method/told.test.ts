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

describe('what is told by the way', () => {
  it('what one needs is not used yet', () => {
    const told = read(
      'You need 3 eggs, 150 g sugar, 60 ml oil and 200 g flour. Whisk the eggs, oil and sugar, fold in the flour. Bake at 180 C for 30 minutes.',
    )
    expect(told.find((c) => c.act !== 'other')!.things).toEqual(['egg-whole', 'oil-vegetable', 'sugar-white'])
  })

  it('so long in its tin is the bake, where nothing else is', () => {
    const told = read('Whisk the eggs and sugar, fold in the flour. Into two lined 20 cm tins, 40 minutes. Cool.')
    expect(told.map((c) => c.act)).toEqual(['foam', 'fold', 'fill-tin', 'bake', 'cool'])
    expect(acts('Mix the flour and butter. Into the tin, 40 minutes in the fridge.')).not.toContain('bake')
  })

  it('a stay and then what is done are two', () => {
    const told = read('Mix everything. Bake at 180 C for 50 minutes. 20 min in the pan then flip out.')
    expect(told.slice(-2)).toMatchObject([{ act: 'cool', minutes: [20, 20] }, { act: 'unmould' }])
  })

  it('“til” is until, and “til” is sesame', () => {
    expect(read('Whisk the eggs and sugar til pale, fold in the flour.')[0]!.things).toEqual(['egg-whole', 'sugar-white'])
    expect(readGiven('Cake\n2 tbsp til\n200 g flour', 'in').recipe.parts[0]!.lines[0]!.ingredient).toBe('sesame-seed')
  })

  it('another way to bake is no second bake', () => {
    expect(acts('Mix. Bake at 180 C for 40 min. OR in a cooker on low flame, 45 min.').filter((a) => a === 'bake')).toHaveLength(1)
  })

  it('while it bakes something is made', () => {
    const told = read('Beat the butter, flour and eggs. Bake for 20 minutes. While they bake mix the milk and vinegar. Cool.')
    expect(told.find((c) => c.things.includes('vinegar'))?.act).toBe('mix')
  })

  it('a skewer test pokes no cake', () => {
    expect(acts('Mix everything. In the tin, in the oven, 45–50 mins. skewer test! Cool.')).not.toContain('poke')
  })

  it.each([
    // An aside about curdling ends where the next thing is done.
    [
      'Whisk in the eggs, adding a spoonful of the flour if it looks like curdling, then stir in the milk.',
      ['egg-whole', 'flour-plain', 'milk-whole'],
    ],
    ['Melt the butter, at which point you should whisk in the sugar.', ['butter-unsalted', 'sugar-white']],
    ['Boil the sugar, milk and vanilla 10 minutes.', ['sugar-white', 'milk-whole', 'vanilla-extract']],
    ['Beat sugar & oil well.', ['sugar-white', 'oil-vegetable']],
  ])('%s', (method, things) => {
    expect(read(method).flatMap((c) => c.things)).toEqual(things)
  })

  it.each([
    ['Loosen with a thin knife.', ['unmould']],
    ['Bake 20 minutes. They will be soft, and firm up on cooling.', ['bake']],
    ['Butter 4 dariole moulds.', ['ready-tin']],
  ])('%s', (method, found) => {
    expect(acts(method)).toEqual(found)
  })

  it('a bracket that speaks of another day is no time of the bake', () => {
    const told = read('Divide among moulds. (Can be chilled up to 24h at this point.) Bake at 200 °C for 12 minutes.')
    expect(told.find((c) => c.act === 'bake')!.minutes).toEqual([12, 12])
  })

  it('"about 50 min." goes on behind its full stop', () => {
    expect(read('Bake approx. 50 min. Cool.').map((c) => [c.act, c.minutes])).toEqual([
      ['bake', [50, 50]],
      ['cool', undefined],
    ])
  })

  it('"the fruit" is all the fruit that is left, "the fats" are all the fats', () => {
    const lines = '3 egg whites\n150 g sugar\n400 g strawberries\n2 kiwi fruit\n200 g butter\n100 g lard'
    expect(read('Whisk the whites and sugar. Top with fruit.', lines).at(-1)!.things).toHaveLength(2)
    expect(read('Melt the fats.', lines)[0]!.things).toEqual(['butter-unsalted', 'lard'])
  })

  it('"remaining sugar" is what is left of it, and nothing that remains', () => {
    expect(read('Beat the eggs w/ remaining sugar until thick.').map((c) => [c.act, c.things])).toEqual([
      ['foam', ['egg-whole', 'sugar-white']],
    ])
  })

  it('bowls of one batter are used together, two batters are not', () => {
    const bowls = 'Dry\n175 g flour\n1 tsp baking powder\nFat\n115 g butter\nWet\n2 eggs\n120 ml milk'
    expect(read('Mix dry + fat on low to damp sand. Whisk wet and add.', bowls)[0]!.things).toContain('butter-unsalted')
  })

  it('a topping that nobody tells how to make is meant where it is used', () => {
    const { recipe } = readGiven(
      'Buckle\n200 g flour\n150 g sugar\n1 egg\n120 ml milk\n\nCrumb topping\n100 g brown sugar\n50 g flour\n50 g butter\n\nMethod\nMix the sugar and egg, stir in the milk and flour. Spread in a 20 cm square tin. Sprinkle with the crumb mixture. Bake 40 minutes.',
      'uk',
    )
    const clause = readMethod(recipe, 'uk')
      .steps.flatMap((s) => s.clauses)
      .find((c) => c.things.some((t) => 'implied' in t))
    expect(clause?.part).toBe(1)
  })

  it.each([
    ['Whisk the eggs and sugar. Tip in tin.', ['foam', 'fill-tin']],
    ['Knead all ingredients to a dough, 40 min fridge. Bake 20 minutes.', ['mix', 'chill', 'bake']],
    ['Mix the flour and baking powder. Make a well, pour in the jug.', ['mix', 'mix', 'mix']],
    ['Pour it over the base. Back in the freezer 2 hours until set.', ['fill-tin', 'freeze']],
    ['Bake 20 min, top springs back.', ['bake']],
  ])('%s, in the words of a hurry', (method, found) => {
    expect(acts(method)).toEqual(found)
  })

  it('"set aside to cool in the pan" is no cooking', () => {
    expect(acts('Bake for 40 minutes. Set aside to cool in the pan.')).toEqual(['bake', 'cool'])
  })

  it('foods side by side without commas are each a thing', () => {
    expect(read('beat butter sugar vanilla till pale')[0]).toMatchObject({ things: ['butter-unsalted', 'sugar-white', 'vanilla-extract'] })
  })

  it('nuts that are chopped fine in a machine are a meal', () => {
    const [first] = read('Chop the hazelnuts finely with the sugar in a food processor.', '200 g hazelnuts\n150 g sugar\n4 eggs')
    expect(first!.things).toContain('flour-hazelnut')
  })
})
