<script setup lang="ts">
import IconPrinter from '~icons/ph/printer-bold'
import { minuteOf } from '../../core/measure/day'
import { dayName, momentName } from '~/kitchen/dates'
import type { Waits } from '../../core/schedule/activity'
import type { ScheduleAnswer } from '../../core/contract/schedule'
import { suits } from '../../core/pantry/ingredient'
import { ingredientOf, nameOf } from '../../core/pantry/pantry'
import { HARD_NEEDS } from '../../core/pantry/ingredient'
import { useClock } from '~/stores/clock'
import { useKitchen } from '~/stores/kitchen'
import { useShelf } from '~/stores/shelf'

/** The day itself: back from serving, over hands, oven and cold. */
type Activity = ScheduleAnswer['activities'][number]
const clock = useClock()
const kitchen = useKitchen()
const shelf = useShelf()
const picked = ref<string | null>(null)
const shopping = ref(false)
const said = ref('')
useHead({ title: 'The day · Kind Crumb' })
watch(
  () => shelf.whole,
  (whole) => {
    if (whole) void clock.open()
  },
  { immediate: true },
)

const answer = computed(() => clock.answer)
/** A wish that cannot be had leaves the last plan in view that could. */
const plan = computed(() => (answer.value?.conflicts.length ? clock.lastGood : answer.value))
const day = computed(() => clock.day)
function add(id: string) {
  const v = shelf.versionById(id)
  if (v && day.value) void clock.change({ versions: [...day.value.versions, id] }, `${v.recipe.title} on the day`)
}
const take = (id: string) => clock.change({ versions: day.value!.versions.filter((v) => v !== id) }, 'a bake off the day')
function serve(iso: string) {
  if (/^\d{4}-\d\d-\d\dT\d\d:\d\d/.test(iso)) void clock.change({ serveAt: iso.slice(0, 16) }, 'the serving time')
}
const minutes = (a: Activity) => minuteOf(a.end) - minuteOf(a.start)
const long = (m: number) => (m >= 120 ? `${Math.round(m / 30) / 2} h` : `${m} min`)
const days = computed(() => {
  const map = new Map<string, Activity[]>()
  for (const a of plan.value?.activities ?? []) map.set(a.start.slice(0, 10), [...(map.get(a.start.slice(0, 10)) ?? []), a])
  return [...map]
})
const nameOfDay = (iso: string) => dayName(iso, kitchen.region)
const hour = (iso: string) => momentName(iso, kitchen.region, iso)
const moment = (iso: string) => momentName(iso, kitchen.region, plan.value?.servedAt)
const one = computed(() => plan.value?.activities.find((a) => a.id === picked.value) ?? null)
const things = (a: Activity) => a.needs.filter((n) => n !== 'hands' && !n.startsWith('tin:')).join(', ')
const hands = computed(() => (plan.value?.activities ?? []).filter((a) => a.handsOn).reduce((m, a) => m + minutes(a), 0))
const headline = computed(() => {
  const p = answer.value
  if (!p) return 'Nothing on the day yet: put a bake on it.'
  if (p.conflicts.length) return p.conflicts[0]!.code === 'held' ? 'It does not fit there.' : 'This day cannot be had so.'
  const first = p.activities[0]
  if (!first) return 'All done.'
  const today = first.start.slice(0, 10) === p.servedAt.slice(0, 10)
  const when = `${today ? '' : `on ${nameOfDay(first.start)} `}at ${hour(first.start)}`
  return `Begin ${when}: ${first.label.charAt(0).toLowerCase()}${first.label.slice(1).replace(/\.$/, '')}.`
})
const detail = computed(() => {
  const p = answer.value
  if (!p) return ''
  const c = p.conflicts[0]
  if (c) return `${c.message} ${c.try.join(' ')}${plan.value ? ' Below is the last plan that works.' : ''}`
  return (
    clock.slipped || `${long(hands.value)} of your hands within ${long(p.span)}; served ${nameOfDay(p.servedAt)} at ${hour(p.servedAt)}.`
  )
})
/** What the baker put where it cannot be. */
const heldAndStuck = computed(() => answer.value?.conflicts.find((c) => c.code === 'held')?.ids[0])
/** The evening before is over, or too short for what is put there. */
const stuckAhead = computed(
  () => !!answer.value?.conflicts.length && Object.values(day.value?.ahead ?? {}).some((parts) => parts.length > 0),
)
/** What should stand ready. */
const equipment = computed(() => {
  const all = new Set((plan.value?.activities ?? []).flatMap((a) => a.needs))
  const words: Record<string, string> = {
    oven: 'oven',
    mixer: 'mixer or whisk',
    hob: 'pan and hob',
    fridge: 'room in the fridge',
    freezer: 'room in the freezer',
  }
  return [...all].flatMap((n) => (n.startsWith('tin:') ? [n.slice(4)] : (words[n] ?? [])))
})
const checks = computed(() => {
  const needs = new Set(clock.versions.flatMap((v) => v.goals))
  return clock.needs.flatMap(({ ingredient }) => {
    const i = ingredientOf(ingredient)
    return i && HARD_NEEDS.some((n) => needs.has(n) && suits(i, n) === 'label') && !ingredient.startsWith('sugar')
      ? [nameOf(i, kitchen.region)]
      : []
  })
})
async function calendar() {
  const p = plan.value
  if (!p) return
  const [{ toCalendar }, { download }] = await Promise.all([import('../../core/formats/calendar'), import('~/kitchen/download')])
  const entries = p.activities.map((a) => ({
    id: a.id,
    title: a.label.slice(0, 120),
    notes: `${a.bake}${things(a) ? ` · ${things(a)}` : ''}`,
    start: a.start,
    end: a.end,
    handsOn: a.handsOn,
  }))
  download('the-day.ics', 'text/calendar;charset=utf-8', toCalendar('Kind Crumb', entries, Date.now()))
  said.value = 'The calendar file is in your downloads.'
}
const print = () => window.print()
async function copyReady() {
  const text = [
    'Have ready',
    ...equipment.value.map((e) => `- ${e}`),
    ...clock.takeOut.map((t) => `- ${moment(t.at)} out of the cold: ${t.what.join(', ')}`),
  ].join('\n')
  try {
    await navigator.clipboard.writeText(text)
    said.value = 'Copied.'
  } catch {
    said.value = 'This browser does not let a page copy: mark the list and copy it by hand.'
  }
}
const fix = (change: { minutes?: number; handsOn?: boolean; off?: boolean }, label: string) => {
  const a = one.value
  if (a?.step !== undefined) void clock.fix(a.bake, a.step, change, label)
}
/** How long what may wait does wait. */
const WAITS: { value: Waits; label: string }[] = [
  { value: 'least', label: 'the least that does' },
  { value: 'usual', label: 'as usual' },
  { value: 'better', label: 'long, where better' },
]
</script>

