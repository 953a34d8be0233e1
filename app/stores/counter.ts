import { liveQuery, type Subscription } from 'dexie'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type { BalanceAnswer } from '../../core/contract/handle'
import type { CounterAnswer, CounterStep } from '../../core/counter/steps'
import type { Use } from '../../core/counter/uses'
import { paceOf, type CorePoint } from '../../core/counter/probe'
import { poured, progress, targetReading, type Taring } from '../../core/counter/tare'
import { HARD_NEEDS, type HardNeed } from '../../core/pantry/ingredient'
import { ask, CoreRefusal } from '~/kitchen/core'
import { revise, seen } from '~/kitchen/revision'
import { database, newId, type Session, type Version } from '~/kitchen/database'
import { lacksOf } from '~/kitchen/records'
import { callsDue, longer as later, type Timer } from '~/kitchen/timers'
import { useBook } from './book'
import { useCupboard } from './cupboard'
import { useKeeping } from './keeping'
import { useKitchen } from './kitchen'
import { preparedOf, type Prepared } from './prepared'

/** Lighter than this is measured with a spoon, g. */
const SPOONED = 8
/** Longer than this a cake does not rest in its tin before it is turned out, minutes: it cools there. */
const IN_TIN = 20
/** Readings of the probe are kept so often, minutes of the oven. */
const KEPT_EVERY = 0.5

const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T

