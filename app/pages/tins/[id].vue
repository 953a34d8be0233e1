<script setup lang="ts">
import { numberOf } from '../../../core/language/number'
import { celsiusToFahrenheit, celsiusToGasMark } from '../../../core/measure/temperature'
import { MATERIALS, type Material, type Tin } from '../../../core/recipe/recipe'
import { readTin } from '../../../core/language/tin'
import type { OvenMode } from '../../../core/oven/surroundings'
import { sectionOf } from '../../../core/measure/section'
import { useCupboard } from '~/stores/cupboard'
import { useKitchen } from '~/stores/kitchen'
import { useShelf } from '~/stores/shelf'
import { HOT_MINUTES, HOTTER, useTins, type Tried } from '~/stores/tins'

const route = useRoute()
const router = useRouter()
const shelf = useShelf()
const kitchen = useKitchen()
const cupboard = useCupboard()
const tins = useTins()
const problem = ref('')
const typed = ref('')

const version = computed(() => shelf.versionById(String(route.params.id)))
useHead({ title: () => `${version.value?.recipe.title ?? 'Tins'} · tins · Kind Crumb` })
watch(
  [version, () => shelf.whole],
  ([v]) => {
    if (v) void tins.open(v)
  },
  { immediate: true },
)
watch([() => kitchen.altitudeM, () => kitchen.oven.offsetC, () => cupboard.own], () => void tins.compute())

const MODES: { id: OvenMode; label: string }[] = [
  { id: 'static', label: 'no fan' },
  { id: 'fan', label: 'fan' },
  { id: 'waterbath', label: 'water bath' },
  { id: 'stovetop', label: 'covered pot' },
]
const MATERIAL_WORDS: Record<Material, string> = {
  aluminium: 'bright metal',
  dark: 'dark metal',
  glass: 'glass',
  silicone: 'silicone',
  ceramic: 'ceramic',
}
const STARTS = [
  { label: 'from the fridge', celsius: 5 },
  { label: 'room-warm', celsius: 20 },
  { label: 'warm', celsius: 30 },
]
const one = computed(() => tins.setup?.tins[0])
/** Tins at hand: the recipe's own, then those of the cupboard. */
const offered = computed(() => {
  const seen = new Set<string>()
  return [...(version.value?.recipe.tins ?? []), ...cupboard.tins.map((t) => t.tin)].filter(
    (t) => sectionOf(t) && !seen.has(t.text) && seen.add(t.text),
  )
})
const label = computed(() => tins.setup?.tins.map((t) => t.text).join(' + ') ?? '')
const take = (t: Tin) => tins.change({ tins: [{ ...t }] }, `the tin ${t.text}`)
function type() {
  problem.value = ''
  const found = typed.value
    .split(/[;+]/)
    .map((t) => t.trim())
    .filter(Boolean)
    .map((t) => readTin(t))
  if (!found.length || found.some((t) => !t))
    return void (problem.value = `“${typed.value}” is no tin: write it like 20 cm round x2, 9x13 in or 12 cupcakes.`)
  void tins.change({ tins: found as Tin[] }, `the tin ${typed.value}`)
  typed.value = ''
}
const first = (change: Partial<Tin>) => {
  const [t, ...rest] = tins.setup!.tins
  return tins.change({ tins: [{ ...t!, ...change }, ...rest] }, 'the tin')
}
const depth = (text: string) => {
  const mm = Math.round((numberOf(text) ?? 0) * 10)
  if (mm >= 8 && mm <= 300) void first({ mm: { ...one.value!.mm, height: mm } })
}
const dial = (celsius: number) => {
  const gas = celsiusToGasMark(celsius)
  return `${Math.round(celsiusToFahrenheit(celsius) / 5) * 5} °F, gas ${gas === 0.25 ? '¼' : gas === 0.5 ? '½' : gas}`
}
const many = computed(() => tins.setup?.tins.reduce((n, t) => n + t.count, 0) ?? 1)

