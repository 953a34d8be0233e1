import type { Measure } from './measure'
import type { Mention } from './name'
import { wordsBetween, type Token } from './token'

/** Another measure of the same amount. */
export interface Alternate {
  measure: Measure
  /** It stands in a bracket behind words, or otherwise apart: believed only where it fits. */
  apart: boolean
}

/** Measures of one amount: alternates ("8oz/225g", "1 cup (120 g)") and sums ("½ cup plus 2 tbsp"). */
export interface Group {
  base: Measure
  alternates: Alternate[]
  sums: { measure: Measure; minus: boolean }[]
  /** Tokens [from, to). */
  from: number
  to: number
}

/** Between two measures of one thing. */
const ALTERNATIVE =
  /^(?:\/|\||\(|=|~|\( ?(?:about|approx|approximately|ca|circa|or|=|~|roughly|around|i ?\. ?e ?\.?|that is|weighing|total) ?\.?|\/ ?(?:about|or)|or|\[|,? ?or about|\( ?each|-|–|,? about|,? (?:about|ca|approx) ?\.?|or about|⁄|ie|i\.e\.)$/
const SUM = /^(?:\+|plus|and|&|, plus|,? plus an?|\( plus|and another|plus another)$/
const LESS = /^(?:minus|less)$/

/** Two units that follow one another without a word: "1 lb 2 oz". */
const STRAIGHT: Readonly<Record<string, string>> = { lb: 'oz', kg: 'g', cup: 'tbsp' }

/**
 * Puts measures of one and the same amount together.
 *
 * @param mentions where a name stands between two measures, the second is another thing's, unless it stands in its bracket
 */
export function groupsOf(t: readonly Token[], measures: readonly Measure[], mentions: readonly Mention[]): Group[] {
  const groups: Group[] = []
  for (const m of measures) {
    const g = groups.at(-1)
    if (!g) {
      groups.push({ base: m, alternates: [], sums: [], from: m.from, to: m.to })
      continue
    }
    const between = wordsBetween(t, g.to, m.from)
    const named = mentions.some((n) => n.head >= g.to && n.head < m.from)
    const deeper = t[m.from]!.depth > t[g.from]!.depth
    if (ALTERNATIVE.test(between) && !(between === 'or' && m.unit.kind === 'piece')) {
      g.alternates.push({ measure: m, apart: false })
      g.to = m.to
    } else if (deeper && !ownInBracket(t, g, m, mentions)) {
      g.alternates.push({ measure: m, apart: true })
    } else if (!named && (SUM.test(between) || LESS.test(between)) && g.base.unit.kind !== 'piece' && m.unit.kind !== 'piece') {
      g.sums.push({ measure: m, minus: LESS.test(between) })
      g.to = m.to
    } else if (between === '' && STRAIGHT[g.base.unit.id] === m.unit.id) {
      g.sums.push({ measure: m, minus: false })
      g.to = m.to
    } else groups.push({ base: m, alternates: [], sums: [], from: m.from, to: m.to })
  }
  return groups
}

/** "spice mix of cinnamon (1 tsp), cloves (½ tsp)": the bracket behind a second name is that name's own. */
function ownInBracket(t: readonly Token[], g: Group, m: Measure, mentions: readonly Mention[]): boolean {
  if (t[m.from - 1]?.text !== '(') return false
  const behindName = mentions.some((n) => n.head === m.from - 2 || n.to === m.from - 1)
  if (!behindName) return false
  const outside = mentions.filter((n) => n.head >= g.to && n.head < m.from && t[n.head]!.depth === 0).length
  const before = mentions.some((n) => n.head < g.from && t[g.from - 1]?.text === '(')
  return outside >= (before ? 1 : 2)
}
