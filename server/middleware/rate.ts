/** Requests that one address may make in a window; a baker's scripts stay far below. */
const MOST = 600
const WINDOW_MS = 60_000

const seen = new Map<string, { since: number; count: number }>()

/** Slows down whoever asks too often; keeps one small counter per address and forgets old ones. */
export default defineEventHandler((event) => {
  if (!event.path.startsWith('/api/')) return
  const now = Date.now()
  const address = getRequestIP(event) ?? 'unknown'
  const entry = seen.get(address)
  if (!entry || now - entry.since > WINDOW_MS) {
    if (seen.size > 10_000) seen.clear()
    seen.set(address, { since: now, count: 1 })
    return
  }
  if (++entry.count > MOST) {
    setResponseStatus(event, 429)
    setResponseHeader(event, 'retry-after', Math.ceil((entry.since + WINDOW_MS - now) / 1000))
    return { error: { code: 'too-many', message: 'Too many requests in a minute: wait a little.' } }
  }
})
