import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'
import type { Region } from '../measure/region'

const parse = (text: string, region: Region = 'uk') => answer('parse', { text, region }).recipe
const ids = (text: string, region: Region = 'uk') => parse(text, region).parts.map((p) => p.lines.map((l) => l.ingredient))

describe('questions and answers', () => {
  const CHAT = `Q: Could we have the recipe for the walnut loaf you made?
A: Of course! For 10:
200 g plain flour
120 g butter
120 g sugar
2 eggs
80 g walnuts
2 tsp baking powder
Q: And how is it made?
A: Cream the butter and sugar, beat in the eggs, fold in the rest.
Q: What tin?
A: A 2 lb loaf, lined.
Q: How long does it bake?
A: 50 minutes at 170.`

  it('a question says what its answer is of, and is no row itself', () => {
    const r = parse(CHAT)
    expect(r.title).toBe('walnut loaf')
    expect(r.parts.map((p) => p.name)).toEqual(['Cake'])
    expect(r.tins[0]).toMatchObject({ shape: 'loaf' })
    expect(r.oven[0]).toMatchObject({ celsius: 170, minutes: [50, 50] })
    expect(r.method.join(' ')).not.toMatch(/\?/)
  })
})

describe('lists that need a baker’s eye', () => {
  it.each([
    ['zest of 2 limes and 1 orange', ['zest', 'zest']],
    ['juice of 1 lemon & 1 orange', ['lemon-juice', 'orange-juice']],
    ['grated zest of 1 orange, 1 lemon, sliced', ['zest', 'lemon']],
  ])('%s', (row, expected) => {
    expect(ids(`Cake\n${row}\n200 g flour\n2 eggs\n\nMethod\nMix and bake at 180 C for 40 minutes.`)[0]!.slice(0, 2)).toEqual(expected)
  })

  it('what a part makes is no line that its list forgot', () => {
    const r = parse(
      'Mocha cake\nFor the cake:\n200 g flour\n200 g butter\n200 g sugar\n4 eggs\nFor the frosting:\n200 g butter\n300 g icing sugar\n\nMethod\nCream the butter and sugar, beat in the eggs, fold in the flour. Bake in two tins at 180 C for 25 minutes. Beat the frosting. Stack with 1 cup frosting between the layers.',
    )
    expect(r.parts[1]!.lines).toHaveLength(2)
  })

  it('fruit above a dough is no batter, and the dough is judged', () => {
    const text =
      'Rhubarb cobbler\n700 g rhubarb\n90 g sugar\n1 tbsp cornflour\nTOPPING\n180 g self-raising flour\n60 g butter\n40 g sugar\n120 ml milk\n\nMethod\nToss the rhubarb, sugar and cornflour in a 1.5-litre ovenproof dish. Rub the butter into the flour, stir in the sugar and milk. Drop spoonfuls on the fruit. Bake at 190 C for 35 minutes. Rest 10 minutes; serve with custard.'
    const r = parse(text)
    expect(r.parts.map((p) => p.role)).toEqual(['filling', 'batter'])
    expect(r.tins[0]).toMatchObject({ shape: 'rect' })
    expect(answer('balance', { text, region: 'uk' }).findings.filter((f) => f.severity === 'fault')).toEqual([])
    const day = answer('counter', { text, region: 'uk' }).steps.map((s) => s.text)
    expect(day.at(-1)).toBe('Rest 10 minutes')
  })

  it('eggs and flour in so much milk are a custard', () => {
    const text =
      'Prune batter pudding\n300 g prunes\n3 eggs\n90 g sugar\n70 g flour\n400 ml milk\n\nMethod\nWhisk the eggs and sugar, whisk in the flour, then the milk. Pour over the prunes in a 24 cm dish. Bake at 180 C for 40 minutes.'
    const b = answer('balance', { text, region: 'uk' })
    expect(b.family).toBe('custard')
    expect(b.findings.filter((f) => f.severity !== 'note')).toEqual([])
  })
})

