import { liveQuery } from 'dexie'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { useRing } from '~/composables/useRing'
import { database, type Session } from '~/kitchen/database'
import { callsDue, longer as later, rings, standing, type Running, type Timer } from '~/kitchen/timers'
import { revise } from '~/kitchen/revision'
import { useShelf } from './shelf'

/** What runs, and of which bake. */
export interface RunningBake extends Running {
  session: string
  version: string
  title: string
  rings: boolean
}

/** How often the clock is looked at, and how often it rings until it is heard, ms. */
const LOOK_EVERY = 500
const RING_EVERY = 6000

/** Every timer of every bake that goes on, on every screen and in every tab: it rings in one of them until it is heard. */
export const useTimers = defineStore('timers', () => {
  const sessions = shallowRef<readonly Session[]>([])
  const now = ref(Date.now())
  const ring = useRing()
  /** Timers whose ringing is this tab's to do, and when it last did, ms. */
  const mine = new Map<string, number>()
  let clock: ReturnType<typeof setInterval> | undefined

  const running = computed<RunningBake[]>(() =>
    sessions.value
      .flatMap((s) =>
        s.timers.map((t) => ({
          ...standing(t, now.value),
          session: s.id,
          version: s.versionId,
          title: useShelf().versionById(s.versionId)?.recipe.title ?? '',
          rings: rings(t, now.value),
        })),
      )
      .sort((a, b) => Number(b.rings) - Number(a.rings) || a.left - b.left),
  )
  /** What is told first: what rings, else what is over soonest. */
  const first = computed<RunningBake | null>(() => running.value[0] ?? null)

  function take(all: readonly Session[]) {
    sessions.value = all
    if (all.length && clock === undefined) clock = setInterval(() => void look(Date.now()), LOOK_EVERY)
    if (!all.length && clock !== undefined) {
      clearInterval(clock)
      clock = undefined
    }
  }

  /** Follows the bakes of this kitchen, in this tab and others. */
  function load() {
    liveQuery(() =>
      database.sessions.filter((s) => s.finishedAt === null && Array.isArray(s.timers) && s.timers.length > 0).toArray(),
    ).subscribe({
      next: (all) => {
        now.value = Date.now()
        take(all)
      },
      // Where nothing is kept, the Counter's own panel still shows them.
      error: () => undefined,
    })
  }

  /** Changes one timer as it stands on the disk; `null` takes it off. */
  const change = (session: string, timer: string, how: (t: Timer) => Timer | null): Promise<boolean> =>
    database.transaction('rw', database.sessions, async () => {
      const s = await database.sessions.get(session)
      const was = s?.timers.find((t) => t.id === timer)
      if (!s || !was) return false
      const is = how(was)
      if (is === was) return false
      await database.sessions.put({ ...s, timers: s.timers.flatMap((t) => (t.id === timer ? (is ?? []) : [t])), updatedAt: revise() })
      return true
    })

  /** Looks at the clock: the tab that first takes note of a call does the ringing. */
  async function look(at: number) {
    now.value = at
    for (const r of running.value.filter((x) => x.rings)) {
      const due = callsDue(r.timer, at)
      if (due > r.timer.called && (await change(r.session, r.timer.id, (t) => (t.called < due ? { ...t, called: due } : t))))
        mine.set(r.timer.id, 0)
      const rang = mine.get(r.timer.id)
      if (rang !== undefined && at - rang >= RING_EVERY) {
        mine.set(r.timer.id, at)
        ring.ring(r.state === 'look' ? 'Time to look' : 'Time', `${r.timer.label}${r.title ? ` · ${r.title}` : ''}`)
      }
    }
    for (const id of mine.keys()) if (!running.value.some((r) => r.timer.id === id && r.rings)) mine.delete(id)
  }

  const heard = (r: RunningBake) => change(r.session, r.timer.id, (t) => ({ ...t, heard: callsDue(t, Date.now()) }))
  const longer = (r: RunningBake, by: number) => change(r.session, r.timer.id, (t) => later(t, by, Date.now()))
  const stop = (r: RunningBake) => change(r.session, r.timer.id, () => null)

  return { running, first, now, load, look, take, heard, longer, stop }
})
