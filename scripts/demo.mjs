import { existsSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { serve } from './serve.mjs'
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

const { server, address } = await serve(Number(process.env.PORT ?? 4300))
server.on('exit', (code) => process.exit(code ?? 0))
say(`Kind Crumb is at ${address} with the sample kitchen. Stop it with Ctrl+C.`)
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal))
