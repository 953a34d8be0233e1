import type { Mention } from '../../language/name'
import type { Scan } from '../../language/item'
import { scanned } from './scanned'
import type { Region } from '../../measure/region'
import { isLine, type Act, type Clause, type LineThing, type Method } from '../../method/step'
import type { TextEdit } from '../../method/text'
import { lineKeys, namedBy } from '../../method/thing'
import { need } from '../../pantry/pantry'
import type { Oven, Recipe } from '../../recipe/recipe'
import type { ChangeSchool } from '../../swaps/change'
import type { AddedStep, School } from '../../swaps/school'
import { kitchenOf, measuresOf } from '../lines'
import type { OptionLine } from '../option'
import type { Rules } from '../allowed'
import { spoken } from '../spoken'

/** A step made by the program says what it is for, so that nobody has to find it by its words. */
export type StepRole = 'prepare' | 'add' | 'rest' | 'oven' | 'test'

export interface Step {
  text: string
  changed: boolean
  why: string
  role?: StepRole
}

/** What the rewriter must know of an answer. */
export interface Rewriting {
  region: Region
  recipe: Recipe
  /** Every line before and after. */
  lines: readonly OptionLine[]
  egg?: School
  /** Schools that changed by degree, with what each brought. */
  changes: readonly { school: ChangeSchool; brought: readonly string[] }[]
  /** How the oven is set before and after. */
  oven: { before: readonly Oven[]; after: readonly Oven[]; why: string; says: readonly { text: string; why: string }[] }
  /** The batter is a whipped foam: it waits for nothing. */
  foam: boolean
  baked: boolean
  glutenFree: boolean
  dairyFree: boolean
  /** What nobody at the table may have. */
  rules: Rules
}

/** What becomes of a line of the recipe as it was. */
export interface Fate {
  kind: 'kept' | 'swapped' | 'gone'
  /** What takes its place, as ingredients of the same part. */
  by: OptionLine[]
  now?: OptionLine
}

export const key = (part: number, id: string) => `${part}:${id}`
export const isEgg = (id: string) => /^egg-(?:whole|white|yolk)$/.test(id)

/** A sentence that a school or the oven brings, and where it goes. */
export interface Prepared {
  text: string
  why: string
  role: StepRole
  at: AddedStep['at']
  /** The school that brings it. */
  of?: string
  /** What goes all into a bowl of its own there. */
  holds?: string
}

/** A clause of a step. */
export interface Place {
  work: number
  clause: number
}
export const before = (a: Place, b: Place): boolean => a.work < b.work || (a.work === b.work && a.clause < b.clause)

/** Acts in which things come together. */
export const MIXING: ReadonlySet<string> = new Set<Act>(['mix', 'cream', 'foam', 'fold', 'melt', 'rub-in', 'simmer', 'soften'])
/** What whips without egg. */
export const WHIPS = /^(?:aquafaba|cream-(?:heavy|double|single)|plant-cream|coconut-cream|butter|plant-butter|meringue-powder)/
/** Acts in which a liquid goes in: not into a foam, nor into what is creamed. */
export const WET_ACTS: ReadonlySet<string> = new Set<Act>(['mix', 'fold', 'melt', 'simmer'])
/** Acts in which dry things meet dry things. */
export const DRY_ACTS: ReadonlySet<string> = new Set<Act>(['mix', 'fold'])
export const SUGARS: ReadonlySet<string> = new Set(['sugar', 'sweetener'])
export const FLOURS: ReadonlySet<string> = new Set(['flour', 'mix', 'starch'])
export const DRIES: ReadonlySet<string> = new Set(['leavener', 'cocoa', 'salt', 'spice', 'nut', 'sugar'])
export const FATS: ReadonlySet<string> = new Set(['fat'])
export const WETS: ReadonlySet<string> = new Set(['dairy', 'plant-dairy', 'water', 'egg', 'syrup', 'acid'])
/** Fruit that is mashed or juiced is wet too; folded in pieces it takes no milk along. */
export const WET_FRUIT: ReadonlySet<string> = new Set(['fruit'])

/** At one place things come in, then the batter rests, then a foam is whipped for it. */
export const ORDER: readonly StepRole[] = ['add', 'rest', 'prepare', 'oven', 'test']

