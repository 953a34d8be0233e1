import type { CakeFamily } from '../balance/families'
import type { Tin } from '../recipe/recipe'
import { areaAt, heightOf, mlBelow, sectionOf, type Section } from '../measure/section'

/** What of a batter matters to its tins. */
export interface Fitted {
  family: CakeFamily
  grams: number
  gramsPerMl: number
  rise: number
  /** Ratio of liquid to what drinks it; above `THIN` it runs, below `STIFF` it stays where it is put. */
  fluidity?: number
}

export interface Fill {
  tin: string
  /** In one tin. */
  batterGrams: number
  depthMm: number
  /** Share of its volume. */
  share: number
  bakedHeightMm: number
}
export type TinWarningCode = 'overfull' | 'too-big' | 'leak' | 'thermal-shock' | 'do-not-grease' | 'shallow' | 'level-by-hand'
export interface TinWarning {
  code: TinWarningCode
  message: string
}
export interface Fit {
  /** How many times as much batter as before. */
  scale: number
  fill: Fill[]
  batterMl: number
  /** How many of the first tin this batter fills well. */
  count: number
  /** What does not fit, ml. */
  leftoverMl: number
  /** What the leftover makes, where it is worth an extra case or two. */
  leftoverCupcakes: number
  warnings: TinWarning[]
}

/** Baked, it may stand so far over the rim and still hold itself, as a share of the depth: set foam climbs, thin batter spills. */
const CROWN = 1.12
/** Batter below this bakes like a biscuit, mm; sheets are meant to be thin. */
const SHALLOW = 12
const SHALLOW_SHEET = 4
/** A tin of which less than this would be filled when baked is too big to bake well in: its walls shade the cake. */
const LOST = 0.3
/** Fluidity above which a batter finds the gap of a loose base, and below which it must be levelled. */
const THIN = 3.6
const STIFF = 1.6
const THIN_FAMILIES: readonly CakeFamily[] = ['boxed', 'custard', 'cheesecake', 'crepe']
const STIFF_FAMILIES: readonly CakeFamily[] = ['pastry']
/** A cupcake of so many ml of batter, for what is left over. */
const CUPCAKE_ML = 60

const FLAT: readonly Tin['shape'][] = ['round', 'square', 'rect', 'sheet', 'crepe']

/** Batter that fills one tin well: so that baked it comes to just under its rim; ml. */
export function goodMl(section: Section, rise: number): number {
  return mlBelow(section, section.depth) / Math.max(1.05, rise) / 0.98
}

/**
 * How many times as much batter other tins want.
 *
 * Flat tins are filled to the same depth, so their floors are compared; tins of one shape by what they hold; any other
 * pair by what fills the new ones well, whatever the old ones were filled to.
 *
 * @param batterMl what the recipe makes, ml
 */
export function scaleBetween(from: readonly Tin[], to: readonly Tin[], rise: number, batterMl: number): number | undefined {
  const sum = (tins: readonly Tin[], of: (s: Section) => number) => {
    let total = 0
    for (const t of tins) {
      const s = sectionOf(t)
      if (!s) return undefined
      total += of(s) * t.count
    }
    return total
  }
  const all = [...from, ...to]
  const flat = all.every((t) => FLAT.includes(t.shape))
  const alike = new Set(all.map((t) => t.shape)).size === 1
  if (!flat && !alike) {
    const good = sum(to, (s) => goodMl(s, rise))
    return good && good / batterMl
  }
  const of = flat ? (s: Section) => areaAt(s, 0) : (s: Section) => goodMl(s, rise)
  const [a, b] = [sum(from, of), sum(to, of)]
  return a && b ? b / a : undefined
}

/** Batter of one thin pancake: a pan of 22 cm takes a scant quarter cup, 57 ml, a film of 1.5 mm. */
const SHEET_ML_PER_MM2 = 0.0015

/**
 * Batter into tins: shared out by their floors or hollows, how deep it stands, how high it bakes, what goes wrong.
 *
 * @param tins with known sizes
 */
