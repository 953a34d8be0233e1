import { distance } from 'fastest-levenshtein'
import { ingredientOf, ownIngredients, PANTRY } from './pantry'
import type { Ingredient } from './ingredient'

export type Match = 'exact' | 'likely' | 'unsure' | 'none'

export interface LookUp {
  ingredient: Ingredient | null
  match: Match
  /** Other ingredients that may be meant, nearest first. */
  choices: Ingredient[]
}

/**
 * Words that say how an ingredient is cut, warmed, bought or praised, not what it is.
 * Words that change what it is ("salted", "brown", "self-raising") are not here.
 */
const MANNER = new Set(
  `soft softened softer melted cold cool cooled chilled warm warmed hot lukewarm tepid room temperature fresh freshly
  ripe overripe very large medium small big extra jumbo free range organic good quality best fine finely coarse coarsely
  roughly chopped diced cubed sliced grated shredded crushed mashed peeled pitted stoned cored squeezed strained drained
  rinsed toasted roasted blanched unblanched skinless sifted sieved packed firmly lightly loosely heaped heaping rounded
  level scant generous generously about approximately approx roughly plus more extra optional store bought homemade home made
  plain unflavoured unflavored unsweetened pure natural real regular standard ordinary your favourite favorite of the a an some any
  whisked beaten separated at for to and in into with well thick thin whole full fat unbleached bleached raw
  gluten certified slightly just few new fully dry dried instant quick powdered ground granulated liquid runny clear
  smooth creamy lukewarm salted unsalted little bit plus each needed taste dusting greasing`.split(/\s+/),
)

/** Flavours and origins that may stand before a head noun without changing its kind ("raspberry jam"). */
const FLAVOURS = new Set(
  `raspberry strawberry blackcurrant apricot cherry orange lemon lime peach plum fig mango blueberry mixed berry rhubarb
  vanilla chocolate coffee almond hazelnut coconut caramel maple ginger cinnamon rose mint apple pear banana pumpkin
  salted dark light white brown golden black red green sweet bitter strong mild extra virgin french english italian greek
  indian turkish frozen canned tinned bottled dutch double single plain seedless unsalted cooked baking cooking cake
  sunflower rapeseed canola groundnut oat rice sea rock table soy soya yellow devils spice seville`.split(/\s+/),
)

const singular = (word: string): string => {
  if (word.length < 4 || /(ss|us|is)$/.test(word)) return word
  if (/(berr|cherr|cand|jell|pastr)ies$/.test(word)) return word.replace(/ies$/, 'y')
  if (/(oes|ches|shes|xes)$/.test(word)) return word.replace(/es$/, '')
  if (/leaves$/.test(word)) return word.replace(/ves$/, 'f')
  return word.replace(/s$/, '')
}

