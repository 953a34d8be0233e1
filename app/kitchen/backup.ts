import { mergeTable, packKitchen, unpackKitchen, type KitchenFile, type Merge } from '../../core/formats/backup'
import { isoOf } from '../../core/measure/day'
import { Refusal } from '../../core/refusal'
import { conflictKey, isSettled } from './conflicts'
import { database, type Photo } from './database'
import { soundOf } from './records'

/** Everything that belongs to the kitchen; pictures go beside, as files. */
export const TABLES = [
  'recipes',
  'versions',
  'settings',
  'stock',
  'own',
  'tins',
  'finishes',
  'steps',
  'days',
  'sessions',
  'trials',
] as const
export type TableName = (typeof TABLES)[number]
export type Row = { id?: string; key?: string }

const keyOf = (r: Row): string => r.id ?? r.key ?? ''
const table = (name: TableName) => database.table<Row, string>(name)

/** The whole kitchen as one file. */
export async function packAll(now = Date.now()): Promise<Uint8Array<ArrayBuffer>> {
  const tables: KitchenFile['tables'] = {}
  const photos: KitchenFile['photos'] = {}
  const read = await database.transaction('r', [...TABLES.map((t) => database.table(t)), database.photos], async () => ({
    rows: await Promise.all(TABLES.map((t) => table(t).toArray())),
    pictures: await database.photos.toArray(),
  }))
  TABLES.forEach((t, i) => (tables[t] = read.rows[i]!))
  tables.photos = read.pictures.map(({ blob, ...rest }) => ({ ...rest, type: blob.type }))
  for (const p of read.pictures) photos[p.id] = new Uint8Array(await p.blob.arrayBuffer())
  const made = isoOf(Math.round(now / 60_000 - new Date(now).getTimezoneOffset()))
  return packKitchen({ made, tables, photos }) as Uint8Array<ArrayBuffer>
}

/** What a file holds against what is here; nothing is changed yet. */
export interface Restore {
  made: string
  file: KitchenFile
  merges: Record<TableName, Merge<Row>>
  fresh: number
  same: number
  conflicts: number
  photos: number
}

/** The rows of a table as this kitchen can show them. @throws Refusal where one is damaged */
function rowsOf(name: TableName, rows: readonly Row[]): Row[] {
  return rows.map((row) => {
    const found = soundOf(name, row)
    if ('row' in found && keyOf(found.row)) return found.row
    throw new Refusal(
      'altered',
      `A record of “${name}” in the backup is damaged at ${'lacks' in found ? found.lacks : 'its name'}. Nothing in this kitchen was changed.`,
    )
  })
}

/** Reads a backup and lays it beside this kitchen. @throws Refusal where it cannot be read whole */
export async function openBackup(bytes: Uint8Array): Promise<Restore> {
  const file = unpackKitchen(bytes)
  for (const t of TABLES) file.tables[t] = rowsOf(t, (file.tables[t] ?? []) as Row[]) as never
  const merges = {} as Restore['merges']
  for (const t of TABLES) merges[t] = mergeTable<Row>(await table(t).toArray(), (file.tables[t] ?? []) as Row[], keyOf)
  const sum = (count: (m: Merge<Row>) => number) => Object.values(merges).reduce((n, m) => n + count(m), 0)
  return {
    made: file.made,
    file,
    merges,
    fresh: sum((m) => m.fresh.length),
    same: sum((m) => m.same),
    conflicts: sum((m) => m.conflicts.length),
    photos: Object.keys(file.photos).length,
  }
}

/**
 * Brings a backup in: what is new always, of what differs what `take` says of each; a version that was baked here stays.
 * All of it in one transaction, or nothing.
 *
 * @param take by `conflictKey`; what is not named stays as it is here
 */
export async function bringIn(restore: Restore, take: ReadonlySet<string>): Promise<void> {
  const photos = ((restore.file.tables.photos ?? []) as unknown as (Omit<Photo, 'blob'> & { type: string })[]).flatMap(
    ({ type, ...rest }) => {
      const bytes = restore.file.photos[rest.id]
      return bytes ? [{ ...rest, blob: new Blob([bytes as Uint8Array<ArrayBuffer>], { type }) }] : []
    },
  )
  await database.transaction('rw', [...TABLES.map((t) => database.table(t)), database.photos], async () => {
    for (const t of TABLES) {
      const { fresh, conflicts } = restore.merges[t]
      const changed = conflicts.filter((c) => take.has(conflictKey(t, c.mine)) && !isSettled(t, c.mine)).map((c) => c.theirs)
      await table(t).bulkPut([...fresh, ...changed])
    }
    const here = new Set(await database.photos.toCollection().primaryKeys())
    await database.photos.bulkPut(photos.filter((p) => !here.has(p.id)))
  })
}

/** Takes everything out of the kitchen; it stays empty, and gets no sample kitchen by itself. */
export async function emptyKitchen(): Promise<void> {
  await database.transaction('rw', database.tables, async () => {
    for (const t of database.tables) await t.clear()
    await database.settings.bulkPut([
      { key: 'seeded', value: true },
      { key: 'trials', value: true },
    ])
  })
}
