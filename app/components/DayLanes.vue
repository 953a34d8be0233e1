<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { useElementSize } from '@vueuse/core'
import type { ScheduleAnswer } from '../../core/contract/schedule'
import { isoOf, minuteOf } from '../../core/measure/day'
import { hourName } from '~/kitchen/dates'
import { STEP } from '~/stores/clock'
import { useKitchen } from '~/stores/kitchen'

/** The day as lanes: hands, oven, cold, and what waits by itself; the line of serving can be dragged. */
const props = defineProps<{ plan: ScheduleAnswer; picked: string | null; serveAt: string }>()
const emit = defineEmits<{ pick: [id: string]; drag: [iso: string]; drop: [iso: string]; hold: [id: string, iso: string] }>()

const region = computed(() => useKitchen().region)
const root = ref<HTMLElement | null>(null)
const { width: shown } = useElementSize(root)
const WIDTH = computed(() => Math.max(260, shown.value || 900))
const LEFT = 66
const RIGHT = 58
const ROW = 26
const TOP = 30

const LANES = [
  { id: 'hands', label: 'hands', has: (a: ScheduleAnswer['activities'][number]) => a.handsOn },
  { id: 'oven', label: 'oven', has: (a: ScheduleAnswer['activities'][number]) => a.needs.includes('oven') },
  { id: 'cold', label: 'cold', has: (a: ScheduleAnswer['activities'][number]) => a.needs.some((n) => n === 'fridge' || n === 'freezer') },
  { id: 'waits', label: 'waits', has: () => true },
] as const

const from = computed(() => minuteOf(props.plan.startAt))
const to = computed(() => minuteOf(props.plan.servedAt))
/** Long nights between two days of work are drawn short. */
const x = computed(() => scaleLinear([from.value, Math.max(to.value, from.value + 60)], [LEFT, WIDTH.value - RIGHT]))
const bakes = computed(() => [...new Set(props.plan.activities.map((a) => a.bake))])
const lanes = computed(() => {
  const left = new Set(props.plan.activities.map((a) => a.id))
  let y = TOP
  return LANES.map((lane) => {
    const mine = props.plan.activities.filter((a) => left.has(a.id) && lane.has(a))
    for (const a of mine) left.delete(a.id)
    // What overlaps in a lane stands below.
    const ends: number[] = []
    const bars = mine.map((a) => {
      const [s, e] = [minuteOf(a.start), minuteOf(a.end)]
      let row = ends.findIndex((end) => end <= s)
      if (row < 0) row = ends.length
      ends[row] = e
      return { a, row, x: x.value(s), w: Math.max(3, x.value(e) - x.value(s) - 1) }
    })
    const rows = Math.max(1, ends.length)
    const at = y
    y += rows * ROW + 10
    return { ...lane, y: at, rows, bars: bars.map((b) => ({ ...b, y: at + b.row * ROW })) }
  })
})
const height = computed(() => {
  const last = lanes.value.at(-1)!
  return last.y + last.rows * ROW + 26
})
const ticks = computed(() => {
  const span = to.value - from.value
  const step = [15, 30, 60, 120, 180, 360, 720, 1440].find((s) => (span / s) * 62 <= WIDTH.value - LEFT - RIGHT) ?? 1440
  const first = Math.ceil(from.value / step) * step
  // Where serving stands, its own words do.
  return Array.from({ length: Math.floor((to.value - first) / step) + 1 }, (_, i) => first + i * step).filter(
    (t) => to.value - t > step / 2,
  )
})
const tone = (bake: string) => `tone${bakes.value.indexOf(bake) % 3}`

/** Serving moved: by hand, or by the arrow keys. */
const line = ref<SVGGElement | null>(null)
let start = { at: 0, x: 0 }
const moved = (e: PointerEvent) => {
  const perPx = (to.value - from.value) / (WIDTH.value - LEFT - RIGHT)
  return isoOf(start.at + Math.round(((e.clientX - start.x) * perPx) / STEP) * STEP)
}
function down(e: PointerEvent) {
  ;(e.currentTarget as SVGGElement).setPointerCapture(e.pointerId)
  start = { at: to.value, x: e.clientX }
}
const held = (e: PointerEvent) => (e.currentTarget as SVGGElement).hasPointerCapture(e.pointerId)
/** A bar that is being dragged, and how far, px. */
const dragged = ref<{ id: string; by: number; from: number; start: number } | null>(null)
/** Nearer than this it was a tap, px. */
const TAP = 6
/** Activities are put down on steps of so many minutes. */
const HOLD_STEP = 5
function lift(e: PointerEvent, id: string, start: number) {
  ;(e.currentTarget as SVGGElement).setPointerCapture(e.pointerId)
  dragged.value = { id, by: 0, from: e.clientX, start }
}
function carry(e: PointerEvent) {
  if (dragged.value) dragged.value = { ...dragged.value, by: e.clientX - dragged.value.from }
}
function set() {
  const d = dragged.value
  dragged.value = null
  if (!d) return
  if (Math.abs(d.by) < TAP) return emit('pick', d.id)
  const perPx = (to.value - from.value) / (WIDTH.value - LEFT - RIGHT)
  emit('hold', d.id, isoOf(Math.round((d.start + d.by * perPx) / HOLD_STEP) * HOLD_STEP))
}
// Keys pressed faster than the day is planned count from where serving stands by then.
const key = (by: number) => emit('drop', isoOf(minuteOf(props.serveAt) + by * STEP))
</script>

