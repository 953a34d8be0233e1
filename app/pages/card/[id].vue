<script setup lang="ts">
import IconPrinter from '~icons/ph/printer-bold'
import { unknownWords } from '../../../core/recipe/unknown'
import { dietsOf } from '../../../core/balance/balance'
import { cautionsOf } from '../../../core/care/of-recipe'
import { ingredientOf, nameOf } from '../../../core/pantry/pantry'
import { HARD_NEEDS, type HardNeed } from '../../../core/pantry/ingredient'
import { labelChecks } from '../../../core/reformulate/allowed'
import { writeNumber } from '../../../core/measure/number'
import { ownMeasure } from '../../../core/reformulate/lines'
import type { Line } from '../../../core/recipe/recipe'
import type { BakeAnswer } from '../../../core/oven/predict'
import { bakeOf } from '~/kitchen/baking'
import type { Version } from '~/kitchen/database'
import { downloadText } from '~/kitchen/download'
import { needsMet } from '~/kitchen/finder'
import { wishWords } from '~/kitchen/wishes'
import { useKitchen } from '~/stores/kitchen'
import { useShelf } from '~/stores/shelf'

const route = useRoute()
const router = useRouter()
const shelf = useShelf()
const kitchen = useKitchen()
const version = computed(() => shelf.versionById(String(route.params.id)))
useHead({ title: () => `${version.value?.recipe.title ?? 'Card'} · card · Kind Crumb` })

const needs = computed(() => (version.value?.goals ?? []).filter((g): g is HardNeed => (HARD_NEEDS as readonly string[]).includes(g)))
const ids = computed(() => (version.value?.recipe.parts ?? []).flatMap((p) => p.lines.flatMap((l) => l.ingredient ?? [])))
const labels = computed(() => labelChecks(ids.value, { needs: needs.value, avoid: [] }))
/** Lines that nobody knows: where there are any, nothing is claimed. */
const unknown = computed(() => (version.value ? dietsOf(version.value.recipe).unknown : []))
const allergens = computed(() => (version.value ? dietsOf(version.value.recipe).allergens : []))
const cautions = computed(() => {
  const v = version.value
  if (!v) return []
  return cautionsOf(v.recipe, { needs: needs.value, slices: v.recipe.yield?.count ?? 10 })
})
const NEED_WORDS: Record<HardNeed, string> = {
  eggless: 'no egg',
  vegan: 'vegan',
  'dairy-free': 'no dairy',
  'gluten-free': 'no gluten',
  'nut-free': 'no nuts',
  'soy-free': 'no soy',
}

const asked = computed(() => [
  ...(unknown.value.length ? [] : needs.value.map((n) => NEED_WORDS[n])),
  ...wishWords(version.value?.goals ?? []),
])

const grams = (l: Line) =>
  l.grams.best > 0 ? `${l.grams.best < 10 ? Math.round(l.grams.best * 10) / 10 : Math.round(l.grams.best)} g` : ''
/** "1 1/2 tsp" as "1½ tsp": read from across the counter. */
const typeset = (text: string) =>
  text.replace(/(?:(\d+)\s+)?(\d\/\d)/g, (_, whole: string | undefined, part: string) => {
    const [top, bottom] = part.split('/').map(Number)
    return bottom ? writeNumber(Number(whole ?? 0) + top! / bottom) : part
  })
