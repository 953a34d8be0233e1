<script setup lang="ts">
import { REGIONS, type Region } from '../../core/measure/region'
import type { ParsedRecipe } from '../../core/recipe/recipe'
import { ask } from '~/kitchen/core'
import { KITCHEN_NAMES } from '~/kitchen/region-words'

/** What was pasted beside what it was taken for, line by line, so that a slip is seen at a glance. */
const props = defineProps<{ source: string; region: Region }>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ region: [region: Region] }>()
const read = shallowRef<ParsedRecipe | null>(null)

watch(
  [open, () => props.source, () => props.region],
  async ([now]) => {
    if (now && props.source.trim()) read.value = await ask('parse', { text: props.source, region: props.region }).catch(() => null)
  },
  { immediate: true },
)
const WORDS = {
  title: 'title',
  heading: 'heading',
  ingredient: 'ingredient',
  step: 'step',
  yield: 'makes',
  oven: 'oven',
  tin: 'tin',
  note: 'not used',
  nutrition: 'not used',
  clutter: 'not used',
} as const
const rows = computed(() => {
  const lines = read.value?.recipe.parts.flatMap((p) => p.lines) ?? []
  return (read.value?.page ?? []).map((p) => {
    const of = p.kind === 'ingredient' ? lines.filter((l) => p.text.includes(l.text) || l.text.includes(p.text)) : []
    return {
      ...p,
      word: WORDS[p.kind],
      asks: p.kind === 'ingredient' && (!of.length || of.some((l) => l.match === 'none' || l.match === 'unsure')),
      read: of.map(
        (l) =>
          `${l.ingredient || l.made ? (l.named ?? l.ingredient) : '?'}${l.grams.best ? ` ${Math.round(l.grams.best * 10) / 10} g` : ''}`,
      ),
    }
  })
})
</script>

<template>
  <ElDialog v-model="open" title="What was read" width="min(980px, 96vw)" align-center>
    <p v-if="read?.region" class="quiet">
      Read with {{ KITCHEN_NAMES[region] }} cups, spoons and eggs<template v-if="read.region.found === region && read.region.because.length"
        >, because the page says
        {{
          read.region.because
            .slice(0, 3)
            .map((w) => `“${w}”`)
            .join(', ')
        }}</template
      >.
      <span class="kitchens">
        Read it as
        <ElButton v-for="r in REGIONS.filter((x) => x !== region)" :key="r" class="chip" @click="emit('region', r)">
          {{ KITCHEN_NAMES[r] }}
        </ElButton>
      </span>
    </p>
    <table>
      <thead>
        <tr>
          <th scope="col">As pasted</th>
          <th scope="col">Taken for</th>
          <th scope="col">Read as</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(r, i) in rows" :key="i" :class="[r.kind, { asks: r.asks }]">
          <td>{{ r.text }}</td>
          <td>{{ r.word }}</td>
          <td>{{ r.read.join(' · ') }}<span v-if="r.asks"> please check</span></td>
        </tr>
      </tbody>
    </table>
  </ElDialog>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
  table-layout: fixed;
}
th {
  text-align: left;
  padding: 4px 8px;
}
td {
  padding: 4px 8px;
  border-top: 1px solid var(--hair);
  overflow-wrap: anywhere;
  vertical-align: top;
}
th:nth-child(2),
td:nth-child(2) {
  width: 92px;
  color: var(--quiet);
}
.note td:first-child,
.clutter td:first-child,
.nutrition td:first-child {
  color: var(--quiet);
}
.asks td {
  background: var(--butter-soft, #fdf3cf);
  color: #16302b;
}
.heading td:first-child,
.title td:first-child {
  font-weight: 700;
}
.kitchens {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}
@media (max-width: 40em) {
  th:nth-child(2),
  td:nth-child(2) {
    width: 74px;
  }
}
</style>
