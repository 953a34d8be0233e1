<script setup lang="ts">
/** Said where an address names a recipe that is not here, or not yet. */
defineProps<{ looking?: boolean }>()
</script>

<template>
  <p v-if="looking" class="quiet" role="status">Looking for the recipe…</p>
  <p v-else class="panel lost">
    There is no such recipe on this shelf: it may have been removed, or the link is from another browser.
    <NuxtLink class="push" to="/">To the shelf</NuxtLink>
  </p>
</template>

<style scoped>
.lost {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  align-items: center;
}
</style>
