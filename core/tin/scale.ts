import { nearestMeasures, type Measures } from '../measure/kitchen'
import { spanAt, valueAt } from '../language/number'
import { tokenise } from '../language/token'
import { writeNumber } from '../measure/number'
import type { Region } from '../measure/region'
import { measurableOf } from '../pantry/measurable'
import { ingredientOf, need, pieceGrams } from '../pantry/pantry'
import type { Line, Recipe, Tin } from '../recipe/recipe'
import { kitchenOf, newLine, wholeGrams } from '../reformulate/lines'
import { Refusal } from '../refusal'
import { tinsMl } from './volume'

/** What a recipe is scaled to. */
export type ScaleTo = { factor: number } | { eggs: number } | { grams: number; part: number; line: number } | { tins: readonly Tin[] }

/** Less or more than this is another recipe, or a slip of the finger. */
export const LEAST_FACTOR = 0.05
export const MOST_FACTOR = 50

const WEIGHED = new Set(['g', 'kg', 'mg', 'oz', 'lb', 'ml', 'cl', 'dl', 'l'])
const COUNTED = new Set(['piece', 'can', 'box', 'packet', 'stick', 'sheet'])

/** Eggs in the batter, whole ones; 0 where there are none. */
export function eggsIn(recipe: Recipe, region: Region): number {
  const whole = ingredientOf('egg-whole')!
  const grams = recipe.parts.flatMap((p) => p.lines).reduce((sum, l) => sum + (l.ingredient === whole.id ? l.grams.best : 0), 0)
  return grams / pieceGrams(whole, region)!
}

/**
 * How many times as much of everything.
 *
 * @throws Refusal where what it is scaled by is not in the recipe, or the result is beyond any kitchen
 */
export function factorFor(recipe: Recipe, to: ScaleTo, region: Region): number {
  const factor = wantedFactor(recipe, to, region)
  if (!(factor >= LEAST_FACTOR && factor <= MOST_FACTOR))
    throw new Refusal(
      'bad-request',
      `That would make ${writeNumber(Math.round(factor * 100) / 100)} times as much: check the number. Nothing was changed.`,
      'to',
    )
  return factor
}

function wantedFactor(recipe: Recipe, to: ScaleTo, region: Region): number {
  if ('factor' in to) return to.factor
  if ('eggs' in to) {
    const has = eggsIn(recipe, region)
    if (!has) throw new Refusal('bad-request', 'There is no whole egg in it to scale by.', 'to.eggs')
    return to.eggs / has
  }
  if ('tins' in to) {
    const [before, after] = [tinsMl(recipe.tins), tinsMl(to.tins)]
    if (!before) throw new Refusal('bad-request', 'The recipe names no tin of known size: say first which tin it is for.', 'recipe.tins')
    if (!after) throw new Refusal('bad-request', 'The size of one of these tins is not known.', 'to.tins')
    return after / before
  }
  const has = recipe.parts[to.part]?.lines[to.line]?.grams.best ?? 0
  if (!(has > 0)) throw new Refusal('bad-request', 'That line weighs nothing yet, so there is nothing to scale by.', 'to.line')
  return to.grams / has
}

/** The style of measure of one line: weighed as it was, or by the region's cups and spoons. */
const styleOf = (line: Line, region: Region): Measures =>
  !line.quantity || WEIGHED.has(line.quantity.unit) ? 'weight' : region === 'us' ? 'us' : 'metric'

/** Counts are written in quarters: half an egg is beaten and weighed. */
const quarters = (n: number): number => Math.max(0.25, Math.round(n * 4) / 4)

function scaleLine(line: Line, factor: number, region: Region): Line {
  const grams = line.grams.best * factor
  const q = line.quantity
  if (!q || !(line.grams.best > 0)) return line
  if (COUNTED.has(q.unit)) {
    const low = quarters(q.low * factor)
    const by = low / q.low
    const best = line.grams.best * by
    const high = q.high === q.low ? low : quarters(q.high * factor)
    const number = low === high ? writeNumber(low) : `${writeNumber(low)}–${writeNumber(high)}`
    const head = amountEnd(line.text)
    const rest = line.text.slice(head).replace(/\((\d+(?:[.,]\d+)?)\s*g\)/, () => `(${wholeGrams(best)} g)`)
    // Only so many of something that comes whole can be counted out; the rest is weighed.
    const beside = Number.isInteger(low) || /\(\d/.test(rest) || !line.named ? '' : ` (${wholeGrams(best)} g)`
    return {
      ...line,
      text: head ? `${number}${rest}${beside}`.trim() : `${number} ${line.text}`,
      quantity: { low, high, unit: q.unit },
      grams: { low: line.grams.low * by, high: line.grams.high * by, best },
    }
  }
  if (!line.ingredient || !ingredientOf(line.ingredient)) return rewriteNumber(line, factor)
  const [measured] = nearestMeasures(grams, measurableOf(need(line.ingredient), region), styleOf(line, region), region, 1)
  if (!measured) return rewriteNumber(line, factor)
  return { ...newLine(line.ingredient, measured.grams, measured.text, region, line), optional: line.optional, match: line.match }
}

/** Where the amount that a line begins with ends; 0 where it begins with none. */
function amountEnd(text: string): number {
  const t = tokenise(text)
  const span = spanAt(t, 0)
  return span ? t[span.next - 1]!.to : 0
}

/** A line that nobody knows keeps its words, with another number before them. */
function rewriteNumber(line: Line, factor: number): Line {
  const q = line.quantity!
  const scaled = (n: number) => Math.round(n * factor * 100) / 100
  const t = tokenise(line.text)
  const first = valueAt(t, 0)
  return {
    ...line,
    text: first ? `${writeNumber(scaled(first.value))}${line.text.slice(t[first.next - 1]!.to)}` : line.text,
    quantity: { ...q, low: scaled(q.low), high: scaled(q.high) },
    grams: { low: line.grams.low * factor, high: line.grams.high * factor, best: line.grams.best * factor },
  }
}

/**
 * A recipe so many times as large, every line written anew in a measure like its own.
 *
 * Amounts are what a kitchen can measure, so a line may be a little off the exact multiple (its grams say what is
 * measured); counted things go by quarters.
 */
export function scaleRecipe(recipe: Recipe, factor: number, region: Region): Recipe {
  if (Math.abs(factor - 1) < 1e-9) return recipe
  return {
    ...recipe,
    yield: recipe.yield && scaleYield(recipe.yield, factor),
    parts: recipe.parts.map((p) => ({ ...p, lines: p.lines.map((l) => scaleLine(l, factor, region)) })),
  }
}

function scaleYield(y: NonNullable<Recipe['yield']>, factor: number): NonNullable<Recipe['yield']> {
  if (y.count === null) return y
  const count = Math.max(1, Math.round(y.count * factor))
  return { count, text: y.text.replace(new RegExp(`\\b${y.count}\\b`), String(count)) }
}

/** Every line in another kitchen's measures: all by weight, in US cups, or in metric cups. */
export function inMeasures(recipe: Recipe, measures: Measures, region: Region): Recipe {
  return {
    ...recipe,
    parts: recipe.parts.map((p) => ({
      ...p,
      lines: p.lines.map((l) => {
        if (!l.ingredient || !l.quantity || !(l.grams.best > 0) || COUNTED.has(l.quantity.unit)) return l
        const kitchen = kitchenOf(l.ingredient, l.grams.best, measures, region)
        return { ...newLine(l.ingredient, l.grams.best, kitchen, region, l), optional: l.optional, match: l.match }
      }),
    })),
  }
}
