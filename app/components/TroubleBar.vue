<script setup lang="ts">
import { downloadAll } from '~/kitchen/download'
import { useKeeping } from '~/stores/keeping'
import { useShelf } from '~/stores/shelf'

const shelf = useShelf()
const keeping = useKeeping()
const message = computed(() => keeping.trouble?.message ?? shelf.trouble)
</script>

<template>
  <div v-if="message" class="trouble look" role="alert">
    <p>{{ message }}</p>
    <ElButton @click="downloadAll(shelf.versions)">Download my recipes</ElButton>
  </div>
  <div v-if="shelf.clashed" class="trouble look" role="status">
    <p>
      “{{ shelf.clashed }}” was changed in another tab at the same moment, in the same place: what was done here stands, all else of both is
      kept.
    </p>
    <ElButton @click="shelf.clashed = ''">Good</ElButton>
  </div>
</template>

<style scoped>
.trouble {
  width: min(1280px, calc(100% - 20px));
  margin: 0 auto 10px;
  display: flex;
  gap: 14px;
  align-items: center;
  justify-content: space-between;
  flex-wrap: wrap;
}
</style>
