<script setup lang="ts">
import type { Place, Places } from '../../../core/finish/amounts'
import { FINISH_WANTS, type FinishWant } from '../../../core/finish/rework'
import { SOAKS } from '../../../core/finish/soak'
import { ingredientOf, nameOf } from '../../../core/pantry/pantry'
import type { HardNeed } from '../../../core/pantry/ingredient'
import { NEEDS } from '~/stores/bench'
import { KIND_WORDS, PLACE_WORDS, SOAK_WORDS, WANT_WORDS } from '~/kitchen/finish-words'
import { PLACES_OF, standingOf, USUAL, useFinish } from '~/stores/finish'
import { useCupboard } from '~/stores/cupboard'
import { useKitchen } from '~/stores/kitchen'
import { useShelf } from '~/stores/shelf'

const route = useRoute()
const shelf = useShelf()
const kitchen = useKitchen()
const cupboard = useCupboard()
const finish = useFinish()
const selected = ref<Place | null>(null)
const looked = ref('')
const rescue = ref(false)
const shopping = ref(false)

const version = computed(() => shelf.versionById(String(route.params.id)))
useHead({ title: () => `${version.value?.recipe.title ?? 'Finish'} · finish · Kind Crumb` })
watch(
  [version, () => shelf.whole],
  ([v]) => {
    if (v) void finish.open(v)
  },
  { immediate: true },
)
watch([() => kitchen.roomC, () => cupboard.own, () => kitchen.region], () => void finish.compute())

const setup = computed(() => finish.setup)
const build = computed(() => finish.answer)
const standing = computed(() => (version.value ? standingOf(version.value) : 'stack'))
/** A sheet that is rolled is filled, not covered; a single layer has nothing between. */
const offered = computed(() =>
  PLACES_OF[standing.value].filter(
    (p) => (p !== 'filling' || standing.value !== 'tray' || setup.value?.cut.rolled) && (p !== 'dam' || setup.value?.places.filling),
  ),
)
const kinds = computed(() => [
  ...(version.value?.recipe.parts ?? []).flatMap((p, i) =>
    p.role === 'batter' || p.role === 'crust' || !p.lines.length ? [] : [{ id: `own:${i}`, label: `${p.name} (this recipe)` }],
  ),
  ...Object.entries(KIND_WORDS).map(([id, label]) => ({ id, label })),
])
const main = computed(() => Object.values(setup.value?.places ?? {})[0]?.component ?? 'butter-icing')
const shownComponent = computed(() => {
  const all = build.value?.components ?? []
  const at = selected.value && all.find((c) => c.places.some((p) => p.place === selected.value))
  return all.find((c) => c.component === looked.value) ?? at ?? all[0]
})

function toggle(p: Place) {
  looked.value = ''
  if (setup.value?.places[p]) return void (selected.value = selected.value === p ? null : p)
  selected.value = p
  const component =
    p === 'drip' ? 'ganache' : p === 'wells' ? 'bought:jam' : p === 'filling' && standing.value === 'crepes' ? 'whipped-cream' : main.value
  // A coat goes over the top too: what lay there is part of it now.
  const over = p === 'coat' && setup.value?.places.top?.component === component
  const places = { ...setup.value!.places, [p]: { ...USUAL[p], component } }
  if (over) delete places.top
  void finish.change({ places }, `${PLACE_WORDS[p]} added`)
}
const at = computed(() =>
  selected.value ? (setup.value?.places[selected.value] as Record<string, number | string | undefined> | undefined) : undefined,
)
function set(change: Record<string, number | string>) {
  const p = selected.value
  if (p) void finish.place(p, { ...at.value, ...change } as Places[typeof p], PLACE_WORDS[p])
}
const LIMITS: Record<string, readonly [low: number, high: number]> = { mm: [0.5, 30], nozzleMm: [3, 25], ml: [1, 40], count: [1, 60] }
const NUMBERS = [
  { key: 'mm', label: 'thick, mm' },
  { key: 'nozzleMm', label: 'nozzle, mm' },
  { key: 'ml', label: 'each, ml' },
  { key: 'count', label: 'how many' },
] as const
function number(key: string, text: string) {
  const [low, high] = LIMITS[key]!
  const n = Number(text.replace(',', '.'))
  if (Number.isFinite(n)) set({ [key]: Math.max(low, Math.min(high, n)) })
}
const colours = (n: number) => {
  const p = selected.value
  if (p) void finish.change({ colours: { ...setup.value!.colours, [p]: n } }, 'colours')
}
const cut = (change: object, label: string) => finish.change({ cut: { ...setup.value!.cut, ...change } }, label)
const want = (w: FinishWant) => {
  const now = setup.value!.wants
  void finish.change({ wants: now.includes(w) ? now.filter((x) => x !== w) : [...now, w] }, WANT_WORDS[w])
}
const needWords = computed(
  () =>
    NEEDS.filter((n) => finish.needs.includes(n.id))
      .map((n) => n.label)
      .join(', ') || 'for everybody',
)
const need = (n: HardNeed) => {
  const now = finish.needs
  void finish.change({ needs: now.includes(n) ? now.filter((x) => x !== n) : [...now, n] }, 'what the finish must be')
}
const room = (text: string) => {
  const n = Number(text.replace(',', '.'))
  if (Number.isFinite(n)) kitchen.roomC = Math.max(5, Math.min(42, Math.round(n)))
}

