import type { Region } from '../measure/region'
import { readTemperatures, temperatureTrouble } from '../measure/temperature'
import { lookUp } from '../pantry/lookup'
import { Refusal } from '../refusal'
import { ingredientOf } from '../pantry/pantry'
import { readAmount } from './amount'
import { readLine, withoutBullet } from './line'
import type { Oven, ParsedRecipe, Part, Question, Recipe, Role, Tin, Yield } from './recipe'
import { readTin } from './tin'
import { tinInMethod } from './tin-in-method'

/** Past this many characters or lines a paste is no recipe. */
export const LONGEST_TEXT = 200_000
export const MOST_LINES = 600
export const TOO_LONG = `This is more than ${LONGEST_TEXT / 1000} thousand characters: paste one recipe at a time.`

const MERINGUE = /\bmeringue\b/i
const ROLE_WORDS: [Role, RegExp][] = [
  ['soak', /\b(soak|soaking|drench|syrup|poke|moisten)/i],
  ['filling', /\b(filling|fill|custard|curd|cream filling|pastry cream|jam layer|between)\b|cr[eè]me p[aâ]tissi[eè]re/i],
  ['frosting', /\b(frosting|icing|butter\s?cream|ganache|glaze|drizzle|butter icing|whipped cream|coating)\b/i],
  ['topping', /\b(topping|crumble|streusel|decorat\w*|garnish|to finish|to serve|to top)\b/i],
  ['crust', /\b(crust|base|pastry|shell|crumb base|biscuit base)\b/i],
  [
    'batter',
    /\b(cakes?|sponges?|batter|muffins?|loaf|cupcakes?|layers?|dough|wet|dry|torte|gateau|bundt|traybake|brownies?|cr[eê]pes?|cheesecake|genoise|roll|buns?|scones?)\b/i,
  ],
]

/** What a part of these names is in a cake; a title of theirs says nothing of the kind. */
const PART_WORDS: [Role, RegExp][] = [
  ['filling', /\b(caramel|jam|compote)\b/i],
  ['topping', /\b(sauce|toffee|praline|top)\b/i],
  ['topping', MERINGUE],
]

