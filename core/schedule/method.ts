import { methodSigns } from '../balance/method'
import { methodOf } from '../method/read'
import { baseOf } from '../method/lexicon'
import { isAside, type Signs } from '../method/signs'
import type { Act, Clause } from '../method/step'
import { capital } from '../method/text'
import type { Recipe } from '../recipe/recipe'
import type { Activity } from './activity'

/** What an act asks of a kitchen, where the method does not say: minutes, and what is used. */
interface Work {
  minutes: readonly [low: number, best: number, high: number]
  handsOn: boolean
  needs: readonly string[]
  better?: number
  /** Part of getting the batter ready: the oven must not wait long after it. */
  mixing?: boolean
}
const hands = (low: number, best: number, high: number, needs: readonly string[] = []): Work => ({
  minutes: [low, best, high],
  handsOn: true,
  needs,
})
const wait = (low: number, best: number, high: number, needs: readonly string[] = [], better?: number): Work => ({
  minutes: [low, best, high],
  handsOn: false,
  needs,
  ...(better && { better }),
})

/** Usual times of a home kitchen with a hand mixer; what is done in a moment is told with what stands beside it. */
const WORKS: Partial<Record<Act, Work>> = {
  'ready-tin': hands(3, 5, 8),
  cream: { ...hands(4, 6, 10, ['mixer']), mixing: true },
  foam: { ...hands(6, 9, 14, ['mixer']), mixing: true },
  melt: hands(4, 8, 15, ['hob']),
  simmer: hands(4, 8, 15, ['hob']),
  'rub-in': { ...hands(4, 6, 10), mixing: true },
  mix: { ...hands(2, 4, 7), mixing: true },
  fold: { ...hands(2, 4, 7), mixing: true },
  soften: wait(5, 10, 20),
  infuse: wait(10, 20, 60),
  strain: hands(2, 3, 6),
  divide: hands(2, 3, 6),
  'fill-tin': hands(2, 3, 6),
  bake: wait(20, 30, 40, ['oven']),
  fry: hands(20, 30, 45, ['hob']),
  cool: wait(45, 60, 120, [], 120),
  unmould: hands(1, 2, 4),
  chill: wait(30, 60, 180, ['fridge'], 120),
  freeze: wait(30, 60, 120, ['freezer']),
  rest: wait(5, 10, 30),
  soak: hands(3, 5, 10),
  poke: hands(1, 2, 4),
  hollow: hands(5, 8, 15),
  cut: hands(3, 6, 12),
  spread: hands(8, 15, 30),
  pipe: hands(8, 15, 30),
  roll: hands(3, 5, 8),
  decorate: hands(4, 8, 15),
}
const NIGHT: readonly [number, number, number] = [360, 480, 900]
const STEAM: Work = wait(30, 40, 50, ['hob'])
/** A step of which nothing was understood is still a step: some minutes of somebody. */
const UNREAD: Work = hands(3, 5, 8)

