import { proxy, wrap, type Remote } from 'comlink'
import type { Answers } from '../../core/contract/handle'
import type { Verb } from '../../core/contract/schema'
import type { Progress } from '../../core/reformulate/reformulate'
import type { CoreWorker, Reply } from '../workers/core.worker'

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
/** Two hands: one for what answers at once, one for searches, so that nobody waits behind a search. */
const hands: { quick?: Hand; search?: Hand } = {}

function start(): Hand {
  const worker = new Worker(new URL('../workers/core.worker.ts', import.meta.url), { type: 'module' })
  return { worker, remote: wrap<CoreWorker>(worker) }
}

/** Starts the quick hand beside everything else that opening a kitchen takes. */
export function wake(): void {
  hands.quick ??= start()
}

/** Starts the searching hand while nobody waits: reading the core in takes a moment that the first search should not have to. */
export function warmUp(): void {
  const soon = globalThis.requestIdleCallback ?? setTimeout
  soon(() => (hands.search ??= start()))
}

const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T

/** One piece of work for a hand. A worker that dies is started again and asked once more. */
async function work<V extends Verb>(
  which: keyof typeof hands,
  what: (remote: Remote<CoreWorker>) => Promise<unknown>,
  again = true,
): Promise<Answers[V] | null> {
  const hand = (hands[which] ??= start())
  let timer: ReturnType<typeof setTimeout> | undefined
  const died = new Promise<never>((_, reject) => {
    hand.worker.addEventListener('error', () => reject(new Error('worker')), { once: true })
    timer = setTimeout(() => reject(new Error('worker')), DEAD_AFTER)
  })
  try {
    const reply = (await Promise.race([what(hand.remote), died])) as Reply<V> | null
    if (!reply) return null
    if (reply.ok) return reply.result
    throw new CoreRefusal(reply.error.code, reply.error.message, reply.error.path)
  } catch (error) {
    if (error instanceof CoreRefusal) throw error
    hand.worker.terminate()
    if (hands[which] === hand) hands[which] = undefined
    if (again) return work(which, what, false)
    throw new CoreRefusal('worker', 'The computation stopped twice. Your recipe is kept; reload the page to try again.')
  } finally {
    clearTimeout(timer)
  }
}

/**
 * Asks the core, in its worker.
 *
 * @throws CoreRefusal in words for the baker
 */
export async function ask<V extends Verb>(verb: V, request: unknown): Promise<Answers[V]> {
  const body = plain(request)
  return (await work<V>('quick', (remote) => remote.ask(verb, body as never)))!
}

export interface Search {
  /** The answer; `null` where another search took its place. */
  found: Promise<Answers['reformulate'] | null>
  /** Makes do with what there is. */
  stop: () => void
}

let last = 0

/** Starts a search for ways. One that still runs is dropped: its answer would come too late. */
export function searchWays(request: unknown, tell: (progress: Progress) => void): Search {
  const body = plain(request)
  const id = ++last
  const order = (which: number, what: 'stop' | 'drop') => void hands.search?.remote.order(which, what).catch(() => undefined)
  if (id > 1) order(id - 1, 'drop')
  const heard = proxy((p: Progress) => id === last && tell(p))
  return {
    found: work<'reformulate'>('search', (remote) => remote.search(id, 'reformulate', body as never, heard as never)),
    stop: () => order(id, 'stop'),
  }
}

/** A search that nobody waits for any more. */
export function dropSearch(): void {
  if (last) void hands.search?.remote.order(last, 'drop').catch(() => undefined)
}
