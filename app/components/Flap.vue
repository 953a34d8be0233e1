<script setup lang="ts">
import { onClickOutside, useEventListener } from '@vueuse/core'
import IconCaret from '~icons/ph/caret-down-bold'

/** A button with a small sheet under it, closed by Escape or a tap beside it. */
defineProps<{ label: string; name: string; pressed?: boolean; wide?: boolean; left?: boolean }>()
const open = ref(false)
const root = ref<HTMLElement | null>(null)
const opener = ref<{ $el: HTMLElement } | null>(null)
// A list that opens from within the sheet hangs elsewhere in the page.
onClickOutside(root, () => (open.value = false), { ignore: ['.el-popper'] })
// Fields keep Escape for themselves, so it is heard before they are; it closes an open list first, then the sheet.
useEventListener(
  'keydown',
  (e: KeyboardEvent) => {
    const listed = document.activeElement?.getAttribute('role') === 'combobox' && document.activeElement.ariaExpanded === 'true'
    if (e.key !== 'Escape' || !open.value || listed) return
    open.value = false
    opener.value?.$el.focus()
  },
  { capture: true },
)
const close = () => (open.value = false)
</script>

<template>
  <div ref="root" class="flap">
    <ElButton ref="opener" class="chip" :aria-expanded="open" :aria-pressed="pressed" @click="open = !open">
      <span class="said">{{ label }}</span> <IconCaret aria-hidden="true" />
    </ElButton>
    <div v-if="open" class="panel sheet" :class="{ left }" role="group" :aria-label="name"><slot :close="close" /></div>
  </div>
</template>

<style scoped>
.flap {
  position: relative;
}
.said {
  max-width: 190px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.sheet {
  position: absolute;
  right: 0;
  top: calc(100% + 8px);
  z-index: 20;
  width: min(430px, calc(100vw - 54px));
  max-height: 70vh;
  overflow-y: auto;
  box-shadow: 0 10px 28px rgb(13 33 29 / 30%);
}
.sheet.left {
  right: auto;
  left: 0;
}
@media (max-width: 53.75em) {
  .sheet {
    right: auto;
    left: 0;
  }
}
</style>
