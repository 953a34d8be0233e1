import { describe, expect, it } from 'vitest'
import { answer } from '../../contract/handle'
import type { Goal } from '../goals'

const first = (text: string, goals: Goal[], more: object = {}) => {
  const o = answer('reformulate', { text, region: 'uk', goals, limit: 1, ...more }).options[0]!
  return { ...o, told: o.method.map((s) => s.text).join('\n') }
}

const MOUSSE = (method: string) =>
  `Lemon mousse cake\nBase:\n150 g digestive biscuits\n70 g butter\n\nMousse:\n10 g powdered gelatine\n60 ml water\n500 g cream cheese\n120 g sugar\n100 ml lemon juice\n\nMethod:\nCrush the biscuits, mix in the melted butter and press into a 20 cm springform tin.\n${method}`

describe('agar in the place of gelatine', () => {
  it('boils in the liquid that the gelatine was given, is not cooled, and goes in warm', () => {
    const { told } = first(
      MOUSSE(
        'Sprinkle the gelatine over the water and leave 5 minutes, then melt it gently. Cool to room temperature. Beat the cream cheese with the sugar and lemon juice. Beat in the gelatine mixture. Pour over the base and chill 4 hours.',
      ),
      ['vegan'],
    )
    expect(told).toMatch(/Whisk the agar into the water and boil it gently for 2 minutes/)
    expect(told).toMatch(/Beat in the still warm agar/)
    expect(told).not.toMatch(/gelatine|room temperature/i)
    expect(told).toMatch(/chill 4 hours/)
  })

  it('boils where it was melted, if it was only soaked before', () => {
    const { told } = first(
      MOUSSE(
        'Soak the gelatine in cold water. Warm the lemon juice, melt the gelatine in it. Beat the cream cheese with the sugar, fold in the gelatine mixture, pour over the base and chill overnight.',
      ),
      ['vegan'],
    )
    expect(told.match(/boil it gently/g)).toHaveLength(1)
    expect(told).not.toMatch(/gelatine/i)
  })
})

describe('soda and a rest that the recipe has', () => {
  const REST =
    'Sponge\n200 g butter\n200 g sugar\n3 eggs\n220 g plain flour\n1 tsp baking powder\n1/2 tsp bicarbonate of soda\n150 ml buttermilk\n\nMethod:\nCream the butter and sugar.\nBeat in the eggs.\nStir in the flour, baking powder and bicarbonate of soda in turns with the buttermilk.\nLet the batter stand for 20 minutes.\nSpread in a 20 cm round tin and bake at 180 C for 40 minutes.'
  it.each([['gluten-free'], ['eggless'], ['dairy-free']] as [Goal][])('%s: the soda goes in behind it', (goal) => {
    const { told } = first(REST, [goal])
    expect(told).toMatch(/stand for 20 minutes\.?\s+Only then sift the bicarbonate of soda/i)
    expect(told.match(/bicarbonate of soda/gi)).toHaveLength(1)
  })
})

describe('things go in where they are poured', () => {
  it('what is poured joins the oil, not the carrots', () => {
    const { told } = first(
      'Carrot tray\n250 g plain flour\n2 tsp baking powder\n4 eggs\n300 g sugar\n270 ml oil\n400 g carrots, grated\n\nMethod:\nWhisk the flour and baking powder. Beat the eggs and sugar for 2 minutes; slowly stream in the oil. Stir the dry ingredients into the wet, then fold in the carrots. Pour into a 9x13 in pan and bake at 180 C for 40 minutes.',
      ['gluten-free'],
    )
    expect(told).toMatch(/stream in the oil and the (?:milk|water)/)
  })

  it('what stands for broken eggs is put, and not beaten to a froth', () => {
    const { told } = first(
      'Sponge\n190 g plain flour\n1 tsp baking powder\n1/4 tsp baking soda\n120 g powdered sugar\n3 eggs\n110 ml oil\n120 ml milk\n\nMethod:\nSieve the flour, baking powder and soda and keep aside. Break the eggs in a bowl, add the sugar and beat 5 mins till frothy. Add the oil, then the flour mix and milk in turns. Pour in a 7 inch tin and bake at 180 degrees for 35 mins.',
      ['eggless'],
      { schools: ['yogurt-soda'] },
    )
    expect(told).toMatch(/Put the yogurt in a bowl, add the sugar and whisk until smooth/)
    expect(told).not.toMatch(/froth|break/i)
  })

  it('a rest comes before the first thing that goes into the dish', () => {
    const { told } = first(
      'Syrup pudding\nPudding:\n200 g plain flour\n2 tsp baking powder\n110 g butter\n200 g sugar\n2 eggs\n\nSyrup:\n350 ml maple syrup\n350 ml cream\n\nMethod:\nBoil the maple syrup and cream for 1 minute and set aside. Cream the butter and sugar. Add the eggs and beat until smooth. Stir in the flour and baking powder.\nPour half of the hot syrup into a 20 cm square dish. Drop the dough in by spoonfuls and pour the remaining syrup over.\nBake at 190 C for 35 minutes.',
      ['gluten-free'],
    )
    expect(told.indexOf('stand for 20')).toBeGreaterThan(0)
    expect(told.indexOf('stand for 20')).toBeLessThan(told.indexOf('Pour half'))
  })
})