/** What is done in one go and needs the same things is one activity. */
const SAME_GO: readonly ReadonlySet<Act>[] = [
  new Set<Act>(['mix', 'fold', 'rub-in', 'cream', 'foam', 'strain', 'divide', 'fill-tin', 'other']),
  new Set<Act>(['melt', 'simmer', 'strain', 'other']),
  new Set<Act>(['ready-tin', 'other']),
  new Set<Act>(['poke', 'soak', 'other']),
  new Set<Act>(['unmould', 'roll', 'other']),
  new Set<Act>(['roll', 'spread', 'other']),
  new Set<Act>(['bake']),
  new Set<Act>(['spread', 'pipe', 'decorate', 'cut', 'hollow', 'soak', 'other']),
]
/** Done to a cake while it is warm. */
const WARM: ReadonlySet<Act> = new Set<Act>(['poke', 'soak', 'roll', 'unmould'])
const TO_WARM: ReadonlySet<Act> = new Set<Act>(['poke', 'soak', 'roll'])
/** Done to a cake that is cold. */
const ON_COLD: ReadonlySet<Act> = new Set<Act>(['spread', 'pipe', 'decorate', 'cut', 'hollow'])
/** Coolness of a cake that may be frosted: at least, usual, better; in the tin first. */
const COOLS: readonly [number, number, number] = [45, 60, 120]
/** On a rack, and not yet cold: as long as it takes to make a drizzle. */
const STILL_WARM: readonly [number, number, number] = [3, 5, 15]
/** A flat cake is lukewarm in about half an hour. */
const TEPID: readonly [number, number, number] = [20, 30, 45]
/** What is said of a time longer than this is of keeping, min. */
const LONGEST_WAIT = 36 * 60
/** A cake ripens no longer than this in a plan, min: what is fed for months is begun without one. */
const RIPENS = 14 * 24 * 60
/** A wait this long has cooled a cake. */
const COOLED = 30
/** Firm butter softens in about an hour in a room of 20 °C; half an hour in pieces. */
const SOFTENS: readonly [number, number, number] = [30, 60, 120]
const PREHEAT: readonly [number, number, number] = [12, 18, 25]
/** Soda with acid, or a foam, does not wait; powder does a little (design: soured batter within ten minutes). */
const BATTER_WAITS = { quick: 10, slow: 25 }
/** An oven that is hot may be kept so. */
const HOT_WAITS = 30

/** What is done to a warm cake is done within this, min; what "at once" says within less. */
const WARM_FOR = 15
const AT_ONCE = 5

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
  /** Parts that are made the evening before; the cake is its first batter. */
  ahead?: readonly number[]
  /** Tins hold it from batter until it is turned out. */
  tins?: readonly string[]
  /** What is done after the cake has cooled, in place of the method's own last steps. */
  finish?: readonly { text: string; hands: number; wait: number; cold: boolean }[]
}

/** Clauses of one step that are done in one go, and what they say. */
interface Task {
  step: number
  acts: Act[]
  clauses: Clause[]
  label: string
  /** What the oven was last set to before it. */
  heat?: { celsius: number; fan: boolean }
}

/** A cake that is turned out sooner breaks, one left longer sweats and sticks, minutes. */
const IN_TIN = 10

/** Parts that are made for themselves before they meet the cake. */
const BESIDE: ReadonlySet<string> = new Set(['frosting', 'filling', 'soak', 'topping'])
/** What is done to such a part alone. */
const MAKES: ReadonlySet<Act> = new Set<Act>([
  'mix',
  'cream',
  'foam',
  'melt',
  'simmer',
  'soften',
  'infuse',
  'strain',
  'fold',
  'rub-in',
  'rest',
  'chill',
  'cool',
  'other',
])
/** Whether clauses take something of a part. */
const uses = (clauses: readonly Clause[], part: number): boolean =>
  clauses.some((c) => c.part === part || c.things.some((t) => 'line' in t && t.part === part))

const triple = ([low, best, high]: readonly [number, number, number]) => ({ low, best, high })

/** Every step of a recipe as things to do and to wait for, in order, with the preheating and softening that nobody writes down. */
export function activitiesOf(recipe: Recipe, options: MethodOptions): Activity[] {
  return new Planner(recipe, options).run()
}

class Planner {
  private readonly list: Activity[] = []
  private readonly ovens: Recipe['oven']
  private readonly tasks: Task[]
  private readonly eatenWarm: boolean
  private readonly inDish: boolean
  private last: { id: string; min?: number; max?: number } | null = null
  /** What is made beside the cake and not used yet: by part, its last activity. */
  private readonly beside = new Map<number, string>()
  /** Parts that went onto or into the cake: what is done with them now is done to the cake. */
  private readonly joined = new Set<number>()
  private readonly cakePart: number
  /** Parts are put together by now. */
  private assembling = false
  private mixed = false
  private baked = false
  /** Minutes that the cake has stood since the oven. */
  private stood = 0
  private heated = 0
  /** The last stay in the oven has a time of its own. */
  private timed = false
  private cools = 0
  /** It is out of its tin. */
  private out = false
  private firstMixing: string | null = null

