import { tokenise } from '../language/token'
import { tinsIn } from '../language/tin'
import type { Region } from '../measure/region'
import { Refusal } from '../refusal'
import { readOven, type Source } from './oven'
import { readPage } from './page'
import { regionOf } from './region'
import type { ParsedRecipe, Question, Recipe, Tin, TinShape, Yield } from './recipe'
import { assignRoles } from './role'
import { unknownLines } from './unknown'

/** Past this many characters or lines a paste is no recipe. */
export const LONGEST_TEXT = 200_000
export const MOST_LINES = 600
export const TOO_LONG = `This is more than ${LONGEST_TEXT / 1000} thousand characters: paste one recipe at a time.`

/** Whose kitchen a page is read in. */
export interface Kitchen {
  /** Said by the baker: it wins over what the page shows. */
  region?: Region
  /** Taken where neither is. */
  home?: Region
}

/** The kitchen that a page is read in, with what it shows. */
export function kitchenOf(text: string, { region, home }: Kitchen): { used: Region; found: Region | null; because: string[] } {
  const { found, because } = regionOf(text)
  return { used: region ?? found ?? home ?? 'us', found, because }
}

/** A whole method in one breath is shorter than this; what is longer is no line of a recipe. */
const LONGEST_LINE = 10_000

/** @throws Refusal where a text is more than one recipe can be */
export function refuseTooMuch(text: string): void {
  if (text.length > LONGEST_TEXT) throw new Refusal('too-large', TOO_LONG, 'text')
  const rows = text.split('\n').length
  if (rows > MOST_LINES)
    throw new Refusal(
      'too-large',
      `This has ${rows} lines; a recipe has at most ${MOST_LINES}. Paste one recipe at a time.`,
      'text',
      MOST_LINES,
    )
  const long = text.split('\n').findIndex((row) => row.length > LONGEST_LINE)
  if (long >= 0)
    throw new Refusal(
      'too-large',
      `Line ${long + 1} has more than ${LONGEST_LINE} letters: break it into the lines of a recipe.`,
      'text',
      long + 1,
    )
}

const YIELD =
  /\b(?:makes?|yields?|serves|servings?|portions?|cuts into|amount|for)\b:?\s*(?:about\s*|approx\.?\s*|ca\.?\s*)?(\d{1,3})(?:\s*(?:-|–|to)\s*(\d{1,3}))?/i

function yieldOf(meta: readonly string[]): Yield | null {
  for (const text of meta) {
    const m =
      /^\W*(?:makes?|yields?|serves|servings?|portions?|cuts into)\b/i.test(text) ||
      /\b(?:serves|servings?|makes|yields?):?\s*\d/i.test(text)
        ? YIELD.exec(text)
        : null
    if (m)
      return {
        text: text
          .slice(m.index)
          .replace(/^(?:makes?|yields?|serves|servings?|portions?|cuts into)\s*:?\s*/i, '')
          .slice(0, 120),
        count: Number(m[2] ?? m[1]),
      }
  }
  return null
}

/** "Apricot cake (9 inch tin, about 10 slices)". */
function yieldOfTitle(title: string): Yield | null {
  const m = /\b(\d{1,2})\s+(?:slices|portions|servings|squares|pieces)\b/i.exec(title)
  return m && { text: m[0], count: Number(m[1]) }
}

/** Cakes that are called by the tin they are baked in. */
const SHAPE_OF_TITLE: readonly (readonly [TinShape, RegExp])[] = [
  ['cupcake', /\b(?:muffins?|cup-?cakes?|fairy cakes?|magdalenas?|madeleines?)\b/i],
  ['fluted', /\b(?:bundt|gugelhupf|kugelhopf)\b/i],
  ['loaf', /\b(?:loaf|bread)\b/i],
  ['sheet', /\b(?:roll|roulade)\b/i],
  ['rect', /\b(?:bars?|brownies?|blondies?|slice|traybake|sheet|squares)\b/i],
]

/** A tin of which neither size nor shape is said scores less. */
const LEAST_TOLD = 1

function tinsOf(recipe: Recipe, meta: readonly string[]): { tins: Tin[]; assumed: boolean } {
  const found = tinsIn([...meta.filter((m) => /^\W*(?:tins?|pans?|mou?ld)\b\s*:/i.test(m)), ...recipe.method, ...meta, recipe.title])
  const sized = found.find((f) => !f.assumed)
  const best = found[0] && (!found[0].assumed || !sized || sized.score < found[0].score - 2) ? found[0] : (sized ?? found[0])
  const count = recipe.yield?.count
  // "Pour into the tin" says nothing of it.
  if (best && !(best.assumed && best.score < LEAST_TOLD)) {
    const tin = { ...best.tin }
    // "Makes 18", of a tray whose shells nobody counted.
    if (tin.shape === 'cupcake' && (best.assumed || !/\d|\b(?:one|two|three|dozen|hole)\b/i.test(tin.text)) && count && count <= 60)
      tin.count = count
    if (tin.count === 1 && tin.shape === 'round') tin.count = dividedInto(recipe.method)
    return { tins: [tin, ...otherTins(meta)], assumed: best.assumed && tin.shape !== 'cupcake' }
  }
  const shape = SHAPE_OF_TITLE.find(([, words]) => words.test(recipe.title))?.[0]
  const usual =
    shape &&
    tinsIn([
      shape === 'cupcake'
        ? `${count && count <= 60 ? count : 12} cupcakes`
        : shape === 'rect'
          ? 'traybake tin'
          : `${shape === 'fluted' ? 'bundt' : shape === 'sheet' ? 'swiss roll' : shape} tin`,
    ])[0]
  return usual ? { tins: [{ ...usual.tin, text: '' }], assumed: shape !== 'cupcake' } : { tins: [], assumed: false }
}

