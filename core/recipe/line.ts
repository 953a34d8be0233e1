import type { Other } from '../language/dial'
import { itemsIn, scan, type Item, type ItemOptions, type Scan } from '../language/item'
import { refined } from '../language/name'
import { wordsBetween, type Token } from '../language/token'
import type { Region } from '../measure/region'
import type { Ingredient } from '../pantry/ingredient'
import { nearestIngredients } from '../pantry/lookup'
import { ingredientOf, nameOf, need, packageGrams } from '../pantry/pantry'
import { identityOf } from './identity'
import type { Line, Question } from './recipe'
import { sizeWord, weigh } from './weigh'

export interface ReadLine {
  lines: Line[]
  /** Questions without their place; the reader of the whole recipe adds it. `line` counts within `lines`. */
  questions: Omit<Question, 'part'>[]
}

export interface LineOptions extends ItemOptions {
  /** ml of cups, glasses and mugs that the page defines itself, by unit. */
  vessels?: ReadonlyMap<string, number>
}

const BULLET =
  /^\s*(?:[▢☐□■▪●•◦‣∙·*✔✓✅☑◻◽○➤►➢→»‒–—~]|-(?=\s|[^\d\s])|\+(?=\s*\d)|\[[ xX✓]?\]|>|\p{Extended_Pictographic}\uFE0F?(?!\p{L}))+\s*/u
/** "1. 200 g flour", "2) 3 eggs": a list that somebody numbered. */
const LIST_NUMBER = /^\d{1,2}[.)]\s+(?=[\d½¼¾⅓⅔]|[a-z]+\s)/i

/** The baker's line with only its bullet taken off. */
export const withoutBullet = (text: string): string => {
  let rest = text
  for (let i = 0; i < 3; i++) {
    const next = rest.replace(BULLET, '')
    if (next === rest || !next.trim()) break
    rest = next
  }
  return rest.trim()
}

const OPTIONAL = /\boptional(?:ly)?\b|\bif (?:you )?(?:like|wish|desired|want|using)\b|\bif u like\b/i
/** Said without an amount because none is meant. */
const NO_AMOUNT =
  /\b(?:to taste|for (?:dusting|greasing|rolling|sprinkling|serving|decorat\w+|frying|brushing|coating|finishing|garnish\w*|lining|topping|flouring|(?:the |your |a )?(?:\p{L}+ )?(?:tins?|pans?|forms?|springform|moulds?|molds?|tray|dish|top|towel|work ?top|surface|rolling pin|board|dredging))|as (?:needed|required)|(?:to|for) (?:serve|decorate|finish|dust|grease|garnish|sprinkle|glaze|roll|fry|brush|coat|top)|q\.? ?b\.?|extra|more|as desired|(?:dusting|sprinkling|scattering|scraping|grating) of)\b|^(?:chopped|toasted|crushed|flaked|slivered|candied|shaved) (?:\p{L}+ ){0,2}(?:nuts|almonds|hazelnuts|walnuts|pecans|pistachios|peanuts|flakes|petals)\b/iu

const CITRUS = ['lemon', 'lime', 'orange', 'grapefruit', 'clementine', 'mandarin', 'tangerine', 'nimbu'] as const
/** Grams of juice in one fruit: common yields, lemon 3 tbsp, lime 2 tbsp, orange a third of a cup. */
const JUICE: Readonly<Record<string, number>> = {
  lemon: 45,
  nimbu: 30,
  lime: 30,
  orange: 85,
  grapefruit: 170,
  clementine: 35,
  mandarin: 35,
  tangerine: 45,
}
const JUICE_SIZE: Readonly<Record<string, number>> = { small: 0.75, medium: 1, large: 1.25 }
const SKIN = ['zest', 'zested', 'rind', 'peel', 'skin']
const PRESSED = ['juice', 'juiced']
const isCitrus = (w: string): boolean => (CITRUS as readonly string[]).includes(w) || SKIN.includes(w)
/** "zest of 2 limes (save the juice!)": for another part, which names it. */
const KEPT_BACK = /\b(?:save|reserve|keep|set aside)\b[^,;]{0,20}\bjuice\b/i
/** Zest of a lime weighs less than that of a lemon or orange. */
const LIME_ZEST = 0.6

