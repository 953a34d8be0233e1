import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'
import type { Goal } from './goals'
import type { Option } from './option'

/** Cakes by their general ratios; what is expected of their conversions is what bakers write and do. */
const SPONGE =
  'Sponge\nTin: 20 cm round x2\n225 g butter, softened\n225 g caster sugar\n4 medium eggs\n225 g self-raising flour\n2 tbsp milk\nMethod:\nCream the butter and sugar.\nBeat in the eggs one at a time.\nFold in the flour and milk.\nBake at 180 C for 25 minutes.'
const OIL_CAKE =
  'Cocoa tray\n250 g plain flour\n50 g cocoa powder\n300 g sugar\n2 tsp baking powder\n1/2 tsp baking soda\n240 ml milk\n120 ml oil\n2 large eggs\nMethod:\nWhisk the dry things. Whisk the milk, oil and eggs. Combine and bake at 180 C for 35 minutes.'
const MUFFINS =
  'Muffins\n250 g plain flour\n150 g sugar\n3 tsp baking powder\n80 ml oil\n200 ml milk\n1 large egg\nMakes 12 muffins\nMethod:\nMix the dry. Mix the wet. Combine and bake at 200 C for 20 minutes.'
const PASTRY_CREAM =
  'Pastry cream\n500 ml milk\n100 g sugar\n5 egg yolks\n40 g cornflour\nMethod:\nHeat the milk. Whisk the yolks, sugar and starch. Cook until thick.'
const MERINGUE_ICING =
  'Swiss meringue buttercream\n5 egg whites\n250 g sugar\n400 g butter\nMethod:\nWhisk the whites and sugar over simmering water until warm. Whip to stiff peaks. Beat in the butter.'
const CHEESECAKE =
  'Cheesecake\nCrust\n200 g digestive biscuits\n90 g butter\nFilling\n900 g cream cheese\n250 g sugar\n4 eggs\n200 g sour cream\nMethod:\nBeat the cheese and sugar. Beat in the eggs and cream. Bake at 160 C for 70 minutes in a 23 cm springform.'

const ways = (text: string, goals: Goal[], more: object = {}) =>
  answer('reformulate', { text, region: 'uk', goals, limit: 12, ...more }).options
const by = (text: string, goals: Goal[], school: string): Option => {
  const found = answer('reformulate', { text, region: 'uk', goals, schools: [school], limit: 3 }).options[0]
  if (!found) throw new Error(`no way by ${school}`)
  return found
}
/** Grams of an ingredient in an answer. */
const grams = (o: Option, ...ids: string[]) =>
  o.recipe.parts.flatMap((p) => p.lines).reduce((g, l) => (l.ingredient && ids.includes(l.ingredient) ? g + l.grams.best : g), 0)
const between = (value: number, low: number, high: number) => {
  expect(value).toBeGreaterThanOrEqual(low)
  expect(value).toBeLessThanOrEqual(high)
}

describe('eggs out of a sponge of four', () => {
  it('yogurt: three to five tablespoons an egg, and a pinch to a half teaspoon of soda', () => {
    const o = by(SPONGE, ['eggless'], 'yogurt-soda')
    between(grams(o, 'yogurt-plain'), 4 * 40, 4 * 75)
    between(grams(o, 'baking-soda'), 0.3, 4)
    expect(grams(o, 'egg-whole')).toBe(0)
    expect(grams(o, 'flour-self-raising')).toBeCloseTo(225, 0)
  })

  it('ground flax: about a tablespoon an egg with three of water, and powder for the lift', () => {
    const o = by(SPONGE, ['eggless'], 'flax-gel')
    between(grams(o, 'flaxseed-ground'), 4 * 4, 4 * 9)
    between(grams(o, 'water') / grams(o, 'flaxseed-ground'), 2, 6)
    // Half a teaspoon to two on top of the flour’s own.
    between(grams(o, 'baking-powder'), 1.5, 10)
  })

  it('bean-can liquid: two to four tablespoons an egg', () => {
    between(grams(by(SPONGE, ['eggless'], 'aquafaba'), 'aquafaba'), 4 * 28, 4 * 62)
  })

  it('condensed milk brings sugar, so sugar goes', () => {
    const o = by(SPONGE, ['eggless'], 'condensed-milk')
    expect(grams(o, 'sugar-white')).toBeLessThan(225)
    expect(grams(o, 'condensed-milk')).toBeGreaterThan(60)
  })

  it('never more butter than there was by more than a little, and no dry cake', () => {
    for (const o of ways(SPONGE, ['eggless'])) {
      expect(grams(o, 'butter-unsalted')).toBeLessThan(225 * 1.2)
      expect(o.findings.map((f) => f.code)).not.toContain('too-dry')
    }
  })
})

