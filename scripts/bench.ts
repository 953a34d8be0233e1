import { integerSolver } from '../core/table/highs'
import { HARD_NEEDS } from '../core/pantry/ingredient'
import { writeFileSync } from 'node:fs'
import highsLoader from 'highs'
import { cpus } from 'node:os'
import { answer } from '../core/contract/handle'
import { CLASSICS } from '../core/fixtures/classics'
import { TOLD } from '../core/fixtures/methods'
import { day, programme, QUIET, SERVE } from '../core/fixtures/days'
import { plan } from '../core/schedule/solve'
import { bake } from '../core/oven/bake'
import { usualBatter } from '../core/oven/batter'
import { readRecipe } from '../core/recipe/text'
import { readMethod } from '../core/method/read'
import { nearestMeasures } from '../core/measure/kitchen'
import type { Region } from '../core/measure/region'
import { measurableOf } from '../core/pantry/measurable'
import { objective } from '../core/reformulate/objective'
import { buildProblem, type Problem } from '../core/reformulate/problem'
import { roundToKitchen } from '../core/reformulate/round'
import { situationOf, withoutEgg } from '../core/reformulate/situation'
import { solve } from '../core/reformulate/solve'
import { draft } from '../core/reformulate/variables'
import { SCHOOLS } from '../core/swaps/schools'

/** Speed and rounding, measured and written to docs/benchmarks.md. */

interface Row {
  what: string
  budget: string
  value: string
  within: boolean
}

const median = (xs: number[]): number => [...xs].sort((a, b) => a - b)[Math.floor(xs.length / 2)]!
const at = (xs: number[], share: number): number => [...xs].sort((a, b) => a - b)[Math.min(xs.length - 1, Math.floor(xs.length * share))]!

/** Milliseconds of each of `times` runs, after a warm-up. */
function timed(times: number, work: (turn: number) => void): number[] {
  for (let i = 0; i < times; i++) work(i)
  return Array.from({ length: times }, (_, i) => {
    const from = performance.now()
    work(i)
    return performance.now() - from
  })
}

const withEgg = CLASSICS.filter((c) => /egg/i.test(c.text))
const parsed = withEgg.map((c) => ({ ...c, recipe: readRecipe(c.text, c.region).recipe }))
/** Twenty lines: a batter, a frosting and a filling as a baker would write them. */
const TWENTY = `Harbour layers
200 g butter\n200 g caster sugar\n4 medium eggs\n180 g plain flour\n20 g cornflour\n2 tsp baking powder\n1/4 tsp salt\n2 tbsp milk\n1 tsp vanilla\nzest of 1 orange
Icing:\n150 g butter\n300 g icing sugar\n1 tbsp milk\n1 tsp vanilla
Filling:\n200 ml double cream\n1 tbsp icing sugar\n150 g blackcurrants\n2 tbsp jam\n1 tsp lemon juice\n1 pinch salt`
const twenty = readRecipe(TWENTY, 'uk').recipe

/** Most mixes of kitchen measures that are tried one by one. */
const MOST_EXACT = 60_000

/** The least objective over every combination of near kitchen measures; `undefined` where there are too many. */
function exactBest(problem: Problem, optimum: Float64Array, region: Region): number | undefined {
  const free = problem.variables.map((v, i) => ({ v, i })).filter(({ v }) => !v.fixed)
  const menus = free.map(({ v, i }) => {
    const near =
      optimum[i]! > 0.05 ? nearestMeasures(optimum[i]!, measurableOf(v.ingredient, region), 'weight', region, 5).map((m) => m.grams) : []
    return [...new Set([...near, ...(v.from > 0 ? [v.from] : []), ...(v.from === 0 && v.low <= 0 ? [0] : [])])]
  })
  if (menus.some((m) => !m.length) || menus.reduce((n, m) => n * m.length, 1) > MOST_EXACT) return undefined
  const grams = Float64Array.from(problem.variables, (v) => v.start)
  let best = Infinity
  const tryAll = (k: number) => {
    if (k === free.length) {
      best = Math.min(best, objective(problem, grams))
      return
    }
    for (const g of menus[k]!) {
      grams[free[k]!.i] = g
      tryAll(k + 1)
    }
  }
  tryAll(0)
  return best
}

