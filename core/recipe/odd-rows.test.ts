import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'
import type { Region } from '../measure/region'

const parse = (text: string, region: Region = 'uk') => answer('parse', { text, region }).recipe
const METHOD = '\n\nMethod\nWhisk the eggs and sugar. Fold in the flour. Bake at 180 C for 25 minutes.'
const LIST = 'Sponge\n\n3 eggs\n100 g sugar\n100 g plain flour'
const ids = (text: string) => parse(text).parts.flatMap((p) => p.lines.map((l) => l.ingredient))

describe('rows that are no plain line', () => {
  it.each([
    ['icing sugar, to dust', 'sugar-icing'],
    ['sliced almonds for topping', 'almond'],
    ['cream, to serve', 'cream-heavy'],
    ['butter for greasing', 'butter-unsalted'],
    ['chopped walnuts – to decorate', 'walnut'],
  ])('%s: a thing and what it is for', (row, id) => {
    expect(ids(`${LIST}\n${row}${METHOD}`)).toContain(id)
    expect(parse(`${LIST}\n${row}${METHOD}`).method).toHaveLength(1)
  })

  it('what more of a line is for is of the same thing', () => {
    const sugar = parse(
      `Cake\n300 g rhubarb\n175 g sugar, plus 2 tbsp for the rhubarb\n3 eggs\n200 g flour${METHOD}`,
    ).parts[0]!.lines.filter((l) => l.ingredient === 'sugar-white')
    expect(sugar).toHaveLength(1)
    expect(sugar[0]!.grams.best).toBeGreaterThan(195)
  })

  it.each(['-- Coffee syrup --', '~~~ Coffee syrup ~~~', '*** Coffee syrup ***', '=== Coffee syrup ==='])('%s is a heading', (row) => {
    const { parts } = parse(`${LIST}\n${row}\n120 ml coffee\n60 g sugar${METHOD}`)
    expect(parts.map((p) => p.role)).toEqual(['batter', 'soak'])
  })

  it('a form told by what it holds is no ingredient', () => {
    const { parts, tins } = parse(`Ring cake\n\nFor a Gugelhupf form of 2 litres\n\n${LIST.slice(8)}${METHOD}`)
    expect(parts[0]!.lines).toHaveLength(3)
    expect(tins[0]!.shape).toBe('fluted')
  })

  it('“8x4 loaf pan” is one tin of eight inches by four', () => {
    expect(parse(`${LIST}\n\nMethod\nMix. Spread in an 8x4 loaf pan. Bake at 350F for 50 minutes.`, 'us').tins[0]).toMatchObject({
      shape: 'loaf',
      count: 1,
      mm: { width: 102, length: 203 },
    })
  })

  it('moulds that stand on a sheet are the tins', () => {
    const { tins, parts } = parse(
      `${LIST}\n\nMethod\nMix it. Butter six 200ml pudding moulds and stand them on a baking sheet. Fill and bake at 180 C for 25 minutes.`,
    )
    expect(tins[0]).toMatchObject({ shape: 'round', count: 6 })
    expect(parts[0]!.lines).toHaveLength(3)
  })

  it('what is in the bowl is no oven', () => {
    const told = answer('parse', {
      text: `${LIST}\n\nMethod\nWhisk the eggs and sugar over a bain-marie until 40°C. Fold in the flour. Bake at 160°C for 35 minutes.`,
      region: 'uk',
    })
    expect(told.recipe.oven.map((o) => o.celsius)).toEqual([160])
    expect(told.questions.filter((q) => q.about === 'temperature')).toEqual([])
  })

  it('what steps tell before the next list is of the list above', () => {
    const { parts } = parse(
      'Sheet cake\n2 cups flour\n2 cups sugar\n1 tsp soda\nBoil 1 cup water with 2 sticks butter. Pour over dry, mix.\nAdd 1/2 cup buttermilk and 2 beaten eggs. Mix.\nPour in a 10x15 pan. 350, 20 min.\n\nIcing\n1 stick butter\n6 Tbsp buttermilk\nBring to boil. Beat in 1 box (3 3/4 cups) powdered sugar. Pour over.',
      'us',
    )
    expect(parts[0]!.lines.map((l) => l.ingredient)).toEqual(
      expect.arrayContaining(['water', 'butter-unsalted', 'buttermilk', 'egg-whole']),
    )
    expect(parts[1]!.lines.map((l) => l.ingredient)).toContain('sugar-icing')
  })

  it('“Add:” parts nothing off', () => {
    expect(
      parse('Cake\nMix:\n2 cups flour\n1 cup sugar\nAdd:\n2 eggs\n1/2 cup shortening\n\nBeat. Bake at 350F for 30 minutes.', 'us').parts,
    ).toHaveLength(1)
  })

  it('“Three milks” heads what follows, and half-and-half is weighed', () => {
    const { parts } = parse(`${LIST}\n\nThree milks\n1 can evaporated milk (12 oz)\n1 cup half and half${METHOD}`, 'us')
    expect(parts[1]).toMatchObject({ name: 'Three milks', role: 'soak' })
    expect(parts[1]!.lines.every((l) => l.grams.best > 200)).toBe(true)
  })

  it('lettered sets on one row each are the batter', () => {
    const { parts, method } = parse(
      'Chiffon\n\nSet A: 5 yolks, 20g sugar, 50ml oil, 70ml orange juice, 100g cake flour\nSet B: 5 whites, 75g sugar\n\n1. Whisk yolks and sugar. Add oil and juice. Sift in flour.\n2. Beat whites and sugar to stiff peaks and fold in.\n3. Bake 170C 35 mins.',
    )
    expect(parts.map((p) => [p.role, p.lines.length])).toEqual([
      ['batter', 5],
      ['batter', 2],
    ])
    expect(method).toHaveLength(3)
  })

  it('a line that sets the oven and readies the tin is a step', () => {
    expect(
      parse('Cake\n3 eggs\n100 g sugar\n100 g flour\n\nOven 350. Butter and flour a 9x13 dish.\nWhisk and bake 25 min.', 'us').method,
    ).toHaveLength(2)
  })

  it('of two tins the first that is named', () => {
    expect(
      parse('Cake\n3 eggs\n100 g sugar\n100 g flour\n\nMethod\nMix. Spread in a greased 9x13 or bundt. Bake at 350F 25 min.', 'us').tins[0],
    ).toMatchObject({
      shape: 'rect',
      mm: { width: 229, length: 330 },
    })
  })

  it('what stands in brackets under a title is no ingredient', () => {
    expect(
      parse('Boiled cake\n(from the back of an envelope)\n\n200 g flour\n100 g sugar\n2 eggs\n\nMix. Bake at 180 C for 40 minutes.')
        .parts[0]!.lines,
    ).toHaveLength(3)
  })
})

