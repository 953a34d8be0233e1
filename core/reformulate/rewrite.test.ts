import { describe, expect, it } from 'vitest'
import { aquafaba } from '../swaps/egg/aquafaba'
import { flaxGel } from '../swaps/egg/flax-gel'
import { gfBlend } from '../swaps/gluten/gf-blend'
import { starchGum } from '../swaps/egg/starch-gum'
import { souredMilkSoda } from '../swaps/egg/soured-milk-soda'
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

describe('what goes in elsewhere leaves the steps that had it', () => {
  const dry = 'Mix the flour, baking powder, soda and spice.'

  it('takes the soda out of the dry things where it is whisked into the yogurt', () => {
    expect(line(dry, yogurt)).toBe('Mix the flour, baking powder and spice.')
  })

  it('leaves it there where nothing else is done with it', () => {
    expect(line(dry, flax)).toBe(dry)
  })

  it('adds a thin liquid by turns to what is creamed, and not to what is whisked smooth', () => {
    const soured: Partial<Rewriting> = { egg: souredMilkSoda, added: [{ ingredient: 'milk-whole', kitchen: '200 g' }] }
    expect(line('Beat in the eggs one at a time.', soured)).toBe('Beat in the soured milk, in turns with the flour.')
    expect(line('Whisk the butter, sugar and eggs until smooth.', soured)).toBe('Whisk the butter, sugar and the soured milk until smooth.')
  })
})

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

describe('flours that drink slowly, in a creamed batter', () => {
  const creamed = [
    'Heat the oven to 180 C and line the tin.',
    'Cream the butter and sugar until pale.',
    'Beat in the eggs one at a time.',
    'Fold in the flour and cardamom, then the milk.',
    'Spread in the tin and bake for 35 minutes.',
  ]
  const blend = {
    school: gfBlend,
    brought: ['flour-gf-blend', 'xanthan-gum'],
  }
  const added = [
    { ingredient: 'flour-gf-blend', kitchen: '210 g' },
    { ingredient: 'xanthan-gum', kitchen: '¼ tsp' },
    { ingredient: 'baking-powder', kitchen: '1¾ tsp' },
  ]
  const at = (steps: string[], words: RegExp) => steps.findIndex((s) => words.test(s))

  it('lets the batter rest before its soda is wet, and the yogurt does not foam before', () => {
    const steps = method(creamed, { ...yogurt, added: [...yogurt.added!, ...added], changes: [blend] })
    expect(steps.join(' ')).not.toContain('foam')
    expect(steps).toContain('Beat in the natural yogurt, in turns with the flour.')
    expect(steps).toContain('Fold in the rest of the flour and cardamom, then the milk.')
    const rest = at(steps, /stand for 20 minutes; only then sift the bicarbonate of soda/)
    expect(rest).toBeGreaterThan(at(steps, /rest of the flour/))
    expect(rest).toBeLessThan(at(steps, /Spread in the tin/))
    expect(steps.filter((s) => /20 (to 30 )?minutes/.test(s))).toHaveLength(1)
  })

  it('whips its foam after the rest, not an hour ahead', () => {
    const whipped = { egg: aquafaba, added: [{ ingredient: 'aquafaba', kitchen: '150 g' }, ...added], changes: [blend] }
    const steps = method(creamed, whipped)
    expect(at(steps, /^Whip the/)).toBe(at(steps, /stand for 20 minutes/) + 1)
    expect(steps.filter((s) => /Fold it in|whipped/i.test(s))).toHaveLength(1)
  })

  it('keeps to words where flour and tin are one step', () => {
    const one = ['Cream the butter and sugar, beat in the eggs, fold in the flour and spread in the tin.', 'Bake for 35 minutes.']
    const steps = method(one, { ...yogurt, added: [...yogurt.added!, ...added], changes: [blend] })
    expect(at(steps, /very end/)).toBeGreaterThanOrEqual(0)
    expect(steps.some((s) => /stand for 20 minutes; only then sift/.test(s))).toBe(false)
  })

  it('whisks powder and gum with the flours in one bowl', () => {
    const steps = method(creamed, { ...yogurt, added: [...yogurt.added!, ...added], changes: [blend] })
    expect(steps.some((s) => /^Sift/.test(s))).toBe(false)
    expect(steps.find((s) => /^Whisk together/.test(s))).toMatch(/210 g .*, ¼ tsp xanthan gum and 1¾ tsp baking powder:/)
  })
})

