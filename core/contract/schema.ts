import Joi from 'joi'
import { BANDED, CAKE_FAMILIES } from '../balance/families'
import { REGIONS } from '../measure/region'
import { TOOLS } from '../crumb/uncertainty'
import { MADE } from '../table/made'
import { ALLERGENS, HARD_NEEDS, KINDS } from '../pantry/ingredient'
import { MATERIALS, ROLES, TIN_SHAPES } from '../recipe/recipe'
import { FORMULAS } from '../finish/formulas'
import { USES } from '../finish/firmness'
import { FINISH_WANTS } from '../finish/rework'
import { BINDERS, DOUGHS } from '../finish/trimmings'
import { TROUBLES } from '../finish/rescue'
import { SOAKS } from '../finish/soak'
import { LONGEST_TEXT, MOST_LINES, TOO_LONG } from '../recipe/text'
import { OVEN_MODES } from '../oven/surroundings'
import { SYMPTOM_CODES } from '../bakebook/symptoms'
import { WAITS } from '../schedule/activity'
import { GOALS } from '../reformulate/goals'
import { SCHOOL_IDS } from '../swaps/ids'

/** More grams than any home kitchen mixes at once; above it an amount is a slip of the pen. */
export const MOST_GRAMS = 100_000

const grams = Joi.number().min(0).max(MOST_GRAMS)
const shortText = Joi.string().max(500).allow('')

const line = Joi.object({
  text: Joi.string().max(2000).allow('').default(''),
  quantity: Joi.object({ low: Joi.number().min(0).max(1e6), high: Joi.number().min(0).max(1e6), unit: shortText })
    .allow(null)
    .default(null),
  // The common form first: every alternative that fails builds its error before the next is tried.
  grams: Joi.alternatives(Joi.object({ low: grams.default(0), high: grams.default(0), best: grams.required() }), grams).default({
    low: 0,
    high: 0,
    best: 0,
  }),
  ingredient: Joi.string().max(80).allow(null).default(null),
  named: shortText,
  match: Joi.string().valid('exact', 'likely', 'unsure', 'none').default('exact'),
  prep: shortText.allow(null).default(null),
  optional: Joi.boolean().default(false),
}).unknown(true)

const oven = Joi.object({
  celsius: Joi.number().min(-50).max(2000).required(),
  fan: Joi.boolean().default(false),
  minutes: Joi.array().items(Joi.number().min(0).max(2000)).length(2).allow(null).default(null),
}).unknown(true)

const tin = Joi.object({
  text: shortText.default(''),
  shape: Joi.string()
    .valid(...TIN_SHAPES)
    .required(),
  mm: Joi.object().pattern(Joi.string(), Joi.number().min(0).max(2000)).default({}),
  count: Joi.number().integer().min(1).max(500).default(1),
  material: Joi.string().valid(...MATERIALS),
  loose: Joi.boolean(),
}).unknown(true)
/** A tin in structured form, or as a baker writes it. */
const anyTin = Joi.alternatives(shortText, tin)

/** The structured form that `parse` returns. */
export const recipeSchema = Joi.object({
  title: Joi.string().max(500).allow('').default('Recipe without a name'),
  yield: Joi.object({ text: shortText, count: Joi.number().allow(null).default(null) })
    .unknown(true)
    .allow(null)
    .default(null),
  tins: Joi.array().items(tin).max(50).default([]),
  oven: Joi.array().items(oven).max(20).default([]),
  parts: Joi.array()
    .items(
      Joi.object({
        name: shortText.default(''),
        role: Joi.string()
          .valid(...ROLES)
          .default('batter'),
        lines: Joi.array().items(line).max(MOST_LINES).default([]),
      }).unknown(true),
    )
    .min(1)
    .max(60)
    .required(),
  method: Joi.array()
    .items(Joi.alternatives(Joi.string().max(5000).allow(''), Joi.object({ text: Joi.string().max(5000).required() }).unknown(true)))
    .max(500)
    .default([]),
}).unknown(true)

