import { scan } from '../language/item'
import { withoutBullet } from './line'
import { roleOf } from './role'

/** One line of a page, as it is shown and as it is read. */
export interface Row {
  /** The baker's words, with marks of formatting off. */
  text: string
  /** What is scanned: leaders and bars out of the way. */
  body: string
  /** Lines of the pasted text that it came from. */
  source: number[]
  /** Blank lines right above. */
  gap: number
  /** A cell of a table whose heading says grams. */
  grams?: number
}

const MARKS = /\*\*|__(?=\S)|(?<=\S)__|<\/?(?:b|i|u|em|li|ul|ol|p|strong|br|div|span)\s*\/?>/g
const RULE = /^[\s\-_=*~·.]{2,}$|^\s*\+[-=+\s]{2,}$/

/** Takes formatting off one line of text. */
const unmarked = (line: string): string =>
  line
    .replace(MARKS, '')
    .replace(/&amp;/g, '&')
    .replace(/&nbsp;/g, ' ')
    .replace(/&frac12;/g, '½')
    .replace(/&deg;/g, '°')
    .replace(/[\u00a0\u2007\u2009\u202f]/g, ' ')
    .replace(/[\u200b\u200d\ufeff]/g, '')

/** "Flour ........ 2 cups": dots that only lead the eye. */
const unled = (text: string): string => text.replace(/\s*(?:\.{3,}|(?:\. ){3,}|…{2,}|_{3,})\s*/g, ' – ')

const row = (text: string, source: number[], gap: number): Row => ({ text, body: unled(text), source, gap })

/** Only an amount: "200 g", "1 cup (120 g)". */
function amountAlone(text: string): boolean {
  const s = scan(withoutBullet(text))
  const m = s.measures[0]
  return m !== undefined && m.from === 0 && s.mentions.length === 0 && s.tokens.length <= 9 && s.measures.at(-1)!.to >= s.tokens.length - 1
}

function nameAlone(text: string): boolean {
  const s = scan(withoutBullet(text))
  return s.tokens.length <= 10 && s.mentions.length > 0 && s.measures.length === 0 && !/[:.]$/.test(text.trim())
}

/** Whether a piece is a whole ingredient by itself: it starts with an amount and names something. */
function isIngredient(text: string): boolean {
  const s = scan(withoutBullet(text))
  return s.measures[0] !== undefined && s.measures[0].from <= 1 && s.mentions.length > 0
}