/** Cocoa shares that make another chocolate of the dark one, as sold: half, two thirds (as it stands), five sixths, all. */
const CHOCOLATES: readonly [most: number, id: string][] = [
  [53, 'chocolate-dark-50'],
  [77, 'chocolate-dark'],
  [95, 'chocolate-dark-85'],
  [100, 'chocolate-unsweetened'],
]

/** Whatever makes another ingredient of the one named: chocolate of another cocoa share, biscuits without their cream. */
const RINGS: Readonly<Record<string, string>> = { pineapple: 'pineapple-rings', 'pineapple-crushed': 'pineapple-rings' }

function kindMeant(id: string, t: readonly Token[], words: ReadonlySet<string>, dials: Scan['dials']): string {
  // "7 slices of pineapple", "2 tbsp of its juice" behind a lemon
  if (id in RINGS && ['slice', 'slices', 'ring', 'rings'].some((w) => words.has(w))) return RINGS[id]!
  if (
    id === 'orange-juice' &&
    words.has('juice') &&
    !['orange', 'apple', 'cherry', 'pineapple', 'grape', 'fruit'].some((w) => words.has(w)) &&
    t.some((x) => x.stem === 'lemon' || x.stem === 'lime')
  )
    return 'lemon-juice'
  if (id === 'chocolate-dark') {
    const share = dials.find((d): d is Other => d.kind === 'percent')
    if (share) return CHOCOLATES.find(([most]) => share.value <= most)?.[1] ?? id
  }
  if (id === 'sandwich-cookies') {
    if (words.has('shell') || (words.has('cream') && ['without', 'no', 'scraped', 'removed', 'discarded'].some((w) => words.has(w))))
      return 'sandwich-cookie-shells'
    if (words.has('cream') && (words.has('only') || wordsBetween(t, 0, 2) === 'cream from' || wordsBetween(t, 0, 2) === 'cream of'))
      return 'sandwich-cookie-cream'
  }
  return id
}

/** What the baker calls it: the words around the name, without amounts, brackets and what follows a comma. */
function calledBy(s: Scan, item: Item): string {
  const t = s.tokens
  const m = item.mention
  const taken = new Set<number>()
  for (const x of s.measures) for (let i = x.from; i < x.to; i++) taken.add(i)
  let from = m ? m.from : item.from
  while (!m && from < item.to && (taken.has(from) || s.tokens[from]!.word === 'of')) from++
  while (from > item.from && !taken.has(from - 1) && t[from - 1]!.kind === 'word' && t[from - 1]!.depth === 0 && t[from - 1]!.word !== 'of')
    from--
  const stop = t.findIndex((x, i) => i > from && i < item.to && x.depth === 0 && /^[,;]$/.test(x.text))
  let to = m ? m.to : stop > 0 ? stop : item.to
  while (
    to < item.to &&
    t[to]!.kind === 'word' &&
    !taken.has(to) &&
    !/^(?:for|at|plus|and|or|in|into|onto|on|over|through|between|then|from|with|to|cut|if|the|till|until|instead)$|.{3}ed$/.test(
      t[to]!.word,
    )
  )
    to++
  return t[from] ? s.text.slice(t[from]!.from, t[to - 1]!.to) : ''
}

