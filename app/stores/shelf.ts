import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { Option } from '../../core/reformulate/option'
import type { ParsedRecipe, Recipe } from '../../core/recipe/recipe'
import { ask } from '~/kitchen/core'
import { database, newId, type Binned, type BoxLabel, type StoredRecipe, type Version } from '~/kitchen/database'
import { merge3 } from '~/kitchen/merge'
import { revise, seen } from '~/kitchen/revision'
import { readSamples } from '~/kitchen/samples'
import { follow } from '~/kitchen/sync'
import { useCupboard } from './cupboard'
import { useHistory } from './history'
import { useKeeping } from './keeping'

/** Largest file taken as recipes; more is none, and reading it would block. */
const MOST_FILE_BYTES = 5_000_000

/** Recipes shown at once. */
const NEWEST = 24

/** What was taken off the shelf is kept for so long, ms: thirty days. */
const KEPT_FOR = 30 * 86_400_000

/** States of a version that are remembered, before its newest. */
const STATES = 7

/** Recipes and their versions, kept in the browser and shown as they change, in this tab and others. */
/** Why a text is no recipe, and what to do; the text stays where it is. */
function noRecipeWords(content: string): string {
  const text = content.trim()
  if (/^(?:https?:\/\/|www\.)\S+$/i.test(text))
    return 'This is a web address, and nothing is fetched from the net here. Open the page, copy the recipe and paste it.'
  if (text.startsWith('%PDF')) return 'These are the insides of a PDF. Open it, copy the words of the recipe and paste them.'
  return 'No ingredients were found in this. Paste the list with its amounts, one a line if you can. Your text was kept.'
}

