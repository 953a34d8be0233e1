import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readLine } from '../recipe/line'
import { celsiusOf, dialsIn, heatsIn, timesIn } from './dial'
import { itemsIn, scan } from './item'
import { measuresIn } from './measure'
import { spanAt } from './number'
import { tokenise } from './token'

const grams = (text: string, region: 'us' | 'uk' = 'us') => readLine(text, region).lines[0]!.grams.best

describe('tokens', () => {
  it('account for every character that is no space', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 120 }), (text) => {
        const covered = new Set(tokenise(text).flatMap((t) => Array.from({ length: t.to - t.from }, (_, i) => t.from + i)))
        for (let i = 0; i < text.length; i++) if (/\S/.test(text[i]!)) expect(covered.has(i), `${i} of ${JSON.stringify(text)}`).toBe(true)
      }),
    )
  })

  it.each(['toString flour', 'constructor', '__proto__ 2 cups', 'valueOf 1 hasOwnProperty sugar'])(
    'know no word by accident: %s',
    (text) => {
      expect(() => itemsIn(scan(text))).not.toThrow()
      for (const l of readLine(text, 'uk').lines) expect(l.grams.best).toBeGreaterThanOrEqual(0)
    },
  )
})

describe('numbers', () => {
  it.each([
    ['1 1/2', 1.5],
    ['1-1/2', 1.5],
    ['1½', 1.5],
    ['1 and a half', 1.5],
    ['1 & ½', 1.5],
    ['one and a half', 1.5],
    ['1,5', 1.5],
    ['1.5', 1.5],
    ['half', 0.5],
    ['half a dozen', 6],
    ['½ doz', 0.5],
    ['two thirds', 2 / 3],
    ['three-quarters', 0.75],
    ['two hundred and fifty', 250],
    ['twenty five', 25],
    ['1,000', 1000],
  ])('%s', (text, value) => {
    expect(spanAt(tokenise(text), 0)?.low).toBeCloseTo(value, 6)
  })

  it('the same amount in any spelling weighs the same', () => {
    const SPELLINGS: Record<string, readonly string[]> = {
      '0.5 cup': ['1/2 cup', '½ cup', 'half a cup', 'a half cup', '0,5 cup', 'one half cup', '1⁄2 cup', '½ c.'],
      '1.5 cups': ['1 1/2 cups', '1-1/2 cups', '1½ cups', 'one and a half cups', 'a cup and a half', '1 & 1/2 c', '1 and 1/2 cups'],
      '0.25 cup': ['1/4 cup', '¼ cup', 'a quarter cup', 'a quarter of a cup', 'quarter of a cup'],
      '2 tbsp': ['2 T.', '2 T', 'two tablespoons', '2 Tbsp.', '2 table spoons', '2 tblsp', '2 tablespoonfuls'],
      '3 tsp': ['3 t.', 'three teaspoons', '3 tea spoons', '3 teasp', '3 tsps.'],
    }
    const THINGS = ['sugar', 'flour', 'milk', 'vegetable oil']
    fc.assert(
      fc.property(fc.constantFrom(...Object.keys(SPELLINGS)), fc.constantFrom(...THINGS), (plain, thing) => {
        const wanted = grams(`${plain} ${thing}`)
        for (const spelling of SPELLINGS[plain]!)
          for (const of of ['', 'of ']) expect(grams(`${spelling} ${of}${thing}`), `${spelling} ${of}${thing}`).toBeCloseTo(wanted, 3)
      }),
    )
  })
})

describe('measures of one thing', () => {
  it.each([
    ['8oz/225g butter', 225],
    ['1 cup (120g) flour', 120],
    ['2 x 200 g tubs cream cheese', 400],
    ['200g x 2 tubs cream cheese', 400],
    ['half a 400 ml tin coconut milk', 194],
    ['2 sticks (226 g) butter', 226],
    ['a stick and a half of butter', 170],
    ['1 glass (200 ml) milk', 206],
    ['6 apples (900 g)', 900],
    ['2 cans (14 oz) condensed milk', 794],
    ['1 (8 oz) package cream cheese', 227],
    ['g 200 sugar', 200],
    ['250 caster sugar', 250],
    ['1 lb 2 oz flour', 510],
    ['1/3 cup plus 2 tbsp sugar', 93],
    ['a scant half pint of milk', 227],
    ['1 small glass of milk (80 ml)', 82],
    ['1 wineglass of milk', 62],
    ['1 pk vanilla sugar', 8],
    ['1 breakfast cup milk', 293],
    ['butter the size of an egg', 55],
    ['a walnut of butter', 15],
    ['1 t bkg powder', 4.7],
    ['½ tsp flaky salt', 1.8],
    ['1 tsp fine salt', 6],
  ])('%s', (text, wanted) => {
    expect(Math.abs(grams(text) - wanted) / wanted).toBeLessThan(0.03)
  })

  it('a vessel that something is put into is no amount', () => {
    expect(measuresIn(tokenise('put it all in a pot'), [])).toEqual([])
  })
})