/** Preparation: what stands behind the first comma, or else a word such as "melted" before the name. */
function prepOf(s: Scan, item: Item): string | null {
  const t = s.tokens
  const after = item.mention?.to ?? item.group?.to ?? item.from
  const comma = t.findIndex(
    (x, i) => i >= after && i < item.to && (/^[,;]$/.test(x.text) || (/^[-–—]$/.test(x.text) && t[i - 1]!.to < x.from)) && x.depth === 0,
  )
  if (comma >= 0 && comma + 1 < item.to) {
    const rest = s.text.slice(t[comma + 1]!.from, t[item.to - 1]!.to).trim()
    if (rest) return rest
  }
  const word = t
    .slice(item.from, item.to)
    .find((x) =>
      /^(?:softened|soft|melted|cold|sifted|packed|separated|mashed|grated|chopped|toasted|boiling|hot|beaten|whisked|warm|lukewarm|softly|cooled)$/.test(
        x.word,
      ),
    )
  if (word) return word.word
  return t.slice(item.from, item.to).some((x, i, all) => x.word === 'room' && /^temp/.test(all[i + 1]?.word ?? ''))
    ? 'room temperature'
    : null
}

const choicesOf = (ids: readonly Ingredient[], region: Region) => ids.map((i) => ({ value: i.id, label: nameOf(i, region) }))

function wordsOf(s: Scan, item: Item): Set<string> {
  const words = new Set<string>()
  for (const t of s.tokens.slice(item.from, item.to)) {
    words.add(t.word)
    words.add(t.stem)
  }
  return words
}

/** Zest and juice of so many fruits. */
function citrusOf(s: Scan, item: Item, text: string, optional: boolean, before?: string, as?: readonly string[]): Line[] | undefined {
  const words = wordsOf(s, item)
  // "24 plums, sugar + lemon juice": the count is of another fruit.
  if (item.mention && !item.mention.words.some((w) => PRESSED.includes(w) || SKIN.includes(w) || (CITRUS as readonly string[]).includes(w)))
    return undefined
  // "zest of 2 lemons, juice of 1": of the same.
  const same = before && !item.mention?.words.some((w) => !PRESSED.includes(w) && !SKIN.includes(w)) ? before : undefined
  const fruit = CITRUS.find((f) => words.has(f)) ?? same
  if (!fruit || (item.group && item.group.base.unit.kind !== 'piece') || item.group?.alternates.some((a) => a.measure.unit.kind === 'mass'))
    return undefined
  const has = (of: readonly string[]) => of.some((w) => words.has(w) || as?.includes(w))
  const zest = has(SKIN)
  const juice = has(PRESSED) && !(zest && KEPT_BACK.test(text))
  if (!zest && !juice) return undefined
  // "1 lemon, zested, ½ juiced", "zest of both and juice of 1": each has the count that stands with it.
  const countOf = (of: readonly string[]): number => {
    const own = s.measures.find(
      (m) =>
        m.from >= item.from &&
        m.to <= item.to &&
        m.unit.kind === 'piece' &&
        (of.includes(s.tokens[m.to]?.word ?? '') ||
          (m !== item.group?.base && s.tokens[m.from - 1]?.word === 'of' && of.includes(s.tokens[m.from - 2]?.word ?? ''))),
    )
    const m = own ?? item.group?.base
    return m ? (m.low + m.high) / 2 : 1
  }
  const size = sizeWord(words) ?? 'medium'
  const line = (ingredient: string, one: number, count: number): Line => ({
    text,
    quantity: { low: item.group?.base.low ?? 1, high: item.group?.base.high ?? 1, unit: 'piece' },
    grams: { low: count * one * 0.7, high: count * one * 1.3, best: count * one },
    ingredient,
    named: `${fruit} ${ingredient === 'zest' ? 'zest' : 'juice'}`,
    match: 'exact',
    prep: null,
    optional,
  })
  return [
    ...(zest ? [line('zest', (need('zest').pieces?.each ?? 5) * (fruit === 'lime' ? LIME_ZEST : 1), countOf(SKIN))] : []),
    ...(juice
      ? [line(/lemon|lime|nimbu/.test(fruit) ? 'lemon-juice' : 'orange-juice', JUICE[fruit]! * (JUICE_SIZE[size] ?? 1), countOf(PRESSED))]
      : []),
  ]
}

interface ReadItem {
  line: Line
  question?: Omit<Question, 'part' | 'line'>
}

