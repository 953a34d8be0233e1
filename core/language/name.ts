import { distance } from 'fastest-levenshtein'
import type { Region } from '../measure/region'
import { HEARD } from '../pantry/data/heard'
import { ownIngredients, PANTRY } from '../pantry/pantry'
import { STOPS, table, VERBS } from './lexicon'
import { isUntil, plain, tokenise, touching, type Token } from './token'

/**
 * Names of ingredients in a text, found by their head.
 *
 * The last word of an English name says what the thing is ("almond *flavouring*"), the words before it say which.
 * So a name is looked for from its head backwards, and may have other words between its own ("*butter*, softened,
 * *unsalted*" is left to `refined`). Of two names side by side the later one is the thing.
 */
export interface Mention {
  id: string
  /** Stems of the name that fits. */
  words: readonly string[]
  /** Token of its last word. */
  head: number
  /** Tokens [from, to). */
  from: number
  to: number
  score: number
  /** Tokens that its words stand at. */
  cover: readonly number[]
  /** The head was a letter or two off. */
  misspelt: boolean
}

interface Name {
  id: string
  words: readonly string[]
  /** From the pantry itself; what is only heard gives way to it. */
  own: boolean
}

/** Names that mean something else in one kitchen. */
const REGIONAL = table<Partial<Record<Region, string>>>({
  'corn flour': { us: 'flour-cornmeal' },
  'potato flour': { us: 'potato-flour' },
})

/** Words before a head that may stand this far from it: "grated zest of a large lemon". */
const REACH = 4
/** Shorter words have too many neighbours to be taken for misspelt. */
const LEAST_MISSPELT = 5
/** Two letters may be off from here on. */
const LONG = 8

export interface NameIndex {
  byHead: ReadonlyMap<string, readonly Name[]>
  /** Every word of every name. */
  words: ReadonlySet<string>
}

const stemsOf = (name: string): string[] =>
  tokenise(plain(name))
    .filter((t) => t.kind === 'word' || t.kind === 'number')
    .map((t) => t.stem)

function indexOf(entries: Iterable<readonly [id: string, name: string, own: boolean]>): NameIndex {
  const byHead = new Map<string, Name[]>()
  const words = new Set<string>()
  for (const [id, name, own] of entries) {
    // "2% milk": a percentage is read as one, never as a word of a name.
    if (/\d\s?%/.test(name)) continue
    const stems = stemsOf(name)
    const head = stems.at(-1)
    if (!head) continue
    const at = byHead.get(head) ?? []
    const key = stems.join(' ')
    const same = at.find((n) => n.words.join(' ') === key)
    // What kitchens say decides over a name that the pantry holds for a wider thing.
    if (same) {
      if (!own) same.id = id
      continue
    }
    at.push({ id, words: stems, own })
    byHead.set(head, at)
    for (const w of stems) words.add(w)
  }
  return { byHead, words }
}

const SHIPPED = indexOf([
  ...PANTRY.flatMap((i) =>
    [...i.names, ...Object.values(i.called ?? {})].filter((n) => !n.includes('(')).map((n) => [i.id, n, true] as const),
  ),
  ...[...HEARD].flatMap(([id, names]) => names.map((n) => [id, n, false] as const)),
])

/** Whether a word stands in any name of the pantry. */
export const isNameWord = (stem: string): boolean => SHIPPED.words.has(stem)

const LONG_HEADS = [...SHIPPED.byHead.keys()].filter((w) => w.length >= LEAST_MISSPELT)
/** Words one letter off an ingredient that are themselves: kitchen talk first. */
const THEMSELVES = new Set(
  `cover cool whole baked bread cored plate floor spine sheet waters hater rise curled crush cubed zested juiced mixer heater grater cooking spoon
  pieces piece sliced slice place grease serve served store stored dried fried fresh coated coats other creamed sifted corner stick sticks large batter
  better bitter flower power pound round ounce cakes bake flakes sharp warm form wide with mixed mine bottle bottom better broken making taking
  baking packed peeled pitted toasted roasted chilled frozen heated melted softened salted beaten loaves loaf middle medium small level heaped scant
  table board water paper towel cloth counter handle handles minute minutes second seconds degree degrees centre center crumb crumbs sugary honeyed
  dates dated later layer layers lighter finger fingers cheer cheers share shared smear pears spices spiced space sauce saucer state stage scale
  scales steam stem steps mould moulds molds mounds turns terms berry curry carry merry hours house heart hearts yeasty feast least
  peach reach teach beach bench branch ranch lunch brunch bunch punch pinch inch rinse prince since sieve serves clover glaze graze blaze
  rusty dusty trusty tasty pasta paste haste waste taste tests tasted`.split(/\s+/),
)

