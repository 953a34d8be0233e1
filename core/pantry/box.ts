import quadprog from 'quadprog'
import type { Component, Ingredient } from './ingredient'
import { need } from './pantry'

/** What a label says of one serving. Grams; sodium in mg, energy in kcal. Only the serving is a must. */
export interface Label {
  servingGrams: number
  kcal?: number
  fat?: number
  saturates?: number
  /** As US labels count them, fibre included; `fibreApart` where they are counted the European way. */
  carbs?: number
  sugars?: number
  fibre?: number
  protein?: number
  sodiumMg?: number
  fibreApart?: boolean
  /** In the order of the label, most first. */
  ingredients?: readonly string[]
}

export const BOX_PARTS = ['flour', 'sugar', 'fat', 'starch', 'cocoa', 'milkSolids', 'leavener', 'salt'] as const
export type BoxPart = (typeof BOX_PARTS)[number]

export interface BoxEstimate {
  /** Shares of 1. */
  composition: Record<BoxPart, number>
  /** Root mean square miss of the label's numbers, in their own uncertainties: about 1 is as good as labels are. */
  residual: number
  /** 0 to 1. */
  confidence: number
}

/** What each part holds, g per g (sodium mg, kcal per g): the pantry's flour, sugar, fat and so on as mixes use them. */
const HOLDS: Record<
  BoxPart,
  { kcal: number; fat: number; saturates: number; carbs: number; sugars: number; fibre: number; protein: number; sodiumMg: number }
> = {
  flour: { kcal: 3.62, fat: 0.009, saturates: 0.001, carbs: 0.78, sugars: 0.003, fibre: 0.017, protein: 0.085, sodiumMg: 0.02 },
  sugar: { kcal: 3.9, fat: 0, saturates: 0, carbs: 1, sugars: 0.998, fibre: 0, protein: 0, sodiumMg: 0.01 },
  fat: { kcal: 8.84, fat: 1, saturates: 0.45, carbs: 0, sugars: 0, fibre: 0, protein: 0, sodiumMg: 0 },
  starch: { kcal: 3.65, fat: 0, saturates: 0, carbs: 0.9, sugars: 0, fibre: 0.009, protein: 0.003, sodiumMg: 0.1 },
  cocoa: { kcal: 2.3, fat: 0.13, saturates: 0.08, carbs: 0.57, sugars: 0.018, fibre: 0.33, protein: 0.2, sodiumMg: 0.2 },
  milkSolids: { kcal: 3.6, fat: 0.01, saturates: 0.005, carbs: 0.52, sugars: 0.51, fibre: 0, protein: 0.36, sodiumMg: 5.3 },
  // Soda with acid phosphates and carrier, as in double-acting powder.
  leavener: { kcal: 1, fat: 0, saturates: 0, carbs: 0.28, sugars: 0, fibre: 0, protein: 0, sodiumMg: 106 },
  salt: { kcal: 0, fat: 0, saturates: 0, carbs: 0, sugars: 0, fibre: 0, protein: 0, sodiumMg: 393 },
}

/** A usual yellow mix, and how far mixes stray from it: what the label leaves open is filled from here. */
const USUAL: Record<BoxPart, { share: number; stray: number; most: number }> = {
  flour: { share: 0.46, stray: 0.12, most: 0.75 },
  sugar: { share: 0.42, stray: 0.12, most: 0.72 },
  fat: { share: 0.045, stray: 0.04, most: 0.25 },
  starch: { share: 0.03, stray: 0.03, most: 0.3 },
  cocoa: { share: 0.0, stray: 0.05, most: 0.22 },
  milkSolids: { share: 0.01, stray: 0.015, most: 0.15 },
  leavener: { share: 0.024, stray: 0.006, most: 0.045 },
  salt: { share: 0.008, stray: 0.005, most: 0.025 },
}

/** Half of a label's last digit on a serving, and what recipes vary beside: g, mg, kcal. */
const ROUNDING = { kcal: 8, fat: 0.3, saturates: 0.4, carbs: 0.6, sugars: 0.6, fibre: 0.35, protein: 0.4, sodiumMg: 15 }

/** Words of an ingredient list that name a part. */
const NAMED: [BoxPart, RegExp][] = [
  ['flour', /flour/i],
  ['sugar', /\bsugar|dextrose|glucose/i],
  ['fat', /\boil|shortening|fat\b/i],
  ['cocoa', /cocoa|chocolate/i],
  ['starch', /starch/i],
  ['milkSolids', /milk|whey/i],
  ['leavener', /leaven|baking soda|bicarbonate|phosphate|raising/i],
  ['salt', /^salt$/i],
]

/**
 * Estimates what a boxed mix is made of from its label: bounded least squares over eight parts that add up to one,
 * pulled to a usual mix where the label says nothing, in the order of the ingredient list where there is one.
 *
 * @returns shares, the residual and how sure they are; `undefined` where the label contradicts itself past solving
 */
