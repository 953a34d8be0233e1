<script setup lang="ts">
import IconSpeaker from '~icons/ph/speaker-high-bold'
import { useIntervalFn, useMediaQuery } from '@vueuse/core'
import { inKitchenGrams } from '~/kitchen/amount'
import { standing } from '~/kitchen/timers'
import { useCounter } from '~/stores/counter'
import { useShelf } from '~/stores/shelf'
import { useHandsFree, useVoice } from '~/composables/useHandsFree'
import { useRing } from '~/composables/useRing'

/** At the counter: one thing at a time, to be read from two metres. */
const route = useRoute()
const router = useRouter()
const shelf = useShelf()
const counter = useCounter()
const missing = ref(false)
const root = ref<HTMLElement | null>(null)
const list = ref(false)
const said = useSaid()
/** Pressed once with things still open: the second press goes on. */
const sure = ref(false)
const narrow = useMediaQuery('(max-width: 53.75em)')
const now = ref(Date.now())
const ring = useRing()
const voice = useVoice()

watch(
  [() => route.params.id, () => shelf.whole],
  () => {
    const v = shelf.versionById(String(route.params.id))
    missing.value = shelf.whole && !v
    if (v) void counter.show(v)
  },
  { immediate: true },
)
useHead({ title: () => `${counter.version?.recipe.title ?? 'Counter'} · Kind Crumb` })

const session = computed(() => counter.session)
const step = computed(() => counter.step)
const at = computed(() => session.value?.at ?? 0)
const next = computed(() => counter.steps[at.value + 1] ?? null)
const ticked = (id: string) => session.value?.ticks[id]
/** What is due and not seen to: the oven and the tins until the cake is in, the rest only where it matters. */
const reminders = computed(() =>
  inOven.value
    ? []
    : counter.steps
        .slice(0, at.value + 1)
        .flatMap((s, i) => s.reminders.filter((r) => r.code !== 'soften' || i === at.value).map((r) => ({ ...r, id: `${s.id}:${r.code}` })))
        .filter((r) => !session.value?.reminded.includes(r.id) && counter.inOven === null),
)
const cold = computed(() => step.value?.kind === 'bake' && reminders.value.some((r) => r.code === 'preheat'))
const timerHere = computed(() => session.value?.timers.filter((t) => t.step === step.value?.id).at(-1) ?? null)
const stands = computed(() => (timerHere.value ? standing(timerHere.value, now.value) : null))
const inOven = computed(() => step.value?.kind === 'bake' && counter.inOven !== null)
const short = (text: string) =>
  (text.length > 46 ? `${text.slice(0, 44).replace(/\s+\S*$/, '')}…` : text).replace(/[.…]*$/, (e) => (e.includes('…') ? '…' : ''))
const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)
const goLabel = computed(() => {
  if (!next.value) return 'Done: that was the last'
  if (sure.value && early.value) return `Take it out already, after ${Math.round((now.value - counter.inOven!) / 60_000)} min?`
  if (sure.value && counter.open.length) return `Go on without ${counter.open.map((u) => u.name).join(', ')}`
  return `Done: ${lower(short(next.value.text))}`
})

/** A second tap sooner than this is a finger that slipped, and skips nothing, ms. */
const ONE_TAP = 400
let asked = 0
/** Out of the oven before half of the shortest time: a slip, mostly; where a probe is in the cake, it knows better. */
const early = computed(() => {
  const began = inOven.value && !session.value?.probe ? counter.inOven : null
  return began !== null && step.value !== null && now.value - began < 0.5 * step.value.minutes.low * 60_000
})

async function forward() {
  if (!session.value || !step.value) return
  const hesitates = counter.open.length > 0 || early.value
  if (hesitates && !sure.value) {
    sure.value = true
    asked = Date.now()
    return
  }
  if (hesitates && Date.now() - asked < ONE_TAP) return
  sure.value = false
  if (!next.value) {
    await finish()
    return
  }
  await counter.goTo(at.value + 1)
}
async function back() {
  sure.value = false
  if (session.value) await counter.goTo(at.value - 1)
}
function jump(i: number) {
  sure.value = false
  list.value = false
  void counter.goTo(i)
}
async function finish() {
  const page = await counter.finish()
  if (!page) return
  said.value = 'Baked. It is in the book.'
  await router.push(`/book/${page}`)
}
const time = () => step.value && counter.time(short(step.value.text), step.value.minutes.best)
const readOut = () => {
  const s = step.value
  if (s) voice.say([s.text, ...s.uses.map((u) => `${u.kitchen} ${u.name}`), s.look?.look ?? ''].join('. '))
}
useHandsFree(root, {
  next: forward,
  back,
  tick: (place) => {
    const use = step.value?.uses[place - 1]
    return use && counter.tick(use)
  },
  time: () => (step.value?.kind === 'bake' && !inOven.value ? counter.intoOven() : time()),
  read: readOut,
})
watch(
  () => step.value?.id,
  () => {
    if (voice.always.value) readOut()
    root.value?.querySelector<HTMLElement>('.page')?.scrollTo({ top: 0 })
  },
)
useIntervalFn(() => (now.value = Date.now()), 500)
</script>

