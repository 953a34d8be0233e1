import type { Clause } from '../method/step'
import type { Ingredient } from '../pantry/ingredient'
import type { Tin } from '../recipe/recipe'
import { boilsSugar } from './hot-sugar'

/** A caution: when it fires, what it says, and whom to ask. Data, shown where it matters. */
export interface Caution {
  code: string
  text: string
  /** What to check, and with whom. */
  checkWith: string
  /** Somebody can be hurt at once: it is acknowledged before a bake begins. */
  grave?: boolean
}

interface Trigger extends Caution {
  when: (mix: CautionContext) => boolean
}

export interface CautionContext {
  ingredients: readonly Ingredient[]
  grams: ReadonlyMap<string, number>
  /** Hard needs somebody at the table has. */
  needs: readonly string[]
  method: string
  /** The method as it was understood. */
  clauses?: readonly Clause[]
  /** Egg goes into something that is neither baked nor cooked. */
  rawEgg?: boolean
  /** What it bakes in. */
  tins?: readonly Tin[]
  slices: number
}

const has = (c: CautionContext, test: (i: Ingredient) => boolean): boolean => c.ingredients.some(test)
const gramsOf = (c: CautionContext, ids: readonly string[]): number => ids.reduce((sum, id) => sum + (c.grams.get(id) ?? 0), 0)

/** EFSA and label practice: 10 g or more of polyols a portion need the laxative warning. */
const POLYOLS_PER_SLICE = 8

/** Whether something must keep cold once it is made up: cream, custard, soft cheese. */
export const keepsCold = (id: string): boolean =>
  /^(cream-(heavy|double|single|cheese)|quark|fromage-frais|creme-fraiche|mascarpone|ricotta|lemon-curd|plant-cream|plant-mascarpone|coconut-cream|custard)/.test(
    id,
  )

