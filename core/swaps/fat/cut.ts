import { fatOf, scale, type Mover, type Rework } from '../change'

/** Fats that are added as such; the fat of eggs, chocolate and nuts comes with what they are needed for. */
export const addedFats = (r: Rework): Mover[] =>
  r.movers.filter((m) => m.ingredient.kind === 'fat' && m.start > 0 && fatOf(m) > 0.35 * m.start)

/** At least this share of an added fat stays: with less the crumb is leather, and the saving too small to taste. */
const FLOOR = 0.28
/** What nuts, eggs and chocolate hold is made up for by the butter up to here: beyond it the crumb pays for the chips. */
const MADE_UP = 1.25

/**
 * Takes the wished share of all fat out of the added fats.
 *
 * @returns grams of fat lines taken out; 0 where there is none to take
 */
export function cutAddedFat(r: Rework): number {
  const lines = addedFats(r)
  const added = lines.reduce((sum, m) => sum + fatOf(m), 0)
  if (!(added > 0.04 * r.flour)) return 0
  const all = r.movers.reduce((sum, m) => sum + fatOf(m), 0)
  const keep = Math.max(FLOOR, 1 - r.share * Math.min(MADE_UP, all / added))
  let out = 0
  for (const m of lines) {
    out += m.start * (1 - keep)
    scale(m, keep, { code: 'less-fat', message: 'less, as you wished' })
  }
  if (r.before.fatPct !== undefined) r.wish('fatPct', Math.max(0, r.before.fatPct - (100 * (1 - keep) * added) / Math.max(1, r.flour)))
  else r.wish('fatPer100', (r.before.fatPer100 ?? 0) * (1 - r.share))
  // Less fat leaves more of everything else, so it sets more firmly: allowed, and told.
  r.tolerate('firmness', (r.before.firmness ?? 0.4) + 0.16)
  return out
}

/** Rich dairy that thick yogurt can stand in for, spoon for spoon. */
const RICH_DAIRY = /^(cream-cheese|mascarpone|cream-heavy|cream-double|creme-fraiche|sour-cream|plant-cream-cheese|plant-mascarpone)$/

/**
 * Takes the wished share of fat out of rich dairy: cheesecakes hold theirs there.
 *
 * @returns grams of rich dairy taken out
 */
export function cutRichDairy(r: Rework): number {
  const lines = r.movers.filter((m) => RICH_DAIRY.test(m.ingredient.id) && m.start > 0.06 * r.before.batterGrams)
  const held = lines.reduce((sum, m) => sum + fatOf(m), 0)
  const all = r.movers.reduce((sum, m) => sum + fatOf(m), 0)
  if (!(held > 0.4 * all)) return 0
  const keep = Math.max(0.45, 1 - (r.share * all) / held)
  let out = 0
  for (const m of lines) {
    out += m.start * (1 - keep)
    scale(m, keep, { code: 'less-fat', message: 'less, as you wished' })
  }
  r.wish('fatPer100', r.before.fatPer100 * (1 - (held / all) * (1 - keep)))
  return out
}

/** Cornflour for a tenth of the wheat flour makes it soft, as cake flour is. */
const SOFTENING = 0.1

/** Softens the flour that fat no longer shortens. */
export function softenFlour(r: Rework): void {
  const starch = r.allowed(['cornstarch', 'potato-starch'])
  const wheat = r.movers.find((m) => /^flour-(plain|bread|self-raising|wholemeal|spelt)$/.test(m.ingredient.id) && m.from > 60)
  if (!starch || !wheat || wheat.start !== wheat.from) return
  const grams = SOFTENING * wheat.from
  wheat.start = wheat.low = wheat.high = wheat.from - grams
  wheat.why.push({ code: 'softer-flour', message: 'a tenth gives way to starch, to keep it tender' })
  r.bring(starch, grams * 0.8, grams, grams * 1.2, { code: 'softer-flour', message: 'softens the flour as cake flour is' })
}
