<script setup lang="ts">
import { numberOf } from '../../core/language/number'
import type { Place, Places } from '../../core/finish/amounts'
import { KIND_WORDS, PLACE_WORDS } from '~/kitchen/finish-words'
import type { FinishSetup, Version } from '~/kitchen/database'
import { useFinish, type standingOf } from '~/stores/finish'

/** What lies at the place that was tapped, and how thick; else how the cake is cut. */
const props = defineProps<{ version: Version; setup: FinishSetup; standing: ReturnType<typeof standingOf> }>()
const selected = defineModel<Place | null>({ required: true })
const finish = useFinish()

const kinds = computed(() => [
  ...props.version.recipe.parts.flatMap((p, i) =>
    p.role === 'batter' || p.role === 'crust' || !p.lines.length ? [] : [{ id: `own:${i}`, label: `${p.name} (this recipe)` }],
  ),
  ...Object.entries(KIND_WORDS).map(([id, label]) => ({ id, label })),
])
const at = computed(() =>
  selected.value ? (props.setup.places[selected.value] as Record<string, number | string | undefined> | undefined) : undefined,
)
function set(change: Record<string, number | string>) {
  const p = selected.value
  if (p) void finish.place(p, { ...at.value, ...change } as Places[typeof p], PLACE_WORDS[p])
}
const LIMITS: Record<string, readonly [low: number, high: number]> = { mm: [0.5, 30], nozzleMm: [3, 25], ml: [1, 40], count: [1, 60] }
const COLOURS = [
  { value: 1, label: 'one colour' },
  { value: 2, label: 'two halves' },
  { value: 3, label: 'three colours' },
]
const SPLITS = [
  { value: 1, label: 'layers as baked' },
  { value: 2, label: 'each cut in two' },
  { value: 3, label: 'each cut in three' },
]
const NUMBERS = [
  { key: 'mm', label: 'thick, mm' },
  { key: 'nozzleMm', label: 'nozzle, mm' },
  { key: 'ml', label: 'each, ml' },
  { key: 'count', label: 'how many' },
] as const
function number(key: string, text: string) {
  const [low, high] = LIMITS[key]!
  const n = numberOf(text)
  if (n !== undefined) set({ [key]: Math.max(low, Math.min(high, n)) })
}
const colours = (n: number) => {
  const p = selected.value
  if (p) void finish.change({ colours: { ...props.setup.colours, [p]: n } }, 'colours')
}
const cut = (change: object, label: string) => finish.change({ cut: { ...props.setup.cut, ...change } }, label)
</script>

<template>
  <div v-if="selected && at" class="row picked" role="group" :aria-label="`The ${PLACE_WORDS[selected]}`">
    <strong>{{ PLACE_WORDS[selected] }}</strong>
    <PickOne
      :model-value="String(at.component)"
      :label="`What the ${PLACE_WORDS[selected]} is`"
      :of="kinds.map((k) => ({ value: k.id, label: k.label }))"
      @update:model-value="set({ component: $event })"
    />
    <template v-for="n in NUMBERS" :key="n.key">
      <label v-if="at[n.key] !== undefined" class="dial"
        ><TypedField
          :value="String(at[n.key])"
          inputmode="decimal"
          :aria-label="`${PLACE_WORDS[selected]}: ${n.label}`"
          @set="number(n.key, $event)"
        />
        {{ n.label }}</label
      >
    </template>
    <PickOne
      v-if="at.nozzleMm !== undefined && selected !== 'dam'"
      :model-value="setup.colours[selected] ?? 1"
      label="Colours"
      :of="COLOURS"
      @update:model-value="colours"
    />
    <ElButton class="chip thin" @click="(finish.place(selected, null, `${PLACE_WORDS[selected]} taken off`), (selected = null))">
      take it off
    </ElButton>
  </div>
  <div v-else class="row picked quiet-row">
    <PickOne
      v-if="standing === 'stack'"
      :model-value="setup.cut.split"
      label="Cut each cake into"
      :of="SPLITS"
      @update:model-value="cut({ split: $event }, 'layers')"
    />
    <label v-if="standing === 'stack' || standing === 'tray'" class="dial"
      >level off
      <TypedField
        :value="String(setup.cut.trimMm)"
        inputmode="decimal"
        aria-label="Levelled off each top, mm"
        @set="cut({ trimMm: Math.max(0, Math.min(30, Number($event) || 0)) }, 'the levelling')"
      />
      mm</label
    >
    <!-- Not before its number is known: it must not come in under somebody's typing. -->
    <label v-if="standing === 'crepes' && finish.answer" class="dial"
      ><TypedField
        :value="String(finish.answer?.tiers[0]?.layers)"
        inputmode="numeric"
        aria-label="Sheets in the stack"
        @set="cut({ sheets: Math.max(2, Math.min(60, Math.round(Number($event)) || 20)) }, 'the sheets')"
      />
      sheets</label
    >
    <ElButton
      v-if="version.recipe.tins[0]?.shape === 'sheet'"
      class="chip thin"
      :aria-pressed="setup.cut.rolled"
      @click="cut({ rolled: !setup.cut.rolled }, 'rolled')"
    >
      rolled up
    </ElButton>
    <label class="dial"
      >spare
      <TypedField
        :value="String(setup.sparePct)"
        inputmode="numeric"
        aria-label="Spare, per cent"
        @set="finish.change({ sparePct: Math.max(0, Math.min(50, Number($event) || 0)) }, 'what is spare')"
      />
      %</label
    >
    <ElButton
      class="chip thin"
      :aria-pressed="setup.wholePackages"
      @click="finish.change({ wholePackages: !setup.wholePackages }, 'whole packages')"
    >
      whole packages
    </ElButton>
  </div>
</template>

<style scoped>
.picked {
  justify-content: center;
  margin-top: 10px;
  padding-top: 10px;
  border-top: 1px solid var(--hair);
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 8px;
  align-items: center;
}
@media (max-width: 53.75em) {
  .picked {
    justify-content: flex-start;
  }
}
</style>
