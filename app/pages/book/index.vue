<script setup lang="ts">
import { useKitchen } from '~/stores/kitchen'
import { dateName } from '~/kitchen/dates'
import { useIntersectionObserver } from '@vueuse/core'
import type { Side } from '../../../core/bakebook/compare'
import { SYMPTOMS } from '../../../core/bakebook/symptoms'
import { overall, type Trial } from '../../../core/bakebook/trial'
import { wordsOf } from '~/kitchen/finder'
import { downloadTrials } from '~/kitchen/download-trials'
import { useBook } from '~/stores/book'
import { useShelf } from '~/stores/shelf'

/** Every bake that was written down, and some against each other. */
const book = useBook()
const shelf = useShelf()
const router = useRouter()
const chosen = ref<string[]>([])
const of = ref('')
useHead({ title: 'Bake book · Kind Crumb' })
watch(
  [() => shelf.whole, () => book.loaded],
  ([whole, loaded]) => {
    if (whole && loaded) void book.expectAll()
  },
  { immediate: true },
)
void book.load()

interface Row {
  trial: Trial
  title: string
  version: string
  /** Both, lower case. */
  names: string
  score: number | null
}
const rows = computed<Row[]>(() =>
  book.trials.flatMap((trial) => {
    const v = shelf.versionById(trial.versionId)
    if (!v) return []
    const [title, version] = [v.recipe.title, v.name]
    return [{ trial, title, version, names: `${title}\n${version}`.toLowerCase(), score: overall(trial) }]
  }),
)
const titles = computed(() => [...new Set(rows.value.map((r) => r.title))].sort())
const texts = new WeakMap<Trial, string>()
/** What a bake is found by, beside the names of its cake. */
function noteOf(t: Trial): string {
  let text = texts.get(t)
  if (text === undefined) {
    text = [t.note, ...t.symptoms.map((s) => SYMPTOMS[s])].join('\n').toLowerCase()
    texts.set(t, text)
  }
  return text
}
const search = ref('')
const found = computed(() => {
  const words = wordsOf(search.value)
  return rows.value.filter(
    (r) => (!of.value || r.title === of.value) && words.every((w) => r.names.includes(w) || noteOf(r.trial).includes(w)),
  )
})
/** Rows are made as they are scrolled to: a book of years has thousands. */
const CHUNK = 8
const many = ref(CHUNK)
watch([of, search], () => (many.value = CHUNK))
const shown = computed(() => found.value.slice(0, many.value))
const end = ref<HTMLElement | null>(null)
useIntersectionObserver(end, ([e]) => e?.isIntersecting && (many.value += CHUNK), { rootMargin: '900px' })
async function add(id: string) {
  const v = shelf.versionById(id)
  if (v) await router.push(`/book/${(await book.start(v)).id}`)
}
const day = (ms: number) => dateName(ms, useKitchen().region, false)
/** So many bakes can be looked at side by side. */
const MOST_SIDES = 5
const choose = (id: string) =>
  (chosen.value = chosen.value.includes(id) ? chosen.value.filter((x) => x !== id) : [...chosen.value, id].slice(-MOST_SIDES))

const sides = shallowRef<(Side & { title: string })[]>([])
watch(chosen, async (ids) => {
  const picked = ids.flatMap((id) => rows.value.find((r) => r.trial.id === id) ?? [])
  const metrics = await Promise.all(picked.map((r) => book.metricsOf(r.trial)))
  if (chosen.value !== ids) return
  const several = new Set(picked.map((r) => r.title)).size > 1
  sides.value = picked.map((r, i) => ({
    trial: r.trial,
    metrics: metrics[i]!,
    title: `${several ? `${r.title}, ` : ''}${r.version}, ${day(r.trial.bakedAt)}`,
  }))
})
</script>