  constructor(
    private readonly recipe: Recipe,
    private readonly options: MethodOptions,
  ) {
    this.ovens = recipe.oven
    this.tasks = tasksOf(recipe)
    this.cakePart = Math.max(
      0,
      recipe.parts.findIndex((p) => p.role === 'batter'),
    )
    // What is baked in a dish is served from it.
    this.inDish = recipe.tins.some((t) => /\bdish(?:es)?\b/i.test(t.text) && !/\b(?:tins?|pans?)\b/i.test(t.text))
    // A cake in a mug is eaten out of it; "rest 10 minutes; serve" says how cool it is to be.
    this.eatenWarm =
      methodSigns(recipe).mug ||
      restsThenServed(recipe) ||
      methodOf(recipe).steps.some((s) => s.clauses.some((c) => c.act === 'serve' && c.signs?.warm))
  }

  private id(name: string | number): string {
    return `${this.options.bake}:${name}`
  }

  /**
   * Puts a thing to do into the order of the work: what is made beside the cake follows only what was done to its own
   * part; what is done to the cake follows that, and all that was made beside it for it.
   */
  private push(a: Omit<Activity, 'bake' | 'after'>, link: { max?: number } = {}) {
    const { bake } = this.options
    const part = this.madeBeside(a.clauses ?? [])
    if (part !== undefined) {
      const before = this.beside.get(part)
      this.list.push({ ...a, part, bake, after: before ? [{ id: before }] : [] })
      this.beside.set(part, a.id)
      return
    }
    if (this.baked && (a.clauses ?? []).some((c) => ON_COLD.has(c.act) || c.act === 'soak')) this.assembling = true
    const used = [...this.beside].filter(([p]) => this.assembling || uses(a.clauses ?? [], p))
    for (const [p] of used) {
      this.joined.add(p)
      this.beside.delete(p)
    }
    this.list.push({
      ...a,
      ...(!this.assembling && { part: this.cakePart }),
      bake,
      after: [...(this.last ? [{ ...this.last, ...link }] : []), ...used.map(([, id]) => ({ id }))],
    })
    this.last = { id: a.id }
  }

  /** The icing, filling or syrup that clauses make by themselves, before it meets the cake. */
  private madeBeside(clauses: readonly Clause[]): number | undefined {
    const part = clauses[0]?.part
    if (part === undefined || this.joined.has(part) || !clauses.every((c) => c.part === part && MAKES.has(c.act))) return undefined
    if (!BESIDE.has(this.recipe.parts[part]?.role ?? 'batter')) return undefined
    // A wait or a cooling is of what was begun; the cake's own cooling names no part, and stands behind its bake.
    const begins = clauses.some((c) => c.things.some((t) => 'line' in t || 'group' in t))
    const goesOn = this.list.at(-1)?.id === this.beside.get(part) && !clauses.some((c) => c.signs?.where)
    return begins || goesOn ? part : undefined
  }

