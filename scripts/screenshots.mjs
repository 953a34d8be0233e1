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

const wishing = [open('Marmalade bundt'), settled, press('vegan'), press('no gluten'), press('rather…'), press('less sugar'), settled]

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
  wishes: { size: DESK, steps: wishing },
  compare: { size: DESK, steps: [...eggless, press('Side by side')] },
  versions: { size: DESK, steps: [open('Yogurt and soda'), settled, press('compare')] },
  line: {
    size: DESK,
    steps: [open('Poppy-seed loaf'), settled, press('Kitchen line'), settled, async (page) => page.keyboard.type('no')],
  },
  tins: { size: DESK, steps: [open('Poppy-seed loaf'), settled, press('Tins', 'link'), settled] },
  'tins-phone': {
    size: PHONE,
    steps: [open('Marmalade bundt'), settled, async (page) => page.goto(page.url().replace('bench', 'tins')), settled],
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
  'finish-phone': {
    size: PHONE,
    steps: [
      open('Toasted-coconut fairy cakes'),
      settled,
      async (page) => page.goto(page.url().replace('bench', 'finish')),
      settled,
      press('well'),
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
      async (page) => page.getByLabel('Put a bake on the day').selectOption({ label: 'Poppy-seed loaf · As given' }),
      settled,
    ],
  },
  editor: { size: DESK, steps: [open('Coffee-hazelnut layers'), settled, press('Edit')] },
  cupboard: { size: DESK, steps: [press('Cupboard', 'link'), settled, press('plain flour')] },
  box: { size: DESK, steps: [press('Start from a box'), press('type its label')] },
  names: { size: DESK, steps: [open('Yogurt and soda'), settled, press('names and notes')] },
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
    const context = await chrome.newContext({ viewport: view.size, colorScheme: view.dark ? 'dark' : 'light', reducedMotion: 'reduce' })
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
