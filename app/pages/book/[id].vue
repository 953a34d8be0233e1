<script setup lang="ts">
import { useKitchen } from '~/stores/kitchen'
import { dateName } from '~/kitchen/dates'
import IconTrash from '~icons/ph/trash-bold'
import { MARKS, LEANINGS, type Leaning, type Mark, type Trial } from '../../../core/bakebook/trial'
import { SYMPTOMS, SYMPTOM_CODES, type Symptom } from '../../../core/bakebook/symptoms'
import { useBook } from '~/stores/book'
import { useShelf } from '~/stores/shelf'

/** One bake in the book: how it came out in half a minute, the rest when there is time; and what to try next. */
const route = useRoute()
const router = useRouter()
const book = useBook()
const shelf = useShelf()

void book.load()
const trial = computed(() => book.trialById(String(route.params.id)))
const version = computed(() => (trial.value ? shelf.versionById(trial.value.versionId) : undefined))
useHead({ title: () => `${version.value?.recipe.title ?? 'Bake'} · Bake book · Kind Crumb` })

watch(
  () => [trial.value?.id, version.value?.id],
  () => {
    if (!trial.value || !version.value) return
    void book.diagnose(trial.value.id)
    void book.expectAll()
  },
  { immediate: true },
)
const MARK_WORDS: Record<Mark, string> = { crumb: 'crumb', lift: 'lift', taste: 'taste', stacking: 'stacks', look: 'looks' }
const LEAN_WORDS: Record<Leaning, [string, string, string]> = {
  moisture: ['dry', 'moisture', 'wet'],
  sweetness: ['too little', 'sweetness', 'too sweet'],
}
const change = (next: Partial<Trial>, label: string) => void book.change(String(route.params.id), next, label)
const mark = (m: Mark, n: number) =>
  change({ marks: { ...trial.value!.marks, [m]: trial.value!.marks[m] === n ? undefined : n } }, `a mark for ${m}`)
const lean = (l: Leaning, n: number) => change({ leanings: { ...trial.value!.leanings, [l]: n } }, `how ${l} was`)
const symptom = (s: Symptom) =>
  change(
    { symptoms: trial.value!.symptoms.includes(s) ? trial.value!.symptoms.filter((x) => x !== s) : [...trial.value!.symptoms, s] },
    `“${SYMPTOMS[s]}”`,
  )
const day = (ms: number) => dateName(ms, useKitchen().region)

const found = computed(() => (book.diagnosis?.of === trial.value?.id ? book.diagnosis!.answer : null))
const held = computed(() => {
  const t = trial.value
  const e = t?.expected
  if (!t || !e) return []
  const row = (what: string, expected: number | null | undefined, got: number | undefined, unit: string) =>
    expected == null
      ? []
      : [{ what, expected: `${Math.round(expected)} ${unit}`, got: got === undefined ? '–' : `${Math.round(got)} ${unit}` }]
  const lost =
    t.record.grams?.before && t.record.grams.after
      ? (100 * (t.record.grams.before - t.record.grams.after)) / t.record.grams.before
      : undefined
  return [
    ...row('in the oven', e.minutes, t.record.minutes, 'min'),
    ...row('middle', e.doneC, t.record.coreC, '°C'),
    ...row('height', e.heightMm, t.record.heightMm?.centre, 'mm'),
    ...row('weight lost', e.waterLossPct, lost, '%'),
  ]
})
async function tryIt() {
  const v = await book.tryIt(String(route.params.id))
  if (v) await router.push(`/bench/${v.id}`)
}
async function remove() {
  await book.remove(String(route.params.id))
  await router.push('/book')
}
const print = () => window.print()
</script>

