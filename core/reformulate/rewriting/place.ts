import { isGroup, isLine, type Clause, type LineThing } from '../../method/step'
import { scanned } from './scanned'
import { sentencesOf } from '../../language/sentence'
import { capital, joined } from '../../method/text'
import { ingredientOf, need } from '../../pantry/pantry'
import type { OptionLine } from '../option'
import { isDry } from '../spoken'
import { append, bracket } from './edit'
import { takeSodaOut } from './schools'
import {
  before,
  DRIES,
  DRY_ACTS,
  FATS,
  FLOURS,
  isEgg,
  MIXING,
  SUGARS,
  WET_ACTS,
  WET_FRUIT,
  WETS,
  type Place,
  type Sheet,
  type Step,
  type StepRole,
  type Work,
} from './sheet'

/** Eggs that go in singly bear no company. */
const ONE_BY_ONE = /^,?\s*(?:(?:one|1) (?:at a time|by (?:one|1)|after)|singly|individually)/i

/** A spoonful, or what is only done if need be: not where a line goes in. */
function aside(work: Work, c: Clause, t: LineThing): boolean {
  const lead = work.text.slice(Math.max(c.span[0], t.span[0] - 24), t.span[0])
  const bracketed = (work.scan.tokens.find((x) => x.from >= t.span[0])?.depth ?? 0) > 0
  return (
    bracketed ||
    (t.share !== undefined && t.share < 0.4) ||
    /\b(?:spoonfuls?|spoon|tablespoons?|tbsps?|little|pinch|dusting|some) (?:of )?(?:the |your )?$/i.test(lead) ||
    (c.condition !== undefined && c.condition[0] - t.span[1] < 4 && c.condition[0] >= t.span[1] - 1)
  )
}

/**
 * It takes the place of something that the method never named, in a part that is only spoken of as a whole ("sprinkle
 * with half of the topping"): it is told beside that word.
 *
 * @returns whether it was told so
 */
function besideItsPart(sheet: Sheet, l: OptionLine): boolean {
  if (sheet.batterParts.has(l.partIndex) || !l.replaces.length) return false
  const ours = (c: Clause) =>
    c.things.some((t) => (isLine(t) && t.part === l.partIndex) || (isGroup(t) && (t.part ?? c.part) === l.partIndex))
  if (sheet.works.some((w) => w.clauses.some(ours))) return false
  const word = /([\p{L}]+)\W*$/u.exec(sheet.r.recipe.parts[l.partIndex]!.name)?.[1]
  if (!word || word.length < 4) return false
  for (const work of sheet.works) {
    const m = new RegExp(`\\b${word}\\b`, 'i').exec(work.text)
    if (!m) continue
    bracket(work, m.index + m[0].length, sheet.name(l.ingredient))
    sheet.say(l)
    return true
  }
  return false
}

/** What is new and not said yet goes in where its kind goes in; then what schools prepare, wait for and test. */
export function placeNew(sheet: Sheet) {
  for (const part of sheet.batterParts) eggsInGroup(sheet, part)
  for (const l of sheet.added()) {
    if (sheet.isSaid(l) || sheet.named(l)) continue
    if (!besideItsPart(sheet, l)) bring(sheet, l)
  }
  if (sheet.resting === 'soda-late' || sheet.sodaAfter) takeSodaOut(sheet)
  if (sheet.sodaAfter)
    insert(
      sheet,
      sheet.sodaAfter,
      {
        text: `Only then sift ${sheet.nameTold(sheet.result('baking-soda')!)} over it and stir it in quickly.`,
        why: 'Soda foams as soon as it is wet: it does not wait out a rest.',
        role: 'add',
      },
      true,
    )
  const main = sheet.firstClauseOf((c) => sheet.batterParts.has(c.part) && !['heat-oven', 'ready-tin', 'other'].includes(c.act)) ?? {
    work: 0,
    clause: 0,
  }
  const tin = sheet.tinClause()
  const bake = sheet.lastBake()
  const late = tin ?? (bake && (!sheet.lastFlour() || before(sheet.lastFlour()!, bake)) ? bake : undefined)
  // A foam is whipped once the batter has rested.
  for (const p of [...sheet.prepared].sort((a, b) => Number(b.role === 'rest') - Number(a.role === 'rest'))) {
    if (p.at === 'start' || p.at === 'before-mixing') insert(sheet, main, p)
    else if (p.at === 'last') insert(sheet, late ?? sheet.mixed() ?? { work: sheet.works.length - 1, clause: -1 }, p, !late)
    else {
      // What the oven does is told before the cake is out of it.
      const mixed = sheet.mixed()
      const out = bake
        ? undefined
        : sheet.firstClauseOf((c, w) => {
            const at = { work: sheet.works.indexOf(w), clause: w.clauses.indexOf(c) }
            return ['cool', 'unmould', 'serve'].includes(c.act) && (!mixed || before(mixed, at))
          })
      insert(sheet, bake ?? out ?? { work: sheet.works.length - 1, clause: -1 }, p, !out)
    }
  }
}

