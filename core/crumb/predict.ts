import type { Banded, Family } from '../balance/families'
import { modelOf, type Metrics } from '../balance/metrics'

/** What a baker would say of the crumb; negative and positive ends of each. */
export const TRAITS = {
  tender: ['firm', 'tender'],
  moist: ['dry', 'moist'],
  fine: ['open', 'fine'],
  light: ['dense', 'light'],
  whole: ['crumbly', 'holds together'],
  gummy: ['clean', 'gummy'],
  greasy: ['lean', 'rich'],
  level: ['domes', 'sinks'],
  sweet: ['less sweet', 'sweet'],
  brown: ['pale', 'brown'],
} as const
export type Trait = keyof typeof TRAITS

export interface CrumbClaim {
  trait: Trait
  /** −2 … 2 towards the second word of the trait. */
  direction: number
  /** In words: "more tender", "a little dense". */
  words: string
  confidence: number
  because: string[]
}

/** Position of a value in its band: −1 at the low edge, 0 in the middle, 1 at the high edge. */
function place(metrics: Metrics, family: Family, key: Banded): number {
  const band = modelOf(family).bands[key]
  const value = metrics[key]
  if (!band || value === undefined) return 0
  return (2 * (value - (band.low + band.high) / 2)) / (band.high - band.low)
}

/**
 * Where sound cakes usually lie: bands leave more room above than bakers use. Medians over the classic and everyday
 * formulas of `core/fixtures`, places as −1 … 1 in the band.
 */
const USUAL_PLACE = { moisture: -0.34, firmness: -0.3 }
const USUAL_BROWNING = 19

const clamp = (x: number): number => Math.max(-2, Math.min(2, Math.round(x * 2) / 2))

/**
 * Predicts the crumb from ratios against bands; against another version where one is given.
 *
 * Slopes are stated judgement (one band's width of moisture is the step from dry to moist),
 * to be corrected by trials. Claims that would be "neither" are left out.
 *
 * @param shift what this kitchen has taught, steps by trait; it says nothing where two versions are compared in one kitchen
 */
export function predictCrumb(
  metrics: Metrics,
  family: Family,
  before?: { metrics: Metrics; family: Family },
  shift: Partial<Record<Trait, number>> = {},
): CrumbClaim[] {
  const at = (key: Banded) => place(metrics, family, key)
  const change = (a: number | undefined, b: number | undefined, size: number): number =>
    a === undefined || b === undefined ? 0 : (a - b) / size
  const was = before?.metrics
  const eggLost = was ? Math.max(0, (was.eggPct ?? 0) - (metrics.eggPct ?? 0)) : 0
  const score: Record<Trait, [number, number, string[]]> = {
    tender: [
      was
        ? change(was.firmness, metrics.firmness, 0.09) + change(was.setting, metrics.setting, 4.5)
        : -0.9 * (at('firmness') - USUAL_PLACE.firmness),
      0.6,
      ['firmness', 'setting'],
    ],
    moist: [
      was
        ? change(metrics.moisture, was.moisture, 0.3) * 0.7 + change(metrics.fatPct, was.fatPct, 40) * 0.5
        : 0.8 * (at('moisture') - USUAL_PLACE.moisture),
      0.6,
      ['moisture', 'fatPct'],
    ],
    fine: [was ? -change(metrics.lift, was.lift, 16) : -at('lift') * 0.8, 0.4, ['lift', 'fatPct']],
    light: [
      was ? change(metrics.lift, was.lift, 14) - eggLost / 70 : modelOf(family).air === 'foam' ? 0 : at('lift') * 0.7 - at('fatPct') * 0.4,
      0.5,
      ['lift', 'setting'],
    ],
    whole: [
      was ? change(metrics.setting, was.setting, 2.4) * 0.8 + change(metrics.firmness, was.firmness, 0.2) : at('setting') * 0.5 + 0.6,
      0.5,
      ['setting', 'firmness'],
    ],
    gummy: [Math.max(0, at('moisture') - 0.6) + Math.max(0, (1.6 - metrics.setting) * 1.2), 0.5, ['moisture', 'setting']],
    greasy: [was ? change(metrics.fatPer100, was.fatPer100, 5) : at('fatPct') * 0.9, 0.6, ['fatPct']],
    level: [
      Math.max(0, at('sugarConcentration') - 0.7) * 2 + Math.max(0, at('lift') - 0.8) - Math.max(0, -0.6 - at('moisture')),
      0.4,
      ['sugarConcentration', 'lift'],
    ],
    sweet: [was ? change(metrics.sweetness, was.sweetness, 3.5) : (metrics.sweetness - 27) / 6, 0.8, ['sweetness']],
    brown: [
      was
        ? Math.log2((metrics.browningIndex + 0.05) / (was.browningIndex + 0.05))
        : Math.log2((metrics.browningIndex + 0.05) / USUAL_BROWNING),
      0.4,
      ['browningIndex'],
    ],
  }
  const claims: CrumbClaim[] = []
  for (const [trait, [raw, confidence, because]] of Object.entries(score) as [Trait, [number, number, string[]]][]) {
    const learned = was ? 0 : (shift[trait] ?? 0)
    const direction = clamp(raw + learned)
    if (direction === 0) continue
    claims.push({
      trait,
      direction,
      words: wordsFor(trait, direction, was !== undefined),
      confidence: Math.min(0.9, confidence + 0.08 * Math.abs(direction)),
      because: clamp(raw) === direction ? because : [...because, 'learned'],
    })
  }
  return claims.sort((a, b) => Math.abs(b.direction) * b.confidence - Math.abs(a.direction) * a.confidence)
}

function wordsFor(trait: Trait, direction: number, compared: boolean): string {
  const word = TRAITS[trait][direction > 0 ? 1 : 0]
  const size = Math.abs(direction)
  if (compared) {
    const how = size <= 0.5 ? 'a little ' : size >= 2 ? 'much ' : ''
    const verb = /^(holds|domes|sinks)/.test(word)
    return verb ? `${word} ${size <= 0.5 ? 'a little more' : 'more'}` : `${how}${comparative(word)}`
  }
  if (/^(holds|domes|sinks)/.test(word)) return size <= 0.5 ? `${word} fairly well`.replace(/^(domes|sinks).*/, '$1 a little') : word
  if (word === 'less sweet') return size >= 2 ? 'hardly sweet' : size <= 0.5 ? 'a little less sweet than most' : 'less sweet than most'
  return size <= 0.5 ? `a little ${word}` : size >= 2 ? `very ${word}` : word
}

const COMPARATIVE: Record<string, string> = {
  dry: 'drier',
  firm: 'firmer',
  fine: 'finer',
  light: 'lighter',
  dense: 'denser',
  gummy: 'gummier',
  pale: 'paler',
  lean: 'leaner',
  rich: 'richer',
  clean: 'cleaner',
  'less sweet': 'less sweet',
  sweet: 'sweeter',
  brown: 'browner',
  moist: 'moister',
  crumbly: 'more crumbly',
}
const comparative = (word: string): string => COMPARATIVE[word] ?? `more ${word}`
