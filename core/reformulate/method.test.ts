import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'
import { TOLD, type ToldMethod } from '../fixtures/methods'
import { scan } from '../language/item'
import { readMethod } from '../method/read'
import { isLine } from '../method/step'
import { ingredientOf } from '../pantry/pantry'
import { readGiven } from '../method/given'
import { CHANGES, SCHOOLS } from '../swaps/schools'
import type { Goal } from './goals'
import { rewriteMethod, type Rewriting } from './method'
import type { OptionLine } from './option'

const NEEDS: Goal[][] = [['eggless'], ['vegan'], ['gluten-free'], ['dairy-free'], ['vegan', 'gluten-free'], ['less-sugar']]
const CASES = TOLD.flatMap((t) => NEEDS.map((goals) => [`${t.name}, ${goals.join(' and ')}`, t, goals] as const))
const best = (t: ToldMethod, goals: Goal[]) => answer('reformulate', { text: t.text, region: t.region, goals, limit: 2 }).options
const given = (t: ToldMethod) => readGiven(t.text, t.region).recipe

/** A rewriting by hand: ingredient by ingredient what takes its place (none: it leaves), and what comes in beside. */
function rewrite(
  text: string,
  swaps: Record<string, readonly string[]>,
  more: Partial<Rewriting> & { come?: Record<string, number> } = {},
): string[] {
  const { recipe } = readGiven(text, 'uk')
  const line = (part: number, ingredient: string, from: number, to: number, replaces: string[] = []): OptionLine => ({
    part: recipe.parts[part]!.name,
    partIndex: part,
    ingredient,
    name: ingredient,
    from,
    to,
    kitchen: `${to} g`,
    was: '',
    status: from ? (to === from ? 'kept' : to ? 'changed' : 'removed') : 'added',
    replaces,
    why: [],
  })
  const lines = recipe.parts.flatMap((p, part) =>
    p.lines.flatMap((l) => {
      const by = l.ingredient ? swaps[l.ingredient] : undefined
      return by
        ? [line(part, l.ingredient!, 100, 0), ...by.map((b) => line(part, b, 0, 90, [l.ingredient!]))]
        : [line(part, l.ingredient!, 100, 100)]
    }),
  )
  for (const [id, grams] of Object.entries(more.come ?? {})) lines.push(line(0, id, 0, grams))
  const oven = { before: recipe.oven, after: recipe.oven, why: '', says: [] }
  return rewriteMethod({
    region: 'uk',
    recipe,
    lines,
    changes: [],
    oven,
    foam: false,
    baked: true,
    rules: { needs: [], avoid: [] },
    glutenFree: false,
    dairyFree: false,
    ...more,
  }).map((s) => s.text)
}
const school = (id: string) => ({ egg: SCHOOLS.find((s) => s.id === id)! })
const page = (method: string, extra = '') =>
  `Cake\n100 g butter\n100 g sugar\n2 eggs\n100 g plain flour\n1 tsp baking powder\n100 ml milk\n${extra}\nMethod\n${method}`

describe('a method rewritten for every need', () => {
  it.each(CASES)('%s: names nothing that left, and all that is new', (_, t, goals) => {
    for (const o of best(t, goals)) {
      const model = readMethod(o.recipe, t.region)
      const stays = new Set(o.lines.filter((l) => l.to > 0).map((l) => l.ingredient))
      const gone = o.lines
        .filter((l) => l.to === 0)
        .map((l) => l.ingredient)
        .filter((id) => !stays.has(id))
      const named = o.recipe.method.flatMap((s) => scan(s, t.region).mentions.map((m) => m.id))
      for (const id of gone)
        if (!['flour-plain', 'flour-self-raising', 'flour-cake', 'milk-whole', 'butter-unsalted'].includes(id))
          expect(named, id).not.toContain(id)
      if (goals.some((g) => g === 'eggless' || g === 'vegan'))
        expect(o.recipe.method.join('\n')).not.toMatch(/\b(?:eggs?(?![ -]replacer)|yolks?|egg whites)\b/i)
      const grouped = new Set(
        model.steps
          .flatMap((s) => s.clauses)
          .filter((c) => c.things.some((x) => 'group' in x))
          .map((c) => c.part),
      )
      for (const l of o.lines)
        if (l.status === 'added' && l.to >= 1 && ingredientOf(l.ingredient)?.kind !== 'flour')
          expect(
            named.includes(l.ingredient) || grouped.has(l.partIndex) || /soured|gel|starch mixture|flour/.test(o.recipe.method.join(' ')),
            `${l.ingredient} in ${o.recipe.method.join(' ')}`,
          ).toBe(true)
    }
  })

  it.each(CASES)('%s: leaves no broken words, no step twice, and unchanged steps letter by letter', (_, t, goals) => {
    const before = given(t).method
    for (const o of best(t, goals)) {
      for (const s of o.method) {
        expect(s.text).not.toMatch(
          / {2}|\s[,.;]|[,;]\s*[,.;]|\b(?:and|with|the|then)\s*[.,;]|\b(\w+) \1\b(?! little)|\(\s*\)|undefined|\{|\}/,
        )
        expect(s.text.trim()).toBe(s.text)
        if (!s.changed) expect(before).toContain(s.text)
      }
      expect(new Set(o.method.map((s) => s.text)).size).toBe(o.method.length)
    }
  })

  it.each(CASES)('%s: what goes in goes in before the tin', (_, t, goals) => {
    for (const o of best(t, goals)) {
      const clauses = readMethod(o.recipe, t.region).steps.flatMap((s) => s.clauses)
      const tin = clauses.findIndex((c) => c.act === 'bake')
      const added = new Set(o.lines.filter((l) => l.status === 'added' && l.partIndex === 0).map((l) => l.ingredient))
      const late = clauses.slice(tin + 1).flatMap((c) => c.things.filter(isLine).filter((x) => x.part === 0 && added.has(x.ingredient)))
      expect(late.map((x) => x.ingredient)).toEqual([])
    }
  })

  it.each(TOLD.map((t) => [t.name, t] as const))('%s comes back word for word where nothing changes', (_, t) => {
    expect(rewrite(t.text, {})).toEqual(given(t).method)
  })
})

