import { beforeEach, describe, expect, it, vi } from 'vitest'
import { bring, freshKitchen, full, newTab } from '../fixtures/kitchen'
import { ask } from '~/kitchen/core'
import { database } from '~/kitchen/database'
import { useCupboard } from './cupboard'
import { useHistory } from './history'
import { useKitchen } from './kitchen'
import { useKeeping } from './keeping'

beforeEach(freshKitchen)

const flour = (grams: number | null) => ({ id: 'flour-self-raising', grams, bestBefore: null, note: '' })
const SPREAD = {
  id: 'own-zorgle',
  name: 'zorgle spread',
  kind: 'fat' as const,
  label: { servingGrams: 100, fat: 70, saturates: 30, carbs: 1, sugars: 1, protein: 0.5 },
  contains: ['milk' as const],
}

describe('what is in the house', () => {
  it('is there in the next tab, and gone once it is undone', async () => {
    await useCupboard().set('flour', 'stock', 'flour-self-raising', flour(700))
    newTab()
    await useCupboard().load()
    expect(useCupboard().inHouse.get('flour-self-raising')).toMatchObject({ grams: 700 })
  })

  it('undo puts back the amount that was there before', async () => {
    const cupboard = useCupboard()
    await cupboard.set('flour', 'stock', 'flour-self-raising', flour(700))
    await cupboard.set('flour', 'stock', 'flour-self-raising', flour(100))
    await useHistory().undo()
    expect((await database.stock.get('flour-self-raising'))?.grams).toBe(700)
    await cupboard.set('flour out', 'stock', 'flour-self-raising', null)
    expect(cupboard.stock).toEqual([])
    await useHistory().undo()
    expect(cupboard.inHouse.get('flour-self-raising')?.grams).toBe(700)
    await useHistory().undo()
    expect(await database.stock.count()).toBe(0)
  })

  it('says what a recipe lacks, and by how much', async () => {
    const { recipe } = await bring()
    const cupboard = useCupboard()
    await cupboard.set('flour', 'stock', 'flour-self-raising', flour(150))
    await cupboard.set('sugar', 'stock', 'sugar-white', { id: 'sugar-white', grams: null, bestBefore: null, note: 'plenty' })
    const { short } = cupboard.shortFor(recipe)
    const of = (id: string) => short.find((s) => s.ingredient === id)
    expect(of('flour-self-raising')).toMatchObject({ has: 150 })
    expect(of('butter-unsalted') ?? of('butter')).toBeDefined()
    expect(of('egg-whole')).toMatchObject({ has: 0 })
  })

  it('a packet of the baker’s own is read in every recipe from then on', async () => {
    const cupboard = useCupboard()
    await cupboard.set('a packet', 'own', SPREAD.id, SPREAD)
    const { recipe, questions } = await ask('parse', { text: 'Bun\n200 g plain flour\n120 g zorgle spread', ...cupboard.common() })
    expect(questions).toEqual([])
    expect(recipe.parts[0]!.lines[1]!.ingredient).toBe(SPREAD.id)
  })

  it('every request carries the region and the packets, and nothing that is only kept here', async () => {
    const cupboard = useCupboard()
    useKitchen().region = 'in'
    await cupboard.set('a packet', 'own', SPREAD.id, SPREAD)
    expect(cupboard.common().region).toBe('in')
    expect(Object.keys(cupboard.common().own[0]!).sort()).toEqual(['contains', 'gramsPerMl', 'id', 'kind', 'label', 'name'])
  })

  it('a disk that refuses is said, and the jar is on the shelf all the same', async () => {
    const disk = vi.spyOn(database.stock, 'put').mockImplementation(full as never)
    await useCupboard().set('flour', 'stock', 'flour-self-raising', flour(700))
    disk.mockRestore()
    expect(useKeeping().trouble?.message).toMatch(/cupboard could not be written/)
    expect(useCupboard().inHouse.get('flour-self-raising')?.grams).toBe(700)
    await useKeeping().again()
    expect(await database.stock.count()).toBe(1)
  })
})

describe('how the kitchen works', () => {
  // Only now: Vue, when it is read in, takes a document for a whole one.
  beforeEach(() => void vi.stubGlobal('document', { documentElement: { dataset: {} } }))

  it('is kept from tab to tab', async () => {
    const kitchen = useKitchen()
    await kitchen.load()
    kitchen.region = 'au'
    kitchen.altitudeM = 1800
    kitchen.oven = { fan: true, offsetC: 8, note: 'hot at the back' }
    await vi.waitFor(async () => expect(await database.settings.get('oven')).toMatchObject({ value: { offsetC: 8 } }))
    newTab()
    await useKitchen().load()
    expect(useKitchen()).toMatchObject({ region: 'au', altitudeM: 1800, oven: { fan: true, offsetC: 8 } })
  })

  it('paints the page as the baker wants it', async () => {
    const kitchen = useKitchen()
    await kitchen.load()
    expect(document.documentElement.dataset.theme).toBe('light')
    kitchen.theme = 'dark'
    await vi.waitFor(() => expect(document.documentElement.dataset.theme).toBe('dark'))
  })
})
