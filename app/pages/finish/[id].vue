<script setup lang="ts">
import { numberOf } from '../../../core/language/number'
import type { Place } from '../../../core/finish/amounts'
import { FINISH_WANTS, type FinishWant } from '../../../core/finish/rework'
import { SOAKS } from '../../../core/finish/soak'
import { ingredientOf, nameOf } from '../../../core/pantry/pantry'
import type { HardNeed } from '../../../core/pantry/ingredient'
import { NEEDS } from '~/stores/bench'
import { PLACE_WORDS, SOAK_WORDS, WANT_WORDS } from '~/kitchen/finish-words'
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
/** Its own soak first, where it has one. */
const soaks = computed(() => [...(version.value?.recipe.parts.some((p) => p.role === 'soak') ? (['own'] as const) : []), ...SOAKS])
const standing = computed(() => (version.value ? standingOf(version.value) : 'stack'))
/** A sheet that is rolled is filled, not covered; a single layer has nothing between. */
const offered = computed(() =>
  PLACES_OF[standing.value].filter(
    (p) => (p !== 'filling' || standing.value !== 'tray' || setup.value?.cut.rolled) && (p !== 'dam' || setup.value?.places.filling),
  ),
)
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
  const n = numberOf(text)
  if (n !== undefined) kitchen.roomC = Math.max(5, Math.min(42, Math.round(n)))
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
</script>

<template>
  <LostRecipe v-if="!version" :looking="!shelf.whole" />
  <div v-else-if="setup" class="finish">
    <VersionHead :version="version">
      <div class="row">
        <label class="dial"
          >Kitchen
          <TypedField :value="String(kitchen.roomC)" inputmode="numeric" aria-label="Warmth of the kitchen, °C" @set="room($event)" />
          °C</label
        >
        <Flap :label="needWords" name="The finish must be" :pressed="finish.needs.length > 0">
          <div class="row">
            <ElButton v-for="n in NEEDS" :key="n.id" class="chip" :aria-pressed="finish.needs.includes(n.id)" @click="need(n.id)">
              {{ n.label }}
            </ElButton>
          </div>
        </Flap>
        <span class="row" role="group" aria-label="For the finish">
          <ElButton v-for="w in FINISH_WANTS" :key="w" class="chip thin" :aria-pressed="setup.wants.includes(w)" @click="want(w)">
            {{ WANT_WORDS[w] }}
          </ElButton>
        </span>
      </div>
    </VersionHead>
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
            v-for="s in soaks"
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
        <FinishControls v-model="selected" :version="version" :setup="setup" :standing="standing" />
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

    <VerdictFoot v-if="build" stays :headline="headline" :detail="detail" :bad="!!worst">
      <ElButton :disabled="!build.components.some((c) => c.recipe)" @click="rescue = true">Gone wrong?</ElButton>
      <ElButton type="primary" @click="shopping = true">To buy</ElButton>
    </VerdictFoot>

    <FinishWork v-if="build" :build="build" />
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
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 8px;
  align-items: center;
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
@media (max-width: 53.75em) {
  .work {
    grid-template-columns: minmax(0, 1fr);
  }
  .places {
    justify-content: flex-start;
  }
}
</style>
