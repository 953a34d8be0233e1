import { numberOf } from '../../core/language/number'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { Banded } from '../../core/balance/families'
import type { BalanceAnswer, Answers } from '../../core/contract/handle'
import type { Option, Reformulation } from '../../core/reformulate/option'
import { writeText } from '../../core/formats/jsonld'
import type { Region } from '../../core/measure/region'
import type { Recipe } from '../../core/recipe/recipe'
import type { Role } from '../../core/recipe/recipe'
import type { Progress } from '../../core/reformulate/reformulate'
import type { ScaleTo } from '../../core/tin/scale'
import { ask, CoreRefusal, dropSearch, searchWays, warmUp, type Search } from '~/kitchen/core'
import { revise } from '~/kitchen/revision'
import type { BoxLabel, Version } from '~/kitchen/database'
import * as edit from '~/kitchen/edit'
import { useCupboard } from './cupboard'
import { useHistory } from './history'
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
export interface Setup {
  recipe: Recipe
  questions: Version['questions']
  /** Labels of the boxes that it is made from. */
  boxes: BoxLabel[]
  goals: string[]
  /** How much of a wish, where it is not the usual share. */
  amount: Record<string, number>
  /** The sweetener that the baker names for "another sugar"; empty for any. */
  sweetener: string
  /** Ratios that the baker tugs at, by how much. */
  nudge: Partial<Record<Banded, number>>
  avoid: string[]
  pin: Record<string, number | 'keep'>
  /** The most there is of an ingredient, g. */
  atMost: Record<string, number>
  /** Only what the cupboard has, and no more of it than is there. */
  fromCupboard: boolean
  /** The way being tried, by its schools. */
  trying: string | null
}

/** Where the asks of a version are kept while the tab lives: the recipe itself is written through. */
const KEPT = 'bench-'

