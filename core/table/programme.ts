import type { Known } from './table'

/** Solves a mixed-integer programme in LP format. */
export type IntegerSolver = (programme: string) => Solved
export interface Solved {
  /** Values of the variables; `null` where the programme has no solution. */
  values: ReadonlyMap<string, number> | null
  /** Whether nothing better can be had; false where time ran out. */
  proven: boolean
}

/** The same cake more often than this is no answer. */
export const MOST_TIMES = 4
/** Past so many bakes nobody bakes at home. */
export const MOST_BAKES = 24

/**
 * What a bake, a label to read, a cake more of another kind and a slice left over weigh against each other: each so much
 * more than the next that it decides alone. A table has far fewer than a thousand labels, and its slices are hundreds.
 */
const WEIGHS = { bake: 1000, label: 1, kind: 0.01, slice: 0.0001 }

/**
 * The fewest bakes as an integer programme: `n` how often each is baked, `f` portions of it for each group, `u` whether
 * it is baked at all, `l` whether a label must be read. Portions come out whole by themselves, as in any transport.
 *
 * @param wants portions of each group
 */
export function programme(cakes: readonly Known[], wants: readonly number[]): string {
  const labels = [...new Set(cakes.flatMap((c) => c.labels))]
  const at = cakes.map((_, c) => c)
  const groups = wants.map((_, g) => g)
  const eats = (g: number, c: number) => (cakes[c]!.eats & (1 << g)) !== 0
  const plus = (terms: readonly string[]) => (terms.length ? terms.join(' + ') : '0 n0')
  const rows: string[] = [
    ...groups.map((g) => `${plus(at.filter((c) => eats(g, c)).map((c) => `f${g}_${c}`))} = ${wants[g]}`),
    ...at.map(
      (c) =>
        [...groups.filter((g) => eats(g, c)).map((g) => `f${g}_${c}`), ''].join(' + ').replace(/ \+ $/, '') +
        ` - ${cakes[c]!.slices} n${c} <= 0`,
    ),
    ...at.map((c) => `n${c} - ${MOST_TIMES} u${c} <= 0`),
    ...cakes.flatMap((cake, c) => cake.labels.map((label) => `u${c} - l${labels.indexOf(label)} <= 0`)),
    `${plus(at.map((c) => `n${c}`))} <= ${MOST_BAKES}`,
  ]
  const objective = [
    ...at.map((c) => `${WEIGHS.bake + WEIGHS.slice * cakes[c]!.slices} n${c}`),
    ...at.map((c) => `${WEIGHS.kind} u${c}`),
    ...labels.map((_, l) => `${WEIGHS.label} l${l}`),
  ]
  return [
    'Minimize',
    ` obj: ${objective.join(' + ')}`,
    'Subject To',
    ...rows.map((row, i) => ` r${i}: ${row}`),
    'Bounds',
    ...at.flatMap((c) => [` 0 <= n${c} <= ${MOST_TIMES}`, ` 0 <= u${c} <= 1`]),
    ...labels.map((_, l) => ` 0 <= l${l} <= 1`),
    'General',
    ` ${at.flatMap((c) => [`n${c}`, `u${c}`]).join(' ')}`,
    'End',
  ].join('\n')
}

/** The cakes that are baked, each as often as it is; `null` where no so many bakes feed everybody. */
export function fewest(
  cakes: readonly Known[],
  wants: readonly number[],
  solve: IntegerSolver,
): { chosen: Known[]; proven: boolean } | null {
  // A cake that nobody here may eat takes no part.
  const able = cakes.filter((c) => c.eats)
  const { values, proven } = solve(programme(able, wants))
  if (!values) return null
  return {
    chosen: able.flatMap((c, i) => Array.from({ length: Math.round(values.get(`n${i}`) ?? 0) }, () => c)),
    proven,
  }
}
