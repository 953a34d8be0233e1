<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { curveMonotoneX, line } from 'd3-shape'
import type { BuildComponent } from '../../core/contract/build'
import { FOR_USE, type Use } from '../../core/finish/firmness'

/** How firm a frosting is from a cold kitchen to a hot one; the band is what its work wants. */
const props = defineProps<{ component: BuildComponent; roomC: number }>()
const WIDTH = 460
const HEIGHT = 200
const AT = { left: 76, right: 14, top: 10, bottom: 26 }
const USE_WORDS: Record<Use, string> = {
  pour: 'pours',
  drip: 'drips',
  spread: 'spreads',
  fill: 'carries',
  pipe: 'pipes',
  whip: 'whips',
  roll: 'rolls',
}
const x = computed(() => scaleLinear([10, 38], [AT.left, WIDTH - AT.right]))
const y = computed(() => scaleLinear([0, 10], [HEIGHT - AT.bottom, AT.top]))
const path = computed(
  () =>
    line<{ celsius: number; score: number }>()
      .x((p) => x.value(p.celsius))
      .y((p) => y.value(p.score))
      .curve(curveMonotoneX)(props.component.curve) ?? '',
)
const band = computed(() => FOR_USE[props.component.use])
const now = computed(() => props.component.firmness?.score ?? 0)
const room = computed(() => Math.max(10, Math.min(38, props.roomC)))
</script>

<template>
  <figure>
    <svg
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      role="img"
      :aria-label="`Firmness of ${component.name} by the warmth of the room; the table after it says the same`"
    >
      <rect :x="AT.left" :width="WIDTH - AT.left - AT.right" :y="y(band[1])" :height="y(band[0]) - y(band[1])" class="band" />
      <text :x="AT.left - 8" :y="y((band[0] + band[1]) / 2)" text-anchor="end" dominant-baseline="central" class="word use">
        {{ USE_WORDS[component.use] }}
      </text>
      <text :x="AT.left - 8" :y="AT.top + 4" text-anchor="end" dominant-baseline="central" class="word">stiff</text>
      <text :x="AT.left - 8" :y="HEIGHT - AT.bottom - 4" text-anchor="end" dominant-baseline="central" class="word">runs</text>
      <text v-for="t in [10, 15, 20, 25, 30, 35]" :key="t" :x="x(t)" :y="HEIGHT - 6" text-anchor="middle" class="word">{{ t }}°</text>
      <path :d="path" class="curve" />
      <line :x1="x(room)" :x2="x(room)" :y1="AT.top" :y2="HEIGHT - AT.bottom" class="room" />
      <circle :cx="x(room)" :cy="y(now)" r="7" class="dot" />
    </svg>
    <div class="visually-hidden">
      <table>
        <caption>
          Firmness of
          {{
            component.name
          }}, 0 runs to 10 a block
        </caption>
        <thead>
          <tr>
            <th>°C</th>
            <th>firmness</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="p in component.curve" :key="p.celsius">
            <td>{{ p.celsius }}</td>
            <td>{{ p.score }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  position: relative;
}
svg {
  width: 100%;
  height: auto;
  max-height: 230px;
  font-size: 13px;
}
.band {
  fill: var(--sound);
  fill-opacity: 0.6;
}
.curve {
  fill: none;
  stroke: var(--spruce);
  stroke-width: 3.5;
}
.room {
  stroke: var(--beet);
  stroke-width: 2;
}
.dot {
  fill: var(--beet);
  stroke: var(--enamel);
  stroke-width: 2.5;
}
.word {
  fill: var(--quiet);
}
.word.use {
  fill: var(--ink);
  font-weight: 650;
}
</style>