describe('many things on one row', () => {
  it('a comma before the next amount parts them', () => {
    const { parts } = parse(
      'Plum torte\n\n3/4 cup sugar, 1/2 cup unsalted butter softened, 1 cup flour, 1 tsp baking powder, pinch of salt, 2 eggs, 24 halves pitted plums, sugar + lemon juice for topping\n\nCream the sugar and butter. Add the rest and bake at 350F for 1 hour.',
      'us',
    )
    const ids = parts[0]!.lines.map((l) => l.ingredient)
    expect(ids).toEqual(expect.arrayContaining(['sugar-white', 'butter-unsalted', 'flour-plain', 'baking-powder', 'salt', 'egg-whole']))
    expect(parts[0]!.lines.find((l) => l.ingredient === 'lemon-juice')?.grams.best ?? 0).toBeLessThan(100)
  })

  it('a row between bars may begin with what its things are', () => {
    const { parts } = parse(
      'Snack cake\nDRY  1 1/3 c flour | 1 tsp baking powder | 1/4 tsp soda\nWET  1/2 c tahini | 2/3 c brown sugar | 2 eggs\n\nWhisk the dry. Whisk the wet. Combine and bake at 350F for 32 min.',
      'us',
    )
    expect(parts.flatMap((p) => p.lines.map((l) => l.ingredient))).toEqual([
      'flour-plain',
      'baking-powder',
      'baking-soda',
      'tahini',
      'sugar-brown',
      'egg-whole',
    ])
  })

  it('steps numbered within a row are as many steps', () => {
    expect(
      parse('Brownies\nDry: 90g oat flour, 40g cocoa\nWet: 2 eggs, 120g maple syrup\n\n1) whisk wet 2) stir in dry 3) bake 18 min at 175C')
        .method,
    ).toHaveLength(3)
  })

  it('a part told on one row ends with a blank line', () => {
    const { parts } = parse(
      'Ring\n\nfor the pan: 1 tbsp soft butter, 2 tbsp sugar\n\n3 eggs\n200 g sugar\n250 g flour\n120 ml oil\n\nMix and bake at 180C for 45 min.',
    )
    expect(parts.map((p) => [p.role, p.lines.length])).toEqual([
      ['other', 2],
      ['batter', 4],
    ])
  })
})

