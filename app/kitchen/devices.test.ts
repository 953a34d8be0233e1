import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { simulatedProbe, simulatedScale } from './devices'

/** What a browser makes of an address that sends events. */
class Source {
  static last: Source
  onmessage?: (e: { data: string }) => void
  onerror?: () => void
  ended?: () => void
  closed = false
  constructor(readonly url: string) {
    Source.last = this
  }
  addEventListener(_: string, f: () => void) {
    this.ended = f
  }
  close() {
    this.closed = true
  }
}
beforeEach(() => void vi.stubGlobal('EventSource', Source))
afterEach(() => void vi.unstubAllGlobals())
const asked = () => new URL(Source.last.url, 'http://kitchen').searchParams

describe('the stand-in scale', () => {
  it('is asked for the pour, and its readings are told', () => {
    const read = vi.fn()
    simulatedScale.watch({ from: 712, to: 912 }, read, vi.fn())
    expect(Source.last.url).toMatch(/^\/api\/devices\/scale\?/)
    expect(asked().get('from')).toBe('712')
    expect(asked().get('to')).toBe('912')
    Source.last.onmessage!({ data: '{"grams":800,"stable":false}' })
    expect(read).toHaveBeenCalledWith({ grams: 800, stable: false })
  })

  it('pours a kilogram as quickly as a cup, and a spoon not slower than a spoon', () => {
    const rate = (to: number) => (simulatedScale.watch({ from: 0, to }, vi.fn(), vi.fn()), Number(asked().get('rate')))
    expect(rate(1000)).toBe(250)
    expect(rate(2)).toBe(12)
  })

  it('stops when it is done, when nobody watches, and says when it cannot be reached', () => {
    const gone = vi.fn()
    const stop = simulatedScale.watch({ from: 0, to: 10 }, vi.fn(), gone)
    stop()
    expect(Source.last.closed).toBe(true)
    simulatedScale.watch({ from: 0, to: 10 }, vi.fn(), gone)
    Source.last.ended!()
    expect(Source.last.closed).toBe(true)
    expect(gone).not.toHaveBeenCalled()
    simulatedScale.watch({ from: 0, to: 10 }, vi.fn(), gone)
    Source.last.onerror!()
    expect(gone).toHaveBeenCalledOnce()
    expect(Source.last.closed).toBe(true)
  })
})

describe('the stand-in probe', () => {
  it('is told when the cake went in and how it is thought to warm, in no more points than an address bears', () => {
    const curve = Array.from({ length: 400 }, (_, i) => ({ min: i / 2, core: 20 + i / 5 }))
    simulatedProbe.watch({ curve, began: 1_800_000_000_000, speed: 60 }, vi.fn(), vi.fn())
    const points = asked().get('curve')!.split(',')
    expect(points.length).toBeLessThanOrEqual(62)
    expect(points[0]).toBe('0.0:20.0')
    expect(points.at(-1)).toBe('199.5:99.8')
    expect(asked().get('began')).toBe('1800000000000')
    expect(asked().get('speed')).toBe('60')
    expect(Source.last.url.length).toBeLessThan(2000)
  })

  it('both say plainly that they are stand-ins', () => {
    expect([simulatedScale.simulated, simulatedProbe.simulated]).toEqual([true, true])
  })
})
