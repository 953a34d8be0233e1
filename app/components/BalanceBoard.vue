<script setup lang="ts">
import type { Band, Banded } from '../../core/balance/families'
import type { Metrics } from '../../core/balance/metrics'
import { TOLERANCE } from '../../core/balance/findings'
import { placeOn, STRIPS, valueOf } from '~/kitchen/strips'

const props = defineProps<{
  metrics: Metrics
  bands: Partial<Record<Banded, Band>>
  before?: Metrics
  /** What the baker has tugged at, by ratio. */
  nudge: Partial<Record<Banded, number>>
}>()
const emit = defineEmits<{ tug: [metric: Banded, by: number] }>()

/** The strip whose tugs are shown. */
const opened = ref<string | null>(null)
const tuggable = (key: string): key is Banded => key in TOLERANCE
const tugs = (key: Banded) => Math.round((props.nudge[key] ?? 0) / TOLERANCE[key])

const rows = computed(() =>
  STRIPS.flatMap((s) => {
    const value = valueOf(props.metrics, s.key)
    const band = s.key === 'sweetness' ? undefined : props.bands[s.key]
    if (value === undefined || (!band && !s.scale)) return []
    const was = props.before ? valueOf(props.before, s.key) : undefined
    const place = placeOn(band, s.scale, value, was)
    const say =
      place.side === 'in' ? 'sound' : place.side === 'low' ? `below the sound range: ${s.ends[0]}` : `above the sound range: ${s.ends[1]}`
    return [{ ...s, value, was, band, place, say }]
  }),
)
</script>

<template>
  <section class="panel board" aria-labelledby="board-title">
    <h2 id="board-title">Balance <span class="quiet small">tap one to move it</span></h2>
    <ul tabindex="-1">
      <li v-for="r in rows" :key="r.key" :class="{ off: !r.place.inside, tugged: tuggable(r.key) && tugs(r.key) !== 0 }">
        <button
          v-if="tuggable(r.key)"
          class="what"
          type="button"
          :aria-expanded="opened === r.key"
          :aria-label="`${r.label}: ${r.write(r.value)}, ${r.say}. Move it`"
          @click="opened = opened === r.key ? null : r.key"
        >
          <strong>{{ r.label }}</strong><span class="quiet small">{{ r.ends[0] }} … {{ r.ends[1] }}</span>
        </button>
        <div v-else class="what">
          <strong>{{ r.label }}</strong><span class="quiet small">{{ r.ends[0] }} … {{ r.ends[1] }}</span>
        </div>
        <svg class="strip" viewBox="0 0 100 26" preserveAspectRatio="none" focusable="false" aria-hidden="true">
          <rect x="0" y="8" width="100" height="10" rx="2" class="rail" />
          <rect v-if="r.band" :x="r.place.from * 100" y="8" :width="(r.place.to - r.place.from) * 100" height="10" class="sound" />
          <line v-if="r.place.before !== null" :x1="r.place.before * 100" :x2="r.place.before * 100" y1="2" y2="24" class="was" />
          <rect :x="r.place.now * 100 - 1.6" y="2" width="3.2" height="22" rx="1.2" class="now" />
        </svg>
        <div class="value" aria-hidden="true">
          <strong>{{ r.write(r.value) }}</strong>
          <span class="quiet small"
            ><template v-if="!r.place.inside">{{ r.place.side === 'low' ? r.ends[0] : r.ends[1] }}</template
            ><template v-else-if="r.was !== undefined && r.key !== 'fluidity'">was {{ r.write(r.was) }}</template></span
          >
        </div>
        <div v-if="tuggable(r.key) && opened === r.key" class="tug" role="group" :aria-label="`Move ${r.label}`">
          <ElButton class="chip" @click="emit('tug', r.key, -TOLERANCE[r.key])">
            <span aria-hidden="true">←</span> {{ r.ends[0] }}
          </ElButton>
          <ElButton v-if="tugs(r.key)" class="chip" aria-pressed="true" @click="emit('tug', r.key, 0)">
            {{ tugs(r.key) > 0 ? '+' : '−' }}{{ Math.abs(tugs(r.key)) }} <span aria-hidden="true">×</span
            ><span class="visually-hidden">, let it be</span>
          </ElButton>
          <ElButton class="chip" @click="emit('tug', r.key, TOLERANCE[r.key])">
            {{ r.ends[1] }} <span aria-hidden="true">→</span>
          </ElButton>
        </div>
      </li>
    </ul>
    <table class="visually-hidden">
      <caption>
        Balance of the mix against its sound range
      </caption>
      <thead>
        <tr>
          <th>Ratio</th>
          <th>Now</th>
          <th>Before</th>
          <th>Sound from</th>
          <th>to</th>
          <th>Verdict</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in rows" :key="r.key">
          <th scope="row">{{ r.label }}</th>
          <td>{{ r.write(r.value) }}</td>
          <td>{{ r.was === undefined ? '–' : r.write(r.was) }}</td>
          <td>{{ r.band?.low ?? '–' }}</td>
          <td>{{ r.band?.high ?? '–' }}</td>
          <td>{{ r.say }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.board {
  display: flex;
  flex-direction: column;
  min-height: 0;
}
.board ul {
  display: grid;
  align-content: start;
  min-height: 0;
  overflow-y: auto;
  margin-top: 6px;
}
.board li {
  display: grid;
  grid-template-columns: 136px minmax(60px, 1fr) 84px;
  gap: 10px;
  align-items: center;
  padding: 5px 0;
  border-bottom: 1px solid var(--hair);
}
.board li:last-child {
  border: 0;
}
.what {
  display: grid;
  line-height: 1.2;
  border: 0;
  background: none;
  padding: 0;
  text-align: left;
}
.tugged .what strong {
  color: var(--beet);
}
.tug {
  grid-column: 1 / -1;
  display: flex;
  gap: 6px;
  justify-content: space-between;
}
.tug .el-button.el-button.chip {
  min-height: 36px;
  padding: 0 10px;
  font-size: 0.9rem;
}
.what .small {
  white-space: nowrap;
}
.value {
  display: grid;
  text-align: right;
  line-height: 1.2;
}
.strip {
  width: 100%;
  height: 26px;
  display: block;
}
.rail {
  fill: var(--mist);
}
.sound {
  fill: var(--sound);
}
.now {
  fill: var(--spruce);
}
.was {
  stroke: var(--quiet);
  stroke-width: 1.6;
  stroke-dasharray: 3 3;
  vector-effect: non-scaling-stroke;
}
.off .now {
  fill: var(--beet);
}
.off .value .quiet {
  background: var(--butter-soft);
  color: var(--ink);
  border-radius: 6px;
  padding: 0 6px;
  justify-self: end;
}
</style>
