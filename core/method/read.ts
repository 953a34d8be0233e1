import { celsiusOf, type Size, type Time } from '../language/dial'
import { tokenise } from '../language/token'
import { scan, type Scan } from '../language/item'
import type { Region } from '../measure/region'
import { unitById, unitSize } from '../measure/unit'
import { density, need } from '../pantry/pantry'
import type { Line, Recipe } from '../recipe/recipe'
import { actOf, classOf, MIXED, placesIn, type Cues } from './act'
import { heatsOf } from './clock'
import { piecesOf, type Piece } from './clause'
import { signsIn } from './signs'
import type { Act, Clause, GroupThing, LineThing, Method, Step, Thing } from './step'
import { byOwnWords } from './own-word'
import { candidatesOf, groupsIn, lineKeys, MADE, type Candidate, type FoundGroup } from './thing'

/** A piece with what may be meant by it. */
export interface Draft {
  step: number
  piece: Piece
  scan: Scan
  candidates: Candidate[]
  groups: FoundGroup[]
  /** Parts that its label or words name. */
  cue: number | undefined
  /** It starts with the heading's part until another is named. */
  text: string
  /** "You need 4 eggs, …": what is laid ready is not used yet. */
  lists: boolean
  sign: string
}

const BEAM = 20
/** A line that was not used yet is a little likelier, one that was used needs "the rest" or a share. */
const UNUSED = 0.3
const USED = -1.1
const USED_AGAIN = 0.6
/** Named, and a line of another part. */
const ELSEWHERE = -1.5
const NEXT_PART = -1.2
const OTHER_PART = -2.2
/** No cheaper than to go on to another part, or a later cue would pull the beginning along. */
const BEGINS_ELSEWHERE = -1.4
const CUED = 6

/** Words for all that is in a part of which all has gone in. */
const NOTHING_LEFT = 2.5

interface State {
  part: number
  used: ReadonlyMap<string, number>
  score: number
  picks: readonly { part: number; lines: (readonly { part: number; line: number }[])[] }[]
}

const key = (part: number, line: number) => `${part}.${line}`

/** The part that words name: by its name, or by the kind of thing it is. */
function partNamed(words: string, recipe: Recipe): number | undefined {
  const text = words
    .toLowerCase()
    .replace(/^(?:for|to make) (?:the )?/, '')
    .replace(/[^\p{L} ]/gu, ' ')
    .trim()
  if (!text) return undefined
  const stems = text.split(/\s+/).map((w) => w.replace(/s$/, ''))
  let best: { part: number; score: number } | undefined
  recipe.parts.forEach((p, part) => {
    const name = p.name
      .toLowerCase()
      .split(/[^\p{L}]+/u)
      .filter(Boolean)
      .map((w) => w.replace(/s$/, ''))
    const same = name.filter((w) => stems.includes(w) && w.length > 2).length
    const role =
      p.role !== 'batter' && ROLE_WORDS[p.role]?.test(text)
        ? 0.6
        : p.role === 'batter' &&
            /\b(?:cake|sponge|batter|dough|loaf|muffin|cupcake)s?\b/.test(text) &&
            !/cream|icing|frosting|syrup|glaze/.test(text)
          ? 0.5
          : 0
    // A word of its name says more than the kind of thing it is: "Cream:" is the stabilised cream, not the filling.
    const score = (same > 0 ? 0.3 + same / Math.max(1, name.length) : 0) + role
    if (score > 0.3 && (!best || score > best.score)) best = { part, score }
  })
  return best?.part
}
const ROLE_WORDS: Partial<Record<string, RegExp>> = {
  frosting: /\b(?:icing|frosting|buttercream|ganache|glaze|cream cheese|topping)\b/,
  filling: /\b(?:filling|custard|pastry cream|cream|curd|compote|jam)\b/,
  soak: /\b(?:syrup|drizzle|soak|sauce|milks?|sherbet)\b/,
  topping: /\b(?:topping|streusel|crumbs?|crumble|decoration|meringue)\b/,
  crust: /\b(?:base|crust|pastry|shell)\b/,
}

/** Words of a piece that the masks leave, its verb in its base form. */
function unmasked(s: Scan, p: Piece): string {
  return s.tokens
    .slice(p.from, p.to)
    .flatMap((t, i) => (!p.masked.has(p.from + i) || t.depth > 0 ? [p.from + i === p.at ? p.verb : t.word] : []))
    .join(' ')
}
const wordsOf = (s: Scan, span: [number, number] | undefined): string =>
  span
    ? s.tokens
        .slice(span[0], span[1])
        .map((t) => t.word)
        .join(' ')
    : ''