const sentence = (t: Tried) => {
  const m = t.bake.minutes
  if (!m) return 'Never done in this oven.'
  return `Look at ${t.bake.firstLook} minutes; done at about ${Math.round(m.best)}.`
}
const detail = (t: Tried) => {
  const m = t.bake.minutes
  if (!m) return t.bake.notes[0]?.message ?? ''
  const s = t.bake.sensitivity
  return `Between ${m.low} and ${m.high}, ${t.bake.doneC} °C in the middle, ${t.bake.browningWords} on top. Ten degrees hotter and it is ${Math.abs(Math.round(s.hotter))} minutes sooner, cooler ${Math.round(s.cooler)} later. ${Math.round(t.bake.waterLossPct)} % goes off as steam.`
}
const warnings = computed(() => [...(tins.now?.fit.warnings ?? []), ...(tins.now?.bake.notes ?? [])])
/** Held beside now: what is different. */
const against = computed(() => {
  const [a, b] = [tins.held, tins.now]
  if (!a || !b) return []
  const row = (what: string, of: (t: Tried) => string) => ({ what, held: of(a), now: of(b) })
  return [
    row('Tins', (t) => t.setup.tins.map((x) => x.text).join(' + ')),
    row('Oven', (t) => `${t.setup.celsius} °C${t.setup.mode === 'fan' ? ' fan' : ''}`),
    row('Batter', (t) => `${Math.round(t.fit.fill[0]!.depthMm)} mm deep`),
    row('Baked', (t) => `${t.fit.fill[0]!.bakedHeightMm} mm high`),
    row('Done', (t) => (t.bake.minutes ? `${t.bake.minutes.low}–${t.bake.minutes.high} min` : 'never')),
    row('Edge waits', (t) => `${Math.round(t.bake.edgeOverbake)} min`),
    row('Top', (t) => t.bake.browningWords),
  ]
})
async function keep() {
  const saved = await tins.keep()
  if (saved) await router.push(`/bench/${saved.id}`)
}
</script>

<template>
  <LostRecipe v-if="!version" :looking="!shelf.whole" />
  <div v-else-if="tins.setup" class="tins">
    <VersionHead :version="version">
      <div class="choice" role="group" aria-label="Tin">
        <ElButton v-for="t in offered" :key="t.text" class="chip" :aria-pressed="t.text === label" @click="take(t)">
          {{ t.text }}
        </ElButton>
        <form @submit.prevent="type">
          <label
            ><span class="visually-hidden">Another tin</span><ElInput v-model="typed" maxlength="80" placeholder="another: 23 cm round x2"
          /></label>
        </form>
      </div>
    </VersionHead>
    <p v-if="problem || tins.refusal" class="look" role="alert">{{ problem || tins.refusal }}</p>

    <div class="work">
      <section class="panel tin" aria-labelledby="tin-title">
        <h2 id="tin-title">
          {{ label }}
          <span v-if="tins.now" class="quiet small">{{
            many > 1 && one?.shape !== 'cupcake' ? `${many} tins, one drawn` : 'to scale'
          }}</span>
        </h2>
        <TinDrawing v-if="tins.now" :tried="tins.now" />
        <p v-if="tins.now" class="facts">
          <span
            ><b>{{ tins.now.fit.fill[0]!.batterGrams }} g</b> in each</span
          >
          <span v-if="tins.now.fit.scale !== 1"
            ><b>×{{ tins.now.fit.scale }}</b> of the recipe</span
          >
          <ElButton
            v-if="tins.now.fit.scale !== 1 || tins.setup.wholeEggs"
            class="chip"
            :aria-pressed="tins.setup.wholeEggs"
            @click="tins.change({ wholeEggs: !tins.setup.wholeEggs })"
          >
            whole eggs
          </ElButton>
          <span v-if="tins.now.fit.leftoverCupcakes"
            ><b>{{ tins.now.fit.leftoverCupcakes }}</b> cupcakes left over</span
          >
        </p>
        <div v-if="one" class="set">
          <PickOne
            :model-value="one.material ?? 'aluminium'"
            label="Made of"
            :of="MATERIALS.map((m) => ({ value: m, label: MATERIAL_WORDS[m] }))"
            @update:model-value="first({ material: $event })"
          />
          <label
            >deep
            <TypedField
              :value="String((sectionOf(one)?.depth ?? 50) / 10)"
              inputmode="decimal"
              aria-label="Depth of the tin, cm"
              @set="depth($event)"
            />
            cm</label
          >
          <ElButton class="chip" :aria-pressed="!!one.loose" @click="first({ loose: !one.loose })">loose base</ElButton>
          <ElButton class="chip" :aria-pressed="tins.setup.lined" @click="tins.change({ lined: !tins.setup.lined })"> lined </ElButton>
          <ElButton class="chip" :aria-pressed="tins.setup.strips" @click="tins.change({ strips: !tins.setup.strips })">
            damp strips
          </ElButton>
          <ElButton class="chip" :aria-pressed="tins.setup.foil" @click="tins.change({ foil: !tins.setup.foil })"> foil over </ElButton>
        </div>
      </section>

      <section class="panel oven" aria-labelledby="oven-title">
        <h2 id="oven-title">
          In the oven
          <span v-if="kitchen.oven.offsetC" class="quiet small"
            >yours runs {{ Math.abs(kitchen.oven.offsetC) }} °C {{ kitchen.oven.offsetC > 0 ? 'hot' : 'cool' }}: counted</span
          >
        </h2>
        <div class="dial">
          <ElSlider
            :min="120"
            :max="240"
            :step="5"
            :show-tooltip="false"
            :model-value="tins.setup.celsius"
            aria-label="Oven temperature, °C"
            :format-value-text="(c: number) => `${c} °C, ${dial(c)}`"
            @input="tins.drag({ celsius: Number($event) })"
          />
          <strong>{{ tins.setup.celsius }} °C</strong> <span class="quiet small">{{ dial(tins.setup.celsius) }}</span>
        </div>
        <div class="set">
          <span class="row" role="group" aria-label="How it heats">
            <ElButton
              v-for="m in MODES"
              :key="m.id"
              class="chip"
              :aria-pressed="tins.setup.mode === m.id"
              @click="tins.change({ mode: m.id })"
            >
              {{ m.label }}
            </ElButton>
          </span>
          <ElButton class="chip thin" :aria-pressed="tins.setup.hotStart" @click="tins.change({ hotStart: !tins.setup.hotStart })">
            {{ HOT_MINUTES }} min at {{ tins.setup.celsius + HOTTER }} first
          </ElButton>
          <span class="row" role="group" aria-label="The batter goes in">
            <ElButton
              v-for="s in STARTS"
              :key="s.label"
              class="chip thin"
              :aria-pressed="tins.setup.startC === s.celsius"
              @click="tins.change({ startC: s.celsius })"
            >
              {{ s.label }}
            </ElButton>
          </span>
        </div>
        <BakeCurves v-if="tins.now" :tried="tins.now" :held="tins.held" />
      </section>
    </div>

    <VerdictFoot v-if="tins.now" stays :headline="sentence(tins.now)" :detail="detail(tins.now)">
      <ElButton :aria-pressed="!!tins.held" @click="tins.held ? tins.letGo() : tins.hold()">
        {{ tins.held ? 'Let the other go' : 'Hold to compare' }}
      </ElButton>
      <ElButton type="primary" @click="keep">Bake it so</ElButton>
    </VerdictFoot>

    <div class="below">
      <section v-if="warnings.length" class="panel" aria-labelledby="watch-title">
        <h2 id="watch-title">Watch out</h2>
        <ul class="watch">
          <li v-for="w in warnings" :key="w.code + w.message">{{ w.message }}</li>
        </ul>
      </section>
      <section v-if="against.length" class="panel" aria-labelledby="against-title">
        <h2 id="against-title">Held, and now</h2>
        <table>
          <thead class="visually-hidden">
            <tr>
              <th>What</th>
              <th>Held</th>
              <th>Now</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="r in against" :key="r.what" :class="{ differs: r.held !== r.now }">
              <th scope="row">{{ r.what }}</th>
              <td>{{ r.held }}</td>
              <td>{{ r.now }}</td>
            </tr>
          </tbody>
        </table>
      </section>
    </div>
  </div>
