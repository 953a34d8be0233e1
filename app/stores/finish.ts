import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { HARD_NEEDS, type HardNeed } from '../../core/pantry/ingredient'
import type { BuildAnswer } from '../../core/contract/build'
import type { Place, Places } from '../../core/finish/amounts'
import type { Tin } from '../../core/recipe/recipe'
import { ask, CoreRefusal } from '~/kitchen/core'
import { revise } from '~/kitchen/revision'
import { needsMet } from '~/kitchen/finder'
import { database, type FinishSetup, type Version } from '~/kitchen/database'
import { useCupboard } from './cupboard'
import { useHistory } from './history'
import { useKeeping } from './keeping'
import { useKitchen } from './kitchen'

/** What stands in the oven, as far as its finish goes. */
export type Standing = 'stack' | 'cupcakes' | 'tray' | 'crepes' | 'loaf' | 'ring'

const SHAPES: Partial<Record<Tin['shape'], Standing>> = {
  cupcake: 'cupcakes',
  rect: 'tray',
  sheet: 'tray',
  crepe: 'crepes',
  loaf: 'loaf',
  ring: 'ring',
  fluted: 'ring',
}
export const standingOf = (v: Version): Standing => SHAPES[v.recipe.tins[0]?.shape ?? 'round'] ?? 'stack'

/** Places that a cake of a shape has. */
export const PLACES_OF: Record<Standing, readonly Place[]> = {
  stack: ['filling', 'dam', 'crumbCoat', 'coat', 'top', 'drip', 'border', 'rosettes'],
  cupcakes: ['wells', 'swirls', 'top'],
  tray: ['top', 'filling', 'border', 'rosettes'],
  crepes: ['filling', 'top'],
  loaf: ['top', 'coat', 'drip'],
  ring: ['top', 'drip'],
}

/** How much of a place a baker usually gives (science §9: crumb coat 1.5–2 mm, last coat 4–6, filling 5–8). */
export const USUAL: { [P in Place]: NonNullable<Places[P]> } = {
  filling: { mm: 6 },
  dam: { nozzleMm: 12 },
  crumbCoat: { mm: 2 },
  coat: { mm: 5 },
  top: { mm: 5 },
  border: { nozzleMm: 10 },
  rosettes: { count: 8, nozzleMm: 12 },
  swirls: { nozzleMm: 12 },
  wells: { ml: 8 },
  drip: {},
}
const CREPE_CREAM_MM = 2

/** A component for a place, where the recipe has none of its own. */
const USUAL_KIND: Record<Standing, string> = {
  stack: 'butter-icing',
  cupcakes: 'butter-icing',
  tray: 'butter-icing',
  crepes: 'whipped-cream',
  loaf: 'glaze',
  ring: 'glaze',
}

/** A finish to begin with: what the recipe brings along, in its usual places. */
export function firstSetup(v: Version): FinishSetup {
  const standing = standingOf(v)
  const own = (...roles: string[]) => {
    const at = v.recipe.parts.findIndex((p) => roles.includes(p.role) && p.lines.length > 0)
    return at >= 0 ? `own:${at}` : undefined
  }
  const frosting = own('frosting', 'topping')
  const filling = own('filling')
  const main = frosting ?? USUAL_KIND[standing]
  const places: Places = {}
  if (standing === 'stack') {
    places.filling = { ...USUAL.filling, component: filling ?? main }
    // A sandwich with a filling of its own stays bare unless the baker wants it otherwise.
    if (frosting || !filling) places.top = { ...USUAL.top, component: main }
  } else if (standing === 'cupcakes') {
    places.swirls = { ...USUAL.swirls, component: main }
    if (filling) places.wells = { ...USUAL.wells, component: filling }
  } else if (standing === 'crepes') places.filling = { mm: CREPE_CREAM_MM, component: filling ?? main }
  else places.top = { mm: standing === 'tray' ? 5 : 2, component: frosting ?? filling ?? main }
  return {
    cut: { split: 1, trimMm: 0, rolled: false },
    places,
    soak: own('soak') ? 'own' : null,
    colours: {},
    wants: [],
    sparePct: 10,
    wholePackages: false,
  }
}

/** Needs that a finish must not break when the cake meets them: whoever eats the one eats the other. */
const FOLLOWED: readonly HardNeed[] = ['vegan', 'gluten-free']

/** What goes on a version, and what comes of it. */
export const useFinish = defineStore('finish', () => {
  const version = shallowRef<Version | null>(null)
  const setup = ref<FinishSetup | null>(null)
  const answer = shallowRef<BuildAnswer | null>(null)
  const refusal = ref('')
  let turn = 0

  /** What the finish must be: what the version was made for and its cake already is, unless the baker says otherwise. */
  const needs = computed<HardNeed[]>(() => {
    const v = version.value
    if (!v) return []
    if (setup.value?.needs) return setup.value.needs
    const cake = { ...v, recipe: { ...v.recipe, parts: v.recipe.parts.filter((p) => p.role === 'batter' || p.role === 'crust') } }
    const met = needsMet(cake)
    return HARD_NEEDS.filter((n) => v.goals.includes(n) || (FOLLOWED.includes(n) && met.has(n)))
  })

  async function open(v: Version) {
    if (version.value?.id === v.id && setup.value) return compute()
    version.value = v
    answer.value = null
    setup.value = null
    const kept = await database.finishes.get(v.id).catch(() => undefined)
    if (version.value !== v) return
    setup.value = copy(kept?.setup ?? firstSetup(v))
    await compute()
  }

  /** What the engine is asked for a set-up. */
  const request = (v: Version, s: FinishSetup) => {
    const kitchen = useKitchen()
    return {
      recipe: v.recipe,
      ...useCupboard().common(),
      boxes: v.boxes,
      altitudeM: kitchen.altitudeM,
      roomC: kitchen.roomC,
      cut: s.cut,
      places: s.places,
      ...(s.soak && { soak: s.soak }),
      colours: s.colours,
      goals: [...needs.value, ...s.wants],
      sparePct: s.sparePct,
      wholePackages: s.wholePackages,
    }
  }

  /** An answer that comes too late is dropped. */
  async function compute() {
    const v = version.value
    const s = setup.value
    if (!v || !s) return
    const mine = ++turn
    try {
      const found = await ask('build', copy(request(v, s)))
      if (mine !== turn) return
      answer.value = found
      refusal.value = ''
    } catch (error) {
      if (mine === turn)
        refusal.value = error instanceof CoreRefusal ? error.message : 'The finish could not be worked out. Your recipe is kept.'
    }
  }

  async function put(v: Version, s: FinishSetup) {
    if (version.value?.id === v.id) {
      setup.value = copy(s)
      await compute()
    }
    const kept = { id: v.id, setup: copy(s), updatedAt: revise() }
    await useKeeping().write(`finish ${v.id}`, 'The finish', () => database.finishes.put(kept))
  }

  async function change(next: Partial<FinishSetup>, label: string) {
    const v = version.value
    if (!v || !setup.value) return
    const before = copy(setup.value)
    const after = copy({ ...before, ...next })
    useHistory().did({ label, undo: () => put(v, before), redo: () => put(v, after) })
    await put(v, after)
  }

  /** Gives a place a component and its measures, or takes it off. */
  function place<P extends Place>(p: P, next: Places[P] | null, label: string) {
    if (!setup.value) return
    const places: Places = { ...setup.value.places, [p]: next ?? undefined }
    if (!next) delete places[p]
    return change({ places }, label)
  }

  return { version, setup, answer, refusal, needs, open, compute, change, place, request }
})

const copy = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T