<template>
  <div class="book">
    <header class="panel head">
      <h1>Bake book</h1>
      <ElInput v-model="search" type="search" aria-label="Search bakes" placeholder="cake, note, what went wrong" />
      <PickOne v-model="of" label="Bakes of" :of="[{ value: '', label: 'every cake' }, ...titles.map((t) => ({ value: t, label: t }))]" />
      <PickVersion label="Write down a bake" prompt="write down a bake of…" @pick="add" />
      <ElButton v-if="rows.length" @click="downloadTrials(rows)">As a table (CSV)</ElButton>
    </header>
    <p v-if="book.loaded && !rows.length" class="panel">
      Nothing is written down yet. Bake something at the Counter, or pick above what you baked: half a minute is enough.
    </p>
    <div class="two">
      <ol class="panel list" aria-label="Bakes">
        <li v-for="r in shown" :key="r.trial.id" :class="{ chosen: chosen.includes(r.trial.id) }">
          <ElCheckbox
            :model-value="chosen.includes(r.trial.id)"
            :aria-label="`Compare ${r.title}, ${r.version}, ${day(r.trial.bakedAt)}`"
            @change="choose(r.trial.id)"
          />
          <span class="score" :class="{ low: r.score !== null && r.score < 3 }">{{ r.score === null ? '–' : r.score.toFixed(1) }}</span>
          <NuxtLink :to="`/book/${r.trial.id}`" class="what">
            <strong>{{ r.title }}</strong>
            <span class="quiet small"
              >{{ r.version }} · {{ day(r.trial.bakedAt)
              }}<template v-if="r.trial.record.minutes">
                · {{ r.trial.record.minutes }} min<template v-if="r.trial.expected?.minutes">
                  of {{ Math.round(r.trial.expected.minutes) }} expected</template
                ></template
              ></span
            >
            <span v-if="r.trial.symptoms.length" class="small beet">{{ r.trial.symptoms.map((s) => SYMPTOMS[s]).join(', ') }}</span>
            <span v-else-if="r.trial.note" class="small">{{ r.trial.note }}</span>
          </NuxtLink>
          <SymptomPicture v-for="s in r.trial.symptoms.slice(0, 2)" :key="s" :symptom="s" />
        </li>
        <li ref="end" class="end" aria-hidden="true" />
      </ol>
      <section class="panel compare" aria-labelledby="compare-title">
        <h2 id="compare-title">Side by side</h2>
        <p v-if="sides.length < 2" class="quiet">
          Tick two bakes or more, up to five: what differs in the mix, in the baking and on the plate.
        </p>
        <CompareTrials v-else :sides="sides" />
      </section>
    </div>
  </div>
</template>

<style scoped>
.book {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
  padding: 12px 20px;
}
.head h1 {
  font-size: 1.7rem;
  flex: 1;
}
.head > .el-input {
  flex: 0 1 15rem;
  width: auto;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1.35fr) minmax(0, 1fr);
  gap: 12px;
  align-items: start;
}
.list {
  padding: 6px 16px;
}
.list li {
  display: flex;
  gap: 12px;
  align-items: center;
  border-bottom: 1px solid var(--hair);
  padding: 7px 0;
  min-height: 64px;
}
.list .end {
  min-height: 1px;
  padding: 0;
  border-bottom: 0;
}
.chosen {
  background: var(--beet-soft);
}
.score {
  font-family: var(--display);
  font-weight: 800;
  font-size: 1.6rem;
  width: 52px;
  text-align: center;
  flex: none;
}
.score.low {
  color: var(--beet);
}
.what {
  flex: 1;
  min-width: 0;
  display: grid;
  color: var(--ink);
  text-decoration: none;
}
.what:hover strong {
  text-decoration: underline;
}
.list svg {
  width: 48px;
  height: 44px;
  flex: none;
}
.compare {
  min-width: 0;
  position: sticky;
  top: 8px;
  max-height: calc(100vh - 16px);
  overflow-y: auto;
}
@media (max-width: 53.75em) {
  .head h1 {
    flex: 1 0 100%;
  }
  .head > * {
    flex: 1 1 9rem;
    max-width: none;
  }
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
  .compare {
    position: static;
    max-height: none;
    order: -1;
  }
  .list svg {
    display: none;
  }
}
</style>
