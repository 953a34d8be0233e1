import { isLine, type Act, type Clause, type LineThing } from '../../method/step'
import type { Mention } from '../../language/name'
import { capital, joined, phraseOf } from '../../method/text'
import { FORMS, icedFrom, isManner } from '../../method/thing'
import { ingredientOf, need } from '../../pantry/pantry'
import { standInsFor } from '../../swaps/standins'
import { forbidden } from '../allowed'
import type { OptionLine } from '../option'
import { eggMention } from './eggs'
import { drop, inList } from './edit'
import { isEgg, MIXING, type Sheet, type Work } from './sheet'

/** Every mention of what left gives way. */
export function renameAll(sheet: Sheet, work: Work): void {
  const { scan: s } = work
  // "The crumbs", "the fruit" are so still, whatever they are made of now.
  for (const c of work.clauses)
    for (const x of c.things) {
      const word = work.text.slice(...x.span).toLowerCase()
      if (!isLine(x) || !(/^(?:crumbs?|fats?|fruits?|mix)$/.test(word) || FORMS.test(word))) continue
      if (s.mentions.some((m) => s.tokens[m.from]!.from === x.span[0])) continue
      const { kind, by } = sheet.fateOf(x.part, x.ingredient)
      // One fat for another is called by its name.
      if (kind === 'swapped' && by.length === 1 && /^fats?$/.test(word))
        work.edits.push({ from: x.span[0], to: x.span[1], words: sheet.name(by[0]!.ingredient) })
      // So is what only differs by being free of gluten.
      if (by.length === 1 && by[0]!.ingredient === `${x.ingredient}-gf` && !sheet.isSaid(by[0]!))
        work.edits.push({ from: x.span[0], to: x.span[0], words: 'gluten-free ' })
      for (const l of by) {
        sheet.collected.add(l)
        sheet.say(l)
      }
    }
  const swallowed = (from: number, to: number) => work.edits.some((e) => e.from <= from && e.to >= to)
  for (const m of s.mentions) {
    if (isManner(s, m)) continue
    const t = s.tokens[m.from]!
    const to = s.tokens[m.to - 1]!.to
    const found = sheet.lineOf(work, m)
    // "If the top is white": a colour, not a thing.
    if (found && !found.thing && t.word === 'white') continue
    // "coat with breadcrumbs": what no line holds, or none with an amount.
    const served = found !== undefined && !found.thing && found.clause?.act === 'serve'
    if (!found || served || sheet.weighsNothing(found)) besideTheRecipe(sheet, work, m, found !== undefined && !served)
    if (!found || served || swallowed(t.from, to)) continue
    const fate = sheet.fateOf(found.part, found.ingredient)
    if (fate.kind === 'kept') {
      if (fate.now?.status === 'changed' && !ownShare(sheet, work, m, found, fate.now)) amounts(work, m, found.thing, fate.now)
      continue
    }
    const clause = found.clause
    // The word that is the verb ("butter the tin", "cream the fat") or a heading ("the cream:") is no thing.
    if (clause && !found.thing && s.tokens[m.head]!.word === clause.verb) continue
    const next = s.tokens[m.to]?.word ?? ''
    if (s.tokens[m.to]?.text === ':') {
      if (isEgg(found.ingredient) && m.to === 1)
        work.edits.push({ from: t.from, to, words: m.words.at(-1) === 'white' ? 'Foam' : 'Batter' })
      continue
    }
    if (/^(?:mixture|batter|foam|mousse|mix|mass)$/.test(next)) {
      const words = isEgg(found.ingredient)
        ? standing(sheet, found.part, next)
        : fate.kind === 'swapped'
          ? `${joined(fate.by.map((b) => sheet.name(b.ingredient)))} `
          : ''
      // There is no foam any more where only a mixture was whisked.
      const foam = /^(?:foam|mousse)$/.test(next) && !sheet.r.egg?.foams
      work.edits.push({ from: t.from, to: foam ? s.tokens[m.to]!.to : s.tokens[m.to]!.from, words: foam ? 'mixture' : words })
      continue
    }
    // "the egg & butter mix" is a butter mix now.
    const pair = /^\s*(?:&|and|-|\/|\+)\s*(?=\w+ (?:mix|mixture|batter)\b)/.exec(work.text.slice(to))
    if (pair && (fate.kind === 'gone' || isEgg(found.ingredient))) {
      work.edits.push({ from: t.from, to: to + pair[0].length, words: '' })
      continue
    }
    // One word for several lines ("the three milks") holds for what took their places.
    if (
      clause &&
      found.thing &&
      new Set(clause.things.flatMap((x) => (isLine(x) && x.span[0] === found.thing!.span[0] ? [x.ingredient] : []))).size > 1 &&
      !isEgg(found.ingredient)
    ) {
      for (const x of clause.things)
        if (isLine(x) && x.span[0] === found.thing.span[0]) sheet.fateOf(x.part, x.ingredient).by.forEach((b) => sheet.collected.add(b))
      for (const b of sheet.collected) sheet.say(b)
      continue
    }
    const limit = clause ? s.tokens.findIndex((x) => x.from >= clause.span[0]) : 0
    const verbAt = clause?.verb ? s.tokens.findIndex((x, i) => i >= limit && x.word === clause.verb) : -1
    // "Whip cream with sugar" names whipping cream, and whips it too: the verb stays.
    const told = m.to - m.from > 1 && m.from === verbAt ? { ...m, from: m.from + 1 } : m
    const np = phraseOf(s, told, Math.max(limit, verbAt + 1, 0))
    if (isEgg(found.ingredient)) eggMention(sheet, work, m, np, found, clause)
    else if (fate.kind === 'swapped') swapFor(sheet, work, np, fate.by, found, told)
    else drop(sheet, work, np, clause, m, found.ingredient)
  }
}

