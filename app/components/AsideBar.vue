<script setup lang="ts">
import { aside } from '~/kitchen/aside'
import { download } from '~/kitchen/download'
import { database } from '~/kitchen/database'

/** Names what in this kitchen is damaged and was set aside, so that the rest opens. */
const WORDS: Readonly<Record<string, string>> = {
  recipes: 'recipe',
  versions: 'version',
  stock: 'thing in the cupboard',
  own: 'packet of your own',
  tins: 'tin',
  finishes: 'finish',
  steps: 'set of corrected steps',
  days: 'day’s plan',
  sessions: 'bake at the Counter',
  trials: 'page of the bake book',
  photos: 'picture',
  settings: 'setting',
}
const named = (row: unknown): string => {
  const { title, name, recipe } = (typeof row === 'object' && row !== null ? row : {}) as Record<string, unknown>
  const said = [title, (recipe as { title?: unknown } | undefined)?.title, name].find((x) => typeof x === 'string' && x)
  return typeof said === 'string' ? `“${said.slice(0, 60)}”` : ''
}
const list = computed(() => aside.value.map((a) => `${WORDS[a.table] ?? 'record'} ${named(a.row)}`.trim()))
const shown = computed(() => list.value.slice(0, 3).join(', ') + (list.value.length > 3 ? ` and ${list.value.length - 3} more` : ''))
const saved = ref(false)
const failed = ref(false)

function save() {
  download('kind-crumb-set-aside.json', 'application/json', JSON.stringify(aside.value, null, 2))
  saved.value = true
}
async function remove() {
  try {
    for (const a of aside.value) await database.table(a.table).delete(a.key)
    aside.value = []
  } catch {
    failed.value = true
  }
}
</script>

<template>
  <div v-if="list.length" class="aside look" role="alert">
    <p>
      <b>{{ list.length === 1 ? 'One record is damaged' : `${list.length} records are damaged` }}</b> and set aside: {{ shown }}. Everything
      else works. Download {{ list.length === 1 ? 'it' : 'them' }}, or bring an earlier backup in, before you remove anything.
      <template v-if="failed">They could not be removed: this browser’s storage refused.</template>
    </p>
    <ElButton @click="save">Download {{ list.length === 1 ? 'it' : 'them' }}</ElButton>
    <ElButton :disabled="!saved" @click="remove">Remove {{ list.length === 1 ? 'it' : 'them' }}</ElButton>
  </div>
</template>

<style scoped>
.aside {
  width: min(1280px, calc(100% - 20px));
  margin: 0 auto 10px;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 14px;
}
.aside p {
  flex: 1 1 20rem;
}
@media print {
  .aside {
    display: none;
  }
}
</style>