function draftsOf(recipe: Recipe, region: Region): Draft[] {
  const keys = lineKeys(recipe)
  const drafts: Draft[] = []
  recipe.method.forEach((text, step) => {
    const s = scan(text, region)
    let label: number | undefined
    const section = recipe.sections?.findLast((x) => x.at <= step && !recipe.sections!.some((y) => y.at > x.at && y.at <= step))
    const headed = section ? partNamed(section.title, recipe) : undefined
    let labelled = -1
    let words: string | undefined
    for (const piece of piecesOf(s)) {
      if (piece.label && piece.label !== words) {
        words = piece.label
        label = partNamed(piece.label, recipe)
        labelled = piece.sentence
      }
      const groups = groupsIn(s, piece)
      const candidates = candidatesOf(s, piece, keys)
      // "Base: … bake. Soak the gelatine …": a label ends where only another part has what is named.
      if (label !== undefined && piece.sentence > labelled && candidates.some((c) => c.lines.length)) {
        if (!candidates.some((c) => c.lines.some((l) => l.part === label))) label = undefined
      }
      const set = setIn(s, piece, recipe, groups, candidates)
      for (const g of groups) {
        // "Whisk wet", where a part is headed "Wet bowl": all of that part.
        const named = g.group === 'dry' || g.group === 'wet' ? headedBy(g.group, recipe) : -1
        if (named >= 0) Object.assign(g, { group: 'all', part: named })
      }
      const of = groups.map((g) => g.part ?? (g.of ? partNamed(g.of, recipe) : undefined)).find((x) => x !== undefined)
      drafts.push({
        step,
        piece,
        scan: s,
        candidates,
        groups,
        cue: of ?? set ?? label ?? headed,
        text: unmasked(s, piece),
        sign: wordsOf(s, piece.until),
        lists:
          LAID_READY.test(s.text.slice(s.tokens[piece.from]?.from ?? 0, s.tokens[piece.to - 1]?.to ?? 0)) &&
          candidates.length >= LEAST_LISTED,
      })
    }
  })
  byOwnWords(drafts, keys)
  drafts.forEach((d, n) => (d.lists ||= listsOnly(d, drafts.slice(n + 1))))
  return withBake(drafts)
}

/** Words behind which a lone "A" is the name of a set, and no article. */
const BEHIND_A = /^(?:in|into|to|and|with|until|till|well|together|over|a|the)?$/

/**
 * "Sift A, add B": all of the set that its heading calls by a letter, unless lines of it are named beside ("the whites in C").
 *
 * @param groups is added to
 * @returns the part
 */
function setIn(s: Scan, p: Piece, recipe: Recipe, groups: FoundGroup[], candidates: readonly Candidate[]): number | undefined {
  let set: number | undefined
  if (!recipe.parts.some((x) => /^[A-H]$/.test(x.name))) return undefined
  for (let i = p.from; i < p.to; i++) {
    const t = s.tokens[i]!
    const part = /^[A-H]$/.test(t.text) ? recipe.parts.findIndex((x) => x.name === t.text) : -1
    const next = s.tokens[i + 1]
    if (part < 0 || (t.text === 'A' && next?.kind === 'word' && !BEHIND_A.test(next.word))) continue
    set ??= part
    if (candidates.some((c) => c.lines.some((l) => l.part === part))) continue
    const all = groups.find((g) => g.group === 'all' && g.part === undefined)
    if (all) all.part = part
    else groups.push({ group: 'all', from: t.from, to: t.to, part })
  }
  return set
}

/** "3 eggs, 150 g sugar, 200 g flour.": things without a word on what to do, most of which are named again. */
function listsOnly(d: Draft, later: readonly Draft[]): boolean {
  const own = d.candidates.filter((c) => c.lines.length)
  if (d.piece.verb || d.piece.elided || own.length < LEAST_LISTED || d.scan.measures.length < LEAST_LISTED) return false
  const again = own.filter((c) =>
    later.some((x) => x.step === d.step && x.candidates.some((y) => y.mention.words.at(-1) === c.mention.words.at(-1))),
  )
  return again.length * 2 >= own.length
}

/** So long in its tin is in the oven, min. */
const LEAST_BAKE = 8

/** "Into two lined tins, 40 minutes.": where nothing else is baked, that is the bake. */
function withBake(drafts: Draft[]): Draft[] {
  const told = (d: Draft) => d.lists === false && /^(?:bake|cook|boil|fry)$/.test(classOf(d.piece.verb))
  if (drafts.some((d) => told(d) || /\b(?:in|into) (?:the |a )?(?:\w+ )?oven\b/.test(d.text))) return drafts
  const cold = /\b(?:fridge|freezer|chill|cool|set|stand|rest)/
  for (let n = drafts.length - 1; n >= 0; n--) {
    const d = drafts[n]!
    const time = d.scan.dials.find((x): x is Time => x.kind === 'time' && x.from > d.piece.from && x.to <= d.piece.to)
    if (
      !time ||
      time.low < LEAST_BAKE ||
      !(placesIn(d.text).has('tin') || classOf(d.piece.verb) === 'divide') ||
      cold.test(d.text) ||
      d.candidates.length
    )
      continue
    if (d.piece.verb && classOf(d.piece.verb) !== 'put' && classOf(d.piece.verb) !== 'divide') continue
    const at = time.from
    const piece = (from: number, to: number, verb: string): Piece => ({ ...d.piece, from, to, verb, at: verb ? d.piece.at : -1 })
    const filling = { ...d, piece: piece(d.piece.from, at, d.piece.verb) }
    const baking = { ...d, piece: { ...piece(at, d.piece.to, ''), verb: 'bake', elided: true }, groups: [] }
    filling.text = unmasked(d.scan, filling.piece)
    baking.text = unmasked(d.scan, baking.piece)
    return [...drafts.slice(0, n), filling, baking, ...drafts.slice(n + 1)]
  }
  return drafts
}