/** The measure in the text ("¾ cup") beside the grams, where the line was not weighed. */
const measure = (l: Line) => {
  const spoon = /^([\d¼-¾⅐-⅞./\s+]+(?:cups?|tbsp|tsp|sticks?)(?:\s*\+\s*\d+\s*tbsp)?)/i.exec(l.text)?.[1]?.trim()
  return spoon ? typeset(spoon) : l.quantity?.unit === 'piece' ? ownMeasure(l) : ''
}
const label = (l: Line) => {
  if (l.named) return l.named
  const i = ingredientOf(l.ingredient)
  return i ? nameOf(i, kitchen.region) : l.text
}
/** The label that stands by the plate, in place of the card; it has an address of its own. */
const asLabel = computed({
  get: () => route.query.as === 'label',
  set: (now) => void router.replace({ query: now ? { as: 'label' } : {} }),
})
const met = computed(() => (version.value ? HARD_NEEDS.filter((n) => needsMet(version.value!).has(n)).map((n) => NEED_WORDS[n]) : []))
/** What the oven will make of it, and of the version that it came from. */
const bakes = shallowRef<{ now: BakeAnswer | null; before: BakeAnswer | null }>({ now: null, before: null })
watch(
  version,
  async (v) => {
    bakes.value = { now: null, before: null }
    if (!v) return
    const of = async (x: Version | undefined) => (x ? bakeOf(x) : null)
    const now = await of(v)
    const before = await of(v.parentId ? shelf.versionById(v.parentId) : undefined)
    if (version.value === v) bakes.value = { now, before }
  },
  { immediate: true },
)
const bakeWords = computed(() => {
  const m = bakes.value.now?.minutes
  if (!m) return ''
  const was = bakes.value.before?.minutes
  const moved = was && Math.abs(was.best - m.best) >= 2 ? ` (the one before took about ${Math.round(was.best)})` : ''
  return `Look at ${bakes.value.now!.firstLook} minutes, done at about ${Math.round(m.best)}${moved}: ${bakes.value.now!.doneC} °C in the middle.`
})
const print = () => window.print()
</script>

<template>
  <p v-if="!version && !shelf.whole" class="quiet" role="status">Looking for the card…</p>
  <p v-else-if="!version" class="panel">There is no such card on this shelf. <NuxtLink to="/">To the shelf</NuxtLink></p>
  <div v-else class="page">
    <div class="tools">
      <NuxtLink class="push" :to="`/bench/${version.id}`">Back to the bench</NuxtLink>
      <ElButton @click="downloadText(version.recipe)">As text</ElButton>
      <span class="faces" role="group" aria-label="What to print">
        <ElButton class="chip" :aria-pressed="!asLabel" @click="asLabel = false">card</ElButton>
        <ElButton class="chip" :aria-pressed="asLabel" @click="asLabel = true">label for the plate</ElButton>
      </span>
      <ElButton type="primary" @click="print"><IconPrinter aria-hidden="true" /> Print</ElButton>
    </div>
    <article v-if="asLabel" class="plate panel">
      <h1>{{ version.recipe.title }}</h1>
      <p class="asked">{{ met.join(' · ') || 'for everybody who may eat what is below' }}</p>
      <p>
        <strong>Contains</strong>
        {{ allergens.join(', ') || (unknown.length ? 'see below' : 'none of the listed allergens, as far as its lines tell') }}
      </p>
      <p v-for="u in unknown" :key="u.text">
        <strong>{{ unknownWords(u) }}</strong>
      </p>
      <p v-if="labels.length" class="small">
        By the labels of: {{ labels.map((l) => ingredientOf(l.ingredient)?.names[0] ?? 'what nobody knows yet').join(', ') }}.
      </p>
      <p class="small">Baked in a home kitchen that also uses other ingredients. Not certified: ask the baker.</p>
    </article>
    <article v-else class="card panel">
      <header>
        <h1>{{ version.recipe.title }}</h1>
        <p class="version">
          {{ version.name }}<template v-if="asked.length"> · {{ asked.join(', ') }}</template>
        </p>
        <p class="facts">
          <span v-for="t in version.recipe.tins" :key="t.text">{{ t.text }}</span>
          <span v-for="(o, i) in version.recipe.oven" :key="i"
            >{{ o.celsius }} °C{{ o.fan ? ' fan' : '' }}{{ o.minutes ? `, ${[...new Set(o.minutes)].join('–')} min` : '' }}</span
          >
          <span v-if="version.recipe.yield">{{ version.recipe.yield.text }}</span>
        </p>
        <p v-if="bakeWords" class="bake">{{ bakeWords }}</p>
      </header>
      <div class="cols">
        <div>
          <section v-for="(p, i) in version.recipe.parts" :key="i">
            <h2>{{ p.name }}</h2>
            <table>
              <caption class="visually-hidden">
                Amounts for
                {{
                  p.name
                }}
              </caption>
              <thead class="visually-hidden">
                <tr>
                  <th>Ingredient</th>
                  <th>Measure</th>
                  <th>Weight</th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="(l, j) in p.lines" :key="j">
                  <th scope="row">
                    {{ label(l) }}<span v-if="l.prep" class="prep">, {{ l.prep }}</span>
                  </th>
                  <td>{{ measure(l) }}</td>
                  <td class="g">{{ grams(l) || '–' }}</td>
                </tr>
              </tbody>
            </table>
          </section>
        </div>
        <section>
          <h2>Method</h2>
          <ol>
            <li v-for="(s, i) in version.recipe.method" :key="i">{{ s }}</li>
          </ol>
        </section>
      </div>
      <footer>
        <p v-if="cautions.length"><strong>Mind:</strong> {{ cautions.map((c) => c.text).join(' ') }}</p>
        <p v-for="u in unknown" :key="u.text">
          <strong>{{ unknownWords(u) }}</strong> No need is met over it.
        </p>
        <p v-if="labels.length"><strong>Read the label:</strong> {{ labels.map((l) => l.message).join(' ') }}</p>
        <p>
          <strong>Contains</strong>
          {{ allergens.join(', ') || (unknown.length ? 'what is not known' : 'none of the listed allergens, as far as its lines tell') }}.
          Worked out from food tables, not certified: check what you use, and mind crumbs and spoons from other bakes.
        </p>
      </footer>
    </article>
  </div>
