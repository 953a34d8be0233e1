<script setup lang="ts">
import { KITCHEN_NAMES } from '~/kitchen/region-words'
import { useMediaQuery } from '@vueuse/core'
import { modelOf } from '../../../core/balance/metrics'
import type { OptionLine } from '../../../core/reformulate/option'
import { ownMeasure } from '../../../core/reformulate/lines'
import { ingredientOf, nameOf } from '../../../core/pantry/pantry'
import { inMeasures } from '../../../core/tin/scale'
import { downloadJsonLd, downloadText } from '~/kitchen/download'
import { verdictOf } from '~/kitchen/verdict'
import { NEEDS, useBench } from '~/stores/bench'
import { useCupboard } from '~/stores/cupboard'
import { useKitchen } from '~/stores/kitchen'
import { useShelf } from '~/stores/shelf'

const route = useRoute()
const router = useRouter()
const bench = useBench()
const shelf = useShelf()
const kitchen = useKitchen()
const cupboard = useCupboard()
const missing = ref(false)
/** The mix as lines to type in, and all of it as one text. */
const editing = ref(false)
const asText = ref(false)
const readingOpen = ref(false)
const line = ref(false)
const packet = ref<{ open: boolean; name: string; part: number; line: number }>({ open: false, name: '', part: 0, line: 0 })
const boxOpen = ref(false)
const comparing = ref(false)
const versionsApart = ref(false)
const problem = ref('')
const said = useSaid()
const narrow = useMediaQuery('(max-width: 53.75em)')
const face = ref<'ways' | 'mix' | 'balance' | 'method'>('mix')

async function show() {
  const v = shelf.versionById(String(route.params.id))
  missing.value = shelf.whole && !v
  if (v && bench.version?.id !== v.id) {
    editing.value = false
    await bench.open(v)
  } else if (v) {
    // Back from elsewhere: the kitchen may have moved, and the cupboard filled.
    await bench.follow(v)
    await bench.compute()
  }
}
watch([() => route.params.id, () => shelf.loaded, () => shelf.whole], show, { immediate: true })
watch(
  [() => kitchen.region, () => kitchen.measures, () => kitchen.tools, () => kitchen.altitudeM, () => cupboard.own],
  () => void bench.compute(),
)
watch(
  () => shelf.versionById(String(route.params.id)),
  (v) => v && void bench.follow(v),
)
useHead({ title: () => `${bench.setup.recipe.title || 'Bench'} · Kind Crumb` })

const family = computed(() => shelf.versionsOf.get(bench.version?.recipeId ?? '') ?? [])
const verdict = computed(() => verdictOf(bench.balance, bench.answer, bench.option))
const shownOption = computed(() => (bench.wanted ? bench.option : null))
const given = computed(() =>
  kitchen.measures === 'own' ? bench.setup.recipe : inMeasures(bench.setup.recipe, kitchen.measures, kitchen.region),
)
const givenLines = computed<OptionLine[]>(() =>
  given.value.parts.flatMap((p, partIndex) =>
    p.lines.map((l) => {
      const i = ingredientOf(l.ingredient)
      return {
        part: p.name,
        partIndex,
        ingredient: l.ingredient ?? l.text,
        name: l.named || (i ? nameOf(i, kitchen.region) : l.text),
        from: l.grams.best,
        to: l.grams.best || 0.001,
        kitchen: ownMeasure(l),
        was: ownMeasure(l),
        status: 'kept' as const,
        replaces: [],
        why: [],
      }
    }),
  ),
)
const lines = computed(() => shownOption.value?.lines ?? givenLines.value)
const metrics = computed(() => shownOption.value?.metrics ?? bench.balance?.metrics)
const bands = computed(() => shownOption.value?.bands ?? bench.balance?.bands ?? {})
const familyName = computed(() => {
  const f = shownOption.value?.family ?? bench.balance?.family
  return f ? modelOf(f).title : ''
})
const steps = computed(() => later.value?.method ?? bench.setup.recipe.method.map((text) => ({ text, changed: false, why: '' })))
const labels = computed(() => shownOption.value?.labels ?? [])
const cautions = computed(() => shownOption.value?.cautions ?? bench.balance?.cautions ?? [])
/** What is not the decision itself is drawn after it, a piece in each frame, so that a tap is answered at once. */
const board = useAfter(
  () => ({ metrics: metrics.value, bands: bands.value, before: shownOption.value?.before }),
  1,
  (now) => !now.metrics || !shownOption.value,
)
const ways = useAfter(
  () => bench.options,
  2,
  (now) => now.length === 0,
)
const later = useAfter(() => shownOption.value, 3)
const after = useAfter(() => later.value, 1)
const dirty = computed(() => Boolean(shownOption.value?.lines.some((l) => l.status !== 'kept')))