/** The part that its heading calls dry or wet, where another is not called so. */
const headedBy = (word: 'dry' | 'wet', recipe: Recipe): number =>
  recipe.parts.length > 1
    ? recipe.parts.findIndex((p) => new RegExp(`\\b${word === 'wet' ? '(?:wet|liquids?)' : 'dry'}\\b`, 'i').test(p.name))
    : -1

/** The score of a line that a generic word may mean. */
const ANY_OF_ITS_KIND = 1.5

const LAID_READY = /\b(?:(?:you|i|we)(?:'ll| will)? need|have ready|you want|get out|lay out|weigh out|gather)\b/i
/** Fewer things than this are fetched for use at once. */
const LEAST_LISTED = 3

/** The best row of parts and lines for the pieces: a beam over (part, lines used). */
function link(drafts: readonly Draft[], recipe: Recipe): State {
  const parts = recipe.parts.length
  const first = Math.max(
    0,
    recipe.parts.findIndex((p) => p.role === 'batter'),
  )
  const bowls = bowlsOf(recipe)
  // A method may begin with any part: the cake mostly, or what lies under it.
  let beam: State[] = recipe.parts.map((_, part) => ({ part, used: new Map(), score: part === first ? 0 : BEGINS_ELSEWHERE, picks: [] }))
  if (!beam.length) beam = [{ part: first, used: new Map(), score: 0, picks: [] }]
  for (const d of drafts) {
    const next: State[] = []
    for (const state of beam) {
      const named = d.candidates.some((c) => c.lines.length)
      const grouped = d.groups.some((g) => g.group === 'all' || g.group === 'rest')
      for (let part = 0; part < Math.max(1, parts); part++) {
        if (part !== state.part && !named && !grouped && d.cue !== part) continue
        let score = state.score
        // "Put all the ingredients in a bowl": of the part that has some left.
        if (grouped && !recipe.parts[part]?.lines.some((l, line) => l.ingredient && !state.used.has(key(part, line)))) score -= NOTHING_LEFT
        if (part !== state.part) score += part === state.part + 1 ? NEXT_PART : OTHER_PART
        if (d.cue !== undefined) score += d.cue === part ? CUED : 0
        let used: Map<string, number> | undefined
        const lines = d.candidates.map((c) => {
          const own = c.lines.filter((l) => l.part === part)
          // "Rub dry and fat", "add A to the yolks": bowls of one batter are one.
          const near = own.length || !bowls.has(part) ? own : c.lines.filter((l) => bowls.has(l.part))
          if (!near.length) {
            if (c.lines.length && !c.target) score += ELSEWHERE
            return []
          }
          // "Drizzle the milk over", once the three milks are whisked together: what was made of them.
          const gone = (l: { part: number; line: number }) =>
            (used?.get(key(l.part, l.line)) ?? state.used.get(key(l.part, l.line)) ?? 0) >= 1
          // "The chocolate mixture" is of the chocolate that is in it.
          const here = c.made && near.some(gone) ? near.filter(gone) : near
          if (here.length > 1 && !c.all && !c.rest && !c.share && c.mention.words.length === 1 && here.every((l) => l.score < 2 && gone(l)))
            return []
          const value = (l: { part: number; line: number; score: number }) => {
            // What a line names without an amount comes out of the jar, and is never used up.
            const jar = recipe.parts[l.part]!.lines[l.line]!.grams.best === 0
            const before = jar ? 0 : (used?.get(key(l.part, l.line)) ?? state.used.get(key(l.part, l.line)) ?? 0)
            // "Arrange the rings over the sugar": over what is there already.
            if (c.target && c.mention.words.length === 1) return l.score + (before === 0 ? 0 : UNUSED)
            return l.score + (before === 0 ? UNUSED : c.rest || c.share || before < 1 ? USED_AGAIN - 0.6 : c.target ? -0.2 : USED)
          }
          const sorted = [...here].sort((a, b) => value(b) - value(a))
          const top = sorted[0]!
          score += Math.max(-1, value(top))
          if (!d.lists) used ??= new Map(state.used)
          // "Top with fruit": all the fruit that is left.
          const open = (all: typeof here, first: (typeof here)[number]) => {
            const left = all.filter((l) => l.score >= ANY_OF_ITS_KIND && !gone(l))
            return left.length ? left : [first]
          }
          const picks = c.both
            ? here.filter((l) => l.score >= ANY_OF_ITS_KIND)
            : c.mass
              ? open(here, top)
              : c.all
                ? here.filter((l) => l.score >= top.score - 0.2)
                : [top]
          for (const l of picks) used?.set(key(l.part, l.line), Math.min(1, (used.get(key(l.part, l.line)) ?? 0) + (c.share ?? 1)))
          return picks.map((l) => ({ part: l.part, line: l.line }))
        })
        // "Knead a dough": all that is for it goes in; "add B": all of that set.
        if (grouped) {
          used ??= new Map(state.used)
          const sets = d.groups.flatMap((g) => g.part ?? [])
          for (const p of sets.length ? sets : [part])
            for (let line = 0; line < (recipe.parts[p]?.lines.length ?? 0); line++) used.set(key(p, line), 1)
        }
        next.push({ part, used: used ?? state.used, score, picks: [...state.picks, { part, lines }] })
      }
    }
    beam = next.sort((a, b) => b.score - a.score).slice(0, BEAM)
  }
  return beam[0]!
}

/** Parts that are bowls of one batter: several, of which one at most has flour in it; none where each is a batter of its own. */
function bowlsOf(recipe: Recipe): ReadonlySet<number> {
  const batters = recipe.parts.flatMap((p, part) => (p.role === 'batter' ? [part] : []))
  const floury = batters.filter((part) => recipe.parts[part]!.lines.some((l) => /^flour|^cake-mix|^semolina/.test(l.ingredient ?? '')))
  return new Set(batters.length > 1 && floury.length < 2 ? batters : [])
}

const TIN_LINE = /\b(?:tins?|pans?|greas\w*|dust\w*|mou?lds?|trays?|lining|flouring|towel)\b/i

/**
 * Reads a method: what is done, with which lines of which part, how long, how hot, until when.
 *
 * What is not understood stays word for word and is listed as unread.
 */
export function readMethod(recipe: Recipe, region: Region): Method {
  const drafts = draftsOf(recipe, region)
  const linked = link(drafts, recipe)
  const steps: Step[] = recipe.method.map((text) => ({ text, clauses: [] }))
  const unread: Method['unread'] = []
  const unlinked: Method['unlinked'] = []
  const used = new Map<string, number>()
  let before: Act | undefined
  const baked = new Set<number>()
  let anyBaked = false
  const filled = new Set<number>()
  let fired = false
  let foamed = false
  /** By part, what was last put together. */
  const bowl = new Map<number, readonly string[]>()
  let last: [number, number] | undefined
  const readied = (part: number) => recipe.parts[part]?.role

  drafts.forEach((d, n) => {
    const { piece: p, scan: s } = d
    const picks = linked.picks[n]!
    const t = s.tokens
    if (p.from >= p.to || !t[p.from]) return
    const span = [t[p.from]!.from, t[p.to - 1]!.to] as const
    const told = s.dials.filter(
      (x): x is Time =>
        x.kind === 'time' &&
        x.from >= p.from &&
        x.from < p.to &&
        // "overnight if you like" is nobody's duty.
        !(t[x.from]!.word === 'overnight' && t[x.to]?.word === 'if'),
    )
    // "(Can be chilled up to 24 h at this point.)" beside a bake is not its time.
    const aside = (x: Time) => t[x.from]!.depth > 0 && ASIDE.test(bracketAround(t, x.from))
    const conditional = (x: Time) => p.condition !== undefined && x.from >= p.condition[0] && x.from < p.condition[1]
    const open = told.filter((x) => !p.masked.has(x.from) || (t[x.from]!.depth > 0 && !conditional(x) && !aside(x)))
    // "until quite cold, about 2 hours": a time beside the sign is the act's, where it has no other.
    const times = open.length || !p.until ? open : told.filter((x) => x.from >= p.until![0] && x.from < p.until![1])
    const heats = heatsOf(s).filter((x) => x.from >= p.from && x.from < p.to && !(p.masked.has(x.from) && t[x.from]!.depth === 0))
    const things = thingsOf(d, picks.lines, recipe, used)
    if (EACH_BATTER.test(sentenceAround(d))) things.push(...twins(things, recipe))
    const left = restThing(d, recipe, used, picks.part)
    if (left && !things.some((x) => 'line' in x && x.part === left.part && x.line === left.line)) things.push(left)
    const part = things.find((x): x is LineThing => 'line' in x)?.part ?? picks.part
    const role = readied(part)
    const finishing = role === 'frosting' || role === 'filling' || role === 'topping' || role === 'soak'
    const cues: Cues = {
      verb: p.verb,
      cls: classOf(p.verb),
      text: d.text,
      sign: d.sign,
      ids: [
        ...things.flatMap((x) => ('ingredient' in x ? [x.as === 'white' ? 'egg-white' : x.as === 'yolk' ? 'egg-yolk' : x.ingredient] : [])),
        ...d.candidates.flatMap((c) => (c.lines.length ? [] : [c.mention.id])),
      ],
      held: bowl.get(part) ?? [],
      places: placesIn(d.text),
      minutes: times[0]?.low ?? 0,
      hasHeat: heats.length > 0,
      celsius: heats[0] ? celsiusOf(heats[0], s.region ?? 'us') : 0,
      group: d.groups.length > 0,
      role,
      before,
      // A batter that is in its bowl is not baked, whatever the crust under it is.
      baked: anyBaked && (finishing || baked.has(part) || (things.length === 0 && !bowl.has(part))),
      filled: filled.has(part) || filled.size > 0,
      fired,
      foamed,
    }
    const act = d.lists ? 'other' : actOf(cues)
    // What greases a tin is not the butter of the batter.
    const kept = act === 'ready-tin' ? things.filter((x) => !('line' in x) || forTin(recipe, x)) : things
    for (const x of kept)
      if ('line' in x && !d.lists && !(HELD_BACK.test(p.verb) && x !== kept[0]))
        used.set(
          key(x.part, x.line),
          Math.min(1, (used.get(key(x.part, x.line)) ?? 0) + (x.rest ? 1 : (x.share ?? (HELD_BACK.test(p.verb) ? SOME : 1)))),
        )
    for (const set of d.groups.flatMap((g) => g.part ?? [])) recipe.parts[set]?.lines.forEach((_, line) => used.set(key(set, line), 1))
    // "for the last 5 minutes" is within a time that was told before.
    const within = act === 'bake' && before === 'bake' && times.every((x) => /^(?:last|final)$/.test(t[x.from - 1]?.word ?? ''))
    const time = times.length && !within ? joinTimes(times) : undefined
    const size = s.dials.find((x): x is Size => x.kind === 'size' && x.from >= p.from && x.from < p.to)
    const signs = signsIn(s.text.slice(...span))
    const clause: Clause = {
      span,
      act,
      verb: p.verb,
      part,
      things: impliedMade(d, withMade(d, span, kept, last), last),
      ...(time && { minutes: time }),
      ...(heats.length > 0 && {
        oven: heats.map((h) => ({
          celsius: celsiusOf(h, s.region ?? 'us'),
          fan: h.fan,
          span: [t[h.from]!.from, t[h.to - 1]!.to] as const,
        })),
      }),
      ...(size && { tin: [t[size.from]!.from, t[size.to - 1]!.to] as const }),
      ...(p.until && { until: [t[p.until[0]]!.from, t[p.until[1] - 1]!.to] as const }),
      ...(p.condition && { condition: [t[p.condition[0]]!.from, t[p.condition[1] - 1]!.to] as const }),
      ...(/\b(?:optional(?:ly)?|if you like|if liked|if desired|if using)\b/i.test(s.text.slice(...span)) && { optional: true as const }),
      ...(signs && { signs }),
      ...(d.lists && { lists: true as const }),
    }
    // "OR in a cooker, 45 min": another way to do the same.
    if (act === 'bake' && before === 'bake' && OTHERWISE.test(s.text.slice(...span))) {
      unread.push({ step: d.step, span })
      return
    }
    // Only a condition or a warning: it belongs to the clause before.
    if (!p.verb && p.condition && !time && !kept.length && act === 'other') {
      const previous = steps[d.step]!.clauses.at(-1)
      if (previous && !previous.condition) previous.condition = clause.condition!
      else if (!previous) unread.push({ step: d.step, span })
      return
    }
    // How long it keeps is nobody's time.
    const keeps = /\b(?:keeps?|stays?|lasts?|freezes?|remains?)\b/.test(d.text)
    if (!p.verb && keeps && (act === 'other' || (time !== undefined && time[1] >= 24 * 60))) {
      unread.push({ step: d.step, span })
      return
    }
    // A time told in its own piece goes to the act before that lacks one.
    if (!p.verb && time && act === 'other') {
      const previous =
        steps[d.step]!.clauses.at(-1) ??
        steps
          .slice(0, d.step)
          .flatMap((x) => x.clauses)
          .at(-1)
      // "Scoop mounds apart. 8–10 min.": where nothing else is baked, that is the bake.
      const bakes = (x: Draft) => /^(?:bake|cook|fry|boil)$/.test(classOf(x.piece.verb)) || x.piece.verb === 'bake'
      // "Into a lined tin, 45 mins."
      const goesIn = previous?.act === 'fill-tin' || INTO_OVEN.test(wordsBefore(drafts, n))
      if (previous && !anyBaked && time[0] >= LEAST_BAKE && goesIn && !drafts.slice(n + 1).some(bakes)) {
        steps[d.step]!.clauses.push({ ...clause, act: 'bake' })
        anyBaked = true
        baked.add(part)
        before = 'bake'
        return
      }
      if (previous && !previous.minutes) {
        previous.minutes = time
        return
      }
    }
    if (act === 'other' && !p.verb && !kept.length && !time) {
      if (/\p{L}/u.test(s.text.slice(...span))) unread.push({ step: d.step, span })
      return
    }
    steps[d.step]!.clauses.push(clause)
    if (act !== 'ready-tin' && act !== 'serve' && !clause.optional)
      for (const { mention: m, lines } of d.candidates)
        if (!lines.length && m.id && t[m.head]!.depth === 0)
          unlinked.push({ step: d.step, span: [t[m.from]!.from, t[m.to - 1]!.to], ingredient: m.id })
    if (act === 'bake' || act === 'fry') {
      anyBaked = true
      for (const f of filled) baked.add(f)
      baked.add(part)
      filled.clear()
      fired = false
    }
    if (act === 'fill-tin') filled.add(part)
    else if (filled.size && FIRE.test(d.text)) fired = true
    if (act === 'foam') foamed = true
    if (act === 'bake') foamed = false
    if (['cream', 'foam', 'mix', 'melt', 'simmer', 'rub-in', 'fold', 'soften', 'strain', 'infuse'].includes(act) && kept.length)
      last = [d.step, steps[d.step]!.clauses.length - 1]
    // "Whisk again" is done with what is in the bowl; "fold this into …" brings another mixture.
    const brought = clause.things.some((x) => 'made' in x && x.span[0] !== t[p.at]?.from)
    const goesIn = [...cues.ids.filter((id) => id !== ''), ...(act === 'mix' && brought ? [MIXED] : [])]
    if (act === 'fill-tin' || act === 'bake' || act === 'fry') bowl.delete(part)
    else if (goesIn.length && act !== 'ready-tin')
      bowl.set(
        part,
        cues.text && MADE.test(d.text)
          ? [...(bowl.get(part) ?? []), ...goesIn]
          : STARTS.has(act) && !d.text.includes(`${p.verb} in `) && !(p.verb === 'add' && eggsWait(bowl.get(part)))
            ? goesIn
            : [...(bowl.get(part) ?? []), ...goesIn],
      )
    if (act !== 'other') before = act
  })
  imply(recipe, steps)
  return { steps, unread, unlinked }
}

/** What is said in a bracket of keeping and of another day. */
const ASIDE = /\b(?:can be|may be|could be|keeps?|ahead|in advance|freez\w*|up to \d+ ?(?:h|hrs?|hours?|days?))\b/
function bracketAround(t: Scan['tokens'], at: number): string {
  let from = at
  while (from > 0 && t[from - 1]!.depth > 0) from--
  let to = at
  while (to < t.length && t[to]!.depth > 0) to++
  return t
    .slice(from, to)
    .map((x) => x.word || x.text)
    .join(' ')
}

/** Acts that need something to be done with. */
/** What is done with a batter last before it is baked. */
const INTO_OVEN = /\b(?:scoop|drop|spoon|dollop|pipe|mounds?|spoonfuls?|shape|place)\b/

/** The words of the two pieces before. */
const wordsBefore = (drafts: readonly Draft[], n: number): string =>
  drafts
    .slice(Math.max(0, n - 2), n)
    .map((x) => x.text)
    .join(' ')

/** What bakes where there is no oven. */
const FIRE = /\b(?:char)?coals?\b|\bembers\b|\bflames?\b|\b(?:over|on) (?:a |the )?(?:low |slow |gentle |medium )?(?:fire|burner)\b/

const NEEDS_THINGS: ReadonlySet<Act> = new Set(['mix', 'cream', 'melt', 'simmer', 'foam'])
/** One line that is never named may be forgotten; more are meant. */
const LEAST_IMPLIED = 2

/** "Icing: butter, milk, cocoa. Bring to the boil.": a part of which hardly a thing is named begins with all of it. */
function imply(recipe: Recipe, steps: readonly Step[]): void {
  recipe.parts.forEach((p, part) => {
    const clauses = steps.flatMap((s) => s.clauses.filter((c) => c.part === part))
    if (recipe.parts.length < 2 || clauses.some((c) => c.things.some((t) => 'group' in t))) return
    const named = new Set(clauses.flatMap((c) => c.things.flatMap((t) => ('line' in t ? [t.line] : []))))
    const unnamed = p.lines.filter((l, line) => l.ingredient && l.grams.best > 0 && !named.has(line)).length
    if (unnamed < LEAST_IMPLIED) return
    // "Mix topping with a fork to crumbs": all that is for it.
    const word = /(\p{L}{4,})\W*$/u.exec(p.name)?.[1]?.toLowerCase().replace(/s$/, '')
    const called =
      named.size === 0 && word
        ? steps
            .flatMap((s) => s.clauses.map((c) => ({ c, text: s.text.slice(...c.span).toLowerCase() })))
            .find(
              ({ c, text }) =>
                (NEEDS_THINGS.has(c.act) || /^(?:make|prepare)$/.test(c.verb)) &&
                !c.things.some((t) => 'line' in t) &&
                new RegExp(`^\\W*(?:\\p{L}+\\s+){1,3}?${word}`, 'u').test(text),
            )?.c
        : undefined
    const used = called ?? (named.size === 0 ? spokenOf(recipe, steps, p.name) : undefined)
    if (used) {
      used.part = part
      used.things = [{ span: [used.span[1], used.span[1]], group: 'rest', implied: true }]
      return
    }
    const first = clauses[0]
    if (!first || unnamed < LEAST_IMPLIED || !NEEDS_THINGS.has(first.act) || first.things.some((t) => 'line' in t)) return
    first.things.push({ span: [first.span[1], first.span[1]], group: 'rest', implied: true })
  })
}

/** "Sprinkle with the crumb mixture": where a part that nobody told how to make is used, by a word of its name. */
function spokenOf(recipe: Recipe, steps: readonly Step[], name: string): Clause | undefined {
  const words =
    name
      .toLowerCase()
      .match(/\p{L}{4,}/gu)
      ?.map((w) => w.replace(/s$/, '')) ?? []
  const lines = recipe.parts.flatMap((p) => p.lines.map((l) => (l.named ?? '').toLowerCase()))
  // A word of its own, and not that of a thing or of the cake.
  const own = words.filter((w) => !/^(?:cake|topping|with|mixture|middle|side|base|layer)$/.test(w) && !lines.some((l) => l.includes(w)))
  if (!own.length) return undefined
  const called = new RegExp(`\\b(?:${own.join('|')})s?\\b`, 'u')
  return steps
    .flatMap((s) => s.clauses.map((c) => ({ c, text: s.text.slice(...c.span).toLowerCase() })))
    .find(({ c, text }) => !c.things.some((t) => 'line' in t || 'group' in t) && c.act !== 'bake' && called.test(text))?.c
}

/** What opens another way to do the same. */
const OTHERWISE = /^\s*\(?(?:or|alternatively)\b/i

/** "Hold back 2 tablespoons of the flour": a little of it, the rest is still to come. */
const HELD_BACK = /^(?:hold|reserve|save|keep)$/
const SOME = 0.2

/** Eggs that were broken into a bowl wait there for what is added. */
const eggsWait = (held: readonly string[] | undefined): boolean =>
  held !== undefined && held.some((id) => id.startsWith('egg-')) && held.every((id) => /^egg-|^sugar|^salt$|^vanilla/.test(id))

/** Acts that mostly begin with an empty bowl. */
const STARTS: ReadonlySet<Act> = new Set(['cream', 'foam', 'melt', 'soften', 'simmer', 'mix', 'rub-in'])

const joinTimes = (times: readonly Time[]): [number, number] => {
  const longest = times.reduce((a, b) => (b.high > a.high * 3 && a.low < 2 ? b : a))
  return [round(longest.low), round(longest.high)]
}
const round = (minutes: number) => Math.round(minutes * 100) / 100

const forTin = (recipe: Recipe, x: LineThing): boolean => {
  const l = recipe.parts[x.part]?.lines[x.line]
  return l !== undefined && (TIN_LINE.test(l.text) || l.quantity === null || l.grams.best < 20) && !(l.grams.best > 60)
}

/** "For each batter cream the butter …": what is said of one is done with all. */
const EACH_BATTER = /\b(?:each|both) (?:of the )?(?:two )?(?:batters?|mixtures?|doughs?|mixes|bowls?)\b/i

function sentenceAround(d: Draft): string {
  const t = d.scan.tokens
  let from = d.piece.from
  while (from > 0 && !/^[.!?;]$/.test(t[from - 1]!.text)) from--
  let to = d.piece.to
  while (to < t.length && !/^[.!?;]$/.test(t[to - 1]!.text)) to++
  return t[from] && t[to - 1] ? d.scan.text.slice(t[from]!.from, t[to - 1]!.to) : ''
}

/** The same things of the other batters. */
function twins(things: readonly Thing[], recipe: Recipe): LineThing[] {
  return things.flatMap((x) =>
    'line' in x && recipe.parts[x.part]?.role === 'batter'
      ? recipe.parts.flatMap((p, part) =>
          p.role === 'batter' && part !== x.part
            ? p.lines.flatMap((l, line) => (l.ingredient === x.ingredient ? [{ ...x, part, line }] : []))
            : [],
        )
      : [],
  )
}

/** "Whisk the rest with the baking powder", "the remaining 300 g": what is left of the line that was taken from before. */
function restThing(d: Draft, recipe: Recipe, used: ReadonlyMap<string, number>, part: number): LineThing | undefined {
  const t = d.scan.tokens
  // What is poured or spread is the rest of a batter or a cream.
  if (!/^(?:whip|mix|fold|melt)$/.test(classOf(d.piece.verb))) return undefined
  for (let i = d.piece.from; i < d.piece.to; i++) {
    if (i === d.piece.at || d.piece.masked.has(i) || !/^(?:rest|remainder|remaining)$/.test(t[i]!.word) || t[i - 1]?.word !== 'the')
      continue
    const measure = d.scan.measures.find((m) => m.from === i + 1)
    const next = t[measure ? measure.to : i + 1]
    if (t[i]!.word === 'remaining' && !measure) continue
    if (
      next?.word === 'of' ||
      d.scan.mentions.some(
        (m) => m.from <= (measure ? measure.to : i + 1) + 1 && m.head > i && !/^(?:and|with|,)$/.test(next?.word || next?.text || ''),
      )
    )
      continue
    const begun = [...used].filter(([k, share]) => share > 0 && share < 1 && Number(k.split('.')[0]) === part).at(-1)
    if (!begun) return undefined
    const line = Number(begun[0].split('.')[1])
    return {
      span: [t[i]!.from, t[(measure ? measure.to : i + 1) - 1]!.to],
      part,
      line,
      ingredient: recipe.parts[part]!.lines[line]!.ingredient!,
      rest: true,
    }
  }
  return undefined
}

/** "Whisk until lukewarm": what is worked on is what was put together last; it stands at the verb. */
function impliedMade(d: Draft, things: Thing[], last: [number, number] | undefined): Thing[] {
  const { at, verb } = d.piece
  const cls = classOf(verb)
  if (things.length || !last || at < 0 || (cls !== 'whip' && cls !== 'mix' && cls !== 'fold')) return things
  const word = d.scan.tokens[at]!
  return [{ span: [word.from, word.to], made: last }]
}

/** "Beat it with the sugar": what was made before is meant beside what is named. */
function withMade(d: Draft, span: readonly [number, number], kept: Thing[], last: [number, number] | undefined): Thing[] {
  if (!last) return kept
  const named = MADE.exec(d.scan.text.slice(...span).toLowerCase())
  if (!kept.length)
    return named && MADE.test(d.text) ? [{ span: [span[0] + named.index, span[0] + named.index + named[0].length], made: last }] : kept
  const t = d.scan.tokens
  const at = d.piece.at
  const pronoun = [at + 1, at + 2].find(
    (i) => i < d.piece.to && at >= 0 && /^(?:it|this|these|them)$/.test(t[i]!.word) && !d.piece.masked.has(i),
  )
  if (
    pronoun === undefined ||
    !/^(?:with|to|in|into|over|through|on|by|until|till|for|,|and|gradually|spoon|a)$/.test(
      t[pronoun + 1]?.word || t[pronoun + 1]?.text || '',
    )
  )
    return kept
  return [{ span: [t[pronoun]!.from, t[pronoun]!.to], made: last }, ...kept]
}

const OF_MIXTURE = /^(?:[\s-]*(?:and |& ?|\/|-)?\w+)?[\s-]+(?:mixture|batter|foam|mass)\b/i

function thingsOf(
  d: Draft,
  picks: readonly (readonly { part: number; line: number }[])[],
  recipe: Recipe,
  used: ReadonlyMap<string, number>,
): Thing[] {
  const t = d.scan.tokens
  const out: Thing[] = []
  d.candidates.forEach((c, i) => {
    const span = [t[c.mention.from]!.from, t[c.mention.to - 1]!.to] as const
    for (const l of picks[i] ?? []) {
      const line = recipe.parts[l.part]!.lines[l.line]!
      const before = used.get(key(l.part, l.line)) ?? 0
      // "Good with labneh", where the cake has yogurt in it: another pot.
      if (WITH_IT.test(d.text) && !tokenise(line.named ?? '').some((x) => c.mention.words.includes(x.stem))) continue
      // "into the eggs": what they have become.
      if (before >= 1 && c.target && !c.rest) continue
      if (before >= 1 && c.mention.words[0] === 'mix') continue
      // "the butter and sugar mixture": it was made of them before.
      if (before > 0 && !c.rest && OF_MIXTURE.test(d.scan.text.slice(span[1]))) continue
      const share = c.share ?? told(d, c.mention.from, line, recipe.region ?? 'uk')
      if (out.some((x) => 'line' in x && x.part === l.part && x.line === l.line)) continue
      out.push({
        span,
        part: l.part,
        line: l.line,
        ingredient: line.ingredient!,
        ...(share !== undefined && { share: Math.round(share * 100) / 100 }),
        ...(c.rest && { rest: true as const }),
        ...(c.as && line.ingredient === 'egg-whole' && { as: c.as }),
      })
    }
  })
  for (const g of d.groups)
    out.push({ span: [g.from, g.to], group: g.group, ...(g.part !== undefined && { part: g.part }) } satisfies GroupThing)
  return out
}

const WITH_IT = /\b(?:serve|good|nice|lovely|delicious|great|eat|enjoy|best)\b.*\bwith\b/

/** How much of its line a measure before its name is, where it is less: "¾ cup of the sugar", "2 of the eggs". */
function told(d: Draft, mention: number, line: Line, region: Region): number | undefined {
  const m = d.scan.measures.find((x) => x.to <= mention && mention - x.to <= 3 && x.from >= d.piece.from)
  if (!m || !line.ingredient || line.grams.best <= 0) return undefined
  const size = unitSize(m.unit, region)
  const grams =
    m.unit.kind === 'mass' && size
      ? m.low * size
      : m.unit.kind === 'volume' && size
        ? m.low * size * (perMl(line, region) ?? density(need(line.ingredient)))
        : m.unit.id === 'piece' && line.quantity?.unit === 'piece' && line.quantity.low > 0
          ? (m.low / line.quantity.low) * line.grams.best
          : 0
  const share = grams / line.grams.best
  return share > 0 && share < LESS ? share : undefined
}

/** What a millilitre of a line weighs as its own cup was weighed, g; nothing where it was not measured by volume. */
function perMl(line: Line, region: Region): number | undefined {
  const unit = line.quantity && unitById(line.quantity.unit)
  const ml = unit?.kind === 'volume' ? (unitSize(unit, region) ?? 0) * line.quantity!.low : 0
  return ml > 0 ? line.grams.best / ml : undefined
}

/** A measure this near to its line names all of it. */
const LESS = 0.97

/** What a reading stands on: its words, and of each part what it is and what its lines say. */
function groundsOf(recipe: Recipe): (string | number | null | undefined)[] {
  const out: (string | number | null | undefined)[] = [recipe.region, ...recipe.method]
  for (const p of recipe.parts) {
    out.push(p.name, p.role)
    for (const l of p.lines) out.push(l.ingredient, l.text, l.grams.best)
  }
  return out
}

const readings = new WeakMap<Recipe, { grounds: readonly unknown[]; method: Method }>()
/** Requests bring the same recipe as another object each time: the last readings are kept by what they stand on too. */
const recent = new Map<string, Method>()
const MOST_RECENT = 64

/**
 * The one reading of a recipe, kept with it until its words, lines or parts change.
 *
 * Its kitchen is the recipe's own; without one, a British one.
 */
export function methodOf(recipe: Recipe): Method {
  const grounds = groundsOf(recipe)
  const kept = readings.get(recipe)
  if (kept && kept.grounds.length === grounds.length && kept.grounds.every((x, i) => x === grounds[i])) return kept.method
  const key = grounds.join('\u0001')
  const method = recent.get(key) ?? readMethod(recipe, recipe.region ?? 'uk')
  recent.delete(key)
  recent.set(key, method)
  if (recent.size > MOST_RECENT) recent.delete(recent.keys().next().value!)
  readings.set(recipe, { grounds, method })
  return method
}
