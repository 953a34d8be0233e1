import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { browser, build, packages, root, run, say, together } from './setup.mjs'

/** Everything that must hold: format, lint, types, unit tests, build, end-to-end tests; one line of totals at the end. */
packages()
const CHROMIUM = browser()
rmSync(join(root, 'test-results'), { recursive: true, force: true })
mkdirSync(join(root, 'test-results'))

say('Format, types, lint')
run('npx', ['nuxt', 'prepare', '--logLevel', 'silent'])
// Each of them keeps one core busy: two at a time.
await together(
  [
    ['eslint', '.', '--max-warnings', '0'],
    ['vue-tsc', '-b', '--noEmit'],
    ['tsc', '-p', 'tsconfig.core.json'],
    ['tsc', '-p', 'tsconfig.tests.json'],
    ['prettier', '--check', '--log-level', 'warn', '.'],
  ],
  2,
)
say('Unit tests')
const unit = run('npx', ['vitest', 'run', '--reporter=default', '--reporter=json', '--outputFile.json=test-results/unit.json'], {
  mayFail: true,
})
build()
say('End-to-end tests')
const e2e = run('npx', ['playwright', 'test'], { mayFail: true, env: { ...process.env, CHROMIUM } })

const read = (name) => {
  const path = join(root, 'test-results', name)
  return existsSync(path) ? JSON.parse(readFileSync(path, 'utf8')) : undefined
}
const u = read('unit.json')
const e = read('e2e.json')
const passed = (u?.numPassedTests ?? 0) + (e?.stats?.expected ?? 0) + (e?.stats?.flaky ?? 0)
// A suite that crashed before it could count is one failure at least.
const failed = Math.max(u?.numFailedTests ?? 1, unit.status === 0 ? 0 : 1) + Math.max(e?.stats?.unexpected ?? 1, e2e.status === 0 ? 0 : 1)
const again = e?.stats?.flaky ?? 0
console.log(`\n${passed} passed${again ? ` (${again} at a further try)` : ''}, ${failed} failed`)
process.exit(failed ? 1 : 0)
