export const TIN_SHAPES = ['round', 'square', 'rect', 'loaf', 'ring', 'fluted', 'cupcake', 'sheet', 'crepe', 'bowl'] as const
export type TinShape = (typeof TIN_SHAPES)[number]

export const MATERIALS = ['aluminium', 'dark', 'glass', 'silicone', 'ceramic'] as const
export type Material = (typeof MATERIALS)[number]

export interface Tin {
  text: string
  shape: TinShape
  mm: { diameter?: number; width?: number; length?: number; height?: number }
  count: number
  /** Bright metal where not said. */
  material?: Material
  /** Its base comes out. */
  loose?: boolean
}