<template>
  <LostRecipe v-if="missing" />
  <div v-else-if="counter.version && counter.answer" ref="root" class="counter">
    <CounterStart v-if="!session" />

    <template v-else-if="step">
      <StepRail v-if="!narrow || list" :at="at" :short="short" @jump="jump" />

      <div class="middle">
        <section class="panel page" aria-labelledby="step-title">
          <div class="top">
            <p class="quiet">
              step {{ at + 1 }} of {{ counter.steps.length
              }}<template v-if="step.minutes.best"> · about {{ step.minutes.best }} min{{ step.handsOn ? '' : ' by itself' }}</template>
            </p>
            <ElButton v-if="narrow" class="chip" :aria-expanded="list" @click="list = !list">all steps</ElButton>
            <ElButton v-if="voice.has" class="round" circle text aria-label="Read it out" title="Read it out ( r )" @click="readOut">
              <IconSpeaker />
            </ElButton>
          </div>
          <h1 id="step-title" :class="{ long: step.text.length > 44 || step.uses.length > 3 }">{{ step.text }}</h1>

          <ul v-if="reminders.length" class="look reminders" aria-label="Not to forget">
            <li v-for="r in reminders" :key="r.id">
              <button class="plain" type="button" @click="counter.remind(r.id)">
                <span class="box" aria-hidden="true" /><span>{{ r.text }}</span
                ><span class="visually-hidden">, done</span>
              </button>
            </li>
          </ul>

          <ol v-if="step.uses.length" class="uses" aria-label="Goes in now">
            <li v-for="u in step.uses" :key="u.id" :class="{ in: ticked(u.id) }">
              <button type="button" class="plain use" :aria-pressed="!!ticked(u.id)" @click="counter.tick(u)">
                <span class="box" aria-hidden="true">{{ ticked(u.id) ? '✓' : '' }}</span>
                <span class="what">{{ u.name }}<small v-if="u.unnamed" class="quiet"> not named in the method</small></span>
                <span class="much"
                  >{{ ticked(u.id)?.weighed ? inKitchenGrams(ticked(u.id)!.grams) : u.kitchen }}
                  <small v-if="!ticked(u.id)?.weighed && !/\bg$/.test(u.kitchen)" class="quiet">{{ inKitchenGrams(u.grams) }}</small></span
                >
              </button>
            </li>
          </ol>

          <template v-if="step.kind === 'bake'">
            <div v-if="!inOven" class="oven">
              <p v-if="cold" class="big">Is the oven hot?</p>
              <ElButton class="huge" type="primary" @click="counter.intoOven()">It is in the oven</ElButton>
            </div>
            <div v-else-if="stands" class="oven" :class="stands.state" role="status">
              <p class="big">
                <template v-if="stands.state === 'runs'"
                  >Look in
                  {{
                    Math.max(0, Math.ceil(((timerHere!.look ?? timerHere!.minutes) * 60 - (timerHere!.minutes * 60 - stands.left)) / 60))
                  }}
                  min</template
                >
                <template v-else-if="stands.state === 'look'">Look now</template>
                <template v-else>It should be done</template>
              </p>
              <p class="quiet">
                done between {{ step.minutes.low }} and {{ step.minutes.high }} min, most likely at {{ step.minutes.best }}
              </p>
              <ElButton v-if="stands.state !== 'runs'" @click="counter.longer(timerHere!.id, 4)"> Not yet: four minutes more </ElButton>
            </div>
          </template>
          <div v-else-if="!timerHere && (!step.handsOn || /\bminutes?\b/i.test(step.text))" class="oven">
            <ElButton class="huge" @click="time">Start the clock: {{ step.minutes.best }} min</ElButton>
          </div>

          <StepLook v-if="step.look" :step="step" :look="step.look" />
          <p v-for="c in step.cautions" :key="c.code" class="look small">{{ c.text }} Check with {{ c.checkWith }}.</p>
        </section>
        <footer class="go">
          <ElButton class="huge back" :disabled="at === 0" @click="back">Back</ElButton>
          <ElButton
            class="huge on"
            type="primary"
            :class="{ open: sure && (counter.open.length || early) }"
            @click="(e: MouseEvent) => e.detail < 2 && forward()"
          >
            {{ goLabel }}
          </ElButton>
        </footer>
      </div>

      <aside class="side">
        <CounterScale
          v-if="counter.weighing"
          :use="counter.weighing"
          :bowl="session.bowl"
          :taring="session.taring"
          @take="counter.take"
          @bowl="counter.bowl"
          @taring="counter.taring"
          @other="counter.otherBowl"
        />
        <ProbePanel
          v-if="inOven && counter.curve.length && counter.prepared?.bake?.minutes"
          :curve="counter.curve"
          :done-c="counter.prepared.bake.doneC"
          :minutes="counter.prepared.bake.minutes"
          :began="counter.inOven!"
          :probe="session.probe"
          :pace="counter.pace"
          @start="counter.probing"
          @stop="counter.unprobe"
          @read="counter.probed"
        />
        <RunningTimers
          v-if="session.timers.length"
          :timers="session.timers"
          :now="now"
          @stop="counter.untime"
          @longer="counter.longer"
          @heard="counter.heard"
        />
        <p v-if="session.timers.length && ring.canNotify && !ring.asked.value" class="panel small">
          <ElButton @click="ring.allow()">Call me when the page is hidden</ElButton>
        </p>
        <div v-if="voice.has" class="panel aloud small"><ElCheckbox v-model="voice.always.value">read every step out</ElCheckbox></div>
      </aside>
    </template>
  </div>
  <p v-else-if="counter.refusal" class="look" role="alert">{{ counter.refusal }}</p>
  <p v-else class="quiet" role="status">Laying out the steps…</p>
