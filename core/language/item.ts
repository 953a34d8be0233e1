import type { Region } from '../measure/region'
import { unitById } from '../measure/unit'
import { ingredientOf } from '../pantry/pantry'
import { dialsIn, type Dial } from './dial'
import { groupsOf, type Group } from './group'
import { measuresIn, type Measure } from './measure'
import { SORTS } from './manner'
import { mentionsIn, type Mention } from './name'
import { tokenise, wordsBetween, type Token } from './token'

/** One thing of a line or sentence: how much of what, as tokens [from, to). */
export interface Item {
  from: number
  to: number
  group?: Group
  mention?: Mention
  /** How well amount and name belong together; unit-less, higher is surer. */
  score: number
  /** A name that stands without an amount. */
  bare: boolean
}

/** What a text says, before anybody decides what it is: the one scan that line, page and method start from. */
export interface Scan {
  text: string
  tokens: Token[]
  dials: Dial[]
  measures: Measure[]
  mentions: Mention[]
  region?: Region
}

/** Takes a text apart into tokens, dials, measures and names. */
export function scan(text: string, region?: Region): Scan {
  const tokens = tokenise(text)
  const dials = dialsIn(tokens)
  const measures = measuresIn(tokens, dials)
  const skip = new Set<number>()
  for (const d of dials) for (let i = d.from; i < d.to; i++) skip.add(i)
  for (const m of measures) if (m.unit.kind !== 'piece' || m.unit.id !== 'piece') for (let i = m.from; i < m.to; i++) skip.add(i)
  return { text, tokens, dials, measures, mentions: mentionsIn(tokens, skip, region), ...(region && { region }) }
}

/** Abbreviations whose full stop ends no sentence. */
export const ABBREVIATED =
  /^(?:c|t|tsp|tsps|tbsp|tbs|tblsp|oz|ozs|lb|lbs|pkg|pkt|sq|lg|lge|med|sm|gr|g|gm|gms|ml|l|kg|dl|cl|approx|ca|no|nos|pt|qt|doz|pck|env|hr|hrs|min|mins|in|ingred|choc|deg|f|b|p|st|vs|etc|e|i|temp|pwd|sug|van|fl)$/

/** Words that are cut short in a list or a sentence: "evap. milk", "rem. flour". */
export const SHORTENED: ReadonlySet<string> = new Set(
  'ing ingr ingreds evap rem remg cond conc unsalt gran granul conf pdr powd marg veg choc sug van ingred sm med lg lge temp approx alt sep sl std marsh whp crm choc'.split(
    ' ',
  ),
)

const SEPARATOR = /^(?:,|;|\+|and|&|plus|\.|—|then|with|\||:|•|·)$/
const WEAKENING = /^(?:for|or|with|in|into|to|from|like|as|extra|without|no|not|off|than|until|till)$/
/** No cut between a measure and what says it belongs to the words before. */
const TIED = /^(?:or|of|from|for|about|approx|approximately|ca|-|–|\/|\(|another|further|extra|x|×|=|~|than|by|at|every|to)$/

/** How well an amount and a name belong together. */
function pairScore(t: readonly Token[], g: Group, n: Mention, nameFirst: boolean): number {
  let score = n.score * 0.35
  const after = n.from >= g.base.to
  const [from, to] = after ? [g.to > n.from ? n.from : g.to, n.from] : [n.to, g.from]
  // "oil 100 ml,": the amount closes the piece
  const closes = !after && g.from - n.to <= 2 && (t[g.to] === undefined || /^[,;.)]$/.test(t[g.to]!.text))
  for (let i = from; i < to; i++) {
    const x = t[i]!
    // "100 ml of their juice": words that only point.
    if (POINTING.has(x.word)) continue
    if (x.kind === 'word') score -= WEAKENING.test(x.word) ? 1 : 0.1
    else if (/[,:]/.test(x.text)) score -= closes ? 0.05 : 0.5
    else if (x.text === ';') score -= 1.2
    else if (x.text === '.') score -= 0.2
  }
  if (!after) score += nameFirst || closes ? 0.45 : -0.35
  else if (nameFirst) score -= 0.6
  if (t[n.head]!.depth > t[g.from]!.depth) score -= 1.1
  return score
}

const POINTING = new Set(['of', 'their', 'its', 'the', 'that', 'this', 'same'])