const rows: Row[] = []
const time = (what: string, budgetMs: number, ms: number[]) =>
  rows.push({
    what,
    budget: `${budgetMs} ms`,
    value: `${median(ms).toFixed(2)} ms (95 % within ${at(ms, 0.95).toFixed(2)} ms)`,
    within: median(ms) <= budgetMs,
  })

const pages = TOLD.map((t) => ({ ...t, recipe: readRecipe(t.text, t.region).recipe }))
/** Sixty rows, with what readers said under it; never twice the same, since what was taken apart is kept. */
const sixty = (turn: number) => {
  const rows = [...TOLD[5]!.text.split('\n'), 'For the middle', ...TOLD[0]!.text.split('\n').slice(2)].filter((r) => r.trim())
  const said = Array.from({ length: 60 - rows.length }, (_, i) => `Comment ${i}: I used half the sugar and it was fine.`)
  return [...rows, ...said].join('\n').replaceAll('sugar', `sugar${' '.repeat(turn % 9)}`)
}
time(
  'reading a pasted page of 60 rows',
  15,
  timed(200, (i) => readRecipe(sixty(i), 'us')),
)
time(
  'reading a method into acts and the lines that they use',
  5,
  timed(200, (i) => readMethod(pages[i % pages.length]!.recipe, pages[i % pages.length]!.region)),
)

time(
  'balance of a 20-line recipe',
  1,
  timed(1000, () => answer('balance', { recipe: twenty, region: 'uk' })),
)
time(
  'search over every egg school, 12 ways answered',
  100,
  timed(parsed.length * 3, (i) => {
    const c = parsed[i % parsed.length]!
    answer('reformulate', { recipe: c.recipe, region: c.region, goals: ['eggless'] })
  }),
)
time(
  're-balance with one line pinned, one school',
  16,
  timed(parsed.length * 4, (i) => {
    const c = parsed[i % parsed.length]!
    answer('reformulate', {
      recipe: c.recipe,
      region: c.region,
      goals: ['eggless'],
      schools: ['yogurt-soda'],
      pin: { 'sugar-white': 150 + i },
      limit: 1,
    })
  }),
)

time(
  'search for vegan and gluten-free, 40 combinations and more, 12 ways answered',
  300,
  timed(parsed.length * 2, (i) => {
    const c = parsed[i % parsed.length]!
    answer('reformulate', { recipe: c.recipe, region: c.region, goals: ['vegan', 'gluten-free'] })
  }),
)
const tried = parsed.map(
  (c) => answer('reformulate', { recipe: c.recipe, region: c.region, goals: ['vegan', 'gluten-free'], limit: 1 }).timing.combinations,
)
rows.push({
  what: 'combinations tried in such a search, median',
  budget: '40 or more',
  value: `${median(tried)}`,
  within: median(tried) >= 40,
})

const everything = readRecipe(
  `Cake of everything\n${Array.from({ length: 80 }, (_, i) => ['10 g butter', '12 g sugar', '1 egg', '15 g plain flour', '1 g baking powder', '8 ml milk', '5 g cocoa powder', '5 g ground almonds'][i % 8]).join('\n')}\n\nMethod:\nCream butter and sugar, beat in the eggs, fold in the rest. Bake at 180 °C in a 23 cm round tin for 45 minutes.`,
  'uk',
).recipe
time(
  'search over every egg school in a recipe of 80 lines',
  500,
  timed(5, () => answer('reformulate', { recipe: everything, region: 'uk', goals: ['eggless'] })),
)

