/** Two changes of one record brought together. */
export interface Merged<T> {
  value: T
  /** Both changed the same field, and ours stands. */
  clash: boolean
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b)
const isRecord = (x: unknown): x is Record<string, unknown> => typeof x === 'object' && x !== null && !Array.isArray(x)

/**
 * Brings together what two tabs made of one record: field by field, and line by line where neither added or took away
 * lines. Where both changed the same thing, ours stands.
 *
 * @param base what both began with
 */
export function merge3<T>(base: T, ours: T, theirs: T): Merged<T> {
  if (same(ours, base)) return { value: theirs, clash: false }
  if (same(theirs, base) || same(ours, theirs)) return { value: ours, clash: false }
  if (isRecord(base) && isRecord(ours) && isRecord(theirs)) {
    let clash = false
    const value: Record<string, unknown> = {}
    for (const key of new Set([...Object.keys(ours), ...Object.keys(theirs)])) {
      const m = merge3(base[key], ours[key], theirs[key])
      clash ||= m.clash
      if (m.value !== undefined) value[key] = m.value
    }
    return { value: value as T, clash }
  }
  if (Array.isArray(base) && Array.isArray(ours) && Array.isArray(theirs) && ours.length === base.length && theirs.length === base.length) {
    const all = base.map((b, i) => merge3<unknown>(b, ours[i], theirs[i]))
    return { value: all.map((m) => m.value) as T, clash: all.some((m) => m.clash) }
  }
  return { value: ours, clash: true }
}
