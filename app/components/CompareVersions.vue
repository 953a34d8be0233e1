<script setup lang="ts">
import type { BalanceAnswer } from '../../core/contract/handle'
import { ask } from '~/kitchen/core'
import type { Version } from '~/kitchen/database'
import { compareLines, compareRatios } from '~/kitchen/versions'
import { useKitchen } from '~/stores/kitchen'

const props = defineProps<{ versions: Version[]; current: string }>()
const open = defineModel<boolean>({ required: true })
const kitchen = useKitchen()
const leftId = ref('')
const rightId = ref('')
const balances = shallowRef<[BalanceAnswer, BalanceAnswer] | null>(null)

watch(open, (now) => {
  if (!now) return
  rightId.value = props.current
  leftId.value = (props.versions.find((v) => v.id === props.current)?.parentId ?? props.versions.find((v) => v.id !== props.current)?.id)!
})
const byId = (id: string) => props.versions.find((v) => v.id === id)
const pair = computed(() => {
  const [left, right] = [byId(leftId.value), byId(rightId.value)]
  return left && right ? ([left, right] as const) : null
})
watch([pair, () => kitchen.region], async () => {
  balances.value = null
  const now = pair.value
  if (!now) return
  const [left, right] = await Promise.all(now.map((v) => ask('balance', { recipe: v.recipe, region: kitchen.region })))
  if (pair.value === now) balances.value = [left!, right!]
})
const lines = computed(() => (pair.value ? compareLines(pair.value[0].recipe, pair.value[1].recipe, kitchen.region) : []))
const ratios = computed(() => (balances.value ? compareRatios(...balances.value) : []))
const crumb = computed(
  () =>
    balances.value?.map((b) =>
      b.crumb
        .slice(0, 4)
        .map((c) => c.words)
        .join(', '),
    ) ?? [],
)
const grams = (g: number) => (g ? `${g < 10 ? Math.round(g * 10) / 10 : Math.round(g)} g` : '–')
const differs = (a: number, b: number) => Math.abs(a - b) > Math.max(0.1, 0.01 * a)
</script>

<template>
  <ElDialog v-model="open" title="Version against version" width="min(880px, 96vw)" top="6vh">
    <div v-if="pair" class="wide" tabindex="0" role="group" aria-label="Comparison of two versions">
      <table>
        <thead>
          <tr>
            <td />
            <th v-for="side in ['left', 'right'] as const" :key="side" scope="col">
              <label>
                <span class="visually-hidden">{{ side === 'left' ? 'This version' : 'Against' }}</span>
                <select v-if="side === 'left'" v-model="leftId">
                  <option v-for="v in versions" :key="v.id" :value="v.id">{{ v.name }}</option>
                </select>
                <select v-else v-model="rightId">
                  <option v-for="v in versions" :key="v.id" :value="v.id">{{ v.name }}</option>
                </select>
              </label>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="l in lines" :key="`${l.part}${l.name}`" :class="{ differs: differs(l.left, l.right) }">
            <th scope="row">
              {{ l.name }} <span class="quiet small">{{ l.part }}</span>
            </th>
            <td>{{ grams(l.left) }}</td>
            <td>{{ grams(l.right) }}</td>
          </tr>
        </tbody>
        <tbody>
          <tr v-for="r in ratios" :key="r.label" :class="{ differs: r.differs }">
            <th scope="row">{{ r.label }}</th>
            <td>{{ r.left }}</td>
            <td>{{ r.right }}</td>
          </tr>
          <tr v-if="crumb.length">
            <th scope="row">Crumb</th>
            <td>{{ crumb[0] }}</td>
            <td>{{ crumb[1] }}</td>
          </tr>
          <tr>
            <th scope="row">Steps</th>
            <td>{{ pair[0].recipe.method.length }}</td>
            <td>{{ pair[1].recipe.method.length }}</td>
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
.differs td:last-child {
  color: var(--beet);
  font-weight: 650;
}
select {
  width: 100%;
  min-height: 44px;
  border: 2px solid var(--rim);
  border-radius: 10px;
  background: var(--enamel);
  padding: 0 8px;
  font-weight: 650;
}
</style>
