import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { HardNeed } from '../../core/pantry/ingredient'
import type { Option } from '../../core/reformulate/option'
import type { TableAnswer } from '../../core/table/table'
import { ask, CoreRefusal } from '~/kitchen/core'
import { database, type Version } from '~/kitchen/database'
import { useClock } from './clock'
import { useCupboard } from './cupboard'
import { useKitchen } from './kitchen'
import { useShelf } from './shelf'

export interface Group {
  needs: HardNeed[]
  count: number
}
/** A way of a recipe that nobody has saved yet. */
interface Made {
  id: string
  of: Version
  option: Option
  goals: HardNeed[]
}
/** Where the guests are kept. */
const KEY = 'table'
/** So many recipes are tried for what could be made of them: each takes the search a moment. */
const MOST_TRIED = 12
/** And so many are put to the engine at all. */
const MOST_CANDIDATES = 150

/** Guests with their needs, and the fewest bakes that feed them all. */
export const useTable = defineStore('table', () => {
  const groups = ref<Group[]>([
    { needs: [], count: 6 },
    { needs: ['vegan'], count: 2 },
  ])
  const portions = ref(1)
  const answer = shallowRef<TableAnswer | null>(null)
  const made = shallowRef<Made[]>([])
  /** How many recipes have been tried, while it looks. */
  const looking = ref<{ at: number; of: number } | null>(null)
  const refusal = ref('')
  let turn = 0
  let loaded = false

  const guests = computed(() => groups.value.reduce((n, g) => n + g.count, 0))
  const union = computed<HardNeed[]>(() => [...new Set(groups.value.filter((g) => g.count > 0).flatMap((g) => g.needs))])

  async function open() {
    if (!loaded) {
      loaded = true
      const kept = (await database.settings.get(KEY).catch(() => undefined))?.value as { groups: Group[]; portions: number } | undefined
      if (kept?.groups?.length) {
        groups.value = kept.groups
        portions.value = kept.portions
      }
    }
    await compute()
  }

  async function change(next: Group[], each = portions.value) {
    groups.value = next
    portions.value = each
    made.value = []
    await database.settings.put({ key: KEY, value: plain({ groups: next, portions: each }) }).catch(() => undefined)
    await compute()
  }

  /** A conversion is one of the family: a version of its recipe, to be saved when it is chosen. */
  async function compute() {
    const mine = ++turn
    const shelf = useShelf()
    const candidates = [
      ...shelf.versions.slice(0, MOST_CANDIDATES).map((v) => ({ id: v.id, title: titleOf(v), recipe: plain(v.recipe) })),
      ...made.value.map((m) => ({ id: m.id, title: `${m.of.recipe.title}: ${m.option.title}`, recipe: plain(m.option.recipe) })),
    ]
    if (!candidates.length || !groups.value.some((g) => g.count > 0)) {
      answer.value = null
      return
    }
    try {
      const found = await ask('table', {
        guests: plain(groups.value),
        candidates,
        portions: portions.value,
        region: useKitchen().region,
        own: useCupboard().common().own,
        altitudeM: useKitchen().altitudeM,
      })
      if (mine === turn) {
        answer.value = found
        refusal.value = ''
      }
    } catch (error) {
      if (mine === turn)
        refusal.value = error instanceof CoreRefusal ? error.message : 'The table could not be worked out. Your guests are kept.'
    }
  }

  /** Looks what could be made of the recipes on the shelf for everybody's needs at once. */
  async function look() {
    const shelf = useShelf()
    const goals = union.value
    if (!goals.length || looking.value) return
    const recipes = shelf.recipes.slice(0, MOST_TRIED).flatMap((r) => shelf.versionsOf.get(r.id)?.[0] ?? [])
    const found: Made[] = []
    try {
      for (const [i, v] of recipes.entries()) {
        looking.value = { at: i + 1, of: recipes.length }
        const { options } = await ask('reformulate', {
          recipe: plain(v.recipe),
          ...useCupboard().common(),
          boxes: v.boxes,
          altitudeM: useKitchen().altitudeM,
          goals,
          limit: 1,
        }).catch(() => ({ options: [] as Option[] }))
        const option = options[0]
        const sound = option && !option.findings.some((f) => f.severity === 'fault')
        if (sound && option.lines.some((l) => l.status !== 'kept')) found.push({ id: `make:${v.id}`, of: v, option, goals: [...goals] })
      }
    } finally {
      looking.value = null
    }
    made.value = found
    await compute()
  }

  /** Saves what has to be made, and puts every bake on the day, the cleanest first. */
  async function toClock() {
    const ids: string[] = []
    for (const b of answer.value?.bakes ?? []) {
      const m = made.value.find((x) => x.id === b.id)
      ids.push(m ? (await useShelf().saveOption(m.of, m.option, m.goals)).id : b.id)
    }
    const clock = useClock()
    await clock.open()
    await clock.change({ versions: [...new Set(ids)] }, 'the bakes of the table')
    return ids
  }

  return { groups, portions, answer, made, looking, refusal, guests, union, open, change, compute, look, toClock }
})

const titleOf = (v: Version): string => (v.parentId === null ? v.recipe.title : `${v.recipe.title}: ${v.name}`)
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T
