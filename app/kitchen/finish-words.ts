import type { Place } from '../../core/finish/amounts'
import type { SoakKind } from '../../core/finish/soak'
import type { FinishWant } from '../../core/finish/rework'
import type { Trouble } from '../../core/finish/rescue'

/** Places of a cake as bakers call them. */
export const PLACE_WORDS: Record<Place, string> = {
  filling: 'filling',
  dam: 'dam',
  crumbCoat: 'crumb coat',
  coat: 'coat',
  top: 'top',
  drip: 'drip',
  border: 'border',
  rosettes: 'rosettes',
  swirls: 'swirl',
  wells: 'well',
}
export const SOAK_WORDS: Record<SoakKind | 'own', string> = {
  own: 'its own soak',
  syrup: 'syrup soak',
  milk: 'milk soak',
  'filled-holes': 'poked and filled',
}
export const WANT_WORDS: Record<FinishWant, string> = {
  'low-fat': 'less fat',
  'less-sugar': 'less sugar',
  'sugar-swap': 'other sugar',
  'less-sweet': 'less sweet',
}
export const TROUBLE_WORDS: Record<Trouble, string> = {
  split: 'split or curdled',
  runny: 'too runny',
  stiff: 'too stiff',
  grainy: 'grainy',
  seized: 'seized to a lump',
  'too-sweet': 'too sweet',
  melting: 'melting off the cake',
  crumbs: 'full of crumbs',
  blocked: 'nozzle blocked',
  'too-dark': 'colour too dark',
}
/** Kinds that can be made up from nothing, as the list names them. */
export const KIND_WORDS: Record<string, string> = {
  'butter-icing': 'butter icing',
  'firm-icing': 'warm-day icing',
  'cooked-butter-icing': 'cooked flour icing',
  'foam-butter-icing': 'bean-foam butter icing',
  'cream-cheese-icing': 'cream cheese icing',
  'whipped-cream': 'whipped cream',
  ganache: 'ganache, 60 % chocolate',
  'ganache:chocolate-dark-50': 'ganache, 50 % chocolate',
  'ganache:chocolate-dark-85': 'ganache, 85 % chocolate',
  'ganache:chocolate-milk': 'ganache, milk chocolate',
  'ganache:chocolate-white': 'ganache, white chocolate',
  'crumb-icing': 'biscuit-crumb icing',
  'pastry-cream': 'pastry cream, no egg',
  'fruit-curd': 'lemon curd, no egg',
  compote: 'berry compote',
  jam: 'quick jam',
  glaze: 'water icing',
  'bought:jam': 'jam from the jar',
}
