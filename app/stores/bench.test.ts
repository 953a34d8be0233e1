import fc from 'fast-check'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { asked } from '../fixtures/core-in-process'
import { bring, freshKitchen, newTab, SPONGE } from '../fixtures/kitchen'
import { database } from '~/kitchen/database'
import { useBench, wayKey } from './bench'
import { useCupboard } from './cupboard'
import { useHistory } from './history'
import { useKitchen } from './kitchen'
import { useShelf } from './shelf'

beforeEach(freshKitchen)

const SMALL = 'Jetty bun\nTin: 20 cm round\n200 g plain flour\n100 g sugar\n100 g butter\n2 eggs\n2 tsp baking powder\n60 ml milk'
const copy = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T
async function opened(text = SMALL) {
  const v = await bring(text)
  const bench = useBench()
  await bench.open(v)
  return { bench, v }
}
const lastAsked = (verb: string) => asked.filter((a) => a.verb === verb).at(-1)!.request as Record<string, unknown>

describe('a recipe on the bench', () => {
  it('has its balance and how sure it is, and no ways while nothing is asked', async () => {
    const { bench } = await opened()
    expect(bench.balance?.metrics.batterGrams).toBeGreaterThan(500)
    expect(bench.sure?.metrics).toBeDefined()
    expect(bench.answer).toBeNull()
    expect(bench.option).toBeNull()
    expect(useKitchen().lastVersion).toBe(bench.version!.id)
  })

  it('asked to be eggless, it has ways; the one tried is the one shown', async () => {
    const { bench } = await opened()
    await bench.toggleGoal('eggless')
    expect(bench.options.length).toBeGreaterThan(2)
    expect(bench.option).toBe(bench.options[0])
    const other = bench.options[1]!
    await bench.tryWay(other)
    expect(bench.option && wayKey(bench.option)).toBe(wayKey(other))
    await bench.toggleGoal('eggless')
    expect(bench.options).toEqual([])
  })

  it('the one opened last is the one shown, however late the first answers', async () => {
    const first = await bring(SMALL)
    const second = await bring(SPONGE)
    const bench = useBench()
    await Promise.all([bench.open(first), bench.open(second)])
    expect(bench.version?.id).toBe(second.id)
    expect(bench.setup.recipe.title).toBe('Pier sponge')
    expect(bench.busy).toBe(false)
    const alone = copy(bench.balance)
    await bench.open(second)
    expect(bench.balance).toEqual(alone)
  })

  it('what was asked stands when the baker comes back to it, and only in this tab', async () => {
    const { bench, v } = await opened()
    await bench.toggleGoal('dairy-free')
    await bench.limit('butter-unsalted', 60)
    newTab()
    await useBench().open(v)
    expect(useBench().setup).toMatchObject({ goals: ['dairy-free'], atMost: { 'butter-unsalted': 60 } })
    sessionStorage.clear()
    newTab()
    await useBench().open(v)
    expect(useBench().setup.goals).toEqual([])
  })

  it('says a refusal in the core’s words and keeps the recipe', async () => {
    const { bench, v } = await opened()
    useKitchen().altitudeM = 99_999
    await bench.toggleGoal('eggless')
    expect(bench.refusal).toMatch(/altitude/)
    expect(bench.busy).toBe(false)
    expect(bench.setup.recipe).toEqual(v.recipe)
    useKitchen().altitudeM = 0
    await bench.compute()
    expect(bench.refusal).toBeNull()
  })

  it('asks only for what the cupboard has, and no more of it than is there', async () => {
    const { bench } = await opened()
    const stock = (id: string, grams: number | null) => useCupboard().set(id, 'stock', id, { id, grams, bestBefore: null, note: '' })
    await stock('flour-plain', null)
    await stock('butter-unsalted', 250)
    await bench.limit('butter-unsalted', 80)
    await bench.toggleCupboard()
    const request = lastAsked('reformulate')
    expect(request.have).toEqual(expect.arrayContaining(['flour-plain', { ingredient: 'butter-unsalted', grams: 80 }]))
    expect(request.have).toHaveLength(2)
    expect(request.avoid).toEqual(expect.arrayContaining(['egg-whole']))
    expect(request.avoid).not.toContain('butter-unsalted')
  })

  it('a ratio tugged there and back is let be', async () => {
    const { bench } = await opened()
    await bench.tug('moisture', 0.1)
    expect(bench.wanted).toBe(true)
    await bench.tug('moisture', 0.1)
    expect(bench.setup.nudge.moisture).toBeCloseTo(0.2)
    await bench.tug('moisture', -0.2)
    expect(bench.setup.nudge).toEqual({})
    expect(bench.wanted).toBe(false)
  })

  it('held amounts reach the engine and are kept by it', async () => {
    const { bench } = await opened()
    await bench.togglePin('sugar-white', 100)
    await bench.toggleGoal('eggless')
    for (const o of bench.options) {
      const sugar = o.recipe.parts.flatMap((p) => p.lines).filter((l) => l.ingredient === 'sugar-white')
      expect(sugar.reduce((g, l) => g + l.grams.best, 0)).toBeCloseTo(100, 0)
    }
  })
})

