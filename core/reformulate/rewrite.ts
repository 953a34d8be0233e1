import { HEATS_OVEN } from '../recipe/words'
import { nameOf, need } from '../pantry/pantry'
import type { Region } from '../measure/region'
import type { ChangeSchool } from '../swaps/change'
import type { AddedStep, School } from '../swaps/school'
import { MINUTES, putOven } from './oven'
import type { OvenStep } from './oven'

export interface Step {
  text: string
  changed: boolean
  why: string
}

/** What the rewriter must know of an answer. */
export interface Rewriting {
  region: Region
  egg?: School
  /** Amounts in the kitchen's words of everything new, by ingredient id. */
  added: readonly { ingredient: string; kitchen: string }[]
  /** Ingredient ids that gave way to others. */
  replaced: readonly { from: string; to: string }[]
  /** Schools that changed by degree, with what each brought. */
  changes: readonly { school: ChangeSchool; brought: readonly string[] }[]
  /** Ingredient ids of lines that left. */
  removed: readonly string[]
  /** What the oven does differently. */
  ovenSteps: readonly OvenStep[]
  /** The recipe has soda of its own, which stays. */
  keepsSoda?: boolean
  /** The batter is a whipped foam: it waits for nothing. */
  foam: boolean
  /** It goes into an oven, not a pan. */
  baked: boolean
  /** Sugar against the fat that it is creamed with. */
  sugarOverFat: number
}

/** Past this much sugar to a part of fat, creaming takes longer: there is little fat to hold the air. */
const SUGARY = 1.25

const EGG_PHRASE =
  /\b(?:the\s+)?(?:(?:beaten|whole|large|medium|remaining|room[- ]temperature)\s+)*eggs?(?:\s+mixture)?\b(?![- ](?:free|replacer|yolk|white))(?:,?\s+(?:one (?:by one|at a time|after another)|gradually|in turns|beaten))?/gi
const PART_OF_EGG = /\b(?:the\s+)?(?:egg\s+)?(?:yolks?|whites?)\b/gi
const FOAMING = /\b(whip|whisk|beat)\w*\b[^.;]*\b(thick|ribbon|peaks?|stiff|foam|volume|triple|pale|mousse)\b/i
const EGG_WORD = /\b(eggs?|yolks?|whites?)\b(?![- ](?:free|replacer))/i

const BAKES = /\b(bake|in the oven|into the (?:hot )?oven)\b|\b\d{3}\s?°?\s?[CF]\b.*\bmin/i

const LIQUID = /\b(?:liquids?|milk|water|juice|coffee|oil|buttermilk|wet)\b/i

/** Fat and sugar beaten to hold air, however it is called. */
const CREAMS = /\bcream\b(?! cheese| of\b)|\bbeat\b[^.]*\b(?:butter|margarine|spread|sticks|sugar)\b[^.]*\b(?:pale|light|fluffy|creamy)\b/i
const FLOUR = /\bflours?\b|\bthe dry\b|\bdry (?:things|ingredients|mix(?:ture)?)\b/i
const INTO_TIN =
  /\b(?:spread|scrape|pour|spoon|divide|tip|turn|fill|put|smooth|transfer)\w*\b[^.]*\b(?:tins?|pans?|cases?|moulds?|dish|springform)\b|\binto (?:the |a |two |its )?(?:\w+ )?(?:tins?|pans?|cases?|springform)\b/i

/** Whether a step takes the batter out of its bowl: into the tin, or straight to the oven. */
const leavesBowl = (text: string): boolean => INTO_TIN.test(text) || BAKES.test(text)

/** Whether a batter is mixed, flour and all, before it goes into its tin: then something can be done between. */
function mixedFirst(method: readonly string[]): boolean {
  const flourAt = method.findLastIndex((t) => FLOUR.test(t) && !INTO_TIN.test(t))
  return flourAt >= 0 && method.some((t, i) => i > flourAt && leavesBowl(t))
}