</template>

<style scoped>
.card td,
.card th,
.card li,
.plate p {
  overflow-wrap: anywhere;
}
.page {
  display: grid;
  gap: 12px;
  max-width: 980px;
  margin: 0 auto;
}
.tools {
  display: flex;
  gap: 10px;
  justify-content: flex-end;
  flex-wrap: wrap;
}
.tools a {
  margin-right: auto;
}
.card {
  padding: 24px 30px;
}
.faces {
  display: flex;
  gap: 6px;
}
.plate {
  justify-self: center;
  width: min(460px, 100%);
  text-align: center;
  display: grid;
  gap: 10px;
  padding: 26px 28px;
}
.asked {
  color: var(--beet);
  font-size: 1.5rem;
  font-weight: 700;
  line-height: 1.15;
}
h1 {
  font-size: 2.1rem;
}
.version {
  color: var(--beet);
  font-weight: 650;
  font-size: 1.1rem;
  margin-top: 4px;
}
.bake {
  margin-top: 4px;
  font-weight: 650;
}
.facts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  color: var(--quiet);
  margin-top: 4px;
}
.cols {
  display: grid;
  grid-template-columns: 1fr 1.15fr;
  gap: 8px 34px;
  margin: 14px 0;
}
h2 {
  font-size: 1.1rem;
  margin: 10px 0 4px;
}
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 1.06rem;
}
tbody tr {
  border-bottom: 1px solid var(--hair);
}
th,
td {
  text-align: left;
  padding: 6px 0;
  font-weight: 400;
  vertical-align: baseline;
}
tbody th::first-letter {
  text-transform: uppercase;
}
td {
  text-align: right;
  padding-left: 10px;
}
.g {
  font-weight: 700;
  white-space: nowrap;
}
.prep {
  color: var(--quiet);
}
ol {
  list-style: decimal;
  padding-left: 1.4em;
  display: grid;
  gap: 7px;
  font-size: 1.04rem;
}
footer {
  border-top: 2px solid var(--rim);
  padding-top: 10px;
  font-size: 0.9rem;
  display: grid;
  gap: 4px;
}
@media (max-width: 43.75em) {
  .card {
    padding: 16px;
  }
  .cols {
    grid-template-columns: 1fr;
  }
  h1 {
    font-size: 1.6rem;
  }
}
@media print {
  .tools {
    display: none;
  }
  .card {
    border: 0;
    box-shadow: none;
    padding: 0;
    color: #000;
  }
  .plate {
    box-shadow: none;
    color: #000;
    width: 105mm;
  }
}
</style>
