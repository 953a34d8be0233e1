<script setup lang="ts">
import { dateName } from '~/kitchen/dates'
import { useKitchen } from '~/stores/kitchen'
import { useShelf } from '~/stores/shelf'

/** What was taken off the shelf in the last thirty days. */
const shelf = useShelf()
const kitchen = useKitchen()
</script>

<template>
  <details v-if="shelf.bin.length" class="bin">
    <summary>Taken off in the last thirty days ({{ shelf.bin.length }})</summary>
    <ul>
      <li v-for="b in shelf.bin" :key="b.id">
        <span class="what">
          <strong>{{ b.title }}</strong>
          <span class="small">
            {{ b.versions.length === 1 ? 'one version' : `${b.versions.length} versions` }}, {{ dateName(b.at, kitchen.region) }}
          </span>
        </span>
        <span class="acts">
          <ElButton @click="shelf.putBack(b.id)">Put it back</ElButton>
          <ElButton :aria-label="`Throw ${b.title} away for good`" @click="shelf.throwAway(b.id)">Throw away</ElButton>
        </span>
      </li>
    </ul>
  </details>
</template>

<style scoped>
.bin {
  margin-top: 14px;
}
summary {
  min-height: 44px;
  display: inline-flex;
  align-items: center;
  cursor: pointer;
  color: var(--spruce);
  text-decoration: underline;
  text-underline-offset: 3px;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 10px;
  padding: 8px 0;
  border-top: 2px solid var(--rim);
}
.acts {
  display: flex;
  gap: 10px;
}
.what {
  flex: 1 1 14rem;
  display: grid;
}
</style>