</template>

<style scoped>
.tins {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}
.choice,
.row,
.set {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}
.choice .el-input {
  width: 210px;
}
.set .el-input {
  width: 84px;
}
.set {
  margin-top: 8px;
  gap: 6px 10px;
}
.work {
  display: grid;
  grid-template-columns: minmax(0, 0.9fr) minmax(0, 1.1fr);
  gap: 12px;
}
.facts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}
.dial {
  display: flex;
  align-items: center;
  gap: 10px;
  margin-top: 6px;
}
.dial strong {
  font-family: var(--display);
  font-size: 1.5rem;
}
.below {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
  align-items: start;
}
.watch {
  display: grid;
  gap: 8px;
  margin-top: 8px;
}
.watch li {
  border-left: 4px solid var(--butter);
  padding-left: 10px;
}
table {
  width: 100%;
  border-collapse: collapse;
  margin-top: 6px;
}
th,
td {
  text-align: left;
  font-weight: 400;
  padding: 5px 8px 5px 0;
  border-bottom: 1px solid var(--hair);
}
.differs td:last-child {
  color: var(--beet);
  font-weight: 650;
}
@media (max-width: 53.75em) {
  .work,
  .below {
    grid-template-columns: minmax(0, 1fr);
  }
  .choice {
    flex-wrap: nowrap;
    overflow-x: auto;
    /* Hidden labels are clipped with the row, not set beside it. */
    position: relative;
    padding-bottom: 6px;
    max-width: calc(100vw - 60px);
  }
  .choice .el-button.el-button.chip {
    flex: none;
  }
}
</style>
