import { KITCHENS, type Region } from './region'

/** What a unit measures; `piece` and `package` need the ingredient to become grams. */
export type UnitKind = 'mass' | 'volume' | 'piece' | 'package'

export interface Unit {
  id: string
  kind: UnitKind
  names: string[]
  /** Grams or millilitres of one; a function where kitchens differ. */
  size?: number | ((region: Region) => number)
}

/** Stick of butter: a quarter of a US pound, legal package size. */
export const STICK_GRAMS = 113.4
/** International avoirdupois ounce. */
export const OUNCE_GRAMS = 28.35

const words = (list: string): string[] => list.split(' ')

export const UNITS: Unit[] = [
  { id: 'g', kind: 'mass', names: ['g', 'gr', 'gm', 'gms', 'grm', 'grms', 'gram', 'grams', 'gramme', 'grammes'], size: 1 },
  { id: 'kg', kind: 'mass', names: ['kg', 'kgs', 'kilo', 'kilos', 'kgms', 'kilogram', 'kilograms'], size: 1000 },
  { id: 'mg', kind: 'mass', names: ['mg'], size: 0.001 },
  { id: 'oz', kind: 'mass', names: ['oz', 'ozs', 'ounce', 'ounces'], size: OUNCE_GRAMS },
  { id: 'lb', kind: 'mass', names: ['lb', 'lbs', 'pound', 'pounds'], size: 453.6 },
  // An Indian pao (pav) is a quarter of a seer, today a quarter kilo.
  { id: 'pao', kind: 'mass', names: ['pao', 'pav'], size: 250 },
  { id: 'stick', kind: 'mass', names: ['stick', 'sticks'], size: STICK_GRAMS },
  { id: 'ml', kind: 'volume', names: ['ml', 'mls', 'millilitre', 'millilitres', 'milliliter', 'milliliters', 'cc'], size: 1 },
  { id: 'cl', kind: 'volume', names: ['cl', 'centilitre', 'centilitres', 'centiliter', 'centiliters'], size: 10 },
  { id: 'dl', kind: 'volume', names: ['dl', 'decilitre', 'decilitres', 'deciliter', 'deciliters'], size: 100 },
  { id: 'l', kind: 'volume', names: ['l', 'ltr', 'litre', 'litres', 'liter', 'liters'], size: 1000 },
  { id: 'cup', kind: 'volume', names: ['cup', 'cups', 'c'], size: (r) => KITCHENS[r].cup },
  {
    id: 'tbsp',
    kind: 'volume',
    names: words(
      'tbsp tbsps tbs tb tblsp tblsps tbspn tbl tablespoon tablespoons tablespoonful tablespoonfuls tablespoonsful el ss msk spsk rkl',
    ),
    size: (r) => KITCHENS[r].tablespoon,
  },
  {
    id: 'tsp',
    kind: 'volume',
    names: words('tsp tsps teasp tspn ts teaspoon teaspoons teaspoonful teaspoonfuls teaspoonsful tl tsk'),
    size: (r) => KITCHENS[r].teaspoon,
  },
  // A dessertspoon is two teaspoons in British, Indian and Australian usage.
  {
    id: 'dessertspoon',
    kind: 'volume',
    names: words('dessertspoon dessertspoons dessertspoonful dessertspoonfuls dsp dstsp dstspn'),
    size: 10,
  },
  // Nobody says which spoon: between the two that are eaten with.
  { id: 'spoon', kind: 'volume', names: words('spoon spoons spoonful spoonfuls'), size: 12 },
  { id: 'krm', kind: 'volume', names: ['krm', 'kryddmatt'], size: 1 },
  // Household vessels: a tumbler of 200 ml, a mug of 250, a teacup of 170, a small Indian bowl of 150, an imperial gill, a bottle cap.
  { id: 'glass', kind: 'volume', names: words('glass glasses tumbler tumblers glassful'), size: 200 },
  { id: 'mug', kind: 'volume', names: words('mug mugs'), size: 250 },
  { id: 'teacup', kind: 'volume', names: words('teacup teacups'), size: 170 },
  // Old cards: a breakfast cup of half an imperial pint, a wineglass of two fluid ounces.
  { id: 'breakfast-cup', kind: 'volume', names: ['breakfastcup', 'breakfastcups', 'breakfast cup', 'breakfast cups'], size: 284 },
  { id: 'wineglass', kind: 'volume', names: words('wineglass wineglasses wineglassful'), size: 60 },
  { id: 'katori', kind: 'volume', names: words('katori katoris'), size: 150 },
  { id: 'gill', kind: 'volume', names: words('gill gills'), size: 142 },
  { id: 'capful', kind: 'volume', names: words('capful capfuls'), size: 5 },
  {
    id: 'fl-oz',
    kind: 'volume',
    names: ['fl oz', 'fl. oz', 'fl.oz', 'floz', 'fluid ounce', 'fluid ounces'],
    size: (r) => KITCHENS[r].fluidOunce,
  },
  { id: 'pint', kind: 'volume', names: ['pint', 'pints', 'pt'], size: (r) => KITCHENS[r].pint },
  { id: 'quart', kind: 'volume', names: ['quart', 'quarts', 'qt'], size: (r) => KITCHENS[r].pint * 2 },
  // Cook's usage: a pinch is 1/16 tsp, a dash twice that; a drop is 1/20 ml (pharmacy).
  { id: 'pinch', kind: 'volume', names: ['pinch', 'pinches', 'chutki'], size: 0.31 },
  { id: 'dash', kind: 'volume', names: ['dash', 'dashes'], size: 0.62 },
  { id: 'drop', kind: 'volume', names: ['drop', 'drops'], size: 0.05 },
  { id: 'splash', kind: 'volume', names: ['splash', 'glug', 'glugs'], size: 15 },
  // A knob of butter is about a tablespoon; a shot of espresso an ounce of drink.
  { id: 'knob', kind: 'volume', names: ['knob', 'knobs'], size: 15 },
  { id: 'shot', kind: 'volume', names: ['shot', 'shots'], size: 30 },
  { id: 'handful', kind: 'volume', names: ['handful', 'handfuls'], size: 60 },
  { id: 'can', kind: 'package', names: ['can', 'cans', 'tin', 'tins'] },
  { id: 'box', kind: 'package', names: ['box', 'boxes'] },
  {
    id: 'packet',
    kind: 'package',
    names: words(
      'packet packets package packages pkg pkgs pkt pkts pack packs pck pcks pk pks sachet sachets bustina envelope envelopes env bag bags block blocks bar bars tub tubs pot pots carton cartons jar jars bottle bottles container containers pouch pouches',
    ),
  },
  { id: 'sheet', kind: 'piece', names: ['sheet', 'sheets', 'leaf', 'leaves'] },
  { id: 'square', kind: 'piece', names: ['square', 'squares', 'sq'] },
  { id: 'slice', kind: 'piece', names: ['slice', 'slices', 'ring', 'rings'] },

  { id: 'strand', kind: 'piece', names: ['strand', 'strands', 'thread', 'threads', 'sprig', 'sprigs'] },
  { id: 'piece', kind: 'piece', names: words('nos piece pieces pc pcs pod pods adad biji butir units') },
]