interface Segment {
  value: number
  item?: { group?: Group; mention?: Mention; score: number; bare: boolean }
}

export interface ItemOptions {
  /** A sentence, not a line of a list: only amounts with their names count, and words between are no loss. */
  prose?: boolean
}

/**
 * The things of a line or a sentence: the row of pieces, cut at separators and before amounts, in which amounts
 * and names fit best (dynamic programme over the cuts).
 */
export function itemsIn(s: Scan, options: ItemOptions = {}): Item[] {
  const { tokens: t, dials } = s
  const prose = options.prose ?? false
  const mentions = s.mentions.filter((n) => !dials.some((d) => n.head >= d.from && n.head < d.to))
  const groups = groupsOf(t, s.measures, mentions).filter(
    (g, i) =>
      g.base.unit.id !== 'piece' ||
      (i === 0 && !prose) ||
      t[g.to] === undefined ||
      countsSomething(t, g, mentions) ||
      (!prose && isUnknownThing(t, g)),
  )
  if (!groups.length) return bareItem(t, mentions, prose)
  const first = mentions[0]
  const nameFirst = !prose && first !== undefined && first.from <= 2 && first.head < groups[0]!.from && groups.at(-1)!.to >= t.length - 4

  const cuts = cutsOf(t, groups, mentions, prose)
  const walls = wallsOf(t, groups)
  const value = [0]
  const back = [-1]
  const made: (Segment['item'] | undefined)[] = [undefined]
  for (let j = 1; j < cuts.length; j++) {
    value[j] = -Infinity
    for (let i = Math.max(0, j - 14); i < j; i++) {
      if (walls.some((w) => w >= cuts[i]! && w < cuts[j]! - 1)) continue
      const segment = segmentOf(t, cuts[i]!, cuts[j]!, groups, mentions, prose, nameFirst)
      // "orange juice, from 2 oranges": a piece that begins with "from" says where the one before comes from.
      const origin = i > 0 && /^(?:from|for|of|about|approx|at|or)$/.test(t[cuts[i]!]!.word) ? -4 : 0
      const clean = i === 0 || /^[/]$/.test(t[cuts[i]! - 1]!.word) || SEPARATOR.test(t[cuts[i]! - 1]!.word) ? origin : origin - 0.35
      const total = value[i]! + segment.value + clean
      if (total > value[j]!) {
        value[j] = total
        back[j] = i
        made[j] = segment.item
      }
    }
  }
  const items: Item[] = []
  for (let j = cuts.length - 1; j > 0; j = back[j]!)
    items.unshift({ ...(made[j] ?? { score: -1, bare: false }), from: cuts[back[j]!]!, to: cuts[j]! })
  const kept = prose ? proseItems(items) : items
  carryUnit(kept)
  const all = each(t, kept, groups, mentions)
  return prose ? all : merged(t, all)
}

/** A count in the middle of a sentence counts something only where a name follows at once. */
function countsSomething(t: readonly Token[], g: Group, mentions: readonly Mention[]): boolean {
  return mentions.some(
    (n) =>
      (n.from >= g.to || (n.from < g.from && n.head >= g.to)) &&
      n.head - g.to <= 4 &&
      !t.slice(g.to, n.from).some((x) => /^(?:tins?|pans?|bowls?|goes|times|layers?|parts?|minutes|cakes?|halves|[.,;])$/.test(x.word)),
  )
}

/** Words behind an amount that say how or for what, and name nothing. */
const NO_THING =
  /^(?:of|for|from|in|into|on|to|at|as|each|more|extra|if|or|about|per|plus|and|with|without|total|left|then|than|the|cut|finely|roughly|coarsely|thinly|freshly|soft|hard|fresh|ripe|whole|large|medium|small|good|heaped|level|rounded|scant|generous|packed|dry|wet|hot|cold|warm|more|less|same|times?|minutes?|mins?|hours?|days?|weeks?|layers?|tins?|pans?|parts?|people|persons?|servings?|portions?|slices?|pieces?|halves|quarters?|rounds?|inch(?:es)?|mm|cm|degrees?|percent|batches|flesh|weight|nett?|gross|drained|prepared|pulp|juice|zest|it|them|this|these)$/

