<script setup lang="ts">
import { clockText } from '~/kitchen/timers'
import { useTimers } from '~/stores/timers'

/** What runs in the kitchen, on every screen but the Counter of that bake, which has its own panel. */
const timers = useTimers()
const route = useRoute()
const atItsCounter = (version: string) => route.path === `/counter/${version}`
const shown = computed(() => timers.running.filter((r) => !atItsCounter(r.version)))
const first = computed(() => shown.value[0] ?? null)
const CALLS = { runs: '', look: 'Time to look', over: 'Time is up' } as const
</script>

<template>
  <aside v-if="first" class="strip" :class="{ rings: first.rings }" aria-label="Timers">
    <p class="what">
      <strong v-if="first.rings" role="alert">{{ CALLS[first.state] }}: {{ first.timer.label }}</strong>
      <span v-else>{{ first.timer.label }}</span>
      <span v-if="first.title" class="title"> · {{ first.title }}</span>
    </p>
    <span class="left" role="timer">{{ clockText(first.left) }}</span>
    <span v-if="shown.length > 1" class="more">and {{ shown.length - 1 }} more</span>
    <span class="deeds">
      <template v-if="first.rings">
        <ElButton type="primary" @click="timers.heard(first)">Heard</ElButton>
        <ElButton @click="timers.longer(first, 4)">4 min more</ElButton>
      </template>
      <NuxtLink class="to" :to="`/counter/${first.version}`" aria-label="To the Counter"
        ><span class="toward" aria-hidden="true">To the </span>Counter</NuxtLink
      >
    </span>
  </aside>
</template>

<style scoped>
.strip {
  width: min(1280px, calc(100% - 40px));
  margin: 0 auto 10px;
  padding: 4px 14px;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
  border: 1px solid var(--line);
  border-radius: 12px;
  background: var(--enamel);
}
.what {
  flex: 1 1 12em;
  min-width: 0;
}
.left {
  font-family: var(--display);
  font-weight: 700;
  font-size: 1.35rem;
  font-variant-numeric: tabular-nums;
}
.deeds {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  align-items: center;
}
.to {
  min-height: 44px;
  display: inline-flex;
  align-items: center;
  padding: 0 6px;
  font-weight: 650;
}
.rings {
  background: var(--beet-soft);
  border: 2px solid var(--beet);
}
@media (max-width: 43.75em) {
  .strip {
    width: calc(100% - 20px);
  }
  .title,
  .toward {
    display: none;
  }
}
@media print {
  .strip {
    display: none;
  }
}
</style>
