import { joined } from '../../method/text'
import { need } from '../../pantry/pantry'
import type { Sheet, Step, StepRole } from './sheet'

/** A school that makes another thing of the mix tells its whole method. */
export function ownMethod(sheet: Sheet): Step[] {
  return sheet.prepared.map((p) => ({ text: p.text, changed: true, why: p.why, role: p.role }))
}

/** A recipe without a method gets one, part by part. */
export function untold(sheet: Sheet): Step[] {
  const steps: Step[] = []
  const put = (text: string, why = '', role?: StepRole) => steps.push({ text, changed: true, why, ...(role && { role }) })
  const of = (part: number, test: (kind: string, id: string) => boolean) =>
    sheet.r.lines
      .filter((l) => l.partIndex === part && l.to > 0 && test(need(l.ingredient).kind, l.ingredient))
      .map((l) => `the ${sheet.name(l.ingredient)}`)
  for (const p of sheet.prepared.filter((x) => x.at === 'start' || x.at === 'before-mixing')) put(p.text, p.why, p.role)
  sheet.r.recipe.parts.forEach((part, i) => {
    const dry = of(i, (kind) => ['flour', 'starch', 'leavener', 'salt', 'cocoa', 'mix', 'binder', 'flavour'].includes(kind))
    const fat = of(i, (kind) => kind === 'fat')
    const sugar = of(i, (kind) => ['sugar', 'syrup', 'sweetener'].includes(kind))
    const wet = of(i, (kind) => ['egg', 'dairy', 'plant-dairy', 'water', 'acid', 'fruit'].includes(kind))
    const last = of(i, (kind) => ['nut', 'finish'].includes(kind))
    if (part.role === 'batter' || part.role === 'crust') {
      if (fat.length || sugar.length) put(`Beat ${joined([...fat, ...sugar])} together.`)
      if (wet.length) put(`Stir in ${joined(wet)}.`)
      if (dry.length) put(`Sift ${joined(dry)} together and stir in until no dry flour shows.`)
      if (last.length) put(`Fold in ${joined(last)}.`)
      for (const p of sheet.prepared.filter((x) => x.at === 'last')) put(p.text, p.why, p.role)
      const oven = sheet.r.oven.after[0]
      if (part.role === 'batter' && sheet.r.baked)
        put(
          `Scrape into the lined tin and bake${oven ? ` at ${oven.celsius} °C` : ''}${oven?.minutes ? ` for ${oven.minutes[0] === oven.minutes[1] ? oven.minutes[0] : `${oven.minutes[0]} to ${oven.minutes[1]}`} minutes` : ''}, until a skewer comes out clean.`,
        )
    } else {
      const all = [...fat, ...sugar, ...wet, ...dry, ...last]
      if (all.length) put(`For the ${part.name.toLowerCase()}, mix ${joined(all)} until smooth.`)
    }
  })
  return steps
}
