<script setup lang="ts">
/**
 * A field that keeps what is being typed until it is set down: what changes elsewhere meanwhile must not wipe it away.
 */
const props = defineProps<{ value: string; multiline?: boolean }>()
const emit = defineEmits<{ set: [text: string] }>()
const draft = ref<string | null>(null)

function down(text: string) {
  draft.value = null
  if (text !== props.value) emit('set', text)
}
</script>

<template>
  <ElInput
    :model-value="draft ?? value"
    :type="multiline ? 'textarea' : 'text'"
    :rows="1"
    @update:model-value="draft = $event"
    @change="down"
    @keydown.esc="multiline || (draft = null)"
  />
</template>
