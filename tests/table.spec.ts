import type { Page } from '@playwright/test'
import { expect, expectNoBarriers, openShelf, place, test } from './kitchen'

const group = (page: Page, at: number) => page.getByRole('region', { name: 'Who comes?' }).getByRole('listitem').nth(at)
async function guests(page: Page, at: number, count: number, needs: string[]) {
  const row = group(page, at)
  for (const need of needs) await row.getByRole('button', { name: need, exact: true }).click()
  for (let n = Number(await row.locator('b').textContent()); n < count; n++) await row.getByRole('button', { name: /^One more/ }).click()
}

test('eleven guests with five needs, two bakes, and on to the day', async ({ page }) => {
  await openShelf(page)
  await place(page, 'Table')
  // Six eat anything and two are vegan to begin with; five needs more, one guest each, and one fewer who eats anything.
  const wanted = [['no gluten'], ['no egg'], ['no dairy'], ['no nuts']]
  for (const [i, needs] of wanted.entries()) {
    await page.getByRole('button', { name: 'Others with other needs' }).click()
    await guests(page, i + 2, 1, needs)
  }
  await group(page, 0)
    .getByRole('button', { name: /^One fewer/ })
    .click()
  await expect(page.getByRole('heading', { name: 'Not everybody is fed yet.' })).toBeVisible()
  await expect(page.getByText(/Nothing here is vegan/)).toBeVisible()
  await page.getByRole('button', { name: 'Look what could be made for all of them' }).click()
  await expect(page.getByRole('heading', { name: /^(One bake feeds|Two bakes feed) all 11\.$/ })).toBeVisible({ timeout: 40_000 })
  await expect(page.getByText('to be made').first()).toBeVisible()
  await expectNoBarriers(page)
  // Everybody has a slice that they may eat.
  for (const who of ['2 · vegan', '1 · no gluten', '1 · no egg', '1 · no dairy', '1 · no nuts', '5 · anything'])
    await expect(page.getByRole('row', { name: new RegExp(who) })).toContainText(/[1-9]/)

  await page.getByRole('button', { name: 'Plan the day' }).click()
  await expect(page).toHaveURL(/\/clock/)
  await expect(page.getByText(/^Begin at /)).toBeVisible()
  await expect(page.getByRole('group', { name: 'Bakes' }).getByRole('link').first()).toBeVisible()
  // The guests are there again tomorrow.
  await place(page, 'Table')
  await expect(group(page, 0)).toBeVisible()
  await page.reload()
  await expect(group(page, 0).locator('b')).toHaveText('5')
})

test('spare yolks: how long they keep, and what on the shelf takes what is left', async ({ page }) => {
  await openShelf(page)
  await place(page, 'Cupboard')
  const left = page.getByRole('region', { name: 'Left over' })
  await left.getByLabel('What is left over').fill('200 ml buttermilk')
  await left.getByRole('button', { name: 'Use it up' }).click()
  await expect(left).toContainText(/buttermilk: keeps about 7 days/)
  await expect(left.getByRole('link', { name: 'Marmalade bundt' })).toBeVisible()
  await left.getByLabel('What is left over').fill('hope')
  await left.getByRole('button', { name: 'Use it up' }).click()
  await expect(left.getByRole('alert')).toContainText('Not read: “hope”')
  await left.getByLabel('What is left over').fill('300 g batter, 200 g trimmings and 150 g buttercream')
  await left.getByRole('button', { name: 'Use it up' }).click()
  await expect(left).toContainText(/7 fairy cakes of 40 g/)
  await expect(left).toContainText(/24 g first, which you have/)
  await expect(left.getByRole('link', { name: 'Coffee-hazelnut layers' })).toBeVisible()
})
