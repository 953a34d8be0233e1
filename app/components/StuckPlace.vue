<script setup lang="ts">
/** A place that could not be shown: what happened in words, and the ways out. */
const props = defineProps<{ error: unknown; clear: () => void }>()
const route = useRoute()
const detail = computed(() => (props.error instanceof Error ? props.error.message : String(props.error)).slice(0, 300))
async function away() {
  await navigateTo('/')
  props.clear()
}
// Another place is asked for by a link: the trouble stays where it was.
watch(
  () => route.fullPath,
  () => props.clear(),
)
</script>

<template>
  <section class="stuck look" role="alert" aria-labelledby="stuck-title">
    <h1 id="stuck-title">This place could not be shown</h1>
    <p>Something in it is not as it should be. Nothing was changed, and your recipes are kept.</p>
    <p class="quiet small">{{ detail }}</p>
    <p class="ways">
      <ElButton type="primary" @click="away">To the Shelf</ElButton>
      <ElButton @click="clear">Try again</ElButton>
    </p>
  </section>
</template>

<style scoped>
.stuck {
  max-width: 44rem;
  margin: 40px auto;
}
.ways {
  display: flex;
  gap: 12px;
  margin-top: 16px;
}
</style>
