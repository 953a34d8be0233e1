import { defineConfig } from '@playwright/test'

const PORT = 4329

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
  retries: 0,
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    baseURL: `http://localhost:${PORT}`,
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE localhost',
      ],
    },
  },
  projects: [
    { name: 'desk', use: { viewport: { width: 1280, height: 800 } } },
    { name: 'phone', use: { viewport: { width: 390, height: 844 }, hasTouch: true } },
  ],
  webServer: {
    command: 'node .output/server/index.mjs',
    port: PORT,
    env: { PORT: String(PORT) },
    reuseExistingServer: false,
    timeout: 30_000,
  },
})
