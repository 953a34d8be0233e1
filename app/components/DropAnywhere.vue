<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { useBringing } from '~/composables/useBringing'

const over = ref(false)
const { bringFiles, bringText, problem } = useBringing()
let depth = 0

useEventListener(document, 'dragenter', (e: DragEvent) => {
  if (!e.dataTransfer?.types.some((t) => t === 'Files' || t === 'text/plain')) return
  depth++
  over.value = true
})
useEventListener(document, 'dragleave', () => {
  depth = Math.max(0, depth - 1)
  if (!depth) over.value = false
})
useEventListener(document, 'dragover', (e: DragEvent) => e.preventDefault())
useEventListener(document, 'drop', (e: DragEvent) => {
  depth = 0
  over.value = false
  if (!e.dataTransfer || (e.target as HTMLElement | null)?.closest('textarea, input')) return
  e.preventDefault()
  if (e.dataTransfer.files.length) void bringFiles([...e.dataTransfer.files])
  else void bringText(e.dataTransfer.getData('text/plain'))
})
// Pasting anywhere outside a field starts a recipe, as on the shelf.
useEventListener(document, 'paste', (e: ClipboardEvent) => {
  if ((e.target as HTMLElement | null)?.closest('textarea, input, select, [role=dialog]')) return
  const text = e.clipboardData?.getData('text/plain') ?? ''
  if (text.trim().split('\n').length > 1) void bringText(text)
})
</script>

<template>
  <div v-if="over" class="veil" aria-hidden="true"><p>Drop the recipe: it is read, not sent anywhere</p></div>
  <div v-if="problem" class="toast look" role="alert">
    <p>{{ problem }}</p>
    <ElButton @click="problem = ''">Close</ElButton>
  </div>
</template>

<style scoped>
.veil {
  position: fixed;
  inset: 14px;
  z-index: 3000;
  border: 4px dashed var(--beet);
  border-radius: 28px;
  background: color-mix(in srgb, var(--beet-soft) 88%, transparent);
  display: grid;
  place-items: center;
  font-family: var(--display);
  font-size: 1.6rem;
  color: var(--beet);
  pointer-events: none;
}
.toast {
  position: fixed;
  left: 50%;
  bottom: 18px;
  transform: translateX(-50%);
  z-index: 3000;
  display: flex;
  gap: 14px;
  align-items: center;
  max-width: min(680px, calc(100vw - 24px));
}
</style>