const worst = computed(() => build.value?.findings.find((f) => f.severity === 'fault'))
const careful = computed(() => build.value?.findings.find((f) => f.severity === 'caution' && f.code !== 'keep-cold'))
const headline = computed(() => {
  const b = build.value
  if (!b) return ''
  if (!b.components.length) return 'Nothing on it yet: tap a place.'
  if (worst.value) return 'This will not stand.'
  const left = b.components.find((c) => c.left)
  const spare = left ? ` ${left.left!.grams} g of ${left.name.toLowerCase()} to spare.` : ''
  return careful.value ? `It stands, if you mind one thing.${spare}` : `Enough for all of it.${spare}`
})
const detail = computed(() => {
  const b = build.value
  if (!b) return ''
  const first = worst.value ?? careful.value
  if (first) return first.message
  const softest = b.components.filter((c) => c.holdsToC !== null).sort((m, n) => m.holdsToC! - n.holdsToC!)[0]
  return softest ? `${softest.name} holds up to ${softest.holdsToC} °C; your kitchen has ${kitchen.roomC}.` : 'It holds in any kitchen.'
})
const checks = computed(() => {
  const ids = new Set((build.value?.components ?? []).flatMap((c) => c.labels.filter((l) => l.for.length).map((l) => l.ingredient)))
  return [...ids].filter((id) => !id.startsWith('sugar-')).map((id) => nameOf(ingredientOf(id)!, kitchen.region))
})
const hours = (minutes: number) => (minutes >= 90 ? `${Math.round(minutes / 30) / 2} h` : `${minutes} min`)
const RANKS = { fault: 'must change', caution: 'mind', note: 'good to know' } as const
</script>