describe('one egg in twelve muffins is easily done without', () => {
  it('the powder stays about what it was, and the milk makes up for the egg’s water', () => {
    const o = ways(MUFFINS, ['eggless'])[0]!
    between(grams(o, 'baking-powder') + 3 * grams(o, 'baking-soda'), 8, 24)
    expect(o.findings.filter((f) => f.severity !== 'note')).toEqual([])
  })
})

describe('what sets a cream or whips an icing', () => {
  it('pastry cream without yolks is thickened, not whipped or seeded', () => {
    const all = ways(PASTRY_CREAM, ['eggless'])
    expect(all[0]!.schools).toEqual(['starch-gum'])
    for (const o of all) for (const no of ['aquafaba', 'flax-gel', 'chia-gel', 'pumpkin']) expect(o.schools).not.toContain(no)
    between(grams(all[0]!, 'cornstarch') / grams(all[0]!, 'milk-whole', 'water'), 0.07, 0.14)
  })

  it('meringue icing without whites is whipped from the bean can, and never set with starch', () => {
    const all = ways(MERINGUE_ICING, ['eggless'])
    expect(all.map((o) => o.schools)).toEqual([['aquafaba']])
    const steps = all[0]!.recipe.method.join('\n')
    expect(steps).toMatch(/Beat in the butter/)
    expect(steps).not.toMatch(/oven/)
  })

  it('a cheesecake keeps its cheese and is set by starch or the like', () => {
    const all = ways(CHEESECAKE, ['eggless'])
    for (const o of all) {
      expect(grams(o, 'cream-cheese')).toBeCloseTo(900, 0)
      for (const no of ['flax-gel', 'chia-gel', 'aquafaba', 'banana']) expect(o.schools).not.toContain(no)
    }
    between(grams(by(CHEESECAKE, ['eggless'], 'starch-gum'), 'cornstarch'), 15, 60)
  })
})

describe('wheat out', () => {
  it('a blend goes in weight for weight or a little less, with gum where it has none, and the powder of the flour', () => {
    const o = ways(SPONGE, ['gluten-free'])[0]!
    const flour = o.recipe.parts
      .flatMap((p) => p.lines)
      .filter((l) => /^flour|starch|almond/.test(l.ingredient ?? ''))
      .reduce((g, l) => g + l.grams.best, 0)
    between(flour, 190, 240)
    between(grams(o, 'baking-powder'), 7, 16)
    between(grams(o, 'egg-whole'), 180, 260)
    expect(o.recipe.method.join('\n')).toMatch(/stand (?:for )?20/)
  })

  it('more liquid rather than less', () => {
    const o = ways(OIL_CAKE, ['gluten-free'])[0]!
    expect(grams(o, 'milk-whole', 'water')).toBeGreaterThanOrEqual(240)
  })
})

describe('dairy out', () => {
  it('milk for plant milk one for one, butter for a baking block by its fat', () => {
    const o = ways(SPONGE, ['dairy-free'])[0]!
    const fat = grams(o, 'plant-butter-block', 'margarine')
    between(fat, 210, 250)
    expect(grams(o, 'butter-unsalted', 'milk-whole')).toBe(0)
    between(grams(o, 'egg-whole'), 180, 260)
  })
})

describe('less of it', () => {
  it('a third less sugar is a third less, and the cake still stands', () => {
    const o = ways(OIL_CAKE, ['less-sugar'], { amount: { 'less-sugar': 0.33 } })[0]!
    between(grams(o, 'sugar-white'), 185, 215)
    expect(o.findings.filter((f) => f.severity === 'fault')).toEqual([])
  })

  it('less fat is said in grams and made up with something moist', () => {
    const o = ways(OIL_CAKE, ['low-fat'])[0]!
    expect(grams(o, 'oil-vegetable')).toBeLessThan(90)
    expect(o.lines.some((l) => l.status === 'added')).toBe(true)
  })
})

describe('what nobody asked for stays', () => {
  it.each<[Goal[], string[]]>([
    [['eggless'], ['cocoa-natural', 'flour-plain']],
    [['dairy-free'], ['cocoa-natural', 'flour-plain', 'sugar-white', 'egg-whole']],
    [['gluten-free'], ['cocoa-natural', 'sugar-white', 'egg-whole']],
  ])('%s leaves %s alone', (goals, ids) => {
    const before = answer('parse', { text: OIL_CAKE, region: 'uk' }).recipe.parts.flatMap((p) => p.lines)
    // Ground almonds are rich: they may take some of the sugar along.
    for (const o of ways(OIL_CAKE, goals).filter((o) => !o.recipe.parts.some((p) => p.lines.some((l) => l.ingredient === 'flour-almond'))))
      for (const id of ids) {
        const was = before.filter((l) => l.ingredient === id).reduce((g, l) => g + l.grams.best, 0)
        expect(Math.abs(grams(o, id) / was - 1), `${o.title}: ${id}`).toBeLessThan(0.12)
      }
  })
})
