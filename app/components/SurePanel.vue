<script setup lang="ts">
import type { Uncertainty } from '../../core/crumb/uncertainty'
import type { Region } from '../../core/measure/region'
import { ingredientOf, nameOf } from '../../core/pantry/pantry'
import { STRIPS } from '~/kitchen/strips'

const props = defineProps<{ sure: Uncertainty; region: Region }>()
const tools = defineModel<'scale' | 'cups' | 'mixed'>('tools', { required: true })

const TOOLS = [
  { id: 'mixed', label: 'as written' },
  { id: 'scale', label: 'all on the scale' },
  { id: 'cups', label: 'cups and spoons' },
] as const
/** Ratios that leave their band in at least one mix of ten, the shakiest first. */
const shaky = computed(() =>
  STRIPS.flatMap((s) => {
    const m = s.key === 'sweetness' ? undefined : props.sure.metrics[s.key]
    return m && m.outside >= 0.1 ? [{ label: s.label, outside: m.outside, from: s.write(m.p5), to: s.write(m.p95) }] : []
  })
    .sort((a, b) => b.outside - a.outside)
    .slice(0, 3),
)
const weigh = computed(() =>
  props.sure.weigh.flatMap((id) => {
    const i = ingredientOf(id)
    return i ? [nameOf(i, props.region)] : []
  }),
)
/** Where this kitchen fills its cup otherwise: what the recipe means, and what as many cups hold here. */
const filled = computed(() =>
  props.sure.filled.flatMap((f) => {
    const i = ingredientOf(f.ingredient)
    return i ? [`${nameOf(i, props.region)}: the recipe means ${f.means} g, as many of your cups hold about ${f.here} g`] : []
  }),
)
const often = (share: number) => (share > 0.9 ? 'nearly always' : `in ${Math.max(1, Math.round(share * 10))} of 10 mixes`)
</script>

<template>
  <section class="panel" aria-labelledby="sure-title">
    <h2 id="sure-title">How sure</h2>
    <div class="tools" role="group" aria-label="Measured">
      <ElButton v-for="t in TOOLS" :key="t.id" class="chip" :aria-pressed="tools === t.id" @click="tools = t.id">
        {{ t.label }}
      </ElButton>
    </div>
    <p v-if="!shaky.length">Measured so, every ratio stays where it is meant to be.</p>
    <ul v-else>
      <li v-for="r in shaky" :key="r.label">
        <strong>{{ r.label }}</strong> leaves its sound range {{ often(r.outside) }}
        <span class="quiet small">({{ r.from }} to {{ r.to }})</span>
      </li>
    </ul>
    <p v-for="f in filled" :key="f" class="look small">{{ f }}.</p>
    <p v-if="weigh.length && tools !== 'scale'" class="look small">Worth weighing: {{ weigh.join(' and ') }}.</p>
  </section>
</template>

<style scoped>
.tools {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
  margin: 10px 0;
}
ul {
  display: grid;
  gap: 4px;
}
.look {
  margin-top: 10px;
}
</style>
