import { isLine, type Clause, type LineThing } from '../../method/step'
import type { Mention } from '../../language/name'
import { capital, joined, phraseOf } from '../../method/text'
import { ingredientOf, need } from '../../pantry/pantry'
import type { OptionLine } from '../option'
import { isDry } from '../spoken'
import { drop, inList, removeClause, retell } from './edit'
import { yolksBefore } from './foams'
import { isEgg, WHIPS, type Sheet, type Work } from './sheet'

/** A foam takes the place of whipped eggs where they were whipped; else it is folded in last. */
export function placeFoam(sheet: Sheet) {
  const { egg } = sheet.r
  if (!egg?.foams) return
  if (sheet.whipped()) sheet.prepared.splice(0, sheet.prepared.length, ...sheet.prepared.filter((p) => p.of !== egg.id))
  else {
    for (const part of sheet.batterParts) eggNames(sheet, part)
    for (const part of sheet.batterParts) sheet.placeEgg(part)
    for (const p of sheet.prepared) if (p.of === egg.id && p.at === 'before-mixing') p.at = 'last'
  }
}

/** Whipped eggs leave with their whole family: beater, minutes, sign, and what was folded for their sake. */
export function retellFoams(sheet: Sheet, work: Work): void {
  work.clauses.forEach((c, n) => {
    const lines = c.things.filter(isLine)
    if (work.edits.some((e) => !e.words && e.from <= c.span[0] && e.to >= c.span[1] - 1 && e.to > e.from)) return
    const eggs = lines.filter((t) => isEgg(t.ingredient) && sheet.fateOf(t.part, t.ingredient).kind !== 'kept')
    if (/^separate/.test(c.verb) && eggs.length) removeClause(work, n, 'There are no eggs to separate.')
    else if (/^(?:break|crack)$/.test(c.verb) && eggs.length) put(work, c)
    else if (c.act !== 'foam') return
    else if (!eggs.length) {
      // "Add the sugar and beat to stiff peaks": of a foam that is no more.
      if (lines.some((t) => WHIPS.test(t.ingredient))) return
      if (!work.edits.some((e) => e.whole)) {
        if (!lines.length && unfoamed(sheet, work, n)) retell(work, c, 'whisk until smooth')
        return
      }
      if (lines.length) retell(work, c, `stir in ${joined(namesOf(sheet, work, lines))}`)
      else removeClause(work, n, '')
    } else if (eggs.some((t) => sheet.fateOf(t.part, t.ingredient).by.some((l) => ingredientOf(l.ingredient)?.foams))) resign(work, c, eggs)
    else {
      const part = eggs[0]!.part
      const names = namesOf(
        sheet,
        work,
        lines.filter((t) => !isEgg(t.ingredient) && sheet.fateOf(t.part, t.ingredient).kind !== 'gone'),
      )
      const whites = eggs.every((t) => t.ingredient === 'egg-white' || t.as === 'white')
      // What stands for the eggs goes in where the yolks did, before the whites were whipped.
      const wet = sheet.eggPlaced.has(part) || (whites && yolksBefore(sheet, work, n, part)) ? [] : eggNames(sheet, part)
      if (!wet.length && whites) sheet.lostFoams.add(part)
      if (!wet.length && !names.length) removeClause(work, n, 'There is no foam to build.')
      else if (!wet.length) retell(work, c, `stir in ${joined(names)}`)
      else {
        sheet.placeEgg(part)
        sheet.stands.set(part, `${wet[0]!.replace(/ mixture$/, '')} mixture`)
        if (/\byolks?\b/i.test(work.text.slice(...c.span))) sheet.stoodForYolks.add(part)
        retell(
          work,
          c,
          // "Beat in the eggs": into what is in the bowl.
          `${BEATS_IN.test(work.text.slice(...c.span)) ? `${c.verb} in` : 'whisk'} ${joined([withArticle(wet[0]!), ...wet.slice(1)])}${names.length ? ` with ${joined(names)}` : ''} until smooth`,
        )
        // "Whip the whites and add them": it is one mixture now.
        const next = work.clauses[n + 1]
        // "Gradually beat in the sugar until thick": of the foam too.
        if (next?.act === 'mix' && next.things.every((t) => isLine(t) && need(t.ingredient).kind === 'sugar')) unfroth(work, next)
        const them = next && !lines.some((t) => !isEgg(t.ingredient)) && /\bthem\b/.exec(work.text.slice(...next.span))
        if (them) work.edits.push({ from: next.span[0] + them.index, to: next.span[0] + them.index + 4, words: 'it' })
      }
    }
  })
}

