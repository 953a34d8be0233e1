import type { Page } from '@playwright/test'
import { expect, face, openRecipe, place } from './kitchen'

/** Every screen and sheet, by how it is reached. */
export const SCREENS: Record<string, (page: Page) => Promise<void>> = {
  shelf: () => Promise.resolve(),
  box: async (page) => {
    await page.getByRole('button', { name: 'Start from a box' }).click()
    await page.getByRole('button', { name: 'type its label' }).click()
  },
  cupboard: async (page) => {
    await place(page, 'Cupboard')
    await page.getByRole('button', { name: 'plain flour', exact: true }).click()
    await expect(page.getByText('Instead of 100 g')).toBeVisible()
  },
  settings: async (page) => {
    await place(page, 'Settings')
    await expect(page.getByRole('heading', { name: 'About Kind Crumb' })).toBeVisible()
  },
  packet: async (page) => {
    await place(page, 'Cupboard')
    await page.getByRole('button', { name: 'Describe one' }).click()
  },
  editor: async (page) => {
    await openRecipe(page, 'Coffee-hazelnut layers')
    await face(page, 'Mix')
    await page.getByRole('button', { name: 'Edit', exact: true }).click()
    await page.getByRole('button', { name: 'Size' }).click()
  },
  bench: async (page) => {
    await openRecipe(page, 'Coffee-hazelnut layers')
    await page.getByRole('button', { name: 'no egg' }).click()
    await face(page, 'Mix')
    await page
      .getByRole('button', { name: /^Unsalted butter: hold/i })
      .first()
      .click()
  },
  tins: async (page) => {
    await openRecipe(page, 'Marmalade bundt')
    await place(page, 'Tins')
    await page.getByRole('button', { name: 'Hold to compare' }).click()
    await page.getByRole('button', { name: '12 cupcakes' }).click()
    await expect(page.getByRole('heading', { name: 'Held, and now' })).toBeVisible()
  },
  finish: async (page) => {
    await openRecipe(page, 'Coffee-hazelnut layers')
    await place(page, 'Finish')
    await page.getByRole('button', { name: 'crumb coat', exact: true }).click()
    await page.getByRole('button', { name: 'drip', exact: true }).click()
    await expect(page.getByText(/^Drip: \d+ g/)).toBeVisible()
  },
  rescue: async (page) => {
    await openRecipe(page, 'Coffee-hazelnut layers')
    await place(page, 'Finish')
    await page.getByRole('button', { name: 'Gone wrong?' }).click()
    await page.getByRole('button', { name: 'split or curdled' }).click()
    await expect(page.getByText('keep whipping')).toBeVisible()
  },
  clock: async (page) => {
    await openRecipe(page, 'Poppy-seed loaf')
    await place(page, 'Clock')
    await page.getByRole('button', { name: /^Stir in the flour/ }).click()
    await expect(page.getByText('wants hands')).toBeVisible()
  },
  counter: async (page) => {
    await openRecipe(page, 'Coffee-hazelnut layers')
    await place(page, 'Counter')
    await page.getByRole('button', { name: 'Begin' }).click()
    await page.keyboard.press('1')
    await page.keyboard.press('t')
    await expect(page.getByRole('timer')).toBeVisible()
  },
  book: async (page) => {
    await place(page, 'Bake book')
    await page
      .getByRole('checkbox', { name: /Poppy-seed/ })
      .nth(0)
      .check()
    await page
      .getByRole('checkbox', { name: /Poppy-seed/ })
      .nth(1)
      .check()
    await expect(page.getByRole('heading', { name: 'On the plate' })).toBeVisible()
  },
  trial: async (page) => {
    await place(page, 'Bake book')
    await page.getByRole('link', { name: /Poppy-seed loaf.*sank/ }).click()
    await expect(page.getByRole('heading', { name: 'Most likely' })).toBeVisible()
  },
  table: async (page) => {
    await place(page, 'Table')
    await page.getByRole('button', { name: 'Others with other needs' }).click()
    await expect(page.getByRole('heading', { name: /feeds? all|Not everybody/ })).toBeVisible()
  },
  names: async (page) => {
    await openRecipe(page, 'Poppy-seed loaf')
    await page.getByRole('button', { name: 'names and notes' }).click()
  },
  card: async (page) => {
    await openRecipe(page, 'Poppy-seed loaf')
    await page.getByRole('button', { name: 'Take the card' }).click()
    await page.getByRole('button', { name: 'label for the plate' }).click()
  },
}