/** One step while it is worked on. */
export interface Work {
  text: string
  scan: Scan
  clauses: Clause[]
  /** `whole`: a clause that was told anew. */
  edits: (TextEdit & { whole?: true })[]
  why: Set<string>
  /** Sentences put in, by the character before which they stand; -1 for a step of its own before this one. */
  inserts: { at: number; to: number; text: string; why: string; role: StepRole; after?: boolean }[]
}

/** A method while it is rewritten: its steps, what became of each line, and what has been said so far. */
export class Sheet {
  private readonly fates = new Map<string, Fate>()
  readonly works: Work[]
  private readonly keys
  /** Parts in which something stands for the eggs by now. */
  readonly eggPlaced = new Set<number>()
  /** New things that a word for several of them names. */
  readonly collected = new Set<OptionLine>()
  /** What stands in a bowl of its own where a foam of eggs stood, by part. */
  readonly stands = new Map<number, string>()
  /** Parts where that bowl held the yolks: it becomes the batter, and no foam of whites comes to it any more. */
  readonly stoodForYolks = new Set<number>()
  /** Parts whose foam of whites is whipped no more, and not stood for by a mixture of its own. */
  readonly lostFoams = new Set<number>()
  /** New things that some sentence names by now. */
  readonly said = new Set<string>()
  /** What the method calls that which stands for the eggs. */
  readonly called: string
  readonly prepared: Prepared[] = []
  private readonly begun = new Map<OptionLine, Set<string>>()
  readonly batterParts: Set<number>
  /** The method tells the amounts, and there is no list beside it. */
  private readonly listless: boolean
  /** One sentence tells several batters at once. */
  private readonly twinned: boolean
  /** Whether the batter rests, and whether its soda goes in only then. */
  resting: 'plain' | 'soda-late' | 'no' = 'no'
  /** The recipe's own rest, behind which the soda goes in. */
  sodaAfter: Place | undefined

  constructor(
    readonly r: Rewriting,
    model: Method,
  ) {
    this.keys = lineKeys(r.recipe)
    this.batterParts = new Set(r.recipe.parts.flatMap((p, i) => (p.role === 'batter' ? [i] : [])))
    if (!this.batterParts.size) this.batterParts.add(0)
    for (const l of r.lines) this.takeLine(l)
    const said = model.steps.map((x) => x.text).join('\n')
    this.listless = r.recipe.parts.every((p) => p.lines.every((l) => said.includes(l.text)))
    this.called = r.egg ? this.fill(r.egg.calledInMethod).replace(/^the /, '') : ''
    this.twinned = model.steps.some((step) =>
      step.clauses.some((c) =>
        c.things.some(
          (x) =>
            isLine(x) && c.things.some((y) => isLine(y) && y.part !== x.part && y.span[0] === x.span[0] && y.ingredient === x.ingredient),
        ),
      ),
    )
    this.works = model.steps.map((s) => ({
      text: s.text,
      scan: scanned(s.text, r.region),
      clauses: s.clauses,
      edits: [],
      why: new Set(),
      inserts: [],
    }))
  }

  /** Whether a new line has been spoken of. */
  isSaid(l: { partIndex: number; ingredient: string }): boolean {
    return this.said.has(key(l.partIndex, l.ingredient))
  }

  /** Every line that became something else, as `part:ingredient`. */
  get changed(): ReadonlyMap<string, Fate> {
    return this.fates
  }

  takeLine(l: OptionLine) {
    const at = key(l.partIndex, l.ingredient)
    const before = this.fates.get(at)
    if (l.from > 0) {
      if (l.to > 0) this.fates.set(at, { kind: 'kept', by: [], now: l })
      else if (before?.kind !== 'kept') {
        const all = this.r.lines.filter((x) => (x.status === 'added' || x.shares) && x.to > 0 && x.replaces.includes(l.ingredient))
        const here = all.filter((x) => x.partIndex === l.partIndex)
        // Of a batter in several parts one line may stand for all.
        const by = here.length || !this.batterParts.has(l.partIndex) ? here : all.filter((x) => this.batterParts.has(x.partIndex))
        this.fates.set(at, { kind: by.length ? 'swapped' : 'gone', by })
      }
    }
  }