describe('what cannot be counted goes in by and by', () => {
  it.each(['Beat in the eggs one by one.', 'Eggs in one at a time.', 'Beat well; eggs in singly.', 'Eggs go in next, one by one.'])(
    '%s',
    (step) => {
      const { told } = first(
        `Sponge\n150 g butter\n150 g caster sugar\n3 eggs\n200 g self-raising flour\n\nMethod:\nCream the butter and sugar.\n${step}\nFold in the flour. Bake in a 20 cm round tin at 180 C for 40 minutes.`,
        ['eggless'],
      )
      expect(told).not.toMatch(/one by one|one at a time|singly/i)
    },
  )
})

describe('what is left of a sentence still says what is done', () => {
  const TORTE =
    'Nut torte\n300 g ground hazelnuts\n200 g sugar\n150 g butter\n5 eggs\n100 g flour\n2 tsp baking powder\n80 ml milk\n\nMethod:\nWork the butter with the sugar until it is a cream; incorporate the yolks one after the other, then the ground hazelnuts, the flour and baking powder, the milk. Whip the whites to snow and add them last. Pour into a 26 cm round tin and bake at 180 C for 40 minutes.'
  it('the verb stays with what follows what left', () => {
    const { told } = first(TORTE, ['eggless'])
    expect(told).toMatch(/incorporate [\w ,]*the ground hazelnuts/)
    expect(told).not.toMatch(/add them last/i)
  })

  it('butter in a list is no greasing of a tin', () => {
    const { told } = first(
      'Sooji cake\n200 g semolina\n150 g yogurt\n100 g sugar\n60 g butter\n1 tsp baking powder\n\nMethod:\nMix the yogurt, sugar and butter well. Add the semolina and baking powder. Pour into a 18 cm round tin and bake at 180 C for 35 minutes.',
      ['dairy-free'],
    )
    expect(told).not.toMatch(/grease well/)
    expect(told).toMatch(/sugar and [\w ]+ well/)
  })

  it('what raises is one of the dry things, before it is anything else', () => {
    const { told } = first(
      'Hot milk cake\n2 eggs\n200 g sugar\n125 g flour\n1 t bkg powder\n1/4 t salt\n120 ml milk\n15 g butter\n\nMethod:\nBeat eggs till thick. Add sugar gradually. Sift dry ing. & add. Heat milk & butter & stir in. Pour in greased 8x8 pan. Bake 25 min at 350.',
      ['eggless'],
    )
    expect(told).not.toMatch(/sugar[^.]*soda/)
  })
})

describe('one amount for several lines', () => {
  it.each([
    ['225 g each butter, caster sugar and self-raising flour'],
    ['butter, caster sugar and self-raising flour, 225 g of each'],
    ['equal weights (225 g) of butter, caster sugar and self-raising flour'],
    ['the same weight of butter, caster sugar and self-raising flour - I use 225 g of each'],
  ])('%s', (row) => {
    const { recipe } = answer('parse', { text: `Sponge\n4 eggs\n${row}\n\nMethod:\nMix all and bake.`, region: 'uk' })
    const grams = Object.fromEntries(recipe.parts[0]!.lines.map((l) => [l.ingredient, Math.round(l.grams.best)]))
    expect(grams).toMatchObject({ 'butter-unsalted': 225, 'sugar-white': 225, 'flour-self-raising': 225 })
  })

  it('their weight is that of the eggs in their shells', () => {
    const { recipe } = answer('parse', {
      text: 'Sponge\n3 medium eggs\ntheir weight in butter, caster sugar and self-raising flour\n\nMethod:\nMix all and bake.',
      region: 'uk',
    })
    const [egg, ...rest] = recipe.parts[0]!.lines
    expect(rest).toHaveLength(3)
    for (const l of rest) expect(l.grams.best / egg!.grams.best).toBeCloseTo(1 / 0.88, 1)
  })
})

