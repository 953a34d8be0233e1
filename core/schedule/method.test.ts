import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'
import { minuteOf } from '../measure/day'
import { activitiesOf } from './method'

const CAKE = `Coffee layers
Tin: 20 cm round x2
Oven: 175 C, 28 to 32 minutes
180 g unsalted butter, soft
200 g light brown sugar
3 large eggs
200 g self-raising flour
Icing:
150 g unsalted butter, soft
300 g icing sugar
Method:
1. Cream the butter and sugar.
2. Beat in the eggs one by one.
3. Fold in the flour.
4. Bake at 175 C for about 30 minutes.
5. Beat the icing and fill the cold cake.`
const plan = (text: string, more: object = {}) => answer('schedule', { text, region: 'uk', serveAt: '2027-06-12T15:00', ...more })
const recipeOf = (text: string) => answer('parse', { text, region: 'uk' }).recipe
const at = (p: ReturnType<typeof plan>, words: RegExp) => p.activities.find((a) => words.test(a.label))!

describe('a method as things to do', () => {
  it('puts in the softening, heating and cooling that nobody writes down, each at its time', () => {
    const p = plan(CAKE)
    expect(p.conflicts).toEqual([])
    const [soft, cream, heat, bake, cool, fill] = [/soften/, /^Cream/, /Heat the oven/, /^Bake/, /^Cool/, /[Ff]ill the cold/].map((w) =>
      at(p, w),
    )
    for (const [a, b] of [
      [soft, cream],
      [cream, bake],
      [heat, bake],
      [bake, cool],
      [cool, fill],
    ] as const)
      expect(minuteOf(a!.end)).toBeLessThanOrEqual(minuteOf(b!.start))
    expect(minuteOf(bake!.end) - minuteOf(bake!.start)).toBe(30)
    expect(minuteOf(bake!.start) - minuteOf(heat!.end)).toBeLessThanOrEqual(30)
    expect(fill!.end).toBe('2027-06-12T15:00')
    expect(p.activities.filter((a) => a.step === 3)).toHaveLength(1)
  })

  it('a soured batter does not wait', () => {
    const p = plan(`${CAKE.replace('200 g self-raising flour', '200 g plain flour\n1 tsp baking soda\n150 g plain yogurt')}`)
    const batter = at(p, /^Fold/)
    expect(minuteOf(at(p, /^Bake/).start) - minuteOf(batter.end)).toBeLessThanOrEqual(10)
  })

  it('what the baker put right stays: shorter, without hands, or left out', () => {
    const { recipe } = answer('parse', { text: CAKE, region: 'uk' })
    const p = answer('schedule', {
      bakes: [{ recipe, bake: 'Coffee', fixes: { 0: { minutes: 12 }, 1: { off: true } } }],
      serveAt: '2027-06-12T15:00',
    })
    const cream = p.activities.find((a) => /^Cream/.test(a.label))!
    expect(minuteOf(cream.end) - minuteOf(cream.start)).toBe(12)
    expect(p.activities.some((a) => /eggs one by one/.test(a.label))).toBe(false)
  })

  it('two bakes share one oven and one pair of hands, and quiet hours stay quiet', () => {
    const { recipe } = answer('parse', { text: CAKE, region: 'uk' })
    const other = { ...recipe, title: 'Loaf', oven: [{ celsius: 160, fan: false, minutes: [50, 60] as [number, number] }] }
    const p = answer('schedule', {
      bakes: [
        { recipe, bake: 'Layers' },
        { recipe: other, bake: 'Loaf' },
      ],
      serveAt: '2027-06-12T09:00',
      quiet: [{ from: '22:00', to: '07:00' }],
    })
    expect(p.conflicts).toEqual([])
    const bakes = p.activities.filter((a) => /^Bake/.test(a.label))
    expect(bakes).toHaveLength(2)
    const [first, second] = bakes
    expect(minuteOf(second!.start)).toBeGreaterThanOrEqual(minuteOf(first!.end) + 8)
    for (const a of p.activities.filter((x) => x.handsOn)) expect(Number(a.start.slice(11, 13))).toSatisfy((h: number) => h >= 7 && h < 22)
  })

  it('puts a step where the baker wants it, and says so where it cannot be', () => {
    const free = at(plan(CAKE), /^Cream/)
    const earlier = `${free.start.slice(0, 11)}09:30`
    const held = plan(CAKE, { held: { [free.id]: earlier } })
    expect(at(held, /^Cream/)).toMatchObject({ start: earlier, held: true })
    const late = plan(CAKE, { held: { [free.id]: `${free.start.slice(0, 11)}14:50` } })
    expect(late.activities).toEqual([])
    expect(late.conflicts[0]).toMatchObject({ code: 'held', ids: [free.id] })
  })

  it('waits the least that does, as usual, or longer where that is better', () => {
    const cool = (waits: string) => {
      const a = at(plan(CAKE, { waits }), /^Cool/)
      return minuteOf(a.end) - minuteOf(a.start)
    }
    expect([cool('least'), cool('usual'), cool('better')]).toEqual([45, 60, 120])
  })

  it('counts how long a filling that must keep cold is out of it', () => {
    const holding = (text: string) => {
      const { recipe } = answer('parse', { text, region: 'uk' })
      return answer('schedule', { bakes: [{ recipe, bake: 'Cake' }], serveAt: '2027-06-12T15:00' }).holding
    }
    expect(holding(CAKE)).toEqual([])
    const cream = CAKE.replace('Icing:', 'Filling:\n300 ml double cream\nIcing:')
    const [out] = holding(cream)
    expect(out!.minutes).toBeLessThanOrEqual(120)
    const { recipe } = answer('parse', { text: cream, region: 'uk' })
    const late = answer('schedule', {
      bakes: [{ recipe, bake: 'Cake' }],
      serveAt: '2027-06-12T09:00',
      quiet: [{ from: '22:00', to: '08:55' }],
    })
    const served = late.holding[0]!
    expect(served.minutes).toBeGreaterThan(120)
    expect(served.message).toMatch(/put it in the fridge/)
  })

  it('does not heat an oven that is hot', () => {
    const { recipe } = answer('parse', { text: CAKE, region: 'uk' })
    const p = answer('schedule', {
      bakes: [
        { recipe, bake: 'One' },
        { recipe: { ...recipe, title: 'Two' }, bake: 'Two' },
      ],
      serveAt: '2027-06-12T15:00',
    })
    const heating = p.activities.filter((a) => a.id.endsWith(':preheat')).map((a) => a.label)
    expect(heating.filter((l) => /^Heat/.test(l)).length + heating.filter((l) => /hot from before/.test(l)).length).toBe(2)
    const [, second] = p.activities.filter((a) => a.needs.includes('oven') && /^Bake/.test(a.label))
    const look = p.activities.find((a) => /hot from before/.test(a.label))
    if (look) expect(minuteOf(look.start)).toBeLessThan(minuteOf(second!.start))
  })

  it('says plainly what it cannot plan', () => {
    expect(() => answer('schedule', { text: CAKE, serveAt: 'tomorrow' })).toThrow(/2027-06-12T15:00/)
  })

  const told = (method: string) =>
    recipeOf(
      `Slab\n200 g butter\n200 g sugar\n4 eggs\n300 g flour\n1 tsp baking powder\n\nMethod\nCream the butter and sugar, beat in the eggs, fold in the flour and baking powder. ${method}`,
    )
  const waits = (method: string) =>
    activitiesOf(told(method), { bake: 'slab' })
      .filter((a) => !a.handsOn && !a.needs.includes('oven'))
      .map((a) => [a.minutes.low, a.minutes.high])

  it.each([
    ['Bake at 180 C for 30 minutes. Cut into squares when lukewarm.', [[20, 45]]],
    [
      'Bake at 180 C for 30 minutes. Mark into 12 after 15 minutes.',
      [
        [15, 15],
        [45, 120],
      ],
    ],
    [
      'Bake at 180 C for 30 minutes. Cool in the tin, wrap, then leave at least 3 days before cutting.',
      [
        [45, 120],
        [4320, 4320],
      ],
    ],
    ['Bake at 180 C for 30 minutes. Leave to go cold in the tin - overnight if you like.', [[45, 120]]],
    ['Bake at 180 C for 30 minutes. Dust with sugar. Eat warm!', []],
    // On its rack it waits no longer than the drizzle takes, and then until it is cold.
    [
      'Bake at 180 C for 30 minutes. Leave to cool in the tin for 5 minutes, then place on a rack. Spoon sugar over whilst it is still just warm. Cut when cold.',
      [
        [5, 5],
        [3, 15],
        [45, 120],
      ],
    ],
  ])('%s', (method, expected) => {
    expect(waits(method)).toEqual(expected)
  })
})

