import { defineConfig } from '@playwright/test'

const PORT = 4329
const ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE localhost',
]
const executablePath = process.env.CHROMIUM ?? '/usr/bin/chromium'
/** Text at 200 %, as a reader sets it in the browser. */
const LARGE_TEXT = { executablePath, args: [...ARGS, '--blink-settings=defaultFontSize=32'] }

/** End-to-end tests drive the built product in Debian's Chromium, with every address but this machine's cut off. */
export default defineConfig({
  testDir: 'tests',
  // A folder of its own: Playwright empties it, and the unit tests' totals lie beside it.
  outputDir: 'test-results/traces',
  timeout: 90_000,
  // Two browsers and their workers share two cores.
  expect: { timeout: 15_000 },
  workers: 2,
  fullyParallel: true,
  forbidOnly: true,
  // On a machine that stalls for seconds a menu may close under a click; what fails three times has failed. Further tries are counted out loud.
  retries: 2,
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    // The sample kitchen is British; a first visit follows the browser.
    locale: 'en-GB',
    baseURL: `http://localhost:${PORT}`,
    launchOptions: { executablePath, args: ARGS },
    // Each test is a first visit; what is laid by for days without the net has a test of its own.
    serviceWorkers: 'block',
    // Nobody waits for a sheet to slide in.
    contextOptions: { reducedMotion: 'reduce' },
  },
  projects: [
    { name: 'desk', use: { viewport: { width: 1280, height: 800 } }, testIgnore: 'large-text.spec.ts' },
    { name: 'tablet', use: { viewport: { width: 820, height: 1180 }, hasTouch: true }, testMatch: 'tasks.spec.ts' },
    // What goes wrong, and days without the net, have nothing to do with the width.
    {
      name: 'phone',
      use: { viewport: { width: 390, height: 844 }, hasTouch: true },
      testIgnore: ['trouble.spec.ts', 'offline.spec.ts', 'large-text.spec.ts', 'server.spec.ts'],
    },
    {
      name: 'desk, large text',
      use: { viewport: { width: 1280, height: 800 }, launchOptions: LARGE_TEXT },
      testMatch: 'large-text.spec.ts',
    },
    {
      name: 'phone, large text',
      use: { viewport: { width: 390, height: 844 }, hasTouch: true, launchOptions: LARGE_TEXT },
      testMatch: 'large-text.spec.ts',
    },
  ],
  webServer: {
    command: 'node .output/server/index.mjs',
    port: PORT,
    env: { PORT: String(PORT) },
    reuseExistingServer: false,
    timeout: 30_000,
  },
})
