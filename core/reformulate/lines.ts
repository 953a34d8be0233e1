import { measuresIn } from '../language/measure'
import { tokenise } from '../language/token'
import { inKitchen, type Measures } from '../measure/kitchen'
import type { Region } from '../measure/region'
import { writeNumber } from '../measure/number'
import { measurableOf } from '../pantry/measurable'
import { nameOf, need } from '../pantry/pantry'
import type { Line, Recipe } from '../recipe/recipe'

/** How the recipe is measured: by weight where most of its lines are, else by the region's cups. */
export function measuresOf(recipe: Recipe, region: Region): Measures {
  const lines = recipe.parts.flatMap((p) => p.lines).filter((l) => l.quantity && l.grams.best > 15)
  const measured = lines.filter((l) => !['piece', 'packet', 'can', 'box', 'sheet', 'slice', 'square', 'strand'].includes(l.quantity!.unit))
  const weighed = measured.filter((l) => ['g', 'kg', 'oz', 'lb', 'ml', 'dl', 'cl', 'l'].includes(l.quantity!.unit)).length
  if (weighed * 2 >= measured.length) return 'weight'
  return region === 'us' ? 'us' : 'metric'
}

/** The amount of a line in the baker's own measure: "1½ cups", "4", "225 g". */
export function ownMeasure(line: Line): string {
  const q = line.quantity
  if (!q) return line.grams.best > 0 ? `${Math.round(line.grams.best)} g` : ''
  const number = q.low === q.high ? writeNumber(q.low) : `${writeNumber(q.low)}–${writeNumber(q.high)}`
  if (q.unit === 'piece') return number
  const plural =
    ['cup', 'stick', 'can', 'packet', 'pint', 'quart', 'sheet'].includes(q.unit) && q.high > 1
      ? 's'
      : q.unit === 'box' && q.high > 1
        ? 'es'
        : ''
  return `${number} ${q.unit}${plural}`
}

export const wholeGrams = (grams: number): number => (grams < 10 ? Math.round(grams * 10) / 10 : Math.round(grams))

/** A line written anew in kitchen measure, with grams beside it where a cup or spoon was used, in the baker's own name where there is one. */
export function newLine(id: string, grams: number, kitchen: string, region: Region, like: Pick<Line, 'prep' | 'named'>): Line {
  const name = like.named || nameOf(need(id), region)
  const { prep } = like
  const weighed = /\bg$/.test(kitchen)
  const pieces = /\begg/.test(kitchen)
  // A sum of measures ("⅓ cup + 2 tbsp") is no quantity of one unit.
  const measured = weighed || kitchen.includes('+') ? undefined : measuresIn(tokenise(kitchen), [])[0]
  const text = pieces ? kitchen : `${kitchen}${weighed ? '' : ` (${wholeGrams(grams)} g)`} ${name}`
  return {
    // "packed brown sugar" is packed already.
    text: prep && !name.includes(prep) ? `${text}, ${prep}` : text,
    quantity: measured ? { low: measured.low, high: measured.high, unit: measured.unit.id } : { low: grams, high: grams, unit: 'g' },
    grams: { low: grams * 0.97, high: grams * 1.03, best: grams },
    ingredient: id,
    named: name,
    match: 'exact',
    prep,
    optional: false,
  }
}

/** How far the words of an amount may lie from its grams, as a share, and g. */
const TRUE_TO = { share: 0.02, grams: 0.6 }

export function kitchenOf(id: string, grams: number, measures: Measures, region: Region): string {
  const words = inKitchen(grams, measurableOf(need(id), region), measures, region)
  // An amount that is held by a limit may lie between two round ones: then the scale says it to the gram.
  const weighed = /^([\d.]+) g$/.exec(words)
  const off = weighed ? Math.abs(Number(weighed[1]) - grams) : 0
  return off > Math.max(TRUE_TO.grams, TRUE_TO.share * grams) ? `${wholeGrams(grams)} g` : words
}
