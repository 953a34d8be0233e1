<script setup lang="ts">
import IconX from '~icons/ph/x-bold'
import { clockText, rings, standing, type Timer } from '~/kitchen/timers'

/** Everything that runs by itself, soonest first. */
const props = defineProps<{ timers: Timer[]; now: number }>()
defineEmits<{ stop: [id: string]; longer: [id: string, minutes: number]; heard: [id: string] }>()
const running = computed(() => props.timers.map((t) => standing(t, props.now)).sort((a, b) => a.left - b.left))
const words = { runs: '', look: 'look now', over: 'time' } as const
</script>

<template>
  <section class="panel running" aria-labelledby="running-title">
    <h2 id="running-title">Running</h2>
    <ul>
      <li v-for="r in running" :key="r.timer.id" :class="r.state">
        <span class="label">{{ r.timer.label }}</span>
        <span class="left" role="timer">{{ clockText(r.left) }}</span>
        <span v-if="words[r.state]" class="call">{{ words[r.state] }}</span>
        <span class="track" aria-hidden="true"><span :style="{ width: `${100 * r.share}%` }" /></span>
        <span class="deeds">
          <ElButton v-if="rings(r.timer, now)" class="chip" type="primary" @click="$emit('heard', r.timer.id)">
            Heard<span class="visually-hidden">: {{ r.timer.label }}</span>
          </ElButton>
          <ElButton class="chip" @click="$emit('longer', r.timer.id, 4)">
            <span aria-hidden="true">+4 min</span><span class="visually-hidden">{{ r.timer.label }}: four minutes more</span>
          </ElButton>
          <ElButton class="round" circle text :aria-label="`Stop: ${r.timer.label}`" @click="$emit('stop', r.timer.id)"><IconX /></ElButton>
        </span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 10px;
  align-items: center;
  padding: 8px 0;
  border-bottom: 1px solid var(--hair);
}
li:last-child {
  border-bottom: 0;
}
.label {
  grid-column: 1;
  font-weight: 650;
}
.left {
  grid-column: 1;
  grid-row: 2;
  font-family: var(--display);
  font-weight: 700;
  font-size: 1.5rem;
}
.deeds {
  display: flex;
  align-items: center;
  grid-row: 2;
  grid-column: 2;
}
.track {
  grid-column: 1 / 3;
  grid-row: 3;
  height: 8px;
  border-radius: 4px;
  background: var(--mist);
  overflow: hidden;
}
.track span {
  display: block;
  height: 100%;
  background: var(--spruce);
}
.call {
  grid-column: 2;
  grid-row: 1;
  font-weight: 700;
}
.look {
  border: 0;
  border-radius: 0;
  padding-left: 8px;
  padding-right: 0;
}
.over {
  background: var(--beet-soft);
  padding-left: 8px;
}
</style>
