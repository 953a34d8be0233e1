import type { Scan } from '../language/item'
import type { Mention } from '../language/name'
import { valueAt } from '../language/number'
import { tokenise, type Token } from '../language/token'
import { ingredientOf } from '../pantry/pantry'
import type { Recipe } from '../recipe/recipe'
import type { Piece } from './clause'
import { VERB_CLASS } from './lexicon'
import type { Group } from './step'

/** A mention of a step that may be a line of the recipe. */
export interface Candidate {
  mention: Mention
  /** Best score by line; lines that cannot be meant are absent. */
  lines: { part: number; line: number; score: number }[]
  share?: number
  rest?: true
  as?: 'yolk' | 'white'
  /** It stands behind "into" or "over": where something is put, if it was used before. */
  target: boolean
  /** Several lines at once: "the spices", "both flours". */
  all: boolean
  /** All that its word can mean, however particular: "both sugars". */
  both?: true
  /** What was made of it before: "the choc mix". */
  made?: true
  /** A word for all that is left of its kind: "the fruit". */
  mass?: true
}

/** Bare words that name any line of their kind. */
const GENERIC: Readonly<Record<string, (id: string, kind: string) => boolean>> = Object.assign(Object.create(null) as object, {
  sugar: (id, kind) => kind === 'sugar' || id.startsWith('erythritol') || kind === 'sweetener',
  sweetener: (_, kind) => kind === 'sweetener',
  flour: (id, kind) => kind === 'flour' && /^flour|semolina/.test(id),
  butter: (id) => /^butter-|plant-butter|margarine|spread|brown-butter|ghee/.test(id),
  marg: (id) => /margarine|spread|butter/.test(id),
  margarine: (id) => /margarine|spread|butter/.test(id),
  fat: (_, kind) => kind === 'fat',
  oil: (id) => id.startsWith('oil-'),
  milk: (id) => /milk|buttermilk|kefir/.test(id) && !/condensed|evaporated|powder|coconut-milk/.test(id),
  cream: (id) => /^cream-(?!cheese|of)|plant-cream|coconut-cream|whipped-topping|sour-cream|creme/.test(id),
  cheese: (id) => /cheese|mascarpone|ricotta|quark/.test(id),
  yogurt: (id) => /yogurt|kefir/.test(id),
  curd: (id) => /yogurt|lemon-curd/.test(id),
  chocolate: (id) => id.startsWith('chocolate'),
  choc: (id) => id.startsWith('chocolate'),
  cocoa: (id) => id.startsWith('cocoa'),
  egg: (id) => id.startsWith('egg-') && !/replacer|liqueur/.test(id),
  white: (id) => id === 'egg-white',
  yolk: (id) => id === 'egg-yolk',
  nut: (id, kind) => (kind === 'nut' && !/coconut|seed/.test(id)) || /^flour-(?:almond|hazelnut|walnut|pistachio|pecan)/.test(id),
  hazelnut: (id) => /hazelnut/.test(id) && !/spread|oil/.test(id),
  walnut: (id) => /walnut/.test(id) && !/oil/.test(id),
  almond: (id) => /almond/.test(id) && !/milk|butter|extract/.test(id),
  fruit: (id, kind) => kind === 'fruit' || /^dried|\braisins?\b|peel/.test(id),
  berry: (id) => /berries|cherries/.test(id),
  cherry: (id) => /cherr/.test(id),
  syrup: (id, kind) => kind === 'syrup' || id === 'sugar-syrup',
  honey: (id) => id === 'honey',
  treacle: (id) => /molasses|treacle/.test(id),
  spice: (id) => id === 'spice',
  soda: (id) => id === 'baking-soda',
  powder: (id) => id === 'baking-powder',
  juice: (id) => /juice/.test(id),
  zest: (id) => id === 'zest',
  rind: (id) => id === 'zest',
  starch: (_, kind) => kind === 'starch',
  cornflour: (_, kind) => kind === 'starch',
  jam: (id) => id === 'jam',
  water: (id) => /water/.test(id) && !/flower|rose/.test(id),
  coffee: (id) => id.startsWith('coffee'),
  biscuit: (id) => /biscuit|cookie/.test(id),
  cookie: (id) => /biscuit|cookie/.test(id),
  mix: (id) => /^cake-mix|pudding-mix/.test(id),
  box: (id) => /^cake-mix/.test(id),
  coconut: (id) => /^coconut-(desiccated|sweetened)/.test(id),
  date: (id) => /^date/.test(id),
  agent: (_, kind) => kind === 'leavener',
  crumb: (id) => /biscuit|cookie|crumb|^bread/.test(id),
  raisin: (id) => id === 'dried-fruit',
  oat: (id) => /oat/.test(id),
  gelatine: (id) => id === 'gelatine',
  essence: (id) => /extract|vanilla/.test(id),
  extract: (id) => /extract|vanilla/.test(id),
  salt: (_, kind) => kind === 'salt',
  rum: (id) => id === 'spirit',
  liqueur: (id) => /liqueur|spirit/.test(id),
} satisfies Record<string, (id: string, kind: string) => boolean>) as Record<string, (id: string, kind: string) => boolean>

