/** Says where a value does not hold, as a path (`''` is the value itself); `null` where it holds. */
export type Shape = (value: unknown) => string | null

const when =
  (holds: (v: unknown) => boolean): Shape =>
  (v) =>
    holds(v) ? null : ''

export const text = when((v) => typeof v === 'string')
export const flag = when((v) => typeof v === 'boolean')
/** Neither NaN nor endless: a sum of it means something. */
export const number = when((v) => typeof v === 'number' && Number.isFinite(v))
export const anything = when((v) => v !== undefined)
const isRecord = (v: unknown): v is Record<string, unknown> => typeof v === 'object' && v !== null && !Array.isArray(v)
const below = (key: string, path: string): string => (path ? `${key}.${path}` : key)

export const maybe =
  (shape: Shape): Shape =>
  (v) =>
    v === null || v === undefined ? null : shape(v)

export const list =
  (shape: Shape): Shape =>
  (v) => {
    if (!Array.isArray(v)) return ''
    for (const [i, x] of v.entries()) {
      const path = shape(x)
      if (path !== null) return below(String(i), path)
    }
    return null
  }

/** Any keys, each with such a value. */
export const book =
  (shape: Shape): Shape =>
  (v) => {
    if (!isRecord(v)) return ''
    for (const [key, x] of Object.entries(v)) {
      const path = shape(x)
      if (path !== null) return below(key, path)
    }
    return null
  }

/** These keys at least; others are nobody's business. */
export const record =
  (fields: Readonly<Record<string, Shape>>): Shape =>
  (v) => {
    if (!isRecord(v)) return ''
    for (const [key, shape] of Object.entries(fields)) {
      const path = shape(v[key])
      if (path !== null) return below(key, path)
    }
    return null
  }
