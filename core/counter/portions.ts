import { isLine, type Clause, type LineThing } from '../method/step'

/** Some of a line that goes in at one sentence. */
export interface Portion {
  sentence: number
  /** Of the whole line, in (0, 1]; the portions of a line make 1 together. */
  share: number
  as?: 'yolk' | 'white'
}

/** The yolk’s part of an egg without its shell: 18 of 50 g (public composition tables). */
const YOLK = 0.36
/** What is held back goes in later: "reserve 2 tbsp of the milk". */
const HELD_BACK = /^(?:hold|reserve|save|keep|set)$/
/** Less than this of a line is a rounding, not a portion. */
const CRUMB = 0.02

interface Mention extends Pick<LineThing, 'share' | 'rest'> {
  sentence: number
  /** By its name, and not by a word for several. */
  named: boolean
  as?: LineThing['as']
  held: boolean
}
const shareOf = ({ share, rest, as }: LineThing): Pick<Mention, 'share' | 'rest' | 'as'> => ({
  ...(share !== undefined && { share }),
  ...(rest && { rest }),
  ...(as && { as }),
})

/**
 * How a line that the method names more than once is shared out over its sentences: "half of the sugar" here,
 * "the remaining sugar" there, the yolks now and the whites later.
 *
 * @param sentences clauses of each sentence, in order
 * @param grouped sentences that mean the line by a word for several ("the dry ingredients"); they count where only a
 *   part of it is named elsewhere
 * @returns portions in order; one of the whole line where the method tells no shares; none where it is never named
 */
export function portionsOf(
  sentences: readonly { clauses: readonly Clause[] }[],
  part: number,
  line: number,
  grouped: readonly number[] = [],
): Portion[] {
  const named = sentences.flatMap((s, sentence) =>
    s.clauses.flatMap((c): Mention[] =>
      // "Butter the tin" uses no butter of the mix.
      c.act === 'ready-tin' || c.lists
        ? []
        : c.things
            .filter(isLine)
            // "A dusting of cocoa" is beside the recipe.
            .filter((t) => t.part === part && t.line === line && (t.share ?? 1) > CRUMB)
            .map((thing) => ({ sentence, named: true, ...shareOf(thing), held: HELD_BACK.test(c.verb) && thing.share !== undefined })),
    ),
  )
  const spoken = named.reduce((s, m) => s + (m.rest ? 1 : (m.share ?? 1)), 0)
  const all = [...named, ...(spoken < 1 - CRUMB ? grouped.map((sentence): Mention => ({ sentence, named: false, held: false })) : [])].sort(
    (a, b) => a.sentence - b.sentence,
  )
  const first = all[0]
  if (!first) return []
  const whole: Portion[] = [{ sentence: first.sentence, share: 1 }]
  const parted = bySide(all)
  if (parted) return parted
  const going = all.filter((m) => !m.held)
  const told = all.some((m) => m.share !== undefined && m.share < 1 - CRUMB)
  // All of it was named at once: what is named again is what was made of it.
  const atOnce = first.named && first.share === undefined && !first.held
  if (!told || atOnce || going.length < 2) return whole
  const kept = all.filter((m) => m.held).reduce((s, m) => s + m.share!, 0)
  const out: Portion[] = []
  let left = 1
  for (const [n, m] of going.entries()) {
    const rest = m.rest || n === going.length - 1
    // Named without how much: all but what is held back, and what is told of it later.
    const toCome = going.slice(n + 1).reduce((s, x) => s + (x.share ?? 0), 0)
    const share = rest ? left : Math.min(left, m.share ?? left - kept - toCome)
    const later = out.find((p) => p.sentence === m.sentence)
    if (share < CRUMB) continue
    if (later) later.share += share
    else out.push({ sentence: m.sentence, share })
    left -= share
    if (left < CRUMB) break
  }
  // A last crumb goes with what was before it.
  if (out.length && left > 0) out.at(-1)!.share += left
  return out.length > 1 ? out : whole
}

/** Eggs that go in apart: yolks at one sentence, whites at another. */
function bySide(all: readonly Mention[]): Portion[] | null {
  const of = (as: 'yolk' | 'white') => all.find((m) => m.as === as)
  const yolk = of('yolk')
  const white = of('white')
  if (!yolk || !white || yolk.sentence === white.sentence) return null
  // Whole eggs are named before them only to be parted.
  return [
    { sentence: yolk.sentence, share: YOLK, as: 'yolk' as const },
    { sentence: white.sentence, share: 1 - YOLK, as: 'white' as const },
  ].sort((a, b) => a.sentence - b.sentence)
}
