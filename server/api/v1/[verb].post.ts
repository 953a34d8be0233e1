import { errorBody, Refusal } from '../../../core/refusal'
import { answerInSteps, isVerb, SOLVED } from '../../../core/contract/handle'
import { bodyWithin } from '../../utils/body'
import { Turns } from '../../utils/turns'
import { integerSolver } from '../../../core/table/highs'
import type { IntegerSolver } from '../../../core/table/programme'

/** Largest request taken, bytes: a long recipe in every form, and no more. */
const MOST_BYTES = 1_000_000
/** The longest a request may keep a server busy, ms; answers take a few hundred at most. */
const LONGEST = 5000

/** Verbs that may take longer than a page should wait. */
const LONG: ReadonlySet<string> = new Set(['reformulate', 'table', 'import', 'uncertainty', 'schedule', 'bake', 'tin', 'build', 'diagnose'])
/** So many long answers may wait; whoever comes after is told to try again. */
const MOST_WAITING = 400
const turns = new Turns(MOST_WAITING)
/** When to try again, s. */
const AGAIN = 5

let solver: Promise<IntegerSolver> | undefined

/** The machine interface over HTTP: the same handlers as the command line and the workers. */
export default defineEventHandler(async (event) => {
  try {
    const verb = getRouterParam(event, 'verb') ?? ''
    if (!isVerb(verb)) {
      setResponseStatus(event, 404)
      return errorBody(new Refusal('unknown-verb', `There is no verb “${verb}”.`))
    }
    const declared = Number(getHeader(event, 'content-length') ?? 0)
    if (declared > MOST_BYTES) throw new Refusal('too-large', 'The request is larger than one recipe can be (1 MB).')
    const raw = await bodyWithin(event.node.req, MOST_BYTES)
    let request: unknown
    try {
      request = raw ? JSON.parse(raw) : {}
    } catch {
      throw new Refusal('not-json', 'The request is not JSON.')
    }
    const solve = SOLVED.has(verb) ? await (solver ??= integerSolver()) : undefined
    const begin = () => answerInSteps(verb, request, { now: () => performance.now(), ...(solve && { solve }) })
    if (LONG.has(verb)) {
      const { res } = event.node
      return await turns.take(begin, LONGEST, () => Boolean(res?.closed && !res.writableEnded))
    }
    const steps = begin()
    let step = steps.next()
    while (!step.done) step = steps.next()
    return step.value
  } catch (error) {
    if (error instanceof Refusal && error.code === 'busy') {
      setResponseHeader(event, 'retry-after', AGAIN)
      setResponseStatus(event, 503)
      return errorBody(error)
    }
    // What is still being sent is not read.
    if (error instanceof Refusal && error.code === 'too-large') setResponseHeader(event, 'connection', 'close')
    setResponseStatus(event, !(error instanceof Refusal) ? 500 : error.code === 'too-large' ? 413 : 400)
    return errorBody(error)
  }
})
