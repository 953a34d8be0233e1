import { until } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { calibrate, LEARNED_KINDS, type Calibration, type Learned, type Observation } from '../../core/bakebook/learn'
import { lessonsOf, type Lessons } from '../../core/bakebook/lessons'
import { observationsOf, type Trial } from '../../core/bakebook/trial'
import type { DiagnoseAnswer } from '../../core/contract/diagnose'
import type { Metrics } from '../../core/balance/metrics'
import { KITCHENS, type Region } from '../../core/measure/region'
import type { HardNeed } from '../../core/pantry/ingredient'
import { density, ingredientOf } from '../../core/pantry/pantry'
import { bakeOf } from '~/kitchen/baking'
import { revise } from '~/kitchen/revision'
import { ask, CoreRefusal } from '~/kitchen/core'
import { database, newId, type Photo, type Session, type Version } from '~/kitchen/database'
import { sampleTrials } from '~/kitchen/sample-trials'
import { small } from '~/kitchen/photo'
import { follow } from '~/kitchen/sync'
import { useCupboard } from './cupboard'
import { useHistory } from './history'
import { useKeeping } from './keeping'
import { useKitchen } from './kitchen'
import { useShelf } from './shelf'

/** Pages shown before all are read. */
const NEWEST = 60
/** Where the oven turns out otherwise, so many of the last bakes are held against it anew; older ones teach no more. */
const MOST_ANEW = 100