<template>
  <div class="clock">
    <header class="panel head">
      <div class="row">
        <h1>The day</h1>
        <label v-if="day" class="dial"
          >served <WhenField kind="moment" label="Served at" :model-value="day.serveAt" @update:model-value="serve"
        /></label>
        <ElButton v-if="day" class="chip thin" :aria-pressed="day.quiet" @click="clock.change({ quiet: !day.quiet }, 'quiet nights')">
          hands rest 22–7
        </ElButton>
        <span v-if="day" class="dial"
          >waits
          <PickOne
            :model-value="day.waits ?? 'usual'"
            label="How long waits are"
            :of="WAITS"
            @update:model-value="clock.change({ waits: $event }, 'how long waits are')"
        /></span>
      </div>
      <div class="row bakes" role="group" aria-label="Bakes">
        <span v-for="v in clock.versions" :key="v.id" class="bake">
          <NuxtLink :to="`/bench/${v.id}`">{{ clock.nameOf(v) }}</NuxtLink>
          <NuxtLink class="small" :to="`/counter/${v.id}`" :aria-label="`Bake ${clock.nameOf(v)} at the counter`">bake</NuxtLink>
          <button class="plain" type="button" :aria-label="`Take ${clock.nameOf(v)} off the day`" @click="take(v.id)">×</button>
        </span>
        <PickVersion label="Put a bake on the day" prompt="put a bake on it…" :without="day?.versions" @pick="add" />
      </div>
      <div v-if="clock.parts.some((b) => b.parts.length)" class="row aheads">
        <div
          v-for="b in clock.parts.filter((x) => x.parts.length)"
          :key="b.version.id"
          class="row"
          role="group"
          :aria-label="`Made the evening before: ${clock.nameOf(b.version)}`"
        >
          <span class="small"
            >the evening before<template v-if="clock.parts.length > 1">, of {{ clock.nameOf(b.version) }}</template></span
          >
          <ElButton
            v-for="p in b.parts"
            :key="p.part"
            class="chip thin"
            :aria-pressed="p.ahead"
            @click="clock.makeAhead(b.version.id, p.part)"
          >
            {{ p.name }}
          </ElButton>
        </div>
      </div>
    </header>
    <p v-if="clock.refusal" class="look" role="alert">{{ clock.refusal }}</p>

    <section v-if="plan" class="panel" :class="{ before: !!answer?.conflicts.length }" aria-labelledby="lanes-title">
      <h2 id="lanes-title">In lanes <span class="quiet small">drag the serving line, or anything that should be at another time</span></h2>
      <DayLanes
        :plan="plan"
        :serve-at="day!.serveAt"
        :picked="picked"
        @pick="(id: string) => (picked = id)"
        @drag="clock.drag"
        @drop="serve"
        @hold="clock.hold"
      />
      <p v-for="h in plan.holding" :key="h.bake" class="small" :class="{ look: h.minutes > 120 }">{{ h.message }}</p>
    </section>

    <VerdictFoot :headline="headline" :detail="detail" :bad="!!answer?.conflicts.length">
      <template v-if="answer">
        <ElButton v-if="stuckAhead" @click="clock.change({ ahead: {} }, 'all on the day')"> Make it all on the day </ElButton>
        <ElButton v-if="heldAndStuck" @click="clock.letGo(heldAndStuck)">Let it go where it fits</ElButton>
        <ElButton @click="clock.late()">I’m running late</ElButton>
        <ElButton type="primary" @click="shopping = true">To buy</ElButton>
      </template>
    </VerdictFoot>

    <div v-if="plan" class="below" :class="{ before: !!answer?.conflicts.length }">
      <section class="panel agenda" aria-labelledby="agenda-title">
        <h2 id="agenda-title">Hour by hour</h2>
        <template v-for="[date, list] in days" :key="date">
          <h3 v-if="days.length > 1 || date !== plan.servedAt.slice(0, 10)">{{ nameOfDay(date) }}</h3>
          <ol>
            <li v-for="a in list" :key="a.id" :class="{ picked: picked === a.id, waits: !a.handsOn }">
              <ElCheckbox :model-value="false" :aria-label="`Done: ${a.label}`" @change="clock.tick(a.id)" />
              <time :datetime="a.start">{{ hour(a.start) }}</time>
              <button class="plain" type="button" :aria-pressed="picked === a.id" @click="picked = picked === a.id ? null : a.id">
                <span>{{ a.label }}</span>
                <span class="quiet small"
                  >{{ long(minutes(a)) }}<template v-if="!a.handsOn"> by itself</template
                  ><template v-if="things(a)"> · {{ things(a) }}</template
                  ><template v-if="a.better && a.better > minutes(a)"> · better {{ long(a.better) }}</template
                  ><template v-if="clock.versions.length > 1"> · {{ a.bake }}</template></span
                >
              </button>
              <p v-for="c in a.cautions ?? []" :key="c.code" class="look small mind">{{ c.text }} Check with {{ c.checkWith }}.</p>
              <div v-if="picked === a.id && a.step !== undefined" class="row put-right">
                <label class="dial"
                  >takes
                  <TypedField
                    :value="String(minutes(a))"
                    inputmode="numeric"
                    :aria-label="`Minutes: ${a.label}`"
                    @set="fix({ minutes: Math.max(0, Math.min(3000, Math.round(Number($event)) || 0)) }, 'how long a step takes')"
                  />
                  min</label
                >
                <ElButton class="chip thin" :aria-pressed="a.handsOn" @click="fix({ handsOn: !a.handsOn }, 'whether a step wants hands')">
                  wants hands
                </ElButton>
                <ElButton class="chip thin" @click="fix({ off: true }, 'a step left out')">leave it out</ElButton>
              </div>
              <div v-if="picked === a.id" class="row put-right">
                <label class="dial"
                  >at
                  <WhenField
                    kind="hour"
                    :label="`Begins at: ${a.label}`"
                    :model-value="a.start.slice(11)"
                    @update:model-value="(at: string) => at && clock.hold(a.id, `${a.start.slice(0, 10)}T${at}`)"
                /></label>
                <ElButton v-if="a.held" class="chip thin" @click="clock.letGo(a.id)">let it go where it fits</ElButton>
              </div>
            </li>
          </ol>
        </template>
        <p v-if="day?.done.length" class="small">
          <button class="plain link" type="button" @click="clock.change({ done: [] }, 'the ticks')">
            {{ day.done.length }} done: put them back
          </button>
        </p>
      </section>
      <section class="panel" aria-labelledby="ready-title">
        <h2 id="ready-title">Have ready</h2>
        <ul class="ready" aria-label="Equipment">
          <li v-for="e in equipment" :key="e">
            <ElCheckbox :model-value="day?.ready?.includes(e) ?? false" @change="clock.setOut(e)">{{ e }}</ElCheckbox>
          </li>
        </ul>
        <template v-if="clock.takeOut.length">
          <h3>Take out of the cold</h3>
          <ul class="ready" aria-label="Take out of the cold">
            <li v-for="t in clock.takeOut" :key="t.bake">
              <ElCheckbox :model-value="day?.ready?.includes(`out:${t.bake}`) ?? false" @change="clock.setOut(`out:${t.bake}`)"
                ><span
                  ><b>{{ moment(t.at) }}</b> {{ t.what.join(', ') }}
                  <span v-if="clock.versions.length > 1" class="quiet small">· {{ t.bake }}</span></span
                ></ElCheckbox
              >
            </li>
          </ul>
        </template>
        <div class="row files">
          <ElButton @click="calendar">Calendar file</ElButton>
          <ElButton @click="copyReady">Copy this list</ElButton>
          <ElButton @click="print"><IconPrinter aria-hidden="true" /> Print</ElButton>
        </div>
        <p role="status" class="small">{{ said }}</p>
      </section>
    </div>
    <ShoppingSheet v-model="shopping" title="the day" :needs="clock.needs" :checks="checks" />
  </div>
