import type { IntegerSolver } from './programme'

/** The longest that a table is worked on, s; what is best by then is taken, and said not to be proven. */
const LONGEST = 4

/**
 * HiGHS, read in: an exact solver of mixed-integer programmes, compiled to WebAssembly.
 *
 * @param wasm where its file lies, for a browser; beside its script where not said
 */
export async function integerSolver(wasm?: string): Promise<IntegerSolver> {
  const { default: load } = await import('highs')
  const highs = await load(wasm ? { locateFile: () => wasm } : {})
  return (programme) => {
    const found = highs.solve(programme, { time_limit: LONGEST, mip_rel_gap: 0, mip_abs_gap: 1e-7 })
    const proven = found.Status === 'Optimal'
    const feasible = proven || found.Status === 'Time limit reached'
    const columns = Object.entries(found.Columns) as [string, { Primal?: number }][]
    const values = new Map(columns.map(([name, { Primal }]) => [name, Primal ?? Number.NaN]))
    return { values: feasible && [...values.values()].every(Number.isFinite) ? values : null, proven }
  }
}
