import type { Activity, Conflict, Kitchen, Placed, Plan, Quiet } from './activity'

const DAY = 1440
/**
 * From one heat of the oven to another, minutes: home ovens gain or lose about 2 °C a minute near their heat with the
 * door shut (probes in domestic ovens); more than a quarter of an hour no change takes, since the door can be opened.
 */
export const changeHeat = (a: Heat, b: Heat): number =>
  Math.min(15, Math.ceil(Math.abs(a.celsius - b.celsius) / 2) + (a.fan === b.fan ? 0 : 2))
type Heat = NonNullable<Activity['oven']>
/** No cake is planned longer ahead than this, minutes. */
const LONGEST = 7 * DAY
/** Tries of the order of work, and how many tasks may be placed in all of them: small plans are tried often, large ones as time allows. */
const TRIES = 1500
const PLACINGS = 150_000
const REPAIRS = 400
/** Looks at what is taken already, in all tries together: about a second; the first try is always made. */
const MOST_LOOKS = 12_000_000
/** From so many tasks on, what something must follow soon is always placed next to it first. */
const MANY = 20

interface Task {
  a: Activity
  minutes: number
  /** Tasks that start when this is over: what must be placed first, looking back from serving. */
  followers: { at: number; min: number; max: number }[]
  before: number[]
  /** Something must follow it soon. */
  hurried: boolean
}

/**
 * A plan back from serving: everything as late as its order, its things and quiet hours allow.
 *
 * Time runs backwards in here: tasks are placed one after the other, each as late as it fits, in an order of priority;
 * many orders are tried and the one kept whose day begins last. A longest gap that cannot be kept moves what follows
 * it earlier, and the day is planned again.
 *
 * @param serveAt minute at which it is served; `notBefore` the first minute that may be used
 * @param random from 0 to 1, for the orders that are tried; the same numbers give the same plan
 */
export function plan(
  activities: readonly Activity[],
  serveAt: number,
  quiet: readonly Quiet[],
  kitchen: Kitchen,
  options: { notBefore?: number; tries?: number; random?: () => number } = {},
): Plan {
  const tasks = read(activities)
  const circle = cycleIn(tasks)
  const notBefore = options.notBefore ?? serveAt - LONGEST
  const empty = (conflict: Conflict): Plan => ({ activities: [], start: serveAt, span: 0, conflicts: [conflict] })
  if (circle)
    return empty({
      code: 'cycle',
      ids: circle,
      message: `These wait for each other: ${circle.map((id) => activities.find((a) => a.id === id)?.label).join(', ')}.`,
      try: ['Take one of their “after” away.'],
    })
  const lacking = activities.find((a) => a.needs.some((n) => kitchen[n] === 0))
  if (lacking)
    return empty({
      code: 'missing',
      ids: [lacking.id],
      message: `“${lacking.label}” needs ${lacking.needs.find((n) => kitchen[n] === 0)}, and there is none.`,
      try: ['Say that there is one, or take the step out.'],
    })
  const random = options.random ?? seeded(7)
  const tail = tails(tasks)
  const tries = options.tries ?? TRIES
  let left = PLACINGS
  const looks = { left: MOST_LOOKS }
  const bound = Math.max(0, ...tail.map((t, i) => t.span + tasks[i]!.minutes))
  let order = tasks.map((_, i) => tail[i]!.span)
  let best: Trial | null = null
  let bestOrder = order
  for (let n = 0; n < tries; n++) {
    if (n > 0 && (left < 0 || looks.left < 0)) break
    const trial = placeAll(tasks, order, serveAt, quiet, kitchen, notBefore, tasks.length > MANY || n % 4 === 3, looks)
    left -= trial.placings
    if (!best || better(trial, best)) {
      best = trial
      bestOrder = order
    }
    if (best.failed < 0 && best.cost <= bound + 1e-9 && n > 20) break
    order = shaken(bestOrder, random, n)
  }
  const found = best!
  if (found.failed >= 0)
    return { activities: [], start: serveAt, span: 0, conflicts: [why(tasks[found.failed]!.a, tasks, serveAt, notBefore, quiet)] }
  const placed: Placed[] = tasks.map((t, i) => ({ ...t.a, start: serveAt - found.start[i]! - t.minutes, end: serveAt - found.start[i]! }))
  const start = Math.min(serveAt, ...placed.map((p) => p.start))
  return { activities: placed.sort((a, b) => a.start - b.start || a.end - b.end), start, span: serveAt - start, conflicts: [] }
}

interface Trial {
  /** Minutes before serving at which each task ends. */
  start: number[]
  cost: number
  /** Sum of ends, which breaks ties: less waiting about. */
  spread: number
  failed: number
  /** Tasks that were placed on the way, repairs counted. */
  placings: number
}
const better = (a: Trial, b: Trial): boolean =>
  a.failed < 0 !== b.failed < 0 ? a.failed < 0 : a.cost < b.cost - 1e-9 || (a.cost < b.cost + 1e-9 && a.spread < b.spread - 1e-9)