const source = {
  text: Joi.string().max(LONGEST_TEXT).messages({
    'string.max': TOO_LONG,
    'string.empty': 'There is no text to read: paste a recipe.',
  }),
  recipe: recipeSchema,
  jsonld: Joi.alternatives(Joi.object().unknown(true), Joi.array(), Joi.string().max(5_000_000)),
}
const most = (unit: number) => Joi.number().min(0).max(unit)
const labelFields = Joi.object({
  servingGrams: Joi.number().greater(0).max(1000).required(),
  kcal: most(5000),
  fat: most(1000),
  saturates: most(1000),
  carbs: most(1000),
  sugars: most(1000),
  fibre: most(1000),
  protein: most(1000),
  sodiumMg: most(50_000),
  fibreApart: Joi.boolean(),
  ingredients: Joi.array().items(Joi.string().max(200)).max(60),
})
const netGrams = Joi.number().greater(0).max(20_000)
/** The label of a box, for the box of that id in the recipe: the typical yellow one where none is named. */
const box = Joi.object({
  ingredient: Joi.string()
    .pattern(/^cake-mix/)
    .default('cake-mix'),
  label: labelFields.required(),
  netGrams,
})
const ownPacket = Joi.object({
  id: Joi.string()
    .pattern(/^own-[a-z0-9-]{1,60}$/)
    .required(),
  name: Joi.string().max(120).required(),
  kind: Joi.string()
    .valid(...KINDS)
    .default('finish'),
  label: labelFields.required(),
  contains: Joi.array()
    .items(Joi.string().valid(...ALLERGENS))
    .default([]),
  gramsPerMl: Joi.number().greater(0).max(3),
})
const common = {
  region: Joi.string()
    .valid(...REGIONS)
    .default('us'),
  /** Whose kitchen the baker's is: where no region is given, the page tells, and where it does not, this. */
  home: Joi.string().valid(...REGIONS),
  measures: Joi.string().valid('weight', 'us', 'metric'),
  altitudeM: Joi.number().min(-430).max(6000).default(0),
  boxes: Joi.array().items(box).max(20).default([]),
  own: Joi.array().items(ownPacket).max(100).default([]),
  family: Joi.string().valid(...CAKE_FAMILIES),
}
/** A recipe, or no more than the grams and the family of a batter. */
const batterRequest = (more: Record<string, Joi.Schema>) =>
  Joi.object({ ...source, ...common, batterGrams: Joi.number().greater(0).max(MOST_GRAMS), ...more })
    .oxor('text', 'recipe', 'jsonld', 'batterGrams')
    .or('text', 'recipe', 'jsonld', 'batterGrams')
    .messages({
      'object.missing': 'Give the recipe as text, as recipe or as jsonld, or batterGrams and family.',
      'object.oxor': 'Give the batter once: as a recipe or as batterGrams.',
    })
const ovenSetting = Joi.object({
  celsius: Joi.number().min(40).max(320).required(),
  mode: Joi.string().valid(...OVEN_MODES),
  stages: Joi.array()
    .items(Joi.object({ celsius: Joi.number().min(40).max(320).required(), minutes: Joi.number().greater(0).max(600).required() }))
    .max(10),
  offsetC: Joi.number().min(-60).max(60).default(0),
  together: Joi.number().integer().min(1).max(12),
})
const recipeRequest = (more: Record<string, Joi.Schema> = {}) =>
  Joi.object({ ...source, ...common, ...more })
    .xor('text', 'recipe', 'jsonld')
    .messages({
      'object.missing': 'Give the recipe as text, as recipe or as jsonld.',
      'object.xor': 'Give the recipe once: as text, as recipe or as jsonld.',
    })

