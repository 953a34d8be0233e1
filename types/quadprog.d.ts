declare module 'quadprog' {
  /** Goldfarb–Idnani dual method: min ½xᵀDx − dᵀx subject to Aᵀx ≥ b. All arrays count from 1. */
  export function solveQP(
    D: number[][],
    d: number[],
    A: number[][],
    b: number[],
    meq?: number,
  ): { solution: number[]; message: string; value: number[] }
  const quadprog: { solveQP: typeof solveQP }
  export default quadprog
}
