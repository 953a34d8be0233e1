<script setup lang="ts">
import { extent } from 'd3-array'
import { scaleLinear, scalePoint } from 'd3-scale'
import type { Panel } from '../../core/bakebook/panels'

/** One quantity of several bakes: a full mark for what came of each, a ring for what was expected. */
const props = defineProps<{ panel: Panel; letters: readonly string[] }>()
const [WIDTH, TOP, BOTTOM, AXIS, HEIGHT] = [150, 20, 52, 68, 86]
/** A number stands above its mark, or below it where the ring of what was expected is above. */
const [ABOVE, BELOW] = [-9, 15]
const x = computed(() => scalePoint([...props.letters], [18, WIDTH - 18]).padding(0.15))
const y = computed(() => {
  const { span } = props.panel
  if (typeof span !== 'number') return scaleLinear([...span], [BOTTOM, TOP])
  const all = [...props.panel.got, ...props.panel.expected].flatMap((v) => v ?? [])
  const [low, high] = extent(all) as [number, number]
  // Small differences must not look large: a scale is never narrower than what a baker would notice.
  const room = Math.max(0, span - (high - low)) / 2
  return scaleLinear([low - room, high + room], [BOTTOM, TOP])
})
const write = (v: number) => (Math.abs(v) < 10 && !Number.isInteger(v) ? v.toFixed(Math.abs(v) < 3 ? 2 : 1) : String(Math.round(v)))
const dots = computed(() =>
  props.letters.map((letter, i) => ({
    letter,
    x: x.value(letter)!,
    got: props.panel.got[i] ?? null,
    expected: props.panel.expected[i] ?? null,
  })),
)
const said = computed(() =>
  dots.value
    .map(
      (d) =>
        `${d.letter} ${d.got === null ? 'not written down' : `${write(d.got)} ${props.panel.unit}`.trim()}${d.expected === null ? '' : `, expected ${write(d.expected)}`}`,
    )
    .join('; '),
)
</script>

<template>
  <figure>
    <figcaption>
      {{ panel.what }} <span v-if="panel.unit" class="quiet">{{ panel.unit }}</span>
    </figcaption>
    <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" :aria-label="`${panel.what}: ${said}`">
      <line x1="4" :x2="WIDTH - 4" :y1="AXIS" :y2="AXIS" class="axis" />
      <g v-for="d in dots" :key="d.letter">
        <line v-if="d.got !== null && d.expected !== null" :x1="d.x" :x2="d.x" :y1="y(d.got)" :y2="y(d.expected)" class="gap" />
        <circle v-if="d.expected !== null" :cx="d.x" :cy="y(d.expected)" r="5" class="expected" />
        <template v-if="d.got !== null">
          <circle :cx="d.x" :cy="y(d.got)" r="5" class="got" />
          <text :x="d.x" :y="y(d.got) + (d.expected !== null && d.expected > d.got ? BELOW : ABOVE)" class="value">{{ write(d.got) }}</text>
        </template>
        <text :x="d.x" :y="HEIGHT - 3" class="letter">{{ d.letter }}</text>
      </g>
    </svg>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  min-width: 0;
  display: flex;
  flex-direction: column;
  justify-content: space-between;
}
figcaption {
  font-size: 0.875rem;
  line-height: 1.2;
}
svg {
  display: block;
  width: 100%;
  max-width: 190px;
}
.axis {
  stroke: var(--hair);
  stroke-width: 2;
}
.gap {
  stroke: var(--quiet);
  stroke-width: 1.5;
}
.got {
  fill: var(--beet);
}
.expected {
  fill: var(--enamel);
  stroke: var(--spruce);
  stroke-width: 2;
}
text {
  text-anchor: middle;
  font-size: 12px;
  fill: var(--ink);
}
.letter {
  font-weight: 700;
  fill: var(--quiet);
}
</style>
