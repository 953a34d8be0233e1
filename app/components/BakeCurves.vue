<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { line } from 'd3-shape'
import type { CurvePoint } from '../../core/oven/bake'
import type { Tried } from '~/stores/tins'

/** How core, edge and crust warm, with the window in which it is done; a held set-up stands behind it, dashed. */
const props = defineProps<{ tried: Tried; held: Tried | null }>()
const WIDTH = 620
const HEIGHT = 316
const AT = { left: 44, right: 12, top: 14, bottom: 40 }

const longest = computed(() => Math.max(props.tried.bake.curve.at(-1)?.min ?? 30, props.held?.bake.curve.at(-1)?.min ?? 0))
const hottest = computed(() => Math.max(140, ...props.tried.bake.curve.map((p) => p.crust)) + 8)
const x = computed(() => scaleLinear([0, longest.value], [AT.left, WIDTH - AT.right]))
const y = computed(() => scaleLinear([0, hottest.value], [HEIGHT - AT.bottom, AT.top]))
const path = (curve: readonly CurvePoint[], key: 'core' | 'edge' | 'crust') =>
  line<CurvePoint>()
    .x((p) => x.value(p.min))
    .y((p) => y.value(p[key]))(curve as CurvePoint[]) ?? ''
const KEYS = [
  { key: 'crust', label: 'crust' },
  { key: 'edge', label: 'edge' },
  { key: 'core', label: 'middle' },
] as const
const minutes = computed(() => props.tried.bake.minutes)
/** Names at the right end, moved apart where lines meet. */
const labels = computed(() => {
  const last = props.tried.bake.curve.at(-1)
  if (!last) return []
  const rows = KEYS.map((k) => ({ ...k, y: y.value(last[k.key]) })).sort((a, b) => a.y - b.y)
  // The middle's name stands under its line, so only the other two can meet.
  const [above, below] = rows.filter((r) => r.key !== 'core')
  if (above && below) below.y = Math.max(below.y, above.y + 17)
  return rows
})
/** The table behind the chart: every fifth minute. */
const table = computed(() => props.tried.bake.curve.filter((p) => Math.abs(p.min / 5 - Math.round(p.min / 5)) < 0.05))
</script>

<template>
  <figure>
    <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" aria-label="Temperatures in the oven; the table after it says the same">
      <template v-if="minutes">
        <rect
          :x="x(minutes.low)"
          :y="AT.top"
          :width="x(minutes.high) - x(minutes.low)"
          :height="HEIGHT - AT.top - AT.bottom"
          class="window"
        />
        <text :x="(x(minutes.low) + x(minutes.high)) / 2" :y="HEIGHT - AT.bottom - 8" text-anchor="middle" class="done">done</text>
      </template>
      <g class="axis">
        <g v-for="t in y.ticks(5)" :key="`y${t}`">
          <line :x1="AT.left" :x2="WIDTH - AT.right" :y1="y(t)" :y2="y(t)" />
          <text :x="AT.left - 8" :y="y(t)" text-anchor="end" dominant-baseline="central">{{ t }}</text>
        </g>
        <g v-for="t in x.ticks(7)" :key="`x${t}`">
          <text :x="x(t)" :y="HEIGHT - AT.bottom + 18" text-anchor="middle">{{ t }}</text>
        </g>
        <text :x="WIDTH - AT.right" :y="HEIGHT - 4" text-anchor="end">minutes</text>
        <text :x="8" :y="AT.top - 2">°C</text>
      </g>
      <line :x1="AT.left" :x2="WIDTH - AT.right" :y1="y(tried.bake.doneC)" :y2="y(tried.bake.doneC)" class="target" />
      <path v-if="held" :d="path(held.bake.curve, 'core')" class="line core held" />
      <path v-for="k in KEYS" :key="k.key" :d="path(tried.bake.curve, k.key)" :class="['line', k.key]" />
      <text
        v-for="l in labels"
        :key="l.key"
        :x="WIDTH - AT.right - 4"
        :y="l.key === 'core' ? l.y + 20 : l.y - 8"
        text-anchor="end"
        :class="['name', l.key]"
      >
        {{ l.label }}
      </text>
      <g v-if="tried.bake.firstLook" class="look">
        <line :x1="x(tried.bake.firstLook)" :x2="x(tried.bake.firstLook)" :y1="AT.top + 18" :y2="HEIGHT - AT.bottom" />
        <text :x="x(tried.bake.firstLook) - 6" :y="AT.top + 12" text-anchor="middle">look</text>
      </g>
    </svg>
    <div class="visually-hidden">
      <table>
        <caption>
          Temperatures in °C by minute
        </caption>
        <thead>
          <tr>
            <th>minute</th>
            <th>middle</th>
            <th>edge</th>
            <th>crust</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="p in table" :key="p.min">
            <td>{{ p.min }}</td>
            <td>{{ p.core }}</td>
            <td>{{ p.edge }}</td>
            <td>{{ p.crust }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
svg {
  width: 100%;
  height: auto;
  font-size: 13px;
}
.window {
  fill: var(--sound);
  fill-opacity: 0.55;
}
.done {
  fill: var(--ink);
  font-weight: 700;
}
.axis line {
  stroke: var(--hair);
}
.axis text {
  fill: var(--quiet);
}
.target {
  stroke: var(--spruce);
  stroke-width: 1.5;
  stroke-dasharray: 3 4;
}
.line {
  fill: none;
  stroke-width: 3;
  stroke-linejoin: round;
}
.line.core {
  stroke: var(--beet);
  stroke-width: 4;
}
.line.edge {
  stroke: var(--spruce);
}
.line.crust {
  stroke: var(--ink);
  stroke-dasharray: 9 4;
}
.line.held {
  stroke-dasharray: 2 6;
  stroke-width: 3;
  opacity: 0.7;
}
.name {
  font-weight: 700;
  fill: var(--ink);
}
.name.core {
  fill: var(--beet);
}
.name.edge {
  fill: var(--spruce);
}
.look line {
  stroke: var(--butter);
  stroke-width: 4;
}
.look text {
  fill: var(--ink);
  font-weight: 700;
}
</style>
