import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { build, packages, root, say } from './setup.mjs'
import { serve } from './serve.mjs'

/** Two hundred long answers at once beside pages, on one process; written to docs/benchmarks-load.md. */
const SEARCHES = 200
packages()
build()
const { server, address } = await serve(4380)
/** Resident memory of the server, MB. */
const memory = () => Math.round(Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))?.[1] ?? 0) / 1024)
const text = `Sponge
225 g butter
225 g caster sugar
4 eggs
225 g self-raising flour
2 tbsp milk

Cream the butter and sugar, beat in the eggs, fold in the flour with the milk. Bake in two 20 cm tins at 180 C for 25 minutes.`
const search = () =>
  fetch(`${address}api/v1/reformulate`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ text, region: 'uk', goals: ['vegan', 'gluten-free'] }),
  })
const page = async () => {
  const from = performance.now()
  await (await fetch(address)).text()
  return performance.now() - from
}
const at = (xs, share) => Math.round([...xs].sort((a, b) => a - b)[Math.min(xs.length - 1, Math.floor(share * xs.length))])

await search()
const quiet = []
for (let i = 0; i < 20; i++) quiet.push(await page())
const before = memory()
const from = performance.now()
let waiting = true
const answers = Promise.all(Array.from({ length: SEARCHES }, () => search().then((r) => (r.body?.cancel(), r.status))))
void answers.then(() => (waiting = false))
const pages = []
let most = before
while (waiting) {
  pages.push(await page())
  most = Math.max(most, memory())
  await new Promise((go) => setTimeout(go, 50))
}
const statuses = await answers
const seconds = (performance.now() - from) / 1000
const after = memory()
server.kill()

const rows = [
  ['searches for vegan and gluten-free sent at once', `${SEARCHES}`, ''],
  ['of them answered', `${statuses.filter((s) => s === 200).length}`, ''],
  ['all of them, one process', `${seconds.toFixed(1)} s`, ''],
  ['a page while nothing else is asked, median', `${at(quiet, 0.5)} ms`, ''],
  ['a page while they wait, median', `${at(pages, 0.5)} ms`, '200 ms'],
  ['a page while they wait, 95 of 100', `${at(pages, 0.95)} ms`, '200 ms'],
  ['a page while they wait, slowest', `${at(pages, 1)} ms`, ''],
  ['memory of the server before, at most, after', `${before}, ${most}, ${after} MB`, ''],
]
for (const [what, value] of rows) say(`${what}: ${value}`)
writeFileSync(
  join(root, 'docs', 'benchmarks-load.md'),
  `# Load\n\nMeasured by \`npm run bench\`: the built product, one process, client and server on the same two cores.\n\n| what | measured | budget |\n|---|---|---|\n${rows.map((r) => `| ${r.join(' | ')} |`).join('\n')}\n`,
)
