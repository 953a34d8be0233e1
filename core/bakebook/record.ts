/** What was written down of a bake. Everything may be missing. */
export interface BakeRecord {
  /** In the oven, minutes. */
  minutes?: number
  /** What a thermometer in the oven said, °C. */
  ovenC?: number
  /** Middle of the cake when it came out, °C. */
  coreC?: number
  /** The oven was hot when it went in. */
  preheated?: boolean
  /** The door was opened in the first half. */
  opened?: boolean
  /** From the wet mix to the oven, minutes. */
  waitedMin?: number
  /** Measured with cups, not weighed. */
  cups?: boolean
  /** Liquid that went in beside the recipe, g. */
  addedGrams?: number
  /** How the batter looked against what was expected. */
  batter?: 'right' | 'stiff' | 'thin'
  /** Heights when cold, mm. */
  heightMm?: { edge?: number; centre?: number }
  /** Weights before and after the oven, g. */
  grams?: { before?: number; after?: number }
  /** How long it cooled in its tin, minutes. */
  cooledInTinMin?: number
  /** Filled or frosted while it was warm. */
  warm?: boolean
  /** Old or open for months: powder or soda. */
  oldLeavener?: boolean
}