/** Whole eggs are whipped to a ribbon; bean-can liquid holds no air before it stands in peaks. */
function resign(work: Work, c: Clause, eggs: readonly LineThing[]) {
  if (!c.until || eggs.some((t) => t.as !== undefined || t.ingredient === 'egg-white')) return
  const sign = work.text.slice(...c.until)
  if (/\b(?:peaks?|stiff|snow)\b/i.test(sign)) return
  const tail = /[\s,;.!]*(?:\b(?:and|then)\b\s*)*$/i.exec(sign)![0]
  work.edits.push({ from: c.until[0], to: c.until[1], words: `until it stands in firm, glossy peaks${tail}` })
  work.why.add('Bean-can liquid holds its air only once it stands in peaks.')
}

const BEATS_IN = /^\W*(?:(?:then|and) )*(?:beat|whisk|whip) in\b/i
const SPOKEN_OF = /\b(?:so(?: that)?|otherwise|lest|in case)\s+$/i

/** What does not whip is stirred smooth, and never comes to a froth. */
function unfroth(work: Work, c: Clause) {
  const sign = c.until && work.text.slice(...c.until)
  if (!sign || !/\b(?:froth\w*|foam\w*|fluffy|bubbly|pale|thick|thickened|ribbons?|doubled|tripled)\b/i.test(sign)) return
  const tail = /[\s,;.!]*(?:\b(?:and|then)\b\s*)*$/i.exec(sign)![0]
  work.edits.push({ from: c.until![0], to: c.until![1], words: `until smooth${tail}` })
}

/** Nothing that stands for eggs has a shell: "break the eggs into a bowl" puts it there. */
function put(work: Work, c: Clause) {
  const m = /\b(?:break|crack)\b/i.exec(work.text.slice(...c.span))
  if (m)
    work.edits.push({
      from: c.span[0] + m.index,
      to: c.span[0] + m.index + m[0].length,
      words: m[0].startsWith('B') || m[0].startsWith('C') ? 'Put' : 'put',
    })
}

/** What is beaten to a froth here are eggs that were named in the clauses before, and nothing that whips stands for them. */
function unfoamed(sheet: Sheet, work: Work, n: number): boolean {
  for (let i = n - 1; i >= 0; i--) {
    const things = work.clauses[i]!.things.filter(isLine)
    const egg = things.find((t) => isEgg(t.ingredient))
    if (things.some((t) => WHIPS.test(t.ingredient))) return false
    if (egg) {
      const fate = sheet.fateOf(egg.part, egg.ingredient)
      return fate.kind !== 'kept' && !sheet.r.egg?.foams && !fate.by.some((l) => ingredientOf(l.ingredient)?.foams)
    }
    if (!['mix', 'foam', 'other'].includes(work.clauses[i]!.act)) return false
  }
  return false
}

/** Things of a clause as its new words name them. */
export function namesOf(sheet: Sheet, work: Work, things: readonly LineThing[]): string[] {
  return things.map((t) => {
    const fate = sheet.fateOf(t.part, t.ingredient)
    fate.by.forEach((b) => sheet.say(b))
    if (fate.kind === 'swapped') return `the ${joined(fate.by.map((b) => sheet.name(b.ingredient)))}`
    const m = work.scan.mentions.find((x) => work.scan.tokens[x.from]!.from === t.span[0])
    const np = m && t.share !== undefined ? phraseOf(work.scan, m) : undefined
    return np?.amount ? work.text.slice(np.from, np.to) : `${t.rest ? 'the rest of the ' : 'the '}${work.text.slice(...t.span)}`
  })
}