function readItem(s: Scan, item: Item, text: string, region: Region, options: LineOptions): ReadItem {
  const words = wordsOf(s, item)
  const m = item.mention
  const match = m ? identityOf(s.tokens, m, item.from, item.to) : 'none'
  const id = m ? kindMeant(refined(s.tokens, m, item.from, item.to), s.tokens, words, s.dials) : null
  const ingredient = ingredientOf(id) ?? null
  const own = s.tokens[item.from] ? s.text.slice(s.tokens[item.from]!.from, s.tokens[item.to - 1]!.to) : text
  const optional = OPTIONAL.test(own)
  const named = calledBy(s, item)
  const line: Line = {
    text,
    quantity: null,
    grams: { low: 0, high: 0, best: 0 },
    ingredient: ingredient?.id ?? null,
    named,
    match: ingredient ? match : 'none',
    prep: prepOf(s, item),
    optional,
  }
  const allowed = alternativeOf(s, item, id)
  if (allowed) line.allowed = allowed
  const name = ingredient ? nameOf(ingredient, region) : ''
  let question: ReadItem['question']
  if (match === 'none' || match === 'unsure') {
    const near = nearestIngredients(named || own)
    question = ingredient
      ? {
          about: 'ingredient',
          message: `Is “${named}” ${name}?`,
          choices: choicesOf([ingredient, ...near.filter((n) => n !== ingredient)].slice(0, 5), region),
        }
      : {
          about: 'ingredient',
          message: `What is “${named || own}”? It is not in the pantry and is left out of the sums.`,
          choices: choicesOf(near, region),
        }
  }
  if (!item.group) {
    const matters =
      ingredient && !['salt', 'flavour'].includes(ingredient.kind) && !NO_AMOUNT.test(s.measures.length ? own : s.text) && !optional
    if (matters && !question)
      question = { about: 'amount', message: `How much ${name}? The line gives no amount, so it counts as none.`, choices: [] }
    return { line, ...(question && { question }) }
  }
  const weighing = weigh(item.group, { tokens: s.tokens, words, ingredient, region, ...(options.vessels && { vessels: options.vessels }) })
  line.grams = weighing.grams
  const written = item.group.base
  line.quantity = { low: written.low, high: written.high, unit: written.unit.id }
  if (weighing.unweighable && ingredient && !question && !['salt', 'flavour'].includes(ingredient.kind))
    question = { about: 'amount', message: `How much does “${own}” weigh? It counts as nothing until you say.`, choices: [] }
  else if (weighing.assumedPackage && ingredient && !question) {
    const usual = packageGrams(ingredient, region)
    question = {
      about: 'size',
      message: `How much is in the ${weighing.by.unit.names[0]} of ${name}?${usual ? ` ${Math.round(usual)} g is assumed.` : ''}`,
      choices: usual ? [{ value: String(Math.round(usual)), label: `${Math.round(usual)} g` }] : [],
    }
  }
  return { line, ...(question && { question }) }
}

/** "butter or margarine": the first is taken, the other is remembered as allowed. */
function alternativeOf(s: Scan, item: Item, id: string | null): string[] | undefined {
  if (!item.mention) return undefined
  const others = s.mentions
    .filter((n) => n !== item.mention && n.from >= item.mention!.to && n.head < item.to)
    .filter((n) => s.tokens.slice(item.mention!.to, n.from).some((t) => t.word === 'or' || t.text === '/'))
    .map((n) => n.id)
    .filter((x) => x !== id)
  return others.length ? [...new Set(others)] : undefined
}

/**
 * Reads one ingredient line: how much of what, prepared how, in grams.
 *
 * A line that names two things becomes two lines with the same text.
 *
 * @param text the line as pasted
 * @param region whose measures and names
 */
export function readLine(text: string, region: Region, options: LineOptions = {}): ReadLine {
  const own = withoutBullet(text)
  const body = sized(own.replace(LIST_NUMBER, ''))
  return linesOf(scan(body, region), own, region, options)
}

