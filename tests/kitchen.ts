import AxeBuilder from '@axe-core/playwright'
import { expect, test as base, type Locator, type Page } from '@playwright/test'

/** A page that fails its test on any request beyond this machine, any script error and any broken policy. */
export const test = base.extend<{ page: Page }>({
  page: async ({ page }, use) => {
    const troubles: string[] = []
    page.on('pageerror', (e) => troubles.push(`script: ${e.message}`))
    page.on('console', (m) => m.type() === 'error' && troubles.push(`console: ${m.text()}`))
    page.on('request', (r) => {
      const url = new URL(r.url())
      if (!['localhost', ''].includes(url.hostname) && url.protocol !== 'data:' && url.protocol !== 'blob:')
        troubles.push(`request: ${r.url()}`)
    })
    await use(page)
    expect(troubles).toEqual([])
  },
})

export { expect }

export const RECIPE = `Regatta vanilla sponge
Makes: 10 slices
Tin: 20 cm round x2
Oven: 180 C, 25 to 30 minutes

200 g unsalted butter, soft
200 g caster sugar
200 g plain flour
2 tsp baking powder
4 medium eggs
1 tbsp milk
1 tsp vanilla extract

Method:
1. Cream the butter and sugar until pale.
2. Beat in the eggs one at a time, then the vanilla.
3. Fold in the flour and baking powder, loosen with the milk.
4. Bake at 180 C for 25 to 30 minutes.`

export async function openShelf(page: Page, address = '/'): Promise<void> {
  await page.goto(address)
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible()
  await expect(page.getByRole('link', { name: 'Blackcurrant-vanilla sandwich' })).toBeVisible()
}

/** Opens a recipe of the shelf and waits for its bench: both places have a "no egg". */
export async function openRecipe(page: Page, title: string): Promise<void> {
  await page.getByRole('link', { name: title }).click()
  await expect(page.getByRole('heading', { level: 1, name: title })).toBeVisible()
}

export async function paste(page: Page, text: string): Promise<void> {
  await page.getByLabel('Recipe text').fill(text)
  await page.getByRole('button', { name: 'Add this recipe' }).click()
  await expect(page).toHaveURL(/\/bench\//)
}

/** On a phone the bench shows one face at a time. */
export async function face(page: Page, name: 'Mix' | 'Ways' | 'Balance' | 'Method'): Promise<void> {
  await expect(page.getByRole('navigation', { name: 'Versions' })).toBeVisible()
  if (await page.getByRole('tablist', { name: 'Parts of the bench' }).isVisible()) await page.getByRole('tab', { name }).click()
}

/** Goes to a place of the product, by the bar or by its menu. */
export async function place(page: Page, name: string): Promise<void> {
  if (name === 'Settings') {
    await page.getByRole('link', { name }).click()
    await expect(page).toHaveURL(/\/settings/)
    return
  }
  const menu = page.getByRole('navigation', { name: 'Places' })
  // Where there is no room for all places, or text is large, they stand in a menu.
  await expect(menu.getByRole('button').or(menu.getByRole('link', { name: 'Shelf' }))).toBeVisible()
  if (await menu.getByRole('button').isVisible()) await menu.getByRole('button').click()
  await menu.getByRole('link', { name }).click()
  await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible()
}

/** Nothing makes the page scroll sideways; what sticks out is named. */
export async function expectNothingCutOff(page: Page): Promise<void> {
  const cut = await page.evaluate(() => {
    const { clientWidth, scrollWidth } = document.documentElement
    if (scrollWidth <= clientWidth + 1) return []
    return [...document.querySelectorAll<HTMLElement>('body *')]
      .filter((e) => e.offsetParent && e.getBoundingClientRect().right > clientWidth + 1 && !e.closest('.visually-hidden'))
      .map((e) => `${e.tagName.toLowerCase()}.${e.className}: ${e.textContent.trim().slice(0, 30)}`)
      .slice(0, 8)
  })
  expect(cut).toEqual([])
}

/** Neither axe finds a barrier, nor does anything stick out past the edge of the screen. */
export async function expectNoBarriers(page: Page): Promise<void> {
  const past = await page.evaluate(() => {
    const { clientWidth } = document.documentElement
    const hangs = [...document.querySelectorAll('header.bar button, header.bar a, header.bar select')].filter(
      (e) => e.getBoundingClientRect().right > clientWidth + 0.5,
    )
    return [document.documentElement.scrollWidth - clientWidth, ...hangs.map((e) => e.getAttribute('aria-label') ?? e.textContent)]
  })
  expect(past).toEqual([0])
  // There are no frames: axe need not open a second page to gather what it found.
  const axe = new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ['violations'] })
  const { violations } = await axe.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']).analyze()
  expect(violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`)).toEqual([])
}

/** Chooses one of a few in the field of that name: opens its list and taps what it says. */
export async function choose(within: Page | Locator, field: string, choice: string): Promise<void> {
  const box = within.getByRole('combobox', { name: field, exact: true })
  // What is chosen lies over the box itself, as the finger finds it.
  await box.click({ force: true })
  const page = 'page' in within ? within.page() : within
  await page.getByRole('option', { name: choice, exact: true }).and(page.locator(':visible')).click()
}
