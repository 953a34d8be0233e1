import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { Banded } from '../../core/balance/families'
import type { BalanceAnswer, Answers } from '../../core/contract/handle'
import type { Option, Reformulation } from '../../core/reformulate/option'
import type { Recipe } from '../../core/recipe/recipe'
import { ask, CoreRefusal } from '~/kitchen/core'
import type { Version } from '~/kitchen/database'
import { useKitchen } from './kitchen'
import { useShelf } from './shelf'

/** Needs that the bench offers: what somebody at the table cannot eat. */
export const NEEDS = [
  { id: 'eggless', label: 'no egg' },
  { id: 'vegan', label: 'vegan' },
  { id: 'dairy-free', label: 'no dairy' },
  { id: 'gluten-free', label: 'no gluten' },
  { id: 'nut-free', label: 'no nuts' },
  { id: 'soy-free', label: 'no soy' },
] as const

/** Everything on the bench that undo takes back. */
interface Setup {
  recipe: Recipe
  questions: Version['questions']
  goals: string[]
  /** How much of a wish, where it is not the usual share. */
  amount: Record<string, number>
  /** The sweetener that the baker names for "another sugar"; empty for any. */
  sweetener: string
  /** Ratios that the baker tugs at, by how much. */
  nudge: Partial<Record<Banded, number>>
  avoid: string[]
  pin: Record<string, number | 'keep'>
  /** The way being tried, by its schools. */
  trying: string | null
}

const MOST_UNDO = 60

