<script setup lang="ts">
import { unknownWords } from '../../core/recipe/unknown'
import type { Unknown } from '../../core/recipe/recipe'

/** Lines whose contents nobody knows, named where a claim would have stood. */
defineProps<{ unknown: readonly Unknown[]; claims: boolean }>()
defineEmits<{ vouch: [part: number, line: number]; label: [part: number, line: number] }>()
</script>

<template>
  <section v-if="unknown.length" class="look" aria-label="What nobody knows">
    <p v-if="claims"><strong>Nothing is promised here for anybody’s need.</strong></p>
    <ul>
      <li v-for="u in unknown" :key="`${u.part}-${u.line}`">
        <span>{{ unknownWords(u) }}</span>
        <ElButton class="chip" @click="$emit('label', u.part, u.line)">Enter its label</ElButton>
        <ElButton class="chip" @click="$emit('vouch', u.part, u.line)">Mine is free of all that matters here</ElButton>
      </li>
    </ul>
  </section>
</template>

<style scoped>
section {
  margin-bottom: 12px;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
  padding: 4px 0;
  overflow-wrap: anywhere;
}
</style>
