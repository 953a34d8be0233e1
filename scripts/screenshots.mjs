import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { browser, build, packages, root, say } from './setup.mjs'
import { serve } from './serve.mjs'

/**
 * One current picture of each main view, from the sample kitchen, into docs/screenshots/.
 * `npm run screenshots -- NAME …` takes only those named; `--out DIR` puts them elsewhere.
 */
const DESK = { width: 1280, height: 800 }
const PHONE = { width: 390, height: 844 }

const open = (title) => async (page) => page.getByRole('link', { name: title, exact: true }).first().click()
const press =
  (name, role = 'button') =>
  async (page) =>
    page.getByRole(role, { name, exact: true }).first().click()
const settled = async (page) => {
  await page.waitForLoadState('networkidle')
  await page.waitForTimeout(700)
}
const eggless = [open('Coffee-hazelnut layers'), settled, press('no egg'), settled]

const counting = [open('Coffee-hazelnut layers'), settled, press('Counter', 'link'), settled, press('Begin')]
const after = async (page) => {
  await page.keyboard.press('ArrowRight')
  await page.waitForTimeout(150)
}
const weighed = async (page) => {
  for (const n of ['1', '2']) await page.keyboard.press(n)
}

const VIEWS = {
  shelf: { size: DESK, steps: [] },
  bench: { size: DESK, steps: eggless },
  'bench-dark': { size: DESK, dark: true, steps: eggless },
  'bench-phone': { size: PHONE, steps: eggless },
  below: {
    size: DESK,
    steps: [
      ...eggless,
      async (page) => page.getByRole('button', { name: /^Moisture: / }).click(),
      async (page) => page.getByRole('button', { name: 'cups and spoons' }).click(),
      settled,
      async (page) => page.evaluate(() => window.scrollTo(0, 640)),
    ],
  },
  versions: { size: DESK, steps: [open('Yogurt and soda'), settled, press('compare')] },
  line: {
    size: DESK,
    steps: [open('Poppy-seed loaf'), settled, press('Kitchen line'), settled, async (page) => page.keyboard.type('no')],
  },
  tins: { size: DESK, steps: [open('Poppy-seed loaf'), settled, press('Tins', 'link'), settled] },
  counter: {
    size: DESK,
    steps: [
      ...counting,
      async (page) => {
        for (let n = 3; n > 0; n--) await page.getByRole('list', { name: 'Not to forget' }).getByRole('button').first().click()
      },
      weighed,
      after,
      async (page) => page.keyboard.press('1'),
      after,
      async (page) => page.getByText('Bowl and sums').click(),
      async (page) => page.getByLabel('Empty bowl, g').fill('712'),
      async (page) => page.keyboard.press('Tab'),
      async (page) => page.getByRole('button', { name: 'Pour (simulated)' }).click(),
      async (page) => page.waitForTimeout(3300),
    ],
  },
  'counter-oven': {
    size: DESK,
    steps: [
      ...counting,
      // A second press sooner than a finger's slip is not taken.
      ...Array.from({ length: 6 }, () => [after, async (page) => page.waitForTimeout(500)]).flat(),
      async (page) => page.getByRole('button', { name: 'It is in the oven' }).click(),
      async (page) => page.getByRole('button', { name: 'a minute a second, to try it' }).click(),
      async (page) => page.waitForTimeout(17_000),
    ],
  },
  'counter-phone': {
    size: PHONE,
    steps: [
      open('Coffee-hazelnut layers'),
      settled,
      async (page) => page.goto(page.url().replace('bench', 'counter')),
      settled,
      press('Begin'),
    ],
  },
  book: {
    size: DESK,
    steps: [
      async (page) => page.goto(new URL('/book', page.url()).href),
      settled,
      async (page) => {
        const bakes = page.getByRole('checkbox', { name: /Yogurt and soda/ })
        for (let n = Math.min(2, (await bakes.count()) - 1); n >= 0; n--) await bakes.nth(n).check()
      },
      settled,
    ],
  },
  trial: {
    size: DESK,
    steps: [
      async (page) => page.goto(new URL('/book', page.url()).href),
      settled,
      async (page) => page.getByRole('link', { name: /Poppy-seed loaf.*sank/ }).click(),
      settled,
    ],
  },
  table: {
    size: DESK,
    steps: [
      open('Marmalade bundt'),
      settled,
      press('Table', 'link'),
      settled,
      press('Others with other needs'),
      async (page) => page.getByRole('group', { name: 'What these 1 need' }).getByRole('button', { name: 'no gluten' }).click(),
      press('Look what could be made for all of them'),
      async (page) => page.getByText('to be made').first().waitFor(),
      settled,
    ],
  },
  finish: {
    size: DESK,
    steps: [
      open('Coffee-hazelnut layers'),
      settled,
      press('Finish', 'link'),
      settled,
      press('crumb coat'),
      press('coat'),
      press('border'),
      settled,
    ],
  },
  clock: {
    size: DESK,
    steps: [
      open('Coffee-hazelnut layers'),
      settled,
      press('Clock', 'link'),
      settled,
      async (page) => {
        await page.getByRole('combobox', { name: 'Put a bake on the day' }).click({ force: true })
        await page.getByRole('option', { name: 'Poppy-seed loaf · As given', exact: true }).click()
      },
      settled,
    ],
  },
  editor: { size: DESK, steps: [open('Coffee-hazelnut layers'), settled, press('Edit')] },
  cupboard: { size: DESK, steps: [press('Cupboard', 'link'), settled, press('plain flour')] },
  card: { size: DESK, steps: [...eggless, press('Save and take the card')] },
}

packages()
const executablePath = browser()
build()
const { chromium } = await import('@playwright/test')
const args = process.argv.slice(2)
const at = args.indexOf('--out')
const out = at >= 0 ? args[at + 1] : join(root, 'docs', 'screenshots')
const names = args.filter((a, i) => !a.startsWith('--') && !(at >= 0 && i === at + 1))
mkdirSync(out, { recursive: true })
const { server, address } = await serve(4350)
const chrome = await chromium.launch({ executablePath, args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'] })
try {
  for (const [name, view] of Object.entries(VIEWS)) {
    if (names.length && !names.includes(name)) continue
    const context = await chrome.newContext({
      viewport: view.size,
      colorScheme: view.dark ? 'dark' : 'light',
      locale: 'en-GB',
      reducedMotion: 'reduce',
    })
    const page = await context.newPage()
    await page.goto(address)
    await settled(page)
    for (const step of view.steps) await step(page)
    await settled(page)
    await page.screenshot({ path: join(out, `${name}.png`) })
    say(`${name}.png`)
    await context.close()
  }
} finally {
  await chrome.close()
  server.kill()
}
