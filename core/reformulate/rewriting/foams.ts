import { isGroup, isLine, type Clause, type LineThing } from '../../method/step'
import { sentencesOf } from '../../language/sentence'
import { joined } from '../../method/text'
import { ingredientOf, need } from '../../pantry/pantry'
import { removeClause } from './edit'
import { isEgg, type Sheet, type Work } from './sheet'

/** What a foam of whites is called where it is folded in. */
const FOAM_WORDS = /\b(?:meringue|(?:egg )?whites?|foam|snow)\b/i
const REST_WORDS = /\bthe (?:rest|remainder)\b|\bremaining\b/i
/** What is whipped along with whites. */
const WITH_WHITES: ReadonlySet<string> = new Set(['egg', 'sugar', 'salt', 'acid', 'flavour', 'starch'])

/**
 * A meringue in a bowl and under a heading of its own, for which nothing whips any more, is not made: its step goes, and
 * so do the sentences that fold it in; its sugar and salt go in with the batter's.
 */
export function unmakeMeringue(sheet: Sheet): void {
  const isLost = (t: LineThing) => {
    const fate = sheet.fateOf(t.part, t.ingredient)
    return fate.kind !== 'kept' && !sheet.r.egg?.foams && !fate.by.some((l) => ingredientOf(l.ingredient)?.foams)
  }
  const yolks = sheet.works.flatMap((w) =>
    w.clauses.flatMap((c) =>
      c.things.flatMap((t) => {
        // "Add B", where the yolks are in B.
        const part = isLine(t) ? (t.ingredient === 'egg-yolk' ? t.part : undefined) : isGroup(t) ? t.part : undefined
        const holds =
          part !== undefined && sheet.batterParts.has(part) && sheet.r.recipe.parts[part]?.lines.some((l) => l.ingredient === 'egg-yolk')
        return holds ? [{ work: w, clause: c, part: part! }] : []
      }),
    ),
  )
  const lost = new Set<number>()
  for (const work of sheet.works)
    work.clauses.forEach((c, n) => {
      const white = c.act === 'foam' && c.things.filter(isLine).find((t) => t.ingredient === 'egg-white')
      if (!white || !sheet.batterParts.has(white.part) || !isLost(white)) return
      if (!yolks.length || yolks.some((y) => y.part === white.part)) return
      const beside = new Map<string, LineThing>()
      lost.add(white.part)
      sheet.placeEgg(white.part)
      for (let i = n; i < work.clauses.length; i++) {
        const next = work.clauses[i]!
        const own = next.things.filter(isLine)
        if (i > n && !(['foam', 'mix', 'other'].includes(next.act) && own.every((t) => WITH_WHITES.has(need(t.ingredient).kind)))) break
        if (i > n && !own.length && FOAM_WORDS.test(work.text.slice(...next.span)) && /^(?:fold|stir)/.test(next.verb)) break
        for (const t of own) if (!isEgg(t.ingredient) && sheet.fateOf(t.part, t.ingredient).kind === 'kept') beside.set(`${t.line}`, t)
        removeClause(work, i, i === n ? 'There is no meringue to make.' : '')
      }
      if (beside.size) whiskIn(sheet, yolks[0]!, [...beside.values()])
    })
  if (!lost.size) return
  for (const work of sheet.works) {
    let folding = false
    work.clauses.forEach((c, n) => {
      const words = work.text.slice(...c.span)
      const bare = (c.act === 'fold' || c.act === 'mix') && !broughtBy(c, words)
      const folds = bare && (FOAM_WORDS.test(words) || (folding && REST_WORDS.test(words)))
      if (folds && !work.edits.some((e) => e.from <= c.span[0] && e.to >= c.span[1] - 1))
        removeClause(work, n, 'There is no meringue to fold in.')
      folding = folds
      if (folds) withoutStreaks(work, c.span[1])
    })
  }
}

/** "No white streaks." tells how far a foam is folded in: gone with it. */
const STREAKS = /^\s*(?:no|until no|there should be no)(?: more)? (?:white )?(?:streaks?|whites?)\b[^.!]*[.!]?/i

function withoutStreaks(work: Work, from: number): void {
  const m = STREAKS.exec(work.text.slice(from))
  if (m) work.edits.push({ from, to: from + m[0].length, words: '' })
}

