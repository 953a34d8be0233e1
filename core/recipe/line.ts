import { NUMBER_PATTERN } from '../measure/number'
import type { Region } from '../measure/region'
import { UNIT_PATTERN, unitNamed } from '../measure/unit'
import type { Ingredient } from '../pantry/ingredient'
import { lookUp, type LookUp } from '../pantry/lookup'
import { nameOf, need, packageGrams } from '../pantry/pantry'
import { readAmount, type WrittenAmount } from './amount'
import type { Line, Question } from './recipe'
import { weigh } from './weigh'

export interface ReadLine {
  lines: Line[]
  /** Questions without their place; the reader of the whole recipe adds it. `line` counts within `lines`. */
  questions: Omit<Question, 'part'>[]
}

const BULLET = /^\s*(?:[-*•–—▢☐□◦‣·✓]\s*|\[\s?\]\s*)+(?=\S)/
const OPTIONAL = /\(?\b(?:optional|if (?:you )?(?:like|wish|desired))\b\)?[:,]?/i
const TO_TASTE =
  /\b(?:to taste|for (?:dusting|greasing|rolling|sprinkling|serving|decorati\w+|the tin|the pan)|as needed|to serve|to decorate|to finish)\b/i
const CITRUS = '(lemon|lime|orange|grapefruit|clementine|mandarin)s?'
const OF_CITRUS = new RegExp(
  `^(?:the\\s+)?(?:(?:finely|freshly)\\s+)?(?:grated\\s+|squeezed\\s+)?(juice|zest|rind|peel)(?:\\s*(?:and|&|\\+)\\s*(juice|zest|rind|peel))?\\s+(?:of|from)\\s+(${NUMBER_PATTERN})?(?:\\s+an?\\s+)?\\s*(small|medium|large)?\\s*(?:unwaxed\\s+|organic\\s+)?${CITRUS}\\b`,
  'i',
)
const CITRUS_FOR = new RegExp(
  `^(${NUMBER_PATTERN})\\s*(small|medium|large)?\\s*(?:unwaxed\\s+|organic\\s+)?${CITRUS}\\b[\\s,(–-]*(.*\\b(?:juice|juiced|zest|zested|rind)\\b.*)$`,
  'i',
)
/** Grams of juice in one fruit: common yields, lemon 3 tbsp, lime 2 tbsp, orange a third of a cup. */
const JUICE: Record<string, number> = { lemon: 45, lime: 30, orange: 85, grapefruit: 170, clementine: 35, mandarin: 35 }
const JUICE_SIZE: Record<string, number> = { small: 0.75, medium: 1, large: 1.25 }

const TWO = new RegExp(
  `\\s+(?:\\+|plus|and|&|(?:mixed|dissolved|stirred|soaked|blended) (?:in|into|with)|with)\\s+(?=${NUMBER_PATTERN}\\s*(?:${UNIT_PATTERN}|\\w))`,
  'i',
)

/** The baker's line with only its bullet taken off. */
export const withoutBullet = (text: string): string => text.replace(BULLET, '').trim()

/** Puts typographic variants into the forms that the patterns know. */
function plainText(text: string): string {
  return text
    .replace(/[\u00a0\u2007\u202f\u2009]/g, ' ')
    .replace(/[‐‑‒−]/g, '-')
    .replace(/(\d)\s*⁄\s*(\d)/g, '$1/$2')
    .replace(/\s+/g, ' ')
    .trim()
}

/**
 * Reads one ingredient line: amount, unit, ingredient, preparation, and grams.
 *
 * A line that names two ingredients becomes two lines with the same text.
 *
 * @param text the line as pasted
 * @param region whose measures and names
 */
export function readLine(text: string, region: Region): ReadLine {
  const own = withoutBullet(text)
  const plain = plainText(own)
  const optional = OPTIONAL.test(plain)
  const body = plain
    .replace(OPTIONAL, ' ')
    .replace(/\(\s*\)/g, ' ')
    .replace(/\s+/g, ' ')
    .trim()
  const citrus = readCitrus(body, own, optional)
  if (citrus) return citrus

  const split = TWO.exec(body)
  if (split && split.index > 0) {
    const left = readOne(body.slice(0, split.index), own, optional, region)
    const right = readOne(body.slice(split.index + split[0].length), own, optional, region)
    const named = (r: ReadLine) => r.lines[0]!.ingredient !== null && r.lines[0]!.match !== 'unsure'
    if (named(left) && named(right) && left.lines[0]!.quantity && right.lines[0]!.quantity)
      return {
        lines: [left.lines[0]!, right.lines[0]!],
        questions: [...left.questions, ...right.questions.map((q) => ({ ...q, line: 1 }))],
      }
  }
  return readOne(body, own, optional, region)
}

