import { readFileSync } from 'node:fs'
import { createInterface } from 'node:readline'
import { errorBody, Refusal } from '../core/refusal'
import { answer, isVerb, SOLVED, type Surroundings } from '../core/contract/handle'
import { SCHEMAS } from '../core/contract/schema'

const HELP = `kc VERB [FILE] [options]      one request; text, JSON or a saved page from FILE or standard input
kc ingredients [QUERY]        what the pantry knows
kc batch [FILE]               one JSON request a line, one JSON answer a line

verbs: ${Object.keys(SCHEMAS).join(' ')}
options: --region us|uk|eu|au|in   --measures weight|us|metric   --goals a,b   --avoid a,b   --have a,b
         --schools a,b   --limit N   --family F   --json '{"field": …}' adds any field`

const around: Surroundings = { now: () => performance.now() }
/** What a verb wants beside a clock, read in when it is first asked. */
async function ready(verb: Parameters<typeof answer>[0]): Promise<Surroundings> {
  if (SOLVED.has(verb)) around.solve ??= await (await import('../core/table/highs')).integerSolver()
  return around
}

function fail(error: unknown): never {
  process.stderr.write(JSON.stringify(errorBody(error)) + '\n')
  process.exit(error instanceof Refusal ? 2 : 1)
}

function parseJson(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    throw new Refusal('not-json', 'This is not JSON.')
  }
}

const LISTS = new Set(['goals', 'avoid', 'have', 'schools'])
const NUMBERS = new Set(['limit', 'altitudeM', 'samples'])

/** Options as request fields, and the words that are not options. */
function readArguments(args: string[]): { fields: Record<string, unknown>; words: string[] } {
  const fields: Record<string, unknown> = {}
  const words: string[] = []
  for (let i = 0; i < args.length; i++) {
    const arg = args[i]!
    if (!arg.startsWith('--')) {
      words.push(arg)
      continue
    }
    const name = arg.slice(2)
    const value = args[++i]
    if (value === undefined) throw new Refusal('bad-request', `The option --${name} needs a value.`)
    if (name === 'json') Object.assign(fields, parseJson(value))
    else fields[name] = LISTS.has(name) ? value.split(',').filter(Boolean) : NUMBERS.has(name) ? Number(value) : value
  }
  return { fields, words }
}

function readInput(file: string | undefined): string {
  try {
    return readFileSync(file ?? 0, 'utf8')
  } catch {
    throw new Refusal('bad-file', `The file ${file ?? 'on standard input'} cannot be read.`)
  }
}

/** A file may hold a whole request, a recipe in structured form, JSON-LD, a saved page, or plain text. */
function requestFrom(content: string): Record<string, unknown> {
  const text = content.trim()
  if (text.startsWith('<')) return { jsonld: text }
  if (!/^[[{]/.test(text)) return { text: content }
  const value = parseJson(text)
  if (Array.isArray(value) || '@type' in (value as object) || '@graph' in (value as object)) return { jsonld: value }
  if ('parts' in (value as object)) return { recipe: value }
  return value as Record<string, unknown>
}

async function batch(file: string | undefined): Promise<void> {
  const input = file ? (await import('node:fs')).createReadStream(file) : process.stdin
  for await (const row of createInterface({ input, crlfDelay: Infinity })) {
    if (!row.trim()) continue
    let id: unknown = null
    let out: unknown
    try {
      const request = parseJson(row)
      if (typeof request !== 'object' || request === null || Array.isArray(request))
        throw new Refusal('bad-request', 'A request is a JSON object.')
      const { id: given, verb, ...rest } = request as Record<string, unknown>
      id = given ?? null
      if (typeof verb !== 'string' || !isVerb(verb)) throw new Refusal('unknown-verb', `There is no verb “${String(verb)}”.`, 'verb')
      out = { id, ok: true, result: answer(verb, rest, await ready(verb)) }
    } catch (error) {
      out = { id, ok: false, ...errorBody(error) }
    }
    process.stdout.write(JSON.stringify(out) + '\n')
  }
}

async function main(): Promise<void> {
  const [verb, ...args] = process.argv.slice(2)
  if (!verb || verb === 'help' || verb === '--help') {
    process.stderr.write(HELP + '\n')
    process.exit(verb ? 0 : 2)
  }
  const { fields, words } = readArguments(args)
  if (verb === 'batch') return batch(words[0])
  if (!isVerb(verb))
    throw new Refusal('unknown-verb', `There is no verb “${verb}”. Verbs: ${Object.keys(SCHEMAS).join(', ')}, batch.`, 'verb')
  const given = fields.text !== undefined || fields.recipe !== undefined || fields.jsonld !== undefined
  const base = verb === 'ingredients' ? { query: words.join(' ') } : given && !words.length ? {} : requestFrom(readInput(words[0]))
  process.stdout.write(JSON.stringify(answer(verb, { ...base, ...fields }, await ready(verb))) + '\n')
}

main().catch(fail)