/** What is melted rather than warmed. */
const MELTS: ReadonlySet<string> = new Set(['fat', 'cocoa'])

/** Acts that bring to the table what no line of the recipe holds. */
const SERVES: ReadonlySet<Act> = new Set<Act>(['serve', 'decorate', 'spread', 'ready-tin'])

/** "Butter and bread a tin": with crumbs. */
const BREADS = /\bbread(?= (?:an?|the|your|it|them|tins?|pans?)\b)/i

/** "Serve with whipped cream": what stands in no line must suit the table too. */
function besideTheRecipe(sheet: Sheet, work: Work, m: Mention, listed: boolean): void {
  const { tokens } = work.scan
  const at = tokens[m.from]!.from
  const clause = work.clauses.find((c) => at >= c.span[0] && at < c.span[1])
  const food = ingredientOf(m.id)
  // "Wobbles like jelly": a likeness.
  if (work.text.slice(at).search(BREADS) === 0 || /^(?:like|as)$/.test(tokens[m.from - 1]?.word ?? '')) return
  // "A little milk" that is listed without an amount goes into the bowl all the same.
  if (!clause || !food || !(listed || SERVES.has(clause.act)) || !forbidden(food, sheet.r.rules)) return
  const standIn = standInsFor(food).find((s) => s.brings.every((b) => !forbidden(need(b.ingredient), sheet.r.rules)))
  if (!standIn) return
  const own = work.text.slice(at, tokens[m.to - 1]!.to)
  if (listed) for (const l of sheet.added()) if (l.ingredient === standIn.brings[0]!.ingredient) sheet.say(l)
  // Ice cream is bought, and there is some without milk.
  const from = icedFrom(tokens, m.from)
  work.edits.push(
    from < m.from
      ? { from: tokens[from]!.from, to: tokens[m.to - 1]!.to, words: `dairy-free ${work.text.slice(tokens[from]!.from, at)}${own}` }
      : { from: at, to: tokens[m.to - 1]!.to, words: sheet.name(standIn.brings[0]!.ingredient) },
  )
  work.why.add(`${capital(food.names[0]!)} would not suit everybody at the table.`)
}