/** The bench: one version, what is asked of it, and what follows. */
export const useBench = defineStore('bench', () => {
  const version = shallowRef<Version | null>(null)
  const setup = ref<Setup>(fresh(null))
  const balance = shallowRef<BalanceAnswer | null>(null)
  const answer = shallowRef<Reformulation | null>(null)
  /** How far the search has come, while it runs. */
  const progress = shallowRef<Progress | null>(null)
  /** How sure the mix is as measured, and what to weigh. */
  const sure = shallowRef<Answers['uncertainty'] | null>(null)
  const refusal = ref<string | null>(null)
  const busy = ref(false)
  let turn = 0
  /** Stamp with which this bench last wrote its version: what comes back of that is no news, what is later is. */
  let written = 0
  let search: Search | null = null

  const options = computed<Option[]>(() => (progress.value?.options.length ? progress.value.options : (answer.value?.options ?? [])))
  const option = computed<Option | null>(() => {
    const all = options.value
    return all.find((o) => wayKey(o) === setup.value.trying) ?? all[0] ?? answer.value?.impossible?.nearest ?? null
  })
  const wanted = computed(
    () =>
      setup.value.goals.length > 0 ||
      setup.value.avoid.length > 0 ||
      setup.value.fromCupboard ||
      Object.keys(setup.value.nudge).length + Object.keys(setup.value.atMost).length > 0,
  )

  async function open(v: Version) {
    version.value = v
    answer.value = null
    balance.value = null
    progress.value = null
    sure.value = null
    setup.value = { ...fresh(v), ...asksOf(v.id) }
    useKitchen().lastVersion = v.id
    await compute()
  }

  /** The record of the version changed elsewhere: in another tab, or on its sheet of names and notes. */
  async function follow(v: Version) {
    if (version.value?.id !== v.id) return
    const moved =
      JSON.stringify([v.recipe, v.questions, v.boxes]) !== JSON.stringify([setup.value.recipe, setup.value.questions, setup.value.boxes])
    version.value = v
    if (moved && v.updatedAt > written) await open(v)
  }

  const common = () => {
    const kitchen = useKitchen()
    return { ...useCupboard().common(), boxes: setup.value.boxes, altitudeM: kitchen.altitudeM }
  }
  /** The most there is of each ingredient, as typed here or as the cupboard has it. */
  const limits = () => {
    const stock = setup.value.fromCupboard
      ? useCupboard().stock.map((s) => (s.grams === null ? s.id : { ingredient: s.id, grams: s.grams }))
      : []
    const typed = Object.entries(setup.value.atMost).map(([ingredient, grams]) => ({ ingredient, grams }))
    return [...stock.filter((s) => typeof s === 'string' || !(s.ingredient in setup.value.atMost)), ...typed]
  }
  /** What the recipe uses that the cupboard lacks is to be done without. */
  const lacking = () =>
    setup.value.fromCupboard
      ? useCupboard()
          .shortFor(setup.value.recipe)
          .short.filter((s) => s.has <= 0)
          .map((s) => s.ingredient)
      : []

  /** What this kitchen has taught. The book is fetched late, so that nobody waits for it on the Shelf. */
  async function taught() {
    if (!useKitchen().learning) return {}
    const book = (await import('./book')).useBook()
    await book.ready()
    return book.lessons()
  }

  /** Balance and ways for the bench as it stands; an older answer that comes late is dropped. */
  async function compute() {
    const mine = ++turn
    const kitchen = useKitchen()
    busy.value = true
    refusal.value = null
    progress.value = null
    const { recipe } = setup.value
    try {
      const balanced = await ask('balance', { recipe, ...common(), ...(await taught()) })
      if (mine !== turn) return
      balance.value = balanced
      sure.value = null
      if (!wanted.value) {
        dropSearch()
        answer.value = null
      } else {
        search = searchWays(
          {
            recipe,
            ...common(),
            ...(kitchen.measures !== 'own' && { measures: kitchen.measures }),
            goals: setup.value.goals,
            amount: setup.value.amount,
            ...(setup.value.sweetener && { sweetener: setup.value.sweetener }),
            nudge: setup.value.nudge,
            avoid: [...new Set([...setup.value.avoid, ...lacking()])],
            have: limits(),
            pin: setup.value.pin,
            limit: 12,
          },
          // In a task of its own: unpacking the message has taken its share of the frame.
          (p) => setTimeout(() => mine === turn && busy.value && (progress.value = p)),
        )
        const found = await search.found
        await new Promise((resolve) => setTimeout(resolve))
        if (mine !== turn || !found) return
        answer.value = found
      }
    } catch (error) {
      if (mine !== turn) return
      answer.value = null
      refusal.value = error instanceof CoreRefusal ? error.message : 'The sums could not be done. Your recipe is kept.'
    } finally {
      if (mine === turn) {
        busy.value = false
        progress.value = null
      }
    }
    if (mine === turn) await weighUp(mine)
    warmUp()
  }

  /** Asked last, so that nothing waits for it. */
  async function weighUp(mine: number) {
    const kitchen = useKitchen()
    const recipe = wanted.value && option.value ? option.value.recipe : setup.value.recipe
    try {
      const found = await ask('uncertainty', { recipe, ...common(), ...(await taught()), tools: kitchen.tools, samples: 300 })
      if (mine === turn) sure.value = found
    } catch {
      // A mix that cannot be weighed has nothing to be unsure of; its findings say so already.
    }
  }

  /** Changes the setup and recomputes; undo brings it back, from wherever the baker then is. */
  async function change(next: Partial<Setup>, label = 'change on the bench') {
    const id = version.value?.id
    if (!id) return
    const before = copy(setup.value)
    const edits = Boolean(next.recipe || next.questions)
    // A baked version is a record: the change goes into a child of it.
    if (edits && version.value!.bakedAt !== null) {
      await branch({ ...copy(setup.value), ...next })
      return
    }
    const after = { ...copy(setup.value), ...copy(next) }
    useHistory().did({ label, undo: () => goTo(id, before), redo: () => goTo(id, after) })
    await settle(after)
  }

  async function settle(next: Setup) {
    const before = setup.value
    setup.value = next
    if (version.value) rememberAsks(version.value.id, next)
    const same = (k: keyof Setup) => JSON.stringify(before[k]) === JSON.stringify(next[k])
    if (!same('recipe') || !same('questions') || !same('boxes')) await keep()
    if ((Object.keys(next) as (keyof Setup)[]).every((k) => k === 'trying' || same(k))) await weighUp(turn)
    else await compute()
  }

  async function goTo(id: string, state: Setup) {
    if (version.value?.id !== id) {
      const v = useShelf().versionById(id)
      if (!v) return
      await open(v)
    }
    await navigateTo(`/bench/${id}`)
    await settle(copy(state))
  }

  /** An edited recipe is written through at once, so a reload loses nothing. */
  async function keep() {
    const v = version.value
    if (!v) return
    const shelf = useShelf()
    written = revise()
    await shelf.put({ ...v, recipe: setup.value.recipe, questions: setup.value.questions, boxes: setup.value.boxes }, written)
    version.value = shelf.versionById(v.id) ?? v
  }

  /** A child of a baked version takes its change. */
  async function branch(next: Setup) {
    const parent = version.value!
    const child = await useShelf().addChild(parent, {
      name: 'After the bake',
      recipe: next.recipe,
      questions: next.questions,
      boxes: next.boxes,
    })
    rememberAsks(child.id, next)
    useHistory().did({
      label: 'a version after the bake',
      undo: () => navigateTo(`/bench/${parent.id}`),
      redo: () => navigateTo(`/bench/${child.id}`),
    })
    await navigateTo(`/bench/${child.id}`)
  }

  const toggleGoal = (id: string) =>
    change(
      { goals: setup.value.goals.includes(id) ? setup.value.goals.filter((g) => g !== id) : [...setup.value.goals, id] },
      `“${id.replace(/-/g, ' ')}”`,
    )
  const setDegree = (id: string, share: number) => change({ amount: { ...setup.value.amount, [id]: share } })
  /** Tugs at a ratio; 0 lets it be again. */
  const tug = (metric: Banded, by: number) => {
    const { [metric]: before = 0, ...others } = setup.value.nudge
    const now = before + by
    return change({ nudge: by === 0 || Math.abs(now) < 1e-9 ? others : { ...others, [metric]: now } }, 'tug at a ratio')
  }
  const setSweetener = (sweetener: string) => change({ sweetener })
  const tryWay = (o: Option) => change({ trying: wayKey(o) }, `trying ${o.title}`)
  const without = <T>(map: Record<string, T>, key: string) => Object.fromEntries(Object.entries(map).filter(([k]) => k !== key))
  const togglePin = (ingredient: string, grams: number) =>
    change(
      { pin: ingredient in setup.value.pin ? without(setup.value.pin, ingredient) : { ...setup.value.pin, [ingredient]: grams } },
      'a held amount',
    )
  /** Sets the most there is of an ingredient; `null` for no limit. */
  const limit = (ingredient: string, grams: number | null) =>
    change({ atMost: grams === null ? without(setup.value.atMost, ingredient) : { ...setup.value.atMost, [ingredient]: grams } }, 'a limit')
  const toggleAvoid = (ingredient: string) =>
    change(
      {
        avoid: setup.value.avoid.includes(ingredient)
          ? setup.value.avoid.filter((a) => a !== ingredient)
          : [...setup.value.avoid, ingredient],
      },
      'what to do without',
    )
  const toggleCupboard = () => change({ fromCupboard: !setup.value.fromCupboard }, 'only what is in the cupboard')

  const sheet = (): edit.Sheet => ({ recipe: copy(setup.value.recipe), questions: copy(setup.value.questions) })
  /** Lines are read in the recipe's own kitchen: its cups stay its cups. */
  const readLine = (text: string) =>
    ask('line', { text, ...common(), region: setup.value.recipe.region ?? common().region, altitudeM: undefined })
  const editing = {
    /** Types a line anew; an empty one goes. */
    line: async (part: number, line: number, text: string) =>
      change(edit.replaceLine(sheet(), part, line, await readLine(text)), text.trim() ? 'an edited line' : 'a line taken out'),
    insert: async (part: number, line: number, text: string) =>
      change(edit.insertLine(sheet(), part, line, await readLine(text)), 'a new line'),
    move: (from: { part: number; line: number }, to: { part: number; line: number }) =>
      change(edit.moveLine(sheet(), from, to), 'a moved line'),
    addPart: (name: string, role: Role) => change(edit.addPart(sheet(), name, role), 'a new part'),
    rename: (part: number, name: string) => change(edit.renamePart(sheet(), part, name), 'a part’s name'),
    role: (part: number, role: Role) => change(edit.setRole(sheet(), part, role), 'what a part is for'),
    split: (part: number, line: number, name: string) => change(edit.splitPart(sheet(), part, line, name), 'a part split'),
    merge: (part: number) => change(edit.mergePart(sheet(), part), 'parts joined'),
    removePart: (part: number) => change(edit.removePart(sheet(), part), 'a part taken out'),
    title: (title: string) => change({ recipe: { ...copy(setup.value.recipe), title: title.trim() } }, 'the title'),
    tins: (tins: Recipe['tins']) => change({ recipe: { ...copy(setup.value.recipe), tins } }, 'the tins'),
    boxes: (boxes: BoxLabel[]) => change({ boxes }, 'the label of the box'),
  }

  /** Everything so many times as large. */
  async function scale(to: ScaleTo) {
    const { recipe } = await ask('scale', { recipe: setup.value.recipe, ...common(), to })
    await change({ recipe }, 'another size')
  }

  /** Answers one of the reader's questions in place. */
  async function answerQuestion(index: number, value: string) {
    const recipe = copy(setup.value.recipe)
    const questions = copy(setup.value.questions)
    const q = questions[index]
    if (!q) return
    const part = q.part === null ? undefined : recipe.parts[q.part]
    const line = part && q.line !== null ? part.lines[q.line] : undefined
    if (q.about === 'ingredient' && line) {
      const { lines } = await readLine(`${amountOf(line.text)} ${value.replace(/-/g, ' ')}`)
      Object.assign(line, { ingredient: value, match: 'exact' })
      if (lines[0] && lines[0].grams.best > 0) line.grams = lines[0].grams
    } else if ((q.about === 'amount' || q.about === 'size') && line) {
      const grams = numberOf(value.replace(/\s*g(?:rams?)?$/i, ''))
      if (!grams) throw new CoreRefusal('bad-request', 'Give the weight in grams, like 180.')
      line.grams = { low: grams * 0.99, high: grams * 1.01, best: grams }
      line.quantity ??= { low: grams, high: grams, unit: 'g' }
    } else if (q.about === 'temperature') {
      const celsius = Number(value)
      if (recipe.oven[0]) recipe.oven[0].celsius = celsius
      else recipe.oven.push({ celsius, fan: false, minutes: null })
    } else if (q.about === 'part' && part) part.role = value as typeof part.role
    questions.splice(index, 1)
    await change({ recipe, questions }, 'an answer')
  }

  /** Lets a question stand as it was assumed. */
  const dismissQuestion = (index: number) => change({ questions: setup.value.questions.filter((_, i) => i !== index) }, 'a question left')

  /** Takes the line of a question out of the mix, and over to the method where it belongs there. */
  async function removeLine(index: number, to: 'nothing' | 'method') {
    const q = setup.value.questions[index]
    if (!q || q.part === null || q.line === null) return
    const text = setup.value.recipe.parts[q.part]?.lines[q.line]?.text ?? ''
    const next = edit.replaceLine(sheet(), q.part, q.line, { lines: [], questions: [] })
    if (to === 'method') next.recipe = { ...next.recipe, method: [...next.recipe.method, text] }
    await change(next, to === 'method' ? 'a line of the method' : 'a line that is no ingredient')
  }

  /** The baker's word that a line holds nothing that matters to anybody at the table. */
  async function vouch(part: number, line: number) {
    const recipe = copy(setup.value.recipe)
    const at = recipe.parts[part]?.lines[line]
    if (!at) return
    at.vouched = true
    const questions = setup.value.questions.filter((q) => !(q.about === 'ingredient' && q.part === part && q.line === line))
    await change({ recipe, questions: copy(questions) }, 'your word for a line')
  }

  /** Reads the page again with another kitchen's cups, spoons and eggs. */
  async function readAs(region: Region) {
    const text = version.value?.source || writeText(setup.value.recipe)
    const parsed = await ask('parse', { text, ...common(), region })
    await change({ recipe: { ...parsed.recipe, region }, questions: parsed.questions, trying: null }, 'another kitchen’s cups')
  }

  /** Replaces the recipe by edited text. */
  async function retype(text: string) {
    const parsed = await ask('parse', { text, ...common(), region: setup.value.recipe.region ?? common().region })
    await change({ recipe: parsed.recipe, questions: parsed.questions, trying: null }, 'edited text')
  }

  return {
    version,
    setup,
    balance,
    sure,
    answer,
    progress,
    options,
    option,
    refusal,
    busy,
    wanted,
    open,
    follow,
    compute,
    change,
    toggleGoal,
    setDegree,
    setSweetener,
    tug,
    tryWay,
    removeLine,
    vouch,
    readAs,
    togglePin,
    limit,
    toggleAvoid,
    toggleCupboard,
    editing,
    scale,
    answerQuestion,
    dismissQuestion,
    retype,
    stop: () => search?.stop(),
  }
})