describe('times', () => {
  it.each([
    ['1 hour 20 minutes', 80, 80],
    ['1¼ hours', 75, 75],
    ['an hour and a half', 90, 90],
    ['an hour and three-quarters', 105, 105],
    ['a good quarter of an hour', 15, 15],
    ['three quarters of an hour', 45, 45],
    ['¾ of an hour', 45, 45],
    ['two hours and a quarter', 135, 135],
    ['50 mins–1 hr', 50, 60],
    ['50 min - 1 hr 10 min', 50, 70],
    ['1 hr. 10 min', 70, 70],
    ['1h20', 80, 80],
    ['half an hour', 30, 30],
    ['20 to 25 minutes', 20, 25],
    ['25-30 mins', 25, 30],
    ['two hours', 120, 120],
    ['90 seconds', 1.5, 1.5],
    ['overnight', 480, 720],
  ])('%s', (text, low, high) => {
    expect(timesIn(`Leave for ${text}, then go on`)[0]).toMatchObject({ low, high })
  })

  it('two sentences are two times', () => {
    expect(timesIn('Bake for 1 hour. Ten minutes before it is done, cover it.').map((t) => t.low)).toEqual([60, 10])
  })
})

describe('temperatures', () => {
  it.each([
    ['180C/160C fan/gas 4', [180, 160, 177], [false, true, false]],
    ['190C/fan 170C/gas 5', [190, 170, 191], [false, true, false]],
    ['350°F (175 °C)', [177, 175], [false, false]],
    ['160 °C fan', [160], [true]],
    ['170 (fan 160)', [170, 160], [false, true]],
    ['to 149F (65C)', [65, 65], [false, false]],
    ['170 degrees Celsius', [170], [false]],
    ['gas mark ½', [121], [false]],
  ])('%s', (text, celsius, fan) => {
    const heats = heatsIn(`Heat the oven to ${text}`)
    expect(heats.map((h) => celsiusOf(h, 'uk'))).toEqual(celsius)
    expect(heats.map((h) => h.fan)).toEqual(fan)
  })

  it('bare degrees are those of the kitchen', () => {
    const [heat] = heatsIn('Bake at 350°')
    expect(celsiusOf(heat!, 'us')).toBe(177)
    expect(celsiusOf(heatsIn('bake at 180°')[0]!, 'eu')).toBe(180)
  })

  it('cups are no temperature', () => expect(heatsIn('1/2 C. sugar and 2 C flour')).toEqual([]))
})

describe('sizes', () => {
  it.each([
    ['9 x 13 in', [228.6, 330.2]],
    ['9x5x3-inch', [228.6, 127, 76.2]],
    ['25 by 38 cm', [250, 380]],
    ['20 cm', [200]],
    ['8-inch', [203.2]],
    ['9"', [228.6]],
  ])('%s', (text, sides) => {
    const size = dialsIn(tokenise(`a ${text} pan`)).find((d) => d.kind === 'size')
    expect(size).toMatchObject({ sides: sides.map((s) => expect.closeTo(s, 1)) })
  })

  it('amounts of things are none: 2 x 200 g', () =>
    expect(dialsIn(tokenise('2 x 200 g tubs')).filter((d) => d.kind === 'size')).toEqual([]))
})

describe('several things in a line', () => {
  it.each([
    ['1 tbsp ground flax + 3 tbsp water', ['flaxseed-ground', 'water']],
    ['2 flax eggs', ['flaxseed-ground', 'water']],
    ['2 flax eggs (2 tbsp ground flax + 5 tbsp water)', ['flaxseed-ground', 'water']],
    ['1 cup buttermilk (1 cup milk + 1 tbsp vinegar)', ['milk-whole', 'vinegar']],
    ['zest of 2 lemons & juice of half a lemon', ['zest', 'lemon-juice']],
    ['1 tsp each cinnamon, ginger and salt', ['spice', 'spice', 'salt']],
    ['200 g blueberries tossed in 1 tbsp flour', ['berries', 'flour-plain']],
    ['125 g butter, plus extra for the tin', ['butter-unsalted']],
    ['1 egg + 1 yolk', ['egg-whole', 'egg-yolk']],
    ['4 eggs, separated', ['egg-whole']],
    ['whites from 6 eggs', ['egg-white']],
    ['250 g butter or margarine', ['butter-unsalted']],
    ['180 ml orange juice, from 2 to 3 oranges', ['orange-juice']],
    ['6 tbsp strawberry or mixed fruit jam', ['jam']],
  ])('%s', (text, ids) => {
    expect(readLine(text, 'uk').lines.map((l) => l.ingredient)).toEqual(ids)
  })

  it('what else the line allows is remembered', () => {
    expect(readLine('250 g butter or margarine', 'uk').lines[0]!.allowed).toEqual(['margarine'])
  })

  it.each(['80 g quimbel, chopped', '60 g homemade crunch', '100 g chocolate zorgles', '2 tbsp your favourite topping'])(
    'nobody knows what is in: %s',
    (text) => {
      expect(['none', 'unsure']).toContain(readLine(text, 'uk').lines[0]!.match)
    },
  )
})
