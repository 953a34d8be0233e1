import type { Time } from '../language/dial'
import { scan, type Scan } from '../language/item'
import type { Mention } from '../language/name'
import type { Region } from '../measure/region'
import { heatsOf, reheated, retimed } from '../method/clock'
import { readMethod } from '../method/read'
import { sentencesOf } from '../method/sentence'
import { isGroup, isLine, type Act, type Clause, type LineThing, type Method } from '../method/step'
import { applyEdits, capital, dropFromList, joined, mended, phraseOf, type TextEdit } from '../method/text'
import { lineKeys, namedBy } from '../method/thing'
import { ingredientOf, need } from '../pantry/pantry'
import type { Oven, Recipe } from '../recipe/recipe'
import type { ChangeSchool } from '../swaps/change'
import type { AddedStep, School } from '../swaps/school'
import type { OptionLine } from './option'
import { isDry, spoken } from './spoken'

/** A step made by the program says what it is for, so that nobody has to find it by its words. */
export type StepRole = 'prepare' | 'add' | 'rest' | 'oven' | 'test'

export interface Step {
  text: string
  changed: boolean
  why: string
  role?: StepRole
}

/** What the rewriter must know of an answer. */
export interface Rewriting {
  region: Region
  recipe: Recipe
  /** Every line before and after. */
  lines: readonly OptionLine[]
  egg?: School
  /** Schools that changed by degree, with what each brought. */
  changes: readonly { school: ChangeSchool; brought: readonly string[] }[]
  /** How the oven is set before and after. */
  oven: { before: readonly Oven[]; after: readonly Oven[]; why: string; says: readonly { text: string; why: string }[] }
  /** The batter is a whipped foam: it waits for nothing. */
  foam: boolean
  baked: boolean
  glutenFree: boolean
  dairyFree: boolean
}

/** What becomes of a line of the recipe as it was. */
interface Fate {
  kind: 'kept' | 'swapped' | 'gone'
  /** What takes its place, as ingredients of the same part. */
  by: OptionLine[]
  now?: OptionLine
}

const key = (part: number, id: string) => `${part}:${id}`
const isEgg = (id: string) => /^egg-(?:whole|white|yolk)$/.test(id)

/** A clause of a step. */
interface Place {
  work: number
  clause: number
}
const before = (a: Place, b: Place): boolean => a.work < b.work || (a.work === b.work && a.clause < b.clause)

/** Acts in which things come together. */
const MIXING: ReadonlySet<string> = new Set<Act>(['mix', 'cream', 'foam', 'fold', 'melt', 'rub-in', 'simmer', 'soften'])
/** What whips without egg. */
const WHIPS = /^(?:aquafaba|cream-(?:heavy|double|single)|plant-cream|coconut-cream|butter|plant-butter|meringue-powder)/
/** Acts in which a liquid goes in: not into a foam, nor into what is creamed. */
const WET_ACTS: ReadonlySet<string> = new Set<Act>(['mix', 'fold', 'melt', 'simmer'])
/** Acts in which dry things meet dry things. */
const DRY_ACTS: ReadonlySet<string> = new Set<Act>(['mix', 'fold'])
const SUGARS: ReadonlySet<string> = new Set(['sugar', 'sweetener'])
const FLOURS: ReadonlySet<string> = new Set(['flour', 'mix', 'starch'])
const DRIES: ReadonlySet<string> = new Set(['leavener', 'cocoa', 'salt', 'spice', 'nut', 'sugar'])
const FATS: ReadonlySet<string> = new Set(['fat'])
const WETS: ReadonlySet<string> = new Set(['dairy', 'plant-dairy', 'water', 'egg', 'fruit', 'syrup', 'acid'])

/** At one place things come in, then the batter rests, then a foam is whipped for it. */
const ORDER: readonly StepRole[] = ['add', 'rest', 'prepare', 'oven', 'test']

/** One step while it is worked on. */
interface Work {
  text: string
  scan: Scan
  clauses: Clause[]
  /** `whole`: a clause that was told anew. */
  edits: (TextEdit & { whole?: true })[]
  why: Set<string>
  /** Sentences put in, by the character before which they stand; -1 for a step of its own before this one. */
  inserts: { at: number; to: number; text: string; why: string; role: StepRole; after?: boolean }[]
  gone: boolean
}

/**
 * Rewrites a method for what changed: each mention of what left gives way, what is new goes in where its kind goes in,
 * times and temperatures follow the oven. What is not touched comes back letter by letter.
 */
export function rewriteMethod(r: Rewriting): Step[] {
  const ownMethod = r.changes.find((c) => c.school.ownMethod)
  const model = readMethod(r.recipe, r.region)
  const w = new Rewriter(r, model)
  if (ownMethod) return w.ownMethod()
  if (!r.recipe.method.length) return w.untold()
  return w.run()
}

class Rewriter {
  private readonly fates = new Map<string, Fate>()
  private readonly works: Work[]
  private readonly keys
  private eggPlaced = new Set<number>()
  /** New things that a word for several of them names. */
  private readonly collected = new Set<OptionLine>()
  /** What stands in a bowl of its own where a foam of eggs stood, by part. */
  private readonly stands = new Map<number, string>()
  /** New things that some sentence names by now. */
  private readonly said = new Set<string>()
  private readonly called: string
  private readonly prepared: { text: string; why: string; role: StepRole; at: AddedStep['at']; of?: string }[] = []
  private readonly batterParts: Set<number>
  private readonly resting: 'plain' | 'soda-late' | 'no'
  private get lateSoda(): boolean {
    return this.resting === 'soda-late'
  }

  constructor(
    private readonly r: Rewriting,
    model: Method,
  ) {
    this.keys = lineKeys(r.recipe)
    this.batterParts = new Set(r.recipe.parts.flatMap((p, i) => (p.role === 'batter' ? [i] : [])))
    if (!this.batterParts.size) this.batterParts.add(0)
    for (const l of r.lines) this.takeLine(l)
    this.called = r.egg ? this.fill(r.egg.calledInMethod).replace(/^the /, '') : ''
    const soda = this.result('baking-soda')
    const rests = !r.foam && r.changes.some((c) => c.school.steps.some((s) => s.rests))
    this.works = model.steps.map((s) => ({
      text: s.text,
      scan: scan(s.text, r.region),
      clauses: s.clauses,
      edits: [],
      why: new Set(),
      inserts: [],
      gone: false,
    }))
    this.resting = rests ? this.restWith(soda !== undefined) : 'no'
  }

