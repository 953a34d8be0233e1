import { isWheatFlour } from '../../swaps/gluten/flour'
import { methodSigns } from '../../balance/method'
import { isGroup, isLine, type Clause } from '../../method/step'
import { dropFromList, phraseOf } from '../../method/text'
import { ingredientOf, need } from '../../pantry/pantry'
import type { AddedStep } from '../../swaps/school'
import { before, FLOURS, MIXING, type Place, type Sheet, type StepRole, type Work } from './sheet'

/** Grams of new flour for which a rest is worth its while. */
const LEAST_TO_REST = 60

/** Minutes from which soda that is wet has spent its gas by the time the cake sets. */
const LONG_WAIT = 15

/**
 * Where the recipe itself lets its batter stand in the bowl with soda in it: the soda goes in behind that.
 *
 * @returns the clause of the rest
 */
export function ownRest(sheet: Sheet): Place | undefined {
  if (!sheet.r.lines.some((l) => l.ingredient === 'baking-soda' && l.to > 0 && sheet.batterParts.has(l.partIndex))) return undefined
  const at = (c: Clause, w: Work): Place => ({ work: sheet.works.indexOf(w), clause: w.clauses.indexOf(c) })
  // A dough that is shaped by hand takes no soda afterwards; its rest is short of water for soda to spend itself.
  if (methodSigns(sheet.r.recipe).rolled) return undefined
  const flour = sheet.lastFlour()
  const tin = sheet.tinClause()
  const rest = sheet.firstClauseOf(
    (c, w) =>
      c.act === 'rest' &&
      sheet.batterParts.has(c.part) &&
      c.minutes !== undefined &&
      c.minutes[1] >= LONG_WAIT &&
      flour !== undefined &&
      before(flour, at(c, w)) &&
      (!tin || before(at(c, w), tin)),
  )
  if (!rest) return undefined
  const late = sheet.firstClauseOf(
    (c, w) => before(rest, at(c, w)) && c.things.some((t) => (isLine(t) && t.ingredient === 'baking-soda') || isGroup(t)),
  )
  return late ? undefined : rest
}

/** A batter with soda cannot wait: it rests without, where the soda goes in with the flour; else it does not rest. */
export function restWith(sheet: Sheet): Sheet['resting'] {
  if (sheet.r.foam || !sheet.r.changes.some((c) => c.school.steps.some((x) => x.rests))) return 'no'
  if (sheet.r.egg?.foams && sheet.whipped()) return 'no'
  // A dough that is rolled or pressed into its tin is no batter.
  if (methodSigns(sheet.r.recipe).rolled) return 'no'
  // A spoon of flour that thickens a filling is no batter that must drink.
  // Neither is a crust or a crumble, which is pressed dry.
  const pressed = (l: { partIndex: number }) => ['crust', 'topping'].includes(sheet.r.recipe.parts[l.partIndex]!.role)
  const flour = sheet
    .added()
    .reduce((sum, l) => (['flour', 'starch'].includes(need(l.ingredient).kind) && !pressed(l) ? sum + l.to : sum), 0)
  if (flour < LEAST_TO_REST) return 'no'
  const all = sheet.works.flatMap((w) => w.clauses)
  // Fruit salt foams at once and is spent at once.
  if (sheet.result('fruit-salt')) return 'no'
  const mixed = all.findLastIndex((c) => MIXING.has(c.act) && sheet.batterParts.has(c.part))
  // It rests as it is.
  if (all.some((c, i) => i > mixed && c.act === 'rest' && c.minutes && c.minutes[1] >= 15 && all.slice(i).some((x) => x.act === 'bake')))
    return 'no'
  if (!sheet.result('baking-soda')) return 'plain'
  const clauses = all.filter((c) => c.things.some((t) => isLine(t) && t.ingredient === 'baking-soda'))
  // Unnamed, it is wet with all the other dry things.
  const comesNow = !sheet.r.lines.some((l) => l.ingredient === 'baking-soda' && l.from > 0)
  if (!clauses.length) return comesNow ? 'soda-late' : 'no'
  return clauses.every((c) => c.things.some((t) => isLine(t) && FLOURS.has(ingredientOf(t.ingredient)?.kind ?? ''))) ? 'soda-late' : 'no'
}

/** Share of a batter from which its wheat flour makes the crumb: cheesecakes and custards hold less. */
const WHEATEN = 0.15