/** What the "egg mixture" is called now: by what stands there, where that is one thing. */
function standing(sheet: Sheet, part: number, next: string): string {
  if (/^(?:foam|mousse)$/.test(next) || sheet.r.egg?.foams) return ''
  const name = (sheet.stands.get(part) ?? (sheet.batterParts.has(part) ? sheet.called : '')).replace(/ (?:mixture|foam)$/, '')
  return name && !/^[\d¼½¾⅓⅔⅛]/.test(name) ? `${name} ` : ''
}

/** "a cup each of", "100 g each" before the first of several things. */
const EACH_OF = /(?:\ban?|[\d¼½¾⅓⅔⅛]+(?:[.,]\d+)?)\s*\p{L}+ each (?:of )?$/iu

function swapFor(
  sheet: Sheet,
  work: Work,
  np: ReturnType<typeof phraseOf>,
  by: readonly OptionLine[],
  found: { part: number; ingredient: string; thing?: LineThing },
  m: Mention,
) {
  const same = need(found.ingredient).kind
  const flour = same === 'flour' && by.every((b) => ['flour', 'starch', 'binder'].includes(need(b.ingredient).kind))
  const first = !by.every((b) => sheet.isSaid(b))
  // What another word of this very clause brought is not brought twice.
  const here = work.clauses.find((c) => work.scan.tokens[m.from]!.from >= c.span[0] && work.scan.tokens[m.from]!.from < c.span[1])
  const twice = here
    ? by.filter((b) => work.edits.some((e) => e.from >= here.span[0] && e.to <= here.span[1] && e.words.includes(sheet.name(b.ingredient))))
    : []
  if (twice.length && twice.length < by.length) by = by.filter((b) => !twice.includes(b))
  // A gum that was stirred into something of its own first is in there.
  const stirred = by.filter((b) => need(b.ingredient).kind === 'binder' && sheet.isSaid(b))
  if (stirred.length && stirred.length < by.length && first) by = by.filter((b) => !stirred.includes(b))
  if (twice.length && twice.length === by.length && by.every((b) => b.shares) && here && MIXING.has(here.act)) {
    drop(sheet, work, np, here, m, found.ingredient)
    return
  }
  // "The flour and the starch": what goes in at once is one amount.
  const together = new Set(here?.things.flatMap((t) => (isLine(t) ? [t.ingredient] : [])))
  by.forEach((b) => sheet.say(b))
  const short = m.words.length === 1 && /^flour/.test(m.words[0]!)
  // Flour for flour keeps its short name, once it was said what it is; "a spoonful of flour" and what dusts a tin come out of a jar.
  const known = !np.amount && !/\b(?:of|little|some|more|extra) $/i.test(work.text.slice(0, work.scan.tokens[m.from]!.from))
  const own = work.text.slice(work.scan.tokens[m.from]!.from, work.scan.tokens[m.to - 1]!.to)
  const names =
    flour && short && known && !first && here?.act !== 'ready-tin' && !by.some((b) => b.shares)
      ? ['flour']
      : flour && here?.act === 'ready-tin' && sheet.r.glutenFree
        ? ['gluten-free flour']
        : by.map(
            (b) =>
              (here?.act === 'ready-tin' ? undefined : shareWritten(sheet, b, found.ingredient, together)) ??
              // What is ground there is whole before.
              asWritten(sheet, b.ingredient, found.ingredient, own).replace(here?.verb === 'grind' ? /^ground / : '', ''),
          )
  // All of a line takes its new amount; "a spoonful" of it stays a spoonful.
  const whole = np.whole || (found.thing !== undefined && found.thing.share === undefined && !found.thing.rest)
  const amount =
    np.amount && first && whole && by.length === 1 && !/\bof\b/.test(work.text.slice(np.amount[1], work.scan.tokens[m.from]!.from))
      ? `${by[0]!.kitchen} `
      : ''
  const at = work.scan.tokens[m.from]!.from
  // "1 cup of the pecans … the remaining ½ cup": each its share of what stands for them.
  const share = found.thing?.share
  const measured = np.amount && /^[\d¼½¾⅓⅔⅛]/.test(work.text.slice(...np.amount))
  if (np.amount && measured && by.length === 1 && share !== undefined && share < 1 && !by[0]!.shares) {
    work.edits.push({ from: np.amount[0], to: np.amount[1], words: sheet.kitchen(by[0]!.ingredient, by[0]!.to * share) })
    work.edits.push({ from: at, to: np.to, words: names.join('') })
    work.why.add('The amount follows its line.')
    return
  }
  // "1 tbsp milk" of "1 to 2 tbsp" is the least of it still.
  const told = found.thing && sheet.r.recipe.parts[found.part]?.lines[found.thing.line]?.quantity
  const said = np.amount && work.scan.measures.find((x) => work.scan.tokens[x.from]!.from === np.amount![0])
  if (told && said && told.low < told.high && (said.low === told.low || said.low === told.high) && said.low === said.high) {
    work.edits.push({ from: at, to: np.to, words: names.join('') })
    return
  }
  // "A cup each of plain and self-raising flour" is one amount of what stands for both.
  const both = by.length === 1 && by[0]!.replaces.length > 1 && EACH_OF.exec(work.text.slice(0, Math.min(np.from, at)))
  if (both) {
    const from = Math.min(np.from, at) - both[0].length
    work.edits.push({ from, to: np.to, words: `${by[0]!.kitchen} ${names.join('')}` })
    return
  }
  // "8 oz of flour" becomes three flours, each with its own weight.
  const each = np.amount && first && np.whole && by.length > 1 && by.every((b) => !b.shares && b.kitchen)
  if (amount) work.edits.push({ from: np.from, to: np.to, words: `${amount}${names.join('')}` })
  else if (each)
    work.edits.push(
      ...inList(
        work,
        np.from,
        np.to,
        by.map((b, i) => `${b.kitchen} ${names[i]!}`),
      ),
    )
  else {
    const sorts = /\b(?:two|three|four|both|unsalted|salted|sifted|plain|all-purpose|self-raising|self-rising|cold|cubed|diced)\s+/gi
    // "the yogurt" becomes "140 g of the yogurt".
    const counted = /^[\d¼½¾⅓⅔⅛⅜⅝⅞]/.test(names[0]!) && names.length === 1
    // "half of the buttermilk" is half of what stands for it.
    const portion = counted ? /^(?:half|a third|a quarter|most|some)(?= (?:of )?the )/i.exec(work.text.slice(np.from, at))?.[0] : undefined
    if (portion) names[0] = `${portion} of ${names[0]!.replace(/ of the /, ' ')}`
    const lead = counted ? '' : work.text.slice(np.from, at)
    work.edits.push(
      ...inList(work, lead.replace(sorts, '') === lead && !counted ? at : np.from, np.to, [
        `${lead.replace(sorts, '') === lead ? '' : lead.replace(sorts, '')}${names[0]!}`,
        ...names.slice(1),
      ]),
    )
  }
  work.why.add(`${capital(joined(by.map((b) => sheet.name(b.ingredient))))} in place of ${sheet.name(found.ingredient)}.`)
}

