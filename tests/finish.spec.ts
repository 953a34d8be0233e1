import type { Page } from '@playwright/test'
import { choose, expect, expectNoBarriers, expectNothingCutOff, openRecipe, openShelf, paste, place, test } from './kitchen'

const VEGAN = (title: string, tin: string) => `${title}
Makes: 12 slices
Tin: ${tin}
Oven: 175 C, 25 to 30 minutes

360 g plain flour
300 g caster sugar
360 ml soy milk
120 ml vegetable oil
3 tsp baking powder
1 tbsp vinegar

Method:
1. Whisk the wet things.
2. Stir in the dry things and bake.`

const at = (page: Page, name: string) => page.getByRole('group', { name: 'Places', exact: true }).getByRole('button', { name, exact: true })
const takes = (page: Page, name: string) =>
  page.getByRole('region', { name: 'What it takes' }).getByRole('button', { name: new RegExp(`^${name}`) })
const gramsOf = async (page: Page, name: string) => Number(/(\d+) g$/.exec((await takes(page, name).textContent())!.trim())![1])

test('three vegan layers with a filling, crumb coat, last coat and border, from a version to a shopping list', async ({ page }) => {
  await openShelf(page)
  await paste(page, VEGAN('Harbour layer cake', '20 cm round x3'))
  await place(page, 'Finish')
  await expect(page.getByRole('button', { name: /^vegan/ })).toBeVisible()
  await at(page, 'filling').click()
  await choose(page, 'What the filling is', 'lemon curd, no egg')
  await expect(takes(page, 'Lemon curd')).toBeVisible()
  for (const name of ['crumb coat', 'coat']) {
    await at(page, name).click()
    await choose(page, `What the ${name} is`, 'butter icing')
  }
  const before = await gramsOf(page, 'Butter icing')
  await at(page, 'border').click()
  await choose(page, 'What the border is', 'butter icing')
  await expect.poll(() => gramsOf(page, 'Butter icing')).toBeGreaterThan(before)
  const withBorder = await gramsOf(page, 'Butter icing')
  await page.getByLabel('border: nozzle, mm').fill('16')
  await page.keyboard.press('Tab')
  await expect.poll(() => gramsOf(page, 'Butter icing')).toBeGreaterThan(withBorder)

  // Every bowl is vegan, and in the order that a baker works.
  await expect(page.getByRole('region', { name: 'To make' })).toContainText('plant butter block')
  await expect(page.getByRole('region', { name: 'To make' })).not.toContainText('unsalted butter')
  await expect(page.getByRole('region', { name: 'Order of work' })).toContainText(/Crumb coat.*Last coat.*border/s)
  await expect(page.getByRole('group', { name: /^The cake cut through: 2\d cm across/ })).toBeVisible()
  await expectNoBarriers(page)

  await page.getByRole('button', { name: 'To buy' }).click()
  const list = page.getByRole('list', { name: 'To buy' })
  await expect(list.getByRole('listitem').filter({ hasText: 'lemon juice' })).toBeVisible()
  await expect(list.getByRole('listitem').filter({ hasText: /plant butter block.*250 g/ })).toBeVisible()
  await expect(list).not.toContainText('plain flour')
  await list.getByText('lemon juice').click()
  await expect(list.getByRole('checkbox', { checked: true })).toHaveCount(1)
  await page.keyboard.press('Escape')

  // It is kept with the version, and can be taken back.
  await page.reload()
  await expect(takes(page, 'Lemon curd')).toBeVisible()
  await at(page, 'border').click()
  await page.getByRole('button', { name: 'take it off' }).click()
  await expect(at(page, 'border')).toHaveAttribute('aria-pressed', 'false')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(at(page, 'border')).toHaveAttribute('aria-pressed', 'true')
})

test('a batch of cupcakes with wells: jam inside, two colours on top, by keys', async ({ page }) => {
  await openShelf(page)
  await openRecipe(page, 'Toasted-coconut fairy cakes')
  await place(page, 'Finish')
  await at(page, 'well').focus()
  await page.keyboard.press('Enter')
  const jam = await gramsOf(page, 'Jam')
  expect(jam).toBeGreaterThan(90)
  await page.getByLabel('well: each, ml').fill('12')
  await page.keyboard.press('Tab')
  await expect.poll(() => gramsOf(page, 'Jam')).toBeGreaterThan(jam * 1.3)
  await page.getByRole('button', { name: /^swirl 12 mm nozzle/ }).focus()
  await page.keyboard.press('Space')
  await choose(page, 'Colours', 'two halves')
  await expect(page.getByRole('region', { name: 'Order of work' })).toContainText(/in 2 of \d+ g/)
  await expect(page.getByRole('region', { name: 'Order of work' })).toContainText('Cut a well in each')
})

test('a tray that is soaked: how much, in how many goes, and cream on top', async ({ page }) => {
  await openShelf(page)
  await paste(page, VEGAN('Quay tray', '23x33 cm'))
  await place(page, 'Finish')
  await at(page, 'milk soak').click()
  await at(page, 'top').click()
  await choose(page, 'What the top is', 'whipped cream')
  const order = page.getByRole('region', { name: 'Order of work' })
  await expect(order).toContainText(/Pour in the soak, \d+ g in \d goes/)
  await expect(page.getByRole('region', { name: 'To make' })).toContainText('condensed coconut milk')
  await expect(page.getByRole('region', { name: 'Will it stand?' })).toContainText('must keep cold')
  await expectNothingCutOff(page)
})

test('a stack of crêpes: cream and sheets end together', async ({ page }) => {
  await openShelf(page)
  await paste(page, VEGAN('Tide crêpes', '24 cm crepe'))
  await place(page, 'Finish')
  await page.getByLabel('Sheets in the stack').fill('20')
  await page.keyboard.press('Tab')
  await expect(page.getByRole('region', { name: 'Order of work' })).toContainText(/20 sheets and 19 spreads/)
  await expect(takes(page, 'Whipped cream')).toBeVisible()
})

test('a warm kitchen, a bowl that ran, and the next spoon', async ({ page }) => {
  await openShelf(page)
  await openRecipe(page, 'Coffee-hazelnut layers')
  await place(page, 'Finish')
  await at(page, 'border').click()
  await page.getByLabel('Warmth of the kitchen, °C').fill('32')
  await page.keyboard.press('Tab')
  await expect(page.getByText('goes soft above')).not.toHaveCount(0)
  await page.getByRole('button', { name: 'Gone wrong?' }).click()
  const desk = page.getByRole('dialog', { name: 'Gone wrong?' })
  await expect(desk.getByRole('row').first()).toContainText(/ g/)
  await desk.getByRole('button', { name: 'too runny' }).click()
  await expect(desk.getByRole('listitem').first()).toContainText('Chill the bowl')
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'less sugar' }).click()
  await expect(page.getByRole('region', { name: 'To make' })).toContainText('30 % less sugar')
})
