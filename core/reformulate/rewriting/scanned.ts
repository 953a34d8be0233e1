import { scan, type Scan } from '../../language/item'
import type { Region } from '../../measure/region'

/** Every answer of a search looks at the same sentences: what was scanned is kept for a while. Nobody changes it. */
const recent = new Map<string, Scan>()
const MOST_RECENT = 400

/** A sentence of a method, scanned for a kitchen; see `scan`. */
export function scanned(text: string, region: Region): Scan {
  const key = `${region}\n${text}`
  const known = recent.get(key)
  if (known) return known
  const made = scan(text, region)
  if (recent.size >= MOST_RECENT) recent.clear()
  recent.set(key, made)
  return made
}
