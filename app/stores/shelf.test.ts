import { beforeEach, describe, expect, it, vi } from 'vitest'
import { bring, freshKitchen, full, newTab, SPONGE } from '../fixtures/kitchen'
import { CoreRefusal } from '~/kitchen/core'
import { database } from '~/kitchen/database'
import { useHistory } from './history'
import { useKeeping } from './keeping'
import { useShelf } from './shelf'

beforeEach(freshKitchen)

const onDisk = async () => ({ recipes: await database.recipes.toArray(), versions: await database.versions.toArray() })
const opened = async () => {
  const shelf = useShelf()
  await shelf.load()
  await vi.waitFor(() => expect(shelf.whole).toBe(true))
  return shelf
}

describe('bringing recipes', () => {
  it('keeps what was pasted word for word, and finds it again in the next tab', async () => {
    const v = await bring()
    expect(v).toMatchObject({ name: 'As given', parentId: null, source: SPONGE, bakedAt: null })
    newTab()
    const shelf = await opened()
    expect(shelf.recipes.map((r) => r.title)).toEqual(['Pier sponge'])
    expect(shelf.versionById(v.id)).toEqual(v)
  })

  it('takes many at once, in their order, with no source that would be somebody else’s', async () => {
    const shelf = useShelf()
    const file = JSON.stringify(
      ['Harbour bun', 'Jetty cake', 'Quay square'].map((name) => ({
        '@context': 'https://schema.org',
        '@type': 'Recipe',
        name,
        recipeIngredient: ['200 g plain flour', '100 g sugar', '2 eggs'],
      })),
    )
    const all = await shelf.bringFile(new File([file], 'three.json'))
    expect(all.map((v) => v.source)).toEqual(['', '', ''])
    expect(shelf.recipes.map((r) => r.title)).toEqual(['Harbour bun', 'Jetty cake', 'Quay square'])
  })

  it.each([
    ['a picture', new File([new Uint8Array([137, 80, 78, 71, 0, 0, 0, 13])], 'cake.png'), /not text/],
    ['a file of six megabytes', new File(['flour '.repeat(1_000_000)], 'book.txt'), /6 MB/],
  ])('refuses %s in words, with nothing on the shelf', async (_, file, words) => {
    await expect(useShelf().bringFile(file)).rejects.toThrow(words)
    expect(await onDisk()).toEqual({ recipes: [], versions: [] })
  })

  it('refuses what is no recipe with the core’s own code', async () => {
    await expect(useShelf().bring('   ')).rejects.toBeInstanceOf(CoreRefusal)
    expect(useShelf().recipes).toEqual([])
  })
})

describe('taking off and putting back', () => {
  it('is undone to the last character, versions and all', async () => {
    const v = await bring()
    const shelf = useShelf()
    await shelf.addChild(v, { name: 'With less sugar' })
    const before = await onDisk()
    await shelf.remove(v.recipeId)
    expect(await onDisk()).toEqual({ recipes: [], versions: [] })
    await useHistory().undo()
    expect(await onDisk()).toEqual(before)
    await useHistory().redo()
    expect(shelf.recipes).toEqual([])
  })

  it('a version that goes leaves its children to its parent', async () => {
    const given = await bring()
    const shelf = useShelf()
    const child = await shelf.addChild(given, { name: 'Child' })
    const grandchild = await shelf.addChild(child, { name: 'Grandchild' })
    await shelf.removeVersion(child)
    expect(shelf.versionById(child.id)).toBeUndefined()
    expect(shelf.versionById(grandchild.id)?.parentId).toBe(given.id)
    await useHistory().undo()
    expect((await database.versions.get(grandchild.id))?.parentId).toBe(child.id)
    expect(await database.versions.get(child.id)).toBeDefined()
  })

  it('samples go and come; the one that was worked on stays', async () => {
    await database.settings.clear()
    const shelf = await opened()
    const all = shelf.recipes.length
    expect(all).toBeGreaterThanOrEqual(6)
    const worked = shelf.versionsOf.get(shelf.recipes[2]!.id)![0]!
    await new Promise((r) => setTimeout(r, 5))
    vi.setSystemTime(Date.now() + 5000)
    await shelf.put({ ...worked, note: 'less lemon' })
    vi.useRealTimers()
    await shelf.removeSamples()
    expect(shelf.recipes.map((r) => r.id)).toEqual([worked.recipeId])
    await useHistory().undo()
    expect(shelf.recipes).toHaveLength(all)
  })
})

describe('the bin', () => {
  it('what was taken off can be put back after the tab was closed, with all its versions', async () => {
    const v = await bring()
    await useShelf().addChild(v, { name: 'With less sugar' })
    const before = await onDisk()
    await useShelf().remove(v.recipeId)
    newTab()
    const shelf = await opened()
    await vi.waitFor(() => expect(shelf.bin.map((b) => b.title)).toEqual(['Pier sponge']))
    await shelf.putBack(shelf.bin[0]!.id)
    const after = await onDisk()
    expect(after.recipes.map((r) => r.id)).toEqual(before.recipes.map((r) => r.id))
    expect(after.versions.map((x) => x.name).sort()).toEqual(before.versions.map((x) => x.name).sort())
    expect(shelf.bin).toEqual([])
    expect(await database.bin.count()).toBe(0)
  })

  it('a version comes back too, and brings a house where its recipe is gone', async () => {
    const v = await bring()
    const shelf = useShelf()
    const child = await shelf.addChild(v, { name: 'Child' })
    await shelf.removeVersion(child)
    await shelf.remove(v.recipeId)
    expect(shelf.bin.map((b) => b.title)).toEqual(['Pier sponge', 'Pier sponge: Child'])
    await shelf.putBack(shelf.bin[1]!.id)
    expect(shelf.recipes.map((r) => r.title)).toEqual(['Pier sponge'])
    expect(shelf.versionById(child.id)?.name).toBe('Child')
  })

  it('undo empties it again, and after thirty days it is gone', async () => {
    const v = await bring()
    const shelf = useShelf()
    await shelf.remove(v.recipeId)
    await useHistory().undo()
    expect(shelf.bin).toEqual([])
    await shelf.remove(v.recipeId)
    await database.bin.toCollection().modify((b) => void (b.at -= 31 * 86_400_000))
    newTab()
    const later = await opened()
    await vi.waitFor(async () => expect(await database.bin.count()).toBe(0))
    expect(later.bin).toEqual([])
  })
})

