import { Readable } from 'node:stream'
import { beforeEach, describe, expect, it, vi } from 'vitest'

/** A request as the handlers see it; what Nitro gives them by name is put in their way here. */
interface Asked {
  verb?: string
  body?: string
  length?: string
  query?: Record<string, string>
  status: number
  pushed: string[]
  closed: boolean
  node: { req: Readable }
}
vi.stubGlobal('defineEventHandler', (f: unknown) => f)
vi.stubGlobal('getRouterParam', (e: Asked) => e.verb)
vi.stubGlobal('getHeader', (e: Asked) => e.length)
vi.stubGlobal('setResponseHeader', () => undefined)
vi.stubGlobal('setResponseStatus', (e: Asked, status: number) => void (e.status = status))
vi.stubGlobal('getQuery', (e: Asked) => e.query ?? {})
vi.stubGlobal('createEventStream', (e: Asked) => ({
  push: (text: string | { event: string }) => (e.pushed.push(typeof text === 'string' ? text : text.event), Promise.resolve()),
  close: () => ((e.closed = true), Promise.resolve()),
  onClosed: () => undefined,
  send: () => 'sent',
}))

type Handler = (e: Asked) => Promise<{ error?: { code: string; message: string; path?: string } } & Record<string, unknown>>
const handler = async (path: string) => ((await import(path)) as { default: unknown }).default as Handler
const machine = await handler('./api/v1/[verb].post')
const probe = await handler('./api/devices/probe.get')
const scale = await handler('./api/devices/scale.get')

const asked = (more: Partial<Asked> = {}): Asked => ({
  status: 200,
  pushed: [],
  closed: false,
  // A body that comes in pieces, as over a wire.
  node: { req: Readable.from((more.body ?? '').match(/[\s\S]{1,4096}/g)?.map((x) => Buffer.from(x)) ?? []) },
  ...more,
})
async function post(verb: string, body: string, more: Partial<Asked> = {}) {
  const e = asked({ verb, body, ...more })
  return { answer: await machine(e), status: e.status }
}

beforeEach(() => void vi.useRealTimers())

describe('the machine interface over HTTP', () => {
  it('answers as the core does', async () => {
    const { answer, status } = await post(
      'balance',
      JSON.stringify({ text: 'Bun\n200 g flour\n100 g sugar\n100 g butter\n2 eggs', region: 'uk' }),
    )
    expect(status).toBe(200)
    expect(answer.family).toBeTypeOf('string')
  })

  it('has a solver for what needs one', async () => {
    const text = 'Bun\n200 g flour\n100 g sugar\n100 g butter\n2 eggs'
    const { answer } = await post(
      'table',
      JSON.stringify({ guests: [{ needs: [], count: 3 }], candidates: [{ id: 'a', title: 'Bun', text }], region: 'uk' }),
    )
    expect(answer.error).toBeUndefined()
    expect(answer.bakes).toHaveLength(1)
  })

  it.each([
    ['an unknown verb', 'conjure', '{}', {}, 404, 'unknown-verb'],
    ['what is not JSON', 'balance', '{"text":', {}, 400, 'not-json'],
    ['a body that is too large', 'balance', 'x'.repeat(1_000_001), {}, 413, 'too-large'],
    ['one that says so beforehand', 'balance', '{}', { length: '5000000' }, 413, 'too-large'],
    ['nothing at all', 'balance', '', {}, 400, undefined],
    ['a field of the wrong kind', 'balance', '{"text":7,"region":"uk"}', {}, 400, 'bad-request'],
  ] as const)('refuses %s in words', async (_, verb, body, more, status, code) => {
    const got = await post(verb, body, more)
    expect(got.status).toBe(status)
    if (code) expect(got.answer.error!.code).toBe(code)
    expect(got.answer.error!.message.length).toBeGreaterThan(10)
  })
})

describe('the stand-in probe over HTTP', () => {
  const query = { curve: '0:20,30:97', began: String(Date.now() - 600_000), speed: '1' }

  it('tells at once where the cake stands, from when it went in: nothing is kept', async () => {
    vi.useFakeTimers()
    const e = asked({ query })
    expect(await probe(e)).toBe('sent')
    const first = JSON.parse(e.pushed[0]!) as { min: number; core: number }
    expect(first.min).toBeCloseTo(10, 0)
    expect(first.core).toBeGreaterThan(20)
    expect(first.core).toBeLessThan(97)
    vi.advanceTimersByTime(3000)
    expect(e.pushed).toHaveLength(4)
  })

  it('ends when no cake would still be in', async () => {
    vi.useFakeTimers()
    const e = asked({ query: { ...query, speed: '600' } })
    await probe(e)
    vi.advanceTimersByTime(60_000)
    expect(e.closed).toBe(true)
  })

  it.each([
    ['no curve', { began: '1' }, 'curve'],
    ['a curve of nonsense', { curve: 'a:b,c:d', began: '1' }, 'curve'],
    ['no beginning', { curve: '0:20,30:97', began: 'noon' }, 'began'],
  ])('refuses %s', async (_, q, path) => {
    const e = asked({ query: q as Record<string, string> })
    const answer = await probe(e)
    expect(e.status).toBe(400)
    expect(answer.error).toMatchObject({ code: 'bad-request', path })
  })
})

describe('the stand-in scale over HTTP', () => {
  it('pours from one weight to the other and settles there', async () => {
    vi.useFakeTimers()
    const e = asked({ query: { from: '100', to: '300', rate: '50', resolution: '1', seed: '3' } })
    await scale(e)
    await vi.advanceTimersByTimeAsync(30_000)
    const readings = e.pushed.flatMap((t) => (t.startsWith('{') ? [JSON.parse(t) as { grams: number; stable: boolean }] : []))
    expect(readings.length).toBeGreaterThan(10)
    expect(readings[0]!.grams).toBeLessThan(150)
    expect(readings.at(-1)!.stable).toBe(true)
    expect(Math.abs(readings.at(-1)!.grams - 300)).toBeLessThanOrEqual(2)
    expect(e.closed).toBe(true)
  })

  it.each([
    ['from', { from: '-3' }],
    ['to', { to: '1e9' }],
    ['rate', { rate: 'fast' }],
  ])('refuses a “%s” that no scale has', async (name, q) => {
    const e = asked({ query: q as Record<string, string> })
    const answer = await scale(e)
    expect(e.status).toBe(400)
    expect(answer.error).toMatchObject({ code: 'bad-request', path: name })
  })
})