/** Lower-case words without accents, apostrophes and plural endings. */
export function wordsOf(text: string): string[] {
  return text
    .toLowerCase()
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/['’‘`]s?\b/g, '')
    .replace(/['’‘`]/g, '')
    .replace(/[^a-z0-9%]+/g, ' ')
    .trim()
    .split(' ')
    .filter(Boolean)
    .map(singular)
}

interface Name {
  words: string[]
  key: string
  ingredient: Ingredient
}

const NAMES: Name[] = PANTRY.flatMap((ingredient) =>
  [...ingredient.names, ...Object.values(ingredient.called ?? {}), ingredient.id.replace(/-/g, ' ')].map((name) => {
    const words = wordsOf(name)
    return { words, key: words.join(' '), ingredient }
  }),
)
const BY_KEY = new Map<string, Ingredient>()
for (const n of NAMES) if (!BY_KEY.has(n.key)) BY_KEY.set(n.key, n.ingredient)
const LONGEST = Math.max(...NAMES.map((n) => n.words.length))

/** All names that stand in the words as a run, longest first, later ones before earlier ones. */
function runsIn(words: string[]): { ingredient: Ingredient; from: number; to: number }[] {
  const found: { ingredient: Ingredient; from: number; to: number }[] = []
  for (let length = Math.min(LONGEST, words.length); length >= 1; length--) {
    for (let from = words.length - length; from >= 0; from--) {
      const hit = BY_KEY.get(words.slice(from, from + length).join(' '))
      if (hit) found.push({ ingredient: hit, from, to: from + length })
    }
  }
  return found
}

const alike = (a: string, b: string): number => 1 - distance(a, b) / Math.max(a.length, b.length)

/** Misspelling that is let pass as likely, and the least likeness worth offering as a choice. */
const LIKELY_SPELLING = 0.82
const OFFERED_SPELLING = 0.55

function nearest(key: string, most: number): { ingredient: Ingredient; likeness: number }[] {
  const best = new Map<Ingredient, number>()
  for (const n of NAMES) {
    const likeness = alike(key, n.key)
    if (likeness > (best.get(n.ingredient) ?? OFFERED_SPELLING)) best.set(n.ingredient, likeness)
  }
  return [...best]
    .map(([ingredient, likeness]) => ({ ingredient, likeness }))
    .sort((a, b) => b.likeness - a.likeness)
    .slice(0, most)
}

/** Two-word names whose parts alone mean something else must not be read by their last word only. */
const SAME_KIND = new Set(['fat', 'flavour', 'finish', 'fruit', 'water', 'sugar', 'nut', 'mix', 'cocoa', 'dairy', 'acid'])

/**
 * Finds the ingredient that a phrase names.
 *
 * `exact`: the phrase is a known name, or one with only words of manner around it.
 * `likely`: a known name with a flavour before it, or one or two letters off.
 * `unsure`: a name stands in it, beside words that are not known.
 * `none`: nothing found; `choices` has the nearest spellings.
 *
 * @example lookUp('very ripe bananas, mashed').ingredient.id // "banana"
 */
export function lookUp(phrase: string): LookUp {
  const all = wordsOf(phrase)
  if (!all.length) return { ingredient: null, match: 'none', choices: [] }
  const own = ownIngredients().find((i) => i.names.some((name) => wordsOf(name).join(' ') === all.join(' ')))
  if (own) return { ingredient: ingredientOf(own.id)!, match: 'exact', choices: [] }
  const whole = BY_KEY.get(all.join(' '))
  if (whole) return { ingredient: whole, match: 'exact', choices: [] }

  const runs = runsIn(all)
  const rest = (run: { from: number; to: number }) =>
    all.filter((w, i) => (i < run.from || i >= run.to) && !MANNER.has(w) && !/^\d/.test(w))
  // The longest run that leaves nothing unexplained; then the one whose rest is only flavours.
  const plain = runs.find((r) => rest(r).length === 0)
  if (plain) return { ingredient: plain.ingredient, match: 'exact', choices: [] }
  const core = all.filter((w) => !MANNER.has(w))
  const bare = BY_KEY.get(core.join(' '))
  if (bare) return { ingredient: bare, match: 'exact', choices: [] }
  const flavoured = runs.find((r) => SAME_KIND.has(r.ingredient.kind) && rest(r).every((w) => FLAVOURS.has(w)) && r.to >= lastContent(all))
  if (flavoured) return { ingredient: flavoured.ingredient, match: 'likely', choices: [] }

  const near = nearest(core.join(' '), 5)
  const top = near[0]
  if (top && top.likeness >= LIKELY_SPELLING)
    return { ingredient: top.ingredient, match: 'likely', choices: near.slice(1).map((n) => n.ingredient) }
  const corrected = correctWords(core)
  if (corrected) return { ingredient: corrected, match: 'likely', choices: near.map((n) => n.ingredient) }

  const head = runs.find((r) => r.to >= lastContent(all)) ?? runs[0]
  const choices = [...new Set([...runs.map((r) => r.ingredient), ...near.map((n) => n.ingredient)])]
  if (head)
    return {
      ingredient: head.ingredient,
      match: rest(head).every((w) => FLAVOURS.has(w)) ? 'likely' : 'unsure',
      choices: choices.filter((c) => c !== head.ingredient).slice(0, 5),
    }
  return { ingredient: null, match: 'none', choices: choices.slice(0, 5) }
}

/** Index just past the last word that is not of manner. */
function lastContent(words: string[]): number {
  for (let i = words.length; i > 0; i--) if (!MANNER.has(words[i - 1]!)) return i
  return words.length
}

const WORDS = new Set(NAMES.flatMap((n) => n.words))

/** The ingredient named once each misspelt word is set right, where every word can be. */
function correctWords(words: string[]): Ingredient | undefined {
  const fixed: string[] = []
  for (const w of words) {
    if (WORDS.has(w) || FLAVOURS.has(w)) {
      fixed.push(w)
      continue
    }
    if (w.length < 4) return undefined
    const allowed = w.length >= 8 ? 2 : 1
    let best: string | undefined
    let least = allowed + 1
    for (const known of WORDS) {
      if (Math.abs(known.length - w.length) > allowed || known[0] !== w[0]) continue
      const d = distance(w, known)
      if (d < least) {
        least = d
        best = known
      }
    }
    if (!best) return undefined
    fixed.push(best)
  }
  return BY_KEY.get(fixed.join(' ')) ?? BY_KEY.get(fixed.filter((w) => !FLAVOURS.has(w)).join(' '))
}

/** Ingredients whose names answer a search, best first; all of them for an empty query. */
export function searchPantry(query: string): Ingredient[] {
  const words = wordsOf(query)
  if (!words.length) return [...PANTRY]
  const scored: { ingredient: Ingredient; score: number }[] = []
  for (const ingredient of PANTRY) {
    let score = 0
    for (const n of NAMES) {
      if (n.ingredient !== ingredient) continue
      if (n.key === words.join(' ')) score = Math.max(score, 4)
      else if (words.every((w) => n.words.some((x) => x.startsWith(w)))) score = Math.max(score, 3 - 0.1 * n.words.length)
    }
    if (score) scored.push({ ingredient, score })
  }
  if (scored.length) return scored.sort((a, b) => b.score - a.score).map((s) => s.ingredient)
  return nearest(words.join(' '), 8).map((n) => n.ingredient)
}