/** What stands where the eggs of a part stood: the school's carrier, and the liquid that came with it. */
function eggNames(sheet: Sheet, part: number, together: ReadonlySet<string> = new Set()): string[] {
  const by = sheet.r.lines.filter((l) => (l.status === 'added' || l.shares) && l.to > 0 && l.partIndex === part && l.replaces.some(isEgg))
  const names: string[] = []
  const school = sheet.batterParts.has(part) ? sheet.r.egg : undefined
  if (school) {
    const shared = by.find((l) => l.shares && school.calledInMethod.includes('{carrier}') && school.brings[0]?.any.includes(l.ingredient))
    // "eggs, buttermilk": what stands for both goes in at once, and is one amount.
    const atOnce = shared?.shares?.every((s) => s.replaces.some((id) => isEgg(id) || together.has(id)))
    names.push(
      shared
        ? atOnce
          ? sheet.name(shared.ingredient)
          : sheet.nameFor(shared, shared.replaces.find(isEgg)!)
        : school.foams
          ? sheet.name(sheet.carrier(school.brings[0]?.any) ?? 'aquafaba')
          : sheet.called,
    )
    for (const b of school.brings)
      for (const id of [...b.any, ...(b.with ?? []).flatMap((x) => x.any)])
        if (sheet.added(part).some((l) => l.ingredient === id)) sheet.say({ partIndex: part, ingredient: id })
  }
  for (const l of [...by, ...looseLiquids(sheet, part)]) {
    if (sheet.isSaid(l) || (school && isDry(l.ingredient)) || isDry(l.ingredient)) continue
    const name = sheet.name(l.ingredient)
    // "60 g of the soy yogurt" is that; "condensed milk" is no milk.
    if (!names.some((n) => n === name || n.endsWith(` the ${name}`))) names.push(name)
    sheet.say(l)
  }
  if (!school)
    for (const l of by)
      if (isDry(l.ingredient)) {
        names.push(sheet.name(l.ingredient))
        sheet.say(l)
      }
  return names
}

/** Yoghurt is yogurt, however a baker spells it. */
const spelt = (words: string): string => words.replace(/yoghurt|yoghourt|yogourt/gi, 'yogurt')

/** "the soy yogurt", but "60 g of the soy yogurt". */
const withArticle = (name: string): string => (/^[\d¼½¾⅓⅔⅛⅜⅝⅞]/.test(name) ? name : `the ${name}`)

/** A thin liquid splits creamed butter: it goes in by turns with the flour. */
function inTurns(sheet: Sheet): boolean {
  return Boolean(sheet.r.egg?.inTurns) && sheet.works.some((w) => w.clauses.some((c) => c.act === 'cream' && sheet.batterParts.has(c.part)))
}

/** Liquids that came in beside the school's own and stand for nothing else. */
function looseLiquids(sheet: Sheet, part: number): OptionLine[] {
  if (!sheet.batterParts.has(part)) return []
  return sheet.added(part).filter((l) => {
    const kind = need(l.ingredient).kind
    return (kind === 'water' || kind === 'plant-dairy' || kind === 'dairy') && !l.replaces.some((id) => !isEgg(id))
  })
}

