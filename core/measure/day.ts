/**
 * Days since 1970-01-01 of a date of the common calendar, and back: arithmetic only, no clock and no time zone.
 * Eras of 400 years with March as their first month (the usual civil-from-days method).
 */
export function dayOf(year: number, month: number, date: number): number {
  const y = month <= 2 ? year - 1 : year
  const era = Math.floor(y / 400)
  const ofEra = y - era * 400
  const ofYear = Math.floor((153 * (month + (month > 2 ? -3 : 9)) + 2) / 5) + date - 1
  return era * 146_097 + ofEra * 365 + Math.floor(ofEra / 4) - Math.floor(ofEra / 100) + ofYear - 719_468
}

export function dateOf(day: number): [year: number, month: number, date: number] {
  const z = day + 719_468
  const era = Math.floor(z / 146_097)
  const ofEra = z - era * 146_097
  const year = Math.floor((ofEra - Math.floor(ofEra / 1460) + Math.floor(ofEra / 36_524) - Math.floor(ofEra / 146_096)) / 365)
  const ofYear = ofEra - (365 * year + Math.floor(year / 4) - Math.floor(year / 100))
  const shifted = Math.floor((5 * ofYear + 2) / 153)
  const month = shifted < 10 ? shifted + 3 : shifted - 9
  return [year + era * 400 + (month <= 2 ? 1 : 0), month, ofYear - Math.floor((153 * shifted + 2) / 5) + 1]
}

/** Minutes since 1970 of "2027-06-12T15:00", a time without zone; not a number where it is no date. */
export function minuteOf(iso: string): number {
  const m = /^(\d{4})-(\d\d)-(\d\d)T(\d\d):(\d\d)/.exec(iso)
  if (!m) return NaN
  const [year, month, date, hour, minute] = m.slice(1).map(Number) as [number, number, number, number, number]
  const day = dayOf(year, month, date)
  const back = dateOf(day)
  if (back[1] !== month || back[2] !== date || hour > 23 || minute > 59) return NaN
  return day * 1440 + hour * 60 + minute
}

export function isoOf(minute: number): string {
  const day = Math.floor(minute / 1440)
  const [year, month, date] = dateOf(day)
  const two = (n: number) => String(n).padStart(2, '0')
  const rest = Math.round(minute - day * 1440)
  return `${String(year).padStart(4, '0')}-${two(month)}-${two(date)}T${two(Math.floor(rest / 60))}:${two(rest % 60)}`
}
