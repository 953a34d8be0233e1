<script setup lang="ts">
import type { Version } from '~/kitchen/database'

/** Whose tins, whose finish: the recipe, its version and the way back, with what is set for it beside them. */
defineProps<{ version: Version }>()
</script>

<template>
  <header class="panel head">
    <div>
      <h1>{{ version.recipe.title }}</h1>
      <p class="quiet small">{{ version.name }} · <NuxtLink :to="`/bench/${version.id}`">back to the bench</NuxtLink></p>
    </div>
    <slot />
  </header>
</template>

<style scoped>
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
@media (max-width: 53.75em) {
  /* In the hand the answer comes first. */
  .head {
    order: -2;
  }
}
</style>