const HEADED =
  /^\s*((?:the )?(?:ing?red?i[ae]n\w+|ingr\.?|you(?: will|['’]ll)? need|method|directions?|instructions?|preparation|procedure|what you need)[^:\d]{0,25}?)(?::|\s[-–—])\s+(\S.{8,})$/i
/** "You need 220 g flour, 2 eggs": the list begins in the same breath. */
const NEEDED = /^\s*((?:and |so )?(?:you|we)(?: will|['’]ll)? need)\s+(?=\d|an? |half )(\S.{4,})$/i
const COLUMN_HEAD = /\b(?:ingredients?|amount|quantity|qty|material|weight|batch|item|grams?)\b/i
const GRAMS_HEAD = /\((?:g|gm|grams|ml)\)|^(?:g|gm|grams|weight|ml)\b/i

/** An amount on a line of its own belongs to the name under it. */
function joinAmounts(rows: readonly Row[]): Row[] {
  const out: Row[] = []
  for (let i = 0; i < rows.length; i++) {
    const a = rows[i]!
    const b = rows[i + 1]
    if (b && b.gap === 0 && amountAlone(a.text) && nameAlone(b.text)) {
      out.push(row(`${a.text.trim()} ${withoutBullet(b.text)}`, [...a.source, ...b.source], a.gap))
      i++
    } else out.push(a)
  }
  return out
}

/** "… and 3 eggs. For the glaze 200 g icing sugar and 3 tbsp juice": another part in the same breath. */
const FOR_A_PART = /[.;]\s+(?=(?:and )?for the \p{L}[\p{L} ]{2,22}?[:,]?\s+(?:you need |use )?(?:\d|an? |half ))/iu
const OF_A_PART = /^(?:and )?(for the \p{L}[\p{L} ]{2,22}?)[:,]?\s+(?:you need |use )?(?=\d|an? |half )/iu

/** "Ingredients: flour, …" on one line is a heading and what it heads. */
function partHeads(rows: readonly Row[]): Row[] {
  return rows.flatMap((r) => {
    const m = HEADED.exec(r.text) ?? NEEDED.exec(r.text)
    // "Preparation: 15 minutes" tells how long it takes.
    if (
      !m ||
      /\bas (?:your|a|the|one) measure\b/i.test(r.text) ||
      /\d|time/i.test(m[1]!) ||
      /^\d+\s*(?:-\s*\d+\s*)?(?:min|hour|hr)/i.test(m[2]!)
    )
      return [r]
    const [first, ...others] = m[2]!.split(FOR_A_PART)
    return [
      row(`${m[1]}:`, r.source, r.gap),
      row(first!, r.source, 0),
      ...others.map((x) => row(x.replace(OF_A_PART, '$1: '), r.source, 0)),
    ]
  })
}

/** "Salt" in a table whose amount is left open; a heading names a part of the cake. */
const amountless = (text: string): boolean => scan(text).mentions.length > 0 && roleOf(text) === undefined

const BAR_RULE = /^\s*\|?[\s:|+-]{5,}\|?\s*$/

const cellsOf = (text: string): string[] =>
  text
    .replace(/^\s*\||\|\s*$/g, '')
    .split('|')
    .map((c) => c.trim())
/** Fewer rows that count up are no counted list. */
const LEAST_COUNTED = 4
const COUNTED_HEAD = /^(?:#|no|nos|nr|n°|nº|what|items?|things?|ingredients?|how much|amounts?|quantity|qty|weight)\.?$/i
/** A number that stands for a row, and is no amount, time, heat or size. */
const ROW_NUMBER =
  /(?<![\d.,/–-])\b(\d{1,2})\b(?!\s*(?:[./–-]\s*\d|[)°º%]|[x×]|(?:c|f|g|kg|ml|cl|dl|l|oz|lb|cm|mm|in|inch(?:es)?|min(?:ute)?s?|h(?:ou)?rs?|h|cups?|tbsp|tsp|tins?|pans?|layers?|parts?|thirds?|times|pieces|slices|cakes?|sheets?|cases)\b))/gi

/**
 * A table whose first column counts its rows, and steps that name them by their numbers: "Cream 1 and 2", "Sift 4 with
 * 5". The column goes, and the steps get the names.
 */
function uncounted(rows: readonly Row[]): Row[] {
  const numbers = rows.map((r) => (r.text.includes('|') ? Number(/^\d{1,2}$/.exec(cellsOf(r.text)[0]!)?.[0] ?? NaN) : NaN))
  const counted = rows.filter((_, i) => !Number.isNaN(numbers[i]!))
  if (counted.length < LEAST_COUNTED || !numbers.filter((n) => !Number.isNaN(n)).every((n, i) => n === i + 1)) return [...rows]
  const names = counted.map(
    (r) =>
      cellsOf(r.text)
        .slice(1)
        .find((c) => scan(c).mentions.length)
        ?.split(/,| for /)[0]
        ?.trim() ?? '',
  )
  return rows.flatMap((r, i): Row[] => {
    if (!Number.isNaN(numbers[i]!)) return [row(cellsOf(r.text).slice(1).join(' | '), r.source, r.gap)]
    if (r.text.includes('|')) return cellsOf(r.text).every((c) => COUNTED_HEAD.test(c)) ? [] : [r]
    const told = r.text.replace(ROW_NUMBER, (n) => names[Number(n) - 1] || n)
    // "Cream 1 and 2" names no cream.
    const named = scan(r.text).mentions.some((m) => !/^(?:cream|butter|oil|flour)$/.test(m.words.join(' ')))
    return [named || told === r.text ? r : row(told, r.source, r.gap)]
  })
}

/** Tables with bars: a head row says which column is grams. */
function readTables(rows: readonly Row[]): Row[] {
  const out: Row[] = []
  let head: string[] | undefined
  for (const [i, r] of rows.entries()) {
    if (BAR_RULE.test(r.text)) continue
    const bars = r.text.split('|').length - 1
    if (!bars) {
      head = undefined
      out.push(r)
      continue
    }
    const cells = r.text
      .replace(/^\s*\||\|\s*$/g, '')
      .split('|')
      .map((c) => c.trim())
    // "| PEAR CAKE |": a frame round one thing.
    if (bars === 2 && cells.length === 1) {
      out.push(row(cells[0]!, r.source, r.gap))
      continue
    }
    const ruled = rows[i + 1] !== undefined && BAR_RULE.test(rows[i + 1]!.text)
    // "| Coffee loaf | |" over the rule, "| Icing | |" among the rows: one cell that spans the table.
    if (cells.length >= 2 && cells.slice(1).every((c) => !c) && cells[0]! && (ruled || !amountless(cells[0]!))) {
      if (ruled) head = cells
      out.push(row(ruled && !out.length ? cells[0]! : `${cells[0]!}:`, r.source, Math.max(r.gap, 1)))
      continue
    }
    if (bars >= 1 && (COLUMN_HEAD.test(r.text) || ruled) && !/\d/.test(r.text) && cells.length >= 2) {
      head = cells
      continue
    }
    if (head && cells.length === head.length) {
      const column = head.findLastIndex((h) => GRAMS_HEAD.test(h))
      const value = column > 0 ? Number(cells[column]!.replace(',', '')) : NaN
      const left = cells.filter((c, i) => c && i !== column)
      const apart = left.length === 2 && amountAlone(left[1]!) && scan(left[0]!).measures.length > 0
      const body = cells.length >= 2 ? (apart ? `${left[1]!} ${left[0]!}` : left.join(' – ')) : r.text
      out.push({ ...r, body: Number.isFinite(value) ? cells[0]! : body, ...(Number.isFinite(value) && { grams: value }) })
      continue
    }
    // An amount in a cell of its own is the amount of the thing, whatever else the thing's cell tells.
    const [name, ...others] = cells.filter(Boolean)
    const apart = name && others.length === 1 && amountAlone(others[0]!) && scan(name).measures.length > 0
    const joined = apart ? `${others[0]!} ${name}` : cells.filter(Boolean).join(' – ')
    out.push(cells.length >= 2 && cells.length <= 4 && scan(r.text).mentions.length ? { ...r, body: joined } : r)
  }
  return out
}

const PER_CENT_HEAD = /^(?:%|(?:baker['’]?s['’]? )?(?:%|per ?cent|percent(?:age)?s?))$/i

/** A baker's formula: names with their per cents of the flour, and beside them what is weighed, in columns. */
function readFormulas(rows: readonly Row[]): Row[] {
  const out: Row[] = []
  let head: string[] | undefined
  for (const r of rows) {
    const cells = r.text.trim().split(/\s{2,}|\t+/)
    const heads = cells.filter((c) => PER_CENT_HEAD.test(c) || GRAMS_HEAD.test(c))
    if (heads.length >= 2 && heads.some((c) => PER_CENT_HEAD.test(c)) && cells.length <= heads.length + 1) {
      head = heads
      continue
    }
    const name = cells[0]!
    const numbers = cells.slice(1).map((c) => /^(\d[\d.,]*)\s*(?:%|g|gr|grams)?$/i.exec(c)?.[1])
    if (head && numbers.length === head.length && numbers.every(Boolean) && /^\p{L}/u.test(name)) {
      const grams = Number(numbers[head.findIndex((h) => !PER_CENT_HEAD.test(h))]!.replace(',', ''))
      out.push({ ...r, body: name, grams })
      continue
    }
    if (r.gap > 0 && head && out.some((x) => x.grams !== undefined)) head = undefined
    out.push(r)
  }
  return out
}

/** What strings several things on one row, with room around it. */
const STRUNG = /\s+(?:\/\/|\|\||·|•)\s+/
/** The same with single bars, where there are more of them than a table has columns. */
const BARS = /\s+\|\s+/
const LEAST_BARRED = 3
/** "DRY  1 cup flour | 1 tsp powder | …": what the things between bars go under. */
const LABEL_OF_BARS = /^(\p{L}+(?: \p{L}+)?)\s*:?\s+(?=[\d½¼¾⅓⅔⅛])/u
/** "[dry] …": what the things of a row go under. */
const LABELLED = /^\[([\p{L}][\p{L} ]{1,22})\]\s+(?=\S)/u

/** A label before a row of things between bars, each with its amount and its name. */
function barLabel(text: string): RegExpExecArray | null {
  const label = LABEL_OF_BARS.exec(text)
  const pieces = label ? text.slice(label[0].length).split(BARS) : []
  const things = pieces.length >= LEAST_BARRED && pieces.every((x) => /^[\d½¼¾⅓⅔⅛]/.test(x) && scan(x).mentions.length > 0)
  return things ? label : null
}

/** "Cream cheese 250 g / butter 50 g / cake flour 60 g + cornflour 20 g": names with their amounts, strung on one row. */
const BETWEEN_THINGS = /\s*[,;]\s+|\s+[/+|]\s+/
/** Words of a thing beside its name and its amount: "soft", "of", "fresh". */
const MOST_BESIDE = 2

/** Whether all of a text is a name with its amount before or behind it; `opens` where no verb may come first either. */
function isThing(text: string, opens: boolean): boolean {
  const s = scan(text)
  const named = (i: number) => s.mentions.some((m) => i >= m.from && i < m.to) || s.measures.some((m) => i >= m.from && i < m.to)
  const words = s.tokens.map((t, i) => ({ t, i })).filter(({ t }) => t.kind === 'word' && t.depth === 0)
  const first = s.tokens.findIndex((t) => t.kind !== 'mark')
  return (
    s.mentions.length > 0 &&
    s.measures.length > 0 &&
    words.filter(({ i }) => !named(i)).length <= MOST_BESIDE &&
    // "Cream butter 120 g" begins with what is done.
    (!opens || (named(first) && s.mentions.length === 1)) &&
    (named(first) ? s.measures.some((m) => m.from === first || m.to >= s.tokens.length - 1) : true)
  )
}

/** "¾ cup sugar, ½ cup butter, pinch of salt, 2 eggs": a comma before the next amount. */
const NEXT_AMOUNT = /,\s+(?=(?:[\d½¼¾⅓⅔⅛]|(?:a )?pinch\b))/i
const LEAST_LISTED = 4

/** "… a pinch of salt. Syrup: juice of 2 lemons, 80 g sugar": another part begins in the same row. */
const PART_BEGINS = /[.;]\s+(?=(?:for the )?\p{L}[\p{L} ]{2,22}:\s+\S)/iu
function byParts(r: Row): Row[] {
  if (r.text.split(NEXT_AMOUNT).length < LEAST_LISTED || !isIngredient(r.text.replace(/^[\p{L} ]{2,30}:\s+/u, ''))) return [r]
  return r.text.split(PART_BEGINS).flatMap((x, i) => {
    const m = i ? /^([^:]+):\s+/.exec(x) : null
    return m && scan(x).mentions.length
      ? [row(`${m[1]}:`, r.source, 1), row(x.slice(m[0].length), r.source, 0)]
      : [row(x, r.source, i ? 0 : r.gap)]
  })
}

/** "[dry] flour 190 g // salt ¼ tsp": a row of whole ingredients is as many rows, under its label. */
function unstrung(rows: readonly Row[]): Row[] {
  return rows.flatMap(byParts).flatMap((r) => {
    const label = LABELLED.exec(r.text) ?? barLabel(r.text)
    const text = r.text.slice(label?.[0].length ?? 0)
    const barred = text.split(BARS)
    const byBars = barred.length >= LEAST_BARRED && barred.every((x) => /^\W*[\d½¼¾⅓⅔⅛]/.test(x))
    const listed = text.split(NEXT_AMOUNT)
    const byCommas = !byBars && listed.length >= LEAST_LISTED && /^\W*[\d½¼¾⅓⅔⅛]/.test(text)
    const things = text.replace(/\.$/, '').split(BETWEEN_THINGS)
    const byThings = !byBars && !byCommas && things.length >= LEAST_LISTED && things.every((x, i) => isThing(x, i === 0))
    const pieces = byBars ? barred : byCommas ? listed : byThings ? things : text.split(STRUNG)
    const whole =
      byBars ||
      byThings ||
      pieces.every((x) => {
        const s = scan(x)
        return s.measures.length > 0 && s.mentions.length > 0
      })
    if (!whole || (pieces.length < 2 && !label)) return [r]
    return [...(label ? [row(`${label[1]}:`, r.source, r.gap)] : []), ...pieces.map((x, i) => row(x, r.source, i || label ? 0 : r.gap))]
  })
}

/** "One pot of yogurt (125 g). Then use the pot as your measure:": a thing, and a word on how the others are measured. */
const MEASURED_BY = /^(.+?\.)\s+((?:then |and |now )?use (?:the|this|that) (?:empty )?\w+ (?:as|for) (?:your|a|the) measur.*)$/i
function withMeasure(rows: readonly Row[]): Row[] {
  return rows.flatMap((r) => {
    const m = MEASURED_BY.exec(r.text)
    return m && isIngredient(m[1]!) ? [row(m[1]!.slice(0, -1), r.source, r.gap), row(m[2]!, r.source, 0)] : [r]
  })
}

/** "1) whisk 2) stir in 3) bake": steps that stand on one line. */
function unnumbered(rows: readonly Row[]): Row[] {
  return rows.flatMap((r) => {
    const marks = [...r.text.matchAll(/(?:^|\s)(\d)[).]\s+(?=\p{L})/gu)]
    const inOrder = marks.length >= 3 && marks[0]!.index === 0 && marks.every((m, i) => Number(m[1]) === i + 1)
    if (!inOrder) return [r]
    return marks.map((m, i) => row(r.text.slice(m.index, marks[i + 1]?.index).trim(), r.source, i ? 0 : r.gap))
  })
}

/** "A   225 g flour": the letter of a set stands before its first row. */
const SET_BEFORE = /^\(?([A-H])[).:]?\s+(?=[\d½¼¾⅓⅔⅛])/

/** Sets whose letters stand before their first rows, in the order of the alphabet, get rows of their own. */
function withSets(rows: readonly Row[]): Row[] {
  const letters = rows.flatMap((r) => (isIngredient(r.text.replace(SET_BEFORE, '')) ? (SET_BEFORE.exec(r.text)?.[1] ?? []) : []))
  if (letters.length < 2 || !letters.every((x, i) => x.charCodeAt(0) === 'A'.charCodeAt(0) + i)) return [...rows]
  return rows.flatMap((r) => {
    const m = SET_BEFORE.exec(r.text)
    return m ? [row(`${m[1]}:`, r.source, Math.max(1, r.gap)), row(r.text.slice(m[0].length), r.source, 0)] : [r]
  })
}

/** Two columns that ran together: each half is a whole ingredient. */
function splitColumns(rows: readonly Row[]): Row[] {
  return rows.flatMap((r) => {
    const columns = r.text.trim().split(/\s{4,}|\t+/)
    if (columns.length === 2 && columns.every(isIngredient)) return columns.map((c, i) => row(c, r.source, i ? 0 : r.gap))
    return [r]
  })
}

/** Fewer lines than this side by side are chance. */
const LEAST_COLUMN = 4
/** Columns that start within this many characters of one another are one. */
const COLUMN_SLACK = 2

/**
 * Two columns that ran together are read one after the other: where many lines in a row break at the same place, and
 * what stands on the right is words and no amounts of the left.
 *
 * @returns the lines in reading order, each with its place in the pasted text
 */
function unfoldColumns(lines: readonly string[]): { text: string; at: number }[] {
  const whole = lines.map((text, at) => ({ text, at }))
  const breaks = lines.map((l) => {
    const m = /^(\s*\S.*?)(\s{3,})(\S.*)$/.exec(l)
    return m ? m[1]!.length + m[2]!.length : undefined
  })
  const counts = new Map<number, number>()
  for (const b of breaks) if (b !== undefined) counts.set(b, (counts.get(b) ?? 0) + 1)
  const [column, seen] = [...counts].sort((a, b) => b[1] - a[1])[0] ?? [0, 0]
  if (seen < LEAST_COLUMN || column < 12) return whole
  const onRight = (i: number) =>
    (breaks[i] !== undefined && Math.abs(breaks[i] - column) <= COLUMN_SLACK) ||
    (lines[i]!.length > column && !lines[i]!.slice(0, column - COLUMN_SLACK).trim())
  const first = lines.findIndex((_, i) => onRight(i))
  const last = lines.findLastIndex((_, i) => onRight(i))
  const block = whole.slice(first, last + 1)
  const cut = (l: { text: string; at: number }): [string, string] => {
    const at = breaks[l.at] !== undefined && Math.abs(breaks[l.at]! - column) <= COLUMN_SLACK ? breaks[l.at]! : column
    return onRight(l.at) ? [l.text.slice(0, at).trim(), l.text.slice(at).trim()] : [l.text, '']
  }
  const right = block.map((l) => cut(l)[1]).filter(Boolean)
  const left = block.map((l) => cut(l)[0]).filter(Boolean)
  // A column of bare amounts belongs to the names beside it.
  const bare = (texts: readonly string[]) =>
    texts.filter(
      (x) => !/\p{L}{3}/u.test(x) || amountAlone(x) || (scan(x).mentions.length === 0 && scan(x).measures.length > 0 && x.length < 30),
    ).length *
      2 >
    texts.length
  if (bare(right) || bare(left)) return whole
  // Where the left side has headings and the right side only things, each heading keeps what stands beside its lines.
  const things = right.every(isIngredient)
  const heads = (l: { text: string; at: number }) => things && !cut(l)[1] && !isIngredient(cut(l)[0]) && /^\P{L}*\p{L}/u.test(cut(l)[0])
  const sections = block.reduce<{ text: string; at: number }[][]>((all, l, i) => {
    if (!i || heads(l)) all.push([])
    all.at(-1)!.push(l)
    return all
  }, [])
  return [
    ...whole.slice(0, first),
    ...sections.flatMap((section) => [
      ...section.map((l) => ({ text: cut(l)[0], at: l.at })),
      ...(sections.length > 1 ? [] : [{ text: '', at: section[0]!.at }]),
      ...section.flatMap((l) => (cut(l)[1] || sections.length === 1 ? [{ text: cut(l)[1], at: l.at }] : [])),
    ]),
    ...whole.slice(last + 1),
  ]
}

/** Who said it and when, as a chat is pasted: "[18:02] Bea: ", "18:02 - Bea: ", "12/03/24, 18:02 - Bea: ". */
const SPEAKER =
  /^\s*(?:\[?(?:\d{1,2}[./-]\d{1,2}[./-]\d{2,4},?\s+)?\d{1,2}[:.]\d{2}(?::\d{2})?(?:\s?[ap]\.?m\.?)?\]?)\s*[-–]?\s*[\p{L}][\p{L} .'’-]{0,24}:\s+/iu
/** Fewer lines that begin so are times of the day in a text. */
const LEAST_SPOKEN = 3

/** "Q: Which tin?", "A: A 20 cm round one." */
const ASKED = /^\s*([QA])\s*[:.]\s+(?=\S)/i
const LEAST_ASKED = 2

/** What a question asks for, as the head of its answer. */
const ASKED_FOR: readonly (readonly [head: string, words: RegExp])[] = [
  ['Tin', /\b(?:tin|pan|mou?ld|dish)\b/i],
  ['Oven', /\b(?:how hot|temperature|what heat|oven)\b/i],
  ['Bake', /\bhow long\b.*\b(?:bake|oven|in for)\b/i],
  ['Serves', /\bhow many\b/i],
]
const RECIPE_FOR =
  /\b(?:recipe|method|secret) (?:for|of|to) (?:the |your |those |that |these )?(.+?)(?: (?:you|that|which|we|from|please|again)\b.*)?\?*\s*$/i
const YES = /^(?:(?:sure|of course|yes|yep|ok(?:ay)?|gladly|here (?:it is|you (?:go|are))|no problem)\b[\s!,.:–-]*)+/i

/** Questions say what their answers are of, and are no rows themselves; one that asks for a recipe names it. */
function answered(lines: readonly string[]): string[] {
  let head: string | undefined
  return lines.map((line) => {
    const letter = ASKED.exec(line)?.[1]?.toUpperCase()
    const said = line.replace(ASKED, '')
    if (letter === 'Q') {
      head = ASKED_FOR.find(([, words]) => words.test(said))?.[0]
      return RECIPE_FOR.exec(said)?.[1] ?? ''
    }
    if (letter !== 'A') return line
    const answer = said.replace(YES, '')
    const told = head && !new RegExp(`^${head}\\b`, 'i').test(answer) ? `${head}: ${answer}` : answer
    head = undefined
    return told
  })
}

/** A chat without its speakers, questions and answers without their letters, a quoted mail without its marks. */
function withoutSpeakers(given: readonly string[]): readonly string[] {
  const quoted = given.filter((l) => /^\s*>/.test(l)).length * 2 > given.filter((l) => l.trim()).length
  const lines = quoted ? given.map((l) => l.replace(/^\s*(?:>\s?)+/, '')) : given
  const asked = (letter: string) => lines.filter((l) => ASKED.exec(l)?.[1]?.toUpperCase() === letter).length
  if (asked('Q') >= LEAST_ASKED && asked('A') >= LEAST_ASKED) return answered(lines)
  const spoken = lines.filter((l) => SPEAKER.test(l)).length
  return spoken >= LEAST_SPOKEN ? lines.map((l) => l.replace(SPEAKER, '')) : lines
}

/**
 * The rows of a page: one thing a row, whatever its layout.
 *
 * @param text as pasted
 */
/** "-- coffee syrup --", "~~ Cake ~~": a heading between rules. */
const BETWEEN_RULES = /^([-–—=~_]{1,}|[-–—=~_*]{2,})\s*(\p{L}[^\d=~_]{1,60}?)\s*[-–—=~_*]{2,}$/u
/** "sieve over ->", "slacken with → 90 ml milk": an arrow for a colon. */
const ARROW = /(?<=\p{L})\s*(?:-+>|=+>|→|➜)\s*/u
/** "Tin → oven 50 min → skewer clean?": several of them lead from one deed to the next. */
const ARROWS = /\s*(?:-+>|=+>|→|➜)\s*/gu
const unarrowed = (line: string): string => {
  const arrows = line.match(ARROWS)?.length ?? 0
  return (arrows > 1 && !/^\s*[\d½¼¾⅓⅔⅛]/.test(withoutBullet(line)) ? line.replace(ARROWS, '; ') : line.replace(ARROW, ': ')).trimEnd()
}

const unruled = (line: string): string => {
  const m = BETWEEN_RULES.exec(line)
  return m ? `# ${m[2]!}` : line
}

export function rowsOf(text: string): Row[] {
  const rows: Row[] = []
  let gap = 0
  for (const { text: line, at } of unfoldColumns(withoutSpeakers(text.split(/\r\n?|\n/)))) {
    if (!line.trim() || RULE.test(line)) {
      gap++
      continue
    }
    rows.push(row(unarrowed(unmarked(unruled(line.trim())).trim()), [at], gap))
    gap = 0
  }
  return splitColumns(readFormulas(readTables(uncounted(partHeads(withSets(unstrung(unnumbered(withMeasure(joinAmounts(rows))))))))))
}
