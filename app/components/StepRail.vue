<script setup lang="ts">
import { useCounter } from '~/stores/counter'

/** All steps of a bake, where it stands, and the way out of it. */
defineProps<{ at: number; short: (text: string) => string }>()
defineEmits<{ jump: [step: number] }>()
const counter = useCounter()
</script>

<template>
  <nav class="panel rail" aria-label="Steps">
    <h2>{{ counter.version?.recipe.title }}</h2>
    <ol>
      <li v-for="(s, i) in counter.steps" :key="s.id">
        <button
          class="plain"
          type="button"
          :class="{ here: i === at, done: i < at }"
          :aria-current="i === at ? 'step' : undefined"
          @click="$emit('jump', i)"
        >
          <span class="n" aria-hidden="true">{{ i < at ? '✓' : i + 1 }}</span>
          <span>{{ short(s.text) }}</span>
        </button>
      </li>
    </ol>
    <ElButton @click="counter.giveUp()">Stop this bake</ElButton>
  </nav>
</template>

<style scoped>
.rail {
  overflow: auto;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.rail h2 {
  font-size: 1.15rem;
}
.rail ol {
  flex: 1;
}
.rail .plain {
  display: grid;
  grid-template-columns: 26px minmax(0, 1fr);
  gap: 4px;
  width: 100%;
  padding: 8px 8px;
  border-radius: 10px;
}
.rail .here {
  background: var(--spruce-strong);
  color: var(--on-spruce);
  font-weight: 650;
}
.rail .done {
  color: var(--quiet);
}
@media (max-width: 73em) {
  .rail {
    display: none;
  }
}
@media (max-width: 53.75em) {
  /* On a phone it is called for. */
  .rail {
    display: flex;
  }
}
</style>
