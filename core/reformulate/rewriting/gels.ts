import { isLine, type Clause, type LineThing } from '../../method/step'
import { joined, phraseOf } from '../../method/text'
import type { OptionLine } from '../option'
import { removeClause, retell } from './edit'
import { namesOf } from './eggs'
import { before, type Place, type Sheet, type Work } from './sheet'

const WHY = 'Agar must boil for two minutes to dissolve, and sets while it is still warm, at about 40 °C.'

/** What is done with gelatine alone: agar is not bloomed, melted gently or cooled. */
const ALONE: ReadonlySet<string> = new Set(['soften', 'soak', 'melt', 'rest', 'cool', 'strain', 'mix', 'simmer', 'other'])

/**
 * Gelatine that became agar: soaking, melting and cooling become one boil in the liquid that it was given, and it goes
 * in warm (agar dissolves at about 95 °C and sets at 32–43 °C; gelatine melts at 30 °C).
 */
export function retellGels(sheet: Sheet): void {
  for (const l of sheet.added()) if (l.ingredient === 'agar' && l.replaces.includes('gelatine')) boilAgar(sheet, l)
}

function boilAgar(sheet: Sheet, agar: OptionLine) {
  const gelatine = (w: Work, c: Clause) =>
    c.part === agar.partIndex || c.things.some((t) => isLine(t) && t.part === agar.partIndex)
      ? w.scan.mentions.find((m) => m.id === 'gelatine' && within(c, w.scan.tokens[m.from]!.from))
      : undefined
  const named: Place[] = []
  sheet.works.forEach((w, work) => w.clauses.forEach((c, clause) => gelatine(w, c) && named.push({ work, clause })))
  if (!named.length) return
  const clauseAt = (p: Place) => sheet.works[p.work]!.clauses[p.clause]!
  const others = (c: Clause) => c.things.filter((t): t is LineThing => isLine(t) && t.ingredient !== 'gelatine')
  const use = named.length > 1 && !ALONE_ONLY.has(clauseAt(named.at(-1)!).act) ? named.at(-1)! : undefined
  // The boil stands where a liquid is named with it, or where it was melted.
  const boil =
    named.find((p) => p !== use && others(clauseAt(p)).length > 0) ??
    named.find((p) => p !== use && clauseAt(p).act === 'melt') ??
    named[0]!
  const name = sheet.name('agar')
  sheet.works.forEach((w, work) =>
    w.clauses.forEach((c, clause) => {
      const at = { work, clause }
      const same = at.work === boil.work && at.clause === boil.clause
      if (same) {
        const liquids = namesOf(sheet, w, others(c))
        const into = liquids.length ? joined(liquids) : /\b(?:it|this|them)\b/i.test(w.text.slice(...c.span)) ? 'it' : '100 ml water'
        const words = `whisk the ${name} into ${into} and boil it gently for 2 minutes, whisking`
        if (use === undefined && !ALONE.has(c.act)) return
        retell(w, c, words, WHY)
        sheet.say(agar)
        return
      }
      if (use && work === use.work && clause === use.clause) {
        // "squeeze out the gelatine and stir it in": agar is taken as it is.
        if (HANDLED.has(c.verb)) {
          retell(w, c, `take the still warm ${name}`, WHY)
          return
        }
        const np = phraseOf(w.scan, gelatine(w, c)!)
        w.edits.push({ from: np.from, to: np.to, words: `${/^the /i.test(w.text.slice(np.from)) ? 'the ' : ''}still warm ${name}` })
        return
      }
      const dried = use && work === use.work && clause === use.clause + 1 && DRIED.test(w.text.slice(...c.span))
      if (dried && HANDLED.has(clauseAt(use).verb)) {
        removeClause(w, clause, WHY)
        return
      }
      const between = before(named[0]!, at) && use !== undefined && before(at, use)
      const itself = named.some((p) => p.work === work && p.clause === clause)
      const continues = between && c.part === agar.partIndex && previousIs(sheet, at, named)
      if ((itself || continues) && ALONE.has(c.act) && !others(c).length) removeClause(w, clause, WHY)
    }),
  )
}

/** What is done with a soaked leaf before it goes in. */
const HANDLED: ReadonlySet<string> = new Set(['squeeze', 'lift', 'wring', 'drain', 'remove', 'take'])

const DRIED = /^\s*(?:and )?(?:wring|squeeze|shake|pat) (?:it|them)\b/i

const within = (c: Clause, at: number): boolean => at >= c.span[0] && at < c.span[1]

const ALONE_ONLY: ReadonlySet<string> = new Set(['soften', 'soak', 'melt', 'strain'])

/** Nothing but gelatine was handled since it was last named. */
function previousIs(sheet: Sheet, at: Place, named: readonly Place[]): boolean {
  for (let { work, clause } = at; work >= 0;) {
    const w = sheet.works[work]!
    const c = w.clauses[clause]
    if (c && named.some((p) => p.work === work && p.clause === clause)) return true
    if (c && (c.things.some(isLine) || !ALONE.has(c.act))) return false
    if (--clause < 0 && --work >= 0) clause = sheet.works[work]!.clauses.length - 1
  }
  return false
}