describe('sentences that a baker would say', () => {
  it.each([
    ['Beat in the eggs one at a time.', 'Beat in the yogurt a little at a time.'],
    ['Mix the sugar, eggs and milk.', 'Mix the sugar, the yogurt and milk.'],
    ['Whisk the eggs and sugar until thick and pale.', 'Whisk the yogurt with the sugar until smooth.'],
    ['Separate the eggs. Fold in the flour.', 'Fold in the flour.'],
  ])('“%s” becomes “%s”', (from, to) => {
    expect(rewrite(page(from), { 'egg-whole': ['yogurt-plain'] }, school('yogurt-soda')).join(' ')).toContain(to)
  })

  it.each([
    ['Fold in the milk.', 'milk-whole', ['oat-milk'], 'Fold in the oat milk.'],
    ['Cream the butter and sugar until pale.', 'butter-unsalted', ['oil-vegetable'], 'Whisk the oil and sugar until thick and even.'],
    [
      'Fold in the flour and baking powder.',
      'flour-plain',
      ['flour-rice', 'potato-starch'],
      'Fold in the rice flour, potato starch and baking powder.',
    ],
    ['Mix the flour, baking powder and sugar.', 'baking-powder', [], 'Mix the flour and sugar.'],
    ['Mix flour with baking powder, then stir in milk.', 'baking-powder', [], 'Mix flour, then stir in milk.'],
  ] as const)('“%s”, %s gone to %j: “%s”', (from, id, by, to) => {
    expect(rewrite(page(from), { [id]: by })[0]).toBe(to)
  })

  it('a spoonful stays a spoonful', () => {
    const [step] = rewrite(page('Beat well, adding a spoonful of flour if it curdles.'), { 'flour-plain': ['flour-gf-blend'] })
    expect(step).toBe('Beat well, adding a spoonful of gluten-free flour if it curdles.')
  })

  it('a tin is greased, not buttered, where there is no butter', () => {
    expect(rewrite(page('Butter a 20 cm tin.'), { 'butter-unsalted': ['plant-butter-block'] }, { dairyFree: true })[0]).toBe(
      'Grease a 20 cm tin.',
    )
  })

  it('dry things join the flour, wet ones what is wet, sweeteners the sugar', () => {
    const steps = rewrite(
      page('Cream the butter and sugar. Stir in the eggs and milk. Fold in the flour and baking powder. Bake.'),
      {},
      { come: { 'xanthan-gum': 1, water: 40, allulose: 60 } },
    )
    expect(steps[0]).toBe(
      'Cream the butter, sugar and allulose. Stir in the eggs, the water and milk. Fold in the flour, xanthan gum and baking powder. Bake.',
    )
  })

  it('what is new stands behind the word for all the dry things', () => {
    expect(rewrite(page('Mix all the dry ingredients. Stir in the rest.'), {}, { come: { 'xanthan-gum': 1 } })[0]).toContain(
      'dry ingredients (with the xanthan gum)',
    )
  })

  it('a foam that is folded in late is whipped late, after the batter has rested', () => {
    const blend = Object.values(CHANGES)
      .flat()
      .find((c) => c.id === 'gf-blend')!
    const steps = rewrite(
      page('Cream the butter and sugar.\nBeat in the eggs.\nFold in the flour and baking powder.\nSpread in the tin.\nBake 30 minutes.'),
      { 'egg-whole': ['aquafaba'], 'flour-plain': ['flour-gf-blend'] },
      { ...school('aquafaba'), changes: [{ school: blend, brought: ['flour-gf-blend'] }] },
    )
    const at = (words: RegExp) => steps.findIndex((s) => words.test(s))
    expect(at(/stand for 20/)).toBeGreaterThan(at(/Fold in the gluten-free flour/))
    expect(at(/^Whip the/)).toBe(at(/stand for 20/) + 1)
    expect(at(/Spread in the tin/)).toBe(at(/^Whip the/) + 1)
  })

  it('a batter with soda rests without it, or not at all', () => {
    const blend = Object.values(CHANGES)
      .flat()
      .find((c) => c.id === 'gf-blend')!
    const changes = [{ school: blend, brought: ['flour-gf-blend'] }]
    const late = rewrite(
      page('Mix the flour and bicarbonate of soda. Stir in the milk.\nSpread in the tin.\nBake.', '1 tsp bicarbonate of soda'),
      { 'flour-plain': ['flour-gf-blend'] },
      { changes },
    )
    expect(late[0]).toBe('Mix the gluten-free flour. Stir in the milk.')
    expect(late[1]).toMatch(/stand for 20 minutes\. Only then sift the bicarbonate of soda/)
    const wet = rewrite(
      page('Stir the bicarbonate of soda into the milk. Mix in the flour.\nSpread in the tin.\nBake.', '1 tsp bicarbonate of soda'),
      { 'flour-plain': ['flour-gf-blend'] },
      { changes },
    )
    expect(wet.join(' ')).not.toMatch(/stand for/)
  })
})