/** Puts what no sentence names yet where its kind goes in. */
export function bring(sheet: Sheet, l: OptionLine) {
  sheet.say(l)
  const name = sheet.name(l.ingredient)
  const dry = isDry(l.ingredient)
  const kinds = dry
    ? ['sugar', 'sweetener'].includes(need(l.ingredient).kind)
      ? SUGARS
      : FLOURS
    : need(l.ingredient).kind === 'fat'
      ? FATS
      : WETS
  const poured =
    kinds === WETS || (kinds === FATS && (need(l.ingredient).per100.liquidFat ?? 0) > (need(l.ingredient).per100.plasticFat ?? 0))
  const boxed = bakedAtOnce(sheet, l.partIndex)
  if (boxed) {
    append(sheet.works[boxed.work]!, boxed.thing, dry ? name : `the ${name}`)
    sheet.works[boxed.work]!.why.add(`${capital(name)} goes in with the mix.`)
    return
  }
  if (mixedUntold(sheet, l)) return
  const part = dry ? l.partIndex : wetPart(sheet, l.partIndex)
  const group = groupOf(sheet, dry ? (dryPart(sheet) ?? part) : part, dry)
  const like =
    // Water is often poured boiling over fruit or cocoa: what is wet goes in with eggs and milk rather.
    (kinds === WETS ? listOf(sheet, part, kinds, WET_ACTS, (id) => id !== 'water') : undefined) ??
    notBoiling(sheet, listOf(sheet, part, kinds, kinds === WETS ? WET_ACTS : MIXING)) ??
    // What is one of "the dry ingredients" goes there, before it goes to anything else that is dry.
    (dry && !group ? listOf(sheet, part, DRIES, DRY_ACTS) : undefined) ??
    // Milk goes in with the oil, oil with the milk; with fruit only where that is wet itself.
    (poured ? listOf(sheet, part, kinds === WETS ? FATS : WETS, WET_ACTS, isPoured) : undefined) ??
    (poured ? listOf(sheet, part, WET_FRUIT, WET_ACTS, (id) => /puree|sauce|juice|banana|pumpkin|crushed/.test(id)) : undefined)
  const rest = restOf(sheet, l)
  if (rest) {
    const work = sheet.works[rest.work]!
    bracket(work, wordEnd(work.text, work.clauses[rest.clause]!.things.find(isGroup)!.span[1]), name)
    work.why.add(`${capital(name)} goes in with the rest.`)
    return
  }
  if (group && (!like || before(group, like))) {
    const work = sheet.works[group.work]!
    const span = work.clauses[group.clause]!.things.find(isGroup)!.span
    bracket(work, wordEnd(work.text, span[1]), name)
    work.why.add(`${capital(name)} ${dry ? 'is one of the dry things' : 'goes in with the rest'}.`)
    return
  }
  if (like) {
    const work = sheet.works[like.work]!
    append(work, like.thing, dry ? name : `the ${name}`)
    work.why.add(
      dry ? `${capital(name)} goes in with ${kinds === SUGARS ? 'the sugar' : 'the flour'}.` : `${capital(name)} goes in with what is wet.`,
    )
    return
  }
  // Wet things go in before the flour, with whatever is stirred in there: "stir in the zest".
  const beside = dry ? undefined : listOf(sheet, l.partIndex, BESIDE, WET_ACTS)
  const flour = beside && listOf(sheet, l.partIndex, FLOURS, MIXING)
  if (beside && flour && before(beside, flour)) {
    append(sheet.works[beside.work]!, beside.thing, `the ${name}`)
    sheet.works[beside.work]!.why.add(`${capital(name)} goes in before the flour.`)
    return
  }
  const own = foldBefore(sheet, l.partIndex) ?? sheet.tinClause(l.partIndex)
  const mixed = sheet.mixed(l.partIndex)
  // What is of the batter goes in before it bakes, wherever its part was told of.
  const tin =
    own ??
    (mixed || !sheet.batterParts.has(l.partIndex) ? undefined : (sheet.firstClauseOf((c) => c.act === 'fill-tin') ?? sheet.lastBake()))
  const text = dry ? `Sift in the ${name}.` : `${need(l.ingredient).kind === 'nut' ? 'Fold' : 'Stir'} in the ${name}.`
  insert(
    sheet,
    tin ?? mixed ?? { work: sheet.works.length - 1, clause: -1 },
    { text, why: l.status === 'added' ? 'New in this mix.' : 'It still goes in.', role: 'add' },
    !tin,
  )
}

