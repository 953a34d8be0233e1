import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'
import type { Goal } from './goals'

const best = (text: string, goals: Goal[], more: object = {}) => {
  const o = answer('reformulate', { text, region: 'uk', goals, limit: 1, ...more }).options[0]!
  return { told: o.method.map((s) => s.text).join('\n'), of: (id: string) => o.lines.find((l) => l.ingredient === id)!, o }
}

describe('amounts that a sentence tells', () => {
  it('one flour that becomes several is told with each weight', () => {
    const { told } = best(
      'Ginger slab: melt 100 g butter with 150 g treacle and 100 g brown sugar. Sieve 200 g plain flour with 2 tsp baking powder and 1 tbsp ground ginger. Stir together with 2 eggs and 150 ml milk, pour into a 20 cm square tin and bake at 160 C for 50 minutes.',
      ['gluten-free'],
      { schools: { use: ['gf-flours'] } },
    )
    expect(told).toMatch(/Sieve \d+ g rice flour, \d+ g [\p{L} ]+ and \d+ g/u)
    expect(told).not.toMatch(/200 g rice/)
  })

  it('“100 g each of” two flours that become one is their sum', () => {
    const { told, of } = best(
      'Boiled cake\n100 g plain flour\n100 g self-raising flour\n200 g dried fruit\n120 g butter\n150 g brown sugar\n200 ml water\n2 eggs\n1 tsp bicarbonate of soda\n\nMethod\nBoil the fruit, butter, sugar and water for 5 minutes and stir in the soda; cool. Beat in 2 eggs, then 100 g each of plain and self-raising flour sifted together. Bake in a 20 cm round tin at 160 C for 70 minutes.',
      ['gluten-free'],
    )
    expect(told).toContain(`${of('flour-gf-blend').kitchen} gluten-free flour`)
    expect(told).not.toMatch(/each/)
  })

  it('flour out of the jar is named whole, the flour of the bowl need not be', () => {
    const { told } = best(
      'Cherry cake\n200 g plain flour\n2 tsp baking powder\n170 g butter\n170 g sugar\n3 eggs\n150 g glacé cherries\n\nMethod\nCream the butter and sugar, beat in the eggs and fold in the flour and baking powder. Roll the cherries in a little flour and fold in. Bake in an 18 cm tin at 160 C for 60 minutes.',
      ['gluten-free'],
    )
    expect(told).toMatch(/in a little gluten-free flour/)
  })
})