  run(): Activity[] {
    const { fixes = {}, finish } = this.options
    const bakes = this.tasks.filter((t) => t.acts.includes('bake'))
    const seen = new Set<number>()
    this.tasks.forEach((task, n) => {
      const fix = fixes[task.step]
      if (fix?.off) return
      const act = task.acts.find((a) => a !== 'other') ?? 'other'
      if (act === 'bake') return this.bake(n, task, bakes)
      // What is made for the finish takes the place of the method's own last steps.
      if (finish && this.baked && !['cool', 'unmould'].includes(act)) return
      if (this.baked && (sumOf(task.clauses)?.[0] ?? 0) > LONGEST_WAIT && !ripens(task, n < this.tasks.length - 1)) return
      if (act === 'cool') return this.cool(task, n)
      const until = this.tasks.findIndex((t, i) => i >= n && (t.acts.includes('cool') || t.acts.includes('chill')))
      const cooled = until >= 0
      // Rolled while it is warm: what comes before that is done to a warm cake too.
      const ahead = this.tasks.slice(n, cooled ? until : undefined)
      const stillWarm =
        (cooled && ahead.some((t) => t.acts.includes('roll') || saysWarm(t))) ||
        // "Stab it as it comes out": what is made before that is made while it is hot.
        ahead.some((t) => (t.acts.some((a) => a === 'poke' || a === 'soak') && saysWarm(t)) || signOf(t, 'onWarm'))
      // "Unmould when lukewarm": until then it stands in its tin.
      if (act === 'unmould' && this.baked && this.stood < COOLED / 2 && signOf(task, 'lukewarm')) this.coolNow(TEPID)
      if (act === 'unmould' && this.baked) this.out = true
      // "Sprinkle with salt. Cool in the pan before slicing": told before its cooling, done before it.
      const beforeCooling = act === 'decorate' && cooled && this.tasks[until]!.acts.includes('cool') && until - n <= 2
      if (this.baked && !stillWarm && !beforeCooling && (ON_COLD.has(act) || (!cooled && !WARM.has(act) && act !== 'rest')))
        this.coolFirst(task)
      // "Mark into twelve after 15 minutes": first it stands, then it is done.
      const after = this.baked && (act === 'cut' || act === 'unmould') && signOf(task, 'after') ? sumOf(task.clauses) : null
      if (after) this.standFirst(after)
      const work = workOf(task)
      const given = act === 'fry' ? frying(task) : after ? null : sumOf(task.clauses)
      const own = fix?.minutes !== undefined && !seen.has(task.step) ? ([fix.minutes, fix.minutes, fix.minutes] as const) : undefined
      seen.add(task.step)
      const minutes = own ?? given ?? work.minutes
      const warm = this.baked && this.stood < COOLED && WARM.has(act) && (act !== 'soak' || saysWarm(task) || task.acts.includes('poke'))
      this.push(
        {
          id: this.id(n),
          label: task.label,
          minutes: triple(minutes),
          handsOn: fix?.handsOn ?? work.handsOn,
          needs: fix?.needs ?? [...work.needs],
          ...(work.better && !given && { better: work.better }),
          step: task.step,
          clauses: task.clauses,
        },
        warm ? { max: saysWarm(task) || act === 'roll' ? AT_ONCE : WARM_FOR } : {},
      )
      // "Turn out to cool": it stands until it is cold.
      if (act === 'unmould' && this.baked && signOf(task, 'cold') && this.stood < COOLED) this.coolNow()
      else if (this.baked) this.stood += minutes[1]
      else {
        this.mixed = true
        if (work.mixing) this.firstMixing ??= this.id(n)
      }
    })
    const signs = methodSigns(this.recipe)
    // Thin sheets are cooked in a pan.
    if (
      !this.baked &&
      !signs.crepe &&
      !signs.unbaked &&
      !this.tasks.some((t) => t.acts.includes('fry')) &&
      this.recipe.parts.some((p) => p.role === 'batter')
    )
      this.bake('bake', { step: -1, acts: ['bake'], clauses: [], label: `Bake at ${this.ovens[0]?.celsius ?? 180} °C` }, [])
    if (this.baked && !this.eatenWarm && this.stood < COOLED && !this.options.finish?.some((f) => f.wait >= COOLED)) this.coolNow()
    this.joinLeft()
    this.soften()
    this.finishing()
    return this.list
  }