/** Nothing goes along with water that is poured boiling over something. */
function notBoiling<P extends Place & { thing: LineThing }>(sheet: Sheet, at: P | undefined): P | undefined {
  const hot = at?.thing.ingredient === 'water' && /\b(?:boiling|hot)\s+$/i.test(sheet.works[at.work]!.text.slice(0, at.thing.span[0]))
  return hot || /^(?:boiling|hot)\b/i.test(at ? sheet.works[at.work]!.text.slice(...at.thing.span) : '') ? undefined : at
}

/** Kinds that are stirred in by themselves. */
const BESIDE: ReadonlySet<string> = new Set(['fruit', 'flavour'])

/** "Bake the mix with water, oil and eggs as the box says": where nothing tells of the bowl, all goes in there. */
function bakedAtOnce(sheet: Sheet, part: number): (Place & { thing: LineThing }) | undefined {
  const ours = (t: Clause['things'][number]): t is LineThing => isLine(t) && t.part === part && t.ingredient.startsWith('cake-mix')
  for (let work = 0; work < sheet.works.length; work++)
    for (const [clause, c] of sheet.works[work]!.clauses.entries()) {
      const thing = c.things.find(ours)
      if (thing) return c.act === 'bake' ? { work, clause, thing } : undefined
    }
  return undefined
}

/** A foam is folded in last: what else goes in goes in before it is whipped, or before it is folded where it stands first. */
function foldBefore(sheet: Sheet, part: number): Place | undefined {
  const ours = (c: Clause) => c.part === part || sheet.batterParts.has(part)
  const place = (c: Clause, w: Work) => ({ work: sheet.works.indexOf(w), clause: w.clauses.indexOf(c) })
  const foamed = sheet.firstClauseOf((c) => c.act === 'foam' && ours(c))
  if (!foamed) return undefined
  const whites = sheet.firstClauseOf(
    (c, w) =>
      c.act === 'foam' &&
      before(foamed, place(c, w)) &&
      c.things.some((t) => isLine(t) && (t.as === 'white' || /^egg-white|aquafaba/.test(t.ingredient))),
  )
  return (
    whites ??
    sheet.firstClauseOf(
      (c, w) =>
        c.act === 'fold' &&
        before(foamed, place(c, w)) &&
        (!c.things.length || c.things.some((t) => !isLine(t) || /^egg|aquafaba/.test(t.ingredient))),
    )
  )
}

/** Oil and what is as runny. */
const isPoured = (id: string): boolean => need(id).kind !== 'fat' || (need(id).per100.liquidFat ?? 0) > (need(id).per100.plasticFat ?? 0)

/** The first list of a part that names something of these kinds, before the part is in its tin. */
function listOf(
  sheet: Sheet,
  part: number,
  kinds: ReadonlySet<string>,
  acts = MIXING,
  suits: (id: string) => boolean = () => true,
): (Place & { thing: LineThing }) | undefined {
  const tin = sheet.tinClause(part)
  for (let work = 0; work < sheet.works.length; work++)
    for (let clause = 0; clause < sheet.works[work]!.clauses.length; clause++) {
      const c = sheet.works[work]!.clauses[clause]!
      if (!acts.has(c.act) || (c.part !== part && !c.things.some((t) => isLine(t) && t.part === part))) continue
      if (tin && !before({ work, clause }, tin)) return undefined
      const thing = c.things.find(
        (t): t is LineThing =>
          isLine(t) &&
          t.part === part &&
          !aside(sheet.works[work]!, c, t) &&
          !ONE_BY_ONE.test(sheet.works[work]!.text.slice(t.span[1])) &&
          kinds.has(ingredientOf(t.ingredient)?.kind ?? '') &&
          suits(t.ingredient) &&
          sheet.fateOf(t.part, t.ingredient).kind !== 'gone' &&
          !sheet.works[work]!.edits.some((e) => (e.words === '' || e.whole) && e.from <= t.span[0] && e.to >= t.span[1]),
      )
      if (thing) return { work, clause, thing }
    }
  return undefined
}