function wheaten(sheet: Sheet): boolean {
  const lines = sheet.r.lines.filter((l) => sheet.batterParts.has(l.partIndex))
  const sum = (xs: typeof lines) => xs.reduce((a, l) => a + l.to, 0)
  const wheat = lines.filter((l) => isWheatFlour(need(l.ingredient)))
  return sum(wheat) > WHEATEN * sum(lines)
}

/** Steps that schools bring along. */
export function collectSchoolSteps(sheet: Sheet) {
  const { egg } = sheet.r
  const fried = sheet.works.some((w) => w.clauses.some((c) => c.act === 'fry')) && !sheet.lastBake()
  const put = (s: AddedStep, told: string, of = '', holds?: string) => {
    const text = fried
      ? told.replace('just before the tin', 'just before the first one is fried')
      : methodSigns(sheet.r.recipe).mug
        ? told.replace('just before the tin', 'just before it is cooked')
        : told
    if (s.rests && sheet.resting === 'no') return
    if (s.wheat && !wheaten(sheet)) return
    if (s.text.includes('{soda}') && !sheet.result('baking-soda')) return
    if (s.text.includes('{acid}') && !sheet.r.lines.some((l) => l.to > l.from && need(l.ingredient).kind === 'acid')) return
    const rest = s.rests && sheet.resting === 'soda-late'
    const words = rest
      ? `Let the batter stand for 20 minutes. Only then sift ${sheet.nameTold(sheet.result('baking-soda')!)} over it and stir it in quickly.`
      : text
    const role: StepRole = s.rests ? 'rest' : s.at === 'after' ? 'test' : s.at === 'last' && !s.warns ? 'add' : 'prepare'
    if (!sheet.prepared.some((p) => p.text === words))
      sheet.prepared.push({ text: words, why: s.why, role, at: s.rests ? 'last' : s.at, of, ...(holds && { holds }) })
  }
  for (const s of egg?.steps ?? []) {
    put(s, sheet.fill(s.text), egg!.id, s.mixes && sheet.carrier(egg!.brings[0]?.any))
    if (s.text.includes('{acid}')) for (const l of sheet.r.lines) if (l.to > l.from && need(l.ingredient).kind === 'acid') sheet.say(l)
    if (s.text.includes('{tied}'))
      for (const x of egg!.brings[0]?.with?.[0]?.any ?? [])
        sheet
          .added()
          .filter((l) => l.ingredient === x)
          .forEach((l) => sheet.say(l))
  }
  for (const { school, brought } of sheet.r.changes) {
    const fat = brought.find((id) => need(id).kind === 'fat')
    for (const s of school.steps) {
      if (s.text.includes('{fat}') && !fat) continue
      const id = brought[0]
      if (s.text.includes('{brought}') && id)
        sheet
          .added()
          .filter((l) => l.ingredient === id)
          .forEach((l) => sheet.say(l))
      put(
        s,
        sheet
          .fill(s.text)
          .replaceAll('{brought}', id ? sheet.name(id) : 'it')
          .replaceAll('{fat}', fat ? sheet.name(fat) : 'fat')
          .replaceAll('{crumbs}', sheet.name(brought.find((x) => need(x).kind === 'finish') ?? 'biscuit-crumbs')),
      )
    }
  }
  if (sheet.resting === 'soda-late' || sheet.sodaAfter) for (const l of sheet.r.lines) if (l.ingredient === 'baking-soda') sheet.say(l)
}

/** Soda that is wet does not wait: where the batter rests, it leaves its list and goes in after. */
export function takeSodaOut(sheet: Sheet) {
  for (const work of sheet.works)
    for (const m of work.scan.mentions) {
      if (m.id !== 'baking-soda') continue
      const at = work.scan.tokens[m.from]!.from
      const clause = work.clauses.find((c) => at >= c.span[0] && at < c.span[1])
      if (!clause || !sheet.batterParts.has(clause.part)) continue
      const np = phraseOf(work.scan, m)
      const others = work.scan.mentions
        .filter((x) => x !== m)
        .map((x) => ({ from: work.scan.tokens[x.from]!.from, to: work.scan.tokens[x.to - 1]!.to }))
      const edits = dropFromList(work.text, np, ...clause.span, others)
      if (edits) work.edits.push(...edits)
    }
}