<template>
  <p v-if="book.loaded && shelf.whole && (!trial || !version)" class="panel">
    There is no such bake in this book: it may have been taken out, or the link is from another browser.
    <NuxtLink class="push" to="/book">To the bake book</NuxtLink>
  </p>
  <div v-else-if="trial && version" class="bake">
    <header class="panel head">
      <h1>{{ version.recipe.title }}</h1>
      <p class="quiet">
        <NuxtLink :to="`/bench/${version.id}`">{{ version.name }}</NuxtLink> · {{ day(trial.bakedAt) }}
      </p>
      <span class="deeds">
        <ElButton @click="print">Print this page</ElButton>
        <ElButton class="round" circle text aria-label="Take this bake out of the book" @click="remove"><IconTrash /></ElButton>
      </span>
    </header>
    <div class="two">
      <div class="entry">
        <section class="panel" aria-labelledby="marks-title">
          <h2 id="marks-title">How was it?</h2>
          <div class="marks">
            <div v-for="m in MARKS" :key="m" class="mark" role="group" :aria-label="MARK_WORDS[m]">
              <span>{{ MARK_WORDS[m] }}</span>
              <button
                v-for="n in 5"
                :key="n"
                class="dot"
                type="button"
                :aria-pressed="trial.marks[m] === n"
                :aria-label="`${MARK_WORDS[m]} ${n} of 5`"
                @click="mark(m, n)"
              >
                {{ n }}
              </button>
            </div>
            <div v-for="l in LEANINGS" :key="l" class="mark" role="group" :aria-label="LEAN_WORDS[l][1]">
              <span>{{ LEAN_WORDS[l][1] }}</span>
              <button
                v-for="n in [-2, -1, 0, 1, 2]"
                :key="n"
                class="dot lean"
                type="button"
                :aria-pressed="trial.leanings[l] === n"
                :aria-label="
                  n === 0
                    ? `${LEAN_WORDS[l][1]} just right`
                    : `${Math.abs(n) === 2 ? 'very ' : 'a little '}${n < 0 ? LEAN_WORDS[l][0] : LEAN_WORDS[l][2]}`
                "
                @click="lean(l, n)"
              >
                {{ n === 0 ? 'right' : n === -2 ? LEAN_WORDS[l][0] : n === 2 ? LEAN_WORDS[l][2] : '·' }}
              </button>
            </div>
          </div>
        </section>
        <section class="panel" aria-labelledby="wrong-title">
          <h2 id="wrong-title">What went wrong? <span class="quiet small">nothing, or tap what you see</span></h2>
          <div class="symptoms">
            <button
              v-for="s in SYMPTOM_CODES"
              :key="s"
              type="button"
              class="symptom"
              :aria-pressed="trial.symptoms.includes(s)"
              @click="symptom(s)"
            >
              <SymptomPicture :symptom="s" /><span>{{ SYMPTOMS[s] }}</span>
            </button>
          </div>
        </section>
        <details class="panel more" open>
          <summary><h2>What happened</h2></summary>
          <TrialRecord :trial="trial" />
          <TrialPhotos :trial-id="trial.id" />
        </details>
      </div>
      <aside class="side">
        <section v-if="found?.try" class="panel try" aria-labelledby="try-title">
          <h2 id="try-title">Try this next time</h2>
          <p class="headline">{{ found.try.change }}</p>
          <p class="quiet">{{ found.try.expected }}</p>
          <ul v-if="found.option" class="small">
            <li v-for="l in found.option.lines.filter((x) => x.status !== 'kept')" :key="l.ingredient">
              {{ l.name }}: {{ l.was || 'none' }} → <b class="beet">{{ l.kitchen || 'out' }}</b>
            </li>
          </ul>
          <ElButton v-if="found.option" type="primary" @click="tryIt">Make it a version</ElButton>
        </section>
        <section v-if="found?.causes.length" class="panel" aria-labelledby="why-title" aria-live="polite">
          <h2 id="why-title">Most likely</h2>
          <ol class="causes">
            <li v-for="c in found.causes.slice(0, 4)" :key="c.code">
              <span class="how" :class="c.grade">{{ c.grade }}</span>
              <div>
                <strong>{{ c.words }}</strong>
                <details v-if="c.evidence.length" class="small">
                  <summary>why</summary>
                  <p v-for="e in c.evidence" :key="e.text">{{ e.for ? '+' : '−' }} {{ e.text }}</p>
                </details>
              </div>
            </li>
          </ol>
          <p class="quiet small">
            A guess from what you tapped, the recipe’s ratios and what was written down; it knows no other causes than its list.
          </p>
        </section>
        <section v-else-if="!trial.symptoms.length" class="panel">
          <h2>Nothing went wrong</h2>
          <p class="quiet">Tap what you see of the bake, and the likeliest cause and one thing to try stand here.</p>
        </section>
        <p v-if="book.refusal" class="look" role="alert">{{ book.refusal }}</p>
        <section v-if="held.length" class="panel" aria-labelledby="held-title">
          <h2 id="held-title">Expected and got</h2>
          <table>
            <thead>
              <tr>
                <th scope="col" class="visually-hidden">What</th>
                <th scope="col">expected</th>
                <th scope="col">got</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="h in held" :key="h.what">
                <th scope="row">{{ h.what }}</th>
                <td>{{ h.expected }}</td>
                <td>{{ h.got }}</td>
              </tr>
            </tbody>
          </table>
        </section>
        <NuxtLink class="push" to="/book">To the bake book</NuxtLink>
      </aside>
    </div>
  </div>
  <p v-else class="quiet" role="status">Opening the book…</p>
