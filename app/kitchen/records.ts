import { anything, book, flag, list, maybe, number, record, text, type Shape } from './shape'

const grams = record({ low: number, high: number, best: number })
const line = record({
  text,
  quantity: maybe(record({ low: number, high: number, unit: text })),
  grams,
  ingredient: maybe(text),
  optional: maybe(flag),
})
const tin = record({ text, shape: text, mm: book(number), count: number })
const recipe = record({
  title: text,
  yield: maybe(record({ text })),
  tins: list(tin),
  oven: list(record({ celsius: number, fan: flag })),
  parts: list(record({ name: text, role: text, lines: list(line) })),
  method: list(text),
})

const version = record({
  id: text,
  recipeId: text,
  parentId: maybe(text),
  name: text,
  recipe,
  questions: list(record({ message: text, choices: list(record({ value: text, label: text })) })),
  source: text,
  goals: list(text),
  schools: list(text),
  note: text,
  bakedAt: maybe(number),
  boxes: list(record({ ingredient: text, label: book(anything) })),
  createdAt: number,
  updatedAt: number,
})

const stored = record({ id: text, title: text, createdAt: number, updatedAt: number })

/** What a record of each table must be for its screen to open; kept and brought-in records are held against the same. */
const SHAPES: Readonly<Record<string, Shape>> = {
  recipes: stored,
  versions: version,
  bin: record({ id: text, at: number, title: text, recipes: list(stored), versions: list(version) }),
  settings: record({ key: text }),
  stock: record({ id: text, grams: maybe(number), bestBefore: maybe(text), note: text, updatedAt: number }),
  own: record({ id: text, name: text, kind: text, label: book(anything), contains: maybe(list(text)), updatedAt: number }),
  tins: record({ id: text, tin, note: text, updatedAt: number }),
  finishes: record({
    id: text,
    setup: record({
      cut: anything,
      places: book(anything),
      soak: maybe(text),
      colours: book(number),
      wants: list(anything),
      sparePct: number,
    }),
  }),
  steps: record({ id: text, fixes: book(record({})) }),
  days: record({ id: text, versions: list(text), serveAt: text, done: list(text), ahead: maybe(book(list(number))) }),
  sessions: record({
    id: text,
    versionId: text,
    startedAt: number,
    finishedAt: maybe(number),
    at: number,
    ticks: book(record({ grams: number })),
    bowl: record({ bowlGrams: number, inside: number }),
    spoons: list(record({ grams: number })),
    timers: list(record({})),
    moments: book(record({ began: number })),
    updatedAt: number,
  }),
  trials: record({
    id: text,
    versionId: text,
    bakedAt: number,
    record: record({}),
    marks: book(number),
    leanings: book(number),
    symptoms: list(text),
    note: text,
    updatedAt: number,
  }),
  photos: record({ id: text, trialId: text, blob: anything }),
}

/** Fields that earlier kitchens did not write, or that say nothing by being empty. */
const MISSING: Readonly<Record<string, Readonly<Record<string, unknown>>>> = {
  versions: { parentId: null, questions: [], source: '', goals: [], schools: [], note: '', bakedAt: null, boxes: [] },
  stock: { grams: null, bestBefore: null, note: '' },
  tins: { note: '' },
  days: { done: [], versions: [] },
  sessions: { acknowledged: [], reminded: [], spoons: [], timers: [], moments: {}, looked: {}, probe: null },
  trials: { marks: {}, leanings: {}, symptoms: [], expected: null, ate: [], note: '' },
}

/** Where a record is not what its table holds (`recipe.parts.0.lines`), or `null`. */
export const lacksOf = (table: string, row: unknown): string | null => SHAPES[table]?.(row) ?? null

/**
 * A record as its screens can show it: whole as it is, or with what it lacks filled in where empty means nothing.
 *
 * @returns the record, or the path of what cannot be filled in
 */
export function soundOf<T>(table: string, row: T): { row: T } | { lacks: string } {
  if (lacksOf(table, row) === null) return { row }
  const fill = MISSING[table]
  const filled = fill && typeof row === 'object' && row !== null ? ({ ...fill, ...withoutHoles(row) } as T) : row
  const lacks = lacksOf(table, filled)
  return lacks === null ? { row: filled } : { lacks: lacks || 'record' }
}

const withoutHoles = (row: object): object => Object.fromEntries(Object.entries(row).filter(([, v]) => v !== undefined))