const spelling = new Map<string, string | undefined>()
function headsOf(token: Token, index: NameIndex): { names: readonly Name[]; misspelt: boolean } | undefined {
  const exact = index.byHead.get(token.stem)
  if (exact) return { names: exact, misspelt: false }
  const w = token.stem
  if (
    index !== SHIPPED ||
    w.length < LEAST_MISSPELT ||
    THEMSELVES.has(token.word) ||
    THEMSELVES.has(w) ||
    VERBS.has(w) ||
    /(?:ing|ed)$/.test(w)
  )
    return undefined
  if (!spelling.has(w)) {
    if (spelling.size > 5000) spelling.clear()
    spelling.set(
      w,
      LONG_HEADS.find(
        (h) => h[0] === w[0] && Math.abs(h.length - w.length) <= 1 && (distance(h, w) <= (w.length >= LONG ? 2 : 1) || transposed(h, w)),
      ),
    )
  }
  const near = spelling.get(w)
  return near === undefined ? undefined : { names: index.byHead.get(near)!, misspelt: true }
}

const transposed = (a: string, b: string): boolean => {
  if (a.length !== b.length) return false
  const off = [...a].flatMap((c, i) => (c === b[i] ? [] : [i]))
  return off.length === 2 && off[1] === off[0]! + 1 && a[off[0]!] === b[off[1]!] && a[off[1]!] === b[off[0]!]
}

const sameWord = (a: string, b: string): boolean =>
  a === b || (a.length >= LEAST_MISSPELT && b.length >= LEAST_MISSPELT && a[0] === b[0] && distance(a, b) === 1)

/** "to ice", "to dust": a verb though it could be a thing. */
const AFTER_TO = new Set(
  'sprinkle ice butter flour oil cream zest juice sugar salt dust frost glaze top cover decorate fill pepper spice drop sweet water'.split(
    ' ',
  ),
)
const JOINING_MARKS = new Set(['-', '–', "'", '/', '&', '.', '’', '%'])

/** Things of the kitchen that are called after food: "butter paper", "egg whisk". */
const NO_FOOD = new Set(
  'paper papers parchment knife knives dish dishes churn cutter beater whisk box boxes bag stage spreader wrapper thermometer boiler slicer tray cloth muslin mould moulds mold molds basin basins ramekin ramekins shaker cooker'.split(
    ' ',
  ),
)

/** The longest name that ends at token `p`. */
/** How a thing looks or tastes, and no food: "beat until creamy". */
const LIKE_FOOD = new Set(['creamy', 'buttery', 'milky', 'sugary', 'floury', 'oily', 'eggy', 'nutty', 'fruity', 'watery'])

const LIKENS = new Set('side sided free coloured colored sized size scented shaped'.split(' '))

