/** How a baker uses the scale: all on one sum, or back to nought before each thing. */
export type Taring = 'sum' | 'zero'

export interface Bowl {
  /** What the empty bowl weighs, g; 0 where it was tared away. */
  bowlGrams: number
  /** What is in it already, g. */
  inside: number
}

/** What the scale must read once `grams` more are in. */
export const targetReading = (bowl: Bowl, grams: number, taring: Taring): number =>
  taring === 'zero' ? grams : bowl.bowlGrams + bowl.inside + grams

/** What has gone in since, by a reading. May be negative where something was taken out. */
export const poured = (bowl: Bowl, reading: number, taring: Taring): number =>
  taring === 'zero' ? reading : reading - bowl.bowlGrams - bowl.inside

export type Progress = 'empty' | 'more' | 'slowly' | 'there' | 'over'

/** Nearer than this much of the amount, pour slowly. */
const SLOWLY = 0.15
/** Kitchens measure most things well enough within 3 %; below that, to a gram and a half. */
const CLOSE = { share: 0.03, grams: 1.5 }
/** A spoonful of leavener, salt or gum is small: a tenth of it is much. */
const closeEnough = (grams: number, resolution: number) => Math.max(resolution / 2, Math.min(CLOSE.grams, grams * 0.1), grams * CLOSE.share)

/**
 * How far a pour has come.
 *
 * @param grams what should go in; `in` what has gone in, both g
 * @param resolution smallest step of the scale, g
 */
export function progress(grams: number, gone: number, resolution: number): { state: Progress; left: number } {
  const left = grams - gone
  const near = closeEnough(grams, resolution)
  const state =
    gone <= resolution / 2 ? 'empty' : Math.abs(left) <= near ? 'there' : left < 0 ? 'over' : left <= grams * SLOWLY ? 'slowly' : 'more'
  return { state, left }
}

/** What to do about too much in the bowl, by how much it matters. */
export function tooMuch(grams: number, gone: number): string {
  const share = (gone - grams) / grams
  if (share < 0.05) return 'A little over: leave it.'
  if (share < 0.15) return 'Over: take some out where it lies on top, or leave it and expect it a little different.'
  return 'Well over: take it out, or make everything else larger by the same share.'
}
