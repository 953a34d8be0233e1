import { expect, expectNoBarriers, face, openShelf, paste, RECIPE, test } from './kitchen'

test('vegan and without gluten, a third less sugar: needs and wishes together', async ({ page }) => {
  await openShelf(page)
  await paste(page, RECIPE)
  await page.getByRole('button', { name: 'vegan', exact: true }).click()
  await page.getByRole('button', { name: 'no gluten' }).click()
  await page.getByRole('button', { name: /^rather/ }).click()
  await page.getByRole('button', { name: 'less sugar', exact: true }).click()
  await expect(page.getByRole('button', { name: 'a third' })).toHaveAttribute('aria-pressed', 'true')
  await expectNoBarriers(page)
  await page.getByRole('button', { name: 'nearly half' }).click()
  await expect(page.getByRole('button', { name: 'nearly half' })).toHaveAttribute('aria-pressed', 'true')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('group', { name: 'Wishes' })).toBeHidden()
  await face(page, 'Mix')
  await expect(page.getByText(/gluten-free flour/i).first()).toBeVisible()
  await expect(page.getByText(/labels/).first()).toBeVisible()
  await face(page, 'Method')
  await expect(page.getByText(/stand for 20/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await page.getByRole('button', { name: 'Save and take the card' }).click()
  await expect(page.getByRole('article')).toContainText('vegan, no gluten, less sugar')
  await expect(page.getByRole('article')).toContainText('Read the label')
  await expectNoBarriers(page)
})

test('another sugar by name moves the oven', async ({ page }) => {
  await openShelf(page)
  await paste(page, RECIPE)
  await page.getByRole('button', { name: /^rather/ }).click()
  await page.getByRole('button', { name: 'another sugar' }).click()
  await page.getByLabel('which').selectOption('honey')
  await page.keyboard.press('Escape')
  await face(page, 'Method')
  await expect(page.getByText(/Set the oven to 170 °C/)).toBeVisible()
})

test('what cannot be done says why', async ({ page }) => {
  await openShelf(page)
  await paste(
    page,
    'Harbour angel\n360 g egg whites\n300 g caster sugar\n115 g cake flour\n1 1/2 tsp cream of tartar\nMethod:\nWhip the whites with the sugar to soft peaks, fold in the flour.',
  )
  await page.getByRole('button', { name: 'no egg' }).click()
  await expect(page.getByText('No sound way to do this.')).toBeVisible()
  await expect(page.getByText(/little else than egg foam/)).toBeVisible()
})
