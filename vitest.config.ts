import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const app = fileURLToPath(new URL('app', import.meta.url))

export default defineConfig({
  test: {
    // All cores: half of what is tested is arithmetic, and one core is what is left free otherwise.
    maxWorkers: '100%',
    projects: [
      { test: { name: 'core', include: ['core/**/*.test.ts', 'cli/**/*.test.ts', 'server/*.test.ts'], testTimeout: 60_000 } },
      {
        // What Nuxt gives the application: its name for this folder, and a browser's store.
        resolve: { alias: { '~': app } },
        test: { name: 'app', include: ['app/**/*.test.ts'], setupFiles: ['app/fixtures/browser.ts'], testTimeout: 60_000 },
      },
    ],
  },
})