function read(activities: readonly Activity[]): Task[] {
  const at = new Map(activities.map((a, i) => [a.id, i]))
  const tasks: Task[] = activities.map((a) => ({
    a,
    minutes: Math.max(0, Math.round(a.minutes.best)),
    followers: [],
    before: [],
    hurried: false,
  }))
  tasks.forEach((t, i) => {
    for (const p of t.a.after) {
      const j = at.get(p.id)
      if (j === undefined || j === i) continue
      tasks[j]!.followers.push({ at: i, min: p.min ?? 0, max: p.max ?? Infinity })
      if (p.max !== undefined) tasks[j]!.hurried = true
      t.before.push(j)
    }
  })
  return tasks
}

function cycleIn(tasks: readonly Task[]): string[] | null {
  const left = tasks.map((t) => t.followers.length)
  const free = left.flatMap((n, i) => (n === 0 ? [i] : []))
  let done = 0
  while (free.length) {
    const i = free.pop()!
    done++
    for (const j of tasks[i]!.before) if (--left[j]! === 0) free.push(j)
  }
  return done === tasks.length ? null : tasks.flatMap((t, i) => (left[i]! > 0 ? [t.a.id] : []))
}

/** Longest way of work before each task, and after it. */
function tails(tasks: readonly Task[]): { span: number }[] {
  const memo: number[] = []
  const after = (i: number): number =>
    (memo[i] ??= Math.max(0, ...tasks[i]!.followers.map((f) => f.min + tasks[f.at]!.minutes + after(f.at))))
  return tasks.map((_, i) => ({ span: after(i) }))
}

const shaken = (order: readonly number[], random: () => number, n: number): number[] => {
  const strong = n % 3 === 0
  return order.map((x) => (random() < (strong ? 0.5 : 0.15) ? x + (random() - 0.5) * (strong ? 240 : 90) : x))
}

/** Places every task in an order; where a longest gap fails, what follows is held earlier and all is placed again. */
function placeAll(
  tasks: readonly Task[],
  order: readonly number[],
  serveAt: number,
  quiet: readonly Quiet[],
  kitchen: Kitchen,
  notBefore: number,
  urgentFirst: boolean,
  looks: { left: number },
): Trial {
  const held = tasks.map(() => 0)
  let placings = 0
  const most = serveAt - notBefore
  for (let repair = 0; repair < REPAIRS; repair++) {
    const start = tasks.map(() => -1)
    const left = tasks.map((t) => t.followers.length)
    const used = new Map<string, { from: number; to: number; heat?: Heat }[]>()
    let broken = -1
    const ready = left.flatMap((n, i) => (n === 0 ? [i] : []))
    while (ready.length) {
      // What is nearest to serving first; the order decides between those that could go.
      const hurry = (i: number) => (urgentFirst && tasks[i]!.hurried ? 1e6 : 0)
      ready.sort((a, b) => order[a]! - hurry(a) - order[b]! + hurry(b))
      const i = ready.shift()!
      const t = tasks[i]!
      let from = held[i]!
      let until = Infinity
      for (const f of t.followers) {
        const began = start[f.at]! + tasks[f.at]!.minutes
        from = Math.max(from, began + f.min)
        until = Math.min(until, began + f.max)
      }
      if (t.a.by !== undefined) from = Math.max(from, serveAt - t.a.by)
      const wish = t.a.at === undefined ? null : serveAt - t.a.at - t.minutes
      const at = earliest(t, Math.max(from, wish ?? 0), used, kitchen, quiet, serveAt, most, looks)
      if (at === null || (wish !== null && at > wish + 1e-9)) return { start, cost: Infinity, spread: Infinity, failed: i, placings }
      placings++
      if (at > until + 1e-9) {
        // Too long a gap: whatever follows with that gap is held earlier by as much.
        const f = t.followers.find((x) => start[x.at]! + tasks[x.at]!.minutes + x.max < at - 1e-9)!
        held[f.at] = Math.max(held[f.at]!, start[f.at]! + Math.max(1, Math.min(at - f.max, at) - (start[f.at]! + tasks[f.at]!.minutes)))
        broken = i
        break
      }
      start[i] = at
      for (const n of resourcesOf(t.a)) {
        const list = used.get(n) ?? []
        list.push({ from: at, to: at + t.minutes, ...(n === 'oven' && t.a.oven && { heat: t.a.oven }) })
        used.set(n, list)
      }
      for (const j of t.before) if (--left[j]! === 0) ready.push(j)
    }
    if (broken < 0) {
      const cost = Math.max(0, ...start.map((s, i) => s + tasks[i]!.minutes))
      return { start, cost, spread: start.reduce((a, b) => a + b, 0), failed: -1, placings }
    }
    if (repair === REPAIRS - 1 || looks.left < 0) return { start, cost: Infinity, spread: Infinity, failed: broken, placings }
  }
  return { start: [], cost: Infinity, spread: Infinity, failed: 0, placings }
}

