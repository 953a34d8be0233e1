<script setup lang="ts">
import { ingredientOf, nameOf } from '../../core/pantry/pantry'
import type { HardNeed } from '../../core/pantry/ingredient'
import { NEEDS } from '~/stores/bench'
import { useKitchen } from '~/stores/kitchen'
import { useShelf } from '~/stores/shelf'
import { useTable } from '~/stores/table'

/** One table, many diets: who comes, and the fewest bakes that feed them all. */
const table = useTable()
const shelf = useShelf()
const kitchen = useKitchen()
const router = useRouter()
useHead({ title: 'Table · Kind Crumb' })
watch(
  () => shelf.whole,
  (whole) => whole && void table.open(),
  { immediate: true },
)
const label = (needs: readonly HardNeed[]) =>
  needs.length ? needs.map((n) => NEEDS.find((x) => x.id === n)!.label).join(', ') : 'anything'
const count = (i: number, by: number) =>
  table.change(table.groups.map((g, k) => (k === i ? { ...g, count: Math.max(0, Math.min(500, g.count + by)) } : g)))
const need = (i: number, n: HardNeed) =>
  table.change(
    table.groups.map((g, k) => (k === i ? { ...g, needs: g.needs.includes(n) ? g.needs.filter((x) => x !== n) : [...g.needs, n] } : g)),
  )
const add = () => table.change([...table.groups, { needs: [], count: 1 }])
const take = (i: number) => table.change(table.groups.filter((_, k) => k !== i))
const a = computed(() => table.answer)
const bakes = computed(() => a.value?.bakes ?? [])
const number = computed(() => bakes.value.reduce((n, b) => n + b.times, 0))
const words = (n: number) => ['no bake', 'One bake', 'Two bakes', 'Three bakes', 'Four bakes', 'Five bakes'][n] ?? `${n} bakes`
const headline = computed(() => {
  if (!a.value) return 'Say who comes.'
  if (a.value.unfed.length) return 'Not everybody is fed yet.'
  return `${words(number.value)} ${number.value === 1 ? 'feeds' : 'feed'} all ${table.guests}.`
})
const detail = computed(() => {
  if (!a.value) return ''
  if (a.value.unfed.length)
    return `${a.value.unfed.map((u) => u.because).join(' ')}${number.value ? ` For the others: ${words(number.value).toLowerCase()}.` : ''}`
  return `${a.value.left} ${a.value.left === 1 ? 'slice is' : 'slices are'} left over. What counts in the end are the labels, and what each guest says.`
})
const bakeOf = (id: string) => bakes.value.find((b) => b.id === id)
const made = (id: string) => table.made.find((m) => m.id === id)
const names = (ids: readonly string[]) => ids.map((id) => ingredientOf(id)).map((i, k) => (i ? nameOf(i, kitchen.region) : ids[k]))
async function plan() {
  await table.toClock()
  await router.push('/clock')
}
</script>

