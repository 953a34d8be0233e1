import type { Ingredient, Kind } from '../pantry/ingredient'
import type { SchoolId } from './ids'

/** One way to take an ingredient's place weight for weight, or by the ratio that keeps its main component. */
export interface StandIn {
  school: SchoolId | null
  /** Grams brought per gram replaced. */
  brings: readonly { ingredient: string; ratio: number }[]
  why: string
}

const one = (ingredient: string, school: SchoolId | null, why: string, ratio = 1): StandIn => ({
  school,
  brings: [{ ingredient, ratio }],
  why,
})

// Ratios keep the fat of a fat (butter 81.5 % to oil 100 %: 0.8), the water of a milk, the sugar of a syrup.
const BUTTER: StandIn[] = [
  one('plant-butter-block', 'plant-butter', 'A baking block creams like butter and has about its fat.', 1.02),
  {
    school: 'oil',
    brings: [{ ingredient: 'oil-vegetable', ratio: 0.8 }],
    why: 'Four parts oil hold the fat of five parts butter; its water comes from the liquid.',
  },
  { school: 'coconut', brings: [{ ingredient: 'oil-coconut', ratio: 0.82 }], why: 'Firm like butter in a cool kitchen, and creams.' },
]
const MILK: StandIn[] = [
  one('soy-milk', 'plant-milk', 'Soy has milk’s protein, so it browns and sets most like it.'),
  one('oat-milk', 'plant-milk', 'Oat drink is mild and a little sweet.'),
  one('water', null, 'Water keeps the balance; the crumb is plainer.', 0.9),
]
const CULTURED: StandIn[] = [
  one('soy-yogurt', 'plant-milk', 'Cultured soya has the same acid and body.'),
  one('coconut-yogurt', 'plant-milk', 'Cultured coconut: richer, a little less sour.'),
]
const CREAM: StandIn[] = [
  one('plant-cream', 'plant-milk', 'A whippable plant cream with about the same fat.'),
  one('coconut-cream', 'coconut', 'Thick coconut cream, chilled, whips and enriches.', 1.1),
]

/** Where no seeds are in the house: flour has no fat of its own and drinks more, so there is less of it. */
const FLOUR_FOR_NUTS: readonly StandIn[] = [
  one('flour-plain', null, 'Plain flour, less of it: a closer, cakier crumb.', 0.6),
  one('flour-gf-blend', null, 'A gluten-free blend, less of it.', 0.6),
]

/**
 * What can stand in for an ingredient that a need or the baker rules out, best first.
 * The reformulator takes the first that is allowed and lets the programme correct the rest.
 */
