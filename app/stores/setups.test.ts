import fc from 'fast-check'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { asked } from '../fixtures/core-in-process'
import { bring, freshKitchen, full, newTab, SPONGE } from '../fixtures/kitchen'
import { readTin } from '../../core/language/tin'
import { database } from '~/kitchen/database'
import { firstSetup, PLACES_OF, standingOf, useFinish, USUAL } from './finish'
import { useHistory } from './history'
import { useKitchen } from './kitchen'
import { useKeeping } from './keeping'
import { useShelf } from './shelf'
import { useTable } from './table'
import { HOT_MINUTES, HOTTER, useTins } from './tins'

beforeEach(freshKitchen)
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T

describe('tins and oven of a version', () => {
  async function opened(text = SPONGE) {
    const v = await bring(text)
    const tins = useTins()
    await tins.open(v)
    return { tins, v }
  }
  const best = (tins: ReturnType<typeof useTins>) => tins.now!.bake.minutes!.best

  it('begin with what the recipe says, and with a usual tin where it says nothing', async () => {
    const { tins } = await opened()
    expect(tins.setup).toMatchObject({ celsius: 180, mode: 'static' })
    expect(tins.setup!.tins[0]!.text).toBe('20 cm round')
    await tins.open(await bring('Bun\n200 g plain flour\n100 g butter\n100 g sugar\n2 eggs\n2 tsp baking powder'))
    expect(tins.setup).toMatchObject({ celsius: 175 })
    expect(tins.now!.bake.minutes!.best).toBeGreaterThan(10)
  })

  it('hotter is sooner, a hot start sooner still, and undo goes back step by step', async () => {
    const { tins } = await opened()
    const at180 = best(tins)
    await tins.change({ celsius: 200 })
    const at200 = best(tins)
    await tins.change({ hotStart: true })
    expect(at200).toBeLessThan(at180)
    expect(best(tins)).toBeLessThan(at200)
    await useHistory().undo()
    expect(best(tins)).toBe(at200)
    await useHistory().undo()
    expect(best(tins)).toBe(at180)
    expect(tins.setup!.celsius).toBe(180)
  })

  it('a dial that is dragged is no deed; what is held stays while the other moves', async () => {
    const { tins } = await opened()
    tins.hold()
    const held = tins.held
    await tins.drag({ celsius: 160 })
    expect(useHistory().past).toEqual([])
    expect(tins.held).toBe(held)
    expect(best(tins)).toBeGreaterThan(held!.bake.minutes!.best)
    tins.letGo()
    expect(tins.held).toBeNull()
  })

  it('the oven’s own offset is counted', async () => {
    const { tins } = await opened()
    const before = best(tins)
    useKitchen().oven = { fan: false, offsetC: 20, note: '' }
    await tins.compute()
    expect(best(tins)).toBeLessThan(before)
  })

  it('kept, it is a version with its tins, its oven and as much batter as they take', async () => {
    const { tins, v } = await opened()
    await tins.change({ tins: [readTin('25 cm round')!], celsius: 170, hotStart: true })
    const child = (await tins.keep())!
    expect(child).toMatchObject({ parentId: v.id, name: 'For 25 cm round' })
    const grams = (x: typeof v) => x.recipe.parts[0]!.lines.reduce((g, l) => g + l.grams.best, 0)
    expect(grams(child) / grams(v)).toBeGreaterThan(1.4)
    expect(grams(child) / grams(v)).toBeLessThan(1.7)
    const [first, second] = child.recipe.oven
    expect(first).toMatchObject({ celsius: 170 + HOTTER, minutes: [HOT_MINUTES, HOT_MINUTES] })
    expect(second!.celsius).toBe(170)
    const [from, to] = second!.minutes!
    const { best } = tins.now!.bake.minutes!
    expect(from + HOT_MINUTES).toBeLessThan(best)
    expect(to + HOT_MINUTES).toBeGreaterThan(best)
    // The steps tell of what is kept, not of what was.
    expect(child.recipe.method.join(' ')).not.toContain(v.recipe.tins[0]!.text)
  })

  it('what the core refuses is said, and the set-up stays to be put right', async () => {
    const { tins } = await opened()
    await tins.change({ celsius: 900 })
    expect(tins.refusal).toBeTruthy()
    expect(tins.busy).toBe(false)
    await useHistory().undo()
    expect(tins.refusal).toBe('')
  })
})

