import type { Time } from '../language/dial'
import { scan } from '../language/item'
import type { Region } from '../measure/region'
import type { Recipe, Tin } from '../recipe/recipe'
import { heatsOf, reheated, retimed } from './clock'
import { methodOf } from './read'
import type { Clause } from './step'
import { applyEdits, type TextEdit } from './text'

/** How a recipe is to be baked in place of what its steps say. */
export interface Refit {
  tins: readonly Tin[]
  /** How many °C hotter. */
  hotter: number
  /** In the oven, in all. */
  minutes: readonly [low: number, high: number]
}

const COUNTS = ['', '', 'two', 'three', 'four', 'five', 'six']
/** What was done to a tin stays said of the next. */
const DONE_TO_IT = /^(?:(?:(?:un)?(?:greased|buttered|floured|dusted|oiled)|(?:\w+-)?lined|prepared)(?:,|\s+and)?\s+)+/i

/** "two 20 cm round tins", "a 9x13 in tin". */
function phraseOf(t: Tin, made: string): string {
  const size = t.text.replace(/\s*x\s*\d+$/i, '').trim()
  if (t.shape === 'cupcake') return `a ${made}tray of ${t.count} cases`
  const noun = /\b(?:tin|pan|dish|tray|mould|ring)s?$/i.test(size) ? '' : ' tin'
  return t.count > 1 ? `${COUNTS[t.count] ?? t.count} ${made}${size}${noun}s` : `a ${made}${size}${noun}`
}

/**
 * The steps of a recipe with other tins, heat and minutes where they tell of the old ones; all else stays letter by letter.
 *
 * @param recipe as it is written, with the tins that its steps name
 */
export function refitted(recipe: Recipe, to: Refit, region: Region): string[] {
  const steps = methodOf(recipe).steps
  const bakes = steps.flatMap((s, step) => s.clauses.flatMap((c) => (c.act === 'bake' && c.minutes ? [{ step, c }] : [])))
  const longest = bakes.reduce<(typeof bakes)[number] | undefined>((a, b) => (!a || b.c.minutes![1] > a.c.minutes![1] ? b : a), undefined)
  const others = bakes.filter((b) => b !== longest && !b.c.condition).reduce((n, b) => n + b.c.minutes![0], 0)
  let named = false
  return steps.map(({ text, clauses }, step) => {
    const s = scan(text, region)
    const within = (c: Clause, token: number) => s.tokens[token]!.from >= c.span[0] && s.tokens[token]!.from < c.span[1]
    const edits: TextEdit[] = []
    if (to.hotter)
      for (const h of heatsOf(s))
        if (clauses.some((c) => (c.act === 'bake' || c.act === 'heat-oven') && within(c, h.from)))
          edits.push(reheated(s, h, to.hotter, region === 'us'))
    if (longest?.step === step) {
      const time = s.dials
        .filter((d): d is Time => d.kind === 'time' && within(longest.c, d.from))
        .reduce<Time | undefined>((a, b) => (!a || b.high > a.high ? b : a), undefined)
      // Stages keep their own minutes; what is left is the longest's.
      if (time) edits.push(retimed(s, { ...time, low: Math.max(1, to.minutes[0] - others), high: Math.max(2, to.minutes[1] - others) }, 0))
    }
    const tin = named ? undefined : recipe.tins.find((t) => t.text && text.includes(t.text))
    if (tin && to.tins.length && to.tins.some((t, i) => t.text !== recipe.tins[i]?.text)) {
      const at = text.indexOf(tin.text)
      const article = /\b(?:an?|the)\s+$/i.exec(text.slice(0, at))?.[0] ?? ''
      const made = DONE_TO_IT.exec(tin.text)?.[0] ?? ''
      edits.push({ from: at - article.length, to: at + tin.text.length, words: to.tins.map((t) => phraseOf(t, made)).join(' and ') })
      named = true
    }
    return applyEdits(text, edits)
  })
}
