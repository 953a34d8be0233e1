import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import type { TinAnswer } from '../../core/contract/tins'
import { refitted } from '../../core/method/refit'
import type { BakeAnswer } from '../../core/oven/predict'
import type { OvenMode } from '../../core/oven/surroundings'
import type { Recipe, Tin } from '../../core/recipe/recipe'
import { ask, CoreRefusal } from '~/kitchen/core'
import type { Version } from '~/kitchen/database'
import { useBook } from './book'
import { useCupboard } from './cupboard'
import { useHistory } from './history'
import { useKitchen } from './kitchen'
import { useShelf } from './shelf'

/** One way to bake a version: its tins, its oven, what stands round it. */
export interface TinSetup {
  tins: Tin[]
  celsius: number
  mode: OvenMode
  startC: number
  lined: boolean
  strips: boolean
  foil: boolean
  /** Ten minutes hotter at first, as for a domed loaf or a pastry. */
  hotStart: boolean
  /** Scaled to whole eggs. */
  wholeEggs: boolean
}
/** A set-up and what comes of it. */
export interface Tried {
  setup: TinSetup
  fit: TinAnswer
  bake: BakeAnswer
}

/** A hot start: so much hotter for so long, as recipes have it. */
export const HOTTER = 20
export const HOT_MINUTES = 10
const USUAL_CELSIUS = 175
const FAN_LOWER = 20
const USUAL_TIN: Tin = { text: '20 cm round', shape: 'round', mm: { diameter: 200, height: 50 }, count: 1 }

/** Tins and oven for one version: what is tried now, and one set-up held beside it. */
export const useTins = defineStore('tins', () => {
  const version = shallowRef<Version | null>(null)
  const setup = ref<TinSetup | null>(null)
  const now = shallowRef<Tried | null>(null)
  const held = shallowRef<Tried | null>(null)
  const refusal = ref('')
  const busy = ref(false)
  let turn = 0

  async function open(v: Version) {
    if (version.value?.id === v.id && setup.value) return compute()
    version.value = v
    held.value = null
    now.value = null
    const oven = v.recipe.oven[0]
    const fan = !!oven?.fan
    const kitchenFan = useKitchen().oven.fan
    setup.value = {
      tins: copy(v.recipe.tins.length ? v.recipe.tins : [USUAL_TIN]),
      // A fan oven is set lower than a recipe without one says.
      celsius: (oven?.celsius ?? USUAL_CELSIUS) - (kitchenFan && !fan ? FAN_LOWER : 0),
      mode: fan || kitchenFan ? 'fan' : 'static',
      startC: 20,
      lined: true,
      strips: false,
      foil: false,
      hotStart: false,
      wholeEggs: false,
    }
    await compute()
  }

  const common = () => {
    const kitchen = useKitchen()
    return { ...useCupboard().common(), altitudeM: kitchen.altitudeM, boxes: version.value?.boxes ?? [] }
  }

  /** Fit and bake of the set-up as it stands; an answer that comes too late is dropped. */
  async function compute() {
    const v = version.value
    const s = setup.value
    if (!v || !s) return
    const mine = ++turn
    busy.value = true
    refusal.value = ''
    const kitchen = useKitchen()
    try {
      const fit = await ask('tin', { recipe: v.recipe, ...common(), to: s.tins, ...(s.wholeEggs && { whole: 'eggs' }) })
      if (mine !== turn) return
      const bake = await ask('bake', {
        recipe: { ...fit.recipe, tins: s.tins },
        ...common(),
        written: v.recipe,
        oven: {
          // As the recipe has it, with its own stages.
          ...(!asWritten(v, s) && { celsius: s.celsius, mode: s.mode }),
          offsetC: kitchen.oven.offsetC,
          ...(s.hotStart && {
            stages: [
              { celsius: Math.min(320, s.celsius + HOTTER), minutes: HOT_MINUTES },
              { celsius: s.celsius, minutes: 600 },
            ],
          }),
        },
        ...useBook().lessons(),
        startC: s.startC,
        lined: s.lined,
        strips: s.strips,
        foil: s.foil,
      })
      if (mine !== turn) return
      now.value = { setup: copy(s), fit, bake }
    } catch (error) {
      if (mine === turn)
        refusal.value = error instanceof CoreRefusal ? error.message : 'The bake could not be worked out. Your recipe is kept.'
    } finally {
      if (mine === turn) busy.value = false
    }
  }

  async function change(next: Partial<TinSetup>, label = 'the set-up of the bake') {
    if (!setup.value) return
    const before = copy(setup.value)
    const after = { ...before, ...copy(next) }
    const put = async (s: TinSetup) => {
      setup.value = copy(s)
      await compute()
    }
    useHistory().did({ label, undo: () => put(before), redo: () => put(after) })
    await put(after)
  }
  /** While a dial is dragged nothing is remembered; letting go is what counts. */
  async function drag(next: Partial<TinSetup>) {
    if (setup.value) setup.value = { ...setup.value, ...next }
    await compute()
  }

  const hold = () => (held.value = now.value)
  const letGo = () => (held.value = null)

  /** Writes the recipe in its new size, tins and oven as a version of its own. */
  async function keep(): Promise<Version | null> {
    const v = version.value
    const t = now.value
    if (!v || !t?.fit.recipe) return null
    const minutes = t.bake.minutes && written(t.bake.minutes.best)
    const before = v.recipe.oven[0]
    const recipe: Recipe = {
      ...t.fit.recipe,
      ...(minutes && {
        method: refitted(
          v.recipe,
          { tins: t.setup.tins, hotter: before ? t.setup.celsius - before.celsius : 0, minutes },
          useKitchen().region,
        ),
      }),
      oven: [
        ...(t.setup.hotStart
          ? [{ celsius: t.setup.celsius + HOTTER, fan: t.setup.mode === 'fan', minutes: [HOT_MINUTES, HOT_MINUTES] as [number, number] }]
          : []),
        { celsius: t.setup.celsius, fan: t.setup.mode === 'fan', minutes: minutes && left(minutes, t.setup.hotStart) },
      ],
    }
    const tins = t.setup.tins.map((x) => x.text).join(', ')
    return useShelf().addChild(v, { name: `For ${tins}`, recipe })
  }

  return { version, setup, now, held, refusal, busy, open, compute, change, drag, hold, letGo, keep }
})

const asWritten = (v: Version, s: TinSetup): boolean => {
  const oven = v.recipe.oven[0]
  return !s.hotStart && s.celsius === oven?.celsius && s.mode === (oven.fan ? 'fan' : 'static')
}

/** A time as recipes write it: from when to look to when it should be out. */
const written = (best: number): [number, number] => [Math.max(1, Math.floor(best * 0.93)), Math.max(2, Math.ceil(best * 1.08))]
/** Minutes left after a hot start. */
const left = ([low, high]: [number, number], hotStart: boolean): [number, number] => {
  const gone = hotStart ? HOT_MINUTES : 0
  return [Math.max(1, low - gone), Math.max(1, high - gone)]
}
const copy = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T