  /** A batter with soda cannot wait: it rests without, where the soda goes in with the flour; else it does not rest. */
  private restWith(soda: boolean): 'plain' | 'soda-late' | 'no' {
    if (this.r.egg?.foams && this.whipped()) return 'no'
    // A spoon of flour that thickens a filling is no batter that must drink.
    const flour = this.added().reduce((sum, l) => (['flour', 'starch'].includes(need(l.ingredient).kind) ? sum + l.to : sum), 0)
    if (flour < LEAST_TO_REST) return 'no'
    const all = this.works.flatMap((w) => w.clauses)
    const mixed = all.findLastIndex((c) => MIXING.has(c.act) && this.batterParts.has(c.part))
    // It rests as it is.
    if (all.some((c, i) => i > mixed && c.act === 'rest' && c.minutes && c.minutes[1] >= 15 && all.slice(i).some((x) => x.act === 'bake')))
      return 'no'
    if (!soda) return 'plain'
    const clauses = all.filter((c) => c.things.some((t) => isLine(t) && t.ingredient === 'baking-soda'))
    // Unnamed, it is wet with all the other dry things.
    const comesNow = !this.r.lines.some((l) => l.ingredient === 'baking-soda' && l.from > 0)
    if (!clauses.length) return comesNow ? 'soda-late' : 'no'
    return clauses.every((c) => c.things.some((t) => isLine(t) && FLOURS.has(ingredientOf(t.ingredient)?.kind ?? ''))) ? 'soda-late' : 'no'
  }

  private takeLine(l: OptionLine) {
    const at = key(l.partIndex, l.ingredient)
    const before = this.fates.get(at)
    if (l.from > 0) {
      if (l.to > 0) this.fates.set(at, { kind: 'kept', by: [], now: l })
      else if (before?.kind !== 'kept') {
        const all = this.r.lines.filter((x) => x.status === 'added' && x.to > 0 && x.replaces.includes(l.ingredient))
        const here = all.filter((x) => x.partIndex === l.partIndex)
        // Of a batter in several parts one line may stand for all.
        const by = here.length || !this.batterParts.has(l.partIndex) ? here : all.filter((x) => this.batterParts.has(x.partIndex))
        this.fates.set(at, { kind: by.length ? 'swapped' : 'gone', by })
      }
    }
  }

  /** The line of the result that holds an ingredient, in a batter part first. */
  private result(id: string): OptionLine | undefined {
    return this.r.lines.find((l) => l.ingredient === id && l.to > 0)
  }
  private name(id: string): string {
    return spoken(id, this.r.region)
  }
  private added(part?: number): OptionLine[] {
    return this.r.lines.filter((l) => l.status === 'added' && l.to > 0 && (part === undefined || l.partIndex === part))
  }
  private carrier(any: readonly string[] | undefined): string | undefined {
    return any?.find((id) => this.r.lines.some((l) => l.ingredient === id && l.to > 0))
  }

  private fill(text: string): string {
    const school = this.r.egg
    const acid =
      this.added().find((a) => need(a.ingredient).kind === 'acid') ??
      this.r.lines.find((l) => l.to > l.from && need(l.ingredient).kind === 'acid')
    return text
      .replaceAll('{carrier}', this.name(this.carrier(school?.brings[0]?.any) ?? school?.brings[0]?.any[0] ?? 'water'))
      .replaceAll('{tied}', this.name(this.carrier(school?.brings[0]?.with?.[0]?.any) ?? 'vinegar'))
      .replaceAll('{gum}', this.name(this.carrier(school?.brings[0]?.with?.[1]?.any) ?? 'xanthan-gum'))
      .replaceAll('{soda}', this.name('baking-soda'))
      .replaceAll('{acid}', acid ? this.name(acid.ingredient) : 'vinegar')
  }

  /** A foam takes the place of whipped eggs where they were whipped; else it is folded in last. */
  private placeFoam() {
    const { egg } = this.r
    if (!egg?.foams) return
    if (this.whipped()) this.prepared.splice(0, this.prepared.length, ...this.prepared.filter((p) => p.of !== egg.id))
    else {
      for (const part of this.batterParts) this.eggNames(part)
      for (const part of this.batterParts) this.eggPlaced.add(part)
      for (const p of this.prepared) if (p.of === egg.id && p.at === 'before-mixing') p.at = 'last'
    }
  }

  /** The eggs of the batter are whipped to a foam, at once or after they were warmed. */
  private whipped(): boolean {
    return this.works.some((w) =>
      w.clauses.some(
        (c, i) =>
          c.act === 'foam' &&
          this.batterParts.has(c.part) &&
          w.clauses.slice(0, i + 1).some((x) => x.things.some((t) => isLine(t) && isEgg(t.ingredient))) &&
          !c.things.some((t) => isLine(t) && !isEgg(t.ingredient) && WHIPS.test(t.ingredient)),
      ),
    )
  }

  run(): Step[] {
    this.collectSchoolSteps()
    this.placeFoam()
    this.works.forEach((_, i) => this.foams(i))
    this.works.forEach((_, i) => this.words(i))
    this.works.forEach((_, i) => this.mentions(i))
    this.oven()
    this.place()
    this.missing(this.steps()).forEach((l) => this.bring(l))
    return this.steps()
  }

  /** The line that a mention names: as the model links it, else the likeliest of its clause's part. */
  private lineOf(
    work: Work,
    m: Mention,
  ): { part: number; line: number; ingredient: string; thing?: LineThing; clause?: Clause } | undefined {
    const at = work.scan.tokens[m.from]!.from
    for (const clause of work.clauses)
      for (const t of clause.things)
        if (isLine(t) && t.span[0] === at) return { part: t.part, line: t.line, ingredient: t.ingredient, thing: t, clause }
    const clause = work.clauses.find((c) => at >= c.span[0] && at < c.span[1]) ?? work.clauses.at(-1)
    const candidates = this.keys.filter((k) => k.id === m.id || (isEgg(m.id) && isEgg(k.id)) || namedBy(m, k))
    const best =
      candidates.find((k) => k.part === clause?.part && k.id === m.id) ??
      candidates.find((k) => k.part === clause?.part) ??
      (candidates.length && new Set(candidates.map((k) => k.part)).size === 1 ? candidates[0] : undefined)
    return best && { part: best.part, line: best.line, ingredient: best.id, ...(clause && { clause }) }
  }

