import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate'
import { Refusal, type BackupRefusal } from '../refusal'
import { crc32 } from './crc'

/** Format of a backup; a newer one is refused, an older one is read. */
export const BACKUP_VERSION = 1
const NAME = 'kind-crumb-kitchen'
const MANIFEST = 'kitchen.json'
/** The checksum of the list itself. */
const SEAL = 'kitchen.crc'
/** A kitchen is never larger than this, unpacked: past it the file is no backup but a bomb. */
const MOST_BYTES = 1_500_000_000
const MOST_FILES = 60_000

/** Records by table, as they are; pictures by id. */
export interface KitchenFile {
  /** `2027-06-12T15:00`, as the kitchen's clock shows it. */
  made: string
  tables: Record<string, { id?: unknown; key?: unknown }[]>
  photos: Record<string, Uint8Array>
}

interface Manifest {
  name: string
  version: number
  made: string
  files: Record<string, { bytes: number; crc: number }>
}

/** A whole kitchen as one zip: tables as JSON, pictures beside them, a list with the length and checksum of each. */
export function packKitchen(kitchen: KitchenFile): Uint8Array {
  const files: Record<string, Uint8Array> = {}
  for (const [table, records] of Object.entries(kitchen.tables)) files[`tables/${table}.json`] = strToU8(JSON.stringify(records))
  for (const [id, bytes] of Object.entries(kitchen.photos)) files[`photos/${id}.jpg`] = bytes
  const manifest: Manifest = {
    name: NAME,
    version: BACKUP_VERSION,
    made: kitchen.made,
    files: Object.fromEntries(Object.entries(files).map(([name, b]) => [name, { bytes: b.length, crc: crc32(b) }])),
  }
  const list = strToU8(JSON.stringify(manifest))
  const zipped: Zippable = { [MANIFEST]: list, [SEAL]: strToU8(String(crc32(list))) }
  // Pictures are packed already.
  for (const [name, bytes] of Object.entries(files)) zipped[name] = [bytes, { level: name.startsWith('photos/') ? 0 : 6 }]
  return zipSync(zipped)
}

const bad = (code: BackupRefusal | 'too-large', message: string) => new Refusal(code, `${message} Nothing in this kitchen was changed.`)

/**
 * Reads a backup, whole or not at all.
 *
 * @throws Refusal `not-backup`, `altered` (also where it was cut off), `newer-version` or `too-large`
 */
export function unpackKitchen(bytes: Uint8Array): KitchenFile {
  let files: Record<string, Uint8Array>
  let total = 0
  let many = 0
  try {
    files = unzipSync(bytes, {
      filter: (f) => {
        total += f.originalSize
        if (++many > MOST_FILES || total > MOST_BYTES) throw bad('too-large', 'This file unpacks to more than any kitchen holds.')
        return true
      },
    })
  } catch (error) {
    if (error instanceof Refusal) throw error
    // A zip begins with the letters of its inventor.
    if (bytes[0] === 0x50 && bytes[1] === 0x4b) throw bad('altered', 'The file is cut off or damaged: it cannot be unpacked.')
    throw bad('not-backup', 'This is no backup of a kitchen.')
  }
  const manifest = json<Manifest>(files[MANIFEST])
  if (!manifest || manifest.name !== NAME || typeof manifest.files !== 'object' || manifest.files === null)
    throw bad('not-backup', 'This is no backup of a kitchen.')
  if (!(manifest.version <= BACKUP_VERSION))
    throw bad(
      'newer-version',
      `This backup was made by a newer Kind Crumb (format ${String(manifest.version)}, this one reads ${BACKUP_VERSION}). Update first.`,
    )
  const seal = files[SEAL]
  if (!seal || strFromU8(seal) !== String(crc32(files[MANIFEST]!))) throw bad('altered', 'The list in the backup was altered.')
  const tables: KitchenFile['tables'] = {}
  const photos: KitchenFile['photos'] = {}
  for (const [name, told] of Object.entries(manifest.files)) {
    const file = files[name]
    if (!file || file.length !== told.bytes || crc32(file) !== told.crc)
      throw bad('altered', `“${name}” in the backup is missing or was altered.`)
    const table = /^tables\/([a-z]+)\.json$/.exec(name)?.[1]
    const photo = /^photos\/([\w-]{1,80})\.jpg$/.exec(name)?.[1]
    if (table) {
      const records = json<KitchenFile['tables'][string]>(file)
      if (!Array.isArray(records) || records.some((r) => typeof r !== 'object' || r === null))
        throw bad('altered', `“${name}” in the backup is no list of records.`)
      tables[table] = records
    } else if (photo) photos[photo] = file
  }
  return { made: String(manifest.made), tables, photos }
}

function json<T>(bytes: Uint8Array | undefined): T | null {
  if (!bytes) return null
  try {
    return JSON.parse(strFromU8(bytes)) as T
  } catch {
    return null
  }
}

/** What a restore would do to one table. */
export interface Merge<R> {
  fresh: R[]
  same: number
  /** In both and different: this kitchen's and the file's. */
  conflicts: { mine: R; theirs: R }[]
}

/** Lays the records of a file beside those that are here. @param keyOf what a record is known by */
export function mergeTable<R>(mine: readonly R[], theirs: readonly R[], keyOf: (r: R) => string): Merge<R> {
  const here = new Map(mine.map((r) => [keyOf(r), r]))
  const merge: Merge<R> = { fresh: [], same: 0, conflicts: [] }
  for (const r of theirs) {
    const own = here.get(keyOf(r))
    if (own === undefined) merge.fresh.push(r)
    else if (canonical(own) === canonical(r)) merge.same++
    else merge.conflicts.push({ mine: own, theirs: r })
  }
  return merge
}

/** JSON with its keys in order: two records are equal whatever order they were written in. */
function canonical(value: unknown): string {
  return JSON.stringify(value, (_, v: unknown) =>
    v && typeof v === 'object' && !Array.isArray(v) ? Object.fromEntries(Object.entries(v).sort(([a], [b]) => (a < b ? -1 : 1))) : v,
  )
}
