<script setup lang="ts">
import type { Version } from '~/kitchen/database'
import { wordsOf } from '~/kitchen/finder'
import { useShelf } from '~/stores/shelf'

/** Chooses one version of the shelf: from a list, or by typing where the shelf is too full for one. */
const props = defineProps<{ label: string; prompt: string; without?: readonly string[] }>()
const emit = defineEmits<{ pick: [id: string] }>()
const shelf = useShelf()
/** Longer lists nobody reads. */
const LONG = 80
const OFFERED = 24

const nameOf = (v: Version) => `${v.recipe.title} · ${v.name}`
const all = computed(() => shelf.versions.filter((v) => !props.without?.includes(v.id)))
const many = computed(() => all.value.length > LONG)
const listed = computed(() =>
  many.value ? [] : [...all.value].sort((a, b) => a.recipe.title.localeCompare(b.recipe.title) || a.createdAt - b.createdAt),
)

const typed = ref('')
const listId = useId()
const offered = computed(() => {
  const words = wordsOf(typed.value)
  if (!many.value || !words.length) return []
  const found: Version[] = []
  for (const v of all.value) {
    const name = nameOf(v).toLowerCase()
    if (words.every((w) => name.includes(w)) && found.push(v) >= OFFERED) break
  }
  return found
})
function pick(event: Event) {
  const select = event.target as HTMLSelectElement
  emit('pick', select.value)
  select.value = ''
}
function take() {
  const found = offered.value.find((v) => nameOf(v) === typed.value) ?? (offered.value.length === 1 ? offered.value[0] : undefined)
  if (!found) return
  typed.value = ''
  emit('pick', found.id)
}
</script>

<template>
  <select v-if="!many" class="blank" :aria-label="label" @change="pick">
    <option value="" selected disabled>{{ prompt }}</option>
    <option v-for="v in listed" :key="v.id" :value="v.id">{{ nameOf(v) }}</option>
  </select>
  <span v-else class="typed">
    <input v-model="typed" class="blank" type="search" :list="listId" :aria-label="label" :placeholder="prompt" @change="take" />
    <datalist :id="listId">
      <option v-for="v in offered" :key="v.id" :value="nameOf(v)" />
    </datalist>
  </span>
</template>

<style scoped>
.blank {
  max-width: min(100%, 250px);
}
</style>
