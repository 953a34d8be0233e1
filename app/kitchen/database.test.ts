import 'fake-indexeddb/auto'
import Dexie from 'dexie'
import { describe, expect, it } from 'vitest'
import { KitchenDatabase } from './database'

describe('the kitchen’s database', () => {
  it('takes a kitchen of the first schema with everything in it', async () => {
    const name = 'kitchen-of-old'
    const old = new Dexie(name)
    old.version(1).stores({ recipes: 'id, title, updatedAt', versions: 'id, recipeId, parentId, updatedAt', settings: 'key' })
    const recipe = { id: 'r', title: 'Bun', sample: false, createdAt: 1, updatedAt: 2 }
    const version = {
      id: 'v',
      recipeId: 'r',
      parentId: null,
      name: 'As given',
      recipe: { title: 'Bun', yield: null, tins: [], oven: [], parts: [], method: [] },
      questions: [],
      source: 'Bun',
      goals: [],
      schools: [],
      note: 'good',
      createdAt: 1,
      updatedAt: 2,
    }
    await old.table('recipes').add(recipe)
    await old.table('versions').add(version)
    await old.table('settings').add({ key: 'region', value: 'us' })
    old.close()

    const now = new KitchenDatabase(name)
    expect(await now.recipes.toArray()).toEqual([recipe])
    expect(await now.versions.toArray()).toEqual([{ ...version, bakedAt: null, boxes: [] }])
    expect(await now.settings.get('region')).toEqual({ key: 'region', value: 'us' })
    expect(await now.stock.count()).toBe(0)
    await now.stock.put({ id: 'flour-plain', grams: 500, bestBefore: null, note: '', updatedAt: 3 })
    expect(await now.stock.get('flour-plain')).toMatchObject({ grams: 500 })
    // The third schema: finishes.
    const setup = {
      cut: { split: 1, trimMm: 0, rolled: false },
      places: {},
      soak: null,
      colours: {},
      wants: [],
      sparePct: 10,
      wholePackages: false,
    }
    await now.finishes.put({ id: 'v', setup, updatedAt: 4 })
    expect(await now.finishes.get('v')).toMatchObject({ setup })
    await now.steps.put({ id: 'v', fixes: { 0: { minutes: 12 } }, updatedAt: 4 })
    expect((await now.steps.get('v'))?.fixes[0]).toEqual({ minutes: 12 })
    expect(await now.days.count()).toBe(0)
    now.close()
  })
})
