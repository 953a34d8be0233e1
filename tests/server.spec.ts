import { request as http } from 'node:http'
import { expect, test } from '@playwright/test'

/** A request with every header as given, sent in pieces. */
const raw = (base: string, path: string, method: string, headers: Record<string, string>, pieces: readonly string[] = []) =>
  new Promise<{ status: number; headers: Record<string, unknown>; body: string }>((resolve, reject) => {
    const { hostname, port } = new URL(base)
    const r = http({ hostname, port, path, method, headers }, (answer) => {
      let body = ''
      answer.on('data', (d) => (body += String(d)))
      answer.on('end', () => resolve({ status: answer.statusCode ?? 0, headers: answer.headers, body }))
    })
    r.on('error', reject)
    for (const p of pieces) r.write(p)
    r.end()
  })
const JSON_TYPE = { 'content-type': 'application/json' }
const bun = JSON.stringify({ text: 'Bun\n200 g flour\n100 g sugar\n100 g butter\n2 eggs', region: 'uk' })

test.describe('the server lets nobody in who is not asked', () => {
  test('its own pages and programs on this machine are answered', async ({ baseURL }) => {
    const plain = await raw(baseURL!, '/api/v1/balance', 'POST', JSON_TYPE, [bun])
    expect(plain.status).toBe(200)
    const own = await raw(baseURL!, '/api/v1/balance', 'POST', { ...JSON_TYPE, origin: baseURL!.replace(/\/$/, '') }, [bun])
    expect(own.status).toBe(200)
  })

  test('another site, another name, a form: refused', async ({ baseURL }) => {
    const from = async (headers: Record<string, string>) => (await raw(baseURL!, '/api/v1/balance', 'POST', headers, [bun])).status
    expect(await from({ ...JSON_TYPE, origin: 'https://elsewhere.example' })).toBe(403)
    expect(await from({ ...JSON_TYPE, 'sec-fetch-site': 'cross-site' })).toBe(403)
    expect(await from({ 'content-type': 'text/plain', origin: baseURL!.replace(/\/$/, '') })).toBe(415)
    expect(await from({ ...JSON_TYPE, host: 'rebound.example' })).toBe(421)
    expect((await raw(baseURL!, '/', 'GET', { host: 'rebound.example' })).status).toBe(421)
  })

  test('what is too large is refused while it is still coming', async ({ baseURL }) => {
    const piece = 'x'.repeat(100_000)
    const got = await raw(baseURL!, '/api/v1/balance', 'POST', { ...JSON_TYPE, 'transfer-encoding': 'chunked' }, Array(12).fill(piece))
    expect(got.status).toBe(413)
    expect(JSON.parse(got.body).error.code).toBe('too-large')
  })

  test('paths that are none and verbs asked otherwise are said in JSON', async ({ baseURL }) => {
    const none = await raw(baseURL!, '/api/nothing', 'GET', {})
    expect([none.status, JSON.parse(none.body).error.code]).toEqual([404, 'unknown-path'])
    const get = await raw(baseURL!, '/api/v1/balance', 'GET', {})
    expect([get.status, get.headers.allow]).toEqual([405, 'POST'])
  })

  test('every answer says how it may be used, and not what made it', async ({ baseURL }) => {
    for (const path of ['/', '/api/nothing']) {
      const { headers } = await raw(baseURL!, path, 'GET', {})
      expect(headers).toMatchObject({
        'x-content-type-options': 'nosniff',
        'referrer-policy': 'no-referrer',
        'cross-origin-opener-policy': 'same-origin',
        'cross-origin-resource-policy': 'same-origin',
      })
      expect(headers['x-powered-by']).toBeUndefined()
    }
  })
})
