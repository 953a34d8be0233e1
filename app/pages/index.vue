<script setup lang="ts">
import IconClipboard from '~icons/ph/clipboard-text-bold'
import IconBox from '~icons/ph/package-bold'
import IconFile from '~icons/ph/file-arrow-up-bold'
import IconSearch from '~icons/ph/magnifying-glass-bold'
import { useIntersectionObserver } from '@vueuse/core'
import { HARD_NEEDS, type HardNeed } from '../../core/pantry/ingredient'
import { useBringing } from '~/composables/useBringing'
import { familyOf, fits, haystack, needsMet, wordsOf } from '~/kitchen/finder'
import { NEEDS } from '~/stores/bench'
import { useCupboard } from '~/stores/cupboard'
import { useHistory } from '~/stores/history'
import { useShelf } from '~/stores/shelf'
import type { StoredRecipe, Version } from '~/kitchen/database'
import { downloadAll } from '~/kitchen/download'

useHead({ title: 'Shelf · Kind Crumb' })
const shelf = useShelf()
const cupboard = useCupboard()
const history = useHistory()
const router = useRouter()
const { bringText, bringFiles, reading, arrived } = useBringing()
const pasted = ref('')
const search = ref('')
const wantedNeeds = ref<HardNeed[]>([])
const toggleNeed = (n: HardNeed) =>
  (wantedNeeds.value = wantedNeeds.value.includes(n) ? wantedNeeds.value.filter((x) => x !== n) : [...wantedNeeds.value, n])
const now = ref(false)
const boxOpen = ref(false)
const removed = ref('')

const bakeable = (v: Version) => {
  const { short, unknown } = cupboard.shortFor(v.recipe)
  return short.length === 0 && unknown === 0
}
const meets = (v: Version, n: HardNeed) => needsMet(v).has(n)
const families = computed(() => shelf.recipes.map((recipe) => ({ recipe, ...familyOf(shelf.versionsOf.get(recipe.id) ?? []) })))
const found = computed(() => {
  const wanted = { words: wordsOf(search.value), needs: wantedNeeds.value, now: now.value }
  return families.value.filter((f) => fits(f, wanted, bakeable))
})
/** Rows are made as they are scrolled to, few at a time: a full shelf has thousands, and no frame waits for more than a screenful. */
const CHUNK = 6
const many = ref(CHUNK)
const shown = computed(() => found.value.slice(0, many.value))
watch([search, wantedNeeds, now], () => (many.value = CHUNK))
/** The words of a full shelf are gathered while nobody waits, so that the first key typed is answered like any other. */
function gather(from = 0) {
  const all = families.value
  requestIdleCallback?.((idle) => {
    let i = from
    while (i < all.length && idle.timeRemaining() > 2) {
      const f = all[i++]!
      f.versions.forEach((v, at) => (f.texts[at] ??= haystack(v)))
    }
    if (i < all.length) gather(i)
  })
}
watch(
  () => shelf.whole,
  (now) => now && gather(),
  { immediate: true },
)
const end = ref<HTMLElement | null>(null)
useIntersectionObserver(end, ([e]) => e?.isIntersecting && (many.value += CHUNK), { rootMargin: '900px' })
const needs = NEEDS.filter((n) => (HARD_NEEDS as readonly string[]).includes(n.id))

async function remove(r: StoredRecipe) {
  await shelf.remove(r.id)
  removed.value = r.title
}
async function putBack() {
  removed.value = ''
  await history.undo()
}
async function fromBox(text: string, boxes: Version['boxes']) {
  const version = await shelf.bringRecipe(text, boxes)
  await router.push(`/bench/${version.id}`)
}
async function take() {
  if (await bringText(pasted.value)) pasted.value = ''
}
function pick(event: Event) {
  const input = event.target as HTMLInputElement
  void bringFiles([...(input.files ?? [])])
  input.value = ''
}
</script>

