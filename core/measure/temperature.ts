/** One oven temperature as written: what the dial says, in °C, and its mode. */
export interface OvenReading {
  celsius: number
  fan: boolean
  /** The scale the baker wrote it in. */
  scale: 'C' | 'F' | 'gas'
}

export const fahrenheitToCelsius = (f: number): number => ((f - 32) * 5) / 9
export const celsiusToFahrenheit = (c: number): number => (c * 9) / 5 + 32

/** Gas marks rise by 25 °F from mark 1 at 275 °F; ¼ and ½ are 225 and 250 °F (British cooker standard). */
export function gasMarkToCelsius(mark: number): number {
  const f = mark < 0.4 ? 225 : mark < 1 ? 250 : 250 + 25 * mark
  return fahrenheitToCelsius(f)
}

/** The gas mark nearest to a dial temperature, ¼ to 9. */
export function celsiusToGasMark(celsius: number): number {
  const f = celsiusToFahrenheit(celsius)
  if (f < 237) return 0.25
  if (f < 262) return 0.5
  return Math.min(9, Math.max(1, Math.round((f - 250) / 25)))
}

/**
 * No cake, custard or meringue is baked below the one or above the other, °C:
 * meringues dry from about 90 °C, crêpes and hot starts end near 260 °C.
 */
export const COOLEST_OVEN = 88
export const HOTTEST_OVEN = 260

/** Two dials that mean the same oven are read within this of one another, °C; fan ovens run 15–20 °C lower. */
const SAME_OVEN = 14
const FAN_LOWER = 20

const READING =
  /(?:(fan|convection)\s*)?(?:(?:gas(?:\s*mark)?|mark)\s*(\d+(?:\s*[/.]\s*\d+)?|[¼½])|(\d{2,3})\s*(?:°|º|deg(?:rees)?\.?)?\s*(celsius|centigrade|fahrenheit|[cf])(?![a-z]))\s*(?:\(?\s*(fan|convection)(?:[\s-]*(?:forced|oven|assisted))?\)?(?!\s*\d))?/gi

/** Every temperature in a text, in the order written. */
export function readTemperatures(text: string): OvenReading[] {
  const found: OvenReading[] = []
  for (const [, before, gas, digits, scale, after] of text.matchAll(READING)) {
    const fan = Boolean(before || after)
    if (gas) {
      const mark = gas === '¼' || /1\s*\/\s*4/.test(gas) ? 0.25 : gas === '½' || /1\s*\/\s*2/.test(gas) ? 0.5 : Number(gas)
      found.push({ celsius: Math.round(gasMarkToCelsius(mark)), fan: false, scale: 'gas' })
    } else {
      const inF = scale!.toLowerCase().startsWith('f')
      const value = Number(digits)
      found.push({
        celsius: Math.round(inF ? fahrenheitToCelsius(value) : value),
        fan,
        scale: inF ? 'F' : 'C',
      })
    }
  }
  return found
}

/**
 * Why temperatures written side by side cannot all be meant, in words; `undefined` where they agree.
 *
 * Readings of one oven agree when they are within 14 °C, or within 14 °C of a 20 °C fan difference.
 */
export function temperatureTrouble(readings: OvenReading[]): string | undefined {
  for (const r of readings) {
    if (r.celsius < COOLEST_OVEN || r.celsius > HOTTEST_OVEN) {
      return `An oven at ${r.celsius} °C (${Math.round(celsiusToFahrenheit(r.celsius))} °F) bakes no cake. Is it °C or °F that is meant?`
    }
  }
  const [first, ...others] = readings
  if (!first) return undefined
  for (const other of others) {
    const apart = Math.abs(first.celsius + (first.fan ? FAN_LOWER : 0) - (other.celsius + (other.fan ? FAN_LOWER : 0)))
    if (apart > SAME_OVEN) {
      return `${first.celsius} °C and ${other.celsius} °C${other.fan ? ' fan' : ''} are not the same oven. Which is right?`
    }
  }
  return undefined
}
