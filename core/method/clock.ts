import type { Heat, Time } from '../language/dial'
import type { Scan } from '../language/item'
import { celsiusToFahrenheit, celsiusToGasMark, fahrenheitToCelsius, gasMarkToCelsius } from '../measure/temperature'
import { bareHeats } from '../recipe/oven'
import type { TextEdit } from './text'

/** The dials of a sentence, or the bare numbers beside its oven's words. */
export function heatsOf(s: Scan): Heat[] {
  const said = s.dials.filter((d): d is Heat => d.kind === 'heat')
  return said.length ? said : bareHeats(s.tokens, s.dials)
}

/** "1 hr 10 min", in the words that the baker used. */
function wordsOf(minutes: number, like: string): string {
  const long = /hour|minute/i.test(like)
  const h = Math.floor(minutes / 60)
  const m = Math.round(minutes - 60 * h)
  const hours = h ? `${h} ${long ? (h > 1 ? 'hours' : 'hour') : 'hr'}` : ''
  const rest = m ? `${m} ${long ? 'minutes' : /mins/i.test(like) ? 'mins' : 'min'}` : ''
  return [hours, rest].filter(Boolean).join(' ')
}

/** A time so many minutes longer, as the sentence writes it: only its numbers change where that is enough. */
export function retimed(s: Scan, time: Time, more: number): TextEdit {
  const t = s.tokens
  const from = t[time.from]!.from
  const to = t[time.to - 1]!.to
  const text = s.text.slice(from, to)
  const round = (v: number) => (v >= 40 ? 5 * Math.round(v / 5) : Math.round(v))
  const low = Math.max(1, more ? round(time.low + more) : time.low)
  const high = Math.max(low, more ? round(time.high + more) : time.high)
  const simple = t.slice(time.from, time.to)
  const numbers = simple.filter((x) => x.kind === 'number')
  const onlyMinutes = !/\b(?:h|hr|hrs|hours?)\b/i.test(text) && simple.every((x) => x.kind !== 'fraction')
  if (onlyMinutes && (numbers.length === 2 || numbers.length === 1)) {
    // One number gives way to a range where there is one now.
    const values = numbers.length === 1 && low !== high ? [`${low} to ${high}`] : [low, high]
    let words = text
    for (let i = numbers.length - 1; i >= 0; i--)
      words = words.slice(0, numbers[i]!.from - from) + String(values[i]) + words.slice(numbers[i]!.to - from)
    return { from, to, words }
  }
  return { from, to, words: low === high ? wordsOf(low, text) : `${wordsOf(low, text)} to ${wordsOf(high, text)}` }
}

/** A dial set so many °C lower or higher, on its own scale; its unit stays as it is written. */
export function reheated(s: Scan, heat: Heat, celsius: number, fahrenheitKitchen: boolean): TextEdit {
  const number = s.tokens.slice(heat.from, heat.to).find((x) => x.kind === 'number' || x.kind === 'fraction')!
  const given = heat.value
  const scale = heat.scale ?? (given > 280 || fahrenheitKitchen ? 'F' : 'C')
  const value =
    scale === 'gas'
      ? celsiusToGasMark(gasMarkToCelsius(given) + celsius)
      : scale === 'F'
        ? 5 * Math.round(celsiusToFahrenheit(fahrenheitToCelsius(given) + celsius) / 5)
        : given + celsius
  return { from: number.from, to: number.to, words: String(Math.round(value * 100) / 100) }
}
