import type { Use } from './firmness'

/** One line of a formula: the first ingredient that the needs allow, and grams for a batch of about 600 g. */
export interface Part {
  any: readonly string[]
  grams: number
  /** What is moved to reach the firmness that is wanted: more of it stiffens, or loosens. */
  moves?: 'stiffens' | 'loosens'
  /** What is moved goes no further than this, g; by default half the usual to about twice. */
  most?: number
  prep?: string
}

/** Kinds of frosting that can be made up from nothing, as classic formulas (general knowledge; sources in `docs/model.md`). */
export const FORMULAS: Record<string, { title: string; parts: readonly Part[]; method: readonly string[] }> = {
  'butter-icing': {
    title: 'Butter icing',
    parts: [
      { any: ['butter-unsalted', 'plant-butter-block', 'shortening'], grams: 200, prep: 'soft' },
      { any: ['sugar-icing'], grams: 380, moves: 'stiffens' },
      { any: ['milk-whole', 'soy-milk', 'oat-milk', 'water'], grams: 30, moves: 'loosens' },
      { any: ['vanilla-extract'], grams: 5 },
    ],
    method: ['Beat the fat until pale.', 'Beat in the icing sugar in two goes, then the liquid by the spoon.'],
  },
  'cooked-butter-icing': {
    title: 'Cooked flour icing',
    parts: [
      { any: ['butter-unsalted', 'plant-butter-block'], grams: 225, prep: 'soft', moves: 'stiffens' },
      { any: ['sugar-white'], grams: 180 },
      { any: ['milk-whole', 'soy-milk', 'oat-milk'], grams: 225, moves: 'loosens' },
      { any: ['flour-plain', 'cornstarch'], grams: 35 },
      { any: ['vanilla-extract'], grams: 5 },
    ],
    method: [
      'Cook milk, flour and sugar to a thick paste, stirring; cool it to the warmth of the room.',
      'Beat the fat until pale, then beat the paste in by the spoon.',
    ],
  },
  'cream-cheese-icing': {
    title: 'Cream cheese icing',
    parts: [
      { any: ['butter-unsalted', 'plant-butter-block'], grams: 110, prep: 'soft', moves: 'stiffens' },
      { any: ['cream-cheese', 'plant-cream-cheese'], grams: 225, prep: 'cold', moves: 'loosens' },
      { any: ['sugar-icing'], grams: 260 },
      { any: ['vanilla-extract'], grams: 5 },
    ],
    method: ['Beat fat and icing sugar until pale.', 'Beat in the cold cheese for no longer than it takes to be smooth.'],
  },
  'whipped-cream': {
    title: 'Whipped cream',
    parts: [
      { any: ['cream-heavy', 'plant-cream', 'coconut-cream'], grams: 500, prep: 'cold' },
      { any: ['sugar-icing'], grams: 40 },
      { any: ['vanilla-extract'], grams: 5 },
      // A cream that has to stand is set with a little jelly: 1 to 1.5 % is the usual most before it turns rubbery.
      { any: ['gelatine', 'agar'], grams: 0, most: 8, moves: 'stiffens', prep: 'dissolved in a little hot water' },
    ],
    method: ['Chill bowl, whisk and cream.', 'Whip with the icing sugar until it holds; stop before it looks dry.'],
  },
  ganache: {
    title: 'Ganache',
    parts: [
      { any: ['chocolate-dark'], grams: 300, prep: 'chopped', moves: 'stiffens' },
      { any: ['cream-heavy', 'coconut-cream', 'plant-cream'], grams: 300, moves: 'loosens' },
    ],
    method: [
      'Bring the cream to a simmer and pour it over the chocolate.',
      'Wait two minutes, then stir from the middle until it shines; use it when it has cooled to the firmness you need.',
    ],
  },
  'firm-icing': {
    title: 'Warm-day icing',
    parts: [
      { any: ['shortening'], grams: 120, prep: 'soft' },
      { any: ['butter-unsalted', 'plant-butter-block', 'shortening'], grams: 80, prep: 'soft' },
      { any: ['sugar-icing'], grams: 390, moves: 'stiffens' },
      { any: ['milk-whole', 'soy-milk', 'oat-milk', 'water'], grams: 30, moves: 'loosens' },
      { any: ['vanilla-extract'], grams: 5 },
      { any: ['salt'], grams: 1 },
    ],
    method: ['Beat both fats until pale.', 'Beat in the icing sugar in two goes, then salt and the liquid by the spoon.'],
  },
  'foam-butter-icing': {
    title: 'Bean-foam butter icing',
    parts: [
      { any: ['aquafaba'], grams: 100 },
      { any: ['sugar-white'], grams: 180 },
      { any: ['butter-unsalted', 'plant-butter-block'], grams: 290, prep: 'soft', moves: 'stiffens' },
      { any: ['cream-of-tartar'], grams: 1 },
      { any: ['vanilla-extract'], grams: 5 },
    ],
    method: [
      'Whisk the bean-can liquid with the cream of tartar to soft peaks.',
      'Whisk in the sugar by the spoon until stiff and no grain is felt, 8 to 10 minutes.',
      'Beat in the soft fat, a piece at a time. If it curdles, keep whipping: it comes back.',
    ],
  },
  'crumb-icing': {
    title: 'Biscuit-crumb icing',
    parts: [
      { any: ['biscuit-crumbs', 'biscuit-crumbs-gf', 'sandwich-cookies'], grams: 300, prep: 'ground fine', moves: 'stiffens' },
      { any: ['oil-coconut', 'butter-unsalted'], grams: 110, prep: 'melted' },
      { any: ['sugar-icing'], grams: 60 },
      { any: ['milk-whole', 'soy-milk', 'oat-milk', 'water'], grams: 110, moves: 'loosens' },
    ],
    method: [
      'Stir the melted fat into the crumbs and sugar.',
      'Stir in the liquid by the spoon; it thickens as the crumbs drink, for ten minutes.',
    ],
  },
  'pastry-cream': {
    title: 'Pastry cream without egg',
    parts: [
      { any: ['milk-whole', 'soy-milk', 'oat-milk'], grams: 440 },
      { any: ['sugar-white'], grams: 85 },
      { any: ['cornstarch'], grams: 42, moves: 'stiffens' },
      { any: ['butter-unsalted', 'plant-butter-block'], grams: 25 },
      { any: ['vanilla-extract'], grams: 5 },
    ],
    method: [
      'Whisk the starch and sugar with a little of the cold milk; bring the rest to a simmer.',
      'Whisk the hot milk into the starch, back into the pan, and boil for a full minute, whisking: starch thins again later if it has not boiled.',
      'Beat in fat and vanilla, press film onto it, chill; beat smooth before it is used.',
    ],
  },
  'fruit-curd': {
    title: 'Lemon curd without egg',
    parts: [
      { any: ['lemon-juice'], grams: 150 },
      { any: ['water'], grams: 130 },
      { any: ['sugar-white'], grams: 190 },
      { any: ['cornstarch'], grams: 34, moves: 'stiffens' },
      { any: ['butter-unsalted', 'plant-butter-block'], grams: 90 },
      { any: ['zest'], grams: 6 },
    ],
    method: [
      'Whisk juice, water, sugar, starch and zest cold; bring to the boil, whisking, and boil for a minute.',
      'Off the heat whisk in the fat in pieces; cover and chill.',
    ],
  },
  compote: {
    title: 'Berry compote',
    parts: [
      { any: ['berries'], grams: 520 },
      { any: ['sugar-white'], grams: 90 },
      { any: ['lemon-juice'], grams: 15 },
      { any: ['cornstarch'], grams: 14, most: 30, moves: 'stiffens' },
    ],
    method: [
      'Cook fruit and sugar until the juice runs.',
      'Stir in the starch, slaked in the juice, and boil down to the weight given; cool before it is filled.',
    ],
  },
  jam: {
    title: 'Quick jam',
    parts: [
      { any: ['berries'], grams: 480 },
      { any: ['sugar-white'], grams: 300 },
      { any: ['lemon-juice'], grams: 20 },
    ],
    method: ['Boil fruit, sugar and juice hard, stirring, down to the weight given; hot sugar burns: use a deep pan.'],
  },
  glaze: {
    title: 'Water icing',
    parts: [
      { any: ['sugar-icing'], grams: 250, moves: 'stiffens' },
      { any: ['lemon-juice', 'water'], grams: 40, moves: 'loosens' },
    ],
    method: ['Stir the liquid into the sieved icing sugar by the teaspoon, until it falls in a band that holds for five seconds.'],
  },
}

/**
 * Soluble solids that a fruit filling is boiled down to, g per 100 g: jam keeps from 65 (the standard of the jam
 * trade); a filling that stays put between layers, with starch, from about 38.
 */
export const BOIL_TO: Readonly<Record<string, number>> = { jam: 65, compote: 38 }

/** What a use is best made of, where the baker does not say. */
export const KIND_FOR: Record<Use, string> = {
  pour: 'ganache',
  drip: 'ganache',
  spread: 'butter-icing',
  fill: 'butter-icing',
  pipe: 'butter-icing',
  whip: 'whipped-cream',
  roll: 'ganache',
}
