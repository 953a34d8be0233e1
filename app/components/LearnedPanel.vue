<script setup lang="ts">
import { LEARNED_KINDS, type Learned, type Offset } from '../../core/bakebook/learn'
import { useBook, usualCup } from '~/stores/book'
import { useKitchen } from '~/stores/kitchen'

/** What this kitchen has taught, how sure it is, and how to make it forget. */
const book = useBook()
const kitchen = useKitchen()
void book.load()
/** A difference smaller than its own doubt is not worth a word. */
const told = (o: Offset) => Math.abs(o.mean) > 0.5 * o.sd
const percent = (ln: number) => Math.round(100 * Math.abs(Math.exp(ln) - 1))
const from = (n: number) => `from ${n} ${n === 1 ? 'bake' : 'bakes'}`
const WORDS: Record<Learned, (o: Offset) => string> = {
  minutes: (o) => `Bakes take ${percent(o.mean)} % ${o.mean > 0 ? 'longer' : 'less'} than predicted`,
  rise: (o) => `Cakes stand ${percent(o.mean)} % ${o.mean > 0 ? 'higher' : 'lower'} than predicted`,
  moistness: (o) => `Cakes are found ${o.mean > 0 ? 'moister' : 'drier'} than right`,
  sweetness: (o) => `This table finds cakes ${o.mean > 0 ? 'too sweet' : 'not sweet enough'}`,
  cup: (o) => `A cup of flour weighs ${percent(o.mean)} % ${o.mean > 0 ? 'more' : 'less'} here`,
  oven: (o) => `Your oven runs about ${Math.abs(Math.round(o.mean))} °C ${o.mean > 0 ? 'hot' : 'cool'}`,
}
const AS_EXPECTED: Record<Learned, string> = {
  minutes: 'Bakes take as long as predicted',
  rise: 'Cakes rise as predicted',
  moistness: 'Cakes are found as moist as they should be',
  sweetness: 'Cakes are found as sweet as they should be',
  cup: 'A cup of flour weighs what is usual',
  oven: 'Your oven keeps to its dial',
}
const doubt: Record<Learned, (o: Offset) => string> = {
  minutes: (o) => `give or take ${percent(o.sd)} %`,
  rise: (o) => `give or take ${percent(o.sd)} %`,
  moistness: (o) => `give or take ${o.sd.toFixed(1)} steps`,
  sweetness: (o) => `give or take ${o.sd.toFixed(1)} steps`,
  cup: (o) => `give or take ${percent(o.sd)} %`,
  oven: (o) => `give or take ${Math.round(o.sd)} °C`,
}
const rows = computed(() =>
  LEARNED_KINDS.flatMap((kind) => {
    const o = book.learned[kind].kitchen
    if (!o.from) return []
    const how = kind === 'cup' ? `from ${o.from} ${o.from === 1 ? 'cup' : 'cups'}` : from(o.from)
    return [{ kind, text: told(o) ? WORDS[kind](o) : AS_EXPECTED[kind], how: `${how}, ${doubt[kind](o)}` }]
  }),
)
/** What thermometers say of the oven, where it is told otherwise in the Cupboard. */
const ovenToSet = computed(() => {
  const o = book.learned.oven.kitchen
  const c = Math.round(o.mean)
  return o.from && told(o) && c !== kitchen.oven.offsetC ? c : null
})

/** A cup of flour outside these is a slip, or another cup. */
const CUP_SHARES = [0.6, 1.7] as const
const usual = computed(() => usualCup(kitchen.region))
const cup = ref<number | null>(null)
const problem = ref('')
function note() {
  const grams = Number(cup.value)
  const [least, most] = CUP_SHARES.map((s) => Math.round(s * usual.value)) as [number, number]
  if (!(grams >= least && grams <= most)) {
    problem.value = `A cup of flour weighs between ${least} and ${most} g. Weigh it without the cup.`
    return
  }
  problem.value = ''
  cup.value = null
  kitchen.cupWeights.push({ grams, at: Date.now() })
}
</script>

<template>
  <section class="panel" aria-labelledby="learned-title">
    <h2 id="learned-title">What this kitchen has taught</h2>
    <p v-if="!rows.length" class="quiet small">
      Nothing yet. Write down bakes in the <NuxtLink to="/book">bake book</NuxtLink>: how long they took, how high they stood, how they
      were. The sample bakes teach nothing.
    </p>
    <ul v-else class="rows">
      <li v-for="r in rows" :key="r.kind">
        <b>{{ r.text }}</b> <span class="quiet small">{{ r.how }}</span>
      </li>
    </ul>
    <div class="in-line">
      <ElButton class="chip" :aria-pressed="kitchen.learning" @click="kitchen.learning = !kitchen.learning">
        predictions follow what was learned
      </ElButton>
      <ElButton v-if="ovenToSet !== null" @click="kitchen.oven.offsetC = ovenToSet">
        Count it: {{ Math.abs(ovenToSet) }} °C {{ ovenToSet > 0 ? 'hot' : 'cool' }}
      </ElButton>
      <ElButton v-if="rows.length" @click="kitchen.learnsSince = Date.now()">Forget it all</ElButton>
      <ElButton v-else-if="kitchen.learnsSince" @click="kitchen.learnsSince = 0">Remember earlier bakes</ElButton>
    </div>
    <form class="in-line cup" @submit.prevent="note">
      <label
        ><span>Your cup of flour, filled as you do and weighed</span>
        <span class="weight"
          ><ElInputNumber v-model="cup" :min="1" :placeholder="String(Math.round(usual))" :controls="false" /> g</span
        ></label
      >
      <ElButton native-type="submit">Note it</ElButton>
    </form>
    <p v-if="problem" class="look small" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped>
.rows li {
  padding: 7px 0;
  border-bottom: 1px solid var(--hair);
}
.in-line {
  margin-top: 10px;
}
.cup {
  align-items: end;
}
.cup label {
  flex: 1 1 12rem;
  display: grid;
  gap: 4px;
}
.cup .el-input-number {
  width: 6.5rem;
}
</style>