  private fateOf(part: number, id: string): Fate {
    return this.fates.get(key(part, id)) ?? { kind: 'kept', by: [] }
  }

  /** Whipped eggs leave with their whole family: beater, minutes, sign, and what was folded for their sake. */
  private foams(index: number) {
    const work = this.works[index]!
    work.clauses.forEach((c, n) => {
      const lines = c.things.filter(isLine)
      const eggs = lines.filter((t) => isEgg(t.ingredient) && this.fateOf(t.part, t.ingredient).kind !== 'kept')
      if (/^separate/.test(c.verb) && eggs.length) this.removeClause(work, n, 'There are no eggs to separate.')
      else if (c.act !== 'foam') return
      else if (!eggs.length) {
        // "Add the sugar and beat to stiff peaks": of a foam that is no more.
        if (!work.edits.some((e) => e.whole) || lines.some((t) => WHIPS.test(t.ingredient))) return
        if (lines.length) this.retell(work, c, `stir in ${joined(this.namesOf(work, lines))}`)
        else this.removeClause(work, n, '')
      } else if (!eggs.some((t) => this.fateOf(t.part, t.ingredient).by.some((l) => ingredientOf(l.ingredient)?.foams))) {
        const part = eggs[0]!.part
        const names = this.namesOf(
          work,
          lines.filter((t) => !isEgg(t.ingredient) && this.fateOf(t.part, t.ingredient).kind !== 'gone'),
        )
        const wet = this.eggPlaced.has(part) ? [] : this.eggNames(part)
        if (!wet.length && !names.length) this.removeClause(work, n, 'There is no foam to build.')
        else if (!wet.length) this.retell(work, c, `stir in ${joined(names)}`)
        else {
          this.eggPlaced.add(part)
          this.stands.set(part, `${wet[0]!.replace(/ mixture$/, '')} mixture`)
          this.retell(work, c, `whisk the ${joined(wet)}${names.length ? ` with ${joined(names)}` : ''} until smooth`)
        }
      }
    })
  }

  /** Things of a clause as its new words name them. */
  private namesOf(work: Work, things: readonly LineThing[]): string[] {
    return things.map((t) => {
      const fate = this.fateOf(t.part, t.ingredient)
      fate.by.forEach((b) => this.say(b))
      if (fate.kind === 'swapped') return `the ${joined(fate.by.map((b) => this.name(b.ingredient)))}`
      const m = work.scan.mentions.find((x) => work.scan.tokens[x.from]!.from === t.span[0])
      const np = m && t.share !== undefined ? phraseOf(work.scan, m) : undefined
      return np?.amount ? work.text.slice(np.from, np.to) : `${t.rest ? 'the rest of the ' : 'the '}${work.text.slice(...t.span)}`
    })
  }

  /** Tells a clause anew, between the words that join it to others. */
  private retell(work: Work, c: Clause, words: string) {
    const [from, to] = c.span
    const own = work.text.slice(from, to)
    const opening = /^\s*/.exec(own)![0]
    const tail = /[\s,;.!]*(?:\b(?:and|then)\b\s*)*$/i.exec(own)![0]
    work.edits.push({ from, to, words: opening + (this.opens(work.text, from) ? capital(words) : words) + tail, whole: true })
    work.why.add('Only egg (or bean-can liquid) whips to a foam.')
  }

  private opens(text: string, at: number): boolean {
    return /(?:^|[.!?:]\s*)$/.test(text.slice(0, at).trimEnd() ? text.slice(0, at) : '')
  }

  /** What stands where the eggs of a part stood: the school's carrier, and the liquid that came with it. */
  private eggNames(part: number): string[] {
    const by = this.r.lines.filter((l) => l.status === 'added' && l.to > 0 && l.partIndex === part && l.replaces.some(isEgg))
    const names: string[] = []
    const school = this.batterParts.has(part) ? this.r.egg : undefined
    if (school) {
      names.push(school.foams ? this.name(this.carrier(school.brings[0]?.any) ?? 'aquafaba') : this.called)
      for (const b of school.brings)
        for (const id of [...b.any, ...(b.with ?? []).flatMap((x) => x.any)])
          if (this.added(part).some((l) => l.ingredient === id)) this.said.add(key(part, id))
    }
    for (const l of [...by, ...this.looseLiquids(part)]) {
      if (this.said.has(key(part, l.ingredient)) || (school && isDry(l.ingredient)) || isDry(l.ingredient)) continue
      if (!names.some((n) => n.includes(this.name(l.ingredient)))) names.push(this.name(l.ingredient))
      this.say(l)
    }
    if (!school)
      for (const l of by)
        if (isDry(l.ingredient)) {
          names.push(this.name(l.ingredient))
          this.say(l)
        }
    return names
  }

  /** A thin liquid splits creamed butter: it goes in by turns with the flour. */
  private inTurns(): boolean {
    return Boolean(this.r.egg?.inTurns) && this.works.some((w) => w.clauses.some((c) => c.act === 'cream' && this.batterParts.has(c.part)))
  }

  /** Liquids that came in beside the school's own and stand for nothing else. */
  private looseLiquids(part: number): OptionLine[] {
    if (!this.batterParts.has(part)) return []
    return this.added(part).filter((l) => {
      const kind = need(l.ingredient).kind
      return (kind === 'water' || kind === 'plant-dairy' || kind === 'dairy') && !l.replaces.some((id) => !isEgg(id))
    })
  }

  private say(l: { partIndex: number; ingredient: string }) {
    this.said.add(key(l.partIndex, l.ingredient))
  }

  /** Takes a clause out, with the comma or "and" that joined it. */
  private removeClause(work: Work, n: number, why: string) {
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
    if (why) work.why.add(why)
  }