<template>
  <p v-if="!version" class="panel">
    {{ shelf.whole ? 'There is no such recipe on this shelf.' : 'Looking for the recipe…' }} <NuxtLink to="/">To the shelf</NuxtLink>
  </p>
  <div v-else-if="setup" class="finish">
    <header class="panel head">
      <div>
        <h1>{{ version.recipe.title }}</h1>
        <p class="quiet small">{{ version.name }} · <NuxtLink :to="`/bench/${version.id}`">back to the bench</NuxtLink></p>
      </div>
      <div class="row">
        <label class="field"
          >Kitchen
          <input
            :value="kitchen.roomC"
            inputmode="numeric"
            aria-label="Warmth of the kitchen, °C"
            @change="room(($event.target as HTMLInputElement).value)"
          />
          °C</label
        >
        <Flap :label="needWords" name="The finish must be" :pressed="finish.needs.length > 0">
          <div class="row">
            <button
              v-for="n in NEEDS"
              :key="n.id"
              class="chip"
              type="button"
              :aria-pressed="finish.needs.includes(n.id)"
              @click="need(n.id)"
            >
              {{ n.label }}
            </button>
          </div>
        </Flap>
        <span class="row" role="group" aria-label="For the finish">
          <button
            v-for="w in FINISH_WANTS"
            :key="w"
            class="chip thin"
            type="button"
            :aria-pressed="setup.wants.includes(w)"
            @click="want(w)"
          >
            {{ WANT_WORDS[w] }}
          </button>
        </span>
      </div>
    </header>
    <p v-if="finish.refusal" class="look" role="alert">{{ finish.refusal }}</p>

    <div class="work">
      <section class="panel build" aria-labelledby="build-title">
        <h2 id="build-title">The build <span class="quiet small">to scale · tap a place</span></h2>
        <BuildDrawing v-if="build" :build="build" :places="setup.places" :selected="selected" @pick="toggle" />
        <div class="row places" role="group" aria-label="Places">
          <button
            v-for="p in offered"
            :key="p"
            class="place"
            type="button"
            :class="{ on: setup.places[p], selected: selected === p }"
            :aria-pressed="!!setup.places[p]"
            @click="toggle(p)"
          >
            {{ PLACE_WORDS[p] }}
          </button>
          <button
            v-for="s in SOAKS"
            :key="s"
            class="place"
            type="button"
            :class="{ on: setup.soak === s }"
            :aria-pressed="setup.soak === s"
            @click="finish.change({ soak: setup.soak === s ? null : s }, SOAK_WORDS[s])"
          >
            {{ SOAK_WORDS[s] }}
          </button>
        </div>
        <div v-if="selected && at" class="row picked" role="group" :aria-label="`The ${PLACE_WORDS[selected]}`">
          <strong>{{ PLACE_WORDS[selected] }}</strong>
          <select
            :value="at.component"
            :aria-label="`What the ${PLACE_WORDS[selected]} is`"
            @change="set({ component: ($event.target as HTMLSelectElement).value })"
          >
            <option v-for="k in kinds" :key="k.id" :value="k.id">{{ k.label }}</option>
          </select>
          <template v-for="n in NUMBERS" :key="n.key">
            <label v-if="at[n.key] !== undefined" class="field"
              ><input
                :value="at[n.key]"
                inputmode="decimal"
                :aria-label="`${PLACE_WORDS[selected]}: ${n.label}`"
                @change="number(n.key, ($event.target as HTMLInputElement).value)"
              />
              {{ n.label }}</label
            >
          </template>
          <label v-if="at.nozzleMm !== undefined && selected !== 'dam'" class="field"
            ><select
              :value="setup.colours[selected] ?? 1"
              aria-label="Colours"
              @change="colours(Number(($event.target as HTMLSelectElement).value))"
            >
              <option :value="1">one colour</option>
              <option :value="2">two halves</option>
              <option :value="3">three colours</option>
            </select></label
          >
          <button
            class="chip thin"
            type="button"
            @click="(finish.place(selected, null, `${PLACE_WORDS[selected]} taken off`), (selected = null))"
          >
            take it off
          </button>
        </div>
        <div v-else class="row picked quiet-row">
          <label v-if="standing === 'stack'" class="field"
            ><select
              :value="setup.cut.split"
              aria-label="Cut each cake into"
              @change="cut({ split: Number(($event.target as HTMLSelectElement).value) }, 'layers')"
            >
              <option :value="1">layers as baked</option>
              <option :value="2">each cut in two</option>
              <option :value="3">each cut in three</option>
            </select></label
          >
          <label v-if="standing === 'stack' || standing === 'tray'" class="field"
            >level off
            <input
              :value="setup.cut.trimMm"
              inputmode="decimal"
              aria-label="Levelled off each top, mm"
              @change="cut({ trimMm: Math.max(0, Math.min(30, Number(($event.target as HTMLInputElement).value) || 0)) }, 'the levelling')"
            />
            mm</label
          >
          <label v-if="standing === 'crepes'" class="field"
            ><input
              :value="build?.tiers[0]?.layers"
              inputmode="numeric"
              aria-label="Sheets in the stack"
              @change="
                cut(
                  { sheets: Math.max(2, Math.min(60, Math.round(Number(($event.target as HTMLInputElement).value)) || 20)) },
                  'the sheets',
                )
              "
            />
            sheets</label
          >
          <button
            v-if="version.recipe.tins[0]?.shape === 'sheet'"
            class="chip thin"
            type="button"
            :aria-pressed="setup.cut.rolled"
            @click="cut({ rolled: !setup.cut.rolled }, 'rolled')"
          >
            rolled up
          </button>
          <label class="field"
            >spare
            <input
              :value="setup.sparePct"
              inputmode="numeric"
              aria-label="Spare, per cent"
              @change="
                finish.change(
                  { sparePct: Math.max(0, Math.min(50, Number(($event.target as HTMLInputElement).value) || 0)) },
                  'what is spare',
                )
              "
            />
            %</label
          >
          <button
            class="chip thin"
            type="button"
            :aria-pressed="setup.wholePackages"
            @click="finish.change({ wholePackages: !setup.wholePackages }, 'whole packages')"
          >
            whole packages
          </button>
        </div>
      </section>

      <div class="side">
        <section class="panel takes" aria-labelledby="takes-title">
          <h2 id="takes-title">What it takes</h2>
          <ul v-if="build">
            <li v-for="c in build.components" :key="c.component" :class="{ here: shownComponent?.component === c.component }">
              <button class="plain" type="button" :aria-pressed="shownComponent?.component === c.component" @click="looked = c.component">
                <span class="what"
                  ><b>{{ c.name }}</b
                  ><span class="quiet small"
                    >{{ c.places.map((p) => `${PLACE_WORDS[p.place]} ${p.grams}`).join(' · ')
                    }}<template v-if="c.made > c.grams"> · spare {{ c.made - c.grams }}</template></span
                  ></span
                >
                <strong class="grams">{{ c.made }} g</strong>
              </button>
            </li>
            <li v-if="build.soak">
              <span class="plain"
                ><span class="what"
                  ><b>{{ build.soak.recipe.title }}</b
                  ><span class="quiet small"
                    >{{ build.soak.pours }} goes · {{ build.soak.hours.min }} h, better {{ build.soak.hours.better }}</span
                  ></span
                ><strong class="grams">{{ build.soak.grams.best }} g</strong></span
              >
            </li>
          </ul>
          <p v-if="build" class="slice small">
            A slice of {{ build.slices }}: <b>{{ build.perSlice.finish.sugars }} g</b> sugar and
            <b>{{ build.perSlice.finish.fat }} g</b> fat from the finish, {{ build.perSlice.cake.sugars }} and
            {{ build.perSlice.cake.fat }} from the cake.
          </p>
        </section>
        <section v-if="shownComponent" class="panel firm" aria-labelledby="firm-title">
          <h2 id="firm-title">{{ shownComponent.name }} <span class="quiet small">firmness by the warmth of the room</span></h2>
          <FirmnessCurve v-if="shownComponent.firmness" :component="shownComponent" :room-c="kitchen.roomC" />
          <p v-else class="quiet">Bought: {{ shownComponent.grams }} g of it.</p>
        </section>
      </div>
    </div>

    <footer v-if="build" class="panel verdict" aria-live="polite" :class="{ bad: worst }">
      <div class="words">
        <p class="headline">{{ headline }}</p>
        <p class="small">{{ detail }}</p>
      </div>
      <div class="actions">
        <button class="push" type="button" :disabled="!build.components.some((c) => c.recipe)" @click="rescue = true">Gone wrong?</button>
        <button class="push main" type="button" @click="shopping = true">To buy</button>
      </div>
    </footer>

    <div v-if="build" class="below">
      <section class="panel" aria-labelledby="mix-title">
        <h2 id="mix-title">To make</h2>
        <article v-for="c in build.components.filter((x) => x.recipe)" :key="c.component" class="recipe">
          <h3>
            {{ c.name }} <span class="quiet small">{{ c.made }} g</span>
          </h3>
          <ul>
            <li v-for="(l, i) in c.recipe!.parts.flatMap((p) => p.lines)" :key="i">{{ l.text }}</li>
          </ul>
          <p v-if="c.reduction" class="small">Boil it down from {{ c.reduction.from }} to {{ c.reduction.to }} g: weigh the pan.</p>
          <p v-for="m in c.recipe!.method" :key="m" class="small">{{ m }}</p>
          <p v-for="m in c.notes" :key="m" class="small">{{ m }}</p>
          <p v-for="m in c.changes" :key="m" class="small changed">{{ m }}</p>
          <p v-if="c.left" class="small">About {{ c.left.grams }} g stay over: it {{ c.left.use }}.</p>
        </article>
        <article v-if="build.soak" class="recipe">
          <h3>
            {{ build.soak.recipe.title }} <span class="quiet small">{{ build.soak.grams.low }} to {{ build.soak.grams.high }} g go in</span>
          </h3>
          <ul>
            <li v-for="(l, i) in build.soak.recipe.parts[0]!.lines" :key="i">{{ l.text }}</li>
          </ul>
          <p v-for="m in [...build.soak.recipe.method, ...build.soak.notes]" :key="m" class="small">{{ m }}</p>
        </article>
      </section>
      <section class="panel" aria-labelledby="order-title">
        <h2 id="order-title">Order of work</h2>
        <ol class="order">
          <li v-for="(s, i) in build.steps" :key="i">
            {{ s.text }} <span v-if="s.wait" class="wait small">{{ s.cold ? 'chill' : 'wait' }} {{ hours(s.wait) }}</span>
          </li>
        </ol>
        <template v-if="build.trimmings">
          <h3>Trimmings, {{ build.trimmings.crumbGrams }} g</h3>
          <p v-for="s in build.trimmings.steps" :key="s" class="small">{{ s }}</p>
        </template>
      </section>
      <section v-if="build.findings.length" class="panel" aria-labelledby="mind-title">
        <h2 id="mind-title">Will it stand?</h2>
        <ul class="watch">
          <li v-for="f in build.findings" :key="f.code + f.message" :class="f.severity">
            <span class="rank small">{{ RANKS[f.severity] }}</span> {{ f.message }}
          </li>
        </ul>
      </section>
    </div>
    <RescueDesk v-if="build" v-model="rescue" :components="build.components" :first="shownComponent?.component" />
    <ShoppingSheet v-if="build" v-model="shopping" :title="version.recipe.title" :needs="build.needs" :checks="checks" />
  </div>