</template>

<style scoped>
.counter {
  display: grid;
  grid-template-columns: 232px minmax(0, 1fr) 316px;
  gap: 12px;
  height: calc(100dvh - 84px);
  min-height: 520px;
}
.middle {
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  gap: 12px;
  min-height: 0;
}
.page {
  overflow: auto;
  display: flex;
  flex-direction: column;
  gap: 12px;
  padding: 14px 26px;
}
.top {
  display: flex;
  gap: 10px;
  align-items: center;
}
.top p {
  flex: 1;
  font-size: 1.1rem;
}
.page h1 {
  font-size: clamp(1.9rem, 4.4vw, 3.1rem);
  line-height: 1.12;
}
.page h1.long {
  font-size: clamp(1.7rem, 3.3vw, 2.4rem);
}
.uses li {
  border-top: 2px solid var(--hair);
}
.use {
  display: grid;
  grid-template-columns: 40px minmax(0, 1fr) auto;
  gap: 14px;
  align-items: center;
  width: 100%;
  min-height: 58px;
  font-size: 1.5rem;
}
.box {
  width: 38px;
  height: 38px;
  border: 3px solid var(--rim);
  border-radius: 10px;
  display: grid;
  place-items: center;
}
.in .box {
  background: var(--spruce-strong);
  color: var(--on-spruce);
}
.in .what,
.in .much {
  color: var(--quiet);
}
.what {
  font-weight: 600;
}
.what small,
.much small {
  font-size: 1rem;
  font-weight: 400;
}
.much {
  font-weight: 700;
  text-align: right;
}
.reminders {
  padding: 2px 12px;
}
.reminders .plain {
  display: grid;
  grid-template-columns: 28px minmax(0, 1fr);
  gap: 12px;
  align-items: center;
  width: 100%;
  min-height: 46px;
  font-size: 1.1rem;
}
.reminders .box {
  width: 26px;
  height: 26px;
  border-radius: 7px;
}
.oven {
  display: grid;
  gap: 8px;
  justify-items: start;
}
.big {
  font-family: var(--display);
  font-weight: 800;
  font-size: 2.6rem;
  line-height: 1.1;
}
.oven.look .big,
.oven.over .big {
  color: var(--beet);
}
.oven.look {
  border: 0;
  background: none;
  padding: 0;
}
.go {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 12px;
}
.on.open {
  background: var(--beet);
  border-color: var(--beet);
  color: var(--on-beet);
}
.side {
  overflow: auto;
  display: flex;
  flex-direction: column;
  gap: 12px;
  min-height: 0;
}
.aloud {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 44px;
}
@media (max-width: 73em) {
  .counter {
    grid-template-columns: minmax(0, 1fr) 300px;
  }
}
@media (max-width: 53.75em) {
  .counter {
    display: flex;
    flex-direction: column;
    height: auto;
    min-height: calc(100dvh - 84px);
  }
  .middle {
    display: contents;
  }
  .page {
    overflow: visible;
    padding: 14px 16px;
  }
  .side {
    overflow: visible;
  }
  .go {
    order: 3;
    position: sticky;
    bottom: 0;
    background: var(--ground);
    padding: 8px 0;
    margin-top: auto;
  }
  .use {
    font-size: 1.25rem;
    gap: 10px;
  }
}
</style>