/** What of a shared line goes in here. */
function shareWritten(sheet: Sheet, b: OptionLine, id: string, together: ReadonlySet<string>): string | undefined {
  if (!b.shares?.some((s) => s.replaces.includes(id)) || b.shares.every((s) => s.replaces.some((x) => together.has(x)))) return undefined
  return sheet.nameFor(b, id)
}

/** The baker's own word where the new thing is of its kind: "gluten-free cookies", "soy yoghurt". */
function asWritten(sheet: Sheet, id: string, from: string, own: string): string {
  if (id === `${from}-gf`) return `gluten-free ${own}`
  // "cookies" stay cookies, also where the pantry files both under their crumbs.
  const last = own.split(/\s+/).at(-1)!.toLowerCase()
  const called = id.endsWith('-gf') && need(id).names.find((n) => n.split(' ').at(-1) === last)
  if (called) return called
  // Plant fat has nothing in it that browns.
  if (/^(?:browned|brown|nut-brown|noisette) /i.test(own) && need(id).kind === 'fat' && (need(id).per100.plasticFat ?? 0) > 0)
    return `melted ${sheet.name(id)}`
  const spelt = /yogh?ourt|yoghurt/i.exec(own)
  return spelt ? sheet.name(id).replace('yogurt', spelt[0].toLowerCase()) : sheet.name(id)
}