const SEPARATES = /^separate\b[^.,;]*\b(?:eggs?|yolks?|whites?)\b[^.,;]*\.?$/i
/** What is folded in along with a foam that is no more: "whip the whites and fold in with the nuts" leaves the nuts. */
function foldedIn(text: string): string {
  const what = /\bfold\b(?:\s+(?:them|it|this|these|in|into|the whites))*\s+(?:with|together with)\s+(?:the\s+)?([^.;]+)/i.exec(text)?.[1]
  return what && !EGG_WORD.test(what) ? `Fold in the ${what.trim()}.` : ''
}

/** Where the flour takes turns with what is beaten in: behind what goes in along with it, such as zest. */
const TURNS = '\uE002'
const IN_TURNS = /\uE002( with (?:the )?[a-z]+(?: [a-z]+)?)?(?=[,.;]|$)/i

/** Where one sentence ends and the next begins. */
const SENTENCES = /(?<=[.!])\s+(?=[A-Z\d])/
/** A paragraph in which eggs or the tin are one of several things is taken apart: what changes must not take the rest along. */
const apart = (text: string): string[] => (EGG_WORD.test(text) || leavesBowl(text) ? text.split(SENTENCES) : [text])

const capital = (s: string): string => s.replace(/^./, (c) => c.toUpperCase())

/** What a replaced ingredient may be called in a method. */
const CALLED: Record<string, RegExp> = {
  'butter-unsalted': /\bbutter\b(?! ?icing|cream|milk)/gi,
  'butter-salted': /\bbutter\b(?! ?icing|cream|milk)/gi,
  'milk-whole': /\bmilk\b/gi,
  'milk-semi-skimmed': /\bmilk\b/gi,
  'milk-skimmed': /\bmilk\b/gi,
  buttermilk: /\bbuttermilk\b/gi,
  'yogurt-plain': /\b(?:yogh?urt|curd)\b/gi,
  'sour-cream': /\bsour(?:ed)? cream\b|(?<=\b(?:in|the|and|with) )cream\b(?! cheese| of| until| together)/gi,
  'cream-heavy': /\b(?:double |heavy |whipping )?cream\b(?! cheese| of| the| until| together)/gi,
  'cream-cheese': /\bcream cheese\b/gi,
  honey: /\bhoney\b/gi,
  water: /\b(?:hot |boiling |cold )?water\b/gi,
  'oil-vegetable': /\b(?:vegetable )?oil\b/gi,
  'condensed-milk': /\b(?:sweetened )?condensed milk\b/gi,
  semolina: /\b(?:semolina|sooji|suji|rava)\b/gi,
  'flour-almond': /\b(?:ground almonds|almond flour|almonds)\b/gi,
}

/** Any other thing by its own names; flours stay "the flour", whatever they are made of. */
function ownNames(id: string): RegExp | undefined {
  const { kind, names } = need(id)
  if (kind === 'flour' || kind === 'starch' || kind === 'egg') return undefined
  const escaped = [...names]
    .filter((n) => n.length > 3)
    .sort((a, b) => b.length - a.length)
    .map((n) => n.replace(/[.*+?^${}()|[\]\\]/g, '\\$&').replace(/s$/, ''))
  return escaped.length ? new RegExp(`\\b(?:${escaped.join('|')})(?:s|es)?\\b`, 'gi') : undefined
}

/** Things that may leave a mix for good, and how a method speaks of them. */
const GOES: Record<string, string> = {
  'baking-powder': 'baking powder',
  'baking-soda': '(?:baking soda|bicarbonate of soda|bicarb|soda)',
  water: 'water',
  'oil-vegetable': '(?:vegetable )?oil',
}