/** Where the box of this recipe stands, for its label. */
const boxId = computed(
  () => bench.setup.recipe.parts.flatMap((p) => p.lines).find((l) => l.ingredient?.startsWith('cake-mix'))?.ingredient ?? null,
)
const boxLabel = computed(() => bench.setup.boxes.find((b) => b.ingredient === boxId.value) ?? null)
const indefinite = (word: string) => `${/^[aeiou]/i.test(word) ? 'an' : 'a'} ${word}`
/** Lines that nobody knows and that no question is about. */
const hidden = computed(() =>
  (bench.balance?.unknown ?? []).filter(
    (u) => !bench.setup.questions.some((q) => q.about === 'ingredient' && q.part === u.part && q.line === u.line),
  ),
)
function vouchQuestion(i: number) {
  const q = bench.setup.questions[i]
  if (q && q.part !== null && q.line !== null) void guarded(() => bench.vouch(q.part!, q.line!))
}
function describe(name: string, part: number, at: number) {
  packet.value = { open: true, name, part, line: at }
}
/** A described packet is known now: its line is read again. */
async function described() {
  const { part, line: at } = packet.value
  const text = bench.setup.recipe.parts[part]?.lines[at]?.text
  if (text) await guarded(() => bench.editing.line(part, at, text))
}
async function guarded(work: () => Promise<unknown>) {
  problem.value = ''
  try {
    await work()
  } catch (error) {
    problem.value = (error as Error).message
  }
}
async function save(then?: 'card') {
  const option = shownOption.value
  if (!bench.version || !option) return
  const saved = await shelf.saveOption(bench.version, option, bench.setup.goals)
  said.value = `Saved as “${saved.name}”.`
  await router.push(then ? `/card/${saved.id}` : `/bench/${saved.id}`)
}
async function toCard() {
  if (dirty.value) await save('card')
  else await router.push(`/card/${bench.version!.id}`)
}

const FACES = [
  { id: 'mix', label: 'Mix' },
  { id: 'ways', label: 'Ways' },
  { id: 'balance', label: 'Balance' },
  { id: 'method', label: 'Method' },
] as const
const faces = computed(() => FACES.filter((f) => f.id !== 'ways' || bench.options.length))
const visible = (id: (typeof FACES)[number]['id']) => !narrow.value || face.value === id
</script>