const BY_NAME = new Map(UNITS.flatMap((u) => u.names.map((n) => [n, u] as const)))
const BY_ID = new Map(UNITS.map((u) => [u.id, u]))

/** The unit of that name or abbreviation, whatever its case or full stop. */
export function unitNamed(name: string): Unit | undefined {
  // A capital T is a tablespoon and a small t a teaspoon in hand-written cards.
  if (name === 'T') return BY_ID.get('tbsp')
  if (name === 't') return BY_ID.get('tsp')
  return BY_NAME.get(name.toLowerCase().replace(/\.$/, '').replace(/\s+/g, ' '))
}

export function unitById(id: string): Unit | undefined {
  return BY_ID.get(id)
}

/** Grams (mass units) or millilitres (volume units) of one such unit; `undefined` for pieces and packages. */
export function unitSize(unit: Unit, region: Region): number | undefined {
  return typeof unit.size === 'function' ? unit.size(region) : unit.size
}

const escaped = (s: string) => s.replace(/[.]/g, '\\.?').replace(/\s/g, '\\s*')

/** Source of a regular expression for any unit name, longest first. */
export const UNIT_PATTERN = `(?:${[...UNITS.flatMap((u) => u.names), 'T', 't']
  .sort((a, b) => b.length - a.length)
  .map(escaped)
  .join('|')})\\.?(?![a-zA-Zà-ÿ])`
