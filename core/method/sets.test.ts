import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'

const CHIFFON = (method: string) =>
  `Tall chiffon\nA  120 g plain flour\n   1 tsp baking powder\n   80 g caster sugar\nB  4 egg yolks\n   60 ml oil\n   80 ml orange juice\nC  4 egg whites\n   90 g caster sugar\n\nMethod\n${method}`
const TOLD = CHIFFON(
  'Sift A into a bowl.\nAdd B and whisk smooth.\nWhip the whites in C, adding the sugar, to stiff peaks.\nFold a third of the meringue into the yolk batter, then the rest. No white streaks.\nPour into an ungreased 20 cm tube tin and bake at 165 C for 45 minutes.',
)
const uses = (text: string, at: number) =>
  answer('counter', { text, region: 'uk' })
    .steps.filter((s) => s.kind === 'do')
    [at]!.uses.map((u) => u.ingredient)

describe('sets that a method speaks of by their letters', () => {
  it('all of a set goes in where its letter stands, and nothing twice', () => {
    expect(uses(TOLD, 0)).toEqual(['flour-plain', 'baking-powder', 'sugar-white'])
    expect(uses(TOLD, 1)).toEqual(['egg-yolk', 'oil-vegetable', 'orange-juice'])
    const steps = answer('counter', { text: TOLD, region: 'uk' }).steps
    expect(steps.flatMap((s) => s.uses).filter((u) => u.ingredient === 'egg-yolk')).toHaveLength(1)
  })

  it('"A" before a thing is an article', () => {
    const text = CHIFFON(
      'A large bowl is best. Sift A. Whisk in B.\nWhip C to peaks, fold in and bake in a tube tin at 165 C for 45 minutes.',
    )
    const steps = answer('counter', { text, region: 'uk' }).steps
    expect(steps.flatMap((s) => s.uses).filter((u) => u.ingredient === 'flour-plain')).toHaveLength(1)
  })

  it('without egg the meringue goes, its sugar joins the yolks’ set, and dry things the flour’s', () => {
    const o = answer('reformulate', { text: TOLD, region: 'uk', goals: ['eggless'], schools: { use: ['yogurt-soda'] }, limit: 1 })
      .options[0]!
    const told = o.method.map((s) => s.text).join('\n')
    expect(told).toMatch(/Sift A \(with the bicarbonate of soda\)/)
    expect(told).toMatch(/B \(with the yogurt\)/)
    expect(told).toMatch(/the other .* of the caster sugar/)
    expect(told).not.toMatch(/meringue|whites?|streaks|yolk/i)
  })
})

describe('acts beside the oven', () => {
  const read = (method: string, extra = '') =>
    answer('method', {
      text: `Cake\n200 g flour\n150 g sugar\n3 eggs\n250 ml whipping cream\n${extra}\nMethod\n${method}`,
      region: 'uk',
    }).steps.flatMap((s) =>
      s.clauses.map((c) => ({ act: c.act, things: c.things.flatMap((t) => ('ingredient' in t ? [t.ingredient] : [])) })),
    )

  it('“whip the cream stiff” whips cream, and no sachet', () => {
    expect(read('Whip the cream stiff.')).toEqual([{ act: 'foam', things: ['cream-heavy'] }])
  })
  it('“whipping” behind a comma is how it is done', () => {
    expect(read('Beat the eggs and sugar, whipping, until pale.').every((c) => !c.things.includes('cream-heavy'))).toBe(true)
  })
  it.each(['Lovely with custard.', 'So good with a spoon of cream.'])('“%s” serves', (words) => {
    expect(read(`Bake at 180 C for 30 minutes. ${words}`).at(-1)!.act).toBe('serve')
  })
})

describe('words for all of a part', () => {
  it.each(['everything for the sponge', 'all the ingredients for the sponge'])('“%s”', (words) => {
    const text = `Fruit bake\nSponge\n100 g butter\n100 g sugar\n2 eggs\n100 g self-raising flour\nFruit\n300 g plums\n\nMethod\nHalve the plums.\nPut ${words} in a bowl and beat for 2 minutes.\nSpread two thirds of it in a 20 cm tin. Top with the plums and the remaining batter. Bake at 170 C for 40 minutes.`
    const steps = answer('counter', { text, region: 'uk' }).steps
    expect(steps.find((s) => s.uses.some((u) => u.ingredient === 'butter-unsalted'))!.uses).toHaveLength(4)
    const acts = answer('method', { text, region: 'uk' }).steps.flatMap((s) => s.clauses.map((c) => c.act))
    expect(acts.indexOf('fill-tin')).toBeLessThan(acts.indexOf('bake'))
  })

  it('a labelled row of a list heads the step under it', () => {
    const text =
      'Slice\nBASE: 150 g flour, 100 g butter, 60 g sugar\nRub together and press into a 20 x 30 cm tin. Bake at 180 C for 15 minutes.\nTOPPING: 200 g condensed milk, 100 g coconut, 1 tsp vanilla\nMix well and spread over the base. Bake for 15 minutes more.'
    const steps = answer('counter', { text, region: 'uk' }).steps
    expect(steps.find((s) => s.uses.some((u) => u.ingredient === 'condensed-milk'))!.text).toMatch(/^Mix well/)
  })

  it('“butter and bread a tin” readies it', () => {
    const text =
      'Cake\n100 g butter\n2 eggs\n100 g sugar\n100 g flour\n1 tsp baking powder\n\nMethod\nButter and bread a 22 cm tin. Melt the butter, stir in all the rest and bake at 175 C for 20 minutes.'
    const [first] = answer('method', { text, region: 'uk' }).steps[0]!.clauses
    expect(first!.act).toBe('ready-tin')
    expect(answer('reformulate', { text, region: 'uk', goals: ['gluten-free'], limit: 1 }).options[0]!.method[0]!.text).toMatch(
      /^Butter and dust a 22 cm tin/,
    )
  })
})
