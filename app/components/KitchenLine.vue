<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import type { Answers } from '../../core/contract/handle'
import { useActions, type Action } from '~/composables/useActions'
import { useKitchenLine } from '~/composables/useKitchenLine'
import { ask } from '~/kitchen/core'
import { useKitchen } from '~/stores/kitchen'

type Ingredient = Answers['ingredients']['ingredients'][number]

const actions = useActions()
const kitchen = useKitchen()
const open = useKitchenLine()
const keysOpen = ref(false)
const field = ref<HTMLInputElement | null>(null)
const query = ref('')
const at = ref(0)
const found = ref<Ingredient[]>([])
const shown = ref<Ingredient | null>(null)
const MOST = 9
/** The leader of two-key places, and when it was pressed, ms. */
let leader = 0
const LEADER_HOLDS = 1200

const words = (s: string) => s.toLowerCase().split(/\s+/).filter(Boolean)
const hits = computed<Action[]>(() => {
  const q = words(query.value)
  if (!q.length) return actions.value.slice(0, MOST)
  const starts = (a: Action) => (a.label.toLowerCase().startsWith(q.join(' ')) ? 0 : 1)
  return actions.value
    .filter((a) => q.every((w) => a.label.toLowerCase().includes(w)))
    .sort((a, b) => starts(a) - starts(b))
    .slice(0, MOST)
})
const rows = computed(() => [
  ...hits.value.map((a) => ({ key: a.id, label: a.label, about: a.about, keys: a.keys, go: () => run(a) })),
  ...found.value.map((i) => ({ key: `i-${i.id}`, label: i.name, about: 'ingredient', keys: undefined, go: () => (shown.value = i) })),
])

const current = computed(() => rows.value[at.value])

watch(query, async (q) => {
  at.value = 0
  shown.value = null
  if (q.trim().length < 2) {
    found.value = []
    return
  }
  const { ingredients } = await ask('ingredients', { query: q, region: kitchen.region })
  if (q === query.value) found.value = ingredients.slice(0, 4)
})
watch(open, async (now) => {
  if (!now) return
  query.value = ''
  shown.value = null
  // At once, so that a fast typist loses no letter; and again once the dialog has settled its own focus.
  await nextTick()
  field.value?.focus()
})
function run(action: Action) {
  open.value = false
  void action.run()
}
function key(e: KeyboardEvent) {
  const n = rows.value.length
  if (e.key === 'ArrowDown') at.value = (at.value + 1) % Math.max(1, n)
  else if (e.key === 'ArrowUp') at.value = (at.value + n - 1) % Math.max(1, n)
  else if (e.key === 'Enter') rows.value[at.value]?.go()
  else return
  e.preventDefault()
}
useEventListener(document, 'keydown', (e: KeyboardEvent) => {
  if (e.ctrlKey || e.metaKey || e.altKey || (e.target as HTMLElement).closest('input, textarea, select, [role=dialog]')) return
  const soon = Date.now() - leader < LEADER_HOLDS
  const going = soon ? actions.value.find((a) => a.keys === `g ${e.key}`) : undefined
  if (going) going.run()
  else if (e.key === '.') open.value = true
  else if (e.key === '?') keysOpen.value = true
  leader = e.key === 'g' ? Date.now() : 0
  if (e.key === '.' || e.key === '?') e.preventDefault()
})

const KEYS = [
  ['.', 'the kitchen line: recipes, ingredients, everything that can be done'],
  ['?', 'this list'],
  ['g s', 'to the shelf'],
  ['g b', 'to the bench'],
  ['g t', 'to the tins and the oven'],
  ['g f', 'to the finish: fill, soak, frost'],
  ['g d', 'to the clock: plan the day'],
  ['g k', 'to the counter: bake along'],
  ['g o', 'to the bake book'],
  ['g a', 'to the table: many diets, fewest bakes'],
  ['g c', 'to the cupboard'],
  ['Ctrl Z', 'undo, wherever it was done'],
  ['Ctrl Y', 'redo'],
  ['Alt ↑ ↓', 'move the line that is being typed'],
  ['→ ←', 'at the counter: done and on, or back; 1 to 9 tick, t times, r reads it out'],
  ['Enter', 'set a line down and go to the next'],
  ['Esc', 'close what is open'],
] as const
</script>

<template>
  <ElDialog v-model="open" title="Kitchen line" width="min(620px, 94vw)" top="9vh" @opened="field?.focus()">
    <label class="visually-hidden" for="line">Recipe, ingredient or what to do</label>
    <input
      id="line"
      ref="field"
      v-model="query"
      type="text"
      autocomplete="off"
      role="combobox"
      aria-expanded="true"
      aria-controls="line-rows"
      :aria-activedescendant="current ? `line-${current.key}` : undefined"
      placeholder="vegan · blackcurrant · xanthan"
      @keydown="key"
    />
    <ul id="line-rows" role="listbox" aria-label="Found">
      <li
        v-for="(r, i) in rows"
        :id="`line-${r.key}`"
        :key="r.key"
        role="option"
        :aria-selected="i === at"
        @click="r.go()"
        @mousemove="at = i"
      >
        <span class="label">{{ r.label }}</span>
        <span class="small quiet">{{ r.about }}</span>
        <kbd v-if="r.keys">{{ r.keys }}</kbd>
      </li>
    </ul>
    <p v-if="!rows.length" class="quiet">Nothing of that name: try one word of it.</p>
    <IngredientFacts v-if="shown" :ingredient="shown" class="facts" role="status" />
  </ElDialog>
  <ElDialog v-model="keysOpen" title="Keys" width="min(520px, 94vw)">
    <dl>
      <template v-for="[k, what] in KEYS" :key="k">
        <dt>
          <kbd>{{ k }}</kbd>
        </dt>
        <dd>{{ what }}</dd>
      </template>
    </dl>
  </ElDialog>
</template>

<style scoped>
input {
  width: 100%;
  min-height: 52px;
  border: 2px solid var(--rim);
  border-radius: 12px;
  background: var(--enamel);
  padding: 0 14px;
  font-size: 1.15rem;
}
ul {
  margin-top: 10px;
  max-height: 46vh;
  overflow-y: auto;
}
li {
  display: flex;
  gap: 10px;
  align-items: baseline;
  padding: 10px 12px;
  border-radius: 10px;
  cursor: pointer;
}
li[aria-selected='true'] {
  background: var(--beet-soft);
}
.label {
  flex: 1;
  font-weight: 600;
}
kbd {
  font-family: var(--body);
  border: 2px solid var(--hair);
  border-radius: 8px;
  padding: 0 8px;
}
.facts {
  margin-top: 10px;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 10px 16px;
  margin: 0;
  align-items: baseline;
}
dd {
  margin: 0;
}
</style>