const TRIGGERS: Trigger[] = [
  {
    code: 'hard-need',
    grave: true,
    text: 'Somebody depends on this being free of something: clean bowls, whisks and tins first, and read every label.',
    checkWith: 'the labels, and the person who needs it',
    when: (c) => c.needs.length > 0,
  },
  {
    code: 'raw-flour',
    text: 'Do not taste raw batter: raw flour can carry germs as raw egg does.',
    checkWith: 'local food-safety advice',
    when: (c) => has(c, (i) => i.kind === 'flour' || i.kind === 'mix'),
  },
  {
    code: 'raw-egg',
    text: 'Egg that is not baked through is a risk for children, the pregnant, the old and the ill: use pasteurised egg.',
    checkWith: 'local food-safety advice',
    // A word for something raw is enough: who reads the method wrongly must not be the one who keeps silent.
    when: (c) =>
      has(c, (i) => i.kind === 'egg') && (c.rawEgg === true || /icing|frosting|mousse|meringue|mayonnaise|no[- ]bake/i.test(c.method)),
  },
  {
    code: 'coeliac',
    grave: true,
    text: '“Gluten-free” on the label is what counts for a coeliac guest: oats, starches, powders and chocolate included.',
    checkWith: 'the labels; a clinician or dietitian',
    when: (c) => c.needs.includes('gluten-free'),
  },
  {
    code: 'sugar-alcohols',
    text: 'Sugar alcohols in this amount can upset the stomach.',
    checkWith: 'the label',
    when: (c) => gramsOf(c, ['erythritol', 'xylitol', 'maltitol', 'sorbitol', 'stevia-blend']) / Math.max(1, c.slices) > POLYOLS_PER_SLICE,
  },
  {
    code: 'xylitol-dogs',
    grave: true,
    text: 'Xylitol poisons dogs, even a slice: keep the cake and its crumbs out of reach.',
    checkWith: 'a vet at once, if a dog has eaten any',
    when: (c) => (c.grams.get('xylitol') ?? 0) > 0,
  },
  {
    code: 'honey-infants',
    grave: true,
    text: 'No honey for children under one year.',
    checkWith: 'a clinician',
    when: (c) => (c.grams.get('honey') ?? 0) > 0,
  },
  {
    code: 'legume-liquid',
    text: 'Bean-can liquid and chickpea flour come from pulses: ask guests with a peanut or legume allergy.',
    checkWith: 'the person; a clinician',
    when: (c) => has(c, (i) => i.id === 'aquafaba' || i.id === 'flour-chickpea'),
  },
  {
    code: 'flax-nuts',
    text: 'New to the recipe: a nut or seed butter. Tell everybody who eats it.',
    checkWith: 'the label, and the guests',
    when: (c) =>
      has(c, (i) => /-butter$|tahini/.test(i.id) && Boolean(i.contains?.some((a) => ['tree-nut', 'peanut', 'sesame'].includes(a)))),
  },
  {
    code: 'green-crumb',
    text: 'Ground sunflower seed and soda may turn the crumb green within a day: it is harmless. A spoon of lemon juice holds it back.',
    checkWith: 'nobody; it is only the colour',
    when: (c) =>
      has(c, (i) => /^flour-sunflower|^seed-butter/.test(i.id)) && has(c, (i) => i.id === 'baking-soda' || i.id === 'baking-powder'),
  },
  {
    code: 'whole-nuts',
    text: 'Whole nuts and hard pieces can choke small children: chop them.',
    checkWith: 'local advice for children under five',
    when: (c) => has(c, (i) => i.kind === 'nut' && Boolean(i.inclusion)),
  },
  {
    code: 'chilled-filling',
    text: 'Cream, custard and soft cheese keep cold: out of the fridge for two hours at most.',
    checkWith: 'local food-safety advice',
    when: (c) => has(c, (i) => keepsCold(i.id)),
  },
  {
    code: 'hot-sugar',
    grave: true,
    text: 'Boiling sugar burns worse than water: long sleeves, no children near, and a bowl of cold water at hand.',
    checkWith: 'local first-aid advice',
    // What is done with sugar in a pan, and what words say that no line of sugar is linked to.
    when: (c) =>
      (c.clauses ?? []).some(boilsSugar) ||
      /\b(?:caramelis\w+|carameliz\w+|boil\w* (?:the )?sugar|(?:soft|hard|firm) ball|11\d ?°?\s?C)\b|\b(?:make|cook|boil|melt|swirl)\b[^.]*\bcaramel\b/i.test(
        c.method,
      ),
  },
  {
    code: 'steam',
    text: 'Steam scalds: open the door or the lid away from the face, and let the bath cool before it is lifted.',
    checkWith: 'local first-aid advice',
    when: (c) => /\b(water bath|bain[- ]marie|steam(ed|er|ing)?\b|roasting tin of (hot |boiling )?water)/i.test(c.method),
  },
  {
    code: 'thermal-shock',
    grave: true,
    text: 'Glass and ceramic crack from cold to hot: never from the fridge into the oven, never hot onto a wet cloth.',
    checkWith: 'what its maker allows',
    when: (c) =>
      (c.tins ?? []).some((t) => t.material === 'glass' || t.material === 'ceramic') ||
      /\b(glass|ceramic|stoneware) (dish|tin|pan|loaf|bowl)\b/i.test(c.method),
  },
  {
    code: 'stove-top',
    grave: true,
    text: 'A pot on the flame is never left alone: the lowest heat, a thick base, and water only where the pot is made for it.',
    checkWith: 'the maker of the pot and of the stove',
    when: (c) =>
      /\b(stove|stove[- ]?top|pressure cooker|covered pot|on the (hob|flame)|heavy (pot|pan) (with|and) a lid)\b/i.test(c.method),
  },
  {
    code: 'hidden-token',
    grave: true,
    text: 'Something hard hidden in a cake chokes and breaks teeth: tell everybody who eats it, and give no such slice to a child.',
    checkWith: 'everybody at the table',
    when: (c) => /\b(coins?|charms?|tokens?|trinkets?|thimble|whole bean|figurine|sixpence)\b/i.test(c.method),
  },
  {
    code: 'decorations',
    text: 'Glitter, leaf and flowers are often only for show: “non-toxic” is not “edible”, and florists’ flowers are sprayed.',
    checkWith: 'the label, which must say edible; a grower for flowers',
    when: (c) =>
      /\b(glitter|lustre|luster|shimmer|gold leaf|silver leaf|dragees?|flowers?|petals?|blossoms?|wires?(?! (?:cooling )?racks?)|toothpicks?|cocktail sticks?)\b/i.test(
        c.method,
      ),
  },
]

const said = ({ code, text, checkWith, grave }: Trigger): Caution => ({ code, text, checkWith, ...(grave && { grave }) })

/** Every caution there is, for tables and tests. */
export const CAUTIONS: readonly Caution[] = TRIGGERS.map(said)

/** The cautions that a mix sets off, in the order they matter. */
export function cautionsFor(context: CautionContext): Caution[] {
  return TRIGGERS.filter((t) => t.when(context)).map(said)
}

/** What a step itself sets off by its words and by what is done in it: said where it is done. */
export function cautionsInStep(text: string, clauses: readonly Clause[] = []): Caution[] {
  return cautionsFor({ ingredients: [], grams: new Map(), needs: [], method: text, clauses, slices: 1 })
}
