import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'

/** Something that was done and can be undone, wherever it was done. */
export interface Deed {
  /** "no egg", "flour taken from the cupboard": what undoing takes back. */
  label: string
  undo: () => Promise<unknown> | unknown
  redo: () => Promise<unknown> | unknown
}

const MOST = 80

/** Undo and redo across all screens, in the order in which things were done. */
export const useHistory = defineStore('history', () => {
  const past = shallowRef<Deed[]>([])
  const future = shallowRef<Deed[]>([])
  /** Steps one at a time: a fast finger must not undo the same deed twice. */
  let turn: Promise<unknown> = Promise.resolve()

  function did(deed: Deed) {
    past.value = [...past.value.slice(1 - MOST), deed]
    future.value = []
  }

  function step(from: typeof past, to: typeof future, which: 'undo' | 'redo') {
    // One that could not be taken back must not stand in the way of those before it.
    const before = turn.catch(() => undefined)
    turn = before.then(async () => {
      const deed = from.value.at(-1)
      if (!deed) return
      from.value = from.value.slice(0, -1)
      to.value = [...to.value, deed]
      await deed[which]()
    })
    return turn
  }

  return {
    past,
    future,
    next: computed(() => past.value.at(-1)?.label ?? ''),
    again: computed(() => future.value.at(-1)?.label ?? ''),
    did,
    undo: () => step(past, future, 'undo'),
    redo: () => step(future, past, 'redo'),
  }
})