/**
 * A line that the recipe had, and that stands for something else now as well: what goes in here is said, unless all of
 * it went into what was stirred together first.
 *
 * @returns whether it was told so
 */
function ownShare(
  sheet: Sheet,
  work: Work,
  m: Mention,
  found: { part: number; ingredient: string; thing?: LineThing; clause?: Clause },
  now: OptionLine,
): boolean {
  // What is sifted together is one amount.
  const together = /^(?:leavener|flour|sugar|salt|fat|binder)$/.test(need(found.ingredient).kind)
  if (together || !found.thing || !found.clause || !MIXING.has(found.clause.act)) return false
  const stirred = sheet.batterParts.has(found.part) && sheet.prepared.some((p) => p.holds === found.ingredient)
  if (!now.shares && !stirred) return false
  // "the last spoon of water" is a spoon of it still.
  if (/\b(?:spoon(?:ful)?|splash|little|drops?|bit|dash) of (?:the )?$/i.test(work.text.slice(0, work.scan.tokens[m.from]!.from)))
    return true
  const beside = new Set(found.clause.things.flatMap((t) => (isLine(t) ? [t.ingredient] : [])))
  if (!stirred && now.shares?.every((x) => x.replaces.some((id) => beside.has(id)))) return false
  const s = work.scan
  const limit = s.tokens.findIndex((x) => x.from >= found.clause!.span[0])
  const np = phraseOf(s, m, Math.max(limit, 0))
  const name = sheet.name(found.ingredient)
  // All of it was stirred together first.
  if (stirred) {
    drop(sheet, work, np, found.clause, m, found.ingredient)
    return true
  }
  const words = sheet.nameFor(now, found.ingredient)
  if (words === name || np.amount) return false
  const at = s.tokens[m.from]!.from
  work.edits.push({ from: np.determined ? np.from : at, to: np.to, words })
  work.why.add(`${capital(name)} stands for two things now, which go in apart.`)
  return true
}

const BY_WEIGHT = /\b(?:that|same|equal|their)(?: own)? weights? (?:of|in) [^.;]*$/i
/** Amounts within a sentence follow their line. */
function amounts(work: Work, m: Mention, thing: LineThing | undefined, now: OptionLine) {
  const s = work.scan
  const measure = s.measures.find(
    (x) =>
      x.to <= m.from &&
      m.from - x.to <= 3 &&
      (x.unit.kind === 'mass' || x.unit.kind === 'volume') &&
      // "… the tin (2.4 litre). Cream butter" measures no butter.
      !s.tokens.slice(x.to, m.from).some((t) => /^[.;)]$/.test(t.text)),
  )
  const at = s.tokens[m.from]!.from
  // "Use that weight of butter, sugar and flour": what is no longer of that weight is told with its own.
  if (!measure && now.from > 0 && BY_WEIGHT.test(s.text.slice(0, at)) && Math.abs(now.to - now.from) > 0.05 * now.from) {
    work.edits.push({ from: at, to: at, words: `${now.kitchen} ` })
    work.why.add('The amount follows its line.')
    return
  }
  if (!measure || now.from <= 0) return
  if (measure.unit.kind === 'volume') return void volume(work, measure, thing, now)
  const number = s.tokens.slice(measure.from, measure.to).find((x) => x.kind === 'number')
  const share = thing?.rest ? 0.5 : (thing?.share ?? 1)
  if (!number || number.value === undefined) return
  const whole = Math.abs(number.value * (measure.unit.id === 'kg' ? 1000 : 1) - now.from) < 0.03 * now.from
  const to = whole ? now.to : (number.value * now.to) / now.from
  if (!whole && share >= 1) return
  const words = String(to >= 20 ? 5 * Math.round(to / 5) : Math.round(to * 10) / 10)
  if (words !== number.text) {
    work.edits.push({ from: number.from, to: number.to, words })
    work.why.add('The amount follows its line.')
  }
}