<template>
  <LostRecipe v-if="missing" />
  <div v-else-if="bench.version" class="bench">
    <div class="stage">
      <header class="panel head">
        <div class="title">
          <h1>{{ bench.setup.recipe.title }}</h1>
          <nav class="versions small" aria-label="Versions">
            <template v-for="(v, i) in family" :key="v.id">
              <span v-if="i" aria-hidden="true">›</span>
              <NuxtLink
                :to="`/bench/${v.id}`"
                :class="{ here: v.id === bench.version.id }"
                :aria-current="v.id === bench.version.id ? 'true' : undefined"
                >{{ v.name }}</NuxtLink
              >
            </template>
            <button v-if="family.length > 1" class="apart" type="button" @click="versionsApart = true">compare</button>
            <button class="apart" type="button" @click="line = true">names and notes</button>
            <span v-if="bench.version.bakedAt" class="tag">baked: a change makes a new version</span>
            <span v-if="kitchen.altitudeM >= 300" class="tag">at {{ kitchen.altitudeM }} m</span>
            <span v-if="familyName" class="quiet">{{ familyName }}</span>
          </nav>
        </div>
        <div class="needs">
          <div role="group" aria-label="Must be">
            <span class="quiet small" aria-hidden="true">must be</span>
            <ElButton
              v-for="n in NEEDS"
              :key="n.id"
              class="chip"
              :aria-pressed="bench.setup.goals.includes(n.id)"
              @click="bench.toggleGoal(n.id)"
            >
              {{ n.label }}
            </ElButton>
            <WishMenu
              :goals="bench.setup.goals"
              :amount="bench.setup.amount"
              :sweetener="bench.setup.sweetener"
              @toggle="bench.toggleGoal"
              @degree="bench.setDegree"
              @sweetener="bench.setSweetener"
            />
          </div>
        </div>
      </header>

      <p v-if="problem || bench.refusal" class="look" role="alert">{{ problem || bench.refusal }}</p>
      <QuestionList
        v-if="bench.setup.questions.length"
        :questions="bench.setup.questions"
        :recipe="bench.setup.recipe"
        @answer="(i, v) => guarded(() => bench.answerQuestion(i, v))"
        @dismiss="(i) => bench.dismissQuestion(i)"
        @label="describe"
        @remove="(i, to) => guarded(() => bench.removeLine(i, to))"
        @vouch="(i) => vouchQuestion(i)"
      />
      <p v-if="bench.version.source" class="small reading">
        Read as {{ indefinite(KITCHEN_NAMES[bench.setup.recipe.region ?? kitchen.region]) }} recipe.
        <button class="apart" type="button" @click="readingOpen = true">Check what was read</button>
      </p>
      <UnknownLines
        v-if="hidden.length"
        :unknown="hidden"
        :claims="bench.setup.goals.length > 0"
        @vouch="(part, at) => guarded(() => bench.vouch(part, at))"
        @label="(part, at) => describe(bench.setup.recipe.parts[part]?.lines[at]?.named ?? '', part, at)"
      />
      <p v-if="boxId" class="box small">
        <span>{{ boxLabel ? 'Sums follow the label of your box.' : 'A typical box of its kind.' }}</span>
        <ElButton @click="boxOpen = true">{{ boxLabel ? 'Its label' : 'Type its label' }}</ElButton>
        <span v-if="bench.balance?.boxes">{{ bench.balance.boxes.message }}</span>
      </p>

      <div v-if="narrow" class="faces" role="tablist" aria-label="Parts of the bench">
        <button v-for="f in faces" :key="f.id" role="tab" type="button" :aria-selected="face === f.id" @click="face = f.id">
          {{ f.label }}
        </button>
      </div>

      <div class="work" :class="{ deciding: bench.options.length }">
        <MixEditor
          v-if="editing && visible('mix')"
          @done="editing = false"
          @text="asText = true"
          @problem="(m) => (problem = m)"
          @label="describe"
        />
        <MixPanel
          v-else-if="visible('mix')"
          v-model:measures="kitchen.measures"
          :lines="lines"
          :comparing="!!shownOption"
          :pins="bench.setup.pin"
          :avoided="bench.setup.avoid"
          :at-most="bench.setup.atMost"
          :from-cupboard="bench.setup.fromCupboard"
          @limit="bench.limit"
          @cupboard="bench.toggleCupboard"
          @pin="bench.togglePin"
          @avoid="bench.toggleAvoid"
          @edit="editing = true"
        />
        <BalanceBoard
          v-if="board.metrics && visible('balance')"
          :metrics="board.metrics"
          :bands="board.bands"
          :before="board.before"
          :nudge="bench.setup.nudge"
          @tug="bench.tug"
        />
        <WaysPanel
          v-if="ways.length && visible('ways')"
          :options="ways"
          :current="shownOption"
          :busy="bench.busy"
          :tried="bench.progress?.tried ?? 0"
          @stop="bench.stop"
          @try="bench.tryWay"
          @compare="comparing = true"
        />
      </div>

      <div class="below">
        <MethodPanel v-if="visible('method')" :steps="steps" :oven="bench.setup.recipe.oven" />
        <div v-if="visible('method') || !narrow" class="aside">
          <CrumbPanel
            v-if="(later?.crumb ?? bench.balance?.crumb)?.length"
            :claims="later?.crumb ?? bench.balance!.crumb"
            :against="later ? 'against the recipe as given' : 'against what is usual'"
          />
          <HandOver v-if="after?.handover.length" :option="after" />
          <SurePanel v-if="bench.sure" v-model:tools="kitchen.tools" :sure="bench.sure" :region="kitchen.region" />
          <SlicePanel :given="bench.setup.recipe" :changed="shownOption?.recipe ?? null" />
          <section v-if="cautions.length || labels.length" class="panel" aria-labelledby="care-title">
            <h2 id="care-title">Take care</h2>
            <ul class="care">
              <li v-for="l in labels" :key="l.ingredient">{{ l.message }}</li>
              <li v-for="c in cautions" :key="c.code">
                {{ c.text }} <span class="quiet small">Check with {{ c.checkWith }}.</span>
              </li>
            </ul>
          </section>
          <section class="panel" aria-labelledby="out-title">
            <h2 id="out-title">Take it along</h2>
            <div class="out">
              <NuxtLink class="push" :to="`/tins/${bench.version.id}`">Tins and oven</NuxtLink>
              <NuxtLink class="push" :to="`/counter/${bench.version.id}`">Bake it now</NuxtLink>
              <ElButton @click="downloadText(shownOption?.recipe ?? bench.setup.recipe)">As text</ElButton>
              <ElButton @click="downloadJsonLd(shownOption?.recipe ?? bench.setup.recipe)"> As a recipe file </ElButton>
            </div>
          </section>
        </div>
      </div>
    </div>

    <VerdictFoot class="foot" :class="verdict.tone" stays :headline="verdict.headline" :detail="verdict.detail">
      <template v-if="labels.length" #beside>
        <div class="look small labels">
          <strong>{{ labels.length === 1 ? 'Read the label of' : `Read ${labels.length} labels` }}</strong>
          <span>{{ labels.map((l) => ingredientOf(l.ingredient)?.names[0] ?? 'what nobody knows yet').join(', ') }}</span>
        </div>
      </template>
      <ElButton v-if="dirty" @click="save()">Save version</ElButton>
      <ElButton type="primary" @click="toCard">{{ dirty ? 'Save and take the card' : 'Take the card' }}</ElButton>
    </VerdictFoot>

    <PageReading
      v-if="bench.version.source"
      v-model="readingOpen"
      :source="bench.version.source"
      :region="bench.setup.recipe.region ?? kitchen.region"
      @region="(r) => guarded(() => bench.readAs(r))"
    />
    <TextEditor v-model="asText" :recipe="bench.setup.recipe" @save="(t) => guarded(() => bench.retype(t))" />
    <VersionSheet v-model="line" :versions="family" :current="bench.version.id" @compare="versionsApart = true" />
    <PacketSheet v-model="packet.open" :name="packet.name" @saved="described" />
    <BoxSheet
      v-model="boxOpen"
      :given="boxLabel ?? (boxId ? { ingredient: boxId, label: { servingGrams: 43 } } : null)"
      @label="(b) => bench.editing.boxes([...bench.setup.boxes.filter((x) => x.ingredient !== b.ingredient), b])"
    />
    <CompareVersions v-model="versionsApart" :versions="family" :current="bench.version.id" />
    <CompareWays v-model="comparing" :options="bench.options" @try="bench.tryWay" />
  </div>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}