/** "Whisk the wet things": eggs that only such a word meant are one of them still, by what stands for them. */
function eggsInGroup(sheet: Sheet, part: number): void {
  const { egg } = sheet.r
  const lines = sheet.r.recipe.parts[part]!.lines
  if (!egg || egg.foams || sheet.eggPlaced.has(part) || !lines.some((l) => l.ingredient && isEgg(l.ingredient))) return
  const at = groupOf(sheet, part, false)
  const brought = sheet
    .added(part)
    .filter((l) => egg.brings.some((b) => [...b.any, ...(b.with ?? []).flatMap((x) => x.any)].includes(l.ingredient)))
  if (!at || !brought.length || brought.some((l) => l.shares)) return
  const work = sheet.works[at.work]!
  bracket(work, wordEnd(work.text, work.clauses[at.clause]!.things.find(isGroup)!.span[1]), sheet.called)
  work.why.add('It stands for the eggs.')
  brought.forEach((l) => sheet.say(l))
  sheet.placeEgg(part)
}

/** Before the mark and the joint that end a clause. */
const wordEnd = (text: string, at: number): number => at - /(?:[\s,;.!:]|\b(?:and|then)\b)*$/i.exec(text.slice(0, at))![0].length

/** "Mix in the remaining ingredients": what stands for one of them, or raises the flour that is one of them, is one too. */
function restOf(sheet: Sheet, l: OptionLine): Place | undefined {
  const lines = sheet.r.recipe.parts[l.partIndex]!.lines
  const unnamed = (test: (id: string) => boolean) =>
    lines.some((x) => x.ingredient && test(x.ingredient)) &&
    !sheet.works.some((w) => w.clauses.some((c) => c.things.some((t) => isLine(t) && t.part === l.partIndex && test(t.ingredient))))
  const kind = need(l.ingredient).kind
  const dry = kind === 'leavener' || kind === 'binder'
  const stands = l.replaces.length > 0 && l.replaces.every((id) => unnamed((x) => x === id))
  if (!stands && !(dry && unnamed((x) => /^flour/.test(x)))) return undefined
  return sheet.firstClauseOf((c) => MIXING.has(c.act) && c.part === l.partIndex && c.things.some((t) => isGroup(t) && t.group === 'rest'))
}

/** A part whose making nobody tells: a sentence says it, before it is used, with all that is in it now. */
function mixedUntold(sheet: Sheet, l: OptionLine): boolean {
  if (sheet.batterParts.has(l.partIndex)) return false
  const at = sheet.firstClauseOf((c) => c.part === l.partIndex && c.things.some((t) => isGroup(t) && t.implied === true))
  if (!at || MIXING.has(sheet.works[at.work]!.clauses[at.clause]!.act)) return false
  const part = sheet.r.recipe.parts[l.partIndex]!
  const lines = sheet.r.lines.filter((x) => x.partIndex === l.partIndex && x.to > 0)
  for (const x of lines) sheet.say(x)
  const fat = lines.some((x) => need(x.ingredient).kind === 'fat')
  const names = joined(lines.map((x) => sheet.name(x.ingredient)))
  const what = part.name.toLowerCase().replace(/^(?:for )?the /, '')
  insert(sheet, at, {
    text: `For the ${what}, ${fat && lines.some((x) => need(x.ingredient).kind === 'flour') ? `rub ${names} to crumbs` : `mix ${names}`}.`,
    why: 'The recipe does not say how it is made.',
    role: 'add',
  })
  return true
}

/** Of bowls of one batter the one that holds what is wet, where a part holds none: "Dry", "Wet". */
function wetPart(sheet: Sheet, part: number): number {
  const wet = (p: number) => sheet.r.recipe.parts[p]!.lines.some((l) => WETS.has(ingredientOf(l.ingredient)?.kind ?? ''))
  if (!sheet.batterParts.has(part) || wet(part)) return part
  return [...sheet.batterParts].find(wet) ?? part
}