/** Takes the words for something out of an enumeration: "flour, powder and salt" → "flour and salt". */
function without(text: string, word: string): string {
  return text
    .replace(
      new RegExp(
        `(,\\s*|\\s+and\\s+|\\s+with\\s+)(?:the\\s+)?${word}\\b(?=\\s*(?:[,.;]|$|(?:and|for|until|then|to|together|on)\\b))`,
        'gi',
      ),
      '',
    )
    .replace(new RegExp(`\\b(?:the\\s+)?${word}(?:,\\s*|\\s+and\\s+)`, 'gi'), '')
}

/**
 * Rewrites a method for what changed: eggs' place in each step, the school's own steps with their waiting times,
 * other names, and "at once into the oven" where the lift is spent early. Unchanged steps come back as they were.
 */
export function rewriteMethod(given: readonly string[], r: Rewriting): Step[] {
  const method = given.flatMap(apart)
  const name = (id: string) => nameOf(need(id), r.region)
  const amount = (id: string) => r.added.find((a) => a.ingredient === id)?.kitchen
  const school = r.egg
  const carrierOf = (any: readonly string[]) => any.find((id) => r.added.some((a) => a.ingredient === id))
  const carrier = school && carrierOf(school.brings[0]?.any ?? [])
  const tied = school && carrierOf(school.brings[0]?.with?.[0]?.any ?? [])
  const gum = school && carrierOf(school.brings[0]?.with?.[1]?.any ?? [])
  const soda = r.added.some((a) => a.ingredient === 'baking-soda')
  const acid = r.added.find((a) => need(a.ingredient).kind === 'acid')?.ingredient
  // Flours that drink slowly let the batter rest: soda that is wet would not wait, nor would a foam. Both go in after it.
  const waits = mixedFirst(method) && !r.foam && r.changes.some((c) => c.school.steps.some((s) => s.rests))
  const lateSoda = waits && (soda || r.keepsSoda === true) && school?.atOnce === true && !school.foams
  const fill = (text: string) =>
    text
      // More of what was in it already is new as well.
      .replaceAll('{carrier}', name(carrier ?? school?.brings[0]?.any[0] ?? 'water'))
      .replaceAll('{gum}', gum ? name(gum) : 'gum')
      .replaceAll('{tied}', tied ? name(tied) : 'acid')
      .replaceAll('{soda}', name('baking-soda'))
      .replaceAll('{acid}', acid ? name(acid) : 'acid')
      // Without soda nothing foams yet.
      .replace(/\bfoaming /, soda && !lateSoda ? 'foaming ' : '')
  // What takes an old liquid's place is spoken of where that one was.
  const inPlace = new Set(r.replaced.map((x) => x.to))
  const liquids = r.added.filter(
    (a) => /milk|water/.test(a.ingredient) && a.ingredient !== carrier && a.ingredient !== tied && !inPlace.has(a.ingredient),
  )
  const withLiquid = liquids.length && school ? ` with ${liquids.map((l) => `the ${name(l.ingredient)}`).join(' and ')}` : ''

  // What a school stirs in elsewhere leaves the steps that had it.
  const elsewhere = (school?.steps ?? []).flatMap((s) => (s.takes && r.added.some((a) => a.ingredient === s.takes) ? [s.takes] : []))
  if (lateSoda && !elsewhere.includes('baking-soda')) elsewhere.push('baking-soda')

  const steps: Step[] = []
  let eggPlaced = false
  /** Some of the flour went in by turns: what is left of it is spoken of next. */
  let someFlourIn = false
  // What makes another thing of the mix brings its whole method.
  const other = r.changes.some((c) => c.school.ownMethod)
  for (const text of other ? [] : method) {
    let now = someFlourIn ? text.replace(/\bthe (flour|dry (?:things|ingredients|mix(?:ture)?))\b/i, 'the rest of the $1') : text
    if (now !== text) someFlourIn = false
    const reasons: string[] = now === text ? [] : ['Some of it went in by turns.']
    // Names that were put in are held back, or "milk" would be found again inside "soy milk".
    const held: string[] = []
    const hold = (words: string) => `\uE000${held.push(words) - 1}\uE001`
    // Nothing is left to part.
    if (school && SEPARATES.test(now)) continue
    if (school && EGG_WORD.test(now)) {
      const called = fill(school.calledInMethod)
      if (FOAMING.test(now) && !school.foams) {
        now = eggPlaced
          ? foldedIn(now)
          : `Whisk ${called}${withLiquid.replace(' with', ' and')} with the sugar until the sugar has dissolved, a minute or two: there is no foam to build.`
        reasons.push('Only egg (or bean-can liquid) whips to a foam; here the leavener lifts.')
      } else {
        let first = !eggPlaced
        const put = (match: string, at: number, all: string) => {
          const follows = all.slice(at + match.length)
          // "with the sugar" stands behind it already.
          const liquid = /^ with\b/.test(follows) ? withLiquid.replace(' with', ' and') : withLiquid
          const said = first ? called + liquid : 'it'
          // Only where it is beaten into something that is creamed, and the flour has no turn there yet.
          const turns =
            first && (school.inTurns || lateSoda) && /\b(?:beat|add|stir)\b/i.test(text) && !/\b(?:flour|until|turns)\b/i.test(text)
          first = false
          if (turns) someFlourIn = true
          return hold(said) + (turns ? TURNS : '')
        }
        now = now
          .replace(EGG_PHRASE, put)
          .replace(PART_OF_EGG, put)
          .replace(IN_TURNS, (_, along = '') => `${along}, in turns with the flour`)
          .replace(TURNS, ', in turns with the flour')
        reasons.push(`${capital(called)} takes the place of the eggs.`)
      }
      eggPlaced = true
    }
    for (const { from, to } of r.replaced) {
      const words = CALLED[from] ?? ownNames(from)
      if (words && words.test(now)) {
        words.lastIndex = 0
        const creamed = /\bcream(?:ed|ing)?\b(?! cheese)/i.test(now) && /^oil-(?!coconut)/.test(to)
        now = now.replace(words, hold(name(to)))
        if (creamed) {
          now = now.replace(/\bcream\b/i, 'Whisk').replace(/\buntil (?:very )?(?:pale|light|fluffy)[^,.;]*/i, 'until thick and even')
          reasons.push('Oil cannot be creamed: it is whisked in.')
        } else reasons.push(`${capital(name(to))} in place of ${name(from)}.`)
      }
      if (words) words.lastIndex = 0
    }
    for (const id of elsewhere) {
      const less = without(now, GOES[id]!)
      if (less !== now) reasons.push(`${capital(name(id))} goes in later.`)
      now = less
    }
    for (const id of r.removed) {
      const word = GOES[id]
      if (!word || r.added.some((a) => a.ingredient === id) || r.replaced.some((x) => x.from === id)) continue
      const less = without(now, word)
      if (less !== now) reasons.push(`No ${name(id)} now.`)
      now = less
    }
    now = now.replace(/\uE000(\d+)\uE001/g, (_, at: string) => held[Number(at)]!)
    if (now) steps.push({ text: capital(now), changed: now !== text, why: reasons.join(' ') })
  }
  const before: Step[] = []
  const last: Step[] = []
  const after: Step[] = []
  /** New things that a step speaks of without naming them. */
  const spokenOf = new Set<string>()
  // "2 large egg yolks" says what it is.
  const said = (id: string) => (/\begg/.test(amount(id) ?? '') ? amount(id)! : `${amount(id)} ${name(id)}`)
  const place = (step: AddedStep, put: (text: string) => string) => {
    // A step about soda says nothing where no soda was needed.
    if (step.rests && r.foam) return
    if (step.text.includes('{soda}') && !r.added.some((a) => a.ingredient === 'baking-soda')) return
    const said = lateSoda ? withoutSoda(step.text) : step.text
    if (!said) return
    const done = { text: put(said), changed: true, why: step.why }
    const list = step.at === 'last' ? last : step.at === 'after' ? after : before
    if (!list.some((x) => x.text === done.text)) list.push(done)
  }
  for (const s of school?.steps ?? []) place(s, fill)
  for (const { school: change, brought } of r.changes) {
    if (change.slot === 'gluten' && brought.length) {
      const parts = [...new Set(brought)].filter((id) => ['flour', 'starch', 'binder'].includes(need(id).kind) && amount(id) !== undefined)
      if (parts.length > 1)
        before.push({
          text: `Whisk together ${joined(parts.map(said))}: where the method says flour, this is meant.`,
          changed: true,
          why: 'Evenly mixed, they act as one flour.',
        })
      parts.forEach((id) => spokenOf.add(id))
    }
    const fat = brought.find((id) => need(id).kind === 'fat')
    for (const s of change.steps) {
      if (s.text.includes('{fat}') && !fat) continue
      place(s, (text) =>
        fill(text)
          .replaceAll('{brought}', brought[0] ? name(brought[0]) : 'it')
          .replaceAll('{fat}', fat ? name(fat) : 'fat')
          .replaceAll('{crumbs}', name(brought.find((id) => need(id).kind === 'finish') ?? 'biscuit-crumbs')),
      )
    }
  }
  for (const s of r.ovenSteps) if (!putInto(steps, s)) after.push({ text: s.text, why: s.why, changed: true })
  const creamAt = steps.findIndex((s) => CREAMS.test(s.text))
  const parted = waits && (lateSoda || (school?.foams && school.atOnce)) ? partForRest() : false
  /** Puts the rest, and what comes after it, between mixing and tin; `false` where the words give no place for it. */
  function partForRest(): boolean {
    const alone = school!.foams
      ? steps.findIndex((s) =>
          new RegExp(`^(?:beat|add|stir|whisk|fold|mix)\\s+(?:in\\s+)?${fill(school!.calledInMethod)}\\.?$`, 'i').test(s.text),
        )
      : -1
    if (school!.foams && alone < 0) return false
    const [foam] = alone >= 0 ? steps.splice(alone, 1) : []
    // It is whipped when it is wanted: a foam of an hour ago has gone.
    const whipAt = foam ? before.findIndex((s) => FOAMING.test(s.text)) : -1
    const whips = whipAt >= 0 ? before.splice(whipAt, 1) : []
    const flourAt = steps.findLastIndex((s) => FLOUR.test(s.text) && !INTO_TIN.test(s.text))
    const tinAt = steps.findIndex((s, i) => i > flourAt && leavesBowl(s.text))
    const rested = 'Let the batter stand for 20 minutes'
    const why = 'Flours without gluten drink slowly: without the rest they stay gritty.'
    steps.splice(
      tinAt,
      0,
      ...(foam
        ? [
            { text: `${rested}.`, changed: true, why },
            ...whips,
            ...(whips.length ? [] : [{ ...foam, text: `Fold in ${fill(school!.calledInMethod)}.` }]),
          ]
        : [
            {
              text: `${rested}; only then sift the ${name('baking-soda')} over it and stir it in quickly.`,
              changed: true,
              why: `${why} Soda that is wet does not wait.`,
            },
          ]),
    )
    return true
  }
  if (r.sugarOverFat > SUGARY && r.changes.length > 0 && creamAt >= 0)
    steps.splice(creamAt + 1, 0, {
      text: 'Cream for three minutes longer than usual.',
      changed: true,
      why: 'There is more sugar than the fat takes up quickly.',
    })
  if (!school && !before.length && !last.length && !after.length && !r.added.length) return steps
  const list = (ids: readonly string[]) => ids.map(said).join(', ')
  const told = () => [...before, ...steps, ...last, ...after].map((s) => s.text.toLowerCase()).join('\n')
  // Whatever is new and not spoken of yet would be forgotten at the counter.
  const dry = r.added.filter(
    (a) =>
      ['leavener', 'binder', 'starch'].includes(need(a.ingredient).kind) &&
      !spokenOf.has(a.ingredient) &&
      !mentioned(told(), a.ingredient, r.region),
  )
  const blend = before.findIndex((s) => WHISKED.test(s.text))
  const sifted = before.findIndex((s) => /^Sift the .* with the flour, so that/.test(s.text))
  const these = list(dry.map((d) => d.ingredient))
  if (dry.length && blend >= 0)
    // One bowl of dry things, not two steps of them.
    before[blend]!.text = before[blend]!.text.replace(
      WHISKED,
      (_, parts: string) => `Whisk together ${joined([...parts.split(/, | and /), ...dry.map((d) => said(d.ingredient))])}:`,
    )
  else if (dry.length && sifted >= 0) before[sifted]!.text = before[sifted]!.text.replace(/^Sift the/, `Sift ${these} and the`)
  else if (dry.length)
    before.push({
      text: `Sift ${these} with the flour.`,
      changed: true,
      why: 'Spread evenly, it works evenly.',
    })
  if (school && !eggPlaced && carrier) {
    const called = fill(school.calledInMethod)
    const along = withLiquid || (LIQUID.test(method.join(' ')) ? ' with the liquid' : '')
    const step = {
      text: school.foams ? `Fold in ${called}${withLiquid}.` : `Stir in ${called}${along}.`,
      changed: true,
      why: 'It takes the place of the eggs.',
    }
    // "Mix the wet": that is where the eggs went.
    const wetAt = steps.findIndex((s) => /\b(?:the )?wet\b/i.test(s.text) && !FLOUR.test(s.text) && !leavesBowl(s.text))
    if (wetAt >= 0 && !school.foams) steps.splice(wetAt + 1, 0, step)
    else last.unshift(step)
  }
  const untold = r.added.filter((a) => !spokenOf.has(a.ingredient) && !mentioned(told(), a.ingredient, r.region))
  const isDry = (id: string) => ['flour', 'sugar', 'sweetener', 'cocoa', 'mix'].includes(need(id).kind)
  const tell = (ids: string[], text: (list: string) => string) => {
    if (ids.length) last.push({ text: text(list(ids)), changed: true, why: 'New in this mix.' })
  }
  const ids = untold.map((a) => a.ingredient)
  tell(ids.filter(isDry), (what) => `Stir ${what} into the dry things.`)
  tell(
    ids.filter((id) => need(id).kind === 'nut'),
    (what) => `Fold in ${what} at the end.`,
  )
  // What the method never spoke of was put in somewhere all the same: what stands in for it goes there too.
  const silent = r.replaced.filter((x) => ids.includes(x.to) && !isDry(x.to) && need(x.to).kind !== 'nut')
  for (const { from, to } of silent)
    before.push({ text: `Use ${said(to)} where the recipe has ${name(from)}.`, changed: true, why: 'New in this mix.' })
  const wet = ids.filter((id) => !isDry(id) && need(id).kind !== 'nut' && !silent.some((x) => x.to === id))
  // What is wet goes in before the flour is folded in, where the method has such a place.
  const foldAt = steps.findIndex((s) => FLOUR.test(s.text) && !INTO_TIN.test(s.text))
  if (wet.length && foldAt > 0) steps.splice(foldAt, 0, { text: `Stir in ${list(wet)}.`, changed: true, why: 'New in this mix.' })
  else tell(wet, (what) => `Add ${what} with the liquid.`)
  if (r.baked && (school?.atOnce || soda))
    last.push({
      text: 'Into the hot oven within ten minutes of mixing: have it heated and the tin lined before you start.',
      changed: true,
      why: 'The soda works as soon as it is wet, and its gas does not wait.',
    })
  // The last time that baking is spoken of: a line at the head may say it too.
  const bakeAt = steps.findLastIndex((s) => (BAKES.test(s.text) || /\boven\b/i.test(s.text)) && !HEATS_OVEN.test(s.text))
  const cut = bakeAt < 0 ? steps.length : bakeAt
  // A batter that must rest cannot wait once its soda is wet: it rests first.
  const rest = last.findIndex((s) => /stand for 20 to 30/.test(s.text))
  const atOnce = last.findIndex((s) => /within ten minutes/.test(s.text))
  if (rest >= 0 && parted) last.splice(rest, 1)
  else if (rest >= 0 && atOnce >= 0) {
    const [step] = last.splice(rest, 1)
    // Creamed fat cannot be stirred with flour first: there, all but what foams is mixed, and waits.
    step!.text =
      creamAt >= 0
        ? 'Keep what foams for the very end: mix all the rest, let it stand for 20 minutes, and only then fold it in.'
        : 'Stir the flours with the liquid and the fat first and let them stand for 20 minutes; what foams goes in after that.'
    before.push(step!)
  } else if (rest >= 0) last.push(...last.splice(rest, 1))
  // What is mixed goes in before the tin, and before the batter rests; that the oven must be hot is said at its door.
  const flourAt = steps.findLastIndex((s) => FLOUR.test(s.text) && !INTO_TIN.test(s.text))
  const tinAt = mixedFirst(method) ? steps.findIndex((s, i) => i > flourAt && i < cut && (INTO_TIN.test(s.text) || RESTS.test(s.text))) : -1
  const mixed = tinAt < 0 ? cut : tinAt
  const adds = other ? last.filter((s) => !/^(Add|Stir) /.test(s.text)) : last
  const atDoor = (s: Step) => /^Into the hot oven/.test(s.text)
  return [
    ...before,
    ...steps.slice(0, mixed),
    ...adds.filter((s) => !atDoor(s)),
    ...steps.slice(mixed, cut),
    ...adds.filter(atDoor),
    ...steps.slice(cut),
    ...after,
  ]
}

