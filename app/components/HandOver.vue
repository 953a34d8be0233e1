<script setup lang="ts">
import type { Option } from '../../core/reformulate/option'

const props = defineProps<{ option: Option }>()

const JOB_WORDS: Record<string, string> = {
  set: 'Setting',
  moisture: 'Moisture',
  lift: 'Lift',
  emulsify: 'Emulsifying',
  richness: 'Richness',
  sweetness: 'Sweetness',
  tenderness: 'Tenderness',
  browning: 'Browning',
  flavour: 'Flavour',
  body: 'Body',
}
const nameOf = (id: string) =>
  id === 'less-to-hold' ? 'less to hold' : (props.option.lines.find((l) => l.ingredient === id)?.name ?? id.replace(/-/g, ' '))
const jobs = computed(() => {
  const all = [...new Set([...props.option.handover.map((h) => h.job), ...props.option.undone.map((u) => u.job)])]
  return all.map((job) => ({
    job,
    takers: props.option.handover.filter((h) => h.job === job).sort((a, b) => b.amount - a.amount),
    undone: props.option.undone.find((u) => u.job === job)?.share ?? 0,
  }))
})
const pct = (x: number) => `${Math.round(x * 100)} %`
</script>

<template>
  <section class="panel" aria-labelledby="hand-title">
    <h2 id="hand-title">Who takes over <span class="quiet small">what left, job by job</span></h2>
    <ul>
      <li v-for="j in jobs" :key="j.job">
        <strong>{{ JOB_WORDS[j.job] }}</strong>
        <div class="bar" aria-hidden="true">
          <span
            v-for="(t, i) in j.takers"
            :key="t.to"
            :class="['share', `tone-${i % 3}`, { held: t.to === 'less-to-hold' }]"
            :style="{ flexGrow: t.amount }"
            ><span v-if="t.amount > 0.2">{{ nameOf(t.to) }}</span></span
          >
          <span v-if="j.undone" class="share undone" :style="{ flexGrow: j.undone }"><span v-if="j.undone > 0.2">nobody</span></span>
        </div>
        <span class="visually-hidden"
          >{{ j.takers.map((t) => `${nameOf(t.to)} ${pct(t.amount)}`).join(', ') }}{{ j.undone ? `, nobody ${pct(j.undone)}` : '' }}</span
        >
      </li>
    </ul>
    <p v-for="u in option.undone.slice(0, 3)" :key="u.job" class="small quiet">{{ u.message }}.</p>
  </section>
</template>

<style scoped>
h2 {
  font-size: 1.2rem;
}
ul {
  margin: 8px 0;
  display: grid;
  gap: 6px;
}
li {
  display: grid;
  grid-template-columns: 110px 1fr;
  align-items: center;
}
.bar {
  display: flex;
  height: 30px;
  border-radius: 9px;
  overflow: hidden;
  gap: 2px;
}
.share {
  display: grid;
  align-items: center;
  padding: 0 8px;
  font-size: 0.82rem;
  min-width: 0;
  flex-basis: 0;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  color: var(--ink);
}
.share > span {
  overflow: hidden;
  text-overflow: ellipsis;
}
.tone-0 {
  background: var(--thread-beet);
}
.tone-1 {
  background: var(--beet-soft);
}
.tone-2 {
  background: var(--sound);
}
.held {
  background: var(--mist);
}
.undone {
  background: repeating-linear-gradient(135deg, var(--enamel) 0 6px, var(--butter-soft) 6px 12px);
  border: 1px dashed var(--butter);
}
</style>