/**
 * "…, 50 g zorblat, …", "…, 6 rasmalai": an amount between commas with a name that nobody knows. It is a thing of the
 * list all the same, and asked about.
 */
function isUnknownThing(t: readonly Token[], g: Group): boolean {
  const before = t[g.from - 1]
  const name = t[g.to]
  if (!before || !/^[,;]$/.test(before.text) || before.depth > 0 || name?.kind !== 'word') return false
  if (name.word.length < 4 || NO_THING.test(name.word) || /(?:ed|ly|ing)$/.test(name.word)) return false
  let end = g.to
  while (t[end]?.kind === 'word') end++
  return end - g.to <= 3 && (t[end] === undefined || /^[,;.]$/.test(t[end]!.text))
}

/** A line without any amount names one thing. */
function bareItem(t: readonly Token[], mentions: readonly Mention[], prose: boolean): Item[] {
  if (prose || !mentions.length) return []
  const main = mentions.find(
    (n) => t[n.head]!.depth === 0 && !t.slice(Math.max(0, n.from - 3), n.from).some((x) => /^(?:for|with|in|or|to)$/.test(x.word)),
  )
  const items: Item[] = [{ mention: main ?? mentions[0]!, from: 0, to: t.length, score: 0, bare: true }]
  // "salt and pepper", "zest and juice of": two names joined by "and" are two things.
  const second = mentions.find(
    (n) =>
      n !== items[0]!.mention &&
      n.from > items[0]!.mention!.to &&
      n.from - items[0]!.mention!.to <= 1 &&
      /^(?:and|&|\+|,)$/.test(t[n.from - 1]!.word),
  )
  if (second && second.id !== items[0]!.mention!.id && t.length <= 8) {
    items[0]!.to = second.from - 1
    items.push({ mention: second, from: second.from, to: t.length, score: 0, bare: true })
  }
  return items
}

/** Slashes with spaces around them, where every piece between them has its amount: no thing goes across. */
function wallsOf(t: readonly Token[], groups: readonly Group[]): number[] {
  const slashes = t.flatMap((x, i) =>
    x.text === '/' && x.depth === 0 && t[i - 1] && t[i + 1] && t[i - 1]!.to < x.from && x.to < t[i + 1]!.from ? [i] : [],
  )
  const bounds = [-1, ...slashes, t.length]
  const whole = bounds.slice(1).every((to, n) => groups.some((g) => g.from > bounds[n]! && g.from < to))
  return whole ? slashes : []
}

function cutsOf(t: readonly Token[], groups: readonly Group[], mentions: readonly Mention[], prose: boolean): number[] {
  const inside = new Set<number>()
  for (const g of groups) for (let i = g.from + 1; i < g.to; i++) inside.add(i)
  const starts = new Set(groups.map((g) => g.from))
  const cuts = [0]
  for (let i = 1; i < t.length; i++) {
    if (inside.has(i) || (t[i]!.depth > 0 && t[i]!.text !== '(')) continue
    const before = t[i - 1]!
    const spaced = before.text === '/' && t[i - 2] !== undefined && t[i - 2]!.to < before.from && before.to < t[i]!.from && starts.size > 1
    if (spaced && before.depth === 0) {
      cuts.push(i)
      continue
    }
    // "juice of half a lemon": the amount stands within the name.
    const within = mentions.some((m) => m.from < i && i < m.head && t[i - 1]!.word === 'of')
    const opens = starts.has(i) && !TIED.test(before.word) && !within
    const stop = before.text === '.' && (!prose || ABBREVIATED.test(t[i - 2]?.word ?? ''))
    if (opens || (before.depth === 0 && SEPARATOR.test(before.word) && !stop)) cuts.push(i)
  }
  cuts.push(t.length)
  return cuts
}

/** What an amount with an unknown name is worth beside known ones: more than to be lost in its neighbour. */
const UNKNOWN_THING = 0.6

const LONE_WORD = /^(?:zest|egg-white|egg-yolk|lemon-juice|orange-juice|butter-salted|butter-unsalted)$/

