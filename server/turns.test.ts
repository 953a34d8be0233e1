import { describe, expect, it } from 'vitest'
import { Refusal } from '../core/refusal'
import { Turns } from './utils/turns'

const spin = (ms: number) => {
  const until = performance.now() + ms
  while (performance.now() < until);
}
/** Work of so many steps of 5 ms each. */
function* work(steps: number, log: string[] = [], name = ''): Generator<number, string, boolean> {
  for (let i = 0; i < steps; i++) {
    spin(5)
    log.push(name)
    if (yield i) return `${name} cut short at ${i}`
  }
  return `${name} done`
}

describe('long answers in turns', () => {
  it('one after the other, in the order they came', async () => {
    const turns = new Turns(10)
    const log: string[] = []
    const all = await Promise.all(['a', 'b', 'c'].map((n) => turns.take(() => work(4, log, n), 1000)))
    expect(all).toEqual(['a done', 'b done', 'c done'])
    expect(log.join('')).toBe('aaaabbbbcccc')
  })

  it('what is short is served in between, within a few slices', async () => {
    const turns = new Turns(300)
    const long = Array.from({ length: 40 }, (_, i) => turns.take(() => work(6, [], `${i}`), 1000))
    const waits: number[] = []
    let over = false
    void Promise.all(long).then(() => (over = true))
    while (!over) {
      const from = performance.now()
      await new Promise((go) => setTimeout(go, 0))
      waits.push(performance.now() - from)
    }
    expect(waits.length).toBeGreaterThan(10)
    expect(Math.max(...waits)).toBeLessThan(200)
  })

  it('who has left is not worked for, and the next comes on', async () => {
    const turns = new Turns(10)
    let gone = false
    const log: string[] = []
    const first = turns.take(
      () => work(1000, log, 'a'),
      60_000,
      () => gone,
    )
    const second = turns.take(() => work(2, log, 'b'), 1000)
    setTimeout(() => (gone = true), 30)
    expect(await first).toBeUndefined()
    expect(await second).toBe('b done')
    expect(log.filter((x) => x === 'a').length).toBeLessThan(200)
  })

  it('work past its time is asked to end; too many are refused in words; what throws lets the next on', async () => {
    const turns = new Turns(1)
    const slow = turns.take(() => work(1000, [], 'slow'), 40)
    const waiting = turns.take<string>(() => {
      throw new Refusal('bad-request', 'That is no recipe.')
    }, 40)
    await expect(turns.take(() => work(1), 40)).rejects.toMatchObject({ code: 'busy' })
    expect(await slow).toMatch(/cut short/)
    await expect(waiting).rejects.toMatchObject({ code: 'bad-request' })
    expect(await turns.take(() => work(1, [], 'last'), 40)).toBe('last done')
  })
})
