import { readFileSync, writeFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { choose, expect, expectNoBarriers, openShelf, paste, place, RECIPE, test } from './kitchen'

/** Through all steps at the Counter, without ticking anything. */
async function bakeThrough(page: Page) {
  await place(page, 'Counter')
  await page.getByRole('button', { name: /^Begin|begin$/ }).click()
  await expect(page.getByText(/step 1 of/)).toBeVisible()
  for (let i = 0; i < 240 && !page.url().includes('/book/'); i++) {
    const into = page.getByRole('button', { name: 'It is in the oven' })
    if (await into.isVisible()) await into.click()
    await page.keyboard.press('ArrowRight')
    await page.waitForTimeout(120)
  }
  await expect(page).toHaveURL(/\/book\//)
}
const press = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).click()

test('baked, written down, the cause found, one change made a version, baked again and compared', async ({ page }) => {
  await openShelf(page)
  await paste(page, RECIPE.replace('2 tsp baking powder', '5 tsp baking powder'))
  await bakeThrough(page)
  await expect(page.getByRole('heading', { name: 'Nothing went wrong' })).toBeVisible()
  for (const mark of ['crumb 2 of 5', 'lift 2 of 5', 'taste 4 of 5', 'looks 1 of 5']) await press(page, mark)
  await press(page, 'sank in the middle')
  await press(page, 'coarse, with large holes')
  const likely = page.getByRole('region', { name: 'Most likely' })
  await expect(likely.getByRole('listitem').first()).toContainText('more powder or soda in it than the crumb can hold')
  await expectNoBarriers(page)

  const todo = page.getByRole('region', { name: 'Try this next time' })
  await expect(todo).toContainText(/baking powder: 5 tsp → /)
  await todo.getByRole('button', { name: 'Make it a version' }).click()
  await expect(page).toHaveURL(/\/bench\//)
  await expect(page.getByRole('navigation', { name: 'Versions' })).toContainText('To try')
  await expect(page.getByText(/baking powder/).first()).toBeVisible()

  await bakeThrough(page)
  for (const mark of ['crumb 4 of 5', 'lift 4 of 5', 'taste 4 of 5', 'looks 4 of 5']) await press(page, mark)
  await page.getByRole('link', { name: 'To the bake book' }).click()
  const mine = page.getByRole('list', { name: 'Bakes' }).getByRole('listitem').filter({ hasText: 'Regatta vanilla sponge' })
  await expect(mine).toHaveCount(2)
  await mine.nth(1).getByRole('checkbox').check()
  await mine.nth(0).getByRole('checkbox').check()
  const against = page.getByRole('region', { name: 'Side by side' })
  await expect(against).toContainText(/lift 2 → 4: as expected of|lift 2 → 4:/)
  await expect(against).toContainText('what lifts it')
  await expect(against.getByRole('img', { name: /^lift: A 2 of 5; B 4 of 5/ })).toBeVisible()
  // A third beside them, of another cake.
  await page
    .getByRole('checkbox', { name: /Poppy-seed/ })
    .first()
    .check()
  await expect(against.getByRole('region', { name: 'C against A' })).toBeVisible()
  await against.getByText('All of it as a table').click()
  await expect(against.getByRole('row', { name: /^lift/ }).getByRole('cell')).toHaveCount(3)
  await expectNoBarriers(page)
})

test('a bake by hand, with a number and a photo; the kitchen learns from it and can forget', async ({ page }) => {
  await openShelf(page)
  await place(page, 'Bake book')
  await choose(page, 'Write down a bake', 'Poppy-seed loaf · As given')
  await expect(page).toHaveURL(/\/book\//)
  await page.getByLabel('in the oven').fill('70')
  await page.keyboard.press('Tab')
  await press(page, 'a little dry')
  await expect(page.getByRole('row', { name: /in the oven/ })).toContainText('70 min')
  await page
    .locator('input[type=file]')
    .last()
    .setInputFiles({
      name: 'slice.png',
      mimeType: 'image/png',
      buffer: Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==', 'base64'),
    })
  await expect(page.getByAltText('The bake')).toBeVisible()
  await page
    .locator('input[type=file]')
    .last()
    .setInputFiles({ name: 'notes.png', mimeType: 'image/png', buffer: Buffer.from('no picture') })
  await expect(page.getByText('“notes.png” is no picture that this browser can read.')).toBeVisible()
  await page.reload()
  await expect(page.getByAltText('The bake')).toBeVisible()

  await place(page, 'Cupboard')
  const learned = page.getByRole('region', { name: 'What this kitchen has taught' })
  await expect(learned).toContainText(/Bakes take \d+ % longer than predicted/)
  await expect(learned).toContainText(/from 1 bake, give or take/)
  const cup = learned.getByLabel(/^Your cup of flour/)
  await cup.fill('20')
  await learned.getByRole('button', { name: 'Note it' }).click()
  await expect(learned.getByRole('alert')).toContainText('Weigh it without the cup.')
  await cup.fill('160')
  await cup.press('Enter')
  await expect(learned).toContainText(/A cup of flour weighs \d+ % more here/)
  await learned.getByRole('button', { name: 'Forget it all' }).click()
  await expect(learned).toContainText('Nothing yet.')
})

test('the whole kitchen in one file, on another machine, and a damaged one refused', async ({ page, browser }, info) => {
  await openShelf(page)
  await paste(page, RECIPE)
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Regatta vanilla sponge')
  await place(page, 'Settings')
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Back up the kitchen' }).click()])
  const good = info.outputPath('kitchen.zip')
  await file.saveAs(good)
  const bytes = readFileSync(good)
  const cut = info.outputPath('cut.zip')
  writeFileSync(cut, bytes.subarray(0, bytes.length / 2))

  const other = await (await browser.newContext()).newPage()
  await other.goto(page.url().replace(/\/settings.*/, '/'))
  await expect(other.getByRole('link', { name: 'Blackcurrant-vanilla sandwich' })).toBeVisible()
  await place(other, 'Cupboard')
  // What both kitchens have, each in another state, is asked one by one.
  const flour = other.getByLabel('How much plain flour')
  const [theirs, mine] = [await flour.inputValue(), '77 g']
  // A page that is still waking up forgets what is typed into it.
  await expect(async () => {
    await flour.fill(mine)
    await flour.press('Enter')
    await expect(other.getByRole('button', { name: 'Undo' })).toBeEnabled({ timeout: 2_000 })
  }).toPass()
  await place(other, 'Settings')
  const picker = other.getByRole('region', { name: 'Keep it safe' }).locator('input[type=file]')
  await picker.setInputFiles(cut)
  await expect(other.getByRole('alert')).toContainText('Nothing in this kitchen was changed.')
  await picker.setInputFiles(good)
  await expect(other.getByText(/\d+ new, \d+ the same/)).toBeVisible()
  const differs = other.getByRole('group', { name: 'In the cupboard: plain flour' })
  await expect(differs.getByRole('radio', { name: /^Mine.*77 g/ })).toBeChecked()
  await differs.getByRole('radio', { name: /^The backup’s/ }).check()
  // The page opens anew with what came in: leaving before that would be crossed by it.
  await Promise.all([other.waitForEvent('load'), other.getByRole('button', { name: 'Bring it in' }).click()])
  await expect(other.getByText(/\d+ new, \d+ the same/)).toBeHidden()
  await place(other, 'Cupboard')
  await expect(flour).toHaveValue(theirs)
  await other.goto(page.url().replace(/\/settings.*/, '/'))
  await expect(other.getByRole('link', { name: 'Regatta vanilla sponge', exact: true }).first()).toBeVisible()
  await other.context().close()
})