  name(id: string): string {
    return spoken(id, this.r.region)
  }

  /** So much of an ingredient as this kitchen measures it. */
  kitchen(id: string, grams: number): string {
    return kitchenOf(id, grams, measuresOf(this.r.recipe, this.r.region), this.r.region)
  }

  /** "the yogurt"; with its amount where the method is the only list there is: "105 g yogurt". */
  nameTold(l: Pick<OptionLine, 'ingredient' | 'kitchen'>): string {
    return this.listless ? `${l.kitchen} ${this.name(l.ingredient)}` : `the ${this.name(l.ingredient)}`
  }

  /**
   * The name of a line where it takes the place of `id`; of one that stands for several things, the amount for this one
   * where it is first spoken of.
   */
  nameFor(l: OptionLine, id: string): string {
    const name = this.name(l.ingredient)
    const share = l.shares?.find((s) => s.replaces.includes(id))
    if (!share) return name
    const told = this.begun.get(l) ?? new Set<string>()
    this.begun.set(l, told)
    // "Whisk the eggs into the psyllium buttermilk": what is named again is what went in before.
    if (told.has(id)) return name
    told.add(id)
    return `${share.kitchen} of the ${name}`
  }

  added(part?: number): OptionLine[] {
    return this.r.lines.filter((l) => l.status === 'added' && l.to > 0 && (part === undefined || l.partIndex === part))
  }

  /** The line of the result that holds an ingredient, in a batter part first. */
  result(id: string): OptionLine | undefined {
    return this.r.lines.find((l) => l.ingredient === id && l.to > 0)
  }

  carrier(any: readonly string[] | undefined): string | undefined {
    return any?.find((id) => this.r.lines.some((l) => l.ingredient === id && l.to > 0))
  }

  fateOf(part: number, id: string): Fate {
    return this.fates.get(key(part, id)) ?? { kind: 'kept', by: [] }
  }

  /** A line that names something without an amount, or for the tin alone: no sum moves it. */
  weighsNothing(found: { part: number; ingredient: string }): boolean {
    return !this.fates.has(key(found.part, found.ingredient))
  }

  say(l: { partIndex: number; ingredient: string }) {
    // "For each batter …": what is said of one is said of all.
    const parts = this.twinned && this.batterParts.has(l.partIndex) ? this.batterParts : [l.partIndex]
    for (const part of parts) this.said.add(key(part, l.ingredient))
  }

  /** What stands for the eggs of a part is in its bowl; of twins, in all bowls. */
  placeEgg(part: number) {
    for (const p of this.twinned && this.batterParts.has(part) ? this.batterParts : [part]) this.eggPlaced.add(p)
  }

  fill(text: string): string {
    const school = this.r.egg
    const acid =
      this.added().find((a) => need(a.ingredient).kind === 'acid') ??
      this.r.lines.find((l) => l.to > l.from && need(l.ingredient).kind === 'acid')
    return text
      .replaceAll('{carrier}', this.name(this.carrier(school?.brings[0]?.any) ?? school?.brings[0]?.any[0] ?? 'water'))
      .replaceAll('{tied}', this.name(this.carrier(school?.brings[0]?.with?.[0]?.any) ?? 'vinegar'))
      .replaceAll('{gum}', this.name(this.carrier(school?.brings[0]?.with?.[1]?.any) ?? 'xanthan-gum'))
      .replaceAll('{soda}', this.name('baking-soda'))
      .replaceAll('{acid}', acid ? this.name(acid.ingredient) : 'vinegar')
  }

  /** The line that a mention names: as the model links it, else the likeliest of its clause's part. */
  lineOf(work: Work, m: Mention): { part: number; line: number; ingredient: string; thing?: LineThing; clause?: Clause } | undefined {
    const at = work.scan.tokens[m.from]!.from
    for (const clause of work.clauses)
      for (const t of clause.things)
        if (isLine(t) && t.span[0] === at) return { part: t.part, line: t.line, ingredient: t.ingredient, thing: t, clause }
    const clause = work.clauses.find((c) => at >= c.span[0] && at < c.span[1]) ?? work.clauses.at(-1)
    const candidates = this.keys.filter((k) => k.id === m.id || (isEgg(m.id) && isEgg(k.id)) || namedBy(m, k))
    const best =
      candidates.find((k) => k.part === clause?.part && k.id === m.id) ??
      candidates.find((k) => k.part === clause?.part) ??
      (candidates.length && new Set(candidates.map((k) => k.part)).size === 1 ? candidates[0] : undefined)
    return best && { part: best.part, line: best.line, ingredient: best.id, ...(clause && { clause }) }
  }