  /** One stay in the oven; the first of them heats it, another heat or a cold pause heats it again. */
  private bake(name: string | number, task: Task, bakes: readonly Task[]) {
    const { options } = this
    const clause = task.clauses.find((c) => c.act === 'bake')
    const own = clause?.oven?.find((o) => !o.fan) ?? clause?.oven?.[0]
    const set = this.ovens[Math.min(bakes.indexOf(task) < 0 ? 0 : bakes.indexOf(task), this.ovens.length - 1)] ?? this.ovens[0]
    const last = bakes.length > 1 ? task.heat : undefined
    const oven = own
      ? { celsius: own.celsius, fan: own.fan }
      : last
        ? { celsius: last.celsius, fan: last.fan }
        : set
          ? { celsius: set.celsius, fan: set.fan }
          : { celsius: 180, fan: false }
    const said = sumOf(task.clauses.filter((c) => c.act === 'bake'))
    const longest = bakes.every((b) => (sumOf(b.clauses)?.[2] ?? 30) <= (said?.[2] ?? 30))
    const ofOven = this.ovens[0]?.minutes
    const table = ofOven ? ([ofOven[0], Math.round((ofOven[0] + ofOven[1]) / 2), ofOven[1]] as const) : null
    const simulated = bakes.length < 2 || longest ? options.oven : undefined
    const fix = options.fixes?.[task.step]?.minutes
    const stages = task.clauses.filter((c) => c.minutes).length > 1
    const whole = bakes.length < 2 && !stages ? (table ?? said) : (said ?? table)
    const minutes = fix !== undefined ? triple([fix, fix, fix]) : (simulated ?? triple(whole ?? WORKS.bake!.minutes))
    // It stays where it is, or moves straight on: hot from before.
    const goesOn = this.baked && this.stood === 0
    if (goesOn) {
      // Stages of one bake are one stay; a time that is told apart from its "bake" is told once.
      const stay = this.list.findLast((a) => a.needs.includes('oven') && a.oven)!
      stay.label = `${stay.label} ${task.label}`
      if (options.oven || !said) return
      stay.minutes = this.timed
        ? { low: stay.minutes.low + said[0], best: stay.minutes.best + said[1], high: stay.minutes.high + said[2] }
        : triple(said)
      this.timed = true
      return
    }
    this.timed = said !== null
    // Out for a moment and in again: it is still hot.
    const hot = this.baked && this.stood < COOLED
    const heat = this.heated++ ? `${this.heated}:preheat` : 'preheat'
    if (!hot)
      this.list.push({
        id: this.id(heat),
        label: `Heat the oven to ${Math.round(oven.celsius)} °C${oven.fan ? ', fan' : ''}`,
        bake: options.bake,
        minutes: triple(PREHEAT),
        handsOn: false,
        needs: ['oven'],
        oven,
        after: this.baked && this.last ? [this.last] : [],
      })
    this.push(
      {
        id: this.id(name),
        // "50-55 mins" alone does not say of what.
        label: bakeLabel(task),
        minutes: { low: Math.round(minutes.low), best: Math.round(minutes.best), high: Math.round(minutes.high) },
        handsOn: false,
        needs: ['oven', ...(options.tins ?? []).map((t) => `tin:${t}`)],
        oven,
        ...(task.step >= 0 && { step: task.step }),
        clauses: task.clauses,
      },
      this.mixed && !hot ? { max: this.batterWaits() } : {},
    )
    if (!hot) this.list.at(-1)!.after.push({ id: this.id(heat), max: HOT_WAITS })
    this.baked = true
    this.stood = 0
  }

  /** What was made and never told to be used is ready before the last thing is done. */
  private joinLeft() {
    const last = this.list.find((a) => a.id === this.last?.id)
    if (last && this.baked) for (const id of this.beside.values()) last.after.push({ id })
  }

  private batterWaits(): number {
    const soda = this.recipe.parts.some((p) => p.lines.some((l) => l.ingredient === 'baking-soda'))
    return methodSigns(this.recipe).whipped || soda ? BATTER_WAITS.quick : BATTER_WAITS.slow
  }