export const STAND_INS: Readonly<Record<string, readonly StandIn[]>> = {
  'butter-unsalted': BUTTER,
  'butter-salted': BUTTER,
  margarine: BUTTER,
  'brown-butter': BUTTER,
  ghee: [one('oil-vegetable', 'oil', 'Pure fat for pure fat.'), one('oil-coconut', 'coconut', 'Pure fat for pure fat.')],
  'milk-whole': MILK,
  'milk-semi-skimmed': MILK,
  'milk-skimmed': MILK,
  'milk-lactose-free': MILK,
  buttermilk: CULTURED,
  'soured-milk': CULTURED,
  kefir: CULTURED,
  'yogurt-plain': CULTURED,
  'yogurt-greek': CULTURED,
  'sour-cream': CULTURED,
  'creme-fraiche': CULTURED,
  'cream-heavy': CREAM,
  'cream-double': CREAM,
  'cream-single': [
    one('plant-cream', 'plant-milk', 'Plant cream with water.', 0.7),
    one('coconut-milk-can', 'coconut', 'Coconut milk has single cream’s fat.'),
  ],
  'cream-cheese': [one('plant-cream-cheese', 'plant-milk', 'Plant cream cheese: softer, set by starch.')],
  mascarpone: [
    one('plant-mascarpone', 'plant-milk', 'Plant mascarpone.'),
    one('plant-cream-cheese', 'plant-milk', 'Plant cream cheese: tarter.'),
  ],
  ricotta: [one('tofu-firm', 'firm-tofu', 'Firm tofu, crumbled.')],
  'condensed-milk': [one('condensed-coconut-milk', 'coconut', 'Sweetened condensed coconut milk, the same way.')],
  'evaporated-milk': [
    one('coconut-milk-can', 'coconut', 'Coconut milk, a little thinner.'),
    one('soy-milk', 'plant-milk', 'Soy milk with less body.'),
  ],
  'milk-powder': [one('plant-milk-powder', 'plant-milk', 'Coconut or soy milk powder.')],
  'chocolate-milk': [one('chocolate-dark', null, 'Dark chocolate without milk.')],
  'chocolate-white': [one('chocolate-white-vegan', null, 'White chocolate without milk.')],
  mayonnaise: [one('plant-mayonnaise', null, 'Egg-free mayonnaise does the same: oil, water and an emulsifier.')],
  'plant-mayonnaise': [one('mayonnaise', null, 'Mayonnaise with egg.')],
  'lemon-curd': [one('jam', null, 'Jam keeps the fruit and the sweetness.', 0.9)],
  'cake-crumbs': [
    one('biscuit-crumbs', null, 'Biscuit crumbs drink more: moisten them.', 0.8),
    one('biscuit-crumbs-gf', null, 'Gluten-free biscuit crumbs drink more: moisten them.', 0.8),
  ],
  honey: [one('maple-syrup', 'maple', 'Thinner and less acid than honey.', 1.1), one('golden-syrup', null, 'As thick as honey.')],
  gelatine: [one('agar', null, 'Agar must boil for two minutes, and sets firmer.', 0.4)],
  'soy-milk': [
    one('oat-milk', 'plant-milk', 'Oat drink.'),
    one('almond-milk', 'plant-milk', 'Almond drink.'),
    one('water', null, 'Water.', 0.95),
  ],
  'soy-yogurt': [one('coconut-yogurt', 'plant-milk', 'Cultured coconut.'), one('yogurt-plain', null, 'Plain yogurt.')],
  'oat-milk': [one('soy-milk', 'plant-milk', 'Soy drink.'), one('water', null, 'Water.', 0.95)],
  'almond-milk': [
    one('oat-milk', 'plant-milk', 'Oat drink.'),
    one('soy-milk', 'plant-milk', 'Soy drink.'),
    one('water', null, 'Water.', 0.97),
  ],
  'oil-vegetable': [one('oil-olive', 'oil', 'Another oil, fat for fat.'), one('oil-coconut', 'coconut', 'Melted.')],
  'oil-olive': [one('oil-vegetable', 'oil', 'Another oil, fat for fat.')],
  'oil-coconut': [one('oil-vegetable', 'oil', 'An oil that stays liquid.')],
  'peanut-butter': [one('seed-butter', null, 'Sunflower-seed butter; with soda it may turn the crumb green, harmlessly.')],
  'almond-butter': [one('seed-butter', null, 'Sunflower-seed butter; with soda it may turn the crumb green, harmlessly.')],
  'flour-almond': [
    one('flour-sunflower', 'nut-flour', 'Ground sunflower seeds have the fat and bite of almonds.'),
    one('flour-pumpkin-seed', 'nut-flour', 'Ground pumpkin seeds; the crumb is green.'),
    ...FLOUR_FOR_NUTS,
  ],
  'flour-hazelnut': [one('flour-sunflower', 'nut-flour', 'Ground sunflower seeds.'), ...FLOUR_FOR_NUTS],
  'flour-walnut': [one('flour-sunflower', 'nut-flour', 'Ground sunflower seeds.'), ...FLOUR_FOR_NUTS],
  walnut: [one('sunflower-seed', null, 'Toasted seeds for crunch.', 0.8)],
  pecan: [one('sunflower-seed', null, 'Toasted seeds for crunch.', 0.8)],
  hazelnut: [one('sunflower-seed', null, 'Toasted seeds for crunch.', 0.8)],
  almond: [one('sunflower-seed', null, 'Toasted seeds for crunch.', 0.8)],
  pistachio: [one('sunflower-seed', null, 'Toasted seeds for crunch.', 0.8)],
  peanut: [one('sunflower-seed', null, 'Toasted seeds for crunch.', 0.8)],
  semolina: [
    {
      school: 'gf-flours',
      brings: [
        { ingredient: 'flour-cornmeal', ratio: 0.75 },
        { ingredient: 'flour-rice', ratio: 0.25 },
        { ingredient: 'xanthan-gum', ratio: 0.004 },
      ],
      why: 'Fine polenta has the grit; rice flour and a little gum bind it.',
    },
    one('flour-gf-blend', 'gf-blend', 'A gluten-free blend: no grit, and a closer crumb.'),
  ],
  breadcrumbs: [one('breadcrumbs-gf', null, 'Crumbs of gluten-free bread, weight for weight.')],
  bread: [one('bread-gf', null, 'Gluten-free bread soaks faster and falls apart sooner.')],
  'biscuit-crumbs': [one('biscuit-crumbs-gf', null, 'Gluten-free biscuits, crushed.')],
  'sandwich-cookies': [one('biscuit-crumbs-gf', null, 'Gluten-free biscuits; the cream goes missing.')],
  'sandwich-cookie-shells': [one('biscuit-crumbs-gf', null, 'Gluten-free biscuits, crushed.')],
  'cake-mix': [one('cake-mix-gf', null, 'A gluten-free box.')],
  'cake-mix-white': [one('cake-mix-gf', null, 'A gluten-free box.')],
  beer: [one('coffee-brewed', null, 'Strong coffee keeps the bitterness.', 0.95), one('sparkling-water', null, 'Sparkling water.', 0.95)],
  lard: [
    one('plant-butter-block', 'plant-butter', 'A firm plant fat creams and rubs in as lard does.', 1.2),
    one('oil-coconut', 'coconut', 'Firm in a cool kitchen.'),
  ],
  'oil-nut': [one('oil-vegetable', 'oil', 'Another oil, fat for fat.')],
  'hazelnut-spread': [one('cocoa-spread', null, 'A cocoa spread without milk or nuts: read its label.')],
  'tofu-silken': [one('coconut-yogurt', 'plant-milk', 'Thick cultured coconut: as smooth, sets less.')],
  'tofu-firm': [
    one('coconut-yogurt', 'plant-milk', 'Thick cultured coconut, strained overnight.'),
    one('ricotta', null, 'Ricotta, which the tofu stood in for.'),
  ],
  khoya: [
    {
      school: 'plant-milk',
      brings: [
        { ingredient: 'plant-milk-powder', ratio: 0.55 },
        { ingredient: 'coconut-cream', ratio: 0.45 },
      ],
      why: 'Coconut milk powder worked into coconut cream is as rich and as thick.',
    },
  ],
  paneer: [one('tofu-firm', 'firm-tofu', 'Firm tofu, crumbled.')],
  quark: [
    one('plant-quark', 'plant-milk', 'Strained cultured soya is as thick and as sour.'),
    one('coconut-yogurt', 'plant-milk', 'Cultured coconut, strained overnight: richer.', 0.95),
  ],
  'plant-quark': [one('coconut-yogurt', 'plant-milk', 'Cultured coconut, strained overnight: richer.', 0.95)],
  'fromage-frais': [
    one('soy-yogurt', 'plant-milk', 'Cultured soya, drained.'),
    one('coconut-yogurt', 'plant-milk', 'Cultured coconut: richer.'),
  ],
  'cheese-hard': [one('plant-cheese-hard', null, 'A plant cheese that grates; it melts less.')],
  'whey-powder': [one('plant-milk-powder', 'plant-milk', 'Plant milk powder: richer, sets less.')],
  'dulce-de-leche': [
    one(
      'coconut-caramel',
      'coconut',
      'As thick as milk caramel. Bought, or condensed coconut milk simmered in a wide pan, stirring, until it is thick and brown.',
    ),
    one('condensed-coconut-milk', 'coconut', 'Condensed coconut milk, cooked down until brown.'),
  ],
  'egg-liqueur': [
    one('cream-liqueur', null, 'A cream liqueur: as thick, without egg.'),
    {
      school: null,
      brings: [
        { ingredient: 'spirit', ratio: 0.35 },
        { ingredient: 'condensed-coconut-milk', ratio: 0.4 },
        { ingredient: 'water', ratio: 0.25 },
      ],
      why: 'Rum in condensed coconut milk is as thick, sweet and strong.',
    },
  ],
  'cream-liqueur': [
    {
      school: null,
      brings: [
        { ingredient: 'spirit', ratio: 0.4 },
        { ingredient: 'coconut-cream', ratio: 0.4 },
        { ingredient: 'sugar-white', ratio: 0.2 },
      ],
      why: 'Spirit, coconut cream and sugar are what it is made of, without milk.',
    },
  ],
  'malted-milk-powder': [one('plant-milk-powder', 'plant-milk', 'Plant milk powder; the taste of malt is lost.')],
  'malt-extract': [
    one('molasses', null, 'Treacle: as thick and dark, less malty.'),
    one('golden-syrup', null, 'As thick, paler and sweeter.'),
  ],
  'malt-drink': [one('soft-drink', null, 'A dark soft drink: as sweet, without barley.'), one('coffee-brewed', null, 'Strong coffee.')],
  'cake-mix-chocolate': [
    {
      school: null,
      brings: [
        { ingredient: 'cake-mix-gf', ratio: 0.88 },
        { ingredient: 'cocoa-natural', ratio: 0.12 },
      ],
      why: 'A gluten-free box with cocoa in it.',
    },
  ],
  'cake-mix-angel': [one('cake-mix-angel-gf', null, 'A gluten-free angel box.')],
  'jelly-crystals': [one('jelly-crystals-vegan', null, 'Crystals set by seaweed: they set faster and a little softer.')],
  marshmallow: [one('marshmallow-vegan', null, 'Marshmallows without gelatine.')],
  meringue: [one('meringue-vegan', 'aquafaba', 'Meringues of chickpea water.')],
  marzipan: [one('fondant', null, 'Sugar paste covers as marzipan does; the taste of almonds is lost.')],
  'almond-paste': [one('fondant', null, 'Sugar paste; the taste of almonds is lost.')],
  cashew: [one('sunflower-seed', null, 'Toasted seeds for crunch.', 0.8)],
  'mixed-nuts': [one('sunflower-seed', null, 'Toasted seeds for crunch.', 0.8)],
  'pastry-case': [one('pastry-case-gf', null, 'A gluten-free pastry: roll it between papers.')],
  'puff-pastry': [one('puff-pastry-gf', null, 'A gluten-free puff pastry: it rises less.')],
  'filo-pastry': [one('filo-pastry-gf', null, 'Gluten-free sheets: brush at once, they dry fast.')],
  'sugar-icing': [one('sugar-white', null, 'Fine white sugar.')],
  'sugar-brown': [one('sugar-white', null, 'White sugar: paler, no molasses.')],
  'sugar-white': [one('sugar-brown', null, 'Brown sugar: darker, a little moister.')],
}

