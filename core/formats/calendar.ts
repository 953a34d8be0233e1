import { createEvents, type DateArray, type EventAttributes } from 'ics'
import { Refusal } from '../refusal'

/** One thing to do, at times without zone as the kitchen's clock shows them. */
export interface CalendarEntry {
  id: string
  title: string
  notes: string
  /** `2027-06-12T15:00` */
  start: string
  end: string
  /** Whether hands are wanted: only then a reminder rings. */
  handsOn: boolean
}

const parts = (iso: string): DateArray => {
  const [date, time] = iso.split('T') as [string, string]
  const [y, m, d] = date.split('-').map(Number) as [number, number, number]
  const [hour, minute] = time.split(':').map(Number) as [number, number]
  return [y, m, d, hour, minute]
}
/** Minutes before a thing to do at which the calendar rings. */
const RINGS = 5

/**
 * A plan as a calendar file (RFC 5545), in floating time: what the kitchen's clock says, wherever it is read.
 *
 * @param made when the file is made, ms since 1970; the core asks no clock
 */
export function toCalendar(title: string, entries: readonly CalendarEntry[], made: number): string {
  const events: EventAttributes[] = entries.map((e) => ({
    uid: `${e.id.replace(/[^\w.-]+/g, '-')}-${e.start.replace(/\D/g, '')}@kind-crumb`,
    title: e.title,
    description: e.notes,
    start: parts(e.start),
    end: parts(e.end),
    startInputType: 'local',
    startOutputType: 'local',
    endInputType: 'local',
    endOutputType: 'local',
    calName: title,
    productId: 'kind-crumb',
    timestamp: made,
    ...(e.handsOn && { alarms: [{ action: 'display' as const, description: e.title, trigger: { before: true, minutes: RINGS } }] }),
  }))
  const { value, error } = createEvents(events)
  if (!value) throw new Refusal('bad-request', `No calendar could be written: ${error?.message ?? 'it is empty'}.`, 'activities')
  return value
}
