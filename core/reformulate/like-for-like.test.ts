import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'
import type { Goal } from './goals'

const best = (text: string, goals: Goal[], region: 'uk' | 'us' = 'uk') =>
  answer('reformulate', { text, region, goals, limit: 3 }).options[0]!
const grams = (text: string, goals: Goal[], id: RegExp) =>
  best(text, goals)
    .lines.filter((l) => id.test(l.ingredient))
    .reduce((sum, l) => sum + l.to, 0)

const KULFI =
  'Saffron milk cake\n200 g plain flour\n150 g sugar\n150 g yogurt\n180 ml milk\n60 g butter, melted\n1½ tsp baking powder\n\nMethod\nStir the yogurt, milk, sugar and butter. Fold in the flour and baking powder. Bake at 180 C in a 20 cm round tin for 35 minutes.'
const TRIFLE =
  'Orange trifle slice\n200 g digestive biscuits\n250 g mascarpone\n300 ml double cream\n80 g icing sugar\n200 ml orange juice\n2 tbsp rum\n\nMethod\nWhip the cream with the icing sugar and fold in the mascarpone. Stir the orange juice and rum in a shallow bowl. Dip half the biscuits in it and lay them in a 20 cm square dish. Spread with half of the cream. Repeat. Chill for 4 hours.'
const SQUARES =
  'Tahini squares\n220 g tahini\n110 g honey\n2 eggs\n30 g plain flour\n½ tsp bicarbonate of soda\n80 g dark chocolate chips\n\nMethod\nWhisk the tahini, honey and eggs. Stir in the flour and bicarb, then the chips. Press into a 20 cm square tin and bake at 175 C for 22 minutes.'

describe('milk for milk and fat for fat', () => {
  it('keeps its measure, and the rest of the recipe with it', () => {
    const { lines } = best(KULFI, ['vegan'])
    for (const l of lines.filter((x) => x.from > 0 && x.to > 0)) expect(l.to, l.name).toBeCloseTo(l.from, 0)
    expect(grams(KULFI, ['vegan'], /yogurt$/) / 150).toBeGreaterThan(0.92)
    expect(grams(KULFI, ['vegan'], /-milk$/) / 185).toBeGreaterThan(0.92)
  })

  it('says of a stand-in how it is to be when it goes in', () => {
    const lines = best(KULFI, ['dairy-free']).recipe.parts.flatMap((p) => p.lines)
    const fat = lines.find((l) => /plant-butter|oil/.test(l.ingredient ?? ''))!
    expect(fat.text).toMatch(fat.ingredient!.startsWith('oil') ? /^((?!melted).)*$/ : /melted$/)
  })
})

describe('what biscuits are dipped into', () => {
  it('is no part of the cream, and stays as much', () => {
    expect(grams(TRIFLE, ['dairy-free'], /^orange-juice/)).toBeCloseTo(208, 0)
    expect(grams(TRIFLE, ['dairy-free'], /^(?:plant-cream|coconut-cream)$/)).toBeGreaterThan(265)
  })

  it('“repeat” is work in the day', () => {
    const { steps } = answer('counter', { text: TRIFLE, region: 'uk' })
    expect(steps.map((s) => s.text)).toContain('Repeat.')
  })
})

describe('nut butter in the place of flour', () => {
  it('is judged as a whole, not on a spoonful of flour', () => {
    expect(answer('balance', { text: SQUARES, region: 'uk' }).findings.filter((f) => f.severity !== 'note')).toEqual([])
  })

  it.each([['eggless'], ['gluten-free']] as Goal[][])('%s takes no more water than the eggs brought', (goal) => {
    expect(grams(SQUARES, [goal], /^(?:water|.*milk.*)$/)).toBeLessThan(90)
  })
})

describe('shares of what changed', () => {
  const page = (rest: string) =>
    `Nut ring\n1½ cups chopped walnuts, divided\n2 cups all-purpose flour\n1 cup sugar\n2 eggs\n1 cup oil\n1½ tsp baking powder\n\nMethod\nSprinkle 1 cup walnuts into a greased 10-cup Bundt pan. Whisk the eggs, sugar and oil, stir in the flour and baking powder. Pour over the nuts. Bake at 350 F for 50 minutes. ${rest}`
  it('are told with what is theirs of the new amount', () => {
    const option = best(page('Cool, then scatter with the remaining ½ cup walnuts.'), ['nut-free'], 'us')
    const method = option.method.map((m) => m.text).join(' ')
    expect(method).not.toMatch(/walnut|1 cup sunflower|½ cup sunflower/)
    expect(method).toMatch(/Sprinkle ½ cup \+ 1 tbsp|Sprinkle ½ cup \+ 2 tbsp|Sprinkle ⅔ cup/)
  })

  it('a least amount stays the least', () => {
    const text = `Loaf\n200 g flour\n100 g butter\n100 g sugar\n2 eggs\n\nIcing\n150 g icing sugar\n1 to 2 tbsp milk\n\nMethod\nCream the butter and sugar, beat in the eggs, fold in the flour. Bake in a loaf tin at 180 C for 45 minutes. Stir the icing sugar with 1 tbsp milk. Add the remaining milk if it is stiff. Spread on the cold loaf.`
    expect(
      best(text, ['dairy-free'])
        .method.map((m) => m.text)
        .join(' '),
    ).toMatch(/with 1 tbsp (?:soya|oat) milk/)
  })
})

