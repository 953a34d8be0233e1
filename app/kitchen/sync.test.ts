import 'fake-indexeddb/auto'
import { describe, expect, it, vi } from 'vitest'
import { KitchenDatabase, type StoredRecipe } from './database'
import { follow } from './sync'

const recipe = (id: string, updatedAt: number): StoredRecipe => ({ id, title: id, sample: false, createdAt: 0, updatedAt })

describe('following a table', () => {
  it('tells everything once, then only what changed, came, or went', async () => {
    const db = new KitchenDatabase('followed')
    await db.recipes.bulkPut(Array.from({ length: 450 }, (_, i) => recipe(`r${i}`, i)))
    const told: [string[], string[]][] = []
    await follow(
      db.recipes,
      (changed, gone) => told.push([changed.map((r) => r.id), gone]),
      () => told.push([['failed'], []]),
    )
    expect(told).toHaveLength(1)
    expect(told[0]![0]).toHaveLength(450)
    await vi.waitFor(async () => {
      await db.recipes.put(recipe('r7', 1000))
      expect(told.at(-1)).toEqual([['r7'], []])
    })
    // Put back with a stamp older than the newest: it is new here all the same.
    await db.recipes.put(recipe('old', 5))
    await vi.waitFor(() => expect(told.at(-1)).toEqual([['old'], []]))
    await db.recipes.delete('r9')
    await vi.waitFor(() => expect(told.at(-1)).toEqual([[], ['r9']]))
    db.close()
  })
})
