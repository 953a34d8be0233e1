import { describe, expect, it } from 'vitest'
import { PANTRY, ingredientOf, need } from '../pantry/pantry'
import { doesOf } from './does'
import { insteadOf } from './instead'
import { STAND_INS } from './standins'

const jobs = (id: string) => doesOf(need(id)).map((d) => d.job)

describe('what an ingredient does', () => {
  it('is what a baker would say', () => {
    expect(jobs('egg-white')).toEqual(expect.arrayContaining(['foam', 'set']))
    expect(jobs('butter-unsalted')).toContain('cream')
    expect(jobs('oil-vegetable')).toEqual(['moisten'])
    expect(jobs('flour-plain')).toEqual(expect.arrayContaining(['gluten', 'starch']))
    expect(jobs('cornstarch')).toEqual(['starch'])
    expect(jobs('honey')).toEqual(expect.arrayContaining(['sweeten', 'brown']))
    expect(jobs('baking-soda')).toEqual(['soda'])
    expect(jobs('xanthan-gum')).toContain('bind')
    expect(jobs('walnut')).toContain('whole')
  })

  it('is known of nearly everything in the pantry', () => {
    const silent = PANTRY.filter((i) => !doesOf(i).length).map((i) => i.id)
    expect(silent.length / PANTRY.length, silent.join()).toBeLessThan(0.06)
  })
})

describe('what can be used instead', () => {
  it('names only what the pantry knows, and opens only what it truly does', () => {
    for (const id of ['egg-whole', 'flour-plain', 'egg-yolk', ...Object.keys(STAND_INS)]) {
      const found = insteadOf(need(id))
      expect(found.length, id).toBeGreaterThan(0)
      for (const f of found) for (const b of f.brings) expect(ingredientOf(b.ingredient), b.ingredient).toBeDefined()
    }
    expect(insteadOf(need('butter-unsalted'))[1]!.opens).toEqual(expect.arrayContaining(['vegan', 'dairy-free']))
    expect(insteadOf(need('water'))).toEqual([])
  })
})