const METHOD_HEADING = /^(?:#+\s*)?(?:method|directions?|instructions?|steps|preparation|how to make(?: it)?|to make|procedure)\s*:?\s*$/i
const INGREDIENTS_HEADING = /^(?:#+\s*)?(?:the\s+)?(?:ingredients?|you(?: wi|')ll need|what you need)\s*:?\s*$/i
const NOTES_HEADING = /^(?:#+\s*)?(?:notes?|tips?|storage|nutrition(?: facts)?|equipment)\s*:?\s*$/i
const META =
  /^(makes|serves|servings?|yields?|portions?|tins?|pans?|oven|bake at|prep(?:aration)? time|cook(?:ing)? time|bak(?:e|ing) time|total time)\b\s*:?\s*(.*)$/i
const VERB =
  /^(?:cream|beat|whisk|mix|stir|fold|add|bake|preheat|pre-heat|heat|pour|combine|sift|melt|whip|line|grease|put|place|spread|let|cool|set|blend|using|when|then|meanwhile|once|transfer|divide|leave|remove|chill|turn|in a|in the|make|scrape|warm|bring|sprinkle|serve|decorate|rub|knead|roll|cut|sandwich|fill|drizzle|dust|boil|simmer|toss|soak|mash|process|pulse|take|allow|tip|spoon|scoop|butter the|flour the|top|first|next|finally|now|while|after|separate|dissolve|gently|slowly|gradually|alternate|test|freeze|refrigerate|store|microwave)\b/i

/** The role that a heading gives its part; `undefined` where its words say nothing. */
export function roleOf(heading: string): Role | undefined {
  return ROLE_WORDS.find(([, words]) => words.test(heading))?.[0]
}

const partRole = (heading: string): Role => roleOf(heading) ?? PART_WORDS.find(([, words]) => words.test(heading))?.[0] ?? 'other'

/**
 * What kitchens make as often as they buy: its name alone, over lines with amounts, is what is made of them.
 * Icing is hardly ever an ingredient that nobody measures; the others are only taken so at the head of a paragraph.
 */
const MADE = new Set(['lemon-curd', 'pastry-case', 'meringue', 'fondant', 'marzipan', 'dulce-de-leche', 'sugar-syrup', 'jam'])
const ICING = 'icing-bought'

const startsWithAmount = (text: string, region: Region): boolean => readAmount(text, region) !== undefined

/**
 * @param next the next row that is not blank
 * @param opens it stands under a blank row and right over the next
 */
function isHeading(line: string, next: string | undefined, opens: boolean, region: Region): string | undefined {
  if (/^#+\s*\S/.test(line))
    return line
      .replace(/^#+\s*/, '')
      .replace(/:$/, '')
      .trim()
  if (/^optional\s*:/i.test(line)) return undefined
  const colon = /^(.{1,70}):$/.exec(line)
  if (colon && !startsWithAmount(line, region)) return colon[1]!.trim()
  if (/^\*\*.+\*\*:?$/.test(line)) return line.replace(/\*\*|:$/g, '').trim()
  const short = line.split(/\s+/).length <= 6 && !/[.,;!?]$/.test(line)
  if (!short || startsWithAmount(line, region)) return undefined
  if (next === undefined) return undefined
  if (/^for the /i.test(line) && !isMethodSentence(withoutBullet(next), region)) return line
  if (!startsWithAmount(withoutBullet(next), region)) return undefined
  if (/^for /i.test(line)) return line
  const { match, ingredient } = lookUp(line)
  if (match !== 'exact') return partRole(line) === 'other' ? undefined : line
  return ingredient?.id === ICING || (opens && MADE.has(ingredient?.id ?? '')) ? line : undefined
}

function isMethodSentence(line: string, region: Region): boolean {
  if (startsWithAmount(line, region)) return false
  const words = line.split(/\s+/).length
  if (lookUp(line.split(',')[0]!).match === 'exact') return false
  if (VERB.test(line) && (words >= 3 || /[.!]$/.test(line))) return true
  return words >= 9 && /[.!]$/.test(line)
}

const MINUTES = /(\d{1,3})\s*(?:(?:-|–|—|to)\s*(\d{1,3})\s*)?(?:min(?:ute)?s?|mins)\b/i
const HOURS = /(\d+(?:\s*[½¼¾]|\.\d+)?|[½¼¾])\s*(?:(?:-|–|—|to)\s*(\d+(?:\s*[½¼¾]|\.\d+)?)\s*)?(?:hours?|hrs?)\b/i

function minutesIn(text: string): [number, number] | null {
  const m = MINUTES.exec(text)
  if (m) return [Number(m[1]), Number(m[2] ?? m[1])]
  const h = HOURS.exec(text)
  if (!h) return null
  const value = (s: string) => (readAmount(`${s} x`, 'us')?.low ?? 1) * 60
  return [value(h[1]!), value(h[2] ?? h[1]!)]
}

/** Oven settings of one text: temperatures side by side are one setting, "then" starts another. */
function readOven(text: string): { oven: Oven[]; trouble?: string } {
  const oven: Oven[] = []
  let trouble: string | undefined
  for (const stage of text.split(/\b(?:then|after which|and then|reduce to|lower to|turn down to)\b/i)) {
    const readings = readTemperatures(stage)
    if (!readings.length) continue
    trouble ??= temperatureTrouble(readings)
    const first = readings.find((r) => r.scale !== 'gas') ?? readings[0]!
    // "Beat for 2 minutes. Bake for 25": what stands behind the baking counts.
    const baking = /\bbak(?:e|ing)\b.*/i.exec(stage)?.[0]
    oven.push({ celsius: first.celsius, fan: first.fan, minutes: (baking && minutesIn(baking)) || minutesIn(stage) })
  }
  return { oven, trouble }
}

const OVEN_WORD = /\b(?:oven|bake[ds]?|baking|preheat(?:ed)?)\b/i
const HOB = /\b(?:simmer\w*|boil\w*|syrup|thermometer|whites|pan of|temper\w*)\b/i
/** Whether a step's temperature is the oven's: it says so, or nothing on the hob is that hot. */
const namesOven = (step: string): boolean => OVEN_WORD.test(step) || (/°|\b\d{3}\s?[CF]\b/.test(step) && !HOB.test(step))

const NUMBERED = /^\s*(?:step\s*)?\d{1,2}\s*[.):]\s+/i

/**
 * Reads one recipe that somebody gives: see `readRecipe`.
 *
 * @throws Refusal where there is no text, or more than one recipe can be
 */
export function readGiven(text: string, region: Region): ParsedRecipe {
  if (!text.trim()) throw new Refusal('empty-recipe', 'There is no text to read: paste a recipe.', 'text')
  if (text.length > LONGEST_TEXT) throw new Refusal('too-large', TOO_LONG, 'text')
  const rows = text.split('\n').length
  if (rows > MOST_LINES)
    throw new Refusal(
      'too-large',
      `This has ${rows} lines; a recipe has at most ${MOST_LINES}. Paste one recipe at a time.`,
      'text',
      MOST_LINES,
    )
  return readRecipe(text, region)
}

/**
 * Reads pasted text into a recipe: title, yield, tins, oven, parts with their lines, and method,
 * with a question for everything it was unsure of. Keeps the baker's own words in every line.
 *
 * @param text what was pasted; at most `LONGEST_TEXT` characters and `MOST_LINES` lines
 * @param region whose measures and names
 */
export function readRecipe(text: string, region: Region): ParsedRecipe {
  const rows = text.split(/\r\n?|\n/).map((r) => r.trim())
  const recipe: Recipe = { title: '', yield: null, tins: [], oven: [], parts: [], method: [] }
  const questions: Question[] = []
  let part: Part | undefined
  let mode: 'lines' | 'method' | 'notes' = 'lines'
  let asked = false

  const open = (name: string, role: Role) => {
    part = { name, role, lines: [] }
    recipe.parts.push(part)
  }
  const takeOven = (from: string) => {
    const { oven, trouble } = readOven(from)
    if (trouble && !asked) {
      asked = true
      questions.push({
        part: null,
        line: null,
        about: 'temperature',
        message: trouble,
        choices: [...new Set(readTemperatures(from).map((r) => r.celsius))].map((c) => ({ value: String(c), label: `${c} °C` })),
      })
    }
    return oven
  }

  rows.forEach((row, index) => {
    if (!row) return
    const next = rows.slice(index + 1).find(Boolean)
    if (!recipe.title && !recipe.parts.length && !recipe.method.length && !recipe.yield && !recipe.oven.length) {
      const clean = row.replace(/^#+\s*/, '').replace(/\*\*/g, '')
      const aloneLine = startsWithAmount(withoutBullet(clean), region) && !isTitleWithNumber(clean, region)
      if (!aloneLine && !META.test(clean) && !METHOD_HEADING.test(clean) && !INGREDIENTS_HEADING.test(clean)) {
        recipe.title = clean.replace(/:$/, '').slice(0, 200)
        return
      }
    }
    const meta = META.exec(row)
    if (meta && (/^\w+(?:\s\w+)?\s*:/.test(row) || /^(serves|makes|yields?)\b/i.test(row)) && !/^pan(?:s)?\b(?!\s*:)/i.test(row)) {
      readMeta(meta[1]!.toLowerCase(), meta[2]!.trim())
      return
    }
    if (METHOD_HEADING.test(row)) {
      mode = 'method'
      return
    }
    if (INGREDIENTS_HEADING.test(row)) {
      mode = 'lines'
      return
    }
    if (NOTES_HEADING.test(row)) {
      mode = 'notes'
      return
    }
    const heading = isHeading(row, next, rows[index - 1] === '' && rows[index + 1] !== '', region)
    if (heading !== undefined) {
      const nextIsLine = next !== undefined && startsWithAmount(withoutBullet(next), region) && !NUMBERED.test(next)
      const methodOf = /^(?:method|directions?|instructions?|steps)\b/i.test(heading)
      if (methodOf || (mode === 'method' && !nextIsLine)) {
        mode = 'method'
        return
      }
      mode = 'lines'
      open(
        heading.replace(/^for (?:the )?/i, '').replace(/^./, (c) => c.toUpperCase()),
        partRole(heading),
      )
      return
    }
    if (mode === 'notes') return
    if (mode === 'method' || isMethodSentence(withoutBullet(row.replace(NUMBERED, '')), region)) {
      takeStep(row)
      return
    }
    if (takeTinLine(row)) return
    if (!part) open('', 'batter')
    const read = readLine(row, region)
    const at = part!.lines.length
    part!.lines.push(...read.lines)
    const partIndex = recipe.parts.length - 1
    for (const q of read.questions) questions.push({ ...q, part: partIndex, line: at + (q.line ?? 0) })
  })

  function readMeta(key: string, value: string) {
    if (/^(makes|serves|serving|yield|portion)/.test(key)) {
      recipe.yield = yieldOf(value)
      if (!recipe.tins.length && /\d\s*(?:cm|in|inch|")/i.test(value)) {
        const tin = readTin(value)
        if (tin) recipe.tins.push(tin)
      }
    } else if (/^(tin|pan)/.test(key)) {
      for (const piece of value.split(/\s*(?:;|,|\band\b|\bplus\b|\+)\s*/i)) {
        const tin = readTin(piece)
        if (tin) recipe.tins.push(tin)
        else if (piece)
          questions.push({
            part: null,
            line: null,
            about: 'size',
            message: `What size is the tin "${piece}"? Give it like "20 cm round" or "9x13 in".`,
            choices: [],
          })
      }
    } else if (key === 'oven' || key === 'bake at') {
      recipe.oven.push(...takeOven(value))
    } else if (/bak/.test(key)) {
      const minutes = minutesIn(value)
      const first = recipe.oven[0]
      if (minutes && first && !first.minutes) first.minutes = minutes
    }
  }

  /** "Two 8x4 loaf pans, 325F, 60 minutes" among the ingredients: where and how it is baked. */
  function takeTinLine(row: string): boolean {
    const tin = /\b(?:tins?|pans?|springform)\b/i.test(row) && !lookUp(withoutBullet(row)).ingredient ? tinInMethod([row]) : undefined
    if (!tin) return false
    recipe.tins.push(tin)
    recipe.oven.push(...takeOven(row))
    return true
  }

  function takeStep(row: string) {
    const step = withoutBullet(row).replace(NUMBERED, '').trim()
    if (step) recipe.method.push(step)
  }

  if (!recipe.oven.length) {
    for (const step of recipe.method.flatMap((text) => text.split(/(?<=[.!;])\s+/))) {
      if (!namesOven(step)) continue
      const oven = takeOven(step)
      if (oven.length && !recipe.oven.length) recipe.oven.push(...oven)
      else if (oven.length && !asked) checkSame(recipe.oven[0]!, oven[0]!)
    }
  } else for (const step of recipe.method) if (/oven|bake/i.test(step)) takeOven(step)
  const untimed = recipe.oven.find((o) => !o.minutes)
  if (untimed && !recipe.oven.some((o) => o.minutes)) {
    // "Rest 15 minutes, then bake for 30": what stands behind the baking counts.
    const baking = recipe.method.map((s) => minutesIn(/\bbak(?:e|ing)\b.*/i.exec(s)?.[0] ?? '')).find(Boolean)
    if (baking) untimed.minutes = baking
  }

  function checkSame(a: Oven, b: Oven) {
    if (Math.abs(a.celsius - b.celsius) <= 30) return
    // A hot start that is turned down is two stages, not a mistake.
    if (!recipe.oven.some((o) => o.celsius === b.celsius)) recipe.oven.push(b)
  }

  if (!recipe.tins.length) {
    const tin = tinInMethod(recipe.method) ?? smallTins(recipe)
    if (tin) recipe.tins.push(tin)
  }
  settleRoles(recipe, questions)
  if (!recipe.title) recipe.title = 'Recipe without a name'
  return { recipe, questions }
}

const SMALL = /\b(?:cup-?cakes|muffins|fairy cakes)\b/i
const MOST_SMALL = 60
/** "Makes 12 muffins", or 12 of what the title names: what they are baked in follows. */
function smallTins({ title, yield: made }: Recipe): Tin | undefined {
  if (!made?.count || made.count > MOST_SMALL || !(SMALL.test(made.text) || SMALL.test(title))) return undefined
  return readTin(`${made.count} cupcakes`)
}

/** "1-2-3-4 cake", "Two-egg sponge", "A sponge for the fair": a title though it starts like an amount. */
function isTitleWithNumber(text: string, region: Region): boolean {
  if (/^\w+[\s-](?:ingredients?|minutes?|hours?|bowl|steps?|layers?|tier)\b/i.test(text)) return true
  const amount = /^(?:an?|one|two|three|four)\s/i.test(text) ? readAmount(text, region) : undefined
  if (amount && !amount.unit && ['none', 'unsure'].includes(lookUp(amount.rest).match)) return true
  return /\b(cake|sponge|loaf|muffins?|brownies?|recipe|cupcakes?|torte|icing|frosting|layers?|bars|buns)\s*$/i.test(text)
}

function yieldOf(text: string): Yield {
  const n = readAmount(text, 'us')
  const digits = /\d+/.exec(text)
  return { text, count: n && !n.unit ? n.high : digits ? Number(digits[0]) : null }
}

/** Title words and contents decide the role of a part that its heading leaves open. */
function settleRoles(recipe: Recipe, questions: Question[]) {
  recipe.parts = recipe.parts.filter((p, i) => {
    if (p.lines.length || recipe.parts.length === 1) return true
    for (const q of questions) if (q.part !== null && q.part > i) q.part -= 1
    return false
  })
  const only = recipe.parts.length === 1
  recipe.parts.forEach((p, i) => {
    const unnamed = p.name === ''
    if (unnamed && only) {
      const byTitle = titleRole(recipe.title)
      p.role = byTitle ?? (looksLikeIcing(p) ? 'frosting' : 'batter')
    } else if (p.role === 'other') {
      p.role = looksLikeBatter(p) ? 'batter' : looksLikeIcing(p) ? 'frosting' : 'other'
      if (p.role === 'other' && p.lines.length)
        questions.push({
          part: i,
          line: null,
          about: 'part',
          message: `Is "${p.name}" part of the cake mix, a filling, a frosting or something else?`,
          choices: ['batter', 'filling', 'frosting', 'topping', 'soak', 'crust'].map((value) => ({ value, label: value })),
        })
    }
    if (!p.name) p.name = p.role === 'batter' ? 'Cake' : p.role.replace(/^./, (c) => c.toUpperCase())
  })
  bakedFilling(recipe)
}

/**
 * A cheesecake or tart has a crust and a filling and no batter so named: what sets in the oven is its batter.
 * So is a meringue that nothing else is baked with.
 */
function bakedFilling(recipe: Recipe) {
  if (recipe.parts.some((p) => p.role === 'batter')) return
  if (!recipe.parts.some((p) => p.role === 'crust')) {
    const alone = recipe.parts.find((p) => MERINGUE.test(p.name))
    if (alone) alone.role = 'batter'
    return
  }
  const sets = recipe.parts.find(
    (p) =>
      p.role !== 'crust' &&
      massOfKinds(p, (id, kind) => kind === 'egg' || /cheese|mascarpone|ricotta|tofu/.test(id)) > 0.1 * massOfKinds(p, () => true),
  )
  if (sets) sets.role = 'batter'
}

function titleRole(title: string): Role | undefined {
  if (/\b(cake|sponge|loaf|muffin|cupcake|layers?|brownie|torte|bundt|traybake|slab|roll|cr[eê]pe|bars)\b/i.test(title)) return undefined
  const role = roleOf(title)
  return role === 'frosting' || role === 'filling' || role === 'soak' ? role : undefined
}

const massOfKinds = (p: Part, test: (id: string, kind: string) => boolean): number =>
  p.lines.reduce((sum, l) => {
    const i = ingredientOf(l.ingredient)
    return i && test(i.id, i.kind) ? sum + l.grams.best : sum
  }, 0)

function looksLikeBatter(p: Part): boolean {
  const total = massOfKinds(p, () => true)
  const flour = massOfKinds(p, (_, kind) => kind === 'flour' || kind === 'mix')
  return total > 0 && flour / total > 0.12
}

function looksLikeIcing(p: Part): boolean {
  const total = massOfKinds(p, () => true)
  if (!total) return false
  const flour = massOfKinds(p, (id, kind) => kind === 'flour' || kind === 'mix' || id === 'egg-whole')
  const icing = massOfKinds(p, (id) => id === 'sugar-icing')
  const ganache = massOfKinds(
    p,
    (id) => id.startsWith('chocolate') || id.startsWith('cream-') || id === 'plant-cream' || id === 'coconut-cream',
  )
  return flour / total < 0.08 && (icing / total > 0.3 || ganache / total > 0.7)
}
