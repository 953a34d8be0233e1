import type { FinishFamily } from '../balance/families'
import { firmnessOf, FOR_USE, useC, type Use } from './firmness'
import type { Phases } from './phases'

export interface FinishFinding {
  code: 'splits' | 'runny' | 'stiff' | 'grainy' | 'too-sweet' | 'melts' | 'lean' | 'too-wet'
  severity: 'note' | 'caution' | 'fault'
  metric: string
  message: string
}
export type FinishBands = Partial<
  Record<'waterToFat' | 'sugarToWater' | 'sweetness' | 'fatPct' | 'firmness', { low: number; high: number }>
>

/** Water that a creamed fat takes up before it breaks, g per g fat; cooked starch, cheese and foam hold more. */
const MOST_WATER: Partial<Record<FinishFamily, readonly [caution: number, fault: number]>> = {
  'butter-icing': [0.62, 0.9],
  'cream-cheese-icing': [1.15, 1.6],
  'cooked-butter-icing': [1.7, 2.4],
  'foam-butter-icing': [0.95, 1.3],
  'crumb-icing': [0.8, 1.2],
}
/** Fat under which cream does not whip, per cent of the cream. */
const LEANEST_CREAM = 28
/** Sweeter than this few enjoy: classic two-to-one icing comes to about 63. */
const TOO_SWEET = 74
/** Of the fat, this much must be solid for a fat-based frosting to stand in the room. */
const LEAST_SOLID = 0.06
const FAT_BASED: readonly FinishFamily[] = [
  'butter-icing',
  'cream-cheese-icing',
  'cooked-butter-icing',
  'foam-butter-icing',
  'ganache',
  'crumb-icing',
]
/** Grit is felt when this much of the frosting is polyol that did not dissolve. */
const GRIT = 0.08
/** How far outside its use a firmness is a fault. */
const FAR = 1.3

/** The bands that a frosting of a kind is held against, for a use. */
export function bandsFor(family: FinishFamily, use: Use): FinishBands {
  const water = MOST_WATER[family]
  const [low, high] = FOR_USE[use]
  return {
    firmness: { low, high },
    ...(water && { waterToFat: { low: 0, high: water[0] } }),
    ...(family === 'whipped-cream' && { fatPct: { low: LEANEST_CREAM, high: 48 } }),
    sweetness: { low: 0, high: TOO_SWEET },
  }
}

/** Paste of sugar in water with a little fat: it cannot break, for fat is not what holds it together. */
const PASTE = { fat: 18, sugar: 55 }

/**
 * What a baker would object to in a frosting for a use.
 *
 * @param p its phases at the temperature of its use
 */
export function findingsFor(p: Phases, use: Use, roomC: number): FinishFinding[] {
  const found: FinishFinding[] = []
  const say = (code: FinishFinding['code'], severity: FinishFinding['severity'], metric: string, message: string) =>
    found.push({ code, severity, metric, message })
  const water = MOST_WATER[p.family]
  const paste = p.fatPct < PASTE.fat && p.sugarPct > PASTE.sugar
  if (water && !paste && p.waterToFat > water[0])
    say(
      'splits',
      p.waterToFat > water[1] ? 'fault' : 'caution',
      'waterToFat',
      `${p.waterToFat} g of water to a gram of fat: it takes up ${water[0]} and then breaks.`,
    )
  if (p.family === 'whipped-cream') {
    const fat = (100 * p.fatPct) / Math.max(40, 100 - p.sugarPct)
    if (fat < LEANEST_CREAM && p.stabiliser / p.grams < 0.02)
      say(
        'lean',
        fat < LEANEST_CREAM - 5 ? 'fault' : 'caution',
        'fatPct',
        `Cream of ${Math.round(fat)} % fat does not whip to stand: it takes about 30.`,
      )
  }
  const melted = FAT_BASED.includes(p.family) && p.fatPct > 12 && p.solidShare < LEAST_SOLID
  const celsius = useC(p, use, roomC)
  if (melted && use !== 'pour' && use !== 'drip')
    say(
      'melts',
      p.solidShare < LEAST_SOLID / 2 ? 'fault' : 'caution',
      'solidFatPct',
      `At ${roomC} °C hardly any of its fat is firm: it slides off. Keep it cold, or take a firmer fat.`,
    )
  const score = firmnessOf(p, celsius)
  const [low, high] = FOR_USE[use]
  if (score < low) say('runny', score < low - FAR ? 'fault' : 'caution', 'firmness', `Too soft to ${use} at ${celsius} °C.`)
  if (score > high) say('stiff', score > high + FAR ? 'fault' : 'caution', 'firmness', `Too stiff to ${use} at ${celsius} °C.`)
  if (p.grit / p.grams > GRIT)
    say('grainy', 'caution', 'sugarToWater', 'Much of this sweetener does not dissolve: it stays gritty and cooling, powdered or not.')
  // A glaze is sugar, and lies thin; so does what is piped in lines of whites and sugar.
  if (p.sweetness > TOO_SWEET && p.family !== 'glaze' && p.family !== 'meringue-icing')
    say('too-sweet', 'caution', 'sweetness', 'Sweeter than most like: salt, something sour or an unsweetened fat takes the edge off.')
  return found
}