/** What would have been whipped with the whites goes in where something stands for the yolks. */
function whiskIn(sheet: Sheet, at: { work: Work; clause: Clause }, things: readonly LineThing[]): void {
  const { tokens } = at.work.scan
  const token = tokens.findIndex((t) => t.from >= at.clause.span[0])
  const sentence = sentencesOf(tokens).find(([a, b]) => token >= a && token < b)
  if (!sentence) return
  const place = tokens[sentence[1] - 1]!.to
  const names = things.map((t) => {
    const line =
      sheet.fateOf(t.part, t.ingredient).now ?? sheet.r.lines.find((l) => l.partIndex === t.part && l.ingredient === t.ingredient)
    const name = sheet.name(t.ingredient)
    return need(t.ingredient).kind === 'sugar' && line ? `the other ${line.kitchen} of the ${name}` : `the ${name}`
  })
  at.work.inserts.push({
    at: place,
    to: place,
    text: `Whisk in ${joined(names)}.`,
    why: 'It was meant for the meringue.',
    role: 'add',
    after: true,
  })
}

/** Yolks, or whole eggs beside whites of their own, that go into the batter, unwhipped, before a clause. */
export function yolksBefore(sheet: Sheet, work: Work, n: number, part: number): boolean {
  const whole = (c: Clause, t: LineThing) => t.ingredient === 'egg-whole' && t.as === undefined && !/^(?:separate|break|crack)/.test(c.verb)
  const yolk = (c: Clause) =>
    c.act !== 'foam' &&
    c.things.some((t) => isLine(t) && t.part === part && (t.ingredient === 'egg-yolk' || t.as === 'yolk' || whole(c, t)))
  return sheet.works.some((w, i) => i <= sheet.works.indexOf(work) && w.clauses.some((c, k) => (w !== work || k < n) && yolk(c)))
}

/** "Fold into the yolk mixture", "fold it in": the foam that was made just before. */
const FOLDS_ON =
  /^\W*(?:and |then )*(?:\p{L}+ly )?(?:(?:fold|stir)(?: it| them| this)? (?:in\b|into\b|under\b|through\b)|(?:fold|stir|add|mix) (?:it|them|these)\b)/iu

/** Where the foam of whites is gone, so is what was folded in of it; where a mixture stands for it, that is folded in. */
export function unfold(sheet: Sheet): void {
  for (const [at, work] of sheet.works.entries())
    work.clauses.forEach((c, n) => {
      if (!(c.act === 'fold' || c.act === 'mix') || c.things.some((t) => 'group' in t)) return
      if (work.edits.some((e) => e.from <= c.span[0] && e.to >= c.span[1] - 1 && e.to > e.from)) return
      const words = work.text.slice(...c.span)
      const foam = /\bmeringue\b|\b(?:beaten |whipped |stiff )?(?:egg )?whites\b/i.exec(words)
      if (!foam && !FOLDS_ON.test(words)) return
      if (broughtBy(c, words)) return
      const lost = sheet.lostFoams.has(c.part)
      const stands = sheet.stands.get(c.part)
      if (lost && (foam || foamBefore(sheet, at, n))) removeClause(work, n, 'There is no foam to fold in.')
      else if (foam && stands && !lost && !sheet.r.egg?.foams)
        work.edits.push({ from: c.span[0] + foam.index, to: c.span[0] + foam.index + foam[0].length, words: stands })
    })
}

/** Whether a clause brings lines of its own, beside what it is put into: "into the cheese batter". */
function broughtBy(c: Clause, words: string): boolean {
  const into = c.span[0] + /\b(?:into|to|through)\b|$/i.exec(words)!.index
  return c.things.some((t) => isLine(t) && !isEgg(t.ingredient) && t.span[0] < into)
}

/** Whether what was done just before was to whip whites. */
function foamBefore(sheet: Sheet, at: number, n: number): boolean {
  const before = n > 0 ? sheet.works[at]!.clauses.slice(Math.max(0, n - 3), n) : (sheet.works[at - 1]?.clauses.slice(-3) ?? [])
  return before.some(
    (c) =>
      c.act === 'foam' && (c.things.length === 0 || c.things.some((t) => !isLine(t) || t.ingredient === 'egg-white' || t.as === 'white')),
  )
}