function nameEndingAt(t: readonly Token[], p: number, index: NameIndex, skip: ReadonlySet<number>): Mention | undefined {
  const token = t[p]!
  if (token.kind !== 'word' || skip.has(p) || NO_FOOD.has(t[p + 1]?.word ?? '') || LIKE_FOOD.has(token.word)) return undefined
  // "almond-side down", "pea-sized", "nut-free": a word that only likens.
  if (t[p + 1]?.text === '-' && LIKENS.has(t[p + 2]?.word ?? '') && touching(token, t[p + 1]) && touching(t[p + 1], t[p + 2]))
    return undefined
  if (isUntil(t, p)) return undefined
  if (t[p - 1]?.word === 'to' && AFTER_TO.has(token.word)) return undefined
  const heads = headsOf(token, index)
  if (!heads) return undefined
  let best: Mention | undefined
  for (const name of heads.names) {
    const cover = [p]
    let at = p
    let gaps = 0
    let misspelt = heads.misspelt
    let whole = true
    for (let k = name.words.length - 2; k >= 0 && whole; k--) {
      let f = at - 1
      let found = -1
      for (let reach = REACH; f >= 0 && reach > 0; reach--, f--) {
        const x = t[f]!
        if (x.kind === 'mark' && !JOINING_MARKS.has(x.text)) break
        // "sugar & syrup" are two things, "half & half" and "hundreds & thousands" are one.
        if (x.text === '&' && f > 0 && headsOf(t[f - 1]!, index)) break
        // "the eggs. Whites …", "is thick. Add milk" end a sentence; "conf. sugar" does not.
        if (
          x.text === '.' &&
          f > 0 &&
          /^\p{Lu}\p{Ll}/u.test(t[f + 1]?.text ?? '') &&
          t[f - 1]!.kind === 'word' &&
          (headsOf(t[f - 1]!, index) || VERBS.has(t[f + 1]!.stem))
        )
          break
        if (x.kind === 'word' && STOPS.has(x.word) && x.stem !== name.words[k]) break
        if (skip.has(f)) break
        if (sameWord(x.stem, name.words[k]!)) {
          misspelt ||= x.stem !== name.words[k]
          found = f
          break
        }
        // "butter sugar vanilla": a food that stands between is a thing of its own.
        if (x.kind === 'word' && index.byHead.get(x.stem)?.some((n) => n.words.length === 1)) break
        if (x.kind === 'word') gaps++
      }
      if (found < 0) whole = false
      else {
        at = found
        cover.push(found)
      }
    }
    if (!whole) continue
    const score = name.words.length - gaps * 0.15 + name.words.join(' ').length * 0.01
    if (!best || score > best.score) best = { id: name.id, words: name.words, head: p, from: at, to: p + 1, score, cover, misspelt }
  }
  return best
}

/** "the yolks of 4 eggs", "whites from 6 eggs": the part is the thing. */
function partOfEgg(t: readonly Token[], m: Mention): void {
  if (m.id !== 'egg-whole' || t[m.head]!.stem !== 'egg') return
  for (let k = m.head - 1; k >= Math.max(0, m.head - 4); k--)
    if (/^(?:of|from)$/.test(t[k]!.word) && /^(?:yolk|white)$/.test(t[k - 1]?.stem ?? '')) {
      m.id = t[k - 1]!.stem === 'yolk' ? 'egg-yolk' : 'egg-white'
      m.score += 0.5
    }
}

/** Fat of milk up to this is semi-skimmed; up to half a per cent is skimmed. */
const SEMI_SKIMMED = 2.2
const SKIMMED = 0.6

/** "2% milk", "35% cream": the number says which. */
function byPercent(t: readonly Token[], m: Mention): void {
  if (t[m.from - 1]?.text !== '%' || t[m.from - 2]?.kind !== 'number') return
  const fat = t[m.from - 2]!.value!
  if (m.id === 'milk-whole') m.id = fat <= SKIMMED ? 'milk-skimmed' : fat <= SEMI_SKIMMED ? 'milk-semi-skimmed' : m.id
  if (m.id === 'cream-heavy') m.id = fat < 25 ? 'cream-single' : fat >= 42 ? 'cream-double' : m.id
}

/**
 * Every ingredient that a text names, in order; heads that are only words of a longer name are left out.
 *
 * @param skip tokens that are part of a measure, a time or a size
 */