export interface LineKey {
  part: number
  line: number
  id: string
  kind: string
  named: ReadonlySet<string>
  /** The last word of its name. */
  head: string
  words: ReadonlySet<string>
  allowed: readonly string[]
  /** For the top or the tin: of a bare "sugar" another line is meant first. */
  beside: boolean
  /** Some more of it is listed behind its amount: "100 g sugar, plus 2 tbsp for sprinkling". */
  spare: boolean
}

const BESIDE = /\b(?:for|to) (?:the )?(?:tops?|topping|dust\w*|finish\w*|decorat\w*|serv\w*|sprinkl\w*|tins?|pans?)\b/i

const SPARE = /\b(?:plus|extra|more)\b/i

/** What each line of a recipe may be called by. */
export function lineKeys(recipe: Recipe): LineKey[] {
  const texts = recipe.parts.flatMap((p) => p.lines.map((l) => l.text))
  /** A row with two things on it names neither of them by all its words. */
  const shared = (text: string) => texts.indexOf(text) !== texts.lastIndexOf(text)
  return recipe.parts.flatMap((p, part) =>
    p.lines.flatMap((l, line) =>
      l.ingredient
        ? [
            {
              part,
              line,
              id: l.ingredient,
              kind: ingredientOf(l.ingredient)?.kind ?? '',
              named: new Set(tokenise(l.named ?? '').map((t) => t.stem)),
              head: tokenise(l.named ?? '').findLast((t) => t.kind === 'word')?.stem ?? '',
              words: new Set(tokenise(shared(l.text) ? (l.named ?? '') : l.text).flatMap((t) => (t.kind === 'word' ? [t.stem] : []))),
              allowed: l.allowed ?? [],
              beside: BESIDE.test(l.text),
              spare: SPARE.test(l.text),
            },
          ]
        : [],
    ),
  )
}

/** Whether the words are of the line's own name: "lemon" of lemon zest, but not "cream" of cream cheese, which is another food. */
export const namedBy = (m: Mention, k: LineKey): boolean =>
  m.words.every((w) => k.named.has(w)) && (m.words.at(-1) === k.head || !(m.words.at(-1)! in GENERIC))

/** Less than a line that has the word in its own name. */
const BESIDE_LESS = 0.5

