import type { Time } from '../../language/dial'
import type { Scan } from '../../language/item'
import { heatsOf, reheated, retimed } from '../../method/clock'
import type { Clause } from '../../method/step'
import type { Sheet } from './sheet'

/** Times and temperatures of the main bake follow the oven; all dials of a pair together. */
export function followOven(sheet: Sheet) {
  const { before, after } = sheet.r.oven
  if (!before.length || !after.length) return
  const heat = after[0]!.celsius - before[0]!.celsius
  const last = before.findLastIndex((o) => o.minutes)
  const minutes = last >= 0 && after[last]?.minutes ? after[last].minutes[0] - before[last]!.minutes![0] : 0
  let told = false
  let timed = false
  const bakes = sheet.works.flatMap((w) =>
    w.clauses
      .filter((c) => (c.act === 'bake' || (c.act === 'heat-oven' && c.minutes)) && c.minutes && bakesMain(sheet, c))
      .map((c) => ({ w, c })),
  )
  const longest = bakes.reduce<(typeof bakes)[number] | undefined>((a, b) => (!a || b.c.minutes![1] >= a.c.minutes![1] ? b : a), undefined)
  for (const w of sheet.works) {
    const clauseAt = (token: number) => {
      const at = w.scan.tokens[token]!.from
      return w.clauses.find((x) => at >= x.span[0] && at < x.span[1])
    }
    if (heat)
      for (const h of heatsOf(w.scan)) {
        if (!['bake', 'heat-oven'].includes(clauseAt(h.from)?.act ?? '')) continue
        w.edits.push(reheated(w.scan, h, heat, sheet.r.region === 'us'))
        told = true
        w.why.add(sheet.r.oven.why)
      }
    const time = minutes && longest?.w === w ? longestOf(w.scan, longest.c) : undefined
    if (!time) continue
    w.edits.push(retimed(w.scan, time, minutes))
    timed = true
    w.why.add(sheet.r.oven.why)
  }
  // "Time: 25–30 minutes" stands above the steps: the same time, by its numbers, where no clause that bakes has one.
  const written = last >= 0 ? before[last]!.minutes! : undefined
  if (minutes && !timed && written)
    for (const w of sheet.works) {
      const same = w.scan.dials.find(
        (d): d is Time => d.kind === 'time' && Math.round(d.low) === written[0] && Math.round(d.high) === written[1],
      )
      const clause =
        same && w.clauses.find((c) => w.scan.tokens[same.from]!.from >= c.span[0] && w.scan.tokens[same.from]!.from < c.span[1])
      if (!same || (clause && !OF_OVEN.has(clause.act))) continue
      w.edits.push(retimed(w.scan, same, minutes))
      timed = true
      w.why.add(sheet.r.oven.why)
      break
    }
  sheet.r.oven.says.forEach((s, i) => {
    const covered = i === 0 && heat ? told : timed
    if (!covered) sheet.prepared.push({ ...s, role: 'oven', at: 'after' })
  })
}

/** Acts beside which the time of the bake may be told. */
const OF_OVEN: ReadonlySet<string> = new Set(['bake', 'heat-oven', 'ready-tin', 'other'])

function bakesMain(sheet: Sheet, c: Clause): boolean {
  return sheet.batterParts.has(c.part) || sheet.r.recipe.parts.length === 1 || sheet.r.recipe.parts[c.part]?.role !== 'crust'
}

/** The longest time told within a clause. */
function longestOf(s: Scan, c: Clause): Time | undefined {
  const times = s.dials.filter(
    (d): d is Time => d.kind === 'time' && s.tokens[d.from]!.from >= c.span[0] && s.tokens[d.from]!.from < c.span[1],
  )
  return times.reduce<Time | undefined>((a, b) => (!a || b.high > a.high ? b : a), undefined)
}