/** "Tin: 20 cm round, 12 cupcakes": what stands behind the first. */
function otherTins(meta: readonly string[]): Tin[] {
  const line = meta.find((m) => /^\W*(?:tins?|pans?)\b\s*:/i.test(m))
  if (!line) return []
  const pieces = line.replace(/^\W*(?:tins?|pans?)\b\s*:\s*/i, '').split(/\s*(?:;|,|\band\b|\bplus\b|\+)\s*/i)
  return pieces.slice(1).flatMap((p) =>
    tinsIn([p])
      .slice(0, 1)
      .map((f) => f.tin),
  )
}

/** "Divide between the tins": two at least, where a tin's own sentence names one. */
function dividedInto(method: readonly string[]): number {
  const text = method.join(' ')
  if (!/divide[^.]{0,40}(?:between|among|into)[^.]{0,25}\b(?:tins|pans)\b/i.test(text)) return 1
  return /\bthree\b[^.]{0,30}(?:tins|pans|layers)/i.test(text) ? 3 : 2
}

/**
 * Reads pasted text into a recipe: title, yield, tins, oven, parts with their lines, and method,
 * with a question for everything it was unsure of. Keeps the baker's own words in every line.
 *
 * @param text what was pasted; at most `LONGEST_TEXT` characters and `MOST_LINES` lines
 * @param region whose measures and names
 */
export function readRecipe(text: string, region: Region): ParsedRecipe {
  const page = readPage(text, region)
  const recipe: Recipe = {
    title: page.title,
    yield: yieldOf(page.meta) ?? yieldOfTitle(page.title),
    tins: [],
    oven: [],
    parts: page.parts,
    method: page.method,
    ...(page.sections.length && { sections: page.sections }),
  }
  const questions: Question[] = [...page.questions]

  const sources: Source[] = [
    ...page.method.map((step) => ({ text: step, step: true })),
    ...page.meta.map((m) => ({ text: m, step: false })),
  ]
  const read = readOven(ovenLinesFirst(sources), region)
  recipe.oven = read.oven
  for (const part of assignRoles(recipe.parts, recipe.title, isBaked(recipe)))
    questions.push({
      part: recipe.parts.indexOf(part),
      line: null,
      about: 'part',
      message: `Is “${part.name}” part of the cake mix, a filling, a frosting or something else?`,
      choices: ['batter', 'filling', 'frosting', 'topping', 'soak', 'crust'].map((value) => ({ value, label: value })),
    })
  for (const p of recipe.parts) if (!p.name) p.name = p.role === 'batter' ? 'Cake' : p.role.replace(/^./, (c) => c.toUpperCase())
  sameNamed(recipe)

  if (read.trouble)
    questions.push({
      part: null,
      line: null,
      about: 'temperature',
      message: read.trouble.message,
      choices: read.trouble.celsius.map((c) => ({ value: String(c), label: `${c} °C` })),
    })
  const { tins, assumed } = tinsOf(recipe, page.meta)
  recipe.tins = tins
  if (assumed && tins[0])
    questions.push({
      part: null,
      line: null,
      about: 'size',
      message: 'What size is the tin? The recipe does not say; a usual one is assumed.',
      choices: [],
    })
  if (!recipe.title) recipe.title = 'Recipe without a name'
  return { recipe, questions, page: page.lines, unknown: unknownLines(recipe) }
}

/** Whether anything of it goes into an oven; where no method is told, it does. */
const isBaked = (recipe: Recipe): boolean =>
  recipe.oven.length > 0 ||
  !recipe.method.length ||
  recipe.method.some((step) => tokenise(step).some((t) => /^(?:bak(?:e|ed|ing|es)|ovens?)$/.test(t.word)))

/** A line "Oven: 180 °C, 35 min" is meant to be believed. */
const ovenLinesFirst = (sources: readonly Source[]): Source[] => [
  ...sources.filter((s) => /^\W*(?:oven|bake at|bake)\s*:/i.test(s.text)).map((s) => ({ text: s.text, step: true })),
  ...sources.filter((s) => !/^\W*(?:oven|bake at|bake)\s*:/i.test(s.text)),
]

/** Two parts of one name are told apart by a number. */
function sameNamed(recipe: Recipe): void {
  const seen = new Map<string, number>()
  for (const p of recipe.parts) {
    const n = (seen.get(p.name.toLowerCase()) ?? 0) + 1
    seen.set(p.name.toLowerCase(), n)
    if (n > 1) p.name = `${p.name} ${n}`
  }
}