describe('a paragraph with everything in it', () => {
  const WALNUT =
    'Separate the eggs. Whisk the yolks with the sugar until pale. Whip the whites stiff and fold in with the nuts and crumbs. Bake at 175 C.'

  it('keeps what has nothing to do with the egg', () => {
    const steps = method([WALNUT], yogurt)
    expect(steps).toContain('Fold in the nuts and crumbs.')
    expect(steps.join('\n')).not.toMatch(/egg|yolk|white|[Ss]eparate/)
    expect(steps.at(-1)).toBe('Bake at 175 C.')
  })

  it('is left whole where nothing in it changes', () => {
    expect(method(['Melt the jam. Sieve it. Brush it over the cold cake.'], yogurt)).toContain(
      'Melt the jam. Sieve it. Brush it over the cold cake.',
    )
  })

  it('puts what is new between mixing and oven', () => {
    const steps = method(['Mix the dry. Mix the wet. Combine, fold in the berries. Bake at 200 C, 20 minutes.'], yogurt)
    const at = (words: RegExp) => steps.findIndex((s) => words.test(s))
    expect(at(/^Stir in the foaming/)).toBe(at(/^Mix the wet/) + 1)
    expect(at(/^Into the hot oven/)).toBe(at(/^Bake/) - 1)
  })
})

describe('sentences that a baker would say', () => {
  const soured: Partial<Rewriting> = { egg: souredMilkSoda, added: [{ ingredient: 'milk-whole', kitchen: '200 g' }] }

  it.each([
    ['Add the eggs gradually with the zest.', 'Add the soured milk with the zest, in turns with the flour.'],
    ['Beat in the eggs, then the vanilla.', 'Beat in the soured milk, in turns with the flour, then the vanilla.'],
  ])('“%s” becomes “%s”', (given, wanted) => {
    expect(line(given, soured)).toBe(wanted)
  })

  it('what stands with the eggs is joined by “and”, not by a second “with”', () => {
    const more = { ...yogurt, added: [...yogurt.added!, { ingredient: 'soy-milk', kitchen: '60 g' }] }
    expect(line('Beat the eggs with the sugar.', more)).toMatch(/^Beat the foaming natural yogurt and the so\w+ milk with the sugar\.$/)
  })

  it('speaks of no liquid where there is none', () => {
    expect(line('Measure everything into a bowl and beat well.', yogurt)).not.toMatch(/liquid/)
    expect(method(['Measure everything into a bowl and beat well.'], yogurt).join('\n')).not.toMatch(/with the liquid/)
  })

  it('what the method never spoke of stands where it always did', () => {
    const more: Partial<Rewriting> = {
      replaced: [{ from: 'butter-unsalted', to: 'plant-butter-block' }],
      added: [{ ingredient: 'plant-butter-block', kitchen: '115 g' }],
    }
    expect(method(['Bake at 180 C.'], more)[0]).toMatch(/^Use 115 g .+ where the recipe has unsalted butter\.$/)
  })

  it('names its gum once', () => {
    const steps = method(['Beat in the eggs.', 'Fold in the flour.'], {
      egg: starchGum,
      added: [
        { ingredient: 'cornstarch', kitchen: '30 g' },
        { ingredient: 'water', kitchen: '120 g' },
        { ingredient: 'xanthan-gum', kitchen: '¼ tsp' },
      ],
    })
    expect(steps.filter((s) => /xanthan/.test(s))).toHaveLength(1)
  })
})