export const useShelf = defineStore('shelf', () => {
  // Records are replaced, never changed in place, and the store of the browser takes no reactive proxies.
  const recipeMap = shallowRef<ReadonlyMap<string, StoredRecipe>>(new Map())
  const versionMap = shallowRef<ReadonlyMap<string, Version>>(new Map())
  /** The newest are there; with `whole`, all. */
  const loaded = ref(false)
  const whole = ref(false)
  /** What is said of a browser that keeps nothing at all. */
  const trouble = ref('')
  /** The recipe that another tab changed in the same place at the same moment; empty where none. */
  const clashed = ref('')
  /** Versions that wait to be written: what the disk has of them is old. */
  const memory = new Set<string>()

  const recipes = computed(() => [...recipeMap.value.values()].sort((a, b) => b.updatedAt - a.updatedAt))
  const versions = computed(() => [...versionMap.value.values()])
  const versionsOf = computed(() => {
    const map = new Map<string, Version[]>()
    for (const v of versionMap.value.values()) {
      const list = map.get(v.recipeId)
      if (list) list.push(v)
      else map.set(v.recipeId, [v])
    }
    for (const list of map.values()) list.sort((a, b) => a.createdAt - b.createdAt)
    return map
  })
  const versionById = (id: string): Version | undefined => versionMap.value.get(id)

  const changed = <T extends { id: string }>(map: ReadonlyMap<string, T>, put: readonly T[], gone: readonly string[] = []) => {
    const next = new Map(map)
    for (const id of gone) next.delete(id)
    for (const r of put) next.set(r.id, r)
    return next
  }
  /** What comes back from the disk may be older than what was done meanwhile, and must not take it back. */
  const newer = <T extends { id: string; updatedAt: number }>(map: ReadonlyMap<string, T>, put: readonly T[]) =>
    put.filter((r) => (map.get(r.id)?.updatedAt ?? -Infinity) <= r.updatedAt)
  /** The last states of each version that were shown here: what a change began with. */
  const states = new Map<string, Version[]>()
  const remember = (v: Version) =>
    states.set(v.id, [...(states.get(v.id) ?? []).filter((x) => x.updatedAt !== v.updatedAt).slice(-STATES), v])
  const show = (put: { recipes?: readonly StoredRecipe[]; versions?: readonly Version[] }) => {
    put.versions?.forEach(remember)
    if (put.recipes?.length) recipeMap.value = changed(recipeMap.value, newer(recipeMap.value, put.recipes))
    if (put.versions?.length) versionMap.value = changed(versionMap.value, newer(versionMap.value, put.versions))
  }
  const hide = (ids: { recipes?: readonly string[]; versions?: readonly string[] }) => {
    if (ids.recipes?.length) recipeMap.value = changed(recipeMap.value, [], ids.recipes)
    if (ids.versions?.length) versionMap.value = changed(versionMap.value, [], ids.versions)
  }

  /** Writes, or lays by what the disk refuses; either way what was done is seen at once after. */
  async function write(what: string, work: () => Promise<unknown>, now: { recipes?: StoredRecipe[]; versions?: Version[] } = {}) {
    const versions = (now.versions ?? []).map((v) => v.id)
    versions.forEach((id) => memory.add(id))
    const key = `shelf ${[...versions, ...(now.recipes ?? []).map((r) => r.id)].join(' ') || newId()}`
    await useKeeping().write(key, what, async () => {
      await work()
      versions.forEach((id) => memory.delete(id))
    })
    show(now)
  }

  const putAll = (r: readonly StoredRecipe[], v: readonly Version[]) =>
    database.transaction('rw', database.recipes, database.versions, async () => {
      await database.recipes.bulkPut(r)
      await database.versions.bulkPut(v)
    })
  /** What was taken off the shelf in the last thirty days, latest first. */
  const bin = shallowRef<readonly Binned[]>([])
  const binned = (what: Omit<Binned, 'id' | 'at'>): Binned => plain({ ...what, id: newId(), at: Date.now() })
  /** Takes records off the disk and lays them in the bin, at once or not at all. */
  const throwIn = async (what: Binned, change: () => Promise<unknown>) => {
    await write('The removal', () =>
      database.transaction('rw', database.recipes, database.versions, database.bin, async () => {
        await change()
        await database.bin.put(what)
      }),
    )
    bin.value = [what, ...bin.value.filter((b) => b.id !== what.id)]
  }
  const outOfBin = async (id: string) => {
    bin.value = bin.value.filter((b) => b.id !== id)
    await database.bin.delete(id).catch(() => undefined)
  }
  async function readBin() {
    try {
      await database.bin
        .where('at')
        .below(Date.now() - KEPT_FOR)
        .delete()
      bin.value = await database.bin.orderBy('at').reverse().toArray()
    } catch {
      // Where nothing is kept there is no bin.
    }
  }
  /** Puts back on the shelf what was taken off; a version whose recipe is gone as well comes back with it. */
  async function putBack(id: string) {
    const what = bin.value.find((b) => b.id === id)
    if (!what) return
    const homeless = what.versions.filter((v) => !recipeMap.value.has(v.recipeId) && !what.recipes.some((r) => r.id === v.recipeId))
    const houses = new Map(
      homeless.map((v) => [
        v.recipeId,
        { id: v.recipeId, title: v.recipe.title, sample: false, createdAt: v.createdAt, updatedAt: revise() } satisfies StoredRecipe,
      ]),
    )
    const back = { recipes: [...what.recipes, ...houses.values()], versions: what.versions.map((v) => ({ ...v, updatedAt: revise() })) }
    await write('The recipe', () => putAll(back.recipes, back.versions), back)
    await outOfBin(id)
  }

  const deleteAll = async (recipeIds: readonly string[], versionIds: readonly string[]) => {
    await database.versions.bulkDelete([...versionIds])
    await database.recipes.bulkDelete([...recipeIds])
  }

  /** Says that what is done here lasts as long as the tab. */
  function inMemory() {
    trouble.value =
      'This browser keeps nothing for this page (private window or storage switched off). You can work, but download what you want to keep.'
  }

  async function load() {
    try {
      const seeded = await database.settings.get('seeded')
      if (!seeded) await addSamples()
    } catch {
      inMemory()
    }
    await showNewest()
    void readBin()
    const ready = new Set<string>()
    const told = (which: string) => {
      ready.add(which)
      if (ready.size === 2) loaded.value = whole.value = true
    }
    void follow(
      database.recipes,
      (all, gone) => {
        const put = newer(recipeMap.value, all)
        if (put.length || gone.length) recipeMap.value = changed(recipeMap.value, put, gone)
        told('recipes')
      },
      () => told('recipes'),
    )
    void follow(
      database.versions,
      (put, gone) => {
        const fresh = newer(versionMap.value, put).filter((v) => !memory.has(v.id))
        fresh.forEach(remember)
        if (fresh.length || gone.length) versionMap.value = changed(versionMap.value, fresh, gone)
        told('versions')
      },
      () => told('versions'),
    )
  }

  /** What was worked on last is shown before a full shelf is read. */
  async function showNewest() {
    try {
      const newest = await database.recipes.orderBy('updatedAt').reverse().limit(NEWEST).toArray()
      const theirs = await database.versions
        .where('recipeId')
        .anyOf(newest.map((r) => r.id))
        .toArray()
      show({ recipes: newest, versions: theirs })
      loaded.value = newest.length > 0
    } catch {
      // What cannot be read is said where the whole shelf is.
    }
  }

  /** Versions that a screen needs before a full shelf is read. */
  async function know(ids: readonly string[]) {
    const missing = [...new Set(ids)].filter((id) => !versionMap.value.has(id))
    if (!missing.length || whole.value) return
    const found: (Version | undefined)[] = await database.versions.bulkGet(missing).catch(() => [])
    show({ versions: found.filter((v): v is Version => v !== undefined) })
  }

  /** Sample recipes that nobody has worked on: a second after its making, only a baker changes one. */
  const untouchedSamples = computed(() =>
    recipes.value.filter((r) => r.sample && (versionsOf.value.get(r.id) ?? []).every((v) => v.updatedAt < r.createdAt + 1000)),
  )

  /** Takes recipes off the shelf with all their versions; undo puts them back as they were. */
  async function takeOff(label: string, list: readonly StoredRecipe[]) {
    const kept = { recipes: list.map(plain), versions: list.flatMap((r) => plain(versionsOf.value.get(r.id) ?? [])) }
    const ids = { recipes: kept.recipes.map((r) => r.id), versions: kept.versions.map((v) => v.id) }
    const title = list.length === 1 ? list[0]!.title : `${list.length} recipes`
    let lies = ''
    const off = async () => {
      const what = binned({ title, ...kept })
      lies = what.id
      await throwIn(what, () => deleteAll(ids.recipes, ids.versions))
      hide(ids)
    }
    await off()
    useHistory().did({
      label,
      undo: async () => {
        await write('The recipe', () => putAll(kept.recipes, kept.versions), kept)
        await outOfBin(lies)
      },
      redo: off,
    })
  }

  const remove = async (recipeId: string) => {
    const recipe = recipeMap.value.get(recipeId)
    if (recipe) await takeOff(`“${recipe.title}” taken off the shelf`, [recipe])
  }
  /** Takes the sample recipes off the shelf, but for those that the baker has worked on. */
  const removeSamples = () => takeOff('the sample kitchen taken away', untouchedSamples.value)

  /** Puts the sample recipes back as they were given. */
  async function bringSamples() {
    const samples = await readSamples()
    await write('The sample kitchen', () => putAll(samples.recipes, samples.versions), samples)
  }

  async function addSamples() {
    const samples = await readSamples()
    await database.transaction('rw', [database.recipes, database.versions, database.settings, database.stock, database.tins], async () => {
      // A second tab may have been faster.
      if (await database.settings.get('seeded')) return
      await database.recipes.bulkPut(samples.recipes)
      await database.versions.bulkPut(samples.versions)
      await database.stock.bulkPut(samples.stock)
      await database.tins.bulkPut(samples.tins)
      await database.settings.put({ key: 'seeded', value: true })
    })
  }

  const newVersion = (recipeId: string, parsed: ParsedRecipe, at: number, more: Partial<Version> = {}): Version => ({
    id: newId(),
    recipeId,
    parentId: null,
    name: 'As given',
    recipe: parsed.recipe,
    questions: parsed.questions,
    source: '',
    goals: [],
    schools: [],
    note: '',
    bakedAt: null,
    boxes: [],
    createdAt: at,
    updatedAt: at,
    ...more,
  })

  /** Puts what was read on the shelf, in order. */
  async function place(read: readonly ParsedRecipe[], more: Partial<Version> = {}): Promise<Version[]> {
    const at = Date.now()
    const stored = read.map((p, i): StoredRecipe => ({
      id: newId(),
      title: p.recipe.title,
      sample: false,
      createdAt: at - i,
      updatedAt: at - i,
    }))
    const fresh = read.map((p, i) => plain(newVersion(stored[i]!.id, p, at - i, more)))
    await write(fresh.length === 1 ? 'The recipe' : `The ${fresh.length} recipes`, () => putAll(stored, fresh), {
      recipes: stored,
      versions: fresh,
    })
    return fresh
  }

  /** Reads pasted text (or a file's text) and puts its recipes on the shelf. */
  async function bring(content: string): Promise<Version[]> {
    // Whose cups the page means is the page's own matter; where it does not tell, this kitchen's.
    const { region: home, ...common } = useCupboard().common()
    const { recipes: read } = await ask('import', { content, ...common, home })
    if (!read.some((r) => r.recipe.parts.some((p) => p.lines.some((l) => l.ingredient)))) throw new Error(noRecipeWords(content))
    const source = read.length === 1 && !/^\s*[<[{]/.test(content) ? content : ''
    return place(read, { source })
  }

  /** A recipe made on screen rather than read, such as one that starts from a box. */
  const bringRecipe = async (text: string, boxes: BoxLabel[] = []): Promise<Version> => {
    const parsed = await ask('parse', { text, ...useCupboard().common(), boxes })
    return (await place([parsed], { source: text, boxes }))[0]!
  }

  async function bringFile(file: File): Promise<Version[]> {
    if (file.size > MOST_FILE_BYTES)
      throw new Error(`“${file.name}” is ${Math.round(file.size / 1e6)} MB: that is no recipe. Nothing was taken from it.`)
    const text = await file.text()
    // NUL bytes mean a picture, a PDF or an archive.
    if (text.slice(0, 4000).includes('\u0000')) throw new Error(`“${file.name}” is not text. Save the page or copy its words instead.`)
    return bring(text)
  }

  /** Writes a version through. One that was baked is left alone: its child takes the change. */
  async function put(version: Version, at = revise()): Promise<void> {
    const base = states.get(version.id)?.find((x) => x.updatedAt === version.updatedAt)
    const next: Version = plain({ ...version, updatedAt: at })
    const now = { recipes: [] as StoredRecipe[], versions: [next] }
    const settle = (v: Version) => {
      const recipe = recipeMap.value.get(v.recipeId)
      now.versions = [v]
      now.recipes = recipe ? [{ ...recipe, updatedAt: v.updatedAt, ...(v.parentId === null && { title: v.recipe.title }) }] : []
    }
    settle(next)
    show({ versions: [next] })
    await write(
      'The change',
      () =>
        database.transaction('rw', database.recipes, database.versions, async () => {
          // Another tab may have changed it since: what each of them changed is kept.
          const there = await database.versions.get(next.id)
          if (there && base && there.updatedAt !== base.updatedAt) {
            seen(there.updatedAt)
            const { value, clash } = merge3(base, { ...next, updatedAt: base.updatedAt }, { ...there, updatedAt: base.updatedAt })
            settle({ ...value, updatedAt: revise() })
            if (clash) clashed.value = next.recipe.title || next.name
          }
          await database.recipes.bulkPut(now.recipes)
          await database.versions.bulkPut(now.versions)
        }),
      now,
    )
  }

  const update = (version: Version, recipe: Recipe, questions: Version['questions']) => put({ ...version, recipe, questions })

  /** Adds a child to a version. */
  async function addChild(parent: Version, more: Partial<Version>): Promise<Version> {
    const at = revise()
    const child: Version = plain({
      ...newVersion(parent.recipeId, { recipe: parent.recipe, questions: [] }, at),
      parentId: parent.id,
      boxes: parent.boxes,
      goals: parent.goals,
      schools: parent.schools,
      ...more,
    })
    const recipe = recipeMap.value.get(parent.recipeId)
    const stored = recipe ? [{ ...recipe, updatedAt: at }] : []
    await write('The version', () => putAll(stored, [child]), { recipes: stored, versions: [child] })
    return child
  }

  /** Saves an answer of the bench as a child of the version it came from. */
  const saveOption = (parent: Version, option: Option, goals: string[]): Promise<Version> =>
    addChild(parent, { name: option.title, recipe: option.recipe, goals: [...goals], schools: [...option.schools] })

  /** Takes one version away; its children become children of its parent. */
  async function removeVersion(version: Version) {
    const kept = plain(version)
    const children = (versionsOf.value.get(version.recipeId) ?? []).filter((v) => v.parentId === version.id)
    const moved = children.map((v) => plain({ ...v, parentId: version.parentId, updatedAt: revise() }))
    let lies = ''
    const off = async () => {
      const what = binned({ title: `${kept.recipe.title}: ${kept.name}`, recipes: [], versions: [kept] })
      lies = what.id
      await throwIn(what, async () => {
        await database.versions.delete(version.id)
        await database.versions.bulkPut(moved)
      })
      show({ versions: moved })
      hide({ versions: [version.id] })
    }
    await off()
    useHistory().did({
      label: `version “${version.name}” removed`,
      undo: async () => {
        const back = [kept, ...children.map(plain)].map((v) => ({ ...v, updatedAt: revise() }))
        await write('The version', () => putAll([], back), { versions: back })
        await outOfBin(lies)
      },
      redo: off,
    })
  }

  return {
    recipes,
    versions,
    versionsOf,
    know,
    versionById,
    loaded,
    whole,
    trouble,
    clashed,
    bin,
    putBack,
    throwAway: outOfBin,
    load,
    inMemory,
    bring,
    bringRecipe,
    bringFile,
    put,
    update,
    addChild,
    saveOption,
    removeVersion,
    remove,
    untouchedSamples,
    removeSamples,
    bringSamples,
  }
})

/** Reactive proxies cannot be stored; a recipe is plain data, so its JSON is the whole of it. */
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T
