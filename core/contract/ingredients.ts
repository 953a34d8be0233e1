import { profileOf } from '../balance/profile'
import type { Region } from '../measure/region'
import { HARD_NEEDS, SUGARS, suits, type Ingredient } from '../pantry/ingredient'
import { nameOf } from '../pantry/pantry'
import { doesOf, type Does } from '../swaps/does'
import { insteadOf, type Instead } from '../swaps/instead'

/** What the pantry knows of an ingredient, as it is asked for. */
export interface IngredientAnswer {
  id: string
  names: readonly string[]
  name: string
  kind: string
  per100: Record<string, unknown>
  waterDemand: number
  gramsPerMl: Ingredient['gramsPerMl']
  pieces: Ingredient['pieces']
  allergens: readonly string[]
  labels: readonly string[]
  diets: Record<string, string>
  does: Does[]
  instead: Instead[]
  source: string
}

export function ingredientAnswer(i: Ingredient, region: Region): IngredientAnswer {
  const p = profileOf(i)
  const per = (x: number) => Math.round(x * 1000) / 10
  const c = i.per100
  return {
    id: i.id,
    names: i.names,
    name: nameOf(i, region),
    kind: i.kind,
    per100: {
      water: c.water ?? 0,
      fat: (c.plasticFat ?? 0) + (c.liquidFat ?? 0),
      saturates: c.saturates ?? 0,
      sugars: Object.fromEntries(SUGARS.flatMap((s) => (c[s] ? [[s, c[s]]] : []))),
      starch: (c.starch ?? 0) + (c.pregelStarch ?? 0),
      protein:
        Math.round(((c.gluten ?? 0) + (c.egg ?? 0) + (c.casein ?? 0) + (c.whey ?? 0) + (c.legume ?? 0) + (c.otherProtein ?? 0)) * 100) /
        100,
      fibre: c.fibre ?? 0,
      salt: c.salt ?? 0,
      acid: c.acid ?? 0,
      base: c.base ?? 0,
      co2: c.co2 ?? 0,
      kcal: per(p.kcal),
    },
    waterDemand: i.waterDemand ?? 0,
    gramsPerMl: i.gramsPerMl,
    pieces: i.pieces,
    allergens: i.contains ?? [],
    labels: i.labels ?? [],
    diets: Object.fromEntries(HARD_NEEDS.map((n) => [n, suits(i, n)])),
    does: doesOf(i),
    instead: insteadOf(i),
    source: i.source,
  }
}
