import type { CakeFamily, FinishFamily } from '../balance/families'
import type { Place } from './amounts'
import { FOR_USE, type Use } from './firmness'

export interface BuildFinding {
  code: 'crushes' | 'tall' | 'slides' | 'slumps' | 'melts' | 'soaks-in' | 'weeps' | 'crumb-coat' | 'keep-cold' | 'too-stiff' | 'runs-off'
  severity: 'note' | 'caution' | 'fault'
  place: Place | null
  message: string
}

/** What stands where, as the check needs it. */
export interface Placed {
  place: Place
  name: string
  family: FinishFamily | 'custard' | 'jam'
  /** Firmness in the room. */
  score: number
  meltsAtC: number | null
  grams: number
  perishable: boolean
}
export interface Stack {
  family: CakeFamily | FinishFamily
  firmness: number | null
  layers: number
  /** Whole height, cakes and fillings, mm; footprint of the lowest tier, mm². */
  heightMm: number
  areaMm2: number
  /** g resting on the lowest layer. */
  loadGrams: number
  tiers: number
  soaked: boolean
  roomC: number
}

/** How a place is put on, for what firmness it wants. */
export const USE_AT: Record<Place, Use> = {
  filling: 'fill',
  dam: 'pipe',
  crumbCoat: 'spread',
  coat: 'spread',
  top: 'spread',
  border: 'pipe',
  rosettes: 'pipe',
  swirls: 'pipe',
  wells: 'fill',
  drip: 'drip',
}

/**
 * Pressure that a crumb of middling firmness (0.42) bears for a day without being squeezed, Pa: a tenth of what presses
 * sponge by a quarter (3 to 6 kPa in texture measurements of layer cakes). Three layers of 20 cm with icing come to
 * about 400, two tiers without supports to 1,500, which is where bakers put in supports.
 */
const BEARS = 900
const MIDDLING = 0.42
const SOAKED = 0.6
/** Springy crumbs bear more than their ratio says. */
const SPRINGY = 1.2
const GRAVITY = 9.81
/** Higher than wide by this, a stack sways on its way. */
const SLENDER = 1.3
/** A filling softer than this is pressed out by what stands on it. */
const SQUEEZES = 3.4

/** Can this crumb bear these layers, this frosting, this heat: worst first. */
export function checkBuild(stack: Stack, placed: readonly Placed[]): BuildFinding[] {
  const found: BuildFinding[] = []
  const say = (severity: BuildFinding['severity'], code: BuildFinding['code'], place: Place | null, message: string) =>
    found.push({ code, severity, place, message })
  const { roomC } = stack
  const pressure = (stack.loadGrams * 1e-3 * GRAVITY) / (stack.areaMm2 * 1e-6)
  const bears =
    BEARS *
    Math.max(0.4, Math.min(2, (stack.firmness ?? MIDDLING) / MIDDLING)) *
    (stack.family === 'foam' || stack.family === 'crepe' ? SPRINGY : 1) *
    (stack.soaked ? SOAKED : 1)
  if (stack.layers > 1 && pressure > bears)
    say(
      pressure > 1.8 * bears ? 'fault' : 'caution',
      'crushes',
      null,
      `The lowest layer carries more than this crumb bears${stack.soaked ? ', soaked as it is' : ''}: fewer or thinner layers, or a board on supports half-way.`,
    )
  if (stack.tiers > 1)
    say('note', 'crushes', null, 'Each tier above the first stands on a board on four supports cut to the height of the tier below.')
  const across = Math.sqrt((4 * stack.areaMm2) / Math.PI)
  if (stack.layers > 1 && stack.heightMm > SLENDER * across)
    say('caution', 'tall', null, 'It stands taller than it is wide: put a straw or skewer through its middle, and carry it cold.')

  const has = (p: Place) => placed.find((x) => x.place === p)
  for (const p of placed) {
    const [low, high] = FOR_USE[USE_AT[p.place]]
    if (p.meltsAtC !== null && roomC > p.meltsAtC)
      say(
        'caution',
        'melts',
        p.place,
        `${p.name} goes soft above ${p.meltsAtC} °C, and the room has ${roomC}: serve it from the fridge, or take a firmer fat.`,
      )
    const soft = p.score < low
    if (p.place === 'filling' && p.score < SQUEEZES && stack.layers > 1) {
      if (!has('dam'))
        say(
          stack.layers > 2 ? 'fault' : 'caution',
          'slides',
          p.place,
          `${p.name} is too soft to carry a layer: pipe a dam of something firmer round it, or chill it set first.`,
        )
    } else if (p.place === 'coat' && soft)
      say(
        p.score < low - 1.2 ? 'fault' : 'caution',
        'slumps',
        p.place,
        `${p.name} slides off the sides at ${roomC} °C: chill the cake first and coat it cold, or make it firmer.`,
      )
    else if (['border', 'rosettes', 'swirls', 'dam'].includes(p.place) && soft)
      say(
        p.score < low - 1.2 ? 'fault' : 'caution',
        'slumps',
        p.place,
        `${p.name} does not hold a piped edge at ${roomC} °C: chill the bag for 15 minutes, or make it firmer.`,
      )
    else if (p.place !== 'drip' && p.place !== 'wells' && p.score > high)
      say('caution', 'too-stiff', p.place, `${p.name} tears the crumb at this firmness: let it warm, or loosen it by the spoon.`)
    if (p.place === 'drip' && p.score > FOR_USE.drip[1])
      say('note', 'too-stiff', p.place, `${p.name} drips only while it is warm: use it at 30 to 32 °C, on a cake from the fridge.`)
    if (p.place === 'drip' && p.score < FOR_USE.drip[0])
      say('caution', 'runs-off', p.place, `${p.name} runs to the plate: let it cool and thicken first.`)
  }
  const wet = placed.find((p) => p.place === 'filling' && ['compote', 'custard', 'glaze'].includes(p.family))
  if (wet)
    say('note', 'soaks-in', 'filling', `${wet.name} is wet: brush the cut sides thinly with the icing first, so that it stays where it is.`)
  const fatBased = placed.find((p) => ['butter-icing', 'foam-butter-icing'].includes(p.family) && p.place === 'coat')
  if (fatBased && placed.some((p) => p.family === 'glaze'))
    say('note', 'weeps', 'coat', 'A watery icing does not hold on a fat one: chill the coat hard first.')
  if (has('coat') && !has('crumbCoat'))
    say(
      'note',
      'crumb-coat',
      'coat',
      'Without a crumb coat, crumbs come up in the last one: a thin first coat, chilled for 30 minutes, holds them.',
    )
  const cold = placed.filter((p) => p.perishable)
  if (cold.length)
    say(
      'caution',
      'keep-cold',
      cold[0]!.place,
      `${[...new Set(cold.map((p) => p.name))].join(' and ')} must keep cold: back to the fridge after serving, and no more than two hours out in all, less on a hot day; your food authority’s rule comes first.`,
    )
  const rank = { fault: 0, caution: 1, note: 2 }
  return found.sort((a, b) => rank[a.severity] - rank[b.severity])
}
