import { describe, expect, it } from 'vitest'
import { readGiven } from '../method/given'

const shape = (text: string) =>
  Object.fromEntries(
    readGiven(text, 'uk').recipe.parts.map((p) => [p.name, p.lines.map((l) => `${l.ingredient} ${Math.round(l.grams.best)}`)]),
  )
const METHOD = '\n\nMethod\nMix and bake in a 20 cm round tin at 170 C for 40 minutes.'

describe('sets by letters', () => {
  it.each(['', ')', '.'])('a letter%s before the first row of a set heads it', (mark) => {
    const parts = shape(
      `Lime chiffon\nA${mark}  120 g plain flour\n   1 tsp baking powder\nB${mark}  4 egg yolks\n   60 ml oil\nC${mark}  4 egg whites\n   90 g caster sugar${METHOD}`,
    )
    expect(parts).toEqual({
      A: ['flour-plain 120', 'baking-powder 5'],
      B: ['egg-yolk 71', 'oil-vegetable 55'],
      C: ['egg-white 135', 'sugar-white 90'],
    })
  })

  it('one letter alone, or letters out of order, are no sets', () => {
    const { recipe } = readGiven(`Sponge\nB 200 g plain flour\nA 3 eggs\n150 g sugar\n100 g butter${METHOD}`, 'uk')
    expect(recipe.parts).toHaveLength(1)
  })

  it('what a heading adds to its letter is no name', () => {
    const parts = shape(
      `Steamed cake\nGroup A – melted\n100 g butter\n100 g sugar\nGroup B – sieved\n150 g plain flour\n2 tsp baking powder\nGroup C\n3 eggs${METHOD}`,
    )
    expect(Object.keys(parts)).toEqual(['A', 'B', 'C'])
  })
})

describe('rows that string names with their amounts', () => {
  it.each([' / ', ', ', ' + ', '; '])('joined by "%s"', (joint) => {
    const row = ['Soft butter 120 g', 'caster sugar 110 g', 'eggs 2', 'plain flour 130 g', 'baking powder 1 tsp'].join(joint)
    const [lines] = Object.values(shape(`Little cakes\n${row}${METHOD}`))
    expect(lines).toEqual([
      'butter-unsalted 120',
      'sugar-white 110',
      expect.stringMatching(/^egg-whole/),
      'flour-plain 130',
      'baking-powder 5',
    ])
  })

  it('a step that begins with what is done stays a step', () => {
    const { recipe } = readGiven(
      'Cake\n120 g butter\n120 g sugar\n2 eggs\n120 g flour\n\nMethod\nCream butter 120 g, sugar 120 g, eggs 2, then flour 120 g.\nBake in a 20 cm tin at 170 C for 30 minutes.',
      'uk',
    )
    expect(recipe.method[0]).toMatch(/^Cream butter/)
    expect(recipe.parts[0]!.lines).toHaveLength(4)
  })
})

describe('two columns under headings', () => {
  it('each heading keeps what stands beside its lines', () => {
    const parts = shape(
      `Plum tray\n\nDOUGH\n3 eggs                      250 g plain flour\n200 g sugar                 3 tsp baking powder\n120 ml oil\n\nTOPPING\n400 g plums                 60 g butter\n100 g plain flour           80 g sugar${METHOD}`,
    )
    const [dough, topping] = Object.values(parts)
    expect(dough!.map((x) => x.split(' ')[0])).toEqual(
      ['egg-whole', 'sugar-white', 'oil-vegetable', 'flour-plain', 'baking-powder'].sort(inOrder(dough!)),
    )
    expect(topping).toHaveLength(4)
    expect(topping!.join()).toMatch(/butter-unsalted 60/)
  })
})

const inOrder = (rows: readonly string[]) => (a: string, b: string) =>
  rows.findIndex((r) => r.startsWith(a)) - rows.findIndex((r) => r.startsWith(b))

describe('what is baked in', () => {
  it.each([
    ['Grease a 22 cm karahi, dust with flour.', 220],
    ['Butter and flour a 18cm girolle.', 180],
  ])('%s', (step, diameter) => {
    const { recipe } = readGiven(
      `Cake\n2 eggs\n100 g sugar\n100 g flour\n\nMethod\n${step}\nWhisk everything and bake at 170 C for 30 minutes.`,
      'uk',
    )
    expect(recipe.tins[0]).toMatchObject({ shape: 'round', mm: { diameter } })
  })

  it('on coals the time is that of the act that bakes, not of the beating', () => {
    const { recipe } = readGiven(
      'Coal cake\n200 g flour\n150 g sugar\n100 g butter\n3 eggs\n2 tsp baking powder\n\nBeat the butter and sugar, about 12 minutes by hand. Beat in the eggs and fold in the flour and baking powder.\n\nPour into a greased 20 cm pot. Put it over the embers with hot coals on the lid.\n\nLeave for 45 minutes.',
      'uk',
    )
    expect(recipe.oven[0]!.minutes).toEqual([45, 45])
  })
})

