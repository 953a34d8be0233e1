import { HEATS_OVEN } from '../recipe/words'
import type { Recipe } from '../recipe/recipe'
import { methodSigns } from '../balance/method'
import type { Activity } from './activity'

/** What a sentence of a method asks of a kitchen, where it does not say: minutes, and what is used. Data, first match wins. */
interface Kind {
  any: RegExp
  minutes: readonly [low: number, best: number, high: number]
  handsOn: boolean
  needs: readonly string[]
  better?: number
  /** Part of getting the batter ready: the oven must not wait long after it. */
  mixing?: boolean
}
const KINDS: readonly Kind[] = [
  { any: HEATS_OVEN, minutes: [12, 18, 25], handsOn: false, needs: ['oven'] },
  { any: /\b(overnight)\b/i, minutes: [360, 480, 900], handsOn: false, needs: ['fridge'], better: 720 },
  { any: /\b(freez\w+|in the freezer)\b/i, minutes: [30, 60, 120], handsOn: false, needs: ['freezer'] },
  { any: /\b(chill|refrigerat\w+|in the fridge|fridge)\b/i, minutes: [30, 60, 180], handsOn: false, needs: ['fridge'], better: 120 },
  { any: /\b(bake|into the (hot )?oven|in the oven)\b/i, minutes: [20, 30, 40], handsOn: false, needs: ['oven'] },
  { any: /\b(steam)\b/i, minutes: [30, 40, 50], handsOn: false, needs: ['hob'] },
  { any: /\b(fry|cr[eê]pe pan|frying pan|skillet|griddle|on the pan|each side)\b/i, minutes: [20, 30, 45], handsOn: true, needs: ['hob'] },
  { any: /\b(boil|simmer|cook|reduce|melt|dissolve|heat|warm)\b/i, minutes: [4, 8, 15], handsOn: true, needs: ['hob'] },
  {
    any: /\b(whip|whisk|beat)\b.*\b(egg|white|aquafaba|foam|peaks|ribbon|thick|volume|cream)\b/i,
    minutes: [6, 9, 14],
    handsOn: true,
    needs: ['mixer'],
    mixing: true,
  },
  { any: /\b(cream|beat|whip)\b/i, minutes: [4, 6, 10], handsOn: true, needs: ['mixer'], mixing: true },
  {
    any: /\b(sandwich|fill|frost|ice|spread|pipe|coat|decorat\w+|layer|stack|drizzle|glaze|pour over)\b/i,
    minutes: [8, 15, 30],
    handsOn: true,
    needs: [],
  },
  { any: /\b(cool|cold|leave in the tin|turn out|on a rack)\b/i, minutes: [40, 60, 120], handsOn: false, needs: [] },
  { any: /\b(soak|rest|stand|leave|wait|gel|thicken)\b/i, minutes: [5, 10, 30], handsOn: false, needs: [] },
  { any: /\b(grease|line|butter|flour) .*\b(tin|pan|tray|cases?)\b/i, minutes: [3, 5, 8], handsOn: true, needs: [] },
  {
    any: /\b(fold|stir|mix|combine|whisk|add|loosen|sift|rub|divide|spoon|pour|scrape|mash|grate|chop|crush)\b/i,
    minutes: [2, 4, 7],
    handsOn: true,
    needs: [],
    mixing: true,
  },
]
const FALLBACK: Kind = { any: /./, minutes: [3, 5, 8], handsOn: true, needs: [] }

/** Coolness of a cake that may be frosted: at least, usual, better; in the tin first. */
const COOLS: readonly [number, number, number] = [45, 60, 120]
/** Firm butter softens in about an hour in a room of 20 °C; half an hour in pieces. */
const SOFTENS: readonly [number, number, number] = [30, 60, 120]
const PREHEAT: readonly [number, number, number] = [12, 18, 25]
/** Words for what the plan has as cooling already. */
const COOLING = /\bcool|\bcold\b|\b(?:turn|take) (?:it |them )?out\b|\bin the tin\b|\bon(?:to)? a rack\b|\bunmould/i
const OVEN_NOTE = /^(?:Bake for .* now,|Set the oven to|In a dark or glass tin)/
/** Soda with acid, or a foam, does not wait; powder does a little (design: soured batter within ten minutes). */
const BATTER_WAITS = { quick: 10, slow: 25 }
/** An oven that is hot may be kept so. */
const HOT_WAITS = 30

