import { featuresOf, type Features } from './feature'
import type { Row } from './layout'
import { roleOf } from './role'

/** What a line of a page is. */
export const LABELS = [
  'title',
  'intro',
  'meta',
  'clutter',
  'ingredients-heading',
  'part-heading',
  'ingredient',
  'method-heading',
  'step',
  'step-heading',
  'notes-heading',
  'note',
  'equipment',
] as const
export type Label = (typeof LABELS)[number]

/** One thing that speaks for or against a label: how strongly, times how much of it there is. */
type Evidence = readonly [weight: number, seen: (f: Features, at: Place) => boolean | number]

interface Place {
  index: number
  /** Two lines or more are numbered one behind the other. */
  numbered: boolean
}

const heading = (f: Features) => f.method || f.ingredients || f.notes
const over = (n: number, least: number) => Math.max(0, n - least)
const intoTin = (f: Features) =>
  f.unitAmounts === 0 && f.stop && f.words > 5 && /\bin(?:to)? (?:the|a|your) (?:\w+ )?(?:tins?|pans?|dish|mou?lds?)\b/i.test(f.text)
const readiesTin = (f: Features) =>
  /^(?:pre-?heat |heat )?oven\b.*[;,]\s*(?:butter|grease|line|oil|flour|dust)\s+(?:and|a|an|the|two|your)\b/i.test(f.text)
const amountNamed = (f: Features) => f.amountFirst && f.names > 0

/**
 * Evidence by label, weighed by hand on pages written for the purpose. What a kitchen would say is in each line:
 * an ingredient starts with an amount and names something; a step starts with a verb; a heading is short.
 */
