import type { CorePoint } from '../../core/counter/probe'
import type { Reading } from '../../core/counter/scale'

/** Stops listening. */
export type Stop = () => void

/** A kitchen scale. Real ones would be other makers of the same readings. */
export interface Scale {
  /** Plainly said wherever it is shown. */
  simulated: boolean
  resolution: number
  /** Watches it while something goes from one weight to another; `gone` where it cannot be reached. */
  watch: (pour: { from: number; to: number }, read: (r: Reading) => void, gone: () => void) => Stop
}

/** A probe in the middle of a cake. */
export interface Probe {
  simulated: boolean
  /** Watches it from the moment that the cake went in, ms since 1970. */
  watch: (bake: { curve: readonly CorePoint[]; began: number; speed: number }, read: (r: CorePoint) => void, gone: () => void) => Stop
}

/** A pour takes about so many seconds, however much it is: the stand-in is there to try things out. */
const POUR_S = 4
const SLOWEST_RATE = 12
/** The curve is sent in so many points. */
const POINTS = 60

function listen<T>(url: string, read: (value: T) => void, gone: () => void): Stop {
  const source = new EventSource(url)
  source.onmessage = (e) => read(JSON.parse(e.data as string) as T)
  source.addEventListener('end', () => source.close())
  source.onerror = () => {
    source.close()
    gone()
  }
  return () => source.close()
}

export const simulatedScale: Scale = {
  simulated: true,
  resolution: 1,
  watch: ({ from, to }, read, gone) => {
    const rate = Math.max(SLOWEST_RATE, Math.round(Math.abs(to - from) / POUR_S))
    const query = new URLSearchParams({
      from: String(from),
      to: String(to),
      rate: String(rate),
      resolution: '1',
      seed: String(Math.round(from + 7 * to)),
    })
    return listen<Reading>(`/api/devices/scale?${query}`, read, gone)
  },
}

export const simulatedProbe: Probe = {
  simulated: true,
  watch: ({ curve, began, speed }, read, gone) => {
    const every = Math.max(1, Math.ceil(curve.length / POINTS))
    const points = curve.filter((_, i) => i % every === 0 || i === curve.length - 1)
    const query = new URLSearchParams({
      curve: points.map((p) => `${p.min.toFixed(1)}:${p.core.toFixed(1)}`).join(','),
      began: String(began),
      speed: String(speed),
    })
    return listen<CorePoint>(`/api/devices/probe?${query}`, read, gone)
  },
}
