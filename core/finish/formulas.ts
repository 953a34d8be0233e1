import type { Use } from './firmness'

/** One line of a formula: the first ingredient that the needs allow, and grams for a batch of about 600 g. */
export interface Part {
  any: readonly string[]
  grams: number
  /** What is moved to reach the firmness that is wanted: more of it stiffens, or loosens. */
  moves?: 'stiffens' | 'loosens'
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
  glaze: {
    title: 'Water icing',
    parts: [
      { any: ['sugar-icing'], grams: 250, moves: 'stiffens' },
      { any: ['lemon-juice', 'water'], grams: 40, moves: 'loosens' },
    ],
    method: ['Stir the liquid into the sieved icing sugar by the teaspoon, until it falls in a band that holds for five seconds.'],
  },
}

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