describe('what looks like something else', () => {
  it.each([
    ['2 cups mini chocolate chips', 'chocolate-chips'],
    ['4 cups mini marshmallows', 'marshmallow'],
  ])('%s is no tin', (row, id) => {
    const line = parse(`${LIST}\n${row}${METHOD}`, 'us').parts[0]!.lines.find((l) => l.ingredient === id)
    expect(line?.grams.best).toBeGreaterThan(100)
  })

  it('a pot that measures is no yogurt', () => {
    const { parts } = parse(
      'Pot cake\n\nYou need a yogurt pot (125 g) as your measure!\n\n1 pot plain yogurt\n2 pots sugar\n3 pots flour\n3 eggs\n\nMix. Bake at 180C for 45 mins.',
    )
    expect(parts[0]!.lines.map((l) => l.ingredient)).toEqual(['yogurt-plain', 'sugar-white', 'flour-plain', 'egg-whole'])
  })

  it('two flours of one kind on a row are summed', () => {
    const flour = parse(
      'Cake\nWheat flour 1 cup + maida 1/2 cup\n100 g sugar\n2 eggs\n\nMix. Bake at 180C for 45 mins.',
      'in',
    ).parts[0]!.lines.filter((l) => l.ingredient?.startsWith('flour'))
    expect(flour.reduce((g, l) => g + l.grams.best, 0)).toBeGreaterThan(170)
  })

  it('a frosting behind a dash is a part', () => {
    expect(
      parse(
        'Carrot cake\n200 g flour\n150 g sugar\n2 eggs\nFrosting - hung curd 1 cup, powdered sugar 4 tbsp\n\nMix. Bake at 180C for 45 mins. Whisk frosting and spread.',
        'in',
      ).parts.map((p) => p.role),
    ).toEqual(['batter', 'frosting'])
  })

  it('as much as the eggs weigh: told beside it, or what eggs weigh', () => {
    const grams = (row: string) => parse(`Sandwich\n${row}${METHOD}`).parts[0]!.lines.map((l) => [l.ingredient, Math.round(l.grams.best)])
    const told = grams('3 eggs weighed in their shells, then the same weight of butter, caster sugar & SR flour (about 180g each)')
    expect(told).toEqual([
      ['egg-whole', 153],
      ['butter-unsalted', 180],
      ['sugar-white', 180],
      ['flour-self-raising', 180],
    ])
    expect(
      grams('4 eggs, their weight in butter, sugar and self-raising flour')
        .slice(1)
        .map(([, g]) => g),
    ).toEqual([240, 240, 240])
  })

  it('a pot that is the measure of the others is in the cake as well', () => {
    const lines = parse(
      `Pot cake\nOne pot of plain yogurt (125 g). Then use the pot as your measure:\n- 3 pots flour\n- 2 pots sugar\n- 3 eggs${METHOD}`,
    ).parts[0]!.lines
    expect(lines.map((l) => l.ingredient)).toEqual(['yogurt-plain', 'flour-plain', 'sugar-white', 'egg-whole'])
  })

  it('among rows with bullets, a word without one stands over the next', () => {
    const { parts } = parse(
      `Milk cake\nSponge\n- 3 eggs\n- 100 g sugar\n- 100 g flour\nMilks\n- 1 can evaporated milk (400 g)\n- 100 ml cream${METHOD}`,
    )
    expect(parts.map((p) => p.role)).toEqual(['batter', 'soak'])
  })

  it('lettered lists are bowls of one batter', () => {
    const { parts } = parse(
      `Cotton cake\nIngredients (A)\n140 g cream cheese\n40 g butter\n100 ml milk\nIngredients (B)\n40 g flour\n4 egg yolks\nIngredients (C)\n4 egg whites\n80 g sugar\n\nMethod\nMelt (A). Sift in the flour, add the yolks. Whip the whites and sugar and fold in. Bake at 150 C for 60 minutes.`,
    )
    expect(parts.map((p) => [p.name, p.role])).toEqual([
      ['A', 'batter'],
      ['B', 'batter'],
      ['C', 'batter'],
    ])
  })

  it.each(['zest of ½ a lemon', 'zest of half a lemon', '1 packet baking powder'])('%s is one thing, and little of it', (row) => {
    const lines = parse(`${LIST}\n${row}${METHOD}`).parts[0]!.lines.slice(3)
    expect(lines).toHaveLength(1)
    expect(lines[0]!.grams.best).toBeLessThan(20)
  })

  it('a card that tells its method between its lines is read as one batter, and its orders are the method', () => {
    const { parts, method } = parse(
      'Old gingerbread\nSift together:\n2 1/2 cups flour\n1 1/2 tsp soda\n1 tsp each cinnamon and ginger\nCream:\n1/2 cup shortening\n1/2 cup sugar\nAdd:\n1 egg, beaten\n1 cup molasses\nThen add the sifted dry ingredients and last\n1 cup hot water\nand beat until smooth. Bake in a 9 x 9 pan at 350 F for 45 minutes.',
      'us',
    )
    expect(parts).toHaveLength(1)
    expect(method.slice(0, 4)).toEqual([
      'Sift together flour, soda, cinnamon and ginger.',
      'Cream shortening and sugar.',
      'Add egg and molasses.',
      'Then add the sifted dry ingredients and last hot water.',
    ])
  })

  it('a jelly told on one row is a part, whatever its name means by itself', () => {
    const { parts } = parse(
      `Mango cheesecake\nbase: 200g digestives, 100g melted butter\nfilling: 400g cream cheese, 100g icing sugar, 300ml whipping cream\njelly: 150ml mango puree, 50ml water, 5g gelatine\n\nMethod\nCrush the biscuits, mix with the butter. Beat the cheese and sugar, fold in the cream. Chill.`,
    )
    expect(parts.map((p) => p.name)).toEqual(['Base', 'Filling', 'Jelly'])
  })

  it('berries and sugar under a name that says nothing go between or on top', () => {
    const { parts } = parse(
      `Shortcakes\nDough\n240 g flour\n85 g butter\n1 egg\n1 tbsp baking powder\nBERRIES\n600 g strawberries\n50 g sugar${METHOD}`,
    )
    expect(parts[1]!.role).toBe('filling')
  })

  it.each([
    ['(i)', '(ii)', '(iii)'],
    ['I.', 'II.', 'III.'],
  ])('steps counted %s are steps without their numbers', (...n) => {
    const { method } = parse(
      `${LIST}\n\nMethod\n${n[0]} Whisk the eggs and sugar.\n${n[1]} Fold in the flour.\n${n[2]} Bake at 180 C for 25 minutes.`,
    )
    expect(method).toEqual(['Whisk the eggs and sugar.', 'Fold in the flour.', 'Bake at 180 C for 25 minutes.'])
  })

  it('what is prepared and has no amount is a thing, not a step, and nobody is asked how much of it', () => {
    const { recipe, questions } = answer('parse', { text: `${LIST}\ntoasted flaked almonds & candied violets${METHOD}`, region: 'uk' })
    expect(recipe.parts[0]!.lines.map((l) => l.ingredient)).toContain('almond')
    expect(recipe.method).toHaveLength(1)
    expect(questions).toEqual([])
  })

  it('"Tip into the tin" is a step and no tip', () => {
    expect(parse(`${LIST}\n\nMethod\nWhisk it all.\nTip into the tin and level.\nBake at 180 C for 25 minutes.`).method).toHaveLength(3)
    expect(parse(`${LIST}${METHOD}\nTip: serve it warm.`).method).toHaveLength(1)
  })

  it('a heat on the other scale is no amount of cups', () => {
    const { parts } = parse(`${LIST}\n\nMethod\nWhisk the eggs and sugar over hot water to 149F (65C). Fold in the flour. Bake.`, 'us')
    expect(parts.flatMap((p) => p.lines)).toHaveLength(3)
  })

  it('"Fat and flour for the mould" heads nothing', () => {
    expect(parse(`${LIST}\nfat and flour for the mould\nicing sugar for dusting${METHOD}`).parts).toHaveLength(1)
  })

  it('an icing that a letter tells behind its method is a part, and the letter’s greeting no title', () => {
    const { parts, title } = parse(
      `Dear Jo,\n\nPlain cake\n200 g flour\n2 eggs\n150 g sugar\n100 g butter${METHOD}\n\nThe icing I use is 50 g butter, 200 g icing sugar and 2 tbsp milk.`,
    )
    expect(title).toBe('Plain cake')
    expect(parts.map((p) => [p.name, p.lines.length])).toEqual([
      ['Cake', 4],
      ['Icing', 3],
    ])
  })

  it('bread is bread, and a pudding of it needs nothing to raise it', () => {
    const text =
      'Bread pudding\n400 g stale white bread\n350 ml milk\n2 eggs\n100 g suet\n150 g brown sugar\n200 g raisins\n\nMethod\nPour the milk over the bread and leave it an hour. Stir in everything else. Bake in a 20 cm square tin at 180 C for 75 minutes.'
    expect(ids(text)[0]).toBe('bread')
    expect(answer('balance', { text, region: 'uk' }).findings.filter((f) => f.severity === 'fault')).toEqual([])
  })

  it('whites, sugar and butter are an icing, whatever letters head them', () => {
    const { parts } = parse(`${LIST}\n\nIMB\n120 g egg whites\n240 g sugar\n300 g butter${METHOD}`)
    expect(parts[1]!.role).toBe('frosting')
  })

  it('a card drawn with bars: its frame is no title, its head no part, its oven a step', () => {
    const { title, parts, method } = parse(
      '+------------------+\n| PLUM PAN CAKE |\n+------------------+\nwhat | how much | prep\n-----|------|-----\nplums | 300 g | halved\nbrown sugar | 140 g |\neggs | 2 |\nplain flour | 180 g | sifted\ndemerara | 1 tbsp | for the top\n\nDO THIS\n[ ] oven 175 °C; butter a 24 cm pan\n[ ] whisk sugar + eggs\n[ ] fold in the flour\n[ ] 35 min',
    )
    expect(title).toBe('PLUM PAN CAKE')
    expect(parts).toHaveLength(1)
    expect(parts[0]!.name).toBe('Cake')
    expect(method[0]).toMatch(/butter a 24 cm pan/)
    const { steps } = answer('method', {
      recipe: parse(`Cake\n140 g brown sugar\n2 eggs\n180 g flour\n1 tbsp demerara, for the top\n\nMethod\nWhisk the sugar and eggs.`),
    })
    expect(JSON.stringify(steps[0]!.clauses[0]!.things)).toMatch(/sugar-brown/)
  })
})

