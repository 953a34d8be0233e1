import { spawn } from 'node:child_process'
import { createServer } from 'node:net'
import { join } from 'node:path'
import { root } from './setup.mjs'

const free = (port) =>
  new Promise((resolve) => {
    const probe = createServer()
    probe.once('error', () => resolve(false))
    probe.listen(port, () => probe.close(() => resolve(true)))
  })

/** Starts the built product on the first free port from `from`; resolves once it answers. */
export async function serve(from) {
  let port = from
  // A port that somebody chose is theirs; the usual one gives way to the next.
  if (process.env.PORT && !(await free(port))) {
    console.error(`Port ${port} is taken by another program: set PORT to a free one.`)
    process.exit(1)
  }
  while (!(await free(port)) && port < from + 100) port++
  const server = spawn(process.execPath, [join(root, '.output', 'server', 'index.mjs')], {
    cwd: root,
    // Only this machine, unless somebody says otherwise.
    env: { ...process.env, PORT: String(port), NITRO_PORT: String(port), HOST: process.env.HOST ?? '127.0.0.1' },
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  const address = `http://localhost:${port}/`
  for (let tries = 0; tries < 100; tries++) {
    try {
      if ((await fetch(address)).ok) return { server, address }
    } catch {
      await new Promise((r) => setTimeout(r, 100))
    }
  }
  server.kill()
  console.error(`The server did not answer at ${address} within ten seconds.`)
  process.exit(1)
}
