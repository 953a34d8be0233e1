import { beforeEach, describe, expect, it, vi } from 'vitest'
import { asked } from '../fixtures/core-in-process'
import { bring, freshKitchen, newTab, SPONGE } from '../fixtures/kitchen'
import { database } from '~/kitchen/database'
import { useBook, usualCup } from './book'
import { useHistory } from './history'
import { useKitchen } from './kitchen'
import { useShelf } from './shelf'

beforeEach(freshKitchen)

async function baked(record: Record<string, unknown> = {}, text = SPONGE) {
  const v = await bring(text)
  const book = useBook()
  await book.ready()
  const trial = await book.start(v)
  if (Object.keys(record).length) await book.change(trial.id, { record }, 'what was seen')
  return { book, v, id: trial.id }
}
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T

describe('a page of the book', () => {
  it('holds what was expected of the bake before anything was known of it', async () => {
    const { book, id, v } = await baked()
    const { expected } = book.trialById(id)!
    expect(expected).toMatchObject({ family: 'butter-layer' })
    expect(expected!.minutes).toBeGreaterThan(15)
    expect(expected!.minutes).toBeLessThan(60)
    expect(expected!.heightMm).toBeGreaterThan(15)
    expect(useShelf().versionById(v.id)?.bakedAt).not.toBeNull()
  })

  it('is there in the next tab, and every change of it can be undone', async () => {
    const { book, id } = await baked()
    const before = plain(book.trialById(id)!)
    await book.change(id, { marks: { crumb: 4 }, symptoms: ['dry'] }, 'marks')
    await book.change(id, { note: 'ten minutes less' }, 'a note')
    const after = plain(book.trialById(id)!)
    await useHistory().undo()
    await useHistory().undo()
    expect({ ...book.trialById(id)!, updatedAt: 0 }).toEqual({ ...before, updatedAt: 0 })
    await useHistory().redo()
    await useHistory().redo()
    newTab()
    await useBook().ready()
    expect({ ...useBook().trialById(id)!, updatedAt: 0 }).toEqual({ ...after, updatedAt: 0 })
  })

  it('taken out, it comes back whole', async () => {
    const { book, id } = await baked({ minutes: 34 })
    const before = plain(book.trialById(id)!)
    await book.remove(id)
    expect(await database.trials.count()).toBe(0)
    await useHistory().undo()
    expect({ ...book.trialById(id)!, updatedAt: 0 }).toEqual({ ...before, updatedAt: 0 })
    await useHistory().redo()
    expect(book.trialById(id)).toBeUndefined()
  })

  it('what another tab wrote is shown, and older news left alone', async () => {
    const { book, id } = await baked()
    const t = plain(book.trialById(id)!)
    await database.trials.put({ ...t, note: 'from the other tab', updatedAt: t.updatedAt + 10 })
    await vi.waitFor(() => expect(book.trialById(id)?.note).toBe('from the other tab'))
    await book.change(id, { note: 'mine' }, 'a note')
    await database.trials.put({ ...t, note: 'old', updatedAt: t.updatedAt + 11 })
    await new Promise((r) => setTimeout(r, 60))
    expect(book.trialById(id)?.note).toBe('mine')
  })
})

describe('what went wrong', () => {
  it('is asked once there is a symptom, and the change to try becomes a version', async () => {
    const { book, id, v } = await baked({}, SPONGE.replace('200 g self-raising flour', '200 g self-raising flour\n5 tsp baking powder'))
    await book.diagnose(id)
    expect(book.diagnosis).toBeNull()
    await book.change(id, { symptoms: ['sank', 'coarse'] as never }, 'symptoms')
    const { answer } = book.diagnosis!
    expect(answer.causes[0]!.code).toMatch(/leaven|powder|lift/)
    const child = await book.tryIt(id)
    expect(child).toMatchObject({ parentId: v.id, bakedAt: null })
    expect(child!.name).toMatch(/^To try: /)
    const powder = (x: typeof v) => x.recipe.parts.flatMap((p) => p.lines).find((l) => l.ingredient === 'baking-powder')?.grams.best ?? 0
    expect(powder(child!)).toBeLessThan(powder(v))
  })

  it('an answer for one bake is never shown for another', async () => {
    const { book, id } = await baked()
    const other = await book.start(await bring(SPONGE))
    await Promise.all([
      book.change(id, { symptoms: ['dry'] as never }, 'dry'),
      book.change(other.id, { symptoms: ['sank'] as never }, 'sank'),
    ])
    expect(book.diagnosis?.of).toBe(other.id)
    expect(await book.tryIt(id)).toBeNull()
  })
})

