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
function offer(said: string, show: (found: { value: string; id: string }[]) => void) {
  const words = wordsOf(said)
  const found: { value: string; id: string }[] = []
  for (const v of words.length ? all.value : []) {
    const name = nameOf(v)
    if (words.every((w) => name.toLowerCase().includes(w)) && found.push({ value: name, id: v.id }) >= OFFERED) break
  }
  show(found)
}
function take(id: string) {
  typed.value = ''
  emit('pick', id)
}
</script>

<template>
  <PickOne
    v-if="!many"
    :label="label"
    :prompt="prompt"
    :of="listed.map((v) => ({ value: v.id, label: nameOf(v) }))"
    @update:model-value="emit('pick', $event)"
  />
  <ElAutocomplete
    v-else
    v-model="typed"
    class="typed"
    :fetch-suggestions="offer"
    :aria-label="label"
    :placeholder="prompt"
    @select="take($event.id)"
  />
</template>

<style scoped>
.typed {
  max-width: min(100%, 250px);
}
</style>