/** Wheat of crusts and crumbles, where fat binds it. */
export const FLOUR_IN_DOUGH: readonly StandIn[] = [
  one('flour-gf-blend', 'gf-blend', 'A gluten-free blend, weight for weight.'),
  one('flour-rice', 'gf-flours', 'Rice flour, a little sandier.'),
]
/** Wheat that thickens, as in cooked icings and creams. */
export const FLOUR_OUTSIDE_BATTER: readonly StandIn[] = [
  FLOUR_IN_DOUGH[0]!,
  one('cornstarch', 'gf-flours', 'Cornflour thickens with half as much.', 0.5),
  FLOUR_IN_DOUGH[1]!,
]

/** Eggs outside a batter (custards, curds, meringue icings), where setting or foam is all they do. */
export const EGG_OUTSIDE_BATTER: Readonly<Record<string, readonly StandIn[]>> = {
  'egg-white': [one('aquafaba', 'aquafaba', 'Bean-can liquid whips to the same foam; it does not set in heat.', 0.9)],
  'egg-yolk': [
    {
      school: 'starch-gum',
      // Eggless pastry creams and curds take about a tablespoon more starch for five yolks, and the yolks' water.
      brings: [
        { ingredient: 'cornstarch', ratio: 0.15 },
        { ingredient: 'water', ratio: 0.6 },
      ],
      why: 'Cornflour thickens what yolk thickened: a teaspoon a yolk, in a spoonful of water.',
    },
  ],
  'egg-whole': [
    { school: 'starch-gum', brings: [{ ingredient: 'cornstarch', ratio: 0.2 }], why: 'Cornflour sets what egg set: 10 g an egg.' },
  ],
}

/** What takes the place of a packet of the baker's own, which no table can name: by what it acts like. */
const BY_KIND: Partial<Record<Kind, readonly StandIn[]>> = { fat: BUTTER, dairy: MILK, 'plant-dairy': MILK }

/** What can stand in for an ingredient, best first; empty where nothing does. */
export const standInsFor = (i: Ingredient): readonly StandIn[] =>
  STAND_INS[i.id] ?? (i.id.startsWith('own-') ? BY_KIND[i.kind] : undefined) ?? []