describe('what nobody knows', () => {
  it.each([
    ['200 g cream, 6 moonballs, 30 g pistachios', 'moonballs'],
    ['200 g cream, 50 g snowroot, 30 g pistachios', 'snowroot'],
  ])('%s is a line of the list, and asked about', (row, name) => {
    const { recipe, questions } = answer('parse', {
      text: `Cake\n200 g flour\n100 g butter\n2 eggs\n\nTopping: ${row}\n\nMethod\nMix, bake at 180 C for 30 minutes, top.`,
      region: 'uk',
    })
    const line = recipe.parts.flatMap((p) => p.lines).find((l) => l.named === name)
    expect(line?.ingredient).toBeNull()
    expect(questions.some((q) => q.message.includes(name))).toBe(true)
  })

  it.each([
    ['200 g walnuts, 50 g chopped'],
    ['2 apples, 300 g peeled weight'],
    ['1 can pineapple, 8 slices, drained'],
    ['200 g flour, sifted 3 times'],
    ['175 g sugar, 2 tbsp reserved'],
  ])('%s is one thing', (row) => {
    const { recipe } = answer('parse', { text: `Cake\n${row}\n100 g butter\n2 eggs\n\nMethod\nMix and bake at 180 C.`, region: 'uk' })
    expect(recipe.parts[0]!.lines).toHaveLength(3)
  })
})

describe('a table that counts its rows', () => {
  const CARD = `Lemon ring, card 9

| no | item | amount |
| 1 | butter, soft | 180 g |
| 2 | sugar | 160 g |
| 3 | eggs | 3 |
| 4 | plain flour | 220 g |
| 5 | baking powder | 2 tsp |

a) Cream 1 with 2. Beat in 3 one at a time.
b) Sift 4 with 5 and fold in.
c) Bake in a 22 cm ring tin at 175 °C for 40-45 min.`

  it('gives the steps its names, and leaves times, heats and sizes alone', () => {
    const r = parse(CARD)
    expect(r.parts[0]!.lines.map((l) => [l.ingredient, Math.round(l.grams.best)])).toEqual([
      ['butter-unsalted', 180],
      ['sugar-white', 160],
      ['egg-whole', 153],
      ['flour-plain', 220],
      ['baking-powder', 9],
    ])
    expect(r.method.join(' ')).toContain('Cream butter with sugar. Beat in eggs one at a time.')
    expect(r.method.join(' ')).toContain('22 cm ring tin at 175 °C for 40-45 min')
  })
})

describe('steps that are counted in words', () => {
  it('are steps to the last', () => {
    const r = parse(
      'Oat tray\n\n200 g plain flour\n150 g butter\n120 g sugar\n2 eggs\n\nWhat to do -\nFirst : cream the butter and sugar.\nSecond : beat in the eggs, fold in the flour.\nThird : into a lined 20 cm tin, bake at 180 C for thirty minutes.\nLast : cold before cutting, into sixteen.',
    )
    expect(r.method).toHaveLength(4)
    expect(r.method.at(-1)).toContain('cold before cutting')
  })
})

describe('minutes that are left out', () => {
  it('are meant where only minutes can be', () => {
    const text =
      'Spice ring\n2 cups flour\n1 cup sugar\n1 cup butter\n3 eggs\n1 tsp baking powder\n\noven 350. cream butter and sugar, eggs one at a time, fold in flour and powder. into a greased bundt. bake 45-50. cool 10 in pan, turn out.'
    const r = parse(text, 'us')
    expect(r.oven[0]!.minutes).toEqual([45, 50])
    expect(r.tins[0]).toMatchObject({ shape: 'fluted', mm: { diameter: 240 } })
    const cool = answer('method', { text, region: 'us' })
      .steps.flatMap((s) => s.clauses)
      .find((c) => c.act === 'cool')
    expect(cool?.minutes).toEqual([10, 10])
  })
})
