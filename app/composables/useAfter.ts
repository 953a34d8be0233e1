import { shallowRef, watch, type Ref } from 'vue'

/**
 * A value that follows its source some frames later. What is read after the decision is drawn after it,
 * so that no single frame has to draw a whole screen anew.
 *
 * @param source what it follows
 * @param frames how many frames behind
 * @param atOnce values that are taken without waiting, as when there is nothing to draw
 */
export function useAfter<T>(source: () => T, frames: number, atOnce: (value: T) => boolean = () => false): Readonly<Ref<T>> {
  const shown = shallowRef(source()) as Ref<T>
  let turn = 0
  watch(source, (now) => {
    const mine = ++turn
    if (atOnce(now)) {
      shown.value = now
      return
    }
    let left = frames
    // The work itself is a task of its own: within the frame's callback it would count against the frame.
    const wait = () =>
      requestAnimationFrame(() => {
        if (mine !== turn) return
        if (--left > 0) wait()
        else setTimeout(() => mine === turn && (shown.value = now))
      })
    wait()
  })
  return shown
}
