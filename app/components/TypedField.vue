<script setup lang="ts">
/**
 * A field that keeps what is being typed until it is set down: what changes elsewhere meanwhile must not wipe it away.
 */
defineOptions({ inheritAttrs: false })
const props = defineProps<{ value: string; multiline?: boolean }>()
const emit = defineEmits<{ set: [text: string] }>()
const draft = ref<string | null>(null)

function down(e: Event) {
  const text = (e.target as HTMLInputElement).value
  draft.value = null
  if (text !== props.value) emit('set', text)
}
</script>

<template>
  <textarea
    v-if="multiline"
    v-bind="$attrs"
    rows="1"
    :value="draft ?? value"
    @input="draft = ($event.target as HTMLTextAreaElement).value"
    @change="down"
  />
  <input
    v-else
    v-bind="$attrs"
    :value="draft ?? value"
    @input="draft = ($event.target as HTMLInputElement).value"
    @change="down"
    @keydown.esc="draft = null"
  />
</template>
