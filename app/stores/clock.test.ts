import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { bring, freshKitchen, full, newTab, SPONGE } from '../fixtures/kitchen'
import { minuteOf } from '../../core/measure/day'
import { database } from '~/kitchen/database'
import { nowIso, STEP, useClock } from './clock'
import { useHistory } from './history'
import { useKitchen } from './kitchen'
import { useKeeping } from './keeping'
import { useShelf } from './shelf'

const MORNING = new Date('2027-06-12T08:00:00')
beforeEach(async () => {
  vi.useFakeTimers({ toFake: ['Date'], now: MORNING })
  await freshKitchen()
})
afterEach(() => void vi.useRealTimers())

/** A day with one sponge on it, served at three. */
async function day() {
  const v = await bring()
  useKitchen().lastVersion = v.id
  const clock = useClock()
  await clock.open()
  await clock.change({ serveAt: '2027-06-12T15:00' }, 'serving')
  return { clock, v }
}
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T
const whisking = (clock: ReturnType<typeof useClock>) => clock.answer!.activities.find((a) => a.handsOn)!

describe('a day', () => {
  it('begins with what was on the bench last, served tomorrow at three', async () => {
    const v = await bring()
    useKitchen().lastVersion = v.id
    const clock = useClock()
    await clock.open()
    expect(clock.day).toMatchObject({ versions: [v.id], serveAt: '2027-06-13T15:00' })
    expect(clock.answer!.activities.length).toBeGreaterThan(4)
  })

  it('is there again in the next tab; yesterday’s serving is no plan for today', async () => {
    const { clock, v } = await day()
    const planned = plain(clock.answer!.activities)
    newTab()
    await useShelf().know([v.id])
    await useClock().open()
    expect(plain(useClock().answer!.activities)).toEqual(planned)
    vi.setSystemTime(new Date('2027-06-13T09:00:00'))
    newTab()
    await useShelf().know([v.id])
    await useClock().open()
    expect(useClock().day).toMatchObject({ serveAt: '2027-06-14T15:00', done: [] })
  })

  it('everything lies between now and serving, in order of the method', async () => {
    const { clock } = await day()
    const { activities } = clock.answer!
    for (const a of activities) {
      expect(minuteOf(a.start)).toBeGreaterThanOrEqual(minuteOf(nowIso()))
      expect(minuteOf(a.end)).toBeLessThanOrEqual(minuteOf('2027-06-12T15:00'))
      expect(minuteOf(a.end)).toBeGreaterThanOrEqual(minuteOf(a.start))
    }
  })

  it('two versions of one recipe are told apart by their names', async () => {
    const { clock, v } = await day()
    const child = await useShelf().addChild(v, { name: 'With less sugar' })
    await clock.change({ versions: [v.id, child.id] }, 'two bakes')
    expect(clock.versions.map(clock.nameOf)).toEqual(['Pier sponge: As given', 'Pier sponge: With less sugar'])
    expect(new Set(clock.answer!.activities.map((a) => a.bake)).size).toBe(2)
    const needs = Object.fromEntries(clock.needs.map((n) => [n.ingredient, n.grams]))
    expect(needs['flour-self-raising']).toBe(400)
  })

  it('whatever is changed can be undone to the same plan', async () => {
    const { clock } = await day()
    const before = plain([clock.day!.serveAt, clock.day!.quiet, clock.day!.waits ?? null, clock.answer!.activities])
    await clock.change({ serveAt: '2027-06-12T18:00' }, 'serving')
    await clock.change({ quiet: false }, 'quiet')
    await clock.change({ waits: 'shortest' as never }, 'waits')
    for (let i = 0; i < 3; i++) await useHistory().undo()
    expect(plain([clock.day!.serveAt, clock.day!.quiet, clock.day!.waits ?? null, clock.answer!.activities])).toEqual(before)
  })

  it('dragging serving is not a deed until it is let go', async () => {
    const { clock } = await day()
    const deeds = useHistory().past.length
    const start = clock.answer!.activities[0]!.start
    await clock.drag('2027-06-12T17:00')
    expect(clock.answer!.activities[0]!.start).not.toBe(start)
    expect(useHistory().past).toHaveLength(deeds)
    expect((await database.days.get('day'))?.serveAt).toBe('2027-06-12T15:00')
  })

  it('a full disk is said, and the plan stays', async () => {
    const { clock } = await day()
    const disk = vi.spyOn(database.days, 'put').mockImplementation(full as never)
    await clock.change({ serveAt: '2027-06-12T16:00' }, 'serving')
    disk.mockRestore()
    expect(useKeeping().trouble?.message).toMatch(/plan could not be written/)
    expect(clock.day!.serveAt).toBe('2027-06-12T16:00')
    await useKeeping().again()
    expect((await database.days.toArray())[0]!.serveAt).toBe('2027-06-12T16:00')
  })
})

