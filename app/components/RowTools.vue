<script setup lang="ts">
import { numberOf } from '../../core/language/number'
import IconBan from '~icons/ph/prohibit-bold'
import IconDots from '~icons/ph/dots-three-outline-vertical-bold'
import IconPin from '~icons/ph/push-pin-bold'

/** What can be done with one line of the mix: hold it, limit it, do without it. */
const props = defineProps<{ name: string; grams: number; pinned: boolean; atMost: number | null; comparing: boolean }>()
const emit = defineEmits<{ pin: []; avoid: []; limit: [grams: number | null] }>()
const sheet = ref<HTMLElement | null>(null)
const opener = ref<HTMLElement | null>(null)
const most = ref('')
/** The sheet is filled when it is first asked for: a recipe has many lines, and few are held. */
const asked = ref(false)
const id = useId()

function placed() {
  asked.value = true
  if (!sheet.value || !opener.value) return
  const at = opener.value.getBoundingClientRect()
  const width = Math.min(300, window.innerWidth - 20)
  sheet.value.style.width = `${width}px`
  sheet.value.style.left = `${Math.max(10, Math.min(at.right - width, window.innerWidth - width - 10))}px`
  sheet.value.style.top = `${Math.min(at.bottom + 4, window.innerHeight - 200)}px`
  most.value = props.atMost === null ? '' : String(props.atMost)
}
const close = () => sheet.value?.hidePopover()
function limit() {
  emit('limit', numberOf(most.value) || null)
  close()
}
</script>

<template>
  <button
    ref="opener"
    class="round"
    type="button"
    :popovertarget="id"
    :aria-label="`${name}: hold, limit or leave out${pinned ? ', held' : ''}${atMost === null ? '' : `, at most ${atMost} g`}`"
    :class="{ set: pinned || atMost !== null }"
  >
    <IconPin v-if="pinned" /><IconDots v-else />
  </button>
  <div :id="id" ref="sheet" class="panel tools-sheet" popover="auto" @beforetoggle="placed">
    <template v-if="asked">
      <strong class="of">{{ name }}</strong>
      <button
        v-if="comparing"
        class="chip"
        type="button"
        :aria-pressed="pinned"
        :aria-label="`Hold ${name} at ${grams} g`"
        @click="(emit('pin'), close())"
      >
        <IconPin aria-hidden="true" /> {{ pinned ? 'Let it move again' : `Hold at ${grams} g` }}
      </button>
      <form class="most" @submit.prevent="limit">
        <label>At most <input v-model="most" inputmode="decimal" :aria-label="`At most so many grams of ${name}`" /> g</label>
        <button class="push" type="submit">Set</button>
      </form>
      <button class="chip" type="button" :aria-label="`Do without ${name}`" @click="(emit('avoid'), close())">
        <IconBan aria-hidden="true" /> Do without it
      </button>
    </template>
  </div>
</template>

<style scoped>
.round {
  width: 40px;
}
.set {
  color: var(--beet);
}
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
input {
  width: 76px;
  min-height: 40px;
  border: 2px solid var(--rim);
  border-radius: 10px;
  background: var(--enamel);
  padding: 0 8px;
}
.push {
  min-height: 40px;
  padding: 0 14px;
}
</style>