describe('rows that tell of the tin, the table and the next part', () => {
  const parts = (text: string) => parse(text).parts.map((p) => [p.role, p.lines.map((l) => l.ingredient)])

  it('a fat and crumbs for the form are no step, and ask for no amount', () => {
    const page =
      'Ring cake\n200 g butter\n200 g sugar\n4 eggs\n300 g flour\n2 tsp baking powder\n100 ml milk\nbutter + semolina for the ring form\n\nBeat all but the flour. Fold in the flour and baking powder. Fill a 22 cm ring form and bake at 175 C for 50 minutes.'
    const { recipe, questions } = answer('parse', { text: page, region: 'uk' })
    expect(recipe.method.join(' ')).not.toMatch(/for the ring form/)
    expect(questions).toEqual([])
  })

  it('times and servings between bars head no part; a part that begins in the same row is one', () => {
    const page =
      'YOGURT SLAB\n45 min | serves 12 | very easy\n\n200g plain yogurt, 180g caster sugar, 3 eggs, 120ml oil, 250g self-raising flour, pinch salt. Glaze: 100g icing sugar, juice 1 lemon.\n\nWhisk all of the cake. Bake in a 20 cm square tin at 170C for 40 min. Mix the glaze and spread over the cold cake.'
    expect(parts(page)).toEqual([
      ['batter', ['yogurt-plain', 'sugar-white', 'egg-whole', 'oil-vegetable', 'flour-self-raising', 'salt']],
      ['frosting', ['sugar-icing', 'lemon-juice']],
    ])
  })
})