/** A way is known by its schools and its title, whatever its place in the list. */
export const wayKey = (o: Option): string => `${[...o.schools].sort().join('+')}|${o.title}`

const fresh = (v: Version | null): Setup => ({
  recipe: v ? copy(v.recipe) : { title: '', yield: null, tins: [], oven: [], parts: [], method: [] },
  questions: v ? copy(v.questions) : [],
  boxes: v ? copy(v.boxes) : [],
  goals: [],
  amount: {},
  sweetener: '',
  nudge: {},
  avoid: [],
  pin: {},
  atMost: {},
  fromCupboard: false,
  trying: null,
})
const copy = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T

/** What was asked of a version on this tab's bench, without the recipe itself. */
function asksOf(id: string): Partial<Setup> {
  try {
    return JSON.parse(sessionStorage.getItem(KEPT + id) ?? '{}') as Partial<Setup>
  } catch {
    return {}
  }
}
function rememberAsks(id: string, { recipe, questions, boxes, ...asks }: Setup): void {
  void [recipe, questions, boxes]
  try {
    sessionStorage.setItem(KEPT + id, JSON.stringify(asks))
  } catch {
    // Asks that cannot be kept are asked again; the recipe is elsewhere.
  }
}
/** The amount that a line starts with, in the baker's own words. */
const amountOf = (text: string): string =>
  /^[\d\s./¼-¾⅐-⅞-]*\s*(?:g|kg|ml|l|oz|lb|cups?|tbsp|tsp|tablespoons?|teaspoons?)?/i.exec(text)?.[0]?.trim() || '1'
