import type { Mention } from '../../language/name'
import { isLine, type Clause, type LineThing } from '../../method/step'
import { applyEdits, capital, dropFromList, joined, mended, type TextEdit } from '../../method/text'
import { ORDER, type Sheet, type Step, type Work } from './sheet'

/** What follows is one more thing of the list, not the next thing that is done. */
const LIST_GOES_ON =
  /^\s*(?:,\s*(?:and |&)?|(?:and|&)\s+|\+\s*)(?:the |a |an )?(?!then|until|and|beat|mix|stir|whisk|fold|add|whip|cream|blend|combine|bake|sift|pour|spread|knead|set|let|leave|cook|bring|boil|heat|cool|press|turn|rub|work|scrape|divide|beating|stirring|mixing|whisking|folding)\w/i

/** Tells a clause anew, between the words that join it to others. */
export function retell(work: Work, c: Clause, words: string, why = 'Only egg (or bean-can liquid) whips to a foam.') {
  const [from, to] = c.span
  const own = work.text.slice(from, to)
  // A heading that opens the clause stays ("Cream: …"), unless it names the eggs that left.
  const opening = /^\s*(?:(?![^:]*\b(?:eggs?|yolks?|whites?)\b)\p{L}[\p{L} ]{1,24}:\s*)?/iu.exec(own)![0]
  const tail = /[\s,;.!]*(?:\b(?:and|then)\b\s*)*$/i.exec(own)![0]
  work.edits.push({ from, to, words: opening + (opens(work.text, from) || opening.trim() ? capital(words) : words) + tail, whole: true })
  work.why.add(why)
}

export function opens(text: string, at: number): boolean {
  return /(?:^|[.!?:]\s*)$/.test(text.slice(0, at).trimEnd() ? text.slice(0, at) : '')
}

/** Takes a clause out, with the comma or "and" that joined it. */
export function removeClause(work: Work, n: number, why: string) {
  const c = work.clauses[n]!
  let [from, to] = c.span
  const before = work.text.slice(0, from)
  const whole = /(?:^|[.!?]\s+)$/.test(before) && /[.!?]\s*$/.test(work.text.slice(from, to))
  const last = /[.!?]\s*$/.test(work.text.slice(from, to))
  if (!whole && last) {
    // The end of a sentence stays.
    to -= /[.!?]\s*$/.exec(work.text.slice(from, to))![0].length
    from -= (/[\s,;]*(?:\b(?:and|then)\b\s*)*$/i.exec(before)?.[0] ?? '').length
  }
  work.edits.push({ from, to, words: '', ...(c.act === 'foam' && { whole: true as const }) })
  // "incorporate the yolks, then the nuts": what follows keeps the verb.
  const next = work.clauses[n + 1]
  const lead = next && /^(?:and |, )?(?:then|and finally|finally|lastly|last) /i.exec(work.text.slice(...next.span))
  if (!whole && next && lead && next.verb === c.verb && c.verb && !new RegExp(`\\b${c.verb}`, 'i').test(work.text.slice(...next.span)))
    work.edits.push({
      from: next.span[0],
      to: next.span[0] + lead[0].length,
      words: `${opens(work.text, from) ? capital(c.verb) : c.verb} `,
    })
  if (why) work.why.add(why)
}

/** Names in the place of one thing: within a list they are more items of it. */
export function inList(work: Work, from: number, to: number, names: readonly string[], after = ''): TextEdit[] {
  const joint = /\s+(?:and|&)\s+$/.exec(work.text.slice(0, from))
  const goesOn = !after && LIST_GOES_ON.test(work.text.slice(to))
  if (names.length < 2) return [{ from, to, words: names.join('') + after }]
  if (goesOn) return [{ from, to, words: names.join(', ') }]
  const edits: TextEdit[] = [{ from, to, words: joined(names) + after }]
  const item = joint && work.scan.mentions.some((m) => Math.abs(work.scan.tokens[m.to - 1]!.to - joint.index) < 3)
  if (joint && item) edits.push({ from: joint.index, to: from, words: ', ' })
  return edits
}

/** Adds a thing to the list that another stands in. */
export function append(work: Work, thing: LineThing, words: string) {
  const [from, to] = thing.span
  const edit = work.edits.find((e) => e.from <= from && e.to >= to && e.to > e.from)
  const same = work.edits.find((e) => e.from === to && e.to === to)
  if (same) {
    same.words = / and /.test(same.words)
      ? `${same.words.replace(/,? and (?=[^,]*$)/, ', ')} and ${words}`
      : `${same.words.replace(/^ and /, ', ')} and ${words}`
    return
  }
  // A list goes on, or ends here: "A and B" with C is "A, B and C".
  const goesOn = LIST_GOES_ON.test(work.text.slice(edit?.to ?? to))
  const joint = /\s+(?:and|&|\+)\s+(?=(?:the |both )*$)/.exec(work.text.slice(0, edit?.from ?? from))
  if (
    !goesOn &&
    joint &&
    work.scan.mentions.some((m) => work.scan.tokens[m.to - 1]!.to <= joint.index && work.scan.tokens[m.to - 1]!.to > joint.index - 12)
  )
    work.edits.push({ from: joint.index, to: joint.index + joint[0].length, words: ', ' })
  const tail = `${goesOn ? ', ' : ' and '}${words}`
  if (edit) edit.words = edit.words.replace(/\s*$/, (space) => tail + space)
  else work.edits.push({ from: to, to, words: tail })
}

