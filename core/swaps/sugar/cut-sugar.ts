import type { ChangeSchool } from '../change'
import { takeSugar } from './swap'

export const cutSugar: ChangeSchool = {
  id: 'cut-sugar',
  slot: 'sugar',
  title: 'Simply less sugar',
  apply(r) {
    const { concentration, rest } = afterCut(r.before.sugarConcentration, r.before.sugarPct, r.share)
    if (!(takeSugar(r, r.share).grams > 3)) return false
    if (rest !== undefined) r.wish('sugarPct', rest)
    if (concentration !== undefined) r.wish('sugarConcentration', concentration)
    r.wish('sweetness', r.before.sweetness * (1 - 0.9 * r.share))
    r.tolerate('firmness', (r.before.firmness ?? 0.4) + 0.14)
    return true
  },
  sides: { crumb: 'A little firmer, finer', flavour: 'Less sweet, more of everything else', keeps: 'A day less', effort: 'None' },
  steps: [{ at: 'after', text: 'It browns late: judge it by its middle, not by its colour.', why: 'Less sugar, less browning.' }],
  oven: { time: -0.1, why: 'Less sugar: it sets sooner.' },
  cannot: 'Sugar keeps a crumb soft and moist: it stales sooner.',
  standing: 0.05,
  source: 'General practice: a quarter to a third of the sugar may go from most cakes; more changes the crumb',
}

/** Where concentration and share of the flour land when a share of the sugar goes and the water stays. */
function afterCut(concentration: number | undefined, sugarPct: number | undefined, share: number) {
  if (concentration === undefined) return { concentration, rest: undefined }
  const ratio = (concentration / (100 - concentration)) * (1 - share)
  return { concentration: (100 * ratio) / (1 + ratio), rest: sugarPct === undefined ? undefined : sugarPct * (1 - share) }
}