const EVIDENCE: Readonly<Record<Label, readonly Evidence[]>> = {
  title: [
    [4, (_, { index }) => index === 0],
    [1, (_, { index }) => index > 0 && index < 3],
    [-6, (_, { index }) => index >= 3],
    // It names a cake, and says nothing of itself.
    [2.5, (f) => f.bake && !/[.?!]$/.test(f.text) && f.words <= 12],
    [-5, (f) => f.sentences > 1 || (/[.?!]$/.test(f.text) && f.speech && f.words > 6)],
    [-4, (f) => f.words > 14],
    [-3, (f) => f.clutter],
    [-3, (f) => f.unitAmounts > 0 && f.names > 0],
    [-3, (f) => f.unitAmounts > 0 && amountNamed(f) && f.words <= 5],
    [-2, (f) => f.amounts > 0 && f.unitAmounts === 0 && amountNamed(f) && f.words <= 4 && !f.role],
    [-3, (f) => f.method || f.ingredients],
    [-3, (f) => f.meta && f.words < 8 && f.strongMeta],
    [-4, (f) => f.usedFor],
  ],
  intro: [
    [0.2, () => true],
    [1, (f) => f.speech],
    // "(from the back of an envelope)"
    [2.5, (f) => /^\([^()]*\)$/.test(f.text.trim()) && !/\d/.test(f.text) && f.names === 0],
    // "from the village hall bake-off winner", "as baked by my aunt"
    [4, (f) => WHOSE.test(f.text) && f.amounts === 0],
    [0.6, (f) => f.words > 8],
    [-1.5, (f) => f.amountFirst],
    [-1.5, (f) => f.heat],
    [-0.35, (f) => Math.min(7, f.verbs)],
    [-1.5, (f) => f.numbering !== undefined],
    [-0.8, (f) => f.verbFirst],
    [-2, (f) => f.unitAmounts >= 2],
    [-5, (f) => f.method || f.ingredients],
  ],
  meta: [
    [2.6, (f) => f.meta],
    [-3, (f) => !f.meta],
    [-1, (f) => f.nutrition],
    [-2, (f) => f.words > 20],
    // "Oven 350. Butter and flour a dish.": a line of the method.
    [-4, (f) => f.sentences > 1 && f.stop && /[.;]\s+\p{Lu}\p{Ll}+ (?:and|the|a|an|two|your)\b/u.test(f.text)],
    // "Oven 175 °C; butter a skillet": so is this.
    [-6, readiesTin],
    // "Bake for 30 minutes." is told to the cook.
    [-3, (f) => f.verbFirst && f.stop && !/^\w+(?: \w+)?\s*:/.test(f.text)],
    [-2, (f) => f.numbering?.marked === true],
    [6, (f) => f.vessel && f.verbs === 0],
    [1.5, (f) => /^(?:serves|makes|yields?|prep|cook time|total)/i.test(f.text)],
    // "28 x 18 cm tin, 180C, 35 min": a line of size, heat and time is never an ingredient.
    [3.5, (f) => !f.meta && f.names === 0 && f.verbs === 0 && (f.heat || f.size) && f.words < 14],
  ],
  clutter: [
    [3.2, (f) => f.clutter],
    [-2.5, (f) => !f.clutter],
    [2.5, (f) => f.nutrition],
    [5, (f) => f.words === 0],
    [-2, (f) => f.amounts > 0 && f.names > 0 && !f.clutter && !f.nutrition],
    [-2, (f) => f.verbs > 3],
  ],
  'ingredients-heading': [
    [5, (f) => f.ingredients],
    [-7, (f) => !f.ingredients],
    [-2, (f) => f.ingredients && f.words > 9],
  ],
  'part-heading': [[1, (f) => subheading(f)]],
  'step-heading': [[1, (f) => subheading(f)]],
  'method-heading': [
    [5, (f) => f.method],
    [-7, (f) => !f.method],
  ],
  'notes-heading': [
    [4.5, (f) => f.notes],
    [-7, (f) => !f.notes],
  ],
  equipment: [
    [5, (f) => f.equipment],
    [-6, (f) => !f.equipment],
  ],
  ingredient: [
    [-1.5, () => true],
    [3.5, amountNamed],
    [2, (f) => f.amountFirst && f.names === 0 && !f.firstIsCount],
    [2.5, (f) => f.amountLast && f.names > 0 && f.words < 17],
    [3, (f) => f.amounts === 0 && f.names > 0 && f.words < 12 && f.vague],
    [2, (f) => f.amounts > 0 && !f.amountFirst && f.names > 0 && f.words < 12 && f.vague],
    [6, (f) => f.purpose],
    // "Top: 4 cups mini marshmallows"
    [
      4,
      (f) =>
        f.unitAmounts >= 1 &&
        f.names >= 1 &&
        !f.heat &&
        /^\p{L}[\p{L} ]{1,24}:\s*[\d½¼¾⅓⅔]/u.test(f.text) &&
        roleOf(f.text.split(':')[0]!) !== undefined,
    ],
    // "Set A: 5 yolks, 20 g sugar, …"
    [4, (f) => f.unitAmounts >= 2 && f.names >= 2 && !f.heat && /^\p{L}[\p{L} ]{1,24}:\s*[\d½¼¾⅓⅔]/u.test(f.text) && f.sentences === 1],
    [3.5, (f) => f.usedFor],
    [3, (f) => f.prepared && f.amounts === 0],
    [5, (f) => /^add-?\s?ins?\s*:/i.test(f.text) && f.names > 0],
    [1.5, (f) => f.usedFor && f.verbFirst],
    [-4.5, (f) => f.definition],
    [-1.6, (f) => f.stop && f.words > 9 && !f.amountLast && !f.row.text.endsWith(')')],
    [1.2, (f) => f.amounts > 0 && f.names > 0],
    [0.8, (f) => f.unitAmounts > 0],
    [-0.6, (f) => f.amounts === 0 && f.names > 0],
    [-2.5, (f) => f.amounts === 0 && f.names === 0],
    [-4, (f) => /^\([^()\d]*\)$/.test(f.text.trim()) && f.names === 0],
    // "Three milks": what follows is counted.
    [-5, (f) => f.counted],
    [0.8, (f) => f.names > 0 && f.words <= 4],
    [-0.12, (f) => over(f.words, 14)],
    [0.6, (f) => f.bullet],
    [3.5, (f) => f.row.grams !== undefined],
    [3, (f) => f.unitAmounts >= 3 && f.names >= 3 && f.verbs <= 1 && !f.heat],
    [-5, (f) => f.heat],
    [-1.2, (f) => f.time],
    [-0.8, (f) => f.size],
    [-4, (f) => f.vessel],
    [-2.2, (f) => f.verbFirst && !f.amountFirst],
    [-0.7, (f) => (f.verbs >= 2 ? f.verbs : 0)],
    [-3, (f) => f.colon],
    [-6, heading],
    [-4, (f) => f.clutter || f.nutrition],
    [-3, (f) => f.meta && f.names === 0],
    [-4, (f) => f.meta && f.strongMeta],
    [-1.2, (f) => (f.sentences > 1 && f.words > 12 ? f.sentences - 1 : 0)],
    [-1.6, (f) => f.sentences > 1 && f.unitAmounts === 0],
    // Two sentences with a full stop and no measure: somebody talks.
    [-2, (f) => f.sentences > 1 && f.stop && f.unitAmounts === 0 && f.words > 9],
    [-1.5, (f) => f.speech && !f.amountFirst],
    [-3, (f) => f.numbering?.marked === true && !f.amountFirstBehindNumber],
    [-4, (f) => f.numbering?.marked === false && f.verbFirst],
    [-2, (f, { numbered }) => f.numbering?.marked === true && numbered && !f.amountFirstBehindNumber],
    // "Half the sponge in the tin, blobs of the custard, the rest on top.": an amount of what was made, and told to the cook.
    [-4, intoTin],
    [-5, (f) => f.hash],
    [-4, staged],
  ],
  step: [
    [-1.5, () => true],
    [3, staged],
    [3, intoTin],
    [3, readiesTin],
    [-3, (f) => f.usedFor || f.prepared],
    [2, (f) => f.verbFirst],
    [2, (f) => f.sentences > 1 && f.meta && /[.;]\s+(?:Butter|Grease|Line|Flour|Oil|Dust|Spray)\b/.test(f.text)],
    [1.8, (f) => f.numbering !== undefined && (f.numbering.marked || f.verbFirst) && !f.amountFirstBehindNumber],
    [0.6, (f) => Math.min(5, f.verbs)],
    [0.7, (f) => f.words > 8],
    [0.7, (f) => f.words > 16],
    [1.5, (f) => f.heat],
    [0.6, (f) => f.time],
    [0.5, (f) => f.stop && f.words > 4],
    [-1.8, (f) => f.words < 4],
    [-2, (f) => amountNamed(f) && !f.numbering?.marked && f.verbs < 2],
    [-2.5, (f) => f.colon && f.words < 8],
    [-5, heading],
    [-3, (f) => f.clutter || f.nutrition],
    [-0.8, (f) => f.comment && !f.numbering],
    [-0.5, (f) => f.speech],
    [-1.5, (f) => f.meta && f.words < 14 && !f.verbFirst],
    [-4, (f) => f.hash],
    [-3, (f) => WHOSE.test(f.text) && f.amounts === 0],
  ],
  note: [
    [0.2, () => true],
    [0.9, (f) => f.speech],
    [0.9, (f) => f.comment],
    [-0.5, amountNamed],
    [-0.8, (f) => f.heat],
    [-0.2, (f) => Math.min(7, f.verbs)],
    [2.2, (f) => f.note],
    // "Tip: serve it warm."
    [3, (f) => /^(?:note|tip|hint|n\.?b\.?|p\.?s\.?)\s*:/i.test(f.text)],
    [3, (f) => f.definition],
    [-0.6, (f, { numbered }) => f.numbering !== undefined && numbered],
    [-5, (f) => f.method || f.ingredients],
  ],
}