describe('foams that are whipped no more', () => {
  const CHIFFON =
    'Orange chiffon cake\nBatter\n6 egg yolks\n60 g sugar\n100 ml sunflower oil\n150 ml orange juice\n180 g plain flour\n2 tsp baking powder\nMeringue\n6 egg whites\n100 g sugar\npinch of salt\n\nMethod\nWhisk the yolks, sugar, oil and juice. Sift in flour and baking powder.\nBeat the egg whites with the salt to soft peaks, then rain in the sugar and beat to a firm meringue.\nFold the meringue into the batter in three goes.\nBake in a 25 cm tube pan at 165 C for 55 minutes.'

  it('a meringue under its own heading goes with all its sentences, its sugar goes in elsewhere', () => {
    const { told } = first(CHIFFON, ['eggless'])
    expect(told).not.toMatch(/meringue|peaks|fold/i)
    expect(told).toMatch(/Whisk in the salt and the other \d+ g of the caster sugar/)
  })

  it('bean-can liquid is whipped and folded in as the whites were', () => {
    const { told } = first(CHIFFON, ['eggless'], { schools: ['aquafaba'] })
    expect(told).toMatch(/Beat the aquafaba with the salt to soft peaks/)
    expect(told).toMatch(/Fold the meringue into the batter/)
  })

  const CHOCOLATE = (method: string) =>
    `Dark cake\n200 g dark chocolate\n150 g butter\n5 eggs, separated\n180 g sugar\n120 g plain flour\n1 tsp baking powder\n\nMethod\n${method}\nPour into a 20 cm round tin and bake at 170 C for 40 minutes.`

  it('what stands for whisked yolks is stirred in where they were', () => {
    const { told } = first(
      CHOCOLATE(
        'Melt the chocolate with the butter. Whisk the yolks till frothy. Quickly stir the yolks into the chocolate. Whisk the whites stiff, then fold in the sugar. Fold the whites into the chocolate mixture. Fold in the flour and baking powder.',
      ),
      ['eggless'],
    )
    expect(told).not.toMatch(/yolk|white|\bstiff/i)
    expect(told).toMatch(/stir the [\w ]+ into the chocolate/i)
  })

  it('nothing is folded in where nothing was whipped', () => {
    const { told } = first(
      CHOCOLATE(
        'Melt the chocolate with the butter, stir in the yolks. Beat the whites to soft peaks, add the sugar and beat until firm. Fold into the yolk mixture. Fold in the flour and baking powder.',
      ),
      ['eggless'],
    )
    expect(told).not.toMatch(/fold into|until firm/i)
  })
})

describe('what stands beside the recipe', () => {
  const CAKE = (end: string) =>
    `Tea cake\n200 g butter\n200 g sugar\n4 eggs\n200 g self-raising flour\n\nMethod\nButter 4 small tins. Cream the butter and sugar, beat in the eggs, fold in the flour. Bake at 180 C for 25 minutes. ${end}`

  it.each([
    ['Serve with whipped cream.', /whipped plant cream/],
    ['Serve with vanilla ice cream.', /dairy-free ice cream/],
    ['Serve with berries.', /Serve with berries\./],
  ])('%s suits the table', (end, words) => {
    const { told } = first(CAKE(end), ['vegan'])
    expect(told).toMatch(words)
    expect(told).toMatch(/Grease 4 small tins/)
  })
})

describe('what comes in where the recipe leaves gaps', () => {
  it('an all-in-one batter stands after it was mixed', () => {
    const { told } = first(
      'Tray\n225 g butter\n225 g sugar\n275 g self-raising flour\n4 eggs\n\nMethod\nGrease a 30 x 23 cm tin.\nMeasure all the ingredients into a bowl and beat well for 2 minutes. Turn into the prepared tin.\nBake at 180 C for 35 minutes.',
      ['gluten-free'],
    )
    expect(told.indexOf('stand for')).toBeGreaterThan(told.indexOf('beat well'))
    expect(told.indexOf('stand for')).toBeLessThan(told.indexOf('prepared tin'))
  })

  it('a topping whose making nobody tells is made before it is used', () => {
    const { told } = first(
      'Buckle\n200 g flour\n150 g sugar\n1 egg\n120 ml milk\n2 tsp baking powder\n60 g oil\n\nCrumb topping\n100 g brown sugar\n50 g flour\n50 g butter\n\nMethod\nMix the sugar, oil and egg, stir in the milk, flour and baking powder. Spread in a 20 cm square tin. Sprinkle with the crumb mixture. Bake at 180 C for 40 minutes.',
      ['vegan'],
    )
    expect(told).toMatch(/For the crumb topping, rub [\w ,]*plant butter to crumbs\. Sprinkle with the crumb mixture/)
  })

  it('half of what shared its line is half of its share', () => {
    const { told } = first(
      'Buns\n85 g butter\n100 g sugar\n1 egg\n190 g plain flour\n1 1/2 tsp baking powder\n160 ml buttermilk\n\nMethod\nBeat butter and sugar, beat in the egg. Combine flour and baking powder. Add a third of the flour, then half of the buttermilk, repeat. Bake at 190 C for 14 minutes in 12 cases.',
      ['vegan'],
      { schools: ['yogurt-soda'] },
    )
    expect(told).toMatch(/half of \d+ g soya yogurt/)
  })

  it('how long it bakes now is told with the bake, and not behind what is done with the cake', () => {
    const { told } = first(
      'Kuchen\nTin: 23 cm springform\nOven: 180 C\nBake: 50-55 mins\n110 g butter\n110 g sugar\n2 eggs\n170 g self-raising flour\n3 tbsp milk\n\nMethod\nCream the butter and sugar, beat in the eggs, fold in the flour, then the milk.\nBake till a skewer comes out clean. Eat warm with custard.',
      ['gluten-free'],
    )
    expect(told).toMatch(/comes out clean\. Bake for \d+ to \d+ minutes now[^.]*\. Eat warm/)
  })
})