/** Juice and zest of so many fruits. */
function readCitrus(body: string, text: string, optional: boolean): ReadLine | undefined {
  const of = OF_CITRUS.exec(body)
  const fruitFor = of ? null : CITRUS_FOR.exec(body)
  if (!of && !fruitFor) return undefined
  const count = amountOf((of ? of[3] : fruitFor![1]) ?? 'one')
  const size = ((of ? of[4] : fruitFor![2]) ?? 'medium').toLowerCase()
  const fruit = (of ? of[5] : fruitFor![3])!.toLowerCase()
  const wanted = of ? `${of[1]} ${of[2] ?? ''}` : fruitFor![4]!
  const lines: Line[] = []
  const add = (id: string, one: number) => {
    const best = count * one
    lines.push({
      text,
      quantity: { low: count, high: count, unit: 'piece' },
      grams: { low: best * 0.7, high: best * 1.3, best },
      ingredient: id,
      match: 'exact',
      prep: null,
      optional,
    })
  }
  if (/zest|rind|peel/i.test(wanted)) add('zest', (need('zest').pieces?.each ?? 5) * (fruit === 'lime' ? 0.6 : 1))
  if (/juice/i.test(wanted)) add(/lemon|lime/.test(fruit) ? 'lemon-juice' : 'orange-juice', JUICE[fruit]! * (JUICE_SIZE[size] ?? 1))
  return { lines, questions: [] }
}

const amountOf = (text: string): number => readAmount(`${text} piece`, 'us')?.low ?? 1

function readOne(body: string, text: string, optional: boolean, region: Region): ReadLine {
  let amount = readAmount(body, region)
  let phrase = amount ? amount.rest : body
  if (!amount) {
    // "Plain flour – 200 g": the amount may stand last.
    const last = new RegExp(`^(.*?[a-zà-ÿ)])[\\s:,–-]+(${NUMBER_PATTERN}.*)$`, 'i').exec(body)
    const trailing = last && readAmount(last[2]!, region)
    if (trailing && trailing.unit && !/[a-z]{3,}/i.test(trailing.rest)) {
      amount = trailing
      phrase = last[1]!
    } else if (last && /^\d+$/.test(last[2]!.trim()) && lookUp(last[1]!).match === 'exact') {
      amount = readAmount(last[2]!, region)
      phrase = last[1]!
    }
  }
  const vague = /^(?:some|enough|a little|a bit of|a few|plenty of|extra|more)\s+/i
  const { found, prep, named } = nameIn(phrase.replace(vague, ''))
  const ingredient = found.ingredient && kindMeant(found.ingredient, body)
  const questions: ReadLine['questions'] = []
  const choices = (ids: Ingredient[]) => ids.map((i) => ({ value: i.id, label: nameOf(i, region) }))
  const line: Line = {
    text,
    quantity: null,
    grams: { low: 0, high: 0, best: 0 },
    ingredient: ingredient?.id ?? null,
    named,
    match: found.match,
    prep,
    optional,
  }
  if (found.match === 'none' || found.match === 'unsure')
    questions.push({
      line: 0,
      about: 'ingredient',
      message: ingredient
        ? `Is "${phrase}" ${nameOf(ingredient, region)}?`
        : `What is "${phrase || body}"? It is not in the pantry and is left out of the sums.`,
      choices: choices(ingredient ? [ingredient, ...found.choices] : found.choices),
    })
  if (!amount) {
    const matters = ingredient && !['salt', 'flavour'].includes(ingredient.kind) && !TO_TASTE.test(body) && !optional
    if (matters)
      questions.push({
        line: 0,
        about: 'amount',
        message: `How much ${nameOf(ingredient, region)}? The line gives no amount, so it counts as none.`,
        choices: [],
      })
    return { lines: [line], questions }
  }
  if (ingredient) amount = potAsMeasure(amount, ingredient, body)
  const weighing = weigh(amount, ingredient, phrase, region)
  line.grams = weighing.grams
  line.quantity = { low: amount.low, high: amount.high, unit: amount.unit?.id ?? 'piece' }
  if (weighing.assumedPackage && ingredient) {
    const usual = packageGrams(ingredient, region)
    questions.push({
      line: 0,
      about: 'size',
      message: usual
        ? `How much is in the ${amount.unit!.names[0]} of ${nameOf(ingredient, region)}? ${Math.round(usual)} g is assumed.`
        : `How much is in the ${amount.unit!.names[0]} of ${nameOf(ingredient, region)}?`,
      choices: usual ? [{ value: String(Math.round(usual)), label: `${Math.round(usual)} g` }] : [],
    })
  } else if (weighing.unweighable && ingredient) {
    questions.push({
      line: 0,
      about: 'amount',
      message: `How much does "${text}" weigh? It counts as nothing until you say.`,
      choices: [],
    })
  }
  return { lines: [line], questions }
}

