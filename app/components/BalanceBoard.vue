<script setup lang="ts">
import type { Band, Banded } from '../../core/balance/families'
import type { Metrics } from '../../core/balance/metrics'
import { placeOn, STRIPS, valueOf } from '~/kitchen/strips'

const props = defineProps<{
  metrics: Metrics
  bands: Partial<Record<Banded, Band>>
  before?: Metrics
}>()

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
    <h2 id="board-title">Balance <span class="quiet small">sound range shaded</span></h2>
    <ul aria-hidden="true">
      <li v-for="r in rows" :key="r.key" :class="{ off: !r.place.inside }">
        <div class="what">
          <strong>{{ r.label }}</strong><span class="quiet small">{{ r.ends[0] }} … {{ r.ends[1] }}</span>
        </div>
        <svg class="strip" viewBox="0 0 100 26" preserveAspectRatio="none" focusable="false">
          <rect x="0" y="8" width="100" height="10" rx="2" class="rail" />
          <rect v-if="r.band" :x="r.place.from * 100" y="8" :width="(r.place.to - r.place.from) * 100" height="10" class="sound" />
          <line v-if="r.place.before !== null" :x1="r.place.before * 100" :x2="r.place.before * 100" y1="2" y2="24" class="was" />
          <rect :x="r.place.now * 100 - 1.6" y="2" width="3.2" height="22" rx="1.2" class="now" />
        </svg>
        <div class="value">
          <strong>{{ r.write(r.value) }}</strong>
          <span class="quiet small"
            ><template v-if="!r.place.inside">{{ r.place.side === 'low' ? r.ends[0] : r.ends[1] }}</template
            ><template v-else-if="r.was !== undefined && r.key !== 'fluidity'">was {{ r.write(r.was) }}</template></span
          >
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