/** All of a line, told by volume, is told in its new measure: "300 ml sunflower oil". */
function volume(work: Work, measure: Work['scan']['measures'][number], thing: LineThing | undefined, now: OptionLine) {
  if (!thing || thing.share !== undefined || thing.rest || Math.abs(now.to - now.from) < 0.02 * now.from) return
  const s = work.scan
  const number = s.tokens.slice(measure.from, measure.to).find((x) => x.kind === 'number')
  const metric = /^[mcd]?l$/.test(measure.unit.id)
  const [from, to] = [s.tokens[measure.from]!.from, s.tokens[measure.to - 1]!.to]
  if (metric && number?.value !== undefined) {
    const ml = (number.value * now.to) / now.from
    work.edits.push({ from: number.from, to: number.to, words: String(ml >= 20 ? 5 * Math.round(ml / 5) : Math.round(ml * 10) / 10) })
  } else if (!metric) work.edits.push({ from, to, words: now.kitchen })
  work.why.add('The amount follows its line.')
}

/** "the remaining 300 g", without the name of what remains: it follows its line too. */
export function restAmounts(sheet: Sheet, work: Work): void {
  for (const t of work.clauses.flatMap((c) => c.things)) {
    if (
      !isLine(t) ||
      !t.rest ||
      work.scan.mentions.some((m) => work.scan.tokens[m.from]!.from >= t.span[0] && work.scan.tokens[m.from]!.from < t.span[1])
    )
      continue
    const now = sheet.r.lines.find((l) => l.partIndex === t.part && l.ingredient === t.ingredient && l.from > 0 && l.to > 0)
    const number = work.scan.tokens.find((x) => x.kind === 'number' && x.from >= t.span[0] && x.to <= t.span[1])
    if (!now || number?.value === undefined || Math.abs(now.to - now.from) < 0.5) continue
    const to = (number.value * now.to) / now.from
    work.edits.push({ from: number.from, to: number.to, words: String(to >= 20 ? 5 * Math.round(to / 5) : Math.round(to * 10) / 10) })
    work.why.add('The amount follows its line.')
  }
}

/** "Grease and flour a tin": the verb. */
const FLOURS = /\bflour(?= (?:an?|the|two|three|your|it|them|tins?|pans?|well|\d)\b)(?<=(?:^|[.;,:]\s*|\b(?:and|then) |[&+] ?)flour)/gi
/** What is floured, up to the tin's own word. */
const FLOURED_TIN =
  /^[^,.;()]*?\b(?:tins?|pans?|mou?lds?|dish(?:es)?|bundt|springform|ring|form|it|them)\b(?: (?:tins?|pans?|mou?lds?|form|well|lightly)\b)*/i

/** Flour for a tin comes out of the jar, and no line tells that it must be without gluten. */
function flourTins(work: Work, tins: readonly (readonly [number, number])[]): void {
  for (const x of work.text.matchAll(FLOURS)) {
    if (!tins.some(([from, to]) => x.index >= from && x.index < to)) continue
    const after = x.index + x[0].length
    const object = FLOURED_TIN.exec(work.text.slice(after))
    if (!object || /^ with\b/i.test(work.text.slice(after + object[0].length))) continue
    work.edits.push({ from: after + object[0].length, to: after + object[0].length, words: ' with gluten-free flour' })
  }
}