  /** Every mention of what left gives way. */
  private mentions(index: number) {
    const work = this.works[index]!
    const { scan: s } = work
    const swallowed = (from: number, to: number) => work.edits.some((e) => e.from <= from && e.to >= to)
    for (const m of s.mentions) {
      const t = s.tokens[m.from]!
      const to = s.tokens[m.to - 1]!.to
      const found = this.lineOf(work, m)
      // "If the top is white": a colour, not a thing.
      if (found && !found.thing && t.word === 'white') continue
      if (!found || swallowed(t.from, to)) continue
      const fate = this.fateOf(found.part, found.ingredient)
      if (fate.kind === 'kept') {
        if (fate.now && fate.now.status === 'changed') this.amounts(work, m, found.thing, fate.now)
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
      if (/^(?:mixture|batter|foam|mix|mass)$/.test(next)) {
        const words = fate.kind === 'swapped' && !isEgg(found.ingredient) ? `${joined(fate.by.map((b) => this.name(b.ingredient)))} ` : ''
        // There is no foam any more where only a mixture was whisked.
        const foam = next === 'foam' && !this.r.egg?.foams
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
        clause.things.filter((x) => isLine(x) && x.span[0] === found.thing!.span[0]).length > 1 &&
        !isEgg(found.ingredient)
      ) {
        for (const x of clause.things)
          if (isLine(x) && x.span[0] === found.thing.span[0]) this.fateOf(x.part, x.ingredient).by.forEach((b) => this.collected.add(b))
        for (const b of this.collected) this.say(b)
        continue
      }
      const limit = clause ? s.tokens.findIndex((x) => x.from >= clause.span[0]) : 0
      const verbAt = clause?.verb ? s.tokens.findIndex((x, i) => i >= limit && x.word === clause.verb) : -1
      const np = phraseOf(s, m, Math.max(limit, verbAt + 1, 0))
      if (isEgg(found.ingredient)) this.eggMention(work, m, np, found, clause)
      else if (fate.kind === 'swapped') this.swap(work, np, fate.by, found, m)
      else this.drop(work, np, clause, m, found.ingredient)
    }
  }

  private swap(
    work: Work,
    np: ReturnType<typeof phraseOf>,
    by: readonly OptionLine[],
    found: { part: number; ingredient: string },
    m: Mention,
  ) {
    const same = need(found.ingredient).kind
    const flour = same === 'flour' && by.every((b) => ['flour', 'starch', 'binder'].includes(need(b.ingredient).kind))
    const first = !by.every((b) => this.said.has(key(b.partIndex, b.ingredient)))
    by.forEach((b) => this.say(b))
    const short = m.words.length === 1 && /^flour/.test(m.words[0]!)
    // Flour for flour keeps its short name, once it was said what it is.
    const own = work.text.slice(work.scan.tokens[m.from]!.from, work.scan.tokens[m.to - 1]!.to)
    const names = flour && short && !first ? ['flour'] : by.map((b) => this.asWritten(b.ingredient, found.ingredient, own))
    // All of a line takes its new amount; "a spoonful" of it stays a spoonful.
    const amount =
      np.amount && first && np.whole && by.length === 1 && !/\bof\b/.test(work.text.slice(np.amount[1], work.scan.tokens[m.from]!.from))
        ? `${by[0]!.kitchen} `
        : ''
    const at = work.scan.tokens[m.from]!.from
    if (amount) work.edits.push({ from: np.from, to: np.to, words: `${amount}${names.join('')}` })
    else {
      const sorts = /\b(?:unsalted|salted|sifted|plain|all-purpose|self-raising|self-rising|cold|cubed|diced)\s+/gi
      const lead = work.text.slice(np.from, at)
      work.edits.push(
        ...this.inList(work, lead.replace(sorts, '') === lead ? at : np.from, np.to, [
          `${lead.replace(sorts, '') === lead ? '' : lead.replace(sorts, '')}${names[0]!}`,
          ...names.slice(1),
        ]),
      )
    }
    work.why.add(`${capital(joined(by.map((b) => this.name(b.ingredient))))} in place of ${this.name(found.ingredient)}.`)
  }

  /** The baker's own word where the new thing is of its kind: "gluten-free cookies", "soy yoghurt". */
  private asWritten(id: string, from: string, own: string): string {
    if (id === `${from}-gf`) return `gluten-free ${own}`
    const spelt = /yogh?ourt|yoghurt/i.exec(own)
    return spelt ? this.name(id).replace('yogurt', spelt[0].toLowerCase()) : this.name(id)
  }

  private eggMention(
    work: Work,
    m: Mention,
    np: ReturnType<typeof phraseOf>,
    found: { part: number; ingredient: string; thing?: LineThing },
    clause: Clause | undefined,
  ) {
    const school = this.batterParts.has(found.part) ? this.r.egg : undefined
    const whites = m.words.at(-1) !== 'yolk'
    if (school?.foams && this.whipped()) {
      // The foam is made where the whites were, and folded in where they were; nothing stands for the yolks.
      const foam =
        this.added(found.part).find((l) => ingredientOf(l.ingredient)?.foams) ?? this.added().find((l) => ingredientOf(l.ingredient)?.foams)
      if (whites && foam) {
        work.edits.push({ from: work.scan.tokens[m.from]!.from, to: np.to, words: this.name(foam.ingredient) })
        work.why.add(`${capital(this.name(foam.ingredient))} whips as egg white does.`)
        this.say(foam)
      } else if (clause?.act === 'foam') {
        const rest = clause.things.filter(
          (t): t is LineThing => isLine(t) && !isEgg(t.ingredient) && this.fateOf(t.part, t.ingredient).kind !== 'gone',
        )
        if (rest.length) this.retell(work, clause, `put ${joined(this.namesOf(work, rest))} in a bowl`)
        else this.removeClause(work, work.clauses.indexOf(clause), '')
      } else this.drop(work, np, clause, m, found.ingredient)
      return
    }
    const stands = this.stands.get(found.part)
    if (stands && whites && (clause?.act === 'fold' || clause?.act === 'mix')) {
      work.edits.push({ from: work.scan.tokens[m.from]!.from, to: np.to, words: stands })
      return
    }
    const names = this.eggPlaced.has(found.part) ? [] : this.eggNames(found.part)
    const manner = /^,?\s*(?:one (?:at a time|by one|after (?:the other|another))|singly|individually|one by one)/i.exec(
      work.text.slice(np.to),
    )
    const beaten = /^,?\s*(?:lightly )?(?:beaten|whisked|separated)\b/i.exec(work.text.slice(np.to))
    const to = np.to + (manner?.[0].length ?? beaten?.[0].length ?? 0)
    if (names.length) {
      this.eggPlaced.add(found.part)
      const pour = this.inTurns() && (manner || clause?.act === 'cream') ? ', in turns with the flour' : manner ? ' a little at a time' : ''
      work.edits.push(...this.inList(work, np.from, to, [`the ${names[0]!}`, ...names.slice(1)], pour))
      work.why.add(`${capital(`the ${joined(names)}`)} ${names.length > 1 ? 'take' : 'takes'} the place of the eggs.`)
      return
    }
    // "Into the eggs": what stands in their place is in the bowl by now.
    const before = work.scan.tokens.filter((x) => x.to <= np.from).at(-1)?.word ?? ''
    if (
      /^(?:into|to|over|onto|with|of)$/.test(before) &&
      this.eggPlaced.has(found.part) &&
      !clause?.things.some((t) => isLine(t) && t !== found.thing)
    ) {
      work.edits.push({ from: np.from, to, words: 'the mixture' })
      return
    }
    if (/^(?:into|to|over|onto)$/.test(before)) {
      work.edits.push({ from: np.from, to, words: 'the mixture' })
      return
    }
    this.drop(work, { ...np, to }, clause, m, found.ingredient)
  }

  /** Names in the place of one thing: within a list they are more items of it. */
  private inList(work: Work, from: number, to: number, names: readonly string[], after = ''): TextEdit[] {
    const joint = /\s+(?:and|&)\s+$/.exec(work.text.slice(0, from))
    const goesOn = !after && LIST_GOES_ON.test(work.text.slice(to))
    if (names.length < 2) return [{ from, to, words: names.join('') + after }]
    if (goesOn) return [{ from, to, words: names.join(', ') }]
    const edits: TextEdit[] = [{ from, to, words: joined(names) + after }]
    const item = joint && work.scan.mentions.some((m) => Math.abs(work.scan.tokens[m.to - 1]!.to - joint.index) < 3)
    if (joint && item) edits.push({ from: joint.index, to: from, words: ', ' })
    return edits
  }

  /** What has nothing in its place leaves its list, or its clause. */
  private drop(work: Work, np: { from: number; to: number }, clause: Clause | undefined, m: Mention, id: string) {
    const s = work.scan
    const [start, end] = clause?.span ?? [0, work.text.length]
    const others = s.mentions
      .filter((x) => x !== m)
      .map((x) => ({ from: s.tokens[x.from]!.from, to: s.tokens[x.to - 1]!.to }))
      .filter((x) => x.from >= start && x.to <= end)
    const edits = dropFromList(work.text, np, start, end, others)
    if (edits) work.edits.push(...edits)
    else {
      const n = clause ? work.clauses.indexOf(clause) : -1
      const rest = clause?.things.filter(
        (t) => isLine(t) && !(t.span[0] >= np.from && t.span[1] <= np.to) && this.fateOf(t.part, t.ingredient).kind !== 'gone',
      )
      if (
        n >= 0 &&
        !rest?.length &&
        !clause!.things.some((t) => 'group' in t) &&
        !['bake', 'fill-tin', 'heat-oven', 'ready-tin', 'cool', 'chill', 'simmer'].includes(clause!.act)
      )
        this.removeClause(work, n, `No ${this.name(id)} now.`)
      else {
        const lead = /\s*\b(?:with|and|of|in|over|into|from)\s+$/i.exec(work.text.slice(0, np.from))?.[0] ?? ''
        work.edits.push({ from: np.from - lead.length, to: np.to, words: '' })
      }
    }
    work.why.add(`No ${this.name(id)} now.`)
  }

  /** Amounts within a sentence follow their line. */
  private amounts(work: Work, m: Mention, thing: LineThing | undefined, now: OptionLine) {
    const s = work.scan
    const measure = s.measures.find((x) => x.to <= m.from && m.from - x.to <= 3 && x.unit.kind === 'mass')
    if (!measure || now.from <= 0) return
    const number = s.tokens.slice(measure.from, measure.to).find((x) => x.kind === 'number')
    const share = thing?.share ?? 1
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

  /** Words that name what left without being its mention: "creamed", "buttered", "floured", "whites". */
  private words(index: number) {
    const work = this.works[index]!
    const put = (words: RegExp, by: string | ((m: string) => string), why = '') => {
      for (const x of work.text.matchAll(words)) {
        if (work.edits.some((e) => e.from < x.index + x[0].length && e.to > x.index)) continue
        const to = typeof by === 'string' ? by : by(x[0])
        work.edits.push({ from: x.index, to: x.index + x[0].length, words: /^\p{Lu}/u.test(x[0]) ? capital(to) : to })
        if (why) work.why.add(why)
      }
    }
    if (this.r.dairyFree) {
      put(
        /\bbutter(?= (?:a|an|the|two|three|your|it|them|tins?|pans?|and (?:line|flour)|well)\b)(?<=(?:^|[.;,:]\s*|\band )butter)/gi,
        'grease',
      )
      put(/\bbuttered\b(?= (?:tins?|pans?|mou?lds?|dish|and|paper|springform|bundt|round|square|loaf|\d|baking|cake|ring))/gi, 'greased')
    }
    if (this.r.glutenFree) {
      put(/\bflour(?= (?:a|an|the|two|your|it|them|tins?|pans?|well)\b)(?<=(?:^|[.;,:]\s*|\band )flour)/gi, 'dust')
      put(/\bfloured\b/gi, 'dusted')
    }
    const creamed = [...this.fates].some(
      ([at, f]) =>
        f.kind === 'swapped' &&
        /butter|margarine|shortening|spread/.test(at) &&
        f.by.every((b) => /^oil-(?!coconut)|sauce|puree|yogurt|banana/.test(b.ingredient)),
    )
    if (!creamed) return
    for (const c of work.clauses) {
      if (c.act !== 'cream' || !c.things.some((t) => isLine(t) && this.fateOf(t.part, t.ingredient).kind === 'swapped')) continue
      const verb = new RegExp(`\\b${c.verb}\\b`, 'i').exec(work.text.slice(...c.span))
      if (verb && /^(?:cream|beat)$/.test(c.verb))
        work.edits.push({
          from: c.span[0] + verb.index,
          to: c.span[0] + verb.index + verb[0].length,
          words: /^\p{Lu}/u.test(verb[0]) ? 'Whisk' : 'whisk',
        })
      const until = /\s*,?\s*\b(?:until|till)\b[^.;]*?\b(?:pale|fluffy|light|creamy|white)\b(?:\s*(?:and|,)\s*\w+)?/i.exec(
        work.text.slice(...c.span),
      )
      if (until)
        work.edits.push({ from: c.span[0] + until.index, to: c.span[0] + until.index + until[0].length, words: ' until thick and even' })
      work.why.add('Without a solid fat there is nothing to cream: it is whisked.')
    }
    put(/\bcreamed (?=mixture|mix|butter|ingredients)/gi, '')
  }

  /** Steps that schools bring along. */
  private collectSchoolSteps() {
    const { egg } = this.r
    const put = (s: AddedStep, text: string, of = '') => {
      if (s.rests && this.resting === 'no') return
      if (s.text.includes('{soda}') && !this.result('baking-soda')) return
      if (s.text.includes('{acid}') && !this.r.lines.some((l) => l.to > l.from && need(l.ingredient).kind === 'acid')) return
      const rest = s.rests && this.lateSoda
      const words = rest
        ? `Let the batter stand for 20 minutes. Only then sift the ${this.name('baking-soda')} over it and stir it in quickly.`
        : text
      const role: StepRole = s.rests
        ? 'rest'
        : s.at === 'after'
          ? 'test'
          : s.at === 'last' && !s.text.startsWith('Stop')
            ? 'add'
            : 'prepare'
      if (!this.prepared.some((p) => p.text === words))
        this.prepared.push({ text: words, why: s.why, role, at: s.rests ? 'last' : s.at, of })
    }
    for (const s of egg?.steps ?? []) {
      put(s, this.fill(s.text), egg!.id)
      if (s.text.includes('{acid}')) for (const l of this.r.lines) if (l.to > l.from && need(l.ingredient).kind === 'acid') this.say(l)
      if (s.text.includes('{tied}'))
        for (const x of egg!.brings[0]?.with?.[0]?.any ?? [])
          this.added()
            .filter((l) => l.ingredient === x)
            .forEach((l) => this.say(l))
    }
    for (const { school, brought } of this.r.changes) {
      const fat = brought.find((id) => need(id).kind === 'fat')
      for (const s of school.steps) {
        if (s.text.includes('{fat}') && !fat) continue
        const id = brought[0]
        if (s.text.includes('{brought}') && id)
          this.added()
            .filter((l) => l.ingredient === id)
            .forEach((l) => this.say(l))
        put(
          s,
          this.fill(s.text)
            .replaceAll('{brought}', id ? this.name(id) : 'it')
            .replaceAll('{fat}', fat ? this.name(fat) : 'fat')
            .replaceAll('{crumbs}', this.name(brought.find((x) => need(x).kind === 'finish') ?? 'biscuit-crumbs')),
        )
      }
    }
    if (this.lateSoda) for (const l of this.r.lines) if (l.ingredient === 'baking-soda') this.say(l)
  }

  /** Times and temperatures of the main bake follow the oven; all dials of a pair together. */
  private oven() {
    const { before, after } = this.r.oven
    if (!before.length || !after.length) return
    const heat = after[0]!.celsius - before[0]!.celsius
    const last = before.findLastIndex((o) => o.minutes)
    const minutes = last >= 0 && after[last]?.minutes ? after[last].minutes[0] - before[last]!.minutes![0] : 0
    let told = false
    let timed = false
    const bakes = this.works.flatMap((w) =>
      w.clauses
        .filter((c) => (c.act === 'bake' || (c.act === 'heat-oven' && c.minutes)) && c.minutes && this.bakesMain(c))
        .map((c) => ({ w, c })),
    )
    const longest = bakes.reduce<(typeof bakes)[number] | undefined>((a, b) => (!a || b.c.minutes![1] > a.c.minutes![1] ? b : a), undefined)
    for (const w of this.works) {
      const clauseAt = (token: number) => {
        const at = w.scan.tokens[token]!.from
        return w.clauses.find((x) => at >= x.span[0] && at < x.span[1])
      }
      if (heat)
        for (const h of heatsOf(w.scan)) {
          if (!['bake', 'heat-oven'].includes(clauseAt(h.from)?.act ?? '')) continue
          w.edits.push(reheated(w.scan, h, heat, this.r.region === 'us'))
          told = true
          w.why.add(this.r.oven.why)
        }
      const time = minutes && longest?.w === w ? longestOf(w.scan, longest.c) : undefined
      if (!time) continue
      w.edits.push(retimed(w.scan, time, minutes))
      timed = true
      w.why.add(this.r.oven.why)
    }
    this.r.oven.says.forEach((s, i) => {
      const covered = i === 0 && heat ? told : timed
      if (!covered) this.prepared.push({ ...s, role: 'oven', at: 'after' })
    })
  }
  private bakesMain(c: Clause): boolean {
    return this.batterParts.has(c.part) || this.r.recipe.parts.length === 1 || this.r.recipe.parts[c.part]?.role !== 'crust'
  }

  /** What is new and not said yet goes in where its kind goes in; then what schools prepare, wait for and test. */
  private place() {
    for (const l of this.added()) {
      if (this.said.has(key(l.partIndex, l.ingredient)) || this.named(l)) continue
      this.bring(l)
    }
    if (this.lateSoda) this.takeSodaOut()
    const main = this.firstClauseOf((c) => this.batterParts.has(c.part) && !['heat-oven', 'ready-tin', 'other'].includes(c.act)) ?? {
      work: 0,
      clause: 0,
    }
    const tin = this.tinClause()
    const bake = this.lastBake()
    const late = tin ?? (bake && (!this.lastFlour() || before(this.lastFlour()!, bake)) ? bake : undefined)
    // A foam is whipped once the batter has rested.
    for (const p of [...this.prepared].sort((a, b) => Number(b.role === 'rest') - Number(a.role === 'rest'))) {
      if (p.at === 'start' || p.at === 'before-mixing') this.insert(main, p)
      else if (p.at === 'last') this.insert(late ?? this.mixed() ?? { work: this.works.length - 1, clause: -1 }, p, !late)
      else {
        // What the oven does is told before the cake is out of it.
        const mixed = this.mixed()
        const out = bake
          ? undefined
          : this.firstClauseOf((c, w) => {
              const at = { work: this.works.indexOf(w), clause: w.clauses.indexOf(c) }
              return ['cool', 'unmould', 'serve'].includes(c.act) && (!mixed || before(mixed, at))
            })
        this.insert(bake ?? out ?? { work: this.works.length - 1, clause: -1 }, p, !out)
      }
    }
  }

  private named(l: OptionLine): boolean {
    return this.works.some((w) =>
      w.clauses.some((c) => c.part === l.partIndex && c.things.some((t) => isLine(t) && t.ingredient === l.ingredient)),
    )
  }

  private firstClauseOf(test: (c: Clause, w: Work) => boolean): { work: number; clause: number } | undefined {
    for (let work = 0; work < this.works.length; work++) {
      const clause = this.works[work]!.clauses.findIndex((c) => test(c, this.works[work]!))
      if (clause >= 0) return { work, clause }
    }
    return undefined
  }
  /** Where a part goes into its tin, or is used up: nothing comes in after it. */
  private tinClause(part?: number): Place | undefined {
    const ours = (c: Clause) => (part === undefined ? this.batterParts.has(c.part) : c.part === part)
    const flour = this.lastFlour()
    const after = (at: Place) => !flour || before(flour, at)
    const mixed = part === undefined || this.batterParts.has(part)
    for (const acts of [['fill-tin'], ['bake', 'spread', 'pipe', 'fry']] as const)
      for (let work = 0; work < this.works.length; work++)
        for (let clause = 0; clause < this.works[work]!.clauses.length; clause++) {
          const c = this.works[work]!.clauses[clause]!
          if (ours(c) && (acts as readonly string[]).includes(c.act) && (!mixed || after({ work, clause }))) return { work, clause }
        }
    return undefined
  }
  private lastFlour(): { work: number; clause: number } | undefined {
    let found: { work: number; clause: number } | undefined
    this.works.forEach((w, work) =>
      w.clauses.forEach((c, clause) => {
        if (
          this.batterParts.has(c.part) &&
          c.things.some((t) => (isLine(t) && /^flour|cake-mix|semolina/.test(t.ingredient)) || ('group' in t && t.group !== 'wet'))
        )
          found = { work, clause }
      }),
    )
    return found
  }
  private lastBake(): { work: number; clause: number } | undefined {
    let found: { work: number; clause: number } | undefined
    this.works.forEach((w, work) => w.clauses.forEach((c, clause) => c.act === 'bake' && (found = { work, clause })))
    return found
  }

  /** Puts what no sentence names yet where its kind goes in. */
  private bring(l: OptionLine) {
    this.say(l)
    const name = this.name(l.ingredient)
    const dry = isDry(l.ingredient)
    const kinds = dry
      ? ['sugar', 'sweetener'].includes(need(l.ingredient).kind)
        ? SUGARS
        : FLOURS
      : need(l.ingredient).kind === 'fat'
        ? FATS
        : WETS
    const like =
      this.listOf(l.partIndex, kinds, kinds === WETS ? WET_ACTS : MIXING) ?? (dry ? this.listOf(l.partIndex, DRIES, DRY_ACTS) : undefined)
    const group = this.groupOf(l.partIndex, dry)
    if (group && (!like || before(group, like))) {
      const work = this.works[group.work]!
      const span = work.clauses[group.clause]!.things.find(isGroup)!.span
      this.bracket(work, span[1], name)
      work.why.add(`${capital(name)} ${dry ? 'is one of the dry things' : 'goes in with the rest'}.`)
      return
    }
    if (like) {
      const work = this.works[like.work]!
      this.append(work, like.thing, dry ? name : `the ${name}`)
      work.why.add(
        dry
          ? `${capital(name)} goes in with ${kinds === SUGARS ? 'the sugar' : 'the flour'}.`
          : `${capital(name)} goes in with what is wet.`,
      )
      return
    }
    const tin = this.tinClause(l.partIndex)
    const mixed = this.mixed(l.partIndex)
    const text = dry ? `Sift in the ${name}.` : `${need(l.ingredient).kind === 'nut' ? 'Fold' : 'Stir'} in the ${name}.`
    this.insert(
      tin ?? mixed ?? { work: this.works.length - 1, clause: -1 },
      { text, why: l.status === 'added' ? 'New in this mix.' : 'It still goes in.', role: 'add' },
      !tin,
    )
  }

  /** The last clause in which a part is mixed. */
  private mixed(part?: number): Place | undefined {
    let found: Place | undefined
    this.works.forEach((w, work) =>
      w.clauses.forEach((c, clause) => {
        if (MIXING.has(c.act) && (part === undefined ? this.batterParts.has(c.part) : c.part === part)) found = { work, clause }
      }),
    )
    return found
  }

  /** The first list of a part that names something of these kinds, before the part is in its tin. */
  private listOf(part: number, kinds: ReadonlySet<string>, acts = MIXING): (Place & { thing: LineThing }) | undefined {
    const tin = this.tinClause(part)
    for (let work = 0; work < this.works.length; work++)
      for (let clause = 0; clause < this.works[work]!.clauses.length; clause++) {
        const c = this.works[work]!.clauses[clause]!
        if (!acts.has(c.act) || c.part !== part) continue
        if (tin && !before({ work, clause }, tin)) return undefined
        const thing = c.things.find(
          (t): t is LineThing =>
            isLine(t) &&
            t.part === part &&
            !aside(this.works[work]!, c, t) &&
            !ONE_BY_ONE.test(this.works[work]!.text.slice(t.span[1])) &&
            kinds.has(ingredientOf(t.ingredient)?.kind ?? '') &&
            this.fateOf(t.part, t.ingredient).kind !== 'gone' &&
            !this.works[work]!.edits.some((e) => (e.words === '' || e.whole) && e.from <= t.span[0] && e.to >= t.span[1]),
        )
        if (thing) return { work, clause, thing }
      }
    return undefined
  }

  private groupOf(part: number, dry: boolean): Place | undefined {
    return this.firstClauseOf(
      (c) =>
        MIXING.has(c.act) &&
        c.part === part &&
        c.things.some((t) => isGroup(t) && (t.group === 'all' || (t.group === 'rest' && !dry) || t.group === (dry ? 'dry' : 'wet'))),
    )
  }

  /** Names what is new behind words for several things: "all dry ingredients (with the psyllium)". */
  private bracket(work: Work, at: number, name: string) {
    const open = work.edits.find((e) => e.from === at && e.to === at && e.words.startsWith(' (with the '))
    if (!open) work.edits.push({ from: at, to: at, words: ` (with the ${name})` })
    else open.words = ` (with the ${joined([...open.words.slice(11, -1).split(/, | and /), name])})`
  }

  /** Adds a thing to the list that another stands in. */
  private append(work: Work, thing: LineThing, words: string) {
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

  /** Soda that is wet does not wait: where the batter rests, it leaves its list and goes in after. */
  private takeSodaOut() {
    for (const work of this.works)
      for (const m of work.scan.mentions) {
        if (m.id !== 'baking-soda') continue
        const at = work.scan.tokens[m.from]!.from
        const clause = work.clauses.find((c) => at >= c.span[0] && at < c.span[1])
        if (!clause || !this.batterParts.has(clause.part)) continue
        const np = phraseOf(work.scan, m)
        const others = work.scan.mentions
          .filter((x) => x !== m)
          .map((x) => ({ from: work.scan.tokens[x.from]!.from, to: work.scan.tokens[x.to - 1]!.to }))
        const edits = dropFromList(work.text, np, ...clause.span, others)
        if (edits) work.edits.push(...edits)
      }
  }

  /** Puts a sentence before (or behind) a clause: as a step of its own, or inside a paragraph, which it parts where it must. */
  private insert(at: Place, p: { text: string; why: string; role: StepRole }, after = false) {
    const work = this.works[at.work]
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
      if (sentences.length <= 2) work.inserts.push({ ...p, at: -1, to: -1, after })
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
    else if (sentences.length > 2 && sentence !== sentences[0]) work.inserts.push({ ...p, at: start, to: start })
    else work.inserts.push({ ...p, at: -1, to: -1 })
  }

  private steps(): Step[] {
    const out: Step[] = []
    for (const work of this.works) {
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

  /** The last look: everything new is named, and everything that stayed and was named still is. */
  private missing(steps: readonly Step[]): OptionLine[] {
    const told = (id: string, texts: readonly string[]) =>
      texts.some((s) => scan(s, this.r.region).mentions.some((m) => m.id === id) || s.toLowerCase().includes(this.name(id).toLowerCase()))
    const now = steps.map((s) => s.text)
    return this.r.lines.filter(
      (l, i, all) =>
        l.to > 0 &&
        !this.collected.has(l) &&
        all.findIndex((x) => x.ingredient === l.ingredient) === i &&
        !told(l.ingredient, now) &&
        (l.status === 'added'
          ? !['flour', 'starch'].includes(need(l.ingredient).kind) || !/\bflours?\b/i.test(now.join(' '))
          : told(l.ingredient, this.r.recipe.method)),
    )
  }

  /** A school that makes another thing of the mix tells its whole method. */
  ownMethod(): Step[] {
    this.collectSchoolSteps()
    return this.prepared.map((p) => ({ text: p.text, changed: true, why: p.why, role: p.role }))
  }

  /** A recipe without a method gets one, part by part. */
  untold(): Step[] {
    this.collectSchoolSteps()
    const steps: Step[] = []
    const put = (text: string, why = '', role?: StepRole) => steps.push({ text, changed: true, why, ...(role && { role }) })
    const of = (part: number, test: (kind: string, id: string) => boolean) =>
      this.r.lines
        .filter((l) => l.partIndex === part && l.to > 0 && test(need(l.ingredient).kind, l.ingredient))
        .map((l) => `the ${this.name(l.ingredient)}`)
    for (const p of this.prepared.filter((x) => x.at === 'start' || x.at === 'before-mixing')) put(p.text, p.why, p.role)
    this.r.recipe.parts.forEach((part, i) => {
      const dry = of(i, (kind) => ['flour', 'starch', 'leavener', 'salt', 'cocoa', 'mix', 'binder', 'flavour'].includes(kind))
      const fat = of(i, (kind) => kind === 'fat')
      const sugar = of(i, (kind) => ['sugar', 'syrup', 'sweetener'].includes(kind))
      const wet = of(i, (kind) => ['egg', 'dairy', 'plant-dairy', 'water', 'acid', 'fruit'].includes(kind))
      const last = of(i, (kind) => ['nut', 'finish'].includes(kind))
      if (part.role === 'batter' || part.role === 'crust') {
        if (fat.length || sugar.length) put(`Beat ${joined([...fat, ...sugar])} together.`)
        if (wet.length) put(`Stir in ${joined(wet)}.`)
        if (dry.length) put(`Sift ${joined(dry)} together and stir in until no dry flour shows.`)
        if (last.length) put(`Fold in ${joined(last)}.`)
        for (const p of this.prepared.filter((x) => x.at === 'last')) put(p.text, p.why, p.role)
        const oven = this.r.oven.after[0]
        if (part.role === 'batter' && this.r.baked)
          put(
            `Scrape into the lined tin and bake${oven ? ` at ${oven.celsius} °C` : ''}${oven?.minutes ? ` for ${oven.minutes[0] === oven.minutes[1] ? oven.minutes[0] : `${oven.minutes[0]} to ${oven.minutes[1]}`} minutes` : ''}, until a skewer comes out clean.`,
          )
      } else {
        const all = [...fat, ...sugar, ...wet, ...dry, ...last]
        if (all.length) put(`For the ${part.name.toLowerCase()}, mix ${joined(all)} until smooth.`)
      }
    })
    return steps
  }
}

/** Grams of new flour for which a rest is worth its while. */
const LEAST_TO_REST = 60

/** Eggs that go in singly bear no company. */
const ONE_BY_ONE = /^,?\s*(?:one (?:at a time|by one|after)|singly|individually)/i

/** A spoonful, or what is only done if need be: not where a line goes in. */
function aside(work: Work, c: Clause, t: LineThing): boolean {
  const lead = work.text.slice(Math.max(c.span[0], t.span[0] - 24), t.span[0])
  return (
    (t.share !== undefined && t.share < 0.4) ||
    /\b(?:spoonfuls?|spoon|tablespoons?|tbsps?|little|pinch|dusting|some) (?:of )?(?:the |your )?$/i.test(lead) ||
    (c.condition !== undefined && c.condition[0] - t.span[1] < 4 && c.condition[0] >= t.span[1] - 1)
  )
}

/** What follows is one more thing of the list, not the next thing that is done. */
const LIST_GOES_ON =
  /^\s*(?:,\s*(?:and |&)?|(?:and|&|\+)\s+)(?:the |a |an )?(?!then|until|and|beat|mix|stir|whisk|fold|add|whip|cream|blend|combine|bake|sift|pour|spread|knead|set|let|leave|cook|bring|boil|heat|cool|press|turn|rub|work|scrape|divide|beating|stirring|mixing|whisking|folding)\w/i

/** The longest time told within a clause. */
function longestOf(s: Scan, c: Clause): Time | undefined {
  const times = s.dials.filter(
    (d): d is Time => d.kind === 'time' && s.tokens[d.from]!.from >= c.span[0] && s.tokens[d.from]!.from < c.span[1],
  )
  return times.reduce<Time | undefined>((a, b) => (!a || b.high > a.high ? b : a), undefined)
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