describe('parts of a cake, each with its own time', () => {
  const LAYERS = `Vanilla layers
Cake
200 g butter
200 g sugar
4 eggs
200 g self-raising flour

Icing
300 g icing sugar
100 g butter

Syrup
100 g sugar
100 ml water

Method
Cream the butter and sugar, beat in the eggs, fold in the flour. Bake at 180 C for 30 minutes in a 20 cm round tin. Cool completely on a rack.
For the syrup boil the sugar and water 5 minutes, then cool.
For the icing beat the butter and icing sugar until light.
Brush the cake with the syrup and spread with the icing.`
  const recipe = recipeOf(LAYERS)
  const [cake, icing, syrup] = ['Cake', 'Icing', 'Syrup'].map((name) => recipe.parts.findIndex((p) => p.name === name)) as [
    number,
    number,
    number,
  ]
  const planned = (ahead: number[], more: object = {}) =>
    answer('schedule', { bakes: [{ recipe, bake: 'layers', ahead }], region: 'uk', serveAt: '2027-06-12T15:00', ...more })
  const ends = (p: ReturnType<typeof planned>, part: number) => p.activities.filter((a) => a.part === part).map((a) => a.end)

  it('what is made beside the cake follows its own steps only, and all of it comes before it is put together', () => {
    const all = activitiesOf(recipe, { bake: 'layers' })
    const of = (part: number | undefined) => all.filter((a) => a.part === part)
    expect(of(icing).every((a) => a.after.every((x) => of(icing).some((y) => y.id === x.id)))).toBe(true)
    const together = all.find((a) => /^Brush/.test(a.label))!
    expect(together.part).toBeUndefined()
    expect(together.after.map((x) => x.id)).toEqual(expect.arrayContaining([of(icing).at(-1)!.id, of(syrup).at(-1)!.id]))
  })

  it.each([[[cake]], [[icing]], [[cake, syrup]], [[cake, icing, syrup]], [[]]])(
    'what is made the evening before is over by ten: %j',
    (ahead) => {
      const p = planned(ahead)
      expect(p.conflicts).toEqual([])
      for (const part of [cake, icing, syrup]) for (const end of ends(p, part)) expect(end <= '2027-06-11T22:00').toBe(ahead.includes(part))
      // What puts it together stays on the day.
      expect(p.activities.filter((a) => a.part === undefined && a.id.includes(':')).at(-1)!.start > '2027-06-12').toBe(true)
      expect(p.holding.filter((h) => h.message.includes('overnight'))).toHaveLength(ahead.length)
    },
  )

  it('an evening that is over already is a conflict, with what would help', () => {
    const p = planned([cake], { notBefore: '2027-06-12T07:00' })
    expect(p.conflicts[0]!.try.length).toBeGreaterThan(0)
  })
})

