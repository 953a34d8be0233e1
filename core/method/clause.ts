import type { Scan } from '../language/item'
import { isDash } from '../language/number'
import type { Mention } from '../language/name'
import { isUntil, type Token } from '../language/token'
import { roleOf } from '../recipe/role'
import { ADVERBS, baseOf, IF, MOSTLY_VERBS, NOT, NOUN_VERBS, PARTICIPLES, UNTIL, VERB_CLASS, WHEN } from './lexicon'
import { sentencesOf } from '../language/sentence'

/** A piece of a sentence with one verb, before it is known what it means; all places are tokens. */
export interface Piece {
  from: number
  to: number
  /** Base form; empty where the piece has none. */
  verb: string
  /** The token of the verb; -1 where it is inherited or absent. */
  at: number
  /** It takes the verb of the piece before ("then the milk"). */
  elided: boolean
  /** Tokens that tell how long, when or why not, and bring nothing into the bowl. */
  until?: [number, number]
  condition?: [number, number]
  masked: ReadonlySet<number>
  sentence: number
  /** What a label before a colon names: "For the icing:". */
  label?: string
}

const SEPARATORS = new Set([',', ';', ':', '(', '–', '—', '+', '&', '/', '→', '-', '.', '!', '?', '•'])
const JOINTS = new Set(['and', 'then', 'or', 'but', 'plus'])
/** What may stand behind a verb that could be a noun. */
const OBJECTS = new Set(
  `the a an it in into on onto over to your both all each two three four out up off down through this them half some together well until till for with again back everything any around
  lightly gently slowly at evenly immediately completely thoroughly briefly once overnight uncovered covered loosely tightly my our its one gradually quickly aside between under along across about inside just very while hot cold halfway twice as`.split(
    /\s+/,
  ),
)

const isStop = (t: Token): boolean => SEPARATORS.has(t.text)