<template>
  <div class="table">
    <section class="panel who" aria-labelledby="who-title">
      <h1 id="who-title">Who comes?</h1>
      <ul>
        <li v-for="(g, i) in table.groups" :key="i">
          <div class="count">
            <ElButton class="round" circle text :aria-label="`One fewer: ${label(g.needs)}`" @click="count(i, -1)">−</ElButton>
            <b>{{ g.count }}</b>
            <ElButton class="round" circle text :aria-label="`One more: ${label(g.needs)}`" @click="count(i, 1)">+</ElButton>
            <span class="of">{{ g.needs.length ? '' : 'eat anything' }}</span>
            <ElButton
              v-if="table.groups.length > 1"
              class="round away"
              circle
              text
              :aria-label="`Take away: ${label(g.needs)}`"
              @click="take(i)"
            >
              ×
            </ElButton>
          </div>
          <div class="needs" role="group" :aria-label="`What these ${g.count} need`">
            <ElButton v-for="n in NEEDS" :key="n.id" class="chip" :aria-pressed="g.needs.includes(n.id)" @click="need(i, n.id)">
              {{ n.label }}
            </ElButton>
          </div>
        </li>
      </ul>
      <div class="row">
        <ElButton :disabled="table.groups.length >= 10" @click="add">Others with other needs</ElButton>
        <span class="in-line"
          >slices each
          <PickOne
            :model-value="table.portions"
            label="slices each"
            :of="[1, 2, 3, 4].map((n) => ({ value: n, label: String(n) }))"
            @update:model-value="table.change(table.groups, $event)"
        /></span>
      </div>
    </section>

    <section class="panel feed" aria-labelledby="feed-title" aria-live="polite">
      <h2 id="feed-title" class="headline">{{ headline }}</h2>
      <p class="quiet">{{ detail }}</p>
      <p v-if="table.refusal" class="look" role="alert">{{ table.refusal }}</p>
      <ol class="bakes">
        <li v-for="(b, i) in bakes" :key="b.id">
          <span class="n" aria-hidden="true">{{ i + 1 }}</span>
          <div>
            <h3>
              <template v-if="made(b.id)">{{ b.title }} <span class="tag">to be made</span></template
              ><NuxtLink v-else :to="`/bench/${b.id}`">{{ b.title }}</NuxtLink
              ><template v-if="b.times > 1"> × {{ b.times }}</template>
            </h3>
            <svg :viewBox="`0 0 ${Math.max(1, b.slices) * 16} 20`" role="img" :aria-label="`${b.taken} of ${b.slices} slices taken`">
              <rect
                v-for="s in b.slices"
                :key="s"
                :x="(s - 1) * 16 + 1"
                y="2"
                width="13"
                height="16"
                rx="3"
                :class="{ taken: s <= b.taken }"
              />
            </svg>
            <p class="small">{{ a!.order.find((o) => o.id === b.id)?.why }}</p>
            <p v-if="b.labels.length" class="look small">Read the label of {{ names(b.labels).join(', ') }}.</p>
            <NuxtLink v-if="!made(b.id)" class="small" :to="`/card/${b.id}`">its card, and the label for the plate</NuxtLink>
          </div>
        </li>
      </ol>
      <table v-if="bakes.length">
        <caption class="visually-hidden">
          Who eats what
        </caption>
        <thead>
          <tr>
            <th scope="col">who</th>
            <th v-for="(b, i) in bakes" :key="b.id" scope="col">{{ i + 1 }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(g, i) in a!.guests" :key="i">
            <th scope="row">{{ g.count }} · {{ label(g.needs) }}</th>
            <td v-for="b in bakes" :key="b.id">
              {{ g.portions.find((p) => p.id === b.id)?.count ?? (g.can.includes(b.id) ? 'may' : 'no') }}
            </td>
          </tr>
        </tbody>
      </table>
      <div class="row">
        <ElButton v-if="bakes.length" type="primary" @click="plan">Plan the day</ElButton>
        <ElButton v-if="table.union.length" :disabled="!!table.looking" @click="table.look()">
          {{ table.looking ? `Trying ${table.looking.at} of ${table.looking.of}…` : 'Look what could be made for all of them' }}
        </ElButton>
      </div>
      <p v-if="bakes.length && bakeOf(bakes[0]!.id)?.allergens.length" class="small quiet">
        Known to be in these: {{ [...new Set(bakes.flatMap((b) => b.allergens))].join(', ') }}.
      </p>
    </section>
  </div>
</template>

<style scoped>
.table {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.25fr);
  gap: 12px;
  align-items: start;
}
h1 {
  font-size: 1.7rem;
}
.headline {
  font-size: 1.9rem;
}
.who li {
  padding: 12px 0;
  border-bottom: 1px solid var(--hair);
}
.count {
  display: flex;
  gap: 6px;
  align-items: center;
}
.count b {
  font-family: var(--display);
  font-size: 2rem;
  min-width: 46px;
  text-align: center;
}
.count .el-button.el-button.round {
  border: 2px solid var(--rim);
  color: var(--ink);
  font-size: 1.3rem;
}
.count .away {
  margin-left: auto;
  border: 0;
  color: var(--quiet);
}
.needs,
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
  margin-top: 8px;
}
.row {
  gap: 10px 14px;
  margin-top: 14px;
}
.bakes li {
  display: grid;
  grid-template-columns: 44px minmax(0, 1fr);
  gap: 10px;
  padding: 12px 0;
  border-bottom: 1px solid var(--hair);
}
.bakes li > div {
  display: grid;
  gap: 5px;
  justify-items: start;
}
.n {
  font-family: var(--display);
  font-weight: 800;
  font-size: 2rem;
  text-align: center;
}
.bakes svg {
  max-width: 100%;
  height: 22px;
}
rect {
  fill: var(--mist);
  stroke: var(--rim);
  stroke-width: 1.2;
}
rect.taken {
  fill: var(--crumb);
}
.tag {
  font-size: 0.8rem;
  background: var(--beet-soft);
  color: var(--beet);
  border-radius: 8px;
  padding: 2px 8px;
  font-family: var(--body);
}
table {
  border-collapse: collapse;
  margin-top: 10px;
  width: 100%;
}
th,
td {
  padding: 6px 8px;
  border-bottom: 1px solid var(--hair);
  text-align: center;
}
th:first-child {
  text-align: left;
  font-weight: 400;
}
@media (max-width: 53.75em) {
  .table {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
