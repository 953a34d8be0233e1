import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { bring, freshKitchen, newTab } from '../fixtures/kitchen'
import { database } from '~/kitchen/database'
import { useCounter } from './counter'
import { useTimers } from './timers'

const rung: string[] = []
vi.mock('~/composables/useRing', () => ({
  useRing: () => ({ ring: (title: string, body: string) => void rung.push(`${title}: ${body}`) }),
}))

beforeEach(async () => {
  rung.length = 0
  await freshKitchen()
})
afterEach(() => void vi.useRealTimers())

const open = () => database.sessions.toArray()
/** A bake with one timer, seen by a tab's strip. */
async function chilling() {
  const counter = useCounter()
  await counter.show(await bring())
  await counter.begin()
  await counter.time('Chill', 20, 15)
  const timers = useTimers()
  timers.take(await open())
  const began = counter.session!.timers[0]!.began
  return { counter, timers, at: (min: number) => began + min * 60_000 }
}

describe('timers on every screen', () => {
  it('are there whatever place is open, with the cake that they are of', async () => {
    const { timers } = await chilling()
    expect(timers.first).toMatchObject({ title: 'Pier sponge', rings: false, timer: { label: 'Chill' } })
  })

  it('ring from their call on until they are heard, and again at the next', async () => {
    const { timers, at } = await chilling()
    const look = async (min: number) => {
      await timers.look(at(min))
      timers.take(await open())
    }
    await look(14)
    expect(rung).toEqual([])
    await look(15)
    await look(15.02)
    expect(rung).toEqual(['Time to look: Chill · Pier sponge'])
    await look(15.2)
    await look(15.4)
    expect(rung).toHaveLength(3)
    vi.useFakeTimers({ toFake: ['Date'], now: at(16) })
    await timers.heard(timers.first!)
    timers.take(await open())
    await look(17)
    await look(19)
    expect(rung).toHaveLength(3)
    await look(20)
    expect(rung.at(-1)).toBe('Time: Chill · Pier sponge')
  })

  it('ring in one tab only', async () => {
    const { timers, at } = await chilling()
    newTab()
    const other = useTimers()
    other.take(await open())
    await Promise.all([timers.look(at(20)), other.look(at(20))])
    expect(rung).toHaveLength(1)
  })

  it('given more time they fall silent and call anew; stopped they are gone', async () => {
    const { timers, at } = await chilling()
    await timers.look(at(21))
    vi.useFakeTimers({ toFake: ['Date'], now: at(21) })
    await timers.longer(timers.first!, 4)
    timers.take(await open())
    await timers.look(at(24))
    expect(timers.first).toMatchObject({ rings: false, state: 'look' })
    await timers.look(at(25))
    expect(timers.first!.rings).toBe(true)
    await timers.stop(timers.first!)
    expect((await open())[0]!.timers).toEqual([])
  })
})
