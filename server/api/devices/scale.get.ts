import { LONGEST_POUR_S, pourSeconds, scaleReading, type Pour } from '../../../core/counter/scale'
import { errorBody, Refusal } from '../../../core/refusal'

/** Readings a second. */
const EVERY_MS = 200
/** It is watched a little longer than it takes to settle, s. */
const AFTER_S = 4

/**
 * A simulated kitchen scale: something is poured onto it, and it says what it reads, as server-sent events.
 *
 * Query: `from` and `to` g, `rate` g a second, `resolution` g, `seed`. Events: `{"grams","stable"}`, then `end`.
 */
export default defineEventHandler((event) => {
  const query = getQuery(event)
  const number = (name: string, least: number, most: number, usual: number): number => {
    const value = query[name] === undefined ? usual : Number(query[name])
    if (!(value >= least && value <= most)) throw new Refusal('bad-request', `“${name}” must be between ${least} and ${most}.`, name)
    return value
  }
  try {
    const pour: Pour = {
      from: number('from', 0, 30_000, 0),
      to: number('to', 0, 30_000, 0),
      rate: number('rate', 1, 2000, 60),
      resolution: number('resolution', 0.1, 10, 1),
      seed: number('seed', 0, 2 ** 31, 1),
    }
    const stream = createEventStream(event)
    const began = performance.now()
    const longest = Math.min(pourSeconds(pour), LONGEST_POUR_S) + AFTER_S
    const timer = setInterval(() => {
      const seconds = (performance.now() - began) / 1000
      void stream.push(JSON.stringify(scaleReading(pour, seconds)))
      if (seconds > longest) {
        clearInterval(timer)
        void stream.push({ event: 'end', data: '{}' }).then(() => stream.close())
      }
    }, EVERY_MS)
    stream.onClosed(async () => {
      clearInterval(timer)
      await stream.close()
    })
    return stream.send()
  } catch (error) {
    setResponseStatus(event, error instanceof Refusal ? 400 : 500)
    return errorBody(error)
  }
})
