<script setup lang="ts">
import { numberOf } from '../../core/language/number'
import IconBan from '~icons/ph/prohibit-bold'
import IconPin from '~icons/ph/push-pin-bold'

/** What can be done with one line of the mix: hold it, limit it, do without it. */
export interface HeldLine {
  name: string
  ingredient: string
  grams: number
  pinned: boolean
  atMost: number | null
}
/**
 * One sheet serves all lines, and stays with the line that was tapped: an answer that arrives meanwhile may add rows and
 * move others, and must not put another ingredient under the finger.
 */
const props = defineProps<{ lines: HeldLine[]; comparing: boolean }>()
const emit = defineEmits<{ pin: [HeldLine]; avoid: [HeldLine]; limit: [HeldLine, number | null] }>()
const sheet = ref<HTMLElement | null>(null)
const tapped = ref<HeldLine | null>(null)
const open = ref(false)
const most = ref('')
const line = computed(() => props.lines.find((l) => l.ingredient === tapped.value?.ingredient) ?? tapped.value)

async function show(of: HeldLine, opener: HTMLElement) {
  tapped.value = of
  most.value = of.atMost === null ? '' : String(of.atMost)
  await nextTick()
  if (!sheet.value) return
  const at = opener.getBoundingClientRect()
  const width = Math.min(300, window.innerWidth - 20)
  sheet.value.style.width = `${width}px`
  sheet.value.style.left = `${Math.max(10, Math.min(at.right - width, window.innerWidth - width - 10))}px`
  sheet.value.style.top = `${Math.max(10, Math.min(at.bottom + 4, window.innerHeight - 200))}px`
  sheet.value.showPopover()
}
const close = () => sheet.value?.hidePopover()
function limit() {
  if (line.value) emit('limit', line.value, numberOf(most.value) || null)
  close()
}
defineExpose({ show, close, showing: computed(() => (open.value ? (tapped.value?.ingredient ?? null) : null)) })
</script>

<template>
  <div ref="sheet" class="panel tools-sheet" popover="auto" tabindex="-1" autofocus @toggle="open = $event.newState === 'open'">
    <template v-if="line">
      <strong class="of">{{ line.name }}</strong>
      <ElButton
        v-if="comparing"
        class="chip"
        :aria-pressed="line.pinned"
        :aria-label="`Hold ${line.name} at ${line.grams} g`"
        @click="(emit('pin', line), close())"
      >
        <IconPin aria-hidden="true" /> {{ line.pinned ? 'Let it move again' : `Hold at ${line.grams} g` }}
      </ElButton>
      <form class="most" @submit.prevent="limit">
        <label>At most <ElInput v-model="most" inputmode="decimal" :aria-label="`At most so many grams of ${line.name}`" /> g</label>
        <ElButton native-type="submit">Set</ElButton>
      </form>
      <ElButton class="chip" :aria-label="`Do without ${line.name}`" @click="(emit('avoid', line), close())">
        <IconBan aria-hidden="true" /> Do without it
      </ElButton>
    </template>
  </div>
</template>

<style scoped>
.tools-sheet {
  position: fixed;
  inset: auto;
  margin: 0;
  color: var(--ink);
  box-shadow: 0 10px 28px rgb(13 33 29 / 30%);
}
.tools-sheet:popover-open {
  display: grid;
  gap: 8px;
  justify-items: start;
}
.of::first-letter {
  text-transform: uppercase;
}
.most {
  display: flex;
  gap: 8px;
  align-items: center;
}
.most label {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
.el-input {
  width: 88px;
}
.el-button.el-button {
  min-height: 44px;
  padding: 0 14px;
}
</style>