</template>

<style scoped>
.finish {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}
.head {
  display: flex;
  justify-content: space-between;
  gap: 10px 20px;
  flex-wrap: wrap;
  align-items: center;
  padding: 12px 20px;
}
h1 {
  font-size: 1.6rem;
}
h2 {
  font-size: 1.2rem;
}
h3 {
  font-size: 1.02rem;
  margin-top: 10px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 8px;
  align-items: center;
}
.chip.thin {
  font-weight: 500;
}
.field {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
.field input,
.field select,
.picked select {
  min-height: 38px;
  border: 2px solid var(--rim);
  border-radius: 12px;
  background: var(--enamel);
  padding: 0 10px;
}
.field input {
  width: 62px;
  text-align: right;
}
.work {
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr);
  gap: 12px;
}
.side {
  display: grid;
  gap: 12px;
  grid-template-rows: auto 1fr;
}
.places {
  justify-content: center;
  margin-top: 4px;
}
.place {
  min-height: 38px;
  padding: 0 12px;
  border-radius: 12px;
  border: 2px dashed var(--quiet);
  background: none;
  color: var(--ink);
  font-weight: 550;
}
.place.on {
  border: 2px solid var(--spruce-strong);
  background: var(--spruce-strong);
  color: var(--on-spruce);
}
.place.selected {
  border-color: var(--beet);
  background: var(--beet);
  color: var(--on-beet);
}
.picked {
  justify-content: center;
  margin-top: 10px;
  padding-top: 10px;
  border-top: 1px solid var(--hair);
}
.picked select {
  max-width: 210px;
}
.takes li {
  border-bottom: 1px solid var(--hair);
}
.takes .plain {
  width: 100%;
  display: flex;
  justify-content: space-between;
  gap: 12px;
  align-items: baseline;
  padding: 7px 0;
}
.takes li.here .what b {
  color: var(--beet);
}
.what {
  display: grid;
}
.grams {
  font-family: var(--display);
  font-size: 1.15rem;
  white-space: nowrap;
}
.slice {
  margin-top: 8px;
}
.verdict {
  display: flex;
  gap: 16px;
  align-items: center;
  position: sticky;
  bottom: 8px;
  z-index: 5;
  padding: 12px 18px;
}
.verdict.bad {
  background: var(--butter-soft);
}
.words {
  flex: 1;
  min-width: 0;
}
.headline {
  font-family: var(--display);
  font-weight: 700;
  font-size: 1.3rem;
  line-height: 1.2;
}
.actions {
  display: flex;
  gap: 10px;
}
.below {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(320px, 100%), 1fr));
  gap: 12px;
  align-items: start;
}
.recipe ul {
  margin: 4px 0 6px;
}
.recipe p {
  margin-top: 3px;
}
.changed {
  color: var(--beet);
}
.order {
  list-style: decimal;
  display: grid;
  gap: 8px;
  padding-left: 1.5em;
  margin-top: 8px;
}
.wait {
  white-space: nowrap;
  border: 1px solid var(--rim);
  border-radius: 8px;
  padding: 0 6px;
}
.watch {
  display: grid;
  gap: 8px;
  margin-top: 8px;
}
.watch li {
  border-left: 4px solid var(--hair);
  padding-left: 10px;
}
.watch li.caution {
  border-color: var(--butter);
}
.watch li.fault {
  border-color: var(--beet);
}
.rank {
  display: block;
  color: var(--quiet);
}
@media (max-width: 53.75em) {
  .work {
    grid-template-columns: minmax(0, 1fr);
  }
  .head {
    order: -2;
  }
  .verdict {
    order: -1;
    flex-wrap: wrap;
    position: static;
  }
  .words {
    flex-basis: 100%;
  }
  .actions {
    width: 100%;
  }
  .actions .push {
    flex: 1;
  }
  .places,
  .picked {
    justify-content: flex-start;
  }
}
</style>
