import type { DBCore, DBCoreTable, DBCoreTransaction, Middleware } from 'dexie'
import { shallowRef } from 'vue'
import { soundOf } from './records'

/** A record that no screen can show: it stays where it is, and is kept from the screens. */
export interface Aside {
  table: string
  key: string
  /** Where it is not what it should be: `recipe.parts`. */
  lacks: string
  row: unknown
}

/** What was found damaged since the kitchen was opened. */
export const aside = shallowRef<readonly Aside[]>([])

const keyOf = (row: unknown): string => {
  const { id, key } = (typeof row === 'object' && row !== null ? row : {}) as { id?: unknown; key?: unknown }
  return String(id ?? key ?? '')
}

/** Keeps a record from the screens, and says that it does. */
export function setAside(table: string, row: unknown, lacks: string): void {
  const key = keyOf(row)
  if (!aside.value.some((a) => a.table === table && a.key === key)) aside.value = [...aside.value, { table, key, lacks, row }]
}

function sound<T>(table: string, row: T): T | undefined {
  if (row === undefined || row === null) return row
  const found = soundOf(table, row)
  if ('row' in found) return found.row
  setAside(table, row, found.lacks)
  return undefined
}

/** A kitchen of an earlier schema is what it was until it has been brought up. */
const upgrading = (trans: DBCoreTransaction): boolean => (trans as unknown as IDBTransaction).mode === 'versionchange'

const guarded = (name: string, t: DBCoreTable): DBCoreTable => ({
  ...t,
  get: async (request) => {
    const row = await t.get(request)
    return upgrading(request.trans) ? row : sound(name, row)
  },
  getMany: async (request) => {
    const rows = await t.getMany(request)
    return upgrading(request.trans) ? rows : rows.map((row) => sound(name, row))
  },
  query: async (request) => {
    const answer = await t.query(request)
    return request.values && !upgrading(request.trans)
      ? { ...answer, result: answer.result.map((row) => sound(name, row)).filter((row) => row !== undefined) }
      : answer
  },
})

/** Every record is held against its shape on its way out of the browser's store. */
export const guard: Middleware<DBCore> = {
  stack: 'dbcore',
  name: 'guard',
  create: (below) => ({ ...below, table: (name) => guarded(name, below.table(name)) }),
}
