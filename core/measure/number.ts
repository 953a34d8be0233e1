import { numericQuantity } from 'numeric-quantity'

const WORDS: Record<string, number> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  half: 0.5,
  quarter: 0.25,
  third: 1 / 3,
}

const UNICODE = '¼½¾⅐⅑⅒⅓⅔⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞'
const FRACTION = `(?:\\d+\\s*[/⁄]\\s*\\d+|[${UNICODE}])`
/** Digits with fractions: "2", "2.5", "2,5", "1,000", "1/2", "1 1/2", "1-1/2", "1½", "½". */
const DIGITS = `(?:\\d+\\s*-\\s*${FRACTION}|\\d+(?:\\s+${FRACTION}|\\s*[${UNICODE}])|${FRACTION}|\\d{1,3}(?:,\\d{3})+(?!\\d)|\\d+(?:[.,]\\d+)?)`
const FRACTION_WORDS = '(?:(?:one|a)\\s+)?(?:half|quarter|third)|(?:two|three)[\\s-](?:thirds|quarters)'
const NUMBER_WORDS = 'one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve'
/** Whole and part with a word between: "1 and a half", "one & ¼", "2 and 1/4". */
const MIXED = `(?:${NUMBER_WORDS}|\\d+)\\s+(?:and|&|\\+)\\s+(?:${FRACTION}|(?:a\\s+)?(?:half|quarter|third)(?![a-z]))`
const WORDED = `(?:half\\s+a\\s+dozen|(?:(?:a|one|1)\\s+)?dozen|(?:${FRACTION_WORDS})|${NUMBER_WORDS}|an?)(?![a-z])`

/** Source of a regular expression for one number as bakers write it, digits or words. */
export const NUMBER_PATTERN = `(?:(?:1|half\\s+a)\\s+dozen(?![a-z])|${MIXED}|${DIGITS}|${WORDED})`

const WHOLE = new RegExp(`^${NUMBER_PATTERN}$`, 'i')

/**
 * The value of one number as bakers write it.
 *
 * @param text such as `1 1/2`, `1-1/4`, `2,5`, `⅔`, `three quarters`, `two and a half`
 * @returns the value, or `undefined` where the text is not one number
 * @example readNumber('1-1/4') // 1.25
 */
export function readNumber(text: string): number | undefined {
  const t = text.trim().toLowerCase()
  if (!WHOLE.test(t)) return undefined
  if (/dozen$/.test(t)) return /^half/.test(t) ? 6 : 12
  const mixed = /^(\w+)\s+(?:and|&|\+)\s+(?:a\s+)?(.+)$/.exec(t)
  if (mixed)
    return (
      (WORDS[mixed[1]!] ?? Number(mixed[1])) + (WORDS[mixed[2]!] ?? numericQuantity(mixed[2]!.replace(/\s*[/⁄]\s*/, '/'), { round: false }))
    )
  const many = /^(two|three)[\s-](thirds|quarters)$/.exec(t)
  if (many) return WORDS[many[1]!]! * (many[2] === 'thirds' ? 1 / 3 : 0.25)
  const worded = WORDS[t.replace(/^(?:one|a)\s+(?=half|quarter|third)/, '')]
  if (worded !== undefined) return worded
  const digits = t
    .replace(/^(\d+)\s*-\s*(?=\d+\s*[/⁄]|[¼-¾⅐-⅞])/, '$1 ')
    .replace(/^(\d{1,3})((?:,\d{3})+)$/, (_, a: string, b: string) => a + b.replaceAll(',', ''))
    .replace(/^(\d+),(\d+)$/, '$1.$2')
    .replace(/\s*[/⁄]\s*/, '/')
  const value = numericQuantity(digits, { round: false })
  return Number.isFinite(value) ? value : undefined
}

/** Steps that measuring spoons and cups come in, with the sign bakers write for them. */
const SIGNS: [number, string][] = [
  [1 / 8, '⅛'],
  [1 / 4, '¼'],
  [1 / 3, '⅓'],
  [1 / 2, '½'],
  [2 / 3, '⅔'],
  [3 / 4, '¾'],
]

/**
 * A number as it is written on a card: whole, with a fraction sign where one fits, else decimal.
 *
 * @example writeNumber(1.25) // "1¼"
 */
export function writeNumber(value: number): string {
  const whole = Math.floor(value + 1e-6)
  const rest = value - whole
  if (rest < 0.02) return String(whole)
  const sign = SIGNS.find(([share]) => Math.abs(share - rest) < 0.02)?.[1]
  if (sign) return whole ? `${whole}${sign}` : sign
  return String(Math.round(value * 10) / 10)
}
