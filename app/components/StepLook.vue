<script setup lang="ts">
import type { CounterStep } from '../../core/counter/steps'
import { useCounter } from '~/stores/counter'

/** What it should look like, and what to do where it does not: by the spoon, with the balance following. */
defineProps<{ step: CounterStep; look: NonNullable<CounterStep['look']> }>()
const counter = useCounter()
const spoons = computed(() => counter.session?.spoons.length ?? 0)
const fluidity = computed(() => counter.moved?.now.metrics.fluidity)
const warned = computed(() =>
  counter.moved
    ? counter.moved.now.findings.filter(
        (f) => f.severity !== 'note' && !counter.moved!.before.findings.some((b) => b.code === f.code && b.severity === f.severity),
      )
    : [],
)
</script>

<template>
  <div class="look should">
    <p>
      <strong>{{ step.kind === 'bake' ? 'Done when:' : 'Should look like:' }}</strong> {{ look.look }}
    </p>
    <p class="small">{{ look.ifNot }}</p>
    <div v-if="step.ready && counter.answer?.spoon" class="spoons">
      <ElButton @click="counter.spoon(1)">+ 1 tbsp {{ counter.answer.spoon.name }}</ElButton>
      <ElButton v-if="spoons" class="chip" @click="counter.spoon(-1)">take one back</ElButton>
      <span v-if="spoons" role="status"
        ><b>{{ spoons }}</b> added<template v-if="spoons > counter.answer.spoon.most">: more than this batter bears</template
        ><template v-if="fluidity !== undefined && counter.moved">
          · flows {{ counter.moved.before.metrics.fluidity?.toFixed(2) }} → {{ fluidity.toFixed(2) }}, moist
          {{ counter.moved.before.metrics.moisture?.toFixed(2) }} → {{ counter.moved.now.metrics.moisture?.toFixed(2) }}</template
        ></span
      >
    </div>
    <p v-for="f in warned" :key="f.code" class="beet">{{ f.message }}</p>
  </div>
</template>

<style scoped>
.should {
  font-size: 1.15rem;
  display: grid;
  gap: 6px;
  margin-top: auto;
}
.should .small {
  font-size: 1rem;
}
.spoons {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
}
</style>
