<script setup lang="ts">
import type { Nourishment, Nutrient } from '../../core/nourish/nourish'
import type { Recipe } from '../../core/recipe/recipe'
import { ask } from '~/kitchen/core'
import { useCupboard } from '~/stores/cupboard'
import { useKitchen } from '~/stores/kitchen'

/** What is in a slice, as it was given and as it would be, as an estimate with its spread. */
const props = defineProps<{ given: Recipe; changed: Recipe | null }>()
const kitchen = useKitchen()
const cupboard = useCupboard()
const slices = ref<number | undefined>()
const before = shallowRef<Nourishment | null>(null)
const after = shallowRef<Nourishment | null>(null)
let turn = 0

async function work() {
  const mine = ++turn
  const of = (recipe: Recipe) =>
    ask('nourish', { recipe, ...cupboard.common(), ...(slices.value && { slices: slices.value }) }).catch(() => null)
  const found = await Promise.all([of(props.given), props.changed ? of(props.changed) : null])
  if (mine === turn) [before.value, after.value] = found
}
// Another recipe is cut as it says itself.
watch(
  () => props.given.title,
  () => (slices.value = undefined),
)
watch([() => props.given, () => props.changed, slices], work, { immediate: true })

const NAMES: Record<Nutrient, string> = {
  energy: 'Energy',
  fat: 'Fat',
  saturates: 'of it saturates',
  carbohydrate: 'Carbohydrate',
  sugars: 'of it sugars',
  polyols: 'of it polyols',
  fibre: 'Fibre',
  protein: 'Protein',
  salt: 'Salt',
}
const KJ = 4.184
const rows = computed(() => {
  const now = after.value ?? before.value
  if (!now) return []
  return (Object.keys(NAMES) as Nutrient[])
    .filter((n) => n !== 'polyols' || now.perSlice.polyols.best > 0 || (before.value?.perSlice.polyols.best ?? 0) > 0)
    .map((n) => {
      const is = now.perSlice[n]
      const was = after.value ? before.value?.perSlice[n] : undefined
      const unit = n === 'energy' ? 'kcal' : 'g'
      return {
        n,
        name: NAMES[n],
        within: /^of it/.test(NAMES[n]),
        is: `${is.best} ${unit}`,
        kj: n === 'energy' && kitchen.region !== 'us' ? `${Math.round(is.best * KJ)} kJ` : '',
        spread: is.high > is.low ? `${is.low}–${is.high}` : '',
        was: was ? `${was.best}` : '',
        way: was && was.best !== is.best ? (is.best > was.best ? 'more' : 'less') : '',
      }
    })
})
const shown = computed(() => after.value ?? before.value)
const most = (n: Nutrient) => shown.value?.from[n]?.[0]
const sources = computed(() =>
  (['fat', 'sugars'] as const).flatMap((n) => {
    const m = most(n)
    return m && m.share >= 0.3 ? [`${Math.round(m.share * 100)} % of its ${n === 'fat' ? 'fat comes' : 'sugars come'} from ${m.name}`] : []
  }),
)
</script>

<template>
  <section v-if="shown" class="panel" aria-labelledby="slice-title">
    <h2 id="slice-title">In a slice</h2>
    <div class="cut">
      <label for="slices">Cut into</label>
      <ElInputNumber
        id="slices"
        :model-value="shown.slices"
        :min="1"
        :max="500"
        aria-label="Slices"
        @change="(n) => (slices = n ?? undefined)"
      />
      <span class="quiet">about {{ shown.sliceGrams }} g each</span>
    </div>
    <table>
      <thead>
        <tr>
          <th scope="col"><span class="visually-hidden">What</span></th>
          <th v-if="after" scope="col">given</th>
          <th scope="col">{{ after ? 'now' : '' }}<span class="visually-hidden"> in a slice</span></th>
          <th scope="col" class="quiet">most likely between</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in rows" :key="r.n" :class="{ within: r.within }">
          <th scope="row">{{ r.name }}</th>
          <td v-if="after">{{ r.was }}</td>
          <td>
            <strong>{{ r.is }}</strong><span v-if="r.way" class="visually-hidden">, {{ r.way }} than as given</span
            ><span v-if="r.kj" class="quiet small kj">{{ r.kj }}</span>
          </td>
          <td class="quiet">{{ r.spread }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="sources.length" class="small">{{ sources.join('; ') }}.</p>
    <p v-if="shown.left.length" class="look small">Not counted: {{ shown.left.join(', ') }}.</p>
    <p class="small quiet">Estimated from food tables and from how it is measured, not a measurement.</p>
  </section>
</template>

<style scoped>
.cut {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 10px;
  margin: 8px 0;
}
.cut .el-input-number {
  width: 140px;
}
table {
  width: 100%;
  border-collapse: collapse;
  font-variant-numeric: tabular-nums;
}
th,
td {
  text-align: right;
  padding: 5px 0 5px 10px;
  border-bottom: 1px solid var(--hair);
  font-weight: inherit;
  vertical-align: baseline;
}
thead th {
  font-size: 0.9rem;
}
th[scope='row'],
thead th:first-child {
  text-align: left;
  padding-left: 0;
  font-weight: 600;
}
.within th[scope='row'] {
  padding-left: 14px;
  font-weight: 400;
}
.kj {
  display: block;
}
table + p {
  margin-top: 8px;
}
</style>