<template>
  <div ref="root" class="lanes">
    <svg
      :viewBox="`0 0 ${WIDTH} ${height}`"
      :width="WIDTH"
      :height="height"
      role="group"
      aria-label="The day in lanes; the list after it says the same"
    >
      <g class="axis" aria-hidden="true">
        <g v-for="t in ticks" :key="t">
          <line :x1="x(t)" :x2="x(t)" :y1="TOP - 6" :y2="height - 20" />
          <text :x="x(t)" :y="TOP - 12" text-anchor="middle">{{ hourName(isoOf(t), region) }}</text>
        </g>
      </g>
      <g v-for="l in lanes" :key="l.id" aria-hidden="true">
        <text :x="LEFT - 12" :y="l.y + ROW / 2" text-anchor="end" dominant-baseline="central" class="lane">{{ l.label }}</text>
        <line :x1="LEFT" :x2="WIDTH - RIGHT" :y1="l.y + l.rows * ROW + 4" :y2="l.y + l.rows * ROW + 4" class="under" />
        <g
          v-for="b in l.bars"
          :key="b.a.id"
          class="bar"
          :class="[l.id, tone(b.a.bake), { picked: picked === b.a.id, held: b.a.held }]"
          :transform="dragged?.id === b.a.id ? `translate(${dragged.by} 0)` : undefined"
          @pointerdown.prevent="lift($event, b.a.id, minuteOf(b.a.start))"
          @pointermove="carry"
          @pointerup="set"
          @pointercancel="dragged = null"
        >
          <title>{{ hourName(b.a.start, region) }} {{ b.a.label }}</title>
          <rect :x="b.x" :y="b.y" :width="b.w" :height="ROW - 4" rx="5" />
          <text v-if="b.w > 46" :x="b.x + 6" :y="b.y + ROW / 2 - 2" dominant-baseline="central">
            {{ b.a.label.slice(0, Math.floor((b.w - 8) / 7.2)) }}
          </text>
        </g>
      </g>
      <g
        ref="line"
        class="serve"
        role="slider"
        tabindex="0"
        aria-label="Serving"
        :aria-valuetext="plan.servedAt.replace('T', ', ')"
        :aria-valuenow="to"
        @pointerdown.prevent="down"
        @pointermove="held($event) && emit('drag', moved($event))"
        @pointerup="emit('drop', moved($event))"
        @keydown.left.prevent="key(-1)"
        @keydown.right.prevent="key(1)"
      >
        <rect :x="WIDTH - RIGHT - 14" :y="0" width="72" :height="height" class="grip" />
        <line :x1="x(to)" :x2="x(to)" :y1="14" :y2="height - 18" />
        <text :x="x(to) + 6" y="26" class="when">{{ hourName(plan.servedAt, region) }}</text>
        <text :x="x(to) + 6" y="44" class="word">served</text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.lanes {
  overflow: hidden;
}
svg {
  display: block;
  font-size: 13px;
  touch-action: pan-y;
}
.axis line {
  stroke: var(--hair);
}
.axis text {
  fill: var(--quiet);
}
.lane {
  font-weight: 700;
  fill: var(--ink);
}
.under {
  stroke: var(--hair);
}
.bar {
  cursor: pointer;
}
.bar rect {
  stroke: var(--rim);
  stroke-width: 1.5;
}
.bar text {
  fill: var(--ink);
  pointer-events: none;
}
.bar.tone0 rect {
  fill: var(--sound);
}
.bar.tone1 rect {
  fill: var(--crumb);
}
.bar.tone2 rect {
  fill: var(--thread-beet);
}
.bar.waits rect {
  fill: var(--mist);
  stroke-dasharray: 4 3;
}
.bar.held rect {
  stroke: var(--beet);
  stroke-width: 2.5;
}
.bar.picked rect {
  stroke: var(--beet);
  stroke-width: 3;
}
.serve {
  cursor: ew-resize;
}
.serve:focus-visible {
  outline: none;
}
.serve:focus-visible line {
  stroke-width: 6;
}
.grip {
  fill: transparent;
}
.serve line {
  stroke: var(--beet);
  stroke-width: 3.5;
}
.when {
  fill: var(--beet);
  font-weight: 700;
  font-size: 15px;
}
.word {
  fill: var(--beet);
}
</style>
