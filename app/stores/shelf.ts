import { liveQuery } from 'dexie'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { Option } from '../../core/reformulate/option'
import type { Recipe } from '../../core/recipe/recipe'
import { ask } from '~/kitchen/core'
import { database, newId, type StoredRecipe, type Version } from '~/kitchen/database'
import { readSamples } from '~/kitchen/samples'
import { useKitchen } from './kitchen'

/** Largest file taken as a recipe; more is no recipe, and reading it would block. */
const MOST_FILE_BYTES = 5_000_000

export interface Trouble {
  message: string
  /** What could not be written and is only in memory. */
  unsaved: number
}

/** Recipes and their versions, kept in the browser and shown as they change, in this tab and others. */
export const useShelf = defineStore('shelf', () => {
  // Records are replaced, never changed in place, and the store of the browser takes no reactive proxies.
  const recipes = shallowRef<StoredRecipe[]>([])
  const versions = shallowRef<Version[]>([])
  const loaded = ref(false)
  const trouble = ref<Trouble | null>(null)
  const memory = new Map<string, Version>()
  const lastRemoved = shallowRef<{ recipe: StoredRecipe; versions: Version[] } | null>(null)

  const versionsOf = computed(() => {
    const map = new Map<string, Version[]>()
    for (const v of versions.value) map.set(v.recipeId, [...(map.get(v.recipeId) ?? []), v])
    for (const list of map.values()) list.sort((a, b) => a.createdAt - b.createdAt)
    return map
  })
  const versionById = (id: string): Version | undefined => versions.value.find((v) => v.id === id)

  /** Writes, or keeps in memory and says so where the disk refuses. */
  async function write(what: string, work: () => Promise<unknown>, fallback: { recipe?: StoredRecipe; version?: Version }) {
    try {
      await work()
      if (fallback.version) memory.delete(fallback.version.id)
      if (!memory.size) trouble.value = null
    } catch {
      if (fallback.version) memory.set(fallback.version.id, fallback.version)
      if (fallback.recipe && !recipes.value.some((r) => r.id === fallback.recipe!.id)) recipes.value = [fallback.recipe, ...recipes.value]
      if (fallback.version) versions.value = [...versions.value.filter((v) => v.id !== fallback.version!.id), fallback.version]
      trouble.value = {
        message: `${what} could not be written to this browser’s storage: it is full or switched off. Your work is kept while this tab stays open. Download it now to be safe.`,
        unsaved: memory.size,
      }
    }
  }

  async function load() {
    try {
      const seeded = await database.settings.get('seeded')
      if (!seeded) await addSamples()
    } catch {
      trouble.value = {
        message:
          'This browser keeps nothing for this page (private window or storage switched off). You can work, but download what you want to keep.',
        unsaved: 0,
      }
    }
    liveQuery(() => Promise.all([database.recipes.toArray(), database.versions.toArray()])).subscribe({
      next: ([r, v]) => {
        const unsaved = [...memory.values()].filter((m) => !v.some((x) => x.id === m.id))
        recipes.value = r.sort((a, b) => b.updatedAt - a.updatedAt)
        versions.value = [...v.map((x) => memory.get(x.id) ?? x), ...unsaved]
        loaded.value = true
      },
      error: () => {
        loaded.value = true
      },
    })
  }

  /** Sample recipes that nobody has worked on: a second after its making, only a baker changes one. */
  const untouchedSamples = computed(() =>
    recipes.value.filter((r) => r.sample && (versionsOf.value.get(r.id) ?? []).every((v) => v.updatedAt < r.createdAt + 1000)),
  )

  /** Takes the sample recipes off the shelf, but for those that the baker has worked on. */
  async function removeSamples() {
    const ids = untouchedSamples.value.map((r) => r.id)
    await write(
      'The removal',
      () =>
        database.transaction('rw', database.recipes, database.versions, async () => {
          await database.versions.where('recipeId').anyOf(ids).delete()
          await database.recipes.bulkDelete(ids)
        }),
      {},
    )
  }

  /** Puts the sample recipes back as they were given. */
  async function bringSamples() {
    const samples = await readSamples()
    await write(
      'The sample kitchen',
      () =>
        database.transaction('rw', database.recipes, database.versions, async () => {
          await database.recipes.bulkPut(samples.recipes)
          await database.versions.bulkPut(samples.versions)
        }),
      {},
    )
  }

  async function addSamples() {
    const samples = await readSamples()
    await database.transaction('rw', database.recipes, database.versions, database.settings, async () => {
      // A second tab may have been faster.
      if (await database.settings.get('seeded')) return
      await database.recipes.bulkPut(samples.recipes)
      await database.versions.bulkPut(samples.versions)
      await database.settings.put({ key: 'seeded', value: true })
    })
  }

  /** Reads pasted text (or a recipe file's text) and puts it on the shelf. Returns its version. */
  async function bring(content: string): Promise<Version> {
    const kitchen = useKitchen()
    const trimmed = content.trim()
    const foreign = trimmed.startsWith('<') || /^[[{]/.test(trimmed)
    const parsed = await ask('parse', foreign ? { jsonld: trimmed, region: kitchen.region } : { text: content, region: kitchen.region })
    const at = Date.now()
    const recipe: StoredRecipe = { id: newId(), title: parsed.recipe.title, sample: false, createdAt: at, updatedAt: at }
    const version: Version = {
      id: newId(),
      recipeId: recipe.id,
      parentId: null,
      name: 'As given',
      recipe: parsed.recipe,
      questions: parsed.questions,
      source: foreign ? '' : content,
      goals: [],
      schools: [],
      note: '',
      createdAt: at,
      updatedAt: at,
    }
    await write(
      'The recipe',
      () =>
        database.transaction('rw', database.recipes, database.versions, async () => {
          await database.recipes.add(recipe)
          await database.versions.add(version)
        }),
      { recipe, version },
    )
    if (!versionById(version.id)) {
      recipes.value = [recipe, ...recipes.value]
      versions.value = [...versions.value, version]
    }
    return version
  }

  async function bringFile(file: File): Promise<Version> {
    if (file.size > MOST_FILE_BYTES)
      throw new Error(`“${file.name}” is ${Math.round(file.size / 1e6)} MB: that is no recipe. Nothing was taken from it.`)
    const text = await file.text()
    // NUL bytes mean a picture, a PDF or an archive.
    if (text.slice(0, 4000).includes('\u0000')) throw new Error(`“${file.name}” is not text. Save the page or copy its words instead.`)
    return bring(text)
  }

  async function update(version: Version, recipe: Recipe, questions: Version['questions']) {
    const next: Version = plain({ ...version, recipe, questions, updatedAt: Date.now() })
    versions.value = versions.value.map((v) => (v.id === next.id ? next : v))
    await write(
      'The change',
      () =>
        database.transaction('rw', database.recipes, database.versions, async () => {
          await database.versions.put(next)
          if (next.parentId === null) await database.recipes.update(next.recipeId, { title: next.recipe.title, updatedAt: next.updatedAt })
        }),
      { version: next },
    )
  }

  /** Saves an answer of the bench as a child of the version it came from. */
  async function saveOption(parent: Version, option: Option, goals: string[]): Promise<Version> {
    const at = Date.now()
    const version: Version = {
      id: newId(),
      recipeId: parent.recipeId,
      parentId: parent.id,
      name: option.title,
      recipe: plain(option.recipe),
      questions: [],
      source: '',
      goals: [...goals],
      schools: [...option.schools],
      note: '',
      createdAt: at,
      updatedAt: at,
    }
    await write(
      'The version',
      () =>
        database.transaction('rw', database.recipes, database.versions, async () => {
          await database.versions.add(version)
          await database.recipes.update(parent.recipeId, { updatedAt: at })
        }),
      { version },
    )
    // Shown once it is written (or known to be in memory only), so that what is seen survives a reload.
    if (!versionById(version.id)) versions.value = [...versions.value, version]
    return version
  }

  async function remove(recipeId: string) {
    const recipe = recipes.value.find((r) => r.id === recipeId)
    if (!recipe) return
    lastRemoved.value = { recipe: plain(recipe), versions: plain(versionsOf.value.get(recipeId) ?? []) }
    await write(
      'The removal',
      () =>
        database.transaction('rw', database.recipes, database.versions, async () => {
          await database.versions.where({ recipeId }).delete()
          await database.recipes.delete(recipeId)
        }),
      {},
    )
  }

  async function restore() {
    const back = lastRemoved.value
    if (!back) return
    const put = () =>
      database.transaction('rw', database.recipes, database.versions, async () => {
        await database.recipes.put(back.recipe)
        await database.versions.bulkPut(back.versions)
      })
    await write('The recipe', put, { recipe: back.recipe, version: back.versions[0] })
    lastRemoved.value = null
  }

  return {
    recipes,
    versions,
    versionsOf,
    versionById,
    loaded,
    trouble,
    lastRemoved,
    load,
    bring,
    bringFile,
    update,
    saveOption,
    remove,
    restore,
    untouchedSamples,
    removeSamples,
    bringSamples,
  }
})

/** Reactive proxies cannot be stored; a recipe is plain data, so its JSON is the whole of it. */
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T
