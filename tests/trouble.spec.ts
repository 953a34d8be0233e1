import { expect, expectNoBarriers, openShelf, paste, place, RECIPE, test } from './kitchen'

test('bad input gets a message and nothing is lost', async ({ page }) => {
  await openShelf(page)
  const box = page.getByLabel('Recipe text')
  await box.fill('x\n'.repeat(1000))
  await page.getByRole('button', { name: 'Add this recipe' }).click()
  await expect(page.getByRole('alert')).toContainText('lines')
  await expect(box).not.toHaveValue('')
  await box.fill('a'.repeat(5_000_000))
  await page.getByRole('button', { name: 'Add this recipe' }).click()
  await expect(page.getByRole('alert')).toContainText('thousand characters')
  await box.fill('{"@type":"Car"}')
  await page.getByRole('button', { name: 'Add this recipe' }).click()
  await expect(page.getByRole('alert')).toContainText('no recipe')
  await page.getByRole('button', { name: 'Close' }).click()
  await expect(page.getByRole('link', { name: 'Marmalade bundt' })).toBeVisible()
})

test('markup in a recipe stays words', async ({ page }) => {
  await openShelf(page)
  await paste(
    page,
    '<b>Bold</b> sponge <img src=x onerror="document.title=\'hacked\'">\n100 g flour\n100 g <script>alert(1)</script> sugar\n2 eggs'.replace(
      /^</,
      'A <',
    ),
  )
  await expect(page.getByRole('heading', { level: 1 })).toContainText('<img src=x')
  await expect(page).not.toHaveTitle('hacked')
})

test('a saved web page, a recipe file and a wrong file', async ({ page }) => {
  await openShelf(page)
  const input = page.locator('input[type=file]')
  const ld = {
    '@context': 'https://schema.org',
    '@type': 'Recipe',
    name: 'Pier sponge',
    recipeIngredient: ['100 g flour', '100 g sugar', '2 eggs'],
  }
  await input.setInputFiles({
    name: 'page.html',
    mimeType: 'text/html',
    buffer: Buffer.from(`<html><script type="application/ld+json">${JSON.stringify(ld)}</script></html>`),
  })
  await expect(page.getByRole('heading', { level: 1, name: 'Pier sponge' })).toBeVisible()
  await page.goto('/')
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'cat.png', mimeType: 'image/png', buffer: Buffer.from([0x89, 0x50, 0, 0, 1, 2]) })
  await expect(page.getByRole('alert')).toContainText('not text')
})

test('a failed write keeps the work and offers it for download', async ({ page }) => {
  await openShelf(page)
  await page.evaluate(() => {
    const full = () => {
      throw new DOMException('full', 'QuotaExceededError')
    }
    IDBObjectStore.prototype.add = full as never
    IDBObjectStore.prototype.put = full as never
  })
  await paste(page, RECIPE)
  await expect(page.getByRole('alert')).toContainText('could not be written')
  await expect(page.getByRole('heading', { level: 1, name: 'Regatta vanilla sponge' })).toBeVisible()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Download my recipes' }).click()
  expect((await download).suggestedFilename()).toBe('kind-crumb-recipes.json')
})

test('two tabs see the same shelf', async ({ page, context }) => {
  await openShelf(page)
  const other = await context.newPage()
  await other.goto('/')
  await expect(other.getByRole('link', { name: 'Marmalade bundt' })).toBeVisible()
  await paste(page, RECIPE)
  await expect(other.getByRole('link', { name: 'Regatta vanilla sponge' })).toBeVisible()
})

test('a recipe taken off the shelf can be put back', async ({ page }) => {
  await openShelf(page)
  await page.getByRole('button', { name: 'Take Marmalade bundt off the shelf' }).click()
  await expect(page.getByRole('link', { name: 'Marmalade bundt' })).toBeHidden()
  await page.getByRole('button', { name: 'Put it back' }).click()
  await expect(page.getByRole('link', { name: 'Marmalade bundt' })).toBeVisible()
})

test('the sample kitchen goes and comes back, and everything can be taken along', async ({ page }) => {
  await openShelf(page)
  await paste(page, RECIPE)
  await page.goto('/')
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Download all recipes' }).click()
  expect((await download).suggestedFilename()).toBe('kind-crumb-recipes.json')
  await page.getByRole('button', { name: 'Take the sample kitchen away' }).click()
  await expect(page.getByRole('link', { name: 'Marmalade bundt' })).toBeHidden()
  await expect(page.getByRole('link', { name: 'Regatta vanilla sponge' })).toBeVisible()
  await page.reload()
  await page.getByRole('button', { name: 'Bring the sample kitchen' }).click()
  await expect(page.getByRole('link', { name: 'Marmalade bundt' })).toBeVisible()
})

test('a link to nowhere says so', async ({ page }) => {
  await openShelf(page)
  await page.goto('/bench/nothing-here')
  await expect(page.getByText('no such recipe on this shelf')).toBeVisible()
})

test('the server answers the same contract and refuses in words', async ({ request }) => {
  const ok = await request.post('/api/v1/parse', { data: { text: RECIPE, region: 'uk' } })
  expect(ok.status()).toBe(200)
  expect(((await ok.json()) as { recipe: { title: string } }).recipe.title).toBe('Regatta vanilla sponge')
  expect((await request.post('/api/v1/dance', { data: {} })).status()).toBe(404)
  expect((await request.post('/api/v1/parse', { data: { text: '' } })).status()).toBe(400)
  expect((await request.post('/api/v1/parse', { data: 'not json', headers: { 'content-type': 'application/json' } })).status()).toBe(400)
  const large = await request.post('/api/v1/parse', { data: { text: 'x'.repeat(1_200_000) } })
  expect(large.status()).toBe(413)
  expect(((await large.json()) as { error: { code: string } }).error.code).toBe('too-large')
})

test('the pages carry a strict policy', async ({ request }) => {
  const policy = (await request.get('/')).headers()['content-security-policy']
  expect(policy).toContain("default-src 'self'")
  expect(policy).not.toMatch(/script-src[^;]*unsafe-inline/)
})

test('what was taken off the shelf comes back after a reload, and emptying the kitchen asks first', async ({ page }) => {
  await openShelf(page)
  await page
    .getByRole('button', { name: /off the shelf/ })
    .first()
    .click()
  const row = page.locator('details.bin')
  await expect(row).toBeVisible()
  await page.reload()
  await page.getByText('Taken off in the last thirty days (1)').click()
  const title = await row.locator('strong').textContent()
  await expectNoBarriers(page)
  await row.getByRole('button', { name: 'Put it back' }).click()
  await expect(page.getByRole('link', { name: title! }).first()).toBeVisible()
  await expect(row).toHaveCount(0)

  await place(page, 'Settings')
  await page.getByRole('button', { name: 'Empty the kitchen' }).click()
  const dialog = page.getByRole('dialog', { name: 'Empty the whole kitchen?' })
  await expectNoBarriers(page)
  const [file] = await Promise.all([page.waitForEvent('download'), dialog.getByRole('button', { name: 'Back it up first' }).click()])
  expect(file.suggestedFilename()).toMatch(/\.zip$/)
  await dialog.getByRole('button', { name: 'Empty it', exact: true }).click()
  await expect(page.getByText('The shelf is empty.')).toBeVisible()
})
