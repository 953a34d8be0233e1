<script setup lang="ts">
import { useKitchen } from '~/stores/kitchen'
import { dateWords } from '~/kitchen/dates'

/**
 * A day, a moment or an hour, written as the kitchen's region writes it whatever the browser speaks, picked or typed.
 * Its value is as everywhere: `2027-06-12`, `2027-06-12T15:00` or `15:00`.
 */
const props = defineProps<{ modelValue: string; kind: 'day' | 'moment' | 'hour'; label: string }>()
const emit = defineEmits<{ 'update:modelValue': [value: string] }>()
const words = computed(() => dateWords(useKitchen().region))
const value = computed({
  get: () => props.modelValue,
  set: (next: string | null) => {
    // Enter and leaving the field both say it; what is said once is meant once.
    if ((next ?? '') === (said ?? props.modelValue)) return
    said = next ?? ''
    emit('update:modelValue', said)
    setTimeout(() => (said = null), AT_ONCE)
  },
})
let said: string | null = null
/** Between Enter and the leaving that comes of it, ms. */
const AT_ONCE = 500
watch(
  () => props.modelValue,
  () => (said = null),
)
</script>

<template>
  <ElTimePicker
    v-if="kind === 'hour'"
    v-model="value"
    class="when"
    :aria-label="label"
    :format="words.hour"
    value-format="HH:mm"
    :clearable="false"
    :prefix-icon="undefined"
    popper-class="when-sheet"
  />
  <ElDatePicker
    v-else
    v-model="value"
    class="when"
    :aria-label="label"
    :type="kind === 'day' ? 'date' : 'datetime'"
    :format="kind === 'day' ? words.day : words.moment"
    :value-format="kind === 'day' ? 'YYYY-MM-DD' : 'YYYY-MM-DDTHH:mm'"
    :time-format="words.hour"
    :date-format="words.day"
    :clearable="kind === 'day'"
    popper-class="when-sheet"
  />
</template>

<style>
.when.el-date-editor {
  --el-date-editor-width: 14.5rem;
  --el-input-height: 44px;
  font: inherit;
}
.when.el-date-editor--date {
  --el-date-editor-width: 10.5rem;
}
.when.el-date-editor--time {
  --el-date-editor-width: 8.5rem;
}
.when .el-input__wrapper {
  border: 2px solid var(--rim);
  border-radius: 10px;
  background: var(--enamel);
  box-shadow: none;
  padding: 0 10px;
}
.when .el-input__wrapper:is(.is-focus, :hover, :focus-within) {
  box-shadow: none;
}
.when .el-input__wrapper:focus-within {
  outline: 3px solid var(--beet);
  outline-offset: 1px;
}
.when .el-input__prefix-inner {
  color: var(--ink);
}
/* The frame is the wrapper's. */
.when .el-input__wrapper input.el-input__inner {
  width: 100%;
  min-height: 0;
  border: 0;
  background: none;
  padding: 0;
  color: var(--ink);
  font: inherit;
  font-weight: 650;
  outline: none;
}
.when-sheet.el-popper {
  --el-color-primary: var(--spruce-strong);
  --el-text-color-regular: var(--ink);
  --el-text-color-primary: var(--ink);
  --el-text-color-secondary: var(--quiet);
  --el-border-color-lighter: var(--hair);
  --el-border-color-light: var(--hair);
  --el-border-color: var(--rim);
  --el-fill-color-light: var(--mist);
  --el-bg-color-overlay: var(--enamel);
  border: 2px solid var(--rim);
  border-radius: var(--radius);
  background: var(--enamel);
  color: var(--ink);
  font-family: var(--body);
}
.when-sheet .el-picker-panel {
  border-radius: var(--radius);
  background: none;
}
.when-sheet .el-picker-panel :is(.el-date-picker__header-label, .el-date-table th) {
  color: var(--ink);
  font-weight: 650;
}
.when-sheet .el-date-table td .el-date-table-cell .el-date-table-cell__text {
  width: 34px;
  height: 34px;
  line-height: 34px;
  border-radius: 10px;
  font-weight: 600;
}
.when-sheet .el-date-table td.current:not(.disabled) .el-date-table-cell__text {
  background: var(--beet);
  color: var(--enamel);
}
.when-sheet .el-date-table td.today .el-date-table-cell__text {
  color: var(--beet);
  text-decoration: underline;
}
.when-sheet .el-date-table td.current.today .el-date-table-cell__text {
  color: var(--enamel);
}
.when-sheet .el-input__wrapper {
  border: 2px solid var(--rim);
  border-radius: 10px;
  background: var(--enamel);
  box-shadow: none;
}
.when-sheet .el-input__wrapper input.el-input__inner {
  min-height: 0;
  border: 0;
  background: none;
  padding: 0;
  color: var(--ink);
}
.when-sheet .el-button {
  min-height: 40px;
  border: 2px solid var(--rim);
  border-radius: 12px;
  background: var(--enamel);
  color: var(--ink);
  font: 650 1rem/1 var(--body);
}
.when-sheet .el-picker-panel__footer {
  background: none;
}
.when-sheet .el-time-panel__btn {
  color: var(--ink);
}
.when-sheet .el-time-spinner__item.is-active:not(.is-disabled) {
  color: var(--beet);
  font-weight: 700;
}
</style>