</template>

<style scoped>
.bake {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  align-items: baseline;
  padding: 12px 20px;
}
.head h1 {
  font-size: 1.7rem;
}
.deeds {
  margin-left: auto;
  display: flex;
  gap: 6px;
  align-items: center;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1.9fr) minmax(0, 1fr);
  gap: 12px;
  align-items: start;
}
.entry,
.side {
  display: grid;
  gap: 12px;
  min-width: 0;
}
.marks {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(310px, 1fr));
  gap: 6px 26px;
  margin-top: 8px;
}
.mark {
  display: grid;
  grid-template-columns: minmax(76px, 1fr) repeat(5, 44px);
  gap: 4px;
  align-items: center;
}
.dot {
  min-height: 44px;
  border: 2px solid var(--hair);
  border-radius: 12px;
  background: var(--enamel);
  font-weight: 650;
  padding: 0;
}
.dot.lean {
  font-size: 0.76rem;
  line-height: 1.05;
}
.dot[aria-pressed='true'] {
  background: var(--spruce-strong);
  border-color: var(--spruce-strong);
  color: var(--on-spruce);
}
.symptoms {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(96px, 1fr));
  gap: 6px;
  margin-top: 8px;
}
.symptom {
  display: grid;
  justify-items: center;
  align-content: start;
  gap: 2px;
  border: 2px solid var(--hair);
  border-radius: 12px;
  background: var(--enamel);
  padding: 6px 4px;
  font-size: 0.85rem;
  line-height: 1.15;
  text-align: center;
}
.symptom[aria-pressed='true'] {
  border-color: var(--beet);
  background: var(--beet-soft);
  font-weight: 650;
}
.more summary {
  cursor: pointer;
}
.more summary h2 {
  display: inline;
}
.try {
  border-color: var(--beet);
  display: grid;
  gap: 8px;
  justify-items: start;
}
.headline {
  font-family: var(--display);
  font-weight: 700;
  font-size: 1.3rem;
  line-height: 1.2;
}
.causes {
  display: grid;
  gap: 10px;
  margin: 10px 0;
}
.causes li {
  display: grid;
  grid-template-columns: 5.2rem minmax(0, 1fr);
  gap: 8px;
}
.how {
  font-family: var(--display);
  font-weight: 700;
  color: var(--quiet);
}
.how.likely {
  color: var(--beet);
}
.how.possible {
  color: var(--ink);
}
table {
  width: 100%;
  border-collapse: collapse;
  margin-top: 6px;
}
th,
td {
  text-align: right;
  padding: 5px 0;
  border-bottom: 1px solid var(--hair);
  font-weight: 400;
}
th[scope='row'] {
  text-align: left;
}
td:last-child {
  font-weight: 700;
}
@media (max-width: 53.75em) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
  .mark {
    grid-template-columns: minmax(60px, 1fr) repeat(5, minmax(0, 44px));
  }
  .marks {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media print {
  .deeds,
  .symptom:not([aria-pressed='true']),
  .side > a {
    display: none;
  }
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
