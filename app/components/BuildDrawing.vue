<script setup lang="ts">
import { range } from 'd3-array'
import { useElementSize } from '@vueuse/core'
import { curveCatmullRom, line } from 'd3-shape'
import type { BuildAnswer } from '../../core/contract/build'
import type { Place, Places } from '../../core/finish/amounts'
import { PLACE_WORDS } from '~/kitchen/finish-words'

/** The cake cut through its middle, to scale; every place on it can be tapped. */
const props = defineProps<{ build: BuildAnswer; places: Places; selected: Place | null }>()
const emit = defineEmits<{ pick: [place: Place] }>()

const root = ref<SVGSVGElement | null>(null)
const { width: shown } = useElementSize(root)
/** Drawn narrower on a narrow screen, so that words keep their size. */
const WIDTH = computed(() => (shown.value > 0 && shown.value < 480 ? 360 : 640))
const SIDE = computed(() => (WIDTH.value < 400 ? 92 : 128))
const MOST_HEIGHT = 300
const MOST_SCALE = 2.4
/** Room for two lines of a label. */
const LABEL = 34

interface Shape {
  place: Place | 'cake'
  d: string
  key: string
}

const familyAt = computed(() => {
  const map = new Map<Place, string>()
  for (const c of props.build.components) for (const p of c.places) map.set(p.place, c.family)
  return map
})
const rect = (x: number, y: number, w: number, h: number, r = 0) => {
  const q = Math.max(0, Math.min(r, w / 2, h))
  return `M${x},${y + h}V${y + q}Q${x},${y} ${x + q},${y}H${x + w - q}Q${x + w},${y} ${x + w},${y + q}V${y + h}Z`
}
const circle = (x: number, y: number, r: number) => `M${x - r},${y}a${r},${r} 0 1,0 ${2 * r},0a${r},${r} 0 1,0 ${-2 * r},0Z`

