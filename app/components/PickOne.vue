<script setup lang="ts" generic="T extends string | number">
/** One of a few: what is chosen stands in the field, the others are listed under it. As wide as its longest choice. */
const props = defineProps<{
  modelValue?: T | undefined
  of: readonly { value: T; label: string; off?: boolean }[]
  label: string
  /** What stands in the field while nothing is chosen. */
  prompt?: string
}>()
defineEmits<{ 'update:modelValue': [value: T] }>()

/** A letter of the body type is about so wide on average; caret, rim and padding take the rest. */
const LETTER = 0.5
const FRAME = 3.3
const [LEAST, MOST] = [4, 34]
const width = computed(() => {
  const longest = Math.max(props.prompt?.length ?? 0, ...props.of.map((o) => o.label.length))
  return `${(Math.min(MOST, Math.max(LEAST, longest)) * LETTER + FRAME).toFixed(1)}em`
})
</script>

<template>
  <ElSelect
    class="pick"
    :model-value="modelValue"
    :aria-label="label"
    :placeholder="prompt ?? ''"
    :fit-input-width="false"
    :empty-values="[null, undefined]"
    :style="{ width, maxWidth: '100%' }"
    popper-class="pick-list"
    @update:model-value="(v: T) => $emit('update:modelValue', v)"
  >
    <ElOption v-for="o in of" :key="o.value" :value="o.value" :label="o.label" :disabled="o.off ?? false" />
  </ElSelect>
</template>
