import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readLine } from './line'
import type { Region } from '../measure/region'

const one = (text: string, region: Region = 'us') => readLine(text, region).lines[0]!

describe('reading an ingredient line', () => {
  it.each([
    ['2 cups all-purpose flour', 'us', 'flour-plain', 250],
    ['225g self-raising flour', 'uk', 'flour-self-raising', 225],
    ['1/3 cup plus 2 tbsp oil', 'us', 'oil-vegetable', 100],
    ['a third of a cup plus two tablespoons honey', 'us', 'honey', 154],
    ['2 cups minus 2 tablespoons flour', 'us', 'flour-plain', 235],
    ['1 tbsp + 1 tsp lemon juice', 'us', 'lemon-juice', 20],
    ['1 (14 oz) can sweetened condensed milk', 'us', 'condensed-milk', 397],
    ['1 14-oz can sweetened condensed milk', 'us', 'condensed-milk', 397],
    ['2 sticks (226 g) butter', 'us', 'butter-unsalted', 226],
    ['1 stick salted butter', 'us', 'butter-salted', 113],
    ['4 large eggs', 'us', 'egg-whole', 200],
    ['3 egg whites', 'us', 'egg-white', 99],
    ['1 1/2 cups egg whites (360 g)', 'us', 'egg-white', 360],
    ['3 ripe bananas, mashed', 'us', 'banana', 336],
    ['juice of half a lemon', 'uk', 'lemon-juice', 22.5],
    ['Plain flour – 200 g', 'uk', 'flour-plain', 200],
    ['2 dl milk', 'eu', 'milk-whole', 206],
    ['2,5 dl buttermilk', 'eu', 'buttermilk', 257],
    ['1 tablespoon honey', 'au', 'honey', 28.4],
    ['a pinch of salt', 'uk', 'salt', 0.37],
    ['2 cans (400 g) coconut milk', 'uk', 'coconut-milk-can', 800],
    ['2 tubs (400 g) cream cheese', 'uk', 'cream-cheese', 400],
    ['4 pots (500g) plain yogurt', 'uk', 'yogurt-plain', 500],
    ['3 x 100 g bars dark chocolate', 'uk', 'chocolate-dark', 300],
    ['½ cup aquafaba (liquid from canned chickpeas)', 'us', 'aquafaba', 119],
  ] as const)('%s (%s)', (text, region, id, grams) => {
    const line = one(text, region)
    expect(line.ingredient).toBe(id)
    expect(line.grams.best / grams).toBeGreaterThan(0.96)
    expect(line.grams.best / grams).toBeLessThan(1.04)
    expect(line.text).toBe(text)
  })

  it('keeps the range as written and adds what the measure leaves open', () => {
    const line = one('1 to 1½ cups milk')
    expect(line.quantity).toEqual({ low: 1, high: 1.5, unit: 'cup' })
    expect(line.grams.low).toBeLessThan(1 * 236 * 1.03)
    expect(line.grams.high).toBeGreaterThan(1.5 * 236 * 1.03)
  })

  it('splits a line that names two ingredients', () => {
    const { lines } = readLine('1 tbsp ground flax + 3 tbsp water', 'us')
    expect(lines.map((l) => l.ingredient)).toEqual(['flaxseed-ground', 'water'])
    expect(lines[1]!.grams.best / lines[0]!.grams.best).toBeGreaterThan(4)
  })

  it('asks where it cannot know', () => {
    const about = (text: string) => readLine(text, 'us').questions.map((q) => q.about)
    expect(about('1/3 cup quillow powder')).toContain('ingredient')
    expect(about('some vegetable oil')).toContain('amount')
    expect(about('1 can coconut milk')).toContain('size')
    expect(about('200 g plain flour')).toEqual([])
    expect(about('salt to taste')).toEqual([])
  })

  it('takes off bullets and marks what is optional', () => {
    expect(one('• 50 g walnuts, chopped (optional)')).toMatchObject({
      text: '50 g walnuts, chopped (optional)',
      optional: true,
      ingredient: 'walnut',
    })
    expect(one('Optional: 30 g hazelnuts').optional).toBe(true)
  })

  it('reads the same cup bigger in a metric kitchen, and grams the same everywhere', () => {
    expect(one('1 cup sugar', 'au').grams.best).toBeGreaterThan(one('1 cup sugar', 'us').grams.best)
    expect(one('120 g sugar', 'au').grams).toEqual(one('120 g sugar', 'us').grams)
  })

  it('never throws and never weighs less than nothing, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 80 }), (text) => {
        for (const line of readLine(text, 'uk').lines) {
          expect(line.grams.best).toBeGreaterThanOrEqual(0)
          expect(Number.isFinite(line.grams.best)).toBe(true)
        }
      }),
      { numRuns: 300 },
    )
  })

  it.each([
    ['1 dozen eggs', 'egg-whole', 580, 640],
    ['half a dozen eggs', 'egg-whole', 290, 320],
    ['1 lb 2 oz sugar', 'sugar-white', 505, 515],
    ['200g tin of condensed milk', 'condensed-milk', 199, 201],
    ['a knob of butter', 'butter-unsalted', 10, 18],
    ['1 shot espresso', 'coffee-brewed', 28, 32],
    ['250 ml soured milk', 'soured-milk', 250, 262],
    ['1 packet vanilla sugar', 'vanilla-sugar', 7.9, 8.1],
    ['100 g dark chocolate (85 % cocoa)', 'chocolate-dark-85', 99, 101],
    ['100 g 50% dark chocolate', 'chocolate-dark-50', 99, 101],
    ['10 sandwich cookies, cream scraped off', 'sandwich-cookie-shells', 60, 90],
  ])('knows what “%s” means', (text, id, low, high) => {
    const line = readLine(text, 'uk').lines[0]!
    expect(line.ingredient).toBe(id)
    expect(line.grams.best).toBeGreaterThanOrEqual(low)
    expect(line.grams.best).toBeLessThanOrEqual(high)
  })

  it.each([
    ['2 oranges, zest of both and juice of 1', 10, 85],
    ['3 limes, zest of 2, juice of all', 6, 90],
    ['2 clementines: zest of 1, juice of both', 5, 70],
    ['zest of 2 lemons (keep the juice for the syrup)', 10, 0],
  ])('%s: each has its own count, and the fruit is not taken beside them', (text, zest, juice) => {
    const { lines } = readLine(text, 'uk')
    const grams = (of: RegExp) => lines.filter((l) => of.test(l.ingredient!)).reduce((sum, l) => sum + l.grams.best, 0)
    expect([grams(/^zest$/), grams(/juice/), grams(/^(?:orange|clementine)$/)].map(Math.round)).toEqual([zest, juice, 0])
  })

  it('what comes by the spoon goes on so', () => {
    const { lines } = readLine('2 teaspoons powder, two of ginger, one salt', 'uk')
    expect(lines.at(-1)).toMatchObject({ ingredient: 'salt', quantity: { unit: 'tsp' } })
  })
})
