import { VERBS, WEAK_VERBS } from '../language/lexicon'
import { scan, type Scan } from '../language/item'
import { tokenise } from '../language/token'
import type { Row } from './layout'
import { withoutBullet } from './line'
import { roleOf } from './role'

/** How a line is numbered: "1.", "Step 2", "③", or only "4 " before a capital. */
export interface Numbering {
  n: number
  length: number
  /** With a dot, a bracket or the word "step"; else only the number. */
  marked: boolean
}

const CIRCLED = '①②③④⑤⑥⑦⑧⑨⑩⑪⑫'
const NUMBER =
  /^\s*(?:\(?(\d{1,2})\s?[.):]+\)?\s*(?=\D)|(?:step|stage|schritt)\s*(\d{1,2})\s*[:.)\-–—]*\s*|([①②③④⑤⑥⑦⑧⑨⑩⑪⑫])\s*|(\d{1,2})\s?[-–/|]\s?(?=[A-Z])|(\d{1,2})\uFE0F?\u20E3\s*|(\d{1,2})\s+(?=[A-Z][a-z]+))/u

/** "(iv)", "ii.": as old cards count. */
const ROMAN = ['i', 'ii', 'iii', 'iv', 'v', 'vi', 'vii', 'viii', 'ix', 'x']
const ROMAN_NUMBER = /^\s*(?:\((i{1,3}|iv|vi{0,3}|ix|x)\)|(i{1,3}|iv|vi{0,3}|ix|x)[.)])\s+(?=\p{L})/iu

/** "First : grease a tin", "Last – cold before cutting": steps that are counted in words. */
const ORDINALS = [
  'first',
  'second',
  'third',
  'fourth',
  'fifth',
  'sixth',
  'seventh',
  'eighth',
  'ninth',
  'tenth',
  'last',
  'lastly',
  'finally',
]
const ORDINAL = new RegExp(`^\\s*(${ORDINALS.join('|')})(?:ly)?\\s*[:–—]\\s*(?=\\p{L})`, 'iu')

export function numberingOf(text: string): Numbering | undefined {
  const word = ORDINAL.exec(text)
  if (word) return { n: ORDINALS.indexOf(word[1]!.toLowerCase()) + 1, length: word[0].length, marked: true }
  const letter = /^\s*\(?([a-h])\)\s+(?=\p{L})/u.exec(text)
  if (letter) return { n: letter[1]!.charCodeAt(0) - 96, length: letter[0].length, marked: true }
  const roman = ROMAN_NUMBER.exec(text)
  if (roman) return { n: ROMAN.indexOf((roman[1] ?? roman[2]!).toLowerCase()) + 1, length: roman[0].length, marked: true }
  const m = NUMBER.exec(text) ?? /^\s*()(?:step|stage)\s*(\d{1,2})\s*[:.)\-–—]*\s*/i.exec(text)
  if (!m) return undefined
  const n = m[3] ? CIRCLED.indexOf(m[3]) + 1 : Number(m[1] || m[2] || m[4] || m[5] || m[6])
  return { n, length: m[0].length, marked: m[6] === undefined }
}

