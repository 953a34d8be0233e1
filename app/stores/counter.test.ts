import fc from 'fast-check'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { bring, freshKitchen, full, newTab } from '../fixtures/kitchen'
import { database, type Version } from '~/kitchen/database'
import { recordOf, useBook } from './book'
import { useCounter } from './counter'
import { useKeeping } from './keeping'
import { useShelf } from './shelf'

beforeEach(freshKitchen)
afterEach(() => void vi.useRealTimers())

async function begun(v?: Version) {
  const counter = useCounter()
  const version = v ?? (await bring())
  await counter.show(version)
  await counter.begin()
  return { counter, version }
}
const kinds = (counter: ReturnType<typeof useCounter>) => counter.steps.map((s) => s.kind)
/** Only moments are set: promises and the browser's store go on as ever. */
const at = (minutes: number) => vi.setSystemTime(new Date(Date.UTC(2027, 5, 12, 9, minutes)))

describe('a bake at the Counter', () => {
  it('has the steps of its method, one of them in the oven', async () => {
    const { counter } = await begun()
    expect(kinds(counter).filter((k) => k === 'bake')).toHaveLength(1)
    expect(counter.step).toBe(counter.steps[0])
    expect(counter.session!.finishedAt).toBeNull()
  })

  it('every ingredient stands in some step, once', async () => {
    const { counter, version } = await begun()
    const used = counter.steps.flatMap((s) => s.uses.map((u) => u.id.split('.').slice(0, 2).join('.')))
    const lines = version.recipe.parts.flatMap((p, i) => p.lines.map((_, k) => `${i}.${k}`))
    expect([...new Set(used)].sort()).toEqual(lines.sort())
  })

  it('the bowl holds what was ticked, weighed and spooned, whatever was taken back', async () => {
    const { counter } = await begun()
    const uses = counter.steps.flatMap((s) => s.uses)
    const deed = fc.oneof(
      fc.record({ do: fc.constant('tick' as const), at: fc.nat(uses.length - 1) }),
      fc.record({ do: fc.constant('weigh' as const), at: fc.nat(uses.length - 1), grams: fc.integer({ min: 1, max: 400 }) }),
      fc.record({ do: fc.constant('spoon' as const) }),
      fc.record({ do: fc.constant('unspoon' as const) }),
    )
    await fc.assert(
      fc.asyncProperty(fc.array(deed, { maxLength: 12 }), async (deeds) => {
        await counter.giveUp()
        await counter.begin()
        for (const d of deeds) {
          if (d.do === 'tick') await counter.tick(uses[d.at]!)
          else if (d.do === 'weigh') await counter.tick(uses[d.at]!, d.grams)
          else if (d.do === 'spoon') await counter.spoon(1)
          else if (counter.session!.spoons.length) await counter.spoon(-1)
        }
        const s = counter.session!
        const inside = Object.values(s.ticks).reduce((g, t) => g + t.grams, 0) + s.spoons.reduce((g, x) => g + x.grams, 0)
        expect(s.bowl.inside).toBeCloseTo(inside, 6)
        expect(await database.sessions.get(s.id)).toEqual(JSON.parse(JSON.stringify(s)))
      }),
      { numRuns: 12 },
    )
  })

  it('the scale is read over what is in the bowl already', async () => {
    const { counter } = await begun()
    while (!counter.weighing) await counter.goTo(counter.session!.at + 1)
    await counter.bowl(500)
    const first = counter.weighing
    expect(counter.target).toBeCloseTo(500 + first.grams, 6)
    await counter.take(500 + first.grams - 4)
    expect(counter.session!.ticks[first.id]).toMatchObject({ weighed: true, grams: first.grams - 4 })
    expect(counter.moved).not.toBeNull()
    const second = counter.weighing
    if (second) expect(counter.target).toBeCloseTo(500 + first.grams - 4 + second.grams, 6)
    await counter.otherBowl()
    expect(counter.session!.bowl).toEqual({ bowlGrams: 0, inside: 0 })
  })

  it('a spoonful moves the balance, and the record says what went in', async () => {
    const { counter } = await begun()
    await counter.spoon(1)
    await counter.spoon(1)
    const { before, now } = counter.moved!
    expect(now.metrics.batterGrams).toBeGreaterThan(before.metrics.batterGrams)
    const grams = counter.session!.spoons.reduce((g, x) => g + x.grams, 0)
    expect(now.metrics.batterGrams - before.metrics.batterGrams).toBeCloseTo(grams, 0)
    expect(recordOf(counter.session!).addedGrams).toBe(grams)
    await counter.spoon(-1)
    await counter.spoon(-1)
    expect(counter.moved).toBeNull()
  })

  it('goes on where it stood in a tab that was closed', async () => {
    const { counter, version } = await begun()
    await counter.goTo(2)
    await counter.tick(counter.steps[1]!.uses[0] ?? counter.steps[2]!.uses[0]!)
    await counter.time('Cream', 5)
    const before = JSON.parse(JSON.stringify(counter.session))
    newTab()
    const again = useCounter()
    await again.show(version)
    expect(again.session).toEqual(before)
    expect(again.step?.id).toBe(counter.steps[2]!.id)
  })

  it('what a full disk refuses is said and goes on in this tab', async () => {
    const { counter } = await begun()
    const disk = vi.spyOn(database.sessions, 'put').mockImplementation(full as never)
    await counter.goTo(1)
    disk.mockRestore()
    expect(useKeeping().trouble?.message).toMatch(/This bake could not be written/)
    expect(counter.session!.at).toBe(1)
    await useKeeping().again()
    expect(useKeeping().trouble).toBeNull()
    expect((await database.sessions.toArray()).map((s) => s.at)).toEqual([1])
  })

  it('given up, nothing of it is kept', async () => {
    const { counter, version } = await begun()
    await counter.giveUp()
    expect(await database.sessions.count()).toBe(0)
    expect(useShelf().versionById(version.id)?.bakedAt).toBeNull()
  })
})

