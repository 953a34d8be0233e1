import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { ScheduleAnswer } from '../../core/contract/schedule'
import { isoOf, minuteOf } from '../../core/measure/day'
import type { MethodOptions, StepFix } from '../../core/schedule/method'
import type { Recipe } from '../../core/recipe/recipe'
import { ingredientOf, nameOf as nameOfIngredient } from '../../core/pantry/pantry'
import { momentName } from '~/kitchen/dates'
import { revise } from '~/kitchen/revision'
import { ask, CoreRefusal } from '~/kitchen/core'
import { database, type DayPlan, type Version } from '~/kitchen/database'
import { useCupboard } from './cupboard'
import { preparedOf } from './prepared'
import { useHistory } from './history'
import { useKeeping } from './keeping'
import { useKitchen } from './kitchen'
import { useShelf } from './shelf'

/** Hands rest between these, where the baker wants quiet. */
export const QUIET = { from: '22:00', to: '07:00' }
/** Serving is moved in steps of so many minutes. */
export const STEP = 15
/** How much later serving may slip before a plan is given up, minutes. */
const LATEST = 24 * 60

/** What is kept cold and mixed at the warmth of the room; it takes about an hour. */
const COLD: readonly string[] = ['egg', 'dairy', 'plant-dairy']
const OUT_BEFORE = 60

type Needs = { ingredient: string; grams: number }[]
interface Ready {
  bake: MethodOptions & { recipe: Recipe }
  needs: Needs
}

/** Now, as the kitchen's clock shows it. */
export const nowIso = (): string => {
  const d = new Date()
  return isoOf(Math.ceil((d.getTime() / 60_000 - d.getTimezoneOffset()) / 5) * 5)
}
/** Three in the afternoon of tomorrow: when a cake is wanted. */
const firstServing = (): string => `${isoOf(minuteOf(nowIso()) + 1440).slice(0, 10)}T15:00`