const view = computed(() => {
  const { tiers } = props.build
  const p = props.places
  const bottom = tiers[0]!
  const across = (t: (typeof tiers)[number]) => t.mm.diameter ?? Math.max(t.mm.width ?? 0, t.mm.length ?? 0)
  const thick = (p.coat?.mm ?? 0) + (p.crumbCoat?.mm ?? 0)
  const piped = Math.max(p.border?.nozzleMm ?? 0, p.rosettes?.nozzleMm ?? 0) * 1.2
  const roll = bottom.shape === 'roll'
  const thin = bottom.mm.height ?? 20
  const rolled = roll ? Math.sqrt((4 * across(bottom) * thin) / Math.PI) : 0
  const cup = bottom.shape === 'cupcake'
  const wide = (roll ? rolled : across(bottom)) + 2 * thick
  const tall =
    (roll ? rolled : tiers.reduce((h, t) => h + (t.mm.height ?? 30), 0)) +
    thick +
    (p.top?.mm ?? 0) +
    piped +
    (cup && p.swirls ? p.swirls.nozzleMm * 3 : 0)
  const scale = Math.min(MOST_SCALE, (WIDTH.value - 2 * SIDE.value) / wide, MOST_HEIGHT / Math.max(20, tall))
  const floor = 22 + tall * scale
  const middle = WIDTH.value / 2
  const shapes: Shape[] = []
  const at: { place: Place; x: number; y: number }[] = []
  const put = (place: Place | 'cake', d: string) => shapes.push({ place, d, key: `${place}${shapes.length}` })
  const mark = (place: Place, x: number, y: number) => {
    if (!at.some((a) => a.place === place)) at.push({ place, x, y })
  }
  let base = floor
  if (cup) cupcake()
  else if (roll) swiss()
  else for (const t of tiers) stack(t)

  function stack(t: (typeof tiers)[number]) {
    const w = across(t) * scale
    const h = (t.mm.height ?? 30) * scale
    const last = t === tiers.at(-1)
    const ring = t.shape === 'ring' ? (t.mm.inner ?? 0) * scale : 0
    const pieces = ring
      ? [
          { x: middle - w / 2, w: (w - ring) / 2 },
          { x: middle + ring / 2, w: (w - ring) / 2 },
        ]
      : [{ x: middle - w / 2, w }]
    const crumb = (p.crumbCoat?.mm ?? 0) * scale
    const coat = (p.coat?.mm ?? 0) * scale
    const top = (last ? (p.top?.mm ?? 0) : 0) * scale
    for (const { x, w: wide } of pieces) {
      const y = base - h
      if (coat) put('coat', rect(x - crumb - coat, y - crumb - coat, wide + 2 * (crumb + coat), h + crumb + coat, 10))
      if (crumb) put('crumbCoat', rect(x - crumb, y - crumb, wide + 2 * crumb, h + crumb, 6))
      const lift = crumb + coat
      if (top) put('top', rect(x - lift, y - lift - top, wide + 2 * lift, top, Math.min(6, top)))
      const layer = t.layerMm * scale
      const gap = (p.filling?.mm ?? 0) * scale
      for (const i of range(t.layers)) {
        const foot = base - i * (layer + gap)
        put('cake', rect(x, foot - layer, wide, layer, i === t.layers - 1 && !lift ? 5 : 1))
        if (i < t.layers - 1 && gap) {
          const dam = p.dam ? Math.min(wide / 4, p.dam.nozzleMm * scale) : 0
          put('filling', rect(x + dam, foot - layer - gap, wide - 2 * dam, gap))
          if (dam) {
            put('dam', rect(x, foot - layer - gap, dam, gap))
            put('dam', rect(x + wide - dam, foot - layer - gap, dam, gap))
            mark('dam', x + dam / 2, foot - layer - gap / 2)
          }
          mark('filling', x + wide, foot - layer - gap / 2)
        }
      }
      const roof = y - lift - top
      if (p.drip && last) {
        const thin = Math.max(4, 3 * scale)
        const reach = [0.55, 0.34]
        for (const [i, left] of [x - lift - thin, x + wide + lift].entries())
          put('drip', rect(left, roof, thin, (h + lift + top) * reach[i]!, thin))
        mark('drip', x - lift, roof + 0.25 * h)
      }
      if (p.border) {
        const r = Math.max(3, (p.border.nozzleMm * 1.15 * scale) / 2)
        const n = Math.max(2, Math.floor((wide + 2 * lift) / (2.15 * r)))
        for (const i of range(n)) put('border', circle(x - lift + r + ((wide + 2 * lift - 2 * r) * i) / (n - 1), roof - r + 1, r))
        mark('border', x + wide + lift, roof - r)
      }
      if (p.rosettes?.count && last) {
        const r = Math.max(5, p.rosettes.nozzleMm * scale * 0.9)
        const n = Math.min(p.rosettes.count, Math.max(1, Math.floor(wide / (2.6 * r))))
        for (const i of range(n)) put('rosettes', circle(x + (wide * (i + 0.5)) / n, roof - r * 0.8, r))
        mark('rosettes', x + wide * (1 - 0.5 / n), roof - r)
      }
      if (coat) mark('coat', x + wide + crumb + coat / 2, y + 0.28 * h)
      if (crumb) mark('crumbCoat', x + wide + crumb / 2, y + 0.8 * h)
      if (top) mark('top', x + wide, roof + top / 2)
    }
    base -= h + (last ? 0 : crumb + coat)
  }
  function cupcake() {
    const d = across(bottom) * scale
    const h = (bottom.mm.height ?? 35) * scale
    const y = base - h
    put(
      'cake',
      `M${middle - d * 0.36},${base}H${middle + d * 0.36}L${middle + d / 2},${y + 4}Q${middle},${y - 9} ${middle - d / 2},${y + 4}Z`,
    )
    if (p.wells) {
      const r = Math.cbrt((p.wells.ml * 1000 * 3) / (2 * Math.PI)) * scale
      put(
        'wells',
        `M${middle - r},${y - 2}Q${middle},${y - 4} ${middle + r},${y - 2}Q${middle + r * 0.9},${y + r} ${middle},${y + r}Q${middle - r * 0.9},${y + r} ${middle - r},${y - 2}Z`,
      )
      mark('wells', middle - r / 2, y + r / 2)
    }
    if (p.top) {
      put(
        'top',
        `M${middle - d / 2},${y + 3}Q${middle},${y - 10} ${middle + d / 2},${y + 3}V${y + 3 - p.top.mm * scale}Q${middle},${y - 12 - p.top.mm * scale} ${middle - d / 2},${y + 3 - p.top.mm * scale}Z`,
      )
      mark('top', middle + d / 2, y)
    }
    if (p.swirls) {
      const r = p.swirls.nozzleMm * scale * 0.62
      const lift = (p.top?.mm ?? 0) * scale
      ;[1, 0.7, 0.38].forEach((share, i) =>
        put('swirls', rect(middle - (d / 2) * share * 0.98, y - lift - 4 - (i + 1) * 1.55 * r, d * share * 0.98, 1.75 * r, r)),
      )
      mark('swirls', middle + d * 0.36, y - lift - 3 * r)
    }
  }
  function swiss() {
    const r = (rolled * scale) / 2
    const coat = ((p.coat?.mm ?? 0) + (p.crumbCoat?.mm ?? 0)) * scale
    const cy = base - r - coat
    if (p.coat) {
      put('coat', circle(middle, cy, r + coat))
      mark('coat', middle + r, cy - 0.5 * r)
    }
    put('cake', circle(middle, cy, r))
    if (p.filling) {
      const turns = Math.max(1.2, (rolled / 2 / (thin + p.filling.mm)) * 0.95)
      const spiral = (out: number) =>
        range(0, turns * 2 * Math.PI, 0.22).map((a): [number, number] => {
          const k = (a / (turns * 2 * Math.PI)) * (r * 0.92) + out
          return [middle + k * Math.cos(a), cy + k * Math.sin(a)]
        })
      const half = (p.filling.mm * scale) / 2
      const there = line().curve(curveCatmullRom)(spiral(half)) ?? ''
      const back = (line().curve(curveCatmullRom)(spiral(-half).reverse()) ?? '').replace(/^M/, 'L')
      put('filling', `${there}${back}Z`)
      mark('filling', middle + r * 0.6, cy)
    }
  }
  // Labels stand left and right of the cake, in the order of what they name, never upon each other.
  const sides: Record<'left' | 'right', typeof at> = { left: [], right: [] }
  for (const a of at.sort((m, n) => m.y - n.y))
    sides[
      a.place === 'dam' || a.place === 'drip' || a.place === 'wells' || sides.right.length * LABEL > floor - 30 ? 'left' : 'right'
    ].push(a)
  const edge = (wide * scale) / 2
  const labels = (['left', 'right'] as const).flatMap((side) => {
    let least = 14
    const rows = sides[side].map((a) => {
      const y = Math.max(least, a.y)
      least = y + LABEL
      return { ...a, side, labelY: y }
    })
    // Pushed past the plate, they move up together.
    const over = (rows.at(-1)?.labelY ?? 0) - floor
    return rows.map((r) => ({
      ...r,
      labelY: over > 0 ? Math.max(14, r.labelY - over) : r.labelY,
      labelX: side === 'right' ? middle + edge + 26 : middle - edge - 26,
    }))
  })
  return {
    shapes,
    labels,
    floor,
    scale,
    middle,
    edge,
    height: floor + 46,
    cm: 10 * scale,
    wide,
    tall: tiers.reduce((h, t) => h + (t.mm.height ?? 0), 0) + thick,
    cup,
    roll,
    rolled,
  }
})
/** How much of a place, in a word. */
function measure(place: Place): string {
  const x = props.places[place]
  if (!x) return ''
  if ('mm' in x) return `${x.mm} mm`
  if ('ml' in x) return `${x.ml} ml`
  if ('count' in x && 'nozzleMm' in x) return `${x.count}, ${x.nozzleMm} mm nozzle`
  if ('nozzleMm' in x) return `${x.nozzleMm} mm nozzle`
  return ''
}
const cm = (mm: number) => Math.round(mm / 10)
const words = computed(() => {
  const v = view.value
  if (v.cup) return `${props.build.tiers[0]!.count} cupcakes, one drawn`
  if (v.roll) return `a roll ${cm(v.rolled)} cm thick`
  return `${cm(v.wide)} cm across · ${cm(v.tall)} cm tall · cuts into ${props.build.slices}`
})
</script>