/** "Stage 1: melt 110 g butter with …": a step, however many amounts it tells. */
function staged(f: Features): boolean {
  return /^\s*(?:step|stage)\s*\d/i.test(f.text) && f.verbs > 0
}

/** Where a recipe comes from. */
const WHOSE = /^(?:from|by|courtesy of|adapted from|recipe (?:from|by|of)|as (?:made|baked|told|given) (?:by|to))\b/i

/** "Bahan C – sieved", "Group B": a set of lines by its letter. */
export const SET_HEAD = /^\(?(?:(?:set|group|mixture|bowl|bahan|ingredients?) )?\(?([A-H])\)?\s*(?:[–—:-](?:\s+\p{L}[\p{L} ]{2,30})?)?$/iu

/** Evidence for a heading over a part of the list or of the method. */
const SUBHEADING: readonly Evidence[] = [
  [-2.2, () => true],
  [1.2, (f) => f.words <= 6],
  [2.6, (f) => f.colon],
  [2.5, (f) => f.hash],
  [1.3, (f) => f.capitals && f.words <= 7],
  [1.3, (f) => f.role],
  // "(15 cm round, loose base, water bath)": what it bakes in.
  [5, (f) => f.counted],
  [-6, (f) => f.size && /^\(.*\)$/.test(f.text.trim())],
  [1.5, (f) => f.forHead && f.words <= 8],
  [-3, (f) => f.unitAmounts > 0 && !f.colon],
  [-0.5, (f) => over(f.words, 9)],
  [-1.2, (f) => /[.!]$/.test(f.text)],
  [-3, (f) => heading(f) || f.equipment],
  [-6, (f) => f.definition],
  [-5, (f) => WHOSE.test(f.text)],
  [-3, (f) => f.clutter || f.nutrition],
  [-2.5, (f) => f.meta && !f.forHead && f.words > 2 && !f.hash],
  [-2, (f) => f.heat],
  [-2, (f) => f.numbering?.marked === true],
  [2, (f) => f.lettered],
  // "Bahan C – sieved"
  [4, (f) => SET_HEAD.test(f.text) && f.unitAmounts === 0],
  // "Stage A — custard (do this the night before)"
  [4, (f) => /^(?:stage|part|component|layer)\s+(?:[A-E]|\d|one|two|three)\b\s*[—–:-]\s*\p{L}/iu.test(f.text) && f.unitAmounts === 0],
  [-1.5, (f) => f.bullet && !f.colon],
  [-2.5, (f) => f.amountFirst && f.amountBeforeName],
  // "3 zorgles" in a list is something that nobody knows, and heads nothing.
  [-2.5, (f) => f.amountFirst && f.names === 0 && !f.colon && !f.hash && !f.capitals && f.row.gap === 0],
  [-1, (f) => f.verbFirst && f.words > 4],
  // "Zest of 1 large orange" names a thing with its amount.
  [-3, (f) => f.amounts > 0 && f.names > 0 && !f.colon && !f.role && !f.capitals],
  [-2.5, (f) => f.vague && f.names > 0 && !f.colon],
  // "Jam" in the midst of a list is a jar.
  [
    -2,
    (f) =>
      f.names > 0 &&
      f.row.gap === 0 &&
      !f.colon &&
      !f.capitals &&
      !f.hash &&
      f.scan.mentions[0]!.cover.length >= f.words &&
      !/cake|batter|sponge|frosting|icing|filling|topping|glaze|buttercream|meringue|ganache|streusel|praline/i.test(f.text),
  ],
]
const subheading = (f: Features): number =>
  SUBHEADING.reduce((sum, [weight, seen]) => sum + weight * Number(seen(f, { index: 1, numbered: false })), 0)

const UNUSUAL = -9
/** How well one label follows another: the run of a page. What is missing is unusual. */
const FOLLOWS: Readonly<Record<Label | 'start', Partial<Record<Label, number>>>> = {
  start: { title: 2, intro: 0, clutter: 0, 'part-heading': -4, ingredient: -3, step: -3, 'ingredients-heading': -1, meta: -2 },
  title: {
    title: -1,
    intro: 0.5,
    meta: 0.5,
    clutter: 0.5,
    'ingredients-heading': 1,
    'part-heading': 0.5,
    ingredient: 0.3,
    step: -1,
    equipment: -1,
    'method-heading': -2,
  },
  intro: {
    title: -1,
    intro: 0.6,
    meta: 0.3,
    clutter: 0.3,
    'ingredients-heading': 0.8,
    'part-heading': 0.4,
    ingredient: 0,
    step: -1.5,
    equipment: -1,
    'method-heading': -2,
  },
  meta: {
    intro: 0,
    meta: 0.8,
    clutter: 0.3,
    'ingredients-heading': 0.8,
    'part-heading': 0.5,
    ingredient: 0.2,
    step: -0.8,
    equipment: -0.5,
    'method-heading': 0,
  },
  clutter: {
    title: -1,
    intro: 0.2,
    meta: 0.3,
    clutter: 0.8,
    'ingredients-heading': 0.8,
    'part-heading': 0.3,
    ingredient: 0,
    step: -1.2,
    'method-heading': 0,
    note: -1,
    'notes-heading': 0,
  },
  'ingredients-heading': { ingredient: 1, 'part-heading': 0.8, clutter: 0, meta: 0, intro: -2, equipment: -2, step: -3 },
  'part-heading': { ingredient: 1, step: -1.5, 'part-heading': -1.5, clutter: -1.5, intro: -3, 'method-heading': -2 },
  ingredient: {
    ingredient: 1.2,
    'part-heading': 0.4,
    'method-heading': 1,
    step: -0.3,
    note: -2,
    'notes-heading': -1,
    clutter: -1.5,
    meta: -1.5,
    equipment: -1,
    intro: -4,
    'ingredients-heading': -2,
  },
  equipment: { step: -0.5, 'method-heading': 1, ingredient: -1, 'ingredients-heading': 0.5, 'part-heading': 0, clutter: 0 },
  'method-heading': { step: 1, 'step-heading': 0.6, clutter: -1.5, meta: -0.5 },
  step: {
    step: 1,
    'step-heading': 0,
    'part-heading': -1.2,
    'ingredients-heading': -1.5,
    'method-heading': -1,
    'notes-heading': 0.7,
    note: -0.6,
    clutter: -0.2,
    meta: -1.5,
    ingredient: -2.6,
  },
  'step-heading': { step: 1, 'step-heading': -2, ingredient: -3 },
  'notes-heading': { note: 1, clutter: 0.3, step: -7, 'notes-heading': -0.5, meta: -1 },
  note: {
    note: 1,
    'notes-heading': 0.5,
    clutter: 0.5,
    'method-heading': -1.5,
    step: -2.8,
    ingredient: -4,
    'part-heading': -3,
    'ingredients-heading': -2,
    meta: -1,
  },
}

export type Classified = Features & { label: Label }

type Scores = Record<Label, number>

function evidenceFor(f: Features, place: Place): Scores {
  const scores = {} as Scores
  for (const label of LABELS) scores[label] = EVIDENCE[label].reduce((sum, [weight, seen]) => sum + weight * Number(seen(f, place)), 0)
  return scores
}

/** What the lines around say of a line: blank lines over headings, what a heading heads, runs of bare numbers. */
function weighNeighbours(features: readonly Features[], scores: readonly Scores[]): void {
  features.forEach((f, i) => {
    const own = scores[i]!
    if (f.row.gap > 0)
      for (const l of ['part-heading', 'ingredients-heading', 'method-heading', 'notes-heading', 'step-heading'] as const) own[l] += 0.4
    if (f.numbering?.marked === false && f.words > 5) {
      const near = [-3, -2, -1, 1, 2, 3].some((d) => {
        const other = features[i + d]
        return other?.numbering !== undefined && other.numbering.n === f.numbering!.n + Math.sign(d) && other.words > 5
      })
      if (near) {
        own.step += 3
        own.ingredient -= 2
      }
    }
    const next = scores[i + 1]
    if (!next) {
      own['part-heading'] -= 3
      own['step-heading'] -= 3
      own['method-heading'] -= 3
      return
    }
    // A word or two without a bullet, between rows that have one: it stands over them.
    const above = features[i - 1]
    const below = features[i + 1]!
    if (!f.bullet && f.amounts === 0 && f.words <= 4 && above?.bullet && below.bullet && below.amounts > 0) {
      own['part-heading'] += 4
      own.ingredient -= 3
    }
    own['part-heading'] += next.ingredient > 1 ? 0.8 : next.ingredient < -1 ? -1.2 : 0
    own['step-heading'] += next.step > 1.5 ? 0.4 : -1
  })
}

/**
 * Tells what every line of a page is: the sequence of labels that fits lines and their order best (Viterbi).
 *
 * @returns the features of each row with its label
 */
export function classify(rows: readonly Row[]): Classified[] {
  if (!rows.length) return []
  const features = rows.map(featuresOf)
  const numbers = features.flatMap((f) => (f.numbering?.marked ? [f.numbering.n] : []))
  const inOrder = numbers.filter((n, i) => i > 0 && n === numbers[i - 1]! + 1).length
  // A title comes first of what is not the page's own furniture.
  let above = 0
  const places = features.map((f) => (f.clutter ? above : above++))
  const scores = features.map((f, i) => evidenceFor(f, { index: places[i]!, numbered: inOrder >= 2 }))
  weighNeighbours(features, scores)
  let best = Object.fromEntries(LABELS.map((l) => [l, (FOLLOWS.start[l] ?? UNUSUAL) + scores[0]![l]])) as Scores
  const came: Record<Label, Label>[] = []
  for (let i = 1; i < features.length; i++) {
    const now = {} as Scores
    const from = {} as Record<Label, Label>
    for (const l of LABELS) {
      let top: Label = LABELS[0]
      let value = -Infinity
      for (const k of LABELS) {
        const v = best[k] + (FOLLOWS[k][l] ?? UNUSUAL)
        if (v > value) {
          value = v
          top = k
        }
      }
      now[l] = value + scores[i]![l]
      from[l] = top
    }
    came.push(from)
    best = now
  }
  let label = LABELS.reduce((a, b) => (best[a] >= best[b] ? a : b))
  const out: Classified[] = []
  for (let i = features.length - 1; i >= 0; i--) {
    out.unshift({ ...features[i]!, label })
    if (i > 0) label = came[i - 1]![label]
  }
  return likeTheirBullets(out)
}

/** What stands before the first letter or number of a line, where that is no letter or number itself: "👉", "-". */
const MARK = /^[^\p{L}\p{N}¼-¾⅐-⅞]+/u
/** Fewer lines than this with one bullet show nothing. */
const LEAST_BULLETED = 3

/**
 * Lines with the bullet of the steps, and of no ingredient, are steps: "👉 oven on! line the tin" among them tells no oven's
 * heat, and "👉 eggs in, one by one" lists no eggs.
 */
function likeTheirBullets(all: Classified[]): Classified[] {
  const bulletOf = (c: Classified) => (c.bullet ? (MARK.exec(c.row.text.trim())?.[0].trim() ?? '') : '')
  const listed = all.findIndex((c) => c.label === 'ingredient' && c.amountFirst)
  const steps = new Set(all.flatMap((c) => (c.label === 'step' ? bulletOf(c) || [] : [])))
  for (const bullet of steps) {
    const same = all.filter((c) => bulletOf(c) === bullet)
    const own = same.every((c) => !c.amountFirst || c.time) && all.indexOf(same[0]!) > listed
    const others = same.every((c) => ['step', 'meta', 'intro', 'ingredient', 'note'].includes(c.label))
    if (listed >= 0 && same.length >= LEAST_BULLETED && own && others) for (const c of same) c.label = 'step'
  }
  return all
}