/** A bake that is done at about 40 minutes and followed a little beyond: 45 to 55 minutes in all. */
const fortyFive = (grid?: { columns: number; rows: number }) =>
  bake({
    batter: usualBatter('oil-layer', 1200),
    tin: { shape: 'rect', mm: { width: 200, length: 300, height: 50 } },
    oven: { celsius: 175, mode: 'static' },
    wrapping: { lined: true },
    startC: 20,
    altitudeM: 0,
    grid,
  })
time(
  'a 45-minute bake on the usual grid (9 × 15)',
  60,
  timed(30, () => fortyFive()),
)
const loaf = readRecipe(
  'Banana loaf\n115 g butter, melted\n150 g light brown sugar\n2 eggs\n350 g ripe bananas, mashed\n220 g plain flour\n1 tsp bicarbonate of soda\n60 g yogurt\n\nMethod:\nHeat the oven to 175 °C. Mix everything. Bake in a lined 900 g loaf tin for 55 minutes.',
  'uk',
).recipe
time(
  'verb bake of a loaf: best, window, an oven hotter and cooler, what the recipe tells',
  60,
  timed(20, () => answer('bake', { recipe: loaf, region: 'uk' })),
)
for (const [columns, rows] of [
  [5, 8],
  [12, 20],
  [16, 26],
] as const)
  time(
    `the same on ${columns} × ${rows}`,
    columns === 5 ? 30 : 1000,
    timed(6, () => fortyFive({ columns, rows })),
  )

const gaps: number[] = []
/** Rounded against the exact best over every kitchen measure, on problems small enough to try them all. */
const exactGaps: number[] = []
for (const c of parsed) {
  const s = situationOf(c.recipe)
  const family = withoutEgg(s)
  for (const egg of SCHOOLS.filter((x) => x.slot === 'egg')) {
    const d = draft(
      s,
      { egg, standIns: new Map(), changes: [] },
      { needs: ['eggless'], avoid: [] },
      { pin: {}, most: new Map() },
      true,
      family,
    )
    if (!d) continue
    const problem = buildProblem({
      family,
      variables: d.variables,
      fixed: d.fixed,
      before: s.metrics,
      moved: family !== s.family,
      wishes: {},
    })
    const optimum = solve(problem)
    if (!optimum) continue
    const rounded = roundToKitchen(problem, optimum, 'weight', c.region)
    gaps.push(100 * (rounded.cost / rounded.unrounded - 1))
    const exact = exactBest(problem, optimum, c.region)
    if (exact !== undefined) exactGaps.push(100 * (rounded.cost / exact - 1))
  }
}
rows.push({
  what: `rounded answer over unrounded objective, median of ${gaps.length}`,
  budget: '5 %',
  value: `${median(gaps).toFixed(1)} % (95 % within ${at(gaps, 0.95).toFixed(1)} %)`,
  within: median(gaps) <= 5,
})

rows.push({
  what: `rounded answer over the exact best of all kitchen measures, median of ${exactGaps.length} small cases`,
  budget: '5 %',
  value: exactGaps.length ? `${median(exactGaps).toFixed(1)} % (95 % within ${at(exactGaps, 0.95).toFixed(1)} %)` : 'none small enough',
  within: exactGaps.length > 0 && median(exactGaps) <= 5,
})

/** Heap after every few hundred searches: it must not grow. */
const heaps: number[] = []
for (let n = 0; n < 1000; n++) {
  const c = parsed[n % parsed.length]!
  answer('reformulate', { recipe: c.recipe, region: c.region, goals: ['eggless'], limit: 4 })
  if (n % 250 === 249) {
    globalThis.gc?.()
    heaps.push(process.memoryUsage().heapUsed / 1e6)
  }
}
rows.push({
  what: 'heap after 1,000 searches against after 250',
  budget: 'steady (under 1.2)',
  value: `${(heaps.at(-1)! / heaps[0]!).toFixed(2)} (${Math.round(heaps[0]!)} to ${Math.round(heaps.at(-1)!)} MB)`,
  within: heaps.at(-1)! / heaps[0]! < 1.2,
})

