import type { Standing } from './layers'
import type { Place } from './amounts'
import type { SoakAnswer } from './soak'

/** One step of putting a cake together. */
export interface BuildStep {
  text: string
  /** Minutes of hands, and of waiting after. */
  hands: number
  wait: number
  /** It waits in the cold. */
  cold: boolean
}
export interface Laid {
  place: Place
  name: string
  grams: number
  perishable: boolean
  /** Same masses in so many colours. */
  colours: number
}

/** Butter icings and ganache are eaten soft: out of the fridge so long before, minutes. */
const OUT_BEFORE = 60

/** The order of work, from the cake out of its tin to the table. */
export function orderOfWork(tiers: readonly Standing[], laid: readonly Laid[], soak: SoakAnswer | null): BuildStep[] {
  const steps: BuildStep[] = []
  const step = (text: string, hands: number, wait = 0, cold = false) => steps.push({ text, hands, wait, cold })
  const at = (p: Place) => laid.find((l) => l.place === p)
  const base = tiers[0]!
  const layers = tiers.reduce((n, t) => n + t.layers, 0)
  const gaps = tiers.reduce((n, t) => n + Math.max(0, t.layers - 1), 0)
  const trimmed = tiers.reduce((g, t) => g + t.trimmedGrams, 0)
  const grams = (g: number) => `${Math.round(g)} g`
  const each = (g: number, n: number) => Math.round(g / Math.max(1, n))
  step('Wait until the cake is as cool as the room, all through.', 0, 60)
  if (trimmed > 0) step(`Level the tops with a long knife: about ${grams(trimmed)} come off. Keep them.`, 8)
  if (base.shape === 'cupcake' && at('wells')) {
    const w = at('wells')!
    step(`Cut a well in each, no deeper than two thirds; spoon in ${each(w.grams, base.count)} g of ${w.name} and put the lids back.`, 15)
  }
  if (soak)
    step(`Pour in the soak, ${soak.grams.best} g in ${soak.pours} goes, waiting until each has gone in.`, 15, soak.hours.min * 60, true)
  const fill = at('filling')
  const dam = at('dam')
  if (fill && base.shape === 'roll')
    step(
      `Unroll the cool sheet, spread ${grams(fill.grams)} of ${fill.name} to 2 cm from the far edge, and roll it up with the cloth.`,
      12,
      60,
      true,
    )
  else if (fill && base.shape === 'crepe')
    step(
      `Spread ${each(fill.grams, gaps)} g of ${fill.name} on each sheet, to the edge, ${base.layers} sheets and ${gaps} spreads: weigh the first three, then they end together.`,
      30,
      240,
      true,
    )
  else if (fill && gaps > 0) {
    if (dam) step(`Pipe a ring of ${dam.name} round the edge of each lower layer, ${each(dam.grams, gaps)} g each.`, 6)
    step(
      `Spread ${each(fill.grams, gaps)} g of ${fill.name} on each layer but the top one, and stack: ${layers} layers.`,
      12,
      dam || gaps > 1 ? 20 : 0,
      true,
    )
  }
  const crumb = at('crumbCoat')
  if (crumb) step(`Crumb coat: scrape on ${grams(crumb.grams)} of ${crumb.name}, thin, until the cake just shows through.`, 12, 30, true)
  const coat = at('coat')
  if (coat)
    step(`Last coat: ${grams(coat.grams)} of ${coat.name}, sides first, then the top.`, 20, at('drip') || at('border') ? 20 : 0, true)
  const top = at('top')
  if (top) step(`Spread or pour ${grams(top.grams)} of ${top.name} over the top.`, 8)
  const drip = at('drip')
  if (drip) step(`Drip: ${grams(drip.grams)} of ${drip.name} at 30 to 32 °C, spoon by spoon at the cold edge.`, 10, 15, true)
  for (const p of ['swirls', 'border', 'rosettes'] as const) {
    const l = at(p)
    if (!l) continue
    if (l.colours > 1)
      step(
        `Divide ${grams(l.grams)} of ${l.name} in ${l.colours} of ${each(l.grams, l.colours)} g, colour them, and fill one bag with all, side by side.`,
        8,
      )
    step(
      `Pipe the ${p === 'swirls' ? `swirls, ${each(l.grams, base.count)} g each` : `${p}, ${grams(l.grams)}`} of ${l.name}.`,
      p === 'swirls' ? 2 + base.count : 10,
    )
  }
  if (laid.some((l) => l.perishable)) step('Back to the fridge, loosely covered, until it is served.', 1, 0, true)
  else if (laid.length) step(`Serve it room-warm: out of the fridge ${OUT_BEFORE} minutes before.`, 1, OUT_BEFORE)
  return steps
}
