import { describe, expect, it } from 'vitest'
import { aquafaba } from '../swaps/egg/aquafaba'
import { flaxGel } from '../swaps/egg/flax-gel'
import { yogurtSoda } from '../swaps/egg/yogurt-soda'
import { rewriteMethod, type Rewriting } from './rewrite'

const plain: Rewriting = {
  region: 'uk',
  added: [],
  replaced: [],
  changes: [],
  removed: [],
  ovenSteps: [],
  foam: false,
  baked: true,
  sugarOverFat: 1,
}
const yogurt: Partial<Rewriting> = {
  egg: yogurtSoda,
  added: [
    { ingredient: 'yogurt-plain', kitchen: '200 g' },
    { ingredient: 'baking-soda', kitchen: '½ tsp' },
  ],
}
const flax: Partial<Rewriting> = {
  egg: flaxGel,
  added: [
    { ingredient: 'flaxseed-ground', kitchen: '2 tbsp' },
    { ingredient: 'water', kitchen: '90 g' },
  ],
}
const method = (steps: string[], more: Partial<Rewriting>) => rewriteMethod(steps, { ...plain, ...more }).map((s) => s.text)
const line = (step: string, more: Partial<Rewriting>) => method([step], more).find((t) => !/fridge|Into the hot oven|let it stand/.test(t))!

describe('eggs leave the words of a method', () => {
  it.each([
    ['Beat in the eggs one at a time.', 'Beat in the foaming natural yogurt.'],
    ['Add the beaten eggs gradually, then the vanilla.', 'Add the foaming natural yogurt, then the vanilla.'],
    ['Whisk eggs with sugar, then oil.', 'Whisk the foaming natural yogurt with sugar, then oil.'],
  ])('“%s” becomes “%s”', (given, wanted) => {
    expect(line(given, yogurt)).toBe(wanted)
  })

  it('leaves egg replacer and egg-free things alone', () => {
    expect(line('Sift in the egg-free custard powder.', {})).toBe('Sift in the egg-free custard powder.')
  })

  it('does not build a foam that nothing holds', () => {
    expect(line('Whip the eggs and sugar over warm water to the ribbon.', flax)).toMatch(/there is no foam to build/)
  })

  it('lets bean-can liquid be whipped', () => {
    const steps = method(['Whip the egg whites to soft peaks.', 'Fold in the flour.'], {
      egg: aquafaba,
      added: [{ ingredient: 'aquafaba', kitchen: '150 g' }],
    })
    expect(steps.join(' ')).toMatch(/soft peaks/)
    expect(steps.join(' ')).not.toMatch(/no foam to build/)
  })
})

describe('what is new is told where it belongs', () => {
  it('a gel stands before mixing, soda goes to the oven at once', () => {
    expect(method(['Cream.', 'Beat in the eggs.', 'Bake at 180 C.'], flax)[0]).toMatch(/stand 10 minutes/)
    const steps = method(['Cream.', 'Beat in the eggs.', 'Bake at 180 C.'], yogurt)
    expect(steps.indexOf('Bake at 180 C.')).toBe(steps.findIndex((s) => /within ten minutes/.test(s)) + 1)
  })

  it('goes to the oven where the method does, not where its head says how long', () => {
    const steps = method(['Bake at 180 C for 30 minutes.', 'Beat in the eggs.', 'Bake until golden.'], yogurt)
    expect(steps.at(-1)).toBe('Bake until golden.')
    expect(steps.at(-2)).toMatch(/within ten minutes/)
  })

  it('a crêpe batter goes into no oven', () => {
    expect(method(['Whisk in the eggs, fry thin.'], { ...yogurt, baked: false }).join(' ')).not.toMatch(/oven/)
  })

  it('dry things go to the dry, wet to the liquid, nuts in last', () => {
    const steps = method(['Mix.'], {
      added: [
        { ingredient: 'xylitol', kitchen: '80 g' },
        { ingredient: 'soy-milk', kitchen: '100 g' },
        { ingredient: 'sunflower-seed', kitchen: '60 g' },
        { ingredient: 'baking-powder', kitchen: '1 tsp' },
      ],
    })
    expect(steps).toContain('Sift 1 tsp baking powder with the flour.')
    expect(steps).toContain('Stir 80 g xylitol into the dry things.')
    expect(steps).toContain('Add 100 g soya milk with the liquid.')
    expect(steps.some((s) => /^Fold in 60 g .*sunflower.* at the end/.test(s))).toBe(true)
  })

  it('says nothing twice that the method says already', () => {
    const steps = method(['Stir the condensed milk in.'], { added: [{ ingredient: 'condensed-milk', kitchen: '150 g' }] })
    expect(steps.filter((s) => /condensed/.test(s))).toHaveLength(1)
  })
})

describe('other names', () => {
  it.each([
    ['Fold in the milk.', 'milk-whole', 'oat-milk', 'Fold in the oat milk.'],
    ['Fold in cream and flour.', 'sour-cream', 'soy-yogurt', 'Fold in soya yogurt and flour.'],
    ['Whisk in water and oil.', 'water', 'milk-whole', 'Whisk in whole milk and oil.'],
    ['Fold in the apples and walnuts.', 'walnut', 'sunflower-seed', 'Fold in the apples and sunflower seeds.'],
    ['Pour in the honey.', 'honey', 'maple-syrup', 'Pour in the maple syrup.'],
  ])('“%s”, %s gone to %s: “%s”', (given, from, to, wanted) => {
    expect(line(given, { replaced: [{ from, to }], added: [{ ingredient: to, kitchen: '100 g' }] })).toBe(wanted)
  })

  it('oil is whisked, not creamed', () => {
    const step = line('Cream the butter and sugar until pale.', {
      replaced: [{ from: 'butter-unsalted', to: 'oil-vegetable' }],
      added: [{ ingredient: 'oil-vegetable', kitchen: '150 g' }],
    })
    expect(step).toMatch(/^Whisk the .*oil and sugar until thick and even/)
  })

  it('soya milk is not turned into soya soya milk', () => {
    const step = line('Add the milk.', {
      replaced: [{ from: 'milk-whole', to: 'soy-milk' }],
      added: [{ ingredient: 'soy-milk', kitchen: '100 g' }],
    })
    expect(step).toBe('Add the soya milk.')
  })

  it('what left for good leaves the words too', () => {
    expect(line('Fold in flour, baking powder and salt.', { removed: ['baking-powder'], changes: [] })).not.toMatch(/powder/)
    expect(line('Fold in flour and baking powder, then milk.', { removed: ['baking-powder'] })).toBe('Fold in flour, then milk.')
  })
})

it('a method of which nothing changed comes back word for word', () => {
  const given = ['Cream butter and sugar.', 'Beat in the eggs.', 'Bake.']
  expect(method(given, {})).toEqual(given)
})
