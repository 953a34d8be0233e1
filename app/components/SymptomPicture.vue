<script setup lang="ts">
import type { Symptom } from '../../core/bakebook/symptoms'

/** A slice as it looks when something went wrong; drawn, so that it is found without reading. */
const props = defineProps<{ symptom: Symptom }>()

interface Look {
  /** Height of the top at the edge and in the middle, px from the base. */
  edge?: number
  middle?: number
  shade?: 'pale' | 'dark'
  holes?: 'many' | 'tunnels' | 'none'
  wet?: 'base' | 'middle' | 'top'
  crumbs?: boolean
  drops?: boolean
  crack?: boolean
  fruit?: boolean
  tin?: 'stuck' | 'over' | 'leak'
  mark?: string
  leans?: boolean
  roll?: boolean
}
const LOOKS: Record<Symptom, Look> = {
  sank: { edge: 34, middle: 18 },
  flat: { edge: 13, middle: 13 },
  domed: { edge: 24, middle: 44, crack: true },
  overflowed: { edge: 34, middle: 42, tin: 'over' },
  dense: { edge: 20, middle: 20, holes: 'none', shade: 'dark' },
  coarse: { edge: 34, middle: 36, holes: 'many' },
  tunnels: { edge: 32, middle: 40, holes: 'tunnels' },
  dry: { edge: 32, middle: 34, crack: true, shade: 'pale' },
  crumbly: { edge: 32, middle: 34, crumbs: true },
  gummy: { edge: 30, middle: 28, wet: 'base' },
  raw: { edge: 32, middle: 28, wet: 'middle' },
  greasy: { edge: 28, middle: 28, drops: true },
  tough: { edge: 30, middle: 34, holes: 'none', mark: '↔' },
  pale: { edge: 32, middle: 34, shade: 'pale' },
  dark: { edge: 32, middle: 34, shade: 'dark' },
  stuck: { edge: 30, middle: 30, tin: 'stuck' },
  leaked: { edge: 24, middle: 24, tin: 'leak' },
  'too-sweet': { edge: 32, middle: 34, mark: '++' },
  'not-sweet': { edge: 32, middle: 34, mark: '–' },
  sour: { edge: 32, middle: 34, mark: 'pH' },
  soapy: { edge: 32, middle: 34, mark: '○○' },
  eggy: { edge: 32, middle: 34, mark: '0' },
  soft: { edge: 32, middle: 34, leans: true },
  'fruit-sank': { edge: 32, middle: 34, fruit: true },
  'sticky-top': { edge: 32, middle: 32, wet: 'top' },
  gritty: { edge: 32, middle: 34, mark: '∴∴' },
  shrank: { edge: 26, middle: 30, tin: 'stuck' },
  'cracked-roll': { roll: true, crack: true },
}
const look = computed(() => LOOKS[props.symptom])
const BASE = 50
const top = computed(() => {
  const { edge = 32, middle = 34, leans } = look.value
  const l = leans ? 8 : 0
  return `M8 ${BASE} L${8 + l} ${BASE - edge} Q32 ${BASE - 2 * middle + edge} ${56 + l} ${BASE - edge} L56 ${BASE} Z`
})
const HOLES = [
  [18, 40],
  [27, 32],
  [36, 42],
  [45, 33],
  [50, 42],
  [22, 27],
  [40, 26],
] as const
</script>

<template>
  <svg viewBox="0 0 64 58" aria-hidden="true" :class="look.shade">
    <template v-if="look.roll">
      <circle cx="32" cy="30" r="21" class="cake" />
      <path d="M32 30 a4 4 0 1 1 6 4 a10 10 0 1 1 -14 -10 a16 16 0 0 1 23 14" class="line" />
      <path d="M16 14 l7 6 -3 5 M48 16 l-5 6 4 4" class="crack" />
    </template>
    <template v-else>
      <path v-if="look.tin" :d="look.tin === 'over' ? 'M6 22 L9 52 H55 L58 22' : 'M4 12 L9 53 H55 L60 12'" class="tin" />
      <path :d="top" class="cake" />
      <path v-if="look.tin === 'over'" d="M8 20 q-6 4 -4 16 M56 20 q6 4 4 16" class="over" />
      <path v-if="look.tin === 'leak'" d="M18 53 v4 M32 53 v5 M46 53 v4" class="drop" />
      <g v-if="look.holes === 'many'"><circle v-for="(h, i) in HOLES" :key="i" :cx="h[0]" :cy="h[1]" :r="2 + (i % 3)" class="hole" /></g>
      <g v-if="look.holes === 'tunnels'"><ellipse v-for="x in [20, 32, 44]" :key="x" :cx="x" cy="32" rx="2.4" ry="9" class="hole" /></g>
      <rect v-if="look.wet === 'base'" x="9" y="42" width="46" height="8" class="wet" />
      <ellipse v-if="look.wet === 'middle'" cx="32" cy="36" rx="14" ry="8" class="wet" />
      <rect v-if="look.wet === 'top'" x="9" y="17" width="46" height="5" class="wet" />
      <path v-if="look.crack" d="M32 8 l-4 8 5 5 -3 6" class="crack" />
      <g v-if="look.crumbs"><circle v-for="x in [6, 12, 50, 57, 61, 26, 40]" :key="x" :cx="x" :cy="54 - (x % 3)" r="2" class="crumb" /></g>
      <path v-if="look.drops" d="M18 44 q-4 6 0 8 q4 -2 0 -8 M34 42 q-4 6 0 8 q4 -2 0 -8 M47 44 q-4 6 0 8 q4 -2 0 -8" class="drop" />
      <g v-if="look.fruit"><circle v-for="x in [15, 24, 33, 42, 50]" :key="x" :cx="x" cy="46" r="3.4" class="fruit" /></g>
      <text v-if="look.mark" x="32" y="42" text-anchor="middle">{{ look.mark }}</text>
    </template>
  </svg>
</template>

<style scoped>
svg {
  width: 64px;
  height: 58px;
}
.cake {
  fill: var(--crumb);
  stroke: var(--rim);
  stroke-width: 2;
}
.pale .cake {
  fill: var(--enamel);
}
.dark .cake {
  fill: color-mix(in srgb, var(--crumb) 45%, #4a2f16);
}
.tin,
.line,
.over,
.crack {
  fill: none;
  stroke: var(--rim);
  stroke-width: 2;
}
.over {
  stroke: var(--crumb);
  stroke-width: 6;
  stroke-linecap: round;
}
.hole {
  fill: var(--enamel);
  stroke: var(--rim);
  stroke-width: 1;
}
.wet,
.drop {
  fill: var(--thread-beet);
  stroke: var(--beet);
  stroke-width: 1.2;
}
.crack {
  stroke: var(--beet);
}
.crumb {
  fill: var(--rim);
}
.fruit {
  fill: var(--beet);
}
text {
  font-family: var(--display);
  font-weight: 700;
  font-size: 17px;
  fill: var(--beet);
}
</style>
