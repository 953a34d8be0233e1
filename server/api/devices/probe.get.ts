import { probeReading, PROBE, type CorePoint } from '../../../core/counter/probe'
import { errorBody, Refusal } from '../../../core/refusal'

/** Readings are sent so often, ms. */
const EVERY_MS = 1000
/** No cake is watched longer than this, minutes of the oven. */
const LONGEST_MIN = 300
const MOST_POINTS = 120

/**
 * A simulated oven probe: it follows the predicted middle of a cake with a lag, at the pace of an oven of its own,
 * as server-sent events. It keeps nothing: when the cake went in comes with the request, so a closed tab loses nothing.
 *
 * Query: `curve` as `minute:celsius,…`, `began` as milliseconds since 1970, `speed` (how many times faster than life),
 * `seed`. Events: `{"min","core"}`.
 */
export default defineEventHandler((event) => {
  try {
    const query = getQuery(event)
    const curve: CorePoint[] = String(query.curve ?? '')
      .split(',')
      .slice(0, MOST_POINTS)
      .map((pair) => {
        const [min, core] = pair.split(':').map(Number)
        return { min: min ?? NaN, core: core ?? NaN }
      })
    if (curve.length < 2 || curve.some((p) => !Number.isFinite(p.min) || !Number.isFinite(p.core)))
      throw new Refusal('bad-request', 'Give the curve as minute:celsius pairs, parted by commas.', 'curve')
    const began = Number(query.began)
    if (!Number.isFinite(began)) throw new Refusal('bad-request', 'Say when the cake went in, in milliseconds since 1970.', 'began')
    const speed = Math.min(600, Math.max(1, Number(query.speed ?? 1) || 1))
    const seed = Number(query.seed ?? PROBE.seed) || PROBE.seed
    const stream = createEventStream(event)
    const tell = () => {
      const min = ((Date.now() - began) / 60_000) * speed
      if (min > LONGEST_MIN) {
        clearInterval(timer)
        void stream.close()
        return
      }
      void stream.push(
        JSON.stringify({ min: Math.round(min * 100) / 100, core: probeReading(curve, Math.max(0, min), { ...PROBE, seed }) }),
      )
    }
    const timer = setInterval(tell, EVERY_MS)
    tell()
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