/** A recipe, or the one field that does instead of it. */
const finishRequest = (instead: string, more: Record<string, Joi.Schema>) =>
  Joi.object({ ...source, ...common, ...more })
    .or('text', 'recipe', 'jsonld', instead)
    .oxor('text', 'recipe', 'jsonld', instead)
    .messages({
      'object.missing': `Give the recipe as text, as recipe or as jsonld, or ${instead}.`,
      'object.oxor': `Give it once: as a recipe or as ${instead}.`,
    })
const component = Joi.string().max(80)
const coat = Joi.object({ mm: Joi.number().min(0).max(100).required(), component })
const piped = Joi.object({ nozzleMm: Joi.number().min(1).max(40).required(), component })
const school = Joi.string().valid(...SCHOOL_IDS)
const id = Joi.string().max(80)

const minutes = Joi.object({
  low: Joi.number().min(0).max(20_000).required(),
  best: Joi.number().min(0).max(20_000).required(),
  high: Joi.number().min(0).max(20_000).required(),
})
const moment = Joi.string()
  .pattern(/^\d{4}-\d\d-\d\dT\d\d:\d\d/)
  .messages({ 'string.pattern.base': 'Write a time like 2027-06-12T15:00.' })
const hour = Joi.string().pattern(/^([01]\d|2[0-3]):[0-5]\d$/)
const places = Joi.object({
  filling: coat,
  dam: piped,
  drip: Joi.object({ count: Joi.number().integer().min(0).max(500), component }),
  crumbCoat: coat,
  coat,
  top: coat,
  border: piped,
  rosettes: piped.keys({ count: Joi.number().integer().min(0).max(1000).required() }),
  swirls: piped,
  wells: Joi.object({ ml: Joi.number().min(0).max(200).required(), component }),
})

/** How a recipe becomes things to do: minutes in the oven, steps put right, tins, and how it is finished. */
const planned = {
  oven: minutes,
  fixes: Joi.object().pattern(
    Joi.string().pattern(/^\d{1,3}$/),
    Joi.object({
      minutes: Joi.number().min(0).max(10_000),
      handsOn: Joi.boolean(),
      needs: Joi.array().items(Joi.string().max(120)).max(10),
      off: Joi.boolean(),
    }),
  ),
  tins: Joi.array().items(Joi.string().max(200)).max(30),
  ahead: Joi.array().items(Joi.number().integer().min(0).max(50)).max(20).unique(),
  finish: Joi.array()
    .items(
      Joi.object({
        text: Joi.string().max(2000).required(),
        hands: Joi.number().min(0).max(2000).required(),
        wait: Joi.number().min(0).max(10_000).required(),
        cold: Joi.boolean().required(),
      }),
    )
    .max(60),
}

/** What was written down of a bake. */
const bakeRecord = Joi.object({
  minutes: Joi.number().min(0).max(2000),
  ovenC: Joi.number().min(0).max(400),
  coreC: Joi.number().min(-20).max(200),
  preheated: Joi.boolean(),
  opened: Joi.boolean(),
  waitedMin: Joi.number().min(0).max(2000),
  cups: Joi.boolean(),
  addedGrams: Joi.number().min(-2000).max(2000),
  batter: Joi.string().valid('right', 'stiff', 'thin'),
  heightMm: Joi.object({ edge: Joi.number().min(0).max(400), centre: Joi.number().min(0).max(400) }),
  grams: Joi.object({ before: grams, after: grams }),
  cooledInTinMin: Joi.number().min(0).max(5000),
  warm: Joi.boolean(),
  oldLeavener: Joi.boolean(),
})

/** Recipes at hand, each as text or in structured form. */
const tableCandidates = Joi.array().items(
  Joi.object({
    id: Joi.string().max(120).required(),
    title: Joi.string().max(500).allow('').default(''),
    recipe: recipeSchema,
    text: source.text,
    slices: Joi.number().integer().min(1).max(500),
  }).xor('recipe', 'text'),
)