/** How well a mention names a line; 0 where it does not. */
function scoreOf(m: Mention, k: LineKey): number {
  // "The chunks": of whatever lists some.
  if (m.id === '' && FORMS.test(`${m.words[0]!}s`)) return k.words.has(m.words[0]!) ? 1.6 : 0
  const extra = m.words.filter((w) => k.named.has(w)).length * 0.1
  if (k.id === m.id) return 2.5 + extra - (k.beside && m.words.length === 1 && m.words[0]! in GENERIC ? BESIDE_LESS : 0)
  if (k.allowed.includes(m.id)) return 2.1
  if (namedBy(m, k)) return 2.2 + extra
  const generic = m.words.length === 1 ? GENERIC[m.words[0]!] : undefined
  if (generic?.(k.id, k.kind)) return 1.6
  // By words beside its name ("the golden sugar"), not by those of another thing in its row.
  if (m.words.length > 1 && m.words.every((w) => k.words.has(w)) && (k.named.size === 0 || k.named.has(m.words.at(-1)!))) return 1.7
  // "the fudge chocolate", "golden sugar": the head is of the line's kind.
  const head = GENERIC[m.words.at(-1)!]
  if (
    m.words.length > 1 &&
    head?.(k.id, k.kind) &&
    ingredientOf(m.id)?.kind === k.kind &&
    !/^(?:sugar-icing|flour-self-raising)$/.test(m.id)
  )
    return 0.9
  return 0
}

const SHARES: Readonly<Record<string, number>> = Object.assign(Object.create(null) as object, {
  half: 0.5,
  third: 1 / 3,
  quarter: 0.25,
  thirds: 2 / 3,
  quarters: 0.75,
  most: 0.8,
  some: 0.3,
  little: 0.1,
  bit: 0.1,
  dusting: 0.01,
  sprinkling: 0.01,
  spoonful: 0.1,
  spoonfuls: 0.15,
  tablespoonful: 0.1,
  touch: 0.01,
}) as Record<string, number>
/** "The choc mix", "the egg mousse": what was made of it before. */
const MIXED_BEFORE = /^(?:mix|mixture|mousse|mass|paste|batter|foam)$/
const EXTRA = /^(?:extra|additional)$/
const TARGETS = /^(?:into|over|onto|to|on|upon)$/

function shareOf(t: readonly Token[], m: Mention, s: Scan, from: number): { share?: number; rest?: true } {
  const before = t.slice(Math.max(from, m.from - 5), m.from)
  const at = before.findLastIndex((x) => x.kind === 'mark' && /^[,;:.]$/.test(x.text))
  const words = before.slice(at + 1).map((x) => x.word)
  if (words.some((w) => /^(?:remaining|rest|other|last|reserved|leftover|left)$/.test(w))) return { rest: true }
  const sign = before.slice(at + 1).find((x) => x.kind === 'fraction')
  if (sign && words.includes('of') && words.includes('the')) return { share: sign.value! }
  const fraction = s.measures.find((x) => x.unit.id === 'piece' && x.low < 1 && x.to <= m.from && m.from - x.to <= 3 && x.from >= from)
  if (fraction) return { share: fraction.low }
  // "coated in little flour"
  if (words.at(-1) === 'little') return { share: SHARES.little! }
  const word = words.find((w) => w in SHARES && (words.includes('the') || words.includes('of')))
  return word && (!/^(?:little|bit|dusting|sprinkling|touch|spoonfuls?|tablespoonful)$/.test(word) || words.includes('of'))
    ? { share: SHARES[word]! }
    : {}
}

/** Words of the kitchen that name no food of their own, but lines of the recipe: "rub the fat into the flour". */
const COLLECTIVE = /^(?:fats?|fruits?|crumbs|mix|sweeteners?|block)$/
/** What things are cut to names them too: "stir in the chunks", where lines list chunks. */
export const FORMS = /^(?:chunks|pieces|shards|buttons|drops|morsels|shavings|cubes|curls|nibs|slivers|rings|segments)$/