export function fit(batter: Fitted, tins: readonly Tin[], scale: number): Fit {
  const ml = (batter.grams * scale) / batter.gramsPerMl
  const parts = tins.map((t) => ({ tin: t, section: sectionOf(t)! }))
  const flat = tins.every((t) => FLAT.includes(t.shape))
  // Alike depth is alike time: flat tins share by floor, hollow ones by what they hold.
  const weight = (p: (typeof parts)[number]) => (flat ? areaAt(p.section, 0) : goodMl(p.section, batter.rise))
  const all = parts.reduce((sum, p) => sum + weight(p) * p.tin.count, 0)
  const each = parts.map((p) => (ml * weight(p)) / all)
  const fill = parts.map((p, i): Fill => {
    const depth = heightOf(p.section, each[i]!)
    return {
      tin: p.tin.text,
      batterGrams: round(each[i]! * batter.gramsPerMl),
      depthMm: round(depth, 1),
      share: Math.round((100 * each[i]!) / mlBelow(p.section, p.section.depth)) / 100,
      bakedHeightMm: round(heightOf(p.section, each[i]! * batter.rise)),
    }
  })
  const most = parts.reduce((sum, p) => sum + p.tin.count * mostMl(p.section, batter.rise), 0)
  const leftover = Math.max(0, ml - most)
  const [first] = parts
  const one = first!.tin.shape === 'crepe' ? areaAt(first!.section, 0) * SHEET_ML_PER_MM2 : goodMl(first!.section, batter.rise)
  return {
    scale: Math.round(scale * 1000) / 1000,
    fill,
    batterMl: round(ml),
    count: Math.max(1, Math.round(ml / one)),
    leftoverMl: round(leftover),
    leftoverCupcakes: Math.floor(leftover / CUPCAKE_ML),
    warnings: warningsOf(batter, parts, fill, leftover),
  }
}

/** The most batter that a tin bakes without running over, ml. */
const mostMl = (s: Section, rise: number): number => mlBelow(s, s.depth * CROWN) / rise

function warningsOf(
  batter: Fitted,
  parts: readonly { tin: Tin; section: Section }[],
  fill: readonly Fill[],
  leftover: number,
): TinWarning[] {
  const found: TinWarning[] = []
  const warn = (code: TinWarningCode, message: string) => {
    if (!found.some((w) => w.code === code && w.message === message)) found.push({ code, message })
  }
  const thin = batter.fluidity === undefined ? THIN_FAMILIES.includes(batter.family) : batter.fluidity > THIN
  const stiff = batter.fluidity === undefined ? STIFF_FAMILIES.includes(batter.family) : batter.fluidity < STIFF
  parts.forEach((p, i) => {
    const f = fill[i]!
    const name = p.tin.text || 'the tin'
    const { depth } = p.section
    if (f.bakedHeightMm > depth * CROWN)
      warn(
        'overfull',
        f.depthMm > depth
          ? `The batter alone comes over the rim of ${name}: about ${round(leftover)} ml too much in all. Bake the rest as ${Math.max(1, Math.floor(leftover / CUPCAKE_ML))} cupcakes.`
          : `Baked it would stand ${f.bakedHeightMm} mm in ${name}, which is ${round(depth)} mm deep: it runs over. Leave out about ${round(leftover)} ml.`,
      )
    const least = p.tin.shape === 'sheet' || p.tin.shape === 'crepe' ? SHALLOW_SHEET : SHALLOW
    if (f.bakedHeightMm < depth * LOST && depth > 30)
      warn(
        'too-big',
        `Baked it fills only ${Math.round((100 * f.bakedHeightMm) / depth)} % of the depth of ${name}: its walls shade the cake. Take a smaller tin or more batter.`,
      )
    else if (f.depthMm < least && p.tin.shape !== 'crepe')
      warn('shallow', `Only ${Math.round(f.depthMm)} mm of batter in ${name}: a thin, quick cake. Watch it early.`)
    if (p.tin.loose && thin)
      warn('leak', `A thin batter finds the gap of a loose base: line ${name} with one sheet, or wrap its foot in foil.`)
    if (p.tin.material === 'glass' || p.tin.material === 'ceramic')
      warn(
        'thermal-shock',
        `${p.tin.material === 'glass' ? 'Glass' : 'Ceramic'} cracks from cold to hot: never from the fridge into a hot oven, nor hot onto a wet surface. Set the oven about 15 °C lower for it.`,
      )
    if (batter.family === 'foam' && p.tin.shape !== 'sheet')
      warn('do-not-grease', 'A foam climbs the wall: line the base only, leave the sides bare, and cool it upside down.')
    if (stiff && p.tin.shape !== 'cupcake')
      warn('level-by-hand', 'This batter does not run level: spread it, a little lower in the middle.')
  })
  return found.sort((a, b) => WORST.indexOf(a.code) - WORST.indexOf(b.code))
}
const WORST: readonly TinWarningCode[] = ['overfull', 'leak', 'too-big', 'thermal-shock', 'do-not-grease', 'shallow', 'level-by-hand']

const round = (x: number, digits = 0): number => Math.round(x * 10 ** digits) / 10 ** digits