/** Trials of this kitchen, what they say, and what they teach. */
export const useBook = defineStore('book', () => {
  const map = shallowRef<ReadonlyMap<string, Trial>>(new Map())
  const loaded = ref(false)
  const diagnosis = shallowRef<{ of: string; answer: DiagnoseAnswer } | null>(null)
  const refusal = ref('')
  let turn = 0

  const trials = computed(() => [...map.value.values()].sort((a, b) => b.bakedAt - a.bakedAt))
  const trialById = (id: string): Trial | undefined => map.value.get(id)

  /** Once the trials are here. */
  const ready = () => (load(), until(loaded).toBe(true))
  let begun: Promise<void> | null = null
  const load = () => (begun ??= begin())
  async function begin() {
    try {
      if (!(await database.settings.get('trials'))) await addSamples()
    } catch {
      // Without storage there is no book; the shelf says that nothing can be kept.
    }
    await showNewest()
    void follow(
      database.trials,
      (changed, gone) => {
        take(changed, gone)
        loaded.value = true
      },
      () => (loaded.value = true),
    )
  }

  function take(changed: readonly Trial[], gone: readonly string[] = []) {
    const next = new Map(map.value)
    for (const id of gone) next.delete(id)
    for (const t of changed) if ((next.get(t.id)?.updatedAt ?? -Infinity) <= t.updatedAt) next.set(t.id, t)
    map.value = next
  }
  /** The last pages are shown before the book of years is read. */
  async function showNewest() {
    const newest = await database.trials
      .orderBy('updatedAt')
      .reverse()
      .limit(NEWEST)
      .toArray()
      .catch(() => [])
    await useShelf().know(newest.map((t) => t.versionId))
    take(newest)
  }

  /** The sample kitchen has baked before: with its recipes come its trials. */
  async function addSamples() {
    const versions = await database.versions.toArray()
    const samples = new Set((await database.recipes.toArray()).filter((r) => r.sample).map((r) => r.id))
    const made = sampleTrials(versions.filter((v) => samples.has(v.recipeId)))
    await database.trials.bulkPut(made)
    await database.settings.put({ key: 'trials', value: true })
  }

  /** Trials that came without it are held against the model when they are first looked at: those named, or the last ones. */
  async function expectAll(ids: readonly string[] = trials.value.slice(0, NEWEST).map((t) => t.id)) {
    const done: Trial[] = []
    for (const id of ids) {
      const t = map.value.get(id)
      const v = t && !t.expected && useShelf().versionById(t.versionId)
      const expected = v ? await expectedOf(v) : null
      if (t && expected) done.push({ ...t, expected })
    }
    if (done.length) await bulk(done)
  }
  /** Many at once: what was changed meanwhile stays as it was changed. */
  async function bulk(list: readonly Trial[]) {
    const still = list.filter((t) => (map.value.get(t.id)?.updatedAt ?? Infinity) <= t.updatedAt)
    take(still)
    await database.trials.bulkPut(still.map(plain)).catch(() => undefined)
  }

  async function write(t: Trial) {
    const next = new Map(map.value)
    next.set(t.id, t)
    map.value = next
    await useKeeping().write(`bake ${t.id}`, 'The bake', () => database.trials.put(plain(t)))
  }
  async function erase(id: string) {
    const next = new Map(map.value)
    next.delete(id)
    map.value = next
    await database.trials.delete(id).catch(() => undefined)
  }

  /** What the model expects of a version in this kitchen, before anything was learned: what trials are held against. */
  async function expectedOf(v: Version): Promise<Trial['expected']> {
    const common = { ...useCupboard().common(), altitudeM: useKitchen().altitudeM, boxes: v.boxes }
    const recipe = plain(v.recipe)
    const balance = await ask('balance', { recipe, ...common }).catch(() => null)
    if (!balance) return null
    const bake = await bakeOf(v, false)
    return {
      family: balance.family,
      minutes: bake?.minutes?.best ?? null,
      heightMm: bake?.heightMm ?? null,
      doneC: bake?.doneC ?? null,
      waterLossPct: bake?.waterLossPct ?? null,
    }
  }

  /** A new trial of a version, by hand or from a bake at the Counter. */
  async function start(v: Version, session: Session | null = null): Promise<Trial> {
    const now = Date.now()
    const trial: Trial = {
      id: newId(),
      versionId: v.id,
      sessionId: session?.id ?? null,
      bakedAt: session?.finishedAt ?? now,
      record: session ? recordOf(session) : {},
      marks: {},
      leanings: {},
      symptoms: [],
      expected: await expectedOf(v),
      ate: v.goals.filter((g): g is HardNeed => NEEDS.includes(g)),
      note: '',
      updatedAt: revise(),
    }
    await write(trial)
    if (v.bakedAt === null) await useShelf().put({ ...v, bakedAt: trial.bakedAt })
    return trial
  }

  async function change(id: string, next: Partial<Trial>, label: string) {
    const before = map.value.get(id)
    if (!before) return
    const after: Trial = { ...before, ...plain(next), updatedAt: revise() }
    const put = async (t: Trial) => {
      await write({ ...t, updatedAt: revise() })
      await diagnose(t.id)
    }
    useHistory().did({ label, undo: () => put(before), redo: () => put(after) })
    await put(after)
  }
  async function remove(id: string) {
    const before = map.value.get(id)
    if (!before) return
    useHistory().did({
      label: 'a bake taken out of the book',
      undo: () => write({ ...before, updatedAt: revise() }),
      redo: () => erase(id),
    })
    await erase(id)
  }

  /** What went wrong; a question that comes too late is dropped. */
  async function diagnose(id: string) {
    const t = map.value.get(id)
    const v = t && useShelf().versionById(t.versionId)
    const mine = ++turn
    if (!t || !v || !t.symptoms.length) {
      diagnosis.value = null
      return
    }
    try {
      const answer = await ask('diagnose', {
        recipe: plain(v.recipe),
        ...useCupboard().common(),
        altitudeM: useKitchen().altitudeM,
        boxes: v.boxes,
        record: plain(t.record),
        symptoms: [...t.symptoms],
        goals: v.goals.filter((g) => NEEDS.includes(g)),
      })
      if (mine === turn) {
        diagnosis.value = { of: id, answer }
        refusal.value = ''
      }
    } catch (error) {
      if (mine === turn) refusal.value = error instanceof CoreRefusal ? error.message : 'No cause could be worked out. The bake is kept.'
    }
  }
  /** The one change to try, as a version of its own. */
  async function tryIt(id: string): Promise<Version | null> {
    const t = map.value.get(id)
    const v = t && useShelf().versionById(t.versionId)
    const option = diagnosis.value?.of === id ? diagnosis.value.answer.option : null
    const change = diagnosis.value?.answer.try
    if (!v || !option || !change) return null
    return useShelf().addChild(v, {
      name: `To try: ${change.code.replace(/-/g, ' ').replace(/^too /, 'was too ')}`,
      recipe: option.recipe,
      questions: [],
      boxes: v.boxes,
      note: `${change.change} Expected: ${change.expected}`,
    })
  }

  /** Ratios of a trial's version, for comparing. */
  async function metricsOf(t: Trial): Promise<Partial<Metrics>> {
    const v = useShelf().versionById(t.versionId)
    if (!v) return {}
    return ask('balance', { recipe: plain(v.recipe), ...useCupboard().common(), altitudeM: useKitchen().altitudeM, boxes: v.boxes })
      .then((b) => b.metrics)
      .catch(() => ({}))
  }

  const photosOf = (id: string): Promise<Photo[]> =>
    database.photos
      .where('trialId')
      .equals(id)
      .toArray()
      .catch(() => [])
  async function addPhoto(id: string, file: File): Promise<boolean> {
    try {
      const { blob, width, height } = await small(file)
      await database.photos.put({ id: newId(), trialId: id, blob, width, height, updatedAt: revise() })
      return true
    } catch {
      return false
    }
  }
  const removePhoto = (id: string) => database.photos.delete(id).catch(() => undefined)

  const observations = computed<Observation[]>(() => {
    const { learnsSince, cupWeights, region } = useKitchen()
    const usual = usualCup(region)
    return [
      ...trials.value
        .filter((t) => !t.sample && t.bakedAt >= learnsSince)
        .flatMap((t) => observationsOf(t, useShelf().versionById(t.versionId)?.recipe.oven[0]?.celsius ?? null)),
      ...cupWeights
        .filter((c) => c.at >= learnsSince)
        .map((c): Observation => ({ kind: 'cup', family: 'flour', value: Math.log(c.grams / usual) })),
    ]
  })
  const learned = computed(
    () => Object.fromEntries(LEARNED_KINDS.map((kind) => [kind, calibrate(observations.value, kind)])) as Record<Learned, Calibration>,
  )
  /** What this kitchen has taught, for requests that predict; nothing where it is not to be used. */
  function lessons(): { learned?: Lessons } {
    if (!useKitchen().learning || !observations.value.length) return {}
    return { learned: lessonsOf(observations.value) }
  }
  // Bakes are held against what the oven was thought to be: when that changes, they are held against it anew.
  watch(
    () => useKitchen().oven.offsetC,
    async () => {
      if (!useKitchen().loaded) return
      const now = revise()
      const own = trials.value.filter((x) => !x.sample && x.expected)
      await bulk(own.map((t) => ({ ...t, expected: null, updatedAt: now })))
      await expectAll(own.slice(0, MOST_ANEW).map((t) => t.id))
    },
  )

  return {
    trials,
    loaded,
    diagnosis,
    refusal,
    learned,
    trialById,
    load,
    ready,
    expectAll,
    start,
    change,
    remove,
    diagnose,
    tryIt,
    metricsOf,
    photosOf,
    addPhoto,
    removePhoto,
    lessons,
  }
})

