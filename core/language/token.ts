import { FRACTION_SIGNS } from './lexicon'

export type TokenKind = 'number' | 'fraction' | 'word' | 'mark'

/** One word, number or mark of a text, with its place in it. */
export interface Token {
  /** As written. */
  text: string
  /** In lower case, without accents. */
  word: string
  /** Without a plural ending, so that "eggs" meets "egg". */
  stem: string
  kind: TokenKind
  /** Of numbers and fraction signs. */
  value?: number
  /** Characters [from, to) of the text. */
  from: number
  to: number
  /** How many brackets it stands in; a bracket counts itself. */
  depth: number
}

const PLAIN_LETTERS = /^[\x20-\x7e]*$/

/** Lower case without accents; typographic apostrophes are the plain one. */
export function plain(text: string): string {
  if (PLAIN_LETTERS.test(text)) return text.toLowerCase().replaceAll('`', "'")
  return text
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .replace(/[’‘`´]/g, "'")
}

/** "mixed w/ lemon juice", "muffins w/o egg". */
const SIGNS: ReadonlyMap<string, string> = new Map([
  ['w/', 'with'],
  ['w/o', 'without'],
])

/** How cards cut their words short; only what cannot be a word of its own. */
const SHORTHAND: ReadonlyMap<string, string> = new Map(
  Object.entries({
    bkg: 'baking',
    bkng: 'baking',
    bakg: 'baking',
    bk: 'baking',
    pwdr: 'powder',
    powd: 'powder',
    brn: 'brown',
    evap: 'evaporated',
    unsweet: 'unsweetened',
  }),
)

/** A word without its plural ending. Crude on purpose: names and text go through the same one. */
export function stemOf(word: string): string {
  const w = SHORTHAND.get(word) ?? word.replace(/'s?$/, '')
  if (w.length < 4) return w
  if (w.endsWith('ies') && w.length > 5) return `${w.slice(0, -3)}y`
  if (w.endsWith('leaves') || w.endsWith('halves')) return `${w.slice(0, -3)}f`
  if (/(?:ches|shes|xes|sses|oes)$/.test(w)) return w.slice(0, -2)
  return /[^su]s$/.test(w) ? w.slice(0, -1) : w
}

const PIECES =
  /(?<![\p{L}.])\p{L}\.\p{L}\.(?![\p{L}])|(?<![\p{L}\d])[wW]\/o?(?![\p{L}/])|\d+(?:[.,]\d+)?|[½¼¾⅓⅔⅛⅜⅝⅞⅙⅕⅚]|\p{Lu}\d{2,3}(?![\d\p{L}])|\p{L}[\p{L}\p{M}]*(?:['’]\p{L}+)*|\S/gu

/** "1,000" is a thousand, "0,125" an eighth, "2,5" and "2.5" two and a half. */
function numberIn(text: string): number {
  const parts = /^(\d+)[.,](\d+)$/.exec(text)
  if (!parts) return Number(text)
  return text.includes(',') && parts[2]!.length === 3 && parts[1] !== '0'
    ? Number(parts[1]! + parts[2]!)
    : Number(`${parts[1]}.${parts[2]}`)
}

/**
 * Takes a text apart. Every character that is no space belongs to exactly one token.
 *
 * @example tokenise('1½ cups flour').map((t) => t.word) // ['1', '½', 'cups', 'flour']
 */
export function tokenise(text: string): Token[] {
  const known = recent.get(text)
  if (known) return known
  const tokens = takeApart(text)
  if (recent.size >= MOST_RECENT) recent.clear()
  recent.set(text, tokens)
  return tokens
}

/** A page is looked at by many readers, one after the other: what it was taken apart into is kept for a while. */
const recent = new Map<string, Token[]>()
const MOST_RECENT = 2000

function kindOf(raw: string): TokenKind {
  const code = raw.charCodeAt(0)
  if (code >= 48 && code <= 57) return 'number'
  if ((code >= 97 && code <= 122) || (code >= 65 && code <= 90)) return 'word'
  if (code < 128) return 'mark'
  return raw in FRACTION_SIGNS ? 'fraction' : /^\p{L}/u.test(raw) ? 'word' : 'mark'
}

function takeApart(text: string): Token[] {
  const tokens: Token[] = []
  let depth = 0
  for (const match of text.matchAll(PIECES)) {
    const raw = match[0]
    const letters = raw.length === 4 && raw.endsWith('.') && raw[1] === '.' // "b.p.", "S.R."
    const word = letters ? plain(raw).replaceAll('.', '') : (SIGNS.get(raw.toLowerCase()) ?? plain(raw))
    const kind = kindOf(raw)
    if (raw === '(' || raw === '[') depth++
    tokens.push({
      text: raw,
      word,
      stem: kind === 'word' ? stemOf(word) : word,
      kind,
      ...(kind === 'number' && { value: numberIn(raw) }),
      ...(kind === 'fraction' && { value: FRACTION_SIGNS[raw]! }),
      from: match.index,
      to: match.index + raw.length,
      depth,
    })
    if ((raw === ')' || raw === ']') && depth) depth--
  }
  return tokens
}

/** The words of tokens [from, to), joined by spaces. */
export const wordsBetween = (tokens: readonly Token[], from: number, to: number): string =>
  tokens
    .slice(from, to)
    .map((t) => t.word)
    .join(' ')

/** Whether two tokens stand together without a space. */
export const touching = (a: Token | undefined, b: Token | undefined): boolean => a !== undefined && b !== undefined && a.to === b.from

/** "whisk til pale" against "2 tbsp til": sesame is measured, or is seeds or oil. */
export const isUntil = (t: readonly Token[], i: number): boolean =>
  t[i]!.word === 'til' &&
  i > 1 &&
  t[i - 1]!.kind === 'word' &&
  !/^(?:tsp|tbsp|cups?|g|black|white|and|of|the|toasted|roasted|with|some)$/.test(t[i - 1]!.word) &&
  !/^(?:seeds?|oil)$/.test(t[i + 1]?.word ?? '')
