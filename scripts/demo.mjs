import { spawn } from 'node:child_process'
import { existsSync, statSync } from 'node:fs'
import { createServer } from 'node:net'
import { join } from 'node:path'
import { build, packages, root, run, say } from './setup.mjs'

/** Sets everything up and starts the product with the sample kitchen. */
packages()
const built = join(root, '.output', 'server', 'index.mjs')
const newest = () => {
  const result = run('git', ['log', '-1', '--format=%ct'], { stdio: 'pipe', mayFail: true })
  return Number(String(result.stdout ?? '').trim()) * 1000 || Infinity
}
const dirty = () => String(run('git', ['status', '--porcelain'], { stdio: 'pipe', mayFail: true }).stdout ?? '').trim() !== ''
if (!existsSync(built) || statSync(built).mtimeMs < newest() || dirty()) build()

const free = (port) =>
  new Promise((resolve) => {
    const probe = createServer()
    probe.once('error', () => resolve(false))
    probe.listen(port, () => probe.close(() => resolve(true)))
  })
let port = Number(process.env.PORT ?? 4300)
while (!(await free(port)) && port < 4400) port++

const server = spawn(process.execPath, [built], {
  cwd: root,
  env: { ...process.env, PORT: String(port), NITRO_PORT: String(port) },
  stdio: ['ignore', 'ignore', 'inherit'],
})
server.on('exit', (code) => process.exit(code ?? 0))
for (let tries = 0; tries < 100; tries++) {
  try {
    if ((await fetch(`http://localhost:${port}/`)).ok) break
  } catch {
    await new Promise((r) => setTimeout(r, 100))
  }
}
say(`Kind Crumb is at http://localhost:${port}/ with the sample kitchen. Stop it with Ctrl+C.`)
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal))
