import Dexie, { type Table } from 'dexie'
import type { Recipe } from '../../core/recipe/recipe'
import type { Question } from '../../core/recipe/recipe'

/** One state of a recipe; changes make a child, so that a family line grows. */
export interface Version {
  id: string
  recipeId: string
  parentId: string | null
  /** "As given", "Eggless: yogurt and soda". */
  name: string
  recipe: Recipe
  questions: Question[]
  /** What the baker pasted, word for word. */
  source: string
  goals: string[]
  schools: string[]
  note: string
  createdAt: number
  updatedAt: number
}

export interface StoredRecipe {
  id: string
  title: string
  sample: boolean
  createdAt: number
  updatedAt: number
}

export interface Setting {
  key: string
  value: unknown
}

/** Everything the kitchen keeps, in the browser. Each schema change gets a version of its own and a migration test. */
export class KitchenDatabase extends Dexie {
  recipes!: Table<StoredRecipe, string>
  versions!: Table<Version, string>
  settings!: Table<Setting, string>

  constructor(name = 'kind-crumb') {
    super(name)
    this.version(1).stores({
      recipes: 'id, title, updatedAt',
      versions: 'id, recipeId, parentId, updatedAt',
      settings: 'key',
    })
  }
}

export const database = new KitchenDatabase()

export const newId = (): string => crypto.randomUUID()