/** The day itself: what is baked, when it is served, and everything before it. */
export const useClock = defineStore('clock', () => {
  const day = ref<DayPlan | null>(null)
  const answer = shallowRef<ScheduleAnswer | null>(null)
  /** The last plan that could be had: it stays in view where a wish has none. */
  const lastGood = shallowRef<ScheduleAnswer | null>(null)
  const needs = shallowRef<Needs>([])
  const fixes = ref<Record<string, Partial<Record<number, StepFix>>>>({})
  const refusal = ref('')
  /** What a late plan had to give up. */
  const slipped = ref('')
  let turn = 0
  /** What the engine said of the bakes, kept while serving is dragged. */
  let prepared: Ready[] = []

  const shelf = useShelf()
  const versions = computed(() => (day.value?.versions ?? []).flatMap((id) => shelf.versionById(id) ?? []))
  /** Two versions of one recipe on a day are told apart by their names. */
  const nameOf = (v: Version) =>
    versions.value.filter((x) => x.recipe.title === v.recipe.title).length > 1 ? `${v.recipe.title}: ${v.name}` : v.recipe.title

  async function open() {
    if (!day.value) {
      const kept = await database.days.get('day').catch(() => undefined)
      const last = useKitchen().lastVersion
      day.value = kept ?? { id: 'day', versions: last ? [last] : [], serveAt: firstServing(), quiet: true, done: [], updatedAt: 0 }
      // Yesterday's serving is no plan for today.
      if (day.value.serveAt < nowIso()) day.value = { ...day.value, serveAt: firstServing(), done: [] }
    }
    await compute()
  }

  /** A version as the plan needs it: minutes from the simulation, steps of its finish, what it takes. */
  async function readied(v: Version): Promise<Ready> {
    const recipe = plain(v.recipe)
    const { kept, bake, build } = await preparedOf(v)
    const minutes = bake?.minutes
    fixes.value = { ...fixes.value, [v.id]: kept }
    const own = v.recipe.parts
      .flatMap((p) => p.lines)
      .flatMap((l) => (l.ingredient && l.grams.best > 0 ? [{ ingredient: l.ingredient, grams: l.grams.best }] : []))
    return {
      bake: {
        recipe,
        bake: nameOf(v),
        ...(minutes && { oven: { low: Math.round(minutes.low), best: Math.round(minutes.best), high: Math.round(minutes.high) } }),
        fixes: kept,
        tins: v.recipe.tins.map((t) => t.text),
        ...(build?.components.length && { finish: build.steps }),
      },
      needs: build?.needs ?? own,
    }
  }

  async function ready(): Promise<Ready[]> {
    const all: Ready[] = []
    for (const v of versions.value) all.push(await readied(v))
    return all
  }
  const merged = (all: readonly Ready[]): Needs => {
    const map = new Map<string, number>()
    for (const n of all.flatMap((r) => r.needs)) map.set(n.ingredient, (map.get(n.ingredient) ?? 0) + n.grams)
    return [...map].map(([ingredient, grams]) => ({ ingredient, grams: Math.round(grams) }))
  }

  /** What of a version is made the evening before; parts that it has no more are forgotten. */
  const aheadOf = (d: DayPlan, v: Version | undefined): number[] =>
    v ? (d.ahead?.[v.id] ?? []).filter((part) => part < v.recipe.parts.length) : []
  const request = (d: DayPlan, all: readonly Ready[]) => ({
    ...useCupboard().common(),
    bakes: all.map((r, i) => ({ ...r.bake, ahead: aheadOf(d, versions.value[i]) })),
    serveAt: d.serveAt,
    notBefore: nowIso(),
    quiet: d.quiet ? [QUIET] : [],
    done: d.done,
    waits: d.waits ?? 'usual',
    held: Object.fromEntries(Object.entries(d.held ?? {}).filter(([id]) => !d.done.includes(id))),
  })

  /** An answer that comes too late is dropped. */
  async function compute(again = true) {
    const d = day.value
    if (!d) return
    const mine = ++turn
    if (!versions.value.length) {
      answer.value = null
      lastGood.value = null
      needs.value = []
      return
    }
    try {
      const all = again ? await ready() : prepared
      const found = await ask('schedule', plain(request(d, all)))
      if (mine !== turn) return
      prepared = all
      answer.value = found
      if (!found.conflicts.length) lastGood.value = found
      needs.value = merged(all)
      refusal.value = ''
    } catch (error) {
      if (mine === turn)
        refusal.value = error instanceof CoreRefusal ? error.message : 'The day could not be planned. Your recipes are kept.'
    }
  }

  async function put(next: DayPlan) {
    day.value = plain({ ...next, updatedAt: revise() })
    await compute()
    const kept = plain(day.value)
    await useKeeping().write('plan', 'The plan', () => database.days.put(kept))
  }
  async function change(next: Partial<DayPlan>, label: string) {
    if (!day.value) return
    const before = plain(day.value)
    const after = { ...before, ...plain(next) }
    slipped.value = ''
    useHistory().did({ label, undo: () => put(before), redo: () => put(after) })
    await put(after)
  }
  /** While serving is dragged nothing is remembered; letting go is what counts. */
  async function drag(serveAt: string) {
    if (!day.value) return
    day.value = { ...day.value, serveAt }
    await compute(false)
  }

  /** What the baker puts right in a step stays with the recipe. */
  async function fix(bake: string, step: number, next: StepFix, label: string) {
    const v = versions.value.find((x) => nameOf(x) === bake)
    if (!v) return
    const before = plain(fixes.value[v.id] ?? {})
    const after = { ...before, [step]: { ...before[step], ...next } }
    const write = async (f: Partial<Record<number, StepFix>>) => {
      await database.steps.put({ id: v.id, fixes: plain(f), updatedAt: revise() }).catch(() => undefined)
      await compute()
    }
    useHistory().did({ label, undo: () => write(before), redo: () => write(after) })
    await write(after)
  }

  /** Plans what is left from now on; serving slips by quarters of an hour until it can be had. */
  async function late() {
    const d = day.value
    if (!d || !versions.value.length) return
    const all = await ready()
    const now = minuteOf(nowIso())
    for (let served = Math.max(minuteOf(d.serveAt), now); served <= minuteOf(d.serveAt) + LATEST; served += STEP) {
      const found = await ask('schedule', plain({ ...request(d, all), serveAt: isoOf(served) }))
      if (found.conflicts.length) continue
      const slip = served - minuteOf(d.serveAt)
      await change({ serveAt: isoOf(served) }, 'planned anew from now')
      slipped.value =
        slip > 0
          ? `Serving slips by ${slip} minutes, to ${momentName(isoOf(served), useKitchen().region, d.serveAt)}.`
          : 'It can still be served in time.'
      return
    }
    slipped.value = 'It cannot be had within a day from now: take a bake out, or allow work at night.'
  }

  /** What of each bake can be made the evening before: its cake, and what is made beside it. */
  const parts = computed(() =>
    versions.value.map((v) => {
      const bake = nameOf(v)
      const made = new Set((lastGood.value?.activities ?? []).flatMap((a) => (a.bake === bake && a.part !== undefined ? [a.part] : [])))
      const ahead = new Set(day.value?.ahead?.[v.id] ?? [])
      return {
        version: v,
        parts: v.recipe.parts.flatMap((p, part) =>
          made.has(part) || ahead.has(part)
            ? [{ part, name: p.role === 'batter' ? 'cake' : p.name.toLowerCase() || p.role, ahead: ahead.has(part) }]
            : [],
        ),
      }
    }),
  )
  /** Makes a part of a bake the evening before, or on the day after all. */
  function makeAhead(version: string, part: number) {
    const now = day.value?.ahead?.[version] ?? []
    const next = now.includes(part) ? now.filter((p) => p !== part) : [...now, part]
    return change({ ahead: { ...day.value?.ahead, [version]: next } }, 'what is made the evening before')
  }

  /** Puts an activity at a time of the baker's own. */
  const hold = (id: string, iso: string) => change({ held: { ...day.value?.held, [id]: iso } }, 'a step put at another time')
  const letGo = (id: string) =>
    change({ held: Object.fromEntries(Object.entries(day.value?.held ?? {}).filter(([k]) => k !== id)) }, 'a step let go')
  /** Ticks what is set out; nothing is planned anew for it. */
  async function setOut(what: string) {
    const d = day.value
    if (!d) return
    const ready = d.ready ?? []
    day.value = { ...d, ready: ready.includes(what) ? ready.filter((r) => r !== what) : [...ready, what], updatedAt: revise() }
    await database.days.put(plain(day.value)).catch(() => undefined)
  }
  /** What should come out of the cold before it is mixed, and when: cold egg and milk make creamed butter stiff. */
  const takeOut = computed(() =>
    versions.value.flatMap((v) => {
      const bake = nameOf(v)
      const first = answer.value?.activities.find((a) => a.bake === bake && a.handsOn)
      const cold = v.recipe.parts
        .filter((p) => p.role === 'batter')
        .flatMap((p) => p.lines)
        .flatMap((l) => ingredientOf(l.ingredient) ?? [])
        .filter((i) => COLD.includes(i.kind) || /^(butter|plant-butter-block)/.test(i.id))
      if (!first || !cold.length) return []
      const what = [...new Set(cold.map((i) => nameOfIngredient(i, useKitchen().region)))]
      return [{ bake, at: isoOf(minuteOf(first.start) - OUT_BEFORE), what }]
    }),
  )

  const tick = (id: string) => {
    const done = day.value?.done ?? []
    return change({ done: done.includes(id) ? done.filter((x) => x !== id) : [...done, id] }, 'a step done')
  }

  return {
    day,
    answer,
    lastGood,
    parts,
    makeAhead,
    needs,
    fixes,
    versions,
    refusal,
    slipped,
    nameOf,
    open,
    compute,
    change,
    drag,
    fix,
    late,
    tick,
    hold,
    letGo,
    setOut,
    takeOut,
  }
})

const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T