describe('words that follow what is in the bowl', () => {
  const CAKE =
    'Spice cake\n150 g butter\n150 g brown sugar\n2 eggs\n200 g plain flour\n2 tsp baking powder\n120 ml milk\n\nMethod\nMelt the butter with the sugar; cool it so the eggs don’t set, then beat in the eggs until frothy. Stir in the flour and baking powder with the milk. Bake in a 20 cm tin at 170 C for 35 minutes.'
  it('oil is warmed, and not melted', () => {
    const { told } = best(CAKE, ['dairy-free'], { schools: { use: ['oil'] } })
    expect(told).toMatch(/^Warm the (?:vegetable )?oil with the sugar/m)
  })
  it('sugar is melted all the same', () => {
    const { told } = best(
      'Caramel cake\n100 g sugar\n100 ml water\n120 g butter\n2 eggs\n200 g plain flour\n2 tsp baking powder\n100 g brown sugar\n\nMethod\nMelt the sugar in a dry pan until dark, add the water; cool. Melt the butter, whisk in the brown sugar, eggs and caramel, then the flour and baking powder. Bake in a 20 cm tin at 170 C for 40 minutes.',
      ['dairy-free'],
      { schools: { use: ['oil'] } },
    )
    expect(told).toMatch(/^Melt the sugar in a dry pan/m)
    expect(told).not.toMatch(/Melt the (?:vegetable )?oil/)
  })
  it('what is only said of the eggs does not put them in', () => {
    const { told } = best(CAKE, ['eggless'], { schools: { use: ['yogurt-soda'] } })
    expect(told).toMatch(/so the yogurt don’t set, then beat in the yogurt until smooth/)
  })

  it('where no flour can toughen, nobody is warned of it', () => {
    const cheesecake =
      'Baked cheesecake\n600 g cream cheese\n80 g butter, melted\n150 g sugar\n3 eggs\n30 g cornflour\n\nMethod\nBeat the cheese with the sugar, butter and eggs, stir in the cornflour. Pour into a 20 cm tin and bake at 160 C for 50 minutes.'
    expect(best(cheesecake, ['low-fat']).told).not.toMatch(/toughens/)
    expect(best(CAKE, ['low-fat'], { schools: { use: ['fruit-for-fat'] } }).told).toMatch(/toughens/)
  })

  it('purée goes in before the flour where only a foam is whipped', () => {
    const { told } = best(
      'Marrow loaf\n180 g courgette, grated\n2 eggs\n110 ml oil\n140 g sugar\n200 g self-raising flour\nzest of 1 lemon\n\nMethod\nWhisk the eggs, oil and sugar for 3 minutes until foamy. Stir in the courgette and zest. Fold in the flour. Bake in a 900 g loaf tin at 170 C for 45 minutes.',
      ['low-fat'],
      { schools: { use: ['fruit-for-fat'] } },
    )
    expect(told).toMatch(/Stir in the courgette.*apple purée.*\n?.*Fold in the flour/s)
    expect(told).not.toMatch(/Stir in the apple purée\./)
  })

  it('a time told above the steps follows the oven', () => {
    const { told } = best(
      'Oat cake\n200 g self-raising flour\n150 g sugar\n150 g butter\n3 eggs\n60 ml milk\n\nMethod\nOven: 180 C. Time: 25–30 minutes. Tin: 20 cm round.\nCream the butter and sugar, beat in the eggs, fold in the flour with the milk.\nBake, then cool on a rack.',
      ['gluten-free'],
    )
    expect(told).toMatch(/Time: (?!25)\d+–\d+ minutes/)
    expect(told).not.toMatch(/more than before/)
  })
})

describe('amounts that nobody asked to move', () => {
  it('less sugar means no more butter, in cake or icing', () => {
    const text =
      'Caramel layers\nCake\n220 g butter\n350 g sugar\n4 eggs\n350 g self-raising flour\n220 ml milk\n\nIcing\n120 g butter\n300 g icing sugar\n2 tbsp milk\n\nMethod\nCream the butter and sugar, beat in the eggs, fold in the flour with the milk. Bake in two 20 cm tins at 180 C for 25 minutes. Beat the icing and spread it.'
    for (const l of best(text, ['less-sugar']).o.lines.filter((x) => x.ingredient === 'butter-unsalted'))
      expect(l.to).toBeLessThanOrEqual(l.from)
    const icing = best(text, ['less-sugar']).o.lines.filter((x) => x.ingredient === 'butter-unsalted')[1]!
    expect(icing.to).toBe(icing.from)
  })

  it('a thin custard batter takes the milk of another flour, and not a fifth more', () => {
    const { of } = best(
      'Magic squares\n4 eggs\n140 g sugar\n110 g butter, melted\n110 g plain flour\n500 ml milk\n\nMethod\nWhip the whites. Beat the yolks with the sugar, then butter, flour and milk. Fold in the whites, pour into a 20 cm square tin and bake at 160 C for 60 minutes.',
      ['gluten-free'],
    )
    expect(of('milk-whole').to / of('milk-whole').from).toBeLessThan(1.1)
  })

  it('a nut cake without egg gets no more water than its eggs held', () => {
    const { o } = best(
      'Hazelnut cake\n240 g ground hazelnuts\n220 g sugar\n6 eggs\n\nMethod\nWhisk the eggs and sugar until thick and fold in the nuts. Bake in a 24 cm tin at 175 C for 35 minutes.',
      ['eggless'],
    )
    const water = o.lines.filter((l) => /water|milk|yogurt|aquafaba/.test(l.ingredient)).reduce((sum, l) => sum + l.to, 0)
    expect(water).toBeLessThan(0.8 * 6 * 51)
    expect(water).toBeGreaterThan(80)
  })

  it('butter pays for its own fat, and not for all that the nuts hold', () => {
    const { of } = best(
      'Pecan blondies\n115 g butter\n210 g brown sugar\n1 egg\n125 g plain flour\n80 g white chocolate chips\n100 g pecans\n\nMethod\nMelt the butter, stir in the sugar, egg, flour, chips and nuts. Bake in a 20 cm square tin at 175 C for 22 minutes.',
      ['low-fat'],
    )
    expect(of('butter-unsalted').to).toBeGreaterThan(0.35 * 115)
  })
})

