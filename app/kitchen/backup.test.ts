import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it } from 'vitest'
import { Refusal } from '../../core/refusal'
import { bringIn, emptyKitchen, openBackup, packAll, TABLES } from './backup'
import { database } from './database'

const rows = async () => Promise.all(TABLES.map((t) => database.table(t).toArray()))
async function fill() {
  await database.recipes.bulkPut(
    Array.from({ length: 1000 }, (_, i) => ({ id: `r${i}`, title: `Cake ${i}`, sample: false, createdAt: i, updatedAt: i })),
  )
  await database.trials.bulkPut(
    Array.from({ length: 300 }, (_, i) => ({
      id: `t${i}`,
      versionId: `v${i}`,
      sessionId: null,
      bakedAt: i,
      record: { minutes: i },
      marks: { crumb: 1 + (i % 5) },
      leanings: {},
      symptoms: [],
      expected: null,
      ate: [],
      note: 'ü ½ “quoted”',
      updatedAt: i,
    })),
  )
  await database.photos.bulkPut(
    Array.from({ length: 40 }, (_, i) => ({
      id: `p${i}`,
      trialId: `t${i}`,
      blob: new Blob([Uint8Array.from({ length: 2000 }, (_, k) => (k * (i + 3)) % 256)], { type: 'image/jpeg' }),
      width: 40,
      height: 30,
      updatedAt: i,
    })),
  )
  await database.settings.put({ key: 'region', value: 'us' })
}
const clear = async () => Promise.all([...TABLES.map((t) => database.table(t).clear()), database.photos.clear()])
beforeEach(clear)

describe('a whole kitchen in one file', () => {
  it('comes back on a clean profile equal, record by record and picture by picture', async () => {
    await fill()
    const before = await rows()
    const file = await packAll()
    await clear()
    const found = await openBackup(file)
    expect(found).toMatchObject({ fresh: 1301, same: 0, conflicts: 0, photos: 40 })
    await bringIn(found, new Set())
    expect(await rows()).toEqual(before)
    expect(await database.photos.count()).toBe(40)
  })

  it('changes nothing until it is brought in, and what differs only as the baker says', async () => {
    await fill()
    const file = await packAll()
    await database.recipes.update('r7', { title: 'Mine now', updatedAt: 5000 })
    await database.recipes.delete('r8')
    const before = await rows()
    const found = await openBackup(file)
    expect(found).toMatchObject({ fresh: 1, conflicts: 1 })
    expect(await rows()).toEqual(before)
    await bringIn(found, new Set())
    expect((await database.recipes.get('r7'))!.title).toBe('Mine now')
    expect((await database.recipes.get('r8'))!.title).toBe('Cake 8')
    await bringIn(found, new Set(['recipes:r7']))
    expect((await database.recipes.get('r7'))!.title).toBe('Cake 7')
  })

  it('refuses a file that was cut off or altered, with nothing changed', async () => {
    await fill()
    const file = await packAll()
    await database.recipes.update('r7', { title: 'Mine now' })
    const before = await rows()
    await expect(openBackup(file.slice(0, file.length / 2))).rejects.toBeInstanceOf(Refusal)
    const altered = file.slice()
    altered[Math.floor(file.length / 3)]! ^= 0x55
    await expect(openBackup(altered)).rejects.toBeInstanceOf(Refusal)
    expect(await rows()).toEqual(before)
  })
})

it('an emptied kitchen holds nothing, gets no samples, and a backup fills it again', async () => {
  await database.stock.put({ id: 'flour-plain', grams: 500, bestBefore: null, note: '', updatedAt: 3 })
  await database.bin.put({ id: 'b', at: 1, title: 'Bun', recipes: [], versions: [] })
  const zip = await packAll()
  await emptyKitchen()
  for (const t of database.tables) expect(await t.count(), t.name).toBe(t.name === 'settings' ? 2 : 0)
  await bringIn(await openBackup(zip), new Set())
  expect((await database.stock.get('flour-plain'))?.grams).toBe(500)
})