function segmentOf(
  t: readonly Token[],
  from: number,
  to: number,
  groups: readonly Group[],
  mentions: readonly Mention[],
  prose: boolean,
  nameFirst: boolean,
): Segment {
  const gs = groups.filter((g) => g.from >= from && g.from < to)
  const ns = mentions.filter((n) => n.from >= from && n.head < to)
  const top = ns.filter((n) => t[n.head]!.depth === 0)
  if (!gs.length) {
    if (!ns.length) return { value: prose ? 0 : -1.6 }
    // "icing sugar to dust": what it is for is no part of the name.
    const purpose = t.findIndex((x, i) => i > from && i < to && /^(?:to|for)$/.test(x.word))
    const words = t.slice(from, purpose > 0 ? purpose : to).filter((x) => x.kind === 'word').length
    const name = top[0]
    const lone =
      name !== undefined &&
      words === 1 + name.head - name.from &&
      (groups.length >= 2 || purpose > 0) &&
      top.length === 1 &&
      !LONE_WORD.test(name.id)
    return { value: prose ? 0 : lone ? -0.1 : -1.9, item: { mention: ns[0]!, score: -1, bare: true } }
  }
  let best: { score: number; group: Group; mention: Mention } | undefined
  gs.forEach((group, at) => {
    for (const mention of ns) {
      const score = pairScore(t, group, mention, nameFirst) - 0.25 * at
      if (!best || score > best.score) best = { score, group, mention }
    }
  })
  if (best) best.mention = firstAllowed(t, sortOf(t, best.mention, ns), ns)
  if (!best) {
    const unknown = !prose && gs.length === 1 && gs[0]!.from === from && isUnknownThing(t, gs[0]!)
    return { value: prose ? -0.3 : unknown ? UNKNOWN_THING : -1.2 - 0.6 * (gs.length - 1), item: { group: gs[0]!, score: -1, bare: false } }
  }
  const { score, group, mention } = best
  let value = 1.5 + score - (nameFirst ? 0 : 0.5 * gs.indexOf(group)) - 0.9 * (gs.length - 1) - 0.2 * Math.max(0, top.length - 1)
  const closes = group.from - mention.to <= 2 && (t[group.to] === undefined || /^[,;.)]$/.test(t[group.to]!.text))
  if (prose && mention.from < group.base.from && !closes) value -= 0.9
  if (!prose || to - from < 14) {
    if (group.from - from <= 1) value += 0.4
    else if (mention.from - from <= 1 && group.to >= to - 2) value += 0.4
  }
  return { value, item: { group, mention, score, bare: false } }
}

/** "6 tablespoons strawberry or mixed fruit jam": what is named is only a sort of the thing behind the "or". */
function sortOf(t: readonly Token[], chosen: Mention, ns: readonly Mention[]): Mention {
  if (chosen.words.length > 1 || !SORTS.has(t[chosen.head]!.stem) || t[chosen.to]?.word !== 'or') return chosen
  const behind = ns.filter((n) => n.from > chosen.to && n.head - chosen.to <= 4)
  const last = behind.at(-1)
  return last && !SORTS.has(t[last.head]!.stem) && !t.slice(chosen.to, last.head).some((x) => x.text === ',') ? last : chosen
}

/** "butter or margarine": the first that is named is the one taken, unless it only sorts the second ("dark or milk chocolate"). */
function firstAllowed(t: readonly Token[], chosen: Mention, ns: readonly Mention[]): Mention {
  const before = ns.filter((n) => n.to <= chosen.from)
  for (const n of before) {
    const joint = t.slice(n.to, chosen.from).filter((x) => x.depth === 0)
    // "strawberry or mixed fruit jam": the first is only a sort of the second.
    const sort = n.words.length === 1 && SORTS.has(t[n.head]!.stem) && !SORTS.has(t[chosen.head]!.stem)
    if (
      !sort &&
      joint.some((x) => x.word === 'or') &&
      joint.every((x) => x.kind === 'mark' || /^(?:or|a|an|the|some|soft|hard|melted|good|quality|other|any|\(|\))$/.test(x.word))
    )
      return n
  }
  return chosen
}

/** In a sentence the words up to the next thing stay with this one ("2 eggs, beaten"). */
function proseItems(items: readonly Item[]): Item[] {
  return items
    .map((x, i) => {
      const next = items[i + 1]
      const loose = next && !(next.group && next.mention) && next.to - next.from <= 6
      return loose ? { ...x, to: next.to } : x
    })
    .filter((x) => x.group && x.mention)
}

