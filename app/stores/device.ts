import { useEventListener } from '@vueuse/core'
import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'

/** What the browser hands over when the product can be put among the device's own. */
interface InstallPrompt extends Event {
  prompt: () => Promise<{ outcome: 'accepted' | 'dismissed' }>
}
/** A page that stays open for days asks this often whether there is a newer build. */
const ASK_EVERY_MS = 3_600_000

/** The product on this device: whether it works without the net, whether a newer one waits, whether it can be installed. */
export const useDevice = defineStore('device', () => {
  const worksOffline = ref(false)
  const newer = ref(false)
  const invitation = shallowRef<InstallPrompt | null>(null)
  let takeIt: (() => Promise<void>) | undefined
  let askedAt = 0

  // The browser asks early, and only once: it is caught here and used when the baker says so.
  useEventListener(window, 'beforeinstallprompt', (e: Event) => {
    e.preventDefault()
    invitation.value = e as InstallPrompt
  })
  useEventListener(window, 'appinstalled', () => (invitation.value = null))

  /** Keeps every file of the product in the browser, so that it opens without the net. Where the browser will not, nothing is lost. */
  async function layBy(): Promise<void> {
    if (!('serviceWorker' in navigator)) return
    const { registerSW } = await import('virtual:pwa-register')
    takeIt = registerSW({
      immediate: true,
      onOfflineReady: () => (worksOffline.value = true),
      onNeedRefresh: () => (newer.value = true),
      onRegisteredSW: (_, registration) => {
        if (!registration) return
        askedAt = Date.now()
        worksOffline.value ||= registration.active !== null
        useEventListener(document, 'visibilitychange', () => {
          if (document.visibilityState !== 'visible' || Date.now() - askedAt < ASK_EVERY_MS) return
          askedAt = Date.now()
          registration.update().catch(() => undefined)
        })
      },
      // Private windows may refuse; the product works on, with the net.
      onRegisterError: () => undefined,
    })
  }

  /** Changes to the newer build: the page opens again where it was. */
  const update = async () => takeIt?.()

  async function install(): Promise<void> {
    const asked = invitation.value
    invitation.value = null
    await asked?.prompt()
  }

  return { worksOffline, newer, invitation, layBy, update, install }
})
