import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'

/** What waits to be written. */
interface Waiting {
  /** As it is called when it is said: "The plan". */
  what: string
  work: () => Promise<unknown>
}

/** How soon a refused write is tried again, ms, and how late at most: each try waits twice as long as the last. */
export const TRY_AGAIN = { soonest: 2000, latest: 60_000 }

/**
 * Writes to the browser's store that must not get lost.
 *
 * What the disk refuses waits here, is said, and is tried again until it is written; a later state of the same thing takes
 * the place of the one that waits.
 */
export const useKeeping = defineStore('keeping', () => {
  const waiting = shallowRef<ReadonlyMap<string, Waiting>>(new Map())
  let pause = TRY_AGAIN.soonest
  let timer: ReturnType<typeof setTimeout> | undefined

  function lay(key: string, w: Waiting | null) {
    const next = new Map(waiting.value)
    if (w) next.set(key, w)
    else next.delete(key)
    waiting.value = next
    if (!next.size) pause = TRY_AGAIN.soonest
  }

  /**
   * Writes now, or lays it by until the disk takes it.
   *
   * @param key what it is a state of: a later write with the same key replaces it
   * @returns whether it is on the disk
   */
  async function write(key: string, what: string, work: () => Promise<unknown>): Promise<boolean> {
    try {
      await work()
      lay(key, null)
      // Where one thing is written again there may be room for the rest.
      if (waiting.value.size) soon(0)
      return true
    } catch {
      lay(key, { what, work })
      soon(pause)
      return false
    }
  }

  function soon(ms: number) {
    clearTimeout(timer)
    timer = setTimeout(() => void again(), ms)
  }

  /** Tries all that waits once more. */
  async function again(): Promise<void> {
    for (const [key, w] of waiting.value) {
      try {
        await w.work()
        // A later state may have come to wait meanwhile.
        if (waiting.value.get(key) === w) lay(key, null)
      } catch {
        pause = Math.min(TRY_AGAIN.latest, pause * 2)
        soon(pause)
        return
      }
    }
  }

  /** What is said while something waits. */
  const trouble = computed(() => {
    const names = [...new Set([...waiting.value.values()].map((w) => w.what))]
    if (!names.length) return null
    const list = names.length > 1 ? `${names.slice(0, -1).join(', ')} and ${names.at(-1)!.replace(/^T/, 't')}` : names[0]!
    return {
      message: `${list} could not be written to this browser’s storage: it is full or switched off. It is tried again by itself; your work is kept while this tab stays open. Download it now to be safe.`,
      unsaved: waiting.value.size,
    }
  })

  return { waiting, trouble, write, again }
})
