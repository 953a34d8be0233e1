import type { Trial } from '../../core/bakebook/trial'
import { newId, type Version } from './database'

type Told = Pick<Trial, 'record' | 'marks' | 'leanings' | 'symptoms' | 'note'> & { title: RegExp; name?: RegExp; daysAgo: number }

/** Bakes of the harbour hall for its regatta tea: made up, of honest variety, some failures. */
const TOLD: readonly Told[] = [
  {
    title: /Blackcurrant/,
    daysAgo: 41,
    record: { minutes: 24, preheated: true, cups: false, heightMm: { edge: 34, centre: 39 } },
    marks: { crumb: 4, lift: 4, taste: 4, look: 4, stacking: 4 },
    leanings: { moisture: -1, sweetness: 0 },
    symptoms: [],
    note: 'Edges a little dry.',
  },
  {
    title: /Blackcurrant/,
    name: /ogurt/,
    daysAgo: 34,
    record: { minutes: 31, preheated: true, waitedMin: 25 },
    marks: { crumb: 2, lift: 2, taste: 4, look: 2, stacking: 3 },
    leanings: { moisture: 1, sweetness: 0 },
    symptoms: ['dense', 'flat'],
    note: 'The batter stood while the second tin was lined.',
  },
  {
    title: /Blackcurrant/,
    name: /ogurt/,
    daysAgo: 27,
    record: { minutes: 27, preheated: true, waitedMin: 4, coreC: 97 },
    marks: { crumb: 4, lift: 4, taste: 4, look: 4, stacking: 4 },
    leanings: { moisture: 0, sweetness: 0 },
    symptoms: [],
    note: 'Straight in: a different cake.',
  },
  {
    title: /Coffee/,
    daysAgo: 38,
    record: { minutes: 23, ovenC: 187, preheated: true },
    marks: { crumb: 4, lift: 4, taste: 5, look: 3, stacking: 4 },
    leanings: { moisture: -1, sweetness: 1 },
    symptoms: ['domed', 'dark'],
    note: 'The thermometer in the hall’s oven.',
  },
  {
    title: /Coffee/,
    daysAgo: 20,
    record: { minutes: 25, ovenC: 183, preheated: true, coreC: 97 },
    marks: { crumb: 5, lift: 4, taste: 5, look: 4, stacking: 4 },
    leanings: { moisture: 0, sweetness: 1 },
    symptoms: [],
    note: 'Less sugar in the icing next time.',
  },
  {
    title: /Ginger/,
    daysAgo: 30,
    record: { minutes: 36, preheated: true },
    marks: { crumb: 5, lift: 4, taste: 5, look: 4 },
    leanings: { moisture: 1, sweetness: 0 },
    symptoms: ['sticky-top'],
    note: 'Better on the third day.',
  },
  {
    title: /Poppy/,
    daysAgo: 25,
    record: { minutes: 42, opened: true, preheated: true, coreC: 91 },
    marks: { crumb: 2, lift: 2, taste: 4, look: 1 },
    leanings: { moisture: 2, sweetness: 0 },
    symptoms: ['sank', 'gummy'],
    note: 'Looked in at half time, took it out in a hurry.',
  },
  {
    title: /Poppy/,
    daysAgo: 12,
    record: { minutes: 50, preheated: true, coreC: 98, heightMm: { edge: 62, centre: 74 } },
    marks: { crumb: 4, lift: 4, taste: 4, look: 4 },
    leanings: { moisture: 0, sweetness: 0 },
    symptoms: [],
    note: '',
  },
  {
    title: /Marmalade/,
    daysAgo: 16,
    record: { minutes: 55, ovenC: 172, preheated: true },
    marks: { crumb: 4, lift: 4, taste: 5, look: 3 },
    leanings: { moisture: 0, sweetness: 1 },
    symptoms: ['stuck'],
    note: 'One fold of the tin was dry.',
  },
  {
    title: /fairy/i,
    daysAgo: 14,
    record: { minutes: 15, preheated: true },
    marks: { crumb: 4, lift: 5, taste: 4, look: 5 },
    leanings: { moisture: -1, sweetness: 1 },
    symptoms: [],
    note: 'Gone in ten minutes.',
  },
  {
    title: /fairy/i,
    daysAgo: 6,
    record: { minutes: 16, preheated: false, cups: true },
    marks: { crumb: 2, lift: 2, taste: 3, look: 2 },
    leanings: { moisture: -1, sweetness: 1 },
    symptoms: ['flat', 'dense', 'pale'],
    note: 'Oven forgotten, cups from the hall kitchen.',
  },
]
const DAY = 86_400_000

/** The sample trials for the versions that are there. */
export function sampleTrials(versions: readonly Version[], now = Date.now()): Trial[] {
  return TOLD.flatMap(({ title, name, daysAgo, ...told }): Trial[] => {
    const version = versions.find((v) => title.test(v.recipe.title) && (name ? name.test(v.name) : v.parentId === null))
    if (!version) return []
    const at = now - daysAgo * DAY
    return [
      { id: newId(), versionId: version.id, sessionId: null, bakedAt: at, expected: null, ate: [], sample: true, ...told, updatedAt: at },
    ]
  })
}
