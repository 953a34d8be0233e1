import { useEventListener, useSwipe, useWakeLock } from '@vueuse/core'
import { onBeforeUnmount, ref, watch, type Ref } from 'vue'

interface Doing {
  next: () => unknown
  back: () => unknown
  /** Ticks the thing at that place, from 1. */
  tick: (place: number) => unknown
  time: () => unknown
  read: () => unknown
}

/** A finger travels so far before it is a swipe, px. */
const FAR = 80

/** Everything at the Counter without clean hands: keys, swipes, a lit screen. */
export function useHandsFree(root: Ref<HTMLElement | null>, doing: Doing): void {
  useEventListener(document, 'keydown', (e: KeyboardEvent) => {
    // A key held down goes one step.
    if (e.repeat || e.ctrlKey || e.metaKey || e.altKey || (e.target as HTMLElement).closest('input, select, textarea, [role=dialog]'))
      return
    const key = e.key
    const deed =
      key === 'ArrowRight' || key === 'PageDown'
        ? doing.next
        : key === 'ArrowLeft' || key === 'PageUp'
          ? doing.back
          : /^[1-9]$/.test(key)
            ? () => doing.tick(Number(key))
            : key.toLowerCase() === 't'
              ? doing.time
              : key.toLowerCase() === 'r'
                ? doing.read
                : null
    if (!deed) return
    e.preventDefault()
    void deed()
  })
  useSwipe(root, {
    threshold: FAR,
    onSwipeEnd: (_, way) => {
      if (way === 'left') void doing.next()
      if (way === 'right') void doing.back()
    },
  })
  // The screen stays lit where the browser lets it; without it the timers go on all the same.
  const lock = useWakeLock()
  const keep = () => void lock.request('screen').catch(() => undefined)
  if (lock.isSupported.value) keep()
  onBeforeUnmount(() => void lock.release().catch(() => undefined))
}

/** Reads aloud with the browser's own voice, where it has one. */
export function useVoice() {
  const has = typeof speechSynthesis !== 'undefined'
  /** Every new step is read by itself. */
  const always = ref(false)
  const say = (text: string) => {
    if (!has) return
    speechSynthesis.cancel()
    const said = new SpeechSynthesisUtterance(text)
    said.lang = document.documentElement.lang
    said.rate = 0.95
    speechSynthesis.speak(said)
  }
  watch(always, (on) => !on && has && speechSynthesis.cancel())
  onBeforeUnmount(() => has && speechSynthesis.cancel())
  return { has, always, say }
}
