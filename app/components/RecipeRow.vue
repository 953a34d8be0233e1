<script setup lang="ts">
import IconEgg from '~icons/ph/arrow-right-bold'
import IconTrash from '~icons/ph/trash-bold'
import type { HardNeed } from '../../core/pantry/ingredient'
import type { StoredRecipe, Version } from '~/kitchen/database'
import { NEEDS } from '~/stores/bench'

const props = defineProps<{
  recipe: StoredRecipe
  versions: readonly Version[]
  needs: readonly HardNeed[]
  meets: (v: Version, n: HardNeed) => boolean
}>()
defineEmits<{ remove: [] }>()

const given = computed(() => props.versions[0])
const parts = computed(() => given.value?.recipe.parts.map((p) => p.name.toLowerCase()).join(', ') ?? '')
const facts = computed(() => {
  const r = given.value?.recipe
  if (!r) return []
  return [r.tins.map((t) => t.text).join(', '), r.yield?.text, r.oven[0] && `${r.oven[0].celsius} °C${r.oven[0].fan ? ' fan' : ''}`].filter(
    Boolean,
  )
})
/** What a version meets, in a few words. */
const suits = (v: Version) => NEEDS.filter((n) => props.meets(v, n.id as HardNeed)).map((n) => n.label)
const fits = (v: Version) => props.needs.length > 0 && props.needs.every((n) => props.meets(v, n))
const open = computed(() => given.value?.questions.length ?? 0)
</script>

<template>
  <li class="panel row">
    <div class="head">
      <h3>
        <NuxtLink :to="`/bench/${given?.id}`">{{ recipe.title }}</NuxtLink>
      </h3>
      <p class="quiet small">
        {{ [parts, ...facts].join(' · ') }}<span v-if="given && suits(given).length" class="suits"> · {{ suits(given).join(', ') }}</span>
      </p>
    </div>
    <ElButton class="round" circle text :aria-label="`Take ${recipe.title} off the shelf`" @click="$emit('remove')"><IconTrash /></ElButton>
    <ol class="line" :aria-label="`Versions of ${recipe.title}`">
      <li v-for="(v, i) in versions" :key="v.id">
        <IconEgg v-if="i" class="arrow" aria-hidden="true" />
        <NuxtLink :to="`/bench/${v.id}`" :class="['tag', { changed: i, fits: fits(v) }]" :title="suits(v).join(', ')"
          >{{ v.name }}<span v-if="fits(v)" class="visually-hidden">, fits</span></NuxtLink
        >
      </li>
      <li v-if="open" class="small asks">{{ open }} {{ open === 1 ? 'question' : 'questions' }} to answer</li>
    </ol>
  </li>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: minmax(200px, 1fr) auto auto;
  align-items: center;
  gap: 6px 12px;
  padding: 10px 10px 10px 18px;
}
h3 {
  font-size: 1.3rem;
}
h3 a {
  color: var(--ink);
  text-decoration: none;
}
h3 a:hover {
  text-decoration: underline;
  text-decoration-color: var(--beet);
  text-decoration-thickness: 3px;
}
.suits {
  color: var(--spruce);
}
.line {
  grid-column: 2;
  grid-row: 1;
  justify-content: flex-end;
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}
.line li {
  display: flex;
  align-items: center;
  gap: 6px;
}
.arrow {
  color: var(--quiet);
  font-size: 0.8rem;
}
.tag {
  min-height: 36px;
  padding: 0 12px;
  display: inline-flex;
  align-items: center;
  border-radius: 10px;
  border: 2px solid var(--hair);
  text-decoration: none;
  color: var(--ink);
  font-weight: 600;
  font-size: 0.92rem;
}
.tag.changed {
  border-color: var(--beet);
  background: var(--beet-soft);
  color: var(--beet);
}
.tag.fits {
  box-shadow: 0 0 0 3px var(--sound);
}
.tag:hover {
  text-decoration: underline;
}
.asks {
  background: var(--butter-soft);
  border-radius: 8px;
  padding: 4px 10px;
}
@media (max-width: 43.75em) {
  .row {
    grid-template-columns: 1fr auto;
  }
  .line {
    grid-column: 1 / -1;
    grid-row: 2;
    justify-content: flex-start;
  }
}
</style>