/** What is weighed or poured, never counted. */
const UNCOUNTED = new Set(['flour', 'sugar', 'fat', 'dairy', 'syrup', 'starch', 'water', 'leavener', 'plant-dairy', 'cocoa', 'salt'])

/** "two teaspoons soda, two of cinnamon, one salt": what comes by the spoon goes on so. */
const SPOON = new Set(['tsp', 'tbsp'])
/** "250 g flour, 250 sugar": a bare number of what nobody counts takes the unit before it, or grams where it is large. */
function carryUnit(items: readonly Item[]): void {
  let unit: Measure['unit'] | undefined
  for (const { group, mention } of items) {
    if (!group) continue
    const base = group.base
    if (base.unit.kind === 'mass' || base.unit.kind === 'volume') unit = base.unit
    else if (base.unit.id === 'piece' && mention && !group.alternates.length && UNCOUNTED.has(ingredientOf(mention.id)?.kind ?? '')) {
      if (base.low >= 20) base.unit = unit?.kind === 'volume' && unit.id !== 'ml' ? unitById('g')! : (unit ?? unitById('g')!)
      else if (unit && ((unit.kind === 'mass' && unit.id !== 'g') || SPOON.has(unit.id))) base.unit = unit
    }
  }
}

/** "½ tsp each cinnamon, ginger and salt", "225 g each of butter, sugar and flour". */
function each(t: readonly Token[], items: readonly Item[], groups: readonly Group[], mentions: readonly Mention[]): Item[] {
  const out: Item[] = []
  const shared = ofEach(t, items, groups, mentions)
  if (shared) return shared
  for (const x of items) {
    out.push(x)
    const word = x.group && t[x.group.to]?.word
    if (!x.group || word !== 'each') continue
    const end = groups.find((g) => g.from > x.group!.to)?.from ?? t.length
    const more = mentions.filter((n) => n.from > x.group!.to && n.head < end && t[n.head]!.depth === 0 && n !== x.mention)
    if (x.group.base.unit.id === 'piece' && x.group.base.low >= 20) x.group.base.unit = unitById('g')!
    for (const mention of more) out.push({ ...x, mention, from: mention.from, to: mention.to })
    if (more.length && x.mention) x.to = Math.max(x.mention.to, x.group.to)
  }
  // What an "each" has taken is no thing of its own once more.
  const taken = new Set(out.filter((x) => x.group && !x.bare).map((x) => x.mention))
  return out.filter(
    (x, i) => !(x.bare && x.mention && out.some((y, j) => j !== i && !y.bare && y.mention === x.mention) && taken.has(x.mention)),
  )
}

/** An egg in its shell, g: between the European classes M (53 to 63) and L (63 to 73). */
const IN_SHELL = 60

/** "3 eggs, and the same weight of butter, sugar and flour (about 180 g each)": told, or what eggs weigh in their shells. */
function asMuchAsEggs(
  t: readonly Token[],
  items: readonly Item[],
  groups: readonly Group[],
  mentions: readonly Mention[],
): Item[] | undefined {
  const phrase = t.findIndex(
    (x, i) =>
      /^(?:equal|same|their)$/.test(x.word) && /^(?:weights?)$/.test(t[i + 1]?.word ?? '') && /^(?:of|in)$/.test(t[i + 2]?.word ?? ''),
  )
  const eggs = items[0]
  const [counted, weighed] = groups
  if (phrase < 0 || !eggs || counted?.base.unit.id !== 'piece' || counted.from > phrase || groups.length > 2) return undefined
  const egg = mentions.find((n) => n.head < phrase && n.id === 'egg-whole')
  const named = mentions.filter((n) => n.from > phrase && t[n.head]!.depth === 0)
  if (!egg || !named.length || (weighed && !(WEIGHED(weighed.base) && weighed.from > named[0]!.head))) return undefined
  // A weight in a bracket behind the names is theirs, not another measure of the eggs.
  const told = weighed?.base ?? counted.alternates.find((a) => a.apart && WEIGHED(a.measure) && a.measure.from > named[0]!.head)?.measure
  const grams = counted.base.low * IN_SHELL
  const eggsOnly: Group = { ...counted, alternates: counted.alternates.filter((a) => a.measure !== told) }
  const theirs: Group = {
    ...counted,
    base: told ?? { ...counted.base, low: grams, high: grams, unit: unitById('g')! },
    alternates: [],
    sums: [],
  }
  return [
    { ...eggs, group: eggsOnly, mention: egg, from: 0, to: phrase, bare: false },
    ...named.map((mention) => ({ ...eggs, group: theirs, mention, from: mention.from, to: mention.to, bare: false })),
  ]
}

