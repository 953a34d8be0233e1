import type { Trial } from '../../core/bakebook/trial'
import type { Region } from '../../core/measure/region'
import { ingredientOf, nameOf } from '../../core/pantry/pantry'
import type { Restore, Row, TableName } from './backup'
import type { OwnPacket, OwnTin, Stock, StoredRecipe, Version } from './database'
import { compareLines } from './versions'

/** One record that this kitchen and a backup have each in another state. */
export interface Conflict {
  /** Known by this in `bringIn`. */
  key: string
  /** "Version of Poppy-seed loaf". */
  what: string
  mine: Side
  theirs: Side
  /** A version that was baked here never changes. */
  settled: boolean
}
export interface Side {
  /** When it was last changed, ms since 1970; `null` where that is not kept. */
  at: number | null
  says: string
}

/** Lines in which two versions differ are named up to here. */
const MOST_LINES = 3

export const conflictKey = (table: TableName, row: Row): string => `${table}:${row.id ?? row.key ?? ''}`

const WORDS: Record<TableName, string> = {
  recipes: 'Recipe',
  versions: 'Version',
  settings: 'Setting',
  stock: 'In the cupboard',
  own: 'Ingredient of your own',
  tins: 'Tin',
  finishes: 'Finish',
  steps: 'Steps as you put them right',
  days: 'Day’s plan',
  sessions: 'Bake at the Counter',
  trials: 'Page of the bake book',
}

/** What differs between this kitchen and a backup, record by record, in words. */
export function conflictsOf(restore: Restore, region: Region): Conflict[] {
  const versions = new Map(
    [...((restore.file.tables.versions ?? []) as Version[]), ...restore.merges.versions.conflicts.map((c) => c.mine as Version)].map(
      (v) => [v.id, v],
    ),
  )
  const titleOf = (id: string) => versions.get(id)?.recipe.title
  return Object.entries(restore.merges).flatMap(([name, merge]) =>
    merge.conflicts.map(({ mine, theirs }) => {
      const table = name as TableName
      const of = aboutOf(table, mine, titleOf, region)
      const [a, b] =
        table === 'versions' ? versionSides(mine as Version, theirs as Version, region) : [sayOf(table, mine), sayOf(table, theirs)]
      return {
        key: conflictKey(table, mine),
        what: of ? `${WORDS[table]}: ${of}` : WORDS[table],
        mine: { at: atOf(mine), says: a },
        theirs: { at: atOf(theirs), says: b },
        settled: isSettled(table, mine),
      }
    }),
  )
}

/** A baked version is a record: no backup writes over it. */
export const isSettled = (table: TableName, mine: Row): boolean => table === 'versions' && (mine as Version).bakedAt !== null

const atOf = (row: Row) => (row as { updatedAt?: number }).updatedAt ?? null

function aboutOf(table: TableName, row: Row, titleOf: (id: string) => string | undefined, region: Region): string {
  switch (table) {
    case 'recipes':
      return (row as StoredRecipe).title
    case 'versions':
      return `${(row as Version).recipe.title}, ${(row as Version).name}`
    case 'stock': {
      const ingredient = ingredientOf((row as Stock).id)
      return ingredient ? nameOf(ingredient, region) : (row as Stock).id
    }
    case 'own':
      return (row as OwnPacket).name
    case 'settings':
      return row.key ?? ''
    case 'finishes':
    case 'steps':
      return titleOf(row.id ?? '') ?? ''
    case 'sessions':
    case 'trials':
      return titleOf((row as unknown as Trial).versionId) ?? ''
    default:
      return ''
  }
}

function sayOf(table: TableName, row: Row): string {
  switch (table) {
    case 'recipes':
      return (row as StoredRecipe).title
    case 'stock': {
      const { grams, bestBefore } = row as Stock
      return [grams === null ? 'some' : `${Math.round(grams)} g`, bestBefore && `best before ${bestBefore}`].filter(Boolean).join(', ')
    }
    case 'tins':
      return (row as OwnTin).note
    case 'trials':
      return (row as unknown as Trial).note
    case 'settings': {
      const { value } = row as { value?: unknown }
      return typeof value === 'object' ? '' : String(value)
    }
    default:
      return ''
  }
}

function versionSides(mine: Version, theirs: Version, region: Region): [string, string] {
  const lines = compareLines([mine.recipe, theirs.recipe], region).filter((l) => Math.abs(l.grams[0]! - l.grams[1]!) >= 0.5)
  const rest = lines.length > MOST_LINES ? `, and ${lines.length - MOST_LINES} more` : ''
  const list = (at: 0 | 1) =>
    lines
      .slice(0, MOST_LINES)
      .map((l) => `${l.name} ${Math.round(l.grams[at]!)} g`)
      .join(', ') + rest
  if (lines.length) return [list(0), list(1)]
  return [mine.note || mine.name, theirs.note || theirs.name]
}