export function mentionsIn(t: readonly Token[], skip: ReadonlySet<number> = new Set(), region?: Region): Mention[] {
  const own = ownIngredients()
  const added = own.length ? indexOf(own.flatMap((i) => i.names.map((n) => [i.id, n, true] as const))) : undefined
  const found: Mention[] = []
  for (let p = 0; p < t.length; p++) {
    const shipped = nameEndingAt(t, p, SHIPPED, skip)
    const theirs = added && nameEndingAt(t, p, added, skip)
    const best = theirs && (!shipped || theirs.words.length >= shipped.words.length) ? theirs : shipped
    if (best) found.push(best)
  }
  const covered = new Map<number, number>()
  for (const m of found) for (const c of m.cover) if (c !== m.head) covered.set(c, Math.max(covered.get(c) ?? 0, m.words.length))
  for (const m of found) {
    byPercent(t, m)
    partOfEgg(t, m)
    const elsewhere = region && REGIONAL[m.words.join(' ')]?.[region]
    if (elsewhere) m.id = elsewhere
  }
  // Right-headed: of two names side by side the last one is the thing.
  for (let i = 0; i + 1 < found.length; i++)
    if (found[i + 1]!.from === found[i]!.to && !found[i + 1]!.cover.includes(found[i]!.head)) {
      found[i + 1]!.score += 0.8
      found[i]!.score -= 0.3
    }
  const kept = found.filter((m) => {
    const by = covered.get(m.head) ?? 0
    return !(by >= m.words.length || by > 1)
  })
  return sharedHeads(t, kept, skip)
}

/** Words that tell one sort from another before a head that comes later. */
const SORTS = /^(?:plain|white|dark|light|brown|golden|caster|icing|granulated|salted|unsalted|strong|wholemeal|wholewheat|soft|rye|spelt)$/

/** "Plain and wholemeal flour", "white and brown sugar": the first sort has the head of the second. */
function sharedHeads(t: readonly Token[], found: Mention[], skip: ReadonlySet<number>): Mention[] {
  return found
    .flatMap((m) => {
      const at = m.from - 2
      const first = t[at]
      if (!first || !SORTS.test(first.word) || !/^(?:and|&|\+|or)$/.test(t[m.from - 1]!.word) || skip.has(at) || m.words.length < 2)
        return [m]
      const head = t[m.head]!
      const whole = nameEndingAt([first, head], 1, SHIPPED, NOTHING)
      // Of one sort with what follows, and no thing of its own: "butter and brown sugar".
      if (!whole || whole.words.length < 2 || whole.id === m.id) return [m]
      return [{ ...whole, from: at, to: at + 1, head: at, cover: [at] }, m]
    })
    .filter((m, i, all) => !all.some((x, j) => j !== i && x.from === m.from && x.words.length > m.words.length && x.cover.length === 1))
}
const NOTHING: ReadonlySet<number> = new Set()

/** Words behind a plain name that make it a particular one; a closed list, or "melted until hazelnut-coloured" is nut butter. */
const REFINING = new Set(
  `unsalted salted powdered icing brown self raising rising wholemeal greek skimmed skim heavy whipping dutch processed process dark milk white
  muscovado strong almond ground condensed evaporated desiccated cake bread gluten free vegan plant whole wheat block caster instant natural plain
  semi bittersweet semisweet unsweetened sweetened double single flaked dairy coconut soy soya oat`.split(/\s+/),
)

/**
 * The particular thing that the words around a plain name make of it: "flour (self-raising)", "butter, unsalted".
 *
 * @param from first token of the item, `to` the one after its last
 */
export function refined(t: readonly Token[], m: Mention, from: number, to: number): string {
  if (m.words.length > 2) return m.id
  const own = new Set(m.cover)
  const around = new Set<string>()
  for (let i = from; i < to; i++) if (!own.has(i)) around.add(t[i]!.stem)
  let best = m.id
  let most = m.words.length
  for (const name of SHIPPED.byHead.get(m.words.at(-1)!) ?? []) {
    if (name.words.length <= m.words.length || !m.words.every((w) => name.words.includes(w))) continue
    const rest = name.words.slice(0, -1).filter((w) => !m.words.includes(w))
    if (rest.length && rest.every((w) => around.has(w) && REFINING.has(w)) && name.words.length > most) {
      best = name.id
      most = name.words.length
    }
  }
  return best
}