describe('editing', () => {
  it('every edit is on the disk at once', async () => {
    const { bench, v } = await opened()
    await bench.editing.line(0, 1, '90 g sugar')
    await bench.editing.title('Jetty bun, less sweet')
    const kept = await database.versions.get(v.id)
    expect(kept?.recipe.parts[0]!.lines[1]).toMatchObject({ text: '90 g sugar', ingredient: 'sugar-white' })
    expect((await database.recipes.get(v.recipeId))?.title).toBe('Jetty bun, less sweet')
  })

  it('whatever is done, as many undos bring back the recipe and its asks, and as many redos the work', async () => {
    const step = fc.oneof(
      fc.record({
        do: fc.constant('line' as const),
        at: fc.nat(3),
        text: fc.constantFrom('50 g honey', '1 cup flour', '3 zorgles', '2 eggs'),
      }),
      fc.record({ do: fc.constant('insert' as const), at: fc.nat(3), text: fc.constantFrom('1 tsp salt', '80 ml milk') }),
      fc.record({ do: fc.constant('move' as const), at: fc.nat(3), to: fc.nat(3) }),
      fc.record({ do: fc.constant('part' as const), text: fc.constantFrom('Icing', 'Soak') }),
      fc.record({ do: fc.constant('goal' as const), text: fc.constantFrom('less-sugar', 'dairy-free') }),
      fc.record({ do: fc.constant('tins' as const) }),
    )
    const { bench } = await opened()
    const state = () => copy({ recipe: bench.setup.recipe, questions: bench.setup.questions, goals: bench.setup.goals })
    await fc.assert(
      fc.asyncProperty(fc.array(step, { minLength: 1, maxLength: 5 }), async (steps) => {
        const history = useHistory()
        const start = state()
        const depth = history.past.length
        for (const s of steps) {
          if (s.do === 'line') await bench.editing.line(0, s.at, s.text)
          else if (s.do === 'insert') await bench.editing.insert(0, s.at, s.text)
          else if (s.do === 'move') await bench.editing.move({ part: 0, line: s.at }, { part: 0, line: s.to })
          else if (s.do === 'part') await bench.editing.addPart(s.text, 'other')
          else if (s.do === 'goal') await bench.toggleGoal(s.text)
          else await bench.editing.tins([])
        }
        const end = state()
        const done = history.past.length - depth
        for (let i = 0; i < done; i++) await history.undo()
        expect(state()).toEqual(start)
        for (let i = 0; i < done; i++) await history.redo()
        expect(state()).toEqual(end)
        for (let i = 0; i < done; i++) await history.undo()
        expect((await database.versions.get(bench.version!.id))?.recipe).toEqual(start.recipe)
      }),
      { numRuns: 8 },
    )
  })

  it('undo finds its recipe again from another one’s bench', async () => {
    const { bench, v } = await opened()
    await bench.editing.line(0, 1, '90 g sugar')
    await bench.open(await bring(SPONGE))
    await useHistory().undo()
    expect(bench.version?.id).toBe(v.id)
    expect(bench.setup.recipe.parts[0]!.lines[1]!.text).toBe('100 g sugar')
    expect(navigateTo).toHaveBeenLastCalledWith(`/bench/${v.id}`)
  })

  it('a baked version never changes: the edit goes into its child', async () => {
    const { bench, v } = await opened()
    await useShelf().put({ ...v, bakedAt: 1 })
    await bench.follow(useShelf().versionById(v.id)!)
    await bench.editing.line(0, 1, '60 g sugar')
    expect((await database.versions.get(v.id))?.recipe).toEqual(v.recipe)
    const child = (await database.versions.toArray()).find((x) => x.parentId === v.id)!
    expect(child.recipe.parts[0]!.lines[1]!.text).toBe('60 g sugar')
    expect(child.bakedAt).toBeNull()
    expect(navigateTo).toHaveBeenLastCalledWith(`/bench/${child.id}`)
  })

  it('takes what another tab wrote, and not the echo of its own writing', async () => {
    const { bench, v } = await opened()
    const other = copy(v)
    other.recipe.parts[0]!.lines.pop()
    await bench.follow({ ...other, updatedAt: Date.now() + 10_000 })
    expect(bench.setup.recipe.parts[0]!.lines).toHaveLength(5)
    await bench.editing.line(0, 0, '300 g plain flour')
    await bench.follow({ ...v, updatedAt: v.updatedAt })
    expect(bench.setup.recipe.parts[0]!.lines[0]!.text).toBe('300 g plain flour')
  })

  it('scales everything, and a scaled recipe has the same ratios', async () => {
    const { bench } = await opened()
    const before = bench.balance!.metrics
    await bench.scale({ factor: 2 })
    expect(bench.balance!.metrics.batterGrams / before.batterGrams).toBeCloseTo(2, 2)
    expect(bench.balance!.metrics.moisture! / before.moisture!).toBeCloseTo(1, 2)
  })
})

