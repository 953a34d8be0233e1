import { celsiusOf, dialsIn, type Dial, type Heat, type Time } from '../language/dial'
import { ABBREVIATED } from '../language/item'
import { tokenise, wordsBetween, type Token } from '../language/token'
import type { Region } from '../measure/region'
import { COOLEST_OVEN, HOTTEST_OVEN, temperatureTrouble } from '../measure/temperature'
import type { Oven } from './recipe'

/** A text that may say how hot and how long: a step of the method, or a line above it. */
export interface Source {
  text: string
  /** Lines above the method are believed less than its steps. */
  step: boolean
}

const OVEN_WORDS = /\b(?:ovens?|owens?|preheat\w*|bak\w+|otg|convection|fan|conventional|static|moderate|heat)\b/
const NO_OVEN =
  /\b(?:syrup|thermometer|internal\w*|reaches|sugar|thread|stage|caramel|custard|milk|tempered|melt\w*|probe|simmer\w*|boil\w*|whites)\b/
const TURNED =
  /\b(?:reduce|reduced|lower|lowered|turn (?:it |the oven |the heat )?(?:down|up|to)|turn|drop|decrease|raise|increase|then|after)\b/

/** The oven's temperature in words, °C: usual tables of British and American cookery. */
const OVEN_IN_WORDS: readonly (readonly [RegExp, number])[] = [
  [/\bvery (?:slow|cool|low)\b/, 130],
  [/\bmoderately (?:slow|cool)\b/, 165],
  [/\b(?:slow|cool|low)\b/, 150],
  [/\bmoderate(?:ly)? hot\b/, 190],
  [/\b(?:mod|moderate|medium)\b/, 180],
  [/\b(?:hot|quick)\b/, 200],
]

/** Where nothing is said, cakes are baked at moderate heat. */
export const MODERATE = 180

interface Setting {
  celsius: number
  fan: boolean
  /** Where it stands: source, and characters of its sentence. */
  source: number
  at: number
  to: number
  score: number
  turned: boolean
  readings: { celsius: number; fan: boolean; scale: 'C' | 'F' | 'gas' }[]
}

/** Dials side by side are one setting: "180C/160C fan/gas 4", "350 °F (175 °C)". */
function dialGroups(t: readonly Token[], heats: readonly Heat[]): Heat[][] {
  const groups: Heat[][] = []
  for (const h of heats) {
    const last = groups.at(-1)?.at(-1)
    const between = last ? wordsBetween(t, last.to, h.from) : ''
    if (
      last &&
      h.from - last.to <= 6 &&
      !/\b(?:then|minutes?|mins?|for|reduce|lower|turn|after|\.)\b|[;.]/.test(between) &&
      !/\bto\b/.test(between)
    )
      groups.at(-1)!.push(h)
    else groups.push([h])
  }
  return groups
}