/** Grams in the usual cup of plain flour where the kitchen is. */
export const usualCup = (region: Region): number => KITCHENS[region].cup * density(ingredientOf('flour-plain')!)

const NEEDS: readonly string[] = ['eggless', 'vegan', 'dairy-free', 'gluten-free', 'nut-free', 'soy-free']
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T

/** What the Counter saw, as it goes into the book. */
export function recordOf(s: Session): Trial['record'] {
  const added = s.spoons.reduce((g, x) => g + x.grams, 0)
  const bake = Object.values(s.moments).length ? bakeMoment(s) : null
  const core = s.probe?.readings.at(-1)?.core
  const looked = Object.values(s.looked).at(-1)
  return {
    ...(bake?.ended && { minutes: Math.max(1, Math.round((bake.ended - bake.began) / 60_000)) }),
    ...(core !== undefined && s.probe!.speed === 1 && { coreC: core }),
    ...(s.reminded.some((r) => r.endsWith(':preheat')) && { preheated: true }),
    ...(added && { addedGrams: added }),
    ...(looked && { batter: looked }),
    ...(Object.values(s.ticks).some((t) => t.weighed) && { cups: false }),
  }
}
/** The oven's timer began when the door was shut. */
function bakeMoment(s: Session): { began: number; ended?: number } | null {
  const step = s.oven
  return step ? (s.moments[step] ?? null) : null
}
