import fc from 'fast-check'
import { strToU8, zipSync } from 'fflate'
import { describe, expect, it } from 'vitest'
import { csvParse } from 'd3-dsv'
import { Refusal } from '../refusal'
import { BACKUP_VERSION, mergeTable, packKitchen, unpackKitchen, type KitchenFile } from './backup'
import { crc32 } from './crc'
import { writeTrials } from './csv'
import type { Trial } from '../bakebook/trial'

const kitchen = (many: number): KitchenFile => ({
  made: '2027-06-12T15:00',
  tables: {
    recipes: Array.from({ length: many }, (_, i) => ({ id: `r${i}`, title: `Cake ${i} ½ “ü”`, updatedAt: i })),
    trials: Array.from({ length: 3 }, (_, i) => ({ id: `t${i}`, marks: { crumb: i } })),
  },
  photos: { p1: Uint8Array.from({ length: 5000 }, (_, i) => (i * 31) % 256) },
})
const codeOf = (work: () => unknown) => {
  try {
    work()
  } catch (error) {
    return error instanceof Refusal ? error.code : 'other'
  }
  return 'none'
}

describe('a backup', () => {
  it('comes back record by record and byte by byte', () => {
    const given = kitchen(1000)
    expect(unpackKitchen(packKitchen(given))).toEqual(given)
  })

  it('is refused whole where any byte of it was changed or it was cut off', () => {
    const bytes = packKitchen(kitchen(20))
    fc.assert(
      fc.property(fc.integer({ min: 0, max: bytes.length - 1 }), fc.integer({ min: 1, max: 255 }), (at, by) => {
        const altered = bytes.slice()
        altered[at] = (altered[at]! + by) % 256
        let read: KitchenFile | null = null
        try {
          read = unpackKitchen(altered)
        } catch (error) {
          expect(error).toBeInstanceOf(Refusal)
        }
        // A date or an attribute of the zip itself may differ; what is read must not.
        if (read) expect(read).toEqual(kitchen(20))
      }),
      { numRuns: 300 },
    )
    fc.assert(
      fc.property(fc.integer({ min: 0, max: bytes.length - 1 }), (length) => {
        expect(() => unpackKitchen(bytes.slice(0, length))).toThrow(Refusal)
      }),
    )
  })

  it('refuses other files, other zips, newer versions and bombs in their own words', () => {
    expect(codeOf(() => unpackKitchen(strToU8('not a zip')))).toBe('not-backup')
    expect(codeOf(() => unpackKitchen(zipSync({ 'a.txt': strToU8('hello') })))).toBe('not-backup')
    const newer = { name: 'kind-crumb-kitchen', version: BACKUP_VERSION + 1, made: '', files: {} }
    expect(codeOf(() => unpackKitchen(zipSync({ 'kitchen.json': strToU8(JSON.stringify(newer)) })))).toBe('newer-version')
    const many = Object.fromEntries(Array.from({ length: 60_001 }, (_, i) => [`f${i}`, new Uint8Array()]))
    expect(codeOf(() => unpackKitchen(zipSync(many, { level: 0 })))).toBe('too-large')
  })

  it('is laid beside what is here: new, the same, and different', () => {
    const key = (r: { id: string }) => r.id
    const mine = [
      { id: 'a', n: 1, m: { x: 1, y: 2 } },
      { id: 'b', n: 2 },
    ]
    const theirs = [
      { id: 'a', m: { y: 2, x: 1 }, n: 1 },
      { id: 'b', n: 3 },
      { id: 'c', n: 4 },
    ]
    const merge = mergeTable<{ id: string }>(mine, theirs, key)
    expect(merge.same).toBe(1)
    expect(merge.fresh.map(key)).toEqual(['c'])
    expect(merge.conflicts).toEqual([{ mine: mine[1], theirs: theirs[1] }])
  })

  it('checks with the CRC of zip files', () => {
    expect(crc32(strToU8('123456789'))).toBe(0xcbf43926)
  })
})

describe('trials as a table', () => {
  const trial = (note: string): Trial => ({
    id: 't',
    versionId: 'v',
    sessionId: null,
    bakedAt: 1_812_812_400_000,
    record: { minutes: 31, preheated: true },
    marks: { crumb: 4 },
    leanings: { moisture: -1 },
    symptoms: ['dry'],
    expected: null,
    ate: ['vegan'],
    note,
    updatedAt: 0,
  })

  it('reads back cell by cell, whatever is in the notes', () => {
    fc.assert(
      fc.property(fc.string(), (note) => {
        const [row] = csvParse(writeTrials([{ trial: trial(note), title: 'Cake, "plain"', version: 'As given' }]))
        expect(row).toMatchObject({ day: '2027-06-12', recipe: 'Cake, "plain"', minutes: '31', moisture: '-1', preheated: 'yes' })
        expect([note, `'${note}`]).toContain(row!.note!.replace(/\r\n?/g, (m) => m))
      }),
    )
  })

  it('gives a spreadsheet no formula', () => {
    const [row] = csvParse(writeTrials([{ trial: trial('=HYPERLINK("x")'), title: '@cake', version: '-1' }]))
    expect(row!.note).toBe(`'=HYPERLINK("x")`)
    expect(row!.recipe).toBe("'@cake")
    expect(row!.version).toBe('-1')
  })
})
