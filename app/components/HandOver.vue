<script setup lang="ts">
import { area, curveBumpX } from 'd3-shape'
import type { Option } from '../../core/reformulate/option'

/** The jobs of what left, and who has them now: ribbons as wide as the share of each job. */
const props = defineProps<{ option: Option }>()

const JOB_WORDS: Record<string, string> = {
  set: 'Setting',
  moisture: 'Moisture',
  lift: 'Lift',
  emulsify: 'Emulsifying',
  richness: 'Richness',
  sweetness: 'Sweetness',
  tenderness: 'Tenderness',
  browning: 'Browning',
  flavour: 'Flavour',
  body: 'Body',
}
const LESS = 'less-to-hold'
const NOBODY = 'nobody'
const nameOf = (id: string) =>
  id === LESS
    ? 'less to hold'
    : id === NOBODY
      ? 'nobody'
      : (props.option.lines.find((l) => l.ingredient === id)?.name ?? id.replace(/-/g, ' '))
const jobs = computed(() => {
  const all = [...new Set([...props.option.handover.map((h) => h.job), ...props.option.undone.map((u) => u.job)])]
  return all.map((job) => ({
    job,
    takers: props.option.handover.filter((h) => h.job === job).sort((a, b) => b.amount - a.amount),
    undone: props.option.undone.find((u) => u.job === job)?.share ?? 0,
  }))
})
const pct = (x: number) => `${Math.round(x * 100)} %`

const WIDTH = 520
/** Room for words on either side, px. */
const LEFT = 96
const RIGHT = 150
const TOP = 6
/** A whole job is so tall, and stands so far from the next, px. */
const JOB = 26
const BETWEEN = 12
const ribbon = area<{ x: number; top: number; bottom: number }>()
  .x((d) => d.x)
  .y0((d) => d.top)
  .y1((d) => d.bottom)
  .curve(curveBumpX)

const drawn = computed(() => {
  const links = jobs.value.flatMap((j, i) => [
    ...j.takers.map((t) => ({ job: i, to: t.to, share: t.amount })),
    ...(j.undone ? [{ job: i, to: NOBODY, share: j.undone }] : []),
  ])
  const sums = new Map<string, number>()
  for (const l of links) sums.set(l.to, (sums.get(l.to) ?? 0) + l.share)
  // Nobody stands last: what is left undone is read at the foot.
  const takers = [...sums].sort((a, b) => Number(a[0] === NOBODY) - Number(b[0] === NOBODY) || b[1] - a[1])
  const tall = (shares: number[]) => shares.reduce((h, s) => h + Math.max(3, s * JOB) + BETWEEN, -BETWEEN)
  const leftTall = tall(jobs.value.map(() => 1))
  const rightTall = tall(takers.map(([, s]) => s))
  const height = Math.max(leftTall, rightTall) + 2 * TOP
  let y = TOP + (height - 2 * TOP - leftTall) / 2
  const left = jobs.value.map((j) => {
    const at = y
    y += JOB + BETWEEN
    return { job: j.job, y: at, used: 0 }
  })
  y = TOP + (height - 2 * TOP - rightTall) / 2
  const right = new Map(
    takers.map(([id, share]) => {
      const at = y
      const h = Math.max(3, share * JOB)
      y += h + BETWEEN
      return [id, { id, y: at, height: h, used: 0 }] as [string, { id: string; y: number; height: number; used: number }]
    }),
  )
  const order = [...right.keys()]
  const ribbons = links
    .sort((a, b) => a.job - b.job || order.indexOf(a.to) - order.indexOf(b.to))
    .map((l) => {
      const from = left[l.job]!
      const to = right.get(l.to)!
      const h = l.share * JOB
      const path = ribbon([
        { x: LEFT, top: from.y + from.used, bottom: from.y + from.used + h },
        { x: WIDTH - RIGHT, top: to.y + to.used, bottom: to.y + to.used + h },
      ])!
      from.used += h
      to.used += h
      return { ...l, path }
    })
  return { height, left, right: [...right.values()], ribbons }
})
</script>

<template>
  <section class="panel" aria-labelledby="hand-title">
    <h2 id="hand-title">Who takes over <span class="quiet small">what left, job by job</span></h2>
    <svg :viewBox="`0 0 ${WIDTH} ${drawn.height}`" role="img" aria-labelledby="hand-title">
      <path v-for="(r, i) in drawn.ribbons" :key="i" :d="r.path" :class="['ribbon', { less: r.to === LESS, nobody: r.to === NOBODY }]" />
      <g v-for="j in drawn.left" :key="j.job">
        <rect :x="LEFT - 6" :y="j.y" width="6" :height="JOB" class="end" />
        <text :x="LEFT - 14" :y="j.y + JOB / 2" text-anchor="end" dominant-baseline="central">{{ JOB_WORDS[j.job] }}</text>
      </g>
      <g v-for="t in drawn.right" :key="t.id">
        <rect :x="WIDTH - RIGHT" :y="t.y" width="6" :height="t.height" :class="['end', { nobody: t.id === NOBODY }]" />
        <text :x="WIDTH - RIGHT + 14" :y="t.y + t.height / 2" dominant-baseline="central" :class="{ loud: t.id === NOBODY }">
          {{ nameOf(t.id) }}
        </text>
      </g>
    </svg>
    <div class="visually-hidden">
      <table>
        <caption>
          Who takes over each job, by share
        </caption>
        <tbody>
          <tr v-for="j in jobs" :key="j.job">
            <th scope="row">{{ JOB_WORDS[j.job] }}</th>
            <td>
              {{ j.takers.map((t) => `${nameOf(t.to)} ${pct(t.amount)}`).join(', ') }}{{ j.undone ? `, nobody ${pct(j.undone)}` : '' }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-for="u in option.undone.slice(0, 3)" :key="u.job" class="small quiet">{{ u.message }}.</p>
  </section>
</template>

<style scoped>
svg {
  width: 100%;
  height: auto;
  margin: 8px 0 4px;
  font-size: 14px;
}
text {
  fill: var(--ink);
}
text::first-letter {
  text-transform: uppercase;
}
.loud {
  font-weight: 700;
}
.ribbon {
  fill: var(--thread-beet);
  fill-opacity: 0.75;
}
.ribbon.less {
  fill: var(--thread);
  fill-opacity: 1;
}
.ribbon.nobody {
  fill: var(--butter-soft);
  stroke: var(--butter);
  stroke-dasharray: 4 3;
}
.end {
  fill: var(--rim);
}
.end.nobody {
  fill: var(--butter);
}
</style>
