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