describe('questions that the reader left', () => {
  it('an unknown ingredient is named, and weighed as what it is', async () => {
    const { bench } = await opened('Bun\n200 g plain flour\n100 g suger crystals zz\n2 eggs')
    const at = bench.setup.questions.findIndex((q) => q.about === 'ingredient')
    expect(at).toBeGreaterThanOrEqual(0)
    await bench.answerQuestion(at, 'sugar-white')
    const line = bench.setup.recipe.parts[0]!.lines[1]!
    expect(line).toMatchObject({ ingredient: 'sugar-white', match: 'exact' })
    expect(line.grams.best).toBeCloseTo(100, 0)
    expect(bench.setup.questions.filter((q) => q.about === 'ingredient')).toEqual([])
  })

  it('a tin without a size is weighed by the baker; what is no weight is refused', async () => {
    const { bench } = await opened('Bun\n200 g plain flour\n1 tin condensed milk')
    const at = bench.setup.questions.findIndex((q) => q.line === 1)
    expect(at).toBeGreaterThanOrEqual(0)
    await expect(bench.answerQuestion(at, 'plenty')).rejects.toThrow(/grams/)
    await bench.answerQuestion(at, '397')
    expect(bench.setup.recipe.parts[0]!.lines[1]!.grams.best).toBeCloseTo(397, 0)
    expect(bench.setup.questions).toHaveLength(0)
  })

  it('left aside, a question is undone like anything else', async () => {
    const { bench } = await opened('Bun\n200 g plain flour\n3 zorgles')
    const before = copy(bench.setup.questions)
    expect(before).toHaveLength(1)
    await bench.dismissQuestion(0)
    expect(bench.setup.questions).toEqual([])
    await useHistory().undo()
    expect(bench.setup.questions).toEqual(before)
  })
})

describe('what the kitchen taught', () => {
  it('is asked with, and not while learning is switched off', async () => {
    const { bench } = await opened()
    useKitchen().cupWeights = [1, 2, 3].map((at) => ({ grams: 165, at }))
    await bench.compute()
    expect(lastAsked('balance').learned).toBeDefined()
    useKitchen().learning = false
    await bench.compute()
    expect(lastAsked('balance').learned).toBeUndefined()
    vi.clearAllMocks()
  })
})