export function eggMention(
  sheet: Sheet,
  work: Work,
  m: Mention,
  np: ReturnType<typeof phraseOf>,
  found: { part: number; ingredient: string; thing?: LineThing },
  clause: Clause | undefined,
) {
  const school = sheet.batterParts.has(found.part) ? sheet.r.egg : undefined
  const whites = m.words.at(-1) !== 'yolk'
  if (school?.foams && sheet.whipped()) {
    // The foam is made where the whites were, and folded in where they were; nothing stands for the yolks.
    const foam =
      sheet.added(found.part).find((l) => ingredientOf(l.ingredient)?.foams) ?? sheet.added().find((l) => ingredientOf(l.ingredient)?.foams)
    if (whites && foam) {
      work.edits.push({ from: work.scan.tokens[m.from]!.from, to: np.to, words: sheet.name(foam.ingredient) })
      work.why.add(`${capital(sheet.name(foam.ingredient))} whips as egg white does.`)
      sheet.say(foam)
    } else if (
      clause?.act === 'foam' &&
      clause.things.some((t) => isLine(t) && isEgg(t.ingredient) && t.ingredient !== 'egg-yolk' && t.as !== 'yolk')
    )
      drop(sheet, work, np, clause, m, found.ingredient)
    else if (clause?.act === 'foam') {
      const rest = clause.things.filter(
        (t): t is LineThing => isLine(t) && !isEgg(t.ingredient) && sheet.fateOf(t.part, t.ingredient).kind !== 'gone',
      )
      if (rest.length) retell(work, clause, `put ${joined(namesOf(sheet, work, rest))} in a bowl`)
      else removeClause(work, work.clauses.indexOf(clause), '')
    } else drop(sheet, work, np, clause, m, found.ingredient)
    return
  }
  const stands = sheet.stands.get(found.part)
  if (
    stands &&
    clause?.act === 'fold' &&
    m.words.at(-1) === 'white' &&
    sheet.stoodForYolks.has(found.part) &&
    /\binto (?:the )?(?:\w+ )?(?:batter|mixture|yolks?|rest)\b/i.test(work.text.slice(...clause.span))
  ) {
    removeClause(work, work.clauses.indexOf(clause), 'There is no foam to fold in.')
    return
  }
  // "Stir in the yolks" that were whisked by themselves before: what stands for them.
  const taken = /^(?:into|to|over|onto)$/.test(work.scan.tokens.filter((x) => x.to <= np.from).at(-1)?.word ?? '')
  if (stands && (whites || (sheet.stoodForYolks.has(found.part) && !taken)) && (clause?.act === 'fold' || clause?.act === 'mix')) {
    work.edits.push({ from: work.scan.tokens[m.from]!.from, to: np.to, words: stands })
    return
  }
  if (clause?.lists) {
    work.edits.push({ from: np.from, to: np.to, words: sheet.called || joined(eggNames(sheet, found.part)) })
    work.why.add('It stands for the eggs.')
    return
  }
  const together = new Set(clause?.things.flatMap((t) => (isLine(t) && !isEgg(t.ingredient) ? [t.ingredient] : [])))
  const here = new Set(
    clause?.things.flatMap((t) => (isLine(t) && !isEgg(t.ingredient) && t.part === found.part ? [sheet.name(t.ingredient)] : [])),
  )
  // "yolks, sugar and cornflour": starch that stands for the yolks is the starch that is named there.
  const named = eggNames(sheet, found.part, together).filter((n) => !here.has(n))
  const names = sheet.eggPlaced.has(found.part) ? [] : named
  // "Cool it so the eggs don't boil": said of them, and nothing is done with them yet.
  if (named.length && SPOKEN_OF.test(work.text.slice(0, np.from))) {
    work.edits.push({ from: np.from, to: np.to, words: withArticle(named[0]!) })
    return
  }
  // What stands for another thing of this clause already is not named twice.
  if (
    clause &&
    names.length === 1 &&
    work.edits.some((e) => e.from >= clause.span[0] && e.to <= clause.span[1] && spelt(e.words).endsWith(spelt(names[0]!)))
  ) {
    sheet.placeEgg(found.part)
    return drop(sheet, work, np, clause, m, found.ingredient)
  }
  // "Eggs in one by one", "eggs go in next, one by one": the little words go along.
  const manner =
    /^(\s+(?:(?:go|come)\s+)?in(?:\s+(?:next|now|then))?)?,?\s*(?:(?:one|1) (?:at a time|by (?:one|1)|after (?:the other|another))|singly|individually)/i.exec(
      work.text.slice(np.to),
    )
  const beaten = /^,?\s*(?:lightly )?(?:beaten|whisked|separated)\b/i.exec(work.text.slice(np.to))
  const to = np.to + (manner?.[0].length ?? beaten?.[0].length ?? 0)
  if (names.length) {
    sheet.placeEgg(found.part)
    const how = inTurns(sheet) && (manner || clause?.act === 'cream') ? ', in turns with the flour' : manner ? ' a little at a time' : ''
    const goes = (manner?.[1] ?? '').replace(/\b(?:go|come)\b/i, (verb) => (names.length > 1 ? verb : /go/i.test(verb) ? 'goes' : 'comes'))
    const pour = `${goes}${how}`
    const alone = sheet.fateOf(found.part, found.ingredient).by
    // "stir in 2 eggs": who tells amounts in the method tells them of what stands there.
    const first =
      alone.length === 1 && !alone[0]!.shares && names[0] === sheet.name(alone[0]!.ingredient)
        ? sheet.nameTold(alone[0]!)
        : withArticle(names[0]!)
    work.edits.push(...inList(work, np.from, to, [first, ...names.slice(1)], pour))
    if (!sheet.r.egg?.foams && clause?.act === 'mix') unfroth(work, clause)
    work.why.add(`${capital(`the ${joined(names)}`)} ${names.length > 1 ? 'take' : 'takes'} the place of the eggs.`)
    return
  }
  // "Into the eggs": what stands in their place is in the bowl by now.
  const before = work.scan.tokens.filter((x) => x.to <= np.from).at(-1)?.word ?? ''
  if (
    /^(?:into|to|over|onto|with|of)$/.test(before) &&
    sheet.eggPlaced.has(found.part) &&
    !clause?.things.some((t) => isLine(t) && t !== found.thing)
  ) {
    work.edits.push({ from: np.from, to, words: 'the mixture' })
    return
  }
  if (/^(?:into|to|over|onto)$/.test(before)) {
    work.edits.push({ from: np.from, to, words: 'the mixture' })
    return
  }
  drop(sheet, work, { ...np, to }, clause, m, found.ingredient)
}
