import { csvFormat } from 'd3-dsv'
import { MARKS, LEANINGS, overall, type Trial } from '../bakebook/trial'
import { isoOf } from '../measure/day'

/** One bake with the names that its ids stand for. */
export interface NamedTrial {
  trial: Trial
  title: string
  version: string
}

/** A cell that a spreadsheet would take for a formula is quoted with an apostrophe, as they themselves do. */
const harmless = (text: string): string => (/^[=+\-@\t\r]/.test(text) && !/^-?\d+([.,]\d+)?$/.test(text) ? `'${text}` : text)
const cell = (v: unknown): string =>
  v === undefined || v === null ? '' : typeof v === 'boolean' ? (v ? 'yes' : 'no') : harmless(String(v))

/** Trials as CSV (RFC 4180), one a row, with a head of names; times as the kitchen's clock shows them in UTC. */
export function writeTrials(trials: readonly NamedTrial[]): string {
  const rows = trials.map(({ trial, title, version }) => {
    const { record: r, expected: e } = trial
    const row: Record<string, unknown> = {
      day: isoOf(Math.floor(trial.bakedAt / 60_000)).slice(0, 10),
      recipe: title,
      version,
      score: overall(trial),
      ...Object.fromEntries(MARKS.map((m) => [m, trial.marks[m]])),
      ...Object.fromEntries(LEANINGS.map((l) => [l, trial.leanings[l]])),
      symptoms: trial.symptoms.join(' '),
      minutes: r.minutes,
      'expected minutes': e?.minutes,
      'oven °C': r.ovenC,
      'middle °C': r.coreC,
      'height edge mm': r.heightMm?.edge,
      'height middle mm': r.heightMm?.centre,
      'expected height mm': e?.heightMm,
      'before g': r.grams?.before,
      'after g': r.grams?.after,
      'waited min': r.waitedMin,
      'added g': r.addedGrams,
      preheated: r.preheated,
      cups: r.cups,
      needs: trial.ate.join(' '),
      note: trial.note,
    }
    return Object.fromEntries(Object.entries(row).map(([k, v]) => [k, cell(v)]))
  })
  return rows.length ? csvFormat(rows) : ''
}
