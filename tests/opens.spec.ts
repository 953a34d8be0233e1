import { expect, openShelf, test } from './kitchen'

const put = (rows: [table: string, row: unknown][]) =>
  new Promise<void>((resolve, reject) => {
    const open = indexedDB.open('kind-crumb')
    open.onerror = () => reject(new Error('open'))
    open.onsuccess = () => {
      const db = open.result
      const change = db.transaction(
        rows.map(([t]) => t),
        'readwrite',
      )
      for (const [table, row] of rows) change.objectStore(table).put(row)
      change.oncomplete = () => {
        db.close()
        resolve()
      }
      change.onerror = () => reject(new Error('write'))
    }
  })

test('a kitchen with damaged records opens, names them, hands them out and lets them go', async ({ page }) => {
  await openShelf(page)
  await page.evaluate(put, [
    ['versions', { id: 'broken', recipeId: 'r', recipe: { title: 'Half a cake', parts: 'none' }, updatedAt: 1 }],
    ['own', { id: 'odd', name: 'Odd flour', kind: 'flour', label: null, updatedAt: 1 }],
    ['settings', { key: 'oven', value: null }],
    ['settings', { key: 'region', value: 'moon' }],
  ] as [string, unknown][])
  await page.reload()
  await openShelf(page)
  const bar = page.getByRole('alert').filter({ hasText: 'set aside' })
  await expect(bar).toContainText('Odd flour')
  await expect(bar).toContainText('Half a cake')
  await page.getByRole('link', { name: 'Marmalade bundt' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Marmalade bundt' })).toBeVisible()
  await expect(bar.getByRole('button', { name: 'Remove them' })).toBeDisabled()
  const file = page.waitForEvent('download')
  await bar.getByRole('button', { name: 'Download them' }).click()
  expect((await file).suggestedFilename()).toMatch(/set-aside/)
  await bar.getByRole('button', { name: 'Remove them' }).click()
  await expect(bar).toBeHidden()
  await page.reload()
  await expect(page.getByRole('heading', { level: 1, name: 'Marmalade bundt' })).toBeVisible()
  await expect(page.getByText('set aside')).toBeHidden()
})

for (const [what, script] of [
  ['switched off', () => Object.defineProperty(window, 'indexedDB', { value: undefined, configurable: true })],
  [
    'refused',
    () => {
      IDBFactory.prototype.open = () => {
        throw new DOMException('denied', 'SecurityError')
      }
    },
  ],
  [
    'never answering',
    () => {
      IDBFactory.prototype.open = () => ({ addEventListener: () => undefined }) as never
    },
  ],
] as [string, () => void][])
  test(`storage that is ${what}: the kitchen works in memory and says so`, async ({ page }) => {
    await page.addInitScript(script)
    await openShelf(page)
    await expect(page.getByRole('alert').filter({ hasText: 'keeps nothing' })).toBeVisible()
    await page.getByRole('link', { name: 'Marmalade bundt' }).click()
    await expect(page.getByRole('heading', { level: 1, name: 'Marmalade bundt' })).toBeVisible()
  })

test('an address that leads nowhere says so and leads back', async ({ page }) => {
  await page.goto('/nowhere/at-all')
  await expect(page.getByRole('heading', { name: 'There is no such place' })).toBeVisible()
  await page.getByRole('link', { name: 'To the Shelf', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible()
})
