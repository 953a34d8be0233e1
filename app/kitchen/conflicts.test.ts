import { describe, expect, it } from 'vitest'
import { answer } from '../../core/contract/handle'
import type { Restore } from './backup'
import { conflictKey, conflictsOf, isSettled } from './conflicts'
import type { Version } from './database'

const version = (text: string, more: Partial<Version> = {}): Version => ({
  id: 'v1',
  recipeId: 'r1',
  parentId: null,
  name: 'As given',
  recipe: answer('parse', { text, region: 'uk' }).recipe,
  questions: [],
  source: '',
  goals: [],
  schools: [],
  note: '',
  bakedAt: null,
  boxes: [],
  createdAt: 0,
  updatedAt: 10,
  ...more,
})
const BUN = 'Jetty bun\n200 g plain flour\n100 g sugar\n100 g butter\n2 eggs\n60 ml milk'
/** A restore in which one record of a table is in two states. */
const restore = (table: string, mine: object, theirs: object, versions: Version[] = []): Restore => {
  const none = { fresh: [], same: [], conflicts: [] }
  const merges = Object.fromEntries(
    ['recipes', 'versions', 'settings', 'stock', 'own', 'tins', 'finishes', 'steps', 'days', 'sessions', 'trials'].map((t) => [
      t,
      t === table ? { ...none, conflicts: [{ mine, theirs }] } : none,
    ]),
  )
  return { file: { tables: { versions } }, merges } as unknown as Restore
}
const only = (r: Restore) => {
  const all = conflictsOf(r, 'uk')
  expect(all).toHaveLength(1)
  return all[0]!
}

describe('what a kitchen and a backup have each in another state', () => {
  it('a jar is told by what is in it', () => {
    const c = only(
      restore(
        'stock',
        { id: 'flour-plain', grams: 77.4, bestBefore: null, note: '', updatedAt: 5 },
        { id: 'flour-plain', grams: null, bestBefore: '2027-03-31', note: '', updatedAt: 9 },
      ),
    )
    expect(c).toMatchObject({
      key: 'stock:flour-plain',
      what: 'In the cupboard: plain flour',
      mine: { at: 5, says: '77 g' },
      theirs: { at: 9, says: 'some, best before 2027-03-31' },
      settled: false,
    })
  })

  it('a version by the lines in which it differs, the first three of them', () => {
    const theirs = version(
      BUN.replace('200 g plain', '210 g plain')
        .replace('100 g sugar', '90 g sugar')
        .replace('100 g butter', '80 g butter')
        .replace('2 eggs', '3 eggs'),
    )
    const c = only(restore('versions', version(BUN), theirs))
    expect(c.what).toBe('Version: Jetty bun, As given')
    expect(c.mine.says).toMatch(/flour 200 g, .*sugar 100 g, .*butter 100 g, and 1 more$/)
    expect(c.theirs.says).toMatch(/flour 210 g, .*sugar 90 g, .*butter 80 g, and 1 more$/)
  })

  it('where only the words differ, by those', () => {
    const c = only(restore('versions', version(BUN, { note: 'a little dry' }), version(BUN, { name: 'First try' })))
    expect([c.mine.says, c.theirs.says]).toEqual(['a little dry', 'First try'])
  })

  it('a version that was baked here is settled: no backup writes over it', () => {
    const baked = version(BUN, { bakedAt: 7 })
    expect(isSettled('versions', baked as never)).toBe(true)
    expect(isSettled('stock', { id: 'x' } as never)).toBe(false)
    expect(only(restore('versions', baked, version(BUN.replace('200', '250')))).settled).toBe(true)
  })

  it('a page of the book by its cake, also where the version is only in the backup', () => {
    const trial = { id: 't', versionId: 'v1', note: 'good', updatedAt: 1 }
    const c = only(restore('trials', trial, { ...trial, note: 'better' }, [version(BUN)]))
    expect(c).toMatchObject({ what: 'Page of the bake book: Jetty bun', mine: { says: 'good' }, theirs: { says: 'better' } })
    expect(only(restore('trials', trial, { ...trial, note: 'x' })).what).toBe('Page of the bake book')
  })

  it.each([
    ['recipes', { id: 'r', title: 'Jetty bun' }, 'Recipe: Jetty bun'],
    ['own', { id: 'o', name: 'zorgle spread' }, 'Ingredient of your own: zorgle spread'],
    ['tins', { id: 't', note: 'sticks' }, 'Tin'],
    ['settings', { key: 'region', value: 'uk' }, 'Setting: region'],
    ['days', { id: 'day' }, 'Day’s plan'],
  ] as const)('%s are named', (table, row, what) => {
    expect(only(restore(table, row, { ...row, updatedAt: 3 })).what).toBe(what)
  })

  it('settings have a key of their own kind, and say nothing of what is no word', () => {
    expect(conflictKey('settings', { key: 'oven' } as never)).toBe('settings:oven')
    const c = only(restore('settings', { key: 'oven', value: { fan: true } }, { key: 'oven', value: 'x' }))
    expect([c.mine.says, c.theirs.says, c.mine.at]).toEqual(['', 'x', null])
  })
})