</template>

<style scoped>
.clock {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}
.head {
  display: flex;
  justify-content: space-between;
  gap: 10px 20px;
  flex-wrap: wrap;
  align-items: center;
  padding: 12px 20px;
}
h1 {
  font-size: 1.6rem;
  margin-right: 10px;
}
h3 {
  font-size: 1.02rem;
  margin-top: 10px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
}
.head .row {
  min-width: 0;
  max-width: 100%;
}
/* Minutes, and not the hour, whose field has a width of its own. */
.put-right .dial > .el-input {
  width: 70px;
  text-align: right;
}
/* A line of its own, whatever stands above it. */
.head .aheads {
  flex-basis: 100%;
  gap: 6px 22px;
}
/* What cannot be had now, and was to be had before. */
.before {
  opacity: 0.75;
}
.bake {
  display: inline-flex;
  align-items: center;
  gap: 8px;
  min-height: 38px;
  border: 2px solid var(--spruce-strong);
  border-radius: 12px;
  padding: 0 4px 0 12px;
  font-weight: 600;
}
.bake a {
  text-decoration: none;
}
.bake .plain {
  width: 30px;
  min-height: 34px;
  text-align: center;
  font-size: 1.2rem;
}
.below {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 1fr);
  gap: 12px;
  align-items: start;
}
.agenda li {
  display: grid;
  grid-template-columns: 24px 4.6em minmax(0, 1fr);
  gap: 8px;
  align-items: start;
  padding: 8px 0;
  border-bottom: 1px solid var(--hair);
}
.agenda time {
  white-space: nowrap;
  font-family: var(--display);
  font-weight: 700;
  font-size: 1.1rem;
}
.agenda .plain span {
  display: block;
}
.agenda li.waits .plain > span:first-child {
  font-style: italic;
}
.agenda li.picked {
  background: var(--beet-soft);
  border-radius: 10px;
}
.mind,
.put-right {
  grid-column: 3;
}
.ready li {
  padding: 5px 0;
  border-bottom: 1px solid var(--hair);
}
.ready label {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 34px;
}
.files {
  margin-top: 12px;
}
.link {
  text-decoration: underline;
}
@media (max-width: 53.75em) {
  .below {
    grid-template-columns: minmax(0, 1fr);
  }
  /* In the hand the answer comes first. */
  .head {
    order: -2;
  }
}
@media print {
  .head .el-select,
  .bake .plain,
  .files,
  .agenda .el-checkbox {
    display: none;
  }
  .below {
    grid-template-columns: 1fr;
  }
}
</style>
