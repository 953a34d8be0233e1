import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'
import { CAUTIONS, cautionsInStep } from './cautions'

const codes = (text: string) => answer('balance', { text, region: 'uk' }).cautions.map((c) => c.code)
const base = 'Cake\n200 g plain flour\n200 g sugar\n200 g butter\n4 eggs\n2 tsp baking powder'

/** What sets each of them off, and what it is called. */
const FIRES: [what: string, text: string, code: string][] = [
  ['raw flour in every batter', base, 'raw-flour'],
  ['raw egg in an icing', `${base}\nIcing:\n2 egg whites\n300 g icing sugar\nMethod:\nWhip the whites into the icing.`, 'raw-egg'],
  ['honey and infants', `${base}\n50 g honey`, 'honey-infants'],
  ['xylitol and dogs', `${base}\n50 g xylitol`, 'xylitol-dogs'],
  ['much erythritol', 'Cake\nMakes: 8 slices\n200 g flour\n150 g erythritol\n200 g butter\n4 eggs\n2 tsp baking powder', 'sugar-alcohols'],
  ['bean-can liquid and legume allergies', `${base}\n100 g aquafaba`, 'legume-liquid'],
  ['nut butter', `${base}\n60 g almond butter`, 'flax-nuts'],
  ['sunflower with a leavener', `${base}\n60 g ground sunflower seeds\n1 tsp baking soda`, 'green-crumb'],
  ['whole nuts and small children', `${base}\n100 g walnuts`, 'whole-nuts'],
  ['cream that must keep cold', `${base}\nFilling:\n300 ml double cream`, 'chilled-filling'],
  ['boiling sugar', `${base}\nMethod:\nBoil the sugar to soft ball.`, 'hot-sugar'],
  ['a water bath', `${base}\nMethod:\nBake in a water bath.`, 'steam'],
  ['glass from cold to hot', `${base}\nMethod:\nPour into a glass dish and bake.`, 'thermal-shock'],
  ['a covered pot on the stove', `${base}\nMethod:\nCook in a covered pot on the lowest flame.`, 'stove-top'],
  ['a coin in the cake', `${base}\nMethod:\nHide a coin wrapped in paper in the batter.`, 'hidden-token'],
  ['glitter and flowers', `${base}\nMethod:\nDecorate with glitter and fresh flowers.`, 'decorations'],
]

describe('where it can hurt somebody, it says so', () => {
  it.each(FIRES)('%s', (_, text, code) => {
    expect(codes(text)).toContain(code)
  })

  it('stays quiet where nothing calls for it', () => {
    // Raw flour is in every batter; what hangs on a need stays away where nobody has one.
    for (const { code } of CAUTIONS) if (code !== 'raw-flour') expect(codes(`${base}\n1 tsp cream of tartar`), code).not.toContain(code)
  })

  it.each([
    ['a wire rack', 'Cool on a wire rack.', 'decorations', false],
    ['bought caramel', 'Beat the caramel till smooth.', 'hot-sugar', false],
    ['a syrup', 'Boil the sugar and 100 ml water for five minutes.', 'hot-sugar', true],
    ['a custard', 'Boil the milk and sugar, stirring.', 'hot-sugar', false],
  ])('%s: is it dangerous?', (_, step, code, fires) => {
    expect(codes(`${base}\n200 ml milk\nMethod:\n${step}`).includes(code)).toBe(fires)
  })

  it('has a case for every caution', () => {
    const asked = ['hard-need', 'coeliac']
    expect([...FIRES.map((f) => f[2]), ...asked].sort()).toEqual(CAUTIONS.map((c) => c.code).sort())
  })

  it('says in the step what the step sets off', () => {
    expect(cautionsInStep('Bake in a water bath for 50 minutes.').map((c) => c.code)).toEqual(['steam'])
    expect(cautionsInStep('Cream the butter and sugar.')).toEqual([])
  })

  it('stands in the table', async () => {
    const rows = CAUTIONS.map((c) => {
      const fires = FIRES.find((f) => f[2] === c.code)?.[0] ?? 'somebody at the table needs it'
      const inStep = cautionsInStep(FIRES.find((f) => f[2] === c.code)?.[1] ?? '').some((x) => x.code === c.code)
      const shown = [
        'Bench, card',
        ...(c.grave ? ['before a bake at the Counter'] : []),
        ...(inStep ? ['the step on the Clock and at the Counter'] : []),
      ]
      return `| \`${c.code}\` | ${fires} | ${c.text} | ${c.checkWith} | ${shown.join(', ')} |`
    })
    const text = [
      '# Cautions',
      '',
      'Written from `core/care/cautions.ts`. None of them says that anything is safe.',
      '',
      '| code | fires on | says | check with | shown |',
      '|---|---|---|---|---|',
      ...rows,
      '',
    ]
    await expect(text.join('\n')).toMatchFileSnapshot('../../docs/tables/cautions.md')
  })

  it('names whom to check with, and claims no safety', () => {
    const { cautions } = answer('reformulate', { text: base, region: 'uk', goals: ['vegan', 'gluten-free'] }).options[0]!
    expect(cautions.map((c) => c.code)).toEqual(expect.arrayContaining(['hard-need', 'coeliac']))
    for (const c of cautions) {
      expect(c.checkWith.length).toBeGreaterThan(3)
      expect(c.text).not.toMatch(/\bsafe to eat\b|guarantee|certified/i)
    }
  })
})