<template>
  <svg ref="root" :viewBox="`0 0 ${WIDTH} ${view.height}`" role="group" :aria-label="`The cake cut through: ${words}`">
    <template v-for="s in view.shapes" :key="s.key">
      <path v-if="s.place === 'cake'" :d="s.d" class="cake" />
      <path
        v-else
        :d="s.d"
        :class="['on', familyAt.get(s.place), { selected: selected === s.place }]"
        aria-hidden="true"
        @click="emit('pick', s.place)"
      />
    </template>
    <line :x1="view.middle - view.edge - 26" :x2="view.middle + view.edge + 26" :y1="view.floor + 3" :y2="view.floor + 3" class="plate" />
    <g
      v-for="l in view.labels"
      :key="l.place"
      class="label"
      :class="{ selected: selected === l.place }"
      role="button"
      tabindex="0"
      :aria-pressed="selected === l.place"
      :aria-label="`${PLACE_WORDS[l.place]} ${measure(l.place)}`"
      @click="emit('pick', l.place)"
      @keydown.enter.prevent="emit('pick', l.place)"
      @keydown.space.prevent="emit('pick', l.place)"
    >
      <path :d="`M${l.x},${l.y}L${l.labelX + (l.side === 'right' ? -5 : 5)},${l.labelY + 2}`" class="lead" />
      <text :x="l.labelX" :y="l.labelY" :text-anchor="l.side === 'right' ? 'start' : 'end'" class="name">{{ PLACE_WORDS[l.place] }}</text>
      <text :x="l.labelX" :y="l.labelY + 15" :text-anchor="l.side === 'right' ? 'start' : 'end'" class="how">{{ measure(l.place) }}</text>
    </g>
    <text :x="view.middle" :y="view.floor + 30" text-anchor="middle" class="how size">{{ words }}</text>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  height: auto;
  max-height: 380px;
  font-size: 14px;
  --icing: #f0cbd9;
  --icing-pale: #f8e9ef;
  --cream: #ffffff;
  --cheese: #f8f2e2;
  --chocolate: #5a3424;
  --curd: #f2c230;
  --fruit: #6d1f4b;
  --clear: #eaf3f0;
  --biscuit: #b98a55;
}
:root[data-theme='dark'] svg {
  --icing: #b77a93;
  --icing-pale: #c9a5b3;
  --cream: #e9f2ee;
  --cheese: #dcd5bf;
  --chocolate: #94624a;
  --curd: #e5b93a;
  --fruit: #b3598c;
  --clear: #c4d5ce;
  --biscuit: #a37a49;
}
.cake {
  fill: var(--crumb);
  stroke: var(--rim);
  stroke-width: 1;
}
.on {
  fill: var(--icing);
  stroke: var(--rim);
  stroke-width: 1.2;
  cursor: pointer;
}
.on.selected {
  stroke: var(--beet);
  stroke-width: 3;
}
.cooked-butter-icing,
.meringue-icing,
.foam-butter-icing {
  fill: var(--icing-pale);
}
.whipped-cream {
  fill: var(--cream);
}
.cream-cheese-icing {
  fill: var(--cheese);
}
.ganache {
  fill: var(--chocolate);
}
.custard {
  fill: var(--curd);
}
.compote,
.jam {
  fill: var(--fruit);
}
.glaze,
.soak {
  fill: var(--clear);
}
.crumb-icing {
  fill: var(--biscuit);
}
.plate {
  stroke: var(--rim);
  stroke-width: 5;
  stroke-linecap: round;
}
.label {
  cursor: pointer;
}
.label:focus-visible {
  outline: 3px solid var(--beet);
  outline-offset: 2px;
  border-radius: 6px;
}
.lead {
  fill: none;
  stroke: var(--quiet);
  stroke-width: 1;
}
.name {
  font-weight: 700;
  fill: var(--ink);
}
.how {
  fill: var(--quiet);
  font-size: 13px;
}
.label.selected .name {
  fill: var(--beet);
}
.label.selected .lead {
  stroke: var(--beet);
  stroke-width: 2;
}
.size {
  font-size: 14px;
}
</style>
