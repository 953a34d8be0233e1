import { HARD_NEEDS } from '../pantry/ingredient'

export const SOFT_GOALS = [
  'low-fat',
  'less-sugar',
  'sugar-swap',
  'no-added-leavener',
  'fudgier',
  'lighter',
  'softer',
  'firmer',
  'less-sweet',
  'from-scratch-taste',
  'richer',
  'keeps-longer',
] as const
export type SoftGoal = (typeof SOFT_GOALS)[number]
export const GOALS = [...HARD_NEEDS, ...SOFT_GOALS] as const
export type Goal = (typeof GOALS)[number]