/** Plans of small days against the exact optimum, and how long a large one takes. */
const highs = await highsLoader()
let solved = 0
let equal = 0
let longer = 0
let impossible = 0
for (let seed = 1; seed <= 200; seed++) {
  const activities = day(seed, 14)
  const quiet = seed % 2 ? QUIET : []
  const exact = highs.solve(programme(activities, quiet), { time_limit: 20 })
  const mine = plan(activities, SERVE, quiet, {})
  if (exact.Status !== 'Optimal') continue
  solved++
  if (mine.conflicts.length) impossible++
  else if (mine.span <= Math.round(exact.ObjectiveValue)) equal++
  else longer = Math.max(longer, mine.span / exact.ObjectiveValue - 1)
}
rows.push({
  what: `plans of up to 14 things to do as short as the exact optimum (HiGHS), ${solved} of 200 made-up days that can be had`,
  budget: '95 %, none missed',
  value: `${((100 * equal) / solved).toFixed(1)} %, worst ${(100 * longer).toFixed(1)} % longer, ${impossible} missed`,
  within: equal / solved >= 0.95 && impossible === 0,
})
const large = Array.from({ length: 200 }, (_, i) => day(1000 + i, 84)).find((a) => a.length >= 80)!
const times80 = timed(5, () => plan(large, SERVE, QUIET, { hands: 2 }))
rows.push({
  what: `a plan of ${large.length} things to do`,
  budget: '1000 ms',
  value: `${median(times80).toFixed(0)} ms`,
  within: median(times80) < 1000,
})
const layers =
  'Layers\nTin: 20 cm round x3\nOven: 175 C 28 min\n360 g plain flour\n300 g caster sugar\n360 ml soy milk\n120 ml oil\n3 tsp baking powder'
const builds = timed(20, () =>
  answer('build', {
    text: layers,
    region: 'uk',
    goals: ['vegan'],
    places: { filling: { mm: 6, component: 'fruit-curd' }, crumbCoat: { mm: 2 }, coat: { mm: 5 } },
  }),
)
rows.push({
  what: 'a layer cake put together, two bowls',
  budget: '50 ms',
  value: `${median(builds).toFixed(1)} ms`,
  within: median(builds) < 50,
})

const integer = await integerSolver()
const EXTRAS = ['200 g plain flour', '3 eggs', '100 ml milk', '80 g ground almonds', '100 ml soy milk']
const hall = {
  guests: [...HARD_NEEDS.map((n) => ({ needs: [n], count: 9 })), { needs: [], count: 40 }],
  candidates: Array.from({ length: 60 }, (_, i) => ({
    id: `c${i}`,
    text: ['Cake', '100 g rice flour', '100 g sugar', '60 ml oil', ...EXTRAS.filter((__, b) => (i >> b) & 1)].join('\n'),
    slices: 8 + (i % 9),
  })),
}
const tables = timed(5, () => answer('table', hall, { solve: integer }))
rows.push({
  what: 'the fewest bakes for 94 guests of every need, from 60 cakes, proven (HiGHS)',
  budget: '1000 ms',
  value: `${median(tables).toFixed(0)} ms`,
  within: median(tables) < 1000,
})

const heap = process.memoryUsage().heapUsed / 1e6
const table = rows.map((r) => `| ${r.what} | ${r.budget} | ${r.value} | ${r.within ? 'yes' : '**no**'} |`).join('\n')
const text = `# Benchmarks

\`npm run bench\` measures these and writes this file. Times are medians on the machine named below, in one thread, after a warm-up;
what counts is the distance to the budget, not the last digit.

Machine: ${cpus()[0]?.model ?? 'unknown'}, Node ${process.versions.node}. Heap after the run: ${Math.round(heap)} MB.

| what | budget | measured | within |
|---|---|---|---|
${table}
`
writeFileSync(new URL('../docs/benchmarks.md', import.meta.url), text)
console.log(text)
