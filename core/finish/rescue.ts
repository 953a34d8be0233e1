import type { FinishFamily } from '../balance/families'
import type { Dose } from '../balance/mass'
import type { Region } from '../measure/region'
import type { HardNeed } from '../pantry/ingredient'
import { nameOf, need } from '../pantry/pantry'
import { kitchenOf, wholeGrams } from '../reformulate/lines'
import { bandsFor } from './findings'
import { classOf, CREAM_MELTS, firmnessOf, FOR_USE, type Use } from './firmness'
import { allowedOf, amountFor } from './adjust'
import { phasesOf } from './phases'
import { solidShare } from './solid-fat'

export const TROUBLES = ['split', 'runny', 'stiff', 'grainy', 'seized', 'too-sweet', 'melting', 'crumbs', 'too-dark', 'blocked'] as const
export type Trouble = (typeof TROUBLES)[number]

export interface RescueStep {
  step: string
  ingredient?: string
  grams?: number
  kitchen?: string
  /** What should be seen then. */
  expect: string
}

const FATS = ['butter-unsalted', 'plant-butter-block', 'shortening']
const LIQUIDS = ['milk-whole', 'soy-milk', 'oat-milk', 'water']
const CREAMS = ['cream-heavy', 'cream-double', 'coconut-cream', 'plant-cream']
/** More than this share of the bowl is no rescue but another batch; a ganache or a glaze is corrected by as much again. */
const MOST_USUAL = 1
const MOST_ADDED: Partial<Record<FinishFamily, number>> = { ganache: 1.6, glaze: 2.5, 'whipped-cream': 1.2 }
/** What is boiled again is set well clear of running: starch is measured by the spoon, and fruit differs. */
const SETS_WELL = 0.6
/** From so much added on, making it anew is the better offer. */
const OTHER_BATCH = 0.9
/** How far inside its use a bowl is brought, and how much of the water its fat could take. */
const INSIDE = 0.35
const SPARE = 0.92
/** Icings that stand by their fat; with this little of it solid they have melted (see `findings.ts`). */
const FAT_FIRST: readonly FinishFamily[] = ['butter-icing', 'cream-cheese-icing', 'cooked-butter-icing', 'foam-butter-icing']
/** Fresh cream that smooths an overbeaten one, as a share of the bowl. */
const OVERBEATEN = 0.12
const MELTED = 0.06
const STANDS = 0.1
/** Chocolate seizes on a little water and comes back with enough: a fifth of its weight. */
const UNSEIZE = 0.2
/** Salt that takes the edge off sweetness without being tasted, g per g. */
const PINCH = 0.004

