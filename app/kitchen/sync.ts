import { liveQuery, type Table } from 'dexie'

interface Stamped {
  id: string
  updatedAt: number
}

/**
 * Follows a table, in this tab and others, reading only what changed: with ten thousand records, reading all of them
 * at every keystroke would be felt.
 *
 * @param told what came or changed, and the ids that are gone
 * @param failed called where the browser keeps nothing
 */
export function follow<T extends Stamped>(table: Table<T, string>, told: (changed: T[], gone: string[]) => void, failed: () => void): void {
  const stamps = new Map<string, number>()
  let latest = -Infinity
  liveQuery(async () => {
    const keys = await table.toCollection().primaryKeys()
    // The first time everything; later what is newer than the newest seen, and what is new here though it is old.
    if (!stamps.size) return { keys, changed: await table.toArray() }
    const newer = await table.where('updatedAt').aboveOrEqual(latest).toArray()
    const known = new Set([...stamps.keys(), ...newer.map((r) => r.id)])
    const missing = keys.filter((k) => !known.has(k))
    const old = missing.length ? (await table.bulkGet(missing)).filter((r) => r !== undefined) : []
    return { keys, changed: [...newer, ...old] }
  }).subscribe({
    next: ({ keys, changed }) => {
      const now = new Set(keys)
      const gone = [...stamps.keys()].filter((k) => !now.has(k))
      const fresh = changed.filter((r) => stamps.get(r.id) !== r.updatedAt)
      for (const id of gone) stamps.delete(id)
      for (const r of fresh) {
        stamps.set(r.id, r.updatedAt)
        latest = Math.max(latest, r.updatedAt)
      }
      told(fresh, gone)
    },
    error: failed,
  })
}