/** What has nothing in its place leaves its list, or its clause. */
export function drop(sheet: Sheet, work: Work, np: { from: number; to: number }, clause: Clause | undefined, m: Mention, id: string) {
  const s = work.scan
  const [start, end] = clause?.span ?? [0, work.text.length]
  const others = s.mentions
    .filter((x) => x !== m)
    .map((x) => ({ from: s.tokens[x.from]!.from, to: s.tokens[x.to - 1]!.to }))
    .filter((x) => x.from >= start && x.to <= end)
    // What has left the list before is no neighbour any more.
    .filter((x) => !work.edits.some((e) => !e.words && e.from <= x.from && e.to >= x.to))
  const edits = dropFromList(work.text, np, start, end, others)
  if (edits) work.edits.push(...edits)
  else {
    const n = clause ? work.clauses.indexOf(clause) : -1
    const rest = clause?.things.filter(
      (t) => isLine(t) && !(t.span[0] >= np.from && t.span[1] <= np.to) && sheet.fateOf(t.part, t.ingredient).kind !== 'gone',
    )
    if (
      n >= 0 &&
      !rest?.length &&
      !clause!.things.some((t) => 'group' in t) &&
      !['bake', 'fill-tin', 'heat-oven', 'ready-tin', 'cool', 'chill', 'simmer'].includes(clause!.act)
    )
      removeClause(work, n, `No ${sheet.name(id)} now.`)
    else {
      const lead = /\s*\b(?:with|and|of|in|over|into|from)\s+$/i.exec(work.text.slice(0, np.from))?.[0] ?? ''
      work.edits.push({ from: np.from - lead.length, to: np.to, words: '' })
    }
  }
  work.why.add(`No ${sheet.name(id)} now.`)
}

/** Names what is new behind words for several things: "all dry ingredients (with the psyllium)". */
export function bracket(work: Work, end: number, name: string) {
  // "dry ingred. together": behind the stop that cuts the word short.
  const at = /^\.\s+\p{Ll}/u.test(work.text.slice(end)) ? end + 1 : end
  const open = work.edits.find((e) => e.from === at && e.to === at && e.words.startsWith(' (with the '))
  if (!open) work.edits.push({ from: at, to: at, words: ` (with the ${name})` })
  else open.words = ` (with the ${joined([...open.words.slice(11, -1).split(/, | and /), name])})`
}

export function stepsOf(sheet: Sheet): Step[] {
  const out: Step[] = []
  for (const work of sheet.works) {
    const edits = merge(work.edits.map((e) => ({ ...e })))
    const why = new Set(work.why)
    // What comes in comes in before the batter rests.
    const inserts = [...work.inserts].sort((x, y) => ORDER.indexOf(x.role) - ORDER.indexOf(y.role))
    for (const x of inserts) {
      if (x.at < 0) continue
      why.add(x.why)
      const parts = x.to > x.at
      const same = parts ? edits.find((e) => e.from === x.at && e.to === x.to) : undefined
      if (same) same.words = `${same.words.trimEnd()} ${x.text} `
      else edits.push({ from: x.at, to: x.to, words: x.after ? ` ${x.text}` : parts ? `. ${x.text} ` : `${x.text} ` })
    }
    for (const x of inserts) if (x.at < 0 && !x.after) out.push({ text: x.text, changed: true, why: x.why, role: x.role })
    const text = mended(applyEdits(work.text, edits), work.text)
    if (/\p{L}/u.test(text))
      out.push({ text, changed: text !== work.text, why: text !== work.text ? [...why].filter(Boolean).join(' ') : '' })
    for (const x of inserts) if (x.at < 0 && x.after) out.push({ text: x.text, changed: true, why: x.why, role: x.role })
  }
  return out
}

/** Edits at one place keep their order; of two that overlap the larger wins. */
function merge(edits: readonly TextEdit[]): TextEdit[] {
  const out: TextEdit[] = []
  for (const e of edits) {
    const same = out.find((x) => x.from === e.from && x.to === e.to)
    if (same && e.from === e.to) same.words += e.words
    else if (!same) {
      const overlap = out.find(
        (x) => x.from < e.to && x.to > e.from && !(x.from <= e.from && x.to >= e.to) && !(e.from <= x.from && e.to >= x.to),
      )
      if (overlap) {
        overlap.to = Math.max(overlap.to, e.to)
        overlap.from = Math.min(overlap.from, e.from)
        if (e.words && !overlap.words) overlap.words = e.words
      } else out.push(e)
    }
  }
  return out
}
