import type { Region } from '../measure/region'
import { unitSize } from '../measure/unit'
import { density, packageGrams, pieceGrams } from '../pantry/pantry'
import type { Filling, Ingredient } from '../pantry/ingredient'
import type { WrittenAmount } from './amount'
import type { Grams } from './recipe'

/** What the measuring itself leaves open, as shares below and above (see `docs/model.md`, uncertainty). */
const SPREAD = {
  mass: [0.01, 0.01],
  volume: [0.05, 0.05],
  powder: [0.08, 0.13],
  spoon: [0.1, 0.1],
  piece: [0.08, 0.08],
  package: [0.12, 0.12],
} as const

/** Water's density, for liquids that nobody knows. */
const UNKNOWN_DENSITY = 0.8

export interface Weighing {
  grams: Grams
  /** The size of a package was assumed. */
  assumedPackage: boolean
  /** There is no way to weigh it: a count of something that has no usual piece. */
  unweighable: boolean
}

function fillingOf(ingredient: Ingredient, manner: string, words: string): Filling | undefined {
  const said = `${manner} ${words}`.toLowerCase()
  const g = ingredient.gramsPerMl
  if (/\bpacked\b/.test(said) && g.packed) return 'packed'
  // "1 cup sifted flour" is sifted into the cup; "1 cup flour, sifted" is not.
  if (/\bsifted\b|\bsieved\b/.test(said.split(',')[0]!) && g.sifted) return 'sifted'
  if (/\bscooped\b|\bheap/.test(said) && g.scooped) return 'scooped'
  return undefined
}

/**
 * Grams of a written amount of an ingredient, with what the measure leaves uncertain.
 *
 * @param words the words after the amount, for "sifted" and "packed"
 * @param region whose cups, spoons, eggs and packages
 */
export function weigh(amount: WrittenAmount, ingredient: Ingredient | null, words: string, region: Region): Weighing {
  const range = (one: number, [below, above]: readonly [number, number]): Grams => ({
    low: amount.low * one * (1 - below),
    high: amount.high * one * (1 + above),
    best: ((amount.low + amount.high) / 2) * one,
  })
  const sure = { assumedPackage: false, unweighable: false }
  const perMl = () => (ingredient ? density(ingredient, fillingOf(ingredient, amount.manner, words)) : UNKNOWN_DENSITY)
  const measured = (m: { amount: number; unit: { kind: string; size?: unknown } }) => {
    const size = unitSize(m.unit as never, region) ?? 1
    return m.amount * size * (m.unit.kind === 'volume' ? perMl() : 1)
  }
  if (amount.total) {
    const best = measured(amount.total)
    const [below, above] = amount.total.unit.kind === 'mass' ? SPREAD.mass : SPREAD.volume
    return { ...sure, grams: { low: best * (1 - below), high: best * (1 + above), best } }
  }
  if (amount.each) return { ...sure, grams: range(measured(amount.each), SPREAD.mass) }
  const unit = amount.unit
  if (unit?.kind === 'mass') return { ...sure, grams: range(unitSize(unit, region)!, SPREAD.mass) }
  if (unit?.kind === 'volume') {
    const one = unitSize(unit, region)! * perMl()
    const heaped = /heap|rounded/.test(amount.manner) ? 1.4 : amount.manner === 'scant' ? 0.93 : 1
    const poured = ingredient?.gramsPerMl.poured !== undefined
    const spread = unit.id === 'tsp' || unit.id === 'tbsp' ? SPREAD.spoon : poured ? SPREAD.volume : SPREAD.powder
    return { ...sure, grams: range(one * heaped, spread) }
  }
  if (unit?.kind === 'package') {
    const one = ingredient && packageGrams(ingredient, region)
    return one
      ? { grams: range(one, SPREAD.package), assumedPackage: true, unweighable: false }
      : { grams: { low: 0, high: 0, best: 0 }, assumedPackage: true, unweighable: true }
  }
  const one = ingredient && pieceGrams(ingredient, region, amount.size)
  return one
    ? { ...sure, grams: range(one, SPREAD.piece) }
    : { grams: { low: 0, high: 0, best: 0 }, assumedPackage: false, unweighable: true }
}
