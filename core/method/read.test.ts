import { describe, expect, it } from 'vitest'
import { TOLD } from '../fixtures/methods'
import { readGiven } from './given'
import { readMethod } from './read'
import { isLine, type Act } from './step'

/** What is done, without how finely it is told. */
const course = (acts: readonly Act[]): Act[] => acts.filter((a) => a !== 'other' && a !== 'mix').filter((a, i, all) => a !== all[i - 1])

const read = (text: string, region: 'uk' | 'us' | 'au' = 'uk') => {
  const { recipe } = readGiven(text, region)
  return { recipe, method: readMethod(recipe, region) }
}
const one = (sentence: string, lines = '200 g butter\n150 g sugar\n3 eggs\n200 g flour\n1 tsp baking powder\n100 ml milk') =>
  read(`Cake\n${lines}\n\nMethod\n${sentence}`).method.steps.flatMap((s) => s.clauses)

describe('words that could be two things', () => {
  const told = (sentence: string, lines?: string) =>
    one(sentence, lines).map((c) => [c.act, c.things.flatMap((t) => (isLine(t) ? [t.ingredient] : [])).join(' ')] as const)

  it.each<[string, [Act, string][]]>([
    ['Mix the milk, sugar and butter well.', [['mix', 'milk-whole sugar-white butter-unsalted']]],
    ['In a separate bowl whisk the eggs.', [['mix', 'egg-whole']]],
    ['Pour the milk mixture over the eggs, folding gently.', [['fold', 'egg-whole']]],
  ])('%s', (sentence, acts) => {
    expect(told(sentence).map(([act]) => act)).toEqual(acts.map(([act]) => act))
    expect(told(sentence)[0]![1]).toContain(acts[0]![1].split(' ').at(-1)!)
  })

  it('a word cut short ends no sentence', () => {
    expect(one('Put the evap. milk and the sugar in a pan.', '1 can evaporated milk\n100 g sugar')).toHaveLength(1)
  })

  it('how it looks in the end is no lighting of the oven', () => {
    expect(told('Whisk the eggs and sugar till foamy and light.').map(([act]) => act)).toEqual(['foam'])
  })

  it('the last minutes are within the bake', () => {
    const bakes = one('Bake at 180 C for 45 minutes. Take the foil off for the last 5 minutes.').filter((c) => c.act === 'bake')
    expect(bakes.map((c) => c.minutes)).toEqual([[45, 45], undefined])
  })

  it('nuts that are ground are a meal, and chopped nuts are not', () => {
    const id = (sentence: string) =>
      read(`Torte\n300 g hazelnuts\n200 g sugar\n5 eggs\n\nMethod\n${sentence} Whisk the eggs and sugar, fold in.`).recipe.parts[0]!
        .lines[0]!.ingredient
    expect(id('Grind the hazelnuts finely.')).toBe('flour-hazelnut')
    expect(id('Chop the hazelnuts.')).toBe('hazelnut')
  })
})

describe('a method as acts', () => {
  it.each(TOLD.map((t) => [t.name, t] as const))('%s', (_, t) => {
    const { method } = read(t.text, t.region as 'uk')
    expect(course(method.steps.flatMap((s) => s.clauses.map((c) => c.act)))).toEqual(course(t.acts))
  })

  it.each(TOLD.map((t) => [t.name, t] as const))(
    '%s: clauses stand in order, within their step, and things within their clause',
    (_, t) => {
      for (const { text, clauses } of read(t.text, t.region as 'uk').method.steps) {
        let end = 0
        for (const c of clauses) {
          expect(c.span[0]).toBeGreaterThanOrEqual(end)
          expect(c.span[1]).toBeLessThanOrEqual(text.length)
          for (const x of c.things) expect(x.span[0] >= c.span[0] && x.span[1] <= c.span[1]).toBe(true)
          end = c.span[1]
        }
      }
    },
  )

  it.each(TOLD.map((t) => [t.name, t] as const))('%s: every line is used by some clause', (_, t) => {
    const { recipe, method } = read(t.text, t.region as 'uk')
    const clauses = method.steps.flatMap((s) => s.clauses)
    const used = new Set(clauses.flatMap((c) => c.things.filter(isLine).map((x) => `${x.part}:${x.line}`)))
    const grouped = new Set(clauses.filter((c) => c.things.some((x) => 'group' in x)).map((c) => c.part))
    recipe.parts.forEach((p, part) =>
      p.lines.forEach((l, line) => expect(used.has(`${part}:${line}`) || grouped.has(part), l.text).toBe(true)),
    )
  })

  it('takes the butter of the icing for the icing', () => {
    const { method } = read(TOLD[0]!.text)
    const butters = method.steps
      .flatMap((s) => s.clauses)
      .flatMap((c) => c.things.filter(isLine).filter((x) => x.ingredient === 'butter-unsalted'))
    expect(butters.map((b) => b.part)).toEqual([0, 1])
  })

  it('a tin that is buttered uses no butter of the recipe', () => {
    expect(one('Butter a 20 cm tin.')[0]).toMatchObject({ act: 'ready-tin', things: [] })
  })

  it('what is only done if need be is told apart', () => {
    expect(one('Beat in the eggs, adding a little flour if it curdles.').some((c) => c.condition)).toBe(true)
  })

  it('the things may come before what is done with them', () => {
    expect(one('Egg whites beat with a fork till stiff.')[0]).toMatchObject({ act: 'foam', verb: 'beat' })
  })

  it('a sentence ends where it ends', () => {
    const [, milk] = one('Melt the butter. Milk goes in.')
    expect(milk!.things.filter(isLine).map((x) => x.ingredient)).toEqual(['milk-whole'])
  })

  it('reads times and temperatures of the oven', () => {
    expect(one('Bake at 180C (160C fan) for 25 to 30 minutes.')[0]).toMatchObject({
      act: 'bake',
      minutes: [25, 30],
      oven: [
        { celsius: 180, fan: false },
        { celsius: 160, fan: true },
      ],
    })
  })
})
