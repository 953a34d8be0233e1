import { createServer, request, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { expect, openRecipe, openShelf, place, test } from './kitchen'

test.use({ serviceWorkers: 'allow' })

/** Stands between the browser and the product: it can go away, and it can hand out a newer build. */
class Between {
  newer = false
  private readonly server: Server
  constructor(private readonly product: string) {
    this.server = createServer((asked, answer) => {
      const changed = this.newer && asked.url === '/sw.js'
      // What is changed on the way must come whole, and unpacked.
      const asking = changed ? {} : asked.headers
      const on = request(new URL(asked.url!, this.product), { method: asked.method, headers: asking }, (got) => {
        const headers = { ...got.headers }
        if (changed) delete headers['content-length']
        answer.writeHead(got.statusCode!, headers)
        if (changed) got.on('data', (part) => answer.write(part)).on('end', () => answer.end('\n// newer'))
        else got.pipe(answer)
      })
      on.on('error', () => answer.destroy())
      asked.pipe(on)
    })
  }
  async open(): Promise<string> {
    await new Promise<void>((done) => this.server.listen(0, 'localhost', done))
    return `http://localhost:${(this.server.address() as AddressInfo).port}/`
  }
  /** The server is gone, with every connection to it. */
  async away(): Promise<void> {
    const closed = new Promise((done) => this.server.close(done))
    this.server.closeAllConnections()
    await closed
  }
}

test('without the net: the kitchen opens, a recipe is reworked, and what was done is there', async ({ page, baseURL }) => {
  const between = new Between(baseURL!)
  const address = await between.open()
  await openShelf(page, address)
  await place(page, 'Settings')
  const safe = page.getByRole('region', { name: 'Keep it safe' })
  await expect(safe.getByText('It opens without the net.')).toBeVisible({ timeout: 30_000 })

  await between.away()
  await page.reload()
  await expect(safe.getByText('It opens without the net.')).toBeVisible()
  await openShelf(page, address)
  // Places that were never opened while there was a net.
  await openRecipe(page, 'Poppy-seed loaf')
  const given = page.url()
  await page.getByRole('button', { name: 'no egg' }).click()
  await page.getByRole('button', { name: 'Save version' }).click()
  await expect(page).not.toHaveURL(given)
  await page.reload()
  await expect(page.getByText('no egg').first()).toBeVisible()
  await expect(page.getByRole('heading', { level: 1, name: 'Poppy-seed loaf' })).toBeVisible()
  await place(page, 'Tins')
  await expect(page.getByText(/°C/).first()).toBeVisible()
  await place(page, 'Table')
  await expect(page.getByRole('region', { name: 'Who comes?' })).toBeVisible()
  // The solver for tables was laid by with the rest.
  await expect(page.getByRole('heading', { name: /feeds? all|Not everybody/ })).toBeVisible()
  await page.goto(`${address}bench/nothing-here`)
  await expect(page.getByText('no such recipe on this shelf')).toBeVisible()
})

test('a newer build is announced, and taken when the baker says so', async ({ page, baseURL }) => {
  const between = new Between(baseURL!)
  const address = await between.open()
  await openShelf(page, address)
  await page.waitForFunction(async () => (await navigator.serviceWorker.ready).active?.state === 'activated')
  await page.reload()
  between.newer = true
  await page.evaluate(async () => (await navigator.serviceWorker.getRegistration())!.update())
  const said = page.getByText('A newer Kind Crumb is here. Your kitchen stays as it is.')
  await expect(said).toBeVisible({ timeout: 30_000 })
  // Not in the middle of a bake.
  await openRecipe(page, 'Poppy-seed loaf')
  await place(page, 'Counter')
  await expect(said).toBeHidden()
  await page.goBack()
  await expect(said).toBeVisible()
  await Promise.all([page.waitForEvent('load'), page.getByRole('button', { name: 'Take it now' }).click()])
  await expect(page.getByRole('heading', { level: 1, name: 'Poppy-seed loaf' })).toBeVisible()
  await expect(said).toBeHidden()
  expect(await page.evaluate(async () => (await navigator.serviceWorker.getRegistration())!.waiting)).toBeNull()
  await between.away()
})

test('it can be put on the device: its manifest and pictures are there', async ({ page, request: ask }) => {
  await page.goto('/')
  const link = await page.locator('link[rel=manifest]').getAttribute('href')
  const manifest = (await (await ask.get(link!)).json()) as { display: string; start_url: string; icons: { src: string; sizes: string }[] }
  expect(manifest).toMatchObject({ display: 'standalone', start_url: '/' })
  expect(manifest.icons.map((i) => i.sizes)).toEqual(expect.arrayContaining(['192x192', '512x512']))
  for (const icon of manifest.icons) expect((await ask.get(icon.src)).status()).toBe(200)
})