/** The bench: one version, what is asked of it, and what follows. */
export const useBench = defineStore('bench', () => {
  const version = shallowRef<Version | null>(null)
  const setup = ref<Setup>(fresh(emptyRecipe(), []))
  const past = ref<string[]>([])
  const future = ref<string[]>([])
  const balance = shallowRef<BalanceAnswer | null>(null)
  const answer = shallowRef<Reformulation | null>(null)
  /** How sure the mix is as measured, and what to weigh. */
  const sure = shallowRef<Answers['uncertainty'] | null>(null)
  const refusal = ref<string | null>(null)
  const busy = ref(false)
  let turn = 0

  const options = computed<Option[]>(() => answer.value?.options ?? [])
  const option = computed<Option | null>(() => {
    const all = options.value
    return all.find((o) => wayKey(o) === setup.value.trying) ?? all[0] ?? answer.value?.impossible?.nearest ?? null
  })
  const wanted = computed(() => setup.value.goals.length > 0 || setup.value.avoid.length > 0 || Object.keys(setup.value.nudge).length > 0)

  async function open(v: Version) {
    version.value = v
    past.value = []
    future.value = []
    answer.value = null
    balance.value = null
    setup.value = fresh(copy(v.recipe), copy(v.questions))
    useKitchen().lastVersion = v.id
    await compute()
  }

  /** Balance and ways for the bench as it stands; an older answer that comes late is dropped. */
  async function compute() {
    const mine = ++turn
    const kitchen = useKitchen()
    busy.value = true
    refusal.value = null
    const common = { recipe: setup.value.recipe, region: kitchen.region, ...(kitchen.measures !== 'own' && { measures: kitchen.measures }) }
    try {
      const balanced = await ask('balance', { recipe: common.recipe, region: common.region })
      if (mine !== turn) return
      balance.value = balanced
      sure.value = null
      if (!wanted.value) answer.value = null
      else {
        const found = await ask('reformulate', {
          ...common,
          goals: setup.value.goals,
          amount: setup.value.amount,
          ...(setup.value.sweetener && { sweetener: setup.value.sweetener }),
          nudge: setup.value.nudge,
          avoid: setup.value.avoid,
          pin: setup.value.pin,
          limit: 12,
        })
        if (mine !== turn) return
        answer.value = found
      }
    } catch (error) {
      if (mine !== turn) return
      answer.value = null
      refusal.value = error instanceof CoreRefusal ? error.message : 'The sums could not be done. Your recipe is kept.'
    } finally {
      if (mine === turn) busy.value = false
    }
    if (mine === turn) await weighUp(mine)
  }

  /** Asked last, so that nothing waits for it. */
  async function weighUp(mine: number) {
    const kitchen = useKitchen()
    const recipe = wanted.value && option.value ? option.value.recipe : setup.value.recipe
    try {
      const found = await ask('uncertainty', { recipe, region: kitchen.region, tools: kitchen.tools, samples: 300 })
      if (mine === turn) sure.value = found
    } catch {
      // A mix that cannot be weighed has nothing to be unsure of; its findings say so already.
    }
  }

  /** Changes the setup, remembering how it was, and recomputes. */
  async function change(next: Partial<Setup>) {
    past.value = [...past.value.slice(1 - MOST_UNDO), JSON.stringify(setup.value)]
    future.value = []
    setup.value = { ...setup.value, ...next }
    await settle(next)
  }

  async function settle(next: Partial<Setup>) {
    const onlyTrying = Object.keys(next).every((k) => k === 'trying')
    if (next.recipe || next.questions) await keep()
    if (onlyTrying) await weighUp(turn)
    else await compute()
  }

  /** An edited recipe is written through at once, so a reload loses nothing. */
  async function keep() {
    const v = version.value
    if (!v) return
    const shelf = useShelf()
    await shelf.update(v, setup.value.recipe, setup.value.questions)
    version.value = shelf.versionById(v.id) ?? v
  }

  async function step(from: typeof past, to: typeof future) {
    const state = from.value.at(-1)
    if (!state) return
    to.value = [...to.value, JSON.stringify(setup.value)]
    from.value = from.value.slice(0, -1)
    const before = JSON.stringify(setup.value.recipe)
    setup.value = JSON.parse(state) as Setup
    if (JSON.stringify(setup.value.recipe) !== before) await keep()
    await compute()
  }

  const toggleGoal = (id: string) =>
    change({ goals: setup.value.goals.includes(id) ? setup.value.goals.filter((g) => g !== id) : [...setup.value.goals, id] })
  const setDegree = (id: string, share: number) => change({ amount: { ...setup.value.amount, [id]: share } })
  /** Tugs at a ratio; 0 lets it be again. */
  const tug = (metric: Banded, by: number) => {
    const { [metric]: before = 0, ...others } = setup.value.nudge
    const now = before + by
    return change({ nudge: by === 0 || Math.abs(now) < 1e-9 ? others : { ...others, [metric]: now } })
  }
  const setSweetener = (sweetener: string) => change({ sweetener })
  const tryWay = (o: Option) => change({ trying: wayKey(o) })
  const togglePin = (ingredient: string, grams: number) => {
    const pin = { ...setup.value.pin }
    if (ingredient in pin) delete pin[ingredient]
    else pin[ingredient] = grams
    return change({ pin })
  }
  const toggleAvoid = (ingredient: string) =>
    change({
      avoid: setup.value.avoid.includes(ingredient)
        ? setup.value.avoid.filter((a) => a !== ingredient)
        : [...setup.value.avoid, ingredient],
    })

  /** Answers one of the reader's questions in place. */
  async function answerQuestion(index: number, value: string) {
    const recipe = copy(setup.value.recipe)
    const questions = copy(setup.value.questions)
    const q = questions[index]
    if (!q) return
    const part = q.part === null ? undefined : recipe.parts[q.part]
    const line = part && q.line !== null ? part.lines[q.line] : undefined
    if (q.about === 'ingredient' && line) {
      const text = `${amountOf(line.text)} ${value.replace(/-/g, ' ')}`
      const read = await ask('parse', { text: `x cake\n${text}`, region: useKitchen().region })
      const weighed = read.recipe.parts[0]?.lines[0]
      Object.assign(line, { ingredient: value, match: 'exact' })
      if (weighed && weighed.grams.best > 0) line.grams = weighed.grams
    } else if ((q.about === 'amount' || q.about === 'size') && line) {
      const grams = Number(value.replace(',', '.').replace(/[^\d.]/g, ''))
      if (!(grams > 0)) throw new CoreRefusal('bad-request', 'Give the weight in grams, like 180.')
      line.grams = { low: grams * 0.99, high: grams * 1.01, best: grams }
      line.quantity ??= { low: grams, high: grams, unit: 'g' }
    } else if (q.about === 'temperature') {
      const celsius = Number(value)
      if (recipe.oven[0]) recipe.oven[0].celsius = celsius
      else recipe.oven.push({ celsius, fan: false, minutes: null })
    } else if (q.about === 'part' && part) part.role = value as typeof part.role
    questions.splice(index, 1)
    await change({ recipe, questions })
  }

  /** Lets a question stand as it was assumed. */
  const dismissQuestion = (index: number) => change({ questions: setup.value.questions.filter((_, i) => i !== index) })

  /** Replaces the recipe by edited text. */
  async function retype(text: string) {
    const parsed = await ask('parse', { text, region: useKitchen().region })
    await change({ recipe: parsed.recipe, questions: parsed.questions, trying: null })
  }

  return {
    version,
    setup,
    balance,
    sure,
    answer,
    options,
    option,
    refusal,
    busy,
    wanted,
    past,
    future,
    open,
    compute,
    change,
    toggleGoal,
    setDegree,
    setSweetener,
    tug,
    tryWay,
    togglePin,
    toggleAvoid,
    answerQuestion,
    dismissQuestion,
    retype,
    undo: () => step(past, future),
    redo: () => step(future, past),
  }
})

/** A way is known by its schools and its title, whatever its place in the list. */
export const wayKey = (o: Option): string => `${[...o.schools].sort().join('+')}|${o.title}`

const fresh = (recipe: Recipe, questions: Version['questions']): Setup => ({
  recipe,
  questions,
  goals: [],
  amount: {},
  sweetener: '',
  nudge: {},
  avoid: [],
  pin: {},
  trying: null,
})
const copy = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T
const emptyRecipe = (): Recipe => ({ title: '', yield: null, tins: [], oven: [], parts: [], method: [] })
/** The amount that a line starts with, in the baker's own words. */
const amountOf = (text: string): string =>
  /^[\d\s./¼-¾⅐-⅞-]*\s*(?:g|kg|ml|l|oz|lb|cups?|tbsp|tsp|tablespoons?|teaspoons?)?/i.exec(text)?.[0]?.trim() || '1'