describe('versions', () => {
  it('a child takes over what its parent was made for, and leaves the parent as it was', async () => {
    const v = await bring()
    const shelf = useShelf()
    const eggless = await shelf.addChild({ ...v, goals: ['eggless'], schools: ['flax'] }, { name: 'Again' })
    expect(eggless).toMatchObject({ parentId: v.id, goals: ['eggless'], schools: ['flax'], recipe: v.recipe })
    expect(shelf.versionById(v.id)).toEqual(v)
  })

  it('only the first version gives the recipe its title', async () => {
    const v = await bring()
    const shelf = useShelf()
    const child = await shelf.addChild(v, { name: 'Child' })
    await shelf.put({ ...child, recipe: { ...child.recipe, title: 'Another name' } })
    expect(shelf.recipes[0]!.title).toBe('Pier sponge')
    await shelf.put({ ...v, recipe: { ...v.recipe, title: 'Breakwater sponge' } })
    expect(shelf.recipes[0]!.title).toBe('Breakwater sponge')
  })

  it('two tabs that change different things at the same moment lose neither; in the same place it is said', async () => {
    const v = await bring()
    const shelf = await opened()
    const line = (recipe: typeof v.recipe, grams: number, at: number) => {
      const next = JSON.parse(JSON.stringify(recipe)) as typeof recipe
      next.parts[0]!.lines[at]!.grams.best = grams
      return next
    }
    // The other tab writes the second line while this one is about to write the first.
    await database.versions.put({ ...v, recipe: line(v.recipe, 77, 1), updatedAt: v.updatedAt + 5 })
    await shelf.put({ ...v, recipe: line(v.recipe, 55, 0) })
    const kept = (await database.versions.get(v.id))!.recipe.parts[0]!.lines
    expect([kept[0]!.grams.best, kept[1]!.grams.best]).toEqual([55, 77])
    expect(shelf.versionById(v.id)!.recipe.parts[0]!.lines[1]!.grams.best).toBe(77)
    expect(shelf.clashed).toBe('')
    const now = shelf.versionById(v.id)!
    await database.versions.put({ ...now, note: 'theirs', updatedAt: now.updatedAt + 5 })
    await shelf.put({ ...now, note: 'ours' })
    expect((await database.versions.get(v.id))!.note).toBe('ours')
    expect(shelf.clashed).not.toBe('')
  })

  it('a clock that was set back, or a record from the future, takes no edit back', async () => {
    const v = await bring()
    const shelf = await opened()
    const future = Date.now() + 1e10
    await database.versions.put({ ...v, note: 'from the future', updatedAt: future })
    await vi.waitFor(() => expect(shelf.versionById(v.id)?.note).toBe('from the future'))
    vi.setSystemTime(Date.now() - 1e9)
    await shelf.put({ ...shelf.versionById(v.id)!, note: 'mine, by a slow clock' })
    await new Promise((r) => setTimeout(r, 60))
    expect(shelf.versionById(v.id)?.note).toBe('mine, by a slow clock')
    expect((await database.versions.get(v.id))!.updatedAt).toBeGreaterThan(future)
    vi.useRealTimers()
  })

  it('shows what another tab wrote, and never takes newer work back', async () => {
    const v = await bring()
    const shelf = await opened()
    await database.versions.put({ ...v, note: 'from the other tab', updatedAt: v.updatedAt + 10 })
    await vi.waitFor(() => expect(shelf.versionById(v.id)?.note).toBe('from the other tab'))
    await shelf.put({ ...v, note: 'mine, later' })
    await database.versions.put({ ...v, note: 'old news', updatedAt: v.updatedAt + 11 })
    await new Promise((r) => setTimeout(r, 60))
    expect(shelf.versionById(v.id)?.note).toBe('mine, later')
  })

  it('are known to a screen before a full shelf is read', async () => {
    const v = await bring()
    newTab()
    const shelf = useShelf()
    expect(shelf.versionById(v.id)).toBeUndefined()
    await shelf.know([v.id, 'nobody'])
    expect(shelf.versionById(v.id)).toEqual(v)
  })
})

describe('a full disk', () => {
  it('is said, and what was done stays while the tab does and is written once there is room', async () => {
    const v = await bring()
    const shelf = useShelf()
    const disk = vi.spyOn(database.versions, 'bulkPut').mockImplementation(full as never)
    await shelf.put({ ...v, note: 'crumbs in the keyboard' })
    expect(useKeeping().trouble).toMatchObject({ unsaved: 1 })
    expect(useKeeping().trouble!.message).toMatch(/kept while this tab stays open/)
    expect(shelf.versionById(v.id)?.note).toBe('crumbs in the keyboard')
    expect((await database.versions.get(v.id))?.note).toBe('')
    disk.mockRestore()
    await shelf.put({ ...shelf.versionById(v.id)!, note: 'swept' })
    expect(useKeeping().trouble).toBeNull()
    expect((await database.versions.get(v.id))?.note).toBe('swept')
  })
})