describe('tins and jars', () => {
  const SPONGE =
    'Sponge\n200 g plain flour\n100 g butter\n100 g sugar\n2 eggs\n1 tsp baking powder\n\nMethod\nCream the butter and sugar, beat in the eggs, fold in the flour and baking powder.'
  const method = (tin: string, goals: Goal[]) =>
    best(`${SPONGE} ${tin} Pour in the batter and bake at 180 C for 35 minutes.`, goals)
      .method.map((m) => m.text)
      .join(' ')

  it.each([
    ['Brush a 20 cm round tin with oil and dust it with flour.', 'gluten-free', /dust it with gluten-free flour/],
    ['Butter and starch a 20 cm round tin.', 'dairy-free', /Grease and starch a 20 cm round tin/],
    ['Butter and dust a 20 cm round tin.', 'dairy-free', /Grease and dust/],
  ] as [string, Goal, RegExp][])('%s %s', (tin, goal, expected) => expect(method(tin, [goal])).toMatch(expected))
})

describe('where new things go in', () => {
  const low = (text: string) =>
    best(text, ['low-fat'], 'us')
      .method.map((m) => m.text)
      .join(' ')
  const LIST =
    '2½ cups all-purpose flour\n1½ cups sugar\n1 tsp baking soda\n1 tsp cinnamon\n¾ cup oil\n2 eggs\n1 cup buttermilk\n1 tsp vanilla'

  it('purée is none of “flour and the next 3 ingredients”', () => {
    const method = low(
      `Spice cake\n${LIST}\n\nMethod\nStir together flour and next 3 ingredients; stir in oil and next 3 ingredients. Bake in a 13x9 pan at 350 F for 35 minutes.`,
    )
    expect(method).toMatch(/flour and next 3 ingredients;/)
    expect(method).toMatch(/applesauce|purée/)
  })

  it('nor does it go into boiling water over fruit', () => {
    const method = low(
      `Date cake\n1 cup dates\n1 cup boiling water\n1 tsp baking soda\n½ cup butter\n1 cup sugar\n2 eggs\n1¾ cups all-purpose flour\n\nMethod\nPour the boiling water over the dates and soda; let stand 15 minutes. Cream the butter and sugar. Beat in the eggs. Fold in the dates and flour. Bake in an 8 inch square pan at 350 F for 35 minutes.`,
    )
    expect(method).toMatch(/water over the dates and soda/)
    expect(method).toMatch(/applesauce|purée/)
  })

  it('what is no longer of “that weight” is told with its own', () => {
    const text =
      'Sponge\n\nWeigh 3 eggs in their shells (180 g). Take that weight of butter, caster sugar and SR flour. Cream the butter and sugar. Beat in the eggs. Fold in the flour. Bake in a 20 cm tin at 180 C for 30 minutes.'
    const option = best(text, ['less-sugar'])
    const sugar = option.lines.find((l) => l.ingredient === 'sugar-white')!
    expect(option.method.map((m) => m.text).join(' ')).toContain(`that weight of butter, ${sugar.kitchen} caster sugar and SR flour`)
  })
})

describe('what went with the eggs', () => {
  const told = (text: string, goals: Goal[]) =>
    best(text, goals)
      .method.map((m) => m.text)
      .join(' ')
  const QUARK =
    'Quark cake\n750 g quark\n150 g sugar\n4 eggs, separated\n100 g soft butter\n40 g semolina\n1 tsp baking powder\n\nMethod\nStir butter, sugar and yolks until creamy. Add quark, semolina and baking powder. Beat the whites to snow and fold under. Bake in a 24 cm springform at 175 C for 60 minutes.'

  it('leaves no folding behind', () => expect(told(QUARK, ['eggless'])).not.toMatch(/fold under|snow/i))

  it('a gum that was stirred into the starch is not added again', () => {
    expect(told(QUARK, ['eggless', 'gluten-free']).match(/xanthan gum/g) ?? []).toHaveLength(1)
  })

  it('nothing is put into somebody’s bracket', () => {
    const text =
      'Tea loaf\n225 g mixed fruit soaked overnight in 150 ml tea\n115 g self-raising flour\n85 g sugar\n1 egg\n30 g melted butter\n\nMethod\nMix all together with the fruit (and any tea left). Bake in a 1 lb loaf tin at 170 C for 65 minutes.'
    expect(told(text, ['vegan', 'gluten-free'])).toMatch(/\(and any tea left\)/)
  })
})
