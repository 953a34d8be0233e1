/** A timer kept as the moment at which it began: a reload, a locked screen or a closed tab cannot stop it. */
export interface Timer {
  id: string
  label: string
  /** Step of the Counter that it belongs to. */
  step: string
  /** ms since 1970. */
  began: number
  /** Minutes after which it is time, and to look first where that is sooner. */
  minutes: number
  look?: number
  /** It has called, once for each call. */
  called: number
  /** Calls that the baker has heard. */
  heard?: number
}

export interface Running {
  timer: Timer
  /** Seconds that are left; negative once it is over. */
  left: number
  share: number
  /** Time to look, or over. */
  state: 'runs' | 'look' | 'over'
}

/** How a timer stands at a moment, ms since 1970. */
export function standing(timer: Timer, now: number): Running {
  const gone = Math.max(0, now - timer.began) / 1000
  const all = timer.minutes * 60
  const state = gone >= all ? 'over' : timer.look !== undefined && gone >= timer.look * 60 ? 'look' : 'runs'
  return { timer, left: Math.ceil(all - gone), share: all > 0 ? Math.min(1, gone / all) : 1, state }
}

/** Calls that are due and have not been made: first to look, then that it is time. */
export const callsDue = (timer: Timer, now: number): number => {
  const { state } = standing(timer, now)
  return state === 'over' ? 2 : state === 'look' ? 1 : 0
}

/** A timer rings from its call on until it is heard. */
export const rings = (timer: Timer, now: number): boolean => callsDue(timer, now) > (timer.heard ?? 0)

/** The timer with so many minutes more: from now on, where it is over already. What has called by then counts as heard. */
export function longer(timer: Timer, by: number, now: number): Timer {
  const on = { ...timer, minutes: Math.max(timer.minutes, (now - timer.began) / 60_000) + by }
  const due = callsDue(on, now)
  return { ...on, called: due, heard: due }
}

/** "1:05:00", "12:30", "−2:10" for what is over. */
export function clockText(seconds: number): string {
  const s = Math.abs(Math.round(seconds))
  const [h, m, r] = [Math.floor(s / 3600), Math.floor((s % 3600) / 60), s % 60]
  const two = (n: number) => String(n).padStart(2, '0')
  return `${seconds < 0 ? '−' : ''}${h ? `${h}:${two(m)}` : m}:${two(r)}`
}
