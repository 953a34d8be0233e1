<script setup lang="ts">
import { useDevice } from '~/stores/device'

/** Says that a newer build waits; never in the middle of a bake. */
const device = useDevice()
const route = useRoute()
const shown = computed(() => device.newer && !route.path.startsWith('/counter'))
</script>

<template>
  <div v-if="shown" class="newer" role="status">
    <p>A newer Kind Crumb is here. Your kitchen stays as it is.</p>
    <ElButton type="primary" @click="device.update()">Take it now</ElButton>
    <ElButton @click="device.newer = false">Later</ElButton>
  </div>
</template>

<style scoped>
.newer {
  width: min(1280px, calc(100% - 20px));
  margin: 0 auto 10px;
  padding: 8px 14px;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
  border: 2px solid var(--rim);
  border-radius: var(--radius-small);
  background: var(--enamel);
}
.newer p {
  flex: 1 1 16rem;
}
@media print {
  .newer {
    display: none;
  }
}
</style>
