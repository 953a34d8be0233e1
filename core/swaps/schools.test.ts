import { describe, expect, it } from 'vitest'
import { HARD_NEEDS, suits } from '../pantry/ingredient'
import { ingredientOf, need, PANTRY } from '../pantry/pantry'
import { SCHOOL_IDS } from './ids'
import { CHANGES, SCHOOLS } from './schools'
import { EGG_OUTSIDE_BATTER, FLOUR_OUTSIDE_BATTER, STAND_INS, standInsFor } from './standins'

const ALL_CHANGES = Object.values(CHANGES).flat()
const PLACEHOLDERS = ['carrier', 'tied', 'gum', 'brought', 'fat', 'acid', 'soda', 'crumbs']

describe('every school for egg', () => {
  it.each(SCHOOLS.map((s) => [s.id, s] as const))('%s is whole', (_, s) => {
    for (const b of s.brings) {
      const [least, usual, most] = b.per
      expect(least).toBeGreaterThan(0)
      expect(usual).toBeGreaterThanOrEqual(least)
      expect(most).toBeGreaterThanOrEqual(usual)
      for (const id of [...b.any, ...(b.with ?? []).flatMap((t) => t.any)]) expect(ingredientOf(id), id).toBeDefined()
      for (const t of b.with ?? []) expect(t.ratio).toBeGreaterThan(0)
      for (const id of b.any) expect(ingredientOf(id)!.contains ?? []).not.toContain('egg')
    }
    expect(s.cannot.length).toBeGreaterThan(10)
    expect(s.source.length).toBeGreaterThan(10)
    expect(s.calledInMethod.length).toBeGreaterThan(3)
    for (const words of Object.values(s.sides)) expect(words.length).toBeGreaterThan(3)
  })
})

describe('every change by degree', () => {
  it.each(ALL_CHANGES.map((c) => [c.id, c] as const))('%s has its words and its source', (_, c) => {
    expect(c.source.length).toBeGreaterThan(10)
    expect(c.title.length).toBeGreaterThan(3)
    expect(c.title).not.toContain(',')
    for (const step of c.steps) expect(step.why.length).toBeGreaterThan(5)
    if (c.oven) expect(c.oven.why.length).toBeGreaterThan(5)
  })
})

describe('all schools together', () => {
  it('have ids that scripts may rely on', () => {
    for (const id of [...SCHOOLS.map((s) => s.id), ...ALL_CHANGES.map((c) => c.id)]) expect(SCHOOL_IDS).toContain(id)
    expect(new Set(SCHOOLS.map((s) => s.id)).size).toBe(SCHOOLS.length)
  })

  it('use no placeholder that the method does not fill', () => {
    const texts = [
      ...SCHOOLS.flatMap((s) => [s.calledInMethod, ...s.steps.map((x) => x.text)]),
      ...ALL_CHANGES.flatMap((c) => c.steps.map((x) => x.text)),
    ]
    for (const text of texts) for (const [, word] of text.matchAll(/\{(\w+)\}/g)) expect(PLACEHOLDERS, text).toContain(word)
  })
})

describe('every stand-in', () => {
  const tables = [...Object.entries(STAND_INS), ...Object.entries(EGG_OUTSIDE_BATTER), ['wheat', FLOUR_OUTSIDE_BATTER] as const]
  it.each(tables)('for %s is in the pantry, in a sane ratio, with a reason', (id, table) => {
    for (const t of table) {
      expect(t.why.length).toBeGreaterThan(4)
      for (const b of t.brings) {
        expect(ingredientOf(b.ingredient), b.ingredient).toBeDefined()
        expect(b.ingredient).not.toBe(id)
        // Gums act by the gram, and agar by a little more.
        expect(b.ratio).toBeGreaterThan(ingredientOf(b.ingredient)!.kind === 'binder' ? 0.001 : 0.1)
        expect(b.ratio).toBeLessThan(2)
      }
    }
  })

  /** An angel box is egg white and sugar: without egg there is nothing of it left. */
  const WITHOUT: readonly string[] = ['cake-mix-angel', 'cake-mix-angel-gf']
  it.each(HARD_NEEDS)('is there for whatever %s rules out, eggs and the flour of a batter apart', (asked) => {
    const left = PANTRY.filter((i) => suits(i, asked) === 'never' && i.kind !== 'egg' && i.kind !== 'flour' && !WITHOUT.includes(i.id))
    const stuck = left.filter((i) => !standInsFor(i).some((t) => t.brings.every((b) => suits(need(b.ingredient), asked) !== 'never')))
    expect(stuck.map((i) => i.id)).toEqual([])
  })
})