/** "25 to 30 minutes", "about 1 hour", "1½ h": the minutes that a sentence gives. */
export function minutesIn(text: string): [number, number, number] | null {
  const number = '(\\d+(?:[.,]\\d+)?)\\s*(½|¼|¾)?'
  const m = new RegExp(`${number}(?:\\s*(?:to|–|-|or)\\s*${number})?\\s*(hours?|hrs?|h|minutes?|mins?|min)\\b`, 'i').exec(text)
  if (!m) return null
  const part = (c?: string) => (c === '½' ? 0.5 : c === '¼' ? 0.25 : c === '¾' ? 0.75 : 0)
  const unit = /^h/i.test(m[5]!) ? 60 : 1
  const low = (Number(m[1]!.replace(',', '.')) + part(m[2])) * unit
  const high = m[3] ? (Number(m[3].replace(',', '.')) + part(m[4])) * unit : low
  return [Math.round(low), Math.round((low + high) / 2), Math.round(high)]
}

/** A correction that the baker made to a step; it stays with the recipe. */
export interface StepFix {
  minutes?: number
  handsOn?: boolean
  needs?: string[]
  /** The step is left out of the plan. */
  off?: boolean
}
export interface MethodOptions {
  /** Stands before ids and after labels, so that several bakes share a day. */
  bake: string
  /** Minutes in the oven, from the simulation; else what the recipe says. */
  oven?: { low: number; best: number; high: number }
  /** By step, from 0: what the baker put right. */
  fixes?: Partial<Record<number, StepFix>>
  /** Tins hold it from batter until it is turned out. */
  tins?: readonly string[]
  /** What is done after the cake has cooled, in place of the method's own last steps. */
  finish?: readonly { text: string; hands: number; wait: number; cold: boolean }[]
}

