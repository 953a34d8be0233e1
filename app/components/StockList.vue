<script setup lang="ts">
import { dateWords } from '~/kitchen/dates'
import IconTrash from '~icons/ph/trash-bold'
import { ingredientOf, nameOf, packageGrams, pieceGrams } from '../../core/pantry/pantry'
import type { Kind } from '../../core/pantry/ingredient'
import type { Stock } from '~/kitchen/database'
import { ask } from '~/kitchen/core'
import { useCupboard } from '~/stores/cupboard'
import { useKitchen } from '~/stores/kitchen'

/** What is in the house, as a baker would look over the shelf: by kind, with how much is left. */
const emit = defineEmits<{ look: [id: string]; unknown: [name: string] }>()
defineProps<{ looked: string | null }>()
const cupboard = useCupboard()
const kitchen = useKitchen()

const GROUPS: [label: string, kinds: Kind[]][] = [
  ['Flour and starch', ['flour', 'starch', 'mix']],
  ['Sugar', ['sugar', 'syrup', 'sweetener']],
  ['Fat', ['fat']],
  ['Eggs and dairy', ['egg', 'dairy', 'plant-dairy']],
  ['Lift, salt and sour', ['leavener', 'salt', 'acid', 'binder']],
  ['Taste', ['cocoa', 'flavour', 'nut', 'fruit', 'finish', 'water']],
]
const groups = computed(() =>
  GROUPS.map(([label, kinds]) => ({
    label,
    rows: cupboard.stock
      .flatMap((s) => {
        const i = ingredientOf(s.id)
        return i && kinds.includes(i.kind) ? [{ s, i, name: nameOf(i, kitchen.region) }] : []
      })
      .sort((a, b) => a.name.localeCompare(b.name)),
  })).filter((g) => g.rows.length),
)
/** A full jar, where nothing says how it is bought, g. */
const FULL = 1000
const POURED: Kind[] = ['dairy', 'plant-dairy', 'water', 'fat']
const share = (s: Stock) => {
  const i = ingredientOf(s.id)
  return s.grams === null ? 1 : Math.min(1, s.grams / ((i && packageGrams(i, kitchen.region)) || FULL))
}
/** Eggs are counted, milk is poured, the rest is weighed. */
const amount = (s: Stock) => {
  if (s.grams === null) return 'plenty'
  const i = ingredientOf(s.id)
  const piece = i?.ofEgg ? pieceGrams(i, kitchen.region) : undefined
  if (piece) {
    const n = Math.round((s.grams / piece) * 2) / 2
    return `${n} ${n === 1 ? 'egg' : 'eggs'}`
  }
  const perMl = i && POURED.includes(i.kind) ? i.gramsPerMl.poured : undefined
  const [n, big, small] = perMl ? [s.grams / perMl, 'l', 'ml'] : [s.grams, 'kg', 'g']
  return n >= 1000 ? `${Math.round(n / 10) / 100} ${big}` : `${Math.round(n)} ${small}`
}

const SOON = 21
const days = (date: string) => Math.floor((new Date(`${date}T23:59:59`).getTime() - Date.now()) / 86_400_000)
const age = (s: Stock) => {
  if (!s.bestBefore) return null
  const d = days(s.bestBefore)
  // Far off, the month will do.
  const day = new Date(`${s.bestBefore}T12:00`).toLocaleDateString(dateWords(kitchen.region).locale, {
    month: 'short',
    ...(d > 60 ? { year: 'numeric' } : { day: 'numeric' }),
  })
  return { words: d < 0 ? `past ${day}` : d <= SOON ? `use soon: ${day}` : `until ${day}`, loud: d <= SOON }
}

const text = ref('')
const date = ref('')
/** The one whose date is being set. */
const dating = ref<string | null>(null)
const problem = ref('')
async function add() {
  problem.value = ''
  const typed = text.value.trim()
  if (!typed) return
  const { lines } = await ask('line', { text: typed, region: kitchen.region, own: cupboard.common().own })
  const known = lines.filter((l) => l.ingredient && ingredientOf(l.ingredient) && l.match !== 'unsure' && l.match !== 'none')
  if (!known.length) {
    problem.value = `“${typed}” is not in the pantry. Try its plain name, or describe it from its label.`
    return
  }
  for (const l of known) {
    const id = l.ingredient!
    const before = cupboard.inHouse.get(id)
    // More of something that is there already adds up; without an amount it is there in plenty.
    const grams = l.grams.best > 0 ? Math.round(l.grams.best + (before?.grams ?? 0)) : null
    await cupboard.set(`${l.named ?? id} in the cupboard`, 'stock', id, {
      id,
      grams,
      bestBefore: date.value || before?.bestBefore || null,
      note: before?.note ?? '',
    })
  }
  text.value = ''
  date.value = ''
}
async function setAmount(s: Stock, typed: string) {
  problem.value = ''
  const name = ingredientOf(s.id)?.names[0] ?? s.id
  const t = typed.trim().toLowerCase()
  if (t === amount(s)) return
  if (t === '' || t === 'plenty') return cupboard.set(`how much ${name}`, 'stock', s.id, { ...s, grams: null })
  const counted = Boolean(ingredientOf(s.id)?.ofEgg)
  const plain = /^[\d.,]+$/.test(t) && !counted ? `${t} g` : t.replace(/\s*eggs?$/, '')
  const { lines } = await ask('line', { text: `${plain} ${name}`, region: kitchen.region, own: cupboard.common().own })
  const grams = lines[0]?.grams.best ?? 0
  // “A lot of” reads as one: an amount has a number in it.
  if (!(grams > 0) || !/[\d¼-¾⅐-⅞]/.test(t)) return void (problem.value = `“${typed}” is no amount: write it like 500 g, 2 cups or plenty.`)
  await cupboard.set(`how much ${name}`, 'stock', s.id, { ...s, grams: Math.round(grams) })
}
const setDate = (s: Stock, value: string) =>
  cupboard.set(`when ${ingredientOf(s.id)?.names[0] ?? s.id} is best before`, 'stock', s.id, { ...s, bestBefore: value || null })
