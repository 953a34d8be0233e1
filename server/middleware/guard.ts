/** Hosts that this server answers to beside its own machine, by name, with or without a port. */
const told = (process.env.KIND_CRUMB_HOSTS ?? '')
  .split(',')
  .map((h) => h.trim().toLowerCase())
  .filter(Boolean)
const LOOPBACK = /^(?:localhost|127\.0\.0\.1|\[::1\])(?::\d+)?$/

const isOurs = (host: string): boolean => LOOPBACK.test(host) || told.includes(host) || told.includes(host.replace(/:\d+$/, ''))

const HEADERS = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'no-referrer',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
}

/**
 * Answers only who asks for this server by its own name, and over the machine interface only what comes from its own
 * pages or from no page at all: another site's page can neither read nor use it.
 */
export default defineEventHandler((event) => {
  setResponseHeaders(event, HEADERS)
  const host = (getHeader(event, 'host') ?? '').toLowerCase()
  const refuse = (status: number, code: string, message: string) => {
    setResponseStatus(event, status)
    return { error: { code, message } }
  }
  if (!isOurs(host)) return refuse(421, 'other-host', 'This server answers only under its own name.')
  if (!event.path.startsWith('/api/')) return
  if (/^\/api\/v1\/[^/?]+\/?(?:\?|$)/.test(event.path) && event.method !== 'POST') {
    setResponseHeader(event, 'allow', 'POST')
    return refuse(405, 'not-post', 'Verbs are asked by POST.')
  }
  const origin = getHeader(event, 'origin')
  const site = getHeader(event, 'sec-fetch-site')
  const foreign = (origin !== undefined && !isSame(origin, host)) || site === 'cross-site' || site === 'same-site'
  if (foreign) return refuse(403, 'other-origin', 'Another site’s page may not ask this server.')
  if (origin !== undefined && event.method === 'POST' && !/^application\/json\b/i.test(getHeader(event, 'content-type') ?? ''))
    return refuse(415, 'not-json', 'The request is not JSON.')
})

function isSame(origin: string, host: string): boolean {
  try {
    return new URL(origin).host.toLowerCase() === host
  } catch {
    return false
  }
}