/* On a wide screen the verdict stands between the work and what is read after it. */
.stage {
  display: contents;
}
.bench .foot {
  order: 1;
}
.below {
  order: 2;
}
.head {
  display: flex;
  justify-content: space-between;
  gap: 12px 20px;
  flex-wrap: wrap;
  align-items: center;
  padding: 12px 20px;
}
h1 {
  font-size: 1.75rem;
}
.versions {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
  align-items: center;
  margin-top: 6px;
}
.versions a {
  padding: 4px 10px;
  border-radius: 9px;
  border: 1.5px solid var(--hair);
  color: var(--ink);
  text-decoration: none;
}
.versions a.here {
  border-color: var(--beet);
  background: var(--beet-soft);
  color: var(--beet);
  font-weight: 650;
}
.apart {
  min-height: 30px;
  padding: 0 10px;
  border: 0;
  background: none;
  color: var(--spruce);
  text-decoration: underline;
  text-underline-offset: 3px;
}
.tag {
  padding: 2px 10px;
  border-radius: 9px;
  background: var(--butter-soft);
}
.box {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
}
.box .push,
.box .el-button.el-button {
  min-height: 36px;
  padding: 0 12px;
}
.needs {
  display: flex;
  gap: 10px;
  align-items: center;
}
.needs [role='group'] {
  display: flex;
  gap: 6px;
  align-items: center;
  flex-wrap: wrap;
}
.work {
  display: grid;
  grid-template-columns: 1.2fr 1fr;
  gap: 12px;
}
.work.deciding {
  grid-template-columns: minmax(0, 1.5fr) minmax(0, 1fr) minmax(0, 0.85fr);
}
@media (min-width: 53.8125em) {
  .work {
    height: max(440px, calc(100vh - 346px));
  }
}
.bench .foot :deep(.headline) {
  font-size: 1.18rem;
}
.bench .foot.look,
.bench .foot.stop {
  background: var(--enamel);
  border: 2px solid var(--rim);
}
.bench .foot.look :deep(.headline) {
  text-decoration: underline;
  text-decoration-color: var(--butter);
  text-decoration-thickness: 4px;
  text-underline-offset: 4px;
}
.bench .foot.stop :deep(.headline) {
  color: var(--beet);
}
.bench .foot :deep(.detail) {
  display: -webkit-box;
  -webkit-line-clamp: 2;
  line-clamp: 2;
  -webkit-box-orient: vertical;
  overflow: hidden;
}
/* In full under "Take care". */
.labels {
  max-width: 270px;
}
.labels span {
  display: -webkit-box;
  -webkit-line-clamp: 2;
  line-clamp: 2;
  -webkit-box-orient: vertical;
  overflow: hidden;
}
.labels strong {
  display: block;
}
.below {
  display: grid;
  grid-template-columns: 1.1fr 1fr;
  gap: 12px;
  align-items: start;
}
.aside {
  display: grid;
  gap: 12px;
}
.aside h2 {
  font-size: 1.2rem;
}
/* What is below the fold takes no time of the frame in which the mix is answered. */
.aside > * {
  content-visibility: auto;
  contain-intrinsic-size: auto 260px;
}
.care {
  display: grid;
  gap: 8px;
  margin-top: 8px;
}
.out {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
  margin: 10px 0;
}
.faces {
  display: flex;
  gap: 4px;
  background: var(--mist);
  border-radius: 14px;
  padding: 4px;
}
.faces button {
  flex: 1;
  min-height: 44px;
  border: 0;
  border-radius: 11px;
  background: none;
  font-weight: 650;
}
.faces button[aria-selected='true'] {
  background: var(--spruce-strong);
  color: var(--on-spruce);
}
@media (max-width: 53.75em) {
  /* In the hand the work scrolls and the verdict stays, with nothing hidden behind it. */
  .bench {
    display: flex;
    flex-direction: column;
    height: calc(100dvh - 64px);
    gap: 8px;
  }
  .stage {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    align-content: start;
    gap: 10px;
    flex: 1;
    min-height: 0;
    overflow-y: auto;
    overscroll-behavior: contain;
    padding-bottom: 4px;
  }
  .work,
  .work.deciding,
  .below {
    grid-template-columns: minmax(0, 1fr);
    height: auto;
  }
  .head {
    padding: 12px 14px;
  }
  h1 {
    font-size: 1.4rem;
  }
  .needs {
    width: 100%;
    justify-content: space-between;
    align-items: flex-start;
  }
  .needs [role='group'] > span {
    display: none;
  }
  .steps {
    flex-direction: column;
  }
  .bench .foot {
    order: 1;
    flex: none;
    flex-flow: column nowrap;
    align-items: stretch;
    gap: 8px;
    padding: 10px 14px;
  }
  .labels {
    max-width: none;
  }
  .bench .foot :deep(.words) {
    flex-basis: auto;
  }
  .bench .foot .push,
  .bench .foot .el-button.el-button {
    flex: 1 1 auto;
    min-width: 0;
    padding: 0 12px;
  }
}
@media (max-width: 43.75em) {
  /* The work comes first: how the page was read stands under it. */
  .stage > .reading {
    order: 1;
  }
  .needs :deep(.chip) {
    padding: 0 9px;
    font-size: 0.92rem;
  }
  /* One line: what it comes to, and what to do with it. */
  .bench .foot {
    flex-flow: row wrap;
    align-items: center;
  }
  .bench .foot :deep(.words) {
    flex: 1 1 9rem;
  }
  .bench .foot :deep(.headline) {
    font-size: 1.02rem;
  }
  /* What is sound needs no more words; what is not keeps its own. */
  .bench .foot.sound :deep(.detail) {
    display: none;
  }
  .bench .foot:not(.sound) :deep(.words) {
    flex-basis: 100%;
  }
  .bench .foot :deep(.actions) {
    width: auto;
    flex: 0 1 auto;
  }
}
</style>