  /** Cooling as the method tells it; before the oven it is another thing that waits. */
  private cool(task: Task, n: number) {
    const given = sumOf(task.clauses)
    const short = given && given[2] < COOLED
    const usual = this.baked ? COOLS : ([20, 30, 60] as const)
    // "lift it out onto a rack", and the icing goes on while it is warm.
    const until = this.tasks.findIndex((t, i) => i > n && (t.acts.includes('cool') || t.acts.includes('chill')))
    const warmNext =
      this.baked &&
      !given &&
      this.tasks
        .slice(n + 1, until < 0 ? undefined : until)
        .some((t) => saysWarm(t) && t.acts.some((a) => ON_COLD.has(a) || TO_WARM.has(a)))
    // "10 minutes in the tin, then completely"
    const minutes =
      given && short && this.baked && signOf(task, 'thenCold')
        ? ([given[0] + COOLS[0], given[1] + COOLS[1], given[2] + COOLS[2]] as const)
        : (given ?? (warmNext ? STILL_WARM : signOf(task, 'lukewarm') ? TEPID : usual))
    this.push({
      id: this.baked && !this.cools++ ? this.id('cool') : this.id(n),
      label: task.label,
      minutes: triple(minutes),
      handsOn: false,
      needs: [],
      ...(!given && !warmNext && { better: minutes[2] }),
      step: task.step,
      clauses: task.clauses,
    })
    if (signOf(task, 'where') === 'rack' && this.baked) this.out = true
    if (this.baked) this.stood += (short && minutes === given) || warmNext ? minutes[1] : Math.max(COOLED, minutes[1])
  }

  /** It stands for as long as the next act says it must have stood. */
  private standFirst(minutes: readonly [number, number, number]) {
    const first = this.cools++ === 0
    this.push({
      id: this.id(first ? 'cool' : `cool${this.cools}`),
      label: this.out ? 'Leave it to cool a little' : 'Leave it in the tin',
      minutes: triple(minutes),
      handsOn: false,
      needs: [],
    })
    this.stood += minutes[1]
  }

  private coolFirst(task: Task) {
    if (this.stood >= COOLED) return
    if (signOf(task, 'after') && sumOf(task.clauses)) return
    if (signOf(task, 'lukewarm')) return this.coolNow(TEPID)
    if (saysWarm(task) || this.eatenWarm) return
    // An icing that is made or spread needs a cold cake; what is scattered on a batter in the oven does not come here.
    this.coolNow()
  }

  private coolNow(until?: typeof TEPID) {
    const again = this.cools > 0
    const name = this.cools++ ? `cool${this.cools}` : 'cool'
    this.push({
      id: this.id(name),
      label: until
        ? 'Leave it until it is lukewarm'
        : this.out
          ? 'Leave it on its rack until cold'
          : this.inDish
            ? 'Leave it in its dish until cold'
            : again
              ? 'Turn it out onto a rack and leave it until cold'
              : 'Cool: ten minutes in the tin, then on a rack',
      ...(!until && !this.out && !again && !this.inDish && { inTin: IN_TIN }),
      minutes: triple(until ?? COOLS),
      handsOn: false,
      needs: [],
      ...(!until && { better: COOLS[2] }),
    })
    this.stood += (until ?? COOLS)[1]
  }

  private soften() {
    const soft = this.recipe.parts.some((p) =>
      p.lines.some((l) => /\bsoft/i.test(l.text) && /butter|block|cream-cheese/.test(l.ingredient ?? '')),
    )
    const first = this.list.find((a) => a.id === this.firstMixing)
    if (!soft || !first) return
    this.list.push({
      id: this.id('soften'),
      label: 'Take the butter out to soften',
      bake: this.options.bake,
      minutes: triple(SOFTENS),
      handsOn: false,
      needs: [],
      after: [],
    })
    first.after.push({ id: this.id('soften'), max: 180 })
  }

