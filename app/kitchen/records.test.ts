import 'fake-indexeddb/auto'
import fc from 'fast-check'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { bring, freshKitchen, newTab } from '../fixtures/kitchen'
import { aside } from './aside'
import { TABLES } from './backup'
import { database, KitchenDatabase, openKitchen } from './database'
import { lacksOf, soundOf } from './records'
import { readSamples } from './samples'
import { useCupboard } from '~/stores/cupboard'
import { useKitchen } from '~/stores/kitchen'
import { useShelf } from '~/stores/shelf'

beforeEach(async () => {
  vi.stubGlobal('document', { documentElement: { dataset: {} } })
  vi.stubGlobal('matchMedia', () => ({ matches: false, addEventListener: () => undefined }))
  await freshKitchen()
  aside.value = []
})

/** Past the guard, as a damaged disk or another program would leave it. */
const damage = (table: string, row: unknown) => database.table(table).put(row)

describe('records of the kitchen', () => {
  it('all that the product writes itself is sound', async () => {
    const samples = await readSamples()
    await bring()
    for (const r of samples.recipes) expect(lacksOf('recipes', r)).toBeNull()
    for (const v of samples.versions) expect(lacksOf('versions', v)).toBeNull()
    for (const t of TABLES) for (const row of await database.table(t).toArray()) expect(lacksOf(t, row)).toBeNull()
  })

  it('whatever is done to a field, a record is whole, filled in or set aside by name', async () => {
    const version = await bring()
    const fields = Object.keys(version)
    const junk = fc.constantFrom(null, undefined, 7, NaN, '', 'x', [], [null], {}, { parts: 3 }, true)
    fc.assert(
      fc.property(fc.constantFrom(...fields), junk, (field, value) => {
        const found = soundOf('versions', { ...version, [field]: value })
        if ('row' in found) expect(lacksOf('versions', found.row)).toBeNull()
        else expect(found.lacks.split('.')[0]).toBe(field)
      }),
    )
  })

  it.each([
    ['versions', { id: 'v', recipeId: 'r', recipe: { title: 'Half a cake' } }],
    ['versions', { id: 'v', recipeId: 'r', recipe: null }],
    ['recipes', { id: 'r', title: 5, updatedAt: 1 }],
    ['own', { id: 'o', name: 'Odd', kind: 'flour', label: null, updatedAt: 1 }],
    ['stock', { id: 's', grams: NaN, updatedAt: 1 }],
    ['tins', { id: 't', tin: { shape: 'round', mm: 'wide' }, updatedAt: 1 }],
  ])('a damaged record of %s is named, and everything else opens', async (table, row) => {
    const version = await bring()
    await damage(table, row)
    newTab()
    await useKitchen().load()
    await useCupboard().load()
    await useShelf().load()
    await expect.poll(() => aside.value.map((a) => a.table)).toEqual([table])
    expect(useShelf().versionById(version.id)).toEqual(version)
    expect(aside.value[0]!.row).toEqual(row)
  })

  it('a damaged setting gives way to its default', async () => {
    await database.settings.bulkPut([
      { key: 'region', value: 'moon' },
      { key: 'oven', value: null },
      { key: 'altitudeM', value: 'high' },
      { key: 'cupWeights', value: 3 },
      { key: 'roomC', value: 24 },
    ])
    newTab()
    const kitchen = useKitchen()
    await kitchen.load()
    expect(kitchen.oven).toEqual({ fan: false, offsetC: 0, note: '' })
    expect([kitchen.altitudeM, kitchen.roomC, kitchen.cupWeights]).toEqual([0, 24, []])
    expect(['us', 'uk', 'eu', 'au', 'in']).toContain(kitchen.region)
  })

  it('what lacks only what may be empty is filled in', async () => {
    const version = await bring()
    const old = Object.fromEntries(Object.entries(version).filter(([k]) => !['goals', 'schools', 'boxes', 'note'].includes(k)))
    await damage('versions', old)
    expect(await database.versions.get(version.id)).toEqual({ ...version, goals: [], schools: [], boxes: [], note: '' })
  })
})

describe('a browser that keeps nothing', () => {
  it('a store that never answers gives way to memory, and all works', async () => {
    const disk = KitchenDatabase.prototype.open
    KitchenDatabase.prototype.open = function () {
      KitchenDatabase.prototype.open = disk
      return new Promise(() => undefined) as never
    }
    expect(await openKitchen(30)).toBe('memory')
    newTab()
    const version = await bring()
    await useShelf().load()
    expect(useShelf().versionById(version.id)).toBeDefined()
    expect(await database.versions.get(version.id)).toEqual(version)
  })
})
