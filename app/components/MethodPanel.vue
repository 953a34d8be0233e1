<script setup lang="ts">
import type { Step } from '../../core/reformulate/method'

defineProps<{ steps: Step[]; oven: { celsius: number; fan: boolean; minutes: [number, number] | null }[] }>()
</script>

<template>
  <section class="panel" aria-labelledby="method-title">
    <h2 id="method-title">Method <span v-if="steps.some((s) => s.changed)" class="quiet small">what changed is marked</span></h2>
    <p v-if="oven.length" class="small quiet">
      Oven
      {{
        oven
          .map(
            (o) =>
              `${o.celsius} °C${o.fan ? ' fan' : ''}${o.minutes ? `, ${o.minutes[0] === o.minutes[1] ? o.minutes[0] : `${o.minutes[0]}–${o.minutes[1]}`} min` : ''}`,
          )
          .join(', then ')
      }}
    </p>
    <ol v-if="steps.length">
      <li v-for="(s, i) in steps" :key="i" :class="{ changed: s.changed }">
        <span class="n">{{ i + 1 }}</span>
        <div>
          <p>{{ s.text }}</p>
          <p v-if="s.changed && s.why" class="small quiet">{{ s.why }}</p>
        </div>
      </li>
    </ol>
    <p v-else class="quiet">The recipe came without a method.</p>
  </section>
</template>

<style scoped>
ol {
  margin-top: 8px;
  display: grid;
  gap: 4px;
}
li {
  display: grid;
  grid-template-columns: 28px 1fr;
  padding: 6px 8px;
  border-radius: 10px;
}
li.changed {
  background: var(--beet-soft);
}
li.changed .quiet {
  color: var(--ink);
}
.n {
  font-family: var(--display);
  font-weight: 700;
  color: var(--quiet);
}
li.changed .n {
  color: var(--beet);
}
</style>