  private finishing() {
    for (const [n, s] of (this.options.finish ?? []).entries()) {
      if (!s.hands && !s.cold) continue
      if (s.hands)
        this.push({
          id: this.id(`f${n}`),
          label: s.text,
          minutes: triple([Math.round(s.hands * 0.8), s.hands, Math.round(s.hands * 1.5)]),
          handsOn: true,
          needs: [],
        })
      if (s.wait)
        this.push({
          id: this.id(`w${n}`),
          label: s.cold ? 'Chill' : 'Wait',
          minutes: triple([s.wait, s.wait, s.wait * 2]),
          handsOn: false,
          needs: s.cold ? ['fridge'] : [],
          better: s.wait * 2,
        })
    }
  }
}

/** "Rest for 10 minutes, then serve": it cools no longer than that. */
function restsThenServed(recipe: Recipe): boolean {
  const clauses = methodOf(recipe).steps.flatMap((s) => s.clauses)
  const served = clauses.findIndex((c, i) => c.act === 'serve' && clauses[i - 1]?.minutes !== undefined)
  const stands = clauses[served - 1]
  return (stands?.act === 'rest' || stands?.act === 'cool') && stands.minutes![1] < COOLED
}

/** Shorter than this, min, is a manner. */
const LEAST_TIME = 0.25

/** Minutes that clauses give, together; `null` where none does. */
function sumOf(clauses: readonly Clause[]): [number, number, number] | null {
  // "One second a side" is how, not how long.
  const given = clauses.flatMap((c) => (c.minutes && c.minutes[1] >= LEAST_TIME ? [c.minutes] : []))
  if (!given.length) return null
  const low = given.reduce((sum, m) => sum + m[0], 0)
  const high = given.reduce((sum, m) => sum + m[1], 0)
  return [Math.round(low), Math.round((low + high) / 2), Math.round(high)]
}

/** What the words of a task say of how it is done; the first clause that says it. */
const signOf = <S extends keyof Signs>(task: Task, sign: S): Signs[S] => task.clauses.find((c) => c.signs?.[sign])?.signs?.[sign]
/** "Leave at least three days before cutting": a wait, however long, where something is done after it. */
const ripens = (task: Task, goesOn: boolean): boolean =>
  goesOn &&
  (sumOf(task.clauses)?.[0] ?? 0) <= RIPENS &&
  task.clauses.some((c) => c.act === 'rest' && /^(?:leave|let|rest|stand|allow|wait)$/.test(c.verb))
const saysWarm = (task: Task): boolean => signOf(task, 'warm') === true

/** What a task asks for: the most that any of its acts does. */
function workOf(task: Task): Work {
  if (signOf(task, 'overnight') && task.acts.some((a) => ['chill', 'rest', 'cool', 'infuse'].includes(a)))
    return { ...wait(...NIGHT, task.acts.includes('chill') ? ['fridge'] : []), better: 720 }
  if (signOf(task, 'steamed')) return STEAM
  const works = task.acts.flatMap((a) => WORKS[a] ?? [])
  if (!works.length) return UNREAD
  const most = works.reduce((a, b) => (b.minutes[1] > a.minutes[1] ? b : a))
  return { ...most, needs: [...new Set(works.flatMap((w) => w.needs))], ...(works.some((w) => w.mixing) && { mixing: true }) }
}

/** Thin sheets come one after another: so many, so long a side. */
function frying(task: Task): [number, number, number] | null {
  const each = sumOf(task.clauses)
  if (!each || each[1] > 10) return each
  const n = signOf(task, 'sheets')
  if (!n) return null
  // A minute a side is two a sheet, with the pouring.
  const sides = signOf(task, 'sides') ?? 1
  return [n[0] * each[0] * sides, Math.round(((n[0] + n[1]) / 2) * each[1] * sides), n[1] * each[2] * sides]
}

