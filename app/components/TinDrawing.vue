<script setup lang="ts">
import { sectionOf } from '../../core/measure/section'
import type { Tried } from '~/stores/tins'

/** The tin cut through its middle, to scale: batter as it goes in, and the cake as it comes out. */
const props = defineProps<{ tried: Tried }>()

/** px for a mm, at most; wide tins are drawn smaller. */
const MOST_SCALE = 2.6
const MOST_HEIGHT = 250
const WIDTH = 400
const PAD = 62
const tin = computed(() => props.tried.setup.tins[0]!)
const section = computed(() => sectionOf(tin.value))
const fill = computed(() => props.tried.fit.fill[0]!)
const view = computed(() => {
  const s = section.value
  if (!s) return null
  const top = Math.max(s.depth, fill.value.bakedHeightMm) + 8
  const wide = 2 * s.outer(s.depth)
  const scale = Math.min(MOST_SCALE, (WIDTH - 2 * PAD) / wide, MOST_HEIGHT / top)
  const middle = WIDTH / 2
  const floor = 14 + top * scale
  const y = (z: number) => floor - z * scale
  const steps = 24
  /** The outline of what fills the tin up to a height, walls followed; above the rim straight up. */
  const body = (height: number, crown: number) => {
    const at = (i: number) => (height * i) / steps
    const wall = (z: number, side: 1 | -1) => `${middle + side * s.outer(Math.min(z, s.depth)) * scale},${y(z)}`
    const up = Array.from({ length: steps + 1 }, (_, i) => wall(at(i), 1))
    const down = Array.from({ length: steps + 1 }, (_, i) => wall(at(steps - i), -1))
    const edge = s.outer(Math.min(height, s.depth)) * scale
    return `M${up.join('L')}Q${middle + edge * 0.55},${y(height + crown)} ${middle},${y(height + crown)}Q${middle - edge * 0.55},${y(height + crown)} ${down[0]}L${down.join('L')}Z`
  }
  const outline = (side: 1 | -1) =>
    Array.from({ length: steps + 1 }, (_, i) => {
      const z = (s.depth * i) / steps
      return `${middle + side * (s.outer(z) * scale + 2)},${y(z) + (i === 0 ? 2 : 0)}`
    })
  const chimney = s.inner(0) > 0 ? s.inner(0) * scale : 0
  // A cake stands a little higher in the middle, where it sets last.
  const crown = Math.min(10, 0.1 * fill.value.bakedHeightMm)
  const baked = Math.max(1, fill.value.bakedHeightMm - crown / 2)
  return {
    height: floor + 30,
    scale,
    middle,
    floor,
    y,
    batter: body(fill.value.depthMm, 0),
    cake: body(baked, crown),
    walls: `M${outline(-1).reverse().join('L')}L${outline(1).join('L')}`,
    chimney,
    rim: y(s.depth),
    bakedY: y(fill.value.bakedHeightMm),
    batterY: y(fill.value.depthMm),
    right: middle + s.outer(s.depth) * scale,
    cm: 10 * scale,
  }
})
const words = computed(() => {
  const f = fill.value
  return `${tin.value.text} cut through: ${Math.round(f.depthMm)} mm of batter, baked ${f.bakedHeightMm} mm high, tin ${Math.round(section.value?.depth ?? 0)} mm deep`
})
</script>

<template>
  <svg v-if="view" :viewBox="`0 0 ${WIDTH} ${view.height}`" role="img" :aria-label="words">
    <path :d="view.cake" class="cake" />
    <path :d="view.batter" class="batter" />
    <rect
      v-if="view.chimney"
      :x="view.middle - view.chimney"
      :y="view.rim - 6"
      :width="2 * view.chimney"
      :height="view.floor - view.rim + 6"
      class="chimney"
    />
    <path :d="view.walls" class="walls" />
    <g class="mark">
      <line :x1="view.right + 6" :x2="view.right + 14" :y1="view.bakedY" :y2="view.bakedY" />
      <text :x="view.right + 17" :y="view.bakedY" dominant-baseline="central">{{ fill.bakedHeightMm }} mm</text>
    </g>
    <g class="mark in">
      <line :x1="2 * view.middle - view.right - 14" :x2="2 * view.middle - view.right - 6" :y1="view.batterY" :y2="view.batterY" />
      <text :x="2 * view.middle - view.right - 17" :y="view.batterY" text-anchor="end" dominant-baseline="central">
        {{ Math.round(fill.depthMm) }}
      </text>
    </g>
    <g class="rule">
      <path :d="`M${view.middle - (5 * view.cm) / 2},${view.floor + 14}v6h${5 * view.cm}v-6`" />
      <text :x="view.middle + (5 * view.cm) / 2 + 8" :y="view.floor + 18" dominant-baseline="central">5 cm</text>
    </g>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  height: auto;
  font-size: 13px;
}
.cake {
  fill: var(--crumb);
}
.batter {
  fill: var(--butter);
  fill-opacity: 0.85;
}
.walls {
  fill: none;
  stroke: var(--rim);
  stroke-width: 4;
  stroke-linejoin: round;
  stroke-linecap: round;
}
.chimney {
  fill: var(--enamel);
  stroke: var(--rim);
  stroke-width: 4;
}
.mark line {
  stroke: var(--beet);
  stroke-width: 2.5;
}
.mark text {
  fill: var(--beet);
  font-weight: 700;
}
.mark.in line {
  stroke: var(--ink);
}
.mark.in text,
.rule text {
  fill: var(--ink);
}
.rule path {
  fill: none;
  stroke: var(--quiet);
  stroke-width: 1.5;
}
</style>