  /** The eggs of the batter are whipped to a foam, at once or after they were warmed. */
  whipped(): boolean {
    return this.works.some((w) =>
      w.clauses.some(
        (c, i) =>
          c.act === 'foam' &&
          this.batterParts.has(c.part) &&
          w.clauses.slice(0, i + 1).some((x) => x.things.some((t) => isLine(t) && isEgg(t.ingredient))) &&
          !c.things.some((t) => isLine(t) && !isEgg(t.ingredient) && WHIPS.test(t.ingredient)),
      ),
    )
  }

  firstClauseOf(test: (c: Clause, w: Work) => boolean): { work: number; clause: number } | undefined {
    for (let work = 0; work < this.works.length; work++) {
      const clause = this.works[work]!.clauses.findIndex((c) => test(c, this.works[work]!))
      if (clause >= 0) return { work, clause }
    }
    return undefined
  }

  /** Where a part goes into its tin, or is used up: nothing comes in after it. */
  tinClause(part?: number): Place | undefined {
    // Fruit under a heading of its own is folded in, and the tin is then filled in its name.
    const folded = (c: Clause) => c.act === 'fill-tin' && !c.things.some(isLine) && this.r.recipe.parts[c.part]?.role === 'filling'
    const ours = (c: Clause) => (part === undefined ? this.batterParts.has(c.part) || folded(c) : c.part === part)
    const flour = this.lastFlour()
    const after = (at: Place) => !flour || before(flour, at)
    const mixed = part === undefined || this.batterParts.has(part)
    // Once the batter is mixed, a syrup poured into the dish opens the filling of it.
    const bake = this.lastBake()
    const opens =
      mixed && flour
        ? this.firstClauseOf((c, w) => {
            const at = { work: this.works.indexOf(w), clause: w.clauses.indexOf(c) }
            return c.act === 'fill-tin' && before(flour, at) && (!bake || before(at, bake))
          })
        : undefined
    if (opens) return opens
    for (const acts of [['fill-tin'], ['bake', 'spread', 'pipe', 'fry']] as const)
      for (let work = 0; work < this.works.length; work++)
        for (let clause = 0; clause < this.works[work]!.clauses.length; clause++) {
          const c = this.works[work]!.clauses[clause]!
          if (ours(c) && (acts as readonly string[]).includes(c.act) && (!mixed || after({ work, clause }))) return { work, clause }
        }
    return undefined
  }

  lastFlour(): { work: number; clause: number } | undefined {
    let found: { work: number; clause: number } | undefined
    this.works.forEach((w, work) =>
      w.clauses.forEach((c, clause) => {
        if (
          this.batterParts.has(c.part) &&
          c.things.some((t) => (isLine(t) && /^flour|cake-mix|semolina/.test(t.ingredient)) || ('group' in t && t.group !== 'wet'))
        )
          found = { work, clause }
      }),
    )
    return found
  }

  lastBake(): { work: number; clause: number } | undefined {
    let found: { work: number; clause: number } | undefined
    this.works.forEach((w, work) => w.clauses.forEach((c, clause) => c.act === 'bake' && (found = { work, clause })))
    return found
  }

  /** The last clause in which a part is mixed. */
  mixed(part?: number): Place | undefined {
    let found: Place | undefined
    this.works.forEach((w, work) =>
      w.clauses.forEach((c, clause) => {
        if (MIXING.has(c.act) && (part === undefined ? this.batterParts.has(c.part) : c.part === part)) found = { work, clause }
      }),
    )
    return found
  }

  named(l: OptionLine): boolean {
    return this.works.some((w) =>
      w.clauses.some((c) => c.part === l.partIndex && c.things.some((t) => isLine(t) && t.ingredient === l.ingredient)),
    )
  }
}