/** A method as tasks: neighbours in one sentence that are done in one go are one. */
function tasksOf(recipe: Recipe): Task[] {
  const { steps } = methodOf(recipe)
  const out: Task[] = []
  let heat: Task['heat']
  steps.forEach(({ text, clauses }, step) => {
    const acting = clauses.filter((c) => c.act !== 'heat-oven' && c.act !== 'serve')
    if (!clauses.length && /\p{L}{3}/u.test(text) && !isAside(text)) out.push({ step, acts: ['other'], clauses: [], label: text.trim() })
    let open: { task: Task; from: number; to: number } | null = null
    const close = () => {
      if (!open) return
      const label = ordered(tidy(text.slice(open.from, open.to)), open.task.clauses[0]!.verb)
      // "Repeat" is work, whatever it repeats.
      const idle = open.task.acts.every((a) => a === 'other') && !sumOf(open.task.clauses) && open.task.clauses[0]!.verb !== 'repeat'
      // "Make and bake as the box says": the first word is of what follows.
      const only = acting.length > 1 && /^(?:make|prepare)$/i.test(label)
      if (/\p{L}/u.test(label) && !only && !isAside(label) && !(idle && acting.length > open.task.clauses.length))
        out.push({ ...open.task, label })
      open = null
    }
    for (const c of clauses) {
      if (c.act === 'heat-oven' && c.oven?.[0]) heat = c.oven.find((o) => !o.fan) ?? c.oven[0]
      if (!acting.includes(c)) continue
      const before = open as { task: Task; from: number; to: number } | null
      const between = before ? text.slice(before.to, c.span[0]) : ''
      const sentence = before !== null && !/[.!?]\s*$/.test(text.slice(before.from, before.to).trimEnd()) && !/[.!?]/.test(between)
      if (before && sentence && SAME_GO.some((go) => [...before.task.acts, c.act].every((a) => go.has(a)))) {
        before.task.acts.push(c.act)
        before.task.clauses.push(c)
        before.to = c.span[1]
        continue
      }
      close()
      open = {
        task: { step, acts: [c.act], clauses: [c], label: '', ...(c.act === 'bake' && heat && { heat }) },
        from: c.span[0],
        to: c.span[1],
      }
    }
    close()
  })
  return out
}

/** A piece of a sentence as a sentence of its own. */
const tidy = (text: string): string =>
  capital(
    text
      .trim()
      .replace(/[\s,;:–-]*(?:(?:\b(?:and|then|before|but)\b|&)[\s,]*)*$/i, '')
      .replace(/,? at which (?:time|point|stage|moment)(?: \p{L}+)*$/iu, '')
      .replace(/^(?:and|then|,|;)\s+/i, '')
      // Heating stands in the plan already.
      .replace(/ in (?:a |the |your )?(?:pre-?heated|hot) oven(?= )/i, '')
      .replace(/\s*\bpre-?heated\b/gi, ''),
  )

/** "before turning out" is, by itself, to turn out. */
const ordered = (label: string, verb: string): string => {
  const first = /^\p{L}+ing\b/u.exec(label)?.[0]
  return first && verb && baseOf(first.toLowerCase())?.verb === verb ? capital(verb) + label.slice(first.length) : label
}

/** A bake in its own words; one told in stages, or by its fire, in a line that says how long each takes. */
function bakeLabel(task: Task): string {
  const stages = task.clauses.filter((c) => c.act === 'bake' && c.minutes)
  if (stages.length > 0 && /\bheat\b/i.test(task.label)) {
    const heats = task.clauses.flatMap((c) => (c.oven?.[0] ? [c.oven[0].celsius] : []))
    return `Bake ${stages
      .map(({ minutes }, i) => {
        const [low, high] = minutes!
        const at = heats[stages.length === heats.length ? i : i - 1]
        return `${low === high ? low : `${low} to ${high}`} minutes${at === undefined ? '' : ` at ${Math.round(at)} °C`}`
      })
      .join(', then ')}`
  }
  return /\b(?:bak|oven|cook|steam)/i.test(task.label) ? task.label : `Bake: ${task.label}`
}
