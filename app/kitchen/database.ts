import Dexie, { type Table } from 'dexie'
import type { Trial } from '../../core/bakebook/trial'
import type { CorePoint } from '../../core/counter/probe'
import type { Bowl, Taring } from '../../core/counter/tare'
import type { HardNeed, Kind } from '../../core/pantry/ingredient'
import type { Label } from '../../core/pantry/box'
import type { OwnIngredient } from '../../core/pantry/own'
import type { Place, Places } from '../../core/finish/amounts'
import type { Cut } from '../../core/finish/layers'
import type { FinishWant } from '../../core/finish/rework'
import type { SoakKind } from '../../core/finish/soak'
import type { Waits } from '../../core/schedule/activity'
import type { StepFix } from '../../core/schedule/method'
import type { Question, Recipe, Tin } from '../../core/recipe/recipe'
import { guard } from './aside'
import type { Timer } from './timers'

/** What goes where on a cake, and how the cake is cut for it. */
export interface FinishSetup {
  cut: Cut
  places: Places
  /** Its own, or another in its place. */
  soak: SoakKind | 'own' | null
  colours: Partial<Record<Place, number>>
  wants: FinishWant[]
  /** Needs that the finish must meet, where they are not those that the cake meets. */
  needs?: HardNeed[]
  sparePct: number
  wholePackages: boolean
}

/** The label of the box that a recipe is made from, in place of the typical one of that id. */
export interface BoxLabel {
  ingredient: string
  label: Label
  netGrams?: number
}

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
  /** When it was baked: from then on it never changes. `null` while it has not been. */
  bakedAt: number | null
  /** Labels of the boxes that it is made from. */
  boxes: BoxLabel[]
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

/** Something in the house. */
export interface Stock {
  /** The ingredient's id: one entry each. */
  id: string
  /** What there is, g; `null` where the baker only says that it is there. */
  grams: number | null
  /** Best before, as a date without time (`2027-03-31`); `null` where not said. */
  bestBefore: string | null
  note: string
  updatedAt: number
}

/** An ingredient of the baker's own, from its label. */
export interface OwnPacket extends OwnIngredient {
  kind: Kind
  updatedAt: number
}

export interface OwnTin {
  id: string
  tin: Tin
  /** What the baker says of it: "sticks in one corner". */
  note: string
  updatedAt: number
}

/** How a version is filled and frosted; its id is the version's. */
export interface Finish {
  id: string
  setup: FinishSetup
  updatedAt: number
}

/** What the baker put right in the steps of a version; its id is the version's. */
export interface StepFixes {
  id: string
  fixes: Partial<Record<number, StepFix>>
  updatedAt: number
}

/** A day's work: which versions, served when. */
export interface DayPlan {
  id: string
  versions: string[]
  /** `2027-06-12T15:00`, as the kitchen's clock shows it. */
  serveAt: string
  /** Hands rest at night. */
  quiet: boolean
  /** Ids of what is done. */
  done: string[]
  /** How long its waits are. */
  waits?: Waits
  /** Activities that the baker put somewhere: when each begins. */
  held?: Record<string, string>
  /** What has been set out. */
  ready?: string[]
  /** Parts that are made the evening before, by version. */
  ahead?: Record<string, number[]>
  updatedAt: number
}

/** One bake at the Counter, as far as it has come. */
export interface Session {
  id: string
  versionId: string
  startedAt: number
  /** `null` while it goes on. */
  finishedAt: number | null
  /** Step at which the baker stands. */
  at: number
  /** Grave cautions that were read. */
  acknowledged: string[]
  /** Reminders that were seen to, `step:code`. */
  reminded: string[]
  /** What is in, by its use: as the recipe says, or as weighed, g. */
  ticks: Record<string, { grams: number; weighed: boolean; at: number }>
  bowl: Bowl
  taring: Taring
  /** What went in beside the recipe. */
  spoons: { step: string; ingredient: string; name: string; grams: number; at: number }[]
  timers: Timer[]
  /** When steps began and ended, ms since 1970. */
  moments: Record<string, { began: number; ended?: number }>
  /** The step at which it was in the oven. */
  oven?: string
  /** How it looked where a look was asked for. */
  looked: Record<string, 'right' | 'stiff' | 'thin'>
  /** What the probe read, a point a minute. */
  probe: { speed: number; readings: CorePoint[] } | null
  updatedAt: number
}

/** What was taken off the shelf: it can be put back for a while. */
export interface Binned {
  id: string
  /** When it was taken off, ms since 1970. */
  at: number
  /** Title of the recipe, or name of the version. */
  title: string
  recipes: StoredRecipe[]
  versions: Version[]
}

/** A picture of a bake, made small, without anything of the camera in it. */
export interface Photo {
  id: string
  trialId: string
  blob: Blob
  width: number
  height: number
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
  stock!: Table<Stock, string>
  own!: Table<OwnPacket, string>
  tins!: Table<OwnTin, string>
  finishes!: Table<Finish, string>
  steps!: Table<StepFixes, string>
  days!: Table<DayPlan, string>
  sessions!: Table<Session, string>
  trials!: Table<Trial, string>
  photos!: Table<Photo, string>
  bin!: Table<Binned, string>

  constructor(name = 'kind-crumb', options: ConstructorParameters<typeof Dexie>[1] = {}) {
    super(name, options)
    this.version(1).stores({
      recipes: 'id, title, updatedAt',
      versions: 'id, recipeId, parentId, updatedAt',
      settings: 'key',
    })
    // The cupboard; versions learn whether they were baked and from which box.
    this.version(2)
      .stores({ stock: 'id', own: 'id', tins: 'id' })
      .upgrade((change) =>
        change
          .table<Version>('versions')
          .toCollection()
          .modify((v) => {
            v.bakedAt = null
            v.boxes = []
          }),
      )
    // How versions are filled and frosted; steps put right; days planned.
    this.version(3).stores({ finishes: 'id', steps: 'id', days: 'id' })
    // Bakes at the Counter.
    this.version(4).stores({ sessions: 'id, versionId, updatedAt' })
    // The bake book.
    this.version(5).stores({ trials: 'id, versionId, updatedAt', photos: 'id, trialId' })
    // What was taken off the shelf.
    this.version(6).stores({ bin: 'id, at' })
    this.use(guard)
  }
}

export let database = new KitchenDatabase()

/** A store that has not answered by then never will, ms: some private windows leave it open for ever. */
const ANSWERS_WITHIN = 4000

/**
 * Opens the kitchen: in the browser's store, or where there is none (private window, switched off, never answering) in
 * memory, for as long as the tab is open.
 *
 * @returns where it is kept
 */
export async function openKitchen(within = ANSWERS_WITHIN): Promise<'disk' | 'memory'> {
  let timer: ReturnType<typeof setTimeout> | undefined
  const late = new Promise<never>((_, reject) => (timer = setTimeout(() => reject(new Error('late')), within)))
  try {
    await Promise.race([database.open(), late])
    return 'disk'
  } catch {
    const { indexedDB, IDBKeyRange } = await import('fake-indexeddb')
    // Live queries ask Dexie itself whether there is a store.
    Object.assign(Dexie.dependencies, { indexedDB, IDBKeyRange })
    database = new KitchenDatabase('kind-crumb', { indexedDB, IDBKeyRange })
    await database.open()
    return 'memory'
  } finally {
    clearTimeout(timer)
  }
}

export const newId = (): string => crypto.randomUUID()