/** The rest of a batter, put between mixing and tin. */
const RESTS = /^Let the batter stand for 20 minutes/

/** The step that mixes several flours into one. */
const WHISKED = /^Whisk together (.*):(?= where the method says flour)/

/** A school's step without its sentences about the soda. */
const withoutSoda = (text: string): string =>
  text
    .split(/(?<=\.)\s+/)
    .filter((sentence) => !sentence.includes('{soda}'))
    .join(' ')

/** Puts what the oven does differently into the sentences that give its numbers; `false` where none does. */
function putInto(steps: Step[], s: OvenStep): boolean {
  const at = s.put?.minutes ? steps.findLastIndex((x) => BAKES.test(x.text) && MINUTES.test(x.text)) : -1
  let done = false
  steps.forEach((x, i) => {
    const text = s.put ? putOven(x.text, { celsius: s.put.celsius, ...(i === at && { minutes: s.put.minutes }) }) : x.text
    if (text === x.text) return
    steps[i] = { text, changed: true, why: [x.why, s.text, s.why].filter(Boolean).join(' ') }
    done = true
  })
  return done
}

/** "a, b and c". */
const joined = (words: readonly string[]): string =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`

/** Whether a text speaks of an ingredient: by its name, another name of two words, or its last word ("vinegar" for "cider vinegar"). */
function mentioned(text: string, id: string, region: Region): boolean {
  const ingredient = need(id)
  const whole = nameOf(ingredient, region).toLowerCase()
  if (text.includes(whole) || ingredient.names.some((n) => n.includes(' ') && text.includes(n.toLowerCase()))) return true
  if (/bicarb|soda/.test(whole)) return /\bsoda\b|bicarb/.test(text)
  const last = whole
    .replace(/\(.*\)/, '')
    .trim()
    .split(' ')
    .at(-1)!
  return last.length > 3 && !['milk', 'water', 'powder', 'flour'].includes(last) && text.includes(last)
}