const resourcesOf = (a: Activity): string[] => [...new Set([...(a.handsOn ? ['hands'] : []), ...a.needs])]

/** The latest time, as minutes before serving, at which a task can end; `null` where there is none. */
function earliest(
  t: Task,
  from: number,
  used: ReadonlyMap<string, { from: number; to: number; heat?: Heat }[]>,
  kitchen: Kitchen,
  quiet: readonly Quiet[],
  serveAt: number,
  most: number,
  looks: { left: number },
): number | null {
  const { a, minutes } = t
  let at = from
  for (let n = 0; n < 5000; n++) {
    if (at + minutes > most) return null
    let next = at
    for (const r of resourcesOf(a)) {
      const list = used.get(r) ?? []
      looks.left -= list.length
      const room = kitchen[r] ?? 1
      const heat = r === 'oven' ? a.oven : undefined
      // An oven at another heat is in the way, and takes its time to change.
      const gap = (u: { heat?: Heat }) => (heat && u.heat ? changeHeat(heat, u.heat) : 0)
      const other = list.find((u) => gap(u) > 0 && u.from < at + minutes + gap(u) && u.to + gap(u) > at)
      if (other) next = Math.max(next, other.to + gap(other))
      if (minutes > 0 && fullest(list, at, at + minutes) >= room) {
        const over = list.filter((u) => u.from < at + minutes && u.to > at).map((u) => u.to)
        next = Math.max(next, Math.min(...over))
      }
    }
    if (a.handsOn && !a.night && minutes > 0) next = Math.max(next, outOfQuiet(at, minutes, quiet, serveAt))
    if (next <= at + 1e-9) return at
    at = next
  }
  return null
}

/** Most tasks at once on a thing within a span. */
function fullest(list: readonly { from: number; to: number }[], from: number, to: number): number {
  const inside = list.filter((u) => u.from < to && u.to > from)
  if (inside.length < 2) return inside.length
  let most = 0
  for (const u of inside) {
    const moment = Math.max(u.from, from)
    most = Math.max(most, inside.filter((v) => v.from <= moment && v.to > moment).length)
  }
  return most
}

/** Moves a span of hands out of quiet hours: before them, since time runs backwards. */
function outOfQuiet(at: number, minutes: number, quiet: readonly Quiet[], serveAt: number): number {
  let next = at
  for (const q of quiet) {
    const long = (q.to - q.from + DAY) % DAY
    if (!long) continue
    const begin = serveAt - at - minutes
    const end = serveAt - at
    // Quiet of the evening before, of that day, and of the next.
    for (let day = Math.floor(begin / DAY) - 1; day <= Math.floor(end / DAY); day++) {
      const from = day * DAY + q.from
      if (begin < from + long && end > from) next = Math.max(next, serveAt - from)
    }
  }
  return next
}

function why(a: Activity, tasks: readonly Task[], serveAt: number, notBefore: number, quiet: readonly Quiet[]): Conflict {
  if (a.at !== undefined)
    return {
      code: 'held',
      ids: [a.id],
      message: `“${a.label}” cannot be where you put it: what comes after it, or what it needs, leaves no room there.`,
      try: ['Let it go where it fits.', 'Put it earlier, or serve later.'],
    }
  const tied = tasks.filter((t) => t.a.after.some((x) => x.id === a.id && x.max !== undefined)).map((t) => t.a)
  if (tied.length)
    return {
      code: 'gap',
      ids: [a.id, ...tied.map((x) => x.id)],
      message: `“${tied[0]!.label}” must follow “${a.label}” within ${tied[0]!.after.find((x) => x.id === a.id)!.max} minutes, and what they need is taken.`,
      try: [`Allow a longer gap after “${a.label}”.`, 'Serve at another time, or take one bake out of the day.'],
    }
  return {
    code: 'no-time',
    ids: [a.id],
    message: `There is no room for “${a.label}” between now and serving.`,
    try: [
      `Serve later: ${Math.round(serveAt - notBefore)} minutes are not enough.`,
      ...(a.by !== undefined ? ['Make it on the day, and not the evening before.'] : []),
      ...(quiet.length ? ['Allow work in the quiet hours.'] : []),
      'Take the shorter waits.',
    ],
  }
}

/** Numbers between 0 and 1, the same at every run (mulberry32). */
export function seeded(seed: number): () => number {
  let s = seed >>> 0
  return () => {
    s = (s + 0x6d2b79f5) >>> 0
    let t = Math.imul(s ^ (s >>> 15), 1 | s)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}