const POTS = new RegExp(`^(?:${NUMBER_PATTERN})\\s*(?:\\([^)]*\\)\\s*)?pots?\\b`, 'i')
/** The pot of yogurt that measures all else in a yogurt cake holds an eighth of a litre. */
const POT_ML = 125

/** "2 pots (220 g) sugar", "half a pot of oil": the yogurt's pot measures what comes in none. */
function potAsMeasure(amount: WrittenAmount, ingredient: Ingredient, body: string): WrittenAmount {
  if (!POTS.test(body) || ingredient.kind === 'dairy' || ingredient.kind === 'plant-dairy') return amount
  if (amount.each) return { ...amount, total: amount.each, each: undefined }
  const ml = unitNamed('ml')!
  return { ...amount, low: amount.low * POT_ML, high: amount.high * POT_ML, unit: ml }
}

/** The ingredient in a phrase and what is left as preparation. */
function nameIn(phrase: string): { found: LookUp; prep: string | null; named: string } {
  const noted = phrase
    .replace(/\([^()]*\)?/g, ' ')
    .replace(/\s+/g, ' ')
    .trim()
  const cut = noted.search(/[,;]|\s[-–—]\s|\s\bto bring\b|\s(?:for|to) (?:dust|glaz|greas|sprinkl|decorat|serv|bring|loosen|bind)/i)
  const name = (cut >= 0 ? noted.slice(0, cut) : noted).trim()
  const after =
    cut >= 0
      ? noted
          .slice(cut)
          .replace(/^[\s,;–—-]+/, '')
          .trim()
      : ''
  const first = name.split(/\s+or\s+|\s*\/\s*/)[0]!
  const tries = [name, first, noted.replace(/[,;]/g, ' ')]
  let best: LookUp | undefined
  for (const t of tries) {
    const found = lookUp(t)
    if (!best || rank(found) > rank(best)) best = found
    if (best.match === 'exact') break
  }
  // "2 cups peeled, chopped apples": the name stands behind the comma.
  const named =
    lookUp(name).ingredient === best!.ingredient
      ? name
      : (noted.split(/[,;]/).find((s) => lookUp(s).ingredient === best!.ingredient) ?? name)
  return { found: best!, prep: after || mannerOf(name), named: named.trim() }
}

/** Cocoa shares that make another chocolate of the dark one, as sold: half, two thirds (as it stands), five sixths, all. */
const CHOCOLATES: [most: number, id: string][] = [
  [56, 'chocolate-dark-50'],
  [77, 'chocolate-dark'],
  [95, 'chocolate-dark-85'],
  [100, 'chocolate-unsweetened'],
]

/** What the rest of a line makes of an ingredient: chocolate of another cocoa share, sandwich cookies without their cream. */
function kindMeant(ingredient: Ingredient, body: string): Ingredient {
  const share = /(\d{2,3})\s*%/.exec(body)
  if (share && ingredient.id === 'chocolate-dark') return need(CHOCOLATES.find(([most]) => Number(share[1]) <= most)?.[1] ?? ingredient.id)
  if (ingredient.id === 'sandwich-cookies') {
    if (/shells? only|(?:without|no) (?:the )?cream|cream (?:\w+ )?(?:scraped|removed|discarded|taken)/i.test(body))
      return need('sandwich-cookie-shells')
    if (/cream only|cream (?:from|of) /i.test(body)) return need('sandwich-cookie-cream')
  }
  return ingredient
}

const rank = (l: LookUp): number => ['none', 'unsure', 'likely', 'exact'].indexOf(l.match)

/** Words such as "softened" or "melted" before the name are preparation as well. */
function mannerOf(name: string): string | null {
  const hit = /\b(softened|soft|melted|cold|room temperature|sifted|packed|separated|mashed|grated|chopped|toasted|boiling|hot)\b/i.exec(
    name,
  )
  return hit ? hit[1]!.toLowerCase() : null
}