export function estimateBox(label: Label): BoxEstimate | undefined {
  const n = BOX_PARTS.length
  const rows: { coefficients: number[]; value: number }[] = []
  const listed = label.ingredients?.flatMap((words) => NAMED.find(([, p]) => p.test(words))?.[0] ?? []) ?? []
  const order = [...new Set(listed)]
  for (const key of Object.keys(ROUNDING) as (keyof typeof ROUNDING)[]) {
    const said = label[key]
    if (said === undefined) continue
    const carbsNet = key === 'carbs' && label.fibreApart
    const scale = label.servingGrams / ROUNDING[key]
    rows.push({
      coefficients: BOX_PARTS.map((p) => scale * (HOLDS[p][key] - (carbsNet ? HOLDS[p].fibre : 0))),
      value: said / ROUNDING[key],
    })
  }
  const D = Array.from({ length: n + 1 }, () => new Array<number>(n + 1).fill(0))
  const d = new Array<number>(n + 1).fill(0)
  const addSquare = (c: readonly number[], value: number) => {
    for (let i = 0; i < n; i++) {
      d[i + 1]! += c[i]! * value
      for (let j = 0; j < n; j++) D[i + 1]![j + 1]! += c[i]! * c[j]!
    }
  }
  for (const r of rows) addSquare(r.coefficients, r.value)
  BOX_PARTS.forEach((p, i) => {
    const { share, stray } = USUAL[p]
    const unit = BOX_PARTS.map((_, j) => (j === i ? 1 / stray : 0))
    addSquare(unit, (p === 'cocoa' && order.includes('cocoa') ? 0.07 : share) / stray)
  })
  // Constraints a·x ≥ b, the first an equality.
  const constraints: { a: number[]; b: number }[] = [{ a: BOX_PARTS.map(() => 1), b: 1 }]
  const unit = (i: number, sign = 1) => BOX_PARTS.map((_, j) => (j === i ? sign : 0))
  BOX_PARTS.forEach((p, i) => {
    const absent = order.length > 0 && p === 'cocoa' && !order.includes('cocoa')
    constraints.push({ a: unit(i), b: 0 }, { a: unit(i, -1), b: absent ? 0 : -USUAL[p].most })
  })
  for (let k = 1; k < order.length; k++) {
    const [more, less] = [BOX_PARTS.indexOf(order[k - 1]!), BOX_PARTS.indexOf(order[k]!)]
    constraints.push({ a: BOX_PARTS.map((_, j) => (j === more ? 1 : j === less ? -1 : 0)), b: 0 })
  }
  const A = Array.from({ length: n + 1 }, () => new Array<number>(constraints.length + 1).fill(0))
  const b = [0, ...constraints.map((c) => c.b)]
  constraints.forEach((c, k) => c.a.forEach((value, i) => (A[i + 1]![k + 1] = value)))
  const result = quadprog.solveQP(D, d, A, b, 1)
  if (result.message) return undefined
  const share = BOX_PARTS.map((_, i) => Math.max(0, result.solution[i + 1]!))
  const misses = rows.map((r) => r.coefficients.reduce((sum, c, i) => sum + c * share[i]!, 0) - r.value)
  const residual = misses.length ? Math.sqrt(misses.reduce((sum, m) => sum + m * m, 0) / misses.length) : 0
  // Few numbers, or numbers that do not fit, make it a guess.
  const known = Math.min(1, rows.length / 7)
  const confidence = Math.round(100 * Math.max(0.05, known * Math.exp(-Math.max(0, residual - 0.6) / 2.5) * 0.95)) / 100
  return {
    composition: Object.fromEntries(BOX_PARTS.map((p, i) => [p, Math.round(share[i]! * 10000) / 10000])) as Record<BoxPart, number>,
    residual: Math.round(residual * 1000) / 1000,
    confidence,
  }
}

/** The pantry's ingredients that the parts of a box are taken to be. */
const MADE_OF: Record<BoxPart, string> = {
  flour: 'flour-cake',
  sugar: 'sugar-white',
  fat: 'shortening',
  starch: 'cornstarch',
  cocoa: 'cocoa-alkalised',
  milkSolids: 'milk-powder',
  leavener: 'baking-powder',
  salt: 'salt',
}
/** Mixes hold emulsified fat and a third of their starch pregelatinised. */
const MIX_EMULSIFIER = 0.6
const PREGELATINISED = 0.34
const PREGELATINISED_DRINKS = 4

/** A box as an ingredient like any other, from the estimate of its label. */
export function boxIngredient(like: Ingredient, estimate: BoxEstimate, netGrams: number | undefined): Ingredient {
  const per100: Partial<Record<Component, number>> = { emulsifier: MIX_EMULSIFIER }
  let waterDemand = 0
  for (const part of BOX_PARTS) {
    const share = estimate.composition[part]
    const from = need(MADE_OF[part])
    waterDemand += share * (from.waterDemand ?? 0)
    for (const [c, grams] of Object.entries(from.per100) as [Component, number][]) per100[c] = (per100[c] ?? 0) + share * grams
  }
  const pregel = 100 * estimate.composition.starch * PREGELATINISED * 0.9
  per100.pregelStarch = pregel
  per100.starch = Math.max(0, (per100.starch ?? 0) - pregel)
  return {
    ...like,
    per100,
    waterDemand: waterDemand + (pregel / 100) * (PREGELATINISED_DRINKS - 0.5),
    flourShare: estimate.composition.flour + estimate.composition.starch,
    packages: netGrams ? { any: netGrams } : like.packages,
    source: 'Estimated from the label of the box',
  }
}
