import { spawn, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const root = dirname(dirname(fileURLToPath(import.meta.url)))
const env = { ...process.env, NUXT_TELEMETRY_DISABLED: '1' }

/** Says what is being done. */
export const say = (text) => console.log(`\n— ${text}`)

/** Runs a command in the project's root; stops everything where it fails. */
export function run(command, args, options = {}) {
  const result = spawnSync(command, args, { cwd: root, stdio: 'inherit', env, ...options })
  if (result.status !== 0 && !options.mayFail) {
    console.error(`\nThis did not work: ${command} ${args.join(' ')}`)
    process.exit(result.status ?? 1)
  }
  return result
}

/** Runs several package commands, so many at a time; stops everything where one fails, once all have had their say. */
export async function together(commands, atOnce) {
  const failed = []
  const waiting = [...commands]
  const one = async () => {
    for (let args = waiting.shift(); args; args = waiting.shift()) {
      const status = await new Promise((done) =>
        spawn('npx', args, { cwd: root, stdio: 'inherit', env })
          .once('error', () => done(1))
          .once('close', done),
      )
      if (status !== 0) failed.push(args)
    }
  }
  await Promise.all(Array.from({ length: atOnce }, one))
  if (!failed.length) return
  for (const args of failed) console.error(`\nThis did not work: npx ${args.join(' ')}`)
  process.exit(1)
}

const hash = (text) => createHash('sha256').update(text).digest('hex')

/** Installs the locked packages, unless they are there already. */
export function packages() {
  const [major, minor] = process.versions.node.split('.').map(Number)
  if (major < 20 || (major === 20 && minor < 19)) {
    console.error(`Kind Crumb needs Node 20.19 or later; this is ${process.versions.node}.`)
    process.exit(1)
  }
  const lock = hash(readFileSync(join(root, 'package-lock.json'), 'utf8'))
  const mark = join(root, 'node_modules', '.kind-crumb-lock')
  if (existsSync(mark) && readFileSync(mark, 'utf8') === lock) return
  say('Installing the locked packages')
  run('npm', ['ci', '--no-audit', '--no-fund'])
  writeFileSync(mark, lock)
}

const CHROMIUM = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome']

/** Finds Chromium, or installs Debian's. */
export function browser() {
  const there = process.env.CHROMIUM ?? CHROMIUM.find((path) => existsSync(path))
  if (there) return there
  say('Installing Chromium from Debian’s packages, for the end-to-end tests')
  const root = process.getuid?.() === 0
  const apt = (args) =>
    run(root ? 'apt-get' : 'sudo', root ? args : ['apt-get', ...args], {
      mayFail: true,
      env: { ...env, DEBIAN_FRONTEND: 'noninteractive' },
    })
  apt(['update', '-qq'])
  apt(['install', '-y', '-qq', '--no-install-recommends', 'chromium'])
  const found = CHROMIUM.find((path) => existsSync(path))
  if (!found) {
    console.error(
      'Chromium could not be installed. Install it by hand (apt-get install chromium), or name one: CHROMIUM=/path/to/chromium npm test',
    )
    process.exit(1)
  }
  return found
}

/** Builds the product. */
export function build() {
  say('Building')
  run('node', ['scripts/licences.mjs'])
  run('npx', ['nuxt', 'build', '--logLevel', 'silent'])
}
