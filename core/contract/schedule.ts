import { isoOf, minuteOf } from '../measure/day'
import type { Region } from '../measure/region'
import type { Recipe } from '../recipe/recipe'
import { Refusal } from '../refusal'
import type { Activity, Conflict, Kitchen, Quiet } from '../schedule/activity'
import { activitiesOf, type MethodOptions } from '../schedule/method'
import { plan } from '../schedule/solve'

export interface ScheduleAnswer {
  /** By start; times without zone, as the kitchen's clock shows them. */
  activities: {
    id: string
    label: string
    bake: string
    start: string
    end: string
    needs: string[]
    handsOn: boolean
    step?: number
    better?: number
  }[]
  startAt: string
  servedAt: string
  /** Minutes from the first start to serving. */
  span: number
  conflicts: Conflict[]
}

export interface ScheduleRequest {
  activities?: Activity[]
  bakes?: (MethodOptions & { recipe: Recipe })[]
  recipe?: Recipe
  serveAt: string
  notBefore?: string
  /** Activities that are over: what waited for them need not wait. */
  done: string[]
  quiet: { from: string; to: string; allow?: boolean }[]
  kitchen: Kitchen
  region: Region
}

const clock = (text: string): number => Number(text.slice(0, 2)) * 60 + Number(text.slice(3, 5))

/** A plan back from serving: verb `schedule`. */
export function answerSchedule(request: ScheduleRequest): ScheduleAnswer {
  const activities =
    request.activities ??
    (
      request.bakes ?? [
        { recipe: request.recipe!, bake: request.recipe!.title || 'the cake', tins: request.recipe!.tins.map((t) => t.text) },
      ]
    ).flatMap(({ recipe, ...options }) => activitiesOf(recipe, options))
  if (!activities.length)
    throw new Refusal('bad-request', 'There is nothing to plan: the method says nothing that takes time.', 'activities')
  const ids = new Set<string>()
  for (const a of activities) {
    if (ids.has(a.id)) throw new Refusal('bad-request', `Two activities have the id “${a.id}”.`, 'activities')
    ids.add(a.id)
  }
  const served = minuteOf(request.serveAt)
  if (!Number.isFinite(served)) throw new Refusal('bad-request', 'Say when it is served, like 2027-06-12T15:00.', 'serveAt')
  const quiet: Quiet[] = request.quiet.filter((q) => !q.allow).map((q) => ({ from: clock(q.from), to: clock(q.to) }))
  const over = new Set(request.done)
  const found = plan(
    activities.filter((a) => !over.has(a.id)),
    served,
    quiet,
    { ...ROOM, ...request.kitchen },
    {
      ...(request.notBefore && { notBefore: minuteOf(request.notBefore) }),
    },
  )
  return {
    activities: found.activities.map((a) => ({
      id: a.id,
      label: a.label,
      bake: a.bake,
      start: isoOf(a.start),
      end: isoOf(a.end),
      needs: [...(a.handsOn ? ['hands'] : []), ...a.needs],
      handsOn: a.handsOn,
      ...(a.step !== undefined && { step: a.step }),
      ...(a.better !== undefined && { better: a.better }),
    })),
    startAt: isoOf(found.start),
    servedAt: isoOf(served),
    span: found.span,
    conflicts: found.conflicts,
  }
}

/** Fridges have room for several things; the rest is there once unless the kitchen says otherwise. */
const ROOM: Kitchen = { fridge: 4, freezer: 2, hob: 2 }