describe('what stands beside the recipe', () => {
  const CAKE = (tail: string, extra = '') =>
    `Yogurt cake\n200 g plain flour\n2 tsp baking powder\n150 g sugar\n3 eggs\n200 g Greek yogurt\n100 ml oil${extra}\n\nMethod\nWhisk the eggs, sugar, yogurt and oil, stir in the flour and baking powder. Bake in a 20 cm tin (1.5 litre) at 175 C for 40 minutes. ${tail}`
  it('a pot on the table is not the pot of the cake', () => {
    expect(best(CAKE('Good with labneh.'), ['vegan']).told).toMatch(/Good with (?:soya|soy|coconut) yogurt\.$/)
  })
  it('a likeness is no food, and a tin’s litres are no milk', () => {
    const { told } = best(CAKE('It wobbles like jelly while it is hot. Butter and sugar a plate for it.'), ['vegan'])
    expect(told).toMatch(/like jelly/)
    expect(told).toMatch(/\(1\.5 litre\)/)
  })
  it('a crust of another flour is not left to stand', () => {
    const { told } = best(
      'Slice\nBase\n150 g self-raising flour\n80 g desiccated coconut\n100 g brown sugar\n120 g butter, melted\n\nTopping\n200 g condensed milk\n100 g desiccated coconut\n\nMethod\nCombine the base and press into a 20 x 30 cm tin. Bake at 180 C for 20 minutes. Mix the topping and spread it over. Chill.',
      ['gluten-free'],
    )
    expect(told).not.toMatch(/stand/)
  })
})

describe('doughs and small things', () => {
  it('a dough that lines its tin is judged and kept as one', () => {
    const text =
      'Apple tart\nDough: 200 g flour, 1 tsp baking powder, 75 g sugar, 80 g butter, 1 egg\nFilling: 900 g apples, 50 g raisins, 1 tsp cinnamon\n\nKnead the dough quickly, line a 26 cm springform with it and pull up an edge.\nPeel and slice the apples, mix with the filling and spread on the dough.\nBake at 180 C for 45 minutes.'
    expect(answer('balance', { text, region: 'eu' })).toMatchObject({ family: 'pastry', findings: [] })
    expect(best(text, ['gluten-free']).told).not.toMatch(/stand/)
  })

  it('“a little milk” without an amount suits the table too', () => {
    const { told } = best(
      'Seed cake\n170 g butter\n170 g sugar\n3 eggs\n220 g plain flour\n2 tsp baking powder\na little milk\n\nMethod\nCream the butter and sugar, beat in the eggs, stir in the flour and baking powder and enough milk to make a soft batter. Bake in an 18 cm tin at 170 C for 60 minutes.',
      ['dairy-free'],
    )
    expect(told).toMatch(/enough soya milk to make/)
    expect(told).not.toMatch(/(?<!soya )milk/)
  })

  it('mounds on a sheet are baked by the time behind them', () => {
    const text =
      'Little cakes\n200 g flour\n100 g butter\n150 g sugar\n1 egg\n1 tsp baking powder\n100 ml milk\n\n190 C, line 2 sheets. Beat the butter and sugar, then egg, flour, baking powder and milk. Scoop mounds well apart. 10-12 min. Cool.'
    const acts = answer('method', { text, region: 'uk' }).steps.flatMap((s) => s.clauses.map((c) => c.act))
    expect(acts.slice(-3)).toEqual(['fill-tin', 'bake', 'cool'])
  })
})
