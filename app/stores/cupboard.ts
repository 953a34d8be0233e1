import { liveQuery } from 'dexie'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { introduce } from '../../core/pantry/pantry'
import { ownIngredient } from '../../core/pantry/own'
import { shortOf, type Short } from '../../core/recipe/stock'
import type { Recipe } from '../../core/recipe/recipe'
import { setAside } from '~/kitchen/aside'
import { revise } from '~/kitchen/revision'
import { database, type OwnPacket, type OwnTin, type Stock } from '~/kitchen/database'
import { useHistory } from './history'
import { useKeeping } from './keeping'
import { useKitchen } from './kitchen'

/** A packet of which no ingredient can be made is set aside, and the kitchen opens. */
function isIngredient(packet: OwnPacket): boolean {
  try {
    ownIngredient(packet)
    return true
  } catch {
    setAside('own', packet, 'label')
    return false
  }
}

type Kept = { stock: Stock; own: OwnPacket; tins: OwnTin }

/** What is in the house: stock, packets of the baker's own, tins. */
export const useCupboard = defineStore('cupboard', () => {
  const stock = shallowRef<Stock[]>([])
  const own = shallowRef<OwnPacket[]>([])
  const tins = shallowRef<OwnTin[]>([])
  const loaded = ref(false)
  const lists = { stock, own, tins }

  async function load() {
    await new Promise<void>((resolve) => {
      liveQuery(() => Promise.all([database.stock.toArray(), database.own.toArray(), database.tins.toArray()])).subscribe({
        next: ([s, o, t]) => {
          stock.value = s
          own.value = o.filter(isIngredient)
          tins.value = t.sort((a, b) => a.updatedAt - b.updatedAt)
          introduce(own.value.map(ownIngredient))
          loaded.value = true
          resolve()
        },
        error: () => resolve(),
      })
    })
  }

  const inHouse = computed(() => new Map(stock.value.map((s) => [s.id, s])))
  const grams = computed(() => new Map(stock.value.map((s) => [s.id, s.grams])))
  const shortFor = (recipe: Recipe): { short: Short[]; unknown: number } => shortOf(recipe, grams.value)
  /** What every request says of this kitchen. */
  const common = () => {
    const kitchen = useKitchen()
    return {
      region: kitchen.region,
      own: own.value.map((o) => ({ id: o.id, name: o.name, kind: o.kind, label: o.label, contains: o.contains, gramsPerMl: o.gramsPerMl })),
    }
  }

  function shown<K extends keyof Kept>(table: K, put: Kept[K] | null, id: string) {
    const rest = (lists[table].value as Kept[K][]).filter((x) => x.id !== id)
    ;(lists[table].value as Kept[K][]) = put ? [...rest, put] : rest
    if (table === 'own') introduce(own.value.map(ownIngredient))
  }

  async function write<K extends keyof Kept>(table: K, put: Kept[K] | null, id: string) {
    await useKeeping().write(`${table} ${id}`, 'The cupboard', () =>
      put ? (database[table] as never as { put: (x: Kept[K]) => Promise<unknown> }).put(put) : database[table].delete(id),
    )
    shown(table, put, id)
  }

  /** Puts something in the cupboard, in place of what had its id; `null` takes it out. Undo puts back what was there. */
  async function set<K extends keyof Kept>(label: string, table: K, id: string, next: Omit<Kept[K], 'updatedAt'> | null) {
    const before = (lists[table].value as Kept[K][]).find((x) => x.id === id) ?? null
    const put = next ? (JSON.parse(JSON.stringify({ ...next, updatedAt: revise() })) as Kept[K]) : null
    await write(table, put, id)
    useHistory().did({ label, undo: () => write(table, before, id), redo: () => write(table, put, id) })
  }

  return { stock, own, tins, loaded, load, inHouse, shortFor, common, set }
})
