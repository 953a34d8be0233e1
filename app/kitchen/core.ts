import { wrap, type Remote } from 'comlink'
import type { Answers } from '../../core/contract/handle'
import type { Verb } from '../../core/contract/schema'
import type { CoreWorker } from '../workers/core.worker'

/** A refusal of the core, with its code and the part of the request that it is about. */
export class CoreRefusal extends Error {
  constructor(
    readonly code: string,
    message: string,
    readonly path?: string,
  ) {
    super(message)
  }
}

/** No request of the core takes longer; past it the worker is taken for dead, ms. */
const DEAD_AFTER = 20_000

interface Hand {
  worker: Worker
  remote: Remote<CoreWorker>
}

let hand: Hand | undefined

function start(): Hand {
  const worker = new Worker(new URL('../workers/core.worker.ts', import.meta.url), { type: 'module' })
  return { worker, remote: wrap<CoreWorker>(worker) }
}

/**
 * Asks the core, in its worker. A worker that dies is started again and asked once more.
 *
 * @throws CoreRefusal in words for the baker
 */
export async function ask<V extends Verb>(verb: V, request: unknown, again = true): Promise<Answers[V]> {
  hand ??= start()
  const current = hand
  const died = new Promise<never>((_, reject) => {
    current.worker.onerror = () => reject(new Error('worker'))
    setTimeout(() => reject(new Error('worker')), DEAD_AFTER)
  })
  try {
    const reply = await Promise.race([current.remote.ask(verb, JSON.parse(JSON.stringify(request)) as never), died])
    if (reply.ok) return reply.result as Answers[V]
    throw new CoreRefusal(reply.error.code, reply.error.message, reply.error.path)
  } catch (error) {
    if (error instanceof CoreRefusal) throw error
    current.worker.terminate()
    if (hand === current) hand = undefined
    if (again) return ask(verb, request, false)
    throw new CoreRefusal('worker', 'The computation stopped twice. Your recipe is kept; reload the page to try again.')
  }
}