describe('pages told in signs', () => {
  const NOTES =
    'Plum tray\n🧈 150 g butter\n🍚 150 g sugar\n🥚 3 eggs\n🌾 200 g self-raising flour\n🍑 300 g plums\n\n👉 oven ready? paper in the tin\n👉 butter + sugar: beat till pale\n👉 eggs in, one by one\n👉 flour on top, fold\n👉 tin → oven 40 min → golden? done\n👉 10 min in the tin, then out'
  const told = (text: string) => answer('method', { text, region: 'uk' }).steps

  it('all that has the bullet of the steps is a step', () => {
    expect(parse(NOTES).method).toHaveLength(6)
  })

  it('a row of arrows leads from one deed to the next: the oven’s minutes are the bake', () => {
    const acts = told(NOTES).flatMap((s) => s.clauses.map((c) => c.act))
    expect(acts.filter((a) => a === 'bake')).toHaveLength(1)
    expect(acts.indexOf('bake')).toBeGreaterThan(acts.indexOf('fold'))
  })

  it.each([
    ['180 °C, fan off', false],
    ['180 °C fan', true],
    ['no fan 180 °C', false],
    ['fan 180 °C', true],
  ])('%s', (heat, fan) => {
    expect(parse(`${LIST}\n\nMethod\nWhisk the eggs and sugar. Fold in the flour. Bake at ${heat} for 25 minutes.`).oven[0]).toMatchObject({
      celsius: 180,
      fan,
    })
  })

  it('questions and answers without their letters', () => {
    const page =
      'Q: What goes in?\nA: 120 g butter, 120 g sugar, 2 eggs, 120 g self-raising flour.\n\nQ: How do you make it?\nA: Cream the butter and sugar. Beat in the eggs, fold in the flour and bake at 180 C in an 18 cm tin for 30 minutes.'
    const recipe = parse(page)
    expect(recipe.parts[0]!.lines).toHaveLength(4)
    expect(recipe.method.join(' ')).toMatch(/Cream the butter/)
  })
})
