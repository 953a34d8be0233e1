import type { Line, Question, Recipe, Role } from '../../core/recipe/recipe'

/** A recipe on the bench with what its reader still asks. */
export interface Sheet {
  recipe: Recipe
  questions: Question[]
}

interface Marked {
  line: Line
  /** Questions about this line, which move with it. */
  asks: Question[]
}
interface MarkedPart {
  name: string
  role: Role
  rows: Marked[]
  /** Questions about the part itself. */
  asks: Question[]
}

function taken(sheet: Sheet): { parts: MarkedPart[]; asks: Question[] } {
  const of = (part: number, line: number | null) => sheet.questions.filter((q) => q.part === part && q.line === line)
  return {
    parts: sheet.recipe.parts.map((p, i) => ({
      name: p.name,
      role: p.role,
      rows: p.lines.map((line, j) => ({ line, asks: of(i, j) })),
      asks: of(i, null),
    })),
    asks: sheet.questions.filter((q) => q.part === null),
  }
}

function put(sheet: Sheet, parts: readonly MarkedPart[], asks: readonly Question[]): Sheet {
  return {
    recipe: { ...sheet.recipe, parts: parts.map((p) => ({ name: p.name, role: p.role, lines: p.rows.map((r) => r.line) })) },
    questions: [
      ...parts.flatMap((p, part) => [
        ...p.asks.map((q) => ({ ...q, part })),
        ...p.rows.flatMap((r, line) => r.asks.map((q) => ({ ...q, part, line }))),
      ]),
      ...asks,
    ],
  }
}

function changed(sheet: Sheet, work: (parts: MarkedPart[]) => void): Sheet {
  const { parts, asks } = taken(sheet)
  work(parts)
  return put(sheet, parts, asks)
}

/** What was read of a typed line: see the verb `line`. */
export interface ReadRow {
  lines: Line[]
  questions: Omit<Question, 'part'>[]
}

const marked = (read: ReadRow): Marked[] =>
  read.lines.map((line, i) => ({ line, asks: read.questions.filter((q) => q.line === i).map((q) => ({ ...q, part: 0 })) }))

/** Puts what was read in the place of a line; nothing read takes the line out. */
export const replaceLine = (sheet: Sheet, part: number, line: number, read: ReadRow): Sheet =>
  changed(sheet, (parts) => parts[part]?.rows.splice(line, 1, ...marked(read)))

/** Puts a line before the one at `line`, or at the end. */
export const insertLine = (sheet: Sheet, part: number, line: number, read: ReadRow): Sheet =>
  changed(sheet, (parts) => parts[part]?.rows.splice(line, 0, ...marked(read)))

/** Moves a line to stand before the one now at `to.line` of `to.part`. */
export const moveLine = (sheet: Sheet, from: { part: number; line: number }, to: { part: number; line: number }): Sheet =>
  changed(sheet, (parts) => {
    const [row] = parts[from.part]?.rows.splice(from.line, 1) ?? []
    if (!row) return
    const target = parts[to.part] ?? parts[from.part]!
    const shift = from.part === to.part && to.line > from.line ? 1 : 0
    target.rows.splice(Math.max(0, to.line - shift), 0, row)
  })

export const addPart = (sheet: Sheet, name: string, role: Role): Sheet =>
  changed(sheet, (parts) => parts.push({ name, role, rows: [], asks: [] }))

export const renamePart = (sheet: Sheet, part: number, name: string): Sheet =>
  changed(sheet, (parts) => {
    if (parts[part] && name.trim()) parts[part].name = name.trim()
  })

/** Says what a part is for; that answers what was asked about it. */
export const setRole = (sheet: Sheet, part: number, role: Role): Sheet =>
  changed(sheet, (parts) => {
    if (!parts[part]) return
    parts[part].role = role
    parts[part].asks = []
  })

/** The lines from `line` on become a part of their own, behind it. */
export const splitPart = (sheet: Sheet, part: number, line: number, name: string): Sheet =>
  changed(sheet, (parts) => {
    const rows = parts[part]?.rows.splice(line)
    if (rows?.length) parts.splice(part + 1, 0, { name, role: parts[part]!.role, rows, asks: [] })
  })

/** A part joins the one before it. */
export const mergePart = (sheet: Sheet, part: number): Sheet =>
  changed(sheet, (parts) => {
    if (part < 1 || !parts[part]) return
    parts[part - 1]!.rows.push(...parts[part]!.rows)
    parts.splice(part, 1)
  })

/** Takes an empty part away; one with lines stays, and so does the last. */
export const removePart = (sheet: Sheet, part: number): Sheet =>
  changed(sheet, (parts) => {
    if (parts.length > 1 && parts[part] && !parts[part].rows.length) parts.splice(part, 1)
  })
