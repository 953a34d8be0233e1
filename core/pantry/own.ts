import type { Label } from './box'
import type { Allergen, Ingredient, Kind } from './ingredient'

/** An ingredient that the baker describes: what it is called, its label, and which pantry ingredient it acts like. */
export interface OwnIngredient {
  id: string
  name: string
  kind: Kind
  label: Label
  contains?: readonly Allergen[]
  gramsPerMl?: number
}

/** Kinds whose fat is firm at room temperature as often as not. */
const FIRM_FAT: readonly Kind[] = ['fat', 'cocoa', 'mix', 'finish']
/** Water that a gram of dry flour-like stuff binds, where the label cannot say. */
const USUAL_DEMAND: Partial<Record<Kind, number>> = { flour: 0.65, starch: 0.5, cocoa: 1.3, mix: 0.35, finish: 0.3, nut: 0.3 }

/**
 * An ingredient made of a nutrition label: fat, sugars (as sucrose), starch (the other carbohydrate), protein, fibre,
 * salt (2.5 × sodium), and water as what is left of 100 g.
 */
export function ownIngredient(own: OwnIngredient): Ingredient {
  const { label } = own
  const per = (grams: number | undefined) => Math.min(100, (100 * (grams ?? 0)) / label.servingGrams)
  const fibre = per(label.fibre)
  const carbs = per(label.carbs) - (label.fibreApart ? 0 : fibre)
  const sugars = Math.min(per(label.sugars), Math.max(0, carbs))
  const fat = per(label.fat)
  const firm = FIRM_FAT.includes(own.kind) ? Math.min(fat, per(label.saturates) * 1.6) : Math.min(fat, per(label.saturates) * 0.8)
  const protein = per(label.protein)
  const salt = (per((label.sodiumMg ?? 0) / 1000) * 58.44) / 22.99
  const starch = Math.max(0, carbs - sugars)
  const wheat = own.contains?.some((a) => a === 'gluten' || a === 'wheat')
  return {
    id: own.id,
    kind: own.kind,
    names: [own.name],
    per100: {
      plasticFat: firm,
      liquidFat: fat - firm,
      sucrose: sugars,
      starch,
      [wheat ? 'gluten' : own.contains?.includes('egg') ? 'egg' : own.contains?.includes('milk') ? 'casein' : 'otherProtein']: protein,
      fibre,
      salt,
      saturates: per(label.saturates),
      water: Math.max(0, 100 - fat - sugars - starch - protein - fibre - salt),
    },
    waterDemand: USUAL_DEMAND[own.kind] ?? 0,
    gramsPerMl: { spooned: own.gramsPerMl ?? 0.6 },
    flourShare: own.kind === 'flour' || own.kind === 'starch' ? 1 : undefined,
    contains: own.contains,
    source: 'The label of the baker’s own packet',
  }
}
