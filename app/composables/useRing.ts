import { ref } from 'vue'

/** Three short tones: heard over a mixer, borne by neighbours. Hz and seconds. */
const TONE = { hertz: 880, long: 0.22, times: 3, gap: 0.35 }

/** Calls the baker: a sound, and a notification where it is allowed. */
export function useRing() {
  const canNotify = typeof Notification !== 'undefined'
  const allowed = ref(canNotify && Notification.permission === 'granted')
  const asked = ref(canNotify && Notification.permission !== 'default')

  async function allow() {
    if (!canNotify) return
    allowed.value = (await Notification.requestPermission()) === 'granted'
    asked.value = true
  }

  function ring(title: string, body: string) {
    try {
      const audio = new AudioContext()
      for (let i = 0; i < TONE.times; i++) {
        const tone = audio.createOscillator()
        const loud = audio.createGain()
        tone.frequency.value = TONE.hertz
        loud.gain.value = 0.2
        tone.connect(loud).connect(audio.destination)
        tone.start(audio.currentTime + i * TONE.gap)
        tone.stop(audio.currentTime + i * TONE.gap + TONE.long)
      }
      setTimeout(() => void audio.close(), (TONE.times * TONE.gap + 1) * 1000)
    } catch {
      // A browser without sound still shows it.
    }
    // A phone in a pocket.
    navigator.vibrate?.([300, 150, 300])
    try {
      if (allowed.value) new Notification(title, { body, tag: title })
    } catch {
      // Some phones let only a service worker notify: sound and screen have to do.
    }
  }
  return { canNotify, allowed, asked, allow, ring }
}