<template>
  <div class="shelf">
    <section class="panel bring" aria-labelledby="bring">
      <h1 id="bring">Add a recipe</h1>
      <p class="quiet">
        Paste it as it is: cups or grams, title, parts, method. Every line is weighed, and you are asked where it is unclear.
      </p>
      <form @submit.prevent="take">
        <label class="visually-hidden" for="paste">Recipe text</label>
        <ElInput
          id="paste"
          v-model="pasted"
          type="textarea"
          :rows="9"
          placeholder="Sponge sandwich&#10;225 g butter&#10;225 g caster sugar&#10;4 large eggs&#10;…"
        />
        <div class="actions">
          <ElButton type="primary" native-type="submit" :disabled="!pasted.trim() || reading">
            <IconClipboard aria-hidden="true" /> {{ reading ? 'Reading…' : 'Add this recipe' }}
          </ElButton>
          <label class="push file"
            ><IconFile aria-hidden="true" /> Open a file<input
              type="file"
              multiple
              accept=".txt,.md,.json,.jsonld,.html,.htm,text/*,application/json"
              class="visually-hidden"
              @change="pick"
          /></label>
        </div>
      </form>
      <ElButton @click="boxOpen = true"><IconBox aria-hidden="true" /> Start from a box</ElButton>
      <p class="quiet small">
        Or drop texts, recipe files or saved web pages anywhere on this page, many at once. Separate recipes in one text with a line of
        dashes.
      </p>
      <BoxSheet v-model="boxOpen" @start="fromBox" />
    </section>

    <section class="rows" aria-labelledby="on-shelf">
      <div class="tools">
        <h2 id="on-shelf">
          On the shelf
          <span class="quiet">{{
            found.length === shelf.recipes.length ? found.length : `${found.length} of ${shelf.recipes.length}`
          }}</span>
        </h2>
        <label class="search"
          ><IconSearch aria-hidden="true" /><span class="visually-hidden">Search recipes and ingredients</span
          ><ElInput v-model="search" type="search" placeholder="Title or ingredient"
        /></label>
        <div class="needs" role="group" aria-label="Show what somebody can eat">
          <ElButton class="chip" :aria-pressed="now" title="Everything that it wants is in the cupboard" @click="now = !now">
            can bake now
          </ElButton>
          <ElButton
            v-for="n in needs"
            :key="n.id"
            class="chip"
            :aria-pressed="wantedNeeds.includes(n.id as HardNeed)"
            @click="toggleNeed(n.id as HardNeed)"
          >
            {{ n.label }}
          </ElButton>
        </div>
      </div>
      <div v-if="removed" class="look undo" role="status">
        “{{ removed }}” was taken off the shelf.
        <ElButton @click="putBack">Put it back</ElButton>
      </div>
      <p v-if="arrived" class="look undo" role="status">{{ arrived }} recipes are on the shelf, the newest first.</p>
      <ul v-if="shown.length">
        <RecipeRow
          v-for="{ recipe: r, versions } in shown"
          :key="r.id"
          :recipe="r"
          :versions="versions"
          :needs="wantedNeeds"
          :meets="meets"
          @remove="remove(r)"
        />
      </ul>
      <p v-else class="panel empty">
        <template v-if="shelf.recipes.length"
          >Nothing on the shelf fits.
          <ElButton @click="((search = ''), (wantedNeeds = []), (now = false))">Show everything</ElButton></template
        >
        <template v-else>The shelf is empty. Paste a recipe on the left to start.</template>
      </p>
      <div ref="end" aria-hidden="true" />
      <BinList />
      <div v-if="shelf.whole" class="whole small">
        <button v-if="shelf.versions.length" class="plain" type="button" @click="downloadAll(shelf.versions)">Download all recipes</button>
        <button v-if="shelf.untouchedSamples.length" class="plain" type="button" @click="shelf.removeSamples()">
          Take the sample kitchen away
        </button>
        <button v-else class="plain" type="button" @click="shelf.bringSamples()">Bring the sample kitchen</button>
      </div>
    </section>
  </div>
</template>

<style scoped>
.shelf {
  display: grid;
  grid-template-columns: minmax(300px, 400px) 1fr;
  gap: 16px;
  align-items: start;
}
.bring {
  position: sticky;
  top: 10px;
  display: grid;
  gap: 12px;
}
.bring h1 {
  font-size: 1.7rem;
}
:deep(.el-textarea__inner) {
  min-height: 180px;
}
.actions {
  display: flex;
  gap: 10px;
  margin-top: 10px;
  flex-wrap: wrap;
}
.actions .main {
  flex: 1;
}
.file {
  cursor: pointer;
}
.file:focus-within {
  outline: 3px solid var(--beet);
}
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 14px;
  align-items: center;
  margin-bottom: 12px;
}
.tools h2 {
  font-size: 1.4rem;
}
.search {
  flex: 1;
  min-width: 180px;
  display: flex;
  align-items: center;
  gap: 8px;
  border: 2px solid var(--rim);
  border-radius: 12px;
  background: var(--enamel);
  padding: 0 12px;
  min-height: 42px;
}
.search :deep(.el-input__wrapper) {
  min-height: 38px;
  border: 0;
  padding: 0;
  background: none;
  outline: none;
}
.search :deep(.el-input__inner) {
  background: var(--enamel);
}
.search:focus-within {
  outline: 3px solid var(--beet);
}
.needs {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
}
.rows ul {
  display: grid;
  gap: 10px;
}
.whole {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 22px;
  margin-top: 14px;
}
.whole .plain {
  min-height: 44px;
  color: var(--spruce);
  text-decoration: underline;
  text-underline-offset: 3px;
}
.empty,
.undo {
  display: flex;
  gap: 12px;
  align-items: center;
  justify-content: space-between;
  margin-bottom: 10px;
}
@media (max-width: 53.75em) {
  .shelf {
    grid-template-columns: 1fr;
  }
  .bring {
    position: static;
  }
  textarea {
    min-height: 110px;
  }
}
</style>
