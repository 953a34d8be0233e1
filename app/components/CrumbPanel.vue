<script setup lang="ts">
import type { CrumbClaim } from '../../core/crumb/predict'
import { STRIPS } from '~/kitchen/strips'

/** What the crumb will be like, how likely, and which ratios say so. */
const props = defineProps<{ claims: readonly CrumbClaim[]; against: string }>()
const MOST = 6
const sure = (c: number) => (c >= 0.75 ? 'nearly sure' : c >= 0.55 ? 'likely' : c >= 0.35 ? 'perhaps' : 'a guess')
const label = (key: string) =>
  key === 'learned' ? 'what your bakes taught' : (STRIPS.find((s) => s.key === key)?.label.toLowerCase() ?? '')
const rows = computed(() =>
  props.claims.slice(0, MOST).map((c) => ({ ...c, sure: sure(c.confidence), by: c.because.map(label).filter(Boolean).join(', ') })),
)
</script>

<template>
  <section class="panel" aria-labelledby="crumb-title">
    <h2 id="crumb-title">
      The crumb <span class="quiet small">{{ against }}</span>
    </h2>
    <ul>
      <li v-for="c in rows" :key="c.trait">
        <strong>{{ c.words }}</strong>
        <span class="bar" aria-hidden="true"><i :style="{ width: `${c.confidence * 100}%` }" /></span>
        <span class="small">{{ c.sure }}</span>
        <span class="small quiet by">{{ c.by ? `from ${c.by}` : '' }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  margin-top: 6px;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1.3fr) 64px 84px minmax(0, 1.2fr);
  gap: 4px 12px;
  align-items: center;
  padding: 5px 0;
  border-bottom: 1px solid var(--hair);
}
li:last-child {
  border-bottom: 0;
}
strong::first-letter {
  text-transform: uppercase;
}
.bar {
  height: 8px;
  border-radius: 4px;
  background: var(--mist);
  overflow: hidden;
}
.bar i {
  display: block;
  height: 100%;
  background: var(--spruce);
}
@media (max-width: 43.75em) {
  li {
    grid-template-columns: minmax(0, 1fr) 64px auto;
  }
  .by {
    grid-column: 1 / -1;
  }
}
</style>
