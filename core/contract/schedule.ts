import { cautionsInStep, type Caution } from '../care/cautions'
import { keepsCold } from '../care/cautions'
import { isoOf, minuteOf } from '../measure/day'
import type { Region } from '../measure/region'
import type { Recipe } from '../recipe/recipe'
import { Refusal } from '../refusal'
import type { Activity, Conflict, Kitchen, Placed, Quiet, Waits } from '../schedule/activity'
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
    /** The part of its recipe that it makes; what puts parts together belongs to none. */
    part?: number
    better?: number
    /** The baker put it there. */
    held?: boolean
    /** What can hurt somebody in it. */
    cautions: Caution[]
  }[]
  startAt: string
  servedAt: string
  /** Minutes from the first start to serving. */
  span: number
  conflicts: Conflict[]
  /** Bakes with something that must keep cold, and how long they are out of the fridge before serving. */
  holding: { bake: string; minutes: number; message: string }[]
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
  waits: Waits
  /** By id of an activity, when it is to start, like 2027-06-12T15:00. */
  held: Record<string, string>
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
    ).flatMap(({ recipe, ...options }) =>
      activitiesOf(recipe, options).map((a) =>
        a.part !== undefined && options.ahead?.includes(a.part) ? { ...a, by: eveningBefore(request.serveAt) } : a,
      ),
    )
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
    activities.filter((a) => !over.has(a.id)).map((a) => wished(a, request)),
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
      label: hotAlready(a, found.activities) ? `The oven is hot from before: see that it stands at ${a.oven!.celsius} °C` : a.label,
      bake: a.bake,
      start: isoOf(a.start),
      end: isoOf(a.end),
      needs: [...(a.handsOn ? ['hands'] : []), ...a.needs],
      handsOn: a.handsOn,
      ...(a.step !== undefined && { step: a.step }),
      ...(a.part !== undefined && { part: a.part }),
      ...(a.better !== undefined && { better: a.better }),
      ...(a.at !== undefined && { held: true }),
      cautions: cautionsInStep(a.label, a.clauses),
    })),
    startAt: isoOf(found.start),
    servedAt: isoOf(served),
    span: found.span,
    conflicts: found.conflicts,
    holding: found.conflicts.length ? [] : [...holdingOf(request, found.activities, served), ...overnight(request)],
  }
}

/** Who works the evening before is in bed by then. */
const EVENING = 22 * 60
const DAY = 1440
/** The minute by which what is made the evening before is over. */
const eveningBefore = (serveAt: string): number => (Math.floor(minuteOf(serveAt) / DAY) - 1) * DAY + EVENING

/** An oven that was in use at the same heat shortly before keeps it, min. */
const KEEPS_HOT = 20

/** Whether heating the oven is no more than a look at it. */
const hotAlready = (a: Placed, all: readonly Placed[]): boolean =>
  a.id.endsWith(':preheat') &&
  all.some(
    (b) =>
      b.id !== a.id &&
      b.bake !== a.bake &&
      b.oven?.celsius === a.oven?.celsius &&
      b.oven?.fan === a.oven?.fan &&
      b.end <= a.start &&
      a.start - b.end <= KEEPS_HOT,
  )

/** An activity with the waits that were chosen, where it was put. */
function wished(a: Activity, { waits, held }: ScheduleRequest): Activity {
  const waiting = !a.handsOn && !a.needs.includes('oven')
  const best =
    !waiting || waits === 'usual'
      ? a.minutes.best
      : waits === 'least'
        ? a.minutes.low
        : Math.max(a.minutes.best, a.better ?? a.minutes.best)
  const at = held[a.id]
  return { ...a, minutes: { ...a.minutes, best }, ...(at && { at: minuteOf(at) }) }
}

/** Two hours out of the cold are the most that food agencies give what is made with cream, custard or soft cheese. */
const OUT_OF_COLD = 120

/** How long each bake that must keep cold stands in the room before it is served. */
function holdingOf(
  request: ScheduleRequest,
  placed: readonly { bake: string; end: number; needs: string[]; handsOn: boolean }[],
  served: number,
) {
  return (request.bakes ?? []).flatMap(({ bake, recipe }) => {
    const lines = recipe.parts.filter((p) => p.role !== 'batter' && p.role !== 'crust').flatMap((p) => p.lines)
    if (!lines.some((l) => l.ingredient && keepsCold(l.ingredient))) return []
    const mine = placed.filter((a) => a.bake === bake)
    // Whatever is done last with hands, or comes out of the cold, begins its time in the room.
    const last = Math.max(0, ...mine.filter((a) => a.needs.includes('fridge') || a.handsOn).map((a) => a.end))
    const minutes = last ? served - last : 0
    const message =
      minutes > OUT_OF_COLD
        ? `“${bake}” would stand ${minutes} minutes in the room after it is done: put it in the fridge until serving, two hours out of it at most. Check with local food-safety advice.`
        : `“${bake}” is out of the cold ${minutes} minutes before it is served; two hours are the most. Check with local food-safety advice.`
    return [{ bake, minutes, message }]
  })
}

/** How what is made the evening before waits. */
function overnight(request: ScheduleRequest): ScheduleAnswer['holding'] {
  return (request.bakes ?? []).flatMap(({ bake, recipe, ahead }) =>
    (ahead ?? []).flatMap((part) => {
      const p = recipe.parts[part]
      if (!p) return []
      const name = p.role === 'batter' ? 'the cake' : p.name.toLowerCase() || 'what is made beside it'
      const cold = p.lines.some((l) => l.ingredient && keepsCold(l.ingredient))
      const how =
        p.role === 'batter'
          ? 'wrapped airtight, once it is quite cold.'
          : cold
            ? 'covered in the fridge. Check with local food-safety advice.'
            : 'covered, in a cool place.'
      const message = `“${bake}”: ${name} waits overnight ${how}`
      return [{ bake, minutes: 0, message }]
    }),
  )
}

/** Fridges have room for several things; the rest is there once unless the kitchen says otherwise. */
const ROOM: Kitchen = { fridge: 4, freezer: 2, hob: 2 }