/** One bake, step by step, as it happens. */
export const useCounter = defineStore('counter', () => {
  const version = shallowRef<Version | null>(null)
  const answer = shallowRef<CounterAnswer | null>(null)
  const prepared = shallowRef<Prepared | null>(null)
  const session = ref<Session | null>(null)
  /** The balance with what was added by the spoon; `null` while nothing was. */
  const moved = shallowRef<{ before: BalanceAnswer; now: BalanceAnswer } | null>(null)
  const refusal = ref('')
  let turn = 0

  const steps = computed<CounterStep[]>(() => answer.value?.steps ?? [])
  const step = computed<CounterStep | null>(() => steps.value[session.value?.at ?? 0] ?? null)
  const needs = computed<HardNeed[]>(() => HARD_NEEDS.filter((n) => version.value?.goals.includes(n)))
  /** What has to be read before it begins. */
  const grave = computed(() => (answer.value?.cautions ?? []).filter((c) => c.grave))
  const unread = computed(() => grave.value.filter((c) => !session.value?.acknowledged.includes(c.code)))
  const open = computed(() => (step.value?.uses ?? []).filter((u) => !session.value?.ticks[u.id]))
  /** What the scale is for now: the next thing that is worth weighing. */
  const weighing = computed<Use | null>(() => open.value.find((u) => u.grams >= SPOONED) ?? null)
  const target = computed(() =>
    session.value && weighing.value ? targetReading(session.value.bowl, weighing.value.grams, session.value.taring) : null,
  )
  const far = (reading: number, resolution: number) => {
    const s = session.value
    return s && weighing.value ? progress(weighing.value.grams, poured(s.bowl, reading, s.taring), resolution) : null
  }
  /** When it went into the oven, ms since 1970. */
  const inOven = computed(() => {
    const bake = steps.value.find((s) => s.kind === 'bake')
    return bake ? (session.value?.moments[bake.id]?.began ?? null) : null
  })
  const curve = computed<CorePoint[]>(() => (prepared.value?.bake?.curve ?? []).map(({ min, core }) => ({ min, core })))
  const pace = computed(() =>
    session.value?.probe && prepared.value?.bake ? paceOf(curve.value, session.value.probe.readings, prepared.value.bake.doneC) : null,
  )

  const openSession = (versionId: string): Promise<Session | undefined> =>
    database.sessions
      .where('versionId')
      .equals(versionId)
      .filter((s) => s.finishedAt === null && lacksOf('sessions', s) === null)
      .last()
      .catch(() => undefined)

  async function show(v: Version) {
    const mine = ++turn
    if (version.value?.id !== v.id) {
      answer.value = null
      session.value = null
      moved.value = null
    }
    version.value = v
    useKitchen().lastVersion = v.id
    try {
      const found = await preparedOf(v)
      const kept = await openSession(v.id)
      const minutes = found.bake?.minutes
      const told = await ask('counter', {
        recipe: v.recipe,
        ...useCupboard().common(),
        altitudeM: useKitchen().altitudeM,
        boxes: v.boxes,
        needs: needs.value,
        fixes: found.kept,
        ...(minutes && { oven: { low: Math.round(minutes.low), best: Math.round(minutes.best), high: Math.round(minutes.high) } }),
        tins: v.recipe.tins.map((t) => t.text),
        ...(found.build?.components.length && {
          finish: found.build.steps,
          components: [
            ...found.build.components.flatMap((c) => (c.recipe ? [{ name: c.name, recipe: c.recipe }] : [])),
            ...(found.build.soak ? [{ name: 'Soak', recipe: found.build.soak.recipe }] : []),
          ],
        }),
      })
      if (mine !== turn) return
      prepared.value = found
      answer.value = told
      session.value ??= kept ?? null
      refusal.value = ''
      await follow()
    } catch (error) {
      if (mine === turn) refusal.value = error instanceof CoreRefusal ? error.message : 'The steps could not be read. Your recipe is kept.'
    }
  }

  /** What was done here and is not on the disk yet. */
  let dirty: Partial<Session> = {}
  /** Everything that happens is written at once: a closed tab loses nothing, and what another tab did meanwhile stays. */
  async function put(next: Partial<Session>) {
    if (!session.value) return
    const now = plain({ ...session.value, ...next, updatedAt: revise() })
    session.value = now
    dirty = { ...dirty, ...plain(next), updatedAt: now.updatedAt }
    await useKeeping().write(`session ${now.id}`, 'This bake', () =>
      database.transaction('rw', database.sessions, async () => {
        const there = await database.sessions.get(now.id)
        const is = { ...(there ?? now), ...dirty }
        await database.sessions.put(is)
        dirty = {}
        if (session.value?.id === is.id && session.value.updatedAt <= is.updatedAt) session.value = is
      }),
    )
  }

  let followed: Subscription | undefined
  /** Goes along with what happens to this bake elsewhere: in another tab, or on the strip of timers. */
  function along(id: string) {
    followed?.unsubscribe()
    followed = liveQuery(() => database.sessions.get(id)).subscribe({
      next: (there) => {
        const here = session.value
        if (here?.id !== id || !there || there.updatedAt <= here.updatedAt) return
        seen(there.updatedAt)
        if (there.finishedAt !== null) {
          session.value = null
          return
        }
        session.value = { ...there, ...dirty }
        void follow()
      },
      error: () => undefined,
    })
  }
  watch(
    () => session.value?.id,
    (id) => id && along(id),
  )

  async function begin() {
    const v = version.value
    if (!v) return
    // Another tab may have begun meanwhile: there is one bake of a version at a time.
    const there = await openSession(v.id)
    if (there) {
      session.value = there
      return
    }
    const now = Date.now()
    session.value = {
      id: newId(),
      versionId: v.id,
      startedAt: now,
      finishedAt: null,
      at: 0,
      acknowledged: grave.value.map((c) => c.code),
      reminded: [],
      ticks: {},
      bowl: { bowlGrams: 0, inside: 0 },
      taring: 'sum',
      spoons: [],
      timers: [],
      moments: steps.value[0] ? { [steps.value[0].id]: { began: now } } : {},
      looked: {},
      probe: null,
      updatedAt: now,
    }
    await put({})
  }

  async function goTo(at: number) {
    const s = session.value
    const to = steps.value[at]
    if (!s || !to || at === s.at) return
    const now = Date.now()
    const from = step.value
    const moments = { ...s.moments }
    if (from && at > s.at && moments[from.id] && !moments[from.id]!.ended) moments[from.id] = { ...moments[from.id]!, ended: now }
    // The oven's time begins with its own button: the door is open before it.
    if (to.kind !== 'bake') moments[to.id] ??= { began: now }
    // Out of the oven its clock is over, and the minutes in the tin begin by themselves: too long, and the cake sweats and sticks.
    const out = at > s.at && from?.kind === 'bake'
    const timers = out ? s.timers.filter((t) => t.step !== from.id) : s.timers
    await put({ at, moments, timers })
    const rests = to.inTin ?? (to.minutes.best <= IN_TIN ? to.minutes.best : 0)
    if (out && to.kind === 'cool' && rests > 0) await time('In the tin', rests)
  }

  /** Ticks a thing off, as weighed or as the recipe says; ticking it again takes it back out of the sum. */
  async function tick(u: Use, weighed?: number) {
    const s = session.value
    if (!s) return
    const { [u.id]: was, ...others } = s.ticks
    if (was && weighed === undefined) {
      await put({ ticks: others, bowl: { ...s.bowl, inside: Math.max(0, s.bowl.inside - was.grams) } })
      return
    }
    const grams = weighed ?? u.grams
    await put({
      ticks: { ...s.ticks, [u.id]: { grams, weighed: weighed !== undefined, at: Date.now() } },
      bowl: { ...s.bowl, inside: s.bowl.inside - (was?.grams ?? 0) + grams },
    })
    await follow()
  }
  /** Takes a reading of the scale for what is being weighed. */
  async function take(reading: number) {
    const s = session.value
    if (!s || !weighing.value) return
    const grams = Math.round(10 * poured(s.bowl, reading, s.taring)) / 10
    if (grams > 0) await tick(weighing.value, grams)
  }
  const bowl = (grams: number) => put({ bowl: { ...session.value!.bowl, bowlGrams: grams } })
  /** Another bowl stands on the scale: the sum begins anew. */
  const otherBowl = () => put({ bowl: { bowlGrams: 0, inside: 0 } })
  const taring = (way: Taring) => put({ taring: way })
  const remind = (id: string) => put({ reminded: [...(session.value?.reminded ?? []), id] })
  const look = (how: Session['looked'][string]) =>
    step.value ? put({ looked: { ...session.value!.looked, [step.value.id]: how } }) : undefined

  async function spoon(by: 1 | -1) {
    const s = session.value
    const what = answer.value?.spoon
    if (!s || !what || !step.value) return
    const spoons =
      by > 0
        ? [...s.spoons, { step: step.value.id, ingredient: what.ingredient, name: what.name, grams: what.gramsEach, at: Date.now() }]
        : s.spoons.slice(0, -1)
    await put({ spoons, bowl: { ...s.bowl, inside: Math.max(0, s.bowl.inside + by * what.gramsEach) } })
    await follow()
  }

  /** The recipe as it really is in the bowl. */
  function asMade(): Version['recipe'] | null {
    const v = version.value
    const s = session.value
    if (!v || !s) return null
    const recipe = JSON.parse(JSON.stringify(v.recipe)) as Version['recipe']
    for (const [id, t] of Object.entries(s.ticks)) {
      const [part, at] = id.split('.').map(Number)
      const line = recipe.parts[part!]?.lines[at!]
      if (line && t.weighed) line.grams = { low: t.grams, high: t.grams, best: t.grams }
    }
    const batter = recipe.parts.find((p) => p.role === 'batter') ?? recipe.parts[0]
    for (const x of s.spoons)
      batter?.lines.push({
        text: `${x.grams} g ${x.name}`,
        quantity: { low: x.grams, high: x.grams, unit: 'g' },
        grams: { low: x.grams, high: x.grams, best: x.grams },
        ingredient: x.ingredient,
        match: 'exact',
        prep: null,
        optional: false,
      })
    return recipe
  }
  /** What weighed amounts and added spoons do to the balance. */
  async function follow() {
    const v = version.value
    const s = session.value
    const made = asMade()
    const changed = s && (s.spoons.length > 0 || Object.values(s.ticks).some((t) => t.weighed))
    if (!v || !made || !changed) {
      moved.value = null
      return
    }
    const common = { ...useCupboard().common(), altitudeM: useKitchen().altitudeM, boxes: v.boxes }
    try {
      const [before, now] = await Promise.all([
        ask('balance', { recipe: v.recipe, ...common }),
        ask('balance', { recipe: made, ...common }),
      ])
      if (session.value?.id === s.id) moved.value = { before, now }
    } catch {
      moved.value = null
    }
  }

  async function time(label: string, minutes: number, look?: number, began = Date.now()) {
    const s = session.value
    if (!s || !step.value) return
    const timer: Timer = { id: newId(), label, step: step.value.id, began, minutes, ...(look !== undefined && { look }), called: 0 }
    await put({ timers: [...s.timers, timer] })
  }
  const untime = (id: string) => put({ timers: (session.value?.timers ?? []).filter((t) => t.id !== id) })
  const longer = (id: string, by: number) =>
    put({ timers: (session.value?.timers ?? []).map((t) => (t.id === id ? later(t, by, Date.now()) : t)) })

  /** The baker has heard it: it rings no more until its next call. */
  const heard = (id: string) =>
    put({ timers: (session.value?.timers ?? []).map((t) => (t.id === id ? { ...t, heard: callsDue(t, Date.now()) } : t)) })

  /** The door is shut: the minutes count from this moment. */
  async function intoOven() {
    const s = session.value
    if (!s || step.value?.kind !== 'bake') return
    const now = Date.now()
    await put({ moments: { ...s.moments, [step.value.id]: { began: now } }, oven: step.value.id })
    const { best, low } = step.value.minutes
    await time('In the oven', best, prepared.value?.bake?.firstLook ?? Math.max(1, Math.round(low * 0.85)), now)
  }
  const probing = (speed: number) => put({ probe: { speed, readings: [] } })
  const unprobe = () => put({ probe: null })
  /** Keeps what the probe says: a point every half minute, and the newest. */
  async function probed(r: CorePoint) {
    const p = session.value?.probe
    if (!p) return
    const kept = p.readings.filter((x) => x.min <= r.min)
    const last = kept.at(-2)
    const readings = last && r.min - last.min < KEPT_EVERY ? [...kept.slice(0, -1), r] : [...kept, r]
    await put({ probe: { ...p, readings } })
  }

  /** The bake is over: the version becomes a record, and the book has a new page. @returns the id of that page */
  async function finish() {
    const v = version.value
    // A key held down, or pressed twice, finishes once.
    if (!v || !session.value || session.value.finishedAt !== null) return null
    const done = session.value
    const now = Date.now()
    const moments = { ...done.moments }
    if (step.value && moments[step.value.id] && !moments[step.value.id]!.ended)
      moments[step.value.id] = { ...moments[step.value.id]!, ended: now }
    await put({ finishedAt: now, timers: [], moments })
    return (await useBook().start(v, session.value)).id
  }
  /** Stops without a bake: nothing of it is kept. */
  async function giveUp() {
    const s = session.value
    session.value = null
    moved.value = null
    if (s) await database.sessions.delete(s.id).catch(() => undefined)
  }

  return {
    version,
    answer,
    prepared,
    session,
    moved,
    refusal,
    steps,
    step,
    grave,
    unread,
    open,
    weighing,
    target,
    inOven,
    curve,
    pace,
    far,
    show,
    begin,
    goTo,
    tick,
    take,
    bowl,
    otherBowl,
    taring,
    remind,
    look,
    spoon,
    asMade,
    time,
    untime,
    longer,
    heard,
    intoOven,
    probing,
    unprobe,
    probed,
    finish,
    giveUp,
  }
})
