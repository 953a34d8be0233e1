import { expose } from 'comlink'
import highsWasm from 'highs/runtime?url'
import { errorBody, type ErrorBody } from '../../core/refusal'
import { answer, answerInSteps, SOLVED, type Answers, type Surroundings } from '../../core/contract/handle'
import type { Verb } from '../../core/contract/schema'
import type { Progress } from '../../core/reformulate/reformulate'

export type Reply<V extends Verb> = { ok: true; result: Answers[V] } | ({ ok: false } & ErrorBody)

/** How long a search runs before it looks whether it was stopped, ms. */
const SLICE = 12
/** Progress is told at most so often, ms: more than a screen can show is noise. */
const TELL = 90

/** What was asked of running searches: to make do with what they have, or to be forgotten. */
const orders = new Map<number, 'stop' | 'drop'>()
/** Lets messages in between slices; a timer would wait four milliseconds each time. */
const breath = new MessageChannel()
const waiting: (() => void)[] = []
breath.port1.onmessage = () => waiting.shift()?.()
const breathe = () =>
  new Promise<void>((resolve) => {
    waiting.push(resolve)
    breath.port2.postMessage(null)
  })

const around: Surroundings = { now: () => performance.now() }
/** The solver is large: it is read in when it is first wanted. */
async function readySolver() {
  const { integerSolver } = await import('../../core/table/highs')
  around.solve ??= await integerSolver(highsWasm)
}

const api = {
  /** One request to the core; refusals come back as values, since errors lose their code on the way. */
  async ask<V extends Verb>(verb: V, request: unknown): Promise<Reply<V>> {
    try {
      if (SOLVED.has(verb)) await readySolver()
      return { ok: true, result: answer(verb, request, around) }
    } catch (error) {
      return { ok: false, ...errorBody(error) }
    }
  },

  /**
   * A request that takes its time, in slices, so that it can be followed and stopped.
   *
   * @param id what `order` knows it by
   * @returns `null` where it was dropped
   */
  async search<V extends Verb>(id: number, verb: V, request: unknown, tell: (progress: Progress) => void): Promise<Reply<V> | null> {
    try {
      const steps = answerInSteps(verb, request, around)
      let step = steps.next()
      let told = performance.now()
      let since = told
      while (!step.done) {
        const now = performance.now()
        if (now - told > TELL) {
          told = now
          tell(step.value)
        }
        if (now - since > SLICE) {
          await breathe()
          since = performance.now()
        }
        if (orders.get(id) === 'drop') return null
        step = steps.next(orders.get(id) === 'stop')
      }
      return { ok: true, result: step.value }
    } catch (error) {
      return { ok: false, ...errorBody(error) }
    } finally {
      orders.delete(id)
    }
  },

  /** Stops a running search with what it has, or drops it. */
  order(id: number, what: 'stop' | 'drop') {
    orders.set(id, what)
  },
}
export type CoreWorker = typeof api

expose(api)