const out = (s: Stock) => cupboard.set(`${ingredientOf(s.id)?.names[0] ?? s.id} taken out`, 'stock', s.id, null)
</script>

<template>
  <section class="panel stock" aria-labelledby="stock-title">
    <h1 id="stock-title">In the house <span class="quiet small">what the bench may take from</span></h1>
    <form class="add" @submit.prevent="add">
      <label class="grow"
        ><span class="visually-hidden">What there is</span><ElInput v-model="text" maxlength="200" placeholder="1.5 kg plain flour"
      /></label>
      <label class="date"><span class="small quiet">best before</span><WhenField v-model="date" kind="day" label="Best before" /></label>
      <ElButton type="primary" native-type="submit" :disabled="!text.trim()">Put it in</ElButton>
    </form>
    <p v-if="problem" class="look" role="alert">{{ problem }} <ElButton @click="emit('unknown', text)">From its label</ElButton></p>
    <div class="groups">
      <section v-for="g in groups" :key="g.label" :aria-label="g.label">
        <h2>{{ g.label }}</h2>
        <ul>
          <li v-for="{ s, name } in g.rows" :key="s.id" :class="{ looked: looked === s.id }">
            <button class="plain name" type="button" :title="`What ${name} does`" @click="emit('look', s.id)">{{ name }}</button>
            <TypedField
              class="amount"
              :value="amount(s)"
              :aria-label="`How much ${name}`"
              maxlength="30"
              @set="(t: string) => setAmount(s, t)"
            />
            <span class="jar" aria-hidden="true"><i :style="{ width: `${share(s) * 100}%` }" :class="{ low: share(s) < 0.2 }" /></span>
            <WhenField
              v-if="dating === s.id"
              kind="day"
              :label="`Best before of ${name}`"
              :model-value="s.bestBefore ?? ''"
              @update:model-value="(d: string) => (setDate(s, d), (dating = null))"
            />
            <button
              v-else
              class="plain age small"
              :class="age(s)?.loud ? 'loud' : 'quiet'"
              type="button"
              :aria-label="`Best before of ${name}: ${age(s)?.words ?? 'no date'}`"
              @click="dating = s.id"
            >
              {{ age(s)?.words ?? 'no date' }}
            </button>
            <ElButton class="round" circle text :aria-label="`Take ${name} out`" @click="out(s)"><IconTrash /></ElButton>
          </li>
        </ul>
      </section>
    </div>
    <p v-if="!groups.length" class="quiet">Nothing yet. Type what you have, as you would on a list: the amount, then the name.</p>
  </section>
</template>

<style scoped>
.stock {
  display: grid;
  gap: 12px;
  align-content: start;
}
h1 {
  font-size: 1.7rem;
}
.add {
  display: flex;
  gap: 10px;
  align-items: end;
  flex-wrap: wrap;
}
.grow {
  flex: 1;
  min-width: 180px;
}
.date {
  display: grid;
}
.groups {
  columns: 2;
  column-gap: 26px;
}
.groups section {
  break-inside: avoid;
  margin-bottom: 12px;
}
h2 {
  font-size: 1.02rem;
  padding-bottom: 2px;
  border-bottom: 2px solid var(--rim);
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 104px 40px;
  grid-template-areas: 'name amount out' 'jar age out';
  align-items: center;
  column-gap: 8px;
  padding: 4px 0 6px;
  border-bottom: 1px solid var(--hair);
}
.name {
  grid-area: name;
  font-weight: 650;
  min-height: 30px;
  text-decoration: underline;
  text-decoration-color: transparent;
  text-underline-offset: 3px;
}
.name::first-letter {
  text-transform: uppercase;
}
.name:hover,
.looked .name {
  text-decoration-color: var(--beet);
}
.amount {
  grid-area: amount;
  width: 100%;
  font-weight: 650;
}
.amount :deep(.el-input__wrapper) {
  min-height: 36px;
  border-color: transparent;
  border-radius: 8px;
  background: var(--mist);
}
.amount :deep(.el-input__inner) {
  text-align: right;
}
.amount :deep(.el-input__wrapper:is(:hover, :focus-within)) {
  border-color: var(--rim);
}
.jar {
  grid-area: jar;
  height: 9px;
  border: 1.5px solid var(--rim);
  border-radius: 5px;
  overflow: hidden;
}
.jar i {
  display: block;
  height: 100%;
  background: var(--spruce);
}
.jar i.low {
  background: repeating-linear-gradient(45deg, var(--butter), var(--butter) 4px, var(--enamel) 4px, var(--enamel) 7px);
}
.age {
  grid-area: age;
  position: relative;
  text-align: right;
  line-height: 1.1;
  min-height: 24px;
  display: grid;
  align-items: center;
}
.age.loud {
  background: var(--butter-soft);
  border-radius: 6px;
  color: var(--ink);
}
.age:focus-within {
  outline: 3px solid var(--beet);
  border-radius: 6px;
}
.el-button.el-button.round {
  grid-area: out;
  width: 40px;
}
@media (max-width: 35em) {
  .groups {
    columns: 1;
  }
}
</style>