// Headings that stand over something, in the words of many kitchens. They tell what follows, and are weighed with the rest.
const METHOD =
  /^(?:#+\s*)?(?:the )?(?:method|directions?|instructions?|preparation|procedure|how to (?:do|make|proceed|bake).*|how(?: (?:we|to|you|it['’]?s|it is|i)\b.{0,20})?\??|steps?|to make(?: it)?|how to|do(?: it)?|what (?:to do|you do)|tarkeeb.*|cara\b.{0,20}|to prepare|making|process|modo.*|let['’]?s (?:bake|make|cook).*|do this|putting it together|work(?:ing)? method|here['’]?s how|vidhi|elaboration|way|metodo|preparo.*|method(?: of)? .*|baking instructions|method steps|and now.*|what happens|zubereitung|pr[eé]paration|the steps)\s*(?:\/\s*\w+)?\s*[:.\-–—?!]*\s*$/i
const INGREDIENTS =
  /^(?:#+\s*)?(?:the )?(?:[\p{L}]+\s*\/\s*)?(?:ing?r[ea]d[ia]+e?nts?|ingrediants?|ingr|you(?:['’]ll| will)? need|what you need|what goes in|shopping list|needed|things|stuff|materials|you will want|bahan|list|zutaten|samagri)\b.{0,40}$|^(?:take|get|gather|have ready)\s*[:\-–—]*\s*$/iu
const NOTES =
  /^(?:#+\s*)?(?:(?:recipe |cook['’]?s |my |baker['’]?s |chef['’]?s |some |few )*(?:notes?|tips?(?! (?:in|into|out|onto|over|on|all|the|it|everything|your)\b)(?: .{0,20})?|nutrition.*|comments?.*|reviews?.*|storage|faq.*|variations?|evaluation|leave a .*|did you make.*|conservation|you may also .*|related.*|more .* recipes|video|responses|substitutions|storing|to store|freezing|equip\w*|about (?:us|me|the|this|our).*|ratings?|questions?.*|what readers.*|replies|troubleshooting|print.*))\s*[:.]?\s*(?:\(?\d*\)?)\s*$/i
const EQUIPMENT = /^(?:equip\w*|utensils|tools|special equipment)\b/i
const CLUTTER =
  /jump to|\bprint\b|pin (?:it|recipe)|advert|affiliate|privacy|newsletter|subscribe|★|⭐|☆|\bvotes?\b|\bratings?\b|\breviews?\b|share\b.*(?:facebook|save|print)|skip to|cook mode|tried this recipe|tag (?:me|us)|follow (?:me|us)|©|copyright|\b1x\b|us customary|https?:|www\.|leave a comment|log ?in|sign up|save (?:to|recipe)|posted|filed under|keyword|cuisine:|course:|author:|rate this|\b\d+ (?:responses|comments|replies|likes)\b|last updated|screen from|cookies? (?:policy|settings)|accept all|^home\s*[>»]|continue reading|read more|sponsored|^>?\s*(?:from|to|subject|sent|date|cc)\s*:|\bsent from my\b|^(?:hi|hello|hey|dear|hiya)\b[^.!?:]{0,24},$/i
const META =
  /^(?:[^\p{L}]*)(?:prep(?:aration)?(?: time)?|cook(?:ing)?(?: time)?|bake(?:d)?(?: time)?|total(?: time)?|time|chill|rest|serves|servings?|yields?|makes|cuts into|portions?|difficulty|level|pan|tin|oven|tray|mould|set(?! [a-e1-5]\b)|ready in|cost|for \d+ people|(?:doses?|quantit(?:y|ies)|amounts?|enough|ingredients) for an?(?= \d)|skill|active|inactive|mold|baking time|baking|pieces|amount|quantity|category|cuisine|keeps)\b\s*[:\-–—=]?\s/iu
const STRONG_META = /^(?:serves|servings|makes|prep|cook(?:ing)? time|yields?|bake|oven|time|total|tin|pan)\b/i
const NUTRITION = /\bkcals?\b|\bcalories\b|carbohydrates?\b|\bsaturates?\b|\bcarbs\b|\bprotein\b.*\d\s*g|\bsodium\b|nutrition/i
const SPEECH = /\b(?:i|my|i['’]m|i['’]ve|me|we|our|mine|you['’]ll love|grandma|nana|mum|mom|husband|kids)\b/i
const COMMENT =
  /^(?:reply|>|["“])|\bsays?:|\b(?:says|wrote|replied)\b\s*:?|^\w+[\w_.]*\s*[:–-]\s+(?=[A-Z])|\b\d{1,2} (?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)/i
const NOTE =
  /^(?:note|tip(?! (?:in|into|out|onto|over|on|all|the|it|everything|your)\b)|n\.?b|ps|p\.s|storage|keeps|hint|xo|love|enjoy|store|\*|remember|important|variation)/i
const VAGUE =
  /^(?:extra|enough|a little|some|few|a few|q\.b|more|plus|pinch|zest|juice|grated|peel|rind|skin|whites?|yolks?|squeeze|splash|drop|touch|knob|handful)\b/i
/** "icing sugar, to dust", "sliced almonds for topping": a thing without an amount, and what it is for. */
const USED_FOR =
  /^(?:[+&]\s*)?\p{L}[\p{L}’'+& -]{2,40}?(?:,\s*|\s+\(?|\s+[-–—]\s*)(?:to (?:dust|serve|decorate|finish|garnish|taste|sprinkle|drizzle|glaze|grease|coat|top|roll|brush|line)\b|(?:for|as) (?:the )?(?:\p{L}+ing|tins?|pans?|forms?|mou?lds?|dish|tray|top|decoration|garnish|sprinkling)\b)[^.!?:]{0,24}$/iu
/** "chopped pistachios & dried rose petals": a thing as it is prepared, with no amount. */
const PREPARED =
  /^(?:(?:finely|roughly|coarsely|lightly|thinly|freshly) )?(?:chopped|sliced|toasted|roasted|grated|shaved|crushed|crumbled|dried|candied|crystalli[sz]ed|flaked|slivered|whipped|melted|fresh)\s+\p{L}/iu
/** "1 cup = 240 ml", "Measure: 1 water glass = 200 ml" */
export const DEFINITION =
  /\bas (?:your|a|the|one) measure\b|\b(?:cups?|glass|mug|katori|tbsp|tablespoons?|tsp|teaspoons?|spoons?)\)?\s*(?:[:=]|is|are|means|equals)\s*(?:about )?\d/i
const BAKE =
  /\b(?:cakes?|loaf|bread|muffins?|cup-?cakes?|brownies?|blondies?|torte?|tart|gateau|gâteau|pudding|squares|bars|slice|tray-?bake|bundt|cheesecake|buns?|scones?|pie|roulade|swiss roll|sponge|icing|frosting|buttercream)\b/i
const FOR = /^(?:#+\s*)?(?:for|to)\b/i

/** What can be seen of one line, as numbers that the classifier weighs. */
export interface Features {
  row: Row
  /** Without bullet. */
  text: string
  /** Without bullet and number. */
  body: string
  scan: Scan
  numbering: Numbering | undefined
  words: number
  /** Verbs of the kitchen in it, nouns that are verbs too left out. */
  verbs: number
  verbFirst: boolean
  /** "To fill: 100 g butter, 140 g icing sugar": what the things behind the colon are for. */
  purpose: boolean
  amountFirst: boolean
  amountFirstBehindNumber: boolean
  amountLast: boolean
  amounts: number
  unitAmounts: number
  firstIsCount: boolean
  names: number
  amountBeforeName: boolean
  bullet: boolean
  heat: boolean
  time: boolean
  size: boolean
  /** "For a bundt form of 2 litres": names a tin by what it holds. */
  vessel: boolean
  colon: boolean
  capitals: boolean
  stop: boolean
  hash: boolean
  sentences: number
  method: boolean
  ingredients: boolean
  notes: boolean
  equipment: boolean
  clutter: boolean
  meta: boolean
  strongMeta: boolean
  nutrition: boolean
  speech: boolean
  comment: boolean
  note: boolean
  vague: boolean
  /** "Three milks": says how many things follow. */
  counted: boolean
  /** "icing sugar, to dust". */
  usedFor: boolean
  /** "chopped pistachios". */
  prepared: boolean
  /** "1 cup = 240 ml": says what a measure holds. */
  definition: boolean
  /** Says what is baked. */
  bake: boolean
  role: boolean
  forHead: boolean
  lettered: boolean
}

export function featuresOf(row: Row): Features {
  const text = withoutBullet(row.text)
  const numbering = numberingOf(text)
  const read = withoutBullet(row.body)
  const body = numbering ? text.slice(numbering.length) : text
  const s = scan(read)
  const behind = numbering ? scan(body) : s
  const words = s.tokens.filter((t) => t.kind === 'word')
  const own = tokenise(body).filter((t) => t.kind === 'word')
  const first = own[0]?.word ?? ''
  // "Cream cheese 250 g": a word of a longer name is no verb.
  const start = behind.tokens.findIndex((t) => t.kind === 'word')
  const named = behind.mentions.some((n) => n.words.length > 1 && n.cover.includes(start))
  const units = s.measures.filter((m) => m.unit.kind !== 'piece')
  const m = s.measures[0]
  return {
    row,
    text,
    body,
    scan: s,
    numbering,
    words: words.length,
    verbs: words.filter((w) => VERBS.has(w.word) && !WEAK_VERBS.has(w.word) && !/ly$/.test(w.word)).length,
    // "Sliced almonds for topping" is a thing as it is prepared.
    verbFirst:
      (VERBS.has(first) && !named && !(/(?:[^e]ed|en)$/.test(first) && s.mentions.length > 0 && !/[.!?]$/.test(text))) ||
      (/ly$/.test(first) && VERBS.has(own[1]?.word ?? '')),
    purpose: units.length > 0 && /^(?:to|for)\b[^:.,;]{2,28}[:–]\s*(?:about |ca )?[\d½¼¾⅓⅔a]/i.test(text) && words.length < 60,
    amountFirst: m !== undefined && m.from <= 1,
    amountFirstBehindNumber: (behind.measures[0]?.from ?? 9) <= 1,
    amountLast: s.measures.length > 0 && s.measures.at(-1)!.to >= s.tokens.length - 1 && !s.measures.at(-1)!.bare,
    amounts: s.measures.length,
    unitAmounts: units.length,
    firstIsCount: m?.unit.id === 'piece',
    names: s.mentions.length,
    amountBeforeName: m !== undefined && s.mentions[0] !== undefined && m.to <= s.mentions[0].from,
    bullet: text !== row.text.trim(),
    heat: s.dials.some((d) => d.kind === 'heat'),
    time: s.dials.some((d) => d.kind === 'time') && !/soak|rest|min\b.*old/.test(text),
    size: s.dials.some((d) => d.kind === 'size'),
    vessel:
      words.length < 12 &&
      /\b(?:tins?|pans?|mou?lds?|form|basins?|dish)\b/i.test(text) &&
      /\d[\s-]*(?:ml|l|lit(?:re|er)s?|pints?|cups?|qt)\b/i.test(text) &&
      !units.some((u) => s.mentions.some((n) => n.from >= u.to && n.from - u.to <= 1)),
    colon: /:\s*$/.test(text),
    capitals: /[A-Z]/.test(text) && text === text.toUpperCase() && words.length > 0,
    stop: /[.!?)]$/.test(text),
    hash: /^#/.test(row.text.trim()),
    sentences: text.split(/[.!?]\s+(?=[A-Z])/).length,
    method: METHOD.test(text),
    ingredients: INGREDIENTS.test(text),
    notes: NOTES.test(text),
    equipment: EQUIPMENT.test(text),
    clutter: CLUTTER.test(text),
    // "1 hr 10 | serves 10 | easy"
    meta: META.test(text) || (s.mentions.length === 0 && text.split(/\s+[|·•]\s+/).some((x, i) => i > 0 && META.test(x))),
    strongMeta: STRONG_META.test(text),
    nutrition: NUTRITION.test(text),
    speech: SPEECH.test(text),
    comment: COMMENT.test(text),
    note: NOTE.test(text),
    vague: VAGUE.test(text),
    counted:
      /^(?:the )?(?:two|three|four|five) (?:\p{L}+ )?(?:milks|creams|flours|sugars|layers|mixtures|batters|doughs|chocolates)\W*$/iu.test(
        text,
      ),
    usedFor: s.mentions.length > 0 && s.mentions[0]!.from <= 3 && words.length <= 10 && USED_FOR.test(text),
    prepared: s.mentions.length > 0 && words.length <= 10 && !/[.!?:]$/.test(text) && PREPARED.test(text),
    definition: DEFINITION.test(text),
    bake: BAKE.test(text),
    role: roleOf(text) !== undefined,
    forHead: FOR.test(text),
    lettered: /^\(?[A-D]\)/.test(text),
  }
}
