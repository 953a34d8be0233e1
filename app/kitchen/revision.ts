let last = 0

/** Takes note of a stamp that was read, so that what is done from here on counts as later. */
export function seen(at: number): void {
  if (at > last) last = at
}

/**
 * The stamp of a change: the clock's time, but always later than every stamp seen so far, in this tab or read from the
 * store. A clock that was set back, or a record from a kitchen whose clock runs ahead, thus undoes nothing.
 *
 * @returns ms since 1970, or a little more
 * @source hybrid logical clocks (Kulkarni et al. 2014), without their counter: a ms more serves as well here
 */
export function revise(): number {
  last = Math.max(Date.now(), last + 1)
  return last
}
