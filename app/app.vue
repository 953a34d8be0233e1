<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { useCupboard } from '~/stores/cupboard'
import { useDevice } from '~/stores/device'
import { useHistory } from '~/stores/history'
import { useKitchen } from '~/stores/kitchen'
import { openKitchen } from '~/kitchen/database'
import { clockText } from '~/kitchen/timers'
import { useShelf } from '~/stores/shelf'
import { useTimers } from '~/stores/timers'

const kitchen = useKitchen()
const shelf = useShelf()
const cupboard = useCupboard()
const history = useHistory()
/** When the bake book is opened behind the scenes. */
const BOOK_AFTER_MS = 1500
/** And when the product lays itself by for days without the net. */
const LAY_BY_AFTER_MS = 4000
const device = useDevice()
const said = useSaid()
const ready = ref(false)
const timers = useTimers()
// A tab in the background tells how long it is still.
const countdown = computed(() => (timers.first ? `${clockText(timers.first.left)} ${timers.first.timer.label}` : ''))
useHead({ titleTemplate: computed(() => (countdown.value ? `${countdown.value} · %s` : '%s')) })
onMounted(async () => {
  const kept = await openKitchen()
  await kitchen.load()
  await cupboard.load()
  await shelf.load()
  if (kept === 'memory') shelf.inMemory()
  timers.load()
  // The book follows once the shelf has been used for a moment: nobody waits for it.
  setTimeout(() => void import('~/stores/book').then(({ useBook }) => useBook().load()), BOOK_AFTER_MS)
  setTimeout(() => void device.layBy(), LAY_BY_AFTER_MS)
  ready.value = true
  void navigator.storage?.persist?.().catch(() => false)
})
// In a field the browser's own undo takes back typing; everywhere else deeds are taken back.
useEventListener(document, 'keydown', (e: KeyboardEvent) => {
  if (!(e.ctrlKey || e.metaKey) || (e.target as HTMLElement).closest('input, textarea, [role=dialog]')) return
  const key = e.key.toLowerCase()
  if (key !== 'z' && key !== 'y') return
  e.preventDefault()
  void (key === 'z' && !e.shiftKey ? history.undo() : history.redo())
})
</script>

<template>
  <a class="skip" href="#main">Skip to the content</a>
  <TopBar />
  <TroubleBar />
  <AsideBar />
  <NewerBar />
  <TimerStrip />
  <main id="main" tabindex="-1">
    <NuxtErrorBoundary v-if="ready">
      <NuxtPage />
      <template #error="{ error, clearError }">
        <StuckPlace :error="error" :clear="clearError" />
      </template>
    </NuxtErrorBoundary>
    <p v-else class="waiting quiet" role="status">Opening the kitchen…</p>
  </main>
  <p class="visually-hidden" role="status">{{ said }}</p>
  <DropAnywhere />
  <KitchenLine />
</template>

<style>
main {
  max-width: 1320px;
  margin: 0 auto;
  padding: 0 20px 20px;
  outline: none;
}
.skip {
  position: absolute;
  left: -999px;
}
.skip:focus {
  left: 12px;
  top: 8px;
  z-index: 10;
  background: var(--enamel);
  padding: 8px 12px;
}
.waiting {
  padding: 40px;
  text-align: center;
}
@media (max-width: 43.75em) {
  main {
    padding: 0 10px 12px;
  }
}
@media print {
  main {
    padding: 0;
    max-width: none;
  }
}
</style>
