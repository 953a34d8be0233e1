import { liveQuery, type Table } from 'dexie'
import { seen } from './revision'

interface Stamped {
  id: string
  updatedAt: number
}

/** Records read in one go: their unpacking must not hold up a frame. */
const GULP = 200

/**
 * Follows a table, in this tab and others, reading only what changed: with ten thousand records, reading all of them
 * at every keystroke would be felt.
 *
 * @param told what came or changed, and the ids that are gone; the first time everything, read in small gulps
 * @param failed called where the browser keeps nothing
 */
export async function follow<T extends Stamped>(
  table: Table<T, string>,
  told: (changed: T[], gone: string[]) => void,
  failed: () => void,
): Promise<void> {
  const stamps = new Map<string, number>()
  let latest = -Infinity
  const note = (records: readonly T[]) => {
    for (const r of records) {
      stamps.set(r.id, r.updatedAt)
      seen(r.updatedAt)
      latest = Math.max(latest, r.updatedAt)
    }
  }
  try {
    const keys = await table.toCollection().primaryKeys()
    const all: T[] = []
    for (let i = 0; i < keys.length; i += GULP) {
      const some = await table.bulkGet(keys.slice(i, i + GULP))
      all.push(...some.filter((r) => r !== undefined))
      await new Promise((r) => setTimeout(r))
    }
    note(all)
    told(all, [])
  } catch {
    failed()
    return
  }
  liveQuery(async () => {
    const keys = await table.toCollection().primaryKeys()
    const newer = await table.where('updatedAt').aboveOrEqual(latest).toArray()
    // New here though it is old: put back, or brought from elsewhere.
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
      note(fresh)
      if (fresh.length || gone.length) told(fresh, gone)
    },
    error: failed,
  })
}
