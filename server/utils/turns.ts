import { Refusal } from '../../core/refusal'

/** Work that goes on in small steps; `next(true)` asks it to end with what it has. */
export type Stepwise<T> = Generator<unknown, T, boolean | undefined>

/** After so long, ms, whatever else has come in is seen to: pages, short answers, who has left. */
const SLICE = 15

/** Rounds of the event loop between two slices: a burst is let in one connection a round, and a page behind it must not wait for a slice each. */
const ROUNDS = 16

const others = async () => {
  for (let i = 0; i < ROUNDS; i++) await new Promise<void>((go) => setImmediate(go))
}

/**
 * Long answers in turns: one is worked on at a time, in slices, and the others wait in line, so that pages and short
 * answers are served in between. Each process has its own line; nothing is shared between processes.
 */
export class Turns {
  private line: (() => void)[] = []
  private busy = false

  /** @param most how many may wait before a new one is refused */
  constructor(private readonly most: number) {}

  /**
   * Waits for its turn and works it off.
   *
   * @param begin what starts the work, once its turn has come
   * @param longest ms of its own work after which it is asked to end
   * @param gone whether nobody waits for the answer any more: then it is left where it is
   * @returns the answer; `undefined` where nobody waits for it
   * @throws Refusal `busy` where too many wait already
   */
  async take<T>(begin: () => Stepwise<T>, longest: number, gone: () => boolean = () => false): Promise<T | undefined> {
    if (this.busy) {
      if (this.line.length >= this.most) throw new Refusal('busy', 'Too many long answers are asked for at once: try again in a moment.')
      await new Promise<void>((go) => this.line.push(go))
    }
    this.busy = true
    try {
      if (gone()) return undefined
      await others()
      let worked = 0
      let since = performance.now()
      const steps = begin()
      let step = steps.next(false)
      while (!step.done) {
        const now = performance.now()
        if (now - since > SLICE) {
          worked += now - since
          await others()
          if (gone()) return undefined
          since = performance.now()
        }
        step = steps.next(worked + (performance.now() - since) > longest)
      }
      return step.value
    } finally {
      const next = this.line.shift()
      if (next) next()
      else this.busy = false
    }
  }
}