describe('moments', () => {
  it('the oven’s minutes begin when the door is shut, and its timer with them', async () => {
    vi.useFakeTimers({ toFake: ['Date'] })
    at(0)
    const { counter } = await begun()
    await counter.goTo(kinds(counter).indexOf('bake'))
    at(7)
    expect(counter.inOven).toBeNull()
    await counter.intoOven()
    expect(counter.inOven).toBe(Date.UTC(2027, 5, 12, 9, 7))
    const [timer] = counter.session!.timers
    expect(timer).toMatchObject({ began: counter.inOven, minutes: counter.step!.minutes.best })
    expect(timer!.look).toBeLessThan(timer!.minutes)
    at(41)
    await counter.goTo(counter.session!.at + 1)
    expect(recordOf(counter.session!).minutes).toBe(34)
  })

  it('out of the oven its clock is over, and the minutes in the tin run by themselves', async () => {
    const { counter } = await begun()
    const bake = kinds(counter).indexOf('bake')
    await counter.goTo(bake)
    await counter.intoOven()
    await counter.goTo(bake + 1)
    expect(counter.step!.kind).toBe('cool')
    expect(counter.session!.timers.map((t) => [t.label, t.minutes])).toEqual([['In the tin', 10]])
  })

  it('the probe keeps a point every half minute and the newest', async () => {
    const { counter } = await begun()
    await counter.probing(1)
    for (let s = 0; s <= 600; s += 5) await counter.probed({ min: s / 60, core: 20 + s / 10 })
    const { readings } = counter.session!.probe!
    // The newest may follow its forerunner sooner: 25 s of ten minutes.
    expect(readings.length).toBeLessThanOrEqual(600 / 25 + 2)
    expect(readings.at(-1)).toEqual({ min: 10, core: 80 })
    expect(readings.map((r) => r.min)).toEqual([...readings.map((r) => r.min)].sort((a, b) => a - b))
    expect(recordOf(counter.session!).coreC).toBe(80)
    await counter.probing(60)
    await counter.probed({ min: 30, core: 99 })
    // A probe in a hurry is a stand-in's, and no record of this oven.
    expect(recordOf(counter.session!).coreC).toBeUndefined()
  })

  it('out of the oven it is a page of the book, once, and the version a record', async () => {
    const { counter, version } = await begun()
    await counter.goTo(kinds(counter).indexOf('bake'))
    await counter.intoOven()
    await counter.look('stiff')
    const [id, none] = await Promise.all([counter.finish(), counter.finish()])
    expect(none).toBeNull()
    const trial = useBook().trialById(id!)!
    expect(trial).toMatchObject({ versionId: version.id, sessionId: counter.session!.id, record: { batter: 'stiff' } })
    expect(trial.expected?.minutes).toBeGreaterThan(10)
    expect(useShelf().versionById(version.id)?.bakedAt).toBe(trial.bakedAt)
    expect(await database.trials.count()).toBe(1)
    newTab()
    await useCounter().show(version)
    expect(useCounter().session).toBeNull()
  })
})

describe('one bake in two tabs', () => {
  /** The same bake as another tab holds it. */
  async function twice() {
    const { counter, version } = await begun()
    newTab()
    const other = useCounter()
    await other.show(version)
    return { counter, other, version }
  }
  const settle = () => new Promise((r) => setTimeout(r, 80))

  it('is one bake: what is done in one is seen in the other, and neither takes back what the other did', async () => {
    const { counter, other } = await twice()
    expect(other.session!.id).toBe(counter.session!.id)
    await other.goTo(2)
    await settle()
    expect(counter.session!.at).toBe(2)
    await Promise.all([counter.time('Chill', 20), other.bowl(312)])
    await settle()
    for (const c of [counter, other]) expect(c.session).toMatchObject({ bowl: { bowlGrams: 312 }, timers: [{ label: 'Chill' }] })
  })

  it('begun in both at once is begun once', async () => {
    const version = await bring()
    const a = useCounter()
    await a.show(version)
    newTab()
    const b = useCounter()
    await b.show(version)
    await a.begin()
    await b.begin()
    expect(b.session!.id).toBe(a.session!.id)
    expect(await database.sessions.count()).toBe(1)
  })

  it('finished in one it is over in the other', async () => {
    const { counter, other } = await twice()
    await other.finish()
    await settle()
    expect(counter.session).toBeNull()
  })
})
