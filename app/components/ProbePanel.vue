<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { line } from 'd3-shape'
import type { CorePoint, Pace } from '../../core/counter/probe'
import { simulatedProbe, type Stop } from '~/kitchen/devices'

/** The middle of the cake as the probe reads it, on the curve that was expected. */
const props = defineProps<{
  curve: CorePoint[]
  doneC: number
  minutes: { low: number; best: number; high: number }
  /** When it went in, ms since 1970. */
  began: number
  probe: { speed: number; readings: CorePoint[] } | null
  pace: Pace | null
}>()
const emit = defineEmits<{ start: [speed: number]; stop: []; read: [r: CorePoint] }>()
const device = simulatedProbe
const away = ref(false)
let stop: Stop | null = null
watch(
  [() => props.probe?.speed, () => props.began] as const,
  ([speed, began]) => {
    stop?.()
    stop = null
    if (!speed) return
    away.value = false
    stop = device.watch(
      { curve: props.curve, began, speed },
      (r) => emit('read', r),
      () => (away.value = true),
    )
  },
  { immediate: true },
)
onBeforeUnmount(() => stop?.())

const WIDTH = 320
const HEIGHT = 190
const AT = { left: 34, right: 8, top: 12, bottom: 26 }
const last = computed(() => props.probe?.readings.at(-1) ?? null)
const longest = computed(() => Math.max(props.minutes.high + 4, Math.min(last.value?.min ?? 0, props.minutes.high * 2)))
const x = computed(() => scaleLinear([0, longest.value], [AT.left, WIDTH - AT.right]))
const y = scaleLinear([10, 105], [HEIGHT - AT.bottom, AT.top])
const path = (points: readonly CorePoint[]) =>
  line<CorePoint>()
    .x((p) => x.value(p.min))
    .y((p) => y(p.core))(points.filter((p) => p.min <= longest.value) as CorePoint[]) ?? ''
const left = computed(() => (props.pace?.doneAt != null && last.value ? props.pace.doneAt - last.value.min : null))
const words = computed(() => {
  if (!last.value) return ''
  if (last.value.core >= props.doneC) return 'The middle is there. Look, and take it out.'
  if (left.value === null) return 'Too early to tell.'
  const ahead = Math.round(props.minutes.best - props.pace!.doneAt!)
  const than = Math.abs(ahead) < 1 ? 'as expected' : `${Math.abs(ahead)} min ${ahead > 0 ? 'sooner' : 'later'} than expected`
  return `About ${Math.max(0, Math.round(left.value))} min more, ${than}.`
})
</script>

<template>
  <section class="panel" aria-labelledby="probe-title">
    <h2 id="probe-title">In the middle <span v-if="device.simulated" class="quiet small">stand-in probe</span></h2>
    <template v-if="props.probe">
      <p class="reads" role="status">
        <b>{{ last ? `${last.core.toFixed(0)} °C` : '–' }}</b> <span class="quiet">of {{ Math.round(doneC) }}</span>
      </p>
      <p>{{ words }}</p>
      <svg
        :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
        role="img"
        :aria-label="`Middle of the cake: ${last ? `${last.core} °C after ${Math.round(last.min)} minutes` : 'nothing read yet'}; expected done at ${Math.round(minutes.best)} minutes`"
      >
        <rect
          :x="x(minutes.low)"
          :y="AT.top"
          :width="x(minutes.high) - x(minutes.low)"
          :height="HEIGHT - AT.top - AT.bottom"
          class="window"
        />
        <line :x1="AT.left" :x2="WIDTH - AT.right" :y1="y(doneC)" :y2="y(doneC)" class="done" />
        <path :d="path(curve)" class="expected" />
        <path :d="path(props.probe.readings)" class="read" />
        <circle v-if="last && last.min <= longest" :cx="x(last.min)" :cy="y(last.core)" r="5" class="dot" />
        <g class="axis">
          <text v-for="t in x.ticks(5)" :key="t" :x="x(t)" :y="HEIGHT - 8" text-anchor="middle">{{ t }}</text>
          <text v-for="t in [20, 60, 100]" :key="`y${t}`" :x="AT.left - 6" :y="y(t)" text-anchor="end" dominant-baseline="central">
            {{ t }}
          </text>
        </g>
      </svg>
      <p class="small quiet">
        dashed: expected · line: read{{ props.probe.speed > 1 ? ` · shown ${props.probe.speed} times as fast as life` : '' }}
      </p>
      <p v-if="away" class="look small" role="alert">The stand-in does not answer. Go by the clock and by looking.</p>
      <ElButton @click="$emit('stop')">Take the probe out</ElButton>
    </template>
    <div v-else class="start">
      <p class="small quiet">It follows the bake as predicted, at the pace of an oven of its own.</p>
      <ElButton @click="$emit('start', 1)">Put the probe in</ElButton>
      <ElButton class="chip" @click="$emit('start', 60)">a minute a second, to try it</ElButton>
    </div>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 6px;
  justify-items: start;
}
svg {
  width: 100%;
  height: auto;
}
.reads b {
  font-family: var(--display);
  font-size: 2.2rem;
  line-height: 1;
}
.window {
  fill: var(--sound);
  opacity: 0.5;
}
.done {
  stroke: var(--spruce);
  stroke-width: 1.5;
}
.expected {
  fill: none;
  stroke: var(--quiet);
  stroke-width: 2;
  stroke-dasharray: 5 4;
}
.read {
  fill: none;
  stroke: var(--beet);
  stroke-width: 3;
}
.dot {
  fill: var(--beet);
}
text {
  font-size: 12px;
  fill: var(--quiet);
}
.start {
  display: grid;
  gap: 8px;
  justify-items: start;
}
</style>