/** Whether a verb can stand at token `i`: at a start, behind a separator or joint, past adverbs. */
function atBoundary(t: readonly Token[], i: number, start: number): boolean {
  let j = i - 1
  while (j >= start && ADVERBS.has(t[j]!.word)) j--
  // "and from there into the oven"
  if (j > start && t[j]!.word === 'there' && t[j - 1]!.word === 'from') j -= 2
  // "until it is melted, at which point you should whisk in the cocoa"
  if (j > start && /^(?:should|can|must|may|will)$/.test(t[j]!.word) && ADVERBS.has(t[j - 1]!.word)) j -= 2
  if (j > start + 1 && /^(?:time|point|stage|moment)$/.test(t[j]!.word) && t[j - 1]!.word === 'which' && t[j - 2]!.word === 'at') j -= 3
  if (j >= start && /^(?:at|to)$/.test(t[j]!.word) && /^(?:first|last|begin|finish|start)$/.test(t[j + 1]!.word)) j--
  if (j < start) return true
  const before = t[j]!
  if (isDash(before)) return before.from > (t[j - 1]?.to ?? 0) || before.text === '—'
  return (
    isStop(before) ||
    JOINTS.has(before.word) ||
    (before.kind === 'mark' && !/["'’)\]]/.test(before.text) && before.text !== '%' && before.text !== '°')
  )
}

const AUXILIARY = /^(?:is|are|was|were|be|been|being|gets?)$/

/** "is filled into a form and baked": the second participle has the auxiliary of the first. */
function sharesAuxiliary(t: readonly Token[], i: number, start: number): boolean {
  let j = i - 1
  while (j >= start && ADVERBS.has(t[j]!.word)) j--
  if (j < start) return false
  const listed = t[j]!.text === ',' && /^(?:together|with|in|into|to|over|out|on|onto|through|a|the)$/.test(t[i + 1]?.word ?? '')
  if (!listed && !/^(?:and|then)$/.test(t[j]!.word)) return false
  for (j--; j > start && !/^[;:.]$/.test(t[j]!.text); j--) if (PARTICIPLES[t[j]!.word] && AUXILIARY.test(t[j - 1]!.word)) return true
  return false
}

function isVerb(
  t: readonly Token[],
  i: number,
  start: number,
  end: number,
  mentions: readonly Mention[],
): { verb: string; gerund: boolean } | undefined {
  const token = t[i]!
  if (token.kind !== 'word') return undefined
  // Passive: "are beaten", "is baked".
  const base = baseOf(token.word)
  const passive = PARTICIPLES[token.word]
  if (passive && AUXILIARY.test(t[i - 1]?.word ?? '') && i - 1 >= start)
    return /^(?:can|may|could|might)$/.test(t[i - 2]?.word ?? '') ||
      t.slice(Math.max(start, i - 6), i).some((x) => /^(?:whatever|what|which|that)$/.test(x.word))
      ? undefined
      : { verb: passive, gerund: false }
  if (passive && sharesAuxiliary(t, i, start)) return { verb: passive, gerund: false }
  if (token.word === 'in' && /^(?:go|goes)$/.test(t[i + 1]?.word ?? '') && atBoundary(t, i, start)) return { verb: 'add', gerund: false }
  if (/^(?:goes?|comes?)$/.test(token.word) && t[i + 1]?.word === 'in') return { verb: 'add', gerund: false }
  if (/^gives?$/.test(token.word) && t[i + 1]?.word === 'in' && !/^(?:the|a) (?:tin|oven)/.test(`${t[i + 2]?.word} ${t[i + 3]?.word}`))
    return { verb: 'add', gerund: false }
  if (/^(?:goes|comes)$/.test(token.word) && /^(?:into|onto)$/.test(t[i + 1]?.word ?? '')) return { verb: 'put', gerund: false }
  // "and straight into a lined tin": the verb that a terse baker leaves out.
  if (token.word === 'into' && atBoundary(t, i, start) && goesInto(t, i, end)) return { verb: 'put', gerund: false }
  // "Cool in the tin, fridge 4 hrs": the place is what is done.
  if (
    /^(?:fridge|freezer)$/.test(token.word) &&
    atBoundary(t, i, start) &&
    (t[i + 1]?.kind === 'number' || /^(?:for|it|them|overnight|until|till)$/.test(t[i + 1]?.word ?? ''))
  )
    return { verb: token.word === 'fridge' ? 'chill' : 'freeze', gerund: false }
  // "Dry stuff in one bowl" names things.
  if (token.word === 'dry' && t[i + 1]?.word === 'in' && t[i + 2]?.kind === 'number') return undefined
  if (token.word === 'dry' && /^(?:ingred\w*|ingr|stuff|mix|mixture|things?|items?|goods|bits)$/.test(t[i + 1]?.word ?? ''))
    return undefined
  if (!base) return undefined
  if (base.form === 'third') return narrated(t, i, start) ? { verb: base.verb, gerund: false } : undefined
  if (!atBoundary(t, i, start)) {
    // "before turning out onto a rack" is a second thing to do.
    if (base.form === 'gerund' && t[i - 1]?.word === 'before' && /^(?:unmould|cut|spread|put|cool)$/.test(VERB_CLASS[base.verb]!))
      return { verb: base.verb, gerund: true }
    return undefined
  }
  const covered = mentions.some((m) => m.words.length > 1 && m.cover.includes(i))
  if (covered && (base.form === 'gerund' || FOOD_VERBS.has(token.word) || !/^(?:whip|whisk|melt|grate)$/.test(token.word))) return undefined
  // "with remaining sugar" is what is left of it.
  if (token.word === 'remaining') return undefined
  if (base.form === 'gerund') {
    // "adding the sugar" brings a line, "stirring well" is a manner.
    let j = i + 1
    while (j < end && !isStop(t[j]!)) j++
    return mentions.some((m) => m.from > i && m.head < j) && t[i + 1]?.word !== 'powder' ? { verb: base.verb, gerund: true } : undefined
  }
  const next = i + 1 < end ? t[i + 1] : undefined
  if (FOOD_VERBS.has(token.word)) {
    // "Butter the tin", "cream butter and sugar"; in a list of things it is a thing.
    // "curd, sugar and butter well": the last of a list, and how it is done.
    const listed =
      (JOINTS.has(t[i - 1]?.word ?? '') || t[i - 1]?.text === '&') &&
      mentions.some((m) => m.to === i - 1) &&
      /^(?:well|lightly|together)$/.test(next?.word ?? '')
    const determined =
      !listed &&
      next !== undefined &&
      (DETERMINERS.has(next.word) ||
        // "cool, then ice with the lemon icing"
        (/^(?:ice|glaze|finish)$/.test(token.word) && next.word === 'with' && !/^(?:of|the|a)$/.test(t[i - 1]?.word ?? '')) ||
        (WHIPPED.has(token.word) && t[i - 1]?.word !== 'and' && /^(?:with|until|till|together)$/.test(next.word)))
    // "and butter and line a tin"
    const greases =
      /^(?:butter|oil|flour)$/.test(token.word) &&
      /^(?:and|&)$/.test(next?.word ?? '') &&
      /^(?:line|flour|dust|grease|paper|sugar|base|starch|semolina|cocoa|breadcrumbs?|crumbs?)$/.test(t[i + 2]?.word ?? '') &&
      !/^(?:mix|stir|beat|cream|rub)$/.test(t[i - 2]?.word ?? '') &&
      // "the eggs, oil and sugar" is a list.
      !(t[i - 1]?.text === ',' && mentions.some((m) => m.to === i - 1))
    if (greases) return { verb: base.verb, gerund: false }
    // "Butter 4 dariole moulds"
    if (next?.kind === 'number' && t.slice(i + 2, i + 6).some((x) => VESSEL.test(x.word))) return { verb: base.verb, gerund: false }
    const opens = i === start && next !== undefined && next.kind === 'word' && !JOINTS.has(next.word) && !OBJECTS.has(next.word)
    return determined || opens ? { verb: base.verb, gerund: false } : undefined
  }
  // "Boil sugar, water and peel 10 minutes": the last of a list, with nothing behind it to be peeled.
  const bare = next === undefined || next.kind !== 'word' || /^(?:for|until|till|together|in|with)$/.test(next.word)
  if (
    bare &&
    NOUN_VERBS.has(token.word) &&
    JOINTS.has(t[i - 1]?.word ?? '') &&
    mentions.some((m) => m.to === i - 1) &&
    mentions.some((m) => m.cover.includes(i))
  )
    return undefined
  // "skewer test!"
  if (/^(?:tests?|comes?|inserted)$/.test(next?.word ?? '') && VERB_CLASS[token.word] === 'poke') return undefined
  if (
    NOUN_VERBS.has(token.word) &&
    next &&
    /^(?:of|is|are|has|was|will|should|can|springs?|bounces|feels|looks|cracks|on the|in the)$/.test(next.word)
  )
    return undefined
  return { verb: base.verb, gerund: false }
}

const VESSEL = /^(?:tins?|pans?|moulds?|molds?|trays?|dish|dishes|ramekins?|cases|form|oven)$/

/** "into a lined tin", "into the oven": a place to bake follows, with no verb of its own. */
function goesInto(t: readonly Token[], i: number, end: number): boolean {
  for (let j = i + 1; j < Math.min(end, i + 6) && !isStop(t[j]!); j++) if (VESSEL.test(t[j]!.word)) return true
  return false
}

const isThird = (word: string): boolean => baseOf(word)?.form === 'third' && PARTICIPLES[word] === undefined

/**
 * "One takes butter … and works them": a method that is told. Somebody does it, or what stands, cools, bakes or
 * waits is the subject ("the second waits in the refrigerator", "where it remains one hour").
 */
function narrated(t: readonly Token[], i: number, start: number): boolean {
  let j = i - 1
  while (j >= start && ADVERBS.has(t[j]!.word) && !TELLER.test(t[j]!.word)) j--
  if (j < start) return false
  const told = (at: number) => TELLER.test(t[at - 1]?.word ?? '') && isThird(t[at]!.word)
  if (TELLER.test(t[j]!.word)) return true
  if (/^(?:and|then|,)$/.test(t[j]!.word || t[j]!.text)) {
    for (let k = start + 1; k < j; k++) if (told(k)) return true
    return false
  }
  const { verb } = baseOf(t[i]!.word)!
  // "It keeps four days", "it freezes well" is said of it, not done.
  if (!/^(?:wait|cool|chill|bake)$/.test(VERB_CLASS[verb] ?? '') || /^(?:keep|stay|hold|store)$/.test(verb)) return false
  for (let k = j; k >= start && k > j - 4; k--) {
    if (/^(?:the|it|this|each)$/.test(t[k]!.word)) return atBoundary(t, k, start) || t[k - 1]?.word === 'where'
    if (t[k]!.kind !== 'word' || isStop(t[k]!)) return false
  }
  return false
}
const TELLER = /^(?:one|she|he)$/

/** Of these the ones that are done with or until something: "cream with the sugar". */
const WHIPPED = new Set(['cream', 'puree'])
/** Foods that are verbs only with an object of their own. */
const FOOD_VERBS = new Set([
  'cream',
  'butter',
  'flour',
  'oil',
  'ice',
  'zest',
  'juice',
  'sugar',
  'snow',
  'rice',
  'paper',
  'colour',
  'flavour',
  'puree',
  'crumble',
  'glaze',
  'spray',
  'salt',
  'finish',
  'fan',
  'starch',
])
const DETERMINERS = new Set([
  'the',
  'a',
  'an',
  'it',
  'your',
  'my',
  'two',
  'three',
  'both',
  'all',
  'each',
  'well',
  'lightly',
  'them',
  'this',
  'these',
  'one',
  'half',
  'some',
  'most',
])

/** "In a second bowl beat the whites": the place may come first. */
function behindPlace(t: readonly Token[], i: number, start: number, seen: number): string | undefined {
  if (
    seen ||
    !/^(?:in|using|with|into|over|on|to|from|for)$/.test(t[firstWord(t, start, i)]?.word ?? '') ||
    FOOD_VERBS.has(t[i]!.word) ||
    NOUN_VERBS.has(t[i]!.word)
  )
    return undefined
  // "In a separate bowl", "skewer test!"
  if (/^(?:a|an|the|another|one)$/.test(t[i - 1]?.word ?? '') || (VERB_CLASS[t[i]!.word] === 'poke' && t[i + 1]?.word === 'test'))
    return undefined
  const cls = VERB_CLASS[t[i]!.word]
  return cls && cls !== 'other' && i > start + 1 ? t[i]!.word : undefined
}

/** "Whites beat with a fork", "flour and salt sieve together": the things may come first. */
function behindFood(t: readonly Token[], i: number, start: number, seen: number, mentions: readonly Mention[]): string | undefined {
  const x = t[i]!
  const cls = VERB_CLASS[x.word]
  if (seen || !cls || !/^(?:whip|mix|fold|melt|strain)$/.test(cls) || NOUN_VERBS.has(x.word)) return undefined
  if (!/^(?:with|until|till|to|together|well|separately|in|for|by)$/.test(t[i + 1]?.word ?? '')) return undefined
  const food = (j: number) => mentions.some((m) => j >= m.from && j < m.to)
  const lead = (j: number) =>
    food(j) || t[j]!.kind === 'mark' || ADVERBS.has(t[j]!.word) || DETERMINERS.has(t[j]!.word) || /^(?:and|&)$/.test(t[j]!.word)
  if (mentions.some((m) => i >= m.from && i < m.to)) return undefined
  for (let j = start; j < i; j++) if (!lead(j)) return undefined
  return i > start && food(i - 1) ? x.word : undefined
}

/** A word that nobody knows, used as a verb: "rain in the sugar", "swoop it on". */
function unknownVerb(t: readonly Token[], i: number, start: number, end: number, mentions: readonly Mention[]): string | undefined {
  const x = t[i]!
  const next = i + 1 < end ? t[i + 1] : undefined
  if (
    x.kind !== 'word' ||
    !next ||
    x.word.length < 3 ||
    ADVERBS.has(x.word) ||
    NOT_VERBS.has(x.word) ||
    OBJECTS.has(x.word) ||
    baseOf(x.word) ||
    PARTICIPLES[x.word]
  )
    return undefined
  if (mentions.some((m) => m.cover.includes(i)) || !atBoundary(t, i, start)) return undefined
  if (next.word === 'in' && mentions.some((m) => m.from > i && m.from - i <= 4)) return 'add'
  return /^(?:it|them)$/.test(next.word) ? 'do' : undefined
}
const NOT_VERBS = new Set(
  'which who that where how why this these those there here what their his her its not all any each every some more most less few many much such same other another than with without within for from into onto over under about until till because since though although mixture batter dough cake cakes sponge bowl tin pan oven water time minutes minute hours'.split(
    ' ',
  ),
)

/** A label before a colon or dash: "For the icing:", "GLAZE:", "To make the syrup -". */
function labelOf(t: readonly Token[], from: number, to: number, text: string): { label: string; after: number } | undefined {
  for (let i = from; i < Math.min(to, from + 7); i++) {
    if (t[i]!.kind === 'word' || t[i]!.text === '&' || t[i]!.text === '*') continue
    const dash = /^[—–-]$/.test(t[i]!.text) && t[i + 1] !== undefined
    // "Frosting- whip cream till stiff" heads as a colon does; "rack-cooled" heads nothing.
    const apart =
      dash && (t[i]!.from > t[i - 1]!.to || (t[i + 1]!.from > t[i]!.to && i === from + 1 && roleOf(t[from]!.text) !== undefined))
    if ((t[i]!.text === ':' || apart) && i > from) {
      const label = text.slice(t[from]!.from, t[i]!.from).trim()
      // "Pour hot over the cake: it crackles" is done, and heads nothing.
      const first = t[from]!.word
      if (i - from > 3 && first in VERB_CLASS && !FOOD_VERBS.has(first) && !/^(?:make|prepare)$/.test(first)) return undefined
      return roleOf(label) || /^(?:for|to make)\b/i.test(label) ? { label, after: i + 1 } : { label: '', after: i + 1 }
    }
    break
  }
  // "For the icing beat …", "To make the syrup, …"
  if (/^(?:for|to)$/.test(t[from]?.word ?? '')) {
    let j = from + 1
    if (t[j]?.word === 'make' || t[j]?.word === 'prepare') j++
    if (/^(?:the|a)$/.test(t[j]?.word ?? '')) {
      let k = j + 1
      while (k < to && k < j + 5 && t[k]!.kind === 'word' && !baseOf(t[k]!.word)) k++
      const label = text.slice(t[j]!.from, t[k - 1]!.to)
      if (k > j + 1 && (roleOf(label) || t[k]?.text === ',')) return { label, after: t[k]?.text === ',' || t[k]?.text === ':' ? k + 1 : k }
    }
  }
  return undefined
}

/**
 * Takes a step apart into pieces with one verb each.
 *
 * Until, if, when and not open masks: no verb inside them acts. "If …, do …" is conditional to its end;
 * "when …, do …" acts. Brackets hold no verbs.
 */
export function piecesOf(s: Scan): Piece[] {
  const t = s.tokens
  const out: Piece[] = []
  let label: string | undefined
  sentencesOf(t).forEach(([from, to], sentence) => {
    const named = labelOf(t, from, to, s.text)
    const start = named?.after ?? from
    if (named?.label) label = named.label
    out.push(...sentencePieces(s, from, start, to, sentence).map((p) => ({ ...p, ...(label && { label }) })))
  })
  return out
}

function sentencePieces(s: Scan, from: number, start: number, to: number, sentence: number): Piece[] {
  const t = s.tokens
  // "They will be soft, and firm up on cooling": how it is, and nothing to do.
  if (
    /^(?:it|they)$/.test(t[start]?.word ?? '') &&
    /^(?:will|may|might|won['’]t)$/.test(t[start + 1]?.word ?? '') &&
    !(AUXILIARY.test(t[start + 2]?.word ?? '') && PARTICIPLES[t[start + 3]?.word ?? ''])
  )
    return [{ from, to, verb: '', at: -1, elided: false, masked: new Set(t.slice(start, to).map((_, i) => start + i)), sentence }]
  const masked = new Set<number>()
  const untils: [number, number][] = []
  const conditions: [number, number][] = []
  const verbs: { at: number; verb: string }[] = []
  let mask: 'until' | 'if' | 'when' | 'not' | undefined
  let opened = start
  /** Where a thought begins behind a semicolon, and how many verbs stand before it. */
  let thought = start
  let seen = 0
  const close = (end: number) => {
    if (mask === 'until') untils.push([opened, end])
    else if (mask) conditions.push([opened, end])
    mask = undefined
  }
  for (let i = start; i < to; i++) {
    const x = t[i]!
    if (x.depth > 0) {
      masked.add(i)
      continue
    }
    const boundary = isStop(x)
    if (x.text === ';') {
      thought = i + 1
      seen = verbs.length
    }
    if (mask) {
      // "and it leaves a trail" tells how it looks then.
      const verb =
        mask !== 'if' && i > opened + 1 && (!isThird(x.word) || t[i - 1]?.word === 'then') ? isVerb(t, i, start, to, s.mentions) : undefined
      const ends =
        (boundary &&
          ((mask === 'when' && x.text === ',' && (opened === firstWord(t, start, opened) || t[opened]!.word === 'as')) ||
            x.text === ';' ||
            (mask === 'not' &&
              (x.text === '.' ||
                (x.text === ':' && i > opened + 3) ||
                // "warm, not hot, when …"
                (x.text === ',' && t[opened]!.word === 'not' && t[opened - 1]?.text === ',' && i <= opened + 3) ||
                (x.text === ',' && NOUN_NOT.test(t[opened]!.word)))))) ||
        // "without opening the door 6 minutes at 180 °C", "and finally the egg"
        (mask === 'not' && NOUN_NOT.test(t[opened]!.word) && x.kind === 'number' && i > opened + 2) ||
        (mask === 'if' && /^(?:last|lastly|finally)$/.test(x.word) && JOINTS.has(t[i - 1]!.word)) ||
        // "adding flour if it curdles, then stir in the zest": the aside is over.
        (mask === 'if' && opened !== firstWord(t, thought, opened) && x.word === 'then' && t[i - 1]!.text === ',') ||
        (mask === 'when' && FOLLOWERS.test(x.word) && (isStop(t[i - 1]!) || JOINTS.has(t[i - 1]!.word)))
      // "until the sugar is dissolved" is how it looks then; "until fluffy and the yolks are worked in" goes on.
      const first = verb ? begins(t, s.mentions, i, opened) : i
      const sign =
        mask === 'until' &&
        verb !== undefined &&
        ((first < i && (!JOINTS.has(t[first - 1]!.word) || STATES.has(verb.verb))) ||
          // "till foamy and light": how it looks, where nothing stands behind it.
          (LOOKS.has(x.word) && JOINTS.has(t[i - 1]!.word) && (i + 1 >= to || isStop(t[i + 1]!))))
      const plain = mask === 'when' && !verb ? plainVerb(t, i, start, opened, s.mentions) : undefined
      if (ends) close(i)
      else if (plain) {
        close(i)
        const begun = begunAt(t, i, plain)
        verbs.push(begun ?? { at: i, verb: plain })
        if (begun) i = begun.at
        continue
      } else if (
        verb &&
        !sign &&
        !(
          mask === 'not' &&
          opened === firstWord(t, start, opened) &&
          !/^[;]$/.test(previousMark(t, i, start)) &&
          !/^(?:then|but)$/.test(t[i - 1]!.word)
        ) &&
        !/^or$/.test(t[i - 1]!.word)
      ) {
        const from = Math.max(opened + 1, first)
        for (let j = from; j < i; j++) masked.delete(j)
        close(from)
        verbs.push({ at: i, verb: verb.verb })
        continue
      } else {
        masked.add(i)
        continue
      }
    }
    const opens = opener(t, i, start)
    // "while you stir the yoghurt with the sugar": what is done meanwhile is done.
    const meanwhile = opens === 'when' && /^(?:while|whilst|as)$/.test(x.word) ? meanwhileVerb(t, i, to, s.mentions) : undefined
    if (meanwhile) {
      verbs.push(meanwhile)
      i = meanwhile.at
      continue
    }
    if (opens === 'when' && waitBehind(s, i, start, to)) {
      verbs.push({ at: i, verb: 'leave' })
      continue
    }
    if (opens) {
      if (!(opens === 'when' && x.word === 'before' && isVerb(t, i + 1, start, to, s.mentions)?.gerund)) {
        mask = opens
        opened = i
        masked.add(i)
        continue
      }
    }
    const verb =
      isVerb(t, i, start, to, s.mentions)?.verb ??
      behindPlace(t, i, thought, verbs.length - seen) ??
      behindFood(t, i, thought, verbs.length - seen, s.mentions) ??
      unknownVerb(t, i, start, to, s.mentions)
    if (verb) {
      const begun = begunAt(t, i, verb)
      verbs.push(begun ?? { at: i, verb })
      if (begun) i = begun.at
    }
  }
  close(to)
  // "It wants to be warm when you stab it": where nothing else is done, that is.
  if (!verbs.length)
    for (const [a, b] of conditions) {
      const at = a + 2
      if (!/^(?:when|as|once)$/.test(t[a]!.word) || t[a + 1]?.word !== 'you' || at >= b || !(t[at]!.word in VERB_CLASS)) continue
      verbs.push({ at, verb: t[at]!.word })
      for (let j = at; j < b; j++) masked.delete(j)
      conditions.splice(0)
      break
    }
  return assemblePieces(t, s.mentions, { from, start, to, sentence, masked, untils, conditions, verbs, dials: s.dials })
}

/** "begin to whisk the whites": what is begun is meant. */
function begunAt(t: readonly Token[], i: number, verb: string): { at: number; verb: string } | undefined {
  const next = t[i + 2]?.word ?? ''
  return /^(?:begin|start|continue)$/.test(verb) && t[i + 1]?.word === 'to' && next in VERB_CLASS ? { at: i + 2, verb: next } : undefined
}

const MEALS = /^(?:dinner|supper|lunch|tea|breakfast|serving|dessert|bed|bedtime)$/

/** "After 3 hours in the fridge, spread the cream": a wait that is told only there. */
function waitBehind(s: Scan, i: number, start: number, to: number): boolean {
  const t = s.tokens
  if (t[i]!.word !== 'after' || i !== firstWord(t, start, i)) return false
  let end = i + 1
  while (end < to && t[end]!.text !== ',') end++
  if (end === to || !s.dials.some((d) => d.kind === 'time' && d.from > i && d.from <= i + 4 && d.to <= end)) return false
  return t.slice(i, end).some((x, n) => WAITING_PLACE.test(x.word) && /^(?:in|on|the|a|its|wire|cooling)$/.test(t[i + n - 1]!.word))
}
const WAITING_PLACE = /^(?:fridge|refrigerator|freezer|tin|pan|mould|rack)$/

/** What has come about, rather than what is done. */
const STATES = new Set('set melt dissolve combine incorporate cook brown cool do mix coat thicken absorb leave use'.split(' '))
/** Verbs that also say how a thing looks. */
const LOOKS = new Set('light smooth level dry thin free brown warm clear open even'.split(' '))
/** What a preposition leaves out; it ends with its noun. */
const NOUN_NOT = /^(?:without|no)$/

/**
 * "Once cool spread the icing", "before dinner get the oven to 200 °C": a verb that stands bare behind the words
 * of a time starts what is done then.
 */
function plainVerb(t: readonly Token[], i: number, start: number, opened: number, mentions: readonly Mention[]): string | undefined {
  const x = t[i]!
  let lead = opened - 1
  while (lead > start && ADVERBS.has(t[lead]!.word)) lead--
  if (
    opened !== firstWord(t, start, opened) &&
    t[lead]?.text !== ';' &&
    !/^(?:and|,|but)$/.test(t[opened - 1]?.word || t[opened - 1]?.text || '') &&
    t[opened - 1]?.word !== 'only'
  )
    return undefined
  // "When cold sandwich with jam": a thing that is dressed with another.
  const dresses = t[i + 1]?.word === 'with' && /^(?:spread|scatter|pipe)$/.test(VERB_CLASS[x.word] ?? '') && x.word !== 'sugar'
  if (i < opened + 2 || x.kind !== 'word' || !(x.word in VERB_CLASS) || (FOOD_VERBS.has(x.word) && !dresses)) return undefined
  // "shortly before dinner get the oven to 200 °C": the time ends with its meal.
  if (i === opened + 2 && MEALS.test(t[i - 1]!.word) && !/^(?:or|and)$/.test(t[i + 1]?.word ?? '')) return x.word
  if (mentions.some((m) => i >= m.from && i < m.to)) return undefined
  if (
    NOUN_VERBS.has(x.word) &&
    !dresses &&
    t[i + 1]?.word !== 'in' &&
    !mentions.some((m) => m.from === i + 1) &&
    // "While they bake mix the juice and sugar"
    !(MOSTLY_VERBS.has(x.word) && t[i + 1]?.word === 'the' && mentions.some((m) => m.from === i + 2))
  )
    return undefined
  const before = t[i - 1]!
  if (
    (before.kind === 'mark' && before.text !== ')') ||
    /^(?:you|we|i|they|it|to|and|or|can|will|should|must|the|a|an|of|do|does|your|on|in|for|with|at)$/.test(before.word)
  )
    return undefined
  return dresses || OBJECTS.has(t[i + 1]?.word ?? '') || mentions.some((m) => m.from === i + 1) ? x.word : undefined
}

/** "While you stir the yoghurt", "as you add the milk": another thing done, if something goes in. */
function meanwhileVerb(t: readonly Token[], i: number, to: number, mentions: readonly Mention[]): { at: number; verb: string } | undefined {
  if (t[i + 1]?.word !== 'you' || !((t[i + 2]?.word ?? '') in VERB_CLASS)) return undefined
  let end = i + 3
  while (end < to && !isStop(t[end]!) && t[end]!.word !== 'and') end++
  return mentions.some((m) => m.head > i + 2 && m.head < end) ? { at: i + 2, verb: t[i + 2]!.word } : undefined
}

const firstWord = (t: readonly Token[], start: number, i: number): number => {
  let j = start
  while (j < i && (ADVERBS.has(t[j]!.word) || t[j]!.kind === 'mark')) j++
  return j
}
const previousMark = (t: readonly Token[], i: number, start: number): string => {
  let j = i - 1
  while (j >= start && ADVERBS.has(t[j]!.word)) j--
  return j >= start && t[j]!.kind === 'mark' ? t[j]!.text : ''
}

function opener(t: readonly Token[], i: number, start: number): 'until' | 'if' | 'when' | 'not' | undefined {
  const w = t[i]!.word
  const before = i > start ? t[i - 1]!.word : ''
  if (UNTIL.has(w) || (w === 'til' && isUntil(t, i))) return 'until'
  if (IF.has(w) && w !== 'should') return 'if'
  if (w === 'should' && i === start) return 'if'
  if (NOT.has(w) || (w === 'do' && t[i + 1]?.word === 'not') || (w === 'be' && t[i + 1]?.word === 'careful'))
    return w === 'careful' && before !== 'be' ? undefined : 'not'
  if (w === 'so' && /^(?:that|it|the|they)$/.test(t[i + 1]?.word ?? '') && i > start) return 'until'
  if (WHEN.has(w)) {
    if (w === 'once' && /^(?:at)$/.test(before)) return undefined
    if (w === 'after' && (before === 'one' || before === 'each' || t[i + 1]?.word === 'another')) return undefined
    if (w === 'as') return /^(?:soon|it|they|you|the)$/.test(t[i + 1]?.word ?? '') ? 'when' : undefined
    if (w === 'after' || w === 'before') return i === start || t[i + 1]?.kind === 'word' ? 'when' : undefined
    if (w === 'during') return 'when'
    return 'when'
  }
  return undefined
}

/** The things of a passive, and of what "goes in", stand before it: "the yolks are worked in", "seeds, flour and salt are mixed". */
function begins(t: readonly Token[], mentions: readonly Mention[], at: number, before: number): number {
  const subject = AUXILIARY.test(t[at - 1]?.word ?? '')
    ? at - 1
    : t[at]!.word !== 'go' && /^(?:goes|comes)$/.test(t[at]!.word)
      ? at
      : undefined
  if (subject === undefined) return at
  const food = (j: number) => mentions.some((m) => j >= m.from && j < m.to)
  let j = subject
  for (; j > before + 1; j--) {
    const x = t[j - 1]!
    if (/^(?:then|but|until|till)$/.test(x.word) || /^[;:.]$/.test(x.text)) break
    // A comma stays within a list of foods, or around what is said of the subject.
    if (isStop(x) && !(x.text === ',' && j - 2 > before && (food(j - 2) || PARTICIPLES[afterComma(t, j - 2, before)]))) break
    if (x.word === 'and' && !food(j - 2)) break
  }
  return j
}

/** The word that opens what ends at a comma: "the whites, *beaten* stiff with the sugar, are …". */
function afterComma(t: readonly Token[], end: number, before: number): string {
  let j = end
  while (j > before + 1 && t[j - 1]!.text !== ',') j--
  return j > before + 1 ? t[j]!.word : ''
}

const FOLLOWERS = /^(?:then|finally|lastly|afterwards|next|whereupon)$/

interface Parts {
  from: number
  start: number
  to: number
  sentence: number
  masked: ReadonlySet<number>
  untils: [number, number][]
  conditions: [number, number][]
  verbs: { at: number; verb: string }[]
  dials: Scan['dials']
}

/** Whether a time and a heat stand between two tokens. */
const dialled = (dials: Scan['dials'], from: number, to: number): boolean =>
  (['time', 'heat'] as const).every((kind) => dials.some((d) => d.kind === kind && d.from >= from && d.to <= to))

function assemblePieces(t: readonly Token[], mentions: readonly Mention[], p: Parts): Piece[] {
  const { from, start, to, sentence, masked, untils, conditions, verbs } = p
  const within = (list: [number, number][], a: number, b: number) => list.find(([x]) => x >= a && x < b)
  const piece = (a: number, b: number, verb: string, at: number, elided = false): Piece => {
    const until = within(untils, a, b)
    const condition = within(conditions, a, b)
    return { from: a, to: b, verb, at, elided, masked, sentence, ...(until && { until }), ...(condition && { condition }) }
  }
  if (!verbs.length)
    return splitVerbless(t, from, to).map(([a, b]) => {
      const at = participleAt(t, mentions, a, b)
      return at === undefined ? piece(a, b, '', -1) : piece(a, b, PARTICIPLES[t[at]!.word]!, at)
    })
  const out: Piece[] = []
  // What stands before the first verb belongs to it, unless it is a thing of its own ("Oven 180; bake …").
  const lead = begins(t, mentions, verbs[0]!.at, start - 1)
  // "20 min in the pan then flip out": first the one, then the other.
  const wait = t[lead - 1]?.word === 'then' && p.dials.some((d) => d.kind === 'time' && d.from >= start && d.to < lead)
  const cut = wait ? lead - 1 : lead > start ? lastCut(t, start, lead) : start
  if (
    cut > start &&
    t.slice(start, cut).some((x, i) => !masked.has(start + i) && (x.kind === 'number' || mentions.some((m) => m.head === start + i)))
  )
    out.push(piece(from, cut, '', -1))
  const inserted = insertionAt(t, mentions, start, verbs[0]!.at)
  if (inserted && !out.length) out.push(piece(from, inserted.to, inserted.verb, inserted.at))
  verbs.forEach(({ at, verb }, i) => {
    const a = i === 0 ? (out.length ? out.at(-1)!.to : from) : begins(t, mentions, at, verbs[i - 1]!.at)
    const b = verbs[i + 1] ? begins(t, mentions, verbs[i + 1]!.at, at) : to
    // ", then the eggs", "and finally the cocoa": the same is done with something else.
    const cuts: number[] = []
    for (let j = at + 1; j < b; j++) {
      if (masked.has(j)) continue
      const follows = FOLLOWERS.test(t[j]!.word) && (isStop(t[j - 1]!) || JOINTS.has(t[j - 1]!.word))
      // "then at 180C for 20 minutes": the same again at another heat.
      const again = follows && /^(?:at|for|another|a)$/.test(t[j + 1]?.word ?? '') && t.slice(j, b).some((x) => x.kind === 'number')
      // "at 180 °C for 10 minutes and at 150 °C for 40": the same again at another heat.
      const heatAgain = (t[j]!.word === 'and' || follows) && dialled(p.dials, at, j) && dialled(p.dials, j, b)
      if (
        again ||
        heatAgain ||
        (follows &&
          mentions.some((m) => m.from > j && m.head < b && m.from - j <= 6) &&
          (mentions.some((m) => m.head > at && m.head < j) || p.dials.some((d) => d.kind === 'time' && d.from > at && d.to <= j)))
      )
        cuts.push(j)
      else if (/^(?:last|lastly|finally)$/.test(t[j]!.word) && JOINTS.has(t[j - 1]!.word) && mentions.some((m) => m.from > j && m.head < b))
        cuts.push(j)
      // "into a lined tin and a 170 °C oven": two places, one after the other.
      else if (
        t[j]!.word === 'and' &&
        t.slice(at, j).some((x) => /^(?:tins?|pans?)$/.test(x.word)) &&
        (ovenNext(t, j, b) || dialled(p.dials, j, b))
      )
        cuts.push(j)
      else if ((t[j]!.text === ';' && j + 1 < b) || standsBehind(t, p.dials, j, b)) cuts.push(j + 1)
    }
    const stops = [a, ...cuts, b]
    stops.slice(0, -1).forEach((x, n) => {
      const elided = n > 0 && (FOLLOWERS.test(t[x]?.word ?? '') || t[x]?.word === 'and')
      out.push(piece(x, stops[n + 1]!, n === 0 || elided ? verb : '', n === 0 ? at : -1, elided))
    })
  })
  return gathered(t, mentions, out)
}

/** "Knead to a dough, 30 min fridge": behind a comma, how long it stands and where. */
function standsBehind(t: readonly Token[], dials: Scan['dials'], comma: number, end: number): boolean {
  const time = t[comma]!.text === ',' && dials.find((d) => d.kind === 'time' && d.from === comma + 1 && d.to < end)
  if (!time) return false
  const at = /^(?:in|of)$/.test(t[time.to]!.word) ? time.to + 1 : time.to
  return /^(?:fridge|refrigerator|freezer|rest|chill|chilling)$/.test(t[t[at]?.word === 'the' ? at + 1 : at]?.word ?? '')
}

/** "The whites, beaten stiff with the sugar, are drawn in": what was done to them first stands between commas. */
function insertionAt(
  t: readonly Token[],
  mentions: readonly Mention[],
  start: number,
  verb: number,
): { at: number; to: number; verb: string } | undefined {
  for (let i = start + 1; i < verb - 2; i++) {
    const base = PARTICIPLES[t[i]!.word]
    if (t[i - 1]!.text !== ',' || t[i]!.depth > 0 || !/^(?:whip|melt)$/.test(VERB_CLASS[base ?? ''] ?? '')) continue
    if (!mentions.some((m) => m.head < i - 1 && m.head >= start)) continue
    for (let j = i + 1; j < verb; j++)
      if (t[j]!.text === ',' && AUXILIARY.test(t[j + 1]?.word ?? '')) return { at: i, to: j + 1, verb: base! }
  }
  return undefined
}

/** "Take butter and sugar and work them white": what is taken goes with what is done to it. */
function gathered(t: readonly Token[], mentions: readonly Mention[], pieces: readonly Piece[]): Piece[] {
  const out: Piece[] = []
  for (const p of pieces) {
    const before = out.at(-1)
    const taken =
      before !== undefined &&
      before.verb === 'take' &&
      /^(?:whip|mix|fold|rub|melt)$/.test(VERB_CLASS[p.verb] ?? '') &&
      /^(?:them|it|these|everything|all|together)$/.test(t[p.at + 1]?.word ?? '') &&
      mentions.some((m) => m.head >= before.from && m.head < before.to)
    if (taken) out[out.length - 1] = { ...p, from: before.from }
    else out.push(p)
  }
  return out
}

const ovenNext = (t: readonly Token[], j: number, end: number): boolean =>
  /^(?:a|an|the)$/.test(t[j + 1]?.word ?? '') &&
  t.slice(j + 2, Math.min(end, j + 8)).some((x) => x.word === 'oven') &&
  t.slice(j + 1, end).some((x) => x.kind === 'number')

/** Where the words before a verb begin a new thought: behind the last semicolon or colon, or a full comma clause. */
function lastCut(t: readonly Token[], start: number, lead: number): number {
  for (let j = lead - 1; j > start; j--) if (/^[;:]$/.test(t[j]!.text) || (t[j]!.text === ',' && j > start + 1)) return j + 1
  return start
}

/** "Last, the chocolate with the oil, melted in the microwave": what has become of the things is what is done. */
function participleAt(t: readonly Token[], mentions: readonly Mention[], from: number, to: number): number | undefined {
  for (let i = from + 1; i < to; i++) {
    const cls = VERB_CLASS[PARTICIPLES[t[i]!.word] ?? '']
    if (t[i]!.depth > 0 || !cls || !/^(?:melt|whip|fold|rub|strain)$/.test(cls) || t[i - 1]!.text !== ',') continue
    if (mentions.some((m) => m.cover.includes(i)) || !mentions.some((m) => m.head < i && m.head >= from)) continue
    return i
  }
  return undefined
}

function splitVerbless(t: readonly Token[], from: number, to: number): [number, number][] {
  const out: [number, number][] = []
  let a = from
  for (let i = from; i < to; i++)
    if (t[i]!.text === ';' && i + 1 < to) {
      out.push([a, i + 1])
      a = i + 1
    }
  out.push([a, to])
  return out
}
