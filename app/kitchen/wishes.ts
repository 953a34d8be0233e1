import type { SoftGoal } from '../../core/reformulate/goals'

/** A wish that is no need: how the bench offers it. */
export interface Wish {
  id: SoftGoal
  label: string
  /** Shares that may be taken away, where the wish has a degree. */
  degrees?: readonly number[]
}

/** In the order of how often bakers ask. Shares are those that the schools can carry. */
export const WISHES: readonly Wish[] = [
  { id: 'less-sugar', label: 'less sugar', degrees: [0.15, 0.3, 0.45] },
  { id: 'low-fat', label: 'less fat', degrees: [0.25, 0.5, 0.65] },
  { id: 'sugar-swap', label: 'another sugar', degrees: [0.25, 0.5, 1] },
  { id: 'softer', label: 'softer' },
  { id: 'firmer', label: 'firmer, to stack' },
  { id: 'lighter', label: 'lighter' },
  { id: 'richer', label: 'richer' },
  { id: 'fudgier', label: 'fudgier' },
  { id: 'keeps-longer', label: 'keeps longer' },
  { id: 'no-added-leavener', label: 'no leavener' },
  { id: 'from-scratch-taste', label: 'box like home-made' },
]

/** Sweeteners that a baker may name for "another sugar"; the first lets the engine offer every kind. */
export const SWEETENERS: readonly { id: string; label: string }[] = [
  { id: '', label: 'whichever suits' },
  { id: 'honey', label: 'honey' },
  { id: 'maple-syrup', label: 'maple syrup' },
  { id: 'date-syrup', label: 'date syrup' },
  { id: 'coconut-sugar', label: 'coconut sugar' },
  { id: 'sugar-brown', label: 'brown sugar' },
  { id: 'xylitol', label: 'xylitol' },
  { id: 'erythritol', label: 'erythritol' },
  { id: 'allulose', label: 'allulose' },
  { id: 'stevia-blend', label: 'stevia blend' },
]

/** Wishes in words, for cards and lists. */
export const wishWords = (goals: readonly string[]): string[] => WISHES.filter((w) => goals.includes(w.id)).map((w) => w.label)

const FRACTION: Record<string, string> = {
  '0.15': 'a sixth',
  '0.25': 'a quarter',
  '0.3': 'a third',
  '0.45': 'nearly half',
  '0.5': 'half',
  '0.65': 'two thirds',
  '1': 'all',
}
export const degreeWord = (share: number): string => FRACTION[String(share)] ?? `${Math.round(share * 100)} %`