function collectives(s: Scan, p: Piece): Mention[] {
  return s.tokens.slice(p.from, p.to).flatMap((x, n): Mention[] => {
    const i = p.from + n
    const lead = s.tokens[i - 1]?.word ?? ''
    // "Fold in chunks" folds them; "cut in chunks" makes them.
    const foldedIn = lead === 'in' && i - 2 === p.at && /^(?:fold|mix|add)$/.test(VERB_CLASS[p.verb] ?? '')
    const form = FORMS.test(x.word) && (foldedIn || !/^(?:into|in|to|as|of|small|big|large|bite|even|like)$/.test(lead))
    if (!(COLLECTIVE.test(x.word) || form) || p.masked.has(i) || i === p.at || s.mentions.some((m) => i >= m.from && i < m.to)) return []
    if (
      // "Beat the mix with the water": the box, where it is worked on; poured into its tin it is the batter.
      (x.word === 'mix' &&
        ((!/^(?:the|cake|dry|boxed|box)$/.test(s.tokens[i - 1]?.word ?? '') &&
          !(i - 1 === p.at && /^(?:and|with|&)$/.test(s.tokens[i + 1]?.word ?? ''))) ||
          !/^(?:whip|mix)$/.test(VERB_CLASS[p.verb] ?? ''))) ||
      /^(?:mixture|base|crust|coat)$/.test(s.tokens[i + 1]?.word ?? '') ||
      /^(?:like|low|no|moist|few|g)$/.test(s.tokens[i - 1]?.word ?? '') ||
      s.tokens[i - 1]?.kind === 'number'
    )
      return []
    return [{ id: '', words: [x.stem], head: i, from: i, to: i + 1, score: 1, cover: [i], misspelt: false }]
  })
}

/** "everything for the sauce bar the brandy": what is left out. */
const EXCEPT = /^(?:bar|except|barring|excepting|minus|besides)$/

/** Whether a mention stands in the list behind "except": "all but the nuts and the carrots". */
function excepted(t: readonly Token[], m: Mention, mentions: readonly Mention[]): boolean {
  for (let i = m.from - 1; i >= 0 && i > m.from - 8; i--) {
    const x = t[i]!
    if (EXCEPT.test(x.word)) return true
    const listed = /^(?:the|and|&|,|your|a)$/.test(x.word || x.text) || mentions.some((n) => i >= n.from && i < n.to)
    if (!listed) return false
  }
  return false
}

/** "Pour on the yolks, whipping": how it is done, and no cream. */
export const isManner = ({ tokens: t }: Scan, m: Mention): boolean =>
  m.to - m.from === 1 && t[m.from]!.word === 'whipping' && !/^(?:the|your)$/.test(t[m.from - 1]?.word ?? '')

/** "Into the butter-sugar": what two things have become. */
const isCompound = ({ tokens: t, mentions }: Scan, m: Mention): boolean => {
  const joins = (i: number) => t[i]?.text === '-' && t[i]!.from === t[i - 1]?.to && t[i]!.to === t[i + 1]?.from
  return (
    (joins(m.to) && mentions.some((n) => n.from === m.to + 1 && n.to - n.from === 1)) ||
    (joins(m.from - 1) && m.to - m.from === 1 && mentions.some((n) => n.to === m.from - 1))
  )
}

/** "Ice cream", "ice-cream": the token where the whole word begins; its own where there is no ice. */
export function icedFrom(t: readonly Token[], at: number): number {
  if (t[at - 1]?.word === 'ice') return at - 1
  return t[at - 1]?.text === '-' && t[at - 2]?.word === 'ice' ? at - 2 : at
}

/** A number that is said and fits, or does not. */
const COUNTED = 1.5

/** What a thing is beaten or heated to be. */
const STATE = /^(?:stiff|thick|soft|warm|smooth|firm)$/