/** What the kitchen has taught: for itself, and for families that were baked in it. */
const byFamily = (least: number, most: number, none: number) => {
  const one = Joi.number().min(least).max(most)
  return Joi.object({ kitchen: one.default(none), families: Joi.object().pattern(Joi.string().max(40), one).default({}) })
}
const learned = Joi.object({
  minutes: byFamily(0.4, 2.5, 1),
  rise: byFamily(0.4, 2.5, 1),
  moistness: byFamily(-2, 2, 0),
  sweetness: byFamily(-2, 2, 0),
  cup: Joi.object({ factor: Joi.number().min(0.5).max(2).required(), sd: Joi.number().min(0).max(0.5).required() }),
})

/** One schema per verb, shared by command line, server and workers. */
export const SCHEMAS = {
  parse: recipeRequest(),
  method: recipeRequest(),
  balance: recipeRequest({ learned }),
  ingredients: Joi.object({ query: Joi.string().max(200).allow('').default(''), region: common.region }),
  reformulate: recipeRequest({
    goals: Joi.array()
      .items(Joi.string().valid(...GOALS))
      .max(20)
      .unique()
      .default([]),
    amount: Joi.object().pattern(Joi.string().max(40), Joi.number().min(0).max(1)).default({}),
    sweetener: id,
    nudge: Joi.object(Object.fromEntries(BANDED.map((metric) => [metric, Joi.number().min(-200).max(200)]))).default({}),
    avoid: Joi.array()
      .items(Joi.alternatives(Joi.string().valid(...ALLERGENS), id))
      .max(100)
      .default([]),
    have: Joi.array()
      .items(Joi.alternatives(id, Joi.object({ ingredient: id.required(), grams: grams.required() })))
      .max(300)
      .default([]),
    pin: Joi.object()
      .pattern(Joi.string().max(80), Joi.alternatives(grams, Joi.string().valid('keep')))
      .default({}),
    schools: Joi.alternatives(
      Joi.array().items(school).max(60),
      Joi.object({ use: Joi.array().items(school).default([]), exclude: Joi.array().items(school).default([]) }),
    ),
    limit: Joi.number().integer().min(1).max(60).default(12),
  }),
  uncertainty: recipeRequest({
    tools: Joi.string()
      .valid(...TOOLS)
      .default('mixed'),
    samples: Joi.number().integer().min(20).max(5000).default(400),
    learned,
  }),
  /** What is in a slice. */
  nourish: recipeRequest({ slices: Joi.number().integer().min(1).max(500) }),
  /** One ingredient line as it is typed. */
  line: Joi.object({ text: Joi.string().max(2000).allow('').required(), region: common.region, own: common.own, boxes: common.boxes }),
  scale: recipeRequest({
    to: Joi.alternatives(
      Joi.object({ factor: Joi.number().greater(0).required() }),
      Joi.object({ eggs: Joi.number().greater(0).required() }),
      Joi.object({
        grams: grams.required(),
        part: Joi.number().integer().min(0).required(),
        line: Joi.number().integer().min(0).required(),
      }),
      Joi.object({ tins: Joi.array().items(anyTin).min(1).max(50).required() }),
    ).required(),
  }),
  tin: batterRequest({
    from: Joi.array().items(anyTin).max(50),
    to: Joi.array().items(anyTin).min(1).max(50),
    whole: Joi.string().valid('eggs', 'boxes'),
  }),
  bake: batterRequest({
    tin: anyTin,
    oven: ovenSetting.fork('celsius', (c) => c.optional()),
    written: recipeSchema,
    startC: Joi.number().min(-25).max(60).default(20),
    lined: Joi.boolean().default(true),
    strips: Joi.boolean().default(false),
    foil: Joi.boolean().default(false),
    learned,
    physics: Joi.object({ evaporation: Joi.boolean().default(true), expansion: Joi.boolean().default(true) }).default({
      evaporation: true,
      expansion: true,
    }),
  }),
  frosting: finishRequest('kind', {
    kind: Joi.string().valid(...Object.keys(FORMULAS)),
    grams: Joi.number().min(20).max(20_000),
    use: Joi.string()
      .valid(...USES)
      .default('spread'),
    goals: Joi.array()
      .items(Joi.string().valid(...HARD_NEEDS, ...FINISH_WANTS))
      .max(10)
      .default([]),
    amount: Joi.object(Object.fromEntries(FINISH_WANTS.map((w) => [w, Joi.number().min(0).max(1)]))).default({}),
    sweetener: Joi.string().max(80),
    chocolate: Joi.string().valid('chocolate-dark-50', 'chocolate-dark', 'chocolate-dark-85', 'chocolate-milk', 'chocolate-white'),
    roomC: Joi.number().min(0).max(45).default(20),
    trouble: Joi.string().valid(...TROUBLES),
  }),
  amounts: Joi.object({
    cake: Joi.object({
      shape: Joi.string().valid('round', 'square', 'rect', 'sheet', 'cupcake', 'ring', 'roll', 'crepe').required(),
      mm: Joi.object().pattern(Joi.string(), Joi.number().min(0).max(2000)).default({}),
      layers: Joi.number().integer().min(1).max(60).default(1),
      count: Joi.number().integer().min(1).max(500).default(1),
      wells: Joi.number().min(0).max(500),
    }).required(),
    places: places.required(),
    component: component.default('butter-icing'),
    sparePct: Joi.number().min(0).max(100).default(0),
    region: common.region,
  }),
  soak: finishRequest('cakeGrams', {
    cakeGrams: Joi.number().greater(0).max(MOST_GRAMS),
    depthMm: Joi.number().min(3).max(300).default(45),
    kind: Joi.string().valid(...SOAKS),
    goals: Joi.array()
      .items(Joi.string().valid(...HARD_NEEDS))
      .max(6)
      .default([]),
  }),
  build: recipeRequest({
    cut: Joi.object({
      split: Joi.number().integer().min(1).max(6).default(1),
      trimMm: Joi.number().min(0).max(40).default(0),
      rolled: Joi.boolean().default(false),
      sheets: Joi.number().integer().min(2).max(80),
    }).default({ split: 1, trimMm: 0, rolled: false }),
    places: places.default({}),
    soak: Joi.string().valid('own', ...SOAKS),
    component: component.default('butter-icing'),
    colours: Joi.object().pattern(Joi.string().max(20), Joi.number().integer().min(1).max(4)).default({}),
    goals: Joi.array()
      .items(Joi.string().valid(...HARD_NEEDS, ...FINISH_WANTS))
      .max(10)
      .default([]),
    roomC: Joi.number().min(0).max(45).default(20),
    sparePct: Joi.number().min(0).max(100).default(10),
    wholePackages: Joi.boolean().default(false),
    slices: Joi.number().integer().min(1).max(500),
  }),
  trimmings: Joi.object({
    crumbGrams: Joi.number().greater(0).max(MOST_GRAMS).required(),
    binder: Joi.string()
      .valid(...BINDERS)
      .default('frosting'),
    dough: Joi.string()
      .valid(...DOUGHS)
      .default('rolls'),
    region: common.region,
  }),
  /** A recipe baked along, one thing at a time. */
  counter: recipeRequest({
    ...planned,
    needs: Joi.array()
      .items(Joi.string().valid(...HARD_NEEDS))
      .max(6)
      .default([]),
    components: Joi.array()
      .items(Joi.object({ name: shortText.required(), recipe: recipeSchema.required() }))
      .max(12),
  }),
  /** What uses up what is left. */
  leftovers: Joi.object({
    /** As the baker says it: "3 egg yolks", "150 g buttercream", a line each. */
    text: Joi.string().max(4000),
    left: Joi.array()
      .items(Joi.object({ ingredient: id.required(), grams: Joi.number().greater(0).max(MOST_GRAMS).required() }))
      .max(30)
      .default([]),
    made: Joi.array()
      .items(
        Joi.object({
          kind: Joi.string()
            .valid(...MADE)
            .required(),
          grams: Joi.number().greater(0).max(MOST_GRAMS).required(),
        }),
      )
      .max(30)
      .default([]),
    candidates: tableCandidates.max(200).required(),
    region: common.region,
    own: common.own,
    boxes: common.boxes,
  }),
  /** The fewest bakes that feed everybody. */
  table: Joi.object({
    guests: Joi.array()
      .items(
        Joi.object({
          needs: Joi.array()
            .items(Joi.string().valid(...HARD_NEEDS))
            .max(6)
            .unique()
            .default([]),
          count: Joi.number().integer().min(0).max(500).required(),
        }),
      )
      .min(1)
      .max(10)
      .required(),
    candidates: tableCandidates.min(1).max(200).required(),
    portions: Joi.number().integer().min(1).max(6).default(1),
    region: common.region,
    altitudeM: common.altitudeM,
    own: common.own,
    boxes: common.boxes,
  }),
  diagnose: recipeRequest({
    record: bakeRecord.default({}),
    symptoms: Joi.array()
      .items(Joi.string().valid(...SYMPTOM_CODES))
      .max(SYMPTOM_CODES.length)
      .unique()
      .default([]),
    goals: Joi.array()
      .items(Joi.string().valid(...GOALS))
      .max(20)
      .unique()
      .default([]),
    avoid: Joi.array()
      .items(Joi.alternatives(Joi.string().valid(...ALLERGENS), id))
      .max(100)
      .default([]),
  }),
  schedule: Joi.object({
    ...source,
    ...common,
    activities: Joi.array()
      .items(
        Joi.object({
          id: Joi.string().max(120).required(),
          label: Joi.string().max(1000).default(''),
          bake: Joi.string().max(200).allow('').default(''),
          minutes: minutes.required(),
          handsOn: Joi.boolean().default(false),
          needs: Joi.array().items(Joi.string().max(120)).max(20).default([]),
          oven: Joi.object({ celsius: Joi.number().min(40).max(320).required(), fan: Joi.boolean().default(false) }),
          after: Joi.array()
            .items(
              Joi.object({
                id: Joi.string().max(120).required(),
                min: Joi.number().min(0).max(20_000),
                max: Joi.number().min(0).max(20_000),
              }),
            )
            .max(50)
            .default([]),
          better: Joi.number().min(0).max(20_000),
          night: Joi.boolean(),
          step: Joi.number().integer().min(0),
        }),
      )
      .min(1)
      .max(300),
    bakes: Joi.array()
      .items(
        Joi.object({
          recipe: source.recipe.required(),
          bake: Joi.string().max(200).required(),
          ...planned,
        }),
      )
      .min(1)
      .max(12),
    serveAt: moment.required(),
    notBefore: moment,
    done: Joi.array().items(Joi.string().max(120)).max(300).default([]),
    quiet: Joi.array()
      .items(Joi.object({ from: hour.required(), to: hour.required(), allow: Joi.boolean() }))
      .max(6)
      .default([]),
    kitchen: Joi.object().pattern(Joi.string().max(120), Joi.number().integer().min(0).max(50)).default({}),
    waits: Joi.string()
      .valid(...WAITS)
      .default('usual'),
    held: Joi.object().pattern(Joi.string().max(120), moment).max(100).default({}),
  })
    .or('text', 'recipe', 'jsonld', 'activities', 'bakes')
    .messages({ 'object.missing': 'Give activities, bakes, or one recipe as text, recipe or jsonld.' }),
  import: Joi.object({
    content: Joi.string().max(5_000_000).allow('').required(),
    home: common.home,
    region: common.region,
    own: common.own,
    boxes: common.boxes,
  }).messages({
    'string.max': 'This is more than 5 million characters: no kitchen has so many recipes in one file. Nothing was taken from it.',
  }),
  box: Joi.object({ label: labelFields.required(), netGrams, region: common.region }),
} as const

export type Verb = keyof typeof SCHEMAS