describe('what bakes teach', () => {
  /** So many bakes that took so much longer than they should. */
  async function slowKitchen(n: number, factor: number) {
    const { book, id } = await baked()
    const t = plain(book.trialById(id)!)
    const some = Array.from({ length: n }, (_, i) => ({
      ...t,
      id: `slow-${i}`,
      record: { minutes: Math.round(t.expected!.minutes! * factor) },
      updatedAt: t.updatedAt + i,
    }))
    await database.trials.bulkPut(some)
    await vi.waitFor(() => expect(book.trials.length).toBe(n + 1))
    return book
  }

  it('goes along with every prediction, unless it is switched off or forgotten', async () => {
    const book = await slowKitchen(6, 1.2)
    expect(book.learned.minutes.kitchen.from).toBe(6)
    expect(book.learned.minutes.kitchen.mean).toBeGreaterThan(0.05)
    expect(book.learned.minutes.kitchen.mean).toBeLessThan(Math.log(1.2))
    expect(book.lessons().learned).toBeDefined()
    useKitchen().learning = false
    expect(book.lessons()).toEqual({})
    useKitchen().learning = true
    useKitchen().learnsSince = Date.now() + 1000
    expect(book.lessons()).toEqual({})
  })

  it('sample bakes teach nothing: they are somebody else’s oven', async () => {
    const book = await slowKitchen(6, 1.2)
    await database.trials.toCollection().modify((t) => {
      t.sample = true
      t.updatedAt += 1000
    })
    await vi.waitFor(() => expect(book.learned.minutes.kitchen.from).toBe(0))
  })

  it('a cup that was weighed counts against the usual cup of where the kitchen is', () => {
    const book = useBook()
    useKitchen().region = 'us'
    const usual = usualCup('us')
    expect(usual).toBeGreaterThan(110)
    expect(usual).toBeLessThan(140)
    useKitchen().cupWeights = Array.from({ length: 5 }, (_, at) => ({ grams: usual * 1.25, at }))
    expect(book.learned.cup.kitchen.mean).toBeGreaterThan(0.1)
    expect(book.learned.cup.kitchen.mean).toBeLessThan(Math.log(1.25))
  })

  it('an oven that turns out otherwise is held against its bakes anew', async () => {
    const { book, id } = await baked({ minutes: 30 })
    useKitchen().loaded = true
    const before = book.trialById(id)!.expected!.minutes!
    useKitchen().oven = { ...useKitchen().oven, offsetC: 20 }
    await vi.waitFor(() => expect(book.trialById(id)!.expected?.minutes).toBeLessThan(before))
    expect(book.trialById(id)!.record.minutes).toBe(30)
  })

  it('bakes that came without expectation are held against the model once they are looked at', async () => {
    const { book, id } = await baked()
    const t = plain(book.trialById(id)!)
    await database.trials.put({ ...t, id: 'bare', expected: null, updatedAt: t.updatedAt + 1 })
    await vi.waitFor(() => expect(book.trialById('bare')).toBeDefined())
    asked.length = 0
    await book.expectAll(['bare', id, 'nobody'])
    expect(book.trialById('bare')!.expected).toEqual(t.expected)
    expect(asked.filter((a) => a.verb === 'bake')).toHaveLength(1)
  })
})
