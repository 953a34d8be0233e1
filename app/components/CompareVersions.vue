<script setup lang="ts">
import type { BalanceAnswer } from '../../core/contract/handle'
import { ask } from '~/kitchen/core'
import type { Version } from '~/kitchen/database'
import { compareLines, compareRatios, compareSteps } from '~/kitchen/versions'
import { useKitchen } from '~/stores/kitchen'

const props = defineProps<{ versions: Version[]; current: string }>()
const open = defineModel<boolean>({ required: true })
const kitchen = useKitchen()
/** More columns than these nobody reads. */
const MOST = 4
const ids = ref<string[]>([])
const balances = shallowRef<BalanceAnswer[]>([])

watch(open, (now) => {
  if (!now) return
  const parent = props.versions.find((v) => v.id === props.current)?.parentId
  const other = props.versions.find((v) => v.id === parent) ?? props.versions.find((v) => v.id !== props.current)
  ids.value = other ? [other.id, props.current] : []
})
const picked = computed(() => ids.value.flatMap((id) => props.versions.find((v) => v.id === id) ?? []))
const left = computed(() => props.versions.filter((v) => !ids.value.includes(v.id)))
watch([picked, () => kitchen.region], async () => {
  balances.value = []
  const now = picked.value
  if (now.length < 2) return
  const found = await Promise.all(now.map((v) => ask('balance', { recipe: v.recipe, region: kitchen.region })))
  if (picked.value === now) balances.value = found
})
const put = (at: number, id: string) => (ids.value = ids.value.map((x, i) => (i === at ? id : x)))
const lines = computed(() =>
  compareLines(
    picked.value.map((v) => v.recipe),
    kitchen.region,
  ),
)
const ratios = computed(() => compareRatios(balances.value))
const crumb = (b: BalanceAnswer) =>
  b.crumb
    .slice(0, 4)
    .map((c) => c.words)
    .join(', ')
const grams = (g: number) => (g ? `${g < 10 ? Math.round(g * 10) / 10 : Math.round(g)} g` : '–')
const differs = (a: number, b: number) => Math.abs(a - b) > Math.max(0.1, 0.01 * a)
</script>

<template>
  <ElDialog v-model="open" title="Version against version" :width="picked.length > 2 ? 'min(1180px, 96vw)' : 'min(880px, 96vw)'" top="6vh">
    <div v-if="picked.length > 1" class="wide" tabindex="0" role="group" aria-label="Comparison of versions">
      <table>
        <thead>
          <tr>
            <td>
              <ElButton v-if="left.length && ids.length < MOST" @click="ids = [...ids, left[0]!.id]"> one more </ElButton>
            </td>
            <th v-for="(v, at) in picked" :key="v.id" scope="col">
              <span class="pick">
                <PickOne
                  :model-value="v.id"
                  :label="at ? `Against, ${at}` : 'This version'"
                  :of="versions.map((o) => ({ value: o.id, label: o.name, off: o.id !== v.id && ids.includes(o.id) }))"
                  @update:model-value="put(at, $event)"
                />
                <ElButton
                  v-if="picked.length > 2"
                  class="round"
                  circle
                  text
                  :aria-label="`Take ${v.name} out`"
                  @click="ids = ids.filter((x) => x !== v.id)"
                >
                  ×
                </ElButton>
              </span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="l in lines" :key="`${l.part}${l.name}`">
            <th scope="row">
              {{ l.name }} <span class="quiet small">{{ l.part }}</span>
            </th>
            <td v-for="(g, at) in l.grams" :key="at" :class="{ differs: at > 0 && differs(l.grams[0]!, g) }">{{ grams(g) }}</td>
          </tr>
        </tbody>
        <tbody>
          <tr v-for="r in ratios" :key="r.label">
            <th scope="row">{{ r.label }}</th>
            <td v-for="(value, at) in r.values" :key="at" :class="{ differs: at > 0 && value !== r.values[0] }">{{ value }}</td>
          </tr>
          <tr v-if="balances.length">
            <th scope="row">Crumb</th>
            <td v-for="(b, at) in balances" :key="at">{{ crumb(b) }}</td>
          </tr>
          <tr>
            <th scope="row">Method</th>
            <td v-for="v in picked" :key="v.id">
              <ol>
                <li v-for="(step, n) in compareSteps(picked[0]!.recipe, v.recipe)" :key="n" :class="{ differs: !step.same }">
                  {{ step.text }}
                </li>
              </ol>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </ElDialog>
</template>

<style scoped>
.wide {
  overflow: auto;
  max-height: 74vh;
}
table {
  width: 100%;
  border-collapse: collapse;
  color: var(--ink);
}
tbody + tbody {
  border-top: 3px solid var(--rim);
}
th,
td {
  text-align: left;
  padding: 7px 12px;
  border-bottom: 1px solid var(--hair);
  font-weight: 400;
}
tbody th {
  font-weight: 600;
}
thead th {
  position: sticky;
  top: 0;
  background: var(--enamel);
}
td {
  vertical-align: top;
}
td.differs {
  color: var(--beet);
  font-weight: 650;
}
li.differs {
  color: var(--beet);
}
ol {
  margin: 0;
  padding-left: 1.3em;
  min-width: 9rem;
}
.pick {
  display: flex;
  align-items: center;
  gap: 4px;
}
</style>