/** "butter, sugar and flour, 225 g of each", "equal weights (200 g) of butter, sugar and flour": one amount for all that are named. */
function ofEach(t: readonly Token[], items: readonly Item[], groups: readonly Group[], mentions: readonly Mention[]): Item[] | undefined {
  const asEggs = asMuchAsEggs(t, items, groups, mentions)
  if (asEggs) return asEggs
  const group = groups[0]
  if (groups.length !== 1 || !group || !/^(?:mass|volume)$/.test(group.base.unit.kind)) return undefined
  const closes = t[group.to]?.word === 'each' || (t[group.to]?.word === 'of' && t[group.to + 1]?.word === 'each')
  const equal = t.some(
    (x, i) => /^(?:equal|same)$/.test(x.word) && /^(?:weights?|amounts?|quantity|quantities)$/.test(t[i + 1]?.word ?? ''),
  )
  const named = mentions.filter((n) => t[n.head]!.depth === 0 && (equal || n.to <= group.from))
  if ((!closes && !equal) || named.length < 2 || (!equal && mentions.some((n) => n.from > group.to))) return undefined
  return named.map((mention) => ({ ...items[0]!, group, mention, from: mention.from, to: mention.to, bare: false }))
}

const WEIGHED = (m: Measure): boolean => m.unit.kind === 'mass'

/** Pieces that are no things of their own belong to the one before: a second measure, "plus extra", preparation. */
function merged(t: readonly Token[], items: readonly Item[]): Item[] {
  const out: Item[] = []
  for (const x of items) {
    const y = out.at(-1)
    if (!y) {
      out.push(x)
      continue
    }
    const joint = wordsBetween(t, Math.max(y.from, x.from - 2), x.from + 2)
    const more = /plus|extra|more|\+|additional/.test(joint)
    const same = x.mention !== undefined && y.mention !== undefined && x.mention.id === y.mention.id
    const secondMeasure = same && x.group && WEIGHED(x.group.base) && y.group && !WEIGHED(y.group.base)
    if ((!x.mention && !(x.group && !y.group) && !(x.group && isUnknownThing(t, x.group))) || (same && (more || secondMeasure))) {
      if (x.group && y.group && WEIGHED(x.group.base) && !WEIGHED(y.group.base) && !more && !/for/.test(joint))
        y.group.alternates.push({ measure: x.group.base, apart: true })
      else if (x.group && !y.group) y.group = x.group
      else if (
        // "½ cup oil plus 1 tablespoon": of the same; what is "for the tin" or "extra" is not in the mix.
        x.group &&
        y.group &&
        /plus|\+/.test(joint) &&
        !/extra|more|additional/.test(joint) &&
        ['volume', 'mass'].includes(x.group.base.unit.kind) &&
        !t.slice(x.group.to, x.to + 2).some((w) => /^(?:for|to|extra|more|if|as)$/.test(w.word))
      )
        y.group.sums.push({ measure: x.group.base, minus: false })
      y.to = x.to
      if (!y.mention && x.mention) y.mention = x.mention
      continue
    }
    if (y.group && x.group && x.mention && t[x.mention.from - 1]?.word === 'for' && t[x.mention.head]!.depth > 0) {
      y.group.sums.push({ measure: x.group.base, minus: false })
      y.to = x.to
      continue
    }
    // "175 g sugar, plus 2 tbsp for the rhubarb": of the same, and what it is for.
    if (
      y.group &&
      x.group &&
      x.mention &&
      /plus|\+/.test(joint) &&
      !/extra|more|additional/.test(joint) &&
      x.group.to <= x.mention.from &&
      t[x.group.to]?.word === 'for'
    ) {
      y.group.sums.push({ measure: x.group.base, minus: false })
      y.to = x.to
      continue
    }
    if (x.bare && y.group && /\bor\b/.test(joint)) {
      y.to = x.to
      continue
    }
    out.push(x)
  }
  return out
}
