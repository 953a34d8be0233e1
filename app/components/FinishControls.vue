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
    <select
      class="blank"
      :value="at.component"
      :aria-label="`What the ${PLACE_WORDS[selected]} is`"
      @change="set({ component: ($event.target as HTMLSelectElement).value })"
    >
      <option v-for="k in kinds" :key="k.id" :value="k.id">{{ k.label }}</option>
    </select>
    <template v-for="n in NUMBERS" :key="n.key">
      <label v-if="at[n.key] !== undefined" class="dial"
        ><input
          :value="at[n.key]"
          inputmode="decimal"
          :aria-label="`${PLACE_WORDS[selected]}: ${n.label}`"
          @change="number(n.key, ($event.target as HTMLInputElement).value)"
        />
        {{ n.label }}</label
      >
    </template>
    <label v-if="at.nozzleMm !== undefined && selected !== 'dam'" class="dial"
      ><select
        :value="setup.colours[selected] ?? 1"
        aria-label="Colours"
        @change="colours(Number(($event.target as HTMLSelectElement).value))"
      >
        <option :value="1">one colour</option>
        <option :value="2">two halves</option>
        <option :value="3">three colours</option>
      </select></label
    >
    <button
      class="chip thin"
      type="button"
      @click="(finish.place(selected, null, `${PLACE_WORDS[selected]} taken off`), (selected = null))"
    >
      take it off
    </button>
  </div>
  <div v-else class="row picked quiet-row">
    <label v-if="standing === 'stack'" class="dial"
      ><select
        :value="setup.cut.split"
        aria-label="Cut each cake into"
        @change="cut({ split: Number(($event.target as HTMLSelectElement).value) }, 'layers')"
      >
        <option :value="1">layers as baked</option>
        <option :value="2">each cut in two</option>
        <option :value="3">each cut in three</option>
      </select></label
    >
    <label v-if="standing === 'stack' || standing === 'tray'" class="dial"
      >level off
      <input
        :value="setup.cut.trimMm"
        inputmode="decimal"
        aria-label="Levelled off each top, mm"
        @change="cut({ trimMm: Math.max(0, Math.min(30, Number(($event.target as HTMLInputElement).value) || 0)) }, 'the levelling')"
      />
      mm</label
    >
    <!-- Not before its number is known: it must not come in under somebody's typing. -->
    <label v-if="standing === 'crepes' && finish.answer" class="dial"
      ><input
        :value="finish.answer?.tiers[0]?.layers"
        inputmode="numeric"
        aria-label="Sheets in the stack"
        @change="
          cut({ sheets: Math.max(2, Math.min(60, Math.round(Number(($event.target as HTMLInputElement).value)) || 20)) }, 'the sheets')
        "
      />
      sheets</label
    >
    <button
      v-if="version.recipe.tins[0]?.shape === 'sheet'"
      class="chip thin"
      type="button"
      :aria-pressed="setup.cut.rolled"
      @click="cut({ rolled: !setup.cut.rolled }, 'rolled')"
    >
      rolled up
    </button>
    <label class="dial"
      >spare
      <input
        :value="setup.sparePct"
        inputmode="numeric"
        aria-label="Spare, per cent"
        @change="
          finish.change({ sparePct: Math.max(0, Math.min(50, Number(($event.target as HTMLInputElement).value) || 0)) }, 'what is spare')
        "
      />
      %</label
    >
    <button
      class="chip thin"
      type="button"
      :aria-pressed="setup.wholePackages"
      @click="finish.change({ wholePackages: !setup.wholePackages }, 'whole packages')"
    >
      whole packages
    </button>
  </div>
</template>

<style scoped>
.picked {
  justify-content: center;
  margin-top: 10px;
  padding-top: 10px;
  border-top: 1px solid var(--hair);
}
.picked select {
  min-height: 38px;
  max-width: 210px;
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
