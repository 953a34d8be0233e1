import type { BalanceAnswer } from '../../core/contract/handle'
import type { Option, Reformulation } from '../../core/reformulate/option'
import { placeOn, STRIPS, valueOf } from './strips'

export interface Verdict {
  headline: string
  detail: string
  tone: 'sound' | 'look' | 'stop'
}

const capital = (s: string): string => s.replace(/^./, (c) => c.toUpperCase())
const listed = (words: string[]): string => (words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`)

/** The ratios of an answer whose marks stand outside their band, by the names on their strips. */
const outside = (option: Option): string[] =>
  STRIPS.flatMap(({ key, label }) => {
    const band = key === 'sweetness' ? undefined : option.bands[key]
    const value = valueOf(option.metrics, key)
    return value === undefined || placeOn(band, band ?? NOWHERE, value, undefined).inside ? [] : [label.toLowerCase()]
  })
const NOWHERE = { low: 0, high: 1 }

/** What is to be said of the balance: what is wrong, else what the board shows beyond its bands, else that all is well. */
function balanceOf(option: Option, loud: readonly { message: string }[]): string {
  if (loud.length) return loud.map((f) => f.message).join(' ')
  const off = outside(option)
  return off.length ? `${capital(listed(off))} ${off.length > 1 ? 'lie' : 'lies'} a little beyond what is usual.` : 'In balance.'
}

/** The one sentence at the foot of the bench: what will come out, and whether to trust it. */
export function verdictOf(balance: BalanceAnswer | null, answer: Reformulation | null, option: Option | null): Verdict {
  if (answer?.impossible)
    return { headline: 'No sound way to do this.', detail: answer.impossible.because.map((b) => b.message).join(' '), tone: 'stop' }
  if (option && answer) {
    const loud = option.findings.filter((f) => f.severity !== 'note')
    if (!option.lines.some((l) => l.status !== 'kept'))
      return { headline: 'Nothing needs to change.', detail: 'The recipe already does what you ask.', tone: 'sound' }
    const traits = option.crumb.slice(0, 3).map((c) => c.words)
    const headline = traits.length ? `${capital(listed(traits))} than the original.` : 'Much like the original.'
    const left = option.undone[0]
    const detail = [balanceOf(option, loud), left ? `${left.message}.` : '', option.sides.find((s) => s.about === 'cannot')?.message ?? '']
    return { headline, detail: detail.filter(Boolean).join(' '), tone: loud.length ? 'look' : 'sound' }
  }
  if (!balance) return { headline: 'Weighing…', detail: '', tone: 'sound' }
  const faults = balance.findings.filter((f) => f.severity === 'fault')
  const cautions = balance.findings.filter((f) => f.severity === 'caution')
  if (faults.length)
    return { headline: faults[0]!.message, detail: [...faults.slice(1), ...cautions].map((f) => f.message).join(' '), tone: 'stop' }
  if (cautions.length)
    return {
      headline: cautions[0]!.message,
      detail: cautions
        .slice(1)
        .map((f) => f.message)
        .join(' '),
      tone: 'look',
    }
  return {
    headline: 'Sound as it is.',
    detail: `${capital(listed(balance.crumb.slice(0, 3).map((c) => c.words)))}. Choose above what must go, and everything that follows moves with it.`,
    tone: 'sound',
  }
}
