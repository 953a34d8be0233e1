import fc from 'fast-check'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { useHistory } from './history'

beforeEach(() => setActivePinia(createPinia()))

/** A number that deeds set, as a screen would. */
function counter() {
  const history = useHistory()
  const state = { value: 0 }
  const set = (next: number) => {
    const before = state.value
    state.value = next
    history.did({ label: `to ${next}`, undo: () => (state.value = before), redo: () => (state.value = next) })
  }
  return { history, state, set }
}

describe('undo and redo', () => {
  it('stand wherever a row of values says, whatever is done, undone and done again', async () => {
    const moves = fc.array(fc.oneof(fc.integer({ min: 1, max: 99 }), fc.constant('undo' as const), fc.constant('redo' as const)), {
      maxLength: 60,
    })
    await fc.assert(
      fc.asyncProperty(moves, async (list) => {
        setActivePinia(createPinia())
        const { history, state, set } = counter()
        // The plainest history there is: a row of values and where one stands in it.
        let row = [0]
        let at = 0
        for (const move of list) {
          if (typeof move === 'number') {
            set(move)
            row = [...row.slice(0, at + 1), move]
            at += 1
          } else {
            await history[move]()
            at = move === 'undo' ? Math.max(0, at - 1) : Math.min(row.length - 1, at + 1)
          }
          expect(state.value).toBe(row[at])
          expect(history.next).toBe(at > 0 ? `to ${row[at]}` : '')
          expect(history.again).toBe(at < row.length - 1 ? `to ${row[at + 1]}` : '')
        }
      }),
      { numRuns: 60 },
    )
  })

  it('take one deed at a time, however fast the finger', async () => {
    const { history, state, set } = counter()
    for (const n of [1, 2, 3]) set(n)
    await Promise.all([history.undo(), history.undo()])
    expect(state.value).toBe(1)
    await Promise.all([history.undo(), history.undo(), history.undo(), history.redo()])
    expect(state.value).toBe(1)
  })

  it('wait for a deed that takes its time', async () => {
    const history = useHistory()
    const order: string[] = []
    for (const name of ['slow', 'quick'])
      history.did({
        label: name,
        undo: async () => {
          await new Promise((r) => setTimeout(r, name === 'quick' ? 15 : 0))
          order.push(name)
        },
        redo: () => undefined,
      })
    await Promise.all([history.undo(), history.undo()])
    expect(order).toEqual(['quick', 'slow'])
  })

  it('go on after a deed that could not be taken back', async () => {
    const { history, state, set } = counter()
    set(1)
    history.did({ label: 'broken', undo: () => Promise.reject(new Error('gone')), redo: () => undefined })
    await expect(history.undo()).rejects.toThrow('gone')
    await history.undo()
    expect(state.value).toBe(0)
  })

  it('keep a day’s work, not a year’s', async () => {
    const { history, state, set } = counter()
    for (let n = 1; n <= 200; n++) set(n)
    for (let n = 0; n < 200; n++) await history.undo()
    expect(state.value).toBeGreaterThanOrEqual(100)
    expect(state.value).toBeLessThan(150)
  })
})