/** What to do about a frosting that went wrong, with amounts for this bowl. */
export function rescueFor(
  trouble: Trouble,
  doses: readonly Dose[],
  use: Use,
  roomC: number,
  goals: readonly HardNeed[],
  region: Region,
): RescueStep[] {
  const p = phasesOf(doses, roomC)
  const total = p.grams
  const [low, high] = FOR_USE[use]
  const score = firmnessOf(p, roomC)
  const steps: RescueStep[] = []
  /** The bowl as it is after the steps so far: each is reckoned on what the one before made of it. */
  const bowl: Dose[] = [...doses]
  const now = () => phasesOf(bowl, roomC, p.family)
  const firmnessNow = () => firmnessOf(now(), roomC)
  const most = (MOST_ADDED[p.family] ?? MOST_USUAL) * total
  const say = (step: string, expect: string) => steps.push({ step, expect })
  const add = (ids: readonly string[], grams: number, how: (name: string, amount: string) => string, expect: string) => {
    const id = allowedOf(ids, goals)
    if (!id || !(grams > 0.5)) return
    const g = Math.min(grams, most)
    const kitchen = kitchenOf(id, g, 'weight', region)
    bowl.push({ ingredient: id, grams: wholeGrams(g) })
    steps.push({ step: how(nameOf(need(id), region), kitchen), ingredient: id, grams: wholeGrams(g), kitchen, expect })
  }
  /** Grams of something that bring the bowl to a firmness. */
  const to = (ids: readonly string[], target: number): number => {
    const id = allowedOf(ids, goals)
    if (!id) return 0
    return amountFor([...bowl, { ingredient: id, grams: 0 }], bowl.length, target, roomC, 0, most, p.family)
  }
  // Well inside the use; a bowl that is inside already goes a step further the way that is asked.
  const up = Math.min(high - INSIDE, Math.max(low + INSIDE, score + 0.4))
  const down = Math.max(low + INSIDE, Math.min(high - INSIDE, score - 0.4))
  const toAim = (ids: readonly string[]) => to(ids, trouble === 'stiff' ? down : up)
  const aim = trouble === 'stiff' ? down : up
  const firmFats = FATS.filter((id) => solidShare(need(id), roomC) >= STANDS)
  const fats = firmFats.some((id) => allowedOf([id], goals)) ? firmFats : FATS
  const holds = bandsFor(p.family, use).waterToFat?.high
  /** Fat that takes up the water there is, with some to spare; what water it brings itself is counted. */
  const fatToHold = (): number => {
    const id = allowedOf(fats, goals)
    if (!id || holds === undefined) return 0
    const { per100 } = need(id)
    const [f, w] = [((per100.plasticFat ?? 0) + (per100.liquidFat ?? 0)) / 100, (per100.water ?? 0) / 100]
    const { fatPct, waterPct, grams } = now()
    const m = holds * SPARE
    return Math.max(0, ((waterPct - m * fatPct) * grams) / 100 / (m * f - w))
  }
  const firmer = p.family === 'ganache' ? ['chocolate-dark'] : p.family === 'whipped-cream' ? [] : ['sugar-icing']
  const looser = p.family === 'ganache' || p.family === 'whipped-cream' ? CREAMS : LIQUIDS
  const words = classOf(aim)

  // What is set by boiling is mended by boiling.
  const boils = p.family === 'compote' || p.family === 'pastry-cream'
  if (boils && trouble === 'runny') {
    add(
      ['cornstarch'],
      score < aim ? to(['cornstarch'], aim + SETS_WELL) : 0,
      (n, a) => `Slake ${a} ${n} in twice as much cold water, stir it into the hot pan, and boil for a full minute.`,
      `It ${words} when it is cold; it always looks thinner hot.`,
    )
    if (p.family === 'compote')
      say(`Or boil it down by ${wholeGrams(0.12 * total)} g more: weigh the pan.`, 'A spoon drawn through leaves a track.')
  } else if (boils && trouble === 'stiff')
    add(
      p.family === 'compote' ? ['water'] : LIQUIDS,
      score > aim ? toAim(LIQUIDS) : 8,
      (n, a) => `Beat it smooth, then beat in ${a} ${n}, a spoon at a time.`,
      `It ${words}; stop as soon as it does.`,
    )
  else if (boils && trouble === 'split') {
    say('Off the heat, press it through a fine sieve or blend it for ten seconds.', 'Lumps and curds are gone.')
    say('If it thinned after it had set: boil it again with a little more starch.', 'Starch that never boiled thins overnight.')
  } else if (trouble === 'runny') {
    if (p.fatPct > 5) say('Chill the bowl for 15 minutes, then beat again.', 'Cold fat holds more: often that is all it wants.')
    // Sugar alone cannot mend an icing that holds too much water for its fat.
    add(fats, fatToHold(), (n, a) => `Beat in ${a} more soft ${n}.`, 'The water has fat enough to sit in; it thickens within a minute.')
    if (p.family === 'whipped-cream')
      add(
        ['mascarpone', 'plant-mascarpone'],
        score < low ? to(['mascarpone', 'plant-mascarpone'], aim) : 0,
        (n, a) => `Whisk ${a} cold ${n} smooth and fold the cream into it.`,
        'It holds a soft peak. Under 28 % fat it never will alone.',
      )
    const cold = () =>
      say(
        `Keep it and the cake cold until they are served: at ${roomC} °C this fat does not stand.`,
        'It holds for half an hour on the table.',
      )
    if (p.family === 'whipped-cream' ? roomC > CREAM_MELTS.from + 1 : p.family === 'ganache' && p.solidShare < MELTED) cold()
    else if (FAT_FIRST.includes(p.family) && p.solidShare < MELTED) {
      add(
        ['shortening'],
        Math.min(0.35 * total, to(['shortening'], aim)),
        (n, a) => `Beat in ${a} soft ${n}: it stands when butter is liquid.`,
        'Firmer, but soft all the same in this heat.',
      )
      cold()
    } else add(firmer, firmnessNow() < aim ? to(firmer, aim) : 0, (n, a) => `Beat in ${a} ${n}, in two goes.`, `It ${words}.`)
  } else if (trouble === 'stiff') {
    // Liquid as far as the fat takes it up; what is missing then is fat.
    const liquid = score > down ? to(looser, down) : 8
    const room = holds === undefined ? liquid : Math.max(0, ((holds * SPARE * p.fatPct - p.waterPct) * total) / 100 / 0.9)
    add(looser, Math.min(liquid, room), (n, a) => `Beat in ${a} ${n}, a teaspoon at a time.`, `It loosens; stop as soon as it ${words}.`)
    if (firmnessNow() > high - 0.1)
      add(fats, to(fats, down), (n, a) => `Beat in ${a} soft ${n}: it has more sugar than its fat can carry.`, `It ${words}.`)
  } else if (trouble === 'split') {
    if (p.family === 'ganache')
      add(
        CREAMS,
        0.08 * total,
        (n, a) => `Warm ${a} ${n} and stir it in from the middle, a spoon at a time.`,
        'It turns from oily to shining.',
      )
    else if (p.family === 'whipped-cream')
      // Past its peak: fat grains swim in their water. Melting it would lose the air.
      add(
        CREAMS,
        OVERBEATEN * total,
        (n, a) => `Fold in ${a} cold, unwhipped ${n} by hand, a spoon at a time.`,
        'The grains draw smooth again; beaten to butter it stays butter: spread it on toast, and whip anew.',
      )
    else {
      say(
        'If it is cold and curdled: warm a third of it until just melted, beat it back in.',
        'It looks worse, then comes together: keep whipping, it comes back.',
      )
      say('If it is warm and greasy: chill the bowl for 15 minutes and beat again.', 'It turns pale and holds.')
      add(fats, fatToHold(), (n, a) => `It holds too much water: beat in ${a} soft ${n}.`, 'No drops stand in it any more.')
    }
  } else if (trouble === 'grainy') {
    if (p.grit / total > 0.05)
      say(
        'Grind the sweetener to powder, or warm it in the liquid until it is clear, before the next batch.',
        'Erythritol comes out again as it cools: half allulose keeps it smooth.',
      )
    else {
      add(looser, 0.02 * total, (n, a) => `Beat in ${a} warm ${n} and let it stand for ten minutes.`, 'The sugar dissolves; beat again.')
      say('Sieve icing sugar next time, and beat it into soft fat before any liquid.', 'No grit between the teeth.')
    }
  } else if (trouble === 'seized') {
    const chocolate = doses.reduce((g, d) => g + (d.ingredient.startsWith('chocolate-') ? d.grams : 0), 0) || total / 2
    add(
      CREAMS,
      UNSEIZE * chocolate,
      (n, a) => `Stir in ${a} hot ${n}, all at once, and keep stirring.`,
      'The paste loosens and shines: it is a ganache now, not for coating.',
    )
  } else if (trouble === 'too-sweet') {
    add(['salt'], PINCH * total, (n, a) => `Beat in ${a} fine ${n}.`, 'It tastes of more than sugar.')
    add(['lemon-juice'], 0.012 * total, (n, a) => `Or ${a} ${n}, a little at a time.`, 'Sharper; stop before it loosens.')
    add(FATS, 0.18 * total, (n, a) => `Or beat in ${a} soft ${n}.`, 'Less sweet by a seventh, and richer.')
  } else if (trouble === 'melting') {
    say('Take the cake off the warm side, and both to the fridge for 20 minutes.', 'It firms; nothing is lost.')
    say('Do not frost before the cake is as cool as the room, all through.', 'The first coat stays where it is put.')
    add(
      ['shortening', 'oil-coconut'],
      p.family === 'butter-icing' ? 0.12 * total : 0,
      (n, a) => `For a hot day, beat ${a} ${n} into the next batch in place of as much butter.`,
      'It stands some degrees more.',
    )
  } else if (trouble === 'crumbs') {
    say('Keep this bowl for the crumb coat: spread it thin, chill the cake for 30 minutes.', 'The crumbs are glued down.')
    say(
      `Make or set aside a clean ${Math.round(total / 2)} g for the last coat, with a clean knife.`,
      'No crumb in it; piping nozzles stay free.',
    )
  } else if (trouble === 'blocked') {
    say(
      'Empty the bag, press the frosting through a fine sieve with a spoon, and fill the bag again.',
      'What sat in the nozzle stays in the sieve.',
    )
    say('Take a nozzle twice as wide as the largest piece in it, zest and crumbs too.', 'It runs without a stop.')
    add(looser, score > aim ? toAim(looser) : 0, (n, a) => `If it only squeezes out by force: beat in ${a} ${n}.`, `It ${words}.`)
  } else {
    say('Cover it and let it stand for an hour: colour deepens as it rests, and fades again when beaten.', 'You see its true colour.')
    const [low, high] = FOR_USE[use]
    say(
      'Beat in uncoloured frosting, a third of this bowl at a time.',
      `Each third pales it by about a quarter; it stays between ${classOf(low)} and ${classOf(high)}.`,
    )
  }
  const added = steps.reduce((g, s) => g + (s.grams ?? 0), 0)
  if (added > total * OTHER_BATCH)
    say(
      'That is as much again as the bowl: or keep this one for a crumb coat or for trimmings, and make it anew.',
      'Nothing is thrown away.',
    )
  if (!steps.length) say(`It already ${classOf(score)}: leave it as it is.`, `It ${words}.`)
  return steps
}