describe('rows of tables and prose', () => {
  it('a table whose head is the title, with headings among its rows', () => {
    const { recipe } = readGiven(
      '| Walnut loaf | |\n|---|---|\n| Butter, soft | 140 g |\n| Sugar | 140 g |\n| Eggs | 3 |\n| Self-raising flour | 150 g |\n| Cocoa in 2 tbsp hot water | 1 tbsp |\n| **Frosting** | |\n| Butter | 60 g |\n| Icing sugar | 120 g |\n\n- Cream the butter and sugar, beat in the eggs, cocoa and flour. Bake in a 2 lb loaf tin at 170 C for 45 minutes.\n- Beat the frosting and spread it.',
      'uk',
    )
    expect(recipe.title).toBe('Walnut loaf')
    expect(recipe.parts.map((p) => [p.role, p.lines.map((l) => l.ingredient)])).toEqual([
      ['batter', ['butter-unsalted', 'sugar-white', 'egg-whole', 'flour-self-raising', 'cocoa-natural', 'water']],
      ['frosting', ['butter-unsalted', 'sugar-icing']],
    ])
  })

  it('“For the glaze” in the same breath is a part of its own, and juice is of the fruit before it', () => {
    const parts = shape(
      `Citrus ring\nYou need: 200 g butter, 300 g sugar, 4 eggs, 300 g plain flour, rind of 2 lemons and 2 tbsp of the juice. For the glaze 150 g icing sugar and 2 tbsp lemon juice.${METHOD}`,
    )
    expect(Object.values(parts)[0]!.filter((x) => /juice|icing/.test(x))).toEqual(['lemon-juice 31'])
    expect(Object.values(parts)[1]).toEqual(['sugar-icing 150', 'lemon-juice 31'])
  })

  it('stages that are told keep what is done in them', () => {
    const { recipe } = readGiven(
      'Oat squares\nfrom the scout fair bake-off\n\nStage 1: melt 120 g butter with 120 g golden syrup.\nStage 2: mix 200 g porridge oats and 100 g self-raising flour.\nStage 3: pour the syrup mixture on the dry things with 1 beaten egg.\nStage 4: press into a 20 cm square tin and bake at 160 C for 30 minutes.',
      'uk',
    )
    expect(recipe.method).toHaveLength(4)
    expect(recipe.parts[0]!.lines.map((l) => l.ingredient)).toEqual([
      'butter-unsalted',
      'golden-syrup',
      'oats-rolled',
      'flour-self-raising',
      'egg-whole',
    ])
    expect(recipe.tins[0]).toMatchObject({ count: 1 })
  })

  it.each([
    ['Press 2/3 into a 20 cm springform, fill, top with the rest.', 'round', 1],
    ['Wet a big sheet of baking paper and line a 15 cm deep tin with it.', 'round', 1],
  ])('%s', (step, shapeOf, count) => {
    const { recipe } = readGiven(`Cake\n3 eggs\n200 g sugar\n200 g flour\n\nMethod\nMix all. ${step}\nBake at 180 C for 40 minutes.`, 'uk')
    expect(recipe.tins[0]).toMatchObject({ shape: shapeOf, count })
  })

  it('a splash is what the spoons beside it say', () => {
    expect(Object.values(shape(`Cake\n2 eggs\n150 g flour\n100 g sugar\nsplash of milk (about 3 tbsp)${METHOD}`))[0]!.at(-1)).toBe(
      'milk-whole 46',
    )
  })
})

it('“160 fan” alone is an oven; nine hundred of something is none', () => {
  const { recipe } = readGiven(
    'Loaf\n200 g flour\n150 g sugar\n2 eggs\n150 g butter\n\n1) 150 fan. Line a 900 g loaf tin.\n2) Beat all together.\n3) 45 mins.',
    'uk',
  )
  expect(recipe.oven[0]).toMatchObject({ celsius: 150, fan: true, minutes: [45, 45] })
})

it('orders that end in arrows are told in order, and head no parts', () => {
  const { recipe } = readGiven(
    'Plum tray\ninto a wide bowl ->\n  150 g butter, soft\n  140 g sugar\ninto that ->\n  3 eggs\nsift over →\n  200 g plain flour\n  2 tsp baking powder\nloosen with -> 80 ml milk\n\n20 x 30 tin. 160 fan, 30 mins until springy.',
    'uk',
  )
  expect(recipe.parts.map((p) => p.lines.map((l) => l.ingredient))).toEqual([
    ['butter-unsalted', 'sugar-white', 'egg-whole', 'flour-plain', 'baking-powder', 'milk-whole'],
  ])
  expect(recipe.method.map((m) => m.split(' ')[0]!.toLowerCase())).toEqual(['into', 'into', 'sift', 'loosen', '20'])
})
