import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { choose, expect, expectNoBarriers, openRecipe, openShelf, place, test } from './kitchen'

const agenda = (page: Page) => page.getByRole('region', { name: 'Hour by hour' })
/** A moment or an hour, typed as the kitchen writes it. */
async function type(page: Page, field: string, words: string) {
  const input = page.getByLabel(field)
  await input.click()
  await input.fill(words)
  await expect(input).toHaveValue(words)
  await input.press('Enter')
  await input.blur()
}
const headline = (page: Page) => page.getByText(/^Begin at /)

test('a day of two bakes: one oven, one pair of hands, a list to buy and a calendar file', async ({ page }) => {
  await openShelf(page)
  await openRecipe(page, 'Coffee-hazelnut layers')
  await place(page, 'Clock')
  await expect(headline(page)).toBeVisible()
  await choose(page, 'Put a bake on the day', 'Poppy-seed loaf · As given')
  await expect(
    agenda(page)
      .getByRole('listitem')
      .filter({ hasText: /^.*Heat the oven to 17[05] °C/ }),
  ).toHaveCount(2)
  await expect(agenda(page)).toContainText('Take the butter out to soften')
  await expectNoBarriers(page)

  const start = (await headline(page).textContent())!
  const serving = page.getByRole('slider', { name: 'Serving' })
  await serving.focus()
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowRight')
  await expect(page.getByLabel('Served at')).toHaveValue(/16:00$/)
  await expect(headline(page)).not.toHaveText(start)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByLabel('Served at')).toHaveValue(/15:45$/)

  await page.getByRole('button', { name: 'To buy' }).click()
  await expect(page.getByRole('list', { name: 'To buy' })).toContainText('hazelnut')
  await page.keyboard.press('Escape')

  const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Calendar file' }).click()])
  const text = readFileSync(await file.path(), 'utf8')
  expect(text).toContain('BEGIN:VCALENDAR')
  expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(await agenda(page).getByRole('checkbox').count())

  // It is there again tomorrow.
  await page.reload()
  await expect(agenda(page)).toContainText('Poppy-seed loaf')
  await page.getByRole('button', { name: 'Take Poppy-seed loaf off the day' }).click()
  await expect(agenda(page)).not.toContainText('poppy seeds')
})

test('a step is dragged to another time, and let go again; waits are chosen', async ({ page }) => {
  await openShelf(page)
  await openRecipe(page, 'Poppy-seed loaf')
  await place(page, 'Clock')
  const whisk = () => agenda(page).getByRole('listitem').filter({ hasText: 'Whisk the eggs' })
  const when = async () => (await whisk().locator('time').textContent())!
  const free = await when()
  const bar = page.locator('g.bar').filter({ hasText: /Whisk the eggs/ })
  const box = (await bar.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x - 60, box.y + box.height / 2, { steps: 6 })
  await page.mouse.up()
  await expect.poll(when).not.toBe(free)
  expect((await when()) < free).toBe(true)
  await whisk()
    .getByRole('button', { name: /Whisk the eggs/ })
    .click()
  await page.getByRole('button', { name: 'let it go where it fits' }).click()
  await expect.poll(when).toBe(free)
  await type(page, 'Begins at: Whisk the eggs', '23:59')
  await expect(page.getByText('It does not fit there.')).toBeVisible()
  await page.getByRole('button', { name: 'Let it go where it fits' }).click()
  await expect.poll(when).toBe(free)

  const begins = (await headline(page).textContent())!
  await choose(page, 'How long waits are', 'long, where better')
  await expect(headline(page)).not.toHaveText(begins)
  await page.getByRole('list', { name: 'Take out of the cold' }).getByRole('checkbox').check()
  await page.reload()
  await expect(page.getByRole('list', { name: 'Take out of the cold' }).getByRole('checkbox')).toBeChecked()
})

test('the layers are made the evening before; what cannot be had leaves the last plan in view', async ({ page }) => {
  await page.clock.install({ time: new Date('2027-06-11T12:00:00') })
  await openShelf(page)
  await openRecipe(page, 'Poppy-seed loaf')
  await place(page, 'Clock')
  await type(page, 'Served at', '12 Jun 2027, 15:00')
  await page
    .getByRole('group', { name: /^Made the evening before/ })
    .getByRole('button', { name: 'cake' })
    .click()
  await expect(agenda(page)).toContainText('Friday 11 June')
  await expect(page.getByText(/waits overnight wrapped/)).toBeVisible()
  await type(page, 'Served at', '11 Jun 2027, 15:00')
  await expect(page.getByText('This day cannot be had so.')).toBeVisible()
  await expect(agenda(page)).toContainText('Whisk the eggs')
  await page.getByRole('button', { name: 'Make it all on the day' }).click()
  await expect(page.getByText('This day cannot be had so.')).toBeHidden()
})

test('a step put right stays with the recipe; late, the rest is planned from now', async ({ page }) => {
  await page.clock.install({ time: new Date('2027-06-12T09:00:00') })
  await openShelf(page)
  await openRecipe(page, 'Poppy-seed loaf')
  await place(page, 'Clock')
  await type(page, 'Served at', '12 Jun 2027, 13:00')
  const whisk = agenda(page).getByRole('button', { name: /^Whisk the eggs/ })
  await whisk.click()
  await page.getByLabel(/^Minutes: Whisk/).fill('20')
  await page.keyboard.press('Tab')
  await expect(whisk).toContainText('20 min')
  await page.reload()
  await expect(agenda(page).getByRole('button', { name: /^Whisk the eggs/ })).toContainText('20 min')

  await type(page, 'Served at', '12 Jun 2027, 10:00')
  await expect(page.getByText('This day cannot be had so.')).toBeVisible()
  await expect(page.getByText(/There is no room for|must follow/)).toBeVisible()
  await page.getByRole('button', { name: 'I’m running late' }).click()
  await expect(page.getByText(/^Serving slips by \d+ minutes/)).toBeVisible()
  await agenda(page)
    .getByRole('checkbox', { name: /^Done: Whisk the eggs/ })
    .click()
  await expect(agenda(page).getByRole('button', { name: /^Whisk the eggs/ })).toHaveCount(0)
  await expect(page.getByText('1 done: put them back')).toBeVisible()
})