/** The lines that the mentions of a piece may mean. */
export function candidatesOf(s: Scan, p: Piece, keys: readonly LineKey[]): Candidate[] {
  const t = s.tokens
  const isSpare = (l: { part: number; line: number }) => keys.some((k) => k.spare && k.part === l.part && k.line === l.line)
  return (
    s.mentions
      .filter((m) => m.head >= p.from && m.head < p.to && !p.masked.has(m.head) && m.head !== p.at)
      .concat(s.mentions.filter((m) => m.head >= p.from && m.head < p.to && t[m.head]!.depth > 0 && p.masked.has(m.head)))
      // "the wet items other than vinegar"
      .filter((m) => !(t[m.from - 1]?.word === 'than' && t[m.from - 2]?.word === 'other'))
      .filter((m) => !excepted(t, m, s.mentions))
      .filter((m) => !isManner(s, m) && !isCompound(s, m))
      // A heading names a part: "Cream: sprinkle the gelatine …".
      .filter((m) => !(t[m.to]?.text === ':' && t[m.to]!.from === t[m.to - 1]!.to && (m.from === 0 || /^[.!?]$/.test(t[m.from - 1]!.text))))
      .filter((m) => !(m.words.length === 1 && m.words[0] === 'ice') && icedFrom(t, m.from) === m.from)
      .concat(collectives(s, p))
      .sort((a, b) => a.from - b.from)
      .map((m): Candidate => {
        const word = m.words.at(-1)!
        const as = word === 'yolk' ? 'yolk' : word === 'white' && m.words.length <= 2 ? 'white' : undefined
        const scored = (m: Mention) =>
          keys.map((k) => ({ part: k.part, line: k.line, score: scoreOf(m, k), id: k.id })).filter((l) => l.score > 0)
        let lines = scored(m)
        // "Whip the cream stiff" is no sachet of cream stiff where none is listed.
        if (!lines.length && m.words.length > 1 && STATE.test(m.words.at(-1)!))
          lines = scored({ ...m, id: '', words: m.words.slice(0, -1) })
        // Yolks and whites of whole eggs that are separated.
        if (as && !lines.length)
          lines = keys.filter((k) => k.id === 'egg-whole').map((k) => ({ part: k.part, line: k.line, score: 1.8, id: k.id }))
        if (m.id === 'egg-whole' && lines.some((l) => l.id === 'egg-whole')) lines = lines.filter((l) => l.id === 'egg-whole')
        const plural =
          /s$/.test(t[m.head]!.word) &&
          ['spice', 'flour', 'semolina', 'sugar', 'nut', 'berry', 'fruit', 'fat', 'milk', 'agent'].includes(word)
        // "The three milks" of a soak are tinned milks and cream.
        if (plural && word === 'milk')
          lines = keys
            .filter((k) => /milk|^cream-(?!cheese)|coconut-cream|plant-cream/.test(k.id))
            .map((k) => ({ part: k.part, line: k.line, score: 1.6, id: k.id }))
        // "Both flours" may be a flour and a starch, "the raising agents" are all that raise.
        if (plural && (word === 'flour' || word === 'agent') && m.words.length <= 2)
          lines = keys
            .filter((k) => (word === 'agent' ? k.kind === 'leavener' && k.id !== 'yeast' : k.kind === 'flour' || k.kind === 'starch'))
            .map((k) => ({ part: k.part, line: k.line, score: 1.6, id: k.id }))
        // "The extra sugar": of the line that has some.
        if (EXTRA.test(t[m.from - 1]?.word ?? '') && lines.some(isSpare)) lines = lines.filter(isSpare)
        // "the three milks": of the part that has three.
        const said = valueAt(t, m.from - 1)
        const wanted = plural && said && said.next === m.from ? said.value : undefined
        if (wanted)
          lines = lines.map((l) => ({
            ...l,
            score: l.score + (lines.filter((x) => x.part === l.part).length === wanted ? COUNTED : -COUNTED),
          }))
        const before = t[m.from - 1]?.word ?? ''
        const over = t[m.from - 1]?.word === 'the' ? m.from - 2 : m.from - 1
        // "Sift over the flour": what is done over something is done to what follows.
        const object = t[over]?.word === 'over' && over - 1 === p.at
        const target = !object && (TARGETS.test(before) || (/^(?:the|a)$/.test(before) && TARGETS.test(t[m.from - 2]?.word ?? '')))
        return {
          mention: m,
          lines,
          target,
          all: plural || before === 'both' || (m.id === '' && FORMS.test(t[m.head]!.word)),
          ...(before === 'both' && { both: true as const }),
          ...(MIXED_BEFORE.test(t[m.to]?.word ?? '') && { made: true as const }),
          ...(m.words.length === 1 && t[m.head]!.word === 'fruit' && { mass: true as const }),
          ...shareOf(t, m, s, p.from),
          ...(as && { as }),
        }
      })
  )
}