describe('what is done to a warm cake', () => {
  const page = (end: string) =>
    `Seed bars\n200 g plain flour\n100 g butter\n100 g sugar\n2 eggs\n1 tsp sea salt flakes\n\nMethod\nBeat the butter and sugar, beat in the eggs, fold in the flour. Spread in a 20 cm tin. Bake at 180 C for 25 minutes. ${end}`
  const labels = (end: string) => plan(page(end)).activities.map((a) => a.label)

  it('sprinkled before the recipe’s own cooling is sprinkled before it', () => {
    const said = labels('Sprinkle with the salt. Cool for 30 minutes in the tin. Cut into bars.')
    expect(said.indexOf('Sprinkle with the salt.')).toBeLessThan(said.findIndex((x) => x.startsWith('Cool')))
    expect(said.filter((x) => x.startsWith('Cool'))).toHaveLength(1)
  })

  it('“unmould when lukewarm” waits until it is', () => {
    const p = plan(page('Unmould when lukewarm.'))
    const stands = at(p, /it is lukewarm$/)
    expect(minuteOf(stands.end) - minuteOf(stands.start)).toBeGreaterThanOrEqual(15)
  })

  it('what is warmed for it does not make it warm', () => {
    const said = labels('Cool, slice in half. Warm the jam with the juice. Spread it on the cake.')
    const p = plan(page('Cool, slice in half. Warm the jam with the juice. Spread it on the cake.'))
    expect(said.some((x) => x.startsWith('Cool'))).toBe(true)
    const cool = at(p, /^Cool/)
    expect(minuteOf(cool.end) - minuteOf(cool.start)).toBeGreaterThanOrEqual(45)
  })

  it('“fridge 4 hrs” is a chilling of its own', () => {
    expect(labels('Cool completely in the tin, fridge 4 hrs.').slice(-2)).toEqual(['Cool completely in the tin', 'Fridge 4 hrs.'])
  })
})
