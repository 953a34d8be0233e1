import type { Banded } from '../balance/families'
import { TOLERANCE } from '../balance/findings'
import { LEANINGS, MARKS } from './trial'
import { MIX_WORDS, SWEET_STEP, type Side } from './compare'

/** One quantity of several bakes side by side, with what was expected of each. */
export interface Panel {
  what: string
  group: 'mix' | 'baking' | 'plate'
  unit: string
  /** By bake; `null` where it was not written down. */
  got: (number | null)[]
  /** What the model expected of each; `null` where it says nothing. */
  expected: (number | null)[]
  /** The least span of a scale on which the difference can be judged, or the whole scale where there is one. */
  span: number | readonly [low: number, high: number]
}

/** A ratio whose bakes lie nearer than this to each other, in steps that a baker would notice, is the same in all. */
const SAME_STEPS = 0.75

/**
 * Mix, baking and plate of several bakes as small multiples: ratios that differ, what was measured beside what was
 * expected, and the marks. What nobody wrote down is left out.
 */
export function panelsOf(sides: readonly Side[]): Panel[] {
  const panels: Panel[] = []
  const put = (
    group: Panel['group'],
    what: string,
    unit: string,
    span: Panel['span'],
    got: (s: Side) => number | undefined,
    expected: (s: Side) => number | null | undefined = () => null,
  ) => {
    const values = sides.map((s) => got(s) ?? null)
    if (values.every((v) => v === null)) return
    panels.push({ what, group, unit, got: values, expected: sides.map((s) => expected(s) ?? null), span })
  }
  for (const key of [...Object.keys(TOLERANCE), 'sweetness'] as (Banded | 'sweetness')[]) {
    const step = key === 'sweetness' ? SWEET_STEP : TOLERANCE[key]
    const values = sides.flatMap((s) => s.metrics[key] ?? [])
    if (!MIX_WORDS[key] || values.length < 2 || Math.max(...values) - Math.min(...values) < SAME_STEPS * step) continue
    put('mix', MIX_WORDS[key], '', 4 * step, (s) => s.metrics[key])
  }
  const { record, expected } = { record: (s: Side) => s.trial.record, expected: (s: Side) => s.trial.expected }
  put(
    'baking',
    'minutes',
    '',
    20,
    (s) => record(s).minutes,
    (s) => expected(s)?.minutes,
  )
  put('baking', 'oven', '°C', 30, (s) => record(s).ovenC)
  put(
    'baking',
    'middle when it came out',
    '°C',
    10,
    (s) => record(s).coreC,
    (s) => expected(s)?.doneC,
  )
  put('baking', 'waited before the oven', 'min', 20, (s) => record(s).waitedMin)
  put(
    'plate',
    'height in the middle',
    'mm',
    20,
    (s) => record(s).heightMm?.centre,
    (s) => expected(s)?.heightMm,
  )
  put(
    'plate',
    'water lost',
    '%',
    8,
    (s) => lostPct(record(s).grams),
    (s) => expected(s)?.waterLossPct,
  )
  for (const m of MARKS) put('plate', m, 'of 5', [1, 5], (s) => s.trial.marks[m])
  for (const l of LEANINGS)
    put(
      'plate',
      l,
      '',
      [-2, 2],
      (s) => s.trial.leanings[l],
      () => 0,
    )
  return panels
}

function lostPct(grams: { before?: number; after?: number } | undefined): number | undefined {
  if (!grams?.before || grams.after === undefined) return undefined
  return Math.round((1000 * (grams.before - grams.after)) / grams.before) / 10
}