/** The batter part that its heading calls dry, or the lettered set that has the flour. */
function dryPart(sheet: Sheet): number | undefined {
  const parts = [...sheet.batterParts].map((p) => ({ p, part: sheet.r.recipe.parts[p]! }))
  if (parts.length < 2) return undefined
  const floury = (lines: readonly { ingredient: string | null }[]) => lines.some((l) => l.ingredient && need(l.ingredient).kind === 'flour')
  return (parts.find(({ part }) => /\bdry\b/i.test(part.name)) ?? parts.find(({ part }) => /^[A-H]$/.test(part.name) && floury(part.lines)))
    ?.p
}

/** What is named with the group is flour and the like, and nothing wet. */
function ofDry(c: Clause): boolean {
  const named = c.things.filter(isLine)
  return named.length > 0 && named.every((t) => isDry(t.ingredient))
}

function groupOf(sheet: Sheet, part: number, dry: boolean): Place | undefined {
  return sheet.firstClauseOf(
    (c) =>
      MIXING.has(c.act) &&
      c.things.some(
        (t) =>
          isGroup(t) &&
          (t.part ?? c.part) === part &&
          (t.group === 'all' || (t.group === 'rest' && !dry) || t.group === (dry ? 'dry' : 'wet')),
      ) &&
      // "Flour and the next 4 ingredients" are the dry ones.
      (dry || !ofDry(c)),
  )
}

/** Puts a sentence before (or behind) a clause: as a step of its own, or inside a paragraph, which it parts where it must. */
function insert(sheet: Sheet, at: Place, p: { text: string; why: string; role: StepRole }, after = false) {
  const work = sheet.works[at.work]
  if (!work) return
  const clause = work.clauses[at.clause]
  const sentences = sentencesOf(work.scan.tokens)
  if (!clause) {
    work.inserts.push({ ...p, at: -1, to: -1, after: true })
    return
  }
  const token = work.scan.tokens.findIndex((t) => t.from >= clause.span[0])
  const sentence = sentences.find(([a, b]) => token >= a && token < b) ?? sentences[0]!
  const start = work.scan.tokens[sentence[0]]!.from
  if (after) {
    // What follows in the step is done after it: "Bake till a skewer comes out clean. Eat warm."
    if (sentences.length <= 2 && sentence === sentences.at(-1)) work.inserts.push({ ...p, at: -1, to: -1, after })
    else {
      const place = work.scan.tokens[sentence[1] - 1]!.to
      work.inserts.push({ ...p, at: place, to: place, after })
    }
    return
  }
  const joint = /[\s,;–-]*(?:\b(?:and|then)\b[\s,]*)*$/i.exec(work.text.slice(0, clause.span[0]))![0].length
  const to = clause.span[0] + /^\s*(?:(?:and|then)\s+)*/i.exec(work.text.slice(clause.span[0]))![0].length
  const from = clause.span[0] - joint
  // Something of this very mixture was done in the sentence before: it is parted there.
  if (from > start && work.clauses.some((c, i) => i < at.clause && c.span[0] >= start - 1 && MIXING.has(c.act)))
    work.inserts.push({ ...p, at: from, to })
  else if (sentence !== sentences[0] && (sentences.length > 2 || work.clauses.some((c, i) => i < at.clause && MIXING.has(c.act))))
    work.inserts.push({ ...p, at: start, to: start })
  else work.inserts.push({ ...p, at: -1, to: -1 })
}

/** The last look: everything new is named, and everything that stayed and was named still is. */
export function missing(sheet: Sheet, steps: readonly Step[]): OptionLine[] {
  const read = (texts: readonly string[]) => ({
    words: texts.join('\n').toLowerCase(),
    ids: new Set(texts.flatMap((s) => scanned(s, sheet.r.region).mentions.map((m) => m.id))),
  })
  const told = (id: string, { words, ids }: ReturnType<typeof read>) => ids.has(id) || words.includes(sheet.name(id).toLowerCase())
  const now = read(steps.map((s) => s.text))
  const before = read(sheet.r.recipe.method)
  return sheet.r.lines.filter(
    (l, i, all) =>
      l.to > 0 &&
      !sheet.collected.has(l) &&
      all.findIndex((x) => x.ingredient === l.ingredient) === i &&
      !told(l.ingredient, now) &&
      (l.status === 'added'
        ? !['flour', 'starch'].includes(need(l.ingredient).kind) || !/\bflours?\b/.test(now.words)
        : told(l.ingredient, before)),
  )
}