const GROUPS: readonly (readonly [Group, RegExp])[] = [
  [
    'rest',
    /\b(?:remaining|rest of (?:the )?|other|everything else|all other)(?: \w+)? (?:ingredients?\b|ingreds?\b\.?|things\b|items\b)|\beverything else\b|\ball the rest\b|\bremaining (?:ingredients?\b|ingreds?\b\.?)/,
  ],
  [
    'dry',
    /\b(?:dry|dries) (?:ingredients?\b|ingreds?\b\.?|ingr?\b\.?|(?:mix|mixture|things|stuff|items|goods)\b)|\bthe dry\b(?! (?:ing|mix|thing|stuff|item|good))|\b(?:add|sift|whisk|mix|combine|stir|fold)(?: in| all| together)? dry\b(?! (?:ing|mix|thing|stuff|item|good))|\bdry to wet\b|\b(?:over|into|onto) (?:the )?dry\b(?! (?:ing|mix|thing|stuff|item|good))|^\W*\w+ dry(?= (?:\+|&|and\b|with\b))/,
  ],
  [
    'wet',
    /\b(?:wet|liquid) (?:ingredients?|mix|mixture|things|stuff|items)\b|\bthe wet\b(?! (?:ingred|mix|thing|stuff|item))|\bto wet\b|\b(?:add|whisk|mix|combine|stir|beat|pour)(?: in| all| together)? wet\b(?! (?:ing|mix|thing|stuff|item))/,
  ],
  [
    'all',
    /\b(?:all|everything|all of|whole)\b[^,;.]{0,24}\b(?:ingredients?|items|things|stuff)\b|\beverything\b|\b(?:mix|whisk|blend|beat|stir|combine) all\b(?![^,;.]{0,24}\b(?:ingredients?|items|things|stuff)\b)|\ball together\b|^\W*all in(?:to)? (?:a|one|the) (?:\w+ )?(?:bowl|mixer|processor|jug)\b|\bthe (?:whole )?lot\b(?! of)|\b\w+ ingredients\b|^\W*(?:first |then |and )?(?:knead|make|prepare|mix up|stir up) (?:up )?(?:a|an|your) (?:\w+ ){0,2}?(?:dough|batter|pastry|crumble|streusel|paste|icing|glaze|syrup|custard)\b/,
  ],
]

export interface FoundGroup {
  group: Group
  from: number
  to: number
  /** "filling ingredients": the part that they are of. */
  of?: string
  /** The part that is headed so. */
  part?: number
}

/** Words for several lines at once in a piece. */
export function groupsIn(s: Scan, p: Piece): FoundGroup[] {
  const a = s.tokens[p.from]?.from ?? 0
  const text = s.text.slice(a, s.tokens[p.to - 1]?.to ?? a).toLowerCase()
  for (const [group, words] of GROUPS) {
    const m = words.exec(text)
    if (!m) continue
    const from = a + m.index
    const at = s.tokens.findIndex((x) => x.from >= from)
    if (at >= 0 && p.masked.has(at) && s.tokens[at]!.depth === 0) continue
    // "Everything for the sponge", "all ingredients for the icing": of that part.
    const whose = /^(?: (?:else|listed))? for (?:the |your )?(\p{L}+)/u.exec(text.slice(m.index + m[0].length))
    const of = /\b(?:all |the )*([a-z]+) ingredients\b/.exec(m[0])?.[1] ?? whose?.[1]
    const to = from + m[0].length + (whose?.[0].length ?? 0)
    return [{ group, from, to, ...(of && !/^(?:dry|wet|all|the|other|remaining|of|liquid)$/.test(of) && { of }) }]
  }
  return []
}

/** Words for what was made before. */
export const MADE =
  /\b(?:mixture|batter|dough|foam|paste|mass|sponge mix|cake mix(?:ture)?|it|them|mix|meringue|custard|ganache|glaze|icing|frosting|buttercream|syrup|filling|sauce|caramel|cream|drizzle|soak|topping|crumbs?|streusel)\b/
