<script setup lang="ts">
import { numberOf } from '../../core/language/number'
import type { Reading } from '../../core/counter/scale'
import { poured, progress, targetReading, tooMuch, type Bowl, type Taring } from '../../core/counter/tare'
import type { Use } from '../../core/counter/uses'
import { simulatedScale, type Stop } from '~/kitchen/devices'

/** What the scale must show, and what it shows. Typing what it reads is as good as the stand-in. */
const props = defineProps<{ use: Use; bowl: Bowl; taring: Taring }>()
const emit = defineEmits<{ take: [reading: number]; bowl: [grams: number]; taring: [way: Taring]; other: [] }>()
const scale = simulatedScale
const reading = ref<Reading | null>(null)
const pouring = ref(false)
const away = ref(false)
const typed = ref('')
let stop: Stop | null = null

const target = computed(() => Math.round(targetReading(props.bowl, props.use.grams, props.taring)))
const before = computed(() => (props.taring === 'zero' ? 0 : props.bowl.bowlGrams + props.bowl.inside))
const far = computed(() =>
  reading.value ? progress(props.use.grams, poured(props.bowl, reading.value.grams, props.taring), scale.resolution) : null,
)
const share = computed(() => {
  const gone = reading.value ? poured(props.bowl, reading.value.grams, props.taring) : 0
  return Math.max(0, Math.min(1.12, gone / props.use.grams))
})
const say = computed(() => {
  const f = far.value
  if (!f || f.state === 'empty') return ''
  if (f.state === 'there') return 'There. That is it.'
  if (f.state === 'over') return `${Math.round(-f.left)} g over. ${tooMuch(props.use.grams, props.use.grams - f.left)}`
  return `${Math.round(f.left)} g to go${f.state === 'slowly' ? ', slowly' : ''}`
})
/** The sum behind the number, as a baker would say it. */
const sum = computed(() => {
  if (props.taring === 'zero') return 'set to nought before it goes in'
  const parts = [
    props.bowl.bowlGrams ? `bowl ${Math.round(props.bowl.bowlGrams)}` : '',
    props.bowl.inside ? `in it ${Math.round(props.bowl.inside)}` : '',
    `${props.use.name} ${Math.round(props.use.grams)}`,
  ].filter(Boolean)
  return parts.length > 1 ? parts.join(' + ') : ''
})
function end() {
  stop?.()
  stop = null
  pouring.value = false
}
function pour() {
  end()
  pouring.value = true
  away.value = false
  // Nobody pours to the gram: the stand-in stops a little beside the mark, each thing in its own way.
  const beside = ((props.use.grams * 7) % 5) - 2
  const miss = Math.sign(beside) * Math.min(Math.abs(beside), props.use.grams * 0.02)
  stop = scale.watch(
    { from: before.value, to: before.value + props.use.grams + miss },
    (r) => {
      reading.value = r
      if (r.stable) end()
    },
    () => {
      end()
      away.value = true
    },
  )
}
function take() {
  if (reading.value) emit('take', reading.value.grams)
}
function type() {
  const grams = numberOf(typed.value)
  if (grams === undefined) return
  typed.value = ''
  reading.value = { grams, stable: true }
  if (far.value?.state === 'there') take()
}
watch(
  () => props.use.id,
  () => {
    end()
    reading.value = null
    typed.value = ''
  },
)
onBeforeUnmount(end)
</script>

<template>
  <section class="panel scale" aria-labelledby="scale-title">
    <h2 id="scale-title">On the scale <span v-if="scale.simulated" class="quiet small">stand-in</span></h2>
    <p class="quiet">{{ use.name }} until it reads</p>
    <p class="target">{{ target }} g</p>
    <p class="quiet small">{{ sum }}</p>
    <div class="gauge" :class="far?.state">
      <svg viewBox="0 0 60 150" aria-hidden="true">
        <rect x="2" y="2" width="56" height="146" rx="12" class="glass" />
        <rect x="2" :y="148 - 120 * share" width="56" :height="120 * share" rx="10" class="fill" />
        <line x1="0" x2="60" y1="28" y2="28" class="mark" />
      </svg>
      <div class="now" role="status">
        <p class="reads">{{ reading ? `${reading.grams} g` : '–' }}</p>
        <p>{{ reading && !reading.stable ? 'settling…' : say }}</p>
        <ElButton v-if="reading?.stable && far && far.state !== 'empty'" type="primary" @click="take">
          {{ far.state === 'there' ? 'In, next' : 'Take it so' }}
        </ElButton>
        <ElButton v-else :disabled="pouring" @click="pour">{{ pouring ? 'Pouring…' : 'Pour (simulated)' }}</ElButton>
      </div>
    </div>
    <p v-if="away" class="look small" role="alert">The stand-in does not answer. Type what your scale reads.</p>
    <form class="typed" @submit.prevent="type">
      <label>it reads <ElInput v-model="typed" inputmode="decimal" aria-label="What the scale reads, g" /> g</label>
      <ElButton native-type="submit">Take</ElButton>
    </form>
    <details class="small">
      <summary>Bowl and sums</summary>
      <div class="row">
        <label
          >empty bowl
          <TypedField
            :value="String(bowl.bowlGrams || '')"
            inputmode="decimal"
            aria-label="Empty bowl, g"
            @set="emit('bowl', Math.max(0, Math.min(20000, Number($event) || 0)))"
          />
          g</label
        >
        <ElButton class="chip" :aria-pressed="taring === 'zero'" @click="emit('taring', taring === 'zero' ? 'sum' : 'zero')">
          back to nought each time
        </ElButton>
        <ElButton class="chip" @click="emit('other')">another bowl</ElButton>
      </div>
    </details>
  </section>
</template>

<style scoped>
.scale {
  display: grid;
  gap: 4px;
  align-content: start;
}
.target {
  font-family: var(--display);
  font-weight: 800;
  font-size: 3.4rem;
  line-height: 1;
}
.gauge {
  display: grid;
  grid-template-columns: 84px minmax(0, 1fr);
  gap: 14px;
  align-items: end;
  margin: 6px 0;
}
.glass {
  fill: var(--mist);
}
.fill {
  fill: var(--sound);
}
.slowly .fill {
  fill: var(--butter);
}
.over .fill {
  fill: var(--thread-beet);
}
.mark {
  stroke: var(--beet);
  stroke-width: 4;
}
.reads {
  font-family: var(--display);
  font-weight: 700;
  font-size: 2rem;
}
.now {
  display: grid;
  gap: 6px;
  justify-items: start;
}
.typed,
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
.row {
  padding-top: 8px;
}
.el-input {
  width: 96px;
}
summary {
  cursor: pointer;
  min-height: 32px;
  display: flex;
  align-items: center;
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>