/** Every step of a recipe as things to do and to wait for, in order, with the preheating and softening that nobody writes down. */
export function activitiesOf(recipe: Recipe, options: MethodOptions): Activity[] {
  const { bake, fixes = {} } = options
  const list: Activity[] = []
  const id = (name: string | number) => `${bake}:${name}`
  const set = recipe.oven[0]
  const oven = set ? { celsius: set.celsius, fan: set.fan } : { celsius: 180, fan: false }
  const signs = methodSigns(recipe)
  const soda = recipe.parts.some((p) => p.lines.some((l) => l.ingredient === 'baking-soda'))
  const batterWaits = signs.whipped || soda ? BATTER_WAITS.quick : BATTER_WAITS.slow
  const steps = recipe.method.flatMap((text, step) => pieces(text).map((piece) => ({ text: piece, step })))
  const triple = ([low, best, high]: readonly [number, number, number]) => ({ low, best, high })
  let last: { id: string; min?: number; max?: number } | null = null
  let mixed = false
  let baked = false
  let firstMixing: string | null = null
  const push = (a: Omit<Activity, 'bake' | 'after'> & { after?: Activity['after'] }, chain = true) => {
    list.push({ ...a, bake, after: [...(a.after ?? []), ...(chain && last ? [last] : [])] })
    if (chain) last = { id: a.id }
  }
  const ovenMinutes = () => {
    const said = set?.minutes
    return options.oven ?? (said ? { low: said[0], best: Math.round((said[0] + said[1]) / 2), high: said[1] } : null)
  }
  const bakeStep = (name: string | number, label: string, given: [number, number, number] | null, step?: number) => {
    const minutes = ovenMinutes() ?? triple(given ?? [20, 30, 40])
    list.push({
      id: id('preheat'),
      label: `Heat the oven to ${oven.celsius} °C${oven.fan ? ', fan' : ''}`,
      bake,
      minutes: triple(PREHEAT),
      handsOn: false,
      needs: ['oven'],
      oven,
      after: [],
    })
    push({
      id: id(name),
      label,
      minutes: { low: Math.round(minutes.low), best: Math.round(minutes.best), high: Math.round(minutes.high) },
      handsOn: false,
      needs: ['oven', ...(options.tins ?? []).map((t) => `tin:${t}`)],
      oven,
      after: [{ id: id('preheat'), max: HOT_WAITS }],
      ...(step !== undefined && { step }),
    })
    if (mixed) list.at(-1)!.after = list.at(-1)!.after.map((x) => (x.id === id('preheat') ? x : { ...x, max: batterWaits }))
    baked = true
    push({
      id: id('cool'),
      label: 'Cool: ten minutes in the tin, then on a rack',
      minutes: triple(COOLS),
      handsOn: false,
      needs: [],
      better: COOLS[2],
    })
  }
  for (const [n, { text, step }] of steps.entries()) {
    const fix = fixes[step]
    if (fix?.off) continue
    const kind = KINDS.find((k) => k.any.test(text)) ?? FALLBACK
    const heating = kind === KINDS[0]
    // Cooling and heating stand in the plan already.
    if (
      heating ||
      (baked && COOLING.test(text) && !/\b(sandwich|fill|frost|ice|spread|pipe|soak|poke|pour|brush|chill|fridge)\b/i.test(text))
    )
      continue
    // What the oven does differently is said of the baking that stands in the plan.
    if (baked && OVEN_NOTE.test(text)) continue
    if (!baked && kind.needs.includes('oven')) {
      bakeStep(n, text, minutesIn(text), step)
      continue
    }
    if (options.finish && baked) continue
    const given = minutesIn(text)
    const minutes = fix?.minutes !== undefined ? ([fix.minutes, fix.minutes, fix.minutes] as const) : (given ?? kind.minutes)
    const needs = fix?.needs ?? [...kind.needs]
    push({
      id: id(n),
      label: text,
      minutes: triple(minutes),
      handsOn: fix?.handsOn ?? kind.handsOn,
      needs,
      ...(kind.better && { better: kind.better }),
      step,
    })
    if (!baked) {
      mixed = true
      if (kind.mixing) firstMixing ??= id(n)
    }
  }
  // Thin sheets are cooked in a pan.
  if (!baked && !signs.crepe && recipe.parts.some((p) => p.role === 'batter')) bakeStep('bake', `Bake at ${oven.celsius} °C`, null)
  const soft = recipe.parts.some((p) => p.lines.some((l) => /\bsoft/i.test(l.text) && /butter|block|cream-cheese/.test(l.ingredient ?? '')))
  if (soft && firstMixing) {
    list.push({
      id: id('soften'),
      label: 'Take the butter out to soften',
      bake,
      minutes: triple(SOFTENS),
      handsOn: false,
      needs: [],
      after: [],
    })
    list.find((a) => a.id === firstMixing)!.after.push({ id: id('soften'), max: 180 })
  }
  for (const [n, s] of (options.finish ?? []).entries()) {
    if (!s.hands && !s.cold) continue
    if (s.hands)
      push({
        id: id(`f${n}`),
        label: s.text,
        minutes: triple([Math.round(s.hands * 0.8), s.hands, Math.round(s.hands * 1.5)]),
        handsOn: true,
        needs: [],
      })
    if (s.wait)
      push({
        id: id(`w${n}`),
        label: s.cold ? 'Chill' : 'Wait',
        minutes: triple([s.wait, s.wait, s.wait * 2]),
        handsOn: false,
        needs: s.cold ? ['fridge'] : [],
        better: s.wait * 2,
      })
  }
  return list
}

/** Sentences of a step that are things of their own: "Cool, then sandwich with jam." */
function pieces(text: string): string[] {
  const sentences = text
    .replace(/^\s*\d+[.)]\s*/, '')
    .split(/(?<=[.!])\s+(?=[A-Z])|;\s+/)
    .flatMap((s) => {
      const [before, after] = s.split(/,?\s+(?:and|then)\s+(?=bake\b)|,\s+(?=bake\b)/i)
      return after && before ? [before, after.charAt(0).toUpperCase() + after.slice(1)] : [s]
    })
  return sentences.map((s) => s.trim()).filter(Boolean)
}
