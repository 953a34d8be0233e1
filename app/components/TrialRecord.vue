<script setup lang="ts">
import { numberOf } from '../../core/language/number'
import type { Trial } from '../../core/bakebook/trial'
import { NEEDS } from '~/stores/bench'
import { useBook } from '~/stores/book'

/** What happened in a bake: measured, seen, done. Everything may be left out. */
const props = defineProps<{ trial: Trial }>()
const book = useBook()
const change = (next: Partial<Trial>, label: string) => void book.change(props.trial.id, next, label)
const eats = (n: Trial['ate'][number]) =>
  change({ ate: props.trial.ate.includes(n) ? props.trial.ate.filter((x) => x !== n) : [...props.trial.ate, n] }, 'who ate it')
type Numbered = 'minutes' | 'ovenC' | 'coreC' | 'waitedMin' | 'addedGrams' | 'cooledInTinMin'
const NUMBERS: { key: Numbered; label: string; unit: string; most: number }[] = [
  { key: 'minutes', label: 'in the oven', unit: 'min', most: 1000 },
  { key: 'coreC', label: 'middle when out', unit: '°C', most: 120 },
  { key: 'ovenC', label: 'oven thermometer', unit: '°C', most: 320 },
  { key: 'waitedMin', label: 'batter waited', unit: 'min', most: 1000 },
  { key: 'addedGrams', label: 'liquid added', unit: 'g', most: 1000 },
  { key: 'cooledInTinMin', label: 'cooled in its tin', unit: 'min', most: 3000 },
]
const read = (text: string, most: number): number | undefined => {
  const n = numberOf(text)
  return n === undefined ? undefined : Math.min(most, n)
}
const number = (key: Numbered, text: string, most: number) =>
  change({ record: { ...props.trial.record, [key]: read(text, most) } }, 'what was measured')
const inner = (group: 'heightMm' | 'grams', key: string, text: string) =>
  change({ record: { ...props.trial.record, [group]: { ...props.trial.record[group], [key]: read(text, 20_000) } } }, 'what was measured')
const INNER = [
  { group: 'heightMm', key: 'edge', label: 'height, edge', unit: 'mm' },
  { group: 'heightMm', key: 'centre', label: 'height, middle', unit: 'mm' },
  { group: 'grams', key: 'before', label: 'weight before', unit: 'g' },
  { group: 'grams', key: 'after', label: 'weight after', unit: 'g' },
] as const
const YES = [
  { key: 'preheated', label: 'the oven was hot' },
  { key: 'opened', label: 'door opened early' },
  { key: 'cups', label: 'measured with cups' },
  { key: 'warm', label: 'worked while warm' },
  { key: 'oldLeavener', label: 'powder or soda old' },
] as const
/** Yes, no, not said: three presses round. */
function flip(key: (typeof YES)[number]['key']) {
  const now = props.trial.record[key]
  change({ record: { ...props.trial.record, [key]: now === undefined ? true : now ? false : undefined } }, 'what happened')
}
const said = (v: boolean | undefined) => (v === undefined ? '' : v ? ': yes' : ': no')
</script>

<template>
  <div>
    <div class="fields">
      <label v-for="f in NUMBERS" :key="f.key"
        >{{ f.label }}
        <span
          ><TypedField :value="String(trial.record[f.key] ?? '')" inputmode="decimal" @set="number(f.key, $event, f.most)" />
          {{ f.unit }}</span
        ></label
      >
      <label v-for="f in INNER" :key="f.label"
        >{{ f.label }}
        <span
          ><TypedField
            :value="String((trial.record[f.group] as Record<string, number | undefined> | undefined)?.[f.key] ?? '')"
            inputmode="decimal"
            @set="inner(f.group, f.key, $event)"
          />
          {{ f.unit }}</span
        ></label
      >
    </div>
    <div class="row">
      <ElButton v-for="y in YES" :key="y.key" class="chip" :aria-pressed="trial.record[y.key] === true" @click="flip(y.key)">
        {{ y.label }}{{ said(trial.record[y.key]) }}
      </ElButton>
    </div>
    <div class="row" role="group" aria-label="The batter was">
      <span class="quiet">the batter was</span>
      <ElButton
        v-for="b in ['stiff', 'right', 'thin'] as const"
        :key="b"
        class="chip"
        :aria-pressed="trial.record.batter === b"
        @click="change({ record: { ...trial.record, batter: trial.record.batter === b ? undefined : b } }, 'how the batter was')"
      >
        {{ b }}
      </ElButton>
    </div>
    <div class="row" role="group" aria-label="Somebody could eat it who eats">
      <span class="quiet">eaten by somebody with</span>
      <ElButton v-for="n in NEEDS" :key="n.id" class="chip" :aria-pressed="trial.ate.includes(n.id)" @click="eats(n.id)">
        {{ n.label }}
      </ElButton>
    </div>
    <label class="note"
      >Notes
      <TypedField multiline :value="trial.note" maxlength="4000" @set="change({ note: $event }, 'a note')" />
    </label>
  </div>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 8px 14px;
  margin: 10px 0;
}
.fields label span {
  display: flex;
  gap: 6px;
  align-items: center;
}
.fields .el-input {
  width: 96px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  margin-top: 8px;
}
.note {
  display: grid;
  gap: 4px;
  margin-top: 12px;
}
</style>