/** Old cards measure butter by what it is as large as, g: an egg two ounces, a walnut half of one. */
const AS_LARGE: readonly (readonly [RegExp, number])[] = [
  [/^egg$/, 55],
  [/^walnut$/, 15],
  [/^(?:hazelnut|nut|marble|almond)$/, 5],
]

/** "butter the size of an egg", "a walnut of butter": as so many grams. */
function sized(text: string): string {
  const m =
    /^(?<what>\p{L}[\p{L} ]*?),? (?:the |about the )?size of (?:a|an) (?:small |large |big )?(?<like>\p{L}+)\b/iu.exec(text) ??
    /^(?:a |an |1 )?(?<like>walnut|nut|egg) of (?<what>butter|lard|margarine|fat)\b/i.exec(text)
  const { what, like } = m?.groups ?? {}
  const grams = like && AS_LARGE.find(([words]) => words.test(like.toLowerCase()))?.[1]
  return m && grams ? `${grams} g ${what}${text.slice(m[0].length)}` : text
}

/** "2 flax eggs": what is stirred together for one, g (bench practice: a tablespoon of seed to three of water). */
const MADE_OF: readonly (readonly [seed: string, parts: readonly (readonly [id: string, grams: number])[]])[] = [
  [
    'flaxseed-ground',
    [
      ['flaxseed-ground', 7],
      ['water', 45],
    ],
  ],
  [
    'chia-seed',
    [
      ['chia-seed', 12],
      ['water', 45],
    ],
  ],
]

/** Lines of a thing that the kitchen stirs together from others, where the line names only the made thing. */
function madeOf(item: Item, text: string): Line[] | undefined {
  const m = item.mention
  if (!m || !m.words.includes('egg') || item.group?.base.unit.id !== 'piece') return undefined
  const parts = MADE_OF.find(([seed]) => seed === m.id)?.[1]
  const { low, high } = item.group.base
  return parts?.map(([ingredient, grams]) => ({
    text,
    quantity: { low, high, unit: 'piece' },
    grams: { low: low * grams * 0.9, high: high * grams * 1.1, best: ((low + high) / 2) * grams },
    ingredient,
    named: nameOf(need(ingredient), 'uk'),
    match: 'exact',
    prep: null,
    optional: false,
  }))
}

/** "2 flax eggs (2 tbsp ground flax + 5 tbsp water)": the recipe in the bracket is what goes in. */
function recipeInBracket(s: Scan): Scan | undefined {
  const open = s.tokens.findIndex((t) => t.text === '(')
  if (open < 1) return undefined
  const close = s.tokens.findIndex((t, i) => i > open && t.text === ')')
  if (close < 0) return undefined
  const inside = scan(s.text.slice(s.tokens[open]!.to, s.tokens[close]!.from))
  const joined = inside.tokens.some((t) => /^(?:\+|plus|and|&|with|mixed|in)$/.test(t.word))
  if (!joined || inside.measures.length < 2 || new Set(inside.mentions.map((m) => m.id)).size < 2) return undefined
  const items = itemsIn(inside).filter((x) => x.group && x.mention)
  const divided = items.some((x) =>
    wordsBetween(inside.tokens, x.group!.to, x.mention!.from)
      .split(' ')
      .some((w) => w === 'for' || w === 'in'),
  )
  return items.length >= 2 && !divided && items[0]!.group!.from <= 1 ? inside : undefined
}

