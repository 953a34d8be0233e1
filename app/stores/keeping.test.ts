import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { TRY_AGAIN, useKeeping } from './keeping'

beforeEach(() => {
  setActivePinia(createPinia())
  vi.useFakeTimers()
})
afterEach(() => void vi.useRealTimers())

/** A disk that is full until it is not. */
function disk() {
  const written: string[] = []
  const d = { full: true, written, put: (s: string) => async () => (d.full ? Promise.reject(new Error('full')) : void written.push(s)) }
  return d
}

describe('what the disk refuses', () => {
  it('is said, waits, and is written as soon as there is room', async () => {
    const keeping = useKeeping()
    const d = disk()
    expect(await keeping.write('plan', 'The plan', d.put('monday'))).toBe(false)
    expect(keeping.trouble).toMatchObject({ unsaved: 1, message: expect.stringMatching(/^The plan could not be written/) })
    d.full = false
    await vi.advanceTimersByTimeAsync(TRY_AGAIN.soonest)
    expect(d.written).toEqual(['monday'])
    expect(keeping.trouble).toBeNull()
  })

  it('gives way to a later state of the same thing', async () => {
    const keeping = useKeeping()
    const d = disk()
    await keeping.write('plan', 'The plan', d.put('monday'))
    await keeping.write('plan', 'The plan', d.put('tuesday'))
    d.full = false
    await vi.advanceTimersByTimeAsync(TRY_AGAIN.latest)
    expect(d.written).toEqual(['tuesday'])
  })

  it('is tried ever less often, but never given up', async () => {
    const keeping = useKeeping()
    const work = vi.fn().mockRejectedValue(new Error('full'))
    await keeping.write('plan', 'The plan', work)
    await vi.advanceTimersByTimeAsync(60_000)
    const early = work.mock.calls.length
    await vi.advanceTimersByTimeAsync(60_000)
    const later = work.mock.calls.length - early
    expect(early).toBeGreaterThan(later)
    await vi.advanceTimersByTimeAsync(10 * TRY_AGAIN.latest)
    expect(work.mock.calls.length).toBeGreaterThan(early + later + 5)
  })

  it('goes out with the next thing that is written, and names all that waits', async () => {
    const keeping = useKeeping()
    const d = disk()
    await keeping.write('plan', 'The plan', d.put('plan'))
    await keeping.write('bake', 'The bake', d.put('bake'))
    expect(keeping.trouble!.message).toMatch(/^The plan and the bake could/)
    d.full = false
    await keeping.write('tin', 'The tin', d.put('tin'))
    await vi.advanceTimersByTimeAsync(1)
    expect(d.written.sort()).toEqual(['bake', 'plan', 'tin'])
  })
})