describe('what the baker puts right', () => {
  it('a step put at a time of its own stays there until it is let go', async () => {
    const { clock } = await day()
    const a = whisking(clock)
    const early = a.start.slice(0, 11) + '09:30'
    await clock.hold(a.id, early)
    expect(clock.answer!.activities.find((x) => x.id === a.id)!.start.slice(0, 16)).toBe(early)
    await clock.letGo(a.id)
    expect(clock.answer!.activities.find((x) => x.id === a.id)!.start).toBe(a.start)
  })

  it('a step’s minutes stay with the recipe, on every other day too', async () => {
    const { clock, v } = await day()
    const bake = clock.nameOf(v)
    const length = () => clock.answer!.activities.map((a) => minuteOf(a.end) - minuteOf(a.start))
    const before = length()
    await clock.fix(bake, 1, { minutes: 25 } as never, 'longer creaming')
    expect(length()).not.toEqual(before)
    expect((await database.steps.get(v.id))?.fixes[1]).toEqual({ minutes: 25 })
    await useHistory().undo()
    expect(length()).toEqual(before)
  })

  it('what is set out is ticked and plans nothing anew', async () => {
    const { clock } = await day()
    const answer = clock.answer
    await clock.setOut('bowl')
    await clock.setOut('scale')
    await clock.setOut('bowl')
    expect(clock.day!.ready).toEqual(['scale'])
    expect(clock.answer).toBe(answer)
    expect((await database.days.get('day'))?.ready).toEqual(['scale'])
  })

  it('butter, eggs and milk come out an hour before hands are on', async () => {
    const { clock } = await day()
    const [out] = clock.takeOut
    const first = clock.answer!.activities.find((a) => a.handsOn)!
    expect(minuteOf(first.start) - minuteOf(out!.at)).toBe(60)
    expect(out!.what.join()).toMatch(/butter/)
    expect(out!.what.join()).toMatch(/egg/)
  })
})

describe('running late', () => {
  it('in time yet, serving stays; too late, it slips by quarters of an hour to what can be had', async () => {
    const { clock } = await day()
    vi.setSystemTime(new Date('2027-06-12T09:00:00'))
    await clock.late()
    expect(clock.slipped).toMatch(/still be served in time/)
    expect(clock.day!.serveAt).toBe('2027-06-12T15:00')

    vi.setSystemTime(new Date('2027-06-12T14:30:00'))
    await clock.late()
    expect(clock.slipped).toMatch(/^Serving slips by \d+ minutes/)
    const slip = minuteOf(clock.day!.serveAt) - minuteOf('2027-06-12T15:00')
    expect(slip).toBeGreaterThan(0)
    expect(slip % STEP).toBe(0)
    expect(clock.answer!.conflicts).toEqual([])
    for (const a of clock.answer!.activities) expect(minuteOf(a.start)).toBeGreaterThanOrEqual(minuteOf(nowIso()))
    await useHistory().undo()
    expect(clock.day!.serveAt).toBe('2027-06-12T15:00')
  })

  it('what is done is not planned again', async () => {
    const { clock } = await day()
    const done = clock.answer!.activities.slice(0, 2).map((a) => a.id)
    for (const id of done) await clock.tick(id)
    vi.setSystemTime(new Date('2027-06-12T14:00:00'))
    await clock.late()
    const left = clock.answer!.activities.filter((a) => !done.includes(a.id))
    for (const a of left) expect(minuteOf(a.start)).toBeGreaterThanOrEqual(minuteOf(nowIso()))
    await clock.tick(done[0]!)
    expect(clock.day!.done).toEqual([done[1]])
  })
})

it('a second bake is not lost while the first is planned', async () => {
  const { clock, v } = await day()
  const second = await bring(SPONGE.replace('Pier sponge', 'Jetty sponge'))
  await Promise.all([clock.change({ versions: [v.id, second.id] }, 'two'), clock.change({ quiet: false }, 'quiet')])
  expect(clock.day!.quiet).toBe(false)
  expect(clock.answer!.activities.length).toBeGreaterThan(0)
})