const sentenceEnds = (t: readonly Token[], i: number): boolean =>
  /^[.;!?]$/.test(t[i]!.text) &&
  !(t[i]!.text === '.' && ABBREVIATED.test(t[i - 1]?.word ?? '') && t[i + 1]?.kind === 'number') &&
  (t[i + 1] === undefined || /^[\p{Lu}\d"“(]/u.test(t[i + 1]!.text)) &&
  t[i]!.to < (t[i + 1]?.from ?? Infinity)

/** Tokens of the sentence around token `i`. */
function sentenceAround(t: readonly Token[], i: number): [number, number] {
  let from = i
  let to = i
  while (from > 0 && !sentenceEnds(t, from - 1)) from--
  while (to < t.length && !sentenceEnds(t, to)) to++
  return [from, to]
}

/** "Bake at 350 for 30 minutes", "oven to 180": a bare number beside the oven's words is its dial. */
export function bareHeats(t: readonly Token[], dials: readonly Dial[]): Heat[] {
  return t.flatMap((x, i) => {
    if (x.kind !== 'number' || x.value! < 100 || x.value! > 500 || dials.some((d) => i >= d.from && i < d.to)) return []
    const before = wordsBetween(t, Math.max(0, i - 7), i)
    const after = wordsBetween(t, i + 1, i + 4)
    if (/^(?:g|gr|gram|grams|ml|kcal|kg|watts?|w|years)\b/.test(after)) return []
    const ovenBefore =
      /\b(?:oven|owen|bake|baked|baking|preheat\w*|heat)\b/.test(before) && !/\d/.test(before.split(/oven|bake|heat/).at(-1) ?? '')
    // "Bake 25-30 min at 350"
    const at = /^(?:at|@)$/.test(t[i - 1]?.word ?? '') && /\b(?:oven|owen|bake|baked|baking|cook)\b/.test(before)
    const ovenAfter = /^(?:degrees|oven|fan|for \d|f oven|c oven|, \d+ min|- \d)/.test(after)
    if (!ovenBefore && !ovenAfter && !at) return []
    return [
      {
        kind: 'heat',
        value: x.value!,
        fan: /\bfan\b/.test(wordsBetween(t, i - 2, i) + ' ' + (t[i + 1]?.word ?? '')),
        from: i,
        to: i + 1,
      } as const,
    ]
  })
}

function settingsOf(source: Source, index: number, region: Region): Setting[] {
  const t = tokenise(source.text)
  const dials = dialsIn(t)
  const said = dials.filter((d): d is Heat => d.kind === 'heat')
  const heats = said.length ? said : bareHeats(t, dials)
  return dialGroups(t, heats).flatMap((group) => {
    const readings = group.map((h) => ({
      celsius: celsiusOf(h, region),
      fan: h.fan,
      scale: h.scale ?? (celsiusOf(h, region) === h.value ? ('C' as const) : ('F' as const)),
    }))
    const main = readings.find((r) => !r.fan && r.scale !== 'gas') ?? readings.find((r) => r.scale !== 'gas') ?? readings[0]!
    const first = group[0]!
    const [from, to] = sentenceAround(t, first.from)
    const before = wordsBetween(t, Math.max(from, first.from - 12), first.from)
    const after = wordsBetween(t, group.at(-1)!.to, Math.min(to, group.at(-1)!.to + 5))
    const near = wordsBetween(t, Math.max(from, first.from - 7), first.from)
    if (NO_OVEN.test(`${near} ${wordsBetween(t, group.at(-1)!.to, Math.min(to, group.at(-1)!.to + 3))}`) && !/oven|bake/.test(before))
      return []
    // "whisk until 40 °C": of what is in the bowl.
    if (
      main.celsius < COOLEST_OVEN &&
      /\b(?:until|till|to|reaches|about)$/.test(before) &&
      !/\b(?:oven|owen|bake|baking|preheat\w*|otg)\b/.test(before)
    )
      return []
    const turned = TURNED.test(near)
    const score =
      (source.step ? 1 : /\b(?:oven|bake|baking)\b/i.test(source.text) ? 1 : 0) +
      (OVEN_WORDS.test(before) ? 2 : 0) +
      (OVEN_WORDS.test(after) ? 0.5 : 0) -
      (main.fan ? 0.8 : 0) -
      (turned ? 1 : 0)
    return [{ celsius: main.celsius, fan: main.fan, source: index, at: first.from, to: group.at(-1)!.to, score, turned, readings }]
  })
}

interface Timing {
  minutes: [number, number]
  source: number
  at: number
  score: number
}

const OTHER_ACTS =
  /\b(?:cool\w*|rest|stand|chill\w*|fridge|freez\w*|soak\w*|leave|beat|whisk|whip|mix|simmer|boil|stir|knead|sit|cream|refrigerate|set|wait|steep|melt|microwave|cook|prove|prep|soften|process|blend|infuse)\b/

/** Baked without an oven: in a pot, a pressure cooker, a steamer, under coals. */
const ON_THE_FIRE = /\b(?:flame|lid|cooker|kadai|coals?|charcoal|steamer|fire|gas)\b/

/** How likely a time is that of the main bake. */
function timingsOf(source: Source, index: number): Timing[] {
  const t = tokenise(source.text)
  const whole = source.text.toLowerCase()
  return dialsIn(t)
    .filter((d): d is Time => d.kind === 'time')
    .flatMap((d) => {
      const micro = /microwave/.test(whole)
      const [from, to] = sentenceAround(t, d.from)
      const sentence = wordsBetween(t, from, d.from)
      const after = wordsBetween(t, d.to, Math.min(to, d.to + 12))
      const near = wordsBetween(t, Math.max(from, d.from - 9), d.from)
      // "Bake for 3 minutes, then turn it down": a first blast is a bake.
      const blast = /\bbake(?: (?:it|them))?(?: for)?$/.test(near) && d.high >= 2
      if ((d.high < 4 && !micro && !blast) || d.low > 480) return []
      let score = source.step ? (/\b(?:bak\w*|oven|owen|deg\w*|toothpick|skewer|kadai)\b|°|º/.test(whole) ? 0.9 : 0.2) : -1.5
      if (
        /\b(?:bake|bakes|baked|baking(?! (?:powder|soda|paper|parchment|sheet|tray|tin|dish)))\b/.test(sentence) ||
        /\b(?:return|returns|put|pop|place|slide|goes?|back)\b[^.]*\b(?:in|into|to)\b[^.]*\boven\b/.test(sentence)
      )
        score += 3
      else if (/\b(?:oven|cook|steam|microwave|°|degrees|c|f|gas)\b/.test(sentence)) score += 1.6
      else if (ON_THE_FIRE.test(sentence) && !/\b(?:empty|ready|preheat\w*)\b/.test(sentence)) score += 1.6 + (/leave/.test(near) ? 2.5 : 0)
      else if (/\b(?:bake|baked|oven|toothpick|skewer|golden)\b/.test(after)) score += 1.3
      if (OTHER_ACTS.test(near) && !/bak/.test(near)) score -= 2.5
      if (/preheat[^.]*$/.test(sentence) && !/bake/.test(sentence)) score -= 1.5
      if (/\b(?:last|after|first|another|more|every|turn|rotate|halfway|remove|until cool|cool|further)\b[^,]{0,12}$/.test(near))
        score -= 1.2
      // Of two times that may be meant the longer is more likely the bake.
      score += Math.min(0.5, d.high / 120)
      if (/^\+/.test(after)) score -= 1
      // "15 min in the pan, then lift out"
      if (/^in (?:the |its )?(?:pan|tin)s?\b.*\b(?:then|lift|turn|flip|out|rack)\b/.test(after) && !/\b(?:bak\w*|oven)\b/.test(sentence))
        score -= 3
      // "OR in a cooker, 45 min"
      if (/^(?:or|alternatively)\b/.test(sentence)) score -= 2
      if (/\b(?:before|not|don't|only after)\b[^,]{0,14}$/.test(near)) score -= 2
      if (d.high < 8) score -= 0.8
      if (/\b(?:until|till|test|toothpick|skewer|golden)\b/.test(after)) score += 0.4
      if (!source.step && /prep|total|chill|active|soak|rest|ready/.test(near)) score -= 3
      if (/^(?:before|ahead|later|earlier)\b/.test(after)) score -= 3
      return [{ minutes: [Math.round(d.low), Math.round(d.high)] as [number, number], source: index, at: d.from, score }]
    })
}

/** Two settings within this many °C are one oven told twice. */
const SAME_SETTING = 12

/** How a page says that its cake is baked. */
export interface ReadOven {
  oven: Oven[]
  /** Dials that cannot all be meant, in words, with the readings. */
  trouble?: { message: string; celsius: number[] }
}

/**
 * How hot and how long the cake is baked: the likeliest setting and time, then the stages that the recipe turns to.
 */
export function readOven(sources: readonly Source[], region: Region): ReadOven {
  const settings = sources.flatMap((s, i) => settingsOf(s, i, region))
  const odd = settings.find((s) => temperatureTrouble(s.readings))
  const trouble = odd && { message: temperatureTrouble(odd.readings)!, celsius: [...new Set(odd.readings.map((r) => r.celsius))] }
  const usable = settings.filter((s) => s.celsius >= COOLEST_OVEN && s.celsius <= HOTTEST_OVEN + 30)
  const timings = sources.flatMap((s, i) => timingsOf(s, i))
  const time = best(timings, (x, i) => x.score - i * 0.05)
  const minutes = time && time.score > 0 ? andAgain(time, timings, sources) : undefined
  const main = best(usable, (x, i) => x.score - i * 0.1)
  if (!main) {
    const worded = sources.map((s) => ovenInWords(s.text)).find((c) => c !== undefined)
    if (worded === undefined && !minutes) return { oven: [], ...(trouble && { trouble }) }
    return {
      oven: [{ celsius: worded ?? MODERATE, fan: false, minutes: minutes ?? null, ...(worded === undefined && { assumed: true }) }],
      ...(trouble && { trouble }),
    }
  }
  const oven: Oven[] = [{ celsius: main.celsius, fan: main.fan, minutes: minutes ?? null }]
  stagesAfter(main, usable, timings, sources, oven)
  return { oven, ...(trouble && { trouble }) }
}

/** "Bake for 20 minutes … Bake for another 20 minutes": one bake, told in two goes. */
function andAgain(first: Timing, timings: readonly Timing[], sources: readonly Source[]): [number, number] {
  let [low, high] = first.minutes
  for (const x of timings) {
    if (x.source < first.source || (x.source === first.source && x.at <= first.at)) continue
    const t = tokenise(sources[x.source]!.text)
    const [from] = sentenceAround(t, x.at)
    const words = wordsBetween(t, from, x.at)
    if (!/\b(?:bake|cook|oven)\b[^.]*\b(?:another|a further|a final)$/.test(words) || /\bif\b/.test(words)) continue
    low += x.minutes[0]
    high += x.minutes[1]
  }
  return [low, high]
}

/** A later setting that the oven is turned to, with the time that follows it, is a stage of the same bake. */
function stagesAfter(
  main: Setting,
  settings: readonly Setting[],
  timings: readonly Timing[],
  sources: readonly Source[],
  oven: Oven[],
): void {
  let last = main
  for (const s of settings) {
    if (s.source < last.source || (s.source === last.source && s.at <= last.at)) continue
    if (Math.abs(s.celsius - last.celsius) <= SAME_SETTING || !s.turned || !sources[s.source]!.step) continue
    const following = timings.find((x) => x.source === s.source && x.at > s.at && x.score > -1)
    const preceding = timings
      .filter((x) => x.source === s.source && x.at < s.at && (s.source !== last.source || x.at > last.at) && x.score > 0)
      .at(-1)
    if (!following) continue
    if (oven.length === 1) {
      const own = preceding ?? timings.filter((x) => x.source === last.source && x.at > last.at && x.score > 0)[0]
      if (own && own !== following) oven[0]!.minutes = own.minutes
    }
    oven.push({ celsius: s.celsius, fan: s.fan, minutes: following.minutes })
    last = s
  }
}

function ovenInWords(text: string): number | undefined {
  const m =
    /\b((?:very |moderately |moderate |mod\.? ?)?(?:slow|cool|low|moderate|mod|medium|hot|quick)(?: hot)?)\.?\s+(?:\w+ )?oven\b/i.exec(text)
  return m ? OVEN_IN_WORDS.find(([words]) => words.test(m[1]!.toLowerCase()))?.[1] : undefined
}

function best<T>(list: readonly T[], value: (x: T, i: number) => number): T | undefined {
  let top: T | undefined
  let most = -Infinity
  list.forEach((x, i) => {
    const v = value(x, i)
    if (v > most) [most, top] = [v, x]
  })
  return top
}