describe('a finish', () => {
  const opened = async (text = SPONGE) => {
    const v = await bring(text)
    const finish = useFinish()
    await finish.open(v)
    return { finish, v }
  }

  it.each([
    ['20 cm round x2', 'stack'],
    ['12 cupcakes', 'cupcakes'],
    ['20x30 cm', 'tray'],
    ['900 g loaf', 'loaf'],
    ['25 cm fluted', 'ring'],
  ] as const)('in %s begins where such a cake is finished', async (tin, standing) => {
    const v = await bring(SPONGE.replace('20 cm round', tin))
    expect(standingOf(v)).toBe(standing)
    const { places } = firstSetup(v)
    expect(Object.keys(places).length).toBeGreaterThan(0)
    for (const place of Object.keys(places)) expect(PLACES_OF[standing]).toContain(place)
    await useFinish().open(v)
    expect(useFinish().refusal).toBe('')
    expect(useFinish().answer!.components.length).toBeGreaterThan(0)
  })

  it('follows what the version was made for, and what its cake already is', async () => {
    const { finish } = await opened()
    expect(finish.needs).toEqual([])
    const vegan = await bring(
      'Vegan bun\nTin: 20 cm round\n200 g plain flour\n100 g sugar\n80 ml oil\n200 ml soy milk\n2 tsp baking powder',
    )
    await finish.open(vegan)
    expect(finish.needs).toContain('vegan')
    await finish.change({ needs: [] }, 'anything')
    expect(finish.needs).toEqual([])
  })

  it('is kept with its version, whatever is done and undone', async () => {
    const { finish, v } = await opened()
    const amount = fc.record({ mm: fc.integer({ min: 2, max: 12 }) })
    await fc.assert(
      fc.asyncProperty(fc.array(fc.option(amount), { minLength: 1, maxLength: 4 }), async (list) => {
        const before = plain(finish.setup!)
        for (const next of list) await finish.place('filling', next && { ...USUAL.filling, ...next, component: 'butter-icing' }, 'filling')
        const kept = (await database.finishes.get(v.id))!.setup
        expect(kept).toEqual(plain(finish.setup!))
        for (let i = 0; i < list.length; i++) await useHistory().undo()
        expect(plain(finish.setup!)).toEqual(before)
      }),
      { numRuns: 6 },
    )
  })

  it('more of it takes more', async () => {
    const { finish } = await opened()
    const grams = () => finish.answer!.components.reduce((g, c) => g + (c.grams ?? 0), 0)
    await finish.place('coat', { mm: 3, component: 'butter-icing' }, 'thin')
    const thin = grams()
    await finish.place('coat', { mm: 6, component: 'butter-icing' }, 'thick')
    expect(grams()).toBeGreaterThan(thin)
  })

  it('a full disk is said', async () => {
    const { finish } = await opened()
    const disk = vi.spyOn(database.finishes, 'put').mockImplementation(full as never)
    await finish.change({ sparePct: 20 }, 'spare')
    disk.mockRestore()
    expect(useKeeping().trouble?.message).toMatch(/finish could not be written/)
    expect(finish.setup!.sparePct).toBe(20)
    await useKeeping().again()
    expect((await database.finishes.toArray())[0]!.setup.sparePct).toBe(20)
  })
})

describe('a table of guests', () => {
  const VEGAN = 'Oil bun\nTin: 20 cm round\n250 g plain flour\n180 g sugar\n80 ml oil\n260 ml soy milk\n1 tbsp vinegar\n1 tsp baking soda'
  async function set() {
    const sponge = await bring()
    const bun = await bring(VEGAN)
    const table = useTable()
    await table.open()
    return { table, sponge, bun }
  }

  it('is fed by the fewest bakes that everybody can eat of', async () => {
    const { table, bun } = await set()
    await table.change([
      { needs: [], count: 3 },
      { needs: ['vegan'], count: 2 },
    ])
    expect(table.guests).toBe(5)
    expect(table.answer!.bakes.map((b) => b.id)).toEqual([bun.id])
  })

  it('is there again in the next tab', async () => {
    const { table } = await set()
    await table.change([{ needs: ['eggless'], count: 4 }], 2)
    newTab()
    await useTable().open()
    expect(useTable().groups).toEqual([{ needs: ['eggless'], count: 4 }])
    expect(useTable().portions).toBe(2)
  })

  it('with nobody at it asks nothing', async () => {
    const { table } = await set()
    asked.length = 0
    await table.change([{ needs: [], count: 0 }])
    expect(table.answer).toBeNull()
    expect(asked).toEqual([])
  })

  it('what could be made for them is found, saved when it is chosen, and put on the day', async () => {
    const sponge = await bring()
    const table = useTable()
    await table.open()
    await table.change([{ needs: ['eggless'], count: 4 }])
    expect(table.answer!.bakes).toEqual([])
    await table.look()
    expect(table.looking).toBeNull()
    expect(table.answer!.bakes).toHaveLength(1)
    const before = useShelf().versions.length
    const [id] = await table.toClock()
    const made = useShelf().versionById(id!)!
    expect(useShelf().versions).toHaveLength(before + 1)
    expect(made).toMatchObject({ parentId: sponge.id, goals: ['eggless'] })
    expect((await database.days.get('day'))?.versions).toEqual([id])
  })
})
