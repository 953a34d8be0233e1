<script setup lang="ts">
import IconClipboard from '~icons/ph/clipboard-text-bold'
import IconFile from '~icons/ph/file-arrow-up-bold'
import IconSearch from '~icons/ph/magnifying-glass-bold'
import { HARD_NEEDS, suits, type HardNeed } from '../../core/pantry/ingredient'
import { ingredientOf } from '../../core/pantry/pantry'
import { useBringing } from '~/composables/useBringing'
import { NEEDS } from '~/stores/bench'
import { useShelf } from '~/stores/shelf'
import type { Version } from '~/kitchen/database'
import { downloadAll } from '~/kitchen/download'

useHead({ title: 'Shelf · Kind Crumb' })
const shelf = useShelf()
const { bringText, bringFiles, reading } = useBringing()
const pasted = ref('')
const search = ref('')
const need = ref<HardNeed | null>(null)

/** Whether a version meets a need as far as its lines tell; label checks count as met here and are named on the bench. */
const meets = (v: Version, n: HardNeed) =>
  v.recipe.parts.every((p) =>
    p.lines.every((l) => {
      const i = ingredientOf(l.ingredient)
      return !i || suits(i, n) !== 'never'
    }),
  )
const shown = computed(() => {
  const q = search.value.trim().toLowerCase()
  return shelf.recipes.filter((r) => {
    const versions = shelf.versionsOf.get(r.id) ?? []
    if (need.value && !versions.some((v) => meets(v, need.value!))) return false
    return (
      !q ||
      r.title.toLowerCase().includes(q) ||
      versions.some((v) => v.recipe.parts.some((p) => p.lines.some((l) => l.text.toLowerCase().includes(q))))
    )
  })
})
const needs = NEEDS.filter((n) => (HARD_NEEDS as readonly string[]).includes(n.id))

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
      <h1 id="bring">Bring a recipe</h1>
      <p class="quiet">
        Paste it as it is: cups or grams, title, parts, method. Every line is weighed, and you are asked where it is unclear.
      </p>
      <form @submit.prevent="take">
        <label class="visually-hidden" for="paste">Recipe text</label>
        <textarea
          id="paste"
          v-model="pasted"
          rows="9"
          placeholder="Sponge sandwich&#10;225 g butter&#10;225 g caster sugar&#10;4 large eggs&#10;…"
        />
        <div class="actions">
          <button class="push main" type="submit" :disabled="!pasted.trim() || reading">
            <IconClipboard aria-hidden="true" /> {{ reading ? 'Reading…' : 'Read it' }}
          </button>
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
      <p class="quiet small">Or drop a text, a recipe file or a saved web page anywhere on this page.</p>
    </section>

    <section class="rows" aria-labelledby="on-shelf">
      <div class="tools">
        <h2 id="on-shelf">
          On the shelf <span class="quiet">{{ shelf.recipes.length }}</span>
        </h2>
        <label class="search"
          ><IconSearch aria-hidden="true" /><span class="visually-hidden">Search recipes and ingredients</span
          ><input v-model="search" type="search" placeholder="Title or ingredient"
        /></label>
        <div class="needs" role="group" aria-label="Show what somebody can eat">
          <button
            v-for="n in needs"
            :key="n.id"
            class="chip"
            type="button"
            :aria-pressed="need === n.id"
            @click="need = need === n.id ? null : (n.id as HardNeed)"
          >
            {{ n.label }}
          </button>
        </div>
      </div>
      <div v-if="shelf.lastRemoved" class="look undo" role="status">
        “{{ shelf.lastRemoved.recipe.title }}” was taken off the shelf.
        <button class="push" type="button" @click="shelf.restore()">Put it back</button>
      </div>
      <ul v-if="shown.length">
        <RecipeRow
          v-for="r in shown"
          :key="r.id"
          :recipe="r"
          :versions="shelf.versionsOf.get(r.id) ?? []"
          :need="need"
          :meets="meets"
          @remove="shelf.remove(r.id)"
        />
      </ul>
      <p v-else class="panel empty">
        <template v-if="shelf.recipes.length"
          >Nothing on the shelf fits.
          <button class="push" type="button" @click="((search = ''), (need = null))">Show everything</button></template
        >
        <template v-else>The shelf is empty. Paste a recipe on the left to start.</template>
      </p>
      <div v-if="shelf.loaded" class="whole small">
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
textarea {
  width: 100%;
  border: 2px solid var(--hair);
  border-radius: 14px;
  background: var(--mist);
  padding: 12px 14px;
  resize: vertical;
  min-height: 180px;
  line-height: 1.5;
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
.search input {
  border: 0;
  background: none;
  width: 100%;
  outline: none;
  min-height: 38px;
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
@media (max-width: 860px) {
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
