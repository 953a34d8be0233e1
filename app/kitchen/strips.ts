import type { Band, Banded } from '../../core/balance/families'
import type { Metrics } from '../../core/balance/metrics'
import { consistency } from '../../core/balance/ratios'

/** One ratio of the balance board, in a baker's words. */
export interface StripModel {
  key: Banded | 'sweetness'
  label: string
  ends: [string, string]
  /** Scale when there is no band to lay it on. */
  scale?: Band
  write: (value: number) => string
}

/** The model's words for a batter, short enough for the board. */
const CONSISTENCY: Record<string, string> = {
  'scooped, holds its shape': 'scoops',
  'drops from the spoon': 'drops',
  'falls in a ribbon': 'ribbons',
  'pours like cream': 'pours',
  'a dough': 'dough',
}

const percent = (v: number) => `${Math.round(v)} %`

/** The board from what decides first to what decides last. */
export const STRIPS: readonly StripModel[] = [
  { key: 'moisture', label: 'Moisture', ends: ['dry', 'wet'], write: (v) => v.toFixed(2) },
  { key: 'sugarConcentration', label: 'Sugar hold', ends: ['sets early', 'sets late'], write: percent },
  { key: 'firmness', label: 'Firmness', ends: ['tender', 'tough'], write: (v) => v.toFixed(2) },
  { key: 'setting', label: 'Binding', ends: ['falls apart', 'rubbery'], write: (v) => v.toFixed(1) },
  { key: 'fatPct', label: 'Fat', ends: ['lean', 'greasy'], write: percent },
  { key: 'lift', label: 'Lift', ends: ['flat', 'overblown'], write: (v) => v.toFixed(0) },
  { key: 'acidBalance', label: 'Acid', ends: ['sour', 'soapy'], write: (v) => (v > 0 ? '+' : '') + v.toFixed(1) },
  { key: 'fluidity', label: 'Batter', ends: ['stiff', 'pours'], write: (v) => CONSISTENCY[consistency(v)] ?? consistency(v) },
  { key: 'sweetness', label: 'Sweetness', ends: ['less', 'more'], scale: { low: 18, high: 34 }, write: (v) => `${Math.round(v)} g` },
]

export interface StripPlace {
  /** Shares of the strip, 0 to 1. */
  from: number
  to: number
  now: number
  before: number | null
  inside: boolean
  side: 'in' | 'low' | 'high'
}

/** Share of a strip that its sound band takes; the rest shows how far outside a recipe lies. */
const BAND_SHARE = 0.46

/** Lays a value on its strip: the band in the middle, marks held within the ends. */
export function placeOn(band: Band | undefined, scale: Band | undefined, value: number, before: number | undefined): StripPlace {
  const b = band ?? scale!
  const width = (b.high - b.low) / (band ? BAND_SHARE : 1)
  const start = band ? b.low - (width * (1 - BAND_SHARE)) / 2 : b.low
  const at = (v: number) => Math.min(0.985, Math.max(0.015, (v - start) / width))
  const side = !band ? 'in' : value < b.low - 1e-6 ? 'low' : value > b.high + 1e-6 ? 'high' : 'in'
  return {
    from: band ? at(b.low) : 0,
    to: band ? at(b.high) : 0,
    now: at(value),
    before: before === undefined ? null : at(before),
    inside: side === 'in',
    side,
  }
}

export const valueOf = (m: Partial<Metrics>, key: StripModel['key']): number | undefined => m[key]