/** The lines of something already scanned; see `readLine`. */
export function linesOf(s: Scan, own: string, region: Region, options: LineOptions = {}): ReadLine {
  const sub = options.prose ? undefined : recipeInBracket(s)
  if (sub) return linesOf(sub, own, region, options)
  const lines: Line[] = []
  const questions: ReadLine['questions'] = []
  const items = partsOfOneFruit(s, itemsIn(s, options))
  let fruit: string | undefined
  let taken: string[] = []
  for (const item of items) {
    const t = s.tokens
    const text = options.prose && t[item.from] ? pieceOf(s, item) : own
    // "Zest of 1 orange and 1 lemon": of each the same.
    const joined = /^(?:and|&|\+)$/.test(t[item.from - 1]?.word ?? '')
    const too =
      joined && taken.length > 0 && item.mention?.words.every(isCitrus) && item.group?.base.unit.kind === 'piece' ? taken : undefined
    const made = citrusOf(s, item, text, OPTIONAL.test(own), fruit, too) ?? madeOf(item, text)
    const before = t.slice(item.from, item.group?.from ?? item.from).map((x) => x.word)
    taken = made && before.at(-1) === 'of' ? before.filter((w) => SKIN.includes(w) || PRESSED.includes(w)) : (too ?? [])
    if (made) {
      fruit = CITRUS.find((f) => made[0]!.named?.startsWith(f)) ?? fruit
      lines.push(...made)
      continue
    }
    // "ground fine with 2 tbsp of the sugar": of a line that stands elsewhere, and no line of its own.
    // "The rind of 3 lemons and 3 tbsp of the juice": of the fruit that stands here.
    const pressed =
      item.mention?.words.every((w) => PRESSED.includes(w)) && items.some((x) => x !== item && x.mention?.words.some(isCitrus))
    if (item !== items[0] && item.mention && item.group && !pressed && /^of the\b/.test(wordsBetween(t, item.group.to, item.mention.from)))
      continue
    const { line, question } = readItem(s, item, text, region, options)
    if (!line.ingredient && !line.quantity && items.length > 1) continue
    if (question) questions.push({ ...question, line: lines.length })
    lines.push(line)
  }
  if (!lines.length && !options.prose && own) {
    lines.push({
      text: own,
      quantity: null,
      grams: { low: 0, high: 0, best: 0 },
      ingredient: null,
      named: own,
      match: 'none',
      prep: null,
      optional: false,
    })
    questions.push({
      line: 0,
      about: 'ingredient',
      message: `What is “${own}”? It is not in the pantry and is left out of the sums.`,
      choices: choicesOf(nearestIngredients(own), region),
    })
  }
  return { lines, questions }
}

/** "2 oranges, zest of both and juice of 1": the fruit is not taken beside its own zest and juice. */
function partsOfOneFruit(s: Scan, items: Item[]): Item[] {
  const [whole, ...rest] = items
  const only = (item: Item, words: readonly string[]) => item.mention?.words.every((w) => words.includes(w)) ?? false
  const own = rest.length > 0 && rest.every((x) => only(x, [...SKIN, ...PRESSED]) && (!x.group || x.group.base.unit.kind === 'piece'))
  if (!own || whole?.group?.base.unit.kind !== 'piece' || !only(whole, CITRUS)) return items
  return [{ from: whole.from, to: s.tokens.length, group: whole.group, score: whole.score, bare: false }]
}

/** The words of an item without the joints at its ends. */
function pieceOf(s: Scan, item: Item): string {
  const joint = /^(?:,|;|\+|and|&|plus|with|\.|then|add|-|–|—|\||\()$/
  let { from, to } = item
  // "2 tsp cinnamon into a bowl, then pour …": where it goes is no part of it.
  const bowl = (i: number) => s.tokens.slice(i + 1, i + 4).some((x) => /^(?:bowl|pan|jug|saucepan|basin)$/.test(x.word))
  const on = s.tokens.findIndex(
    (x, i) =>
      i >= (item.mention?.to ?? to) && i < to && x.depth === 0 && (/^(?:into|onto|then)$/.test(x.word) || (x.word === 'in' && bowl(i))),
  )
  if (on > from) to = on
  while (to > from + 1 && joint.test(s.tokens[to - 1]!.word)) to--
  while (from < to - 1 && joint.test(s.tokens[from]!.word)) from++
  return s.text.slice(s.tokens[from]!.from, s.tokens[to - 1]!.to)
}
