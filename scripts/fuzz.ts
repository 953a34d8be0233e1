// Sends seeded requests to every verb and tells what broke: `npm run fuzz -- [how many] [seed]`.
import fc from 'fast-check'
import { answer } from '../core/contract/handle'
import { fuzzed, hollow } from '../core/fixtures/fuzz'
import { Refusal } from '../core/refusal'

const [many = '20000', seed = '1'] = process.argv.slice(2)
/** No answer may take longer, ms. */
const LONGEST = 2000

const broken = new Map<string, { times: number; first: string }>()
const tell = (what: string, of: unknown) => {
  const b = broken.get(what) ?? { times: 0, first: JSON.stringify(of).slice(0, 1500) }
  broken.set(what, { ...b, times: b.times + 1 })
}
const counts = { answered: 0, refused: 0 }
let slowest = { ms: 0, verb: '' }
for (const f of fc.sample(fuzzed, { numRuns: Number(many), seed: Number(seed) })) {
  const start = performance.now()
  try {
    const a = answer(f.verb, f.request as never)
    counts.answered++
    const at = hollow(a)
    if (at) tell(`${f.verb}: hollow at ${at.replace(/\d+/g, 'n')}`, f)
  } catch (error) {
    if (error instanceof Refusal && error.message.length > 10) counts.refused++
    else tell(`${f.verb}: ${error instanceof Error ? `${error.message} ${error.stack?.split('\n')[1]?.trim() ?? ''}` : String(error)}`, f)
  }
  const ms = performance.now() - start
  if (ms > slowest.ms) slowest = { ms: Math.round(ms), verb: f.verb }
  if (ms > LONGEST) tell(`${f.verb}: over two seconds`, f)
}
console.log(
  `${many} requests (seed ${seed}): ${counts.answered} answered, ${counts.refused} refused in words; slowest ${slowest.ms} ms (${slowest.verb})`,
)
for (const [what, { times, first }] of broken) console.log(`\n${times} × ${what}\n${first}`)
process.exitCode = broken.size ? 1 : 0
