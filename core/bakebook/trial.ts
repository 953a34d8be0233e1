import type { HardNeed } from '../pantry/ingredient'
import type { Observation } from './learn'
import type { BakeRecord } from './record'
import type { Symptom } from './symptoms'

/** What a baker marks from 1 to 5. */
export const MARKS = ['crumb', 'lift', 'taste', 'stacking', 'look'] as const
export type Mark = (typeof MARKS)[number]
/** What is best in the middle: −2 too little, 0 right, 2 too much. */
export const LEANINGS = ['moisture', 'sweetness'] as const
export type Leaning = (typeof LEANINGS)[number]

/** What was expected of a bake when it was made. */
export interface Expected {
  family: string
  minutes: number | null
  heightMm: number | null
  doneC: number | null
  waterLossPct: number | null
}

/** One bake as it came out, tied to the exact version. */
export interface Trial {
  id: string
  versionId: string
  /** The bake at the Counter that it was made from. */
  sessionId: string | null
  /** Day of the bake, ms since 1970. */
  bakedAt: number
  record: BakeRecord
  marks: Partial<Record<Mark, number>>
  leanings: Partial<Record<Leaning, number>>
  symptoms: Symptom[]
  expected: Expected | null
  /** Which needs the table had: never names. */
  ate: HardNeed[]
  note: string
  /** Made up with the sample kitchen: it teaches nothing. */
  sample?: boolean
  updatedAt: number
}

/** With one of these the minutes say nothing of the oven: it was not taken out when it was done. */
const NOT_DONE: readonly Symptom[] = ['raw', 'gummy', 'dry', 'dark']

/** What a trial teaches the kitchen. @param setC what the oven was set to, °C */
export function observationsOf(trial: Trial, setC: number | null): Observation[] {
  const { record, expected, symptoms, leanings } = trial
  if (!expected) return []
  const found: Observation[] = []
  const see = (kind: Observation['kind'], value: number) => Number.isFinite(value) && found.push({ kind, family: expected.family, value })
  if (record.minutes && expected.minutes && record.preheated !== false && !symptoms.some((s) => NOT_DONE.includes(s)))
    see('minutes', Math.log(record.minutes / expected.minutes))
  if (record.heightMm?.centre && expected.heightMm) see('rise', Math.log(record.heightMm.centre / expected.heightMm))
  if (record.ovenC !== undefined && setC !== null) see('oven', record.ovenC - setC)
  if (leanings.moisture !== undefined) see('moistness', leanings.moisture)
  if (leanings.sweetness !== undefined) see('sweetness', leanings.sweetness)
  return found
}

/** One number for a list, 1 to 5: the mean of the marks, less a quarter for each thing that went wrong; `null` without marks. */
export function overall(trial: Pick<Trial, 'marks' | 'leanings' | 'symptoms'>): number | null {
  const marks = MARKS.flatMap((m) => trial.marks[m] ?? [])
  // A lean of one either way costs a mark, of two costs two.
  const leans = LEANINGS.flatMap((l) => (trial.leanings[l] === undefined ? [] : [5 - 1.25 * Math.abs(trial.leanings[l])]))
  const all = [...marks, ...leans]
  if (!all.length) return null
  const mean = all.reduce((a, b) => a + b, 0) / all.length
  return Math.max(1, Math.round(10 * (mean - 0.25 * trial.symptoms.length)) / 10)
}
