import { BREADLIKE, FAMILIES, type Band, type Banded } from './families'
import type { Fit } from './recognise'

export type Severity = 'note' | 'caution' | 'fault'

/**
 * One tolerance: how far outside its band a ratio moves before a baker would taste or see it.
 * Half a tolerance is a note, beyond three quarters many would complain. Sizes are about a third of a usual band's
 * width: one spoon of liquid in a layer cake moves moisture by 0.05.
 */
export const TOLERANCE: Record<Banded, number> = {
  moisture: 0.16,
  sugarConcentration: 2.5,
  firmness: 0.045,
  lift: 2.5,
  sugarPct: 18,
  fatPct: 9,
  fluidity: 0.32,
  acidBalance: 1.2,
  setting: 0.22,
  waterPer100: 4,
  fatPer100: 3.5,
}
const NOTE_FROM = 0.15
const CAUTION_FROM = 0.75
/** Shares of the families that fit which must agree before a word is said. */
const CAUTION_AGREES = 0.55
const NOTE_AGREES = 0.5

/**
 * A ratio that lies this many times above the top, or at this share of the bottom, of every band that fits is a slip and
 * no style: half the flour doubles what stands on flour, a tablespoon for a teaspoon trebles the gas. Ratios that good
 * cakes stretch so far by nature (sugar to water in bars, firmness of lean loaves) are never a slip by themselves.
 */
const SLIP: Partial<Record<Banded, { high?: number; low?: number }>> = {
  moisture: { high: 1.75, low: 0.5 },
  lift: { high: 2 },
  sugarPct: { high: 1.55 },
  fatPct: { high: 2.1 },
  fluidity: { high: 2.6 },
  setting: { low: 0.35 },
  waterPer100: { high: 1.4, low: 0.5 },
  fatPer100: { high: 1.7 },
}

/** How many tolerances a value lies outside its band; negative below, 0 inside. */
export function outside(value: number, band: Band, key: Banded): number {
  if (value < band.low) return (value - band.low) / TOLERANCE[key]
  if (value > band.high) return (value - band.high) / TOLERANCE[key]
  return 0
}

/** A grade by how many tolerances a ratio is out, for a mix whose family is sure. */
export function severityOf(tolerances: number): Severity | undefined {
  const far = Math.abs(tolerances)
  if (far >= CAUTION_FROM) return 'caution'
  return far >= NOTE_FROM ? 'note' : undefined
}

/**
 * Grades a ratio against every family that fits.
 *
 * @param members families with their shares, the best first
 * @returns the grade, the side it is out on and by how many tolerances at most; `undefined` where most families are content
 */
export function grade(
  value: number,
  key: Banded,
  members: readonly Fit[],
): { severity: Severity; side: 'low' | 'high'; far: number } | undefined {
  const out = members.map((m) => {
    const band = bandsOf(m)[key]
    return { fit: m.fit, band, far: band ? outside(value, band, key) : 0 }
  })
  const side = Math.sign(out[0]?.far || out.find((o) => o.far)?.far || 0)
  if (!side) return undefined
  const agreeing = (from: number) => out.reduce((sum, o) => (Math.sign(o.far) === side && Math.abs(o.far) >= from ? sum + o.fit : sum), 0)
  const slip = SLIP[key]
  const slipped = out.every(
    ({ band }) =>
      band !== undefined &&
      (side > 0 ? slip?.high !== undefined && value >= slip.high * band.high : slip?.low !== undefined && value <= slip.low * band.low),
  )
  const where = side > 0 ? 'high' : 'low'
  const far = Math.max(...out.map((o) => Math.abs(o.far)))
  if (slipped) return { severity: 'fault', side: where, far }
  if (agreeing(CAUTION_FROM) >= CAUTION_AGREES) return { severity: 'caution', side: where, far }
  return agreeing(NOTE_FROM) >= NOTE_AGREES ? { severity: 'note', side: where, far } : undefined
}

const bandsOf = (m: Fit) => (m.breadlike ? BREADLIKE : FAMILIES[m.family].bands)

/** The range of a ratio that some family which fits is content with. */
export function bandOf(key: Banded, members: readonly Fit[]): Band | undefined {
  const bands = members.flatMap((m) => bandsOf(m)[key] ?? [])
  return bands.length ? { low: Math.min(...bands.map((b) => b.low)), high: Math.max(...bands.map((b) => b.high)) } : undefined
}
