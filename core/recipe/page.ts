import { scan } from '../language/item'
import { sentencesOf as sentenceSpans } from '../language/sentence'
import { tokenise } from '../language/token'
import type { Region } from '../measure/region'
import { unitNamed } from '../measure/unit'
import { SET_HEAD, classify, type Classified, type Label } from './classify'
import { DEFINITION } from './feature'
import { rowsOf } from './layout'
import { linesOf, readLine, type LineOptions, type ReadLine } from './line'
import type { PageLine, Part, Question } from './recipe'
import { roleOf } from './role'
import { IN_SHELL } from './weigh'

/** A page taken apart: its title, parts with their lines, steps, and what every line of it was taken for. */
export interface Page {
  title: string
  parts: Part[]
  method: string[]
  /** Headings within the method, by the step that follows. */
  sections: { at: number; title: string }[]
  /** Lines that say how much it makes, in what and how it is baked. */
  meta: string[]
  questions: Question[]
  lines: PageLine[]
}

/** Fewer ingredients in a list than this, and the page tells them in its sentences. */
const LEAST_LIST = 4

const capital = (s: string): string => s.replace(/^./u, (c) => c.toUpperCase())

/** The name that a heading gives its part. */
const headingName = (text: string): string =>
  capital(
    text
      .replace(/^[#*\s①-⑳]+|[*:\s.–—-]+$/gu, '')
      .replace(/^\(?[A-Da-d][).]\s*/, '')
      .replace(/^(?:stage|part|component|layer)\s+(?:[a-e]|\d|one|two|three)\b\s*[—–:-]\s*/i, '')
      .replace(/(?<=\p{L})\s*\((?:do|make|start|prepare)\b[^)]*\)$/iu, '')
      .replace(/^(?:for|to make) (?:the )?/i, '')
      .trim(),
  )

const MIXING = new Set(
  'sift stir mix beat add fold whisk combine blend melt boil pour sieve rub heat bring simmer cook put place then next dissolve cream sprinkle slacken loosen'.split(
    ' ',
  ),
)

/** "Sift together:" says what is done with the lines under it, and parts nothing off. */
const isInstruction = (text: string): boolean => {
  const t = tokenise(text)
  const first = t.find((x) => x.kind === 'word')
  // "Into the big bowl:"
  if (/^\W*(?:then )?into (?:the|a|that|this|your|another)\b/i.test(text)) return true
  // "Then add the sifted dry ingredients, and last"
  if (first && /^(?:then|next|finally)$/.test(first.word) && t.some((x) => MIXING.has(x.word) && x !== first)) return true
  return (
    first !== undefined &&
    // "Cream:" alone is a thing.
    (t.filter((x) => x.kind === 'word').length > 1 || /^(?:add|combine|sift|stir|blend)$/.test(first.word)) &&
    MIXING.has(first.word) &&
    roleOf(text.replace(/^\W*\w+/, '')) === undefined
  )
}

/** "Dry ingredients", "Flour mix", "Bowl 2": lines that go in together, of one and the same batter. */
const GROUP =
  /^(?:the |for the )?(?:dry|wet|liquids?|dry (?:ingredients|mix|things|goods)|wet (?:ingredients|mix|things)|flour (?:mix|mixture|blend)|bowl(?: \w+)?|blender|leaven\w*|spices?|others?|optional|plus|\+|then|remaining|everything else|(?:all )?the rest|rest|group \w|[a-d])$/i
const isGroup = (text: string): boolean => GROUP.test(headingName(text).replace(/\s*\(.*\)$/, ''))

/** "Cream:" among headings that say what is done. */
const CREAMS = /^\W*(?:cream|beat|whisk|mix|sift|blend)\W*$/i

/** What a list says is done with the lines under a heading: "Sift together: …". */
interface Order {
  words: string
  part: Part
  /** Its lines of that part. */
  from: number
  to: number
}

/** The orders as steps: a card that tells its method between its lines has no other. */
const orderSteps = (orders: readonly Order[]): string[] =>
  orders.flatMap(({ words, part, from, to }) => {
    const names = part.lines.slice(from, to).map((l) => (l.named || l.text).replace(/^each (?:of )?/i, ''))
    const last = names.pop()
    return last ? [`${words.replace(/[:\s.–—-]+$/, '')} ${names.length ? `${names.join(', ')} and ` : ''}${last}.`] : []
  })
/** A method that names fewer of the lines than this does not tell of them. */
const TELLS = 0.4

const INLINE = /^([\p{L}][\p{L} '’&-]{1,34}?)\s*(?::|\s[-–—])\s*(?=\S)(.*)$/u

/** Things behind a colon that are no other measure of one and the same. */
const MADE_OF = 3
/** "Base - 150 g butter, ½ cup sugar": a heading and what follows on the same line. */
function inlineHead(text: string): { name: string; rest: string } | undefined {
  const m = INLINE.exec(text)
  if (!m) return undefined
  const name = m[1]!.trim()
  // "optional: ½ cup chips" is no part.
  if (name.split(/\s+/).length > 5 || /^(?:optional(?:ly)?|plus|extra|also|note)$/i.test(name)) return undefined
  const rest = scan(m[2]!)
  if (!rest.measures.length || !rest.mentions.length) return undefined // "Salt – ¼ tsp"
  const role = roleOf(name)
  // "syrup: juice of 2 lemons, 125 g icing sugar"
  // "jelly: 150 ml mango purée, 50 ml water, 5 g gelatine": so many things with amounts are made into it, whatever it is.
  const made = /^[^–—-]*:/.test(text) && rest.measures.length >= MADE_OF && rest.mentions.length >= MADE_OF
  const several = made || (role !== undefined && rest.mentions.length > 1 && (/^[^–—-]*:/.test(text) || rest.measures.length > 1))
  if (scan(name).mentions.length && !several && (!role || rest.measures[0]!.from > 1)) return undefined
  return { name, rest: m[2]! }
}

/** Sentences of a text, by its words; a semicolon ends one too. */
export function sentencesOf(text: string): string[] {
  const t = tokenise(text)
  return sentenceSpans(t).flatMap(([from, to]) => {
    const pieces: string[] = []
    let start = from
    for (let i = from; i < to; i++)
      if (t[i]!.text === ';' && t[i + 1] && i + 1 < to) {
        pieces.push(text.slice(t[start]!.from, t[i]!.to))
        start = i + 1
      }
    return [...pieces, text.slice(t[start]!.from, t[to - 1]!.to)]
  })
}

const PAGE_KIND: Readonly<Record<Label, PageLine['kind']>> = {
  title: 'title',
  intro: 'note',
  meta: 'note',
  clutter: 'clutter',
  'ingredients-heading': 'heading',
  'part-heading': 'heading',
  'method-heading': 'heading',
  'step-heading': 'heading',
  'notes-heading': 'heading',
  ingredient: 'ingredient',
  step: 'step',
  note: 'note',
  equipment: 'note',
}

function kindOf(c: Classified): PageLine['kind'] {
  if (c.label === 'clutter' && c.nutrition) return 'nutrition'
  if (c.label !== 'meta') return PAGE_KIND[c.label]
  if (/^\W*(?:serves|servings?|yields?|makes|portions?|cuts into|pieces)/i.test(c.text)) return 'yield'
  if (c.heat || /oven/i.test(c.text)) return 'oven'
  if (c.size || /^(?:tin|pan|mould)/i.test(c.text)) return 'tin'
  return c.nutrition ? 'nutrition' : 'note'
}

/** Cups, glasses and mugs that the page defines itself: "1 cup = 200 ml", "(250 ml cup)". */
function vesselsOf(text: string): Map<string, number> {
  const found = new Map<string, number>()
  const put = (word: string, digits: string) => {
    const unit = unitNamed(word)
    const ml = Number(digits)
    if (unit?.kind === 'volume' && ml >= 80 && ml <= 350) found.set(unit.id, ml)
  }
  for (const m of text.matchAll(
    /\b(cups?|glass(?:es)?|mugs?|katoris?|teacups?)\b\s*(?:size\s*)?(?:[:=]|is|are|of|means|holds)\s*(?:an? )?(\d{2,3})\s*(?:ml|cc)/gi,
  ))
    put(m[1]!, m[2]!)
  for (const m of text.matchAll(/(\d{2,3})\s*ml (cup|glass|mug|katori)s?\b/gi)) put(m[2]!, m[1]!)
  return found
}

/** An unknown line longer than this is a sentence, and no ingredient. */
const MOST_UNKNOWN_WORDS = 7

class Builder {
  parts: Part[] = []
  questions: Question[] = []
  private current: Part | undefined
  private before: Part | undefined
  private inAside = false

  constructor(
    private readonly region: Region,
    private readonly options: LineOptions,
  ) {}

  open(name: string): Part {
    this.inAside = false
    this.current = { name, role: 'batter', lines: [] }
    this.parts.push(this.current)
    return this.current
  }

  /** A part that is told on one row. */
  aside(name: string): void {
    this.before = this.inAside ? this.before : this.current
    this.open(name)
    this.inAside = true
  }

  /** Back to the list that a part on one row stood before or within. */
  back(): void {
    if (!this.inAside) return
    this.inAside = false
    this.current = this.before ?? this.open('')
  }

  get part(): Part {
    return this.current ?? this.open('')
  }

  has(): boolean {
    return this.current !== undefined
  }

  select(part: Part | undefined): void {
    this.current = part
  }

  put(read: ReadLine, known = false): void {
    const part = this.part
    const at = this.parts.indexOf(part)
    read.lines.forEach((line, n) => {
      if (
        !line.ingredient &&
        (known ||
          UTENSIL.test(line.named ?? '') ||
          ((line.quantity && line.named) || line.text).split(/\s+/).length > MOST_UNKNOWN_WORDS ||
          DEFINITION.test(line.text) ||
          /^\W*(?:note|tip)\b/i.test(line.text))
      )
        return
      for (const q of read.questions) if (q.line === n) this.questions.push({ ...q, part: at, line: part.lines.length })
      part.lines.push(line)
    })
  }

  line(text: string): void {
    const same = eggWeight(text, this.current)
    this.put(same ? linesOf(scan(same, this.region), text, this.region, this.options) : readLine(text, this.region, this.options))
  }

  sentence(text: string): ReadLine {
    return linesOf(scan(text, this.region), text, this.region, { ...this.options, prose: true })
  }
}

/** What a kitchen has and no cake is made of. */
const UTENSIL =
  /\b(?:cookers?|trivets?|slings?|bowls?|mixers?|processors?|blenders?|whisks?|spatulas?|thermometers?|skewers?|toothpicks?|parchment|foil|cling ?film|tins?|pans?|trays?|racks?|liners?|cases|moulds?|molds?|piping bags?|nozzles?|boards?|scales?|sieves?|strainers?|graters?)$/i

const OF_EGGS =
  /^\W*(?:(?:use|take|weigh(?: out)?|add|then|now|you need|and)\s+)*(?:(?:the )?(?:same|equal|egg|eggs[’']?)|that|this|their)(?: own)? weights? (?:of|in) /i

/**
 * "their weight in butter, sugar and flour": bakers weigh the eggs in their shells and take as much of each.
 *
 * @returns the row with its grams, where eggs stand before it and it has no amount of its own
 */
function eggWeight(text: string, part: Part | undefined): string | undefined {
  const said = OF_EGGS.exec(text)
  if (!said || /\d/.test(text)) return undefined
  const eggs = part?.lines.filter((l) => l.ingredient === 'egg-whole') ?? []
  const grams = eggs.reduce(
    (sum, l) => sum + l.grams.best / (l.quantity?.unit === 'piece' && !/\bwithout\b/i.test(l.text) ? IN_SHELL : 1),
    0,
  )
  return grams > 0 ? `${Math.round(grams)} g each of ${text.slice(said[0].length)}` : undefined
}

/**
 * Takes a pasted page apart.
 *
 * @param text as pasted
 * @param region whose measures and names
 */
export function readPage(text: string, region: Region): Page {
  const rows = rowsOf(text)
  const classified = classify(rows)
  const vessels = vesselsOf(text)
  const build = new Builder(region, vessels.size ? { vessels } : {})
  const method: string[] = []
  const meta: string[] = []
  const sections: Page['sections'] = []
  let title = ''
  let continues: Classified | undefined
  /** Part headings under which steps stand, with the step that comes first under each. */
  const under: Page['sections'] = []
  let heading: string | undefined
  const orders: Order[] = []
  const ordered = classified.some((c) => c.label === 'part-heading' && isInstruction(c.text))
  const order = () => {
    const open = orders.at(-1)
    if (open && open.to < 0) open.to = open.part.lines.length
  }
  for (const c of classified) {
    if (c.label !== 'ingredient') order()
    switch (c.label) {
      case 'title':
        title ||= c.text
          .replace(/^[#*\s]+|:$/g, '')
          .replace(/^(?:(?:subject|fwd?|re)\s*:\s*)+(?=\S)/i, '')
          .slice(0, 200)
        meta.push(c.text)
        break
      case 'ingredients-heading': {
        meta.push(c.text)
        const named = /\bfor (?:the )?([\p{L} ]{3,30})\s*:?$/iu.exec(c.text)
        if (named && roleOf(named[1]!)) build.open(capital(named[1]!.trim()))
        // "Ingredients (A)", and the method speaks of "A".
        const letter = SET_HEAD.exec(c.text.trim()) ?? /\(?\b([A-H])\)?\s*:?$/.exec(c.text.trim())
        if (letter) build.open(letter[1]!)
        break
      }
      case 'part-heading':
        meta.push(c.text)
        if (!SET_HEAD.test(c.text.trim()) && (isInstruction(c.text) || isGroup(c.text) || (ordered && CREAMS.test(c.text)))) {
          if (!build.has()) build.open('')
          if (!isGroup(c.text)) orders.push({ words: c.text, part: build.part, from: build.part.lines.length, to: -1 })
        } else {
          // The method speaks of "C", whatever its heading adds.
          const name = SET_HEAD.exec(c.text.trim())?.[1] ?? headingName(c.text)
          // "For 12:" says how many, and heads no part.
          if (/^\d+$/.test(name) && /^\W*for\b/i.test(c.text)) {
            meta.push(`Makes ${name}`)
            break
          }
          build.open(name)
          heading = name
        }
        break
      case 'ingredient':
        // A tin may stand in the list of what is needed.
        if (c.size) meta.push(c.text)
        {
          const before = build.has() ? build.part : undefined
          const told = before && c.row.grams === undefined ? inlineHead(c.text) : undefined
          // "Slacken with: 90 ml milk" tells what is done, and heads nothing of its own.
          if (told && isInstruction(told.name)) {
            order()
            orders.push({ words: `${told.name}:`, part: build.part, from: build.part.lines.length, to: -1 })
            build.line(told.rest)
            order()
            break
          }
          takeIngredient(c, build)
          // "BASE: 1 cup flour, …" heads the steps under it as well.
          if (before !== build.part && inlineHead(c.text)) heading = build.part.name
        }
        break
      case 'step':
        if (heading !== undefined) under.push({ at: method.length, title: heading })
        heading = undefined
        takeStep(c, continues, method)
        break
      case 'step-heading':
        sections.push({ at: method.length, title: headingName(c.text) })
        break
      case 'note':
      case 'notes-heading':
      case 'method-heading':
        break
      default:
        meta.push(c.text)
    }
    continues = c.label === 'step' ? c : undefined
  }
  // Stages, each with its things and what is done with them: the headings are those of the steps too.
  if ((under.length > 1 || (under[0]?.at ?? 0) > 0) && !sections.length) sections.push(...under)
  order()
  const said = method.join(' ').toLowerCase()
  const lines = build.parts.flatMap((p) => p.lines)
  const told = lines.filter((l) => said.includes((l.named ?? l.text).toLowerCase().split(/\s+/).at(-1)!)).length
  if (orders.length > 1 && told < TELLS * lines.length) {
    const first = orderSteps(orders)
    method.unshift(...first)
    for (const s of sections) s.at += first.length
  }
  takeFromSentences(classified, build, method)
  const used = build.parts.filter((p) => p.lines.length)
  const moved = new Map(build.parts.map((p, i) => [i, used.indexOf(p)]))
  return {
    title,
    parts: used,
    method,
    sections,
    meta,
    questions: build.questions.flatMap((q) => (q.part === null ? [q] : moved.get(q.part)! < 0 ? [] : [{ ...q, part: moved.get(q.part)! }])),
    lines: pageLines(text, classified),
  }
}

function takeIngredient(c: Classified, build: Builder): void {
  if (c.row.grams !== undefined) {
    const read = readLine(c.row.body, 'us')
    const line = read.lines[0]
    if (line)
      build.put({
        lines: [
          {
            ...line,
            text: c.text,
            quantity: { low: c.row.grams, high: c.row.grams, unit: 'g' },
            grams: { low: c.row.grams, high: c.row.grams, best: c.row.grams },
          },
        ],
        questions: read.questions.filter((q) => q.about === 'ingredient'),
      })
    return
  }
  const inline = c.words > 2 ? inlineHead(c.text) : undefined
  if (inline) {
    build.aside(capital(inline.name))
    build.line(inline.rest)
    return
  }
  // A part told on one row ends with a blank line: what follows is the main list.
  if (c.row.gap > 0) build.back()
  if (c.row.body === c.row.text) build.line(c.text)
  else {
    const read = readLine(c.row.body, build['region'], {})
    build.put({ ...read, lines: read.lines.map((l) => ({ ...l, text: c.text })) })
  }
}

/** A step of its own, or the rest of the line above that ran over. */
function takeStep(c: Classified, above: Classified | undefined, method: string[]): void {
  const body = (c.numbering ? c.body : c.text).trim()
  if (!body) return
  const runsOver = above && !c.numbering && c.row.gap === 0 && /^[\p{Ll}(&]/u.test(body) && !/[.!?:)]["”]?$/.test(above.text) && !c.bullet
  if (runsOver && method.length) method[method.length - 1] += ` ${body}`
  else method.push(body)
}

const PART_OF_SENTENCE =
  /^(?:for|to make|make)?\s*(?:the |a |an )?\b(icing|frosting|glaze|sauce|topping|syrup|filling|batter|base|drizzle|buttercream|crust|cream)\b/i
/** A cake that has been in the oven. */
const BAKED = /\b(?:bake|baked|baking time|oven for|mins?|minutes)\b/i
/** How a baked cake is dressed, and what it is dressed with is called. */
const DRESSED: readonly (readonly [name: string, verb: RegExp])[] = [
  ['icing', /\bice\b(?! (?:cream|cubes?|water|bath))(?=.*\bwith\b|.*\bw\/)/i],
  ['frosting', /\bfrost\b(?=.*\bwith\b|.*\bw\/)/i],
  ['glaze', /\bglaze\b(?=.*\bwith\b|.*\bw\/)/i],
  ['syrup', /\b(?:drizzle|brush|soak|drench|poke|prick)\b(?=.*\bwith\b|.*\bw\/|.*\bover\b)/i],
  ['filling', /\b(?:fill|sandwich)\b(?=.*\bwith\b|.*\bw\/)/i],
  ['topping', /\btop\b(?=.*\bwith\b|.*\bw\/)/i],
]

/** "Cool, then ice with 250 g icing sugar mixed with lemon juice": what a told cake is dressed with once it is baked is a part of its own. */
function dressings(sentence: string, baked: boolean): { words: string; dresses?: string }[] {
  if (!baked && !BAKED.test(sentence)) return [{ words: sentence }]
  const [name, at] = DRESSED.map(([name, verb]) => [name, sentence.search(verb)] as const)
    .filter(([, at]) => at >= 0)
    .sort((a, b) => a[1] - b[1])[0] ?? [undefined, 0]
  if (!name) return [{ words: sentence }]
  return [{ words: sentence.slice(0, at) }, { words: sentence.slice(at), dresses: name }].filter((x) => x.words.trim())
}
const CONDITIONAL =
  /\bwater (?:in|into|to) (?:the|a|an|your) (?:\w+ )?(?:pot|cooker|pan|roasting|bath|tray|steamer|liner|inner)\b|\b(?:if|optional|instead|water bath|or use|substitute|can also|needed)\b/i
/** "Butter six 200 ml moulds": of the tin, and no thing of the mix. */
const OF_TIN =
  /^\W*(?:lightly |generously |well )?(?:butter|grease|oil|line|flour|dust|spray)\b.*\b(?:tins?|pans?|mou?lds?|trays?|dish|ramekins?|basins?)\b/i
const AGAIN = /\b(?:of )?(?:the|this|it|remaining|rest|other|half|reserved)\b/i

const LABELLED =
  /^\s*(?:for the |the |my )?(\p{L}[\p{L} ]{2,24}?)(?::| (?:(?:i|we) (?:use|make|like|do) |that (?:i|we) use )?(?:is|are)(?: just| simply)?)\s+(?=[\d¼½¾⅓⅔⅛])/iu
/** Amounts that stand only in sentences: a page without a list, or a thing that the list forgot. */
function takeFromSentences(classified: readonly Classified[], build: Builder, method: string[]): void {
  const known = build.parts.flatMap((p) => p.lines).filter((l) => l.ingredient)
  if (known.length < LEAST_LIST) {
    const sources = classified.filter((c) => c.label === 'step' || c.label === 'intro' || (c.label === 'note' && known.length === 0))
    const first = build.parts.find((p) => p.lines.length)
    let baked = false
    for (const c of sources) {
      // "Stage 3: pour …" counts no syrups.
      for (const sentence of sentencesOf(c.numbering ? c.body : c.text)) {
        if (OF_TIN.test(sentence)) continue
        for (const { words, dresses } of dressings(sentence, baked)) {
          const lines = build
            .sentence(eggWeight(words, build.has() ? build.part : undefined) ?? words)
            .lines.filter((l) => l.ingredient && l.quantity)
          if (!lines.length) continue
          const head = dresses ?? PART_OF_SENTENCE.exec(words)?.[1]
          if (head) build.select(build.parts.find((p) => p.name.toLowerCase() === head.toLowerCase()) ?? build.open(capital(head)))
          else if (!build.has()) build.select(first ?? build.open(''))
          build.put({ lines, questions: [] }, true)
        }
        baked ||= BAKED.test(sentence)
      }
    }
    // What was only a list tells nothing to do.
    const lists = new Set(sources.filter((c) => c.label === 'step' && isList(c, build)).map((c) => c.text.trim()))
    method.splice(0, method.length, ...method.filter((m) => !lists.has(m)))
    if (!method.length) for (const c of sources) if (c.verbs > 1) method.push(c.text)
    return
  }
  const forgotten = new Map<Part | undefined, ReadLine['lines']>()
  const last = build.parts.filter((p) => p.lines.length).at(-1)
  // What a step tells before the next list begins is of the list above it.
  let above: Part | undefined
  for (const c of classified) {
    if (c.label === 'method-heading') above = undefined
    else if (c.label === 'ingredient') above = build.parts.find((p) => p.lines.some((l) => l.text === c.text)) ?? above
    if (c.label === 'step' || c.label === 'note' || c.label === 'intro')
      for (const sentence of sentencesOf(c.text)) {
        // "Frosting: 8 oz cream cheese, ½ cup butter", "The icing I use is 3 tbsp butter …": a list under its own name.
        const labelled = LABELLED.exec(sentence)
        const own =
          labelled && roleOf(labelled[1]!) ? build.sentence(sentence).lines.filter((l) => l.ingredient && l.quantity && measured(l)) : []
        if (own.length > 1) {
          const name = capital(labelled![1]!.trim())
          build.select(build.parts.find((p) => p.name.toLowerCase() === name.toLowerCase()) ?? build.open(name))
          build.put({ lines: own, questions: [] }, true)
          if (c.label !== 'step') method.push(sentence)
          continue
        }
        if (c.label !== 'step' || CONDITIONAL.test(sentence) || OF_TIN.test(sentence)) continue
        const lines = build
          .sentence(sentence)
          .lines.filter((l) => l.ingredient && l.quantity && !AGAIN.test(l.text) && measured(l) && !isMade(l.named, build))
        // A sentence that brings one thing that the list lacks brings its company too.
        const listed = above && above !== last ? above.lines : known
        if (lines.some((l) => !listed.some((k) => k.ingredient === l.ingredient)))
          forgotten.set(above, [...(forgotten.get(above) ?? []), ...lines])
      }
  }
  for (const [part, lines] of forgotten) {
    if (lines.length > MOST_FORGOTTEN) continue
    build.select(part ?? last)
    build.put({ lines, questions: [] }, true)
  }
}
/** "¾ cup buttercream between each": what a part of this page makes, and no line that its list forgot. */
const isMade = (named: string | undefined, build: Builder): boolean => {
  const role = named ? roleOf(named) : undefined
  return build.parts.some((p) => p.name.toLowerCase() === named?.toLowerCase() || (role === 'frosting' && roleOf(p.name) === role))
}
/** More than this was no slip: it tells of something else. */
const MOST_FORGOTTEN = 16

/** A paragraph of amounts and names, none of which is to be done. */
function isList(c: Classified, build: Builder): boolean {
  const pieces = c.text.split(/[;•\n]|,(?=\s*\d)/).filter((x) => /\p{L}/u.test(x))
  return (
    !c.verbFirst && pieces.length >= LEAST_PIECES && pieces.every((x) => build.sentence(x).lines.some((l) => l.ingredient && l.quantity))
  )
}
/** Fewer pieces than this are a sentence. */
const LEAST_PIECES = 4

const REAL_UNITS = new Set(['g', 'kg', 'ml', 'dl', 'cl', 'l', 'oz', 'lb', 'cup', 'tbsp', 'tsp', 'stick', 'pinch', 'dessertspoon'])
const measured = (l: ReadLine['lines'][number]): boolean =>
  REAL_UNITS.has(l.quantity!.unit) ||
  // "1 box (3¾ cups) powdered sugar"
  (['box', 'packet', 'can'].includes(l.quantity!.unit) && /\(\d/.test(l.text)) ||
  (l.quantity!.unit === 'piece' && l.ingredient!.startsWith('egg'))

/** What every line of the pasted text was taken for, blank ones left out. */
function pageLines(text: string, classified: readonly Classified[]): PageLine[] {
  const raw = text.split(/\r\n?|\n/)
  const kinds = new Map<number, PageLine['kind']>()
  for (const c of classified) for (const i of c.row.source) kinds.set(i, kinds.get(i) === 'ingredient' ? 'ingredient' : kindOf(c))
  return raw.flatMap((line, i) => (line.trim() ? [{ text: line.trim(), kind: kinds.get(i) ?? 'clutter' }] : []))
}
