import { expose } from 'comlink'
import { errorBody, type ErrorBody } from '../../core/refusal'
import { answer, type Answers } from '../../core/contract/handle'
import type { Verb } from '../../core/contract/schema'

export type Reply<V extends Verb> = { ok: true; result: Answers[V] } | ({ ok: false } & ErrorBody)

const api = {
  /** One request to the core; refusals come back as values, since errors lose their code on the way. */
  ask<V extends Verb>(verb: V, request: unknown): Reply<V> {
    try {
      return { ok: true, result: answer(verb, request, { now: () => performance.now() }) }
    } catch (error) {
      return { ok: false, ...errorBody(error) }
    }
  },
}
export type CoreWorker = typeof api

expose(api)