/** Words that name what left without being its mention: "creamed", "buttered", "floured", "whites". */
export function rewordAll(sheet: Sheet, work: Work): void {
  const tins = work.clauses.filter((c) => c.act === 'ready-tin').map((c) => c.span)
  const put = (words: RegExp, by: string | ((m: string) => string), why = '', ofTins = false) => {
    for (const x of work.text.matchAll(words)) {
      if (ofTins && !tins.some(([from, to]) => x.index >= from && x.index < to)) continue
      if (work.edits.some((e) => e.from < x.index + x[0].length && e.to > x.index)) continue
      const to = typeof by === 'string' ? by : by(x[0])
      work.edits.push({ from: x.index, to: x.index + x[0].length, words: /^\p{Lu}/u.test(x[0]) ? capital(to) : to })
      if (why) work.why.add(why)
    }
  }
  if (sheet.r.dairyFree) {
    put(
      /\bbutter(?= (?:a|an|the|two|three|your|it|them|tins?|pans?|\d{1,2}(?! ?k?gm?\b)|and (?:line|flour|starch|dust|paper|sugar)|well)\b| & (?:line|flour|starch|dust|sugar|(?:bread)?crumb))(?<=(?:^|[.;,:]\s*|\band )butter)/gi,
      'grease',
      '',
      true,
    )
    put(
      /\bbuttered\b(?= (?:tins?|pans?|mou?lds?|dish|and (?:lined|floured|papered)|paper|springform|bundt|round|square|loaf|\d|baking|cake|ring))/gi,
      'greased',
    )
  }
  if (sheet.r.glutenFree) {
    flourTins(work, tins)
    put(FLOURS, 'dust', '', true)
    put(/\bfloured\b/gi, 'dusted')
    put(new RegExp(BREADS, 'gi'), 'dust')
  }
  const creamed = [...sheet.changed].some(
    ([at, f]) =>
      f.kind === 'swapped' &&
      ingredientOf(at.split(':').at(-1)!)?.kind === 'fat' &&
      f.by.every((b) => /^oil-(?!coconut)|sauce|puree|yogurt|banana/.test(b.ingredient)),
  )
  if (!creamed) return
  for (const c of work.clauses) {
    // Oil is not melted, and what is melted with it (chocolate) still is.
    const melted = c.act === 'melt' && c.verb === 'melt' ? c.things.filter(isLine) : []
    if (
      melted.some((t) => need(t.ingredient).kind === 'fat' && sheet.fateOf(t.part, t.ingredient).kind === 'swapped') &&
      melted.every((t) => sheet.fateOf(t.part, t.ingredient).kind === 'swapped' || !MELTS.has(need(t.ingredient).kind))
    ) {
      const verb = /\bmelt(ed)?\b/i.exec(work.text.slice(...c.span))
      if (verb) {
        const from = c.span[0] + verb.index
        work.edits.push({ from, to: from + verb[0].length, words: `${verb[0].startsWith('M') ? 'Warm' : 'warm'}${verb[1] ?? ''}` })
      }
    }
    if (c.act !== 'cream' || !c.things.some((t) => isLine(t) && sheet.fateOf(t.part, t.ingredient).kind === 'swapped')) continue
    const verb = new RegExp(`\\b${c.verb}\\b`, 'i').exec(work.text.slice(...c.span))
    if (verb && /^(?:cream|beat)$/.test(c.verb))
      work.edits.push({
        from: c.span[0] + verb.index,
        to: c.span[0] + verb.index + verb[0].length,
        words: /^\p{Lu}/u.test(verb[0]) ? 'Whisk' : 'whisk',
      })
    const until = /\s*,?\s*\b(?:until|till)\b[^.;]*?\b(?:pale|fluffy|light|creamy|white)\b(?:\s*(?:and|,)\s*\p{L}+)?/iu.exec(
      work.text.slice(...c.span),
    )
    if (until)
      work.edits.push({ from: c.span[0] + until.index, to: c.span[0] + until.index + until[0].length, words: ' until thick and even' })
    work.why.add('Without a solid fat there is nothing to cream: it is whisked.')
  }
  put(/\bcreamed (?=mixture|mix|butter|ingredients)/gi, '')
}
