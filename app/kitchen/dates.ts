import type { Region } from '../../core/measure/region'

/** How a region writes days and hours: for fields that are typed into (dayjs) and for what is only read (Intl). */
export interface DateWords {
  day: string
  moment: string
  hour: string
  locale: string
}

const ELSEWHERE: DateWords = { day: 'D MMM YYYY', moment: 'D MMM YYYY, HH:mm', hour: 'HH:mm', locale: 'en-GB' }
const BY_REGION: Partial<Record<Region, DateWords>> = {
  us: { day: 'MMM D, YYYY', moment: 'MMM D, YYYY, h:mm A', hour: 'h:mm A', locale: 'en-US' },
}

export const dateWords = (region: Region): DateWords => BY_REGION[region] ?? ELSEWHERE

/** "Saturday 12 June" of `2027-06-12`. */
export const dayName = (iso: string, region: Region): string =>
  new Date(`${iso.slice(0, 10)}T12:00`).toLocaleDateString(dateWords(region).locale, { weekday: 'long', day: 'numeric', month: 'long' })

/** "Sat 15:00" of `2027-06-12T15:00`; the hour alone on the day that is meant anyway. */
export function momentName(iso: string, region: Region, onDay?: string): string {
  const hour = new Date(iso).toLocaleTimeString(dateWords(region).locale, { hour: 'numeric', minute: '2-digit' })
  if (onDay?.slice(0, 10) === iso.slice(0, 10)) return hour
  return `${new Date(iso).toLocaleDateString(dateWords(region).locale, { weekday: 'short' })} ${hour}`
}

/** "15:00" or "3 PM", for an axis: of `2027-06-12T15:00`. */
export const hourName = (iso: string, region: Region): string =>
  region === 'us' && iso.endsWith(':00')
    ? new Date(iso).toLocaleTimeString('en-US', { hour: 'numeric' })
    : new Date(iso).toLocaleTimeString(dateWords(region).locale, { hour: 'numeric', minute: '2-digit' })

/** A day that is long past needs its year: "12 Jun 2027" of milliseconds. */
export const dateName = (ms: number, region: Region, year = true): string =>
  new Date(ms).toLocaleDateString(dateWords(region).locale, { day: 'numeric', month: 'short', ...(year && { year: 'numeric' as const }) })
